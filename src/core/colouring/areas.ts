/** A line drawing told apart into the areas between its lines, small gaps in the lines bridged. */

/** Cover from which a cell is line, of 255. */
const LINE = 110;
/** Cells at the longer side on which areas are told apart; finer drawings are made coarser, no line lost. */
export const AREAS_SIDE = 1000;

export interface Areas {
  width: number;
  height: number;
  /** For each cell the number of its area from 1; 0 is what lies outside the drawing. Lines belong to the area nearest to them. */
  labels: Int32Array;
  /** How many there are, the outside not counted. */
  count: number;
}

/** How much of each cell is line, 0 to 255. */
export interface Lines {
  width: number;
  height: number;
  cover: Uint8Array | Uint8ClampedArray;
}

/**
 * Areas between lines. Gaps up to `gap` cells wide, of the drawing as it is given, are taken for lines. Areas are widened under
 * the lines up to the middle between two of them, so that no light rim stays beside a line.
 */
export function areasOf(drawn: Lines, gap: number): Areas {
  const { width, height, cover } = coarser(drawn);
  const reach = Math.ceil((gap * width) / drawn.width / 2);
  const lines = new Uint8Array(cover.length);
  for (let i = 0; i < lines.length; i++) lines[i] = cover[i]! >= LINE ? 1 : 0;
  const labels = new Int32Array(lines.length).fill(UNTOLD);
  const queue = new Int32Array(lines.length);
  const walls = reach > 0 ? thickened(lines, width, height, reach) : lines;
  // What reaches the border is the outside.
  for (let x = 0; x < width; x++)
    for (const i of [x, lines.length - width + x])
      if (labels[i] === UNTOLD && !walls[i]) flood(labels, walls, width, i, 0, queue);
  for (let y = 0; y < height; y++)
    for (const i of [y * width, y * width + width - 1])
      if (labels[i] === UNTOLD && !walls[i]) flood(labels, walls, width, i, 0, queue);
  let count = 0;
  for (let i = 0; i < labels.length; i++)
    if (labels[i] === UNTOLD && !walls[i]) flood(labels, walls, width, i, ++count, queue);
  if (walls !== lines) {
    // Back to the lines; and what is narrower than the gap but closed all round is an area too.
    spread(labels, width, lines, queue);
    for (let i = 0; i < labels.length; i++)
      if (labels[i] === UNTOLD && !lines[i]) flood(labels, lines, width, i, ++count, queue);
  }
  spread(labels, width, new Uint8Array(lines.length), queue);
  return { width, height, labels, count };
}

const UNTOLD = -1;

/** The drawing on fewer cells: each has the most that any of those it stands for had, so that thin lines stay whole. */
function coarser({ width, height, cover }: Lines): Lines {
  const scale = AREAS_SIDE / Math.max(width, height);
  if (scale >= 1) return { width, height, cover };
  const across = Math.max(1, Math.round(width * scale));
  const down = Math.max(1, Math.round(height * scale));
  const most = new Uint8Array(across * down);
  const columns = Uint16Array.from({ length: width }, (_, x) => Math.floor((x * across) / width));
  for (let y = 0, i = 0; y < height; y++) {
    const row = across * Math.floor((y * down) / height);
    for (let x = 0; x < width; x++, i++) {
      const at = row + columns[x]!;
      if (cover[i]! > most[at]!) most[at] = cover[i]!;
    }
  }
  return { width: across, height: down, cover: most };
}

/** What is set, and all within so many cells of it, across and down. */
function thickened(set: Uint8Array, width: number, height: number, reach: number): Uint8Array {
  const across = new Uint8Array(set.length);
  for (let y = 0; y < height; y++) {
    const row = y * width;
    let last = -reach - 1;
    for (let x = 0; x < width; x++) {
      if (set[row + x]) last = x;
      if (x - last <= reach) across[row + x] = 1;
    }
    last = width + reach + 1;
    for (let x = width - 1; x >= 0; x--) {
      if (set[row + x]) last = x;
      if (last - x <= reach) across[row + x] = 1;
    }
  }
  const down = new Uint8Array(set.length);
  const last = new Int32Array(width).fill(-reach - 1);
  for (let y = 0; y < height; y++)
    for (let x = 0, i = y * width; x < width; x++, i++) {
      if (across[i]) last[x] = y;
      if (y - last[x]! <= reach) down[i] = 1;
    }
  last.fill(height + reach + 1);
  for (let y = height - 1; y >= 0; y--)
    for (let x = 0, i = y * width; x < width; x++, i++) {
      if (across[i]) last[x] = y;
      if (last[x]! - y <= reach) down[i] = 1;
    }
  return down;
}

/** Gives a label to all that hangs together with a cell by sides, up to the walls. */
function flood(
  labels: Int32Array,
  walls: Uint8Array,
  width: number,
  start: number,
  label: number,
  queue: Int32Array,
): void {
  queue[0] = start;
  labels[start] = label;
  flow(labels, walls, width, queue, 1);
}

/** From the first `end` cells of the queue labels go on to all that have none, side by side, up to the walls. */
function flow(labels: Int32Array, walls: Uint8Array, width: number, queue: Int32Array, end: number): void {
  for (let at = 0; at < end; at++) {
    const i = queue[at]!;
    const x = i % width;
    const label = labels[i]!;
    if (x > 0 && labels[i - 1] === UNTOLD && !walls[i - 1]) {
      labels[i - 1] = label;
      queue[end++] = i - 1;
    }
    if (x < width - 1 && labels[i + 1] === UNTOLD && !walls[i + 1]) {
      labels[i + 1] = label;
      queue[end++] = i + 1;
    }
    if (i >= width && labels[i - width] === UNTOLD && !walls[i - width]) {
      labels[i - width] = label;
      queue[end++] = i - width;
    }
    if (i + width < labels.length && labels[i + width] === UNTOLD && !walls[i + width]) {
      labels[i + width] = label;
      queue[end++] = i + width;
    }
  }
}

/** Gives cells without a label that of the nearest cell with one, along the way by sides, up to the walls. */
function spread(labels: Int32Array, width: number, walls: Uint8Array, queue: Int32Array): void {
  const count = labels.length;
  let end = 0;
  for (let i = 0; i < count; i++) {
    if (labels[i] !== UNTOLD || walls[i]) continue;
    // Those that touch a label begin.
    const x = i % width;
    const near =
      x > 0 && labels[i - 1]! >= 0
        ? labels[i - 1]!
        : x < width - 1 && labels[i + 1]! >= 0
          ? labels[i + 1]!
          : i >= width && labels[i - width]! >= 0
            ? labels[i - width]!
            : i + width < count && labels[i + width]! >= 0
              ? labels[i + width]!
              : UNTOLD;
    if (near === UNTOLD) continue;
    // Told only when the round is over: this one must not pass it on to the next in the same round.
    labels[i] = -2 - near;
    queue[end++] = i;
  }
  for (let at = 0; at < end; at++) labels[queue[at]!] = -2 - labels[queue[at]!]!;
  flow(labels, walls, width, queue, end);
}

/** How much of each pixel (RGBA) is line: its alpha times its darkness, as an ink would cover. */
export function coverOf(data: Uint8ClampedArray): Uint8ClampedArray {
  const cover = new Uint8ClampedArray(data.length / 4);
  for (let at = 0, i = 0; at < cover.length; at++, i += 4)
    cover[at] =
      (data[i + 3]! * (255 - (0.2126 * data[i]! + 0.7152 * data[i + 1]! + 0.0722 * data[i + 2]!))) / 255;
  return cover;
}
