/** A photo's own colours from dark to pale, and what of it is lost at the ends. */
import { expect, test } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import { ToneRibbon } from '@/features/table/tasks/photos/ToneRibbon';

/** Pixels of these colours, each as often as is said. */
type Run = [count: number, red: number, green: number, blue: number];
function pixels(...runs: readonly Run[]): ImageData {
  const data = runs.flatMap(([count, ...colour]) =>
    Array(count)
      .fill([...colour, 255])
      .flat(),
  );
  return new ImageData(new Uint8ClampedArray(data), data.length / 4, 1);
}
const stripes = (container: HTMLElement) => {
  const { data, width } = container.querySelector('canvas')!.getContext('2d')!.getImageData(0, 0, 134, 1);
  return Array.from({ length: width }, (_, i) => [...data.subarray(4 * i, 4 * i + 3)].join());
};

test('each colour is as wide as there is of it, from the darkest to the palest', () => {
  const { container, rerender } = render(
    <ToneRibbon pixels={pixels([134, 250, 240, 200], [268, 20, 30, 60], [134, 120, 130, 90])} />,
  );
  const found = stripes(container);
  expect(found.slice(0, 67)).toEqual(Array(67).fill('20,30,60'));
  expect(found.slice(67, 100)).toEqual(Array(33).fill('120,130,90'));
  expect(found.slice(101)).toEqual(Array(33).fill('250,240,200'));
  expect(screen.getByRole('status').textContent).toBe('From the darkest to the palest, nothing is lost.');
  // Of a picture with fewer pixels than stripes each pixel is seen.
  rerender(<ToneRibbon pixels={pixels([1, 200, 0, 0], [1, 0, 0, 200])} />);
  expect(new Set(stripes(container))).toEqual(new Set(['0,0,200', '200,0,0']));
});

test('what is plain black, and where a colour has reached its end, is told in shares', () => {
  const says = (...runs: readonly Run[]) => {
    const { unmount } = render(<ToneRibbon pixels={pixels(...runs)} />);
    const { textContent } = screen.getByRole('status');
    unmount();
    return textContent;
  };
  expect(says([30, 0, 0, 0], [970, 90, 90, 90])).toBe('3 % are plain black.');
  expect(says([6, 0, 0, 0], [974, 90, 90, 90], [20, 255, 180, 10])).toBe(
    '1 % are plain black; 2 % have no detail left in the white.',
  );
  // One in a thousand is of no news.
  expect(says([1, 0, 0, 0], [999, 90, 90, 90])).toMatch(/nothing is lost/);
});
