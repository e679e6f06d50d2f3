'use client';
/** Short verbs beside the selection: what is most often done next. */
import Paper from '@mui/material/Paper';
import Button from '@mui/material/Button';
import Tooltip from '@mui/material/Tooltip';
import {
  IconAngle,
  IconArrowsExchange,
  IconArrowsMove,
  IconBoxMultiple,
  IconColorPicker,
  IconFolderOpen,
  IconGridDots,
  IconStack2,
  IconCheck,
  IconCopy,
  IconFlipHorizontal,
  IconLayoutCollage,
  IconLock,
  IconLockOpen,
  IconPencil,
  IconPinned,
  IconTrash,
  IconPlus,
  IconMinus,
  IconVectorBezier2,
  IconLine,
  IconWaveSine,
  IconChevronUp,
} from '@tabler/icons-react';
import { memo, useEffect, useState, type ReactNode } from 'react';
import { isWritten } from '@/core/piece/outline';
import { transformBox, unite, type Box, type Size } from '@/core/geometry/box';
import { extentOf } from '@/core/piece/placement/placement';
import type { Piece } from '@/core/piece/piece';
import { canSlide, startSliding } from '@/features/table/acts/slide';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { groupsAmong } from '@/core/project/edits/group';
import { selectedPieces, shownSurface, type Mode, type SessionStore } from '@/features/table/session';
import { useShallow } from 'zustand/react/shallow';
import { commandOf } from '@/features/table/tasks';
import { RULER, viewMatrix } from '@/features/table/stage/hand/view';

const HEIGHT = 44;
const GAP = 26;
/** Width of the bar where it stands upright, what one verb of it takes, and how far from the page it stands. */
const [UPRIGHT, STEP, BESIDE] = [112, 36, 18];
/** Width of the upright bar by its pictures alone. */
const NARROW = 42;
/** The loop stands this far above a selection. */
const LOOP = 56;

export function Verbs({ pieces }: { pieces: readonly Piece[] }) {
  const { store } = useRoom();
  const shift = useShiftHeld();
  const view = useSession((session) => session.view);
  const stage = useSession((session) => session.stage);
  const aside = useSession((session) => session.aside);
  const mode = useSession((session) => session.mode);
  const surface = useSession(
    useShallow((session) => {
      const { width, height } = shownSurface(session);
      return { width, height };
    }),
  );
  const groups = useSession(
    useShallow((session) => groupsAmong(shownSurface(session), session.selection, session.entered)),
  );
  const lettersOfGroup = useSession((session) => act.lettersChosen(session) !== undefined);
  const onDay = useSession((session) => act.couldHold(shownSurface(session), pieces[0]!));
  const extent = transformBox(
    viewMatrix(view),
    pieces.map((piece) => extentOf(piece.placement)).reduce(unite),
  );
  const [only] = pieces;
  const verbs = verbsFor({
    many: pieces.length > 1,
    locked: pieces.every((piece) => piece.placement.locked),
    opened: groups.length === 1,
    letters: groups.length === 1 && lettersOfGroup,
    photos: pieces.every(({ material }) => material.kind === 'photo') ? pieces.length : 0,
    inside:
      pieces.length > 1
        ? []
        : [
            ...(isWritten(only!.outline) ? (['write'] as const) : []),
            ...(canSlide(only!) ? (['slide'] as const) : []),
          ],
    holds: pieces.length === 1 && onDay,
    mode: mode.kind,
    point:
      mode.kind === 'reshape' && mode.at && only?.id === mode.id
        ? { side: mode.side, round: act.isRound(act.ringsOf(store.getState(), only), mode.at, mode.side) }
        : null,
  });
  const wide = mode.kind === 'reshape' ? 124 : 88;
  const page = { x: view.x, y: view.y, width: surface.width * view.zoom, height: surface.height * view.zoom };
  const {
    left,
    top,
    upright,
    narrow = false,
  } = spotFor(extent, page, verbs.length, wide, stage, Math.max(RULER, aside));
  return (
    <Paper
      elevation={3}
      role="toolbar"
      aria-label="What to do with the selection"
      aria-orientation={upright ? 'vertical' : 'horizontal'}
      onPointerDown={(event) => event.stopPropagation()}
      onDoubleClick={(event) => event.stopPropagation()}
      style={{ left, top, ...(shift && { pointerEvents: 'none', opacity: 0.35 }) }}
      // Over the tabs of pages, whose names may be long.
      sx={{
        position: 'absolute',
        zIndex: 3,
        display: 'flex',
        flexDirection: upright ? 'column' : 'row',
        p: 0.5,
        borderRadius: 2.5,
        gap: 0.25,
        '& button': { justifyContent: 'flex-start' },
        ...(narrow && {
          p: 0.25,
          '& button': { minWidth: 0, width: 36, height: 36, p: 0, justifyContent: 'center' },
          '& .MuiButton-startIcon': { m: 0 },
          // Still its name, for whoever cannot see the picture.
          '& button > span:not(.MuiButton-startIcon):not(.MuiTouchRipple-root)': {
            position: 'absolute',
            width: 1,
            height: 1,
            overflow: 'hidden',
            clipPath: 'inset(50%)',
          },
        }),
      }}
    >
      {verbs.map((verb) => (
        <VerbButton key={verb.name} verb={verb} />
      ))}
    </Paper>
  );
}

