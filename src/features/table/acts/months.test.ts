/** At the room with a calendar on the table: carried on, held, inked, shaded, dated; what cannot be is said. */
import { AS_IT_IS } from '@/core/calendar/carry';
import { INK_YEARS } from '@/core/calendar/inks';
import { layMonth as laid } from '@/core/piece/material/month/draw';
import type { MonthMaterial } from '@/core/piece/material/month/model';
import { startHistory, undoLabel } from '@/core/project/history';
import { lockPage } from '@/core/project/edits/page';
import * as act from '@/features/table/acts';
import * as carrying from '@/features/table/acts/carrying';
import { daysTyped } from '@/features/table/acts/days';
import { createSession, selectedPieces, shownSurface, type SessionStore } from '@/features/table/session';
import { calendar, typesetter } from '../../../../scripts/testing/calendars';
import { assetOf } from '../../../../scripts/testing/samples';

/** A calendar at its January. */
function table(way = 'month'): SessionStore {
  const store = createSession(startHistory(calendar(way, { width: 612, height: 792 })), typesetter, false);
  store.getState().measured({ width: 900, height: 600 }, { zoom: 0.5, x: 50, y: 50 });
  store.getState().turnTo(store.getState().history.project.surfaces[1]!.id);
  return store;
}
const pages = (store: SessionStore) => store.getState().history.project.surfaces;
const monthOf = (
  store: SessionStore,
): {
  id: string;
  material: MonthMaterial;
  placement: { x: number; y: number; width: number; height: number };
} => shownSurface(store.getState()).pile.find(({ material }) => material.kind === 'month') as never;
const said = (store: SessionStore) => store.getState().refused?.why;

test('what is selected goes to all other months, the whole page to the next; the last month, the cover and locked ones say why not', () => {
  const store = table();
  act.punchWith(store, 'star');
  carrying.carryOn(store, 'all', { ...AS_IT_IS, vary: 0.5 });
  expect(
    pages(store)
      .slice(1)
      .map(({ pile }) => pile.filter(({ role }) => role === 'embellishment').length),
  ).toEqual(Array(12).fill(1));
  expect(undoLabel(store.getState().history)).toMatch(/^carry .* on$/);
  // By another chance from where it came, whatever is looked at meanwhile.
  const from = { surfaceId: pages(store)[1]!.id, selection: store.getState().selection };
  const before = pages(store)[5]!.pile.at(-1)!.placement;
  store.getState().turnTo(pages(store)[7]!.id);
  carrying.carryOn(store, 'all', { ...AS_IT_IS, vary: 0.5, seed: 2 }, from);
  expect(pages(store)[1]!.pile.at(-1)!.id).toBe(from.selection[0]);
  expect(pages(store)[5]!.pile.at(-1)!.placement).not.toEqual(before);
  store.getState().turnTo(pages(store)[0]!.id);
  carrying.carryOn(store, 'all', AS_IT_IS);
  expect(said(store)).toBe('Turn to a month first: this page is of none.');
  store.getState().turnTo(pages(store)[12]!.id);
  carrying.carryOn(store, 'next', AS_IT_IS);
  expect(said(store)).toMatch(/^This is the last month/);
  for (const { id } of pages(store).slice(2)) store.getState().perform(lockPage(id, true));
  store.getState().turnTo(pages(store)[1]!.id);
  expect(carrying.whyNotCarried(store.getState())).toBe('There is no other month that could be changed.');
});

test('a title moved and lettered otherwise is so on all months, each with its own words', () => {
  const store = table();
  const title = shownSurface(store.getState()).pile.find(({ role }) => role === 'title')!;
  store.getState().select([title.id]);
  act.nudge(store, 12, 5);
  carrying.carryOn(store, 'all', AS_IT_IS);
  const titles = pages(store)
    .slice(1)
    .map(({ pile }) => pile.filter(({ role }) => role === 'title'));
  expect(titles.every((all) => all.length === 1)).toBe(true);
  expect(
    titles.map(([piece]) => piece!.outline.kind === 'glyphs' && piece!.outline.text).slice(0, 2),
  ).toEqual(['January 2027', 'February 2027']);
  expect(new Set(titles.map(([piece]) => piece!.placement.x.toFixed(3))).size).toBe(1);
});

