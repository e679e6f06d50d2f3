'use client';
/** Sheets as the printer that ships puts them out: with what it leaves white, its paper, and backs where they come. */
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import CircularProgress from '@mui/material/CircularProgress';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { number, object, string } from 'yup';
import { Chosen } from '@/ui/Chosen';
import { Turned } from '@/ui/Turned';

interface Props {
  pdf: Blob;
  /** Pages are the two sides of sheets. */
  both: boolean;
  onClose: () => void;
}

const PRINTER = '/api/printer';
const schema = object({ job: string().required(), sheets: number().integer().min(1).required() });

async function printed(pdf: Blob, signal: AbortSignal): Promise<{ job: string; sheets: number }> {
  const answer = await fetch(`${PRINTER}/jobs`, { method: 'POST', body: pdf, signal }).catch(() => {
    throw new Error('The printer cannot be reached.');
  });
  const body: unknown = await answer.json().catch(() => null);
  if (answer.ok) return schema.validateSync(body, { strict: true });
  const { says } = (body ?? {}) as { says?: string };
  throw new Error(says ?? 'The printer does not answer.');
}

export function PrinterTray({ pdf, both: usual, onClose }: Props) {
  const [job, setJob] = useState<{ job: string; sheets: number } | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [page, setPage] = useState(1);
  const [paper, setPaper] = useState<'plain' | 'photo'>('plain');
  const [both, setBoth] = useState(usual);
  useEffect(() => {
    const controller = new AbortController();
    printed(pdf, controller.signal).then(setJob, (error: Error) => {
      if (!controller.signal.aborted) setProblem(error.message);
    });
    return () => controller.abort();
  }, [pdf]);
  const sheets = job?.sheets ?? 1;
  const called = both
    ? `Sheet ${Math.ceil(page / 2)}, ${page % 2 ? 'front' : 'back'}`
    : `Sheet ${page} of ${sheets}`;
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="tray-title">
      <DialogTitle id="tray-title" variant="h2" sx={{ pb: 1 }}>
        Out of the printer
      </DialogTitle>
      <DialogContent sx={{ display: 'grid', gridTemplateColumns: '1fr 220px', gap: 3 }}>
        <Box
          sx={{
            ...{ bgcolor: 'table.main', borderRadius: 2, minHeight: 460, p: 3 },
            ...{ display: 'grid', placeItems: 'center' },
          }}
        >
          {problem ? (
            <Alert severity="error">{problem}</Alert>
          ) : job ? (
            <img
              key={`${page} ${paper} ${both}`}
              src={`${PRINTER}/jobs/${job.job}/sheets/${page}?paper=${paper}${both ? '&both' : ''}`}
              alt={called}
              data-testid="printed-sheet"
              style={{ maxWidth: '100%', maxHeight: 460, boxShadow: '0 1px 5px rgba(0,0,0,0.4)' }}
            />
          ) : (
            <CircularProgress aria-label="Printing" />
          )}
        </Box>
        <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.5 }}>
          <Typography variant="body2" color="text.secondary">
            A printer to try things with; no ink is used. Like many it leaves 4 mm white, 13 mm at the foot,
            and backs come out a little off.
          </Typography>
          <Chosen
            label="Paper in it"
            value={paper}
            all={[
              ['plain', 'Plain paper'],
              ['photo', 'Photo paper'],
            ]}
            disabled={false}
            onChoose={setPaper}
          />
          <Turned label="Printed on both sides" on={both} disabled={sheets < 2} onTurn={setBoth} />
          <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
            <Button variant="outlined" color="inherit" disabled={page <= 1} onClick={() => setPage(page - 1)}>
              Before
            </Button>
            <Button
              variant="outlined"
              color="inherit"
              disabled={page >= sheets}
              onClick={() => setPage(page + 1)}
            >
              Next
            </Button>
          </Box>
          <Typography role="status" variant="body2">
            {called}
          </Typography>
        </Box>
      </DialogContent>
      <DialogActions sx={{ px: 3, pb: 2 }}>
        <Button variant="contained" onClick={onClose}>
          Done
        </Button>
      </DialogActions>
    </Dialog>
  );
}
