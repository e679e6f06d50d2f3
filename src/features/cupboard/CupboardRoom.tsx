'use client';
/** The cupboard as a room of its own, reached from Home. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { IconArrowLeft } from '@tabler/icons-react';
import Link from 'next/link';
import { fail } from '@/core/result';
import type { Supply } from '@/core/supplies/model';
import { Cupboard } from '@/features/cupboard/Cupboard';
import { newId } from '@/features/shared/ids';
import { useGoing } from '@/features/shared/useGoing';
import { useUnforeseen } from '@/features/shared/useUnforeseen';
import { openPageSupply } from '@/features/shared/supplyFiles';
import { inWords } from '@/storage/trouble';
import { SchemeButton } from '@/ui/SchemeButton';
import { useNotify } from '@/ui/notices';

const notUsed = () => 0;

export function CupboardRoom() {
  const { open: goTo, once } = useGoing();
  const notify = useNotify();
  useUnforeseen();
  const open = (supply: Supply) =>
    once(async () => {
      const opened = await openPageSupply(supply, newId(), Date.now()).catch((error) =>
        fail(inWords(error, `“${supply.name}” was not opened`)),
      );
      if (opened.ok) goTo(opened.value.id);
      else notify({ text: opened.message, tone: 'error' });
    });
  return (
    <Box sx={{ height: '100dvh', display: 'flex', flexDirection: 'column' }}>
      <Box
        component="header"
        sx={{
          display: 'flex',
          alignItems: 'center',
          gap: 1.5,
          px: 1.5,
          height: 52,
          bgcolor: 'background.paper',
          borderBottom: 1,
          borderColor: 'divider',
        }}
      >
        <Button component={Link} href="/" color="inherit" startIcon={<IconArrowLeft size={19} />}>
          All projects
        </Button>
        <Typography variant="h1" sx={{ typography: 'h2', flex: 1 }}>
          Cupboard
        </Typography>
        <SchemeButton />
      </Box>
      <Box component="main" sx={{ flex: 1, minHeight: 0, display: 'flex' }}>
        <Cupboard unit="in" usedOf={notUsed} onOpenPage={(supply) => void open(supply)} />
      </Box>
    </Box>
  );
}
