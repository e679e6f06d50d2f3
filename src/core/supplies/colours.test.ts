/** The colours a supply is found by. */
import { colourWords, mainColours } from '@/core/supplies/colours';

test('most of what can be seen comes first; what is clear counts for nothing', () => {
  const pixels = new Uint8ClampedArray(400 * 4);
  for (let i = 0; i < 400; i++)
    pixels.set(i < 100 ? [0, 0, 0, 0] : i < 300 ? [169, 47, 63, 255] : [47, 91, 74, 255], 4 * i);
  expect(mainColours(pixels)).toEqual(['#a92f3f', '#2f5b4a']);
});
test('go by ordinary words', () => {
  for (const [hex, word] of [
    ['#ffffff', 'white'],
    ['#26242a', 'black'],
    ['#c0392f', 'red'],
    ['#4a83c0', 'blue'],
    ['#3f9a90', 'teal'],
    ['#6d9a4b', 'green'],
    ['#ecc23c', 'yellow'],
    ['#7a5230', 'brown'],
    ['#e79aad', 'pink'],
    ['#24385c', 'navy'],
    ['#8f8d8a', 'grey'],
  ] as const)
    expect(colourWords(hex)).toContain(word);
});
