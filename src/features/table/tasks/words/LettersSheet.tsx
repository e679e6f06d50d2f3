'use client';
/** Words laid in letters of an alphabet: each a piece, all a group that is laid anew while one types. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { IconArrowsShuffle } from '@tabler/icons-react';
import { useEffect, useRef, useState } from 'react';
import { layLetters } from '@/core/project/edits/letters';
import { MOST_LAID_LETTERS } from '@/core/project/schema';
import { lackedBy } from '@/core/project/letters';
import type { LaidLetters } from '@/core/project/model';
import { FAMILIES } from '@/core/text/families';
import { fail } from '@/core/result';
import { formatLength, toPoints, type Unit } from '@/core/units/lengths';
import { newId } from '@/features/shared/ids';
import { measureWithin } from '@/features/table/parts/measures';
import * as act from '@/features/table/acts';
import { aimed } from '@/features/table/acts/aimed';
import { useRoom, useSession } from '@/features/table/room/context';
import { SideSheet } from '@/features/table/parts/SideSheet';
import {
  entriesOf,
  openAll,
  picturesFor,
  readAlphabets,
  tallestOf,
  type Alphabet,
} from '@/features/table/tasks/words/alphabets';
import { faceOf } from '@/features/table/tasks/words/faces';
import { inWords } from '@/storage/trouble';
import { LengthField } from '@/ui/LengthField';
import { useNotify } from '@/ui/notices';
import { RowSlider } from '@/ui/RowSlider';

type Settings = Omit<LaidLetters, 'text' | 'alphabet' | 'tallest'>;
const FIRST: Settings = { height: toPoints(1, 'in'), room: toPoints(0.08, 'in'), hop: 0, lean: 0, seed: 1 };

export function LettersSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const notify = useNotify();
  const unit = useSession((session) => session.history.project.unit);
  const readOnly = useSession((session) => session.readOnly);
  const group = useSession(act.lettersChosen);
  const [all, setAll] = useState<readonly Alphabet[] | null>(null);
  const [kit, setKit] = useState('');
  const [text, setText] = useState('');
  const [settings, setSettings] = useState<Settings>(FIRST);
  const [busy, setBusy] = useState(false);
  /** What is typed and set while its pictures are fetched, and over which letters: as soon as those change it is laid, or undone. */
  const [meant, setMeant] = useState<{ over: LaidLetters; letters: LaidLetters } | null>(null);
  const turn = useRef(0);
  useEffect(() => {
    void readAlphabets().then((found) => {
      setAll(found);
      setKit((now) => now || found[0]?.id || '');
    });
  }, []);
  const laid = meant && meant.over === group?.letters ? meant.letters : group?.letters;
  const isOf = ({ letters }: Alphabet) =>
    letters.some(({ asset }) => asset && laid?.alphabet.some(({ assets }) => assets.includes(asset.sha)));
  const alphabet = laid ? all?.find(isOf) : all?.find(({ id }) => id === kit);
  const entries = alphabet ? entriesOf(alphabet) : [];
  // What is laid already is its own source; another alphabet is taken when one is chosen.
  const now: LaidLetters = laid ?? {
    ...settings,
    text,
    alphabet: entries,
    tallest: alphabet ? tallestOf(alphabet) : 72,
  };
  const lacking = lackedBy(now);

  const lay = async (next: LaidLetters, from = alphabet) => {
    const mine = ++turn.current;
    const there = aimed(store);
    const { surfaceId, selection } = there.getState();
    const onto = act.lettersChosen(there.getState());
    if (onto) setMeant({ over: onto.letters!, letters: next });
    const asked = Boolean(next.text.trim());
    setBusy(asked);
    if (!asked) return;
    const found = from
      ? await picturesFor(from, next.text).catch((error) => fail(inWords(error, 'No letter was laid')))
      : null;
    if (turn.current !== mine) return;
    setBusy(false);
    if (found && !found.ok) {
      setMeant(null);
      return notify({ text: found.message, tone: 'error' });
    }
    const id = onto?.id ?? newId();
    if (onto && !act.page(there.getState()).groups.some((one) => one.id === id)) return;
    const spot = onto ? undefined : act.freeSpot(there.getState());
    const measured = (from?.letters ?? []).flatMap(({ asset }) => asset ?? []);
    const { typesetter, perform } = there.getState();
    const free = store.getState().selection === selection;
    const pictures = [...measured, ...(found?.value ?? [])];
    if (!perform(layLetters(surfaceId, id, next, pictures, typesetter, newId, spot))) return setMeant(null);
    // Who has gone on to something else meanwhile keeps that.
    if (free) act.selectGroup(there, id);
  };
  const change = (to: Partial<LaidLetters>) => {
    if (laid) void lay({ ...laid, ...to });
    else {
      const { text: words, alphabet: _, tallest: __, ...rest } = { ...now, ...to };
      setText(words);
      setSettings(rest);
    }
  };
  const choose = (id: string) => {
    setKit(id);
    const next = all?.find((one) => one.id === id);
    if (laid && next) void lay({ ...laid, alphabet: entriesOf(next), tallest: tallestOf(next) }, next);
  };
  const openCounters = async () => {
    if (!alphabet) return;
    setBusy(true);
    const opened = await openAll(alphabet).catch(() => null);
    setBusy(false);
    if (!opened)
      return notify({ text: 'The letters could not be read. Nothing was changed.', tone: 'error' });
    setAll(await readAlphabets());
    notify({
      text: opened.length
        ? `Opened: ${opened.join(' ')}. Letters laid from now on have their holes.`
        : 'No letter of this alphabet came with its holes filled.',
    });
  };
  return (
    <SideSheet title="Letters of an alphabet" onClose={onClose}>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: '12px 8px' }}>
        <TextField
          label="Words"
          multiline
          maxRows={3}
          value={laid ? laid.text : text}
          disabled={readOnly}
          onChange={(event) => change({ text: event.target.value })}
          slotProps={{ htmlInput: { maxLength: MOST_LAID_LETTERS } }}
          sx={{ gridColumn: '1 / -1' }}
        />
        <TextField
          select
          label="Alphabet"
          value={alphabet?.id ?? ''}
          disabled={readOnly || !all?.length}
          onChange={({ target: { value } }) => choose(value)}
          helperText={all?.length === 0 ? 'The cupboard holds no alphabet yet.' : undefined}
          sx={{ gridColumn: '1 / -1' }}
        >
          {(all ?? []).map(({ id, name, letters }) => (
            <MenuItem key={id} value={id}>
              {name} ({letters.length} pieces)
            </MenuItem>
          ))}
        </TextField>
        {lacking.length > 0 && now.text.trim() && (
          <Lacking {...{ lacking, now, change }} disabled={readOnly} />
        )}
        <HowTheyLie {...{ now, unit, change }} disabled={readOnly} />
        {!laid && (
          <Button
            variant="contained"
            disabled={readOnly || busy || !text.trim() || !alphabet}
            onClick={() => void lay(now)}
            sx={{ gridColumn: '1 / -1' }}
          >
            Lay the letters
          </Button>
        )}
        {laid && (
          <Typography variant="body2" role="status" color="text.secondary" sx={{ gridColumn: '1 / -1' }}>
            {busy ? 'Fetching letters …' : 'What you change is laid anew on the page.'}
          </Typography>
        )}
        {alphabet && !alphabet.house && (
          <Button
            size="small"
            color="inherit"
            disabled={readOnly || busy}
            onClick={() => void openCounters()}
            sx={{ gridColumn: '1 / -1', justifySelf: 'start' }}
          >
            Open the holes of B, o, e …
          </Button>
        )}
      </Box>
    </SideSheet>
  );
}

