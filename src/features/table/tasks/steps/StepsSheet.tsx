'use client';
/** Everything that was done, by name: a press goes to the state after it; what lies after can be done again. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { IconColumns2 } from '@tabler/icons-react';
import { useLayoutEffect, useRef } from 'react';
import { useRoom, useSession } from '@/features/table/room/context';
import { SideSheet } from '@/features/table/parts/SideSheet';

const time = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });

export function StepsSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const history = useSession((session) => session.history);
  const goTo = useSession((session) => session.goTo);
  const here = useRef<HTMLButtonElement>(null);
  useLayoutEffect(() => here.current?.focus(), [history.done]);
  const rows = [{ label: history.forgotten ? 'Earlier steps' : 'The beginning', at: 0 }, ...history.steps];
  return (
    <SideSheet title="Steps" onClose={onClose}>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
        Press a step to go back to it, or forward. Hold O to see the page as it was before the last one.
      </Typography>
      <Button
        size="small"
        color="inherit"
        variant="outlined"
        startIcon={<IconColumns2 size={17} />}
        onClick={() => store.getState().openSheet('versions')}
        sx={{ mb: 1 }}
      >
        Before and after
      </Button>
      <Box component="ol" aria-label="Steps, newest first" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {rows
          .map(({ label, at }, i) => (
            <li key={i}>
              <ButtonBase
                ref={i === history.done ? here : undefined}
                aria-current={i === history.done ? 'step' : undefined}
                onClick={() => goTo(i)}
                sx={{
                  width: '100%',
                  minHeight: 34,
                  px: 1,
                  gap: 1,
                  borderRadius: 1,
                  justifyContent: 'flex-start',
                  fontFamily: 'inherit',
                  fontSize: '0.95rem',
                  fontWeight: i === history.done ? 700 : 400,
                  color: i > history.done ? 'text.secondary' : 'text.primary',
                  borderLeft: 3,
                  borderColor: i === history.done ? 'primary.main' : 'transparent',
                  '&:hover, &.Mui-focusVisible': { bgcolor: 'background.default' },
                }}
              >
                <Box component="span" sx={{ flex: 1, textAlign: 'left' }}>
                  {label}
                </Box>
                {at > 0 && (
                  <Box component="span" sx={{ color: 'text.secondary', fontSize: 14 }}>
                    {time.format(at)}
                  </Box>
                )}
              </ButtonBase>
            </li>
          ))
          .reverse()}
      </Box>
    </SideSheet>
  );
}
