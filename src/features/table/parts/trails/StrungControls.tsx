'use client';
/** Things on a string: which, how large, how far apart, in which colours. */
import { useMemo } from 'react';
import {
  LARGEST_STRUNG,
  MOST_COLOURS,
  NEW_STRUNG,
  SMALLEST_STRUNG,
  STRUNG,
  STRUNG_NAMES,
  type StrungTrail,
} from '@/core/trail/strung';
import { formatLength, type Unit } from '@/core/units/lengths';
import { measureWithin } from '@/features/table/parts/measures';
import { ColourList } from '@/features/table/parts/trails/ColourList';
import { SampleGrid } from '@/features/table/parts/trails/SampleGrid';
import { LengthField } from '@/ui/LengthField';

interface Props {
  trail: StrungTrail;
  unit: Unit;
  disabled: boolean;
  onChange: (trail: StrungTrail) => void;
}

export function StrungControls({ trail, unit, disabled, onChange }: Props) {
  const { colours } = trail;
  const samples = useMemo(
    () =>
      STRUNG_NAMES.map((thing) => ({
        name: STRUNG[thing].name,
        says: STRUNG[thing].says,
        trail: { ...NEW_STRUNG, thing, colours, width: thing === 'lights' ? 6 : 8 },
      })),
    [colours],
  );
  const set = (change: Partial<StrungTrail>) => onChange({ ...trail, ...change });
  return (
    <>
      <SampleGrid
        label="What is strung"
        samples={samples}
        chosen={STRUNG[trail.thing].name}
        disabled={disabled}
        wide={0}
        onChoose={(name) => set({ thing: STRUNG_NAMES.find((each) => STRUNG[each].name === name)! })}
      />
      <LengthField
        label="Size of each"
        unit={unit}
        disabled={disabled}
        shown={formatLength(trail.width, unit)}
        read={measureWithin(unit, SMALLEST_STRUNG, LARGEST_STRUNG)}
        onCommit={(width) => set({ width })}
      />
      <LengthField
        label="Gap"
        unit={unit}
        disabled={disabled}
        shown={formatLength(trail.gap, unit)}
        read={measureWithin(unit, 0, LARGEST_STRUNG)}
        onCommit={(gap) => set({ gap })}
      />
      <ColourList
        name="Colour"
        colours={colours}
        most={MOST_COLOURS}
        disabled={disabled}
        onChange={(next) => set({ colours: next })}
      />
    </>
  );
}
