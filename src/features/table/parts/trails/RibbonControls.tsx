'use client';
/** Ribbon and tape: how it is woven, how wide, in which colours or paper, and how its ends are cut. */
import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import { useMemo } from 'react';
import { useShallow } from 'zustand/react/shallow';
import { plainName } from '@/core/project/create';
import { ENDS, type End } from '@/core/trail/band';
import { NARROWEST_RIBBON, NEW_RIBBON, WIDEST_RIBBON, type RibbonTrail } from '@/core/trail/ribbon/ribbon';
import { WEAVES, type Weave } from '@/core/trail/ribbon/weave';
import { formatLength, type Unit } from '@/core/units/lengths';
import { InkField } from '@/features/table/parts/inks/InkField';
import { measureWithin } from '@/features/table/parts/measures';
import { CrossesField } from '@/features/table/parts/trails/CrossesField';
import { SampleGrid } from '@/features/table/parts/trails/SampleGrid';
import { picturedOf } from '@/features/table/parts/trails/Pictures';
import { useSession } from '@/features/table/room/context';
import { LengthField } from '@/ui/LengthField';

interface Props {
  trail: RibbonTrail;
  unit: Unit;
  disabled: boolean;
  onChange: (trail: RibbonTrail) => void;
}

const NAMES: Record<Weave, { name: string; says: string }> = {
  satin: { name: 'Satin', says: 'Smooth, light plays on it' },
  woven: { name: 'Woven', says: 'Plain cloth' },
  grosgrain: { name: 'Grosgrain', says: 'Ribs across' },
  tape: { name: 'Paper tape', says: 'A little clear, for holding things down' },
};
const CUTS: Record<End, string> = {
  straight: 'Straight',
  slanted: 'Slanted',
  swallow: 'Swallow-tailed',
  torn: 'Torn off a roll',
};

export function RibbonControls({ trail, unit, disabled, onChange }: Props) {
  const { colour, edge, pattern, weave } = trail;
  const samples = useMemo(
    () =>
      WEAVES.map((each) => ({
        ...NAMES[each],
        trail: {
          ...NEW_RIBBON,
          weave: each,
          colour,
          width: 16,
          ends: each === 'tape' ? ('torn' as const) : ('swallow' as const),
        },
      })),
    [colour],
  );
  const set = (change: Partial<RibbonTrail>) => onChange({ ...trail, ...change });
  const without = (field: 'edge' | 'pattern') => {
    const { [field]: _, ...rest } = trail;
    onChange(rest);
  };
  return (
    <>
      <SampleGrid
        label="Ribbon"
        samples={samples}
        chosen={NAMES[weave].name}
        disabled={disabled}
        wide={12}
        onChoose={(name) => {
          const next = WEAVES.find((each) => NAMES[each].name === name)!;
          set({
            weave: next,
            ...(next === 'tape' ? { ends: 'torn' } : weave === 'tape' ? { ends: 'swallow' } : {}),
          });
        }}
      />
      <LengthField
        label="Width"
        unit={unit}
        disabled={disabled}
        shown={formatLength(trail.width, unit)}
        read={measureWithin(unit, NARROWEST_RIBBON, WIDEST_RIBBON)}
        onCommit={(width) => set({ width })}
      />
      <TextField
        select
        label="Ends"
        value={trail.ends}
        disabled={disabled}
        onChange={(event) => set({ ends: event.target.value as End })}
        sx={{ gridColumn: '1 / -1' }}
      >
        {ENDS.map((end) => (
          <MenuItem key={end} value={end}>
            {CUTS[end]}
          </MenuItem>
        ))}
      </TextField>
      <CrossesField trail={trail} disabled={disabled} onChange={onChange} />
      <Box sx={{ gridColumn: '1 / -1' }}>
        <InkField
          label="Colour"
          colour={colour}
          disabled={disabled}
          onChange={(next) => set({ colour: next })}
        />
      </Box>
      <Along
        pattern={pattern?.asset}
        disabled={disabled}
        onChoose={(next) => (next ? set({ pattern: next }) : without('pattern'))}
      />
      <FormControlLabel
        sx={{ gridColumn: '1 / -1', my: -0.5 }}
        control={
          <Switch
            checked={edge !== undefined}
            disabled={disabled}
            onChange={(event) => (event.target.checked ? set({ edge: '#f3e3c0' }) : without('edge'))}
          />
        }
        label="Edges of another colour"
      />
      {edge !== undefined && (
        <Box sx={{ gridColumn: '1 / -1' }}>
          <InkField
            label="Edges"
            colour={edge}
            disabled={disabled}
            onChange={(next) => set({ edge: next })}
          />
        </Box>
      )}
    </>
  );
}

interface AlongProps {
  pattern: string | undefined;
  disabled: boolean;
  onChoose: (pattern: RibbonTrail['pattern']) => void;
}

/** A paper of the workbox along the ribbon. */
function Along({ pattern, disabled, onChoose }: AlongProps) {
  const { papers, assets } = useSession(
    useShallow(({ history: { project } }) => ({ papers: project.papers, assets: project.assets })),
  );
  if (!papers.length && !pattern) return null;
  return (
    <TextField
      select
      label="Paper along it"
      value={pattern ?? ''}
      disabled={disabled}
      onChange={(event) => {
        const asset = assets[event.target.value];
        onChoose(asset && picturedOf(asset));
      }}
      sx={{ gridColumn: '1 / -1' }}
    >
      <MenuItem value="">None, of its colour</MenuItem>
      {papers.flatMap((sha) => {
        const asset = assets[sha];
        return asset
          ? [
              <MenuItem key={sha} value={sha}>
                {plainName(asset.name)}
              </MenuItem>,
            ]
          : [];
      })}
    </TextField>
  );
}
