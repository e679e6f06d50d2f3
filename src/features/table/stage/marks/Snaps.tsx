'use client';
/** Why something snapped: pinned lines and equal gaps, each said in a word; and the frame a hand is drawing. */
import type { Box } from '@/core/geometry/box';
import type { SnapReason } from '@/core/page/snap';
import { formatLength, type Unit } from '@/core/units/lengths';
import type { View } from '@/features/table/session';

interface Props {
  snapped: readonly SnapReason[];
  marquee: Box | null;
  view: View;
  unit: Unit;
}

const THREAD = '#2f6f68';

export function Snaps({ snapped, marquee, view, unit }: Props) {
  const x = (at: number) => Math.round(view.x + at * view.zoom) + 0.5;
  const y = (at: number) => Math.round(view.y + at * view.zoom) + 0.5;
  return (
    <g data-testid="snaps" pointerEvents="none">
      {snapped.map((reason, i) =>
        reason.gaps ? (
          reason.gaps.map(({ from, to, across }, k) => (
            <Gap
              key={`${i} ${k}`}
              axis={reason.axis}
              from={reason.axis === 'x' ? x(from) : y(from)}
              to={reason.axis === 'x' ? x(to) : y(to)}
              across={reason.axis === 'x' ? y(across) : x(across)}
              words={`${reason.what === 'equal size' ? 'same size, ' : ''}${formatLength(to - from, unit, true)}`}
            />
          ))
        ) : (
          <Line
            key={i}
            from={
              reason.axis === 'x'
                ? { x: x(reason.at), y: y(reason.from) }
                : { x: x(reason.from), y: y(reason.at) }
            }
            to={
              reason.axis === 'x'
                ? { x: x(reason.at), y: y(reason.to) }
                : { x: x(reason.to), y: y(reason.at) }
            }
            words={reason.what}
          />
        ),
      )}
      {marquee && (
        <g>
          <rect
            x={x(marquee.x)}
            y={y(marquee.y)}
            width={marquee.width * view.zoom}
            height={marquee.height * view.zoom}
            fill={THREAD}
            fillOpacity={0.1}
            stroke="#fffdf6"
            strokeWidth={3}
          />
          <rect
            x={x(marquee.x)}
            y={y(marquee.y)}
            width={marquee.width * view.zoom}
            height={marquee.height * view.zoom}
            fill="none"
            stroke={THREAD}
            strokeWidth={1.4}
            strokeDasharray="8 5"
          />
        </g>
      )}
    </g>
  );
}

function Line({
  from,
  to,
  words,
}: {
  from: { x: number; y: number };
  to: { x: number; y: number };
  words: string;
}) {
  return (
    <g>
      <path d={`M${from.x} ${from.y}L${to.x} ${to.y}`} stroke="#fffdf6" strokeWidth={3} opacity={0.8} />
      <path d={`M${from.x} ${from.y}L${to.x} ${to.y}`} stroke={THREAD} strokeWidth={1.4} />
      {[from, to].map((end, i) => (
        <g key={i}>
          <circle cx={end.x + 1} cy={end.y + 1.5} r={4.5} fill="#000" opacity={0.25} />
          <circle cx={end.x} cy={end.y} r={4.5} fill={THREAD} stroke="#fffdf6" strokeWidth={1.2} />
          <circle cx={end.x - 1.3} cy={end.y - 1.4} r={1.3} fill="#cfeae6" />
        </g>
      ))}
      <Said x={(from.x + to.x) / 2} y={(from.y + to.y) / 2} words={words} />
    </g>
  );
}

interface GapProps {
  axis: 'x' | 'y';
  from: number;
  to: number;
  across: number;
  words: string;
}

function Gap({ axis, from, to, across, words }: GapProps) {
  const d =
    axis === 'x'
      ? `M${from} ${across}H${to}M${from} ${across - 6}v12M${to} ${across - 6}v12`
      : `M${across} ${from}V${to}M${across - 6} ${from}h12M${across - 6} ${to}h12`;
  const middle = (from + to) / 2;
  return (
    <g fill="none">
      <path d={d} stroke="#fffdf6" strokeWidth={4} opacity={0.85} />
      <path d={d} stroke={THREAD} strokeWidth={1.6} />
      <Said x={axis === 'x' ? middle : across} y={axis === 'x' ? across : middle} words={words} />
    </g>
  );
}

/** A word on a paper label. */
export function Said({ x, y, words }: { x: number; y: number; words: string }) {
  const width = words.length * 7 + 12;
  return (
    <g>
      <rect
        x={x - width / 2}
        y={y - 24}
        width={width}
        height={18}
        rx={4}
        fill="#fbfaf7"
        stroke={THREAD}
        strokeWidth={0.8}
      />
      <text x={x} y={y - 10.5} fontSize={13} textAnchor="middle" fill="#25232a" fontFamily="inherit">
        {words}
      </text>
    </g>
  );
}
