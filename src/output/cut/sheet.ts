/** One mat as files for cutters hold it. */
import type { Box, Size } from '@/core/geometry/box';
import type { Point } from '@/core/geometry/matrix';
import type { Doing } from '@/core/cutter/model';

/** One mat as it goes into a file: what the tools do, in their order. Points; y goes down. */
export interface CutSheet {
  title: string;
  size: Size;
  /** Lengths are written in it, where the file can say so. */
  unit: 'in' | 'mm';
  number: number;
  paper: { name: string; colour: string };
  lines: readonly { doing: Doing; ink?: string; points: readonly Point[]; closed: boolean }[];
  marks: readonly Box[];
}

/** Lines of one tool after the other: what is drawn by its ink, what is scored, what is cut. */
export interface Layer {
  id: string;
  doing: Doing;
  ink?: string;
  lines: CutSheet['lines'];
}

export function layersOf({ lines }: Pick<CutSheet, 'lines'>): Layer[] {
  const layers = new Map<string, Layer & { lines: CutSheet['lines'][number][] }>();
  for (const line of lines) {
    const { doing, ink } = line;
    const id = ink ? `${doing}-${ink.slice(1)}` : doing;
    const layer = layers.get(id) ?? { id, doing, ...(ink ? { ink } : {}), lines: [] };
    layer.lines.push(line);
    layers.set(id, layer);
  }
  return [...layers.values()];
}

/** What shows which tool, where a file has colours: cut in red, scored in blue. */
export const STROKES: Record<Doing, string> = { cut: '#d1202f', score: '#1f5fd1', draw: '#000000' };
