'use client';
/** A page from a step back: measures, each with one sentence and what shows it on the page. */
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { IconEye, IconEyeOff } from '@tabler/icons-react';
import type { Measured } from '@/core/proof/look-over';

interface Props {
  /** Null while the page is being painted. */
  measured: readonly Measured[] | null;
  /** The one that is shown on the page. */
  shown: string | null;
  onShow: (id: string | null) => void;
}

export function LookOver({ measured, shown, onShow }: Props) {
  if (!measured) return <Typography variant="body2">Looking at the page …</Typography>;
  return (
    <>
      <Typography variant="body2" color="text.secondary">
        What a page is like from a step back. Nothing here is right or wrong.
      </Typography>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none', display: 'grid', gap: 0.5 }}>
        {measured.map(({ id, name, says, shows }) => {
          const told = (
            <Box sx={{ flex: 1, minWidth: 0 }}>
              <Typography variant="body2" sx={{ fontWeight: 600 }}>
                {name}
              </Typography>
              <Typography variant="body2">{says}</Typography>
            </Box>
          );
          const on = shown === id;
          return (
            <li key={id}>
              {shows ? (
                <ButtonBase
                  aria-pressed={on}
                  onClick={() => onShow(on ? null : id)}
                  sx={{
                    ...{ display: 'flex', gap: 1, width: '100%', textAlign: 'left', font: 'inherit' },
                    ...{ alignItems: 'flex-start', borderRadius: 1, px: 1, py: 0.75, mx: -1 },
                    ...(on ? { bgcolor: 'action.selected' } : { '&:hover': { bgcolor: 'action.hover' } }),
                  }}
                >
                  {told}
                  <Box sx={{ color: on ? 'primary.main' : 'text.secondary', pt: 0.25 }}>
                    {on ? <IconEye size={18} /> : <IconEyeOff size={18} />}
                  </Box>
                </ButtonBase>
              ) : (
                <Box sx={{ py: 0.75 }}>{told}</Box>
              )}
            </li>
          );
        })}
      </Box>
    </>
  );
}
