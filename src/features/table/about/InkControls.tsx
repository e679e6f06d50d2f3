'use client';
/** What is of inks alone: one, or up to four that run into each other. */
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { alongRun } from '@/core/color/runs';
import type { GradientMaterial } from '@/core/piece/material/gradient';
import type { InkMaterial } from '@/core/piece/material/ink';
import { InkField } from '@/features/table/parts/inks/InkField';
import { InkRun } from '@/features/table/parts/inks/InkRun';
import { RowSlider } from '@/ui/RowSlider';

/** Where an ink runs to at first: some way to paper white. */
const PALE = '#fdfbf6';

interface Props {
  material: InkMaterial | GradientMaterial;
  /** Its ink is chosen elsewhere. */
  atHand: boolean;
  disabled: boolean;
  onChange: (material: InkMaterial | GradientMaterial) => void;
}

export function InkControls({ material, atHand, disabled, onChange }: Props) {
  if (material.kind === 'ink')
    return (
      <>
        {!atHand && (
          <InkField
            label="Ink"
            colour={material.colour}
            disabled={disabled}
            onChange={(colour) => onChange({ kind: 'ink', colour })}
          />
        )}
        <Button
          size="small"
          color="inherit"
          disabled={disabled}
          onClick={() =>
            onChange({
              kind: 'gradient',
              colours: [material.colour, alongRun([material.colour, PALE], 0.7)],
              turn: 90,
            })
          }
          sx={{ alignSelf: 'flex-start' }}
        >
          Run it into another ink
        </Button>
      </>
    );
  const { colours, turn, round } = material;
  return (
    <>
      <InkRun
        colours={colours}
        disabled={disabled}
        onChange={(next) => onChange({ ...material, colours: next })}
      />
      <RowSlider
        label="Which way"
        least={-180}
        most={180}
        value={turn}
        disabled={disabled || Boolean(round)}
        says={`${turn}°`}
        onChange={(next) => onChange({ ...material, turn: next })}
      />
      <FormControlLabel
        control={
          <Switch
            size="small"
            checked={Boolean(round)}
            disabled={disabled}
            onChange={(_, on) =>
              onChange({ kind: 'gradient', colours, turn, ...(on ? { round: true as const } : {}) })
            }
          />
        }
        label="From the middle out"
      />
      <Button
        size="small"
        color="inherit"
        disabled={disabled}
        onClick={() => onChange({ kind: 'ink', colour: colours[0]! })}
        sx={{ alignSelf: 'flex-start' }}
      >
        One ink again
      </Button>
    </>
  );
}
