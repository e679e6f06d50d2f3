'use client';
/** A cutting mat with what lies on it: parts in their paper, lines by what is done along them, and where the checks found something. */
import Box from '@mui/material/Box';
import { useId } from 'react';
import { apply } from '@/core/geometry/matrix';
import type { Mat, Place } from '@/core/cutter/model';
import type { Unit } from '@/core/units/lengths';
import { NearPicture } from '@/features/table/parts/NearPicture';
import { useSession } from '@/features/table/room/context';
import { COLOURS, pathOf } from '@/features/table/tasks/cutter/drawn';

interface Props {
  mat: Mat;
  unit: Unit;
  thumbs: ReadonlyMap<string, string>;
  /** What lies on it printed, before it is cut; nothing where papers are. */
  sheet: Pick<Place, 'size' | 'printed'> | undefined;
  /** What was found on it, with the number it has in the list. */
  found: readonly { number: number; at: { x: number; y: number }; shown: boolean }[];
  picked: string | null;
  label: string;
  onPick: (piece: string | null) => void;
}

/** Points between the lines of a mat. */
const GRID = { in: 72, mm: 720 / 25.4 };

export function OnMat({ mat, unit, thumbs, sheet, found, picked, label, onPick }: Props) {
  const id = useId();
  const project = useSession((session) => session.history.project);
  const { width, height } = mat.size;
  const step = unit === 'in' ? GRID.in : GRID.mm;
  const paper = mat.paper.asset && thumbs.get(mat.paper.asset);
  return (
    <Box
      component="svg"
      role="img"
      aria-label={label}
      viewBox={`-6 -6 ${width + 12} ${height + 12}`}
      sx={{ display: 'block', width: '100%', height: '100%' }}
      onClick={() => onPick(null)}
    >
      <defs>
        <pattern id={`${id}grid`} width={step} height={step} patternUnits="userSpaceOnUse">
          <path
            d={`M${step} 0H0V${step}`}
            fill="none"
            stroke="#ffffff"
            strokeOpacity={0.22}
            strokeWidth={1}
          />
        </pattern>
        {paper && (
          <pattern id={`${id}paper`} width={width} height={width} patternUnits="userSpaceOnUse">
            <image href={paper} width={width} height={width} preserveAspectRatio="xMidYMid slice" />
          </pattern>
        )}
      </defs>
      <rect x={-6} y={-6} width={width + 12} height={height + 12} rx={10} fill={COLOURS.mat} />
      <rect
        width={width}
        height={height}
        fill={`url(#${CSS.escape(id)}grid)`}
        stroke="#ffffff"
        strokeOpacity={0.5}
      />
      {sheet && <rect {...sheet.size} fill="#ffffff" />}
      {sheet?.printed.map(({ surface, map }) => {
        const page = project.surfaces.find(({ id }) => id === surface);
        return page ? (
          <g key={`${surface} ${map.join()}`} transform={`matrix(${map.join(' ')})`}>
            <foreignObject width={page.width} height={page.height}>
              <Box
                sx={{ '& canvas': { width: '100% !important', height: '100% !important', display: 'block' } }}
              >
                <NearPicture project={project} surface={page} side={Math.max(page.width, page.height)} />
              </Box>
            </foreignObject>
          </g>
        ) : null;
      })}
      {mat.marks.map((box) => (
        <rect key={`${box.x} ${box.y}`} {...box} fill="#111111" />
      ))}
      {mat.laid.map(({ part, map }) =>
        part.rings.length ? (
          <path
            key={part.id}
            d={part.rings
              .map((ring) =>
                pathOf(
                  ring.map((p) => apply(map, p)),
                  true,
                ),
              )
              .join('')}
            fillRule="evenodd"
            fill={sheet ? 'transparent' : paper ? `url(#${CSS.escape(id)}paper)` : mat.paper.colour}
            stroke={picked !== null && part.pieces.includes(picked) ? '#ffffff' : 'none'}
            strokeWidth={6}
            style={{ cursor: 'pointer' }}
            onClick={(event) => {
              event.stopPropagation();
              onPick(part.pieces[0] ?? null);
            }}
          >
            <title>{part.name}</title>
          </path>
        ) : null,
      )}
      <g fill="none" strokeLinejoin="round" pointerEvents="none">
        {mat.lines.map(({ points, closed, doing, ink }, i) => {
          const d = pathOf(points, closed);
          return (
            <g key={i}>
              <path
                d={d}
                stroke="#ffffff"
                strokeOpacity={0.75}
                strokeWidth={3}
                vectorEffect="non-scaling-stroke"
              />
              <path
                d={d}
                stroke={ink ?? COLOURS[doing]}
                strokeWidth={1.4}
                strokeDasharray={doing === 'score' ? '6 4' : undefined}
                vectorEffect="non-scaling-stroke"
              />
            </g>
          );
        })}
      </g>
      {found.map(({ number, at, shown }) => (
        <g key={number} pointerEvents="none" transform={`translate(${at.x} ${at.y}) scale(${width / 640})`}>
          {shown && <circle r={26} fill="none" stroke="#8a5a00" strokeWidth={3} strokeDasharray="5 4" />}
          <circle r={13} fill="#8a5a00" stroke="#ffffff" strokeWidth={2} />
          <text fill="#ffffff" fontSize={15} fontWeight={700} textAnchor="middle" dominantBaseline="central">
            {number}
          </text>
        </g>
      ))}
    </Box>
  );
}
