'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Paper from '@mui/material/Paper';
import Typography from '@mui/material/Typography';
import { slowFiles, type SlowFile } from '@/features/shared/slowReads';

/** Files that are named; of more the number is told. */
const NAMED = 2;

export function SlowFilesBar({ files }: { files: readonly SlowFile[] }) {
  const names = files.slice(0, NAMED).map(({ name }) => `“${name}”`);
  const more = files.length - names.length;
  const listed = more ? `${names.join(', ')} and ${more} more` : names.join(' and ');
  return (
    <Paper
      role="alert"
      elevation={6}
      sx={{
        position: 'fixed',
        top: 16,
        left: '50%',
        transform: 'translateX(-50%)',
        zIndex: 'snackbar',
        maxWidth: 560,
        px: 2.5,
        py: 1.75,
        borderRadius: 2,
      }}
    >
      <Typography>Still reading {listed}: this computer is busy.</Typography>
      <Box sx={{ display: 'flex', gap: 1, mt: 1, justifyContent: 'flex-end' }}>
        <Button color="inherit" onClick={() => files.forEach(({ skip }) => skip())}>
          {files.length > 1 ? 'Skip these files' : 'Skip this file'}
        </Button>
        <Button variant="contained" onClick={slowFiles.wait}>
          Wait
        </Button>
      </Box>
    </Paper>
  );
}
