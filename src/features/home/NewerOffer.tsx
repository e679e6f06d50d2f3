'use client';
/** A newer version of the program is here, and can be begun. */
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { beginNewer } from '@/features/shared/offline/versions';
import { useNotify } from '@/ui/notices';

export function NewerOffer() {
  const notify = useNotify();
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
