'use client';
/** The simulated cutter: the file that goes out, cut before one's eyes, and what comes loose then. */
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Slider from '@mui/material/Slider';
import Typography from '@mui/material/Typography';
import { IconPlayerPause, IconPlayerPlay, IconPlayerSkipBack } from '@tabler/icons-react';
import { useEffect, useRef, useState } from 'react';
import { ACCELERATION, SPEEDS } from '@/core/cutter/machine/run';
import type { Result } from '@/core/result';
import { fromPoints } from '@/core/units/lengths';
import { paintTried } from '@/features/table/tasks/cutter/tried';
import { Chosen } from '@/ui/Chosen';
import { Turned } from '@/ui/Turned';
import { CUT_FORMATS, TRIED_FORMATS } from '@/output/cut/formats';
import type { CutOrder, Tried } from '@/workers/cutter.worker';

type TriedFormat = (typeof TRIED_FORMATS)[number];

interface Props {
  order: Omit<CutOrder, 'format' | 'unit' | 'title'>;
  mat: number;
  make: (order: CutOrder, mat: number) => Promise<Result<Tried>>;
}

/** How much faster than it would be. */
const FASTER = [1, 5, 20, 100] as const;

export function TryCutter({ order, mat, make }: Props) {
  const [format, setFormat] = useState<TriedFormat>('svg');
  const [tried, setTried] = useState<Result<Tried> | null>(null);
  useEffect(() => {
    let gone = false;
    void make({ ...order, title: 'Trial', unit: 'mm', format }, mat).then(
      (result) => !gone && setTried(result),
      (error: Error) => !gone && setTried({ ok: false, message: `It could not be tried: ${error.message}.` }),
    );
    return () => {
      gone = true;
      setTried(null);
    };
  }, [order, mat, format, make]);
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', minHeight: 0, height: '100%', gap: 1.5 }}>
      {tried === null && <Typography role="status">Reading the file …</Typography>}
      {tried && !tried.ok && <Alert severity="error">{tried.message}</Alert>}
      {tried?.ok && <Bench tried={tried.value} format={format} onFormat={setFormat} />}
    </Box>
  );
}

const clock = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`;
const metres = (points: number): string => `${(fromPoints(points, 'mm') / 1000).toFixed(2)} m`;

interface BenchProps {
  tried: Tried;
  format: TriedFormat;
  onFormat: (format: TriedFormat) => void;
}

function Bench({ tried, format, onFormat }: BenchProps) {
  const { run, lifted, dropped } = tried;
  const canvas = useRef<HTMLCanvasElement>(null);
  const [time, setTime] = useState(0);
  const [playing, setPlaying] = useState(false);
  const [faster, setFaster] = useState<number>(20);
  const [lift, setLift] = useState(false);
  useEffect(() => {
    if (!playing) return;
    let frame = 0;
    let last = performance.now();
    const step = (now: number) => {
      const by = ((now - last) / 1000) * faster;
      last = now;
      setTime((before) => Math.min(run.time, before + by));
      frame = requestAnimationFrame(step);
    };
    frame = requestAnimationFrame(step);
    return () => cancelAnimationFrame(frame);
  }, [playing, faster, run]);
  const done = time >= run.time;
  const going = playing && !done;
  useEffect(() => {
    const element = canvas.current;
    if (element) paintTried(element, tried, time, lift && time >= run.time);
  }, [tried, time, lift, run]);
  const parts = lifted.loose.filter(({ fell }) => !fell).length;
  const fallen = lifted.loose.length - parts;
  return (
    <>
      <Box sx={{ flex: 1, minHeight: 0, display: 'grid', placeItems: 'center' }}>
        <canvas
          ref={canvas}
          width={Math.round((run.size.width / Math.max(run.size.width, run.size.height)) * 1400)}
          height={Math.round((run.size.height / Math.max(run.size.width, run.size.height)) * 1400)}
          role="img"
          aria-label="The mat as the cutter works on it"
          style={{ maxWidth: '100%', maxHeight: '100%', minHeight: 0, borderRadius: 8 }}
        />
      </Box>
      <Box
        sx={{
          bgcolor: 'background.paper',
          borderRadius: 2,
          px: 2,
          py: 1.5,
          display: 'grid',
          gap: 1.25,
          flexShrink: 0,
        }}
      >
        <Box sx={{ display: 'grid', gridTemplateColumns: 'auto 1fr auto', gap: 2, alignItems: 'center' }}>
          <Box sx={{ display: 'flex' }}>
            <IconButton
              color="inherit"
              aria-label="To the beginning"
              onClick={() => (setTime(0), setPlaying(false))}
            >
              <IconPlayerSkipBack size={22} />
            </IconButton>
            <IconButton
              color="primary"
              aria-label={going ? 'Pause' : 'Cut'}
              onClick={() => {
                if (done) setTime(0);
                setPlaying(!going);
              }}
            >
              {going ? <IconPlayerPause size={26} /> : <IconPlayerPlay size={26} />}
            </IconButton>
          </Box>
          <Slider
            aria-label="How far it is"
            sx={{ '& .MuiSlider-thumb, & .MuiSlider-track': { transition: 'none' } }}
            value={time}
            min={0}
            max={run.time}
            step={run.time / 500 || 1}
            getAriaValueText={(value) => `${clock(value)} of ${clock(run.time)}`}
            onChange={(_, value) => {
              setPlaying(false);
              setTime(value);
            }}
          />
          <Typography variant="body2" sx={{ fontVariantNumeric: 'tabular-nums' }}>
            {clock(time)} of {clock(run.time)}
          </Typography>
        </Box>
        <Typography variant="body2" role="status">
          {parts} {parts === 1 ? 'part comes' : 'parts come'} loose
          {fallen > 0 && `, ${fallen} ${fallen === 1 ? 'falls' : 'fall'} out of them`}. {metres(run.worked)}{' '}
          worked, {metres(run.empty)} empty, at {SPEEDS.cut} mm/s cutting, {SPEEDS.empty} mm/s empty,{' '}
          {ACCELERATION} mm/s².
          {dropped.length > 0 && ` Not read: ${dropped.join(', ')}.`}
        </Typography>
        <Box
          sx={{
            display: 'grid',
            gridTemplateColumns: '150px 170px 1fr auto',
            gap: 1.5,
            alignItems: 'center',
          }}
        >
          <Chosen
            label="Shown faster"
            value={faster}
            all={FASTER.map((by) => [by, by === 1 ? 'as it is' : `${by} times`] as const)}
            disabled={false}
            onChoose={(by) => setFaster(Number(by))}
          />
          <Chosen
            label="File that is read"
            value={format}
            all={TRIED_FORMATS.map((id) => [id, CUT_FORMATS[id].name] as const)}
            disabled={false}
            onChoose={onFormat}
          />
          <span />
          {done ? (
            <Turned label="Lift the parts" on={lift} disabled={false} onTurn={setLift} />
          ) : (
            <Button
              color="inherit"
              onClick={() => {
                setPlaying(false);
                setTime(run.time);
                setLift(true);
              }}
            >
              To the end, and lift
            </Button>
          )}
        </Box>
      </Box>
    </>
  );
}
