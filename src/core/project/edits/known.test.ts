/** What a project knows beside its pages: facts, days, fonts, profiles, faces, its unit; put in once, as many as there may be, and taken out without a trace. */
import type { Edit } from '@/core/project/edits/edit';
import { removeEvents, setEvents, setHolidays } from '@/core/project/edits/events';
import { knowFaces } from '@/core/project/edits/faces';
import { forgetFact, setFact } from '@/core/project/edits/facts';
import { bringFonts, takeOutFont, writtenInFamily } from '@/core/project/edits/fonts';
import { changeUnit, endPractice, gather, retitle } from '@/core/project/edits/gather';
import { bringProfile, takeOutProfile } from '@/core/project/edits/profiles';
import { MOST_FACES } from '@/core/photos/faces';
import { MOST_PROFILES } from '@/core/press/conditions';
import { MOST_FONTS } from '@/core/project/schema';
import { nameOfWords } from '@/core/project/edits/make';
import { readProject, writeProject } from '@/core/project/file';
import { perform, startHistory, undo, undoLabel } from '@/core/project/history';
import type { Project } from '@/core/project/model';
import { first } from '../../../../scripts/testing/first';
import { assetOf, laid, quarters, wordsOf } from '../../../../scripts/testing/samples';

const bare = laid([]);
const sha = (i: number) => i.toString(16).padStart(64, '0');
function done(project: Project, ...edits: Edit[]) {
  const history = edits.reduce((now, edit, i) => perform(now, edit, i * 5000), startHistory(project));
  expect(readProject(writeProject(history.project))).toEqual({ ok: true, value: history.project });
  // Every step is taken back as it was.
  expect(edits.reduce((now) => undo(now), history).project).toEqual(project);
  return history.project;
}

describe('facts', () => {
  const day = { id: 'f', name: 'Day', kind: 'day' as const, value: '2026-05-29' };
  test('one takes the place of the one before, others stay; typed on it is one step', () => {
    const known = done(
      bare,
      setFact(day),
      setFact({ ...day, id: 'g', name: 'Tide' }),
      setFact({ ...day, value: '2026-05-30' }),
    );
    expect(known.facts!.map(({ id, value }) => [id, value])).toEqual([
      ['f', '2026-05-30'],
      ['g', '2026-05-29'],
    ]);
    let history = startHistory(bare);
    for (const [i, value] of ['2026-05-01', '2026-05-02'].entries())
      history = perform(history, setFact({ ...day, value }), i * 100);
    expect([history.steps.length, undoLabel(history)]).toEqual([1, 'change Day']);
  });
  test('forgotten, no trace is left of the last one', () => {
    expect(done(bare, setFact(day), forgetFact(day))).toEqual(bare);
    expect(done(first, forgetFact({ id: 'gone', name: 'x' }))).toEqual(first);
  });
});

describe('days', () => {
  const ada = { id: 'ada', kind: 'birthday' as const, name: 'Ada', month: 8, day: 3, year: 2018 };
  test('are put in once each, changed where they stand, and taken out', () => {
    const olu = { ...ada, id: 'olu', name: 'Olu', month: 2, day: 29 };
    const known = done(bare, setEvents([ada, olu]), setEvents([{ ...ada, day: 4 }]));
    expect(known.events!.map(({ id, day }) => [id, day])).toEqual([
      ['ada', 4],
      ['olu', 29],
    ]);
    expect(done(known, removeEvents(['olu'], 'take out Olu')).events).toHaveLength(1);
    expect(done(known, removeEvents(['olu', 'ada', 'gone'], 'take out')).events).toBeUndefined();
  });
  test('holidays are kept as they were given, and let go', () => {
    const holidays = {
      country: 'GB',
      days: [{ year: 2027, month: 12, day: 25, name: 'Christmas Day', rule: '12-25' }],
      out: [],
      names: {},
    };
    const kept = done(bare, setHolidays(holidays, 'keep holidays'));
    expect(kept.holidays).toEqual(holidays);
    expect(kept.holidays).not.toBe(holidays);
    expect(done(bare, setHolidays(holidays, 'a'), setHolidays(null, 'b'))).toEqual(bare);
  });
});

