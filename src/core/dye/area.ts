/**
 * Where on a picture, cell by cell. As text it is `width height run run ...`: how many cells, row by row, lie outside, then
 * inside, then outside again; what is left over lies outside. Small in a file, and readable without this program.
 */

export interface Area {
  width: number;
  height: number;
  /** 255 inside, 0 outside. */
  cells: Uint8Array;
}

/** Cells at the longer side a new area is worked out on. */
export const AREA_SIDE = 640;
/** And the most an area in a file may have a side. */
const LONGEST_SIDE = 2400;

export const emptyArea = (width: number, height: number): Area => ({
  width,
  height,
  cells: new Uint8Array(width * height),
});

/** What an area holds where cell `i` of another grid over the same picture lies. */
export function cellAt(area: Area, { width, height }: Pick<Area, 'width' | 'height'>, i: number): number {
  if (area.width === width && area.height === height) return area.cells[i]!;
  const x = Math.floor((((i % width) + 0.5) * area.width) / width);
  const y = Math.floor(((Math.floor(i / width) + 0.5) * area.height) / height);
  return area.cells[y * area.width + x]!;
}

/** Empty for an area with nothing in it. */
export function writeArea({ width, height, cells }: Area): string {
  const runs: number[] = [];
  let inside = 0;
  let run = 0;
  for (const cell of cells) {
    if ((cell ? 1 : 0) === inside) run += 1;
    else {
      runs.push(run);
      inside = 1 - inside;
      run = 1;
    }
  }
  if (inside) runs.push(run);
  return runs.length ? `${width} ${height} ${runs.join(' ')}` : '';
}

/** Whether it says how large it is and no more cells than that; the empty area is readable too. */
export function isReadableArea(text: string): boolean {
  if (text === '') return true;
  if (!/^\d+( \d+)+$/.test(text)) return false;
  const [width, height, ...runs] = text.split(' ').map(Number) as [number, number, ...number[]];
  return (
    width >= 1 &&
    height >= 1 &&
    Math.max(width, height) <= LONGEST_SIDE &&
    runs.reduce((sum, run) => sum + run, 0) <= width * height
  );
}

export function readArea(text: string): Area | null {
  if (!text) return null;
  const [width, height, ...runs] = text.split(' ').map(Number) as [number, number, ...number[]];
  const area = emptyArea(width, height);
  let at = 0;
  runs.forEach((run, i) => {
    if (i % 2) area.cells.fill(255, at, at + run);
    at += run;
  });
  return area;
}

/** Cells outside that the border cannot be reached from are taken in. */
export function withoutHoles({ width, height, cells }: Area): Area {
  const open = new Uint8Array(cells.length);
  const queue = new Int32Array(cells.length);
  let end = 0;
  const look = (i: number) => {
    if (open[i] || cells[i]) return;
    open[i] = 1;
    queue[end++] = i;
  };
  for (let x = 0; x < width; x++) {
    look(x);
    look((height - 1) * width + x);
  }
  for (let y = 0; y < height; y++) {
    look(y * width);
    look(y * width + width - 1);
  }
  for (let at = 0; at < end; at++) {
    const i = queue[at]!;
    const x = i % width;
    if (x > 0) look(i - 1);
    if (x < width - 1) look(i + 1);
    if (i >= width) look(i - width);
    if (i < cells.length - width) look(i + width);
  }
  for (let i = 0; i < open.length; i++) open[i] = open[i] ? 0 : 255;
  return { width, height, cells: open };
}

/** Squared distance of every cell to the nearest one that is set (Felzenszwalb and Huttenlocher 2012, exact). */
export function distances({ width, height, cells }: Area): Float64Array {
  const far = (width + height) ** 2;
  const field = new Float64Array(cells.length);
  for (let i = 0; i < field.length; i++) field[i] = cells[i] ? 0 : far;
  const longest = Math.max(width, height);
  const [line, at, between] = [
    new Float64Array(longest),
    new Int32Array(longest),
    new Float64Array(longest + 1),
  ];
  const sweep = (start: number, step: number, count: number) => {
    for (let i = 0; i < count; i++) line[i] = field[start + i * step]!;
    let k = 0;
    at[0] = 0;
    between[0] = -Infinity;
    between[1] = Infinity;
    for (let q = 1; q < count; q++) {
      let s: number;
      do {
        const v = at[k]!;
        s = (line[q]! + q * q - line[v]! - v * v) / (2 * (q - v));
      } while (s <= between[k]! && --k >= 0);
      k += 1;
      at[k] = q;
      between[k] = s;
      between[k + 1] = Infinity;
    }
    k = 0;
    for (let q = 0; q < count; q++) {
      while (between[k + 1]! < q) k += 1;
      field[start + q * step] = (q - at[k]!) ** 2 + line[at[k]!]!;
    }
  };
  for (let x = 0; x < width; x++) sweep(x, width, height);
  for (let y = 0; y < height; y++) sweep(y * width, 1, width);
  return field;
}

/** The area made larger, or smaller, by so many cells. */
export function grownArea(area: Area, by: number): Area {
  if (!by) return area;
  const near = distances(by > 0 ? area : { ...area, cells: area.cells.map((cell) => 255 - cell) });
  const reach = by * by;
  const grown = emptyArea(area.width, area.height);
  for (let i = 0; i < near.length; i++) grown.cells[i] = near[i]! <= reach === by > 0 ? 255 : 0;
  return grown;
}

/** The area with an edge that fades over `width` cells: three box means, near enough a Gaussian. */
export function softened(area: Area, across: number): Area {
  const reach = Math.max(1, Math.round(across / 6));
  const { width, height } = area;
  let from = new Float32Array(area.cells);
  let to = new Float32Array(from.length);
  const mean = (start: number, step: number, count: number) => {
    let sum = 0;
    const value = (i: number) => from[start + Math.min(count - 1, Math.max(0, i)) * step]!;
    for (let i = -reach; i <= reach; i++) sum += value(i);
    for (let i = 0; i < count; i++) {
      to[start + i * step] = sum / (2 * reach + 1);
      sum += value(i + reach + 1) - value(i - reach);
    }
  };
  for (let k = 0; k < 3; k++) {
    for (let y = 0; y < height; y++) mean(y * width, 1, width);
    [from, to] = [to, from];
    for (let x = 0; x < width; x++) mean(x, width, height);
    [from, to] = [to, from];
  }
  return { width, height, cells: new Uint8Array(Uint8ClampedArray.from(from)) };
}

/** An area as it is kept, and how it is worn. */
export interface KeptArea {
  area: string;
  /** Made larger or smaller, as a share of the picture's longer side. */
  edge?: number;
  /** How wide its edge fades, as a share of the picture's longer side. */
  soften?: number;
  /** Holes in it are taken in. */
  filled?: true;
}

/** What was marked, as it is worn: filled, larger or smaller, softened. `hard` where its edge is to be sought in the picture. */
export function worn(marked: KeptArea): (Area & { hard: boolean }) | null {
  let area = readArea(marked.area);
  if (!area) return null;
  const side = Math.max(area.width, area.height);
  if (marked.filled) area = withoutHoles(area);
  if (marked.edge) area = grownArea(area, marked.edge * side);
  if (marked.soften) area = softened(area, marked.soften * side);
  return { ...area, hard: !marked.edge && !marked.soften };
}
