'use client';
/** Guides as fine pencil lines, each with a tab on the ruler by which it is moved. */
import { memo, type KeyboardEvent, type PointerEvent as ReactPointerEvent } from 'react';
import { setGuides } from '@/core/project/edits/page';
import type { Guide } from '@/core/project/model';
import { formatLength, toPoints, type Unit } from '@/core/units/lengths';
import { useRoom } from '@/features/table/room/context';
import { RULER } from '@/features/table/stage/hand/view';
import type { Session } from '@/features/table/session';

interface Props {
  /** On every page. */
  everywhere: readonly Guide[];
  /** On this one alone. */
  own: readonly Guide[];
  surfaceId: string;
  view: Session['view'];
  stage: Session['stage'];
  unit: Unit;
  locked: boolean;
  onHold: (event: ReactPointerEvent, of: string | null, index: number) => void;
}

/** What an arrow key moves a guide. */
const STEP = toPoints(0.01, 'in');

export const Guides = memo(function Guides(props: Props) {
  const { everywhere, own, surfaceId } = props;
  return (
    <g data-testid="guides">
      {everywhere.map((guide, i) => (
        <GuideLine key={`every ${i}`} {...props} guide={guide} of={null} index={i} all={everywhere} />
      ))}
      {own.map((guide, i) => (
        <GuideLine key={`own ${i}`} {...props} guide={guide} of={surfaceId} index={i} all={own} />
      ))}
    </g>
  );
});

interface LineProps extends Props {
  guide: Guide;
  of: string | null;
  index: number;
  all: readonly Guide[];
}

function GuideLine({ guide, of, index, all, view, stage, unit, locked, onHold }: LineProps) {
  const { store } = useRoom();
  const { axis, at } = guide;
  const place = Math.round(view[axis] + at * view.zoom) + 0.5;
  if (place < RULER || place > (axis === 'x' ? stage.width : stage.height)) return null;
  const upright = axis === 'x';
  const key = (event: KeyboardEvent) => {
    const by = { ArrowLeft: -1, ArrowUp: -1, ArrowRight: 1, ArrowDown: 1 }[event.key];
    if (locked || (by === undefined && event.key !== 'Delete')) return;
    event.preventDefault();
    event.stopPropagation();
    const next =
      by === undefined
        ? all.filter((_, i) => i !== index)
        : all.map((one, i) =>
            i === index ? { ...one, at: one.at + by * STEP * (event.shiftKey ? 10 : 1) } : one,
          );
    store
      .getState()
      .perform(
        setGuides(of, by === undefined ? 'take guide away' : 'move guide', next, `guide ${of} ${index}`),
      );
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
        strokeDasharray={of === null ? undefined : '7 4'}
        opacity={0.9}
      />
      <g
        role="slider"
        tabIndex={locked ? -1 : 0}
        aria-label={`${upright ? 'Upright' : 'Level'} guide${of === null ? '' : ' of this page'}`}
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