describe('fonts', () => {
  const font = (i: number) => ({ sha: sha(i), name: `Quill ${i}`, bytes: 9 });
  test('each once, as many as there may be', () => {
    const many = Array.from({ length: MOST_FONTS + 3 }, (_, i) => font(i));
    const known = done(bare, bringFonts([font(1), font(1)]), bringFonts(many));
    expect(known.fonts).toHaveLength(MOST_FONTS);
    expect(known.fonts![0]).toEqual(font(1));
    expect(undoLabel(perform(startHistory(bare), bringFonts([font(7)]), 0))).toBe('bring in font “Quill 7”');
    expect(done(bare, bringFonts([]))).toEqual(bare);
  });
  test('taken out, the last leaves no trace; what is written in a family is counted', () => {
    expect(done(bare, bringFonts([font(1), font(2)]), takeOutFont(font(1))).fonts).toEqual([font(2)]);
    expect(done(bare, bringFonts([font(1)]), takeOutFont(font(1)))).toEqual(bare);
    const words = wordsOf('w', 'Ebb');
    const project = laid([
      { ...words, outline: { ...words.outline, family: 'lora' } as never },
      wordsOf('v', 'Flow'),
    ]);
    expect(writtenInFamily({ ...project, styles: first.styles }, 'lora')).toEqual({ pieces: 1, styles: 1 });
  });
});

test('profiles: each once, as many as there may be, and none without a trace', () => {
  const profile = (i: number) => ({ sha: sha(i), name: `Press ${i}`, bytes: 9 });
  const full = Array.from({ length: MOST_PROFILES + 2 }, (_, i) => bringProfile(profile(i)));
  expect(done(bare, ...full.slice(0, MOST_PROFILES)).profiles).toHaveLength(MOST_PROFILES);
  const history = full.reduce((now, edit, i) => perform(now, edit, i * 5000), startHistory(bare));
  expect(history.project.profiles).toHaveLength(MOST_PROFILES);
  expect(done(bare, bringProfile(profile(1)), takeOutProfile(profile(1)))).toEqual(bare);
  expect(
    perform(startHistory(done(bare, bringProfile(profile(1)))), bringProfile(profile(1)), 0).steps,
  ).toEqual([]);
});

test('faces are noted with their photos, no more than are looked for; of a photo that is gone nothing is', () => {
  const asset = assetOf(quarters(67, 47), 67, 47);
  const project = laid([], [asset]);
  const face = { x: 0.1, y: 0.1, width: 0.2, height: 0.2 };
  const known = done(project, knowFaces(new Map([[asset.sha, [face]]])));
  expect(known.assets[asset.sha]!.faces).toEqual([face]);
  expect(done(project, knowFaces(new Map([[asset.sha, []]]))).assets[asset.sha]!.faces).toEqual([]);
  const crowd = perform(
    startHistory(project),
    knowFaces(new Map([[asset.sha, Array(MOST_FACES + 5).fill(face)]])),
    0,
  ).project;
  expect(crowd.assets[asset.sha]!.faces).toHaveLength(MOST_FACES);
  expect(perform(startHistory(project), knowFaces(new Map([[sha(9), [face]]])), 0).steps).toEqual([]);
});

test('title, unit and practice', () => {
  expect(done(bare, changeUnit('mm')).unit).toBe('mm');
  expect(undoLabel(perform(startHistory(bare), changeUnit('mm'), 0))).toBe('measure in millimetres');
  expect(done({ ...bare, practice: true }, endPractice())).not.toHaveProperty('practice');
  let history = startHistory(bare);
  for (const [i, title] of ['K', 'Ki', 'Kites'].entries())
    history = perform(history, retitle(title), i * 100);
  expect([history.steps.length, history.project.title]).toEqual([1, 'Kites']);
});

test('what is gathered lies there once, in the order it came; brought in together it is one step', () => {
  const assets = [assetOf(quarters(68, 48), 68, 48), assetOf(quarters(69, 49), 69, 49)];
  const known = done(bare, gather('photos', [assets[0]!]), gather('photos', assets));
  expect(known.photos).toEqual(assets.map((asset) => asset.sha));
  expect(undoLabel(perform(startHistory(bare), gather('papers', assets), 0))).toBe('bring in 2 papers');
  const twice = perform(
    perform(startHistory(bare), gather('photos', [assets[0]!]), 0),
    gather('photos', [assets[1]!]),
    200,
  );
  expect(twice.steps).toHaveLength(1);
});

test('words are called by their first line, whole to its last letter', () => {
  expect(nameOfWords('  Low tide\nat seven', 'title')).toBe('Low tide');
  expect(nameOfWords(' \n ', 'title')).toBe('Title');
  const name = nameOfWords(`${'k'.repeat(39)}🪁🪁`, 'title');
  expect([name, name.isWellFormed()]).toEqual(['k'.repeat(39), true]);
});
