/** What dealing knows of a photo, and how much of it is seen in a place. */
import type { Box, Size } from '@/core/geometry/box';
import type { Point } from '@/core/geometry/matrix';
import { middleOfFaces } from '@/core/photos/faces';
import { secondsOf } from '@/core/photos/when';
import { uprightSize, type Asset } from '@/core/picture/asset';

export interface BookPhoto {
  sha: string;
  /** Upright pixels. */
  width: number;
  height: number;
  /** Seconds; null if the photo does not say. */
  time: number | null;
  /** 0 to 5. */
  stars: number;
  /** Where what matters lies, as shares of its width and height. */
  focus: Point;
  /** Faces, as shares of its width and height. */
  faces: readonly Box[];
  /** 0 sharp to 1 blurred. */
  blur: number;
}

export function bookPhoto(asset: Asset): BookPhoto {
  return {
    sha: asset.sha,
    ...uprightSize(asset),
    time: asset.taken ? secondsOf(asset.taken) : null,
    stars: asset.notes?.stars ?? 0,
    focus: asset.focus ?? { x: 0.5, y: 0.5 },
    faces: asset.faces ?? [],
    blur: asset.blur ?? 0,
  };
}

/** A place for a photo on a spread, points; `gutter` is what the binding takes of it, from the place's left, or null. */
export interface BookPlace extends Size {
  gutter: { from: number; to: number } | null;
}

export interface Seen {
  /** The point of the photo that lies at the place's middle, as shares. */
  x: number;
  y: number;
  /** Faces that are not whole. */
  cut: number;
  /** A face, or what matters, lies in the gutter. */
  inGutter: boolean;
}

/** What matters but is no face reaches so far about its point, as a share of what is seen. */
const REACH = 0.1;
const TRIES = 24;

/**
 * How a photo is best seen in a place it covers: faces whole, then what matters near the middle, nothing of that in the gutter. A
 * photo slides along one side only; that side is searched in small steps, the nearest to its middle first.
 */
export function seenIn(photo: BookPhoto, place: BookPlace): Seen {
  const [own, there] = [photo.width / photo.height, place.width / place.height];
  const wide = Math.min(1, there / own);
  const high = Math.min(1, own / there);
  const aim = middleOfFaces(photo.faces) ?? photo.focus;
  const within = (value: number, share: number) => Math.min(1 - share / 2, Math.max(share / 2, value));
  const first = { x: within(aim.x, wide), y: within(aim.y, high) };
  const slack = { x: 1 - wide, y: 1 - high };
  let best = { ...judged(photo, place, first, wide, high), ...first };
  let least = weight(best);
  for (let i = 1; i <= TRIES && least > 0; i++)
    for (const side of [-1, 1]) {
      const by = (side * i) / TRIES;
      const at = {
        x: slack.x > 1e-6 ? within(first.x + by * slack.x, wide) : first.x,
        y: slack.y > 1e-6 ? within(first.y + by * slack.y, high) : first.y,
      };
      const next = { ...judged(photo, place, at, wide, high), ...at };
      if (weight(next) < least) [best, least] = [next, weight(next)];
    }
  return best;
}

const weight = ({ cut, inGutter }: Pick<Seen, 'cut' | 'inGutter'>): number => 2 * cut + Number(inGutter);

function judged(
  { faces, focus }: BookPhoto,
  { width, gutter }: BookPlace,
  at: Point,
  wide: number,
  high: number,
): Pick<Seen, 'cut' | 'inGutter'> {
  const [left, top] = [at.x - wide / 2, at.y - high / 2];
  const cut = faces.filter(
    ({ x, y, width: w, height: h }) =>
      x < left - 1e-3 || y < top - 1e-3 || x + w > left + wide + 1e-3 || y + h > top + high + 1e-3,
  ).length;
  const onPlace = (x: number): number => ((x - left) / wide) * width;
  const spans = faces.length
    ? faces.map(({ x, width: w }) => [onPlace(x), onPlace(x + w)] as const)
    : [[onPlace(focus.x) - REACH * width, onPlace(focus.x) + REACH * width] as const];
  return { cut, inGutter: gutter !== null && spans.some(([a, b]) => a < gutter.to && b > gutter.from) };
}

/** Pixels to an inch at which a photo prints where it covers a place. */
export const ppiIn = (photo: Size, place: Size): number =>
  72 * Math.min(photo.width / place.width, photo.height / place.height);
