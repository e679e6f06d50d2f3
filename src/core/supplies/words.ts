/**
 * An index of words: entries found by the beginnings of all words asked for, weighed by where they stand. Written for one
 * thing: an answer within a few milliseconds a keystroke over ten thousand entries, which general indexes miss by far.
 */
interface Posting {
  entry: number;
  weight: number;
}

/** A whole word counts this much more than its beginning, and one with another ending nearly as much. */
const WHOLE = 2;
const SAME_STEM = 1.9;

/** A stem as it is kept among the words: no beginning of a word is taken for one. */
export const asStem = (stem: string): string => `\u0000${stem}`;

const bare = (stem: string): string => stem.slice(1);

/** A word that is asked for, and its stems. */
export interface Wanted {
  word: string;
  stems: readonly string[];
}

export class WordIndex {
  private readonly postings = new Map<string, Posting[]>();
  /** All words in order; made anew when one was added. */
  private sorted: string[] | null = null;
  private size = 0;

  /** Adds a word of an entry (a small whole number); `weight` says how much it tells of it. */
  add(entry: number, word: string, weight: number): void {
    this.size = Math.max(this.size, entry + 1);
    const known = this.postings.get(word);
    if (!known) {
      this.postings.set(word, [{ entry, weight }]);
      this.sorted = null;
      return;
    }
    const last = known.at(-1)!;
    if (last.entry === entry) last.weight = Math.max(last.weight, weight);
    else known.push({ entry, weight });
  }

  /** Takes an entry's words away. */
  remove(entry: number, words: Iterable<string>): void {
    for (const word of words) {
      const left = (this.postings.get(word) ?? []).filter((posting) => posting.entry !== entry);
      if (left.length) this.postings.set(word, left);
      else if (this.postings.delete(word)) this.sorted = null;
    }
  }

  /**
   * How well each entry fits, by its number: 0 where it does not hold every one of `words`, one that begins so or one of the
   * same stem. With
   * `slips`, a word of five letters or more also fits one that is a letter or two off (Levenshtein distance: a fifth of
   * its length).
   */
  find(words: readonly Wanted[], slips = false): Float32Array {
    let fits: Float32Array | null = null;
    for (const { word, stems } of words) {
      const found = new Float32Array(this.size);
      for (const candidate of slips
        ? [word, ...stems.map(bare)].flatMap((one) => this.near(one))
        : this.beginning(word)) {
        this.weigh(found, candidate, candidate === word ? WHOLE : word.length / candidate.length);
      }
      for (const stem of stems) this.weigh(found, stem, SAME_STEM);
      if (fits)
        for (let i = 0; i < found.length; i++) found[i] = fits[i] && found[i] ? fits[i]! + found[i]! : 0;
      fits = found;
    }
    return fits ?? new Float32Array(this.size);
  }

  private weigh(found: Float32Array, word: string, share: number): void {
    for (const { entry, weight } of this.postings.get(word) ?? [])
      if (weight * share > found[entry]!) found[entry] = weight * share;
  }

  /** Words that begin so, those of most entries first. */
  suggest(beginning: string, most: number): string[] {
    return this.beginning(beginning)
      .sort((a, b) => this.postings.get(b)!.length - this.postings.get(a)!.length)
      .slice(0, most);
  }

  private get words(): readonly string[] {
    return (this.sorted ??= [...this.postings.keys()].sort());
  }

  private beginning(start: string): string[] {
    const { words } = this;
    let low = 0;
    for (let high = words.length; low < high;) {
      const middle = (low + high) >> 1;
      if (words[middle]! < start) low = middle + 1;
      else high = middle;
    }
    let end = low;
    while (end < words.length && words[end]!.startsWith(start)) end += 1;
    return words.slice(low, end);
  }

  private near(word: string): string[] {
    if (word.length < FORGIVING) return this.beginning(word);
    const most = Math.max(1, Math.floor(word.length / 5));
    return this.words.filter(
      (other) =>
        other.charCodeAt(0) !== 0 &&
        (other.startsWith(word) ||
          (Math.abs(other.length - word.length) <= most && distance(word, other, most) <= most)),
    );
  }
}

/** Letters a word must have before a slip in it is forgiven. */
const FORGIVING = 5;

/** Levenshtein distance (1966), given up beyond `most`. */
function distance(a: string, b: string, most: number): number {
  let row = Array.from({ length: b.length + 1 }, (_, i) => i);
  for (let i = 1; i <= a.length; i++) {
    const next = [i];
    for (let j = 1; j <= b.length; j++)
      next.push(Math.min(row[j]! + 1, next[j - 1]! + 1, row[j - 1]! + (a[i - 1] === b[j - 1] ? 0 : 1)));
    if (Math.min(...next) > most) return most + 1;
    row = next;
  }
  return row[b.length]!;
}
