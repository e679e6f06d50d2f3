'use client';

import Box from '@mui/material/Box';
import { toolsFor } from '@/core/page/outlines';
import { extentOfAll } from '@/core/page/extent';
import { pathData, transformPath } from '@/core/geometry/path';
import { withBleed } from '@/core/geometry/sides';
import { Guides } from '@/features/table/stage/marks/Guides';
import { Overflows } from '@/features/table/stage/marks/Overflows';
import { SizeTag } from '@/features/table/stage/marks/SizeTag';
import { SwapPads } from '@/features/table/stage/marks/SwapPads';
import { Snaps } from '@/features/table/stage/marks/Snaps';
import { memo, useMemo, useRef, useState, type ComponentProps, type DragEvent } from 'react';
import type { Size } from '@/core/geometry/box';
import type { Surface } from '@/core/project/model';
import { Selection, type SelectionProps } from '@/features/table/stage/marks/Selection';
import { Grid, Rulers } from '@/features/table/stage/marks/Rulers';
import { useGestures } from '@/features/table/stage/hand/useGestures';
import { usePainter } from '@/features/table/stage/paint/usePainter';
import { Verbs } from '@/features/table/stage/marks/Verbs';
import { toPage, viewMatrix } from '@/features/table/stage/hand/view';
import { useMeasured, useWheel } from '@/features/table/stage/useFrame';
import type { Overlay, OverlayProps } from '@/features/table/stage/overlay';
import { OVERLAYS } from '@/features/table/tasks/overlays';
import { BoundEdge } from '@/features/table/stage/marks/BoundEdge';
import { Folds } from '@/features/table/stage/marks/Folds';
import { Zones } from '@/features/table/stage/marks/Zones';
import { useRoom, useSession } from '@/features/table/room/context';
import { guidesOn } from '@/core/page/guides';
import { otherFace } from '@/core/product';
import {
  selectedPieces,
  shownProject,
  shownSurface,
  type Session,
  type View,
} from '@/features/table/session';
import { isCarried, readCarried, type Carried } from '@/features/table/parts/carry';
import type { Spot } from '@/core/project/create';
import { useShallow } from 'zustand/react/shallow';

export interface StageProps {
  /** Something from the workbox was dropped at a spot of the page; client coordinates say where a menu may open. */
  onDropped: (carried: Carried, spot: Spot, client: { left: number; top: number }) => void;
}

/** What tasks lay over the page in one layer. */
function Overlays({ layer, onGrip }: OverlayProps & Pick<Overlay, 'layer'>) {
  const shown = useSession(
    useShallow((session) => OVERLAYS.filter((one) => one.layer === layer && one.when(session))),
  );
  return shown.map(({ name, Shown }) => <Shown key={name} onGrip={onGrip} />);
}

