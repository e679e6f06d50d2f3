'use client';

import CircularProgress from '@mui/material/CircularProgress';
import Typography from '@mui/material/Typography';
import { useSyncExternalStore } from 'react';
import { stillDrawn, type DrawnList } from '@/features/shared/drawn';

/** Whether this, which ships with the app, is still being drawn. */
export const useStillDrawn = (at: DrawnList): boolean =>
  useSyncExternalStore(
    stillDrawn.listen,
    () => stillDrawn.now(at),
    () => false,
  );

/** Says what of it is still on its way on a first start; nothing otherwise. */
export function StillDrawn({ at, what }: { at: DrawnList; what: string }) {
  return useStillDrawn(at) ? (
    <Typography
      role="status"
      variant="body2"
      color="text.secondary"
      sx={{ display: 'flex', alignItems: 'center', gap: 1, px: 1, py: 0.5 }}
    >
      <CircularProgress size={15} color="inherit" aria-hidden sx={{ flexShrink: 0 }} />
      {what} still being drawn, this once. They come by themselves.
    </Typography>
  ) : null;
}
