/** Copies of pieces: names of their own, groups that are whole, what they pass under; nothing else of them is another. */
import fc from 'fast-check';
import type { Piece } from '@/core/piece/piece';
import { copiesOf, wholeCopy } from '@/core/project/copies';
import { tidied } from '@/core/project/tree';
import type { Group, Surface } from '@/core/project/model';
import { inkPiece, project } from '../../../scripts/testing/samples';

const [page] = project().surfaces as [Surface];
const GROUPS: Group[] = ['a', 'b', 'c'].map((id) => ({ id, name: `Group ${id}` }));

/** A page of up to eight pieces, some in groups within groups, some under others, with all that one may be held by. */
const anyPage = fc
  .array(
    fc.record({
      groups: fc.constantFrom<string[] | undefined>(undefined, ['a'], ['a', 'b'], ['c']),
      under: fc.option(fc.nat(7)),
      locked: fc.boolean(),
      bound: fc.boolean(),
    }),
    { minLength: 1, maxLength: 8 },
  )
  .map((all) =>
    tidied({
      ...page,
      groups: GROUPS,
      pile: all.map(({ groups, under, locked, bound }, i): Piece => ({
        ...inkPiece(`p${i}`, 20 * i, 10 * i),
        ...(groups ? { groups } : {}),
        ...(under !== null && under < all.length && under !== i
          ? { tucks: [{ under: `p${under}`, x: 0.1, y: 0 }] }
          : {}),
        ...(bound ? { round: `r${i}`, shared: `s${i}`, carried: 'elsewhere' } : {}),
        placement: { ...inkPiece('x', 20 * i, 10 * i).placement, locked },
      })),
    }),
  );
const counting = () => {
  let ids = 0;
  return () => `n${(ids += 1)}`;
};
const bare = ({
  id: _,
  groups: __,
  tucks: ___,
  placement: ____,
  round: _____,
  shared: ______,
  carried: _7,
  ...rest
}: Piece) => rest;

test('each has a name of its own and lies beside what it is a copy of; groups come along where all that is in them does', () => {
  fc.assert(
    fc.property(anyPage, fc.array(fc.boolean(), { minLength: 8, maxLength: 8 }), (surface, chosen) => {
      const pieces = surface.pile.filter((_, i) => chosen[i]);
      const { pieces: copies, groups } = copiesOf(pieces, surface, counting(), { x: 7, y: -3 });
      expect(copies).toHaveLength(pieces.length);
      const known = new Set(surface.pile.map(({ id }) => id));
      const ids = copies.map(({ id }) => id);
      expect([new Set(ids).size, ids.some((id) => known.has(id))]).toEqual([ids.length, false]);
      expect(groups.some(({ id }) => GROUPS.some((group) => group.id === id))).toBe(false);
      copies.forEach((copy, i) => {
        const of = pieces[i]!;
        expect(bare(copy)).toEqual(bare(of));
        expect(copy.placement).toEqual({
          ...of.placement,
          x: of.placement.x + 7,
          y: of.placement.y - 3,
          locked: false,
        });
        // What is done to what it is a copy of is not done to it.
        expect([copy.round, copy.shared, copy.carried]).toEqual([undefined, undefined, undefined]);
        // Under the copy of what it passed under, or under that itself.
        expect(copy.tucks?.map(({ under }) => under)).toEqual(
          of.tucks?.map(({ under }) => {
            const at = pieces.findIndex(({ id }) => id === under);
            return at < 0 ? under : copies[at]!.id;
          }),
        );
      });
      const whole = surface.groups.filter(({ id }) =>
        surface.pile.every((piece) => !piece.groups?.includes(id) || pieces.includes(piece)),
      );
      expect(groups.map(({ name }) => name)).toEqual(whole.map(({ name }) => name));
      copies.forEach((copy, i) =>
        expect((copy.groups ?? []).map((id) => groups.find((group) => group.id === id)?.name)).toEqual(
          (pieces[i]!.groups ?? []).flatMap((id) => whole.find((group) => group.id === id)?.name ?? []),
        ),
      );
    }),
  );
});

test('a whole page once more is the page, but for names: locks and what lies on every page stay', () => {
  fc.assert(
    fc.property(anyPage, (surface) => {
      const { pile, groups } = wholeCopy(surface, counting());
      expect(groups.map(({ name }) => name)).toEqual(surface.groups.map(({ name }) => name));
      pile.forEach((copy, i) => {
        const of = surface.pile[i]!;
        expect([bare(copy), copy.placement, copy.shared, copy.carried]).toEqual([
          ...[bare(of), of.placement, of.shared, of.carried],
        ]);
        expect(copy.groups?.length).toBe(of.groups?.length);
      });
      expect(tidied({ ...surface, pile, groups })).toEqual({ ...surface, pile, groups });
    }),
  );
});
