'use client';
/** Several pieces at once: exact numbers for all, lined up, spaced, set round a circle, brought back. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import IconButton from '@mui/material/IconButton';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Tooltip from '@mui/material/Tooltip';
import Typography from '@mui/material/Typography';
import {
  IconLayoutAlignBottom,
  IconLayoutAlignCenter,
  IconLayoutAlignLeft,
  IconLayoutAlignMiddle,
  IconLayoutAlignRight,
  IconLayoutAlignTop,
  IconLayoutDistributeHorizontal,
  IconLayoutDistributeVertical,
} from '@tabler/icons-react';
import { useState, type ReactNode } from 'react';
import type { AlignTo } from '@/core/page/arrange';
import { extentOfAll } from '@/core/page/extent';
import { toolsFor } from '@/core/page/outlines';
import { moveEach, turnEach } from '@/core/project/edits/place';
import { unitsOf } from '@/core/project/tree';
import { SMALLEST_PIECE } from '@/core/piece/placement/placement';
import type { Piece } from '@/core/piece/piece';
import { fail, type Result } from '@/core/result';
import { formatLength, toPoints, type Unit } from '@/core/units/lengths';
import { CENTRES, FARTHEST, measureWithin, readDegrees } from '@/features/table/parts/measures';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { ProportionSwitch } from '@/features/table/parts/ProportionSwitch';
import { LengthField } from '@/ui/LengthField';

const ALIGNMENTS: readonly [AlignTo, string, ReactNode][] = [
  ['left', 'Left edges', <IconLayoutAlignLeft key="l" size={20} />],
  ['centre', 'Middles, across', <IconLayoutAlignCenter key="c" size={20} />],
  ['right', 'Right edges', <IconLayoutAlignRight key="r" size={20} />],
  ['top', 'Upper edges', <IconLayoutAlignTop key="t" size={20} />],
  ['middle', 'Middles, down', <IconLayoutAlignMiddle key="m" size={20} />],
  ['bottom', 'Lower edges', <IconLayoutAlignBottom key="b" size={20} />],
];

const FRAMES: readonly act.Frame[] = ['each other', 'page', 'safe area'];

export function ArrangeControls({ pieces, unit }: { pieces: readonly Piece[]; unit: Unit }) {
  const { store } = useRoom();
  const surfaceId = useSession((session) => session.surfaceId);
  const perform = useSession((session) => session.perform);
  const entered = useSession((session) => session.entered);
  const growContents = useSession((session) => session.growContents);
  const readOnly = useSession((session) => session.readOnly);
  const units = unitsOf(pieces, entered).length;
  const [frame, setFrame] = useState<act.Frame>(units > 1 ? 'each other' : 'page');
  const allWords = pieces.every(({ outline }) => outline.kind === 'glyphs');
  const [proportion, setProportion] = useState(!allWords);
  const free = pieces.filter(({ placement }) => !placement.locked);
  if (readOnly || !free.length)
    return <>{readOnly ? 'Nothing can be changed here.' : 'All of these are locked.'}</>;
  const { history, typesetter } = store.getState();
  const box = extentOfAll(free, toolsFor(history.project, typesetter));
  const same = (value: (piece: Piece) => number) => {
    const first = value(free[0]!);
    return free.every((piece) => Math.abs(value(piece) - first) < 0.05) ? first : null;
  };
  const shownLength = (value: number | null) => (value === null ? '' : formatLength(value, unit));
  const moveAll = (by: { x: number; y: number }) =>
    perform(moveEach(surfaceId, free, 'move', new Map(free.map(({ id }) => [id, by]))));
  const size = measureWithin(unit, SMALLEST_PIECE, FARTHEST);
  const place = measureWithin(unit, -FARTHEST, FARTHEST);
  const turn = same(({ placement }) => placement.turn);
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.25 }}>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: '12px 8px' }}>
        <LengthField
          label="All from left"
          unit={unit}
          shown={formatLength(box.x, unit)}
          read={place}
          onCommit={(x) => moveAll({ x: x - box.x, y: 0 })}
        />
        <LengthField
          label="All from top"
          unit={unit}
          shown={formatLength(box.y, unit)}
          read={place}
          onCommit={(y) => moveAll({ x: 0, y: y - box.y })}
        />
        {(['width', 'height'] as const).map((side) => (
          <LengthField
            key={side}
            label={side === 'width' ? 'Width of each' : 'Height of each'}
            unit={unit}
            shown={shownLength(same(({ placement }) => placement[side]))}
            read={size}
            onCommit={(value) => act.sizeEach(store, free, side, value, proportion)}
          />
        ))}
        <LengthField
          label="Turn of each"
          unit="°"
          shown={turn === null ? '' : String(Math.round(turn * 10) / 10)}
          read={readDegrees}
          onCommit={(value) => perform(turnEach(surfaceId, free, value))}
        />
        <ProportionSwitch words={allWords} on={proportion} onChange={setProportion} />
      </Box>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', my: -0.5 }}>
        <Button
          size="small"
          color="inherit"
          onClick={() => act.mirror(store, 'y')}
          sx={{ minWidth: 0, px: 0.75 }}
        >
          Flip
        </Button>
        {CENTRES.map(([to, name]) => (
          <Button
            key={to}
            size="small"
            color="inherit"
            onClick={() => act.centreChosen(store, to)}
            sx={{ minWidth: 0, px: 0.75 }}
          >
            {name}
          </Button>
        ))}
      </Box>
      <Heading>Line up</Heading>
      <TextField
        select
        size="small"
        label="With"
        value={frame}
        onChange={(event) => setFrame(event.target.value as act.Frame)}
      >
        {FRAMES.map((one) => (
          <MenuItem key={one} value={one}>
            {one === 'each other' ? one : `the ${one}`}
          </MenuItem>
        ))}
      </TextField>
      <Box sx={{ display: 'flex', justifyContent: 'space-between' }}>
        {ALIGNMENTS.map(([to, name, icon]) => (
          <Tool key={to} name={name} onClick={() => act.alignChosen(store, to, frame)}>
            {icon}
          </Tool>
        ))}
      </Box>
      {units > 1 && (
        <>
          <SpaceOut frame={frame} unit={unit} />
          <SetRound unit={unit} />
        </>
      )}
      <FormControlLabel
        control={
          <Switch
            size="small"
            checked={growContents}
            onChange={(_, on) => store.getState().setGrowContents(on)}
          />
        }
        label="Letters and strokes grow along"
        sx={{ ml: 0, gap: 0.5 }}
      />
    </Box>
  );
}

/** The air between them, shared out or by number. */
function SpaceOut({ frame, unit }: { frame: act.Frame; unit: Unit }) {
  const { store } = useRoom();
  const [gap, setGap] = useState(toPoints(0.25, 'in'));
  return (
    <>
      <Heading>Space out</Heading>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button
          size="small"
          color="inherit"
          startIcon={<IconLayoutDistributeVertical size={18} />}
          onClick={() => act.distributeChosen(store, 'x', frame)}
        >
          Across
        </Button>
        <Button
          size="small"
          color="inherit"
          startIcon={<IconLayoutDistributeHorizontal size={18} />}
          onClick={() => act.distributeChosen(store, 'y', frame)}
        >
          Down
        </Button>
      </Box>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'flex-start' }}>
        <LengthField
          label="Gap"
          unit={unit}
          shown={formatLength(gap, unit)}
          read={measureWithin(unit, -FARTHEST, FARTHEST)}
          onCommit={setGap}
        />
        <Tool name="Across with this gap" onClick={() => act.distributeChosen(store, 'x', frame, gap)}>
          <IconLayoutDistributeVertical size={20} />
        </Tool>
        <Tool name="Down with this gap" onClick={() => act.distributeChosen(store, 'y', frame, gap)}>
          <IconLayoutDistributeHorizontal size={20} />
        </Tool>
      </Box>
    </>
  );
}

