'use client';
/** One slab of the pile seen from the side: a piece as thick as it lifts, or a group that opens. */
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import InputBase from '@mui/material/InputBase';
import Tooltip from '@mui/material/Tooltip';
import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import {
  IconChevronDown,
  IconChevronRight,
  IconEye,
  IconEyeOff,
  IconGripVertical,
  IconLock,
  IconLockOpen,
} from '@tabler/icons-react';
import { memo, type ReactNode } from 'react';
import { colourOf, isInk } from '@/core/piece/material';
import type { Piece } from '@/core/piece/piece';
import { renameGroup } from '@/core/project/edits/group';
import { renamePiece } from '@/core/project/edits/make';
import { toggleHidden, toggleLock } from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { surfaceOf } from '@/core/project/model';
import { shortened } from '@/core/text/named';
import { isChosen, nameOfNode, type PileRow } from '@/features/table/tasks/pile/rows';
import { useTyped } from '@/ui/useTyped';

/** Pixels a slab is thick: ink is a film, a button stands high. */
const thickness = (lift: number): number => Math.round(3 + Math.min(14, Math.sqrt(lift) * 9));

interface Props {
  row: PileRow;
  picture: string | undefined;
  /** Pixels from the list's top, and its place among how many. */
  at: number;
  place: number;
  of: number;
  open: boolean;
  readOnly: boolean;
  onChoose: (row: PileRow, event: { shiftKey: boolean; ctrlKey: boolean; metaKey: boolean }) => void;
  onToggle: (id: string) => void;
}

export const Slab = memo(function Slab(props: Props) {
  const { row, picture, at, place, of, open, readOnly, onChoose, onToggle } = props;
  const { node, depth, pieces } = row;
  const { store } = useRoom();
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } =
    useSortable({ id: node.id, disabled: readOnly });
  const surfaceId = useSession((session) => session.surfaceId);
  const selected = useSession(({ selection }) => isChosen(row, selection));
  const top = pieces.at(-1)!;
  const hidden = pieces.every(({ placement }) => placement.hidden);
  const locked = pieces.every(({ placement }) => placement.locked);
  const group = node.kind === 'group';
  const name = nameOfNode(node);
  const said = group ? `group of ${pieces.length}` : node.piece.role;
  const { typed, type, commit, back } = useTyped((text) => {
    const next = shortened(text.trim(), 80);
    if (!next || next === name) return;
    store
      .getState()
      .perform(group ? renameGroup(surfaceId, node.id, next) : renamePiece(surfaceId, node.piece, next));
  });
  return (
    <Box
      component="li"
      ref={setNodeRef}
      aria-posinset={place}
      aria-setsize={of}
      style={{ top: at, transform: CSS.Translate.toString(transform), transition }}
      onPointerEnter={() => store.getState().hover(top.id)}
      onPointerLeave={() => store.getState().hover(null)}
      sx={{
        display: 'flex',
        alignItems: 'center',
        height: 34,
        pl: depth * 3.25,
        borderRadius: 1,
        bgcolor: isDragging ? 'background.default' : undefined,
        position: 'absolute',
        left: 0,
        right: 0,
        zIndex: isDragging ? 1 : undefined,
        opacity: hidden ? 0.5 : 1,
        '&:hover': { bgcolor: 'background.default' },
        // Over the name's end, and only while they are wanted.
        '& .tools': { opacity: 0 },
        '&:hover .tools, & .tools:focus-within, &:focus-within .tools': { opacity: 1 },
      }}
    >
      {group && (
        <IconButton
          size="small"
          color="inherit"
          aria-label={`${open ? 'Fold' : 'Unfold'} ${name}`}
          aria-expanded={open}
          onClick={() => onToggle(node.id)}
          sx={{ width: 26, minHeight: 32, p: 0 }}
        >
          {open ? <IconChevronDown size={16} /> : <IconChevronRight size={16} />}
        </IconButton>
      )}
      {typed === null ? (
        <Box
          component="button"
          type="button"
          aria-pressed={selected}
          aria-label={`${name}, ${said}${hidden ? ', hidden' : ''}${locked ? ', locked' : ''}`}
          onClick={(event) => onChoose(row, event)}
          onDoubleClick={() => !readOnly && type(name)}
          onKeyDown={(event) => event.key === 'F2' && !readOnly && type(name)}
          onFocus={() => store.getState().hover(top.id)}
          onBlur={() => store.getState().hover(null)}
          sx={{
            flex: 1,
            minWidth: 0,
            display: 'flex',
            alignItems: 'center',
            gap: 1.25,
            height: '100%',
            border: 0,
            bgcolor: 'transparent',
            color: selected ? 'primary.main' : 'text.primary',
            font: 'inherit',
            fontSize: '0.9rem',
            textAlign: 'left',
            cursor: 'pointer',
            px: group ? 0.5 : 1,
          }}
        >
          <Side pieces={pieces} picture={picture} selected={selected} group={group} />
          <Box
            component="span"
            sx={{
              overflow: 'hidden',
              textOverflow: 'ellipsis',
              whiteSpace: 'nowrap',
              fontWeight: selected || group ? 600 : 400,
            }}
          >
            {name}
          </Box>
        </Box>
      ) : (
        <InputBase
          autoFocus
          value={typed}
          onFocus={(event) => event.target.select()}
          onChange={(event) => type(event.target.value)}
          onBlur={commit}
          onKeyDown={(event) => {
            event.stopPropagation();
            if (event.key === 'Enter') commit();
            if (event.key === 'Escape') back();
          }}
          inputProps={{ 'aria-label': `New name of ${name}` }}
          sx={{ flex: 1, px: 1, fontSize: '0.9rem', border: 1, borderColor: 'primary.main', borderRadius: 1 }}
        />
      )}
      {locked && <IconLock size={15} aria-hidden="true" />}
      {hidden && <IconEyeOff size={15} aria-hidden="true" />}
      {!readOnly && typed === null && (
        <Tools
          id={node.id}
          name={name}
          locked={locked}
          hidden={hidden}
          grip={setActivatorNodeRef}
          attributes={attributes}
          listeners={listeners}
        />
      )}
    </Box>
  );
});

