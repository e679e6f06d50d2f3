/** A month drawn: grounds, rules, and its words as real words. */
import { outset, type Box, type Size } from '@/core/geometry/box';
import { compose, rotation, translation } from '@/core/geometry/matrix';
import { without } from '@/core/geometry/offset';
import { ellipsePath, rectanglePath, transformPath, type Path } from '@/core/geometry/path';
import { digitsOf, monthName, weekdayNames } from '@/core/dates/names';
import { weekdayOf } from '@/core/dates/days';
import { phasesIn } from '@/core/dates/moon';
import { uprightSize } from '@/core/picture/asset';
import type { Mark } from '@/core/picture/picture';
import { coverScale, WHOLE, windowMatrix } from '@/core/piece/material/window';
import type { Cut } from '@/core/piece/material/kind';
import type { DayNote, MonthLetters, MonthMaterial } from '@/core/piece/material/month/model';
import type { DayPlace, Laid, Spot } from '@/core/piece/material/month/layout';
import { LAYOUTS } from '@/core/piece/material/month/layouts';
import type { GlyphRun, PlacedGlyph } from '@/core/text/setting';
import type { Typesetter } from '@/core/text/typesetter';

/** The name of the month as it stands above it; empty where nothing does. */
export function titleOf({ title, language, wording, month, year, perpetual }: MonthMaterial): string {
  if (title === 'none') return '';
  const called = wording?.months ? wording.months[month - 1]! : monthName(language, month);
  return title === 'month' || perpetual ? called : `${called} ${digitsOf(language)(year)}`;
}

/** What the weekdays are called, Monday first; nothing where they are not named. */
export const weekdaysOf = ({ headLength, language, wording, perpetual }: MonthMaterial): readonly string[] =>
  headLength === 'none' || perpetual ? [] : (wording?.weekdays ?? weekdayNames(language, headLength));

/** How tall the title's band is, as a share of the box's width, for a title of full size. */
const TITLE_BAND = 0.13;

/** Words and where they stand. */
type Said = readonly [says: string, spot: Spot];

/** Where everything of a month lies, in the piece's own frame. */
export function layMonth(material: MonthMaterial, { width, height }: Size): Laid {
  const layout = LAYOUTS[material.layout];
  const box = { x: -width / 2, y: -height / 2, width, height };
  const laid = layout.lay(material, box);
  if (material.title === 'none' || laid.title) return laid;
  const band = Math.min(height * 0.4, width * TITLE_BAND * material.titleScale);
  const below = { ...box, y: box.y + band, height: height - band };
  const spot: Spot = { x: 0, y: box.y + band * 0.42, at: 'middle', size: band * 0.62, room: width };
  return { ...layout.lay(material, below), title: spot };
}

/** What of a day's notes is set, in lines that fit; what found no room is counted by the last of them. */
export interface SetNotes {
  place: DayPlace;
  notes: readonly DayNote[];
  /** How many found no room. */
  over: number;
  runs: readonly GlyphRun[];
}

/** What of the notes finds room beside the days. */
export function setNotes(material: MonthMaterial, size: Size, typesetter: Typesetter): SetNotes[] {
  if (!material.notes.length) return [];
  const { days } = layMonth(material, size);
  return days.flatMap((place): SetNotes[] => {
    const notes = place.cell.of === 0 ? material.notes.filter(({ day }) => day === place.cell.day) : [];
    return notes.length ? [{ place, notes, ...fitted(notes, place, material, typesetter) }] : [];
  });
}

function fitted(
  notes: readonly DayNote[],
  { notes: room }: DayPlace,
  { heads }: MonthMaterial,
  typesetter: Typesetter,
): Pick<SetNotes, 'over' | 'runs'> {
  const nothing = { over: notes.length, runs: [] };
  if (!room || room.width < 4) return nothing;
  const style = { ...heads, size: room.size, align: room.align, leading: 1.12 };
  for (let shown = notes.length; shown > 0; shown--) {
    const more = notes.length - shown;
    const lines = [...notes.slice(0, shown).map(({ says }) => says), ...(more ? [`+${more}`] : [])];
    const set = typesetter.set(lines.join('\n'), style, room.width, room.height);
    if (set.over === null && set.size.width <= room.width + 0.01)
      return { over: more, runs: moved(set.runs, room.x, room.y) };
  }
  const set = typesetter.set(`+${notes.length}`, style, null);
  const fits = set.size.height <= room.height && set.size.width <= room.width;
  return fits ? { over: notes.length, runs: moved(set.runs, room.x, room.y) } : nothing;
}

