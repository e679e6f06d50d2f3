/** Cutting, in this process: outlines joined, tones of a template told apart, pages with and without shadows. */
import sharp from 'sharp';
import { combine } from '@/core/geometry/combine';
import { translation } from '@/core/geometry/matrix';
import { transformPath } from '@/core/geometry/path';
import { drawSurface } from '@/core/page/draw';
import { toolsFor } from '@/core/page/outlines';
import { punch } from '@/core/piece/outline/punch';
import { tonesOf } from '@/core/pixels/tones';
import type { Project } from '@/core/project/model';
import { TREATMENT_NAMES } from '@/core/treatment/kinds';
import { paintTreatment } from '@/core/treatment/paint';
import { Layer } from '@/core/treatment/treatment';
import { make } from '@/output/make';
import { openedFile } from '../node/files';
import { nodeTypesetter, nodeWorkshop } from '../node/platform';
import { crowdedFile } from './crowded';
import type { Tools } from './arrange';
import { quickest } from './measure';

async function joining(note: Tools['note']): Promise<void> {
  const { path } = punch.cut(
    { kind: 'punch', punch: 'chevron', settings: {} },
    { width: 72, height: 60 },
    undefined as never,
  );
  const chevrons = Array.from({ length: 35 }, (_, i) =>
    transformPath(translation((i % 5) * 71, Math.floor(i / 5) * 26), path),
  );
  const one = await quickest(9, () => combine('join', chevrons.slice(0, 2)));
  const all = await quickest(9, () => combine('join', chevrons));
  note('Join 35 chevrons (5 x 7)', all, one, 'ms', 'under 100 ms; floor: two of them', all < 100);
}

async function templates(note: Tools['note']): Promise<void> {
  const shapes = Array.from({ length: 200 }, (_, i) => {
    const [x, y, r] = [(i % 15) * 240 + 120, Math.floor(i / 15) * 255 + 130, 60 + ((i * 37) % 50)];
    const fill = ['#444', '#888', '#ccc'][i % 3];
    return i % 2
      ? `<ellipse cx="${x}" cy="${y}" rx="${r}" ry="${r * 0.6}" transform="rotate(${i} ${x} ${y})" fill="${fill}"/>`
      : `<path d="M${x} ${y - r}L${x + r} ${y + r}L${x - r} ${y + r * 0.7}Z" fill="${fill}"/>`;
  });
  const png = await sharp(
    Buffer.from(
      `<svg xmlns="http://www.w3.org/2000/svg" width="3600" height="3600"><rect width="3600" height="3600" fill="#fff"/>${shapes.join('')}</svg>`,
    ),
  )
    .png()
    .toBuffer();
  let pixels = new Uint8ClampedArray();
  const floor = await quickest(3, async () => {
    const { data } = await sharp(png).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
    pixels = new Uint8ClampedArray(data.buffer, data.byteOffset, data.length);
    const levels = new Uint8Array(3600 * 3600);
    for (let i = 0; i < levels.length; i++) {
      const value = pixels[4 * i]!;
      levels[i] = value > 0x66 ? (value > 0xaa ? (value > 0xe5 ? 3 : 2) : 1) : 0;
    }
  });
  const told = await quickest(3, () => tonesOf(pixels, 3600, 3600, 24));
  note(
    'Template of 3600 x 3600 px, 4 tones, 200 areas, to outlines',
    told,
    floor,
    'ms',
    'under 2 s, ratio at most 3; floor: the picture read and thresholded',
    told < 2000 && told / floor <= 3,
  );
}

async function shadows(note: Tools['note']): Promise<void> {
  const { project, bytes } = await openedFile(await crowdedFile(150));
  const typesetter = await nodeTypesetter();
  const flat: Project = {
    ...project,
    surfaces: project.surfaces.map((surface) => ({
      ...surface,
      pile: surface.pile.map((piece) => ({
        ...piece,
        finish: { ...piece.finish, lift: { ...piece.finish.lift, shadow: false } },
      })),
    })),
  };
  const time = (of: Project) =>
    quickest(2, () =>
      make(
        { ...drawSurface(of.surfaces[0]!, toolsFor(of, typesetter)), title: of.title },
        { format: 'jpg', ppi: 300, withBleed: false, cropMarks: false },
        nodeWorkshop(
          (sha) => of.assets[sha]!,
          (sha) => bytes.get(sha)!,
          typesetter,
        ),
      ),
    );
  const without = await time(flat);
  const withThem = await time(project);
  note(
    'Page of 150 pieces at 300 ppi with shadows',
    withThem,
    without,
    'ms',
    'ratio at most 2; floor: the same page without shadows',
    withThem / without <= 2,
  );
}

/** Every treatment of a face 2 in square at 300 ppi; the slowest is told. */
async function treating(note: Tools['note']): Promise<void> {
  const side = 600;
  const shape = new Uint8ClampedArray(4 * side * side).fill(255);
  const place = { width: side, height: side, scale: 300 / 72, x: -72, y: -72 };
  const light = { x: -0.5, y: -0.64, z: 0.588 };
  const floor = await quickest(5, () => {
    const layer = new Layer(side * side);
    for (let i = 0; i < side * side; i++) layer.lay(i, 0.2, 0.4, 0.6, 0.5);
    return layer.within(shape);
  });
  let slowest = { kind: '', time: 0 };
  for (const kind of TREATMENT_NAMES) {
    const time = await quickest(3, () => paintTreatment({ kind, values: {} }, light, shape, place));
    if (time > slowest.time) slowest = { kind, time };
  }
  note(
    `Face of 2 x 2 in treated at 300 ppi, the slowest (${slowest.kind})`,
    slowest.time,
    floor,
    'ms',
    'no figure asked; floor: one colour laid on every pixel',
    true,
  );
}

export async function cutting({ note }: Pick<Tools, 'note'>): Promise<void> {
  await joining(note);
  await templates(note);
  await shadows(note);
  await treating(note);
}
