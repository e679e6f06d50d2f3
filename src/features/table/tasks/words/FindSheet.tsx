'use client';
/** Words of the whole project: found one by one, replaced all at once, counted. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { isWritten } from '@/core/piece/outline';
import { countWords, findWords, isFree, replaceWords, type Find } from '@/core/project/finding';
import { textsOf } from '@/core/project/needs';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { SideSheet } from '@/features/table/parts/SideSheet';
import { useNotify } from '@/ui/notices';

const LONGEST = 200;
/** Finds that are listed; all are counted. */
const MOST_LISTED = 200;
const ROUND = 14;

export function FindSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const notify = useNotify();
  const project = useSession((session) => session.history.project);
  const typesetter = useSession((session) => session.typesetter);
  const readOnly = useSession((session) => session.readOnly);
  const [text, setText] = useState('');
  const [by, setBy] = useState('');
  const [exact, setExact] = useState(false);
  const [whole, setWhole] = useState(false);
  const wish = useMemo(() => ({ text, exact, whole }), [text, exact, whole]);
  const found = useMemo(() => findWords(project, wish, by), [project, wish, by]);
  const total = useMemo(
    () => countWords(project.surfaces.flatMap(({ pile }) => pile.flatMap(textsOf)).join('\n')),
    [project],
  );
  const locked = found.filter((find) => find.locked).length;
  const living = found.filter((find) => find.living && !find.locked).length;
  const free = found.filter(isFree).length;
  const full = found.length - locked - living - free;
  const show = ({ surfaceId, piece, start, end }: Find) => {
    act.toPageAt(store, surfaceId);
    store.getState().select([piece.id]);
    if (isWritten(piece.outline) && !piece.placement.locked && !readOnly)
      store.getState().setMode({ kind: 'write', id: piece.id, range: [start, end] });
  };
  return (
    <SideSheet title="Find and replace" onClose={onClose}>
      <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.25 }}>
        <TextField
          label="Find in all pages"
          value={text}
          onChange={(event) => setText(event.target.value)}
          slotProps={{ htmlInput: { maxLength: LONGEST } }}
        />
        <TextField
          label="Put in its place"
          value={by}
          onChange={(event) => setBy(event.target.value)}
          slotProps={{ htmlInput: { maxLength: LONGEST } }}
        />
        <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1, my: -0.5 }}>
          <FormControlLabel
            control={<Checkbox checked={exact} onChange={(_, on) => setExact(on)} />}
            label="Capitals count"
          />
          <FormControlLabel
            control={<Checkbox checked={whole} onChange={(_, on) => setWhole(on)} />}
            label="Whole words"
          />
        </Box>
        <Typography role="status" variant="body2">
          {text
            ? `${found.length} found${locked ? `, ${locked} of them locked` : ''}${living ? `, ${living} in living words, which change with what they say` : ''}${full ? `, ${full} where so many letters find no room` : ''}.`
            : ''}{' '}
          {total.words} words in this project.
        </Typography>
        <Box
          component="ul"
          aria-label="Found"
          sx={{
            p: 0,
            m: 0,
            mx: -1,
            listStyle: 'none',
            maxHeight: 220,
            overflowY: 'auto',
            scrollbarWidth: 'thin',
          }}
        >
          {found.slice(0, MOST_LISTED).map((find, i) => (
            <li key={i}>
              <ButtonBase
                onClick={() => show(find)}
                sx={{
                  width: '100%',
                  justifyContent: 'flex-start',
                  textAlign: 'left',
                  px: 1,
                  py: 0.5,
                  borderRadius: 1.5,
                  fontFamily: 'inherit',
                  fontSize: '0.95rem',
                  '&:hover': { bgcolor: 'action.hover' },
                }}
              >
                <span>
                  <Typography component="span" variant="caption" color="text.secondary" sx={{ mr: 1 }}>
                    {find.page}
                    {find.locked ? ', locked' : find.living ? ', living' : ''}
                  </Typography>
                  {find.text.slice(Math.max(0, find.start - ROUND), find.start)}
                  <b>{find.text.slice(find.start, find.end)}</b>
                  {find.text.slice(find.end, find.end + ROUND)}
                </span>
              </ButtonBase>
            </li>
          ))}
        </Box>
        <Button
          variant="contained"
          disabled={readOnly || !free}
          onClick={() => {
            store.getState().perform(replaceWords(project, wish, by, typesetter));
            notify({
              text: `${free} ${free === 1 ? 'place was' : 'places were'} changed. Undo takes all back.`,
            });
          }}
        >
          Replace {free || 'all'}
        </Button>
      </Box>
    </SideSheet>
  );
}
