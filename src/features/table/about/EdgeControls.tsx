'use client';
/** How the cut edge is worked: scalloped, perforated, torn; on which sides; how large. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import {
  IconBorderBottom,
  IconBorderLeft,
  IconBorderRight,
  IconBorderTop,
  IconRefresh,
} from '@tabler/icons-react';
import type { ReactNode } from 'react';
import {
  countAlong,
  FIRST_CORE,
  LARGEST_EDGE,
  NEW_EDGE,
  SMALLEST_EDGE,
  WIDEST_CORE,
  type Edge,
} from '@/core/piece/finish/edge';
import { EDGE_SIDES, type EdgeSide } from '@/core/geometry/runs';
import { PROFILES, type EdgeKind } from '@/core/piece/finish/profiles';
import { outlineKind } from '@/core/piece/outline';
import type { Piece } from '@/core/piece/piece';
import { changeFinish } from '@/core/project/edits/make';
import { formatLength, type Unit } from '@/core/units/lengths';
import { measureWithin } from '@/features/table/parts/measures';
import { useRoom, useSession } from '@/features/table/room/context';
import { LengthField } from '@/ui/LengthField';

const ICONS: Record<EdgeSide, ReactNode> = {
  top: <IconBorderTop size={20} />,
  right: <IconBorderRight size={20} />,
  bottom: <IconBorderBottom size={20} />,
  left: <IconBorderLeft size={20} />,
};

export function EdgeControls({ pieces, unit }: { pieces: readonly Piece[]; unit: Unit }) {
  const { store } = useRoom();
  const perform = useSession((session) => session.perform);
  const surfaceId = useSession((session) => session.surfaceId);
  const readOnly = useSession((session) => session.readOnly);
  const [piece] = pieces;
  if (!piece) return null;
  const { edge } = piece.finish;
  const set = (change: Partial<Edge>) =>
    perform(
      changeFinish(surfaceId, pieces, 'change edge', {
        edge: { ...NEW_EDGE, ...edge, ...change, sides: [...(change.sides ?? edge?.sides ?? EDGE_SIDES)] },
      }),
    );
  const choose = (kind: string) =>
    kind === 'plain'
      ? perform(changeFinish(surfaceId, pieces, 'change edge', { edge: undefined }))
      : set({ kind: kind as EdgeKind, ...(kind === 'torn' && !edge?.core ? { core: FIRST_CORE } : {}) });
  const { typesetter } = store.getState();
  const many =
    edge && pieces.length === 1
      ? countAlong(edge, outlineKind(piece.outline).cut(piece.outline, piece.placement, typesetter).path)
      : 0;
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: '12px 8px', pt: 0.5 }}>
      <TextField
        select
        label="Edge"
        value={edge?.kind ?? 'plain'}
        disabled={readOnly}
        onChange={(event) => choose(event.target.value)}
      >
        <MenuItem value="plain">Plain</MenuItem>
        {(Object.keys(PROFILES) as EdgeKind[]).map((kind) => (
          <MenuItem key={kind} value={kind}>
            {PROFILES[kind].name}
          </MenuItem>
        ))}
      </TextField>
      {edge && (
        <>
          <LengthField
            label={edge.kind === 'torn' ? 'How coarse' : 'Size of each'}
            unit={unit}
            disabled={readOnly}
            shown={formatLength(edge.size, unit)}
            read={measureWithin(unit, SMALLEST_EDGE, LARGEST_EDGE)}
            onCommit={(size) => set({ size })}
          />
          <ToggleButtonGroup
            value={edge.sides}
            disabled={readOnly}
            aria-label="Sides with this edge"
            onChange={(_, sides: EdgeSide[]) => sides.length && set({ sides })}
            sx={{ gridColumn: '1 / -1' }}
          >
            {EDGE_SIDES.map((side) => (
              <ToggleButton key={side} value={side} aria-label={side} title={`The ${side}`} sx={{ flex: 1 }}>
                {ICONS[side]}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          {edge.kind === 'torn' ? (
            <>
              <LengthField
                label="White inside"
                unit={unit}
                disabled={readOnly}
                shown={formatLength(edge.core, unit)}
                read={measureWithin(unit, 0, WIDEST_CORE)}
                onCommit={(core) => set({ core })}
              />
              <Button
                size="small"
                color="inherit"
                disabled={readOnly}
                startIcon={<IconRefresh size={17} />}
                onClick={() => set({ seed: (edge.seed + 1) % 1e6 })}
              >
                Tear anew
              </Button>
            </>
          ) : (
            many > 0 && (
              <Typography variant="caption" color="text.secondary" sx={{ gridColumn: '1 / -1' }}>
                {many} along its {edge.sides.length === 4 ? 'edge' : edge.sides.join(' and ')}, a whole number
                on each side.
              </Typography>
            )
          )}
        </>
      )}
    </Box>
  );
}
