/** Edits of what pieces are made of, how they are cut and finished, and of the words they hold. */
import type { Size } from '@/core/geometry/box';
import { apply } from '@/core/geometry/matrix';
import { showing } from '@/core/page/shown';
import type { Finish } from '@/core/piece/finish';
import type { Lift } from '@/core/piece/finish/lift';
import type { PageLight } from '@/core/piece/finish/light';
import { isInk, isPicture, materialKind, type Material } from '@/core/piece/material';
import { LONGEST_WORDS } from '@/core/piece/material/words';
import type { Window } from '@/core/piece/material/window';
import type { Outline } from '@/core/piece/outline';
import { MOST_RUNNING_LETTERS, type RunningOutline } from '@/core/piece/outline/running';
import { wantedSize, type GlyphsOutline } from '@/core/piece/outline/glyphs';
import type { WrittenOutline } from '@/core/piece/outline/written';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix, SMALLEST_PIECE } from '@/core/piece/placement/placement';
import { changePieces, naming, type Edit } from '@/core/project/edits/edit';
import { surfaceOf } from '@/core/project/model';
import { shortened } from '@/core/text/named';
import { respanned } from '@/core/text/spans';
import { lives, MOST_LETTERS, type Span } from '@/core/text/style';
import type { Typesetter } from '@/core/text/typesetter';

const idsOf = (pieces: readonly Piece[]) => pieces.map((piece) => piece.id);

export const renamePiece = (surfaceId: string, piece: Piece, name: string): Edit =>
  changePieces(`rename ${piece.role}`, surfaceId, [piece.id], (draft) => {
    draft.name = name;
  });

/** Slides, zooms or turns the picture behind its cut, or behind one of its `parts`. */
export const slidePicture = (surfaceId: string, piece: Piece, window: Window, part = 0, parts = 1): Edit =>
  changePieces(
    `slide ${piece.role} in its place`,
    surfaceId,
    [piece.id],
    (draft) => {
      if ('window' in draft.material) draft.material.window = window;
      else draft.material = showing(piece.material, part, window, parts);
    },
    'slide',
  );

export const changeMaterial = (surfaceId: string, pieces: readonly Piece[], material: Material): Edit =>
  changePieces(
    isInk(material) || (material.kind === 'art' && material.ink)
      ? `ink ${naming(pieces)}`
      : `change ${isPicture(material) ? material.kind : 'material'}`,
    surfaceId,
    idsOf(pieces),
    (draft) => {
      draft.material = material;
    },
    'material',
  );

/** Another ink for what is of one ink, each as it is: pictures that are stamped stay what they are. */
export const inkPieces = (surfaceId: string, pieces: readonly Piece[], colour: string): Edit =>
  changePieces(
    `ink ${naming(pieces)}`,
    surfaceId,
    idsOf(pieces),
    (draft) => {
      if (draft.material.kind === 'art') draft.material.ink = colour;
      else draft.material = { kind: 'ink', colour };
    },
    'material',
  );

export const changeOutline = (surfaceId: string, pieces: readonly Piece[], outline: Outline): Edit =>
  changePieces(`cut ${naming(pieces)}`, surfaceId, idsOf(pieces), (draft) => {
    draft.outline = outline;
  });

export const changeFinish = (
  surfaceId: string,
  pieces: readonly Piece[],
  label: string,
  to: Partial<Finish>,
): Edit =>
  changePieces(
    `${label} of ${naming(pieces)}`,
    surfaceId,
    idsOf(pieces),
    ({ finish }) => {
      Object.assign(finish, to);
    },
    `finish ${Object.keys(to).join()}`,
  );

/** How high pieces lie, each with what else is true of its own lift. */
export const changeLift = (
  surfaceId: string,
  pieces: readonly Piece[],
  label: string,
  to: Partial<Lift>,
): Edit =>
  changePieces(
    `${label} of ${naming(pieces)}`,
    surfaceId,
    idsOf(pieces),
    ({ finish: { lift } }) => {
      Object.assign(lift, structuredClone(to));
      if (!lift.curl) delete lift.curl;
    },
    `lift ${Object.keys(to).join()}`,
  );

/** Words are called by their first line, until somebody names them. */
export const nameOfWords = (text: string, role: string): string =>
  shortened(text.trim().split('\n')[0]!, 40) || role.charAt(0).toUpperCase() + role.slice(1);

