'use client';
/** Tuck: where the selected piece lies over or under others, each crossing turned by itself, here or on the page. */
import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import * as act from '@/features/table/room/actions';
import { useRoom, useSession } from '@/features/table/room/context';
import { useCrossings } from '@/features/table/room/useCrossings';
import { SideSheet } from '@/features/table/sheets/SideSheet';

export function TuckSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const selection = useSession((session) => session.selection);
  const readOnly = useSession((session) => session.readOnly);
  const found = useCrossings();
  const [id] = selection;
  return (
    <SideSheet title="Tuck" onClose={onClose}>
      <Typography role="status" sx={{ mb: 1 }}>
        {selection.length !== 1
          ? 'Select the piece that shall pass over some things and under others: a string, a ribbon, a photo.'
          : found.length === 0
            ? 'It lies on or under no other piece. Lay it across one first.'
            : `It meets others at ${found.length} ${found.length === 1 ? 'place' : 'places'}, numbered on the page. Press a number there, or choose here.`}
      </Typography>
      <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {found.map((crossing, i) => {
          const other = crossing.upper.id === id ? crossing.lower : crossing.upper;
          const over = act.passesOver(crossing, id!);
          return (
            <Box
              component="li"
              key={i}
              sx={{
                display: 'flex',
                alignItems: 'center',
                gap: 1,
                py: 0.75,
                borderTop: '1px dotted',
                borderColor: 'divider',
              }}
            >
              <Box
                component="span"
                sx={{ flex: 1, minWidth: 0, overflow: 'hidden', textOverflow: 'ellipsis' }}
              >
                {i + 1}. {other.name || other.role}
              </Box>
              <ToggleButtonGroup
                exclusive
                size="small"
                disabled={readOnly}
                value={over ? 'over' : 'under'}
                aria-label={`Crossing ${i + 1}, ${other.name || other.role}`}
                onChange={(_, next: string | null) =>
                  next && next !== (over ? 'over' : 'under') && act.turnCrossing(store, crossing)
                }
              >
                <ToggleButton value="over">Over</ToggleButton>
                <ToggleButton value="under">Under</ToggleButton>
              </ToggleButtonGroup>
            </Box>
          );
        })}
      </Box>
    </SideSheet>
  );
}
