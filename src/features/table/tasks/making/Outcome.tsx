'use client';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import type { Making } from '@/features/table/tasks/making/useMake';
import type { Point } from '@/output/pdf/preflight';

/** How far it is, and what came of it. */
export function Outcome({ making }: { making: Making }) {
  return (
    <Box aria-live="polite" sx={{ mt: 'auto' }}>
      {making.state === 'making' && (
        <Box>
          <Typography variant="body2" sx={{ mb: 0.75 }}>
            {making.doing} …
          </Typography>
          <LinearProgress variant="determinate" value={making.share * 100} aria-label="Making the file" />
        </Box>
      )}
      {making.state === 'made' && (
        <Alert
          severity={making.says.length || making.points.some(({ fault }) => fault) ? 'warning' : 'success'}
          data-testid="made"
        >
          {making.where}: {(making.bytes / 1e6).toFixed(1)} MB, in {making.seconds.toFixed(1)} s.
          {making.says.map((says) => (
            <Box key={says}>{says}</Box>
          ))}
          {making.points.length > 0 && <ReadBack points={making.points} />}
        </Alert>
      )}
      {making.state === 'failed' && <Alert severity="error">{making.message}</Alert>}
    </Box>
  );
}

/** What a file for a press was found to be, point by point, once it was read back. */
function ReadBack({ points }: { points: readonly Point[] }) {
  const hold = points.filter(({ fault }) => !fault).length;
  return (
    <Box component="details" open={hold < points.length} sx={{ mt: 0.5 }}>
      <Box component="summary" sx={{ cursor: 'pointer' }}>
        Read back: {hold === points.length ? 'all' : hold} of {points.length} points hold.
      </Box>
      <Box component="ul" sx={{ m: 0, pl: 2.5, maxHeight: 160, overflowY: 'auto' }}>
        {points.map(({ says, fault }) => (
          <li key={says}>
            {says}
            {fault && `: no, ${fault}`}
          </li>
        ))}
      </Box>
    </Box>
  );
}
