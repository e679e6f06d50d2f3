/** Lays a kit's supplies on a page, in inches: for ready-made pages and cards. */
import { PLACE } from '@/core/project/frames';
import type { Box } from '@/core/geometry/box';
import { evenly } from '@/core/geometry/sides';
import type { Asset } from '@/core/picture/asset';
import { finishOf, type Finish } from '@/core/piece/finish';
import { LIFTS } from '@/core/piece/finish/lift';
import { WHOLE } from '@/core/piece/material/window';
import type { Outline } from '@/core/piece/outline';
import type { Piece, Role } from '@/core/piece/piece';
import { extentOf, placedAt } from '@/core/piece/placement/placement';
import { artPiece, backgroundPiece, wordsPiece, type ArtCompartment } from '@/core/project/create';
import type { Compartment } from '@/core/project/model';
import { toPoints } from '@/core/units/lengths';
import type { Typesetter } from '@/core/text/typesetter';

export const box = (x: number, y: number, w: number, h: number): Box => ({
  x: toPoints(x, 'in'),
  y: toPoints(y, 'in'),
  width: toPoints(w, 'in'),
  height: toPoints(h, 'in'),
});
export const RECTANGLE: Outline = { kind: 'rectangle', radius: 0 };
export const ROUND: Outline = { kind: 'ellipse' };
export const punched = (punch: string): Outline => ({ kind: 'punch', punch, settings: {} });

export type FindSupply = (name: string) => { asset: Asset; compartment: Compartment };

/** What all pages of one thing share: its pictures, and names for its pieces. */
export class Material {
  readonly used = new Map<string, [Asset, Compartment]>();
  private count = 0;

  constructor(
    readonly supply: FindSupply,
    readonly typesetter: Typesetter,
  ) {}

  id = (): string => `p${(this.count += 1)}`;

  take(name: string): Asset {
    const { asset, compartment } = this.supply(name);
    this.used.set(asset.sha, [asset, compartment]);
    return asset;
  }
}

/** Lays things on one page; `x` and `y` are inches from a corner that lies `from` the page's own. */
export class Composer {
  readonly pile: Piece[];

  constructor(
    readonly from: Material,
    private readonly side: { width: number; height: number },
    private readonly origin = { x: 0, y: 0 },
    pile: Piece[] = [],
  ) {
    this.pile = pile;
  }

  private put(piece: Piece): this {
    const { placement } = piece;
    const { x, y } = this.origin;
    this.pile.push({ ...piece, placement: { ...placement, x: placement.x + x, y: placement.y + y } });
    return this;
  }

  /** A paper over all of the page. */
  ground(paper: string): this {
    const bleed = evenly(toPoints(1 / 8, 'in'));
    this.pile.push(backgroundPiece(this.from.id(), this.from.take(paper), { ...this.side, bleed }));
    return this;
  }

  paper(
    name: string,
    at: Box,
    turn = 0,
    role: Role = 'paper',
    outline = RECTANGLE,
    finish: Partial<Finish> = {},
  ): this {
    const asset = this.from.take(name);
    return this.put({
      id: this.from.id(),
      name,
      role,
      material: { kind: 'paper', asset: asset.sha, window: WHOLE },
      outline,
      finish: { ...finishOf(LIFTS.cardstock), ...finish },
      placement: { ...placedAt(at), turn },
    });
  }

  ink(name: string, colour: string, at: Box, turn = 0, outline = RECTANGLE, lift = 0): this {
    return this.put({
      id: this.from.id(),
      name,
      role: 'embellishment',
      material: { kind: 'ink', colour },
      outline,
      finish: finishOf(lift),
      placement: { ...placedAt(at), turn },
    });
  }

  /** A window cut through the paper, with a stroke about it if an ink is given. */
  window(name: string, at: Box, outline: Outline, stroke?: string): this {
    return this.put({
      id: this.from.id(),
      name,
      role: 'embellishment',
      material: { kind: 'opening' },
      outline,
      finish: {
        ...finishOf(LIFTS.cardstock),
        ...(stroke ? { stroke: { colour: stroke, width: 3, side: 'outside' as const } } : {}),
      },
      placement: placedAt(at),
    });
  }

  place(at: Box, turn = 0, outline = RECTANGLE): this {
    return this.put({
      id: this.from.id(),
      name: 'Place for a photo',
      role: 'photo',
      material: { kind: 'ink', colour: PLACE },
      outline,
      finish: finishOf(LIFTS.photo),
      placement: { ...placedAt(at), turn },
    });
  }

  /** A thing of its own with its middle at x, y, or so near to it that all of it is on the page; `size` makes it larger or smaller than true. */
  thing(name: string, x: number, y: number, turn = 0, size = 1, ink?: string): this {
    const { compartment } = this.from.supply(name);
    const piece = artPiece(this.from.id(), this.from.take(name), compartment as ArtCompartment, {
      x: toPoints(x, 'in'),
      y: toPoints(y, 'in'),
    });
    const { width, height } = piece.placement;
    const placement = { ...piece.placement, turn, width: width * size, height: height * size };
    const { x: left, y: top, width: wide, height: high } = extentOf(placement);
    const within = (from: number, long: number, corner: number, side: number) =>
      long > side ? 0 : Math.max(0, -corner - from) + Math.min(0, side - corner - from - long);
    return this.put({
      ...piece,
      material: ink && piece.material.kind === 'art' ? { ...piece.material, ink } : piece.material,
      placement: {
        ...placement,
        x: placement.x + within(left, wide, this.origin.x, this.side.width),
        y: placement.y + within(top, high, this.origin.y, this.side.height),
      },
    });
  }

  /** Words about x, y; smaller where they would be wider than `most` inches. */
  words(
    role: 'title' | 'journaling',
    text: string,
    family: string,
    size: number,
    colour: string,
    x: number,
    y: number,
    turn = 0,
    most = Infinity,
  ): this {
    const of = (points: number): Piece =>
      wordsPiece(
        this.from.id(),
        role,
        { kind: 'glyphs', text, family, size: points, align: 'centre', leading: 1.15, wrap: false },
        colour,
        { x: toPoints(x, 'in'), y: toPoints(y, 'in') },
        this.from.typesetter,
      );
    const wished = of(size);
    const share = toPoints(most, 'in') / wished.placement.width;
    const piece = share < 1 ? of(Math.floor(size * share)) : wished;
    return this.put({ ...piece, placement: { ...piece.placement, turn } });
  }

  /** What was laid last, changed. */
  last(change: (piece: Piece) => Piece): this {
    this.pile.push(change(this.pile.pop()!));
    return this;
  }
}
