'use client';
/** Pages as small true pictures at the table's left edge: turned to, dragged into another order, added, copied, locked, deleted. */
import Box from '@mui/material/Box';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { closestCenter, DndContext, type DragEndEvent } from '@dnd-kit/core';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { dragWords, useDragSensors } from '@/ui/useDragSensors';
import { CSS } from '@dnd-kit/utilities';
import {
  IconCircle,
  IconCircleCheckFilled,
  IconCircleHalf2,
  IconDots,
  IconHandStop,
  IconLock,
  IconPlus,
} from '@tabler/icons-react';
import {
  memo,
  useEffect,
  useRef,
  useState,
  type KeyboardEvent,
  type MouseEvent,
  type ReactNode,
} from 'react';
import { useShallow } from 'zustand/react/shallow';
import { stateOf, type PageState } from '@/core/calendar/state';
import { comesAndGoes, extrasOf, hasPages, heldOf, leafOf, rowsOf } from '@/core/product';
import { mayGo, movePage } from '@/core/project/edits/page';
import type { Surface } from '@/core/project/model';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { PagePicture } from '@/features/table/stage/paint/PagePicture';
import { tip } from '@/features/table/tasks';
import { RULER } from '@/features/table/stage/hand/view';

/** CSS pixels of a page's picture at its longer side. */
const SIDE = 44;
/** Enter turns to a page; Space picks it up. */
const TURNED_BY_ENTER = { start: ['Space'], cancel: ['Escape'], end: ['Space', 'Enter'] };
/** A page's picture follows what is done to it after this long, milliseconds: nothing waits for it. */
const AFTER = 500;

