'use client';
/** Typing on the page: the words themselves are drawn as always; a hidden field takes the keys, a caret shows where. */
import {
  useEffect,
  useRef,
  type MouseEvent as ReactMouseEvent,
  type PointerEvent as ReactPointerEvent,
} from 'react';
import { apply, compose, invert, translation, type Point } from '@/core/geometry/matrix';
import { setGlyphs } from '@/core/piece/outline/glyphs';
import { placementMatrix } from '@/core/piece/placement/placement';
import { lackingIn } from '@/core/text/lacking';
import { listMark } from '@/core/text/lists';
import { MOST_LETTERS } from '@/core/text/style';
import type { SetLine } from '@/core/text/typesetter';
import { rewrite, stopWriting, toggleFace } from '@/features/table/room/actions';
import { useRoom, useSession } from '@/features/table/room/context';
import { settledPieces } from '@/features/table/room/session';
import { toPage, viewMatrix } from '@/features/table/stage/view';

const NOTHING = [0, 0] as const;

const lineAt = (lines: readonly SetLine[], index: number): SetLine =>
  lines.findLast((line) => index >= line.start) ?? lines[0]!;

/** The place between two characters that is nearest to a point of the box. */
function indexAt(lines: readonly SetLine[], { x, y }: Point): number {
  // Of several columns the one whose lines are nearest.
  const away = (line: SetLine) => {
    const [left, right] = [Math.min(...line.carets), Math.max(...line.carets)];
    return Math.max(0, left - x, x - right);
  };
  const columns = [...new Set(lines.map(({ column }) => column))];
  const column = columns.reduce((best, each) => {
    const least = (of: number) => Math.min(...lines.filter((line) => line.column === of).map(away));
    return least(each) < least(best) ? each : best;
  }, columns[0]!);
  const own = lines.filter((line) => line.column === column);
  const line = own.findLast((candidate) => y >= candidate.top) ?? own[0]!;
  let best = 0;
  line.carets.forEach((caret, i) => {
    if (Math.abs(caret - x) < Math.abs(line.carets[best]! - x)) best = i;
  });
  return line.start + best;
}

