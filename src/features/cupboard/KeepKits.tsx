'use client';
/** All kits kept for a time without a network, with the room they take. */
import Button from '@mui/material/Button';
import Tooltip from '@mui/material/Tooltip';
import Typography from '@mui/material/Typography';
import { IconCloudDownload } from '@tabler/icons-react';
import { useEffect, useState } from 'react';
import { keepKits, keepsKits, kitsSize, letKitsGo } from '@/features/shared/offline/keep';
import { inWords } from '@/storage/trouble';
import { useNotify } from '@/ui/notices';

const inMB = (bytes: number): string => `${Math.max(1, Math.round(bytes / 1e6))} MB`;

/** Where a browser keeps no program, what is kept beside it is of no use. */
const looked = async () =>
  'serviceWorker' in navigator && 'caches' in globalThis ? kitsSize().catch(() => null) : null;

export function KeepKits() {
  const notify = useNotify();
  const [size, setSize] = useState<Awaited<ReturnType<typeof kitsSize>>>(null);
  const [busy, setBusy] = useState<AbortController | null>(null);
  useEffect(() => {
    let gone = false;
    void looked().then((found) => !gone && setSize(found));
    return () => {
      gone = true;
    };
  }, []);
  useEffect(() => () => busy?.abort(), [busy]);
  if (!size?.all) return null;

  const keep = async () => {
    const asked = new AbortController();
    setBusy(asked);
    try {
      await keepKits((kept, all) => setSize({ kept, all }), asked.signal);
      notify({ text: 'All kits are here now, with or without a network.' });
    } catch (error) {
      if (!asked.signal.aborted)
        notify({ text: inWords(error, 'Not all kits could be kept'), tone: 'error' });
    } finally {
      setBusy(null);
      setSize(await looked());
    }
  };
  const letGo = async () => {
    await letKitsGo();
    setSize(await looked());
  };
  if (busy)
    return (
      <>
        <Typography role="status" variant="body2" sx={{ px: 1 }}>
          Kept {inMB(size.kept)} of {inMB(size.all)}
        </Typography>
        <Button size="small" color="inherit" onClick={() => busy.abort()}>
          Stop keeping
        </Button>
      </>
    );
  if (size.kept >= size.all && keepsKits())
    return (
      <>
        <Typography variant="body2" color="text.secondary" sx={{ px: 1 }}>
          All kits are kept for offline: {inMB(size.all)}.
        </Typography>
        <Button size="small" color="inherit" onClick={() => void letGo()}>
          Let them go
        </Button>
      </>
    );
  return (
    <Tooltip describeChild title="Fetches all kits, so that they are here without a network">
      <Button
        size="small"
        color="inherit"
        startIcon={<IconCloudDownload size={18} />}
        onClick={() => void keep()}
      >
        Kits for offline ({inMB(size.all)})
      </Button>
    </Tooltip>
  );
}
