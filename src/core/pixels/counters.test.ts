import { createCanvas } from '@napi-rs/canvas';
import { openCounters } from '@/core/pixels/counters';

/** A letter drawn as type is, its counter filled or not. */
function drawn(letter: string, filled: boolean, ground = false) {
  const canvas = createCanvas(120, 140);
  const context = canvas.getContext('2d');
  if (ground) {
    context.fillStyle = '#ffffff';
    context.fillRect(0, 0, 120, 140);
  }
  const ring = (x: number, y: number, r: number) => {
    context.beginPath();
    context.arc(x, y, r, 0, 2 * Math.PI);
    if (filled) {
      context.fillStyle = '#ffffff';
      context.fill();
    }
    context.lineWidth = 18;
    context.strokeStyle = '#24506b';
    context.stroke();
  };
  if (letter === 'B') {
    ring(56, 42, 26);
    ring(56, 96, 28);
  } else if (letter === 'o') ring(60, 70, 40);
  else {
    context.fillStyle = '#24506b';
    context.fillRect(50, 10, 20, 120);
  }
  return context.getImageData(0, 0, 120, 140);
}

describe('closed counters', () => {
  test.each([
    ['o', 1],
    ['B', 2],
    ['I', 0],
  ])('%s: %i opened, and what is left is the letter as it is drawn without a filling', (letter, count) => {
    const closed = drawn(letter, true);
    expect(openCounters(closed.data, 120, 140)).toBe(count);
    const open = drawn(letter, false);
    let differ = 0;
    for (let at = 3; at < open.data.length; at += 4)
      if (Math.abs(open.data[at]! - closed.data[at]!) > 40) differ++;
    // The outermost edge had no filling behind it to be told apart by more than a pixel here and there.
    expect(differ).toBeLessThan(40);
  });

  test('a letter with open counters, and one on a ground, stay as they are', () => {
    const open = drawn('o', false);
    const before = Uint8ClampedArray.from(open.data);
    expect(openCounters(open.data, 120, 140)).toBe(0);
    expect(open.data).toEqual(before);
    expect(openCounters(drawn('o', true, true).data, 120, 140)).toBe(0);
  });
});
