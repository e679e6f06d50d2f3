/** Edits of the photos of a page and nothing else: where they lie, which one lies where, what they all wear. */
import type { Box } from '@/core/geometry/box';
import type { Asset } from '@/core/picture/asset';
import { isPicture } from '@/core/piece/material';
import { firstWindow } from '@/core/piece/material/window';
import type { Piece } from '@/core/piece/piece';
import { exchanged } from '@/core/project/create';
import { isEmptyPlace, PLACE } from '@/core/project/frames';
import { piecesOf, type Edit } from '@/core/project/edits/edit';
import { gather } from '@/core/project/edits/gather';
import { surfaceOf, type Project, type Surface } from '@/core/project/model';
import { unframedPhotos } from '@/core/project/photos';

export interface Placed {
  piece: Piece;
  box: Box;
}

const counted = (count: number, what: string): string => (count === 1 ? what : `${count} ${what}s`);

/**
 * Lays photos into boxes (page points), upright; what is not on the page yet comes to lie on top. A photo keeps its finish and
 * what it shows of itself stays as near as its new box allows.
 */
export const arrangePhotos = (
  surfaceId: string,
  placed: readonly Placed[],
  fresh: readonly Asset[],
): Edit => ({
  label: `arrange ${counted(placed.length, 'photo')}`,
  apply(project) {
    gather('photos', fresh).apply(project);
    const { pile } = surfaceOf(project, surfaceId);
    for (const { piece, box } of placed) {
      let draft = pile.find(({ id }) => id === piece.id);
      if (!draft) {
        pile.push(structuredClone(piece));
        draft = pile.at(-1)!;
      }
      Object.assign(draft.placement, {
        x: box.x + box.width / 2,
        y: box.y + box.height / 2,
        width: box.width,
        height: box.height,
        turn: 0,
      });
      if (isPicture(draft.material)) draft.material.window.zoom = 1;
    }
  },
});

/** Lets two photos, or a photo and an empty place, change places: cut, finish and place stay, the pictures go. */
export const swapPhotos = (surfaceId: string, [a, b]: readonly [Piece, Piece]): Edit => ({
  label: [a, b].some(isEmptyPlace) ? 'put photo into another place' : 'swap 2 photos',
  apply(project) {
    for (const [piece, from] of [
      [a, b],
      [b, a],
    ] as const) {
      const [draft] = piecesOf(project, surfaceId, [piece.id]);
      if (!draft) continue;
      const material = structuredClone(from.material);
      if (material.kind === 'photo') material.window = firstWindow(project.assets[material.asset] ?? {});
      draft.material = material;
      draft.name = from.name;
    }
  },
});

/** Puts photos into empty places, each into its own. */
export const fillPlaces = (surfaceId: string, pairs: readonly { place: Piece; asset: Asset }[]): Edit => ({
  label: `fill ${counted(pairs.length, 'place')}`,
  apply(project) {
    gather(
      'photos',
      pairs.map(({ asset }) => asset),
    ).apply(project);
    const { pile } = surfaceOf(project, surfaceId);
    for (const { place, asset } of pairs) {
      project.assets[asset.sha] ??= asset;
      const at = pile.findIndex(({ id }) => id === place.id);
      if (at >= 0) pile[at] = structuredClone(exchanged(place, asset, 'photos'));
    }
  },
});

/** Makes places for photos of pieces of any kind: cut, finish and place stay. */
export const emptyPlaces = (surfaceId: string, pieces: readonly Piece[]): Edit => ({
  label: pieces.length === 1 ? 'make a place for a photo' : `make ${pieces.length} places for photos`,
  apply(project) {
    for (const draft of piecesOf(
      project,
      surfaceId,
      pieces.map(({ id }) => id),
    )) {
      draft.role = 'photo';
      draft.name = 'Place';
      draft.material = { kind: 'ink', colour: PLACE };
    }
  },
});

/**
 * Gives a photo's finish to all other photos of a page, or of every page, and the corners of its rectangle to those that are
 * rectangles. Photos behind frames, locked ones and locked pages stay as they are.
 */
export const finishPhotos = (from: Piece, surfaceId: string | null): Edit => ({
  label: `finish all photos${surfaceId ? '' : ' of the project'} alike`,
  apply(project) {
    for (const surface of project.surfaces) {
      if (surface.locked || (surfaceId && surface.id !== surfaceId)) continue;
      const ids = new Set(
        unframedPhotos(surface as Surface, project.assets as Project['assets']).map(({ id }) => id),
      );
      for (const draft of surface.pile) {
        if (!ids.has(draft.id) || draft.id === from.id || draft.placement.locked) continue;
        draft.finish = structuredClone(from.finish);
        if (from.look) draft.look = from.look;
        else delete draft.look;
        if (draft.outline.kind === 'rectangle' && from.outline.kind === 'rectangle')
          draft.outline.radius = from.outline.radius;
      }
    }
  },
});
