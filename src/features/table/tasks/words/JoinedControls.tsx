'use client';
/** Letters joined to one shape, for a cutter: touching, or on a bar. */
import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import type { Piece } from '@/core/piece/piece';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { RowSlider } from '@/ui/RowSlider';

const FIRST = { at: 0, thick: 0.08 };

export function JoinedControls({ piece }: { piece: Piece }) {
  const { store } = useRoom();
  const readOnly = useSession((session) => session.readOnly);
  if (piece.outline.kind !== 'glyphs') return null;
  const { joined } = piece.outline;
  const set = (next: typeof joined) => act.rewrite(store, piece.id, { joined: next });
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1 }}>
      <Typography id="joined-label" variant="body2">
        In one piece, for a cutter
      </Typography>
      <ToggleButtonGroup
        exclusive
        size="small"
        aria-labelledby="joined-label"
        value={joined?.how ?? 'apart'}
        disabled={readOnly}
        onChange={(_, how: 'apart' | 'touch' | 'bar' | null) =>
          how && set(how === 'apart' ? undefined : { ...FIRST, ...joined, how })
        }
        sx={{ '& .MuiToggleButton-root': { flex: 1 } }}
      >
        <ToggleButton value="apart">Apart</ToggleButton>
        <ToggleButton value="touch">Touching</ToggleButton>
        <ToggleButton value="bar">On a bar</ToggleButton>
      </ToggleButtonGroup>
      {joined?.how === 'bar' && (
        <Box>
          <RowSlider
            label="Bar, how high"
            least={-0.3}
            most={0.8}
            step={0.02}
            value={joined.at}
            says={`${Math.round(joined.at * 100)} %`}
            disabled={readOnly}
            onChange={(at) => set({ ...joined, at })}
          />
          <RowSlider
            label="Bar, how thick"
            least={0.02}
            most={0.4}
            step={0.01}
            value={joined.thick}
            says={`${Math.round(joined.thick * 100)} %`}
            disabled={readOnly}
            onChange={(thick) => set({ ...joined, thick })}
          />
        </Box>
      )}
    </Box>
  );
}
