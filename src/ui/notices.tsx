'use client';
/** Short messages at the foot of the screen: what happened, what was kept, what to do. */
import Alert, { type AlertColor } from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import { createContext, useCallback, useContext, useState, type ReactNode } from 'react';

export interface Notice {
  text: string;
  tone?: AlertColor;
  action?: { label: string; run: () => void };
}

const Context = createContext<(notice: Notice) => void>(() => {});

/** Shows a notice; it stays while it has an action or is an error, else it goes by itself. */
export const useNotify = () => useContext(Context);

export function NoticesProvider({ children }: { children: ReactNode }) {
  const [notice, setNotice] = useState<(Notice & { id: number }) | null>(null);
  const notify = useCallback((next: Notice) => setNotice({ ...next, id: Date.now() }), []);
  const close = () => setNotice(null);
  const lasting = notice?.tone === 'error' || notice?.tone === 'warning';
  return (
    <Context value={notify}>
      {children}
      <Snackbar
        key={notice?.id}
        open={notice !== null}
        autoHideDuration={lasting ? null : notice?.action ? 9000 : 4500}
        onClose={(_, reason) => reason !== 'clickaway' && close()}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'center' }}
      >
        <Alert
          severity={notice?.tone ?? 'success'}
          variant="filled"
          onClose={close}
          action={
            notice?.action && (
              <Button
                color="inherit"
                size="small"
                onClick={() => {
                  notice.action?.run();
                  close();
                }}
              >
                {notice.action.label}
              </Button>
            )
          }
          sx={{ maxWidth: 720, whiteSpace: 'pre-line', fontSize: '0.95rem' }}
        >
          {notice?.text}
        </Alert>
      </Snackbar>
    </Context>
  );
}