const moved = (runs: readonly GlyphRun[], dx: number, dy: number): GlyphRun[] =>
  runs.map((run) => ({
    ...run,
    glyphs: run.glyphs.map((glyph) => ({ ...glyph, x: glyph.x + dx, y: glyph.y + dy })),
  }));

export function monthMarks(material: MonthMaterial, cut: Cut): Mark[] {
  const { size, path, typesetter } = cut;
  const { inks, ground, ruleWidth, shaded, marked, free, notes, beside, perpetual, language } = material;
  const { days, heads, weeks, rules, title } = layMonth(material, size);
  const seen = days.filter(({ cell }) => cell.of === 0 || beside !== 'none');
  const own = seen.filter(({ cell }) => cell.of === 0);
  const off = new Set(notes.flatMap(({ day, free }) => (free ? [day] : [])));
  // Where there is no room to say what a day is, its number shows that it is something.
  const told = new Set(days.some((place) => place.notes) ? [] : notes.map(({ day }) => day));
  const isFree = ({ cell }: DayPlace) =>
    off.has(cell.day) || (!perpetual && free.includes(weekdayOf(cell.number)));
  const numeral = digitsOf(language);
  const names = weekdaysOf(material);
  const named = names.length ? heads.map(({ weekday, spot }): Said => [names[weekday - 1]!, spot]) : [];
  // Heads are all as large as lets the longest of them into its room.
  const fit = Math.min(1, ...named.map((said) => fitting(said, material.heads, typesetter)));
  const smaller = ([says, spot]: Said, by: number): Said => [says, { ...spot, size: spot.size * by }];
  const heading: Said[] = title ? [[titleOf(material), title]] : [];
  const words = (colour: string, letters: MonthLetters, all: readonly Said[]): Mark[] =>
    written(
      colour,
      all.flatMap(([text, spot]) => atSpot(text, spot, letters, typesetter)),
      typesetter,
    );
  const numbers = (places: readonly DayPlace[]): Said[] =>
    places.map(({ cell, number }) => [numeral(cell.day), number]);
  return [
    ...(ground ? [fillMark(path, ground)] : []),
    ...shaded.flatMap(({ weekday, colour, asset }) => {
      const places = own.filter(({ cell }) => !perpetual && weekdayOf(cell.number) === weekday);
      return papered(places, asset, cut) ?? grounds(places, colour);
    }),
    ...marked.flatMap(({ day, colour }) =>
      grounds(
        own.filter(({ cell }) => cell.day === day),
        colour,
      ),
    ),
    ...(ruleWidth > 0 && rules.length
      ? [
          fillMark(
            rules.flatMap((rule) => rulePath(rule, ruleWidth)),
            inks.rules,
          ),
        ]
      : []),
    ...words(
      inks.title,
      material.heads,
      heading.map((said) => smaller(said, fitting(said, material.heads, typesetter))),
    ),
    ...words(
      inks.heads,
      material.heads,
      named.map((said) => smaller(said, fit)),
    ),
    ...words(inks.beside, material.numbers, numbers(seen.filter(({ cell }) => cell.of !== 0))),
    ...words(
      inks.numbers,
      material.numbers,
      numbers(own.filter((place) => !isFree(place) && !told.has(place.cell.day))),
    ),
    ...words(
      inks.notes,
      material.numbers,
      numbers(own.filter((place) => !isFree(place) && told.has(place.cell.day))),
    ),
    ...words(inks.free, material.numbers, numbers(own.filter(isFree))),
    ...words(
      inks.heads,
      material.heads,
      weeks.map(({ week, spot }) => [numeral(week), spot]),
    ),
    ...(material.moon === undefined || perpetual ? [] : moons(material, own, material.moon)),
    ...written(
      inks.notes,
      setNotes(material, size, typesetter).flatMap(({ runs }) => runs),
      typesetter,
    ),
  ];
}

const fillMark = (path: Path, colour: string): Mark => ({ mark: 'fill', path, colour });

const grounds = (places: readonly DayPlace[], colour: string): Mark[] =>
  places.length
    ? [
        fillMark(
          places.flatMap(({ box }) => rectanglePath(box)),
          colour,
        ),
      ]
    : [];

/** The boxes of days cut from one paper, which lies under the whole month; null where there is none. */
function papered(
  places: readonly DayPlace[],
  sha: string | undefined,
  { size, asset: find }: Cut,
): Mark[] | null {
  const asset = sha ? find(sha) : undefined;
  if (!sha || !asset || !places.length) return null;
  const whole = uprightSize(asset);
  const scale = Math.max(72 / asset.ppi, coverScale(whole, size, 0));
  const matrix = windowMatrix(WHOLE, whole, size, scale);
  return [{ mark: 'image', asset: sha, matrix, clip: places.flatMap(({ box }) => rectanglePath(box)) }];
}

