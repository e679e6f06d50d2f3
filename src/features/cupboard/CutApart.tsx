'use client';
/** One picture of many letters or bits, cut apart: the parts are shown in their order, named by typing along. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { USUAL_LETTERS } from '@/core/supplies/letters';
import type { Supply } from '@/core/supplies/model';
import { useCutApart } from '@/features/cupboard/useCutApart';
import type { Cupboard } from '@/features/cupboard/useCupboard';

interface Props {
  supply: Supply;
  cupboard: Cupboard;
  onClose: () => void;
}

export function CutApart({ supply, cupboard, onClose }: Props) {
  const sheet = useCutApart(supply, cupboard);
  const { state, parts, wanted, letters, busy } = sheet;
  const what = letters ? 'letters' : 'pieces';
  return (
    <Dialog open onClose={() => !busy && onClose()} maxWidth="lg" aria-labelledby="apart-title">
      <DialogTitle id="apart-title" variant="h2">
        Cut {supply.name} apart
      </DialogTitle>
      <DialogContent sx={{ display: 'flex', gap: 3, flexWrap: 'wrap' }}>
        <Box
          sx={{
            position: 'relative',
            alignSelf: 'flex-start',
            bgcolor: 'table.main',
            lineHeight: 0,
            minWidth: 240,
            minHeight: 160,
          }}
        >
          {sheet.picture && <img src={sheet.picture} alt="" style={{ maxWidth: 620, maxHeight: 500 }} />}
          <Box component="ol" aria-label="Parts" sx={{ listStyle: 'none', m: 0, p: 0 }}>
            {parts.map(({ box, name, members }, place) => (
              <Box
                component="li"
                key={members[0]}
                sx={{
                  position: 'absolute',
                  left: `${100 * box.x}%`,
                  top: `${100 * box.y}%`,
                  width: `${100 * box.width}%`,
                  height: `${100 * box.height}%`,
                }}
              >
                <ButtonBase
                  aria-label={`Part ${place + 1}, ${name || 'left out'}`}
                  aria-pressed={members.length > 1}
                  disabled={place === 0 && members.length === 1}
                  onClick={() => sheet.join(place)}
                  sx={{
                    position: 'absolute',
                    inset: -3,
                    borderRadius: 0.5,
                    outline: '1.5px dashed',
                    outlineColor: (theme) =>
                      name
                        ? (theme.vars ?? theme).palette.primary.main
                        : (theme.vars ?? theme).palette.text.secondary,
                    boxShadow: '0 0 0 3px rgba(255,253,246,0.75)',
                    '&.Mui-focusVisible': { outlineStyle: 'solid', outlineWidth: 3 },
                  }}
                >
                  <Box
                    component="span"
                    sx={{
                      position: 'absolute',
                      left: -2,
                      top: -17,
                      px: 0.5,
                      minWidth: 18,
                      fontSize: 14,
                      lineHeight: '18px',
                      fontWeight: 600,
                      borderRadius: 0.5,
                      bgcolor: name ? 'primary.main' : 'text.secondary',
                      color: 'background.paper',
                    }}
                  >
                    {name || '–'}
                  </Box>
                </ButtonBase>
              </Box>
            ))}
          </Box>
        </Box>
        <Box sx={{ width: 300 }}>
          <Typography role="status" sx={{ fontWeight: 600, mb: 1 }}>
            {state.kind === 'looking' && 'Looking at what lies apart …'}
            {state.kind === 'failed' && state.message}
            {state.kind === 'told' && `${parts.length} parts lie apart.`}
          </Typography>
          {state.kind === 'told' && (
            <>
              <Typography sx={{ mb: 2 }}>
                Press a part that belongs to the one before it, as the second half of a quotation mark does;
                press again to part them.
              </Typography>
              {letters && (
                <>
                  <TextField
                    fullWidth
                    multiline
                    label="Type the characters in their order"
                    helperText={
                      wanted.length < parts.length
                        ? `Next: part ${[...sheet.typed].length + 1}. A space leaves one out.`
                        : 'All are named.'
                    }
                    value={sheet.typed}
                    onChange={(event) =>
                      sheet.setTyped(
                        [...event.target.value.replace(/\n/g, '')].slice(0, parts.length).join(''),
                      )
                    }
                  />
                  <Box sx={{ display: 'flex', gap: 1, mt: 1, flexWrap: 'wrap' }}>
                    {ORDERS.map(([name, characters]) => (
                      <Button
                        key={name}
                        size="small"
                        color="inherit"
                        onClick={() =>
                          sheet.setTyped([...(sheet.typed + characters)].slice(0, parts.length).join(''))
                        }
                      >
                        {name}
                      </Button>
                    ))}
                  </Box>
                </>
              )}
            </>
          )}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose} disabled={busy}>
          Leave it
        </Button>
        <Button
          variant="contained"
          disabled={busy || state.kind !== 'told' || !wanted.length}
          onClick={() => void sheet.cut().then((done) => done && onClose())}
        >
          {busy ? 'Cutting …' : `Cut ${wanted.length} ${what} out`}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** Runs that most sheets have, so that nobody types the alphabet. */
const ORDERS: readonly [string, string][] = [
  ['A to Z', USUAL_LETTERS.slice(0, 26)],
  ['a to z', USUAL_LETTERS.slice(26, 52)],
  ['0 to 9', USUAL_LETTERS.slice(52, 62)],
];
