/** Who and when: a small caption from what is known of a page's photos, laid where nothing else lies. */
import { escaped } from '@/core/text/escaped';
import { overlaps, outset, type Box, type Size } from '@/core/geometry/box';
import { safeArea } from '@/core/geometry/sides';
import { namedIn } from '@/core/piece/assets';
import { materialKind } from '@/core/piece/material';
import type { GlyphsOutline } from '@/core/piece/outline/glyphs';
import { wantedSize } from '@/core/piece/outline/glyphs';
import type { Piece } from '@/core/piece/piece';
import { extentOf } from '@/core/piece/placement/placement';
import { wordsPiece } from '@/core/project/create';
import { stylesOf } from '@/core/project/edits/styles';
import type { Project, Surface } from '@/core/project/model';
import { textsOf } from '@/core/project/needs';
import type { Typesetter } from '@/core/text/typesetter';

export interface WhoWhen {
  people: string[];
  /** First and last day, `2026-05-16`; absent if no photo says. */
  days?: [string, string];
  places: string[];
}

/** What the notes and dates of a page's photos say, most often named people first. */
export function whoAndWhen(project: Project, surface: Surface): WhoWhen {
  const shas = new Set(
    surface.pile
      .filter(({ placement, material }) => !placement.hidden && materialKind(material).photos)
      .flatMap(({ material }) => namedIn(material)),
  );
  const assets = [...shas].flatMap((sha) => project.assets[sha] ?? []);
  const counts = new Map<string, number>();
  for (const { notes } of assets)
    for (const name of notes?.people ?? []) counts.set(name, (counts.get(name) ?? 0) + 1);
  const days = assets.flatMap(({ taken }) => taken?.slice(0, 10) ?? []).sort();
  return {
    people: [...counts].sort((a, b) => b[1] - a[1]).map(([name]) => name),
    ...(days.length ? { days: [days[0]!, days.at(-1)!] as [string, string] } : {}),
    places: [...new Set(assets.flatMap(({ notes }) => notes?.place ?? []))],
  };
}

/** `Orla, Tom and Ines, 16 – 18 May 2026`, as the locale (BCP 47) writes lists and dates; empty if nothing is known. */
export function captionText({ people, days, places }: WhoWhen, locale: string): string {
  const who = new Intl.ListFormat(locale, { type: 'conjunction' }).format(people);
  // Days are days wherever one is: they are read and written in the same zone.
  const dates = new Intl.DateTimeFormat(locale, {
    day: 'numeric',
    month: 'long',
    year: 'numeric',
    timeZone: 'UTC',
  });
  const day = (text: string) => new Date(`${text}T12:00:00Z`);
  const when = days
    ? days[0] === days[1]
      ? dates.format(day(days[0]))
      : dates.formatRange(day(days[0]), day(days[1]))
    : '';
  const where = places.length === 1 ? places[0]! : '';
  return [[who, where].filter(Boolean).join(' · '), when].filter(Boolean).join('\n');
}

/** A year, as captions end with. */
const YEAR = /\b(?:1[89]|20)\d\d\b/;

/** Scripts that put no spaces between words. */
const UNSPACED =
  /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}\p{Script=Myanmar}]/u;
/** So long a name may have an ending, as many languages give it one; a shorter one would begin other words. */
const MAY_END = 4;

/** Whether a text speaks of someone: by the first of their names, where a word begins. */
function speaksOf(text: string, name: string): boolean {
  const [first = ''] = name.trim().split(/\s+/);
  const written = escaped(first);
  const end = first.length < MAY_END ? '(?![\\p{L}\\p{M}])' : '';
  return new RegExp(UNSPACED.test(first) ? written : `(?<![\\p{L}\\p{M}])${written}${end}`, 'iu').test(text);
}

/**
 * What a page's words leave unsaid. `who`: nobody known from its photos is named, or, with nobody known, nothing is written
 * as a caption. `when`: there is no year, nothing in the date style, and no caption with a figure in it.
 */
export function unsaid(project: Project, surface: Surface): { who: boolean; when: boolean } {
  const written = surface.pile.filter(
    (piece) => !piece.placement.hidden && textsOf(piece).some((text) => text.trim()),
  );
  const styledIn = ({ outline }: Piece, id: string) => outline.kind === 'glyphs' && outline.style === id;
  const captions = written.filter((piece) => piece.role === 'caption' || styledIn(piece, 'caption'));
  const says = written.flatMap(textsOf).join('\n');
  const { people } = whoAndWhen(project, surface);
  const named = people.some((name) => speaksOf(says, name));
  const dated = captions.some((piece) => textsOf(piece).some((text) => /\d/.test(text)));
  return {
    who: people.length ? !named : !captions.length,
    when: !YEAR.test(says) && !written.some((piece) => styledIn(piece, 'date')) && !dated,
  };
}

/** Between a caption and what lies beside it, points. */
const AIR = 6;

/**
 * The middle of the corner spot of a page, within its safe area, that a box of this size fits best: where it lies on as little
 * as possible, and in the lower right if several are free. Papers that cover the page do not count.
 */
export function quietCorner(page: Surface, size: Size): { x: number; y: number } {
  const { width, height, pile } = page;
  const taken = pile
    .filter(({ placement }) => !placement.hidden)
    .map(({ placement }) => extentOf(placement))
    .filter((box) => box.width * box.height < 0.8 * width * height);
  const room = outset(safeArea(page), -AIR);
  const [right, foot] = [room.x + room.width - size.width, room.y + room.height - size.height];
  const lefts = [right, room.x, (right + room.x) / 2];
  const rows = [foot, room.y];
  // Along the edges too, where corners are taken.
  const steps = Array.from({ length: 7 }, (_, i) => room.y + (i * (foot - room.y)) / 6);
  const spots = [
    ...rows.flatMap((y) => lefts.map((x) => ({ x, y }))),
    ...steps.flatMap((y) => lefts.slice(0, 2).map((x) => ({ x, y }))),
  ];
  const covered = (spot: { x: number; y: number }): number => {
    const box = outset({ ...spot, width: size.width, height: size.height }, AIR);
    return taken.reduce((sum, other) => sum + (overlaps(box, other) ? common(box, other) : 0), 0);
  };
  const best = spots.reduce((a, b) => (covered(b) < covered(a) - 1e-6 ? b : a));
  return { x: best.x + size.width / 2, y: best.y + size.height / 2 };
}

const common = (a: Box, b: Box): number =>
  Math.max(0, Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x)) *
  Math.max(0, Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y));

/** The caption as a piece in the project's caption style, in a quiet corner. */
export function captionPiece(
  id: string,
  project: Project,
  surface: Surface,
  text: string,
  typesetter: Typesetter,
): Piece {
  const { id: styleId, ink, name: _, ...style } = stylesOf(project).find((one) => one.id === 'caption')!;
  const outline: GlyphsOutline = {
    kind: 'glyphs',
    text,
    wrap: false,
    ...structuredClone(style),
    style: styleId,
  };
  const corner = quietCorner(surface, wantedSize(outline, { width: 0, height: 0 }, typesetter));
  // At the right of the page its lines end together.
  const aligned: GlyphsOutline = {
    ...outline,
    align: corner.x > surface.width * 0.6 ? 'right' : outline.align,
  };
  return wordsPiece(id, 'caption', aligned, ink, corner, typesetter);
}
