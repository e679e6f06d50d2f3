/** Lines drawn by hand: what is cut is whatever runs along them. */
import { array, number, object, string } from 'yup';
import { boxOfPoints, corners, outset, type Box, type Size } from '@/core/geometry/box';
import type { Point } from '@/core/geometry/matrix';
import { translation } from '@/core/geometry/matrix';
import { rectanglePath, transformPath, type Path } from '@/core/geometry/path';
import { common, pathOfRings, without } from '@/core/geometry/offset';
import { movedMarks } from '@/core/picture/moved';
import { reachOf, type Mark, type Seen } from '@/core/picture/picture';
import type { OutlineKind } from '@/core/piece/outline/kind';
import { erasing, layTrail, scaledTrail, shapeOfTrail, trailKind, type Trail } from '@/core/trail';
import type { Course } from '@/core/trail/course';
import type { Find, Ground } from '@/core/trail/kind';
import { courseOf, lineSchema, type Line } from '@/core/trail/line';
import { allBut } from '@/core/trail/paint/paint';

export interface LinesOutline {
  kind: 'lines';
  /** What of the plane the lines are drawn in is stretched to the box, points. */
  frame: Box;
  /** In the order they were drawn, the lowest first. */
  lines: Line[];
}

/** Lines of one piece. */
export const MOST_LINES = 2000;
const FAR = 1e5;
const far = number().min(-FAR).max(FAR).required();
const side = number().moreThan(0).max(FAR).required();

/** A line as it lies once its frame is stretched: what runs along it has grown with it. */
interface Stretched {
  line: Line;
  courses: readonly Course[];
  trail: Trail;
}

const known = new WeakMap<Line, Stretched & { key: string }>();

/** The lines of an outline that is stretched to a size. */
export function linesIn({ frame, lines }: LinesOutline, size: Size): Stretched[] {
  const [x, y] = [size.width / frame.width, size.height / frame.height];
  const grown = Math.sqrt(x * y);
  const key = `${x} ${y}`;
  return lines.map((line) => {
    const last = known.get(line);
    if (last?.key === key) return last;
    const trail = Math.abs(grown - 1) < 1e-9 ? line.trail : scaledTrail(line.trail, grown);
    const made = { key, line, courses: [courseOf(line, x, y)], trail };
    known.set(line, made);
    return made;
  });
}

/** From the plane the lines are drawn in, stretched, to the piece's own frame. */
export const toMiddle = ({ frame }: LinesOutline, { width, height }: Size): Point => ({
  x: (-(frame.x + frame.width / 2) * width) / frame.width,
  y: (-(frame.y + frame.height / 2) * height) / frame.height,
});

const atMiddle = (path: Path, outline: LinesOutline, size: Size): Path => {
  const { x, y } = toMiddle(outline, size);
  return transformPath(translation(x, y), path);
};

/** What each line covers, in the piece's own frame; erasers too, and what cuts leave. */
export const lineShapes = (outline: LinesOutline, size: Size, asset: Find): { id: string; path: Path }[] =>
  linesIn(outline, size).map(({ line, courses, trail }) => ({
    id: line.id,
    path: atMiddle(shapeOfTrail(trail, courses, asset), outline, size),
  }));

/** The area of all of them, what was erased taken away. */
function shapeOf(outline: LinesOutline, size: Size, asset: Find): Path {
  let all: Path = [];
  for (const { courses, trail } of linesIn(outline, size)) {
    const shape = shapeOfTrail(trail, courses, asset);
    const erases = erasing(trail);
    if (!erases) all = [...all, ...shape];
    else if (all.length) all = erases === 'within' ? without(all, shape) : pathOfRings(common(all, shape));
  }
  return atMiddle(all, outline, size);
}

/** What is drawn of the lines, in the piece's own frame. */
export function lineMarks(outline: LinesOutline, size: Size, ground: Ground): Mark[] {
  let marks: Mark[] = [];
  for (const { courses, trail } of linesIn(outline, size)) {
    const erases = erasing(trail);
    if (!erases) marks.push(...layTrail(trail, courses, ground));
    else if (marks.length) {
      const laid = layTrail(trail, courses, ground);
      const seen =
        erases === 'within' ? leftBy(laid, marks) : { area: shapeOfTrail(trail, courses, ground.asset) };
      if (seen) marks = marks.map((mark) => ({ ...mark, within: [seen, ...(mark.within ?? [])] }));
    }
  }
  return movedMarks(marks, toMiddle(outline, size));
}

/** What an eraser leaves to be seen of marks; null where it did nothing. */
function leftBy([eraser]: Mark[], marks: readonly Mark[]): Seen | null {
  const boxes = marks.map((mark) => {
    const { box, by, offset } = reachOf(mark);
    const wide = outset(box, by + 1);
    return { ...wide, x: wide.x + offset.x, y: wide.y + offset.y };
  });
  const all = outset(boxOfPoints(boxes.flatMap(corners)), 1);
  if (eraser?.mark === 'paint') return { area: rectanglePath(all), less: eraser };
  return eraser?.mark === 'fill' ? { area: allBut(eraser.path, all) } : null;
}

export const lines: OutlineKind<LinesOutline> = {
  kind: 'lines',
  name: 'Drawn',
  keeps: true,
  schema: object({
    kind: string().oneOf(['lines']).required(),
    frame: object({ x: far, y: far, width: side, height: side }).noUnknown().required(),
    lines: array(lineSchema.required()).min(1).max(MOST_LINES).required(),
  }).noUnknown(),
  says: ({ lines: { length } }) => (length === 1 ? 'One drawn line' : `${length} drawn lines`),
  inks: ({ lines: all }) => all.flatMap(({ trail }) => trailKind(trail).inks?.(trail) ?? []),
  // A hand takes hold of what is drawn, a little beside fine lines too.
  band: () => 2,
  cut(outline, size, _, asset = () => undefined) {
    let path: Path | undefined;
    return {
      get path() {
        return (path ??= shapeOf(outline, size, asset));
      },
      lines: (ground) => lineMarks(outline, size, ground),
    };
  },
};

/** How far a line and what runs along it reach in the plane it is drawn in. */
export function boxOfLine(line: Line): Box {
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { points } of courseOf(line, 1, 1).runs)
    for (const { x, y } of points) {
      left = Math.min(left, x);
      top = Math.min(top, y);
      right = Math.max(right, x);
      bottom = Math.max(bottom, y);
    }
  const by = Math.max(0.5, trailKind(line.trail).half(line.trail));
  return outset({ x: left, y: top, width: right - left, height: bottom - top }, by);
}

/** How far lines reach in the plane they are drawn in: what their frame must hold. */
export function frameOf(all: readonly Line[]): Box {
  let boxes: Box[] = [];
  for (const line of all) {
    const erases = erasing(line.trail);
    if (!erases) boxes.push(boxOfLine(line));
    else if (erases === 'beyond') {
      const area = shapeOfTrail(line.trail, [courseOf(line, 1, 1)], () => undefined);
      boxes = common(boxes.flatMap(rectanglePath), area).map(boxOfPoints);
    }
  }
  return boxes.length ? boxOfPoints(boxes.flatMap(corners)) : { x: 0, y: 0, width: 1, height: 1 };
}
