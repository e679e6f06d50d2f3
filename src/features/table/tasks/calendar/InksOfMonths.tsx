'use client';
/** Twelve sets of ink dealt to the months. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { INK_YEARS, type InkYear } from '@/core/calendar/inks';
import * as carrying from '@/features/table/acts/carrying';
import { useRoom } from '@/features/table/room/context';

export function InksOfMonths({ inks, disabled }: { inks: string[][] | undefined; disabled: boolean }) {
  const { store } = useRoom();
  const dealt = inks && INK_YEARS.find(({ sets }) => String(sets) === String(inks))?.id;
  return (
    <Box
      role="group"
      aria-label="Inks of the months"
      sx={{ gridColumn: '1 / -1', display: 'grid', gap: 0.5 }}
    >
      <Typography variant="body2">Inks of the months</Typography>
      {INK_YEARS.map((year) => (
        <Button
          key={year.id}
          color="inherit"
          variant={dealt === year.id ? 'outlined' : 'text'}
          disabled={disabled}
          aria-pressed={dealt === year.id}
          onClick={() => carrying.dealInksOf(store, dealt === year.id ? null : year)}
          sx={{ display: 'grid', justifyItems: 'start', gap: 0.5, textAlign: 'left', px: 1 }}
        >
          {year.name}
          <Swatches year={year} />
        </Button>
      ))}
    </Box>
  );
}

const Swatches = ({ year }: { year: InkYear }) => (
  <Box component="span" aria-hidden="true" sx={{ display: 'flex', gap: '3px' }}>
    {year.sets.map(([dark, main, second], i) => (
      <Box
        component="span"
        key={i}
        sx={{ width: 17, height: 22, borderRadius: '3px', overflow: 'hidden', display: 'grid' }}
      >
        <Box component="span" sx={{ bgcolor: main, gridRow: 'span 2' }} />
        <Box component="span" sx={{ bgcolor: second }} />
        <Box component="span" sx={{ bgcolor: dark }} />
      </Box>
    ))}
  </Box>
);
