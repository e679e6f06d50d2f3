/**
 * HP-GL: what its pens do, in plotter units of 0.025 mm with y upwards (HP 7475A Graphics Plotter, Interfacing and Programming
 * Manual, 1983, from memory). Text, fills and scaling are left out and named.
 */
import type { Size } from '@/core/geometry/box';
import type { Point } from '@/core/geometry/matrix';
import {
  PER_UNIT,
  tooMuch,
  turnedOver,
  type ReadOutline,
  type ReadOutlines,
} from '@/core/cutter/read/outlines';
import { DOINGS, type Doing } from '@/core/cutter/model';
import { fail, ok, type Result } from '@/core/result';

/** What changes how a plotter works and nothing of where its pens go. */
const QUIET = new Set([
  'IN',
  'DF',
  'IP',
  'VS',
  'FS',
  'LT',
  'PT',
  'WU',
  'PW',
  'AS',
  'SI',
  'CA',
  'CS',
  'DT',
  'PG',
  'AF',
  'OP',
  'OS',
  'IW',
  'TB',
  'NP',
  'WD',
]);
const WORDS: Record<string, string> = {
  LB: 'words',
  SC: 'a scale of its own',
  RO: 'a turn of the whole',
  FT: 'fills',
  PM: 'filled shapes',
};
/** Sides of an arc turn by at most this, degrees, if the file says nothing else. */
const CHORD = 5;
const PENS: Record<number, Doing> = { 1: 'cut', 2: 'score' };

export function readHpgl(text: string): Result<ReadOutlines> {
  const dropped = new Set<string>();
  const outlines: ReadOutline[] = [];
  let [here, down, relative, pen]: [Point, boolean, boolean, number] = [{ x: 0, y: 0 }, false, false, 1];
  let run: Point[] = [];
  // The field that is plotted on, where the file says how large it is.
  let extent: Size | undefined;
  const doing = (): Doing => PENS[pen] ?? DOINGS[0];
  const end = () => {
    if (run.length > 1) outlines.push(outline(run, doing()));
    run = [];
  };
  const go = (to: Point) => {
    if (down) {
      if (!run.length) run = [here];
      run.push(to);
    }
    here = to;
  };
  // A label goes on to its end mark (ETX), whatever is in it.
  const plain = text.replace(/LB[^\x03]*(\x03|$)/g, (label) => (label ? (dropped.add(WORDS.LB!), ';') : ''));
  const commands = [...plain.matchAll(/([A-Za-z]{2})([^A-Za-z;]*)/g)];
  if (!commands.some(([, name]) => /^(PD|PA|PR|CI|AA|AR)$/i.test(name!)))
    return fail('is no HP-GL: no pen goes down in it');
  for (const [, written, rest] of commands) {
    const name = written!.toUpperCase();
    const numbers = (rest!.match(/[-+]?(?:\d+\.?\d*|\.\d+)/g) ?? []).map(Number);
    if (numbers.some((n) => Math.abs(n) > 1e7)) return fail('holds numbers beyond any plotter');
    const pairs = (): Point[] =>
      Array.from({ length: Math.floor(numbers.length / 2) }, (_, i) => ({
        x: numbers[2 * i]!,
        y: numbers[2 * i + 1]!,
      }));
    const all = () =>
      pairs().forEach(({ x, y }) => go(relative ? { x: here.x + x, y: here.y + y } : { x, y }));
    if (name === 'IP' && numbers.length === 4) {
      const [x1, y1, x2, y2] = numbers as [number, number, number, number];
      if (x1 === 0 && y1 === 0 && x2 > 0 && y2 > 0)
        extent = { width: x2 * PER_UNIT.plotter, height: y2 * PER_UNIT.plotter };
    } else if (name === 'PU' || name === 'PD') {
      if (name === 'PU') end();
      down = name === 'PD';
      all();
    } else if (name === 'PA' || name === 'PR') {
      relative = name === 'PR';
      all();
    } else if (name === 'SP') {
      end();
      down = false;
      pen = numbers[0] ?? 0;
    } else if (name === 'AA' || name === 'AR') {
      const [x = 0, y = 0, sweep = 0, chord = CHORD] = numbers;
      arc(name === 'AA' ? { x, y } : { x: here.x + x, y: here.y + y }, sweep, chord).forEach(go);
    } else if (name === 'CI') {
      const [radius = 0, chord = CHORD] = numbers;
      const middle = here;
      end();
      outlines.push(outline(ring(middle, Math.abs(radius), chord), doing()));
    } else if (!QUIET.has(name)) dropped.add(WORDS[name] ?? `the command ${name}`);
  }
  end();
  const scaled = outlines.map((line) => ({
    ...line,
    points: line.points.map(({ x, y }) => ({ x: x * PER_UNIT.plotter, y: y * PER_UNIT.plotter })),
  }));
  if (!scaled.length) return fail('holds no outline that could be cut');
  const over = turnedOver(scaled, extent);
  const why = tooMuch(over);
  return why ? fail(why) : ok({ ...over, unit: 'plotter', said: true, dropped: [...dropped] });

  function arc(middle: Point, sweep: number, chord: number): Point[] {
    const steps = Math.min(3600, Math.max(1, Math.ceil(Math.abs(sweep) / Math.max(0.5, Math.abs(chord)))));
    const [from, radius] = [
      Math.atan2(here.y - middle.y, here.x - middle.x),
      Math.hypot(here.x - middle.x, here.y - middle.y),
    ];
    return Array.from({ length: steps }, (_, i) => {
      const angle = from + (((sweep * Math.PI) / 180) * (i + 1)) / steps;
      return { x: middle.x + radius * Math.cos(angle), y: middle.y + radius * Math.sin(angle) };
    });
  }
}

const ring = ({ x, y }: Point, radius: number, chord: number): Point[] => {
  const steps = Math.min(720, Math.max(8, Math.ceil(360 / Math.max(0.5, Math.abs(chord)))));
  return Array.from({ length: steps + 1 }, (_, i) => {
    const angle = (2 * Math.PI * i) / steps;
    return { x: x + radius * Math.cos(angle), y: y + radius * Math.sin(angle) };
  });
};

/** What comes back to its beginning, within a plotter unit or two, is closed. */
function outline(points: readonly Point[], doing: Doing): ReadOutline {
  const [a, b] = [points[0]!, points.at(-1)!];
  const closed = points.length > 3 && Math.hypot(a.x - b.x, a.y - b.y) <= 2;
  return { points: closed ? points.slice(0, -1) : [...points], closed, doing };
}
