'use client';
/** Stamps: which pictures of the workbox, how large, how far apart, turned with the way or not, and by how much chance. */
import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import type { Asset } from '@/core/picture/asset';
import { plainName } from '@/core/project/create';
import { CORNER_WAYS, type CornerWay } from '@/core/trail/course';
import { FINEST_TRAIL, WIDEST_TRAIL } from '@/core/trail/fields';
import { LEAST_SPACING, MOST_PICTURES, MOST_SPACING, type StampsTrail } from '@/core/trail/stamps';
import { formatLength, type Unit } from '@/core/units/lengths';
import { InkField } from '@/features/table/parts/inks/InkField';
import { measureWithin, percentWithin, readDegrees } from '@/features/table/parts/measures';
import { Pictures, picturedOf, useGathered } from '@/features/table/parts/trails/Pictures';
import { Dial } from '@/ui/Dial';
import { LengthField } from '@/ui/LengthField';

interface Props {
  trail: StampsTrail;
  unit: Unit;
  disabled: boolean;
  onChange: (trail: StampsTrail) => void;
}

const CORNERS: Record<CornerWay, string> = {
  turned: 'Turn at once',
  bent: 'Bent round',
  own: 'Have one of their own',
};

export function StampControls({ trail, unit, disabled, onChange }: Props) {
  const { pictures, own } = trail;
  const gathered = useGathered();
  const set = (change: Partial<StampsTrail>) => onChange({ ...trail, ...change });
  const toggle = (asset: Asset) => {
    const there = pictures.some((one) => one.asset === asset.sha);
    const next = there
      ? pictures.filter((one) => one.asset !== asset.sha)
      : [...pictures, picturedOf(asset)].slice(-MOST_PICTURES);
    if (next.length) set({ pictures: next });
  };
  return (
    <>
      <Pictures
        label="What is stamped"
        gathered={gathered}
        chosen={pictures}
        disabled={disabled}
        onToggle={toggle}
      />
      {pictures.length > 1 && (
        <TextField
          select
          label="One after the other"
          value={trail.order}
          disabled={disabled}
          onChange={(event) => set({ order: event.target.value as StampsTrail['order'] })}
          sx={{ gridColumn: '1 / -1' }}
        >
          <MenuItem value="turn">In turn</MenuItem>
          <MenuItem value="chance">By chance</MenuItem>
        </TextField>
      )}
      <LengthField
        label="Longer side"
        unit={unit}
        disabled={disabled}
        shown={formatLength(trail.width, unit)}
        read={measureWithin(unit, FINEST_TRAIL, WIDEST_TRAIL)}
        onCommit={(width) => set({ width })}
      />
      <LengthField
        label="To the next, %"
        unit="%"
        disabled={disabled}
        shown={String(Math.round(trail.spacing * 100))}
        read={percentWithin(LEAST_SPACING, MOST_SPACING)}
        onCommit={(spacing) => set({ spacing })}
      />
      <FormControlLabel
        sx={{ my: -0.5 }}
        control={
          <Switch
            checked={trail.turns}
            disabled={disabled}
            onChange={(event) => set({ turns: event.target.checked })}
          />
        }
        label="Turn with the line"
      />
      <LengthField
        label="Turned by, degrees"
        unit="°"
        disabled={disabled}
        shown={String(Math.round(trail.angle * 10) / 10)}
        read={readDegrees}
        onCommit={(angle) => set({ angle: angle % 360 })}
      />
      <FormControlLabel
        sx={{ gridColumn: '1 / -1', my: -0.5 }}
        control={
          <Switch
            checked={!own}
            disabled={disabled}
            onChange={(event) => {
              const { own: _, ...rest } = trail;
              onChange(event.target.checked ? rest : { ...rest, own: true });
            }}
          />
        }
        label="In one ink"
      />
      {!own && (
        <Box sx={{ gridColumn: '1 / -1' }}>
          <InkField
            label="Ink"
            colour={trail.colour}
            disabled={disabled}
            onChange={(colour) => set({ colour })}
          />
        </Box>
      )}
      <TextField
        select
        label="At corners"
        value={trail.corners}
        disabled={disabled}
        onChange={(event) => set({ corners: event.target.value as CornerWay })}
      >
        {CORNER_WAYS.filter((way) => way !== 'own' || trail.corner).map((way) => (
          <MenuItem key={way} value={way}>
            {CORNERS[way]}
          </MenuItem>
        ))}
      </TextField>
      <OneOfThem {...{ trail, disabled, gathered, onChange }} />
      <Chances {...{ trail, disabled }} onSet={set} />
    </>
  );
}

/** What stands at a corner, first or last, if not what all others are. */
function OneOfThem({
  trail,
  disabled,
  gathered,
  onChange,
}: Omit<Props, 'unit'> & { gathered: readonly Asset[] }) {
  const special = (label: string, of: 'first' | 'last' | 'corner') => (
    <TextField
      select
      label={label}
      value={trail[of]?.asset ?? ''}
      disabled={disabled}
      onChange={(event) => {
        const asset = gathered.find(({ sha }) => sha === event.target.value);
        const { [of]: _, ...rest } = trail;
        const own = trail.corners === 'own';
        const corners: CornerWay = asset ? 'own' : own ? 'turned' : trail.corners;
        const at = of === 'corner' ? { corners } : {};
        onChange({ ...rest, ...(asset ? { [of]: picturedOf(asset) } : {}), ...at });
      }}
    >
      <MenuItem value="">Like the others</MenuItem>
      {gathered.map((asset) => (
        <MenuItem key={asset.sha} value={asset.sha}>
          {plainName(asset.name)}
        </MenuItem>
      ))}
    </TextField>
  );
  return (
    <>
      {special('Corner', 'corner')}
      {special('First', 'first')}
      {special('Last', 'last')}
    </>
  );
}

/** How much is left to chance, and how they grow and lie over each other. */
function Chances({
  trail,
  disabled,
  onSet,
}: Pick<Props, 'trail' | 'disabled'> & { onSet: (change: Partial<StampsTrail>) => void }) {
  const dial = (
    name: string,
    of: 'scatter' | 'smaller' | 'turned' | 'taper' | 'flow',
    most: number,
    by: number,
    sign = '%',
  ) => (
    <Box sx={{ gridColumn: '1 / -1' }}>
      <Dial
        name={name}
        unit={sign}
        least={0}
        most={most}
        value={Math.round(trail[of] * by)}
        disabled={disabled}
        onChange={(value) => onSet({ [of]: value / by })}
      />
    </Box>
  );
  return (
    <>
      {dial('Smaller by chance', 'smaller', 100, 100)}
      {dial('Turned by chance', 'turned', 180, 1, '°')}
      {dial('Beside the line by chance', 'scatter', 200, 100)}
      {dial('Smaller towards both ends', 'taper', 50, 100)}
      {dial('Each covers', 'flow', 100, 100)}
    </>
  );
}
