'use client';

import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import type { Notice } from '@/ui/notice';

/** One notice at the foot of the screen. Errors and warnings stay until they are closed. */
export function NoticeBar({ notice, onClose }: { notice: Notice; onClose: () => void }) {
  const { text, tone = 'success', action } = notice;
  const lasting = tone === 'error' || tone === 'warning';
  return (
    <Snackbar
      open
      autoHideDuration={lasting ? null : action ? 9000 : 4500}
      onClose={(_, reason) => reason !== 'clickaway' && onClose()}
      anchorOrigin={{ vertical: 'bottom', horizontal: 'center' }}
    >
      <Alert
        severity={tone}
        variant="filled"
        onClose={onClose}
        action={
          action && (
            <Button
              color="inherit"
              size="small"
              onClick={() => {
                action.run();
                onClose();
              }}
            >
              {action.label}
            </Button>
          )
        }
        sx={{
          maxWidth: 720,
          maxHeight: '60dvh',
          overflowY: 'auto',
          whiteSpace: 'pre-line',
          fontSize: '0.95rem',
        }}
      >
        {text}
      </Alert>
    </Snackbar>
  );
}
