'use client';
/** Supplies in other colours: a blue version, a pink one, each a kit of its own, in one step. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import LinearProgress from '@mui/material/LinearProgress';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState } from 'react';
import { arrangedInks } from '@/core/inks/sets';
import type { NamedInk, Supply } from '@/core/supplies/model';
import { dyedKits, dyeLike } from '@/features/cupboard/dyeing';
import type { Cupboard } from '@/features/cupboard/useCupboard';
import { CssField } from '@/features/shared/CssField';
import { InkDots } from '@/features/shared/InkDots';
import { wornPixels } from '@/output/drawings';
import { browser } from '@/output/platform';
import { smallBlob } from '@/storage/assets';
import { inkSets } from '@/storage/supplies';
import { inWords } from '@/storage/trouble';
import { useNotify } from '@/ui/notices';

/** Versions made at once, and supplies that are shown in each. */
const MOST_VERSIONS = 4;
const SHOWN = 5;
const SIDE = 84;

interface Props {
  supplies: readonly Supply[];
  cupboard: Cupboard;
  onClose: () => void;
}

/** The small pictures of the first few, decoded. */
function useSmall(supplies: readonly Supply[]): readonly ImageBitmap[] {
  const [small, setSmall] = useState<readonly ImageBitmap[]>([]);
  useEffect(() => {
    let gone = false;
    void Promise.all(
      supplies.slice(0, SHOWN).map(async ({ thumb, asset }) => {
        const blob = thumb ? await (await fetch(thumb)).blob() : await smallBlob(asset!.sha);
        return blob ? createImageBitmap(blob) : null;
      }),
    ).then(
      (found) => !gone && setSmall(found.flatMap((bitmap) => bitmap ?? [])),
      () => {
        // Without them there is nothing to look at; the versions are made all the same.
      },
    );
    return () => {
      gone = true;
    };
  }, [supplies]);
  return small;
}

function Preview({
  small,
  ink,
  greysStay,
}: {
  small: readonly ImageBitmap[];
  ink: NamedInk;
  greysStay: boolean;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const context = canvas.current!.getContext('2d')!;
    context.clearRect(0, 0, SHOWN * SIDE, SIDE);
    small.forEach((bitmap, i) => {
      const scale = Math.min(1, (SIDE - 8) / Math.max(bitmap.width, bitmap.height));
      const { source, width, height } = wornPixels(
        { source: bitmap, width: bitmap.width, height: bitmap.height },
        { dyes: [dyeLike(ink.colour, greysStay)] },
        browser,
        scale,
      );
      context.drawImage(source, i * SIDE + (SIDE - width) / 2, (SIDE - height) / 2);
    });
  }, [small, ink, greysStay]);
  return (
    <Box>
      <Typography variant="body2" sx={{ fontWeight: 600 }}>
        {ink.name}
      </Typography>
      <canvas
        ref={canvas}
        width={SHOWN * SIDE}
        height={SIDE}
        role="img"
        aria-label={`How they look in ${ink.name}`}
        style={{ maxWidth: '100%' }}
      />
    </Box>
  );
}

export function VersionsDialog({ supplies, cupboard, onClose }: Props) {
  const notify = useNotify();
  const small = useSmall(supplies);
  const [sets, setSets] = useState<readonly Supply[]>([]);
  const [setId, setSetId] = useState('');
  const [chosen, setChosen] = useState<readonly NamedInk[]>([]);
  const [greysStay, setGreysStay] = useState(true);
  const [done, setDone] = useState<number | null>(null);
  useEffect(() => {
    void inkSets().then(setSets);
  }, []);
  const set = sets.find(({ id }) => id === setId) ?? sets[0];
  const inks = set ? arrangedInks(set).filter(({ retired }) => !retired) : [];
  const toggle = (ink: NamedInk) =>
    setChosen((before) =>
      before.some(({ colour }) => colour === ink.colour)
        ? before.filter(({ colour }) => colour !== ink.colour)
        : [...before, ink].slice(-MOST_VERSIONS),
    );
  const make = async () => {
    setDone(0);
    try {
      await makeAll();
      onClose();
    } catch (error) {
      notify({ text: inWords(error, 'Not all of them were kept'), tone: 'error' });
      setDone(null);
    }
  };
  const makeAll = async () => {
    const from = cupboard.kits.find(({ id }) => id === supplies[0]!.kit)?.name ?? 'Supplies';
    const { kits, trouble } = await dyedKits(supplies, chosen, greysStay, from, setDone);
    for (const { kit, supplies: made } of kits) await cupboard.add(kit, made);
    const count = kits.reduce((sum, kit) => sum + kit.supplies.length, 0);
    notify(
      trouble.length
        ? { text: trouble.slice(0, 4).join('\n'), tone: 'error' }
        : {
            text: `${count} ${count === 1 ? 'supply lies' : 'supplies lie'} in ${kits.length === 1 ? 'a new kit' : `${kits.length} new kits`}.`,
          },
    );
  };
  const busy = done !== null;
  const whole = supplies.length * chosen.length;
  return (
    <Dialog open onClose={() => !busy && onClose()} maxWidth="sm" fullWidth aria-labelledby="versions-title">
      <DialogTitle id="versions-title" variant="h2">
        {supplies.length === 1 ? supplies[0]!.name : `${supplies.length} supplies`} in other colours
      </DialogTitle>
      <DialogContent sx={{ display: 'flex', flexDirection: 'column', gap: 1.5, pt: '8px !important' }}>
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 170px', gap: 1.5 }}>
          <TextField
            select
            label="Ink set"
            value={set?.id ?? ''}
            disabled={busy}
            onChange={(event) => setSetId(event.target.value)}
          >
            {sets.map(({ id, name }) => (
              <MenuItem key={id} value={id}>
                {name}
              </MenuItem>
            ))}
          </TextField>
          <CssField
            label="Or any colour"
            colour={chosen.at(-1)?.colour ?? '#24506b'}
            disabled={busy}
            onChange={(colour) => toggle({ name: colour, colour })}
          />
        </Box>
        <InkDots
          label="Inks for the versions"
          inks={inks}
          colour={chosen.map(({ colour }) => colour)}
          onChoose={(colour) => !busy && toggle(inks.find((ink) => ink.colour === colour)!)}
        />
        <FormControlLabel
          control={
            <Switch size="small" checked={greysStay} disabled={busy} onChange={(_, on) => setGreysStay(on)} />
          }
          label="Whites, greys and blacks stay"
        />
        {chosen.length === 0 && (
          <Typography role="status" variant="body2" color="text.secondary">
            Choose up to {MOST_VERSIONS} inks: each becomes a kit of its own. What you have stays as it is.
          </Typography>
        )}
        {chosen.map((ink) => (
          <Preview key={ink.colour} small={small} ink={ink} greysStay={greysStay} />
        ))}
        {busy && <LinearProgress variant="determinate" value={(100 * done) / whole} aria-label="Dyeing" />}
      </DialogContent>
      <DialogActions>
        <Button color="inherit" disabled={busy} onClick={onClose}>
          Leave it
        </Button>
        <Button variant="contained" disabled={busy || !chosen.length} onClick={() => void make()}>
          {busy ? `${done} of ${whole}` : `Make ${whole || ''} ${whole === 1 ? 'supply' : 'supplies'}`}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
