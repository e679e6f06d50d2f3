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
import { printed, sheetAt, type Printed } from '@/features/table/tasks/making/standin';
import { Chosen } from '@/ui/Chosen';
import { Turned } from '@/ui/Turned';

interface Props {
  pdf: Blob;
  /** Pages are the two sides of sheets. */
  both: boolean;
  onClose: () => void;
}

export function PrinterTray({ pdf, both: usual, onClose }: Props) {
  const [job, setJob] = useState<Printed | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [page, setPage] = useState(1);
  const [paper, setPaper] = useState<'plain' | 'photo'>('plain');
  const [both, setBoth] = useState(usual);
  useEffect(() => {
    const controller = new AbortController();
    void printed(pdf, controller.signal).then((answer) => {
      if (controller.signal.aborted) return;
      if (answer.ok) setJob(answer.value);
      else setProblem(answer.message);
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
              src={sheetAt(job, page, paper, both)}
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
