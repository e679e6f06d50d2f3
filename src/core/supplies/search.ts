/** Finding supplies as one types: beginnings of words, several words, other endings, small slips; and filters. */
import { folded } from '@/core/text/folded';
import { stemmer } from 'stemmer';
import { uprightSize } from '@/core/picture/asset';
import { colourWords } from '@/core/supplies/colours';
import { KINDS, type Kit, type Supply, type SupplyKind } from '@/core/supplies/model';
import { asStem, WordIndex } from '@/core/supplies/words';

export type Shape = 'wide' | 'tall' | 'square';

export interface Filter {
  kinds?: readonly SupplyKind[];
  kit?: string;
  colour?: string;
  shape?: Shape;
  favourite?: boolean;
  /** Only what is, or is not, on the pages of the project at hand. */
  used?: boolean;
}

/** A width this much over the height, or the other way round, is no square. */
const SQUARE = 1.15;

export function shapeOf({ asset }: Supply): Shape {
  if (!asset) return 'square';
  const { width, height } = uprightSize(asset);
  return width > height * SQUARE ? 'wide' : height > width * SQUARE ? 'tall' : 'square';
}

/** What a word stands under whatever its ending (Porter, 1980); of -ves both what leaves and what waves are made of. */
export const stemsOf = (word: string): string[] => [
  ...new Set([word, ...(/.ves$/.test(word) ? [`${word.slice(0, -3)}f`] : [])].map((one) => stemmer(one))),
];

/** How much a word tells of a supply, by where it stands. */
const WEIGHTS = { name: 4, tags: 3, colours: 1.5, kind: 1, kit: 0.5 } as const;

/** A word tells more of a short name than of a long one, and more at its beginning. */
const aptness = (name: string, place: number): number =>
  1 + 0.5 / termsOf(name).length + (place === 0 ? 0.05 : 0);

const termsOf = (text: string): string[] =>
  text.split(/[^\p{L}\p{N}\p{M}]+/u).flatMap((word) => folded(word) || []);

export class SupplySearch {
  private readonly supplies = new Map<string, Supply>();
  private readonly index = new WordIndex();
  /** Each supply's number in the index, with the words it stands under. */
  private readonly numbers = new Map<string, { number: number; words: ReadonlySet<string> }>();
  private count = 0;
  /** Those whose words nobody looked for yet: reading them takes longest. */
  private readonly waiting = new Map<string, Kit | undefined>();
  private sorted: InOrder | null = null;
  /** Ids by the SHA-256 of their files; made anew when something changed. */
  private files: Map<string | undefined, string> | null = null;

  constructor(
    supplies: readonly Supply[],
    kits: ReadonlyMap<string, Kit>,
    private readonly clock: () => number,
  ) {
    supplies.forEach((supply) => this.update(supply, kits.get(supply.kit)));
  }

  /** A supply changed, or is new. */
  update(supply: Supply, kit: Kit | undefined): void {
    this.forget(supply.id);
    this.supplies.set(supply.id, supply);
    this.sorted = this.files = null;
    this.numbers.set(supply.id, { number: this.count++, words: new Set() });
    this.waiting.set(supply.id, kit);
  }

  /** Reads the words of some that wait, so that the first search need not; whether there are more. */
  prepare(most: number): boolean {
    for (const [id, kit] of this.waiting) {
      if (most-- <= 0) return true;
      this.waiting.delete(id);
      this.read(this.supplies.get(id)!, kit);
    }
    return false;
  }

  private read(supply: Supply, kit: Kit | undefined): void {
    const { number } = this.numbers.get(supply.id)!;
    const words = new Set<string>();
    for (const [field, text] of Object.entries(textsOf(supply, kit)) as [keyof typeof WEIGHTS, string][])
      for (const [i, word] of termsOf(text).entries()) {
        const weight = WEIGHTS[field] * (field === 'name' ? aptness(text, i) : 1);
        for (const one of [word, ...stemsOf(word).map(asStem)]) {
          words.add(one);
          this.index.add(number, one, weight);
        }
      }
    this.numbers.set(supply.id, { number, words });
  }

  remove(id: string): void {
    this.forget(id);
    this.supplies.delete(id);
  }

  private forget(id: string): void {
    this.waiting.delete(id);
    const known = this.numbers.get(id);
    if (!known) return;
    this.index.remove(known.number, known.words);
    this.sorted = this.files = null;
    this.numbers.delete(id);
  }

  get all(): Iterable<Supply> {
    return this.supplies.values();
  }

