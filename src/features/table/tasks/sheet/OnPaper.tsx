'use client';
/** Sheets of paper with what lies on them, and the cuts that take it out, numbered in their order. */
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Cut } from '@/core/packing/cuts';
import type { Plan, Plans } from '@/core/packing/sheets';
import type { SheetProduct } from '@/core/product/sheet';
import type { Project } from '@/core/project/model';
import { NearPicture } from '@/features/table/parts/NearPicture';

/** CSS pixels of a sheet's longer side. */
const SIDE = 520;

interface Props {
  project: Project;
  packed: Plans;
  cutting: boolean;
}

export function OnPaper({ project, packed: { of, plans }, cutting }: Props) {
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
          <Paper project={project} product={of} plan={plan} cutting={cutting} />
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
  product: { width, height, lost },
  plan: { laid, cuts },
  cutting,
}: {
  project: Project;
  product: SheetProduct;
  plan: Plan;
  cutting: boolean;
}) {
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
      {laid.map((each, i) => {
        const surface = project.surfaces.find(({ part }) => part === each.id);
        if (!surface) return null;
        const size = { width: surface.width * scale, height: surface.height * scale };
        return (
          <Box
            key={i}
            sx={{ position: 'absolute', transformOrigin: '0 0', outline: '1px solid rgba(60,56,66,0.25)' }}
            style={{
              ...size,
              left: (each.x + (each.turned ? each.width : 0)) * scale,
              top: each.y * scale,
              transform: each.turned ? 'rotate(90deg)' : undefined,
            }}
          >
            <NearPicture project={project} surface={surface} side={Math.max(size.width, size.height)} />
          </Box>
        );
      })}
      {cutting && cuts && <Cuts cuts={cuts} width={width} height={height} scale={scale} />}
    </Box>
  );
}

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
      style={{ position: 'absolute', inset: 0 }}
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
