'use client';
/** A picture of flat tones as a template: each tone numbered, with its areas; a paper or an ink for each; all cut at once. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import LinearProgress from '@mui/material/LinearProgress';
import Switch from '@mui/material/Switch';
import Typography from '@mui/material/Typography';
import { useEffect, useState, type DragEvent } from 'react';
import { MOST_TONES } from '@/core/pixels/tones';
import { ok, type Result } from '@/core/result';
import { templateTones } from '@/features/shared/bringIn';
import { PaperField } from '@/features/table/parts/PaperField';
import { wholeWithin } from '@/features/table/parts/measures';
import * as templating from '@/features/table/acts/templating';
import { useSession } from '@/features/table/room/context';
import { InkField } from '@/features/table/parts/inks/InkField';
import { SideSheet } from '@/features/table/parts/SideSheet';
import { isCarried, readCarried } from '@/features/table/parts/carry';
import { usePapers } from '@/features/table/parts/usePapers';
import { useRun } from '@/features/table/tasks/cutting/useRun';
import { useTemplate } from '@/features/table/tasks/cutting/useTemplate';
import { readableBlob } from '@/storage/assets';
import { LengthField } from '@/ui/LengthField';
import { useNotify } from '@/ui/notices';
import type { Asset } from '@/core/picture/asset';
import type { ToldTones } from '@/workers/template';

/** What a photograph is reduced to at first. */
const REDUCED = 6;

type Choice = { paper: Asset } | { colour: string } | null;

export function TemplateSheet({ onClose }: { onClose: () => void }) {
  const notify = useNotify();
  const { take } = usePapers();
  const { there, template } = useTemplate();
  const sha = template?.asset.sha;
  const readOnly = useSession((session) => session.readOnly);
  const [most, setMost] = useState<number | null>(null);
  const [told, setTold] = useState<ToldTones | null>(null);
  const [choices, setChoices] = useState<readonly Choice[]>([]);
  const [waiting, setWaiting] = useState(0);
  const [anew, setAnew] = useState(false);
  const { busy, problem, setProblem, run } = useRun();
  useEffect(() => {
    if (!sha) return;
    let gone = false;
    const find = async () => {
      const blob = await readableBlob(sha);
      if (!blob) throw new Error('not here');
      const first = await templateTones(blob, most ?? MOST_TONES);
      return first.found > MOST_TONES && most === null ? templateTones(blob, REDUCED) : first;
    };
    find().then(
      (found) => {
        if (gone) return;
        setTold(found);
        setChoices(found.tones.map(() => null));
      },
      () => !gone && setProblem('This picture could not be read. Nothing was changed.'),
    );
    return () => {
      gone = true;
    };
  }, [sha, most, setProblem]);
  const choose = (at: number, choice: Choice) =>
    // A paper's file may take a moment to arrive: what was chosen meanwhile stays.
    setChoices((now) => now.map((before, i) => (i === at ? choice : before)));
  const dropped = (at: number) => async (event: DragEvent) => {
    const carried = readCarried(event.dataTransfer);
    if (!carried) return;
    event.preventDefault();
    event.stopPropagation();
    const paper =
      carried.kind === 'gathered' && carried.compartment === 'papers' ? await take(carried.sha) : null;
    if (paper?.ok) choose(at, { paper: paper.value });
    else notify({ text: 'Drop a paper from the workbox on a tone.', tone: 'info' });
  };
  const cut = async (): Promise<Result<number>> => {
    if (!sha || !told) return ok(0);
    const fillings = choices.flatMap((choice, tone): templating.Filling[] =>
      choice ? [{ tone, ...choice }] : [],
    );
    const done = await templating.cutTemplate(there, sha, told, fillings, anew);
    if (!done.ok) return done;
    onClose();
    notify({
      text: `${done.value} ${done.value === 1 ? 'piece was' : 'pieces were'} cut. The template is hidden beneath them, not gone.`,
    });
    return done;
  };
  const photograph = told && told.found > MOST_TONES;
  return (
    <SideSheet title="Template" onClose={onClose}>
      {!template ? (
        <Typography>
          Lay a picture of a few flat tones on the page and select it: all areas of one tone are then cut from
          one paper.
        </Typography>
      ) : !told ? (
        problem === null && (
          <>
            <Typography role="status" sx={{ mb: 1 }}>
              Telling the tones of “{template.piece.name}” apart …
            </Typography>
            <LinearProgress aria-label="Telling tones apart" />
          </>
        )
      ) : (
        <>
          <Typography role="status" sx={{ mb: 1 }}>
            {photograph
              ? `This looks like a photograph: it has more than ${MOST_TONES} tones. They were reduced to ${told.tones.length}.`
              : `${told.tones.length} ${told.tones.length === 1 ? 'tone' : 'tones'}. Choose a paper or an ink for those you want, or drop a paper on one.`}
          </Typography>
          {photograph && (
            <LengthField
              label="Reduce to"
              shown={String(most ?? REDUCED)}
              read={wholeWithin(2, MOST_TONES)}
              onCommit={setMost}
            />
          )}
          <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0, mt: 1 }}>
            {told.tones.map((tone, i) => (
              <ToneRow
                key={i}
                {...{ tone, number: i + 1, choice: choices[i] ?? null, disabled: readOnly }}
                onChoose={(choice) => choose(i, choice)}
                onDrop={(event) => void dropped(i)(event)}
                onWait={(begins) => setWaiting((now) => now + (begins ? 1 : -1))}
              />
            ))}
          </Box>
          <FormControlLabel
            control={<Switch checked={anew} onChange={(event) => setAnew(event.target.checked)} />}
            label="Begin the paper anew in each area"
          />
          <Box sx={{ display: 'flex', gap: 1, mt: 0.5 }}>
            <Button
              variant="contained"
              disabled={readOnly || busy || waiting > 0 || choices.every((choice) => choice === null)}
              onClick={() => void run(cut)}
            >
              Cut them all
            </Button>
          </Box>
        </>
      )}
      {problem && (
        <Typography role="alert" color="error" sx={{ mt: 1 }}>
          {problem}
        </Typography>
      )}
    </SideSheet>
  );
}

