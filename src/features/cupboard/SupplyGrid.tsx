'use client';
/** Everything that was found, in rows; only those in sight are drawn. Arrows walk, Space chooses, Enter takes. */
import Box from '@mui/material/Box';
import { styled } from '@mui/material/styles';
import { IconHeartFilled } from '@tabler/icons-react';
import { memo, useRef, useState, type DragEvent, type KeyboardEvent } from 'react';
import { KINDS, type Supply } from '@/core/supplies/model';
import { SupplyPicture } from '@/features/cupboard/SupplyPicture';
import { UsedMark, usedSays } from '@/ui/UsedMark';
import { focusAt, useLongList, useWidth } from '@/ui/useLongList';

/** Least width of a cell and its height, pixels: room for a large picture and two lines of name. */
const CELL = 138;
const HEIGHT = 176;

interface Props {
  supplies: readonly Supply[];
  chosen: ReadonlySet<string>;
  usedOf(supply: Supply): number;
  ground: string;
  /** `add` keeps what was chosen; `run` chooses all from the last to this one. */
  onChoose(supply: Supply, how: 'only' | 'add' | 'run'): void;
  /** Enter or a double click. */
  onTake(supply: Supply): void;
  onDragStart?: (supply: Supply, event: DragEvent) => void;
  onDragEnd?: () => void;
  /** A letter key on the grid. */
  onKey(key: string, supply: Supply): boolean;
}