/** Words written otherwise: what is undefined goes; stretches go along with what is written. */
export function rewritten<O extends WrittenOutline>(outline: O, to: Partial<O>): O {
  const spans: readonly Span[] = outline.spans ?? [];
  const next = {
    ...outline,
    ...(to.text !== undefined && spans.length ? { spans: respanned(spans, outline.text, to.text) } : {}),
    // A size that is chosen is the one that is wished.
    ...('size' in to ? { wished: undefined } : {}),
    ...to,
  };
  if (next.spans?.length === 0) delete next.spans;
  return Object.fromEntries(Object.entries(next).filter(([, value]) => value !== undefined)) as typeof next;
}

/** How many characters words of each kind hold. */
const MOST = { glyphs: MOST_LETTERS, running: MOST_RUNNING_LETTERS };

/** Writes a text with its stretches, in lines or along an outline, as far as it finds room in one piece. */
export function writeAnew(
  surfaceId: string,
  piece: Piece & { outline: WrittenOutline },
  {
    text,
    spans,
    ...size
  }: { text: string; spans: readonly Span[] } & Partial<Pick<GlyphsOutline, 'size' | 'wished'>>,
  typesetter: Typesetter,
): Edit {
  const { outline, placement } = piece;
  const left = shortened(text, MOST[outline.kind]);
  // Living words that are cut say something else: they go. Any other stretch is as long as what is left of it.
  const reaching = spans.filter(
    ({ start, end, field }) => start < left.length && !(field && end > left.length),
  );
  const to = {
    text: left,
    spans: reaching.map((span) => ({ ...span, end: Math.min(span.end, left.length) })),
    ...size,
  };
  return outline.kind === 'running'
    ? changeRunning(surfaceId, piece.id, { ...to, spans: to.spans.filter(lives) })
    : writeWords(surfaceId, piece, to, wantedSize(rewritten(outline, to), placement, typesetter));
}

/**
 * Writes words anew; the box takes the size they want (points) with its top left corner kept, or where it should lie
 * according to how its lines are aligned.
 */
export const writeWords = (surfaceId: string, piece: Piece, to: Partial<GlyphsOutline>, wanted: Size): Edit =>
  changePieces(
    `${to.text === undefined ? 'restyle' : 'write'} ${piece.role}`,
    surfaceId,
    [piece.id],
    (draft) => {
      const { placement } = draft;
      const before = draft.outline;
      if (before.kind !== 'glyphs') return;
      const named = draft.name === nameOfWords(before.text, draft.role);
      const outline = rewritten(before, to);
      draft.outline = outline;
      // What is filled with its own words is filled with those it has now.
      for (const { text, set } of materialKind(draft.material as Material).written?.(
        draft.material as Material,
      ) ?? [])
        if (to.text?.trim() && text.trim() === before.text.trim())
          set?.(shortened(outline.text, LONGEST_WORDS));
      if (named) draft.name = nameOfWords(outline.text, draft.role);
      const width = Math.max(SMALLEST_PIECE, wanted.width);
      const height = Math.max(SMALLEST_PIECE, wanted.height);
      const alignment =
        outline.wrap || outline.align === 'left' || outline.align === 'justify'
          ? 0.5
          : outline.align === 'centre'
            ? 0
            : -0.5;
      const centre = apply(placementMatrix(placement), {
        x: (width - placement.width) * alignment,
        y: (height - placement.height) / 2,
      });
      Object.assign(placement, { x: centre.x, y: centre.y, width, height });
    },
    to.text === undefined ? `restyle ${Object.keys(to).join()}` : 'write',
  );

/** Changes words that run along an outline; what is undefined goes. */
export const changeRunning = (surfaceId: string, id: string, to: Partial<RunningOutline>): Edit =>
  changePieces(
    `${to.text === undefined ? 'restyle' : 'write'} words along an outline`,
    surfaceId,
    [id],
    (draft) => {
      const { outline } = draft;
      if (outline.kind !== 'running') return;
      const named = draft.name === nameOfWords(outline.text, draft.role);
      const next = rewritten(outline as RunningOutline, to);
      draft.outline = next;
      if (named) draft.name = nameOfWords(next.text, draft.role);
    },
    `run ${Object.keys(to).join()}`,
  );

export const changeLight = (surfaceId: string, light: Partial<PageLight>): Edit => ({
  label: 'move page light',
  merge: `light ${surfaceId}`,
  apply(project) {
    Object.assign(surfaceOf(project, surfaceId).light, light);
  },
});
