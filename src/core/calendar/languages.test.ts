/** Calendars changed to any language there is: begun in one, read in another, and back. */
import { languagesOfDates } from '@/core/dates/languages';
import { readDays } from '@/core/calendar/typed';
import { digitsOf, monthName, runsLeft, weekStartOf } from '@/core/dates/names';
import { setGlyphs, type GlyphsOutline } from '@/core/piece/outline/glyphs';
import { equipped, needsOf } from '@/core/project/needs';
import { readProject, writeProject } from '@/core/project/file';
import { fitToFonts } from '@/core/project/edits/fonts';
import { amend, startHistory, undo } from '@/core/project/history';
import type { Project } from '@/core/project/model';
import type { Typesetter } from '@/core/text/typesetter';
import { readNodeFont } from '../../../scripts/node/platform';
import { calendar, done, FORMS, monthsIn, typesetter } from '../../../scripts/testing/calendars';

const LANGUAGES = languagesOfDates();

/** Titles with the outline they are written in, and how many lines they take. */
const titlesIn = (project: Project, type: Typesetter) =>
  project.surfaces.flatMap(({ pile }) =>
    pile.flatMap(({ role, outline, placement }) =>
      role === 'title' && outline.kind === 'glyphs'
        ? [
            {
              outline: outline as GlyphsOutline,
              lines: setGlyphs(outline, placement, type).lines.length,
              placement,
            },
          ]
        : [],
    ),
  );

test.each(FORMS)(
  '%s: changed to any language it is called, set and kept as there; one undo takes it back',
  async (form) => {
    const start = startHistory(calendar(form));
    const before = titlesIn(start.project, typesetter);
    // The longest names and the other direction in every form, of the rest every sixth by turns: all of them with EVERY=1.
    const turns = FORMS.length * (process.env.EVERY ? 1 : 6);
    const turn = FORMS.indexOf(form);
    const tags = LANGUAGES.map(({ tag }) => tag).filter((_, i) => i % turns === turn);
    for (const tag of new Set([...tags, 'el', 'ki', 'mn', 'ar'])) {
      const changed = done(start, { language: tag, weekStart: weekStartOf(tag) }, 9000);
      const { project } = changed;
      // A file takes it, and no two of its papers are called alike.
      expect(readProject(writeProject(project))).toEqual({ ok: true, value: project });
      const names = project.surfaces.map(({ name }) => name);
      expect([tag, new Set(names).size]).toEqual([tag, names.length]);
      for (const material of monthsIn(project))
        expect([material.language, material.weekStart]).toEqual([tag, weekStartOf(tag)]);
      // What stood on one line still does, in its box, where letters of that language are here.
      const own = await equipped(typesetter, needsOf(project), readNodeFont);
      const fitted = amend(changed, fitToFonts(project, typesetter, own)).project;
      expect(readProject(writeProject(fitted))).toEqual({ ok: true, value: fitted });
      const titles = titlesIn(fitted, own);
      expect([tag, titles.map(({ lines }) => lines)]).toEqual([tag, before.map(({ lines }) => lines)]);
      expect(undo(changed).project).toEqual(start.project);
    }
  },
);

test('its months are said in titles as the language says them by themselves, its years in its own digits', () => {
  const start = startHistory(calendar('month'));
  for (const { tag } of LANGUAGES) {
    const { project } = done(start, { language: tag }, 9000);
    const said = project.surfaces.flatMap(({ pile }) =>
      pile.flatMap(({ outline }) => (outline.kind === 'glyphs' ? [outline.text] : [])),
    );
    const year = digitsOf(tag)(2027);
    expect([tag, said.filter((text) => text.endsWith(year)).length]).toEqual([tag, said.length]);
    for (let month = 1; month <= 12; month++) expect(said).toContain(`${monthName(tag, month)} ${year}`);
  }
});

