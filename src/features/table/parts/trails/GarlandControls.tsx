'use client';
/** Garlands: which leaves and flowers, how large, how dense, how they open. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { IconDice3 } from '@tabler/icons-react';
import type { Asset } from '@/core/picture/asset';
import { FINEST_TRAIL, WIDEST_TRAIL, type Pictured } from '@/core/trail/fields';
import type { GarlandTrail } from '@/core/trail/garland';
import { MOST_PICTURES } from '@/core/trail/stamps';
import { formatLength, type Unit } from '@/core/units/lengths';
import { InkField } from '@/features/table/parts/inks/InkField';
import { measureWithin } from '@/features/table/parts/measures';
import { Pictures, picturedOf, useGathered } from '@/features/table/parts/trails/Pictures';
import { Dial } from '@/ui/Dial';
import { LengthField } from '@/ui/LengthField';

interface Props {
  trail: GarlandTrail;
  unit: Unit;
  disabled: boolean;
  onChange: (trail: GarlandTrail) => void;
}

const SIDES = { both: 'To both sides', left: 'To the left', right: 'To the right' } as const;

export function GarlandControls({ trail, unit, disabled, onChange }: Props) {
  const gathered = useGathered();
  const { leaves, flowers, colour, stem } = trail;
  const set = (change: Partial<GarlandTrail>) => onChange({ ...trail, ...change });
  const toggled = (list: readonly Pictured[], asset: Asset): Pictured[] =>
    list.some((one) => one.asset === asset.sha)
      ? list.filter((one) => one.asset !== asset.sha)
      : [...list, picturedOf(asset)].slice(-MOST_PICTURES);
  const without = (field: 'colour' | 'stem' | 'mirrored') => {
    const { [field]: _, ...rest } = trail;
    onChange(rest);
  };
  const choose = (title: string, of: 'leaves' | 'flowers') => (
    <>
      <Typography component="h4" variant="body2" sx={{ gridColumn: '1 / -1', fontWeight: 600, mb: -0.75 }}>
        {title}
      </Typography>
      <Pictures
        label={title}
        gathered={gathered}
        chosen={trail[of]}
        disabled={disabled}
        onToggle={(asset) => {
          const next = toggled(trail[of], asset);
          const first = of === 'flowers' && next.length > 0 && !trail.bloom ? { bloom: 0.18 } : {};
          if (next.length + (of === 'leaves' ? flowers : leaves).length) set({ [of]: next, ...first });
        }}
      />
    </>
  );
  const share = (name: string, of: 'dense' | 'bloom' | 'toLight' | 'smaller') => (
    <Box sx={{ gridColumn: '1 / -1' }}>
      <Dial
        name={name}
        unit="%"
        least={0}
        most={100}
        value={Math.round(trail[of] * 100)}
        disabled={disabled}
        onChange={(value) => set({ [of]: value / 100 })}
      />
    </Box>
  );
  const size = (label: string, of: 'width' | 'flower') => (
    <LengthField
      label={label}
      unit={unit}
      disabled={disabled}
      shown={formatLength(trail[of], unit)}
      read={measureWithin(unit, FINEST_TRAIL, WIDEST_TRAIL)}
      onCommit={(value) => set({ [of]: value })}
    />
  );
  return (
    <>
      {choose('Leaves', 'leaves')}
      {choose('Flowers', 'flowers')}
      {leaves.length + flowers.length === 1 && (
        <Typography variant="body2" color="text.secondary" sx={{ gridColumn: '1 / -1' }}>
          This one stays until another is chosen: a garland grows of something.
        </Typography>
      )}
      {size('Leaf', 'width')}
      {size('Flower', 'flower')}
      {share('Dense', 'dense')}
      {flowers.length > 0 && share('Flowers among them', 'bloom')}
      <TextField
        select
        label="Leaves grow"
        value={trail.sides}
        disabled={disabled}
        onChange={(event) => set({ sides: event.target.value as GarlandTrail['sides'] })}
      >
        {Object.entries(SIDES).map(([value, name]) => (
          <MenuItem key={value} value={value}>
            {name}
          </MenuItem>
        ))}
      </TextField>
      <Button
        color="inherit"
        startIcon={<IconDice3 size={18} />}
        disabled={disabled}
        onClick={() => set({ seed: (trail.seed + 1) % 1e9 })}
      >
        Grow anew
      </Button>
      <Box sx={{ gridColumn: '1 / -1' }}>
        <Dial
          name="Opened"
          unit="°"
          least={0}
          most={120}
          value={Math.round(trail.open)}
          disabled={disabled}
          onChange={(open) => set({ open })}
        />
      </Box>
      {share('Towards the light', 'toLight')}
      {share('Smaller by chance', 'smaller')}
      <Toggle
        label="Mirrored on one side"
        on={trail.mirrored ?? false}
        disabled={disabled}
        onTurn={(on) => (on ? set({ mirrored: true }) : without('mirrored'))}
      />
      <Toggle
        label="Leaves in one ink"
        on={colour !== undefined}
        disabled={disabled}
        onTurn={(on) => (on ? set({ colour: '#5d6b45' }) : without('colour'))}
      />
      {colour !== undefined && (
        <Box sx={{ gridColumn: '1 / -1' }}>
          <InkField
            label="Leaves' ink"
            colour={colour}
            disabled={disabled}
            onChange={(next) => set({ colour: next })}
          />
        </Box>
      )}
      <Toggle
        label="A stem"
        on={stem !== undefined}
        disabled={disabled}
        onTurn={(on) => (on ? set({ stem: '#5d6b45' }) : without('stem'))}
      />
      {stem !== undefined && (
        <Box sx={{ gridColumn: '1 / -1' }}>
          <InkField label="Stem" colour={stem} disabled={disabled} onChange={(next) => set({ stem: next })} />
        </Box>
      )}
    </>
  );
}

interface ToggleProps {
  label: string;
  on: boolean;
  disabled: boolean;
  onTurn: (on: boolean) => void;
}

const Toggle = ({ label, on, disabled, onTurn }: ToggleProps) => (
  <FormControlLabel
    sx={{ gridColumn: '1 / -1', my: -0.5 }}
    control={<Switch checked={on} disabled={disabled} onChange={(event) => onTurn(event.target.checked)} />}
    label={label}
  />
);
