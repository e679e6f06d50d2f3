'use client';

import Box from '@mui/material/Box';
import { placePiece, scaleWords } from '@/core/project/edits/place';
import { SMALLEST_PIECE } from '@/core/piece/placement/placement';
import type { Piece } from '@/core/piece/piece';
import { fail, ok, type Result } from '@/core/result';
import { formatLength, parseLength, type Unit } from '@/core/units/lengths';
import { useSession } from '@/features/table/room/context';
import { LengthField } from '@/ui/LengthField';

/** Ten feet from the page is as far as a piece can be put. */
const FAR = 8640;

/** Exact numbers: the box's top left corner before turning, its size (proportions kept for pictures) and its turn. */
export function PlaceControls({ pieces, unit }: { pieces: readonly Piece[]; unit: Unit }) {
  const perform = useSession((session) => session.perform);
  const surfaceId = useSession((session) => session.surfaceId);
  const readOnly = useSession((session) => session.readOnly);
  const [piece] = pieces;
  if (!piece || pieces.length > 1)
    return <>Move or turn these together on the page; exact numbers are for one piece at a time.</>;
  const { placement } = piece;
  const { x, y, width, height, turn, locked } = placement;
  const disabled = locked || readOnly;
  const length =
    (least: number) =>
    (text: string): Result<number> => {
      const read = parseLength(text, unit);
      if (!read.ok) return read;
      if (read.value < least) return fail(`At least ${formatLength(least, unit, true)}.`);
      return read.value > FAR ? fail(`At most ${formatLength(FAR, unit, true)}.`) : read;
    };
  /** The new size with the top left corner kept; the other side follows, so that nothing is squashed. */
  const resize = (side: 'width' | 'height') => (value: number) => {
    const scale = value / placement[side];
    const to = {
      ...placement,
      width: width * scale,
      height: height * scale,
      x: x + (width * (scale - 1)) / 2,
      y: y + (height * (scale - 1)) / 2,
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
        read={length(-FAR)}
        onCommit={(value) => perform(placePiece(surfaceId, piece, 'move', { x: value + width / 2 }))}
      />
      <LengthField
        label="From top"
        unit={unit}
        disabled={disabled}
        shown={formatLength(y - height / 2, unit)}
        read={length(-FAR)}
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
    </Box>
  );
}

const readDegrees = (text: string): Result<number> => {
  const value = Number(text.replace(',', '.').replace('°', '').trim());
  return Number.isFinite(value) && Math.abs(value) <= 3600 ? ok(value) : fail('Degrees, such as 4 or -12.5.');
};