test('from language to language and back to its own, it is what it was but for letters that had to be smaller', () => {
  for (const form of FORMS) {
    const start = startHistory(calendar(form));
    const language = monthsIn(start.project)[0]!.language;
    const there = ['de', 'cs', 'ar', 'fi', language].reduce(
      (now, tag, i) => done(now, { language: tag, weekStart: weekStartOf(language) }, 9000 * (i + 1)),
      start,
    );
    const said = ({ surfaces }: Project) =>
      surfaces.map(({ name, pile }) => [
        name,
        pile.map((piece) => [piece.name, piece.role, 'text' in piece.outline ? piece.outline.text : '']),
      ]);
    expect(said(there.project)).toEqual(said(start.project));
    expect(monthsIn(there.project)).toEqual(monthsIn(start.project));
    for (const { outline } of titlesIn(there.project, typesetter))
      expect(outline.size).toBeLessThanOrEqual(
        Math.max(...titlesIn(start.project, typesetter).map(({ outline }) => outline.size)),
      );
  }
});

test('languages to choose from: each once, by its own name, those read from the right among them', () => {
  const tags = LANGUAGES.map(({ tag }) => tag);
  expect(new Set(tags).size).toBe(tags.length);
  expect(tags.length).toBeGreaterThan(100);
  // How some of them call themselves: common knowledge, from memory.
  const names = Object.fromEntries(LANGUAGES.map(({ tag, name }) => [tag, name]));
  expect(['de', 'fr', 'el', 'cs', 'fi'].map((tag) => names[tag])).toEqual([
    ...['Deutsch', 'Français', 'Ελληνικά', 'Čeština', 'Suomi'],
  ]);
  // Written in Arabic or Hebrew letters, or Thaana (Unicode's Script property, UAX 24).
  const left = tags.filter(runsLeft);
  expect(left).toEqual(expect.arrayContaining(['ar', 'he', 'fa', 'ur', 'yi', 'ps', 'ug']));
  expect(left).not.toEqual(expect.arrayContaining(['tr']));
  for (const { name } of LANGUAGES) expect(name).toMatch(/^[^a-z]/);
});

test('days typed as a language writes its dates are read in it; by the names of months alone where it writes figures', () => {
  const unread: string[] = [];
  for (const { tag } of LANGUAGES) {
    // Figures of other scripts are not typed on the keyboards of this program's people, nor are other calendars.
    const long = new Intl.DateTimeFormat(`${tag}-u-nu-latn-ca-gregory`, { day: 'numeric', month: 'long', year: 'numeric', timeZone: 'UTC' }); // prettier-ignore
    for (const month of [1, 2, 5, 9, 11, 12]) {
      const date = long.format(Date.UTC(2018, month - 1, 23));
      const name = monthName(tag, month);
      // Months that are counted stand after their year.
      const plain = /^\d/.test(name) ? [] : [`Ada: 23 ${name} 2018`];
      for (const line of [`Ada ${date}`, `${date}, Ada`, ...plain]) {
        const { events } = readDays(line, { kind: 'birthday', language: tag });
        const [found] = events;
        if (found?.month !== month || found.day !== 23 || found.year !== 2018) unread.push(`${tag}: ${line}`);
      }
    }
  }
  expect(unread).toEqual([]);
});

test('of dates without a year the day and the month are read, whichever way a language bends its months', () => {
  // Common knowledge of these languages, from memory.
  const lines: [tag: string, line: string, month: number, day: number][] = [
    ['es', 'Ada 3 de agosto', 8, 3],
    ['pt', 'Ada, 12 de março', 3, 12],
    ['cs', 'Ada 5. února', 2, 5],
    ['pl', 'Ada – 30 września', 9, 30],
    ['uk', 'Ада 1 січня', 1, 1],
    ['ru', '9 мая Ада', 5, 9],
    ['fi', 'Ada 24. joulukuuta', 12, 24],
    ['hu', 'Ada augusztus 20.', 8, 20],
    ['ja', 'Ada 11月3日', 11, 3],
    ['el', 'Ada 25 Μαρτίου', 3, 25],
    ['fr', 'Ada 14 fevrier', 2, 14],
    ['ca', 'Ada 11 d’abril', 4, 11],
  ];
  for (const [language, line, month, day] of lines) {
    const { events, refused } = readDays(line, { kind: 'birthday', language });
    expect([line, events[0]?.month, events[0]?.day, refused]).toEqual([line, month, day, []]);
    expect(events[0]).not.toHaveProperty('year');
    expect(events[0]!.name).toMatch(/^(Ada|Ада)$/);
    // English is read beside every other.
    expect(readDays('Olu 29 February 1988', { kind: 'birthday', language }).events).toMatchObject([
      { name: 'Olu', month: 2, day: 29, year: 1988 },
    ]);
  }
});
