/** The kite club's desk calendar: a photo and its month on a card, on another paper each month, with the club's birthdays. */
import type { DayEvent } from '@/core/calendar/events';
import { fillYear } from '@/core/calendar/fill';
import { settle } from '@/core/calendar/settle';
import type { Asset } from '@/core/picture/asset';
import { finishOf } from '@/core/piece/finish';
import { LIFTS } from '@/core/piece/finish/lift';
import type { Piece } from '@/core/piece/piece';
import { placedAt } from '@/core/piece/placement/placement';
import { beginProduct } from '@/core/product';
import { backgroundPiece } from '@/core/project/create';
import { perform, startHistory } from '@/core/project/history';
import { newProject, type Project, type Surface } from '@/core/project/model';
import { begun } from '@/core/project/sides';

const IN = 72;

/** A paper for each side, the cover first, and the ink that goes with it. */
const MONTHS: readonly (readonly [paper: string, ink: string])[] = [
  ['sailcloth-linen', '#9e2b45'],
  ['buoy-dots', '#2f4858'],
  ['harbourmaster-ledger', '#7a3b52'],
  ['dune-kraft', '#9e5a2b'],
  ['picnic-gingham', '#2f6f68'],
  ['windsock-stripe', '#9e2b45'],
  ['tide-wash', '#1f6f8b'],
  ['boathouse-boards', '#1f5f7b'],
  ['harbour-herringbone', '#b3262e'],
  ['dune-kraft', '#9e5a2b'],
  ['buoy-dots', '#7a3b52'],
  ['harbourmaster-ledger', '#2f4858'],
  ['sailcloth-linen', '#9e2b45'],
];

const birthday = (name: string, day: number, month: number, year?: number): DayEvent => ({
  ...{ id: `${name} ${day} ${month}`.toLowerCase().replaceAll(' ', '-'), kind: 'birthday', name, month, day },
  ...(year ? { year } : {}),
});

/** The club's birthdays and days, invented; they ship as .ics too. */
export const DAYS: readonly DayEvent[] = [
  birthday('Ines', 9, 1, 1991),
  birthday('Olu', 29, 2, 1988),
  birthday('Ada', 3, 8, 2018),
  birthday('Bo', 21, 4, 1979),
  birthday('Marit', 17, 6, 1956),
  birthday('Teo', 11, 10, 2012),
  birthday('Suki', 24, 11, 2001),
  birthday('Wren', 6, 7),
  { id: 'fly-in', kind: 'yearly', name: 'Fly-in', month: 5, nth: 3, weekday: 6 },
  { id: 'lanterns', kind: 'yearly', name: 'Lantern night', month: 11, nth: 1, weekday: 6 },
  { id: 'club', kind: 'anniversary', name: 'The club', month: 9, day: 12, year: 2009 },
];

/** One side of it: paper under all, the photo with a white edge, words and days on a card. */
function dressed(
  surface: Surface,
  [paper, ink]: (typeof MONTHS)[number],
  papers: ReadonlyMap<string, Asset>,
): Surface {
  const asset = papers.get(paper)!;
  const cover = surface.part === 'cover';
  const written = surface.pile.filter(({ role }) => role !== 'photo');
  const boxes = written.map(({ placement: { x, y, width, height } }) => ({
    ...{ left: x - width / 2, top: y - height / 2, right: x + width / 2, bottom: y + height / 2 },
  }));
  const edge = cover ? 0.06 * IN : 0.13 * IN;
  const left = Math.min(...boxes.map((box) => box.left)) - edge;
  const top = Math.min(...boxes.map((box) => box.top)) - edge;
  const card: Piece = {
    id: `${surface.id}-card`,
    name: 'Card',
    role: 'mat',
    material: { kind: 'ink', colour: '#fdf9ef' },
    outline: { kind: 'rectangle', radius: 4 },
    finish: finishOf(LIFTS.cardstock),
    placement: placedAt({
      ...{ x: left, y: top },
      width: Math.max(...boxes.map((box) => box.right)) + edge - left,
      height: Math.max(...boxes.map((box) => box.bottom)) + edge - top,
    }),
  };
  const dyed = written.map((piece): Piece =>
    piece.material.kind === 'month'
      ? {
          ...piece,
          material: {
            ...piece.material,
            inks: { ...piece.material.inks, free: ink, rules: ink, notes: ink, heads: ink },
          },
        }
      : {
          ...piece,
          material: { kind: 'ink', colour: ink },
          outline:
            piece.outline.kind === 'glyphs' ? { ...piece.outline, family: 'abril-fatface' } : piece.outline,
        },
  );
  const photo = surface.pile
    .filter(({ role }) => role === 'photo')
    .map((piece): Piece => ({
      ...piece,
      finish: { ...finishOf(LIFTS.photo), stroke: { colour: '#ffffff', width: 5, side: 'inside' } },
    }));
  return {
    ...surface,
    pile: [backgroundPiece(`${surface.id}-paper`, asset, surface), ...photo, card, ...dyed],
  };
}

/** Photos by their file names, papers by theirs. */
export function clubCalendar(assets: ReadonlyMap<string, Asset>, photos: readonly string[]): Project {
  const size = { width: 7 * IN, height: 5 * IN };
  const bare = begun(
    newProject(
      { id: 'saltmarsh-desk-calendar', title: 'Saltmarsh kites 2027', unit: 'in' },
      beginProduct('calendar', size, 'picture', { year: 2026, month: 11 }),
    ),
  );
  const taken = photos.flatMap((file) => (/shaken|again/.test(file) ? [] : [assets.get(file)!]));
  const surfaces = bare.surfaces.map((surface, i) => dressed(surface, MONTHS[i]!, assets));
  const papers = [...new Set(MONTHS.map(([paper]) => assets.get(paper)!))];
  const whole: Project = {
    ...bare,
    surfaces,
    events: [...DAYS],
    assets: Object.fromEntries([...taken, ...papers].map((asset) => [asset.sha, asset])),
    photos: taken.map(({ sha }) => sha),
    papers: papers.map(({ sha }) => sha),
  };
  const filled = perform(startHistory(whole), fillYear(whole, taken)!.edit, 0).project;
  return perform(startHistory(filled), settle(filled)!, 0).project;
}