export const Stage = memo(function Stage({ onDropped }: StageProps) {
  const { store } = useRoom();
  const frame = useRef<HTMLDivElement>(null);
  const [moving, setMoving] = useState<readonly string[]>([]);
  const gestures = useGestures(store, setMoving);
  const layers = usePainter(moving);
  const onGrip: OverlayProps['onGrip'] = (event, grip) => gestures.grip(event, grip, frame.current!);
  const { view, stage, mode, show, readOnly } = useSession(
    useShallow(({ view, stage, mode, show, readOnly }) => ({ view, stage, mode, show, readOnly })),
  );
  const surface = useSession(
    useShallow((session) => {
      const { name, width, height, bleed, safe, ground } = shownSurface(session);
      return { name, width, height, bleed, safe, ground };
    }),
  );
  const unit = useSession((session) => shownProject(session).unit);
  const drawing = useSession((session) => session.sheet === 'draw' || session.sheet === 'lines');
  const locked = useSession((session) => shownSurface(session).locked);
  useMeasured(store, frame);
  useWheel(store, frame);

  const drop = (event: DragEvent) => {
    const carried = readCarried(event.dataTransfer);
    if (!carried) return;
    event.preventDefault();
    event.stopPropagation();
    const box = frame.current!.getBoundingClientRect();
    const spot = toPage(store.getState().view, { x: event.clientX - box.left, y: event.clientY - box.top });
    onDropped(carried, spot, { left: event.clientX, top: event.clientY });
  };

  return (
    <Box
      ref={frame}
      role="region"
      aria-label={`${surface.name}: the page on the table`}
      data-testid="stage"
      data-part
      tabIndex={0}
      onPointerDown={gestures.press}
      onPointerMove={(event) => gestures.move(event, event.currentTarget)}
      onPointerUp={(event) => gestures.release(event, event.currentTarget)}
      onPointerLeave={() => store.getState().point(null)}
      onPointerCancel={gestures.lost}
      onLostPointerCapture={gestures.lost}
      onDoubleClick={gestures.again}
      onDragOver={(event) => isCarried(event.dataTransfer) && event.preventDefault()}
      onDrop={drop}
      sx={{
        position: 'relative',
        overflow: 'hidden',
        bgcolor: 'table.main',
        touchAction: 'none',
        userSelect: 'none',
        minWidth: 0,
        minHeight: 0,
      }}
    >
      {stage.width > 0 && (
        <Box
          sx={{
            position: 'absolute',
            left: view.x,
            top: view.y,
            width: surface.width * view.zoom,
            height: surface.height * view.zoom,
            bgcolor: surface.ground,
            boxShadow: '0 1px 3px rgba(20,14,8,0.4), 3px 6px 16px rgba(20,14,8,0.28)',
          }}
        />
      )}
      {layers}
      <svg
        width={stage.width}
        height={stage.height}
        style={{ position: 'absolute', inset: 0, display: 'block', pointerEvents: 'none' }}
      >
        <PageLines surface={surface} view={view} stage={stage} show={show} />
      </svg>
      <Overlays layer="beneath" onGrip={onGrip} />
      <svg
        width={stage.width}
        height={stage.height}
        style={{ position: 'absolute', inset: 0, display: 'block', pointerEvents: 'none' }}
      >
        <g style={{ pointerEvents: 'all' }}>
          <Chosen
            worked={mode.kind === 'reshape'}
            moving={moving.length > 0}
            handles={mode.kind === 'pick' && !drawing && !readOnly && !locked}
            onGrip={onGrip}
          />
        </g>
      </svg>
      <svg
        width={stage.width}
        height={stage.height}
        style={{ position: 'absolute', inset: 0, display: 'block', pointerEvents: 'none' }}
      >
        <Held unit={unit} />
        <Sought />
        <Overlays layer="marks" onGrip={onGrip} />
      </svg>
      <Overlays layer="above" onGrip={onGrip} />
      <svg
        width={stage.width}
        height={stage.height}
        style={{ position: 'absolute', inset: 0, display: 'block', pointerEvents: 'none' }}
      >
        {stage.width > 0 && (
          <Measures
            {...{ view, stage }}
            width={surface.width}
            height={surface.height}
            withGuides={show.guides}
            onHold={(event, of, index) => gestures.holdGuide(event, of, index, frame.current!)}
          />
        )}
      </svg>
      {moving.length === 0 && show.verbs && !readOnly && !locked && <ChosenVerbs />}
      <Overflows />
      <Overlays layer="top" onGrip={onGrip} />
    </Box>
  );
});

interface PageLinesProps {
  surface: PageSize;
  view: View;
  stage: Size;
  show: Session['show'];
}
type PageSize = Pick<Surface, 'width' | 'height' | 'bleed' | 'safe'>;

/** What is printed of the page and what is safe, where it is folded and bound, and the grid if it is wished for. */
function PageLines({ surface, view, stage, show }: PageLinesProps) {
  const unit = useSession((session) => shownProject(session).unit);
  const printed = withBleed(surface);
  return (
    <>
      <Zones
        width={surface.width}
        height={surface.height}
        bleed={surface.bleed}
        safe={surface.safe}
        view={view}
        stage={stage}
        always={show.zones}
      />
      {stage.width > 0 && <BoundEdge />}
      {stage.width > 0 && <Folds />}
      {show.grid && stage.width > 0 && (
        <>
          <clipPath id="off-page">
            <path
              clipRule="evenodd"
              d={`M0 0H${stage.width}V${stage.height}H0ZM${view.x + printed.x * view.zoom} ${view.y + printed.y * view.zoom}h${printed.width * view.zoom}v${printed.height * view.zoom}h${-printed.width * view.zoom}Z`}
            />
          </clipPath>
          <g clipPath="url(#off-page)">
            <Grid view={view} stage={stage} unit={unit} />
          </g>
        </>
      )}
    </>
  );
}

