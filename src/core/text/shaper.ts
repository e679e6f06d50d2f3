/** Characters to placed glyphs, by HarfBuzz from the font file itself: the one shaper for every output. */
import type { Box } from '@/core/geometry/box';
import { parsePath, pathBounds, type Path } from '@/core/geometry/path';
import { embeddingOf, tablesOf, type Embedding } from '@/core/text/sfnt';
import { plainFont } from '@/core/text/woff';

/** One glyph in font units (see `unitsPerEm`); x to the right, y down, as on the page. */
export interface ShapedGlyph {
  id: number;
  /** Index of the first character it stands for, in the shaped text. */
  cluster: number;
  advance: number;
  dx: number;
  dy: number;
}

export interface Shaping {
  from?: number;
  to?: number;
  /** The stretch runs from right to left; told from its script if absent. */
  rightToLeft?: boolean;
  /** OpenType features by tag: on, or with a minus before it off. */
  features?: readonly string[];
}

export interface OpenFont {
  name: string;
  /** TrueType/OpenType bytes, as embedded in a PDF. */
  bytes: Uint8Array;
  unitsPerEm: number;
  embedding: Embedding;
  /** What its family calls itself; empty if it does not say. */
  family: string;
  /** Its letters can be changed along axes; they are used as they are to begin with. */
  variable: boolean;
  /** Font units above and below the baseline, both positive. */
  ascent: number;
  descent: number;
  has(codePoint: number): boolean;
  /** How many characters it has letters for. */
  characters: number;
  /** OpenType features it has, by tag, in the order of the alphabet. */
  features: readonly string[];
  /** Glyphs from left to right; clusters are indexes into `text`, of which only `from` to before `to` is shaped. */
  shape(text: string, how?: Shaping): readonly ShapedGlyph[];
  /** The glyph's outline in font units, y down. */
  outline(glyph: number): Path;
  advanceOf(glyph: number): number;
  /** How far the glyph's outline reaches, font units, y down; null if it has none. */
  reachOf(glyph: number): Box | null;
}

/** Entries of the `name` table. */
const FAMILY = 1;
const TYPOGRAPHIC_FAMILY = 16;

/** UTF-16 units on either side that letters can be joined to: HarfBuzz looks at five characters. */
const CONTEXT = 10;
/** Stretches of up to so many units are kept as they were last shaped: most lines stay as they are while one types. */
const LONGEST_KEPT = 200;
const MOST_KEPT = 500;

type HarfBuzz = typeof import('harfbuzzjs');
let harfbuzz: Promise<HarfBuzz> | undefined;

/** Opens a font (TrueType, OpenType or WOFF 1.0 bytes) for shaping. */
export async function openFont(name: string, file: Uint8Array): Promise<OpenFont> {
  const hb = await (harfbuzz ??= import('harfbuzzjs'));
  const bytes = await plainFont(file);
  const face = new hb.Face(new hb.Blob(bytes));
  const font = new hb.Font(face);
  font.setScale(face.upem, face.upem);
  const characters = new Set(face.collectUnicodes());
  const extents = font.hExtents();
  const outlines = new Map<number, Path>();
  const reaches = new Map<number, Box | null>();
  const outline = (glyph: number): Path => {
    let path = outlines.get(glyph);
    if (!path) {
      path = parsePath(font.glyphToPath(glyph)).map((segment) => flip(segment));
      outlines.set(glyph, path);
    }
    return path;
  };
  const shaped = new Map<string, readonly ShapedGlyph[]>();
  const shape = (
    text: string,
    from: number,
    to: number,
    rightToLeft: boolean | undefined,
    features: readonly string[],
  ): ShapedGlyph[] => {
    const buffer = new hb.Buffer();
    buffer.addText(text, from, to - from);
    buffer.guessSegmentProperties();
    if (rightToLeft !== undefined) buffer.setDirection(rightToLeft ? hb.Direction.RTL : hb.Direction.LTR);
    hb.shape(font, buffer, features.map((tag) => hb.Feature.fromString(tag)!).filter(Boolean));
    const positions = buffer.getGlyphPositions();
    return buffer.getGlyphInfos().map((info, i) => ({
      id: info.codepoint,
      cluster: info.cluster,
      advance: positions[i]!.xAdvance,
      dx: positions[i]!.xOffset,
      dy: -positions[i]!.yOffset,
    }));
  };
  return {
    name,
    bytes,
    unitsPerEm: face.upem,
    embedding: embeddingOf(bytes),
    family: face.getName(TYPOGRAPHIC_FAMILY, 'en') || face.getName(FAMILY, 'en') || '',
    variable: tablesOf(bytes).has('fvar'),
    ascent: extents.ascender,
    descent: -extents.descender,
    has: (codePoint) => characters.has(codePoint),
    characters: characters.size,
    features: [...new Set([...face.getTableFeatureTags('GSUB'), ...face.getTableFeatureTags('GPOS')])].sort(),
    shape(text, { from = 0, to = text.length, rightToLeft, features = [] } = {}) {
      const first = Math.max(0, from - CONTEXT);
      const around = text.slice(first, to + CONTEXT);
      const key = [from - first, to - first, rightToLeft, features, around].join();
      let glyphs = shaped.get(key);
      if (!glyphs) {
        glyphs = shape(around, from - first, to - first, rightToLeft, features);
        if (to - from <= LONGEST_KEPT) {
          if (shaped.size === MOST_KEPT) shaped.delete(shaped.keys().next().value!);
          shaped.set(key, glyphs);
        }
      }
      return first ? glyphs.map((glyph) => ({ ...glyph, cluster: glyph.cluster + first })) : glyphs;
    },
    outline,
    reachOf(glyph) {
      let reach = reaches.get(glyph);
      if (reach === undefined) {
        const path = outline(glyph);
        reach = path.length ? pathBounds(path) : null;
        reaches.set(glyph, reach);
      }
      return reach;
    },
    advanceOf: (glyph) => font.glyphHAdvance(glyph),
  };
}

/** Font files point y up, pages down. */
function flip(segment: Path[number]): Path[number] {
  switch (segment[0]) {
    case 'Z':
      return segment;
    case 'C':
      return ['C', segment[1], -segment[2], segment[3], -segment[4], segment[5], -segment[6]];
    default:
      return [segment[0], segment[1], -segment[2]];
  }
}
