'use client';
/** Sentiments by occasion and search, their blanks filled, laid in an arrangement; one's own added. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { IconPlus, IconTrash } from '@tabler/icons-react';
import { useEffect, useMemo, useState } from 'react';
import { OCCASIONS, SENTIMENTS, type Occasion, type Sentiment } from '@/core/sentiments/collection';
import {
  ARRANGEMENTS,
  blanksIn,
  filledIn,
  foundSentiments,
  plainWords,
  type Arrangement,
} from '@/core/sentiments/laid';
import { newId } from '@/features/shared/ids';
import { useRoom, useSession } from '@/features/table/room/context';
import { selectedPieces } from '@/features/table/session';
import { SideSheet } from '@/features/table/parts/SideSheet';
import { faceOf } from '@/features/table/tasks/words/faces';
import { laySentiment, rearrange } from '@/features/table/tasks/words/sentiments';
import { changeSentiments, LONGEST_SENTIMENT, MOST_SENTIMENTS, ownSentiments } from '@/storage/sentiments';
import { Heading } from '@/ui/Heading';
import { useNotify } from '@/ui/notices';
import { SmallButton } from '@/ui/SmallButton';

export function SentimentsSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const notify = useNotify();
  const readOnly = useSession((session) => session.readOnly);
  const written = useSession((session) =>
    selectedPieces(session).some(({ outline }) => outline.kind === 'glyphs'),
  );
  const [own, setOwn] = useState<readonly Sentiment[]>([]);
  const [sought, setSought] = useState('');
  const [occasion, setOccasion] = useState<Occasion | ''>('');
  const [chosen, setChosen] = useState<Sentiment | null>(null);
  const [blanks, setBlanks] = useState<Record<string, string>>({});
  const [how, setHow] = useState<Arrangement>(ARRANGEMENTS[0]!);
  useEffect(() => void ownSentiments().then(setOwn), []);
  const all = useMemo(() => [...own, ...SENTIMENTS], [own]);
  const found = useMemo(() => foundSentiments(all, sought, occasion || null), [all, sought, occasion]);
  /** Says whether it was kept. */
  const keep = async (to: (now: Sentiment[]) => Sentiment[]): Promise<boolean> => {
    try {
      setOwn(await changeSentiments(to));
      return true;
    } catch {
      notify({ text: 'That could not be kept. Nothing was changed.', tone: 'error' });
      return false;
    }
  };
  const add = async (text: string): Promise<boolean> => {
    const made = { id: newId(), occasion: occasion || ('home' as const), text };
    const kept = await keep((now) => [made, ...now]);
    if (kept) setChosen(made);
    return kept;
  };
  return (
    <SideSheet title="Sentiments" onClose={onClose}>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
        <TextField label="Find" value={sought} onChange={(event) => setSought(event.target.value)} />
        <TextField
          select
          label="Occasion"
          value={occasion}
          onChange={({ target: { value } }) => setOccasion(value as Occasion | '')}
          slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
        >
          <MenuItem value="">All</MenuItem>
          {(Object.keys(OCCASIONS) as Occasion[]).map((id) => (
            <MenuItem key={id} value={id}>
              {OCCASIONS[id]}
            </MenuItem>
          ))}
        </TextField>
      </Box>
      <Typography variant="body2" color="text.secondary" role="status" sx={{ mt: 0.75 }}>
        {found.length} of {all.length}
      </Typography>
      <FoundList
        {...{ found, own, chosen }}
        onChoose={setChosen}
        onTake={(one) => void keep((now) => now.filter(({ id }) => id !== one.id))}
      />
      <OwnWords full={own.length >= MOST_SENTIMENTS} onKeep={add} />
      {chosen && blanksIn(chosen.text).length > 0 && (
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1, mt: 1.5 }}>
          {blanksIn(chosen.text).map((name) => (
            <TextField
              key={name}
              label={name.charAt(0).toUpperCase() + name.slice(1)}
              value={blanks[name] ?? ''}
              onChange={(event) => setBlanks({ ...blanks, [name]: event.target.value })}
              slotProps={{ htmlInput: { maxLength: 80 } }}
            />
          ))}
        </Box>
      )}
      <Box sx={{ mt: 1.5 }}>
        <Heading>Arrangement</Heading>
        <Arrangements
          how={how}
          onChoose={(one) => {
            setHow(one);
            if (!chosen && written) rearrange(store, one);
          }}
        />
      </Box>
      <Box sx={{ mt: 1.5, display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button
          variant="contained"
          disabled={!chosen || readOnly}
          onClick={() => chosen && laySentiment(store, filledIn(chosen.text, blanks), how)}
        >
          Lay it on the page
        </Button>
        {written && chosen && (
          <Button color="inherit" disabled={readOnly} onClick={() => rearrange(store, how)}>
            Arrange what is selected
          </Button>
        )}
      </Box>
    </SideSheet>
  );
}

