/** What recolouring costs: a stroke that grows, a picture at print size with four parts, the areas of a line drawing. */
import { areasOf } from '@/core/colouring/areas';
import { writeArea } from '@/core/dye/area';
import type { Dye } from '@/core/dye/dye';
import { grow, groundOf, withStroke } from '@/core/dye/grow';
import { random } from '@/core/random';
import { wornPixels } from '@/output/drawings';
import { node } from '../node/platform';
import type { Tools } from './arrange';
import { quickest } from './measure';

const SIDE = 3600;
const LINES = 2400;

export async function dyes({ note }: Pick<Tools, 'note'>): Promise<void> {
  const chance = random(8);
  const { canvas, context } = node.canvas(SIDE, SIDE);
  const inks = ['#cc3333', '#33aa44', '#3366cc', '#eebb33'];
  context.fillStyle = '#e8e0d0';
  context.fillRect(0, 0, SIDE, SIDE);
  inks.forEach((ink, i) => {
    context.fillStyle = ink;
    context.beginPath();
    context.arc(SIDE * (0.25 + 0.5 * (i % 2)), SIDE * (0.25 + 0.5 * (i >> 1)), SIDE * 0.23, 0, 7);
    context.fill();
  });
  // Grain, as scans and photos have it.
  const pixels = context.getImageData(0, 0, SIDE, SIDE);
  const { data } = pixels;
  for (let i = 0; i < data.length; i += 4) {
    const grain = Math.floor(chance() * 24);
    data[i] = data[i]! + grain;
    data[i + 1] = data[i + 1]! + grain;
    data[i + 2] = data[i + 2]! + grain;
  }
  context.putImageData(pixels, 0, 0);
  const ground = groundOf({ data, width: SIDE, height: SIDE });
  const stroke = (i: number) => ({
    points: [0.2 + 0.5 * (i % 2), 0.25 + 0.5 * (i >> 1), 0.3 + 0.5 * (i % 2), 0.27 + 0.5 * (i >> 1)],
    width: 0.02,
    closeness: 0.09,
  });
  const parts: Dye[] = inks.map((_, i) => ({
    id: String(i),
    name: `Part ${i}`,
    change: { how: 'ink', ink: '#24506b' },
    strength: 1,
    where: { strokes: [], area: writeArea(grow(ground, stroke(i))) },
  }));
  const marking = await quickest(9, () => withStroke(ground, null, stroke(0)));
  const cells = await quickest(9, () => ground.labs.slice());
  note('A stroke grows', marking, cells, 'ms', 'under 33 ms; floor: its cells copied', marking < 33);
  const drawable = { source: canvas, width: SIDE, height: SIDE };
  const print = await quickest(5, () => wornPixels(drawable, { dyes: parts }, node));
  const plain = await quickest(5, () => {
    const copy = node.canvas(SIDE, SIDE);
    copy.context.drawImage(canvas, 0, 0);
    const read = copy.context.getImageData(0, 0, SIDE, SIDE);
    const bytes = read.data;
    for (let i = 0; i < bytes.length; i += 4) {
      bytes[i] = 255 - bytes[i]!;
      bytes[i + 1] = 255 - bytes[i + 1]!;
      bytes[i + 2] = 255 - bytes[i + 2]!;
    }
    copy.context.putImageData(read, 0, 0);
  });
  note(
    '3600 x 3600 recoloured in four parts',
    print,
    plain,
    'ms',
    'at most 3 x the floor: its pixels turned to their opposites',
    print <= 3 * plain,
  );
  const drawn = node.canvas(LINES, LINES).context;
  drawn.lineWidth = 12;
  for (let i = 0; i < 60; i++) {
    drawn.beginPath();
    drawn.arc(chance() * LINES, chance() * LINES, 50 + 300 * chance(), 0, 7);
    drawn.stroke();
  }
  const line = drawn.getImageData(0, 0, LINES, LINES).data;
  const cover = new Uint8Array(LINES * LINES);
  for (let i = 0; i < cover.length; i++) cover[i] = line[4 * i + 3]!;
  const areas = await quickest(5, () => areasOf({ width: LINES, height: LINES, cover }, 12));
  const copied = await quickest(5, () => cover.slice());
  note('Areas of a 2400 x 2400 drawing', areas, copied, 'ms', 'under 250 ms; floor: it copied', areas < 250);
}
