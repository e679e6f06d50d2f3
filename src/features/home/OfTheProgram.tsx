'use client';
/** What is to be told of the program itself: a newer one is there, or that it works without a network. */
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { beginNewer } from '@/features/shared/offline/program';
import { useProgram } from '@/features/shared/offline/Program';
import { useNotify } from '@/ui/notices';

export function NewerOffer() {
  const { newer } = useProgram();
  const notify = useNotify();
  if (!newer) return null;
  const begin = async () => {
    if (!(await beginNewer()))
      notify({
        text: 'Close the other tabs of Bellagraph first: the newer one begins when no page is open in the older.',
        tone: 'info',
      });
  };
  return (
    <Alert
      severity="info"
      sx={{ mt: 2 }}
      action={
        <Button color="inherit" size="small" onClick={() => void begin()}>
          Begin it
        </Button>
      }
    >
      A newer Bellagraph is here.
    </Alert>
  );
}

export function WithoutNetwork() {
  const { kept } = useProgram();
  return kept ? ' It works without a network, too.' : null;
}
