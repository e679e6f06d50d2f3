'use client';

import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import type { ReactNode } from 'react';
import { theme } from '@/ui/theme';
import { NoticesProvider } from '@/ui/notices';
import { RoomBoundary } from '@/ui/RoomBoundary';

export function Providers({ children }: { children: ReactNode }) {
  return (
    <ThemeProvider theme={theme} defaultMode="system">
      <CssBaseline />
      <NoticesProvider>
        <RoomBoundary>{children}</RoomBoundary>
      </NoticesProvider>
    </ThemeProvider>
  );
}
