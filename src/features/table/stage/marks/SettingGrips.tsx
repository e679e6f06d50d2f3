'use client';
/** Small diamonds for what a punch lets one set, and the handles of shadows laid by hand. */
import type { PointerEvent as ReactPointerEvent } from 'react';
import { apply, compose, translation, type Matrix, type Point } from '@/core/geometry/matrix';
import { punchOf } from '@/core/piece/outline/punches';
import { startOf } from '@/core/piece/outline/running';
import { valuesFor } from '@/core/piece/outline/punches/punch';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix } from '@/core/piece/placement/placement';
import { useSession } from '@/features/table/room/context';
import type { Grip } from '@/features/table/stage/hand/drags';
import { shadowRoot } from '@/features/table/stage/hand/handleDrags';

interface Props {
  piece: Piece;
  view: Matrix;
  onGrip: (event: ReactPointerEvent, grip: Grip) => void;
}

export function SettingGrips({ piece, view, onGrip }: Props) {
  const { outline, placement, finish } = piece;
  const lies = compose(view, placementMatrix(placement));
  const fromCorner = compose(lies, translation(-placement.width / 2, -placement.height / 2));
  const punch = outline.kind === 'punch' ? punchOf(outline.punch) : null;
  const value = outline.kind === 'punch' && punch ? valuesFor(punch, placement, outline.settings) : null;
  const typesetter = useSession((session) => session.typesetter);
  const start = outline.kind === 'running' ? startOf(outline, placement, typesetter) : null;
  return (
    <g>
      {start && (
        <Diamond
          name="Where the words begin"
          at={apply(lies, start)}
          onPointerDown={(event) => onGrip(event, { kind: 'start' })}
        />
      )}
      {punch?.settings.map(
        ({ id, name, grip }) =>
          grip && (
            <Diamond
              key={id}
              name={name}
              at={apply(fromCorner, grip.at(placement, value!(id)))}
              onPointerDown={(event) => onGrip(event, { kind: 'setting', id })}
            />
          ),
      )}
      {finish.shadows?.map(({ x, y }, index) => {
        const root = shadowRoot(piece, index);
        const middle = apply(view, root);
        const at = apply(view, { x: root.x + x, y: root.y + y });
        return (
          <g
            key={index}
            style={{ cursor: 'move' }}
            data-grip={`shadow-${index + 1}`}
            onPointerDown={(event) => onGrip(event, { kind: 'shadow', index })}
          >
            <title>{`Shadow ${index + 1}: drag it`}</title>
            <path d={`M${middle.x} ${middle.y}L${at.x} ${at.y}`} stroke="#fffdf6" strokeWidth={3} />
            <path
              d={`M${middle.x} ${middle.y}L${at.x} ${at.y}`}
              stroke="#25232a"
              strokeWidth={1.2}
              strokeDasharray="2 3"
            />
            <circle cx={at.x} cy={at.y} r={15} fill="transparent" />
            <circle cx={at.x} cy={at.y} r={6.5} fill="#3b3330" stroke="#fffdf6" strokeWidth={1.8} />
          </g>
        );
      })}
    </g>
  );
}

interface DiamondProps {
  name: string;
  at: Point;
  onPointerDown: (event: ReactPointerEvent) => void;
}

const Diamond = ({ name, at: { x, y }, onPointerDown }: DiamondProps) => (
  <g style={{ cursor: 'pointer' }} data-grip={name} onPointerDown={onPointerDown}>
    <title>{name}</title>
    <circle cx={x} cy={y} r={14} fill="transparent" />
    <path
      d={`M${x} ${y - 6.5}L${x + 6.5} ${y}L${x} ${y + 6.5}L${x - 6.5} ${y}Z`}
      fill="#2f6f68"
      stroke="#fffdf6"
      strokeWidth={1.8}
    />
  </g>
);