interface Seat {
  left: number;
  top: number;
  /** One below the other. */
  upright: boolean;
  /** By their pictures alone. */
  narrow?: boolean;
}

/**
 * Beside the page, one below the other, or under it, where there is room and nothing that is selected hangs; else below what is
 * selected, above it, or beside it, wherever the bar covers none of it; at the foot of the stage if nowhere.
 */
function spotFor(extent: Box, page: Box, count: number, wide: number, stage: Size, from: number): Seat {
  const within = (value: number, least: number, most: number) => Math.max(least, Math.min(most, value));
  const tall = { width: UPRIGHT + wide - 88, height: count * STEP + 8 };
  // What hangs over the page's side moves the bar along.
  const hung = extent.x + extent.width + GAP;
  const right = Math.max(page.x + page.width + BESIDE, hung);
  if (right + tall.width < stage.width - 6 && tall.height < stage.height) {
    const middle = extent.y + (extent.height - tall.height) / 2;
    return { left: right, top: within(middle, RULER + 8, stage.height - tall.height - 10), upright: true };
  }
  const close = Math.max(page.x + page.width + 6, hung);
  if (close + NARROW < stage.width - 2 && tall.height < stage.height) {
    const middle = extent.y + (extent.height - tall.height) / 2;
    const top = within(middle, RULER + 8, stage.height - tall.height - 10);
    return { left: close, top, upright: true, narrow: true };
  }
  const bar = { width: count * wide, height: HEIGHT };
  const left = within(extent.x + (extent.width - bar.width) / 2, from + 8, stage.width - bar.width - 10);
  const lying = (place: Omit<Seat, 'upright'>): Seat => ({ ...place, upright: false });
  // Under the page, where the table is bare and nothing that is selected hangs.
  const foot = page.y + page.height + BESIDE;
  if (foot + bar.height < stage.height - 6 && extent.y + extent.height + GAP < foot + BESIDE)
    return lying({ left, top: Math.max(foot, extent.y + extent.height + GAP) });
  const below = extent.y + extent.height + GAP;
  if (below + bar.height < stage.height - 6) return lying({ left, top: below });
  const above = extent.y - LOOP - bar.height;
  if (above > RULER + 4) return lying({ left, top: above });
  const top = within(extent.y + (extent.height - bar.height) / 2, RULER + 8, stage.height - bar.height - 10);
  const after = extent.x + extent.width + GAP;
  if (after + bar.width < stage.width - 6) return lying({ left: after, top });
  const before = extent.x - GAP - bar.width;
  if (before > from + 4) return lying({ left: before, top });
  return lying({ left, top: stage.height - bar.height - 10 });
}

/** Whether Shift is held: what is pressed then is meant for what lies on the page. */
function useShiftHeld(): boolean {
  const [held, setHeld] = useState(false);
  useEffect(() => {
    const told = (event: KeyboardEvent | FocusEvent) =>
      setHeld(event instanceof KeyboardEvent && event.shiftKey && event.type === 'keydown');
    const names = ['keydown', 'keyup', 'blur'] as const;
    for (const name of names) window.addEventListener(name, told);
    return () => names.forEach((name) => window.removeEventListener(name, told));
  }, []);
  return held;
}

interface Verb {
  name: string;
  key: string;
  icon: ReactNode;
  run: (store: SessionStore) => void;
}

/** A verb is the same object whenever it is offered, so that its button is not drawn again while pieces move. */
const VerbButton = memo(function VerbButton({ verb: { name, key, icon, run } }: { verb: Verb }) {
  const { store } = useRoom();
  return (
    <Tooltip title={`${name} (${key})`}>
      <Button
        color="inherit"
        size="small"
        startIcon={icon}
        onClick={() => run(store)}
        onMouseDown={(event) => event.preventDefault()}
        sx={{ px: 1.1, minWidth: 0 }}
      >
        <span>{name}</span>
      </Button>
    </Tooltip>
  );
});

/** Done by what the key does, or by `run` where that depends on what else is open. */
const verb = (
  name: string,
  key: string,
  icon: ReactNode,
  run: Verb['run'] = commandOf(key).run as Verb['run'],
): Verb => ({ name, key, icon, run });
const withChosen =
  (run: (store: SessionStore, piece: Piece) => void): Verb['run'] =>
  (store) => {
    const [piece] = selectedPieces(store.getState());
    if (piece) run(store, piece);
  };

