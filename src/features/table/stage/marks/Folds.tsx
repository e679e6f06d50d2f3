'use client';
/** Where the paper is folded, what each panel is, and openings of other sides that are seen through it. */
import { useMemo } from 'react';
import { pathData, transformPath } from '@/core/geometry/path';
import { openingsSeen } from '@/core/page/marks';
import { toolsFor } from '@/core/page/outlines';
import { foldsOn, outlineOn, panelsOn } from '@/core/product';
import { panelNow } from '@/features/table/acts';
import { useSession } from '@/features/table/room/context';
import { shownProject, shownSurface } from '@/features/table/session';
import { viewMatrix } from '@/features/table/stage/hand/view';

const INK = '#24506b';
/** How far a panel's name stands above the paper, CSS pixels. */
const ABOVE = 10;

const around = (left: number, top: number, right: number, bottom: number): string =>
  `M${left} ${top}H${right}V${bottom}H${left}Z`;

export function Folds() {
  const project = useSession(shownProject);
  const surface = useSession(shownSurface);
  const view = useSession((session) => session.view);
  const typesetter = useSession((session) => session.typesetter);
  const folds = foldsOn(project, surface);
  const panels = panelsOn(project, surface);
  const openings = useMemo(
    () => openingsSeen(project, surface, toolsFor(project, typesetter)),
    [project, surface, typesetter],
  );
  const near = useSession((session) => panelNow(session)?.name);
  const close = panels.find(({ name }) => name === near);
  if (!folds.length && !openings.length) return null;
  const map = viewMatrix(view);
  const shape = outlineOn(project, surface);
  const paper = shape && pathData(transformPath(map, shape), 1);
  const [left, top] = [view.x, view.y];
  const [right, bottom] = [left + surface.width * view.zoom, top + surface.height * view.zoom];
  return (
    <g style={{ pointerEvents: 'none' }} data-testid="folds">
      {close && (
        <path
          data-testid="close-up"
          fillRule="evenodd"
          fill="#b7b4ae"
          opacity={0.72}
          d={`${around(left - 60, top - 60, right + 60, bottom + 60)}${around(
            left + close.box.x * view.zoom,
            top + close.box.y * view.zoom,
            left + (close.box.x + close.box.width) * view.zoom,
            top + (close.box.y + close.box.height) * view.zoom,
          )}`}
        />
      )}
      {paper && (
        <>
          <path
            fillRule="evenodd"
            fill="#b7b4ae"
            opacity={0.72}
            d={`${around(left - 60, top - 60, right + 60, bottom + 60)}${paper}`}
          />
          <path d={paper} fill="none" stroke={INK} strokeWidth={1.6} />
        </>
      )}
      {folds.map(({ axis, at, from, to }) => {
        const on = (axis === 'x' ? left : top) + at * view.zoom;
        const [begin, size] = axis === 'x' ? [top, surface.height] : [left, surface.width];
        const a = from === undefined ? begin - 8 : begin + from * view.zoom;
        const b = to === undefined ? begin + size * view.zoom + 8 : begin + to * view.zoom;
        const line = axis === 'x' ? `M${on} ${a}V${b}` : `M${a} ${on}H${b}`;
        return (
          <g key={`${axis} ${at}`} fill="none">
            <path d={line} stroke="#fffdf6" strokeWidth={2.4} opacity={0.7} />
            <path d={line} stroke={INK} strokeWidth={1.2} strokeDasharray="9 4 2 4" />
          </g>
        );
      })}
      {panels.map(({ name, box, turn }) => {
        const middle = left + (box.x + box.width / 2) * view.zoom;
        const above = top + box.y * view.zoom;
        return (
          <text
            key={name}
            x={middle}
            y={box.y > 0 ? above + 16 : above - ABOVE}
            textAnchor="middle"
            fontSize={14}
            fontWeight={600}
            fill={INK}
            stroke="#fffdf6"
            strokeWidth={3.5}
            paintOrder="stroke"
          >
            {turn ? `${name}, on its head` : name}
          </text>
        );
      })}
      {openings.map((path, i) => (
        <path
          key={i}
          d={pathData(transformPath(map, path), 1)}
          fill="none"
          stroke={INK}
          strokeWidth={1.2}
          strokeDasharray="3 3"
        />
      ))}
    </g>
  );
}
