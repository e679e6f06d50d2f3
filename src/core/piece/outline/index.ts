/** The kinds of outline a piece can be cut to. Adding one is adding a file and a line in each list here. */
import { ellipse, type EllipseOutline } from '@/core/piece/outline/ellipse';
import { glyphs, type GlyphsOutline } from '@/core/piece/outline/glyphs';
import type { OutlineKind } from '@/core/piece/outline/kind';
import { own, type OwnOutline } from '@/core/piece/outline/own';
import { path, type PathOutline } from '@/core/piece/outline/path';
import { rectangle, type RectangleOutline } from '@/core/piece/outline/rectangle';

export type Outline = RectangleOutline | EllipseOutline | PathOutline | GlyphsOutline | OwnOutline;

export const OUTLINES: { [K in Outline['kind']]: OutlineKind<Extract<Outline, { kind: K }>> } = {
  rectangle,
  ellipse,
  path,
  glyphs,
  own,
};

export const outlineKind = (outline: Outline): OutlineKind<Outline> =>
  OUTLINES[outline.kind] as unknown as OutlineKind<Outline>;
