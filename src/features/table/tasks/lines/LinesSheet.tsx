'use client';
/** What lines are drawn with, how a hand is led, and the lines of the piece that is drawn on. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import Typography from '@mui/material/Typography';
import { IconEraser, IconHandFinger } from '@tabler/icons-react';
import { useEffect, useState, type ReactNode } from 'react';
import { erasing, trailSays, type Trail } from '@/core/trail';
import { newPaint } from '@/core/trail/paint/paint';
import * as act from '@/features/table/acts';
import { inWords } from '@/storage/trouble';
import { SideSheet } from '@/features/table/parts/SideSheet';
import { tipsIn } from '@/features/table/parts/trails/Pictures';
import { inkOf, SPOOLS } from '@/features/table/parts/trails/spools';
import { TrailControls } from '@/features/table/parts/trails/TrailControls';
import { KeepDialog } from '@/features/table/room/KeepDialog';
import { useRoom, useSession } from '@/features/table/room/context';
import { GUIDES, type Guide } from '@/features/table/session/lining';
import { LinesList } from '@/features/table/tasks/lines/LinesList';
import { Dial } from '@/ui/Dial';

const LEADS: Record<Guide, { name: string; says: string }> = {
  free: {
    name: 'By hand',
    says: 'Draw on the page. With Shift a line is straight, with Ctrl as well every 15 degrees.',
  },
  straight: { name: 'Straight', says: 'Pull from one end to the other; with Ctrl every 15 degrees.' },
  round: { name: 'In a circle', says: 'Pull from the middle outwards.' },
  edge: {
    name: 'Along an edge',
    says: 'Begin near the edge of a piece and follow it; all the way round it closes.',
  },
};

/** What is chosen in the row: a sort of trail, the eraser, or taking hold. */
type Way = Trail['kind'] | 'eraser' | 'hold';

export function LinesSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const lining = useSession((session) => session.lining);
  const held = useSession((session) => act.heldLine(session)?.line);
  const piece = useSession((session) => act.linesPieceOf(session));
  const unit = useSession((session) => session.history.project.unit);
  const readOnly = useSession((session) => session.readOnly);
  const selection = useSession((session) => session.selection);
  useEffect(() => act.takeUpLines(store), [store, selection]);
  const { hand, guide, choosing } = lining;
  const trail = held?.trail ?? hand;
  const erases = erasing(trail);
  const way: Way = choosing ? 'hold' : erases === 'within' ? 'eraser' : trail.kind;
  const take = (next: Way) => {
    if (next === 'hold') return act.setLining(store, { choosing: true });
    act.setLining(store, { choosing: false, held: null });
    const now = store.getState();
    const ink = erases ? '#25232a' : inkOf(trail);
    if (next === 'eraser')
      return act.setLining(store, { hand: { ...newPaint('round', ink), width: 12, erase: true } });
    const gathered = tipsIn(now.history.project);
    const begun = SPOOLS.find(({ kind }) => kind === next)!.begin(ink, gathered);
    if (begun) act.setLining(store, { hand: begun });
    else act.wantTips(store);
  };
  return (
    <SideSheet title="Paint and thread" onClose={onClose}>
      <Box
        role="group"
        aria-label="What is drawn with"
        sx={{ mb: 1, display: 'grid', gridTemplateColumns: 'repeat(5, 1fr)', gap: 0.5 }}
      >
        {SPOOLS.map(({ kind, name, icon }) => (
          <Sort key={kind} name={name} chosen={way === kind} onChoose={() => take(kind)}>
            {icon}
          </Sort>
        ))}
        <Sort name="Eraser" chosen={way === 'eraser'} onChoose={() => take('eraser')}>
          <IconEraser size={22} />
        </Sort>
        <Sort name="Hold" chosen={way === 'hold'} onChoose={() => take('hold')}>
          <IconHandFinger size={22} />
        </Sort>
      </Box>
      <Typography role="status" variant="body2" sx={{ mb: 1.25 }}>
        {held && erases === 'beyond'
          ? 'Held: a cut through what was drawn before it. Delete takes it back.'
          : held
            ? 'Held: what you change here is changed of this line. Delete takes it away.'
            : choosing
              ? 'Press a drawn line on the page to take hold of it.'
              : LEADS[guide].says}
      </Typography>
      {(!choosing || held) && (
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: '12px 8px', alignItems: 'center' }}>
          {trail.kind === 'stamps' && !held && <FromPage />}
          <TrailControls
            trail={trail}
            unit={unit}
            disabled={readOnly}
            onChange={(next) => act.drawWith(store, next)}
          />
          {!held && (
            <TextField
              select
              label="The hand is led"
              value={guide}
              onChange={(event) => act.setLining(store, { guide: event.target.value as Guide })}
              sx={{ gridColumn: '1 / -1' }}
            >
              {GUIDES.map((each) => (
                <MenuItem key={each} value={each}>
                  {LEADS[each].name}
                </MenuItem>
              ))}
            </TextField>
          )}
          {(held ? erases !== 'beyond' : guide === 'free') && (
            <Box sx={{ gridColumn: '1 / -1' }}>
              <Dial
                name="Steadied"
                unit="%"
                least={0}
                most={100}
                value={Math.round((held?.smoothing ?? lining.smoothing) * 100)}
                disabled={readOnly}
                onChange={(value) => act.smoothLines(store, value / 100)}
              />
            </Box>
          )}
        </Box>
      )}
      <Keep trail={trail} />
      {piece && (
        <>
          <LinesList piece={piece} held={lining.held} readOnly={readOnly} />
          <Button variant="outlined" color="inherit" onClick={() => act.finishLines(store)} sx={{ mt: 1 }}>
            Begin another piece
          </Button>
        </>
      )}
    </SideSheet>
  );
}

