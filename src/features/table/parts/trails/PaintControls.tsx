'use client';
/** Paint: which tip, in which ink, how wide. */
import Box from '@mui/material/Box';
import { useMemo } from 'react';
import { FINEST_TRAIL, WIDEST_TRAIL } from '@/core/trail/fields';
import { newPaint, type PaintTrail } from '@/core/trail/paint/paint';
import { PAINT_TIP_NAMES, PAINT_TIPS, type PaintTipName } from '@/core/trail/paint/tips';
import { formatLength, type Unit } from '@/core/units/lengths';
import { InkField } from '@/features/table/parts/inks/InkField';
import { measureWithin, readDegrees } from '@/features/table/parts/measures';
import { SampleGrid } from '@/features/table/parts/trails/SampleGrid';
import { Dial } from '@/ui/Dial';
import { LengthField } from '@/ui/LengthField';

interface Props {
  trail: PaintTrail;
  unit: Unit;
  disabled: boolean;
  onChange: (trail: PaintTrail) => void;
}

/** Of a tip that rubs out there are the clean and the soft one. */
const RUBBERS: readonly PaintTipName[] = ['round', 'soft'];

export function PaintControls({ trail, unit, disabled, onChange }: Props) {
  const { tip, colour, erase } = trail;
  const { angled, hardness } = PAINT_TIPS[tip];
  const samples = useMemo(
    () =>
      (erase ? RUBBERS : PAINT_TIP_NAMES).map((name) => ({
        name: PAINT_TIPS[name].name,
        says: PAINT_TIPS[name].says,
        trail: newPaint(name, erase ? '#25232a' : colour, 7),
      })),
    [colour, erase],
  );
  const set = (change: Partial<PaintTrail>) => onChange({ ...trail, ...change });
  const share = (label: string, of: 'opacity' | 'hardness' | 'taper', most = 100) => (
    <Box sx={{ gridColumn: '1 / -1' }}>
      <Dial
        name={label}
        unit="%"
        least={0}
        most={most}
        value={Math.round(trail[of] * 100)}
        disabled={disabled}
        onChange={(value) => set({ [of]: value / 100 })}
      />
    </Box>
  );
  return (
    <>
      <SampleGrid
        label="Tip"
        samples={samples}
        chosen={PAINT_TIPS[tip].name}
        disabled={disabled}
        wide={11}
        onChoose={(name) => {
          const next = PAINT_TIP_NAMES.find((each) => PAINT_TIPS[each].name === name)!;
          const { width, opacity, hardness: first } = newPaint(next, colour);
          set({ tip: next, opacity, hardness: first, ...(erase ? {} : { width }) });
        }}
      />
      <LengthField
        label="Width"
        unit={unit}
        disabled={disabled}
        shown={formatLength(trail.width, unit)}
        read={measureWithin(unit, FINEST_TRAIL, WIDEST_TRAIL)}
        onCommit={(width) => set({ width })}
      />
      {angled ? (
        <LengthField
          label="Held at, degrees"
          unit="°"
          disabled={disabled}
          shown={String(Math.round(trail.angle * 10) / 10)}
          read={readDegrees}
          onCommit={(angle) => set({ angle: ((angle % 360) + 360) % 360 })}
        />
      ) : (
        <span />
      )}
      {!erase && (
        <Box sx={{ gridColumn: '1 / -1' }}>
          <InkField
            label="Ink"
            colour={colour}
            disabled={disabled}
            onChange={(next) => set({ colour: next })}
          />
        </Box>
      )}
      {share(erase ? 'Takes away' : 'Covers', 'opacity')}
      {hardness && share(hardness.name, 'hardness')}
      {share('Runs out at both ends', 'taper', 50)}
    </>
  );
}