interface FoundProps {
  found: readonly Sentiment[];
  /** Those that were written here: they can be taken out again. */
  own: readonly Sentiment[];
  chosen: Sentiment | null;
  onChoose: (one: Sentiment) => void;
  onTake: (one: Sentiment) => void;
}

const FoundList = ({ found, own, chosen, onChoose, onTake }: FoundProps) => (
  <Box
    component="ul"
    aria-label="Sentiments found"
    sx={{
      p: 0,
      m: 0,
      mx: -1,
      listStyle: 'none',
      maxHeight: 190,
      overflowY: 'auto',
      scrollbarWidth: 'thin',
    }}
  >
    {found.map((one) => (
      <Box component="li" key={one.id} sx={{ display: 'flex', alignItems: 'center' }}>
        <ButtonBase
          aria-pressed={chosen?.id === one.id}
          onClick={() => onChoose(one)}
          sx={{
            flex: 1,
            minWidth: 0,
            justifyContent: 'flex-start',
            textAlign: 'left',
            px: 1,
            minHeight: 34,
            borderRadius: 1.5,
            fontFamily: 'inherit',
            fontSize: '0.95rem',
            bgcolor: chosen?.id === one.id ? 'action.selected' : undefined,
            '&:hover': { bgcolor: 'action.hover' },
          }}
        >
          {plainWords(one.text)}
        </ButtonBase>
        {own.includes(one) && (
          <SmallButton label={`Take “${plainWords(one.text)}” out`} onClick={() => onTake(one)}>
            <IconTrash size={16} />
          </SmallButton>
        )}
      </Box>
    ))}
  </Box>
);

/** Words of one's own, written and kept among the others. */
function OwnWords({ full, onKeep }: { full: boolean; onKeep: (text: string) => Promise<boolean> }) {
  const [writing, setWriting] = useState<string | null>(null);
  const add = async () => {
    const text = writing?.trim();
    if (!text) return;
    if (await onKeep(text)) setWriting(null);
  };
  if (writing === null)
    return (
      <Button
        size="small"
        color="inherit"
        startIcon={<IconPlus size={16} />}
        disabled={full}
        onClick={() => setWriting('')}
      >
        Write one of your own
      </Button>
    );
  return (
    <Box sx={{ mt: 1, display: 'flex', flexDirection: 'column', gap: 1 }}>
      <TextField
        autoFocus
        multiline
        maxRows={4}
        label="Your own words"
        helperText="Stars round what shall be *larger*; {name} leaves a blank."
        value={writing}
        onChange={(event) => setWriting(event.target.value)}
        slotProps={{ htmlInput: { maxLength: LONGEST_SENTIMENT, spellCheck: true } }}
      />
      <Box>
        <Button size="small" disabled={!writing.trim()} onClick={() => void add()}>
          Keep it
        </Button>
        <Button size="small" color="inherit" onClick={() => setWriting(null)}>
          Leave it
        </Button>
      </Box>
    </Box>
  );
}

interface ArrangementsProps {
  how: Arrangement;
  onChoose: (how: Arrangement) => void;
}

/** How the words of a sentiment are lettered and laid. */
const Arrangements = ({ how, onChoose }: ArrangementsProps) => (
  <Box
    role="radiogroup"
    aria-label="Arrangement"
    sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr 1fr', gap: 0.75 }}
  >
    {ARRANGEMENTS.map((one) => (
      <ButtonBase
        key={one.id}
        role="radio"
        aria-checked={how.id === one.id}
        aria-label={one.name}
        title={one.name}
        onClick={() => onChoose(one)}
        sx={{
          flexDirection: 'column',
          height: 58,
          borderRadius: 1.5,
          border: how.id === one.id ? 2 : 1,
          borderColor: how.id === one.id ? 'primary.main' : 'divider',
          bgcolor: '#fffdf8',
          overflow: 'hidden',
        }}
      >
        <Box
          component="span"
          sx={{
            fontFamily: faceOf(one.large),
            color: one.accent,
            fontSize: 20,
            lineHeight: 1.1,
            whiteSpace: 'nowrap',
          }}
        >
          so dear
        </Box>
        <Box
          component="span"
          sx={{
            fontFamily: faceOf(one.small),
            color: one.ink,
            fontSize: 12,
            lineHeight: 1.2,
            whiteSpace: 'nowrap',
            letterSpacing: 0,
          }}
        >
          to all of us
        </Box>
      </ButtonBase>
    ))}
  </Box>
);