  /** A supply as it is now, or as it was given where it is not here any more. */
  now(supply: Supply): Supply {
    return this.supplies.get(supply.id) ?? supply;
  }

  /** The id of the one of a picture or page, by its SHA-256; undefined if it is not among them. */
  idOf(sha: string): string | undefined {
    this.files ??= new Map(
      [...this.supplies.values()].map(({ id, asset, page }) => [asset?.sha ?? page, id]),
    );
    return this.files.get(sha);
  }

  /**
   * What fits the words and the filter, in the order a person expects: the whole word before its beginning, favourites
   * and what was used lately before the rest; without words in the order of the kits. `isUsed` answers for `used`.
   */
  find(words: string, filter: Filter = {}, isUsed: (supply: Supply) => boolean = () => false): Supply[] {
    const passes = (supply: Supply): boolean =>
      (!filter.kinds || filter.kinds.includes(supply.kind)) &&
      (!filter.kit || supply.kit === filter.kit) &&
      (!filter.colour || supply.colours.some((colour) => colourWords(colour).includes(filter.colour!))) &&
      (!filter.shape || shapeOf(supply) === filter.shape) &&
      (filter.favourite === undefined || supply.favourite === filter.favourite) &&
      (filter.used === undefined || isUsed(supply) === filter.used);
    if (!words.trim()) return this.inOrder().supplies.filter(passes);
    this.prepare(Infinity);
    const terms = termsOf(words).map((word) => ({ word, stems: stemsOf(word).map(asStem) }));
    const exact = this.index.find(terms);
    // Slips are only forgiven when nothing is spelled so: a right word never brings in its neighbours.
    return this.ordered(exact.some(Boolean) ? exact : this.index.find(terms, true), passes);
  }

  /** What fits best first, equals in the order of the kits. Numbers are sorted, not things: it must be done in no time. */
  private ordered(fits: Float32Array, passes: (supply: Supply) => boolean): Supply[] {
    const now = this.clock();
    const { supplies, numbers } = this.inOrder();
    const keys = new Float64Array(supplies.length);
    let count = 0;
    for (let rank = 0; rank < supplies.length; rank++) {
      const fit = fits[numbers[rank]!]!;
      if (fit === 0) continue;
      const supply = supplies[rank]!;
      if (passes(supply)) keys[count++] = rank - Math.round(fit * liking(supply, now) * FINENESS) * RANKS;
    }
    return Array.from(keys.subarray(0, count).sort(), (key) => supplies[((key % RANKS) + RANKS) % RANKS]!);
  }

  /** Everything in the order of the kits; made anew when something changed. */
  private inOrder(): InOrder {
    if (!this.sorted) {
      const supplies = [...this.supplies.values()].sort(inOrder);
      this.sorted = {
        supplies,
        numbers: Int32Array.from(supplies, ({ id }) => this.numbers.get(id)!.number),
      };
    }
    return this.sorted;
  }

  /** Words that begin so, most common first: what may be meant. */
  suggest(beginning: string, most = 6): string[] {
    this.prepare(Infinity);
    const [start] = termsOf(beginning);
    return start ? this.index.suggest(start, most) : [];
  }
}

interface InOrder {
  supplies: readonly Supply[];
  /** Each one's number in the index. */
  numbers: Int32Array;
}

/** Steps in which fits are told apart, and more supplies than there will ever be. */
const FINENESS = 1000;
const RANKS = 2 ** 22;

const inOrder = (a: Supply, b: Supply): number =>
  a.kit === b.kit ? a.order - b.order : a.kit < b.kit ? -1 : 1;

/** Milliseconds for which something counts as used lately. */
const LATELY = 14 * 24 * 3600 * 1000;

const liking = (supply: Supply, now: number): number =>
  (supply.favourite ? 1.6 : 1) * (supply.used && now - supply.used < LATELY ? 1.3 : 1);

function textsOf(supply: Supply, kit: Kit | undefined): Record<keyof typeof WEIGHTS, string> {
  const { one, many } = KINDS[supply.kind];
  return {
    name: supply.name,
    tags: [...supply.tags, ...(kit?.tags ?? [])].join(' '),
    kind: `${one} ${many}`,
    kit: kit?.name ?? '',
    colours: supply.colours.flatMap(colourWords).join(' '),
  };
}

/** Every tag in use, most used first. */
export function tagsInUse(supplies: Iterable<Supply>): string[] {
  const counts = new Map<string, number>();
  for (const { tags } of supplies) for (const tag of tags) counts.set(tag, (counts.get(tag) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1)).map(([tag]) => tag);
}
