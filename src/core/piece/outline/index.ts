/** The kinds of outline a piece can be cut to. Adding one is adding a file and a line in each list here. */
import { ellipse, type EllipseOutline } from '@/core/piece/outline/ellipse';
import { glyphs, type GlyphsOutline } from '@/core/piece/outline/glyphs';
import type { OutlineKind } from '@/core/piece/outline/kind';
import { own, type OwnOutline } from '@/core/piece/outline/own';
import { path, type PathOutline } from '@/core/piece/outline/path';
import { punch, scaledSettings, type PunchOutline } from '@/core/piece/outline/punch';
import { rectangle, type RectangleOutline } from '@/core/piece/outline/rectangle';
import { running, type RunningOutline } from '@/core/piece/outline/running';
import { LARGEST_LETTERS, SMALLEST_LETTERS } from '@/core/text/style';

export type Outline =
  | RectangleOutline
  | EllipseOutline
  | PunchOutline
  | PathOutline
  | GlyphsOutline
  | RunningOutline
  | OwnOutline;

export const OUTLINES: { [K in Outline['kind']]: OutlineKind<Extract<Outline, { kind: K }>> } = {
  rectangle,
  ellipse,
  punch,
  path,
  glyphs,
  running,
  own,
};

export const outlineKind = (outline: Outline): OutlineKind<Outline> =>
  OUTLINES[outline.kind] as unknown as OutlineKind<Outline>;

/** Outlines that are words: they are cut to their letters and nothing else. */
export const isWritten = (outline: Outline): outline is GlyphsOutline | RunningOutline => 'text' in outline;

/** The outline for a piece that became larger or smaller with all that is on it: what it measures in real units goes along. */
export function scaledOutline(outline: Outline, scale: number): Outline {
  switch (outline.kind) {
    case 'rectangle':
      return { ...outline, radius: outline.radius * scale };
    case 'glyphs':
      return {
        ...outline,
        size: Math.min(LARGEST_LETTERS, Math.max(SMALLEST_LETTERS, outline.size * scale)),
        ...(outline.columns && { columns: { ...outline.columns, gap: outline.columns.gap * scale } }),
      };
    case 'running':
      return {
        ...outline,
        base: scaledOutline(outline.base, scale) as RunningOutline['base'],
        size: Math.min(LARGEST_LETTERS, Math.max(SMALLEST_LETTERS, outline.size * scale)),
        gap: outline.gap * scale,
        ...(outline.line && { line: { ...outline.line, width: Math.min(72, outline.line.width * scale) } }),
      };
    case 'punch':
      return { ...outline, settings: scaledSettings(outline, scale) };
    default:
      return outline;
  }
}
