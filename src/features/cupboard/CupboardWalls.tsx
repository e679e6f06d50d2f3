'use client';
/** What stands round the cupboard before it is known what lies in it. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { IconArrowLeft } from '@tabler/icons-react';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { SchemeButton } from '@/ui/SchemeButton';

export function CupboardWalls({ children }: { children?: ReactNode }) {
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
        {children}
      </Box>
    </Box>
  );
}
