/** The kinds of outline a piece can be cut to. Adding one is adding a file and a line in each list here. */
import { ellipse, type EllipseOutline } from '@/core/piece/outline/ellipse';
import { glyphs, type GlyphsOutline } from '@/core/piece/outline/glyphs';
import { lines, type LinesOutline } from '@/core/piece/outline/lines';
import type { OutlineKind } from '@/core/piece/outline/kind';
import { own, type OwnOutline } from '@/core/piece/outline/own';
import { path, type PathOutline } from '@/core/piece/outline/path';
import { punch, type PunchOutline } from '@/core/piece/outline/punch';
import { rectangle, type RectangleOutline } from '@/core/piece/outline/rectangle';
import { running, type RunningOutline } from '@/core/piece/outline/running';
import type { Unit } from '@/core/units/lengths';

export type Outline =
  | RectangleOutline
  | EllipseOutline
  | PunchOutline
  | PathOutline
  | GlyphsOutline
  | LinesOutline
  | RunningOutline
  | OwnOutline;

export const OUTLINES: { [K in Outline['kind']]: OutlineKind<Extract<Outline, { kind: K }>> } = {
  rectangle,
  ellipse,
  punch,
  path,
  glyphs,
  lines,
  running,
  own,
};

export const outlineKind = (outline: Outline): OutlineKind<Outline> =>
  OUTLINES[outline.kind] as unknown as OutlineKind<Outline>;

/** Outlines that are words: they are cut to their letters and nothing else. */
export const isWritten = (outline: Outline): outline is GlyphsOutline | RunningOutline => 'text' in outline;

/** Outlines that are not exchanged for others: what is written or drawn would be lost. */
export const keepsOutline = (outline: Outline): boolean => outlineKind(outline).keeps ?? false;

/** The outline for a piece that became larger or smaller with all that is on it: what it measures in real units goes along. */
export const scaledOutline = (outline: Outline, scale: number): Outline =>
  outlineKind(outline).scaled?.(outline, scale) ?? outline;

/** What it is, in words for a person. */
export const outlineSays = (outline: Outline, unit: Unit): string => {
  const { says, name } = outlineKind(outline);
  return says?.(outline, unit) ?? name;
};
