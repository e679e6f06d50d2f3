'use client';
/** Colours over several pieces at once: a run from ink to ink, or each a little different. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { IconDice5 } from '@tabler/icons-react';
import { useState } from 'react';
import { inkSlots } from '@/core/inks/used';
import { differ, ORDERS, runAcross, type Order } from '@/core/project/edits/across';
import type { Piece } from '@/core/piece/piece';
import { InkRun } from '@/features/table/parts/inks/InkRun';
import { useRoom, useSession } from '@/features/table/room/context';
import { settledPieces } from '@/features/table/session';
import { SideSheet } from '@/features/table/parts/SideSheet';
import { RowSlider } from '@/ui/RowSlider';
import { OneOf } from '@/ui/OneOf';

const ORDER_NAMES: Record<Order, string> = {
  across: 'from left to right',
  down: 'from top to bottom',
  pile: 'from the lowest up',
};

/** Which inks they wear, each with whose it is. */
const inksOf = (pieces: readonly Piece[]): string =>
  JSON.stringify(pieces.map((piece) => [piece.id, inkSlots(piece).map(({ colour }) => colour)]));

export function AcrossSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const readOnly = useSession((session) => session.readOnly);
  const selection = useSession((session) => session.selection);
  useSession((session) => session.history);
  const session = store.getState();
  const pieces = settledPieces(session, selection).filter(({ placement }) => !placement.locked);
  const [how, setHow] = useState<'run' | 'differ'>('run');
  const [colours, setColours] = useState(['#24506b', '#9fc3c9', '#f2e2b8']);
  const [order, setOrder] = useState<Order>('across');
  const [amount, setAmount] = useState(0.4);
  const [seed, setSeed] = useState(1);
  /** As they were before the first change, and the inks chance left them in: it starts from there while they wear those. */
  const [begun, setBegun] = useState<{ pieces: readonly Piece[]; left: string } | null>(null);
  const base = begun?.left === inksOf(pieces) ? begun.pieces : null;
  const disabled = readOnly || pieces.length < 2;
  const run = (next: readonly string[], by: Order) => {
    if (!disabled) session.perform(runAcross(session.surfaceId, pieces, next, by));
  };
  const chance = (much: number, by: number) => {
    const from = base ?? pieces;
    session.perform(differ(session.surfaceId, from, much, by));
    setBegun({ pieces: from, left: inksOf(settledPieces(store.getState(), selection)) });
  };
  return (
    <SideSheet title="Colours across pieces" onClose={onClose}>
      <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.25 }}>
        <Typography role="status" variant="body2" color="text.secondary">
          {pieces.length < 2 ? 'Select two or more pieces.' : `${pieces.length} pieces.`}
        </Typography>
        <OneOf
          label="How their colours go together"
          value={how}
          all={[
            ['run', 'From ink to ink'],
            ['differ', 'A little different'],
          ]}
          wide
          onChoose={(next: 'run' | 'differ') => setHow(next)}
        />
        {how === 'run' ? (
          <>
            <InkRun
              colours={colours}
              disabled={readOnly}
              onChange={(next) => {
                setColours(next);
                run(next, order);
              }}
            />
            <TextField
              select
              label="In which order"
              value={order}
              disabled={readOnly}
              onChange={(event) => {
                setOrder(event.target.value as Order);
                run(colours, event.target.value as Order);
              }}
            >
              {ORDERS.map((each) => (
                <MenuItem key={each} value={each}>
                  {ORDER_NAMES[each]}
                </MenuItem>
              ))}
            </TextField>
            <Button
              variant="contained"
              disabled={disabled}
              onClick={() => run(colours, order)}
              sx={{ alignSelf: 'flex-start' }}
            >
              Ink them
            </Button>
          </>
        ) : (
          <>
            <RowSlider
              label="How different"
              least={5}
              most={100}
              value={Math.round(amount * 100)}
              disabled={disabled}
              onChange={(value) => {
                setAmount(value / 100);
                chance(value / 100, seed);
              }}
            />
            <Button
              variant="contained"
              disabled={disabled}
              startIcon={<IconDice5 size={18} />}
              onClick={() => {
                chance(amount, seed);
                setSeed(seed + 1);
              }}
              sx={{ alignSelf: 'flex-start' }}
            >
              {base ? 'By another chance' : 'Make them differ'}
            </Button>
          </>
        )}
      </Box>
    </SideSheet>
  );
}
