'use client';
/** Typing on the page: the words themselves are drawn as always; a hidden field takes the keys, a caret shows where. */
import {
  useLayoutEffect,
  useMemo,
  useRef,
  type CSSProperties,
  type MouseEvent as ReactMouseEvent,
  type PointerEvent as ReactPointerEvent,
  type RefObject,
} from 'react';
import { centredBox, outset } from '@/core/geometry/box';
import { apply, compose, invert } from '@/core/geometry/matrix';
import { isWritten } from '@/core/piece/outline';
import { MOST_RUNNING_LETTERS } from '@/core/piece/outline/running';
import { writtenOn } from '@/core/piece/outline/written';
import { placementMatrix } from '@/core/piece/placement/placement';
import { lackingIn } from '@/core/text/lacking';
import { listMark } from '@/core/text/lists';
import { aroundFields } from '@/core/text/spans';
import { lives, MOST_LETTERS } from '@/core/text/style';
import { leftOut, stopWriting, toggleFace, writeText } from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { settledPieces } from '@/features/table/session';
import { focusStage } from '@/features/table/stage/focus';
import { toPage, viewMatrix } from '@/features/table/stage/hand/view';
import { WritingMarks } from '@/features/table/tasks/words/WritingMarks';

const NOTHING = [0, 0] as const;

