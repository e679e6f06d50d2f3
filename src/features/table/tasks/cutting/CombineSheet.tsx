'use client';
/** Outlines together: joined, cut out of each other, overlapped, divided; grown and shrunk; broken into their parts. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import type { Combination } from '@/core/geometry/combine';
import type { Corners } from '@/core/geometry/offset';
import { ellipsePath } from '@/core/geometry/path';
import type { Result } from '@/core/result';
import { formatLength, toPoints } from '@/core/units/lengths';
import { measureWithin } from '@/features/table/parts/measures';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { SideSheet } from '@/features/table/parts/SideSheet';
import { useRun } from '@/features/table/tasks/cutting/useRun';
import { LengthField } from '@/ui/LengthField';

const WAYS: readonly { how: Combination; name: string; does: string; picture: string }[] = [
  {
    how: 'join',
    name: 'Join',
    does: 'All as one, of the lowest one’s material.',
    picture: 'M2 2H16V8H22V22H8V16H2Z',
  },
  {
    how: 'cut out',
    name: 'Cut out',
    does: 'The lowest one, without all that lies above it.',
    picture: 'M2 2H16V8H8V16H2Z',
  },
  { how: 'overlap', name: 'Overlap', does: 'Only where all of them lie.', picture: 'M8 8H16V16H8Z' },
  {
    how: 'divide',
    name: 'Divide',
    does: 'Every area on its own, of the material seen there.',
    picture: 'M2 2H16V7H7V16H2ZM8 8H16V16H8ZM17 8H22V22H8V17H17Z',
  },
];
const CORNER_NAMES: Record<Corners, string> = { round: 'Round', mitred: 'Mitred', straight: 'Straight' };

/** How wide the ring about a gap is, from its middle, pixels. */
const RING = 18;

