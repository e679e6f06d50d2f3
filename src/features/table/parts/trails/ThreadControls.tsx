'use client';
/** Thread: which stitch, how thick, how long, in one colour or two that are twisted. */
import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { useMemo } from 'react';
import { STITCH_NAMES, STITCHES } from '@/core/trail/thread/stitches';
import {
  LONGEST_STITCH,
  NEW_THREAD,
  SHORTEST_STITCH,
  THICKEST_THREAD,
  THINNEST_THREAD,
  type ThreadTrail,
} from '@/core/trail/thread/thread';
import { formatLength, type Unit } from '@/core/units/lengths';
import { InkField } from '@/features/table/parts/inks/InkField';
import { measureWithin } from '@/features/table/parts/measures';
import { SampleGrid } from '@/features/table/parts/trails/SampleGrid';
import { Dial } from '@/ui/Dial';
import { LengthField } from '@/ui/LengthField';

interface Props {
  trail: ThreadTrail;
  unit: Unit;
  disabled: boolean;
  onChange: (trail: ThreadTrail) => void;
}

/** The second colour a twisted thread begins with. */
const SECOND = '#f3e3c0';

export function ThreadControls({ trail, unit, disabled, onChange }: Props) {
  const { stitch, colours } = trail;
  const [first, second] = colours as [string, string?];
  const { gaps, broad, dense, arms: wide } = STITCHES[stitch];
  const samples = useMemo(
    () =>
      STITCH_NAMES.map((name) => ({
        name: STITCHES[name].name,
        says: STITCHES[name].says,
        trail: {
          ...NEW_THREAD,
          ...{ stitch: name, colours: second ? [first, second] : [first], width: 2.4 },
          ...{ length: 9, gap: 4, height: 8 },
        },
      })),
    [first, second],
  );
  const set = (change: Partial<ThreadTrail>) => onChange({ ...trail, ...change });
  const length = (label: string, of: 'width' | 'length' | 'gap' | 'height', least: number, most: number) => (
    <LengthField
      label={label}
      unit={unit}
      disabled={disabled}
      shown={formatLength(trail[of], unit)}
      read={measureWithin(unit, least, most)}
      onCommit={(value) => set({ [of]: value })}
    />
  );
  const across = broad || wide;
  return (
    <>
      <SampleGrid
        label="Stitch"
        samples={samples}
        chosen={STITCHES[stitch].name}
        disabled={disabled}
        wide={0}
        onChoose={(name) => set({ stitch: STITCH_NAMES.find((each) => STITCHES[each].name === name)! })}
      />
      {length('Thickness', 'width', THINNEST_THREAD, THICKEST_THREAD)}
      {!dense && length('Length of a stitch', 'length', SHORTEST_STITCH, LONGEST_STITCH)}
      {(gaps || dense === 0) && length('Gap', 'gap', 0, LONGEST_STITCH)}
      {across && length('Across the line', 'height', SHORTEST_STITCH, LONGEST_STITCH)}
      <Box sx={{ gridColumn: '1 / -1' }}>
        <InkField
          label="Thread"
          colour={first}
          disabled={disabled}
          onChange={(colour) => set({ colours: second ? [colour, second] : [colour] })}
        />
      </Box>
      <FormControlLabel
        sx={{ gridColumn: '1 / -1', my: -0.5 }}
        control={
          <Switch
            checked={second !== undefined}
            disabled={disabled}
            onChange={(event) => set({ colours: event.target.checked ? [first, SECOND] : [first] })}
          />
        }
        label="Twisted with a second colour"
      />
      {second !== undefined && (
        <Box sx={{ gridColumn: '1 / -1' }}>
          <InkField
            label="Second colour"
            colour={second}
            disabled={disabled}
            onChange={(colour) => set({ colours: [first, colour] })}
          />
        </Box>
      )}
      <Box sx={{ gridColumn: '1 / -1' }}>
        <Dial
          name="Drawn tight"
          unit="%"
          least={0}
          most={100}
          value={Math.round(trail.tension * 100)}
          disabled={disabled}
          onChange={(value) => set({ tension: value / 100 })}
        />
      </Box>
    </>
  );
}
