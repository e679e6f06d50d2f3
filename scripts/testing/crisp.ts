/** A page of white pieces on black that lie at an angle, and how far a picture of it is from the areas they cover. */
import { createCanvas } from '@napi-rs/canvas';
import sharp from 'sharp';
import { compose, scaling, type Point } from '@/core/geometry/matrix';
import { boxOfPoints } from '@/core/geometry/box';
import { grown, signedArea } from '@/core/geometry/offset';
import { flatten, transformPath, type Path } from '@/core/geometry/path';
import { cutOf, type DrawingTools } from '@/core/page/outlines';
import type { Asset } from '@/core/picture/asset';
import { finishOf } from '@/core/piece/finish';
import type { Material } from '@/core/piece/material';
import { WHOLE } from '@/core/piece/material/window';
import type { Outline } from '@/core/piece/outline';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix } from '@/core/piece/placement/placement';
import type { Project } from '@/core/project/model';
import { CUTS, inkPiece, laid, project } from './samples';

/** Degrees. */
const TURNS = [2, 7, 30, 45];
/** Points: neither on whole pixels nor on halves. */
const [WIDTH, HEIGHT] = [61.3, 44.7];

const BLANK = createCanvas(300, 220);
BLANK.getContext('2d').fillStyle = '#fff';
BLANK.getContext('2d').fillRect(0, 0, 300, 220);
export const WHITE_PHOTO = BLANK.toBuffer('image/jpeg', 100);
export const WHITE_ART = BLANK.toBuffer('image/png');
export const WHITE_DRAWING = Buffer.from(
  '<svg xmlns="http://www.w3.org/2000/svg" width="1in" height="1in" viewBox="0 0 96 96"><rect x="-20" y="-20" width="136" height="136" fill="#fff"/></svg>',
);

export type Register = (bytes: Buffer, width: number, height: number, more?: Partial<Asset>) => Asset;

const WHITE: Material = { kind: 'ink', colour: '#ffffff' };
const BLACK: Material = { kind: 'ink', colour: '#000000' };
const edged = (side: 'inside' | 'outside', colour: string) => ({ colour, width: 4, side });

/** All that is cut, in straight and round outlines, with edges in and outside; one row each turn. */
export function crispPage(register: Register): Project {
  const photo = register(WHITE_PHOTO, 300, 220);
  const art = register(WHITE_ART, 300, 220);
  const drawing = register(WHITE_DRAWING, 300, 300, { type: 'image/svg+xml' });
  const shot: Material = { kind: 'photo', asset: photo.sha, window: WHOLE };
  const shown: { material: Material; outline?: Outline; stroke?: ReturnType<typeof edged> }[] = [
    { material: WHITE },
    { material: shot },
    { material: { kind: 'paper', asset: photo.sha, window: WHOLE } },
    { material: { kind: 'art', asset: art.sha } },
    { material: { kind: 'art', asset: drawing.sha } },
    { material: shot, outline: CUTS[3]! },
    { material: shot, stroke: edged('inside', '#ffffff') },
    { material: shot, stroke: edged('inside', '#000000') },
    { material: BLACK, outline: CUTS[4]!, stroke: edged('inside', '#ffffff') },
    { material: shot, stroke: edged('outside', '#ffffff') },
    { material: WHITE, outline: CUTS[4]!, stroke: edged('outside', '#000000') },
    { material: BLACK, stroke: edged('outside', '#ffffff') },
  ];
  const pieces = TURNS.flatMap((turn, row) =>
    shown.map(({ material, outline, stroke }, column): Piece => {
      const name = `${column} ${material.kind}${outline ? `, ${outline.kind === 'punch' ? outline.punch : 'kite'}` : ''}${stroke ? `, ${stroke.colour} ${stroke.side}` : ''} at ${turn}`;
      const piece = inkPiece(name, 18 + column * 96, 24 + row * 96, WIDTH, HEIGHT, {
        material,
        ...(outline ? { outline } : {}),
        finish: { ...finishOf(0), stroke: stroke ?? null },
      });
      return { ...piece, placement: { ...piece.placement, turn } };
    }),
  );
  const base = project(20 + 96 * shown.length, 400);
  const page = laid(pieces, [photo, art, drawing], base);
  page.surfaces[0]!.ground = '#000000';
  return page;
}

/** Along curves Skia is off by up to an eighth of a pixel, and at the inner corners of a wide line by a quarter. */
export const allowedError = (name: string): number =>
  /kite, #ffffff inside/.test(name) ? 1 / 4 : /heart/.test(name) ? 1 / 8 : 1 / 16;

/**
 * The largest share of a pixel by which a picture of the page, at `ppi` without bleed, is off along the edges of each piece.
 * Skia, which draws canvases in Chromium and under Node, sets the corners of an outline on quarters of a pixel from top to
 * bottom: so do the areas it is compared with.
 */
export async function edgeErrors(path: string, of: Project, ppi: number): Promise<Map<string, number>> {
  const { data, info } = await sharp(path).removeAlpha().raw().toBuffer({ resolveWithObject: true });
  const tools = { asset: (sha: string) => of.assets[sha] } as DrawingTools;
  const view = scaling(ppi / 72);
  return new Map(
    of.surfaces[0]!.pile.map((piece) => {
      const map = compose(view, placementMatrix(piece.placement));
      const white = whiteOf(piece, cutOf(piece, tools).path).map((path) => {
        const [ring] = flatten(transformPath(map, path), 96);
        return path.some(([kind]) => kind === 'C')
          ? ring!
          : ring!.map(({ x, y }) => ({ x, y: Math.round(4 * y) / 4 }));
      });
      const { x, y, width, height } = boxOfPoints(white.flat());
      let worst = 0;
      for (let top = Math.floor(y) - 5; top <= y + height + 5; top++) {
        const rows = white.map((ring) => between(ring, 'y', top));
        for (let left = Math.floor(x) - 5; left <= x + width + 5; left++) {
          const seen = data[(top * info.width + left) * 3]! / 255;
          const [whole = 0, hole = 0] = rows.map((row) => Math.abs(signedArea(between(row, 'x', left))));
          worst = Math.max(worst, Math.abs(seen - (whole - hole)));
        }
      }
      return [piece.name, worst];
    }),
  );
}

/** The white area of a piece: an outline, and the hole in it if it has one. */
function whiteOf({ material, finish: { stroke } }: Piece, cut: Path): Path[] {
  const filled = material !== BLACK;
  if (!stroke) return [cut];
  const rimmed = stroke.colour === '#ffffff';
  const [outer, inner] =
    stroke.side === 'inside'
      ? [cut, grown(cut, -stroke.width, 'mitred')]
      : [grown(cut, stroke.width, 'mitred'), cut];
  return [...(rimmed ? [outer] : []), ...(filled === rimmed ? [] : [inner])];
}

/** What of a polygon lies between two neighbouring pixel lines (Sutherland and Hodgman, 1974). */
const between = (ring: readonly Point[], axis: 'x' | 'y', from: number): Point[] =>
  beyond(beyond(ring, axis, from, 1), axis, from + 1, -1);

function beyond(ring: readonly Point[], axis: 'x' | 'y', line: number, side: 1 | -1): Point[] {
  return ring.flatMap((b, i) => {
    const a = ring.at(i - 1)!;
    const [p, q] = [side * (a[axis] - line), side * (b[axis] - line)];
    const share = p / (p - q);
    const cut = { x: a.x + share * (b.x - a.x), y: a.y + share * (b.y - a.y) };
    return [...(p > 0 !== q > 0 ? [cut] : []), ...(q > 0 ? [b] : [])];
  });
}
