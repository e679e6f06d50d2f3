/** Finding supplies as one types: beginnings of words, several words, small slips, plurals; and filters. */
import MiniSearch from 'minisearch';
import { uprightSize } from '@/core/picture/asset';
import { colourWords } from '@/core/supplies/colours';
import { KINDS, type Kit, type Supply, type SupplyKind } from '@/core/supplies/model';

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

export interface Found {
  supply: Supply;
  /** The words it was found by. */
  by: readonly string[];
}

/** A width this much over the height, or the other way round, is no square. */
const SQUARE = 1.15;

export function shapeOf({ asset }: Supply): Shape {
  if (!asset) return 'square';
  const { width, height } = uprightSize(asset);
  return width > height * SQUARE ? 'wide' : height > width * SQUARE ? 'tall' : 'square';
}

/** Lower case without accents; the plural's ending goes, as both say the same thing. */
export function term(word: string): string {
  const plain = word.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();
  if (plain.length > 4 && plain.endsWith('ies')) return `${plain.slice(0, -3)}y`;
  if (plain.length > 4 && plain.endsWith('ves')) return `${plain.slice(0, -3)}f`;
  if (plain.length > 4 && /(s|x|z|ch|sh)es$/.test(plain)) return plain.slice(0, -2);
  if (plain.length > 3 && plain.endsWith('s') && !plain.endsWith('ss')) return plain.slice(0, -1);
  return plain;
}

/** Letters a word must have before a slip in it is forgiven. */
const FORGIVING = 5;

interface Entry {
  id: string;
  name: string;
  tags: string;
  kind: string;
  kit: string;
  colours: string;
}

export class SupplySearch {
  private readonly supplies = new Map<string, Supply>();
  private readonly index = new MiniSearch<Entry>({
    fields: ['name', 'tags', 'kind', 'kit', 'colours'],
    processTerm: (word) => term(word) || null,
    searchOptions: {
      boost: { name: 4, tags: 3, colours: 1.5, kind: 1, kit: 0.5 },
      combineWith: 'AND',
      processTerm: (word) => term(word) || null,
    },
  });

  constructor(
    supplies: readonly Supply[],
    kits: ReadonlyMap<string, Kit>,
    private readonly clock: () => number,
  ) {
    supplies.forEach((supply) => this.supplies.set(supply.id, supply));
    this.index.addAll(supplies.map((supply) => entryOf(supply, kits.get(supply.kit))));
  }

  /** A supply changed, is new, or is gone. */
  update(supply: Supply, kit: Kit | undefined): void {
    if (this.supplies.has(supply.id)) this.index.discard(supply.id);
    this.supplies.set(supply.id, supply);
    this.index.add(entryOf(supply, kit));
  }

  remove(id: string): void {
    if (!this.supplies.delete(id)) return;
    this.index.discard(id);
  }

  get all(): Iterable<Supply> {
    return this.supplies.values();
  }

  /** Whether a picture or page, by its SHA-256, is among them. */
  knows(sha: string): boolean {
    for (const { asset, page } of this.supplies.values()) if (asset?.sha === sha || page === sha) return true;
    return false;
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
    if (!words.trim()) return [...this.supplies.values()].filter(passes).sort(inOrder);
    const now = this.clock();
    const search = (fuzzy: boolean) =>
      this.index.search(words, {
        prefix: true,
        fuzzy: (word) => (fuzzy && word.length >= FORGIVING ? 0.2 : false),
        boostDocument: (id) => liking(this.supplies.get(id as string), now),
      });
    const exact = search(false);
    // Slips are only forgiven when nothing is spelled so: a right word never brings in its neighbours.
    return (exact.length ? exact : search(true))
      .map(({ id }) => this.supplies.get(id as string)!)
      .filter(passes);
  }

  /** Words that begin so, most common first: what may be meant. */
  suggest(beginning: string, most = 6): string[] {
    if (!beginning.trim()) return [];
    return this.index
      .autoSuggest(beginning, { prefix: true, fuzzy: false })
      .slice(0, most)
      .map(({ suggestion }) => suggestion);
  }
}

const inOrder = (a: Supply, b: Supply): number =>
  a.kit === b.kit ? a.order - b.order : a.kit < b.kit ? -1 : 1;

/** Milliseconds for which something counts as used lately. */
const LATELY = 14 * 24 * 3600 * 1000;

const liking = (supply: Supply | undefined, now: number): number =>
  supply ? (supply.favourite ? 1.6 : 1) * (supply.used && now - supply.used < LATELY ? 1.3 : 1) : 1;

function entryOf(supply: Supply, kit: Kit | undefined): Entry {
  const { one, many } = KINDS[supply.kind];
  return {
    id: supply.id,
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
