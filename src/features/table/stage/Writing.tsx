'use client';
/** Typing on the page: the words themselves are drawn as always; a hidden field takes the keys, a caret shows where. */
import { useEffect, useRef, useState } from 'react';
import { apply, compose, invert, translation } from '@/core/geometry/matrix';
import { setGlyphs } from '@/core/piece/outline/glyphs';
import { placementMatrix } from '@/core/piece/placement/placement';
import type { SetLine } from '@/core/text/typesetter';
import { rewrite, stopWriting } from '@/features/table/room/actions';
import { useRoom, useSession } from '@/features/table/room/context';
import { settledPieces } from '@/features/table/room/session';
import { toPage, viewMatrix } from '@/features/table/stage/view';

const lineAt = (lines: readonly SetLine[], index: number): SetLine =>
  lines.findLast((line) => index >= line.start) ?? lines[0]!;

const xAt = (line: SetLine, index: number): number =>
  line.carets[Math.min(line.carets.length - 1, Math.max(0, index - line.start))] ?? 0;

export function Writing({ id }: { id: string }) {
  const { store } = useRoom();
  const view = useSession((session) => session.view);
  const typesetter = useSession((session) => session.typesetter);
  const piece = useSession((session) => settledPieces(session, [id])[0]);
  const field = useRef<HTMLTextAreaElement>(null);
  const [range, setRange] = useState<[number, number]>([0, 0]);

  useEffect(() => {
    const area = field.current;
    area?.focus({ preventScroll: true });
    area?.setSelectionRange(area.value.length, area.value.length);
  }, [id]);

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
    if (area) setRange([area.selectionStart, area.selectionEnd]);
  };
  const placeCaret = (clientX: number, clientY: number, box: DOMRect) => {
    const page = toPage(view, { x: clientX - box.left, y: clientY - box.top });
    const inText = apply(
      invert(compose(placementMatrix(placement), translation(-placement.width / 2, -placement.height / 2))),
      page,
    );
    const line = set.lines.findLast((candidate) => inText.y >= candidate.top) ?? set.lines[0]!;
    let best = line.start;
    line.carets.forEach((x, i) => {
      if (Math.abs(x - inText.x) < Math.abs(xAt(line, best) - inText.x)) best = line.start + i;
    });
    field.current?.focus();
    field.current?.setSelectionRange(best, best);
    noteRange();
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
              placeCaret(
                event.clientX,
                event.clientY,
                event.currentTarget.ownerSVGElement!.getBoundingClientRect(),
              );
            }}
          />
          {chosen.map(({ line, start, end }) => (
            <rect
              key={line.start}
              x={xAt(line, start)}
              y={line.top}
              width={Math.max(2, xAt(line, end) - xAt(line, start))}
              height={line.height}
              fill="#2f6f68"
              opacity={0.3}
            />
          ))}
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
        aria-label={piece.role === 'title' ? 'Title words' : 'Journaling words'}
        value={outline.text}
        maxLength={20_000}
        onChange={(event) => {
          rewrite(store, id, { text: event.target.value });
          requestAnimationFrame(noteRange);
        }}
        onSelect={noteRange}
        onKeyDown={(event) => {
          if (event.key === 'Escape') {
            event.preventDefault();
            stopWriting(store);
          }
          if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z') {
            event.preventDefault();
            if (event.shiftKey) store.getState().redo();
            else store.getState().undo();
          }
        }}
        onBlur={(event) => {
          // Leaving for the panel keeps writing; leaving for the page ends it.
          if (!(event.relatedTarget as HTMLElement | null)?.closest('[data-about]')) stopWriting(store);
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
