/** Which pages are made, and what their files are called. */
import { fail, ok, type Result } from '@/core/result';
import { fileName } from '@/features/shared/download';

export const ALL_PAGES = 'all';

/** `all`, `3`, `2-5, 8`: their numbers, each once, in order. */
export function pagesWanted(text: string, count: number): Result<number[]> {
  const wanted = text.trim().toLowerCase();
  const all = Array.from({ length: count }, (_, i) => i + 1);
  if (wanted === '' || wanted === ALL_PAGES) return ok(all);
  const chosen = new Set<number>();
  for (const part of wanted.split(',')) {
    const [, from, to = from] = /^\s*(\d+)(?:\s*[-–]\s*(\d+))?\s*$/.exec(part) ?? [];
    if (!from) return fail('Numbers and ranges, as 2-5, 8; or all.');
    const [first, last] = [Number(from), Number(to)];
    if (first < 1 || last > count || first > last) return fail(`There are pages 1 to ${count}.`);
    for (let page = first; page <= last; page++) chosen.add(page);
  }
  return ok([...chosen].sort((a, b) => a - b));
}

export const FIRST_PATTERN = '{number} {name}';

interface Named {
  title: string;
  /** `2026-11-28` */
  date: string;
}

const WORDS = ['title', 'number', 'name', 'date'];

/** What a pattern makes of pages, by their names; two that would be called alike are told apart by their numbers. */
export function namesBy(pattern: string, { title, date }: Named, pages: readonly string[]): Result<string[]> {
  const unknown = [...pattern.matchAll(/\{([^}]*)\}/g)]
    .map(([, word]) => word!)
    .find((word) => !WORDS.includes(word));
  if (unknown !== undefined)
    return fail(`{${unknown}} means nothing here; there are ${WORDS.map((word) => `{${word}}`).join(', ')}.`);
  const digits = String(pages.length).length;
  // Two that differ in their capitals alone are one file on many machines.
  const taken = new Set<string>();
  return ok(
    pages.map((name, i) => {
      const number = String(i + 1).padStart(digits, '0');
      const says: Record<string, string> = { title, date, name, number };
      const called = fileName(pattern.replace(/\{(\w+)\}/g, (_, word: string) => says[word]!));
      let own = called;
      for (let k = 2; taken.has(own.toLowerCase()); k++) own = `${called} ${k}`;
      taken.add(own.toLowerCase());
      return own;
    }),
  );
}
