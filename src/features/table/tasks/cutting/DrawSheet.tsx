'use client';
/** Outlines of one's own: drawn on the page by hand or point by point, and scissors. What is drawn waits until it is laid or cut. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { IconCrop, IconOvalVertical, IconPolygon, IconScissors, IconScribble } from '@tabler/icons-react';
import { useEffect, useState, type ReactNode } from 'react';
import { sharpKnot } from '@/core/geometry/knots';
import { LARGEST_EDGE, SMALLEST_EDGE } from '@/core/piece/finish/edge';
import { PROFILES, type EdgeKind } from '@/core/piece/finish/profiles';
import { formatLength } from '@/core/units/lengths';
import { FARTHEST, measureWithin, readDegrees } from '@/features/table/parts/measures';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { drawnPath, type Drawing, type Way } from '@/features/table/session/drawn';
import { SideSheet } from '@/features/table/parts/SideSheet';
import { useRun } from '@/features/table/tasks/cutting/useRun';
import { Dial } from '@/ui/Dial';
import { LengthField } from '@/ui/LengthField';

const WAYS: readonly { way: Way; name: string; icon: ReactNode; begin: string }[] = [
  {
    way: 'freehand',
    name: 'By hand',
    icon: <IconScribble size={22} />,
    begin: 'Draw round an area on the page; it closes by itself.',
  },
  {
    way: 'points',
    name: 'Points',
    icon: <IconPolygon size={22} />,
    begin: 'Press for each corner; press and pull for a curve. Press the first point again to close.',
  },
  {
    way: 'box',
    name: 'Box',
    icon: <IconCrop size={22} />,
    begin: 'Pull a box from corner to corner; with Shift a square.',
  },
  {
    way: 'round',
    name: 'Round',
    icon: <IconOvalVertical size={22} />,
    begin: 'Pull an oval from corner to corner; with Shift a circle.',
  },
  {
    way: 'scissors',
    name: 'Scissors',
    icon: <IconScissors size={22} />,
    begin: 'Draw a line across what is to be cut in two.',
  },
];

export function DrawSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const drawing = useSession((session) => session.drawing);
  const readOnly = useSession((session) => session.readOnly);
  const chosen = useSession((session) => act.cutThrough(session).length);
  const unit = useSession((session) => session.history.project.unit);
  const { busy, problem, setProblem, run } = useRun();
  useEffect(() => () => act.clearDrawing(store), [store]);
  const { way } = drawing;
  const set = (change: Partial<Drawing>) => {
    setProblem(null);
    act.setDrawing(store, change);
  };
  const ready = way === 'scissors' ? act.lineToCut(store.getState()) !== null : drawnPath(drawing) !== null;
  const begun = ready || drawing.line.length > 0 || drawing.knots.length > 0;
  return (
    <SideSheet title="Draw and cut" onClose={onClose}>
      <ToggleButtonGroup
        exclusive
        fullWidth
        value={way}
        aria-label="How it is drawn"
        onChange={(_, next: Way | null) => {
          if (!next) return;
          act.clearDrawing(store);
          set({ way: next });
        }}
        sx={{ mb: 1 }}
      >
        {WAYS.map(({ way: value, name, icon }) => (
          <ToggleButton
            key={value}
            value={value}
            sx={{ flexDirection: 'column', gap: 0.25, px: 0.25, fontSize: '0.85rem', textTransform: 'none' }}
          >
            {icon}
            {name}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <Typography role="status" sx={{ mb: 1.5 }}>
        {ready ? whatNow(way, chosen) : WAYS.find((each) => each.way === way)!.begin}
      </Typography>
      {(way === 'freehand' || (way === 'scissors' && !drawing.straight)) && (
        <Dial
          name="Smoothing"
          unit="%"
          least={0}
          most={100}
          value={Math.round(drawing.smoothing * 100)}
          onChange={(value) => set({ smoothing: value / 100 })}
        />
      )}
      {way === 'points' && <PointFields onProblem={setProblem} />}
      {way === 'scissors' && (
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: '12px 8px', mb: 1.5 }}>
          <FormControlLabel
            sx={{ gridColumn: '1 / -1', my: -0.5 }}
            control={
              <Switch
                checked={drawing.straight}
                onChange={(event) => set({ straight: event.target.checked })}
              />
            }
            label="In a straight line"
          />
          <TextField
            select
            label="Blade"
            value={drawing.blade}
            onChange={(event) => set({ blade: event.target.value as Drawing['blade'] })}
          >
            <MenuItem value="plain">Plain</MenuItem>
            {BLADES.map((kind) => (
              <MenuItem key={kind} value={kind}>
                {PROFILES[kind].name}
              </MenuItem>
            ))}
          </TextField>
          {drawing.blade !== 'plain' && (
            <LengthField
              label={drawing.blade === 'torn' ? 'How coarse' : 'Size of each'}
              unit={unit}
              shown={formatLength(drawing.tooth, unit)}
              read={measureWithin(unit, SMALLEST_EDGE, LARGEST_EDGE)}
              onCommit={(tooth) => set({ tooth })}
            />
          )}
          <Across disabled={!chosen} />
        </Box>
      )}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {way === 'scissors' ? (
          <Button
            variant="contained"
            disabled={readOnly || busy || !ready || !chosen}
            onClick={() => void run(() => act.scissor(store))}
          >
            Cut in two
          </Button>
        ) : (
          <>
            <Button
              variant={chosen ? 'outlined' : 'contained'}
              color={chosen ? 'inherit' : 'primary'}
              disabled={readOnly || busy || !ready}
              onClick={() => void run(() => act.layDrawing(store))}
            >
              Lay it
            </Button>
            {chosen > 0 && (
              <Button
                variant="contained"
                disabled={readOnly || busy || !ready}
                onClick={() => void run(() => act.cutToDrawing(store))}
              >
                Cut to it
              </Button>
            )}
          </>
        )}
        <Button color="inherit" disabled={!begun} onClick={() => act.clearDrawing(store)}>
          Draw again
        </Button>
      </Box>
      {problem && (
        <Typography role="alert" color="error" sx={{ mt: 1 }}>
          {problem}
        </Typography>
      )}
    </SideSheet>
  );
}

const BLADES = (Object.keys(PROFILES) as EdgeKind[]).filter((kind) => kind !== 'lace');

const whatNow = (way: Way, chosen: number): string => {
  const them = chosen === 1 ? 'the selected piece' : `the ${chosen} selected pieces`;
  if (way === 'scissors')
    return chosen
      ? `Cuts ${them} in two here. A line that ends inside goes on straight.`
      : 'Select what is to be cut.';
  return chosen
    ? `Lay it as a new piece, or leave of ${them} only what lies inside.`
    : 'Lay it as a new piece of cardstock.';
};

/** Points by number: the keyboard’s way, and the exact one. */
function PointFields({ onProblem }: { onProblem: (problem: string | null) => void }) {
  const { store } = useRoom();
  const unit = useSession((session) => session.history.project.unit);
  const { knots, closed } = useSession((session) => session.drawing);
  const [next, setNext] = useState({ x: 72, y: 72 });
  const field = (axis: 'x' | 'y', label: string) => (
    <LengthField
      label={label}
      unit={unit}
      disabled={closed}
      shown={formatLength(next[axis], unit)}
      read={measureWithin(unit, -FARTHEST, FARTHEST)}
      onCommit={(value) => setNext((now) => ({ ...now, [axis]: value }))}
    />
  );
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: '10px 8px', mb: 1.5 }}>
      {field('x', 'Next point across')}
      {field('y', 'Next point down')}
      <Button
        color="inherit"
        variant="outlined"
        size="small"
        disabled={closed}
        onClick={() => act.setDrawing(store, { knots: [...knots, sharpKnot(next)] })}
      >
        Add the point
      </Button>
      <Button
        color="inherit"
        variant="outlined"
        size="small"
        disabled={closed || knots.length < 2}
        onClick={() => {
          const straight = knots.every(({ x, y, after }) => after.x === x && after.y === y);
          if (straight && knots.length < 3) return onProblem('Two points enclose nothing: set one more.');
          onProblem(null);
          act.setDrawing(store, { closed: true });
        }}
      >
        Close it
      </Button>
      <Button
        size="small"
        color="inherit"
        disabled={!knots.length}
        onClick={() => act.dropPoint(store)}
        sx={{ gridColumn: '1 / -1' }}
      >
        {closed ? 'Open it again' : `Take back point ${knots.length || ''}`}
      </Button>
    </Box>
  );
}

/** A cut by number, right across: at an angle, so far from the middle. */
function Across({ disabled }: { disabled: boolean }) {
  const { store } = useRoom();
  const unit = useSession((session) => session.history.project.unit);
  const [angle, setAngle] = useState(0);
  const [away, setAway] = useState(0);
  return (
    <>
      <LengthField
        label="Angle"
        unit="°"
        disabled={disabled}
        shown={String(angle)}
        read={readDegrees}
        onCommit={(value) => {
          setAngle(value);
          act.lineAcross(store, value, away);
        }}
      />
      <LengthField
        label="Off the middle"
        unit={unit}
        disabled={disabled}
        shown={formatLength(away, unit)}
        read={measureWithin(unit, -FARTHEST, FARTHEST)}
        onCommit={(value) => {
          setAway(value);
          act.lineAcross(store, angle, value);
        }}
      />
      <Button
        size="small"
        variant="outlined"
        color="inherit"
        disabled={disabled}
        onClick={() => act.lineAcross(store, angle, away)}
        sx={{ gridColumn: '1 / -1' }}
      >
        Line right across it
      </Button>
    </>
  );
}
