'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Slider from '@mui/material/Slider';
import Switch from '@mui/material/Switch';
import Typography from '@mui/material/Typography';
import {
  IconAdjustmentsHorizontal,
  IconBrush,
  IconColorSwatch,
  IconPalette,
  IconWindow,
  IconRotateClockwise,
  IconTemplate,
  IconVector,
} from '@tabler/icons-react';
import { uprightSize, type Asset } from '@/core/picture/asset';
import { isInk, isPicture, pictureScale } from '@/core/piece/material';
import type { ArtMaterial } from '@/core/piece/material/art';
import { CLOSEST, keepCovered, WHOLE } from '@/core/piece/material/window';
import { normalTurn } from '@/core/piece/placement/placement';
import type { Piece } from '@/core/piece/piece';
import { FIRST_INK } from '@/core/project/create';
import { together } from '@/core/project/edits/edit';
import { gather } from '@/core/project/edits/gather';
import { changeMaterial, slidePicture } from '@/core/project/edits/make';
import type { Unit } from '@/core/units/lengths';
import { SharpnessLine } from '@/features/table/parts/SharpnessLine';
import { PaperField } from '@/features/table/parts/PaperField';
import { handyOf, inkAtHand } from '@/features/table/about/handy';
import { InkControls } from '@/features/table/about/InkControls';
import { useRoom, useSession } from '@/features/table/room/context';
import { isOpening } from '@/core/page/through';
import * as act from '@/features/table/acts';
import { fetched } from '@/ui/fetched';

const MonthControls = fetched('This part of Material', () =>
  import('@/features/table/tasks/calendar/MonthControls').then((m) => m.MonthControls),
);
const FillControls = fetched('This part of Material', () =>
  import('@/features/table/tasks/words/FillControls').then((m) => m.FillControls),
);
const FillButtons = fetched('This part of Material', () =>
  import('@/features/table/tasks/words/FillButtons').then((m) => m.FillButtons),
);
const PhotosBehind = fetched('This part of Material', () =>
  import('@/features/table/tasks/words/FillButtons').then((m) => m.PhotosBehind),
);

/** What a paper becomes when it is made of an ink again. */
const NEW_INK = '#9e2b45';

interface Props {
  pieces: readonly Piece[];
  asset: Asset | undefined;
  unit: Unit;
}

export function MaterialControls({ pieces, asset, unit }: Props) {
  const { store } = useRoom();
  const perform = useSession((session) => session.perform);
  const surfaceId = useSession((session) => session.surfaceId);
  const readOnly = useSession((session) => session.readOnly);
  const opens = useSession((session) => act.NO_OPENINGS(session) === null);
  const [piece] = pieces;
  const inks = pieces.filter(({ material, placement }) => isInk(material) && !placement.locked);
  const sheets = pieces.filter(
    ({ material, placement }) => (isInk(material) || material.kind === 'paper') && !placement.locked,
  );
  // What lies at hand above is not told twice.
  const at = new Set(handyOf(pieces).map(({ name }) => name));
  if (!piece || piece.placement.locked)
    return <Typography variant="body2">Locked: unlock it to change it.</Typography>;
  return (
    <Box
      sx={{
        display: 'flex',
        flexDirection: 'column',
        gap: 1.25,
        // Those that lead on stand in one line, their pictures beneath each other.
        '& > .MuiButton-text': { justifyContent: 'flex-start', minHeight: 34, py: 0.25 },
      }}
    >
      {(isInk(piece.material) || piece.material.kind === 'paper') && (
        <PaperField
          label="Made of"
          none={'text' in piece.outline ? 'An ink' : 'Cardstock in an ink'}
          paper={piece.material.kind === 'paper' ? piece.material.asset : null}
          disabled={readOnly}
          onNone={() =>
            piece.material.kind === 'paper' &&
            perform(changeMaterial(surfaceId, sheets, { kind: 'ink', colour: NEW_INK }))
          }
          onPaper={(paper) => {
            const edit = changeMaterial(surfaceId, sheets, {
              kind: 'paper',
              asset: paper.sha,
              window: WHOLE,
            });
            perform(together(edit.label, [gather('papers', [paper]), edit]));
          }}
        />
      )}
      {opens && (
        <Button
          size="small"
          color="inherit"
          disabled={readOnly}
          startIcon={<IconWindow size={17} />}
          onClick={() => act.toggleOpening(store)}
        >
          {isOpening(piece) ? 'Close the opening with paper' : 'Cut it out of the paper'}
        </Button>
      )}
      {isInk(piece.material) && inks.length > 0 && (
        <InkControls
          material={piece.material}
          atHand={inkAtHand(pieces) !== undefined}
          disabled={readOnly}
          onChange={(material) => perform(changeMaterial(surfaceId, inks, material))}
        />
      )}
      {pieces.length === 1 && piece.material.kind === 'month' && (
        <MonthControls piece={piece} material={piece.material} unit={unit} />
      )}
      {pieces.length === 1 && piece.material.kind === 'words' && (
        <FillControls piece={piece} material={piece.material} unit={unit} />
      )}
      {pieces.length === 1 && sheets.length === 1 && !readOnly && <FillButtons piece={piece} />}
      {pieces.length === 1 && piece.material.kind === 'photos' && <PhotosBehind piece={piece} unit={unit} />}
      {pieces.length > 1 && (
        <Button
          size="small"
          color="inherit"
          startIcon={<IconColorSwatch size={17} />}
          onClick={() => store.getState().openSheet('across')}
        >
          Colours across them
        </Button>
      )}
      {pieces.length === 1 && isPicture(piece.material) && asset && (
        <PictureControls piece={piece} asset={asset} unit={unit} readOnly={readOnly} />
      )}
      {pieces.length === 1 && piece.material.kind === 'art' && (
        <ArtControls piece={piece} material={piece.material} readOnly={readOnly} />
      )}
      {'asset' in piece.material && asset && !readOnly && !at.has('Recolour') && (
        <Button
          size="small"
          color="inherit"
          startIcon={<IconPalette size={17} />}
          onClick={() => store.getState().openSheet('recolour')}
        >
          Recolour
        </Button>
      )}
      {pieces.length === 1 &&
        piece.material.kind === 'art' &&
        asset &&
        !readOnly &&
        !at.has('Colour it in') && (
          <Button
            size="small"
            color="inherit"
            startIcon={<IconBrush size={17} />}
            onClick={() => store.getState().openSheet('colourIn')}
          >
            Colour it in
          </Button>
        )}
      {isPicture(piece.material) && asset && !readOnly && !at.has('Light and tone') && (
        <Button
          size="small"
          color="inherit"
          startIcon={<IconAdjustmentsHorizontal size={17} />}
          onClick={() => store.getState().openSheet('tone')}
        >
          Light and tone
        </Button>
      )}
      {pieces.length === 1 && 'asset' in piece.material && asset && !readOnly && (
        <Button
          size="small"
          color="inherit"
          startIcon={<IconTemplate size={17} />}
          onClick={() => store.getState().openSheet('template')}
        >
          Use it as a template
        </Button>
      )}
      {pieces.length === 1 && 'asset' in piece.material && asset && !readOnly && (
        <Button
          size="small"
          color="inherit"
          startIcon={<IconVector size={17} />}
          onClick={() => store.getState().openSheet('trace')}
        >
          Trace it to an outline
        </Button>
      )}
      {'asset' in piece.material && !asset && (
        <Typography variant="body2" color="error">
          Its picture file is not in this browser. Bring the file in again, or open a saved copy of this
          project.
        </Typography>
      )}
    </Box>
  );
}

