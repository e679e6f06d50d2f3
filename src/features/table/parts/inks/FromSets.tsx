'use client';
/** Inks out of the sets: found by name, in their order or sorted; retired ones are not offered. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { familyOf, orderOf, sortedInks } from '@/core/inks/sets';
import type { NamedInk, Supply } from '@/core/supplies/model';
import { folded } from '@/core/text/folded';
import { InkOrder } from '@/features/shared/InkOrder';
import { InkDots } from '@/features/shared/InkDots';
import type { InkChoice } from '@/features/table/parts/inks/useInks';
import { arrangeSet, offered } from '@/features/table/parts/inks/useInks';
import { Heading } from '@/ui/Heading';

const ORDERS = {
  set: 'As I put them',
  hue: 'By hue',
  light: 'From light to dark',
  family: 'By family',
} as const;
/** Dots of one set that are shown; more are found by name. */
const MOST_SHOWN = 300;

export function FromSets({ sets, colour, onChoose }: InkChoice & { sets: readonly Supply[] }) {
  const [words, setWords] = useState('');
  const [order, setOrder] = useState<keyof typeof ORDERS>('set');
  /** The set whose inks are being put in order. */
  const [arranging, setArranging] = useState('');
  const shown = useMemo(() => {
    const typed = folded(words).split(/\s+/).filter(Boolean);
    const fits = ({ name }: NamedInk) => {
      const known = folded(name).split(/\s+/);
      return typed.every((word) => known.some((one) => one.startsWith(word)));
    };
    if (order === 'set')
      return sets
        .map((set) => ({ id: set.id, name: set.name, inks: offered(set).filter(fits) }))
        .filter(({ inks }) => inks.length > 0);
    const all = sets.flatMap(offered).filter(fits);
    // One that lies in several sets is shown once.
    const unlike = [...new Map(all.map((ink) => [ink.colour, ink])).values()];
    const inks = sortedInks(unlike, order).map((i) => unlike[i]!);
    if (order !== 'family') return [{ id: order, name: ORDERS[order], inks }];
    return [...new Set(inks.map(familyOf))].map((name) => ({
      id: name,
      name,
      inks: inks.filter((ink) => familyOf(ink) === name),
    }));
  }, [sets, words, order]);
  return (
    <>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1, mb: 1.5 }}>
        <TextField label="Find an ink" value={words} onChange={(event) => setWords(event.target.value)} />
        <TextField
          select
          label="Order"
          value={order}
          onChange={(event) => setOrder(event.target.value as keyof typeof ORDERS)}
        >
          {Object.entries(ORDERS).map(([id, name]) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
        </TextField>
      </Box>
      {shown.every(({ inks }) => !inks.length) && (
        <Typography role="status" color="text.secondary">
          {sets.length ? 'No ink is called that.' : 'Reading the ink sets ...'}
        </Typography>
      )}
      {shown.map(({ id, name, inks }) => (
        <Box key={id} sx={{ mb: 2 }}>
          <Heading>{name}</Heading>
          {arranging === id && order === 'set' ? (
            <Arranging set={sets.find((set) => set.id === id)!} onDone={() => setArranging('')} />
          ) : (
            <InkDots label={name} inks={inks.slice(0, MOST_SHOWN)} colour={colour} onChoose={onChoose} />
          )}
          {order === 'set' && !words && arranging !== id && inks.length > 1 && inks.length <= MOST_SHOWN && (
            <Button size="small" color="inherit" onClick={() => setArranging(id)}>
              Put in another order
            </Button>
          )}
          {inks.length > MOST_SHOWN && (
            <Typography variant="body2" color="text.secondary" sx={{ mt: 0.5 }}>
              And {inks.length - MOST_SHOWN} more: find them by name.
            </Typography>
          )}
        </Box>
      ))}
    </>
  );
}

/** The inks of one set, dragged into an order of one's own; those put by keep their places. */
function Arranging({ set, onDone }: { set: Supply; onDone: () => void }) {
  const inks = set.inks ?? [];
  const order = orderOf(set);
  return (
    <>
      <InkOrder
        inks={inks}
        order={order}
        onChoose={() => {}}
        onArrange={(next) => void arrangeSet(set, next)}
      />
      <Box sx={{ display: 'flex', gap: 0.5, flexWrap: 'wrap', mt: 0.5 }}>
        <Button size="small" variant="outlined" color="inherit" onClick={onDone}>
          Done
        </Button>
        <Button
          size="small"
          color="inherit"
          disabled={!set.arranged}
          onClick={() => void arrangeSet(set, [...inks.keys()])}
        >
          As the set came
        </Button>
      </Box>
    </>
  );
}