const VERBS = {
  doneWriting: verb('Done', 'Esc', <IconCheck size={18} />, act.stopWriting),
  doneSliding: verb('Done', 'Esc', <IconCheck size={18} />, (store) => store.getState().pick()),
  level: verb('Level it', 'draw along the horizon', <IconAngle size={18} />, (store) => {
    const { mode } = store.getState();
    if (mode.kind === 'slide') store.getState().setMode({ ...mode, level: !mode.level });
  }),
  open: verb('Open', 'Enter', <IconFolderOpen size={18} />, (store) => act.enter(store)),
  ungroup: verb('Ungroup', 'Ctrl Shift G', <IconBoxMultiple size={18} />),
  group: verb('Group', 'Ctrl G', <IconStack2 size={18} />),
  write: verb('Write', 'Enter', <IconPencil size={18} />, withChosen(act.writeOn)),
  slide: verb('Slide', 'Enter', <IconArrowsMove size={18} />, withChosen(startSliding)),
  hold: verb('Hold', 'to the day it lies on', <IconPinned size={18} />, act.holdChosen),
  retype: verb('Retype', 'Shift L', <IconPencil size={18} />),
  copy: verb('Copy', 'Ctrl D', <IconCopy size={18} />),
  mirror: verb('Mirror', 'M', <IconFlipHorizontal size={18} />),
  rows: verb('Rows', 'R', <IconGridDots size={18} />),
  match: verb('Match', 'K', <IconColorPicker size={18} />),
  donePoints: verb('Done', 'Esc', <IconCheck size={18} />, (store) => store.getState().pick()),
  addPoint: verb('Add a point', 'double-click a side', <IconPlus size={18} />, (store) =>
    act.addPoint(store),
  ),
  takePoint: verb('Take it away', 'Delete', <IconMinus size={18} />),
  bend: verb('Curve it', 'or drag the side', <IconVectorBezier2 size={18} />, (store) =>
    act.turnRound(store),
  ),
  straighten: verb('Straighten it', 'no curve', <IconLine size={18} />, (store) => act.turnRound(store)),
  smooth: verb('Smooth it', 'no corner', <IconWaveSine size={18} />, (store) => act.turnRound(store)),
  sharpen: verb('Make a corner', 'no curve', <IconChevronUp size={18} />, (store) => act.turnRound(store)),
  arrange: verb('Arrange', 'Shift A', <IconLayoutCollage size={18} />),
  swap: verb('Swap', 'Shift S', <IconArrowsExchange size={18} />),
  lock: verb('Lock', 'L', <IconLock size={18} />),
  unlock: verb('Unlock', 'L', <IconLockOpen size={18} />),
  delete: verb('Delete', 'Delete', <IconTrash size={18} />),
};

interface Chosen {
  many: boolean;
  locked: boolean;
  /** Whether it is one group. */
  opened: boolean;
  /** Whether it is words laid in letters. */
  letters: boolean;
  /** How many, if all are photos. */
  photos: number;
  inside: readonly ('write' | 'slide')[];
  /** Whether it lies on a day it could be held to. */
  holds: boolean;
  mode: Mode['kind'];
  /** What of an outline is held, and whether it is round. */
  point: { side: boolean; round: boolean } | null;
}

function verbsFor({ many, locked, opened, letters, photos, inside, holds, mode, point }: Chosen): Verb[] {
  if (mode === 'reshape')
    return [
      VERBS.donePoints,
      VERBS.addPoint,
      ...(point && !point.side ? [VERBS.takePoint] : []),
      ...(!point
        ? []
        : point.side
          ? [point.round ? VERBS.straighten : VERBS.bend]
          : [point.round ? VERBS.sharpen : VERBS.smooth]),
    ];
  if (mode === 'write') return [VERBS.doneWriting];
  if (mode === 'slide') return [VERBS.doneSliding, VERBS.level];
  if (locked) return [VERBS.copy, VERBS.unlock];
  return [
    ...(letters ? [VERBS.retype] : []),
    ...(holds ? [VERBS.hold] : []),
    ...(opened ? [VERBS.open] : []),
    ...(many && photos && !opened ? [VERBS.arrange] : []),
    ...(photos === 2 && !opened ? [VERBS.swap] : []),
    ...(many ? [opened ? VERBS.ungroup : VERBS.group] : inside.map((name) => VERBS[name])),
    VERBS.copy,
    ...(many ? [] : [VERBS.mirror]),
    VERBS.rows,
    ...(many ? [] : [VERBS.match]),
    VERBS.lock,
    VERBS.delete,
  ];
}
