'use client';
/** Tuck: where the selected piece lies over or under others, each crossing turned by itself, here or on the page. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import IconButton from '@mui/material/IconButton';
import Switch from '@mui/material/Switch';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Tooltip from '@mui/material/Tooltip';
import Typography from '@mui/material/Typography';
import { IconArrowsUpDown } from '@tabler/icons-react';
import { useState } from 'react';
import type { Crossing } from '@/core/page/tuck';
import type { Piece } from '@/core/piece/piece';
import { formatLength } from '@/core/units/lengths';
import { FARTHEST, measureWithin, readDegrees, tellsApart } from '@/features/table/parts/measures';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { useCrossings } from '@/features/table/parts/useCrossings';
import { SideSheet } from '@/features/table/parts/SideSheet';
import { LengthField } from '@/ui/LengthField';

export function TuckSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const selection = useSession((session) => session.selection);
  const readOnly = useSession((session) => session.readOnly);
  const unit = useSession((session) => session.history.project.unit);
  const found = useCrossings();
  const [id] = selection;
  const met = metBy(found, id);
  return (
    <SideSheet title="Tuck" onClose={onClose}>
      <Typography role="status" sx={{ mb: 1 }}>
        {selection.length !== 1
          ? 'Select the piece that shall pass over some things and under others: a string, a ribbon, a photo.'
          : found.length === 0
            ? 'It lies on or under no other piece. Lay it across one first.'
            : `It meets ${met.length === 1 ? 'one other piece' : `${met.length} other pieces`}. Choose for each, or press a number on the page for that place alone.`}
      </Typography>
      <Box component="ul" aria-label="Pieces it meets" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {met.map(({ other, places }) => {
          const ways = new Set(places.map(({ crossing }) => act.passesHow(crossing, id!)));
          const [way] = ways;
          return (
            <Box
              component="li"
              key={other.id}
              sx={{ py: 0.75, borderTop: '1px dotted', borderColor: 'divider' }}
            >
              <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
                <Box
                  component="span"
                  sx={{ flex: 1, minWidth: 0, overflow: 'hidden', textOverflow: 'ellipsis', fontWeight: 600 }}
                >
                  {other.name || other.role}
                  <Box component="span" sx={{ display: 'block', fontSize: 14, fontWeight: 400 }}>
                    {places.length === 1 ? `Place ${places[0]!.number}: ` : ''}
                    {tellsApart(other, unit)}
                  </Box>
                </Box>
                <ToggleButtonGroup
                  exclusive
                  size="small"
                  disabled={readOnly}
                  value={ways.size === 1 ? way : null}
                  aria-label={other.name || other.role}
                  onChange={(_, next: 'over' | 'under' | null) =>
                    act.passEverywhere(
                      store,
                      places.map(({ crossing }) => crossing),
                      next ?? (way === 'under' ? 'under' : 'over'),
                    )
                  }
                >
                  <ToggleButton value="over">Over</ToggleButton>
                  <ToggleButton value="under">Under</ToggleButton>
                </ToggleButtonGroup>
              </Box>
              <Places places={places} id={id!} />
            </Box>
          );
        })}
      </Box>
    </SideSheet>
  );
}

interface Place {
  /** As it is numbered on the page, from 1. */
  number: number;
  crossing: Crossing;
}

/** The pieces that are met, each with the places. */
function metBy(found: readonly Crossing[], id: string | undefined): { other: Piece; places: Place[] }[] {
  const met = new Map<string, { other: Piece; places: Place[] }>();
  found.forEach((crossing, i) => {
    const other = crossing.upper.id === id ? crossing.lower : crossing.upper;
    const known = met.get(other.id) ?? { other, places: [] };
    known.places.push({ number: i + 1, crossing });
    met.set(other.id, known);
  });
  return [...met.values()];
}

/** Each place by itself: shut until it is wanted, or one of them differs from the others. */
function Places({ places, id }: { places: readonly Place[]; id: string }) {
  const { store } = useRoom();
  const unit = useSession((session) => session.history.project.unit);
  const readOnly = useSession((session) => session.readOnly);
  const differ = new Set(places.map(({ crossing }) => act.passesHow(crossing, id))).size > 1;
  const slits = places.some(({ crossing }) => crossing.tuck?.slit);
  const [wanted, setWanted] = useState(false);
  const open = wanted || differ || slits;
  const [only] = places;
  return (
    <>
      {!open && places.length > 1 && (
        <Button size="small" color="inherit" onClick={() => setWanted(true)} sx={{ px: 0.5 }}>
          Place by place ({places.length}) …
        </Button>
      )}
      {!open && places.length === 1 && only!.crossing.upper.id === id && (
        <Button
          size="small"
          color="inherit"
          disabled={readOnly}
          onClick={() => act.passCrossing(store, only!.crossing, 'slit')}
          sx={{ px: 0.5 }}
        >
          Through a slit
        </Button>
      )}
      {open && (
        <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0 }}>
          {places.map(({ crossing, number }) => {
            const how = act.passesHow(crossing, id);
            const slit = crossing.upper.id === id ? act.slitLies(crossing) : null;
            return (
              <Box
                component="li"
                key={number}
                sx={{
                  display: 'flex',
                  alignItems: 'center',
                  flexWrap: 'wrap',
                  gap: 1,
                  py: 0.4,
                }}
              >
                <Box
                  component="span"
                  sx={{ flex: 1, minWidth: 0, overflow: 'hidden', textOverflow: 'ellipsis' }}
                >
                  Place {number}
                </Box>
                <ToggleButtonGroup
                  exclusive
                  size="small"
                  disabled={readOnly}
                  value={how}
                  aria-label={`Place ${number}`}
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
                        aria-label={`Other side of slit ${number}`}
                        onClick={() =>
                          act.laySlit(store, crossing, { angle: slit.angle + 180, away: -slit.away })
                        }
                      >
                        <IconArrowsUpDown size={18} />
                      </IconButton>
                    </Tooltip>
                  </Box>
                )}
                {slit && (
                  <Box sx={{ display: 'flex', gap: 1, width: '100%', alignItems: 'center' }}>
                    <FormControlLabel
                      sx={{ flexShrink: 0, mr: 0.5 }}
                      control={
                        <Switch
                          checked={slit.apart !== null}
                          disabled={readOnly}
                          onChange={(event) =>
                            event.target.checked
                              ? act.cutSecond(store, crossing)
                              : act.comeOut(store, crossing, null)
                          }
                        />
                      }
                      label="Out again"
                    />
                    {slit.apart !== null && (
                      <LengthField
                        label="Slits apart"
                        unit={unit}
                        disabled={readOnly}
                        shown={formatLength(slit.apart, unit)}
                        read={measureWithin(unit, 1, FARTHEST)}
                        onCommit={(apart) => act.comeOut(store, crossing, apart)}
                      />
                    )}
                  </Box>
                )}
              </Box>
            );
          })}
        </Box>
      )}
    </>
  );
}
