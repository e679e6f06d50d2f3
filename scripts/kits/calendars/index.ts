/** Ready-made calendars, one for each of four kits: twelve months, each with papers, things and inks of its own. */
import { dealInks, INK_YEARS, monthInks, type InkYear } from '@/core/calendar/inks';
import { newMonth } from '@/core/piece/material/month/begin';
import type { Piece } from '@/core/piece/piece';
import { placedAt } from '@/core/piece/placement/placement';
import { beginProduct, monthOn } from '@/core/product';
import { calendarIn } from '@/core/product/calendar';
import { withSettings } from '@/core/product/calendar/settings';
import { changeProduct } from '@/core/project/edits/product';
import { gather } from '@/core/project/edits/gather';
import { together } from '@/core/project/edits/edit';
import { isEmptyPlace } from '@/core/project/frames';
import { perform, startHistory } from '@/core/project/history';
import { newProject, type Project, type Surface } from '@/core/project/model';
import { begun } from '@/core/project/sides';
import { monthAfter } from '@/core/dates/days';
import { toPoints } from '@/core/units/lengths';
import type { Typesetter } from '@/core/text/typesetter';
import { Composer, Material, type FindSupply } from '../compose';
import type { HouseKit } from '../kit';
import type { Design, Page } from './design';
import { garden } from './garden';
import { kitchen } from './kitchen';
import { night } from './night';
import { shore } from './shore';

const DESIGNS: readonly Design[] = [shore, kitchen, garden, night];

/** The ready-made calendars of a kit, each with the tags it is found by. */
export function readyCalendars(
  kit: HouseKit,
  supply: FindSupply,
  typesetter: Typesetter,
): { project: Project; tags: string }[] {
  return DESIGNS.filter((design) => design.kit === kit.id).map((design, i) => ({
    project: calendarOf(`${kit.id}-calendar-${i + 1}`, design, supply, typesetter),
    tags: design.tags,
  }));
}

function calendarOf(id: string, design: Design, supply: FindSupply, typesetter: Typesetter): Project {
  const { title, way, inks, wire } = design;
  const size = { width: toPoints(design.width, 'in'), height: toPoints(design.height, 'in') };
  const year = INK_YEARS.find((each) => each.id === inks)!;
  const bare = begun(
    newProject({ id, title, unit: 'in' }, beginProduct('calendar', size, way, { year: 2026, month: 12 })),
  );
  const bound = wire
    ? perform(
        startHistory(bare),
        changeProduct(
          withSettings(calendarIn(bare.product)!, { binding: { by: 'wire', at: 'top' } }),
          'bind',
        ),
        0,
      ).project
    : bare;
  const dealt = perform(startHistory(bound), dealInks(bound, year)!, 0).project;
  const from = new Material(supply, typesetter);
  const surfaces = dealt.surfaces.map((surface) => dressed(dealt, surface, design, year, from));
  const kept = [...from.used.values()];
  const gathered = perform(
    startHistory({ ...dealt, surfaces }),
    together(
      'gather',
      kept.map(([asset, compartment]) => gather(compartment, [asset])),
    ),
    0,
  );
  return gathered.project;
}

function dressed(project: Project, surface: Surface, design: Design, year: InkYear, from: Material): Surface {
  const of = surface.part === 'cover' ? null : monthOn(project, surface);
  const on = new Composer(from, surface);
  const i = (of?.month ?? 1) - 1;
  const began = [...surface.pile];
  const take = (which: (piece: Piece) => boolean): Piece | undefined => {
    const found = began.findIndex(which);
    return found < 0 ? undefined : began.splice(found, 1)[0];
  };
  const months = surface.pile.filter(({ material }) => material.kind === 'month');
  const page: Page = {
    ...{ on, i, inks: year.sets[i]! },
    photo(at, turn = 0, outline) {
      const piece = take(isEmptyPlace);
      on.place(at, turn, outline);
      // The place it began with is the one that is laid.
      if (piece) on.last((laid) => ({ ...laid, id: piece.id }));
    },
    title(at, size, change = {}) {
      const piece = take(({ role }) => role === 'title');
      if (piece?.outline.kind !== 'glyphs') return;
      const height = size * 1.25;
      on.pile.push({
        ...piece,
        outline: { ...piece.outline, family: design.family, size, leading: 1.2, ...change },
        placement: placedAt({ ...at, y: at.y + (at.height - height) / 2, height }),
      });
    },
    month(at, change = {}, which = 0) {
      const piece = months[which];
      if (piece?.material.kind !== 'month') return;
      on.pile.push({ ...piece, material: { ...piece.material, ...change }, placement: placedAt(at) });
    },
    small(at, after) {
      const piece = months[0];
      if (!of || piece?.material.kind !== 'month') return;
      const { material } = piece;
      const month = newMonth(monthAfter(of, after), material.language, after);
      on.pile.push({
        ...piece,
        id: `${surface.id}-small-${after}`,
        name: 'A small month',
        placement: placedAt(at),
        material: {
          ...month,
          ...{
            layout: 'open',
            title: 'month',
            headLength: 'narrow',
            sixth: 'six',
            weekStart: material.weekStart,
          },
          ...{ numbers: { family: 'zilla-slab' }, heads: { family: 'zilla-slab' } },
          inks: { ...material.inks, ...monthInks(year.sets[month.month - 1]!) },
        },
      });
    },
  };
  if (surface.part === 'cover') design.cover(page);
  else design.page(page);
  return { ...surface, pile: on.pile };
}