export const PageTabs = memo(function PageTabs() {
  const { store } = useRoom();
  const surfaces = useSession(useShallow(({ history }) => history.project.surfaces));
  const pages = useSession(({ history }) => hasPages(history.project));
  const rows = useSession(({ history }) => rowsOf(history.project.product));
  const free = pages || rows !== null;
  const holdable = useSession(({ history }) => heldOf(history.project) !== null);
  const current = useSession((session) => session.surfaceId);
  const product = useSession(({ history }) => history.project.product);
  const extras = extrasOf(product);
  const calendar = stateOf(product, surfaces[0]!) !== null;
  const along = useSession((session) => session.alongPages);
  const several = surfaces.filter(({ id }) => id === current || along.includes(id)).length;
  const these = several > 1 ? `these ${several} pages` : null;
  // Both sides of one paper lie together, papers a little apart.
  const beginsLeaf = (surface: Surface) =>
    !free && leafOf({ product, surfaces }, surface)?.face.id === surface.id;
  const readOnly = useSession((session) => session.readOnly);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const here = surfaces.find(({ id }) => id === current) ?? surfaces[0]!;
  const at = surfaces.indexOf(here);
  const goes = comesAndGoes({ product }, here);
  const canTo = (to: number) => goes && surfaces[to] !== undefined && comesAndGoes({ product }, surfaces[to]);
  const close = () => setAnchor(null);
  const does = (deed: () => unknown) => () => {
    close();
    deed();
  };
  const sensors = useDragSensors(TURNED_BY_ENTER);
  const dropped = ({ active, over }: DragEndEvent) => {
    const to = surfaces.findIndex(({ id }) => id === over?.id);
    if (over && to >= 0 && active.id !== over.id) store.getState().perform(movePage(String(active.id), to));
  };
  return (
    <Box
      component="nav"
      aria-label="Pages"
      data-own-keys
      sx={{
        position: 'absolute',
        left: RULER,
        top: RULER + 14,
        bottom: 16,
        display: 'flex',
        flexDirection: 'column',
        gap: 0.75,
        zIndex: 2,
        pointerEvents: 'none',
        '& button': { pointerEvents: 'auto' },
      }}
    >
      <Box
        sx={{
          ...{ display: 'flex', flexDirection: 'column', gap: 0.75, minHeight: 0 },
          ...{ overflowY: 'auto', overflowX: 'hidden', scrollbarWidth: 'none', pb: 0.5 },
        }}
      >
        <DndContext
          sensors={sensors}
          collisionDetection={closestCenter}
          accessibility={dragWords((id) => surfaces.find((each) => each.id === id)?.name ?? '')}
          onDragEnd={dropped}
        >
          <SortableContext
            items={surfaces.map(({ id }) => id)}
            strategy={verticalListSortingStrategy}
            disabled={!free || readOnly}
          >
            {surfaces.map((surface, index) => (
              <PageTab
                key={surface.id}
                surface={surface}
                number={pages ? index + 1 : null}
                fixed={!pages && !rows?.is(surface.part ?? '')}
                here={surface.id === current}
                along={along.includes(surface.id)}
                apart={index > 0 && beginsLeaf(surface)}
              />
            ))}
          </SortableContext>
        </DndContext>
      </Box>
      {!readOnly && (
        // At hand however many pages there are.
        <Box sx={{ display: 'grid', justifyItems: 'start', gap: 0.75, flexShrink: 0 }}>
          <Tab name="What to do with this page" onClick={(event) => setAnchor(event.currentTarget)}>
            <IconDots size={18} aria-hidden="true" />
          </Tab>
          {holdable && (
            <Tab
              name={tip('Hold it in the hand', 'Shift V')}
              onClick={() => store.getState().openSheet('held')}
            >
              <IconHandStop size={18} aria-hidden="true" />
            </Tab>
          )}
          {free && (
            <Tab name={`Add a ${rows?.one ?? 'page'}`} onClick={() => act.addPageAfter(store, false)}>
              <IconPlus size={18} aria-hidden="true" />
            </Tab>
          )}
        </Box>
      )}
      <Menu
        anchorEl={anchor}
        open={anchor !== null}
        onClose={close}
        anchorOrigin={{ vertical: 'top', horizontal: 'right' }}
      >
        <MenuItem onClick={does(() => act.togglePageLock(store))}>
          {here.locked ? 'Unlock' : 'Lock'} {these ?? here.name}
          {calendar && !here.locked && ': finished'}
        </MenuItem>
        {extras.map(({ id, name, on }) => (
          <MenuItem key={id} onClick={does(() => act.toggleExtra(store, id))}>
            {on ? `Take away: ${name.charAt(0).toLowerCase()}${name.slice(1)}` : name}
          </MenuItem>
        ))}
        {free && [
          <MenuItem key="copy" disabled={!goes} onClick={does(() => act.addPageAfter(store, true))}>
            Copy {these ?? here.name}
          </MenuItem>,
          !these && canTo(at - 1) && (
            <MenuItem key="up" onClick={does(() => store.getState().perform(movePage(current, at - 1)))}>
              Move it before {surfaces[at - 1]!.name}
            </MenuItem>
          ),
          !these && canTo(at + 1) && (
            <MenuItem key="down" onClick={does(() => store.getState().perform(movePage(current, at + 1)))}>
              Move it after {surfaces[at + 1]!.name}
            </MenuItem>
          ),
          pages && (
            <MenuItem key="contact" onClick={does(() => store.getState().openSheet('contact'))}>
              Contact sheets of all photos
            </MenuItem>
          ),
          <MenuItem
            key="delete"
            disabled={!mayGo({ product, surfaces }, here)}
            onClick={does(() => act.deletePage(store))}
          >
            Delete {these ?? here.name}
          </MenuItem>,
        ]}
      </Menu>
    </Box>
  );
});

interface PageTabProps {
  surface: Surface;
  /** Its place among the pages; null for a side that has a name of its own. */
  number: number | null;
  /** It stays where it is. */
  fixed: boolean;
  here: boolean;
  /** Chosen along with the one that is shown. */
  along: boolean;
  /** It begins another paper than the one before it. */
  apart: boolean;
}

