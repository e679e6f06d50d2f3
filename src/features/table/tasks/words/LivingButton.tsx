'use client';
/** Opens the sheet of living words; one keeps writing meanwhile. */
import Button from '@mui/material/Button';
import { IconHeartbeat } from '@tabler/icons-react';
import { useRoom } from '@/features/table/room/context';

export function LivingButton() {
  const { store } = useRoom();
  return (
    <Button
      size="small"
      color="inherit"
      startIcon={<IconHeartbeat size={17} />}
      onPointerDown={(event) => event.preventDefault()}
      onClick={() => store.getState().openSheet('living')}
      sx={{ justifySelf: 'start', gridColumn: '1 / -1', my: -0.5 }}
    >
      Living words
    </Button>
  );
}