/** The word round a place. */
function wordRound(text: string, at: number): [number, number] {
  const letters = /[\p{L}\p{N}\p{M}’']/u;
  let [from, to] = [at, at];
  while (from > 0 && letters.test(text[from - 1]!)) from--;
  while (to < text.length && letters.test(text[to]!)) to++;
  return [from, to];
}

/**
 * A list goes on with its next mark, and ends where an item is left empty; false if no list is written. Done in the field itself:
 * who types goes on at once.
 */
function goOnWithList(area: HTMLTextAreaElement): boolean {
  const { value: text, selectionStart: at } = area;
  if (at !== area.selectionEnd) return false;
  const begin = text.lastIndexOf('\n', at - 1) + 1;
  const paragraph = text.slice(begin, at);
  const sign = listMark(paragraph);
  if (!sign) return false;
  const bare = paragraph === sign;
  const number = /^(\d+)(.*)$/.exec(sign);
  const next = bare ? '' : `\n${number ? `${Number(number[1]) + 1}${number[2]}` : sign}`;
  area.setRangeText(next, bare ? begin : at, at, 'end');
  return true;
}

/** What lives is taken away whole, and is marked before: nobody means half of it. The one that this key would take a letter of. */
function fieldMet<T extends { start: number; end: number }>(
  fields: readonly T[],
  [from, to]: readonly [number, number],
  key: string,
): T | undefined {
  if (from !== to || (key !== 'Backspace' && key !== 'Delete')) return undefined;
  return fields.find(({ start, end }) => (key === 'Backspace' ? end === to : start === to));
}

const UNSEEN: CSSProperties = {
  position: 'absolute',
  left: 0,
  top: 0,
  width: 1,
  height: 1,
  opacity: 0,
  border: 0,
  padding: 0,
  resize: 'none',
  pointerEvents: 'none',
};

export function Writing() {
  const id = useSession(({ mode }) => (mode.kind === 'write' ? mode.id : null));
  return id && <WritingOn key={id} id={id} />;
}

/** Gives the field the keys, and keeps its caret and what is marked in it where the session has them. */
function useCaret(
  field: RefObject<HTMLTextAreaElement | null>,
  id: string,
  range: readonly [number, number],
  text: string,
): void {
  const { store } = useRoom();
  // Before the screen is painted: an input method wants a field for the very first key.
  useLayoutEffect(() => {
    const area = field.current;
    const { mode } = store.getState();
    const end = area?.value.length ?? 0;
    const [from, to] = (mode.kind === 'write' && mode.range) || [end, end];
    area?.focus({ preventScroll: true });
    area?.setSelectionRange(from, to);
    store.getState().setMode({ kind: 'write', id, range: [from, to] });
  }, [field, id, store]);

  // What is put in by other ways than the field's, and taken back, leaves its caret elsewhere.
  const [from, to] = range;
  useLayoutEffect(() => {
    const area = field.current;
    if (!area || range === NOTHING) return;
    if (area.selectionStart !== from || area.selectionEnd !== to) area.setSelectionRange(from, to);
  }, [field, range, from, to, text]);
}

function WritingOn({ id }: { id: string }) {
  const { store } = useRoom();
  const view = useSession((session) => session.view);
  const typesetter = useSession((session) => session.typesetter);
  const piece = useSession((session) => settledPieces(session, [id])[0]);
  const field = useRef<HTMLTextAreaElement>(null);
  /** Where a hand that marks words pressed down; null while none does. */
  const pressed = useRef<number | null>(null);
  const range = useSession(({ mode }) => (mode.kind === 'write' ? (mode.range ?? NOTHING) : NOTHING));
  const setRange = (from: number, to: number) => {
    const { mode, setMode } = store.getState();
    // What is marked may be told after the last key, which ended it.
    if (mode.kind === 'write' && mode.id === id) setMode({ ...mode, range: [from, to] });
  };

  const written = useMemo(
    () => (piece && isWritten(piece.outline) ? writtenOn(piece.outline, piece.placement, typesetter) : null),
    [piece, typesetter],
  );

  useCaret(field, id, range, piece && isWritten(piece.outline) ? piece.outline.text : '');

  if (!piece || !isWritten(piece.outline) || !written) return null;
  const { outline, placement } = piece;
  const [from, to] = range;
  const running = outline.kind === 'running';
  const most = running ? MOST_RUNNING_LETTERS : MOST_LETTERS;
  const own = compose(viewMatrix(view), placementMatrix(placement));
  const fields = (outline.spans ?? []).filter(lives);

  const noteRange = () => {
    const area = field.current;
    if (!area) return;
    const { selectionStart, selectionEnd } = area;
    if (selectionStart === from && selectionEnd === to) return;
    // Living words are stood before or after, and marked whole.
    const within = fields.find(({ start, end }) => start < selectionStart && selectionStart < end);
    const [start, end] =
      selectionStart === selectionEnd && within
        ? Array<number>(2).fill(selectionStart > to ? within.end : within.start)
        : aroundFields(fields, selectionStart, selectionEnd);
    if (start !== selectionStart || end !== selectionEnd)
      area.setSelectionRange(start!, end!, area.selectionDirection);
    setRange(start!, end!);
  };
  const marksField = (key: string): boolean => {
    const met = fieldMet(fields, range, key);
    if (met) mark(met.start, met.end);
    return Boolean(met);
  };
  const mark = (start: number, end: number) => {
    field.current?.focus({ preventScroll: true });
    field.current?.setSelectionRange(
      Math.min(start, end),
      Math.max(start, end),
      start <= end ? 'forward' : 'backward',
    );
    noteRange();
  };
  const placeOf = (event: ReactPointerEvent | ReactMouseEvent) => {
    const box = event.currentTarget.closest('svg')!.getBoundingClientRect();
    const onPage = toPage(view, { x: event.clientX - box.left, y: event.clientY - box.top });
    return written.indexAt(apply(invert(placementMatrix(placement)), onPage));
  };
  const goOn = (): boolean => {
    if (!goOnWithList(field.current!)) return false;
    writeText(store, id, field.current!.value);
    noteRange();
    return true;
  };

  return (
    <>
      <svg style={{ position: 'absolute', inset: 0, width: '100%', height: '100%', pointerEvents: 'none' }}>
        <g transform={`matrix(${own.join(' ')})`}>
          <rect
            {...outset(centredBox(placement), running ? outline.size + outline.gap : 0)}
            fill="transparent"
            style={{ pointerEvents: 'all', cursor: 'text' }}
            onPointerDown={(event) => {
              event.stopPropagation();
              event.preventDefault();
              event.currentTarget.setPointerCapture(event.pointerId);
              const at = placeOf(event);
              pressed.current = event.shiftKey ? from : at;
              mark(pressed.current, at);
            }}
            onPointerMove={(event) => pressed.current !== null && mark(pressed.current, placeOf(event))}
            onPointerUp={() => (pressed.current = null)}
            onDoubleClick={(event) => {
              event.stopPropagation();
              mark(...wordRound(outline.text, placeOf(event)));
            }}
          />
          <WritingMarks
            written={written}
            range={range}
            fields={fields}
            lacking={lackingIn(outline.text, outline, typesetter)}
            zoom={view.zoom}
          />
        </g>
      </svg>
      <textarea
        ref={field}
        aria-label={
          running
            ? 'Words along the outline'
            : `${piece.role === 'title' ? 'Title' : piece.role === 'caption' ? 'Caption' : 'Journaling'} words`
        }
        value={outline.text}
        maxLength={most}
        onChange={(event) => {
          const { value, selectionStart, selectionEnd } = event.target;
          writeText(store, id, value);
          setRange(selectionStart, selectionEnd);
        }}
        onPaste={(event) => {
          const more = event.clipboardData.getData('text/plain').length - (to - from);
          const left = outline.text.length + more - most;
          if (left > 0) store.getState().refuse(leftOut(left, most));
        }}
        onSelect={noteRange}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && !running && goOn()) event.preventDefault();
          if (marksField(event.key)) event.preventDefault();
          if (event.key === 'Escape' || (event.key === 'Enter' && running)) {
            event.preventDefault();
            stopWriting(store);
            focusStage();
          }
          const held = (event.ctrlKey || event.metaKey) && event.key.toLowerCase();
          if (held === 'z') {
            event.preventDefault();
            store.getState()[event.shiftKey ? 'redo' : 'undo']();
          }
          if (held === 'b' || held === 'i') {
            event.preventDefault();
            toggleFace(store, held === 'b' ? 'bold' : 'italic');
          }
        }}
        onBlur={(event) => {
          // Leaving for the panel keeps writing; leaving for the page ends it.
          const to = event.relatedTarget as HTMLElement | null;
          if (!to?.closest('[data-about], [role="dialog"], .MuiPopover-root')) stopWriting(store);
        }}
        spellCheck
        style={UNSEEN}
      />
    </>
  );
}
