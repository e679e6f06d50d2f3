'use client';
/** The slabs that can be seen of a pile, however high it is; what is selected on the page comes into sight. */
import Box from '@mui/material/Box';
import { useEffect, useRef, type ComponentProps } from 'react';
import { useSession } from '@/features/table/room/context';
import { Slab } from '@/features/table/tasks/pile/Slab';
import { isTouched, type PileRow } from '@/features/table/tasks/pile/rows';
import { useLongList } from '@/ui/useLongList';

type SlabProps = ComponentProps<typeof Slab>;

interface Props extends Pick<SlabProps, 'readOnly' | 'onChoose' | 'onToggle'> {
  rows: readonly PileRow[];
  open: ReadonlySet<string>;
  pictureOf: (row: PileRow) => string | undefined;
}

/** Height of a slab's row, pixels, and how many are drawn beyond what is seen. */
const HEIGHT = 34;
const BEYOND = 14;

export function PileList({ rows, open, pictureOf, ...slab }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const seen = useLongList(frame, {
    count: rows.length,
    estimateSize: () => HEIGHT,
    getItemKey: (i) => rows[i]!.node.id,
    overscan: BEYOND,
    initialRect: { width: 300, height: 400 },
  });
  const first = useSession(({ selection }) => rows.findIndex((row) => isTouched(row, selection)));
  const topmost = rows[first]?.node.id;
  useEffect(() => {
    const list = frame.current;
    if (first < 0 || !list) return;
    const intoSight = () => {
      const { activeElement } = document;
      // Whoever works in the pile itself keeps what they are at.
      if (list.contains(activeElement)) return activeElement!.scrollIntoView({ block: 'nearest' });
      const top = first * HEIGHT;
      if (top < list.scrollTop) list.scrollTop = top;
      else if (top + HEIGHT > list.scrollTop + list.clientHeight)
        list.scrollTop = top + HEIGHT - list.clientHeight;
    };
    // It looks once the list lies as it will, and again when what stands above it needs more room.
    const watch = new ResizeObserver(intoSight);
    watch.observe(list);
    return () => watch.disconnect();
  }, [first, topmost]);
  return (
    <Box
      ref={frame}
      sx={{ px: 1, pb: 0.5, overflowY: 'auto', overflowAnchor: 'none', scrollbarWidth: 'thin' }}
    >
      <Box
        component="ol"
        aria-label="Pieces, top first"
        sx={{ position: 'relative', listStyle: 'none', m: 0, p: 0 }}
        style={{ height: seen.getTotalSize() }}
      >
        {seen.getVirtualItems().map(({ index, start }) => {
          const row = rows[index];
          return (
            row && (
              <Slab
                key={row.node.id}
                {...slab}
                row={row}
                at={start}
                place={index + 1}
                of={rows.length}
                picture={pictureOf(row)}
                open={open.has(row.node.id)}
              />
            )
          );
        })}
      </Box>
    </Box>
  );
}
