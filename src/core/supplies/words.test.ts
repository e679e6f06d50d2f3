/** The index of words against one that looks at everything, and the search against one that is made anew. */
import fc from 'fast-check';
import type { Kit, Supply } from '@/core/supplies/model';
import { SupplySearch, stemsOf } from '@/core/supplies/search';
import { folded } from '@/core/text/folded';
import { asStem, WordIndex, type Wanted } from '@/core/supplies/words';

/** Few letters, so that words begin alike and lie near each other. */
const word = fc.array(fc.constantFrom(...'abkit'), { minLength: 1, maxLength: 8 }).map((all) => all.join(''));
const weight = fc.constantFrom(0.5, 1, 3, 4);
type Entries = Map<number, Map<string, number>>;

/** Levenshtein distance, by its definition. */
function apart(a: string, b: string): number {
  if (!a || !b) return a.length + b.length;
  const [rest, other] = [a.slice(1), b.slice(1)];
  if (a[0] === b[0]) return apart(rest, other);
  return 1 + Math.min(apart(rest, b), apart(a, other), apart(rest, other));
}

/** How well an entry fits, word by word. */
function fitOf(words: ReadonlyMap<string, number>, wanted: readonly Wanted[], slips: boolean): number {
  let sum = 0;
  for (const { word: asked, stems } of wanted) {
    let best = 0;
    for (const [known, weighs] of words) {
      const stem = known.startsWith('\u0000');
      const meant = [asked, ...(slips ? stems.map((each) => each.slice(1)) : [])];
      const near = meant.some(
        (one) =>
          known.startsWith(one) ||
          (slips && one.length >= 5 && Math.abs(one.length - known.length) <= Math.max(1, Math.floor(one.length / 5)) && apart(one, known) <= Math.max(1, Math.floor(one.length / 5))), // prettier-ignore
      );
      if (!stem && near) best = Math.max(best, weighs * (known === asked ? 2 : asked.length / known.length));
      if (stems.includes(known)) best = Math.max(best, weighs * 1.9);
    }
    if (!best) return 0;
    sum += best;
  }
  return sum;
}

describe('an index', () => {
  const done = fc.array(
    fc.oneof(
      {
        weight: 3,
        arbitrary: fc.record({ words: fc.array(fc.tuple(word, weight), { minLength: 1, maxLength: 4 }) }),
      },
      { weight: 1, arbitrary: fc.record({ gone: fc.nat(20) }) },
    ),
    { minLength: 1, maxLength: 20 },
  );
  const asked = fc.array(word, { minLength: 1, maxLength: 3 });

  test.each([false, true])(
    'whatever was put in and taken out, it finds what there is, slips forgiven: %s',
    (slips) => {
      fc.assert(
        fc.property(done, asked, (deeds, words) => {
          const index = new WordIndex();
          const entries: Entries = new Map();
          let count = 0;
          for (const deed of deeds) {
            if ('gone' in deed) {
              const known = entries.get(deed.gone);
              if (known) index.remove(deed.gone, known.keys());
              entries.delete(deed.gone);
              continue;
            }
            const own = new Map<string, number>();
            for (const [said, weighs] of deed.words)
              for (const one of [said, ...stemsOf(said).map(asStem)]) {
                own.set(one, Math.max(own.get(one) ?? 0, weighs));
                index.add(count, one, weighs);
              }
            entries.set(count++, own);
          }
          const wanted = words.map((one): Wanted => ({ word: one, stems: stemsOf(one).map(asStem) }));
          const found = index.find(wanted, slips);
          for (let i = 0; i < count; i++) {
            const should = entries.has(i) ? fitOf(entries.get(i)!, wanted, slips) : 0;
            expect([i, found[i] ?? 0]).toEqual([i, expect.closeTo(should, 4)]);
          }
          // What may be meant are whole words that are there, none of them twice.
          const [first] = words as [string];
          const meant = index.suggest(first, 100);
          const all = new Set([...entries.values()].flatMap((own) => [...own.keys()]));
          expect(new Set(meant).size).toBe(meant.length);
          expect(new Set(meant)).toEqual(new Set([...all].filter((one) => one.startsWith(first))));
        }),
        { numRuns: 75 },
      );
    },
  );

  test('words of most entries are meant first, as many as are asked for', () => {
    const index = new WordIndex();
    ['kite', 'kite', 'kit', 'kitten', 'kitten', 'kitten'].forEach((one, i) => index.add(i, one, 1));
    expect(index.suggest('ki', 6)).toEqual(['kitten', 'kite', 'kit']);
    expect(index.suggest('kit', 1)).toEqual(['kitten']);
    expect(index.suggest('x', 6)).toEqual([]);
  });
});