/** The word round a place. */
function wordRound(text: string, at: number): [number, number] {
  const letters = /[\p{L}\p{N}\p{M}’']/u;
  let [from, to] = [at, at];
  while (from > 0 && letters.test(text[from - 1]!)) from--;
  while (to < text.length && letters.test(text[to]!)) to++;
  return [from, to];
}

const xAt = (line: SetLine, index: number): number =>
  line.carets[Math.min(line.carets.length - 1, Math.max(0, index - line.start))] ?? 0;

export function Writing({ id }: { id: string }) {
  const { store } = useRoom();
  const view = useSession((session) => session.view);
  const typesetter = useSession((session) => session.typesetter);
  const piece = useSession((session) => settledPieces(session, [id])[0]);
  const field = useRef<HTMLTextAreaElement>(null);
  /** Where a hand that marks words pressed down; null while none does. */
  const pressed = useRef<number | null>(null);
  const range = useSession(({ mode }) => (mode.kind === 'write' ? (mode.range ?? NOTHING) : NOTHING));
  const setRange = (from: number, to: number) =>
    store.setState({ mode: { kind: 'write', id, range: [from, to] } });

  useEffect(() => {
    const area = field.current;
    const { mode } = store.getState();
    const [from, to] = (mode.kind === 'write' && mode.range) || [
      area?.value.length ?? 0,
      area?.value.length ?? 0,
    ];
    area?.focus({ preventScroll: true });
    area?.setSelectionRange(from, to);
    store.setState({ mode: { kind: 'write', id, range: [from, to] } });
  }, [id, store]);

  if (!piece || piece.outline.kind !== 'glyphs') return null;
  const { outline, placement } = piece;
  const set = setGlyphs(outline, placement, typesetter);
  const own = compose(
    viewMatrix(view),
    placementMatrix(placement),
    translation(-placement.width / 2, -placement.height / 2),
  );
  const [from, to] = range;
  const caretLine = lineAt(set.lines, to);
  const caretX = xAt(caretLine, to);
  const chosen = set.lines
    .map((line) => ({ line, start: Math.max(from, line.start), end: Math.min(to, line.end) }))
    .filter(({ line, start, end }) => from !== to && end >= start && from <= line.end && to >= line.start);

  const noteRange = () => {
    const area = field.current;
    if (area && (area.selectionStart !== from || area.selectionEnd !== to))
      setRange(area.selectionStart, area.selectionEnd);
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
    const inText = apply(
      invert(compose(placementMatrix(placement), translation(-placement.width / 2, -placement.height / 2))),
      onPage,
    );
    return indexAt(set.lines, inText);
  };
  /** A list goes on with its next mark, and ends where an item is left empty. */
  const goOn = (): boolean => {
    if (from !== to) return false;
    const begin = outline.text.lastIndexOf('\n', from - 1) + 1;
    const paragraph = outline.text.slice(begin, from);
    const sign = listMark(paragraph);
    if (!sign) return false;
    const bare = paragraph === sign;
    const number = /^(\d+)(.*)$/.exec(sign);
    const next = bare ? '' : `\n${number ? `${Number(number[1]) + 1}${number[2]}` : sign}`;
    const start = bare ? begin : from;
    rewrite(store, id, { text: outline.text.slice(0, start) + next + outline.text.slice(from) });
    requestAnimationFrame(() => mark(start + next.length, start + next.length));
    return true;
  };

  return (
    <>
      <svg style={{ position: 'absolute', inset: 0, width: '100%', height: '100%', pointerEvents: 'none' }}>
        <g transform={`matrix(${own.join(' ')})`}>
          <rect
            width={placement.width}
            height={placement.height}
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
          {chosen.map(({ line, start, end }) => (
            <rect
              key={line.start}
              x={Math.min(xAt(line, start), xAt(line, end))}
              y={line.top}
              width={Math.max(2, Math.abs(xAt(line, end) - xAt(line, start)))}
              height={line.height}
              fill="#2f6f68"
              opacity={0.3}
            />
          ))}
          {lackingIn(outline.text, outline, typesetter).map(({ start, end }) => {
            const line = lineAt(set.lines, start);
            const [left, right] = [xAt(line, start), xAt(line, end)].sort((a, b) => a - b) as [
              number,
              number,
            ];
            const y = line.top + line.height * 0.92;
            return (
              <path
                key={start}
                className="lacking"
                d={`M${left} ${y}H${right}`}
                fill="none"
                stroke="#b26a00"
                strokeWidth={2 / view.zoom}
                strokeDasharray={`0 ${3.4 / view.zoom}`}
                strokeLinecap="round"
              />
            );
          })}
          <rect
            className="caret"
            x={caretX - 0.75 / view.zoom}
            y={caretLine.top + caretLine.height * 0.08}
            width={1.8 / view.zoom}
            height={caretLine.height * 0.84}
            fill="#9e2b45"
          >
            <animate attributeName="opacity" values="1;1;0;0" dur="1.1s" repeatCount="indefinite" />
          </rect>
        </g>
      </svg>
      <textarea
        ref={field}
        aria-label={`${piece.role === 'title' ? 'Title' : piece.role === 'caption' ? 'Caption' : 'Journaling'} words`}
        value={outline.text}
        maxLength={MOST_LETTERS}
        onChange={(event) => {
          rewrite(store, id, { text: event.target.value });
          requestAnimationFrame(noteRange);
        }}
        onPaste={(event) => {
          const more = event.clipboardData.getData('text/plain').length - (to - from);
          const left = outline.text.length + more - MOST_LETTERS;
          if (left > 0)
            store.setState({
              refused: {
                why: `One piece of words holds up to ${MOST_LETTERS.toLocaleString('en')} letters; the last ${left.toLocaleString('en')} of what was pasted were left out.`,
              },
            });
        }}
        onSelect={noteRange}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && goOn()) event.preventDefault();
          if (event.key === 'Escape') {
            event.preventDefault();
            stopWriting(store);
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
