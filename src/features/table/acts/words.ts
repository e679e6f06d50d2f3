/** What is done to words: begun, written on, written otherwise, fitted to their box; those along an outline are in running.ts. */
import { safeArea } from '@/core/geometry/sides';
import { fittingHeight, fittingLetters, wantedSize, type GlyphsOutline } from '@/core/piece/outline/glyphs';
import { isWritten } from '@/core/piece/outline';
import type { WrittenOutline } from '@/core/piece/outline/written';
import type { Piece } from '@/core/piece/piece';
import { captionPiece, captionText, whoAndWhen } from '@/core/project/caption';
import { wordsPiece, type Spot } from '@/core/project/create';
import { together } from '@/core/project/edits/edit';
import { changeMaterial, rewritten, writeWords } from '@/core/project/edits/make';
import { extentOf } from '@/core/piece/placement/placement';
import { placePiece } from '@/core/project/edits/place';
import { layPieces, removePieces } from '@/core/project/edits/pile';
import { stylesOf } from '@/core/project/edits/styles';
import { textsOf } from '@/core/project/needs';
import { listMark } from '@/core/text/lists';
import { ownOf, placeAfter, spanned, writtenAnew, type Own } from '@/core/text/spans';
import { facesOf } from '@/core/text/families';
import {
  LARGEST_LETTERS,
  LEAST_SCALE,
  letteringOf,
  MOST_LETTERS,
  MOST_SCALE,
  SMALLEST_LETTERS,
  type Lettering,
} from '@/core/text/style';
import { newId } from '@/features/shared/ids';
import { page } from '@/features/table/acts/choosing';
import { middle } from '@/features/table/acts/laying';
import { changeRunning } from '@/features/table/acts/running';
import { settledPieces, type Session, type SessionStore } from '@/features/table/session';

/** The side of the page the house's letter sizes are meant for, points. */
const USUAL_SIDE = 864;

/** Words in the project's style of that name, with letters in the measure of the page. */
export function styledWords(
  session: Session,
  role: 'title' | 'journaling',
  text: string,
  spot?: Spot,
): Piece {
  const { width, height } = page(session);
  const { ink, id, name: _, ...style } = stylesOf(session.history.project).find((one) => one.id === role)!;
  const size = Math.max(9, Math.round(style.size * Math.min(1, Math.min(width, height) / USUAL_SIDE)));
  const outline: GlyphsOutline = {
    kind: 'glyphs',
    text,
    ...structuredClone(style),
    size,
    wrap: role === 'journaling',
    ...(size === style.size ? { style: id } : {}),
  };
  const piece = wordsPiece(newId(), role, outline, ink, spot ?? middle(session), session.typesetter);
  const box = { width: role === 'journaling' ? width * 0.4 : size * 2, height: size * outline.leading };
  const wanted = text ? wantedSize(outline, box, session.typesetter) : box;
  return { ...piece, placement: { ...piece.placement, ...wanted } };
}

/** Lays empty words and begins writing on the page; words left empty are taken away again. */
export function startWords(store: SessionStore, role: 'title' | 'journaling', spot?: Spot): void {
  const session = store.getState();
  if (session.readOnly) return;
  const laid = styledWords(session, role, '', spot);
  session.perform(layPieces(session.surfaceId, [laid], [], undefined, 'write'), {
    selection: [laid.id],
    mode: { kind: 'write', id: laid.id, range: [0, 0] },
  });
}

/** Lays text from elsewhere as journaling; what is beyond the limit is left out, and that is said. */
export function layText(store: SessionStore, text: string): void {
  const session = store.getState();
  if (session.readOnly) return;
  // A vertical tab is how some writing programs end a line within a paragraph.
  const plain = text.replace(/\r\n?|\u000b/g, '\n').trim();
  const laid = styledWords(session, 'journaling', plain.slice(0, MOST_LETTERS));
  session.perform(
    { ...layPieces(session.surfaceId, [laid], []), label: 'paste words' },
    { selection: [laid.id] },
  );
  const left = plain.length - MOST_LETTERS;
  if (left > 0) store.getState().refuse(leftOut(left));
}

/** What is said of pasted words that do not all find room in one piece. */
export const leftOut = (left: number, most = MOST_LETTERS): string =>
  `One piece of words holds up to ${most.toLocaleString('en')} letters; the last ${left.toLocaleString('en')} of what was pasted were left out.`;

