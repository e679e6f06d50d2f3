'use client';
/** Prints ordered from a shop: what is sent, what the shop found, each fault one press from its cure, and what was ordered before. */
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useMemo, useState } from 'react';
import type { Catalogue } from '@/core/order/answers';
import { LONGEST_NAME, LONGEST_NOTE, MOST_COPIES_ORDERED } from '@/core/order/ticket';
import { CONDITIONS } from '@/core/press/conditions';
import { productSays } from '@/core/product';
import { jobOf } from '@/core/product/job';
import { shortened } from '@/core/text/named';
import { wholeWithin } from '@/features/table/parts/measures';
import { useSession } from '@/features/table/room/context';
import { OutColumns } from '@/features/table/tasks/making/OutColumns';
import { catalogue } from '@/features/table/tasks/making/order/shop';
import { OrderKept } from '@/features/table/tasks/making/order/OrderKept';
import { Refused } from '@/features/table/tasks/making/order/Refused';
import type { useOrder, OrderWish } from '@/features/table/tasks/making/order/useOrder';
import type { OrderRow } from '@/storage/database';
import { Chosen } from '@/ui/Chosen';
import { LengthField } from '@/ui/LengthField';
import { useKept } from '@/ui/useKept';

interface Props {
  order: ReturnType<typeof useOrder>;
  onClose: () => void;
}

const FIRST: OrderWish = { customer: '', note: '', copies: 1, condition: 'coated' };
const asWish = (kept: unknown): OrderWish => {
  const { customer } = kept as { customer?: unknown };
  return { ...FIRST, customer: typeof customer === 'string' ? shortened(customer, LONGEST_NAME) : '' };
};

export function OrderPrints({ order: { ordering, busy, orders, order, forget, cancel }, onClose }: Props) {
  const project = useSession((session) => session.history.project);
  const job = useMemo(() => jobOf(project), [project]);
  const [shop, setShop] = useState<Catalogue | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [wish, change] = useKept('bellagraph order', FIRST, asWish);
  useEffect(() => {
    void catalogue().then((answer) => (answer.ok ? setShop(answer.value) : setProblem(answer.message)));
  }, []);
  const isTaken = ({ state }: OrderRow) => Boolean(state.answer?.accepted);
  const open = orders?.find((row) => !isTaken(row)) ?? null;
  const kept = (orders ?? []).filter(isTaken);
  const known = CONDITIONS.filter(({ data }) => shop?.conditions.includes(data));
  const unnamed = !wish.customer.trim();
  return (
    <OutColumns
      choices={
        <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.5 }}>
          {shop && (
            <Box>
              <Typography variant="h3">{shop.name}</Typography>
              <Typography variant="body2" color="text.secondary" sx={{ mt: 0.5 }}>
                {shop.says}
              </Typography>
            </Box>
          )}
          {problem && <Alert severity="warning">{problem}</Alert>}
          {!job && (
            <Alert severity="info">
              No shop makes cards packed on paper: print them at home, or make their files for a shop.
            </Alert>
          )}
          {job && shop && (
            <>
              <Box sx={{ display: 'grid', gridTemplateColumns: '96px 1fr', gap: 1.5, mt: 0.5 }}>
                <LengthField
                  label="Copies"
                  disabled={busy}
                  shown={String(wish.copies)}
                  read={wholeWithin(1, MOST_COPIES_ORDERED)}
                  onCommit={(copies) => change({ copies })}
                />
                <Chosen
                  label="Printed on"
                  value={wish.condition}
                  all={known.map(({ id, name }) => [id, name] as const)}
                  disabled={busy}
                  onChoose={(condition) => change({ condition })}
                />
              </Box>
              <TextField
                label="Who it is for"
                value={wish.customer}
                disabled={busy}
                required
                onChange={(event) => change({ customer: event.target.value })}
                slotProps={{ htmlInput: { maxLength: LONGEST_NAME } }}
              />
              <TextField
                label="A word to the shop"
                value={wish.note}
                disabled={busy}
                multiline
                minRows={2}
                onChange={(event) => change({ note: event.target.value })}
                slotProps={{ htmlInput: { maxLength: LONGEST_NOTE } }}
              />
              <Typography variant="body2" color="text.secondary">
                It asks for {shop.bleed} mm of bleed, photos of {shop.leastPpi} pixels per inch and more, and
                PDF/X-4 for its press. Nothing leaves this computer.
              </Typography>
            </>
          )}
        </Box>
      }
      outcome={
        <>
          {job && (
            <Box>
              <Typography variant="h3">What is sent</Typography>
              <Typography variant="body2" sx={{ mt: 0.5 }}>
                {productSays(project, project.unit)}, {wish.copies === 1 ? 'once' : `${wish.copies} times`}:{' '}
                {job.files
                  .map(({ name, pages }) => `${name} with ${pages} ${pages === 1 ? 'page' : 'pages'}`)
                  .join(' and ')}
                , with bleed, as PDF/X-4, and a ticket that tells of them.
              </Typography>
            </Box>
          )}
          <Box aria-live="polite" sx={{ display: 'contents' }}>
            {ordering.state === 'busy' && (
              <Box>
                <Typography variant="body2" sx={{ mb: 0.75 }}>
                  {ordering.doing} …
                </Typography>
                <LinearProgress variant="determinate" value={ordering.share * 100} aria-label="The order" />
              </Box>
            )}
            {ordering.state === 'failed' && <Alert severity="error">{ordering.message}</Alert>}
            {open && !busy && <Refused row={open} onShown={onClose} onForget={() => forget(open)} />}
          </Box>
          {kept.length > 0 && (
            <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.5 }}>
              <Typography variant="h3">Ordered</Typography>
              {kept.map((row) => (
                <OrderKept key={row.id} row={row} />
              ))}
            </Box>
          )}
        </>
      }
      actions={
        <>
          <Box sx={{ flex: 1 }} />
          <Button color="inherit" onClick={busy ? cancel : onClose}>
            {busy ? 'Cancel' : 'Back to the table'}
          </Button>
          <Button
            variant="contained"
            size="large"
            disabled={busy || !job || !shop || unnamed || orders === null}
            onClick={() => void order({ ...wish, customer: wish.customer.trim() }, shop!.name)}
          >
            {open ? 'Send it again' : 'Send the order'}
          </Button>
        </>
      }
    />
  );
}
