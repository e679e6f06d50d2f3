/**
 * A kind nobody knew of, one of each: added to the lists and nothing else, it is drawn, written, kept and spoken of.
 * @alone
 */
import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import sharp from 'sharp';
import { array, number, object, string } from 'yup';
import { parsePath, transformPath } from '@/core/geometry/path';
import { scaling } from '@/core/geometry/matrix';
import { inkSlot } from '@/core/piece/answers';
import type { FinishKind } from '@/core/piece/finish/kind';
import type { Material } from '@/core/piece/material';
import type { MaterialKind } from '@/core/piece/material/kind';
import type { Outline } from '@/core/piece/outline';
import type { OutlineKind } from '@/core/piece/outline/kind';
import type { Piece } from '@/core/piece/piece';
import { TREATMENTS } from '@/core/treatment/kinds/list';
import type { TreatmentKind } from '@/core/treatment/treatment';

interface Felt {
  kind: 'felt';
  dye: string;
  patch: { asset: string };
  label: string;
}
const felt: MaterialKind<Felt> = {
  kind: 'felt',
  name: 'Felt',
  schema: object({
    kind: string().oneOf(['felt']).required(),
    dye: string().required(),
    patch: object({ asset: string().required() }).noUnknown().required(),
    label: string().required(),
  }).noUnknown(),
  inks: (material) => [{ part: 'face', colour: material.dye, set: (colour) => void (material.dye = colour) }],
  written: (material) => [
    {
      text: material.label,
      letters: { family: 'lora', bold: true },
      most: 60,
      set: (text) => void (material.label = text),
    },
  ],
  says: ({ label }) => `Felt, ${label}`,
  fill: ({ dye }, { path }) => [{ mark: 'fill', path, colour: dye }],
};

interface Lozenge {
  kind: 'lozenge';
  waist: number;
}
const lozenge: OutlineKind<Lozenge> = {
  kind: 'lozenge',
  name: 'Lozenge',
  schema: object({
    kind: string().oneOf(['lozenge']).required(),
    waist: number().min(1).max(500).required(),
  }).noUnknown(),
  scaled: (outline, scale) => ({ ...outline, waist: outline.waist * scale }),
  cut: ({ waist }, { height }) => ({
    path: parsePath(`M0 ${-height / 2}L${waist / 2} 0L0 ${height / 2}L${-waist / 2} 0Z`),
  }),
};

/** A smaller one of itself in the middle. */
const seals: FinishKind<{ colour: string; size: number }[]> = {
  schema: array(object({ colour: string().required(), size: number().min(0).max(1).required() }).noUnknown())
    .min(1)
    .max(3),
  inks: (list) => list.flatMap((seal) => inkSlot('stroke', seal, 'colour')),
  says: ({ length }) => `${length} seals`,
  over: (list, { path }) =>
    list.map(({ colour, size }) => ({ mark: 'fill', colour, path: transformPath(scaling(size), path) })),
};

const frost: TreatmentKind = {
  name: 'Frost',
  settings: [{ id: 'much', name: 'How much', unit: 'share', least: 0, most: 1, first: 1 }],
  paint({ width, height }, { value }, _, out) {
    for (let i = 0; i < width * height; i++) out.lay(i, 0, 0, 1, value('much'));
  },
};

// What reads a list when it is opened is opened after they lie in it.
Object.assign(TREATMENTS, { frost });
const { MATERIALS, materialSays } = await import('@/core/piece/material');
Object.assign(MATERIALS, { felt });
const { OUTLINES, outlineSays, scaledOutline } = await import('@/core/piece/outline');
Object.assign(OUTLINES, { lozenge });
const { FINISHES } = await import('@/core/piece/finish/list');
Object.assign(FINISHES, { seals });
const { making } = await import('../../scripts/testing/making');
const { inkPiece, laid, project, quarters } = await import('../../scripts/testing/samples');
const { inksOn } = await import('@/core/inks/used');
const { drawSurface } = await import('@/core/page/draw');
const { toolsFor } = await import('@/core/page/outlines');
const { finishSays, scaledFinish } = await import('@/core/piece/finish');
const { readProject, writeProject } = await import('@/core/project/file');
const { findWords, replaceWords } = await import('@/core/project/finding');
const { perform, startHistory } = await import('@/core/project/history');
const { uses } = await import('@/core/project/model');
const { needsOf } = await import('@/core/project/needs');
const { nodeTypesetter } = await import('../../scripts/node/platform');

