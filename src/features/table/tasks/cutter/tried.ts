/** The simulated cutter's mat, painted: what was worked so far, the tool, and in the end what comes loose. */
import { toolAt } from '@/core/cutter/machine/run';
import { COLOURS } from '@/features/table/tasks/cutter/drawn';
import type { Tried } from '@/workers/cutter.worker';

type Rings = readonly (readonly { x: number; y: number }[])[];

const traced = (rings: Rings): Path2D => {
  const path = new Path2D();
  for (const ring of rings) {
    ring.forEach(({ x, y }, i) => (i ? path.lineTo(x, y) : path.moveTo(x, y)));
    path.closePath();
  }
  return path;
};

/** How far parts are lifted, points. */
const LIFT = 7;

export function paintTried(
  canvas: HTMLCanvasElement,
  { run, lifted }: Tried,
  time: number,
  lift: boolean,
): void {
  const context = canvas.getContext('2d');
  if (!context) return;
  const scale = canvas.width / run.size.width;
  context.setTransform(scale, 0, 0, scale, 0, 0);
  context.fillStyle = COLOURS.mat;
  context.fillRect(0, 0, run.size.width, run.size.height);
  grid(context, run.size);
  context.fillStyle = COLOURS.paper;
  if (lift) paintLifted(context, lifted);
  else {
    context.fillRect(0, 0, run.size.width, run.size.height);
    worked(context, run, time);
  }
}

function grid(context: CanvasRenderingContext2D, { width, height }: { width: number; height: number }): void {
  context.strokeStyle = 'rgba(255,255,255,0.2)';
  context.lineWidth = 1;
  context.beginPath();
  for (let x = 0; x <= width; x += 72) {
    context.moveTo(x, 0);
    context.lineTo(x, height);
  }
  for (let y = 0; y <= height; y += 72) {
    context.moveTo(0, y);
    context.lineTo(width, y);
  }
  context.stroke();
}

/** The ways so far: worked ones in the colour of what was done, empty ones faint. */
function worked(context: CanvasRenderingContext2D, run: Tried['run'], time: number): void {
  const { at, move: last, share } = toolAt(run, time);
  context.lineJoin = 'round';
  run.moves.slice(0, last + 1).forEach(({ doing, points, ink }, i) => {
    const until = i < last ? points.length : Math.floor(share) + 1;
    context.beginPath();
    points.slice(0, until).forEach(({ x, y }, k) => (k ? context.lineTo(x, y) : context.moveTo(x, y)));
    if (i === last) context.lineTo(at.x, at.y);
    context.setLineDash(doing === 'score' ? [5, 4] : doing === 'empty' ? [2, 5] : []);
    context.strokeStyle = doing === 'empty' ? 'rgba(60,56,66,0.3)' : (ink ?? COLOURS[doing]);
    context.lineWidth = doing === 'empty' ? 0.8 : 1.6;
    context.stroke();
  });
  context.setLineDash([]);
  context.fillStyle = 'rgba(37,35,42,0.9)';
  context.beginPath();
  context.arc(at.x, at.y, 6, 0, 2 * Math.PI);
  context.fill();
  context.strokeStyle = '#ffffff';
  context.lineWidth = 2;
  context.stroke();
}

/** The sheet with its holes stays; parts lie above it; what fell out of them lies where it fell, darker. */
function paintLifted(context: CanvasRenderingContext2D, { loose, rest }: Tried['lifted']): void {
  context.fill(traced(rest), 'evenodd');
  for (const { rings, fell } of loose) {
    if (!fell) continue;
    context.fillStyle = '#b9a98c';
    context.fill(traced(rings), 'evenodd');
  }
  for (const { rings, fell } of loose) {
    if (fell) continue;
    context.save();
    context.translate(-LIFT, -LIFT);
    context.shadowColor = 'rgba(20,14,8,0.55)';
    context.shadowBlur = 14;
    context.shadowOffsetX = 2 * LIFT;
    context.shadowOffsetY = 2 * LIFT;
    context.fillStyle = '#fbf6ea';
    context.fill(traced(rings), 'evenodd');
    context.restore();
  }
}