export const wordsOf = (session: Session, id: string): (Piece & { outline: GlyphsOutline }) | null => {
  const [piece] = settledPieces(session, [id]);
  return piece?.outline.kind === 'glyphs' ? (piece as Piece & { outline: GlyphsOutline }) : null;
};

export function rewrite(store: SessionStore, id: string, to: Partial<GlyphsOutline>): void {
  const session = store.getState();
  const piece = wordsOf(session, id);
  if (!piece) return;
  const wanted = wantedSize(rewritten(piece.outline, to), piece.placement, session.typesetter);
  const { mode } = session;
  const [before, after = before] = [piece.outline.text, to.text];
  // The caret, and what is marked, stay where they are in what is written.
  const range = mode.kind === 'write' && mode.id === id ? mode.range : undefined;
  const [from, until] = (range ?? []).map((at) => placeAfter(at, before, after));
  session.perform(
    writeWords(session.surfaceId, piece, to, wanted),
    range && before !== after ? { mode: { kind: 'write', id, range: [from!, until!] } } : undefined,
  );
}

/** Words in lines or along an outline; null for what is neither. */
export function writtenPiece(session: Session, id: string): (Piece & { outline: WrittenOutline }) | null {
  const [piece] = settledPieces(session, [id]);
  return piece && isWritten(piece.outline) ? { ...piece, outline: piece.outline } : null;
}

/** Writes other words on a piece; along an outline they are one line. */
export function writeText(store: SessionStore, id: string, text: string): void {
  const [piece] = settledPieces(store.getState(), [id]);
  if (piece?.outline.kind === 'running') changeRunning(store, id, { text: text.replace(/\s*\n\s*/g, ' ') });
  else rewrite(store, id, { text });
}

/** Writes characters where the caret is, in the place of what is marked. */
export function typeOn(store: SessionStore, characters: string): void {
  const { mode } = store.getState();
  if (mode.kind !== 'write') return;
  const [piece] = settledPieces(store.getState(), [mode.id]);
  if (!piece || !isWritten(piece.outline)) return;
  const { text } = piece.outline;
  const [from, to] = mode.range ?? [text.length, text.length];
  writeText(store, piece.id, text.slice(0, from) + characters + text.slice(to));
  const at = from + characters.length;
  store.getState().setMode({ ...mode, range: [at, at] });
}

/** Ends writing: words that were left empty go. */
export function stopWriting(store: SessionStore): void {
  const session = store.getState();
  const { mode } = session;
  if (mode.kind !== 'write') return;
  store.getState().pick();
  const [piece] = settledPieces(session, [mode.id]);
  if (piece && isWritten(piece.outline) && piece.outline.text.trim() === '') {
    session.perform(removePieces(session.surfaceId, [piece]), { selection: [] });
  }
}

/** The stretch of a piece's words that is marked while it is written; all of them without. */
export function marked({ mode }: Session, { id, outline }: Piece): [number, number] | null {
  if (mode.kind !== 'write' || mode.id !== id || outline.kind !== 'glyphs' || !mode.range) return null;
  const [from, to] = [Math.min(...mode.range), Math.max(...mode.range)];
  return from === to || (from === 0 && to === outline.text.length) ? null : [from, to];
}

/** How what is marked, or all of it, is written. */
export function writtenNow(
  session: Session,
  piece: Piece & { outline: GlyphsOutline },
): Lettering & { ink?: string } {
  const { outline, material } = piece;
  const range = marked(session, piece);
  const own = range ? ownOf(outline, ...range) : {};
  return {
    ...letteringOf(outline),
    ...(material.kind === 'ink' ? { ink: material.colour } : {}),
    ...own,
    size: outline.size * (own.scale ?? 1),
  };
}

