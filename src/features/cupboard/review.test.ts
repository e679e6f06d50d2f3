/** What came in as it is looked over: the doubtful first, then kind by kind; the letters that sort it. */
import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { KIND_KEYS, reviewGroups } from '@/features/cupboard/review';
import type { Row } from '@/features/cupboard/gathering';
import { KINDS, SUPPLY_KINDS, type SupplyKind } from '@/core/supplies/model';
import { DOUBTFUL } from '@/core/supplies/sort';

const row = (id: string, kind: SupplyKind, sure: number): Row => ({
  ...{ id, kind, sure, name: id, tags: [], colours: [], favourite: false, why: 'its name says so' },
});

test('every row is in one group, once; the least sure comes first, all else in the order it came, by its kind', () => {
  const any = fc.record({
    kind: fc.constantFrom(...SUPPLY_KINDS),
    sure: fc.double({ min: 0, max: 1, noNaN: true }),
  });
  fc.assert(
    fc.property(fc.array(any, { maxLength: 30 }), (all) => {
      const rows = all.map(({ kind, sure }, i) => row(`r${i}`, kind, sure));
      const groups = reviewGroups(rows);
      expect(groups.flatMap((group) => group.rows.map(({ id }) => id)).sort()).toEqual(
        rows.map(({ id }) => id).sort(),
      );
      const doubtful = rows.filter(({ sure }) => sure < DOUBTFUL);
      const [first, ...rest] = groups;
      if (doubtful.length) {
        expect(first!.title).toBe('Please look at these first');
        expect(first!.rows.map(({ sure }) => sure)).toEqual(
          doubtful.map(({ sure }) => sure).sort((a, b) => a - b),
        );
      }
      const kinds = (doubtful.length ? rest : groups).map(({ title, rows: own }) => {
        expect(new Set(own.map(({ kind }) => kind)).size).toBe(1);
        expect(title.toLowerCase()).toBe(KINDS[own[0]!.kind].many.toLowerCase());
        expect(title[0]).toBe(title[0]!.toUpperCase());
        expect(own).toEqual(rows.filter(({ kind, sure }) => kind === own[0]!.kind && sure >= DOUBTFUL));
        return SUPPLY_KINDS.indexOf(own[0]!.kind);
      });
      expect(kinds).toEqual([...kinds].sort((a, b) => a - b));
    }),
  );
});

test('each kind a picture can be has a letter of its own', () => {
  const [kinds, letters] = [KIND_KEYS.map(([kind]) => kind), KIND_KEYS.map(([, letter]) => letter)];
  expect([new Set(kinds).size, new Set(letters).size]).toEqual([KIND_KEYS.length, KIND_KEYS.length]);
  for (const [kind, letter] of KIND_KEYS)
    expect([kind in KINDS, /^[A-Z]$/.test(letter)]).toEqual([true, true]);
});
