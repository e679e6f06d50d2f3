'use client';
/** Sheets of paper with what lies on them, and the cuts that take it out, numbered in their order. */
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Cut } from '@/core/packing/cuts';
import type { Plan, Plans } from '@/core/packing/sheets';
import type { Pinned, SheetProduct } from '@/core/product/sheet';
import { edgesOf, LaidCard } from '@/features/table/tasks/sheet/LaidCard';
import type { Project } from '@/core/project/model';

/** CSS pixels of a sheet's longer side. */
const SIDE = 520;

interface Pinning {
  disabled: boolean;
  /** The one that was laid last. */
  last: number | null;
  /** Where those that are laid by hand lie now; what is packed may be a moment older. */
  pinned: readonly Pinned[] | undefined;
  /** Lays a copy by hand: one more, or another place for one that is laid so. */
  onPin: (at: Pinned, before: number | undefined) => void;
  onUnpin: (pin: number) => void;
}

interface Props extends Pinning {
  project: Project;
  packed: Plans;
  cutting: boolean;
}

export function OnPaper({ project, packed: { of, plans }, cutting, ...pinning }: Props) {
  return (
    <Box
      component="ol"
      aria-label="Sheets of paper"
      sx={{
        m: 0,
        p: 0,
        listStyle: 'none',
        display: 'flex',
        flexWrap: 'wrap',
        gap: 3,
        justifyContent: 'center',
      }}
    >
      {plans.map((plan, i) => (
        <li key={i}>
          <Paper project={project} product={of} plan={plan} cutting={cutting} {...pinning} />
          <Typography variant="body2" sx={{ textAlign: 'center', mt: 1 }}>
            Sheet {i + 1}: {plan.laid.length} {plan.laid.length === 1 ? 'card' : 'cards'}
            {plan.cuts && `, ${plan.cuts.length} ${plan.cuts.length === 1 ? 'cut' : 'cuts'}`}
          </Typography>
        </li>
      ))}
    </Box>
  );
}

function Paper({
  project,
  product,
  plan: { laid, cuts, sheet },
  cutting,
  disabled,
  last,
  pinned,
  onPin,
  onUnpin,
}: Pinning & {
  project: Project;
  product: SheetProduct;
  plan: Plan;
  cutting: boolean;
}) {
  const { width, height, lost } = product;
  const scale = SIDE / Math.max(width, height);
  return (
    <Box
      sx={{
        ...{ position: 'relative', overflow: 'hidden', bgcolor: '#fff' },
        boxShadow: '0 1px 2px rgba(20,14,8,0.4), 1px 4px 9px rgba(20,14,8,0.25)',
      }}
      style={{ width: width * scale, height: height * scale }}
    >
      <Box
        aria-hidden
        sx={{ position: 'absolute', border: '1px dashed rgba(60,56,66,0.35)', pointerEvents: 'none' }}
        style={{
          left: lost.left * scale,
          top: lost.top * scale,
          right: lost.right * scale,
          bottom: lost.bottom * scale,
        }}
      />
      {laid.map((each, i) => (
        <LaidCard
          key={each.pin === undefined ? `free ${i}` : `pin ${each.pin}`}
          {...{ project, scale, disabled, onPin, onUnpin }}
          each={{ ...each, ...placeOf(pinned?.[each.pin ?? -1], sheet) }}
          held={each.pin !== undefined && each.pin === last}
          sheet={sheet}
          edges={edgesOf(
            product,
            laid.filter((other) => other !== each),
          )}
        />
      ))}
      {cutting && cuts && <Cuts cuts={cuts} width={width} height={height} scale={scale} />}
    </Box>
  );
}

/** Where a copy is pinned on a sheet. */
const placeOf = (pin: Pinned | undefined, sheet: number) =>
  pin?.sheet === sheet ? { x: pin.x, y: pin.y } : {};

/** CSS pixels of a number's round. */
const ROUND = 9;

function Cuts({
  cuts,
  width,
  height,
  scale,
}: {
  cuts: readonly Cut[];
  width: number;
  height: number;
  scale: number;
}) {
  return (
    <svg
      width={width * scale}
      height={height * scale}
      viewBox={`0 0 ${width * scale} ${height * scale}`}
      style={{ position: 'absolute', inset: 0, pointerEvents: 'none', zIndex: 1 }}
      role="img"
      aria-label={`${cuts.length} cuts, in their order`}
    >
      {cuts.map(({ axis, at, from, to }, i) => {
        const [a, b, c] = [at * scale, from * scale, to * scale];
        const line = axis === 'x' ? { x1: a, x2: a, y1: b, y2: c } : { x1: b, x2: c, y1: a, y2: a };
        // Numbers stand at the beginning of their cut, where it enters the paper.
        const [x, y] = axis === 'x' ? [a, b + ROUND + 2] : [b + 2.8 * ROUND, a];
        return (
          <g key={i}>
            <line {...line} stroke="#fff" strokeWidth={3} opacity={0.7} />
            <line {...line} stroke="#8f2740" strokeWidth={1.25} strokeDasharray="6 4" />
            <circle cx={x} cy={y} r={ROUND} fill="#8f2740" />
            <text
              x={x}
              y={y}
              fill="#fff"
              fontSize={11}
              fontWeight={600}
              textAnchor="middle"
              dominantBaseline="central"
            >
              {i + 1}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