export function CombineSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const unit = useSession((session) => session.history.project.unit);
  const selection = useSession((session) => session.selection);
  const history = useSession((session) => session.history);
  const [how, setHow] = useState<Combination>('join');
  const [keep, setKeep] = useState(false);
  const [closing, setClosing] = useState(toPoints(0.02, 'in'));
  const [told, setTold] = useState<Result<act.Told> | null>(null);
  const { busy, problem, run } = useRun();
  const readOnly = useSession((session) => session.readOnly);
  const many = selection.length > 1;
  useEffect(() => {
    let gone = false;
    const ask = async () => (many ? act.tellCombined(store.getState(), how, closing) : null);
    void ask().then((answer) => !gone && setTold(answer));
    return () => {
      gone = true;
    };
  }, [store, selection, history, how, closing, many]);
  // Where two only nearly touch is ringed on the page.
  const at = told?.ok ? told.value.near?.at : undefined;
  const zoom = useSession((session) => session.view.zoom);
  useEffect(() => {
    const { seek } = store.getState();
    const r = RING / zoom;
    seek(at ? ellipsePath({ x: at.x - r, y: at.y - r, width: 2 * r, height: 2 * r }) : null);
    return () => seek(null);
  }, [store, at, zoom]);
  const way = WAYS.find((each) => each.how === how)!;
  return (
    <SideSheet title="Outlines" onClose={onClose}>
      <ToggleButtonGroup
        exclusive
        fullWidth
        value={how}
        aria-label="How they are combined"
        onChange={(_, next: Combination | null) => next && setHow(next)}
        sx={{ mb: 1 }}
      >
        {WAYS.map((each) => (
          <ToggleButton
            key={each.how}
            value={each.how}
            sx={{ flexDirection: 'column', gap: 0.25, px: 0.5, fontSize: '0.85rem' }}
          >
            <svg width={26} height={26} viewBox="0 0 24 24" aria-hidden="true">
              <path d="M2 2H16V16H2ZM8 8H22V22H8Z" fill="none" stroke="currentColor" strokeOpacity={0.4} />
              <path d={each.picture} fill="currentColor" fillOpacity={0.75} />
            </svg>
            {each.name}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <Typography role="status" sx={{ mb: 1 }} color={told && !told.ok ? 'error' : undefined}>
        {!many
          ? 'Select two pieces or more to combine them.'
          : told === null
            ? way.does
            : told.ok
              ? `${way.does} ${inWords(told.value)}`
              : told.message}
      </Typography>
      {told?.ok && told.value.near && (
        <Typography sx={{ mb: 1 }} color="warning.main">
          “{told.value.near.names[0]}” and “{told.value.near.names[1]}” only nearly touch, where the ring is:{' '}
          {formatLength(told.value.near.gap, unit, true)} apart.
        </Typography>
      )}
      {how === 'join' && (
        <Box sx={{ mb: 1.25, mt: 0.5 }}>
          <LengthField
            label="Gaps count as near under"
            unit={unit}
            shown={formatLength(closing, unit)}
            read={measureWithin(unit, 0, 72)}
            onCommit={setClosing}
          />
        </Box>
      )}
      {(how === 'cut out' || how === 'overlap') && (
        <FormControlLabel
          control={<Switch checked={keep} onChange={(event) => setKeep(event.target.checked)} />}
          label="Keep the upper ones as well"
          sx={{ mb: 0.5 }}
        />
      )}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button
          variant="contained"
          disabled={readOnly || busy || !told?.ok}
          onClick={() => void run(() => act.combineChosen(store, how, { keep }))}
        >
          {way.name}
        </Button>
        {told?.ok && told.value.near && (
          <Button
            variant="outlined"
            disabled={readOnly || busy}
            onClick={() => void run(() => act.combineChosen(store, how, { closing }))}
          >
            Join and close the gaps
          </Button>
        )}
        {selection.length === 1 && (
          <Button
            variant="outlined"
            color="inherit"
            disabled={readOnly || busy}
            onClick={() => void run(() => act.breakChosen(store))}
          >
            Break into its parts
          </Button>
        )}
        {selection.length > 0 && (
          <Button variant="outlined" color="inherit" onClick={() => store.getState().openSheet('mix')}>
            Deal among papers …
          </Button>
        )}
      </Box>
      <Grow
        disabled={readOnly || !selection.length}
        onGrow={(by, corners) => void run(() => act.growChosen(store, by, corners))}
      />
      {problem && (
        <Typography role="alert" color="error" sx={{ mt: 1 }}>
          {problem}
        </Typography>
      )}
    </SideSheet>
  );
}

interface GrowProps {
  disabled: boolean;
  onGrow: (by: number, corners: Corners) => void;
}

/** All round by a length; smaller where it is below zero. */
function Grow({ disabled, onGrow }: GrowProps) {
  const unit = useSession((session) => session.history.project.unit);
  const [by, setBy] = useState(toPoints(0.125, 'in'));
  const [corners, setCorners] = useState<Corners>('round');
  return (
    <>
      <Typography component="h3" sx={{ fontWeight: 600, fontSize: '0.95rem', mt: 2.5, mb: 1 }}>
        Larger or smaller all round
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: '14px 8px' }}>
        <LengthField
          label="By"
          unit={unit}
          shown={formatLength(by, unit)}
          read={measureWithin(unit, 0.1, 720)}
          onCommit={setBy}
        />
        <TextField
          select
          label="Corners"
          value={corners}
          onChange={(event) => setCorners(event.target.value as Corners)}
        >
          {(Object.keys(CORNER_NAMES) as Corners[]).map((each) => (
            <MenuItem key={each} value={each}>
              {CORNER_NAMES[each]}
            </MenuItem>
          ))}
        </TextField>
        <Button variant="outlined" color="inherit" disabled={disabled} onClick={() => onGrow(by, corners)}>
          Grow
        </Button>
        <Button variant="outlined" color="inherit" disabled={disabled} onClick={() => onGrow(-by, corners)}>
          Shrink
        </Button>
      </Box>
    </>
  );
}

const counted = (count: number, one: string): string => `${count} ${one}${count === 1 ? '' : 's'}`;
const inWords = ({ parts, holes }: act.Told): string =>
  `${counted(parts, 'part')}${holes ? `, ${counted(holes, 'hole')}` : ''}.`;
