'use client';
/** What was brought in, as it was sorted: doubtful guesses first, put right many at a time, then put away in a kit. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import LinearProgress from '@mui/material/LinearProgress';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { fail, ok } from '@/core/result';
import { tagsFrom } from '@/core/supplies/kit-file';
import { characterOf } from '@/core/supplies/letters';
import { LOOSE_KIT, type Kit, type SupplyKind } from '@/core/supplies/model';
import type { Unit } from '@/core/units/lengths';
import type { Row } from '@/features/cupboard/gathering';
import { KindTargets } from '@/features/cupboard/KindTargets';
import { ReviewGrid } from '@/features/cupboard/ReviewGrid';
import { reviewGroups } from '@/features/cupboard/review';
import type { Bringing } from '@/features/cupboard/useBringing';
import { isUnnamed, KitChoice, type IntoKit } from '@/features/shared/KitChoice';
import { LengthField } from '@/ui/LengthField';

interface Props {
  bringing: Bringing;
  kits: readonly Kit[];
  unit: Unit;
}

export function BringSheet({ bringing, kits, unit }: Props) {
  const { stage } = bringing;
  return (
    <>
      <Dialog open={stage.kind === 'reading'} maxWidth="xs" fullWidth aria-label="Bringing in">
        {stage.kind === 'reading' && (
          <Box sx={{ p: 3 }} role="status">
            <Typography sx={{ mb: 1.5 }}>
              Looking at {stage.done} of {stage.of}
            </Typography>
            <LinearProgress
              variant="determinate"
              value={(100 * stage.done) / Math.max(1, stage.of)}
              aria-label="Bringing in supplies"
            />
            <Button sx={{ mt: 2 }} onClick={stage.cancel}>
              Stop here
            </Button>
          </Box>
        )}
      </Dialog>
      {stage.kind === 'review' && (
        <Review
          key={stage.batch.rows[0]?.id}
          name={stage.batch.name}
          found={stage.batch.rows}
          skipped={stage.skipped}
          kits={kits}
          unit={unit}
          onKeep={(rows, into) => void bringing.keep(rows, into)}
          onDiscard={bringing.discard}
        />
      )}
    </>
  );
}

interface ReviewProps {
  name: string | undefined;
  found: readonly Row[];
  skipped: readonly string[];
  kits: readonly Kit[];
  unit: Unit;
  onKeep: (rows: readonly Row[], into: IntoKit) => void;
  onDiscard: () => void;
}

function Review({ name, found, skipped, kits, unit, onKeep, onDiscard }: ReviewProps) {
  const [rows, setRows] = useState(found);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [into, setInto] = useState<IntoKit>(name ? { name } : { id: LOOSE_KIT });
  const [tags, setTags] = useState('');
  const groups = useMemo(() => reviewGroups(rows), [rows]);
  const picked = rows.filter(({ id }) => chosen.has(id));
  const change = (to: (row: Row) => Row) => setRows(rows.map((row) => (chosen.has(row.id) ? to(row) : row)));
  const sortAs = (kind: SupplyKind, ids: ReadonlySet<string> = chosen) =>
    setRows(
      rows.map((row) =>
        ids.has(row.id)
          ? {
              ...row,
              kind,
              sure: 1,
              why: 'you said so',
              letters:
                kind === 'alphabet' ? (row.letters ?? characterOf(row.asset?.name ?? row.name)) : undefined,
            }
          : row,
      ),
    );
  const common = tagsFrom(tags);
  return (
    <Dialog open fullScreen aria-labelledby="review-title" sx={{ m: { xs: 0, md: 3 } }}>
      <Box sx={{ px: 3, pt: 2.5, pb: 1, display: 'flex', alignItems: 'baseline', gap: 2, flexWrap: 'wrap' }}>
        <Typography id="review-title" variant="h2">
          {rows.length} {rows.length === 1 ? 'supply' : 'supplies'} came in
        </Typography>
        <Typography color="text.secondary" sx={{ flex: 1, minWidth: 260 }}>
          Look them over. Choose some (Shift for a run, Ctrl A for all), then press a kind, its letter, or
          drag them there.
        </Typography>
      </Box>
      {skipped.length > 0 && (
        <Box
          component="ul"
          aria-label="Passed over"
          sx={{
            m: 0,
            mx: 3,
            mb: 1,
            p: 1,
            pl: 3.5,
            borderLeft: 4,
            borderColor: 'warning.main',
            bgcolor: 'background.default',
            borderRadius: 1,
            maxHeight: 96,
            overflowY: 'auto',
          }}
        >
          {skipped.map((line, i) => (
            <li key={i}>{line}</li>
          ))}
        </Box>
      )}
      <Box
        sx={{
          flex: 1,
          minHeight: 0,
          display: 'grid',
          gridTemplateColumns: '200px minmax(0, 1fr)',
          borderTop: 1,
          borderColor: 'divider',
        }}
      >
        <KindTargets rows={rows} chosen={chosen.size} onSort={sortAs} />
        <ReviewGrid groups={groups} chosen={chosen} unit={unit} onChoose={setChosen} onSort={sortAs} />
      </Box>
      {picked.length > 0 && (
        <AboutChosen
          picked={picked}
          onChange={change}
          onLetters={(id, letters) =>
            // Several in one press.
            setRows((all) => all.map((row) => (row.id === id ? { ...row, letters } : row)))
          }
          onLeaveOut={() => {
            setRows(rows.filter(({ id }) => !chosen.has(id)));
            setChosen(new Set());
          }}
        />
      )}
      <Box
        sx={{
          px: 3,
          py: 2,
          display: 'flex',
          gap: 2,
          alignItems: 'flex-start',
          borderTop: 1,
          borderColor: 'divider',
        }}
      >
        <KitChoice kits={kits} into={into} onChange={setInto} />
        <TextField
          size="small"
          label="Tags for all, with commas between"
          value={tags}
          onChange={(event) => setTags(event.target.value.slice(0, 400))}
          sx={{ flex: 1 }}
        />
        <Button color="inherit" onClick={onDiscard}>
          Leave them all
        </Button>
        <Button
          variant="contained"
          disabled={isUnnamed(into) || rows.length === 0}
          onClick={() =>
            onKeep(
              rows.map((row) => ({ ...row, tags: [...new Set([...row.tags, ...common])] })),
              into,
            )
          }
        >
          Put {rows.length} away
        </Button>
      </Box>
    </Dialog>
  );
}

interface AboutChosenProps {
  picked: readonly Row[];
  onChange: (to: (row: Row) => Row) => void;
  onLetters: (id: string, letters: string) => void;
  onLeaveOut: () => void;
}

/** What is put right for all that are chosen: how large they are, and which letters. */
function AboutChosen({ picked, onChange, onLetters, onLeaveOut }: AboutChosenProps) {
  return (
    <Box
      sx={{
        px: 3,
        py: 1.25,
        display: 'flex',
        gap: 2,
        alignItems: 'center',
        borderTop: 1,
        borderColor: 'divider',
        bgcolor: 'background.default',
      }}
    >
      <Typography sx={{ fontWeight: 600, whiteSpace: 'nowrap' }}>{picked.length} chosen</Typography>
      <Box sx={{ width: 150 }}>
        <LengthField
          label="Pixels to the inch"
          shown={sharedPpi(picked)}
          read={(text) => {
            const ppi = Number(text);
            return ppi >= 20 && ppi <= 2400 ? ok(ppi) : fail('A number from 20 to 2400.');
          }}
          onCommit={(ppi) => onChange((row) => (row.asset ? { ...row, asset: { ...row.asset, ppi } } : row))}
        />
      </Box>
      {picked.length === 1 && picked[0]!.kind === 'alphabet' && (
        <TextField
          size="small"
          label="Stands for"
          sx={{ width: 110 }}
          key={picked[0]!.id}
          defaultValue={picked[0]!.letters ?? ''}
          slotProps={{ htmlInput: { maxLength: 8 } }}
          onChange={(event) =>
            onChange((row) => ({ ...row, letters: event.target.value.trim() || undefined }))
          }
        />
      )}
      {picked.length > 1 && picked.every(({ kind }) => kind === 'alphabet') && (
        <TypeAlong rows={picked} onAssign={onLetters} />
      )}
      <Button color="inherit" onClick={onLeaveOut}>
        Leave out
      </Button>
    </Box>
  );
}

const sharedPpi = (rows: readonly Row[]): string => {
  const all = new Set(rows.flatMap(({ asset }) => (asset ? [Math.round(asset.ppi)] : [])));
  return all.size === 1 ? String([...all][0]) : '';
};

/** Letters assigned by typing along: each character goes to the next picture. */
function TypeAlong({
  rows,
  onAssign,
}: {
  rows: readonly Row[];
  onAssign: (id: string, letters: string) => void;
}) {
  const [text, setText] = useState('');
  return (
    <TextField
      size="small"
      label="Type the letters in their order"
      helperText={rows[[...text].length] ? `Next: ${rows[[...text].length]!.name}` : 'All named.'}
      value={text}
      onChange={(event) => {
        const next = [...event.target.value.replace(/\s/g, '')].slice(0, rows.length);
        setText(next.join(''));
        next.forEach((letter, i) => onAssign(rows[i]!.id, letter));
      }}
      sx={{ width: 300 }}
    />
  );
}