type Sortable = ReturnType<typeof useSortable>;

interface ToolsProps {
  /** Of the piece or group. */
  id: string;
  name: string;
  locked: boolean;
  hidden: boolean;
  grip: Sortable['setActivatorNodeRef'];
  attributes: Sortable['attributes'];
  listeners: Sortable['listeners'];
}

/** Drawn again only when what they say changes: a page of 150 pieces has as many of them. */
const Tools = memo(function Tools({ id, name, locked, hidden, grip, attributes, listeners }: ToolsProps) {
  const { store } = useRoom();
  const settled = () => {
    const session = store.getState();
    const { pile } = surfaceOf(session.history.project, session.surfaceId);
    return pile.filter((piece) => piece.id === id || piece.groups?.includes(id));
  };
  return (
    <Box
      className="tools"
      sx={{
        position: 'absolute',
        right: 0,
        top: 1,
        bottom: 1,
        display: 'flex',
        alignItems: 'center',
        bgcolor: 'background.default',
        borderRadius: 1,
        boxShadow: '-8px 0 8px -4px var(--mui-palette-background-default)',
      }}
    >
      <Tool
        name={`${locked ? 'Unlock' : 'Lock'} ${name}`}
        title={locked ? 'Unlock' : 'Lock'}
        onClick={() => toggleLock(store, settled())}
      >
        {locked ? <IconLock size={16} /> : <IconLockOpen size={16} />}
      </Tool>
      <Tool
        name={`${hidden ? 'Show' : 'Hide'} ${name}`}
        title={hidden ? 'Show' : 'Hide'}
        onClick={() => toggleHidden(store, settled())}
      >
        {hidden ? <IconEyeOff size={16} /> : <IconEye size={16} />}
      </Tool>
      <Tooltip title="Drag to change the order">
        <Box
          component="span"
          ref={grip}
          {...attributes}
          {...listeners}
          data-own-arrows
          aria-label={`Change the place of ${name} in the pile`}
          sx={{
            cursor: 'grab',
            width: 24,
            height: 32,
            display: 'grid',
            placeItems: 'center',
            touchAction: 'none',
          }}
        >
          <IconGripVertical size={16} />
        </Box>
      </Tooltip>
    </Box>
  );
});

interface ToolProps {
  name: string;
  title: string;
  onClick: () => void;
  children: ReactNode;
}

const Tool = ({ name, title, onClick, children }: ToolProps) => (
  <Tooltip title={title}>
    <IconButton
      size="small"
      color="inherit"
      sx={{ width: 28, minHeight: 32, p: 0 }}
      aria-label={name}
      onClick={onClick}
    >
      {children}
    </IconButton>
  </Tooltip>
);

/** What a slab looks like from the side: its ink or its picture; a group shows a few of its pieces on each other. */
function Side({
  pieces,
  picture,
  selected,
  group,
}: Pick<Props, 'picture'> & { pieces: readonly Piece[]; selected: boolean; group: boolean }) {
  const shown = group ? pieces.slice(-3).reverse() : pieces;
  return (
    <Box
      component="span"
      sx={{
        width: group ? 62 : 84,
        flexShrink: 0,
        outline: selected ? '2px dashed var(--mui-palette-primary-main)' : 'none',
        outlineOffset: 3,
      }}
    >
      {shown.map((piece) => {
        const thick = group
          ? Math.min(7, thickness(piece.finish.lift.height))
          : thickness(piece.finish.lift.height);
        const ink = isInk(piece.material) ? colourOf(piece.material) : '#b9a98c';
        return (
          <Box
            component="span"
            key={piece.id}
            sx={{
              display: 'block',
              height: thick,
              bgcolor: ink,
              backgroundImage: picture && !group ? `url(${picture})` : 'none',
              backgroundSize: '100% auto',
              backgroundPosition: 'center 30%',
              borderRadius: '2px',
              border: '1px solid',
              borderColor: 'divider',
              boxShadow: `0 ${1 + Math.round(thick / 5)}px 2px rgba(30,20,10,0.35)`,
            }}
          />
        );
      })}
    </Box>
  );
}
