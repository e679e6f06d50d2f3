'use client';
/** What a room shows when it fell over: what happened, what is kept, how to go on. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { usePathname } from 'next/navigation';
import type { ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { isUnfetched } from '@/ui/fetched';

interface Props {
  children: ReactNode;
  /** What else can be done, beside laying it out again and going home. */
  more?: ReactNode;
}

export function RoomBoundary({ children, more }: Props) {
  const room = usePathname();
  return (
    <ErrorBoundary
      resetKeys={[room]}
      fallbackRender={({ error, resetErrorBoundary }) => (
        <Box
          role="alert"
          sx={{ minHeight: '100dvh', display: 'grid', placeItems: 'center', bgcolor: 'table.main', p: 4 }}
        >
          <Box sx={{ maxWidth: 560, bgcolor: 'background.paper', borderRadius: 2, p: 4 }}>
            <Typography variant="h2" sx={{ mb: 1.5 }}>
              {isUnfetched(error)
                ? 'A part of the program could not be fetched'
                : 'Something went wrong here'}
            </Typography>
            <Typography sx={{ mb: 1.5 }}>
              {isUnfetched(error)
                ? 'The program cannot be reached just now. What you did is kept in this browser.'
                : 'The program has a fault and could not show this any more. What you did is kept in this browser, with all that can be undone: undo the last step if it happens again.'}
            </Typography>
            <Typography variant="body2" color="text.secondary" sx={{ mb: 2.5, wordBreak: 'break-word' }}>
              It said: {error instanceof Error ? error.message.slice(0, 200) : 'nothing'}
            </Typography>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5 }}>
              <Button variant="contained" onClick={() => resetErrorBoundary()}>
                Lay it out again
              </Button>
              {more}
              <Button color="inherit" href="/">
                Back to all projects
              </Button>
            </Box>
          </Box>
        </Box>
      )}
    >
      {children}
    </ErrorBoundary>
  );
}
