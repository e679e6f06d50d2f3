'use client';
/** What is known of the printers at home: measured once with a test sheet, made good from then on. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Sides } from '@/core/geometry/sides';
import {
  LONGEST_PRINTER,
  MOST_LOST,
  MOST_OFF,
  MOST_PRINTERS,
  printerUsed,
  USUAL,
  type Printer,
  type Printers,
} from '@/core/packing/printer';
import type { TurnedOver } from '@/core/packing/sheets';
import { formatLength, fromPoints, toPoints, type Unit } from '@/core/units/lengths';
import { newId } from '@/features/shared/ids';
import { measureWithin, numberWithin } from '@/features/table/parts/measures';
import { Chosen } from '@/ui/Chosen';
import { LengthField } from '@/ui/LengthField';

interface Props {
  printers: Printers;
  unit: Unit;
  onChange: (change: Partial<Printers>) => void;
  /** The test sheet is wanted: to be printed by the stand-in, or as a file. */
  onTest: (printed: boolean) => void;
  onClose: () => void;
}

const EDGES: readonly (readonly [keyof Sides, string])[] = [
  ['top', 'White at the top'],
  ['bottom', 'At the foot'],
  ['left', 'At the left'],
  ['right', 'At the right'],
];
const MOST = fromPoints(MOST_OFF, 'mm');

export function PrinterDialog({ printers, unit, onChange, onTest, onClose }: Props) {
  const printer = printerUsed(printers);
  const { id, name, lost, over, off } = printer;
  const set = (change: Partial<Printer>) =>
    onChange({ all: printers.all.map((each) => (each.id === id ? { ...each, ...change } : each)) });
  const shift = (side: 'x' | 'y', label: string) => (
    <LengthField
      label={label}
      unit="mm"
      shown={String(Number(fromPoints(off[side], 'mm').toFixed(1)))}
      read={numberWithin(-MOST, MOST)}
      onCommit={(value) => set({ off: { ...off, [side]: toPoints(value, 'mm') } })}
    />
  );
  const add = () => {
    const fresh: Printer = { ...USUAL, id: newId(), name: `Printer ${printers.all.length + 1}` };
    onChange({ used: fresh.id, all: [...printers.all, fresh] });
  };
  const remove = () => {
    const all = printers.all.filter((each) => each.id !== id);
    onChange({ all, used: all[0]!.id });
  };
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="printer-title">
      <DialogTitle id="printer-title" variant="h2" sx={{ pb: 1 }}>
        Your printer
      </DialogTitle>
      <DialogContent sx={{ display: 'flex', flexDirection: 'column', gap: 2 }}>
        <Typography variant="body2">
          Print the test sheet on both sides, at 100 %. Along each edge, the first step you can see says what
          stays white there. Held against the light, the red lines of the back say how far off it comes out.
        </Typography>
        <Box sx={{ display: 'flex', gap: 1 }}>
          <Button variant="outlined" onClick={() => onTest(false)}>
            Test sheet
          </Button>
          <Button color="inherit" onClick={() => onTest(true)}>
            Try it out
          </Button>
          <Box sx={{ flex: 1 }} />
          <Button color="inherit" disabled={printers.all.length >= MOST_PRINTERS} onClick={add}>
            Another printer
          </Button>
          <Button color="inherit" disabled={printers.all.length < 2} onClick={remove}>
            Take this one away
          </Button>
        </Box>
        <TextField
          label="Name of the printer"
          value={name}
          onChange={(event) => set({ name: event.target.value || ' ' })}
          onBlur={() => set({ name: name.trim() || USUAL.name })}
          slotProps={{ htmlInput: { maxLength: LONGEST_PRINTER } }}
        />
        <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(4, 1fr)', gap: 1.5 }}>
          {EDGES.map(([edge, label]) => (
            <LengthField
              key={edge}
              label={label}
              unit={unit}
              shown={formatLength(lost[edge], unit)}
              read={measureWithin(unit, 0, MOST_LOST)}
              onCommit={(value) => set({ lost: { ...lost, [edge]: value } })}
            />
          ))}
        </Box>
        <Box sx={{ display: 'grid', gridTemplateColumns: '2fr 1fr 1fr', gap: 1.5 }}>
          <Chosen<TurnedOver>
            label="For its other side the paper is turned"
            value={over}
            all={[
              ['sideways', 'Like the page of a book'],
              ['over', 'Over its head'],
            ]}
            disabled={false}
            onChoose={(next) => set({ over: next })}
          />
          {shift('x', 'Backs off, across')}
          {shift('y', 'Backs off, down')}
        </Box>
      </DialogContent>
      <DialogActions sx={{ px: 3, pb: 2 }}>
        <Button variant="contained" onClick={onClose}>
          Done
        </Button>
      </DialogActions>
    </Dialog>
  );
}
