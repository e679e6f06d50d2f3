'use client';
/** What one wishes of a book that is laid by itself: its design, its pages, its photos. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { IconArrowsShuffle } from '@tabler/icons-react';
import type { FlowWish } from '@/core/book/plan';
import { FEWEST_PAGES } from '@/core/product/book/settings';
import type { ReadyMadeSupply } from '@/features/shared/useReadyMade';
import { wholeWithin } from '@/features/table/parts/measures';
import { DesignPicker } from '@/features/table/tasks/book/DesignPicker';
import { Chosen } from '@/ui/Chosen';
import { LengthField } from '@/ui/LengthField';
import { Turned } from '@/ui/Turned';

interface Props {
  ready: readonly ReadyMadeSupply[] | null;
  design: string;
  wish: FlowWish;
  /** Pages it has now, as its binding has them; and how many it may have. */
  pages: number;
  most: number;
  faces: boolean;
  disabled: boolean;
  onDesign: (id: string) => void;
  onWish: (to: Partial<FlowWish>) => void;
  onFaces: (on: boolean) => void;
}

export function FlowWishes({ ready, design, wish, pages, most, faces, disabled, ...on }: Props) {
  return (
    <>
      <DesignPicker ready={ready} chosen={design} onChoose={on.onDesign} />
      <Box sx={{ display: 'grid', gridTemplateColumns: wish.pages === null ? '1fr' : '1fr 1fr', gap: 1 }}>
        <Chosen
          label="Pages"
          value={wish.pages === null ? 'free' : 'set'}
          all={[
            ['free', 'As many as it takes'],
            ['set', 'So many'],
          ]}
          disabled={disabled}
          onChoose={(how) => on.onWish({ pages: how === 'free' ? null : pages })}
        />
        {wish.pages !== null && (
          <LengthField
            label="How many"
            shown={String(wish.pages)}
            read={wholeWithin(FEWEST_PAGES, most)}
            disabled={disabled}
            onCommit={(count) => on.onWish({ pages: count })}
          />
        )}
      </Box>
      <Box sx={{ display: 'grid' }}>
        <Turned
          label="Occasions open with a title"
          on={wish.chapters}
          disabled={disabled}
          onTurn={(chapters) => on.onWish({ chapters })}
        />
        <Turned
          label="One of those that are alike"
          on={wish.oneOfAlike}
          disabled={disabled}
          onTurn={(oneOfAlike) => on.onWish({ oneOfAlike })}
        />
        <Turned label="Keep faces whole" on={faces} disabled={disabled} onTurn={on.onFaces} />
      </Box>
      <Button
        color="inherit"
        variant="outlined"
        disabled={disabled}
        startIcon={<IconArrowsShuffle size={18} />}
        onClick={() => on.onWish({ seed: wish.seed + 1 })}
      >
        Deal them otherwise
      </Button>
    </>
  );
}
