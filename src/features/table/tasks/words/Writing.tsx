'use client';
/** Typing on the page: the words themselves are drawn as always; a hidden field takes the keys, a caret shows where. */
import {
  useLayoutEffect,
  useMemo,
  useRef,
  type MouseEvent as ReactMouseEvent,
  type PointerEvent as ReactPointerEvent,
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

const NOTHING = [0, 0] as const;

/** The word round a place. */
function wordRound(text: string, at: number): [number, number] {
  const letters = /[\p{L}\p{N}\p{M}’']/u;
  let [from, to] = [at, at];
  while (from > 0 && letters.test(text[from - 1]!)) from--;
  while (to < text.length && letters.test(text[to]!)) to++;
  return [from, to];
}

export function Writing() {
  const id = useSession(({ mode }) => (mode.kind === 'write' ? mode.id : null));
  return id && <WritingOn key={id} id={id} />;
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
  const setRange = (from: number, to: number) =>
    store.getState().setMode({ kind: 'write', id, range: [from, to] });

  // Before the screen is painted: an input method wants a field for the very first key.
  useLayoutEffect(() => {
    const area = field.current;
    const { mode } = store.getState();
    const [from, to] = (mode.kind === 'write' && mode.range) || [
      area?.value.length ?? 0,
      area?.value.length ?? 0,
    ];
    area?.focus({ preventScroll: true });
    area?.setSelectionRange(from, to);
    store.getState().setMode({ kind: 'write', id, range: [from, to] });
  }, [id, store]);

  const written = useMemo(
    () => (piece && isWritten(piece.outline) ? writtenOn(piece.outline, piece.placement, typesetter) : null),
    [piece, typesetter],
  );

  if (!piece || !isWritten(piece.outline) || !written) return null;
  const { outline, placement } = piece;
  const running = outline.kind === 'running';
  const most = running ? MOST_RUNNING_LETTERS : MOST_LETTERS;
  const own = compose(viewMatrix(view), placementMatrix(placement));
  const [from, to] = range;
  const caret = written.caretAt(to);
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
  /** What lives is taken away whole, and is marked before: nobody means half of it. */
  const marksField = (key: string): boolean => {
    const met =
      from === to && fields.find(({ start, end }) => (key === 'Backspace' ? end === to : start === to));
    if (!met || (key !== 'Backspace' && key !== 'Delete')) return false;
    mark(met.start, met.end);
    return true;
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
  /** A list goes on with its next mark, and ends where an item is left empty. Done in the field itself: who types goes on at once. */
  const goOn = (): boolean => {
    const area = field.current!;
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
    writeText(store, id, area.value);
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
          {from !== to &&
            written
              .stretch(from, to)
              .map(({ frame, box }, i) => (
                <rect
                  key={i}
                  {...box}
                  transform={`matrix(${frame.join(' ')})`}
                  fill="#2f6f68"
                  opacity={0.3}
                />
              ))}
          {fields.flatMap(({ start, end }) =>
            written
              .stretch(start, end)
              .map(({ frame, box }, i) => (
                <path
                  key={`lives ${start} ${i}`}
                  data-living
                  transform={`matrix(${frame.join(' ')})`}
                  d={`M${box.x} ${box.y + box.height * 0.95}h${box.width}`}
                  stroke="#2f6f68"
                  strokeWidth={1.4 / view.zoom}
                />
              )),
          )}
          {lackingIn(outline.text, outline, typesetter).flatMap(({ start, end }) =>
            written
              .stretch(start, end)
              .map(({ frame, box }, i) => (
                <path
                  key={`${start} ${i}`}
                  transform={`matrix(${frame.join(' ')})`}
                  d={`M${box.x} ${box.y + box.height * 0.92}h${box.width}`}
                  fill="none"
                  stroke="#b26a00"
                  strokeWidth={2 / view.zoom}
                  strokeDasharray={`0 ${3.4 / view.zoom}`}
                  strokeLinecap="round"
                />
              )),
          )}
          <rect
            className="caret"
            transform={`matrix(${caret.frame.join(' ')})`}
            x={caret.box.x - 0.75 / view.zoom}
            y={caret.box.y + caret.box.height * 0.08}
            width={1.8 / view.zoom}
            height={caret.box.height * 0.84}
            fill="#9e2b45"
          >
            <animate attributeName="opacity" values="1;1;0;0" dur="1.1s" repeatCount="indefinite" />
          </rect>
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
          writeText(store, id, event.target.value);
          requestAnimationFrame(noteRange);
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
            if (event.shiftKey) store.getState().redo();
            else store.getState().undo();
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
        style={{
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
        }}
      />
    </>
  );
}
