'use client';
/** Twine and rope: how thick, in which colours, smooth or with fibres. */
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { THICKEST_CORD, THINNEST_CORD, type CordTrail } from '@/core/trail/cord';
import { formatLength, type Unit } from '@/core/units/lengths';
import { measureWithin } from '@/features/table/parts/measures';
import { CrossesField } from '@/features/table/parts/trails/CrossesField';
import { ColourList } from '@/features/table/parts/trails/ColourList';
import { LengthField } from '@/ui/LengthField';

interface Props {
  trail: CordTrail;
  unit: Unit;
  disabled: boolean;
  onChange: (trail: CordTrail) => void;
}

export function CordControls({ trail, unit, disabled, onChange }: Props) {
  return (
    <>
      <LengthField
        label="Thickness"
        unit={unit}
        disabled={disabled}
        shown={formatLength(trail.width, unit)}
        read={measureWithin(unit, THINNEST_CORD, THICKEST_CORD)}
        onCommit={(width) => onChange({ ...trail, width })}
      />
      <FormControlLabel
        sx={{ my: -0.5 }}
        control={
          <Switch
            checked={trail.fuzzy ?? false}
            disabled={disabled}
            onChange={(event) => {
              const { fuzzy: _, ...smooth } = trail;
              onChange(event.target.checked ? { ...smooth, fuzzy: true } : smooth);
            }}
          />
        }
        label="With fibres"
      />
      <CrossesField trail={trail} disabled={disabled} onChange={onChange} />
      <ColourList
        name="Ply"
        colours={trail.colours}
        most={4}
        disabled={disabled}
        onChange={(colours) => onChange({ ...trail, colours })}
      />
    </>
  );
}
