/** Numbers in words are read back as they were; a few by hand. */
import { inWords } from '@/core/living/numbers';

const WORDS = new Map(
  'zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen twenty'
    .split(' ')
    .map((word, i) => [word, i]),
);
['thirty', 'forty', 'fifty', 'sixty', 'seventy', 'eighty', 'ninety'].forEach((word, i) =>
  WORDS.set(word, 10 * (i + 3)),
);

/** By adding up what the words say, as one who reads them does. */
const read = (text: string): number =>
  text
    .replaceAll(' and ', ' ')
    .split(/[ -]/)
    .reduce((sum, word) => (word === 'hundred' ? 100 * sum : sum + WORDS.get(word)!), 0);

test('every whole number under a thousand says what it is, each otherwise', () => {
  const all = Array.from({ length: 1000 }, (_, i) => inWords(i));
  expect(all.map(read)).toEqual(all.map((_, i) => i));
  expect(new Set(all).size).toBe(1000);
});

test.each([
  [0, 'zero'],
  [21, 'twenty-one'],
  [100, 'one hundred'],
  [105, 'one hundred and five'],
  [340, 'three hundred and forty'],
  [999, 'nine hundred and ninety-nine'],
  [1000, '1000'],
  [-1, '-1'],
  [2.5, '2.5'],
])('%d is “%s”', (count, says) => expect(inWords(count)).toBe(says));
