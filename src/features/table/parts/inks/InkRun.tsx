'use client';
/** Two to four inks that run into each other, as swatches in their order. */
import Box from '@mui/material/Box';
import { IconArrowsExchange2, IconMinus, IconPlus } from '@tabler/icons-react';
import { stepsOfRun } from '@/core/color/runs';
import { MOST_STOPS } from '@/core/piece/material/gradient';
import { InkSwatch } from '@/features/table/parts/inks/InkField';
import { SmallButton } from '@/ui/SmallButton';

interface Props {
  colours: readonly string[];
  disabled: boolean;
  onChange: (colours: string[]) => void;
}

export const InkRun = ({ colours, disabled, onChange }: Props) => (
  <Box>
    <Box
      role="img"
      aria-label={`Runs from ${colours.join(' to ')}`}
      sx={{
        height: 22,
        borderRadius: 1.5,
        mb: 0.75,
        border: '1px solid rgba(0,0,0,0.25)',
        background: `linear-gradient(to right, ${stepsOfRun(colours, 8).join(', ')})`,
      }}
    />
    <Box sx={{ display: 'flex', gap: 0.75, alignItems: 'center' }}>
      {colours.map((colour, i) => (
        <InkSwatch
          key={i}
          label={`Ink ${i + 1} of ${colours.length}`}
          colour={colour}
          disabled={disabled}
          onChange={(next) => onChange(colours.map((each, k) => (k === i ? next : each)))}
        />
      ))}
      <SmallButton
        label="One ink more"
        disabled={disabled || colours.length >= MOST_STOPS}
        onClick={() => onChange([...colours, colours[0]!])}
      >
        <IconPlus size={16} />
      </SmallButton>
      <SmallButton
        label="One ink less"
        disabled={disabled || colours.length <= 2}
        onClick={() => onChange(colours.slice(0, -1))}
      >
        <IconMinus size={16} />
      </SmallButton>
      <SmallButton
        label="The other way round"
        disabled={disabled}
        onClick={() => onChange([...colours].reverse())}
      >
        <IconArrowsExchange2 size={16} />
      </SmallButton>
    </Box>
  </Box>
);
