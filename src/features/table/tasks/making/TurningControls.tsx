'use client';
/** How cards come onto paper: which way it is turned for their backs, how far off those come out, and a plan of the cuts. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { TurnedOver } from '@/core/packing/sheets';
import { fromPoints, toPoints } from '@/core/units/lengths';
import type { PaperWishes } from '@/core/packing/on-paper';
import { MOST_OFF } from '@/features/table/tasks/making/useBacks';
import { numberWithin } from '@/features/table/parts/measures';
import { Chosen } from '@/ui/Chosen';
import { LengthField } from '@/ui/LengthField';
import { Turned } from '@/ui/Turned';

interface Props {
  wishes: PaperWishes;
  /** Whether anything is printed on the other side. */
  backs: boolean;
  disabled: boolean;
  onChange: (change: Partial<PaperWishes>) => void;
  onTest: () => void;
}

const MOST = fromPoints(MOST_OFF, 'mm');

export function TurningControls({
  wishes: { over, off = { x: 0, y: 0 }, plan },
  backs,
  disabled,
  onChange,
  onTest,
}: Props) {
  const shift = (side: 'x' | 'y', label: string) => (
    <LengthField
      label={label}
      unit="mm"
      disabled={disabled}
      shown={String(Number(fromPoints(off[side], 'mm').toFixed(1)))}
      read={numberWithin(-MOST, MOST)}
      onCommit={(value) => onChange({ off: { ...off, [side]: toPoints(value, 'mm') } })}
    />
  );
  return (
    <Box sx={{ mb: 1.5, display: 'grid', gap: 1.5 }}>
      <Turned
        label="With a plan of the cuts"
        on={plan}
        disabled={disabled}
        onTurn={(on) => onChange({ plan: on })}
      />
      {backs && (
        <>
          <Chosen<TurnedOver>
            label="For its other side the paper is turned"
            value={over}
            all={[
              ['sideways', 'Like the page of a book'],
              ['over', 'Over its head'],
            ]}
            disabled={disabled}
            onChoose={(next) => onChange({ over: next })}
          />
          <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr auto', gap: 1, alignItems: 'start' }}>
            {shift('x', 'Backs off, across')}
            {shift('y', 'Backs off, down')}
            <Button color="inherit" variant="outlined" disabled={disabled} onClick={onTest}>
              Test page
            </Button>
          </Box>
          <Typography variant="body2" color="text.secondary">
            The test page, printed on both sides and held against the light, says how far off your printer is;
            it is made good from then on.
          </Typography>
        </>
      )}
    </Box>
  );
}
