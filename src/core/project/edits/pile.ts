/** Edits of which pieces a page has and how they are piled. */
import type { Draft } from 'immer';
import type { Size } from '@/core/geometry/box';
import { withBleed, type Sides } from '@/core/geometry/sides';
import type { Asset } from '@/core/picture/asset';
import type { Piece, Tuck } from '@/core/piece/piece';
import { naming, type Edit } from '@/core/project/edits/edit';
import { surfaceOf, type Group, type Surface } from '@/core/project/model';

/** Lays pieces on top of the pile, or at `at` counted from the bottom, with what is known of their picture files. */
export const layPieces = (
  surfaceId: string,
  pieces: readonly Piece[],
  assets: readonly Asset[] = [],
  at?: number,
  verb = 'lay',
  groups: readonly Group[] = [],
): Edit => ({
  label: `${verb} ${naming(pieces)}`,
  apply(project) {
    for (const asset of assets) project.assets[asset.sha] ??= asset;
    const surface = surfaceOf(project, surfaceId);
    surface.pile.splice(at ?? surface.pile.length, 0, ...structuredClone(pieces as Piece[]));
    if (groups.length) surface.groups.push(...structuredClone(groups as Group[]));
  },
});

/** Puts another piece in the place of one, at its height in the pile. */
export const exchangePiece = (
  surfaceId: string,
  piece: Piece,
  next: Piece,
  assets: readonly Asset[],
): Edit => ({
  label: `exchange ${naming([piece])}`,
  apply(project) {
    for (const asset of assets) project.assets[asset.sha] ??= asset;
    const { pile } = surfaceOf(project, surfaceId);
    const at = pile.findIndex(({ id }) => id === piece.id);
    if (at >= 0) pile[at] = structuredClone(next);
  },
});

/** Forgets the groups no piece is in any more. */
export function dropEmptyGroups(surface: Draft<Surface>): void {
  const held = new Set(surface.pile.flatMap(({ groups = [] }) => groups));
  if (surface.groups.some(({ id }) => !held.has(id)))
    surface.groups = surface.groups.filter(({ id }) => held.has(id));
}

export const removePieces = (surfaceId: string, pieces: readonly Piece[]): Edit => {
  const gone = new Set(pieces.map((piece) => piece.id));
  return {
    label: `delete ${naming(pieces)}`,
    apply(project) {
      const surface = surfaceOf(project, surfaceId);
      const torn = new Set(surface.pile.flatMap(({ id, groups = [] }) => (gone.has(id) ? groups : [])));
      // Rows and columns that lost a cell are a plain group: they could not be laid anew as they are.
      for (const group of surface.groups) if (torn.has(group.id)) delete group.repeat;
      surface.pile = surface.pile.filter((piece) => !gone.has(piece.id));
      dropEmptyGroups(surface);
    },
  };
};

/** Covers the page with a paper that lies beneath everything; a background already there gives way. */
export const layBackground = (surfaceId: string, piece: Piece, assets: readonly Asset[]): Edit => ({
  label: 'cover page with paper',
  apply(project) {
    for (const asset of assets) project.assets[asset.sha] ??= asset;
    const surface = surfaceOf(project, surfaceId);
    const below = surface.pile[0];
    if (below && isBackground(below, surface)) surface.pile.shift();
    surface.pile.unshift(structuredClone(piece));
  },
});

/** Whether a piece lies over the whole page, as a photo or paper does that is what the page lies on. */
export function coversPage({ placement }: Piece, { width, height }: Size): boolean {
  const { x, y, width: w, height: h, turn } = placement;
  return turn === 0 && x - w / 2 <= 0 && y - h / 2 <= 0 && x + w / 2 >= width && y + h / 2 >= height;
}

/** Whether a piece is a paper that covers the whole page with its bleed. */
export function isBackground(piece: Piece, page: Size & { bleed: Sides }): boolean {
  const { x, y, width, height, turn } = piece.placement;
  const all = withBleed(page);
  const near = (a: number, b: number) => Math.abs(a - b) < 0.5;
  return (
    piece.material.kind === 'paper' &&
    turn === 0 &&
    near(x, all.x + all.width / 2) &&
    near(y, all.y + all.height / 2) &&
    width >= all.width - 0.5 &&
    height >= all.height - 0.5
  );
}

/** Lets a piece pass under another at crossings, or over it again: `tucks` are all it has from now on. */
export const setTucks = (surfaceId: string, piece: Piece, tucks: readonly Tuck[]): Edit => ({
  label: `${tucks.length < (piece.tucks?.length ?? 0) ? 'untuck' : 'tuck'} ${piece.role}`,
  apply(project) {
    const found = surfaceOf(project, surfaceId).pile.find(({ id }) => id === piece.id);
    if (!found) return;
    if (tucks.length) found.tucks = tucks.map((tuck) => ({ ...tuck }));
    else delete found.tucks;
  },
});
