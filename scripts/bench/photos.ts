/** What photos cost: proposals, mosaics, light and tone. */
import { assign } from '@/core/assignment';
import { meanColours } from '@/core/mosaic/colours';
import { propose } from '@/core/proposals/propose';
import { random } from '@/core/random';
import { applyTone } from '@/core/tone/apply';
import type { Tone } from '@/core/tone/settings';
import type { Tools } from './arrange';
import { quickest } from './measure';

const SHAPES = [1.5, 2 / 3, 4 / 3, 1.5, 0.75, 1.5];
/** Every setting that costs something. */
const TONE: Tone = {
  values: {
    exposure: 0.4,
    contrast: 20,
    shadows: 30,
    warmth: 20,
    saturation: 10,
    vibrance: 30,
    mono: 20,
    sepia: 10,
  },
  strength: 0.9,
};

export async function photos({ note }: Pick<Tools, 'note'>): Promise<void> {
  const shapes = Array.from({ length: 12 }, (_, i) => SHAPES[i % SHAPES.length]!);
  let seed = 0;
  const wish = { shapes, area: { width: 828, height: 828 }, gap: 9, focal: 0, emphasis: 3 };
  const proposing = await quickest(7, () => propose({ ...wish, seed: (seed += 1) }));
  const chance = random(1);
  const sorting = await quickest(7, () => Float64Array.from({ length: 24_000 }, chance).sort());
  note(
    'Proposals for 12 photos',
    proposing,
    sorting,
    'ms',
    'under 200 ms; floor: 24,000 boxes’ numbers sorted',
    proposing < 200,
  );

  const costs = Float64Array.from({ length: 160_000 }, chance);
  const assigning = await quickest(5, () => assign(costs, 400, 400));
  const reading = await quickest(5, () => costs.reduce((sum, cost) => sum + cost, 0));
  note(
    '400 photos matched to 400 cells',
    assigning,
    reading,
    'ms',
    'under 1000 ms; floor: the costs read once',
    assigning < 1000,
  );

  // As large as a photo is that fills half of the table: no more is worked out.
  const [width, height] = [750, 500];
  const before = Uint8ClampedArray.from({ length: 4 * width * height }, (_, i) =>
    i % 4 === 3 ? 255 : (i * 7) % 256,
  );
  const toning = await quickest(7, () => applyTone(new Uint8ClampedArray(before), TONE));
  const passing = await quickest(7, () => {
    const data = new Uint8ClampedArray(before);
    for (let i = 0; i < data.length; i += 4) {
      data[i] = data[i]! * 0.9;
      data[i + 1] = data[i + 1]! * 0.9;
      data[i + 2] = data[i + 2]! * 0.9;
    }
  });
  note(
    'Tone of a photo at screen size (750 x 500)',
    toning,
    passing,
    'ms',
    'under 50 ms; floor: one plain pass over it',
    toning < 50,
  );
  const means = await quickest(5, () => meanColours({ data: before, width, height }, 40, 40));
  note(
    'Colours of a picture in 1,600 parts',
    means,
    passing,
    'ms',
    'no figure asked; floor: one plain pass over it',
    true,
  );
}
