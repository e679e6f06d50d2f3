'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Size } from '@/core/geometry/box';
import type { AlignTo } from '@/core/page/arrange';
import * as act from '@/features/table/acts';
import { shownSurface } from '@/features/table/session';
import { placePiece, scaleWords } from '@/core/project/edits/place';
import { extentOf, SMALLEST_PIECE } from '@/core/piece/placement/placement';
import { isInk } from '@/core/piece/material';
import { punchOf } from '@/core/piece/outline/punches';
import type { Piece } from '@/core/piece/piece';
import { formatLength, type Unit } from '@/core/units/lengths';
import { ArrangeControls } from '@/features/table/about/ArrangeControls';
import { FARTHEST, measureWithin, readDegrees } from '@/features/table/parts/measures';
import { useShallow } from 'zustand/react/shallow';
import { useRoom, useSession } from '@/features/table/room/context';
import { LengthField } from '@/ui/LengthField';
import { tip } from '@/features/table/tasks';

/** Exact numbers: the box's top left corner before turning, its size (proportions kept for pictures) and its turn. */
export function PlaceControls({ pieces, unit }: { pieces: readonly Piece[]; unit: Unit }) {
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
  const [piece] = pieces;
  if (!piece || pieces.length > 1) return <ArrangeControls pieces={pieces} unit={unit} />;
  const { placement } = piece;
  const { x, y, width, height, turn, locked } = placement;
  const disabled = locked || readOnly;
  const length = (least: number) => measureWithin(unit, least, FARTHEST);
  // A strip of paper is as long and as wide as one likes; what shows a picture or has a shape keeps its proportions.
  const free =
    (isInk(piece.material) || piece.material.kind === 'paper') &&
    (piece.outline.kind === 'rectangle' ||
      (piece.outline.kind === 'punch' && !punchOf(piece.outline.punch).keeps));
  /** The new size with the top left corner kept; the other side follows where that would squash something. */
  const resize = (side: 'width' | 'height') => (value: number) => {
    const scale = value / placement[side];
    const across = side === 'width' || !free ? scale : 1;
    const down = side === 'height' || !free ? scale : 1;
    const to = {
      ...placement,
      width: width * across,
      height: height * down,
      x: x + (width * (across - 1)) / 2,
      y: y + (height * (down - 1)) / 2,
    };
    perform(
      piece.outline.kind === 'glyphs'
        ? scaleWords(surfaceId, piece, to)
        : placePiece(surfaceId, piece, 'resize', to),
    );
  };
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: '12px 8px' }}>
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
      <Button size="small" color="inherit" disabled={disabled} onClick={() => act.mirror(store, 'y')}>
        Flip
      </Button>
      <Box sx={{ gridColumn: '1 / 3', display: 'flex', justifyContent: 'space-between' }}>
        {PLACES.map(([to, name]) => (
          <Button
            key={to}
            size="small"
            color="inherit"
            disabled={disabled}
            onClick={() => act.alignChosen(store, to, 'page')}
            sx={{ minWidth: 0, px: 0.75 }}
          >
            {name}
          </Button>
        ))}
      </Box>
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
        sx={{ gridColumn: '1 / -1' }}
      >
        {piece.tucks ? `Tucked under at ${piece.tucks.length}` : 'Tuck it under something'}
      </Button>
    </Box>
  );
}

const PLACES: readonly [AlignTo, string][] = [
  ['centre', 'Centre across'],
  ['middle', 'Centre down'],
];

/** Whether nothing of a piece lies on the page. */
function isAway({ placement }: Piece, { width, height }: Size): boolean {
  const box = extentOf(placement);
  return box.x > width || box.y > height || box.x + box.width < 0 || box.y + box.height < 0;
}
