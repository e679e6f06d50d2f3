'use client';
/** What the checks found, each where it is, with a cure by one press where there is one. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { IconCircleCheck } from '@tabler/icons-react';
import type { Found } from '@/core/cutter/checks';
import type { Cure } from '@/core/cutter/checks/check';

interface Props {
  found: readonly Found[];
  clear: readonly string[];
  disabled: boolean;
  shown: number | null;
  onShow: (number: number) => void;
  onCure: (cures: readonly Cure[]) => void;
}

/** So many are listed; there are no more numbers on the mats. */
export const MOST_FOUND = 60;

export function CutFindings({ found, clear, disabled, shown, onShow, onCure }: Props) {
  return (
    <Box>
      <Typography variant="h3" sx={{ mb: 1 }}>
        What the checks found
      </Typography>
      <Box
        component="ol"
        aria-label="What the checks found"
        sx={{ m: 0, p: 0, listStyle: 'none', display: 'grid', gap: 1 }}
      >
        {found.slice(0, MOST_FOUND).map((finding, i) => {
          const { cure, check } = finding;
          const alike = found.filter((each) => each.check === check && each.cure?.says === cure?.says);
          const first = found.indexOf(alike[0]!) === i;
          return (
            <Box
              component="li"
              key={i}
              sx={{
                border: 1,
                borderColor: shown === i ? 'warning.main' : 'divider',
                borderRadius: 1.5,
                p: 1.25,
                bgcolor: 'background.paper',
              }}
            >
              <Box sx={{ display: 'flex', gap: 1 }}>
                <Box
                  aria-hidden
                  sx={{
                    ...{
                      width: 22,
                      height: 22,
                      borderRadius: '50%',
                      bgcolor: 'warning.main',
                      color: 'background.paper',
                    },
                    ...{
                      flexShrink: 0,
                      display: 'grid',
                      placeItems: 'center',
                      fontSize: 13,
                      fontWeight: 700,
                    },
                  }}
                >
                  {i + 1}
                </Box>
                <Typography variant="body2">
                  <b>{finding.name}</b>
                  {finding.name && ': '}
                  {finding.says}
                </Typography>
              </Box>
              <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, mt: 0.5, ml: 3 }}>
                {finding.mat !== null && (
                  <Button size="small" color="inherit" onClick={() => onShow(i)}>
                    Show
                  </Button>
                )}
                {cure && (
                  <Button size="small" disabled={disabled} onClick={() => onCure([cure])}>
                    {cure.says}
                  </Button>
                )}
                {cure && first && alike.length > 1 && 'pieces' in cure && (
                  <Button
                    size="small"
                    disabled={disabled}
                    onClick={() => onCure(alike.map((each) => each.cure!))}
                  >
                    {`All ${alike.length} so`}
                  </Button>
                )}
              </Box>
            </Box>
          );
        })}
      </Box>
      {found.length > MOST_FOUND && (
        <Typography variant="body2" sx={{ mt: 1 }}>
          And {found.length - MOST_FOUND} more.
        </Typography>
      )}
      <Box sx={{ display: 'grid', gap: 0.75, mt: found.length ? 1.5 : 0 }}>
        {clear.map((says) => (
          <Box key={says} sx={{ display: 'flex', gap: 1, color: 'success.main' }}>
            <IconCircleCheck size={20} style={{ flexShrink: 0 }} />
            <Typography variant="body2">{says}</Typography>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
