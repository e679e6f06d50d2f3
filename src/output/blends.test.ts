/** Blend modes by their formulas, in finished files. */
import { join } from 'node:path';
import sharp from 'sharp';
import { finishOf } from '@/core/piece/finish';
import { BLENDS, type Blend } from '@/core/picture/blend';
import { making } from '../../scripts/testing/making';
import { inkPiece, laid } from '../../scripts/testing/samples';

const { folder, tool, made } = making();

describe('blend modes', () => {
  /** B(backdrop, source) for one channel, 0 to 1: W3C Compositing and Blending Level 1, 9.1, the separable modes. */
  const FORMULAS: Partial<Record<Blend, (b: number, s: number) => number>> = {
    multiply: (b, s) => b * s,
    screen: (b, s) => b + s - b * s,
    overlay: (b, s) => FORMULAS['hard-light']!(s, b),
    darken: Math.min,
    lighten: Math.max,
    'color-dodge': (b, s) => (b === 0 ? 0 : s === 1 ? 1 : Math.min(1, b / (1 - s))),
    'color-burn': (b, s) => (b === 1 ? 1 : s === 0 ? 0 : 1 - Math.min(1, (1 - b) / s)),
    'hard-light': (b, s) => (s <= 0.5 ? b * 2 * s : b + (2 * s - 1) - b * (2 * s - 1)),
    'soft-light': (b, s) => {
      const d = b <= 0.25 ? ((16 * b - 12) * b + 4) * b : Math.sqrt(b);
      return s <= 0.5 ? b - (1 - 2 * s) * b * (1 - b) : b + (2 * s - 1) * (d - b);
    },
    difference: (b, s) => Math.abs(b - s),
    exclusion: (b, s) => b + s - 2 * b * s,
  };
  /** The others keep two of hue, saturation and luminosity (9.2): here, the luminosity that must come out. */
  const lum = ([r, g, b]: readonly number[]) => 0.3 * r! + 0.59 * g! + 0.11 * b!;

  test('each is what its formula says, in the PNG, and in the PDF by poppler', async () => {
    const [backdrop, source] = ['#6fa8c9', '#b5673a'];
    const page = laid(
      [
        inkPiece('backdrop', 0, 0, 432, 288, {
          material: { kind: 'ink', colour: backdrop },
          finish: finishOf(0),
        }),
        ...BLENDS.map((blend, i) =>
          inkPiece(blend, (i % 5) * 80 + 10, Math.floor(i / 5) * 80 + 10, 60, 60, {
            material: { kind: 'ink', colour: source },
            finish: { ...finishOf(0), blend },
          }),
        ),
      ],
      [],
    );
    const channels = (hex: string) => [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16) / 255);
    const [b, s] = [channels(backdrop), channels(source)];
    const png = await made(page, { format: 'png', ppi: 72 }, 'blends.png');
    const pdf = await made(page, { format: 'pdf' }, 'blends.pdf');
    tool('pdftoppm', '-r', '72', '-png', '-singlefile', pdf, join(folder, 'blends-poppler'));
    for (const path of [png, join(folder, 'blends-poppler.png')]) {
      const { data, info } = await sharp(path).removeAlpha().raw().toBuffer({ resolveWithObject: true });
      BLENDS.forEach((blend, i) => {
        const at = ((Math.floor(i / 5) * 80 + 40) * info.width + (i % 5) * 80 + 40) * 3;
        const got = [0, 1, 2].map((k) => data[at + k]! / 255);
        const formula = FORMULAS[blend];
        if (formula)
          got.forEach((value, k) => expect(Math.abs(value - formula(b[k]!, s[k]!))).toBeLessThan(0.02));
        else expect(Math.abs(lum(got) - lum(blend === 'luminosity' ? s : b))).toBeLessThan(0.02);
      });
    }
  });
});
