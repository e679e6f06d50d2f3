'use client';
/** Trails to choose from, each as it looks. */
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import type { Trail } from '@/core/trail';
import { TrailSample } from '@/features/table/parts/trails/TrailSample';

export interface Sample {
  name: string;
  says: string;
  trail: Trail;
}

interface Props {
  label: string;
  samples: readonly Sample[];
  chosen: string;
  disabled: boolean;
  wide: number;
  onChoose: (name: string) => void;
}

export const SampleGrid = ({ label, samples, chosen, disabled, wide, onChoose }: Props) => (
  <Box
    role="group"
    aria-label={label}
    sx={{ gridColumn: '1 / -1', display: 'grid', gridTemplateColumns: 'repeat(3, 1fr)', gap: 0.5 }}
  >
    {samples.map(({ name, says, trail }) => (
      <ButtonBase
        key={name}
        aria-pressed={name === chosen}
        title={says}
        disabled={disabled}
        onClick={() => onChoose(name)}
        sx={{
          flexDirection: 'column',
          py: 0.25,
          borderRadius: 1.5,
          border: '1.5px solid',
          borderColor: name === chosen ? 'primary.main' : 'divider',
          bgcolor: '#fbf8f1',
          fontSize: '0.8rem',
          lineHeight: 1.2,
          minHeight: 58,
          fontFamily: 'inherit',
        }}
      >
        <TrailSample trail={trail} width={82} height={32} wide={wide} />
        {name}
      </ButtonBase>
    ))}
  </Box>
);
