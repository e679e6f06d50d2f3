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
    const [first, other] = [now.all[now.at], now.all[now.at + by]];
    if (!other || !first) return;
    const places = new Map([
      [first.id, other.order],
      [other.id, first.order],
    ]);
    void cupboard.change([first, other], (supply) => ({ ...supply, order: places.get(supply.id)! }));
  };
  return (
    <Box sx={{ display: 'flex', gap: 0.5, alignItems: 'center' }}>
      <TextField
        select
        size="small"
        label="In the kit"
        value={chosen.every((supply) => supply.kit === kit.id) ? kit.id : ''}
        onChange={(event) =>
          void cupboard.change(chosen, (supply) => ({ ...supply, kit: event.target.value }))
        }
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
