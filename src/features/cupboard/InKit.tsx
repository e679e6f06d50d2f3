'use client';
/** Which kit one's own supplies lie in, and where in it. */
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { IconArrowDown, IconArrowUp } from '@tabler/icons-react';
import type { Kit, Supply } from '@/core/supplies/model';
import type { Cupboard } from '@/features/cupboard/useCupboard';
import { SmallButton } from '@/ui/SmallButton';

interface Props {
  chosen: readonly Supply[];
  cupboard: Cupboard;
  kit: Kit;
}

export function InKit({ chosen, cupboard, kit }: Props) {
  const own = cupboard.kits.filter(({ house }) => !house);
  const inOrder = () => {
    const all = cupboard.find('', { kit: kit.id }, () => false);
    return { all, at: all.findIndex(({ id }) => id === chosen[0]!.id) };
  };
  const { all, at } = inOrder();
  /** Changes places with the one before or after, as they lie by then. */
  const move = (by: 1 | -1) => {
    const now = inOrder();
    const [one, other] = [now.all[now.at], now.all[now.at + by]];
    if (!one || !other) return;
    // Counted anew: what came from another kit, or after others were taken out, may have a number that another has.
    const places = new Map(now.all.map(({ id }, place) => [id, place]));
    places.set(one.id, now.at + by).set(other.id, now.at);
    const moved = now.all.filter(({ id, order }) => places.get(id) !== order);
    void cupboard.change(moved, (supply) => ({ ...supply, order: places.get(supply.id)! }));
  };
  /** They lie last in the other kit, as they lay among themselves. */
  const goTo = (other: string) => {
    const there = cupboard.find('', { kit: other }, () => false);
    const from = Math.max(-1, ...there.map(({ order }) => order)) + 1;
    const coming = chosen.filter((supply) => supply.kit !== other);
    const places = new Map(coming.map(({ id }, i) => [id, from + i]));
    void cupboard.change(coming, (supply) => ({ ...supply, kit: other, order: places.get(supply.id)! }));
  };
  return (
    <Box sx={{ display: 'flex', gap: 0.5, alignItems: 'center' }}>
      <TextField
        select
        size="small"
        label="In the kit"
        value={chosen.every((supply) => supply.kit === kit.id) ? kit.id : ''}
        onChange={(event) => goTo(event.target.value)}
        sx={{ flex: 1 }}
      >
        {own.map(({ id, name }) => (
          <MenuItem key={id} value={id}>
            {name}
          </MenuItem>
        ))}
      </TextField>
      {chosen.length === 1 && (
        <>
          <SmallButton label="Earlier in the kit" disabled={at <= 0} onClick={() => move(-1)}>
            <IconArrowUp size={18} />
          </SmallButton>
          <SmallButton
            label="Later in the kit"
            disabled={at < 0 || at === all.length - 1}
            onClick={() => move(1)}
          >
            <IconArrowDown size={18} />
          </SmallButton>
        </>
      )}
    </Box>
  );
}