/** Writes what is marked, or all of it, otherwise. */
export function letter(store: SessionStore, id: string, { size, ...to }: Own & { size?: number }): void {
  const session = store.getState();
  const piece = wordsOf(session, id);
  if (!piece) return;
  const { outline } = piece;
  const range = marked(session, piece);
  if (range) {
    const scale =
      size === undefined ? {} : { scale: Math.min(MOST_SCALE, Math.max(LEAST_SCALE, size / outline.size)) };
    return rewrite(store, id, { spans: spanned(outline.spans ?? [], ...range, { ...to, ...scale }) });
  }
  const { ink, ...letters } = to;
  const cleared = Object.fromEntries(Object.keys(to).map((key) => [key, undefined]));
  const spans = spanned(outline.spans ?? [], 0, outline.text.length, cleared);
  const change: Partial<GlyphsOutline> = {
    ...letters,
    ...(size === undefined ? {} : { size: Math.min(LARGEST_LETTERS, Math.max(SMALLEST_LETTERS, size)) }),
    ...(outline.spans ? { spans } : {}),
  };
  const wanted = wantedSize(rewritten(outline, change), piece.placement, session.typesetter);
  const edits = [writeWords(session.surfaceId, piece, change, wanted)];
  if (ink) edits.push(changeMaterial(session.surfaceId, [piece], { kind: 'ink', colour: ink }));
  session.perform({
    ...together(ink ? `ink ${piece.role}` : edits[0]!.label, edits),
    merge: edits.at(-1)!.merge,
  });
}

/** Writes what is marked, or all words that are selected, bold or italic, or no longer so; passed over where the family cannot. */
export function toggleFace(store: SessionStore, face: 'bold' | 'italic'): void {
  const session = store.getState();
  for (const piece of settledPieces(session, session.selection)) {
    const { id, outline, placement } = piece;
    if (placement.locked || session.readOnly) continue;
    if (outline.kind === 'running' && facesOf(outline.family)[face])
      changeRunning(store, id, { [face]: !outline[face] || undefined });
    if (outline.kind !== 'glyphs') continue;
    const now = writtenNow(session, { ...piece, outline });
    if (!facesOf(now.family)[face]) continue;
    const on = !now[face];
    // Of a part it is said only where the rest is otherwise.
    const said = marked(session, piece) ? (on === Boolean(outline[face]) ? undefined : on) : on || undefined;
    letter(store, id, { [face]: said });
  }
}

/** Makes the letters as large as the box allows; false if no size fits. */
export function fitLetters(store: SessionStore, id: string): boolean {
  const session = store.getState();
  const piece = wordsOf(session, id);
  if (!piece) return false;
  const size = fittingLetters(piece.outline, piece.placement, session.typesetter);
  if (size === null) return false;
  const { width, height } = piece.placement;
  session.perform({
    ...writeWords(session.surfaceId, piece, { size, wrap: true, fixed: true }, { width, height }),
    label: 'fit letters to their box',
    merge: undefined,
  });
  return true;
}

/** Makes words as large as the page’s safe area allows where they reach beyond it, and brings them there; false if none fit. */
export function fitOnPage(store: SessionStore, id: string): boolean {
  const session = store.getState();
  const piece = wordsOf(session, id);
  if (!piece) return false;
  const room = safeArea(page(session));
  const { outline, placement } = piece;
  // A turned box takes more of the page than it is wide.
  const extent = extentOf(placement);
  const share = Math.min(1, room.width / extent.width, room.height / extent.height);
  const box = { width: placement.width * share, height: placement.height * share };
  const size = share < 1 ? fittingLetters(outline, box, session.typesetter) : outline.size;
  if (size === null) return false;
  const to = { size, wrap: outline.wrap || share < 1, ...(outline.fixed ? { fixed: true } : {}) };
  const wanted = outline.fixed ? box : wantedSize(rewritten(outline, to), box, session.typesetter);
  const write = writeWords(session.surfaceId, piece, to, wanted);
  const fits = extentOf({ ...placement, ...wanted });
  const within = (middle: number, long: number, from: number, side: number): number =>
    Math.min(from + side - long / 2, Math.max(from + long / 2, middle));
  const place = placePiece(session.surfaceId, piece, 'place', {
    x: within(placement.x, fits.width, room.x, room.width),
    y: within(placement.y, fits.height, room.y, room.height),
  });
  session.perform(together('fit words on the page', [write, place]));
  return true;
}

/** Makes the box as tall as its words; it keeps that height or goes on growing with them, as before. */
export function fitBox(store: SessionStore, id: string): void {
  const session = store.getState();
  const piece = wordsOf(session, id);
  if (!piece) return;
  const { width } = piece.placement;
  const height = fittingHeight(piece.outline, piece.placement, session.typesetter);
  session.perform({
    ...writeWords(session.surfaceId, piece, {}, { width, height }),
    label: 'fit box to its words',
    merge: undefined,
  });
}

