/** What inks cost: the nearest of many, partners, a photo's colours, a page recoloured. */
import { differenceCiede2000, parse } from 'culori';
import { matchInks } from '@/core/inks/matching';
import { nearestInks } from '@/core/inks/near';
import { paletteOf } from '@/core/inks/palette';
import { partnersOf } from '@/core/inks/partners';
import { inksOn } from '@/core/inks/used';
import { toolsFor } from '@/core/page/outlines';
import { recolour } from '@/core/project/edits/inks';
import { perform, startHistory } from '@/core/project/history';
import { random } from '@/core/random';
import { nodeTypesetter } from '../node/platform';
import { inkPiece, laid } from '../testing/samples';
import type { Tools } from './arrange';
import { quickest } from './measure';

export async function inks({ note }: Pick<Tools, 'note'>): Promise<void> {
  const chance = random(5);
  const colour = () =>
    `#${Math.floor(chance() * 0x1000000)
      .toString(16)
      .padStart(6, '0')}`;
  const many = Array.from({ length: 2000 }, (_, i) => ({ name: `Ink ${i}`, colour: colour() }));
  const parsed = many.map((ink) => parse(ink.colour)!);
  const delta = differenceCiede2000();
  const floor = await quickest(7, () => parsed.forEach((one) => delta(parsed[0]!, one)));
  const nearest = await quickest(7, () => nearestInks(colour(), many, 6));
  note(
    'Nearest of 2,000 inks',
    nearest,
    floor,
    'ms',
    'under 16 ms; floor: their differences alone',
    nearest < 16,
  );
  const house = many.slice(0, 80);
  const small = await quickest(7, () => parsed.slice(0, 80).forEach((one) => delta(parsed[0]!, one)));
  const partners = await quickest(7, () => partnersOf('#c5503f', house));
  note('Partners out of 80 inks', partners, small, 'ms', 'under 16 ms; floor: 80 differences', partners < 16);
  const data = Uint8ClampedArray.from({ length: 4 * 160 * 120 }, () => chance() * 256);
  const palette = await quickest(5, () => paletteOf(data, 8));
  const pass = await quickest(5, () => data.reduce((sum, byte) => sum + byte, 0));
  note(
    'Eight colours of a photo',
    palette,
    pass,
    'ms',
    'under 300 ms; floor: its pixels read once',
    palette < 300,
  );
  const project = laid(
    Array.from({ length: 150 }, (_, i) =>
      inkPiece(`p${i}`, 2 * i, i, 40, 30, { material: { kind: 'ink', colour: house[i % 12]!.colour } }),
    ),
  );
  const typesetter = await nodeTypesetter();
  const history = startHistory(project);
  const preview = await quickest(7, () => {
    const used = inksOn(project.surfaces[0]!, toolsFor(project, typesetter));
    const to = matchInks(used, ['#24506b', '#f2d98a', '#c5503f'], 'lightness', true);
    perform(history, recolour('sample-1', to), 0);
  });
  const copy = await quickest(7, () => structuredClone(project));
  note(
    'A page of 150 pieces recoloured',
    preview,
    copy,
    'ms',
    'under 16 ms; floor: the project copied',
    preview < 16,
  );
}