/** Round a circle, or a part of one. */
function SetRound({ unit }: { unit: Unit }) {
  const { store } = useRoom();
  const [radius, setRadius] = useState(toPoints(3, 'in'));
  const [sweep, setSweep] = useState(360);
  const [turned, setTurned] = useState(true);
  return (
    <>
      <Heading>Set round a circle or an arc</Heading>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
        <LengthField
          label="Radius"
          unit={unit}
          shown={formatLength(radius, unit)}
          read={measureWithin(unit, SMALLEST_PIECE, FARTHEST)}
          onCommit={setRadius}
        />
        <LengthField
          label="Part of it"
          unit="°"
          shown={String(sweep)}
          read={(text): Result<number> => {
            const read = readDegrees(text);
            return read.ok && (Math.abs(read.value) > 360 || read.value === 0)
              ? fail('From 1 to 360 degrees.')
              : read;
          }}
          onCommit={setSweep}
        />
      </Box>
      <Box sx={{ display: 'flex', alignItems: 'center' }}>
        <FormControlLabel
          control={<Switch size="small" checked={turned} onChange={(_, on) => setTurned(on)} />}
          label="Turn with it"
          sx={{ flex: 1, ml: 0, gap: 0.5 }}
        />
        <Button
          size="small"
          onClick={() => act.arcChosen(store, { radius, from: sweep >= 360 ? 0 : -sweep / 2, sweep }, turned)}
        >
          Set round
        </Button>
      </Box>
    </>
  );
}

const Heading = ({ children }: { children: ReactNode }) => (
  <Typography component="h3" sx={{ fontWeight: 600, fontSize: '0.9rem', mt: 0.5 }}>
    {children}
  </Typography>
);

const Tool = ({ name, onClick, children }: { name: string; onClick: () => void; children: ReactNode }) => (
  <Tooltip title={name}>
    <IconButton color="inherit" aria-label={name} onClick={onClick} sx={{ width: 38, height: 38 }}>
      {children}
    </IconButton>
  </Tooltip>
);
