'use client';
/** All punches by family, or by a word: what is selected is cut to one, or a new piece is punched out of cardstock. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { PUNCHES } from '@/core/piece/outline/punches';
import { FAMILIES, type Punch } from '@/core/piece/outline/punches/punch';
import { punchDrawing } from '@/features/table/parts/punchDrawing';
import * as act from '@/features/table/acts';
import { stemsOf } from '@/core/supplies/search';
import { folded } from '@/core/text/folded';
import { useRoom, useSession } from '@/features/table/room/context';
import { SideSheet } from '@/features/table/parts/SideSheet';

const SIDE = 38;
const DRAWN = PUNCHES.map((punch) => ({ punch, drawing: punchDrawing(punch, SIDE) }));

/** By any part of its name, or by the stem of a word: stars finds Star. */
const fits = ({ name, family, also = '' }: Punch, words: string): boolean =>
  folded(words)
    .split(/\s+/)
    .every((word) =>
      [word, ...stemsOf(word)].some((one) => folded(`${name} ${family} ${also}`).includes(one)),
    );

/** As they are shown: by family. */
const firstOf = (found: typeof DRAWN) =>
  FAMILIES.flatMap((family) => found.filter(({ punch }) => punch.family === family))[0]!;

export function PunchesSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const readOnly = useSession((session) => session.readOnly);
  const cutting = useSession((session) => act.cuttable(session).length);
  const [words, setWords] = useState('');
  const found = DRAWN.filter(({ punch }) => fits(punch, words.trim()));
  return (
    <SideSheet title="Punches" onClose={onClose}>
      <TextField
        fullWidth
        label="Find a punch"
        type="search"
        value={words}
        onChange={(event) => setWords(event.target.value.slice(0, 60))}
        onKeyDown={(event) => {
          // The first that is found, without leaving the field.
          if (event.key === 'Enter' && words.trim() && found[0] && !readOnly)
            act.punchWith(store, firstOf(found).punch.id);
        }}
        sx={{ mb: 0.5 }}
      />
      <Typography variant="caption" color="text.secondary" role="status" component="p" sx={{ mb: 1 }}>
        {found.length === 0
          ? 'No punch has this name. Try another word, such as round, tag or leaf.'
          : readOnly
            ? 'Another tab holds this project: pieces are punched there.'
            : words.trim()
              ? `Enter takes ${firstOf(found).punch.name}.`
              : cutting
                ? `Press one to cut ${cutting === 1 ? 'what is selected' : `these ${cutting} pieces`} to it.`
                : 'Press one to punch it out of cardstock.'}
      </Typography>
      <Button
        fullWidth
        variant="outlined"
        color="inherit"
        onClick={() => store.getState().openSheet('outlines')}
        sx={{ mb: 1.25 }}
      >
        Outlines from a file …
      </Button>
      {FAMILIES.map((family) => {
        const those = found.filter(({ punch }) => punch.family === family);
        return (
          those.length > 0 && (
            <Box key={family} component="section" aria-label={family} sx={{ mb: 1.25 }}>
              <Typography component="h3" sx={{ fontWeight: 600, fontSize: '0.92rem', mb: 0.5 }}>
                {family}
              </Typography>
              <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(5, 1fr)', gap: 0.5 }}>
                {those.map(({ punch, drawing }) => (
                  <ButtonBase
                    key={punch.id}
                    aria-label={punch.name}
                    disabled={readOnly}
                    title={punch.name}
                    onClick={() => act.punchWith(store, punch.id)}
                    sx={{
                      height: 50,
                      borderRadius: 1.5,
                      color: 'text.primary',
                      '&:hover': { bgcolor: 'background.default' },
                      '&.Mui-disabled': { opacity: 0.4 },
                    }}
                  >
                    <svg
                      width={SIDE + 4}
                      height={SIDE + 4}
                      viewBox={`${-SIDE / 2 - 2} ${-SIDE / 2 - 2} ${SIDE + 4} ${SIDE + 4}`}
                      aria-hidden="true"
                    >
                      <path
                        d={drawing}
                        fill="currentColor"
                        fillOpacity={0.2}
                        stroke="currentColor"
                        strokeWidth={1.3}
                        strokeLinejoin="round"
                      />
                    </svg>
                  </ButtonBase>
                ))}
              </Box>
            </Box>
          )
        );
      })}
    </SideSheet>
  );
}
