'use client';
/** What the open sheet is for, in a sentence beneath its title. */
import Typography from '@mui/material/Typography';
import { useSession } from '@/features/table/room/context';
import { SHEET_SAYS } from '@/features/table/session/sheet';

export function Purpose({ pad = 0 }: { pad?: number }) {
  const sheet = useSession((session) => session.sheet);
  if (!sheet) return null;
  return (
    <Typography variant="body2" color="text.secondary" sx={{ px: pad, mb: 1.25, lineHeight: 1.35 }}>
      {SHEET_SAYS[sheet]}
    </Typography>
  );
}
