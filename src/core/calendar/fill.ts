/** Photos dealt to the months they were taken in. */
import type { Asset } from '@/core/picture/asset';
import type { Piece } from '@/core/piece/piece';
import { monthOn } from '@/core/product';
import { isEmptyPlace } from '@/core/project/frames';
import { fillPlaces } from '@/core/project/edits/photos';
import { together, type Edit } from '@/core/project/edits/edit';
import type { Project, Surface } from '@/core/project/model';

interface Free {
  surfaceId: string;
  place: Piece;
  /** The month its page is of; null for the cover, and for what is of none. */
  month: number | null;
}

/** Empty places of a project, page by page; the cover's last. Locked ones stay empty. */
export function freePlaces(project: Project): Free[] {
  const all = project.surfaces.flatMap((surface) => {
    const page = surface.part === 'cover' ? null : (monthOn(project, surface)?.month ?? null);
    const own = (place: Piece) => (page === null ? null : (monthBeside(surface, place) ?? page));
    return surface.locked
      ? []
      : surface.pile
          .filter((piece) => isEmptyPlace(piece) && !piece.placement.locked && !piece.placement.hidden)
          .map((place) => ({ surfaceId: surface.id, place, month: own(place) }));
  });
  return [...all.filter(({ month }) => month !== null), ...all.filter(({ month }) => month === null)];
}

/** The month that lies nearest to a place, of a page with several; undefined of one with none. */
function monthBeside({ pile }: Surface, { placement: { x, y } }: Piece): number | undefined {
  const far = ({ placement: at }: Piece) => Math.hypot(at.x - x, at.y - y);
  const [nearest] = pile.filter(({ material }) => material.kind === 'month').sort((a, b) => far(a) - far(b));
  return nearest?.material.kind === 'month' ? nearest.material.month : undefined;
}

const monthTaken = ({ taken }: Asset): number | null => (taken ? Number(taken.slice(5, 7)) : null);
const starsOf = ({ notes }: Asset): number => notes?.stars ?? 0;

/**
 * Deals photos to empty places: each to a page of the month it was taken in, the starred first; what then is left, in the
 * order of time, to the places left, so that no month stays empty while a photo is there.
 */
export function dealtByMonth(project: Project, photos: readonly Asset[]): { free: Free; asset: Asset }[] {
  const free = freePlaces(project);
  const best = [...photos].sort((a, b) => starsOf(b) - starsOf(a) || when(a).localeCompare(when(b)));
  const left = new Set(best);
  const dealt = new Map<Free, Asset>();
  for (const place of free) {
    const own = best.find(
      (asset) => left.has(asset) && place.month !== null && monthTaken(asset) === place.month,
    );
    if (!own) continue;
    dealt.set(place, own);
    left.delete(own);
  }
  const rest = [...left].sort((a, b) => when(a).localeCompare(when(b)));
  for (const place of free) {
    if (dealt.has(place)) continue;
    const next = rest.shift();
    if (next) dealt.set(place, next);
  }
  return free.flatMap((place) => {
    const asset = dealt.get(place);
    return asset ? [{ free: place, asset }] : [];
  });
}

const when = ({ taken = '9999', name }: Asset): string => `${taken} ${name}`;

/** Lays photos into the empty places of all pages, one step; null where there is nothing to lay or no place. */
export function fillYear(project: Project, photos: readonly Asset[]): { edit: Edit; count: number } | null {
  const dealt = dealtByMonth(project, photos);
  if (!dealt.length) return null;
  const pages = [...new Set(dealt.map(({ free }) => free.surfaceId))];
  return {
    count: dealt.length,
    edit: together(
      `fill ${dealt.length} ${dealt.length === 1 ? 'place' : 'places'}`,
      pages.map((page) =>
        fillPlaces(
          page,
          dealt.flatMap(({ free, asset }) => (free.surfaceId === page ? [{ place: free.place, asset }] : [])),
        ),
      ),
    ),
  };
}
