/** What is done to words along an outline: begun, changed, fitted, laid in lines again. */
import { finishOf } from '@/core/piece/finish';
import { LIFTS } from '@/core/piece/finish/lift';
import { wantedSize, type GlyphsOutline } from '@/core/piece/outline/glyphs';
import { isBase, sizeFor, type Base, type RunningOutline } from '@/core/piece/outline/running';
import type { Piece } from '@/core/piece/piece';
import { placedAt } from '@/core/piece/placement/placement';
import { changePieces, together } from '@/core/project/edits/edit';
import { changeRunning as changeRunningEdit, nameOfWords } from '@/core/project/edits/make';
import { layPieces, removePieces } from '@/core/project/edits/pile';
import { stylesOf } from '@/core/project/edits/styles';
import { LARGEST_LETTERS, letteringOf, lives, SMALLEST_LETTERS } from '@/core/text/style';
import { toPoints } from '@/core/units/lengths';
import { newId } from '@/features/shared/ids';
import { page } from '@/features/table/acts/choosing';
import { middle } from '@/features/table/acts/laying';
import { settledPieces, type Session, type SessionStore } from '@/features/table/session';

/** Words that run along the outline of what is selected, or along a circle; words that are selected with it are those. */
export function runAlong(store: SessionStore): void {
  const session = store.getState();
  if (session.readOnly) return;
  const pieces = settledPieces(session, session.selection);
  const written = pieces.find(({ outline }) => outline.kind === 'glyphs');
  const shape = pieces.find(({ outline }) => isBase(outline));
  const { width, height } = page(session);
  const side = Math.min(width, height) * 0.4;
  const base: Base = shape && isBase(shape.outline) ? structuredClone(shape.outline) : { kind: 'ellipse' };
  const spot = middle(session);
  const placement =
    shape?.placement ?? placedAt({ x: spot.x - side / 2, y: spot.y - side / 2, width: side, height: side });
  const style = stylesOf(session.history.project).find(({ id }) => id === 'subtitle')!;
  const from = written?.outline.kind === 'glyphs' ? written.outline : null;
  const outline: RunningOutline = {
    kind: 'running',
    ...(from?.text.trim() ? trimmed(from) : { text: 'around and around' }),
    ...(from
      ? structuredClone(letteringOf(from))
      : {
          family: style.family,
          size: Math.max(SMALLEST_LETTERS, Math.min(placement.width, placement.height) / 11),
        }),
    base,
    side: 'outside',
    clockwise: true,
    start: 0,
    repeat: true,
    between: ' · ',
    corners: 'break',
    gap: toPoints(1 / 24, 'in'),
  };
  const piece: Piece = {
    id: newId(),
    name: nameOfWords(outline.text, 'title'),
    role: 'title',
    material: written?.material.kind === 'ink' ? { ...written.material } : { kind: 'ink', colour: style.ink },
    outline,
    finish: finishOf(LIFTS.ink),
    placement: { ...placement, locked: false, hidden: false },
  };
  session.perform(
    together('run words along an outline', [
      layPieces(session.surfaceId, [piece], []),
      ...(written ? [removePieces(session.surfaceId, [written])] : []),
    ]),
    {
      selection: [piece.id],
      // Words that only stand for what is to come are marked: what is typed takes their place.
      ...(from ? {} : { mode: { kind: 'write', id: piece.id, range: [0, outline.text.length] } as const }),
    },
  );
}

/** Words on one line without what stands empty around them; what lives in them lives on. */
function trimmed({ text, spans = [] }: GlyphsOutline): Pick<RunningOutline, 'text' | 'spans'> {
  const lead = text.length - text.trimStart().length;
  const living = spans
    .filter(lives)
    .map(({ start, end, field }) => ({ start: start - lead, end: end - lead, field }))
    .filter(({ start, end }) => start >= 0 && end <= text.trim().length);
  return { text: text.trim(), ...(living.length ? { spans: living } : {}) };
}

const runningOf = (session: Session, id: string) => {
  const [piece] = settledPieces(session, [id]);
  return piece?.outline.kind === 'running' ? { piece, outline: piece.outline } : null;
};

export function changeRunning(store: SessionStore, id: string, to: Partial<RunningOutline>): void {
  const session = store.getState();
  if (runningOf(session, id)) session.perform(changeRunningEdit(session.surfaceId, id, to));
}

/** Letters as large as lets the words stand there so often, nothing added between them. */
export function fitRepeats(store: SessionStore, id: string, repeats: number): void {
  const session = store.getState();
  const found = runningOf(session, id);
  if (!found) return;
  const size = sizeFor(found.outline, repeats, found.piece.placement, session.typesetter);
  changeRunning(store, id, {
    size: Math.min(LARGEST_LETTERS, Math.max(SMALLEST_LETTERS, size)),
    repeat: true,
  });
}

/** The same words in lines again. */
export function straightenWords(store: SessionStore, id: string): void {
  const session = store.getState();
  const found = runningOf(session, id);
  if (!found) return;
  const outline: GlyphsOutline = {
    kind: 'glyphs',
    text: found.outline.text,
    ...(found.outline.spans ? { spans: found.outline.spans } : {}),
    ...structuredClone(letteringOf(found.outline)),
    align: 'left',
    leading: 1.2,
    wrap: false,
  };
  const wanted = wantedSize(outline, { width: 0, height: 0 }, session.typesetter);
  session.perform(
    changePieces('lay words in lines', session.surfaceId, [id], (draft) => {
      draft.outline = outline;
      Object.assign(draft.placement, wanted);
    }),
  );
}