const PageTab = memo(function PageTab({ surface, number, fixed, here, along, apart }: PageTabProps) {
  const { store } = useRoom();
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id: surface.id,
    disabled: fixed,
  });
  const { name, locked, width, height } = surface;
  const state = useSession(({ history }) => stateOf(history.project.product, surface));
  const holder = useRef<HTMLButtonElement | null>(null);
  // It is there when one comes to it by keys, or the page is turned otherwise.
  useEffect(() => {
    if (here) holder.current?.scrollIntoView?.({ block: 'nearest' });
  }, [here]);
  return (
    <Tab
      here={here}
      along={along}
      name={`${name}${state ? `, ${state}` : ''}${locked ? ', locked' : ''}${along ? ', chosen too' : ''}`}
      onClick={({ shiftKey, ctrlKey, metaKey }) =>
        shiftKey || ctrlKey || metaKey
          ? act.choosePage(store, surface.id, shiftKey)
          : act.toPageAt(store, surface.id)
      }
      holder={(element) => {
        holder.current = element;
        setNodeRef(element);
      }}
      more={{
        ...(fixed ? {} : { ...attributes, ...listeners, role: undefined, 'aria-disabled': undefined }),
        onKeyDown: (event: KeyboardEvent) => {
          if (event.key === 'Enter' && (event.ctrlKey || event.metaKey || event.shiftKey)) {
            event.preventDefault();
            act.choosePage(store, surface.id, event.shiftKey);
          } else listeners?.onKeyDown?.(event);
        },
        style: {
          marginTop: apart ? 8 : undefined,
          transform: CSS.Transform.toString(transform),
          transition,
          zIndex: isDragging ? 3 : undefined,
        },
      }}
    >
      <Box
        sx={{
          width: (SIDE * width) / Math.max(width, height),
          height: (SIDE * height) / Math.max(width, height),
          bgcolor: surface.ground,
        }}
      >
        <LatePicture surface={surface} />
      </Box>
      <Box
        component="span"
        sx={{
          display: 'flex',
          alignItems: 'center',
          gap: 0.25,
          fontSize: 14,
          maxWidth: 118,
          textAlign: 'left',
        }}
      >
        {number ?? (fixed ? name : name.replace(/^Pages /, ''))}
        {state ? <StateMark state={state} /> : locked && <IconLock size={13} aria-hidden="true" />}
      </Box>
    </Tab>
  );
});

const STATES: Record<PageState, typeof IconCircle> = {
  ...{ finished: IconCircleCheckFilled, begun: IconCircleHalf2, empty: IconCircle },
};
function StateMark({ state }: { state: PageState }) {
  const Mark = STATES[state];
  return <Mark size={14} aria-hidden="true" style={{ flexShrink: 0 }} />;
}

/** A page's picture once it is in sight, and anew when nothing was done to the page for a moment. */
function LatePicture({ surface }: { surface: Surface }) {
  const { store } = useRoom();
  // Through openings the other sides are seen, too: of what has sides, all of them count.
  const sides = useSession(({ history: { project } }) => (hasPages(project) ? null : project.surfaces));
  const holder = useRef<HTMLDivElement>(null);
  const [near, setNear] = useState(false);
  const [painted, setPainted] = useState(() => ({ project: store.getState().history.project, surface }));
  useEffect(() => {
    if (typeof IntersectionObserver === 'undefined') return;
    const watch = new IntersectionObserver(([entry]) => setNear(Boolean(entry?.isIntersecting)));
    watch.observe(holder.current!);
    return () => watch.disconnect();
  }, []);
  useEffect(() => {
    const late = setTimeout(() => setPainted({ project: store.getState().history.project, surface }), AFTER);
    return () => clearTimeout(late);
  }, [store, surface, sides]);
  return (
    <div ref={holder} style={{ width: '100%', height: '100%' }}>
      {near && <PagePicture {...painted} side={SIDE} />}
    </div>
  );
}

interface TabProps {
  name: string;
  here?: boolean;
  along?: boolean;
  onClick: (event: MouseEvent<HTMLElement>) => void;
  holder?: (element: HTMLButtonElement | null) => void;
  more?: object;
  children: ReactNode;
}

const Tab = ({ name, here = false, along = false, onClick, holder, more, children }: TabProps) => (
  <Box
    component="button"
    type="button"
    ref={holder}
    {...more}
    aria-current={here ? 'page' : undefined}
    aria-label={name}
    title={name}
    onClick={onClick}
    sx={{
      minWidth: 32,
      minHeight: 34,
      alignSelf: 'flex-start',
      flexShrink: 0,
      p: holder ? 0.5 : 0,
      pl: here ? 1 : 0.5,
      border: 0,
      borderRadius: '0 10px 10px 0',
      bgcolor: here || along ? 'background.paper' : 'table.ruler',
      outline: along ? '2px dashed' : undefined,
      outlineColor: 'primary.main',
      outlineOffset: -3,
      color: 'text.primary',
      font: 'inherit',
      fontWeight: 600,
      boxShadow: '1px 2px 4px rgba(20,14,8,0.3)',
      cursor: 'pointer',
      display: 'grid',
      placeItems: 'center',
      gap: 0.25,
      lineHeight: 1.1,
    }}
  >
    {children}
  </Box>
);