interface PartProps {
  now: LaidLetters;
  disabled: boolean;
  change: (to: Partial<LaidLetters>) => void;
}

/** Letters the alphabet does not have, and what they are written in. */
function Lacking({ lacking, now, disabled, change }: PartProps & { lacking: readonly string[] }) {
  return (
    <Box sx={{ gridColumn: '1 / -1' }}>
      <Typography variant="body2" role="status" color="warning.main" sx={{ mb: 0.75 }}>
        Not in this alphabet: {lacking.join(' ')}. {now.family ? 'They are written.' : 'They are left out.'}
      </Typography>
      <TextField
        select
        fullWidth
        label="Write them in"
        value={now.family ?? ''}
        disabled={disabled}
        onChange={({ target: { value } }) => change({ family: value || undefined })}
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
      >
        <MenuItem value="">Leave them out</MenuItem>
        {FAMILIES.map(({ id, name }) => (
          <MenuItem key={id} value={id} sx={{ fontFamily: faceOf(id), fontSize: 19 }}>
            {name}
          </MenuItem>
        ))}
      </TextField>
    </Box>
  );
}

/** How large they are, how far apart, and how they dance. */
function HowTheyLie({ now, unit, disabled, change }: PartProps & { unit: Unit }) {
  return (
    <>
      <LengthField
        label="Height of letters"
        unit={unit}
        disabled={disabled}
        shown={formatLength(now.height, unit)}
        read={measureWithin(unit, 4, 2880)}
        onCommit={(height) => change({ height })}
      />
      <LengthField
        label="Room between"
        unit={unit}
        disabled={disabled}
        shown={formatLength(now.room, unit)}
        read={measureWithin(unit, -144, 288)}
        onCommit={(room) => change({ room })}
      />
      <Box sx={{ gridColumn: '1 / -1' }}>
        <RowSlider
          label="Up and down"
          least={0}
          most={0.5}
          step={0.02}
          value={now.hop}
          says={`${Math.round(now.hop * 100)} %`}
          disabled={disabled}
          onChange={(hop) => change({ hop })}
        />
        <RowSlider
          label="Leaning"
          least={0}
          most={45}
          value={now.lean}
          says={`${Math.round(now.lean)}°`}
          disabled={disabled}
          onChange={(lean) => change({ lean })}
        />
      </Box>
      {(now.hop > 0 || now.lean > 0) && (
        <Button
          size="small"
          color="inherit"
          disabled={disabled}
          startIcon={<IconArrowsShuffle size={17} />}
          onClick={() => change({ seed: (now.seed + 1) % 1e9 })}
          sx={{ gridColumn: '1 / -1', justifySelf: 'start' }}
        >
          Let them dance anew
        </Button>
      )}
    </>
  );
}
