'use client';
/** The colours of a photo, and the page as it would look in them. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { IconArchive } from '@tabler/icons-react';
import { useEffect, useMemo, useState } from 'react';
import { matchInks, MATCHINGS, type Matching } from '@/core/inks/matching';
import { nearestInks } from '@/core/inks/near';
import { FEWEST_COLOURS, MOST_COLOURS, paletteOf } from '@/core/inks/palette';
import type { UsedInk } from '@/core/inks/used';
import { colourWords } from '@/core/supplies/colours';
import type { NamedInk } from '@/core/supplies/model';
import { plainName } from '@/core/project/create';
import { recolour } from '@/core/project/edits/inks';
import { lookAhead } from '@/core/project/history';
import { uses } from '@/core/project/model';
import { inksIn, useInkSets } from '@/features/table/parts/inks/useInks';
import { NoPhotos } from '@/features/table/parts/BringPhotos';
import { smallPixels } from '@/features/table/parts/colours';
import { useRoom, useSession } from '@/features/table/room/context';
import { PagePicture } from '@/features/table/stage/paint/PagePicture';
import { LabelledSlider } from '@/ui/LabelledSlider';
import { fetched } from '@/ui/fetched';

const KeepDialog = fetched('Keeping', () =>
  import('@/features/table/room/KeepDialog').then((m) => m.KeepDialog),
);

const NAMES: Record<Matching, string> = {
  lightness: 'Light stays light',
  area: 'Most to most',
  nearest: 'To the nearest',
};
/** CSS pixels of a page in small at its longer side. */
const SIDE = 80;
/** Pixels at the longer side of the copy whose colours are taken. */
const LOOKED = 160;

export function FromPhoto({ used, readOnly }: { used: readonly UsedInk[]; readOnly: boolean }) {
  const { shelf } = useRoom();
  const history = useSession((session) => session.history);
  const surfaceId = useSession((session) => session.surfaceId);
  const doIt = useSession((session) => session.perform);
  const { project } = history;
  const inks = inksIn(useInkSets());
  const photos = useMemo(() => {
    const counts = uses(project);
    // Those on pages first: their colours are what the page shall go with.
    return [...project.photos]
      .sort((a, b) => Number(counts.has(b)) - Number(counts.has(a)))
      .flatMap((sha) => project.assets[sha] ?? []);
  }, [project]);
  const [sha, setSha] = useState(photos[0]?.sha ?? '');
  const [count, setCount] = useState(5);
  const [asInks, setAsInks] = useState(false);
  const [neutrals, setNeutrals] = useState(true);
  const [keeping, setKeeping] = useState(false);
  const [pixels, setPixels] = useState<Uint8ClampedArray | null>(null);
  useEffect(() => {
    let gone = false;
    void shelf.small(sha).then((bitmap) => {
      if (gone) return;
      const { width, height } = bitmap ?? { width: 0, height: 0 };
      setPixels(bitmap ? smallPixels({ source: bitmap, width, height }, LOOKED).data : null);
    });
    return () => {
      gone = true;
    };
  }, [shelf, sha]);
  const palette = useMemo(() => (pixels ? paletteOf(pixels, count) : []), [pixels, count]);
  const colours = useMemo(
    () => [
      ...new Set(
        palette.map(({ colour }) => (asInks && nearestInks(colour, inks, 1)[0]?.ink.colour) || colour),
      ),
    ],
    [palette, asInks, inks],
  );
  const named = (colour: string): NamedInk => ({
    colour,
    name: inks.find((ink) => ink.colour === colour)?.name ?? `${colourWords(colour)[0]} ${colour}`,
  });
  const name = plainName(project.assets[sha]?.name ?? '');
  if (!photos.length) return <NoPhotos />;
  return (
    <Box sx={{ mt: 1, display: 'flex', flexDirection: 'column', gap: 1 }}>
      <TextField select label="Photo" value={sha} onChange={(event) => setSha(event.target.value)}>
        {photos.map((asset) => (
          <MenuItem key={asset.sha} value={asset.sha}>
            {plainName(asset.name)}
          </MenuItem>
        ))}
      </TextField>
      <Box>
        <LabelledSlider
          label={`${colours.length} colours`}
          min={FEWEST_COLOURS}
          max={MOST_COLOURS}
          step={1}
          value={count}
          onChange={setCount}
        />
        <Box
          role="img"
          aria-label={`Its colours: ${colours.map((colour) => named(colour).name).join(', ')}`}
          sx={{
            display: 'flex',
            height: 34,
            borderRadius: 1.5,
            overflow: 'hidden',
            border: 1,
            borderColor: 'divider',
          }}
        >
          {colours.map((colour) => (
            <Box key={colour} title={named(colour).name} sx={{ flex: 1, bgcolor: colour }} />
          ))}
        </Box>
      </Box>
      <Box
        role="group"
        aria-label="The page in these colours"
        sx={{ display: 'flex', justifyContent: 'space-between' }}
      >
        {MATCHINGS.map((how) => {
          const edit = recolour(surfaceId, matchInks(used, colours, how, neutrals));
          const shown = lookAhead(history.project, edit) ?? history.project;
          return (
            <ButtonBase
              key={how}
              disabled={readOnly || !colours.length}
              onClick={() => doIt({ ...edit, label: `recolour the page from ${name}` })}
              sx={{
                flexDirection: 'column',
                borderRadius: 1.5,
                p: 0.5,
                width: 86,
                '&:hover': { bgcolor: 'action.hover' },
              }}
            >
              <PagePicture
                project={shown}
                surface={shown.surfaces.find(({ id }) => id === surfaceId)!}
                side={SIDE}
                style={{ boxShadow: '0 1px 3px rgba(20,14,8,0.4)' }}
              />
              <Typography variant="body2" sx={{ mt: 0.5, lineHeight: 1.15, textAlign: 'center' }}>
                {NAMES[how]}
              </Typography>
            </ButtonBase>
          );
        })}
      </Box>
      <FormControlLabel
        control={<Switch size="small" checked={asInks} onChange={(_, on) => setAsInks(on)} />}
        label="The nearest inks instead"
      />
      <FormControlLabel
        control={<Switch size="small" checked={neutrals} onChange={(_, on) => setNeutrals(on)} />}
        label="Whites, greys and blacks stay"
      />
      <Button
        size="small"
        color="inherit"
        startIcon={<IconArchive size={17} />}
        disabled={!colours.length}
        onClick={() => setKeeping(true)}
        sx={{ alignSelf: 'flex-start' }}
      >
        Keep them as an ink set
      </Button>
      {keeping && (
        <KeepDialog
          title={`Keep ${colours.length} inks`}
          name={`Inks of ${name}`}
          onClose={() => setKeeping(false)}
          onKeep={async (kept) =>
            (await import('@/features/table/acts/keepSupply')).keepInks(colours.map(named), kept)
          }
        />
      )}
    </Box>
  );
}