interface MeasuresProps extends Size {
  view: View;
  stage: Size;
  withGuides: boolean;
  onHold: ComponentProps<typeof Guides>['onHold'];
}

/** Rulers at the stage's sides, and guides. */
function Measures({ view, stage, width, height, withGuides, onHold }: MeasuresProps) {
  const { store } = useRoom();
  const unit = useSession((session) => shownProject(session).unit);
  const guides = useSession(
    useShallow((session) => {
      const project = shownProject(session);
      const now = shownSurface(session);
      return {
        every: project.guides,
        own: now.guides,
        behind: otherFace(project, now)?.surface.guides,
        locked: project.guidesLocked || session.readOnly,
      };
    }),
  );
  const seen = useMemo(
    () => (guides ? guidesOn(shownProject(store.getState()), shownSurface(store.getState())) : []),
    [guides, store],
  );

  return (
    <>
      <Rulers view={view} stage={stage} unit={unit} width={width} height={height} />
      {withGuides && (
        <Guides seen={seen} locked={guides.locked} view={view} stage={stage} unit={unit} onHold={onHold} />
      )}
    </>
  );
}

/** What is selected and what is rested upon: all that must be drawn anew in every frame of a drag. */
function Chosen({
  worked,
  moving,
  handles,
  onGrip,
}: Pick<SelectionProps, 'moving' | 'handles' | 'onGrip'> & { worked: boolean }) {
  const pieces = useSession(useShallow(selectedPieces));
  const view = useSession((session) => session.view);
  const hovered = useSession((session) =>
    shownSurface(session).pile.find((piece) => piece.id === session.hovered),
  );
  const { store } = useRoom();
  const around = useMemo(() => {
    const free = pieces.filter(({ placement }) => !placement.locked);
    if (pieces.length < 2 || !free.length) return null;
    const { history, typesetter } = store.getState();
    return extentOfAll(free, toolsFor(history.project, typesetter));
  }, [pieces, store]);
  return (
    <Selection
      pieces={worked ? [] : pieces}
      hovered={hovered}
      view={viewMatrix(view)}
      around={around}
      moving={moving}
      handles={handles}
      onGrip={onGrip}
    />
  );
}

/** An outline that is looked for, as a light and a dark thread over the picture. */
function Sought() {
  const sought = useSession((session) => session.sought);
  const view = useSession((session) => session.view);
  if (!sought) return null;
  const data = pathData(transformPath(viewMatrix(view), sought), 1);
  return (
    <g fill="none" strokeLinejoin="round" data-testid="sought">
      <path d={data} stroke="#fffdf6" strokeWidth={3} />
      <path d={data} stroke="#9e2b45" strokeWidth={1.6} />
    </g>
  );
}

/** What shows only while something is dragged. */
function Held({ unit }: { unit: 'in' | 'mm' }) {
  const { snapped, marquee, view } = useSession(
    useShallow(({ snapped, marquee, view }) => ({ snapped, marquee, view })),
  );
  return (
    <>
      <Snaps snapped={snapped} marquee={marquee} view={view} unit={unit} />
      <SwapPads />
      <SizeTag unit={unit} />
    </>
  );
}

function ChosenVerbs() {
  const pieces = useSession(useShallow(selectedPieces));
  const quiet = useSession(({ marquee, peeking, matching, compared, sheet, dropper }) =>
    Boolean(marquee ?? peeking ?? matching ?? compared ?? sheet ?? dropper),
  );
  return pieces.length && !quiet ? <Verbs pieces={pieces} /> : null;
}
