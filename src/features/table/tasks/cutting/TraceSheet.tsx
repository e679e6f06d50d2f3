'use client';
/** A picture traced to an outline, seen over the picture while its threshold is moved; then cut to it, or laid as a shape. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { FIRST_TRACING, outlineOfPicture, type Tracing } from '@/core/pixels/outline';
import { tracePicture } from '@/features/shared/bringIn';
import { InkField } from '@/features/table/parts/inks/InkField';
import * as templating from '@/features/table/acts/templating';
import { useRoom, useSession } from '@/features/table/room/context';
import { SideSheet } from '@/features/table/parts/SideSheet';
import { useTemplate } from '@/features/table/tasks/cutting/useTemplate';
import { readableBlob } from '@/storage/assets';
import { Dial } from '@/ui/Dial';

/** Longest side, pixels, of the copy that is traced while one looks. */
const LOOKED_AT = 900;

async function pixelsFor(sha: string): Promise<ImageData> {
  const blob = await readableBlob(sha);
  if (!blob) throw new Error('not here');
  const bitmap = await createImageBitmap(blob);
  const scale = Math.min(1, LOOKED_AT / Math.max(bitmap.width, bitmap.height));
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(bitmap.width * scale)),
    Math.max(1, Math.round(bitmap.height * scale)),
  );
  const context = canvas.getContext('2d', { willReadFrequently: true })!;
  context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  return context.getImageData(0, 0, canvas.width, canvas.height);
}

export function TraceSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const { there, template, shown } = useTemplate();
  const sha = template?.asset.sha;
  const cut = template?.asset.cut;
  const readOnly = useSession((session) => session.readOnly);
  const [pixels, setPixels] = useState<ImageData | null>(null);
  const [tracing, setTracing] = useState<Tracing>(FIRST_TRACING);
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    if (!sha) return;
    let gone = false;
    pixelsFor(sha).then(
      (read) => {
        if (gone) return;
        setPixels(read);
        // A picture one sees through in places is meant by its edge.
        if (cut) setTracing((now) => ({ ...now, by: 'clearness' }));
      },
      () => !gone && setProblem('This picture could not be read. Nothing was changed.'),
    );
    return () => {
      gone = true;
    };
  }, [sha, cut]);
  const wanted = useDeferredValue(tracing);
  const found = useMemo(
    () => pixels && outlineOfPicture(pixels.data, pixels.width, pixels.height, wanted),
    [pixels, wanted],
  );
  useEffect(() => {
    const seen = shown && template && found && pixels;
    const session = store.getState();
    session.seek(seen ? templating.onPageFrom(session, template, found.path, pixels.width) : null);
    return () => store.getState().seek(null);
  }, [store, template, shown, found, pixels]);
  const set = (change: Partial<Tracing>) => setTracing({ ...tracing, ...change });
  const make = async (how: 'cut' | 'lay') => {
    if (!sha) return;
    setBusy(true);
    try {
      const blob = await readableBlob(sha);
      if (!blob) throw new Error('not here');
      const done = templating.layTraced(there, sha, await tracePicture(blob, tracing, LOOKED_AT), how);
      if (done.ok) onClose();
      else setProblem(done.message);
    } catch {
      setProblem('This picture could not be traced. Nothing was changed.');
    }
    setBusy(false);
  };
  const empty = found?.parts === 0;
  return (
    <SideSheet title="Trace" onClose={onClose}>
      {!template ? (
        <Typography>Select one picture on the page: its outline is then traced.</Typography>
      ) : (
        <>
          <TextField
            select
            fullWidth
            label="What counts as inside"
            value={tracing.by}
            onChange={(event) => {
              const by = event.target.value as Tracing['by'];
              // Half of all colours would be near; a fifth of the way is what looks alike.
              set({ by, threshold: by === 'colour' ? 0.2 : FIRST_TRACING.threshold });
            }}
            sx={{ mt: 0.5, mb: 1.5 }}
          >
            <MenuItem value="darkness">Its dark parts</MenuItem>
            <MenuItem value="clearness">Its solid parts</MenuItem>
            <MenuItem value="colour">Parts of one colour</MenuItem>
          </TextField>
          {tracing.by === 'colour' && (
            <Box sx={{ mb: 1.5 }}>
              <InkField
                label="Colour that is traced"
                colour={tracing.colour}
                disabled={false}
                onChange={(colour) => set({ colour })}
              />
            </Box>
          )}
          <Dial
            name={tracing.by === 'colour' ? 'How near' : 'Threshold'}
            unit="%"
            least={1}
            most={99}
            value={Math.round(tracing.threshold * 100)}
            onChange={(value) => set({ threshold: value / 100 })}
          />
          <Dial
            name="Smoothing"
            unit="px"
            least={0.2}
            most={6}
            step={0.2}
            value={tracing.smooth}
            onChange={(smooth) => set({ smooth })}
          />
          <Dial
            name="Smallest part kept"
            unit="px"
            least={2}
            most={2000}
            step={2}
            value={tracing.smallest}
            onChange={(smallest) => set({ smallest })}
          />
          <FormControlLabel
            control={
              <Switch checked={tracing.outer} onChange={(event) => set({ outer: event.target.checked })} />
            }
            label="Outer edge only, without holes"
          />
          <Typography role="status" sx={{ my: 1 }} color={empty ? 'error' : undefined}>
            {!found
              ? 'Reading the picture …'
              : empty
                ? 'Nothing is inside: move the threshold.'
                : `${found.parts} ${found.parts === 1 ? 'part' : 'parts'}, ${found.holes} ${found.holes === 1 ? 'hole' : 'holes'}.`}
          </Typography>
          <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
            <Button
              variant="contained"
              disabled={readOnly || busy || !found || empty}
              onClick={() => void make('lay')}
            >
              Lay the shape
            </Button>
            <Button
              variant="outlined"
              color="inherit"
              disabled={readOnly || busy || !found || empty || template.piece.placement.locked}
              onClick={() => void make('cut')}
            >
              Cut the picture to it
            </Button>
          </Box>
        </>
      )}
      {problem && (
        <Typography role="alert" color="error" sx={{ mt: 1 }}>
          {problem}
        </Typography>
      )}
    </SideSheet>
  );
}