test('what is dropped on a day could be held to it, what covers the month could not; it goes along by itself', () => {
  const store = table();
  act.punchWith(store, 'star');
  const [star] = selectedPieces(store.getState()) as [ReturnType<typeof selectedPieces>[0]];
  const { placement, material } = monthOf(store);
  const { box } = laid(material, placement).days.find(({ cell }) => cell.of === 0 && cell.day === 14)!;
  act.sizeTo(store, star!, 'width', box.width / 2, true);
  const { x, y } = selectedPieces(store.getState())[0]!.placement;
  act.nudge(store, placement.x + box.x + box.width / 2 - x, placement.y + box.y + box.height / 2 - y);
  const at = selectedPieces(store.getState())[0]!;
  expect(act.couldHold(shownSurface(store.getState()), at)).toBe(true);
  expect(
    act.couldHold(shownSurface(store.getState()), {
      ...at,
      placement: { ...at.placement, width: 600, height: 700 },
    }),
  ).toBe(false);
  // A photo of any size is meant for the day it is dropped on, but not what lies beneath the month.
  const photo = { ...at, role: 'photo' as const, placement: { ...at.placement, width: 600, height: 700 } };
  const { pile } = shownSurface(store.getState());
  const above = {
    ...shownSurface(store.getState()),
    pile: [...pile.filter(({ id }) => id !== at.id), photo],
  };
  expect(act.couldHold(above, photo)).toBe(true);
  expect(act.couldHold({ ...above, pile: [photo, ...above.pile.slice(0, -1)] }, photo)).toBe(false);
  act.holdChosen(store);
  expect(selectedPieces(store.getState())[0]!.held).toMatchObject({ month: 1, day: 14 });
  expect(act.couldHold(shownSurface(store.getState()), selectedPieces(store.getState())[0]!)).toBe(false);
});

test('weekdays lie on a paper, months in the inks dealt to them, small months beside them; all goes along to another year', async () => {
  const store = table();
  const month = monthOf(store);
  const paper = assetOf(new Uint8Array([7]), 300, 300);
  act.changeMonth(store, month.id, { shaded: [{ weekday: 6, colour: '#f1e3c8' }], moon: 1 });
  act.shadeWithPaper(store, shownSurface(store.getState()).id, month.id, 6, paper);
  expect(monthOf(store).material.shaded).toEqual([{ weekday: 6, colour: '#f1e3c8', asset: paper.sha }]);
  expect(store.getState().history.project.papers).toContain(paper.sha);
  act.layMonth(store, 1);
  expect(selectedPieces(store.getState())[0]!.material).toMatchObject({ month: 2, year: 2027, follows: 1 });
  const [shore] = INK_YEARS as [(typeof INK_YEARS)[0]];
  carrying.dealInksOf(store, shore);
  expect(monthOf(store).material.inks.title).toBe(shore.sets[0]![1]);
  await act.changeCalendar(store, { year: 2029 }, 'date the calendar 2029');
  const { pile } = shownSurface(store.getState());
  expect(
    pile.flatMap(({ material }) => (material.kind === 'month' ? [[material.month, material.year]] : [])),
  ).toEqual([
    [1, 2029],
    [2, 2029],
  ]);
  expect(monthOf(store).material).toMatchObject({ moon: 1, shaded: [{ asset: paper.sha }] });
  carrying.dealInksOf(store, null);
  expect(monthOf(store).material.inks.title).toBe(shore.sets[0]![1]);
});

test('of days that are typed as many are put in as there is room for; the lines of all others stay, each with why', () => {
  const wish = { kind: 'birthday', language: 'en-GB' } as const;
  const text = 'Ada 3 August\n\nBo 31 June\n  Ines 9 Jan 1991\nSuki 24 Nov\nnobody';
  const { taken, left } = daysTyped(text, 2, wish);
  expect(taken.map(({ name, month, day }) => [name, month, day])).toEqual([
    ['Ada', 8, 3],
    ['Ines', 1, 9],
  ]);
  expect(left).toEqual([
    { line: 'Bo 31 June', why: 'June has 30 days' },
    { line: 'nobody', why: 'no date in it' },
    { line: 'Suki 24 Nov', why: 'a project holds up to 2,000 days' },
  ]);
  // What is left can be put in as it stands, once there is room.
  expect(daysTyped(left.map(({ line }) => line).join('\n'), 9, wish).taken).toMatchObject([{ name: 'Suki' }]);
  expect(daysTyped('', 0, wish)).toEqual({ taken: [], left: [] });
});

test('two settings changed at once both stay, though the holidays of another year are fetched for one of them', async () => {
  const store = table();
  await act.keepHolidays(store, { country: 'DE' });
  const kept = () => store.getState().history.project;
  const before = kept().holidays!.days;
  expect(before.every(({ year }) => year === 2027)).toBe(true);
  await Promise.all([
    act.changeCalendar(store, { year: 2029 }, 'date the calendar 2029'),
    act.changeCalendar(store, { leapDay: 'march' }, 'keep leap days in March'),
  ]);
  expect(kept().product).toMatchObject({ year: 2029, leapDay: 'march' });
  expect(kept().holidays!.days.every(({ year }) => year === 2029)).toBe(true);
  expect(kept().holidays!.days.length).toBeGreaterThan(before.length - 2);
  await act.keepHolidays(store, null);
  expect(kept()).not.toHaveProperty('holidays');
});
