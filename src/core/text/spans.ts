/** Stretches of a text that is changed, and texts of which a stretch is written otherwise. */
import { letterRound } from '@/core/text/letters';
import type { Span, TextStyle } from '@/core/text/style';

/** What a stretch can have of its own. */
export type Own = Omit<Span, 'start' | 'end'>;
const OWN_KEYS = ['family', 'scale', 'ink', 'tracking', 'features', 'bold', 'italic', 'field'] as const;

/** What of a text was changed: whole letters with their marks, of which as many as before `from` and in the `tail` are shared. */
export function changedIn(before: string, after: string): { from: number; tail: number } {
  const most = Math.min(before.length, after.length);
  let from = 0;
  while (from < most && before[from] === after[from]) from++;
  from = Math.min(letterRound(before, from)[0], letterRound(after, from)[0]);
  let tail = 0;
  while (tail < most - from && before[before.length - 1 - tail] === after[after.length - 1 - tail]) tail++;
  const left = (text: string) => text.length - letterRound(text, text.length - tail)[1];
  return { from, tail: Math.min(left(before), left(after)) };
}

/** Where a place in a text lies once the text was changed; one in what went lies where that began. */
export function placeAfter(at: number, before: string, after: string): number {
  const { from, tail } = changedIn(before, after);
  if (at <= from) return at;
  return at >= before.length - tail ? at + after.length - before.length : Math.min(at, after.length - tail);
}

/**
 * The stretches after a text was changed. What was changed is what the texts do not share at either end; what is written
 * at the end of a stretch belongs to it. Living words stay whole or live no more: nothing is written into them.
 */
export function respanned(spans: readonly Span[], before: string, after: string): Span[] {
  const { from, tail } = changedIn(before, after);
  const to = before.length - tail;
  const by = after.length - before.length;
  const moved = spans.flatMap((span): Span[] => {
    const { field, ...own } = span;
    const grown = {
      ...own,
      start:
        span.start < from || (span.start === from && to > from) ? span.start : Math.max(span.start, to) + by,
      end: span.end >= to ? span.end + by : Math.min(span.end, from),
    };
    const at = field && wholeAt(span, before, after);
    if (typeof at !== 'number') return [grown];
    const end = at + span.end - span.start;
    // What was written beside it is written as it is.
    return [
      { ...grown, end: Math.min(grown.end, at) },
      { ...span, start: at, end },
      { ...grown, start: Math.max(grown.start, end) },
    ].filter((one) => one.end > one.start);
  });
  return tidy(moved.sort((a, b) => a.start - b.start));
}

/** Several stretches of a text written anew, each by itself; `from` to before `to`, in order and apart. */
export function writtenAnew(
  spans: readonly Span[],
  text: string,
  changes: readonly { from: number; to: number; by: string }[],
): { text: string; spans: Span[] } {
  return [...changes].reverse().reduce(
    (now, { from, to, by }) => {
      const next = now.text.slice(0, from) + by + now.text.slice(to);
      return { text: next, spans: respanned(now.spans, now.text, next) };
    },
    { text, spans: [...spans] },
  );
}

/** Where a stretch stands if all of it is still there: nothing before it was changed, or nothing after it. */
function wholeAt({ start, end }: Span, before: string, after: string): number | null {
  if (after.startsWith(before.slice(0, end))) return start;
  const rest = before.slice(start);
  return after.endsWith(rest) ? after.length - rest.length : null;
}

/** A stretch made longer so that no living words are in it by half. */
export function aroundFields(spans: readonly Span[], from: number, to: number): [number, number] {
  const met = spans.filter(({ field, start, end }) => field && start < Math.max(to, from + 1) && end > from);
  const cut = met.filter(({ start, end }) => (start < from && from < end) || (start < to && to < end));
  return [Math.min(from, ...cut.map(({ start }) => start)), Math.max(to, ...cut.map(({ end }) => end))];
}

/** What a stretch has of its own all over; what differs within it is left out. */
export function ownOf({ spans = [] }: Pick<TextStyle, 'spans'>, from: number, to: number): Own {
  const end = Math.max(to, from + 1);
  const on = spans.filter((span) => span.end > from && span.start < end);
  const covered = on.reduce((sum, span) => sum + Math.min(span.end, end) - Math.max(span.start, from), 0);
  const [first] = on;
  if (!first || covered < end - from) return {};
  return Object.fromEntries(
    OWN_KEYS.flatMap((key) =>
      on.every((span) => JSON.stringify(span[key]) === JSON.stringify(first[key])) && first[key] !== undefined
        ? [[key, first[key]]]
        : [],
    ),
  );
}

/** The stretches after `from` to before `to` were given something; undefined takes it away again. */
export function spanned(spans: readonly Span[], start: number, end: number, change: Own): Span[] {
  const [from, to] = aroundFields(spans, start, end);
  const edges = [...new Set([from, to, ...spans.flatMap(({ start, end }) => [start, end])])].sort(
    (a, b) => a - b,
  );
  const parts = edges.slice(0, -1).flatMap((start, i): Span[] => {
    const end = edges[i + 1]!;
    const on = spans.find((span) => span.start <= start && span.end >= end);
    const inside = start >= from && end <= to;
    return on || inside ? [{ ...on, ...(inside ? change : {}), start, end }] : [];
  });
  return tidy(parts);
}

/** Without what is empty or says nothing; neighbours that say the same are one. */
export function tidy(spans: readonly Span[]): Span[] {
  const kept: Span[] = [];
  for (const { start, end, ...rest } of spans) {
    const own = Object.fromEntries(
      OWN_KEYS.flatMap((key) => (rest[key] === undefined ? [] : [[key, rest[key]]])),
    ) as Own;
    const last = kept.at(-1);
    const from = Math.max(start, last?.end ?? 0);
    if (end <= from || !Object.keys(own).length) continue;
    if (
      last &&
      last.end === from &&
      !own.field &&
      JSON.stringify({ ...last, start: 0, end: 0 }) === JSON.stringify({ start: 0, end: 0, ...own })
    )
      last.end = end;
    else kept.push({ start: from, end, ...own });
  }
  return kept;
}
