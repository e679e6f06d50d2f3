/** Whole numbers in English words. */

const SMALL =
  'zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(
    ' ',
  );
const TENS = 'twenty thirty forty fifty sixty seventy eighty ninety'.split(' ');

/** `twenty-one`, `one hundred and five`; figures beyond 999, and for what is no whole number from 0 on. */
export function inWords(count: number): string {
  if (!Number.isInteger(count) || count < 0 || count > 999) return String(count);
  if (count < 20) return SMALL[count]!;
  if (count < 100) {
    const rest = count % 10;
    return `${TENS[Math.floor(count / 10) - 2]}${rest ? `-${SMALL[rest]}` : ''}`;
  }
  const rest = count % 100;
  return `${SMALL[Math.floor(count / 100)]} hundred${rest ? ` and ${inWords(rest)}` : ''}`;
}
