/** Made-up projects and pictures for tests. */
import { createHash } from 'node:crypto';
import { createCanvas } from '@napi-rs/canvas';
import type { Asset, AssetType } from '@/core/picture/asset';
import { finishOf } from '@/core/piece/finish';
import { WHOLE } from '@/core/piece/material/window';
import type { Outline } from '@/core/piece/outline';
import type { Piece } from '@/core/piece/piece';
import { placedAt } from '@/core/piece/placement/placement';
import { newLayout, type Project } from '@/core/project/model';
import type { Supply } from '@/core/supplies/model';

/** A picture with a different colour in each quarter, so that turns and crops show. */
export function quarters(
  width: number,
  height: number,
  type: 'image/jpeg' | 'image/png' = 'image/jpeg',
): Buffer {
  const canvas = createCanvas(width, height);
  const context = canvas.getContext('2d');
  for (const [i, colour] of ['#c0392b', '#2471a3', '#d4ac0d', '#1e8449'].entries()) {
    context.fillStyle = colour;
    context.fillRect((i % 2) * (width / 2), Math.floor(i / 2) * (height / 2), width / 2, height / 2);
  }
  return type === 'image/png' ? canvas.toBuffer('image/png') : canvas.toBuffer('image/jpeg', 92);
}

export function assetOf(bytes: Uint8Array, width: number, height: number, more: Partial<Asset> = {}): Asset {
  const type: AssetType = bytes[0] === 0x89 ? 'image/png' : 'image/jpeg';
  const sha = createHash('sha256').update(bytes).digest('hex');
  return {
    sha,
    type,
    name: 'quarters',
    bytes: bytes.length,
    width,
    height,
    orientation: 1,
    ppi: 300,
    ...more,
  };
}

export const project = (width = 432, height = 288): Project =>
  newLayout({ id: 'sample', title: 'A sample', unit: 'in', width, height });

/** Cuts of all sorts. */
export const CUTS: readonly Outline[] = [
  ...['arch', 'hexagon', 'tag', 'heart'].map((punch): Outline => ({ kind: 'punch', punch, settings: {} })),
  { kind: 'path', name: 'Kite', data: 'M50 0L100 42L50 130L0 42Z' },
];

export const inkPiece = (
  id: string,
  x = 20,
  y = 30,
  width = 60,
  height = 40,
  more: Partial<Piece> = {},
): Piece => ({
  id,
  name: id,
  role: 'embellishment',
  material: { kind: 'ink', colour: '#9e2b45' },
  outline: { kind: 'rectangle', radius: 0 },
  finish: finishOf(0.3),
  placement: placedAt({ x, y, width, height }),
  ...more,
});

export const photoOf = (
  id: string,
  asset: Asset,
  box: { x: number; y: number; width: number; height: number },
  outline: Outline = { kind: 'rectangle', radius: 0 },
): Piece => ({
  ...inkPiece(id),
  role: 'photo',
  material: { kind: 'photo', asset: asset.sha, window: WHOLE },
  outline,
  placement: placedAt(box),
});

export const wordsOf = (id: string, text: string, size = 18, width = 200): Piece => ({
  ...inkPiece(id, 40, 200, width, 60),
  role: 'journaling',
  outline: { kind: 'glyphs', text, family: 'caveat', size, align: 'left', leading: 1.2, wrap: true },
  finish: finishOf(0),
});

/** The project with these on its page and their files known. */
export function laid(pieces: readonly Piece[], assets: readonly Asset[] = [], base = project()): Project {
  const [surface] = base.surfaces;
  return {
    ...base,
    surfaces: [{ ...surface!, pile: [...pieces] }],
    assets: Object.fromEntries(assets.map((asset) => [asset.sha, asset])),
    photos: assets.map((asset) => asset.sha),
  };
}

/** A supply of this name, of a kit `house`. */
export const supplyOf = (name: string, more: Partial<Supply> = {}): Supply => ({
  id: name,
  kind: 'embellishment',
  name,
  tags: [],
  kit: 'house',
  order: 0,
  added: 0,
  favourite: false,
  colours: [],
  ...more,
});