/** Pieces that are selected, but drawn ones, can be stamped with. */
function FromPage() {
  const { store } = useRoom();
  const count = useSession((session) => (act.linesPieceOf(session) ? 0 : session.selection.length));
  const [making, setMaking] = useState(false);
  if (!count) return null;
  const make = async () => {
    setMaking(true);
    try {
      const { stampWithChosen } = await import('@/features/table/acts/tips');
      const done = await stampWithChosen(store);
      if (!done.ok) store.getState().refuse(done.message);
    } catch (error) {
      store.getState().refuse(inWords(error, 'It was not made a tip'));
    } finally {
      setMaking(false);
    }
  };
  return (
    <Button
      variant="outlined"
      color="inherit"
      disabled={making}
      onClick={() => void make()}
      sx={{ gridColumn: '1 / -1' }}
    >
      {making ? 'Making a tip of it …' : 'Stamp with what is selected'}
    </Button>
  );
}

/** What is in the hand as a ready line of the cupboard. */
function Keep({ trail }: { trail: Trail }) {
  const [keeping, setKeeping] = useState(false);
  const unit = useSession((session) => session.history.project.unit);
  if (erasing(trail)) return null;
  return (
    <>
      <Button color="inherit" size="small" onClick={() => setKeeping(true)} sx={{ mt: 1 }}>
        Keep it in the cupboard …
      </Button>
      {keeping && (
        <KeepDialog
          title="Keep this to draw with"
          name={trailSays(trail, unit)}
          onClose={() => setKeeping(false)}
          onKeep={async (kept) => {
            const { keepLine } = await import('@/features/table/acts/keepSupply');
            return keepLine(trail, kept);
          }}
        />
      )}
    </>
  );
}

interface SortProps {
  name: string;
  chosen: boolean;
  onChoose: () => void;
  children: ReactNode;
}

const Sort = ({ name, chosen, onChoose, children }: SortProps) => (
  <ToggleButton
    value={name}
    selected={chosen}
    onChange={onChoose}
    sx={{ flexDirection: 'column', gap: 0.25, px: 0, py: 0.75, fontSize: '0.8rem', textTransform: 'none' }}
  >
    {children}
    {name}
  </ToggleButton>
);
