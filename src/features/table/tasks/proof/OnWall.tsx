/** What a paper on a wall hangs by: wire through its holes, nails, pins; drawn over the page, in its points. */
import { boxOfPoints, type Box, type Size } from '@/core/geometry/box';
import type { Point } from '@/core/geometry/matrix';
import { pathBounds, type Path } from '@/core/geometry/path';
import type { Bound } from '@/core/product/product';

/** Plaster in the light of a window at the upper left. */
export const WALL = 'radial-gradient(130% 110% at 22% 0%, #ebe9e1, #cfcdc4 62%, #bcbab1)';
/** The page's own shadow on it, and the edges of so many leaves beneath. */
export const wallShadow = (leaves: number): string =>
  [
    ...Array.from({ length: Math.min(3, leaves) }, (_, i) => [
      `${i + 1}px ${2 * (i + 1)}px 0 #f6f3ea`,
      `${i + 1.5}px ${2 * (i + 1) + 0.75}px 0 rgba(60,50,40,0.35)`,
    ]).flat(),
    '3px 5px 7px rgba(50,42,34,0.32)',
    '10px 22px 34px rgba(50,42,34,0.28)',
  ].join(', ');

/** Points. */
const [LOOP, ABOVE, NAIL, PIN_IN] = [1.7, 11, 4.5, 14];

export function OnWall({ page, bound }: { page: Size; bound: readonly Bound[] }) {
  const edges = bound.map((each) => ({
    ...each,
    at: edgeOf(each.box, page),
    middles: each.holes.map(holeAt),
  }));
  const wired = edges.filter(({ holes }) => holes.length > 2);
  const hung = wired.find(({ at }) => at === 'top');
  const nails = edges
    .filter(({ holes, at }) => holes.length <= 2 && at === 'top')
    .flatMap(({ middles }) => middles);
  const pins = hung || nails.length ? [] : [PIN_IN, page.width - PIN_IN].map((x) => ({ x, y: PIN_IN }));
  const half = page.width / 2;
  return (
    <svg
      aria-hidden
      data-testid="on-wall"
      viewBox={`0 0 ${page.width} ${page.height}`}
      style={{ position: 'absolute', inset: 0, width: '100%', height: '100%', overflow: 'visible' }}
    >
      <defs>
        <linearGradient id="wall-wire" x1="0" x2="1">
          <stop offset="0" stopColor="#5d5f63" />
          <stop offset="0.45" stopColor="#e9eaec" />
          <stop offset="1" stopColor="#77797d" />
        </linearGradient>
        <radialGradient id="wall-nail" cx="0.36" cy="0.3" r="0.8">
          <stop offset="0" stopColor="#fbfaf7" />
          <stop offset="0.4" stopColor="#a8a7a4" />
          <stop offset="1" stopColor="#47464a" />
        </radialGradient>
      </defs>
      {hung && (
        <path
          d={`M${half - 46} -7H${half - 11}C${half - 5} -7 ${half - 5} -24 ${half} -24S${half + 5} -7 ${half + 11} -7H${half + 46}`}
          {...{ fill: 'none', stroke: '#6d6f73', strokeWidth: 1.8, strokeLinecap: 'round' }}
        />
      )}
      {wired.flatMap(({ at, box, holes, middles }) =>
        holes.map((hole, i) => {
          const { x, y } = middles[i]!;
          return (
            <g key={`${x} ${y}`}>
              <Hole box={pathBounds(hole)} />
              {[-LOOP, LOOP].map((by) => (
                <Loop key={by} box={loopAt({ x, y }, by, at, box)} />
              ))}
            </g>
          );
        }),
      )}
      {nails.map(({ x, y }) => (
        <Nail key={x} {...{ x, y }} />
      ))}
      {hung && <Nail x={half} y={-22} />}
      {pins.map(({ x, y }) => (
        <Nail key={x} {...{ x, y }} />
      ))}
    </svg>
  );
}

type Edge = 'top' | 'left' | 'bottom' | 'above' | 'below';

/** Where a binding lies: at an edge of the page, or on one side of a line across it. */
function edgeOf(box: Box, page: Size): Edge {
  const near = (a: number, b: number) => Math.abs(a - b) < 0.5;
  if (box.height > box.width) return 'left';
  if (near(box.y, 0)) return 'top';
  if (near(box.y + box.height, page.height)) return 'bottom';
  return box.y + box.height / 2 < page.height / 2 ? 'above' : 'below';
}

/** A wire's loop, from a hole over the edge. */
function loopAt({ x, y }: Point, by: number, at: Edge, { y: top, height }: Box): Box {
  if (at === 'left')
    return boxOfPoints([
      { x: -ABOVE, y: y + by - 0.6 },
      { x, y: y + by + 0.6 },
    ]);
  const to = { top: -ABOVE, bottom: top + height + ABOVE, above: top + height, below: top }[at];
  return boxOfPoints([
    { x: x + by - 0.6, y },
    { x: x + by + 0.6, y: to },
  ]);
}

const holeAt = (hole: Path): Point => {
  const { x, y, width, height } = pathBounds(hole);
  return { x: x + width / 2, y: y + height / 2 };
};

const Hole = ({ box: { x, y, width, height } }: { box: Box }) => (
  <rect {...{ x, y, width, height, rx: 1.5, fill: '#3a352f', fillOpacity: 0.6 }} />
);

const Loop = ({ box: { x, y, width, height } }: { box: Box }) => (
  <rect
    {...{ x, y, width, height, rx: 0.6, fill: 'url(#wall-wire)', stroke: '#3f4043', strokeWidth: 0.25 }}
  />
);

const Nail = ({ x, y }: Point) => (
  <g>
    <ellipse cx={x + 2.5} cy={y + 4} rx={NAIL} ry={NAIL * 0.8} fill="#2a241e" fillOpacity={0.3} />
    <circle cx={x} cy={y} r={NAIL} fill="url(#wall-nail)" />
  </g>
);