describe('what is typed', () => {
  test.each([
    ['Žluťoučký', 'zlutoucky'],
    ['STRASSE', 'strasse'],
    ['Straße', 'strasse'],
    ['Smørrebrød', 'smorrebrod'],
    ['Łódź', 'lodz'],
    ['œuvre', 'oeuvre'],
    ['cafe\u0301', 'cafe'],
  ])('%s is sought as %s', (text, as) => expect(folded(text)).toBe(as));
  test.each([
    [['leaf', 'leaves'], true],
    [['berry', 'berries'], true],
    [['kite', 'kites'], true],
    [['knitting', 'knitted'], true],
    [['leaf', 'leaving'], false],
  ] as const)('%p stand under one stem: %s', ([a, b], same) => {
    expect(stemsOf(a).some((stem) => stemsOf(b).includes(stem))).toBe(same);
  });
});

describe('a search', () => {
  const kits = new Map<string, Kit>(
    ['a', 'b'].map((id) => [
      id,
      {
        id,
        name: id === 'a' ? 'Windward' : 'Garden',
        tags: id === 'a' ? ['tide'] : [],
        description: '',
        author: '',
        licence: '',
        added: 0,
        house: false,
      },
    ]),
  );
  const names = fc.array(
    fc.constantFrom('kite', 'kites', 'tide', 'tidal', 'blue', 'knot', 'Kitten', 'knotted'),
    { minLength: 1, maxLength: 3 },
  );
  const supply = fc.record({
    id: fc.constantFrom(...'pqrstuvw'),
    name: names.map((all) => all.join(' ')),
    tags: names,
    kit: fc.constantFrom('a', 'b'),
    order: fc.nat(9),
    favourite: fc.boolean(),
    used: fc.option(fc.constantFrom(1e9 - 1000, 1), { nil: undefined }),
  });
  const made = ({
    used,
    ...rest
  }: { used: number | undefined } & Pick<
    Supply,
    'id' | 'name' | 'tags' | 'kit' | 'order' | 'favourite'
  >): Supply => ({
    ...{ kind: 'embellishment', added: 0, colours: [], ...rest },
    ...(used === undefined ? {} : { used }),
  });
  const query = names.map((all) => all.join(' '));

  test('however it came to be what it is, it finds what one made anew finds, in an order that favours what is liked', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(supply, fc.boolean()), { maxLength: 24 }), query, (deeds, words) => {
        const search = new SupplySearch([], kits, () => 1e9);
        const now = new Map<string, Supply>();
        for (const [each, gone] of deeds) {
          // Read in between, as it is while one types.
          if (now.size % 3 === 0) search.find('kite');
          if (gone) {
            search.remove(each.id);
            now.delete(each.id);
          } else {
            search.update(made(each), kits.get(each.kit));
            now.set(each.id, made(each));
          }
        }
        const fresh = new SupplySearch([...now.values()], kits, () => 1e9);
        const ids = (of: SupplySearch, said: string) => of.find(said).map(({ id }) => id);
        expect(new Set(ids(search, words))).toEqual(new Set(ids(fresh, words)));
        expect(search.find('').map(({ id }) => now.get(id)!.kit)).toEqual(
          [...now.values()].map(({ kit }) => kit).sort(),
        );
        for (const found of search.find(words)) expect(now.get(found.id)).toEqual(found);
        // Liked twice as much as its like, it comes before it.
        const [best] = search.find(words);
        if (!best || now.size < 2) return;
        const twin = { ...best, id: 'twin', favourite: true, order: 99, kit: 'b', used: 1e9 - 10 };
        search.update(twin, kits.get(best.kit));
        if (!best.favourite) expect(ids(search, words)[0]).toBe('twin');
      }),
      { numRuns: 60 },
    );
  });

  test('filters narrow to what passes all of them', () => {
    const all = 'pqrs'.split('').map((id, i) =>
      made({
        id,
        name: 'kite',
        tags: [],
        kit: i % 2 ? 'a' : 'b',
        order: i,
        favourite: i < 2,
        used: undefined,
      }),
    );
    const search = new SupplySearch(all, kits, () => 1e9);
    const found = (filter: Parameters<SupplySearch['find']>[1]) =>
      search
        .find('kite', filter, ({ id }) => id > 'q')
        .map(({ id }) => id)
        .sort()
        .join('');
    expect(found({})).toBe('pqrs');
    expect(found({ kit: 'a' })).toBe('qs');
    expect(found({ favourite: true })).toBe('pq');
    expect(found({ favourite: false, kit: 'a' })).toBe('s');
    expect(found({ used: true })).toBe('rs');
    expect(found({ used: false, favourite: true, kit: 'b' })).toBe('p');
    expect(found({ kinds: ['paper'] })).toBe('');
    expect(found({ kinds: ['paper', 'embellishment'], shape: 'square' })).toBe('pqrs');
    expect(found({ shape: 'wide' })).toBe('');
    expect(search.find('!!!')).toEqual([]);
  });
});
