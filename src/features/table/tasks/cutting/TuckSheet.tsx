'use client';
/** Tuck: where the selected piece lies over or under others, each crossing turned by itself, here or on the page. */
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Tooltip from '@mui/material/Tooltip';
import Typography from '@mui/material/Typography';
import { IconArrowsUpDown } from '@tabler/icons-react';
import { formatLength } from '@/core/units/lengths';
import { FARTHEST, measureWithin, readDegrees } from '@/features/table/parts/measures';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { useCrossings } from '@/features/table/parts/useCrossings';
import { SideSheet } from '@/features/table/parts/SideSheet';
import { LengthField } from '@/ui/LengthField';

export function TuckSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const selection = useSession((session) => session.selection);
  const unit = useSession((session) => session.history.project.unit);
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
          const how = act.passesHow(crossing, id!);
          const slit = crossing.upper.id === id ? act.slitLies(crossing) : null;
          return (
            <Box
              component="li"
              key={i}
              sx={{
                display: 'flex',
                alignItems: 'center',
                flexWrap: 'wrap',
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
                value={how}
                aria-label={`Crossing ${i + 1}, ${other.name || other.role}`}
                onChange={(_, next: act.Passes | null) => next && act.passCrossing(store, crossing, next)}
              >
                <ToggleButton value="over">Over</ToggleButton>
                <ToggleButton value="under">Under</ToggleButton>
                {crossing.upper.id === id && (
                  <ToggleButton value="slit" title="Through a slit: one side is beneath">
                    Slit
                  </ToggleButton>
                )}
              </ToggleButtonGroup>
              {slit && (
                <Box sx={{ display: 'flex', gap: 1, width: '100%', pt: 0.5 }}>
                  <LengthField
                    label="Angle"
                    unit="°"
                    disabled={readOnly}
                    shown={String(Math.round(slit.angle * 10) / 10)}
                    read={readDegrees}
                    onCommit={(angle) => act.laySlit(store, crossing, { angle, away: slit.away })}
                  />
                  <LengthField
                    label="Off its middle"
                    unit={unit}
                    disabled={readOnly}
                    shown={formatLength(slit.away, unit)}
                    read={measureWithin(unit, -FARTHEST, FARTHEST)}
                    onCommit={(away) => act.laySlit(store, crossing, { angle: slit.angle, away })}
                  />
                  <Tooltip title="The other side goes beneath">
                    <IconButton
                      color="inherit"
                      disabled={readOnly}
                      aria-label={`Other side of slit ${i + 1}`}
                      onClick={() =>
                        act.laySlit(store, crossing, { angle: slit.angle + 180, away: -slit.away })
                      }
                    >
                      <IconArrowsUpDown size={18} />
                    </IconButton>
                  </Tooltip>
                </Box>
              )}
            </Box>
          );
        })}
      </Box>
    </SideSheet>
  );
}