export function SupplyGrid(props: Props) {
  const { supplies, chosen, onChoose, onTake, onKey } = props;
  const frame = useRef<HTMLDivElement>(null);
  const columns = Math.max(1, Math.floor((useWidth(frame) - 16) / CELL));
  const [at, setAt] = useState(0);
  const focus = Math.min(at, Math.max(0, supplies.length - 1));

  const rows = useLongList(frame, {
    count: Math.ceil(supplies.length / columns),
    estimateSize: () => HEIGHT,
    overscan: 3,
  });

  const go = (index: number) => {
    setAt(index);
    rows.scrollToIndex(Math.floor(index / columns));
    focusAt(frame, index);
  };

  const press = (event: KeyboardEvent) => {
    const page = columns * Math.max(1, Math.floor((frame.current?.clientHeight ?? HEIGHT) / HEIGHT));
    // What has the focus may have moved to another place since: a favourite comes further up.
    const at = (event.target as HTMLElement).closest<HTMLElement>('[data-at]')?.dataset.at;
    const here = at === undefined ? focus : Number(at);
    const to = {
      ArrowRight: here + 1,
      ArrowLeft: here - 1,
      ArrowDown: here + columns,
      ArrowUp: here - columns,
      PageDown: here + page,
      PageUp: here - page,
      Home: 0,
      End: supplies.length - 1,
    }[event.key];
    const supply = supplies[here];
    if (!supply) return;
    if (to !== undefined) {
      event.preventDefault();
      const next = Math.max(0, Math.min(supplies.length - 1, to));
      go(next);
      if (event.shiftKey) onChoose(supplies[next]!, 'run');
    } else if (event.key === ' ') {
      event.preventDefault();
      onChoose(supply, event.ctrlKey || event.metaKey || !chosen.has(supply.id) ? 'add' : 'only');
    } else if (event.key === 'Enter') {
      event.preventDefault();
      onTake(supply);
    } else if (!event.ctrlKey && !event.metaKey && !event.altKey && onKey(event.key, supply))
      event.preventDefault();
  };

  return (
    <Box
      ref={frame}
      role="listbox"
      aria-label="Supplies"
      aria-multiselectable
      data-own-keys
      onKeyDown={press}
      sx={{ flex: 1, minHeight: 0, overflowY: 'auto', p: 1, scrollbarWidth: 'thin' }}
    >
      <Box role="presentation" sx={{ position: 'relative', height: rows.getTotalSize() }}>
        {rows.getVirtualItems().map((row) => (
          <div
            key={row.key}
            role="presentation"
            style={{
              position: 'absolute',
              top: 0,
              left: 0,
              right: 0,
              height: HEIGHT,
              display: 'grid',
              gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))`,
              transform: `translateY(${row.start}px)`,
            }}
          >
            {supplies.slice(row.index * columns, (row.index + 1) * columns).map((supply, i) => {
              const index = row.index * columns + i;
              return (
                <Cell
                  key={supply.id}
                  ground={props.ground}
                  onChoose={props.onChoose}
                  onTake={props.onTake}
                  onDragStart={props.onDragStart}
                  onDragEnd={props.onDragEnd}
                  supply={supply}
                  index={index}
                  total={supplies.length}
                  tabbable={index === focus}
                  isChosen={chosen.has(supply.id)}
                  used={props.usedOf(supply)}
                  onFocusAt={setAt}
                />
              );
            })}
          </div>
        ))}
      </Box>
    </Box>
  );
}

interface CellProps extends Pick<Props, 'ground' | 'onChoose' | 'onTake' | 'onDragStart' | 'onDragEnd'> {
  supply: Supply;
  index: number;
  total: number;
  tabbable: boolean;
  isChosen: boolean;
  used: number;
  onFocusAt(index: number): void;
}

const Cell = memo(function Cell(props: CellProps) {
  const { supply, index, total, tabbable, isChosen, used, ground } = props;
  const { name, favourite, kind } = supply;
  const said = [name, KINDS[kind].one, favourite && 'favourite', used && usedSays(used)].filter(Boolean);
  return (
    <Place
      role="option"
      aria-selected={isChosen}
      aria-label={said.join(', ')}
      aria-posinset={index + 1}
      aria-setsize={total}
      data-at={index}
      tabIndex={tabbable ? 0 : -1}
      draggable={Boolean(props.onDragStart)}
      style={{ cursor: props.onDragStart ? 'grab' : 'pointer' }}
      onDragStart={(event) => props.onDragStart?.(supply, event)}
      onDragEnd={props.onDragEnd}
      onFocus={() => props.onFocusAt(index)}
      onClick={(event) =>
        props.onChoose(supply, event.shiftKey ? 'run' : event.ctrlKey || event.metaKey ? 'add' : 'only')
      }
      onDoubleClick={() => props.onTake(supply)}
    >
      <Ground className={isChosen ? 'ground chosen' : 'ground'} style={{ backgroundColor: ground }}>
        <SupplyPicture supply={supply} />
        <UsedMark count={used} />
        {favourite && (
          <Heart>
            <IconHeartFilled size={16} />
          </Heart>
        )}
      </Ground>
      <Name>{name}</Name>
    </Place>
  );
});

// Drawn by the hundred while one scrolls: styles that never change are made once.
const Place = styled('div')(({ theme }) => ({
  padding: 6,
  borderRadius: 8,
  minWidth: 0,
  outlineOffset: -3,
  '&:hover .ground:not(.chosen)': { borderColor: (theme.vars ?? theme).palette.text.secondary },
}));
const Ground = styled('div')(({ theme }) => ({
  position: 'relative',
  height: 116,
  borderRadius: 8,
  border: '2px solid transparent',
  '&.chosen': { border: '2px dashed', borderColor: (theme.vars ?? theme).palette.primary.main },
}));
const Heart = styled('div')(({ theme }) => ({
  position: 'absolute',
  left: 5,
  bottom: 3,
  lineHeight: 0,
  color: (theme.vars ?? theme).palette.primary.main,
}));
const Name = styled('div')({
  marginTop: 4,
  fontSize: '0.875rem',
  lineHeight: 1.25,
  textAlign: 'center',
  overflow: 'hidden',
  display: '-webkit-box',
  WebkitLineClamp: 2,
  WebkitBoxOrient: 'vertical',
});
