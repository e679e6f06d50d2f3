'use client';

import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Tooltip from '@mui/material/Tooltip';
import Typography from '@mui/material/Typography';
import { pathData } from '@/core/geometry/path';
import type { Outline } from '@/core/piece/outline';
import { ellipse } from '@/core/piece/outline/ellipse';
import { path } from '@/core/piece/outline/path';
import { rectangle } from '@/core/piece/outline/rectangle';
import { SHAPES } from '@/core/piece/outline/shapes';
import type { Piece } from '@/core/piece/piece';
import { changeOutline } from '@/core/project/edits/make';
import { fail } from '@/core/result';
import { formatLength, parseLength, type Unit } from '@/core/units/lengths';
import { useSession } from '@/features/table/room/context';
import { LengthField } from '@/ui/LengthField';

const ICON = { width: 26, height: 26 };
/** Cuts that need no letters never ask the typesetter. */
const NO_TYPE = undefined as never;

const CHOICES: readonly { name: string; outline: Exclude<Outline, { kind: 'glyphs' }>; drawing: string }[] = [
  {
    name: 'Rectangle',
    outline: { kind: 'rectangle', radius: 0 },
    drawing: pathData(
      rectangle.cut({ kind: 'rectangle', radius: 0 }, { width: 26, height: 20 }, NO_TYPE).path,
    ),
  },
  {
    name: 'Rounded',
    outline: { kind: 'rectangle', radius: 18 },
    drawing: pathData(
      rectangle.cut({ kind: 'rectangle', radius: 6 }, { width: 26, height: 20 }, NO_TYPE).path,
    ),
  },
  {
    name: 'Ellipse',
    outline: { kind: 'ellipse' },
    drawing: pathData(ellipse.cut({ kind: 'ellipse' }, ICON, NO_TYPE).path),
  },
  ...SHAPES.map((outline) => ({
    name: outline.name,
    outline,
    drawing: pathData(path.cut(outline, ICON, NO_TYPE).path),
  })),
];

const nameOf = (outline: Outline): string =>
  outline.kind === 'path'
    ? outline.name
    : outline.kind === 'ellipse'
      ? 'Ellipse'
      : outline.kind === 'rectangle'
        ? outline.radius
          ? 'Rounded'
          : 'Rectangle'
        : '';

export function CutControls({ pieces, unit }: { pieces: readonly Piece[]; unit: Unit }) {
  const perform = useSession((session) => session.perform);
  const surfaceId = useSession((session) => session.surfaceId);
  const readOnly = useSession((session) => session.readOnly);
  const cuttable = pieces.filter((piece) => piece.outline.kind !== 'glyphs' && !piece.placement.locked);
  const [piece] = cuttable;
  if (!piece)
    return (
      <Typography variant="body2" color="text.secondary">
        {pieces.some((p) => p.placement.locked)
          ? 'Locked: unlock it to cut it anew.'
          : 'Words are cut to their letters.'}
      </Typography>
    );
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.5 }}>
      <ToggleButtonGroup
        exclusive
        disabled={readOnly}
        value={nameOf(piece.outline)}
        onChange={(_, name: string | null) => {
          const choice = CHOICES.find((candidate) => candidate.name === name);
          if (choice) perform(changeOutline(surfaceId, cuttable, choice.outline));
        }}
        aria-label="Cut to a shape"
        sx={{
          display: 'grid',
          gridTemplateColumns: 'repeat(4, 1fr)',
          gap: 0.75,
          '& .MuiToggleButton-root': {
            border: 1,
            borderColor: 'divider',
            borderRadius: 1.5,
            height: 46,
            m: 0,
          },
        }}
      >
        {CHOICES.map(({ name, drawing }) => (
          <ToggleButton key={name} value={name} aria-label={name}>
            <Tooltip title={name}>
              <svg width={36} height={32} viewBox="-18 -16 36 32" aria-hidden="true">
                <path
                  d={drawing}
                  fill="currentColor"
                  fillOpacity={0.22}
                  stroke="currentColor"
                  strokeWidth={1.6}
                />
              </svg>
            </Tooltip>
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      {piece.outline.kind === 'rectangle' && (
        <LengthField
          label="Corner radius"
          unit={unit}
          disabled={readOnly}
          shown={formatLength(piece.outline.radius, unit)}
          read={(text) => {
            const read = parseLength(text, unit);
            return read.ok && (read.value < 0 || read.value > 4320) ? fail('From 0 to 60 in.') : read;
          }}
          onCommit={(radius) => perform(changeOutline(surfaceId, cuttable, { kind: 'rectangle', radius }))}
        />
      )}
    </Box>
  );
}