/** Whether the box keeps its height. */
export function fixBox(store: SessionStore, id: string, fixed: boolean): void {
  const session = store.getState();
  const piece = wordsOf(session, id);
  if (!piece) return;
  const to = { fixed: fixed || undefined, wrap: true };
  const { width, height } = piece.placement;
  const wanted = fixed
    ? { width, height }
    : wantedSize(rewritten(piece.outline, to), { width, height }, session.typesetter);
  session.perform({
    ...writeWords(session.surfaceId, piece, to, wanted),
    label: fixed ? 'keep the box as it is' : 'let the box grow',
  });
}

/** Gives the marked paragraphs, or all, a list's marks, or takes them away. */
export function toggleList(store: SessionStore, id: string, kind: 'points' | 'numbers'): void {
  const session = store.getState();
  const piece = wordsOf(session, id);
  if (!piece) return;
  const { text } = piece.outline;
  const [from, to] = marked(session, piece) ?? [0, text.length];
  let at = 0;
  let number = 0;
  const paragraphs = text.split('\n').map((paragraph) => {
    const inside = at + paragraph.length >= from && at <= to;
    at += paragraph.length + 1;
    return { paragraph, inside, mark: listMark(paragraph) };
  });
  const wanted = (mark: string) => (kind === 'points' ? mark.startsWith('•') : /^\d/.test(mark));
  const on = !paragraphs.every(({ inside, mark, paragraph }) => !inside || !paragraph.trim() || wanted(mark));
  const next = paragraphs.map(({ paragraph, inside, mark }) => {
    if (!inside || !paragraph.trim()) return paragraph;
    number++;
    const bare = paragraph.slice(mark.length);
    return on ? `${kind === 'points' ? '•' : `${number}.`} ${bare}` : bare;
  });
  // Only the marks are changed: what stands after them stays as it is written.
  let begin = 0;
  const changes = paragraphs.flatMap(({ paragraph, mark: old }, i) => {
    const from = begin;
    begin += paragraph.length + 1;
    const bare = paragraph.slice(old.length);
    const kept = next[i] === paragraph;
    return kept
      ? []
      : [{ from, to: from + old.length, by: next[i]!.slice(0, next[i]!.length - bare.length) }];
  });
  const anew = writtenAnew(piece.outline.spans ?? [], text, changes);
  rewrite(store, id, {
    text: anew.text,
    ...(piece.outline.spans ? { spans: anew.spans } : {}),
    ...(on ? { wrap: true } : {}),
  });
}

/** What is known of who and when on this page, in words; empty if nothing is. */
const captionNow = ({ history: { project }, surfaceId }: Session): string =>
  captionText(
    whoAndWhen(
      project,
      project.surfaces.find(({ id }) => id === surfaceId)!,
    ),
    navigator.language,
  );

/** Sets a small caption of who and when in a quiet corner; with nothing known, an empty one to be written in. */
export function layCaption(store: SessionStore): void {
  const session = store.getState();
  if (session.readOnly) return;
  const { project } = session.history;
  const text = captionNow(session);
  const piece = captionPiece(newId(), project, page(session), text || 'Who and when', session.typesetter);
  session.perform(
    { ...layPieces(session.surfaceId, [piece], []), label: 'set who and when' },
    {
      selection: [piece.id],
      ...(text ? {} : { mode: { kind: 'write', id: piece.id, range: [0, 'Who and when'.length] } as const }),
    },
  );
}

/** Opens words to be written on, with all of them before the caret. */
export function writeOn(store: SessionStore, piece: Piece): void {
  const long = isWritten(piece.outline) ? piece.outline.text.length : 0;
  store.getState().setMode({ kind: 'write', id: piece.id, range: [long, long] });
}

/** What is written on a piece. */
export const wordsOn = (piece: Piece): string => textsOf(piece)[0] ?? '';

/** The family of what is selected or marked. */
export function familyNow(session: Session): string | undefined {
  const [piece] = settledPieces(session, session.selection);
  if (!piece) return undefined;
  if (piece.outline.kind === 'glyphs')
    return writtenNow(session, piece as Piece & { outline: GlyphsOutline }).family;
  return piece.outline.kind === 'running' ? piece.outline.family : undefined;
}

/** Gives what is marked, or all words that are selected, a family. */
export function giveFamily(store: SessionStore, family: string): void {
  const session = store.getState();
  for (const { id, outline, placement } of settledPieces(session, session.selection)) {
    if (placement.locked) continue;
    if (outline.kind === 'glyphs') letter(store, id, { family, features: undefined });
    if (outline.kind === 'running') changeRunning(store, id, { family, features: undefined });
  }
}