const { made, register, tool } = making();
const asset = register(quarters(60, 60), 60, 60);
/** 72 x 72 pt at 36, 36: felt in #9e2b45, a lozenge 48 wide, with a seal of half its size in the middle. */
const piece = (id: string, x: number, more: object = {}): Piece => ({
  ...inkPiece(id, x, 36, 72, 72),
  material: {
    kind: 'felt',
    dye: '#9e2b45',
    patch: { asset: asset.sha },
    label: 'warm',
  } as unknown as Material,
  outline: { kind: 'lozenge', waist: 48 } as unknown as Outline,
  finish: {
    lift: { height: 0, shadow: false },
    stroke: null,
    opacity: 1,
    seals: [{ colour: '#2f6f68', size: 0.5 }],
    ...more,
  } as Piece['finish'],
});
const sample = laid(
  [
    piece('plain', 36),
    piece('frosted', 180, { treatments: [{ kind: 'frost', values: {} }], seals: undefined }),
  ],
  [asset],
  project(288, 144),
);

describe('a kind of each that is in the lists and nowhere else', () => {
  test('is let in at the door and read again the same; wrong values are not', () => {
    expect(readProject(writeProject(sample))).toEqual({
      ok: true,
      value: JSON.parse(JSON.stringify(sample)),
    });
    const wide = writeProject(sample).replaceAll('"waist": 48', '"waist": 4800');
    expect(readProject(wide)).toMatchObject({
      ok: true,
      mended: [expect.stringContaining('500'), expect.anything()],
    });
  });

  test.each(['png', 'jpg', 'pdf', 'svg'] as const)('is drawn into %s', async (format) => {
    const path = await made(sample, { format, ppi: 72 }, `kinds.${format}`);
    if (format === 'pdf') tool('pdftoppm', '-r', '72', '-png', '-singlefile', path, path.slice(0, -4));
    const from = format === 'pdf' ? path.replace('.pdf', '.png') : path;
    const { data, info } = await sharp(format === 'svg' ? readFileSync(path) : from)
      .resize(288, 144, { fit: 'fill' })
      .removeAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    const at = (x: number, y: number) => {
      const i = info.channels * (y * info.width + x);
      return [...data.subarray(i, i + 3)];
    };
    const near = (x: number, y: number, colour: number[]) =>
      at(x, y).forEach((channel, i) => expect(Math.abs(channel - colour[i]!)).toBeLessThan(12));
    near(72, 72, [0x2f, 0x6f, 0x68]);
    near(72, 46, [0x9e, 0x2b, 0x45]);
    // The corners of its box are cut off, and 12 pt at each side of the waist.
    near(40, 40, [255, 255, 255]);
    near(42, 72, [255, 255, 255]);
    near(216, 72, [0, 0, 255]);
  });

  test('answers for its inks, words, files and sizes, and is told in its own words', async () => {
    const typesetter = await nodeTypesetter();
    const [page] = sample.surfaces;
    const inks = inksOn(page!, toolsFor(sample, typesetter));
    expect(inks.find(({ colour }) => colour === '#9e2b45')).toMatchObject({
      pieces: [{ part: 'face' }, { part: 'face' }],
      area: 2 * ((48 * 72) / 2),
    });
    expect(inks.find(({ colour }) => colour === '#2f6f68')!.pieces).toHaveLength(1);
    expect(uses(sample).get(asset.sha)).toBe(2);
    expect(findWords(sample, { text: 'warm', exact: true, whole: true })).toHaveLength(2);
    expect(needsOf(sample).fonts.some((name) => name.startsWith('lora'))).toBe(true);
    const { project: told } = perform(
      startHistory(sample),
      replaceWords(sample, { text: 'warm', exact: true, whole: true }, 'soft', typesetter),
      0,
    );
    const [first] = told.surfaces[0]!.pile;
    expect(materialSays(first!.material, 'in')).toBe('Felt, soft');
    expect(outlineSays(first!.outline, 'in')).toBe('Lozenge');
    expect(finishSays(first!.finish, 'in')).toEqual(['1 seals', 'flat']);
    expect(scaledOutline(first!.outline, 2)).toMatchObject({ waist: 96 });
    expect(scaledFinish(first!.finish, 2)).toMatchObject({ seals: [{ size: 0.5 }] });
    const [drawn] = drawSurface(told.surfaces[0]!, toolsFor(told, typesetter)).pieces;
    expect(drawn!.bounds.width).toBeCloseTo(48);
  });
});
