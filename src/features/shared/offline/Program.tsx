'use client';
/** Around all rooms: keeps the program for a time without a network, and no two versions of it at work on one store. */
import Box from '@mui/material/Box';
import CircularProgress from '@mui/material/CircularProgress';
import Typography from '@mui/material/Typography';
import { useEffect, useSyncExternalStore } from 'react';
import { keepProgram, program } from '@/features/shared/offline/versions';
import { otherVersion } from '@/storage/sole';

const NOTHING = { kept: false, newer: false };

/** What is known of the program itself. */
export const useProgram = () => useSyncExternalStore(program.listen, program.now, () => NOTHING);

/** It is read out as soon as it is there. */
const focusOn = (shown: HTMLElement | null): void => shown?.focus();

export function Program() {
  useEffect(keepProgram, []);
  const waits = useSyncExternalStore(otherVersion.listen, otherVersion.now, () => false);
  if (!waits) return null;
  return (
    <Box
      role="alertdialog"
      tabIndex={-1}
      ref={focusOn}
      aria-modal="true"
      aria-labelledby="other-version"
      aria-describedby="other-version-says"
      sx={{
        ...{ position: 'fixed', inset: 0, zIndex: 'tooltip', display: 'grid', placeItems: 'center', p: 4 },
        bgcolor: 'table.main',
      }}
    >
      <Box sx={{ maxWidth: 520, bgcolor: 'background.paper', borderRadius: 3, boxShadow: 3, p: 4 }}>
        <Typography id="other-version" variant="h2" sx={{ mb: 1.5 }}>
          Another version of Bellagraph is open
        </Typography>
        <Typography id="other-version-says" sx={{ mb: 2 }}>
          It is in another tab or window, and works with the same projects. Two versions at once could spoil
          them. Close the other one: what you did there is kept, and this one goes on by itself.
        </Typography>
        <Box role="status" sx={{ display: 'flex', gap: 1.5, alignItems: 'center', color: 'text.secondary' }}>
          <CircularProgress size={20} color="inherit" aria-hidden /> Waiting for it to be closed …
        </Box>
      </Box>
    </Box>
  );
}
