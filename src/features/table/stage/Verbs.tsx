'use client';
/** Short verbs beside the selection: what is most often done next. */
import Paper from '@mui/material/Paper';
import Button from '@mui/material/Button';
import Tooltip from '@mui/material/Tooltip';
import {
  IconArrowsMove,
  IconBoxMultiple,
  IconColorPicker,
  IconFolderOpen,
  IconGridDots,
  IconStack2,
  IconCheck,
  IconCopy,
  IconFlipHorizontal,
  IconLock,
  IconLockOpen,
  IconPencil,
  IconTrash,
} from '@tabler/icons-react';
import type { ReactNode } from 'react';
import { transformBox, unite } from '@/core/geometry/box';
import { extentOf } from '@/core/piece/placement/placement';
import type { Piece } from '@/core/piece/piece';
import * as act from '@/features/table/room/actions';
import { useRoom, useSession } from '@/features/table/room/context';
import { RULER } from '@/features/table/stage/Rulers';
import { groupsAmong } from '@/core/project/edits/group';
import { shownSurface } from '@/features/table/room/session';
import { useShallow } from 'zustand/react/shallow';
import { viewMatrix } from '@/features/table/stage/view';

const HEIGHT = 44;
const GAP = 26;
/** The loop stands this far above a selection. */
const LOOP = 56;

export function Verbs({ pieces }: { pieces: readonly Piece[] }) {
  const { store } = useRoom();
  const view = useSession((session) => session.view);
  const stage = useSession((session) => session.stage);
  const mode = useSession((session) => session.mode);
  const groups = useSession(
    useShallow((session) => groupsAmong(shownSurface(session), session.selection, session.entered)),
  );
  const extent = transformBox(
    viewMatrix(view),
    pieces.map((piece) => extentOf(piece.placement)).reduce(unite),
  );
  const [only] = pieces;
  const locked = pieces.every((piece) => piece.placement.locked);
  const verbs: { name: string; key: string; icon: ReactNode; run: () => void }[] = [];
  const enter = (kind: 'slide' | 'write') => () => store.setState({ mode: { kind, id: only!.id } });
  if (mode.kind !== 'pick')
    verbs.push({
      name: 'Done',
      key: 'Esc',
      icon: <IconCheck size={18} />,
      run: () =>
        mode.kind === 'write' ? act.stopWriting(store) : store.setState({ mode: { kind: 'pick' } }),
    });
  else {
    const opened = groups.length === 1;
    if (opened && !locked)
      verbs.push({
        name: 'Open',
        key: 'Enter',
        icon: <IconFolderOpen size={18} />,
        run: () => act.enter(store),
      });
    if (pieces.length > 1 && !locked)
      verbs.push(
        opened
          ? {
              name: 'Ungroup',
              key: 'Ctrl Shift G',
              icon: <IconBoxMultiple size={18} />,
              run: () => act.ungroupChosen(store),
            }
          : { name: 'Group', key: 'Ctrl G', icon: <IconStack2 size={18} />, run: () => act.group(store) },
      );
    if (pieces.length === 1 && !locked) {
      if (only!.outline.kind === 'glyphs')
        verbs.push({ name: 'Write', key: 'Enter', icon: <IconPencil size={18} />, run: enter('write') });
      else if ('window' in only!.material)
        verbs.push({ name: 'Slide', key: 'Enter', icon: <IconArrowsMove size={18} />, run: enter('slide') });
    }
    verbs.push({
      name: 'Copy',
      key: 'Ctrl D',
      icon: <IconCopy size={18} />,
      run: () => act.duplicate(store),
    });
    if (!locked && pieces.length === 1)
      verbs.push({
        name: 'Mirror',
        key: 'M',
        icon: <IconFlipHorizontal size={18} />,
        run: () => act.mirror(store),
      });
    if (!locked)
      verbs.push({
        name: 'Rows',
        key: 'R',
        icon: <IconGridDots size={18} />,
        run: () => store.setState({ sheet: 'rows' }),
      });
    if (!locked && pieces.length === 1)
      verbs.push({
        name: 'Match',
        key: 'K',
        icon: <IconColorPicker size={18} />,
        run: () => store.setState({ sheet: 'match' }),
      });
    verbs.push({
      name: locked ? 'Unlock' : 'Lock',
      key: 'L',
      icon: locked ? <IconLockOpen size={18} /> : <IconLock size={18} />,
      run: () => act.toggleLock(store),
    });
    if (!locked)
      verbs.push({
        name: 'Delete',
        key: 'Delete',
        icon: <IconTrash size={18} />,
        run: () => act.remove(store),
      });
  }
  const width = verbs.length * 88;
  const below = extent.y + extent.height + GAP;
  const above = extent.y - LOOP - HEIGHT;
  const top =
    below + HEIGHT < stage.height - 6 ? below : above > RULER + 4 ? above : stage.height - HEIGHT - 10;
  const left = Math.min(
    stage.width - width - 10,
    Math.max(RULER + 8, extent.x + extent.width / 2 - width / 2),
  );
  return (
    <Paper
      elevation={3}
      role="toolbar"
      aria-label="What to do with the selection"
      onPointerDown={(event) => event.stopPropagation()}
      onDoubleClick={(event) => event.stopPropagation()}
      sx={{ position: 'absolute', left, top, display: 'flex', p: 0.5, borderRadius: 2.5, gap: 0.25 }}
    >
      {verbs.map(({ name, key, icon, run }) => (
        <Tooltip key={name} title={key ? `${name} (${key})` : name}>
          <Button
            color="inherit"
            size="small"
            startIcon={icon}
            onClick={run}
            onMouseDown={(event) => event.preventDefault()}
            sx={{ px: 1.1, minWidth: 0 }}
          >
            {name}
          </Button>
        </Tooltip>
      ))}
    </Paper>
  );
}