interface ToneRowProps {
  tone: ToldTones['tones'][number];
  number: number;
  choice: Choice;
  disabled: boolean;
  onChoose: (choice: Choice) => void;
  onDrop: (event: DragEvent) => void;
  onWait: (begins: boolean) => void;
}

/** One tone of the template, and what is cut for it. */
function ToneRow({ tone, number, choice, disabled, onChoose, onDrop, onWait }: ToneRowProps) {
  return (
    <Box
      component="li"
      data-tone={number}
      onDragOver={(event) => isCarried(event.dataTransfer) && event.preventDefault()}
      onDrop={onDrop}
      sx={{ borderTop: '1px dotted', borderColor: 'divider', py: 1.25 }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.25, mb: 1 }}>
        <Box
          aria-hidden="true"
          sx={{
            width: 32,
            height: 32,
            borderRadius: 1.5,
            bgcolor: tone.colour,
            border: '1px solid rgba(0,0,0,0.3)',
            flexShrink: 0,
          }}
        />
        <Typography sx={{ fontWeight: 600 }}>Tone {number}</Typography>
        <Typography variant="body2" color="text.secondary">
          {tone.areas} {tone.areas === 1 ? 'area' : 'areas'}, {shareInWords(tone.share)}
        </Typography>
      </Box>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'flex-start' }}>
        <Box sx={{ flex: 1, minWidth: 0, '& .MuiTextField-root': { width: '100%' } }}>
          <PaperField
            label={`Paper for tone ${number}`}
            none={choice && 'colour' in choice ? 'Cardstock in an ink' : 'Leave it out'}
            paper={choice && 'paper' in choice ? choice.paper.sha : null}
            disabled={disabled}
            onWait={onWait}
            onNone={() => onChoose(null)}
            onPaper={(paper) => onChoose({ paper })}
          />
        </Box>
        {!choice && (
          <Button
            color="inherit"
            sx={{ height: 38, border: 1, borderColor: 'divider' }}
            aria-label={`Ink for tone ${number}`}
            onClick={() => onChoose({ colour: tone.colour })}
          >
            Ink
          </Button>
        )}
      </Box>
      {choice && 'colour' in choice && (
        <Box sx={{ mt: 1, display: 'flex', gap: 1, alignItems: 'flex-start' }}>
          <InkField
            label={`Ink of tone ${number}`}
            colour={choice.colour}
            disabled={disabled}
            onChange={(colour) => onChoose({ colour })}
          />
          <Button color="inherit" size="small" onClick={() => onChoose(null)}>
            Leave it out
          </Button>
        </Box>
      )}
    </Box>
  );
}

const shareInWords = (share: number): string =>
  share < 0.01 ? 'less than 1 %' : `${Math.round(share * 100)} % of it`;
