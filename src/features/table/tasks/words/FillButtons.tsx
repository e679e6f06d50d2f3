'use client';
/** What letters and shapes can be filled with beside inks and papers: words over and over, photos. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { IconArrowsMove, IconPhoto, IconTypography } from '@tabler/icons-react';
import { useState } from 'react';
import { cutOf, toolsFor } from '@/core/page/outlines';
import { colourOf, isInk } from '@/core/piece/material';
import { MOST_LETTER_PHOTOS } from '@/core/piece/material/photos';
import { counted, FIRST_WORDS, rowsThatFill } from '@/core/piece/material/words';
import { firstWindow } from '@/core/piece/material/window';
import type { Piece } from '@/core/piece/piece';
import { together } from '@/core/project/edits/edit';
import { changeFinish, changeMaterial } from '@/core/project/edits/make';
import { FAMILIES } from '@/core/text/families';
import type { Unit } from '@/core/units/lengths';
import { SharpnessLine } from '@/features/table/parts/SharpnessLine';
import { startSliding } from '@/features/table/acts/slide';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { PhotoPicker } from '@/features/table/parts/PhotoPicker';

const isScript = (id: string): boolean => FAMILIES.find((family) => family.id === id)?.look === 'script';

/** As many small words each way, at first. */
const FIRST_GRID = 10;
/** The line round it, points. */
const FIRST_LINE = 2.5;

export function FillButtons({ piece }: { piece: Piece }) {
  const { store } = useRoom();
  const [choosing, setChoosing] = useState(false);
  const fillWithWords = () => {
    const { history, surfaceId, typesetter, perform } = store.getState();
    const tools = toolsFor(history.project, typesetter);
    const text = act.wordsOn(piece) || piece.name;
    const { outline } = piece;
    const first = {
      ...FIRST_WORDS,
      ground: '#ffffff',
      text,
      // Thin joined letters cannot be read so small.
      family: 'family' in outline && !isScript(outline.family) ? outline.family : 'zilla-slab',
      size: 12,
      inks: [isInk(piece.material) ? colourOf(piece.material) : FIRST_WORDS.inks[0]!],
    };
    const cut = { size: piece.placement, path: cutOf(piece, tools).path, typesetter, asset: tools.asset };
    const fitted = counted(first, cut, FIRST_GRID, rowsThatFill(first, cut, FIRST_GRID));
    // A shape too small for so many has as many as stand in it.
    const material = fitted.ok ? fitted.value : first;
    const edit = changeMaterial(surfaceId, [piece], material);
    // Small words alone hardly show what they fill: a line round it makes it read.
    const line = { colour: material.inks[0]!, width: FIRST_LINE, side: 'outside' as const };
    perform(
      piece.finish.stroke
        ? edit
        : together(edit.label, [edit, changeFinish(surfaceId, [piece], 'change stroke', { stroke: line })]),
    );
  };
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1 }}>
      <Button size="small" color="inherit" startIcon={<IconTypography size={17} />} onClick={fillWithWords}>
        Fill it with words
      </Button>
      <Button
        size="small"
        color="inherit"
        startIcon={<IconPhoto size={17} />}
        onClick={() => setChoosing(true)}
      >
        Photos behind it
      </Button>
      {choosing && <PhotosDialog piece={piece} onClose={() => setChoosing(false)} />}
    </Box>
  );
}

/** What shows photos letter by letter, and how to change which. */
export function PhotosBehind({ piece, unit }: { piece: Piece; unit: Unit }) {
  const { store } = useRoom();
  const perform = useSession((session) => session.perform);
  const surfaceId = useSession((session) => session.surfaceId);
  const readOnly = useSession((session) => session.readOnly) || piece.placement.locked;
  const [choosing, setChoosing] = useState(false);
  if (piece.material.kind !== 'photos') return null;
  const count = piece.material.photos.length;
  return (
    <Box>
      <Typography variant="body2">
        {count} {count === 1 ? 'photo' : 'photos'}, one a letter.
      </Typography>
      <SharpnessLine piece={piece} unit={unit} />
      {!readOnly && (
        <Button
          size="small"
          color="inherit"
          startIcon={<IconArrowsMove size={17} />}
          onClick={() => startSliding(store, piece)}
        >
          Slide them in their letters
        </Button>
      )}
      <Button size="small" color="inherit" onClick={() => setChoosing(true)}>
        Choose others
      </Button>
      <Button
        size="small"
        color="inherit"
        disabled={readOnly}
        onClick={() => perform(changeMaterial(surfaceId, [piece], { kind: 'ink', colour: '#9e2b45' }))}
      >
        An ink again
      </Button>
      {choosing && <PhotosDialog piece={piece} onClose={() => setChoosing(false)} />}
    </Box>
  );
}

function PhotosDialog({ piece, onClose }: { piece: Piece; onClose: () => void }) {
  const perform = useSession((session) => session.perform);
  const surfaceId = useSession((session) => session.surfaceId);
  const project = useSession((session) => session.history.project);
  const photos = project.photos.flatMap((sha) => {
    const asset = project.assets[sha];
    return asset ? [{ asset, piece: null }] : [];
  });
  const [taken, setTaken] = useState<ReadonlySet<string>>(
    new Set(piece.material.kind === 'photos' ? piece.material.photos.map(({ asset }) => asset) : []),
  );
  const chosen = photos.filter((photo) => taken.has(act.keyOf(photo))).map(({ asset }) => asset);
  const letters = 'text' in piece.outline;
  const lay = (each: boolean) => {
    onClose();
    const [first] = chosen;
    if (!first) return;
    perform(
      changeMaterial(
        surfaceId,
        [piece],
        each
          ? {
              kind: 'photos',
              photos: chosen
                .slice(0, MOST_LETTER_PHOTOS)
                .map((asset) => ({ asset: asset.sha, window: firstWindow(asset) })),
            }
          : { kind: 'photo', asset: first.sha, window: firstWindow(first) },
      ),
    );
  };
  return (
    <Dialog open onClose={onClose} maxWidth="xs" fullWidth aria-labelledby="behind-title">
      <DialogTitle id="behind-title" variant="h2">
        Photos behind {letters ? 'the letters' : 'it'}
      </DialogTitle>
      <DialogContent>
        {photos.length ? (
          <PhotoPicker photos={photos} taken={taken} onTaken={setTaken} />
        ) : (
          <Typography>Bring photos into the workbox first; they can lie behind letters then.</Typography>
        )}
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Leave it
        </Button>
        {letters && (
          <Button disabled={!chosen.length} onClick={() => lay(true)}>
            One a letter
          </Button>
        )}
        <Button variant="contained" disabled={chosen.length !== 1} onClick={() => lay(false)}>
          One over all
        </Button>
      </DialogActions>
    </Dialog>
  );
}