function PictureControls({
  piece,
  asset,
  unit,
  readOnly,
}: {
  piece: Piece;
  asset: Asset;
  unit: Unit;
  readOnly: boolean;
}) {
  const perform = useSession((session) => session.perform);
  const surfaceId = useSession((session) => session.surfaceId);
  const { material } = piece;
  if (!isPicture(material)) return null;
  const { window } = material;
  const change = (to: Partial<typeof window>) => {
    const next = { ...window, ...to };
    const scale = pictureScale({ ...material, window: next }, asset, piece.placement);
    perform(slidePicture(surfaceId, piece, keepCovered(next, uprightSize(asset), piece.placement, scale)));
  };
  return (
    <>
      <SharpnessLine piece={piece} unit={unit} />
      <Box sx={{ display: 'grid', gridTemplateColumns: '92px 1fr', columnGap: 1.5, alignItems: 'center' }}>
        <Typography id="zoom-label" variant="body2">
          Closer {window.zoom.toFixed(2)}
        </Typography>
        <Slider
          size="small"
          aria-labelledby="zoom-label"
          min={0}
          max={Math.log(Math.max(CLOSEST, window.zoom))}
          step={0.01}
          value={Math.log(window.zoom)}
          disabled={readOnly}
          onChange={(_, value) => change({ zoom: Math.exp(value as number) })}
        />
        <Typography id="straighten-label" variant="body2">
          Straighten
        </Typography>
        <Slider
          size="small"
          aria-labelledby="straighten-label"
          min={-15}
          max={15}
          step={0.1}
          track={false}
          value={Math.round(10 * straightening(window.turn)) / 10}
          valueLabelDisplay="auto"
          disabled={readOnly}
          onChange={(_, value) => change({ turn: normalTurn(quarter(window.turn) + (value as number)) })}
        />
      </Box>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button
          size="small"
          variant="outlined"
          color="inherit"
          disabled={readOnly}
          startIcon={<IconRotateClockwise size={18} />}
          onClick={() => change({ turn: normalTurn(window.turn + 90) })}
        >
          Quarter turn
        </Button>
        <Button
          size="small"
          color="inherit"
          disabled={readOnly}
          onClick={() => change({ x: 0.5, y: 0.5, zoom: 1, turn: 0 })}
        >
          Whole again
        </Button>
      </Box>
    </>
  );
}

/** A thing of its own: as it is, or stamped in one ink, its darkness covering. */
function ArtControls({
  piece,
  material,
  readOnly,
}: {
  piece: Piece;
  material: ArtMaterial;
  readOnly: boolean;
}) {
  const perform = useSession((session) => session.perform);
  const surfaceId = useSession((session) => session.surfaceId);
  const { ink, ...rest } = material;
  const change = (next?: string) =>
    perform(changeMaterial(surfaceId, [piece], { ...rest, ...(next ? { ink: next } : {}) }));
  return (
    <>
      <FormControlLabel
        control={
          <Switch
            checked={ink !== undefined}
            disabled={readOnly}
            onChange={(_, on) => change(on ? FIRST_INK : undefined)}
          />
        }
        label="Stamped in one ink"
      />
    </>
  );
}

const quarter = (turn: number): number => Math.round(turn / 90) * 90;
const straightening = (turn: number): number => turn - quarter(turn);
