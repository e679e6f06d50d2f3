'use client';
/** Fonts of one's own: chosen from the disk, looked at, told about, kept with the project. */
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { IconFileTypography } from '@tabler/icons-react';
import { useRef } from 'react';
import { useBringFonts, type Told } from '@/features/table/tasks/words/useBringFonts';

const SEVERITY = { here: 'success', refused: 'error', left: 'info' } as const;

export function BringFont() {
  const input = useRef<HTMLInputElement>(null);
  const { busy, told, asking, bring, answer, cancel } = useBringFonts();
  return (
    <Box sx={{ mt: 1 }}>
      <input
        ref={input}
        type="file"
        multiple
        accept=".ttf,.otf,.woff,font/ttf,font/otf,font/woff"
        aria-label="Font files"
        data-testid="font-input"
        hidden
        onChange={(event) => {
          void bring([...(event.target.files ?? [])]);
          event.target.value = '';
        }}
      />
      <Button
        size="small"
        color="inherit"
        disabled={busy !== null}
        startIcon={<IconFileTypography size={17} />}
        onClick={() => input.current?.click()}
      >
        Bring in a font of your own
      </Button>
      {busy && (
        <Box role="status" sx={{ mt: 1 }}>
          <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
            <Typography variant="body2" noWrap sx={{ flex: 1 }}>
              Looking at {busy.of > 1 ? `${busy.at} of ${busy.of}: ` : ''}
              {busy.name}
            </Typography>
            <Button size="small" color="inherit" onClick={cancel}>
              Stop
            </Button>
          </Box>
          <LinearProgress
            aria-label="Fonts looked at"
            variant={busy.of > 1 ? 'determinate' : 'indeterminate'}
            value={(100 * (busy.at - 1)) / busy.of}
          />
        </Box>
      )}
      {asking.map((looked) => (
        <Alert
          key={looked.sha}
          severity="warning"
          sx={{ mt: 1 }}
          action={
            <Box sx={{ display: 'flex' }}>
              <Button size="small" color="inherit" onClick={() => void answer(looked, true)}>
                Take it
              </Button>
              <Button size="small" color="inherit" onClick={() => void answer(looked, false)}>
                Leave it
              </Button>
            </Box>
          }
        >
          <Typography variant="body2">
            {looked.name} lacks most letters and figures: it may hold signs alone.
          </Typography>
        </Alert>
      ))}
      {told.map((one, i) => (
        <TellFont key={i} {...one} />
      ))}
    </Box>
  );
}

const TellFont = ({ name, says, how }: Told) => (
  <Alert severity={how === 'here' && says.length ? 'info' : SEVERITY[how]} sx={{ mt: 1 }}>
    {how === 'here' && (
      <Typography variant="body2" sx={{ fontWeight: 600 }}>
        {name} is here.
      </Typography>
    )}
    {says.map((sentence) => (
      <Typography key={sentence} variant="body2">
        {sentence}
      </Typography>
    ))}
  </Alert>
);
