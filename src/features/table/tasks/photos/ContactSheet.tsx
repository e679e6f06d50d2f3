'use client';
/** Contact sheets of the project's photos, as pages after this one. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { contactSheets, type ContactWish } from '@/core/project/contact';
import { byTime } from '@/core/project/photos';
import { newId } from '@/features/shared/ids';
import { wholeWithin } from '@/features/table/parts/measures';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { PagePicture } from '@/features/table/stage/paint/PagePicture';
import { shownSurface } from '@/features/table/session';
import { BringPhotos } from '@/features/table/parts/BringPhotos';
import { SideSheet } from '@/features/table/parts/SideSheet';
import { LengthField } from '@/ui/LengthField';

const MOST_A_SIDE = 20;
/** CSS pixels of the first sheet at its longer side. */
const SIDE = 220;

export function ContactSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const project = useSession((session) => session.history.project);
  const surface = useSession(shownSurface);
  const readOnly = useSession((session) => session.readOnly);
  const [wish, setWish] = useState<ContactWish>({ columns: 5, rows: 6, names: true, dates: true });
  const photos = useMemo(() => byTime(project.photos.flatMap((sha) => project.assets[sha] ?? [])), [project]);
  const sheets = useMemo(
    () => contactSheets(surface, project.unit, photos, wish, newId, store.getState().typesetter),
    [surface, project.unit, photos, wish, store],
  );
  const set = (change: Partial<ContactWish>) => setWish({ ...wish, ...change });
  const whole = wholeWithin(1, MOST_A_SIDE);
  const [first] = sheets;
  return (
    <SideSheet title="Contact sheets" onClose={onClose}>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: '12px 8px', pt: 0.5 }}>
        <LengthField
          label="Columns"
          shown={String(wish.columns)}
          read={whole}
          onCommit={(columns) => set({ columns })}
        />
        <LengthField label="Rows" shown={String(wish.rows)} read={whole} onCommit={(rows) => set({ rows })} />
        <FormControlLabel
          control={<Switch checked={wish.names} onChange={(_, names) => set({ names })} />}
          label="File names"
        />
        <FormControlLabel
          control={<Switch checked={wish.dates} onChange={(_, dates) => set({ dates })} />}
          label="Dates"
        />
      </Box>
      {first && (
        <Box sx={{ display: 'grid', placeItems: 'center', my: 1.5 }}>
          <PagePicture
            project={project}
            surface={first}
            side={SIDE}
            label="The first contact sheet"
            style={{ boxShadow: '0 1px 3px rgba(20,14,8,0.4), 1px 3px 8px rgba(20,14,8,0.2)' }}
          />
        </Box>
      )}
      <Typography role="status" variant="body2" sx={{ my: 1 }}>
        {!photos.length
          ? 'No photos yet: bring some into the workbox first.'
          : !sheets.length
            ? 'So many leave no room for a photo: choose fewer columns or rows.'
            : `${photos.length} ${photos.length === 1 ? 'photo' : 'photos'}, whole, by the time they were taken, on ${
                sheets.length === 1 ? 'one page' : `${sheets.length} pages`
              } after this one.`}
      </Typography>
      {!photos.length && <BringPhotos />}
      <Button
        variant="contained"
        disabled={readOnly || !sheets.length}
        onClick={() => {
          onClose();
          act.addPages(store, 'make contact sheets', sheets);
        }}
      >
        Make them
      </Button>
    </SideSheet>
  );
}
