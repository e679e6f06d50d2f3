'use client';
/** Single pages in each other's place: the two of a spread, or one of each of two. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { IconArrowsRightLeft } from '@tabler/icons-react';
import { useState } from 'react';
import { swapPages, type PageAt } from '@/core/book/pages';
import { panelsOn } from '@/core/product';
import type { Surface } from '@/core/project/model';
import { useRoom, useSession } from '@/features/table/room/context';
import { Chosen } from '@/ui/Chosen';

const SIDES = ['left', 'right'] as const;

interface Props {
  /** One spread or two. */
  spreads: readonly Surface[];
  disabled: boolean;
}

export function SwapPages({ spreads, disabled }: Props) {
  const { store } = useRoom();
  const project = useSession((session) => session.history.project);
  const [sides, setSides] = useState<readonly PageAt['side'][]>(['left', 'right']);
  const [first, second = first] = spreads;
  if (!first || !second) return null;
  const swap = (of: readonly PageAt['side'][]) => {
    const [a, b] = [first, second].map(({ id }, i): PageAt => ({ surface: id, side: of[i]! }));
    const edit = swapPages(project, a!, b!);
    if (edit.ok) store.getState().perform(edit.value, { selection: [] });
    else store.getState().refuse(edit.message);
  };
  if (first === second)
    return (
      <Button
        color="inherit"
        disabled={disabled}
        startIcon={<IconArrowsRightLeft size={18} />}
        onClick={() => swap(SIDES)}
      >
        Swap its two pages
      </Button>
    );
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1, width: '100%', my: 0.75 }}>
      {[first, second].map((surface, i) => (
        <Chosen
          key={surface.id}
          label={i ? 'and' : 'One page alone'}
          value={sides[i]!}
          all={panelsOn(project, surface).map(({ name }, k) => [SIDES[k]!, name] as const)}
          disabled={disabled}
          onChoose={(side) => setSides(sides.map((before, k) => (k === i ? side : before)))}
        />
      ))}
      <Button
        color="inherit"
        disabled={disabled}
        startIcon={<IconArrowsRightLeft size={18} />}
        sx={{ gridColumn: '1 / -1', justifySelf: 'start' }}
        onClick={() => swap(sides)}
      >
        Swap these pages
      </Button>
    </Box>
  );
}
