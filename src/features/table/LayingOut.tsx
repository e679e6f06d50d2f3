'use client';
/** Fills the room until the table stands. What stays away much longer than it should can be asked for anew. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import CircularProgress from '@mui/material/CircularProgress';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';

/** Milliseconds after which a person wonders whether anything still comes. */
const LONG = 12_000;

export function LayingOut() {
  const [long, setLong] = useState(false);
  useEffect(() => {
    const late = setTimeout(() => setLong(true), LONG);
    return () => clearTimeout(late);
  }, []);
  return (
    <Box sx={{ height: '100dvh', display: 'grid', placeItems: 'center', bgcolor: 'table.main' }}>
      <Box role="status" sx={{ display: 'grid', gap: 2, justifyItems: 'center', p: 4 }}>
        <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
          <CircularProgress size={26} aria-hidden /> Laying out the page …
        </Box>
        {long && (
          <>
            <Typography>This takes longer than it should. What you did is kept.</Typography>
            <Button variant="outlined" onClick={() => window.location.reload()}>
              Load it anew
            </Button>
          </>
        )}
      </Box>
    </Box>
  );
}