/** The moon in the upper corner of a day's box that its number leaves free: its dark part in the ink of what days are. */
function moons({ inks }: MonthMaterial, days: readonly DayPlace[], ahead: number): Mark[] {
  // A week may lie in two months.
  const months = [...new Map(days.map(({ cell }) => [`${cell.year} ${cell.month}`, cell])).values()];
  const phases = months.flatMap((of) => phasesIn(of, ahead).map((each) => ({ ...each, month: of.month })));
  const dark: Path = phases.flatMap(({ day, month, phase }): Path => {
    const place = days.find(({ cell }) => cell.day === day && cell.month === month);
    if (!place) return [];
    const { box, number } = place;
    const radius = Math.min(0.1 * Math.min(box.width, box.height), number.size * 0.3);
    const right = number.x < box.x + box.width * 0.6;
    const x = right ? box.x + box.width - radius * 1.9 : box.x + radius * 1.9;
    const round = (by: number) =>
      ellipsePath({ x: x - by, y: box.y + radius * 1.9 - by, width: 2 * by, height: 2 * by });
    const half = (left: boolean) =>
      rectanglePath({ x: left ? x - radius : x, y: box.y + radius * 0.9, width: radius, height: 2 * radius });
    const disc = round(radius);
    const ring = without(disc, round(radius * 0.86));
    if (phase === 'new') return disc;
    if (phase === 'full') return ring;
    return [...ring, ...without(round(radius * 0.88), half(phase === 'last'))];
  });
  return dark.length ? [fillMark(dark, inks.notes)] : [];
}

/** A rule as an area, its ends square. */
function rulePath([x1, y1, x2, y2]: Laid['rules'][number], width: number): Path {
  const long = Math.hypot(x2 - x1, y2 - y1);
  const box: Box = { x: -width / 2, y: -width / 2, width: long + width, height: width };
  const turn = (Math.atan2(y2 - y1, x2 - x1) * 180) / Math.PI;
  return transformPath(compose(translation(x1, y1), rotation(turn)), rectanglePath(box));
}

/** Glyphs of one ink as one mark; their outline is made when somebody asks for it. */
function written(colour: string, runs: readonly GlyphRun[], typesetter: Typesetter): Mark[] {
  if (!runs.length) return [];
  const turned = runs.some(({ glyphs }) => glyphs.some(({ turn }) => turn));
  let path: Path | undefined;
  return [
    {
      mark: 'fill',
      colour,
      words: runs,
      ...(turned ? {} : { bounds: outset(typesetter.bounds(runs), 0.5) }),
      get path() {
        return (path ??= typesetter.outline(runs));
      },
    },
  ];
}

const styleOf = (letters: MonthLetters, size: number) => ({
  ...letters,
  size,
  align: 'left' as const,
  leading: 1,
});

/** How much smaller words must be for their room, 1 if they need not. */
const fitting = ([says, { size, room }]: Said, letters: MonthLetters, typesetter: Typesetter): number =>
  room === undefined || !says
    ? 1
    : Math.min(1, room / typesetter.set(says, styleOf(letters, size), null).size.width);

/** Words about a spot, the middle of their capitals at its height. */
function atSpot(
  text: string,
  { x, y, at, size, turn = 0 }: Spot,
  letters: MonthLetters,
  typesetter: Typesetter,
): GlyphRun[] {
  if (!text) return [];
  const style = styleOf(letters, size);
  const set = typesetter.set(text, style, null);
  const capitals = typesetter.bounds(typesetter.set('H0', style, null).runs);
  // By what is seen of them: what is read from right to left is set to the left of its origin.
  const ink = typesetter.bounds(set.runs);
  const dx = -ink.x - (at === 'start' ? 0 : at === 'middle' ? ink.width / 2 : ink.width);
  const dy = -(capitals.y + capitals.height / 2);
  if (!turn) return moved(set.runs, x + dx, y + dy);
  const angle = (turn * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const turned = (glyph: PlacedGlyph): PlacedGlyph => {
    const [gx, gy] = [glyph.x + dx, glyph.y + dy];
    return {
      ...glyph,
      x: x + gx * cos - gy * sin,
      y: y + gx * sin + gy * cos,
      turn: (glyph.turn ?? 0) + turn,
    };
  };
  return set.runs.map((run) => ({ ...run, glyphs: run.glyphs.map(turned) }));
}
