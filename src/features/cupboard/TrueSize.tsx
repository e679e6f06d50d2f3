'use client';
/** How large a supply truly is. */
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { uprightSize } from '@/core/picture/asset';
import { fail } from '@/core/result';
import type { Supply } from '@/core/supplies/model';
import { formatLength, parseLength, toPoints, type Unit } from '@/core/units/lengths';
import { LARGEST_SIDE } from '@/core/units/sizes';
import { LengthField } from '@/ui/LengthField';

/** Smallest side a supply may have. */
const SMALLEST = toPoints(0.05, 'in');

export function TrueSize({
  supply,
  unit,
  onChange,
}: {
  supply: Supply;
  unit: Unit;
  onChange: (to: (supply: Supply) => Supply) => void;
}) {
  const asset = supply.asset!;
  const { width, height } = uprightSize(asset);
  // One density serves both sides, so the other side follows: nothing is ever squashed.
  const resize = (points: number, pixels: number) =>
    onChange((one) => ({
      ...one,
      asset: { ...one.asset!, ppi: Math.min(10_000, Math.max(1, (pixels * 72) / points)) },
    }));
  const field = (label: string, pixels: number) => (
    <LengthField
      label={label}
      unit={unit}
      shown={formatLength((pixels * 72) / asset.ppi, unit)}
      read={(text) => {
        const length = parseLength(text, unit);
        return length.ok && (length.value < SMALLEST || length.value > LARGEST_SIDE)
          ? fail(
              `Between ${formatLength(SMALLEST, unit, true)} and ${formatLength(LARGEST_SIDE, unit, true)}.`,
            )
          : length;
      }}
      onCommit={(points) => resize(points, pixels)}
    />
  );
  return (
    <Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
        {field('True width', width)}
        {field('True height', height)}
      </Box>
      <Typography variant="caption" color="text.secondary">
        {asset.type === 'image/svg+xml'
          ? 'Drawn: sharp at any size'
          : `${width} x ${height} pixels, ${Math.round(asset.ppi)} to the inch`}
      </Typography>
    </Box>
  );
}
