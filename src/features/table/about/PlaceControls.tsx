'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Size } from '@/core/geometry/box';
import { otherFace } from '@/core/product';
import * as act from '@/features/table/acts';
import { shownSurface } from '@/features/table/session';
import { placePiece } from '@/core/project/edits/place';
import { extentOf, SMALLEST_PIECE } from '@/core/piece/placement/placement';
import type { Piece } from '@/core/piece/piece';
import { formatLength, type Unit } from '@/core/units/lengths';
import { ArrangeControls } from '@/features/table/about/ArrangeControls';
import { CENTRES, FARTHEST, measureWithin, readDegrees } from '@/features/table/parts/measures';
import { useShallow } from 'zustand/react/shallow';
import { useRoom, useSession } from '@/features/table/room/context';
import { ProportionSwitch } from '@/features/table/parts/ProportionSwitch';
import { fetched } from '@/ui/fetched';
import { LengthField } from '@/ui/LengthField';
import { tip } from '@/features/table/tasks';

const HoldControls = fetched('This part of Place', () =>
  import('@/features/table/tasks/calendar/HoldControls').then((m) => m.HoldControls),
);

const SharedControls = fetched('This part of Place', () =>
  import('@/features/table/tasks/book/SharedControls').then((m) => m.SharedControls),
);

/** Exact numbers: the box's top left corner before turning, its size, in proportion or free, and its turn. */
export function PlaceControls({ pieces, unit }: { pieces: readonly Piece[]; unit: Unit }) {
  return pieces.length > 1 ? (
    <ArrangeControls pieces={pieces} unit={unit} />
  ) : (
    pieces[0] && <PlaceOfOne piece={pieces[0]} unit={unit} />
  );
}

function PlaceOfOne({ piece, unit }: { piece: Piece; unit: Unit }) {
  /** What a person chose for this piece; as its kind has it until then. */
  const [chosen, setChosen] = useState<{ of: string; proportion: boolean }>();
  const perform = useSession((session) => session.perform);
  const surfaceId = useSession((session) => session.surfaceId);
  const readOnly = useSession((session) => session.readOnly);
  const { store } = useRoom();
  // Its size alone: the page itself is another one in every frame of a drag.
  const page = useSession(
    useShallow((session) => {
      const { width, height } = shownSurface(session);
      return { width, height };
    }),
  );
  const months = useSession((session) => shownSurface(session).pile.some(({ role }) => role === 'month'));
  const several = useSession(({ history }) => history.project.surfaces.length > 1);
  const { placement } = piece;
  const { x, y, width, height, turn, locked } = placement;
  const disabled = locked || readOnly;
  const length = (least: number) => measureWithin(unit, least, FARTHEST);
  const kept = chosen?.of === piece.id ? chosen.proportion : act.keepsProportions(piece);
  const words = piece.outline.kind === 'glyphs';
  const resize = (side: act.BoxSide) => (value: number) => act.sizeTo(store, piece, side, value, kept);
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: '10px 8px' }}>
      <LengthField
        label="From left"
        unit={unit}
        disabled={disabled}
        shown={formatLength(x - width / 2, unit)}
        read={length(-FARTHEST)}
        onCommit={(value) => perform(placePiece(surfaceId, piece, 'move', { x: value + width / 2 }))}
      />
      <LengthField
        label="From top"
        unit={unit}
        disabled={disabled}
        shown={formatLength(y - height / 2, unit)}
        read={length(-FARTHEST)}
        onCommit={(value) => perform(placePiece(surfaceId, piece, 'move', { y: value + height / 2 }))}
      />
      <LengthField
        label="Width"
        unit={unit}
        disabled={disabled}
        shown={formatLength(width, unit)}
        read={length(SMALLEST_PIECE)}
        onCommit={resize('width')}
      />
      <LengthField
        label="Height"
        unit={unit}
        disabled={disabled}
        shown={formatLength(height, unit)}
        read={length(SMALLEST_PIECE)}
        onCommit={resize('height')}
      />
      <LengthField
        label="Turned"
        unit="°"
        disabled={disabled}
        shown={String(Math.round(turn * 10) / 10)}
        read={readDegrees}
        onCommit={(value) => perform(placePiece(surfaceId, piece, 'turn', { turn: value }))}
      />
      <ProportionSwitch
        words={words}
        on={kept}
        disabled={disabled}
        onChange={(proportion) => setChosen({ of: piece.id, proportion })}
      />
      <Box sx={{ gridColumn: '1 / 3', display: 'flex', justifyContent: 'space-between', my: -0.75 }}>
        <Button
          size="small"
          color="inherit"
          disabled={disabled}
          onClick={() => act.mirror(store, 'y')}
          sx={{ minWidth: 0, px: 0.75 }}
        >
          Flip
        </Button>
        {CENTRES.map(([to, name]) => (
          <Button
            key={to}
            size="small"
            color="inherit"
            disabled={disabled}
            onClick={() => act.centreChosen(store, to)}
            sx={{ minWidth: 0, px: 0.75 }}
          >
            {name}
          </Button>
        ))}
      </Box>
      <RoundControls piece={piece} disabled={disabled} />
      {months && <HoldControls piece={piece} disabled={disabled} />}
      {several && <SharedControls piece={piece} disabled={disabled} />}
      {isAway(piece, page) && (
        <Button sx={{ gridColumn: '1 / 3' }} disabled={disabled} onClick={() => act.bringBack(store)}>
          Bring it back to the page
        </Button>
      )}
      <Button
        size="small"
        color="inherit"
        title={tip('Where it passes over others and where under', 'F')}
        onClick={() => store.getState().openSheet('tuck')}
        sx={{ gridColumn: '1 / -1', justifySelf: 'start', px: 0.75, my: -0.75 }}
      >
        {piece.tucks ? `Tucked under at ${piece.tucks.length}` : 'Tuck it under something'}
      </Button>
    </Box>
  );
}

/** On a folded paper: across all of a face, all the way round, and let go again. */
function RoundControls({ piece, disabled }: { piece: Piece; disabled: boolean }) {
  const { store } = useRoom();
  const goes = useSession((session) => act.NO_ROUND(session) === null);
  const other = useSession(
    (session) => otherFace(session.history.project, shownSurface(session))?.surface.name,
  );
  if (!goes) return null;
  return (
    <Box sx={{ gridColumn: '1 / 3', display: 'flex', justifyContent: 'space-between', flexWrap: 'wrap' }}>
      {piece.round ? (
        <>
          <Typography variant="body2" sx={{ alignSelf: 'center' }}>
            In step with its other end{other ? ` (${other})` : ''}
          </Typography>
          <Button size="small" color="inherit" disabled={disabled} onClick={() => act.letRoundGo(store)}>
            Let it go
          </Button>
        </>
      ) : (
        <>
          <Button size="small" color="inherit" disabled={disabled} onClick={() => act.layRound(store, false)}>
            Across this face
          </Button>
          {other && (
            <Button
              size="small"
              color="inherit"
              title={tip('Across this face and behind it, both kept in step', 'Shift B')}
              disabled={disabled}
              onClick={() => act.layRound(store, true)}
            >
              All the way round
            </Button>
          )}
        </>
      )}
    </Box>
  );
}

/** Whether nothing of a piece lies on the page. */
function isAway({ placement }: Piece, { width, height }: Size): boolean {
  const box = extentOf(placement);
  return box.x > width || box.y > height || box.x + box.width < 0 || box.y + box.height < 0;
}
