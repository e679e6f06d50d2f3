/** Names out of files: one line of what can be seen. */
import fc from 'fast-check';
import { produce } from 'immer';
import { thoughtsIn } from '@/core/book/series';
import { whichThing } from '@/core/project/complaint';
import { together, type Edit } from '@/core/project/edits/edit';
import { keepLook } from '@/core/project/edits/looks';
import { writeNote } from '@/core/project/edits/page';
import type { Project, Surface } from '@/core/project/model';
import { withCleanNames } from '@/core/project/names';
import { asName, calledFile } from '@/core/text/named';
import { assetOf, laid, photoOf, quarters, wordsOf } from '../../../scripts/testing/samples';

test('what is not seen, or turns letters round, is gone; scripts and emoji are as they were', () => {
  expect(asName('kite\u202egnp.exe', 400)).toBe('kitegnp.exe');
  expect(asName(' two\r\nlines\u0000\tand\u2029more ', 400)).toBe('two lines and more');
  expect(asName('\ufeffKu\u0308ste\u200b', 400)).toBe('Küste');
  // Joiners make letters of Persian and pictures of people (Unicode Standard Annex 31, 2.3; Annex 51).
  for (const whole of ['می\u200cخواهم', '👩\u200d👧', 'ים טובים', '凧'])
    expect(asName(whole, 400)).toBe(whole.normalize('NFC'));
  expect(asName('\ud800half', 400)).toBe('half');
  expect(asName('🪁🪁', 3)).toBe('🪁');
  expect(asName('ab👩\u200d👧', 5)).toBe('ab');
  expect(asName('👩\u200d👧', 3)).toBe('👩\u200d');
  // What is told of a file is told by the name one sees.
  expect(calledFile('box/kite\u202egnp.svg')).toBe('kitegnp.svg');
  expect(calledFile('\u200b')).toBe('A file');
});

test('any text becomes a name that stays as it is', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary' }), fc.integer({ min: 1, max: 60 }), (text, longest) => {
      const name = asName(text, longest);
      expect(name.length).toBeLessThanOrEqual(longest);
      expect(asName(name, longest)).toBe(name);
      expect(name).not.toMatch(/[\n\r\u202e\u0000-\u001f]/);
    }),
  );
});

test('every name of a project from a file is cleaned, and no word that stands on a page', () => {
  const photo = assetOf(quarters(6, 4), 6, 4, {
    name: 'kite\u202egnp.exe',
    notes: { people: ['Ada\u0000', '\u200b'], place: 'Salt\nmarsh', caption: 'Two\nlines' },
  });
  const page = laid(
    [
      { ...photoOf('photo', photo, { x: 10, y: 10, width: 90, height: 60 }), name: 'A\tphoto' },
      wordsOf('words', 'two\nlines'),
    ],
    [photo],
  );
  const holidays = { country: 'AT', days: [], out: [], names: { 'first\n': 'May\u2067 Day' } };
  const foreign = { kind: 'foreign', written: { kind: 'fan', name: 'a\nb' } } as const;
  const clean = withCleanNames({ ...page, title: '\u202e', holidays, product: foreign });
  expect(clean.title).toBe('Unnamed');
  expect(clean.surfaces[0]!.pile.map(({ name }) => name)).toEqual([
    'A photo',
    page.surfaces[0]!.pile[1]!.name,
  ]);
  expect(clean.surfaces[0]!.pile[1]!.material).toEqual(page.surfaces[0]!.pile[1]!.material);
  expect(clean.assets[photo.sha]).toMatchObject({
    name: 'kitegnp.exe',
    notes: { people: ['Ada', 'Unnamed'], place: 'Salt marsh', caption: 'Two\nlines' },
  });
  expect(clean.holidays!.names).toEqual({ 'first\n': 'May Day' });
  expect(clean.product).toEqual(foreign);
  const plain = withCleanNames(laid([]));
  expect(withCleanNames(plain)).toEqual(plain);
});

test('what is too long for its place is cut between letters, wherever it is written', () => {
  const kites = `a${'🪁'.repeat(1200)}`;
  const page = laid([wordsOf('words', kites)]);
  const [{ id, pile }] = page.surfaces as [Surface];
  for (const [edit, of] of [
    [writeNote(id, kites), ({ surfaces }) => surfaces[0]!.note],
    [keepLook(id, pile, 'look', kites), ({ looks }) => looks![0]!.name],
    [together(`write ${thoughtsIn(kites).lines[0]}`, []), () => thoughtsIn(kites).lines[0]],
  ] as [Edit, (project: Project) => string][]) {
    const text = of(produce(page, (draft) => void edit.apply(draft)));
    expect(text.isWellFormed() && edit.label.isWellFormed()).toBe(true);
    expect(text.length).toBeGreaterThan(40);
    expect(text.length).toBeLessThan(kites.length);
  }
  expect(whichThing({ looks: [{ name: kites }] }, ['looks', '0']).isWellFormed()).toBe(true);
});
