'use client';
/** Guides as fine pencil lines, each with a tab on the ruler by which it is moved. */
import { memo, type KeyboardEvent, type PointerEvent as ReactPointerEvent } from 'react';
import { setGuides } from '@/core/project/edits/page';
import { placeWhereItLives, type SeenGuide } from '@/core/page/guides';
import { surfaceOf } from '@/core/project/model';
import { formatLength, toPoints, type Unit } from '@/core/units/lengths';
import { useRoom } from '@/features/table/room/context';
import { RULER } from '@/features/table/stage/hand/view';
import type { Session } from '@/features/table/session';

interface Props {
  seen: readonly SeenGuide[];
  view: Session['view'];
  stage: Session['stage'];
  unit: Unit;
  locked: boolean;
  onHold: (event: ReactPointerEvent, of: string | null, index: number) => void;
}

/** What an arrow key moves a guide. */
const STEP = toPoints(0.01, 'in');

export const Guides = memo(function Guides(props: Props) {
  return (
    <g data-testid="guides">
      {props.seen.map((guide) => (
        <GuideLine key={`${guide.of ?? 'every'} ${guide.index}`} {...props} guide={guide} />
      ))}
    </g>
  );
});

interface LineProps extends Props {
  guide: SeenGuide;
}

/** How it is dashed: whole on every page, in dashes on this one, in dashes and dots through the paper. */
const dashes = ({ of, through }: SeenGuide): string | undefined =>
  of === null ? undefined : through ? '9 4 2 4' : '7 4';

function GuideLine({ guide, view, stage, unit, locked, onHold }: LineProps) {
  const { store } = useRoom();
  const { axis, at, of, index, through } = guide;
  const place = Math.round(view[axis] + at * view.zoom) + 0.5;
  if (place < RULER || place > (axis === 'x' ? stage.width : stage.height)) return null;
  const upright = axis === 'x';
  const key = (event: KeyboardEvent) => {
    const by = { ArrowLeft: -1, ArrowUp: -1, ArrowRight: 1, ArrowDown: 1 }[event.key];
    if (locked || (by === undefined && event.key !== 'Delete')) return;
    event.preventDefault();
    event.stopPropagation();
    const { history, surfaceId, perform } = store.getState();
    const { project } = history;
    const { guides: all } = of === null ? project : surfaceOf(project, of);
    const moved = at + (by ?? 0) * STEP * (event.shiftKey ? 10 : 1);
    const there = placeWhereItLives(project, surfaceOf(project, surfaceId), guide, moved);
    const next =
      by === undefined
        ? all.filter((_, i) => i !== index)
        : all.map((one, i) => (i === index ? { ...one, at: there } : one));
    // Steps of a key run into one; what is taken away is a step of its own.
    if (by === undefined) perform(setGuides(of, 'take guide away', next));
    else perform(setGuides(of, 'move guide', next, `guide ${of} ${index}`));
  };
  return (
    <g>
      <path
        d={upright ? `M${place} ${RULER}V${stage.height}` : `M${RULER} ${place}H${stage.width}`}
        stroke="#fffdf6"
        strokeWidth={1.6}
        opacity={0.55}
      />
      <path
        d={upright ? `M${place} ${RULER}V${stage.height}` : `M${RULER} ${place}H${stage.width}`}
        stroke="#3d6c9a"
        strokeWidth={1}
        strokeDasharray={dashes(guide)}
        opacity={0.9}
      />
      <g
        role="slider"
        tabIndex={locked ? -1 : 0}
        aria-label={`${upright ? 'Upright' : 'Level'} guide${of === null ? '' : through ? ' through the paper' : ' of this page'}`}
        aria-valuenow={Math.round(at * 100) / 100}
        aria-valuetext={formatLength(at, unit, true)}
        aria-orientation={upright ? 'horizontal' : 'vertical'}
        data-own-keys
        style={{ pointerEvents: 'all', cursor: locked ? 'default' : upright ? 'ew-resize' : 'ns-resize' }}
        onPointerDown={(event) => onHold(event, of, index)}
        onKeyDown={key}
      >
        <rect
          x={upright ? place - 9 : 0}
          y={upright ? 0 : place - 9}
          width={upright ? 18 : RULER}
          height={upright ? RULER : 18}
          fill="transparent"
        />
        <path
          d={
            upright
              ? `M${place - 6} 3h12v${RULER - 10}l-6 6l-6 -6Z`
              : `M3 ${place - 6}v12h${RULER - 10}l6 -6l-6 -6Z`
          }
          fill="#3d6c9a"
          stroke="#fffdf6"
          strokeWidth={1}
        />
      </g>
    </g>
  );
}
