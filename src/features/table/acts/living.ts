/** Living words are put where one writes, at the end of the words that are selected, or as words of their own. */
import type { Fact, Field } from '@/core/living/field';
import { fieldSays } from '@/core/living/fields';
import { forgetFact, setFact } from '@/core/project/edits/facts';
import { writeAnew } from '@/core/project/edits/make';
import { layPieces } from '@/core/project/edits/pile';
import type { GlyphsOutline } from '@/core/piece/outline/glyphs';
import { writtenAnew } from '@/core/text/spans';
import type { Span } from '@/core/text/style';
import { page } from '@/features/table/acts/choosing';
import { styledWords, writtenPiece } from '@/features/table/acts/words';
import type { Session, SessionStore } from '@/features/table/session';

/** What a field says on the page that is shown. */
export const saysHere = ({ history: { project }, surfaceId }: Session, field: Field): string | null =>
  fieldSays({ project, index: project.surfaces.findIndex(({ id }) => id === surfaceId) }, field);

/** The words a field would be put in: those being written, or the ones that are selected. */
export function wordsAtHand(session: Session): string | null {
  const id = session.mode.kind === 'write' ? session.mode.id : session.selection[0];
  const piece = id ? writtenPiece(session, id) : null;
  return piece && !piece.placement.locked ? piece.id : null;
}

export function putField(store: SessionStore, field: Field): void {
  const session = store.getState();
  if (session.readOnly || page(session).locked) return session.touchLocked();
  const by = saysHere(session, field);
  if (!by) return;
  const id = wordsAtHand(session);
  if (!id) {
    const laid = styledWords(session, 'title', by);
    const outline = { ...(laid.outline as GlyphsOutline), spans: [{ start: 0, end: by.length, field }] };
    return void session.perform(
      { ...layPieces(session.surfaceId, [{ ...laid, outline }], []), label: 'lay living words' },
      { selection: [laid.id] },
    );
  }
  const { mode } = session;
  const piece = writtenPiece(session, id)!;
  const { text } = piece.outline;
  const spans: readonly Span[] = piece.outline.spans ?? [];
  const writing = mode.kind === 'write' && mode.range;
  const [a, b] = writing || [text.length, text.length];
  const [from, to] = [Math.min(a, b), Math.max(a, b)];
  const air = !writing && text && !/\s$/.test(text) ? ' ' : '';
  const anew = writtenAnew(spans, text, [{ from, to, by: air + by }]);
  const start = from + air.length;
  const end = start + by.length;
  const lives = withField(anew.spans, { start, end, field });
  const edit = writeAnew(session.surfaceId, piece, { ...anew, spans: lives }, session.typesetter);
  if (!session.perform(edit) || mode.kind !== 'write') return;
  // Where there is no room for all of it, the caret stands at the end of what there is.
  const at = Math.min(end, writtenPiece(store.getState(), id)!.outline.text.length);
  store.getState().setMode({ ...mode, range: [at, at] });
}

/** A field over a stretch, lettered as what stands there. */
function withField(spans: readonly Span[], { start, end, field }: Span & { field: Field }): Span[] {
  const over = spans.find((span) => span.start <= start && span.end >= end);
  const others = spans.flatMap((span): Span[] =>
    [
      { ...span, end: Math.min(span.end, start) },
      { ...span, start: Math.max(span.start, end) },
    ].filter((one) => one.end > one.start),
  );
  return [...others, { ...over, start, end, field }].sort((a, b) => a.start - b.start);
}

export const know = (store: SessionStore, fact: Fact): void => void store.getState().perform(setFact(fact));

export const forget = (store: SessionStore, fact: Fact): void =>
  void store.getState().perform(forgetFact(fact));
