'use client';
/** The one place where an ink is chosen: from the sets, by what goes with it, from the page, or mixed. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { IconArrowsShuffle, IconColorPicker, IconCopy } from '@tabler/icons-react';
import { useMemo, useState } from 'react';
import { toOklch } from '@/core/color/spaces';
import { colourOf, MIXES, mixOf, type Mix } from '@/core/inks/mix';
import { apartInWords, contrast, nearestInks } from '@/core/inks/near';
import { chancePartners, partnersOf } from '@/core/inks/partners';
import type { NamedInk } from '@/core/supplies/model';
import { InkDots } from '@/features/table/inks/InkDots';
import { CssField } from '@/features/table/inks/CssField';
import { inksIn, recentInks, useInkSets, usePageInks } from '@/features/table/inks/useInks';
import { useSession } from '@/features/table/room/context';
import { shownSurface } from '@/features/table/room/session';
import { LabelledSlider } from '@/ui/LabelledSlider';
import { useNotify } from '@/ui/notices';

const PLACES = ['Sets', 'Partners', 'Page', 'Mix'] as const;
type Place = (typeof PLACES)[number];

interface Props {
  colour: string;
  onChoose: (colour: string) => void;
}

/** `onDrop` begins to take a colour from the page. */
export function InkPicker({ colour, onChoose, onDrop }: Props & { onDrop: () => void }) {
  const sets = useInkSets();
  const inks = useMemo(() => inksIn(sets), [sets]);
  const [place, setPlace] = useState<Place>('Sets');
  const [near] = useMemo(() => nearestInks(colour, inks, 1), [colour, inks]);
  const named = (hex: string): NamedInk =>
    inks.find((ink) => ink.colour === hex) ?? { name: hex, colour: hex };
  return (
    <Box sx={{ width: 330 }}>
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', px: 2, pt: 2 }}>
        <Box
          aria-hidden
          sx={{
            width: 52,
            height: 44,
            borderRadius: 1.5,
            bgcolor: colour,
            border: '1px solid rgba(0,0,0,0.25)',
          }}
        />
        <Box sx={{ minWidth: 0, flex: 1 }}>
          <Typography noWrap sx={{ fontWeight: 600 }}>
            {near?.by === 0 ? near.ink.name : colour}
          </Typography>
          {near && near.by > 0 && (
            <Button
              size="small"
              color="inherit"
              onClick={() => onChoose(near.ink.colour)}
              sx={{ p: 0, minHeight: 0, fontWeight: 400, textAlign: 'left' }}
            >
              Nearest ink: {near.ink.name}, {apartInWords(near.by)}
            </Button>
          )}
        </Box>
        <Button
          color="inherit"
          aria-label="Take a colour from the page"
          title="Take a colour from the page"
          onClick={onDrop}
          sx={{ minWidth: 40, height: 40, px: 1, border: 1, borderColor: 'divider' }}
        >
          <IconColorPicker size={20} />
        </Button>
      </Box>
      <Tabs
        value={place}
        onChange={(_, next: Place) => setPlace(next)}
        aria-label="Where the ink comes from"
        variant="fullWidth"
        sx={{ minHeight: 40, '& .MuiTab-root': { minWidth: 0, minHeight: 40, px: 0.5 } }}
      >
        {PLACES.map((name) => (
          <Tab
            key={name}
            value={name}
            label={name}
            id={`ink-tab-${name}`}
            aria-controls={`ink-panel-${name}`}
          />
        ))}
      </Tabs>
      <Box
        role="tabpanel"
        id={`ink-panel-${place}`}
        aria-labelledby={`ink-tab-${place}`}
        sx={{ height: 290, overflowY: 'auto', p: 2, pt: 1.5, scrollbarWidth: 'thin' }}
      >
        {place === 'Sets' && <FromSets sets={sets} colour={colour} onChoose={onChoose} />}
        {place === 'Partners' && <FromPartners inks={inks} colour={colour} onChoose={onChoose} />}
        {place === 'Page' && <FromPage colour={colour} named={named} onChoose={onChoose} />}
        {place === 'Mix' && <Mixed colour={colour} onChoose={onChoose} />}
      </Box>
    </Box>
  );
}

const heading = (text: string) => (
  <Typography component="h3" sx={{ fontWeight: 600, fontSize: '0.95rem', mb: 0.75 }}>
    {text}
  </Typography>
);

const ORDERS = {
  set: 'As the sets have them',
  hue: 'By hue',
  light: 'From light to dark',
} as const;

/** Greys come before all hues. */
const hueOf = (colour: string): number => {
  const { c, h = 0 } = toOklch(colour)!;
  return c < 0.02 ? -1 : h;
};

function FromSets({ sets, colour, onChoose }: Props & { sets: ReturnType<typeof useInkSets> }) {
  const [words, setWords] = useState('');
  const [order, setOrder] = useState<keyof typeof ORDERS>('set');
  const shown = useMemo(() => {
    const typed = words.toLowerCase().split(/\s+/).filter(Boolean);
    const fits = ({ name }: NamedInk) => {
      const known = name.toLowerCase().split(/\s+/);
      return typed.every((word) => known.some((one) => one.startsWith(word)));
    };
    if (order === 'set')
      return sets
        .map(({ id, name, inks = [] }) => ({ id, name, inks: inks.filter(fits) }))
        .filter(({ inks }) => inks.length > 0);
    const all = inksIn(sets).filter(fits);
    const by =
      order === 'hue' ? (ink: NamedInk) => hueOf(ink.colour) : (ink: NamedInk) => -toOklch(ink.colour)!.l;
    return [{ id: order, name: ORDERS[order], inks: [...all].sort((a, b) => by(a) - by(b)) }];
  }, [sets, words, order]);
  return (
    <>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1, mb: 1.5 }}>
        <TextField label="Find an ink" value={words} onChange={(event) => setWords(event.target.value)} />
        <TextField
          select
          label="Order"
          value={order}
          onChange={(event) => setOrder(event.target.value as keyof typeof ORDERS)}
        >
          {Object.entries(ORDERS).map(([id, name]) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
        </TextField>
      </Box>
      {shown.every(({ inks }) => !inks.length) && (
        <Typography role="status" color="text.secondary">
          {sets.length ? 'No ink is called that.' : 'Reading the ink sets ...'}
        </Typography>
      )}
      {shown.map(({ id, name, inks }) => (
        <Box key={id} sx={{ mb: 2 }}>
          {heading(name)}
          <InkDots label={name} inks={inks} colour={colour} onChoose={onChoose} />
        </Box>
      ))}
    </>
  );
}

function FromPartners({ inks, colour, onChoose }: Props & { inks: readonly NamedInk[] }) {
  const [seed, setSeed] = useState(1);
  // What goes with the ink one came with: choosing a partner does not change what is shown.
  const [own] = useState(colour);
  const partners = useMemo(() => partnersOf(own, inks), [own, inks]);
  const chance = useMemo(() => chancePartners(own, inks, seed), [own, inks, seed]);
  return (
    <>
      {partners.map(({ name, inks: found }) => (
        <Box key={name} sx={{ display: 'flex', alignItems: 'center', gap: 1, mb: 1.25 }}>
          <Typography variant="body2" sx={{ width: 112, flexShrink: 0 }}>
            {name}
          </Typography>
          <InkDots label={name} inks={found} colour={colour} onChoose={onChoose} />
        </Box>
      ))}
      {chance && (
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
          <Button
            size="small"
            color="inherit"
            startIcon={<IconArrowsShuffle size={17} />}
            onClick={() => setSeed(seed + 1)}
            sx={{ width: 112, flexShrink: 0, justifyContent: 'flex-start', px: 0 }}
          >
            By chance
          </Button>
          <InkDots label="By chance" inks={chance.inks} colour={colour} onChoose={onChoose} />
        </Box>
      )}
    </>
  );
}

function FromPage({ colour, named, onChoose }: Props & { named: (hex: string) => NamedInk }) {
  const used = usePageInks();
  const [recent] = useState(recentInks);
  return (
    <>
      {heading('On this page, most first')}
      <InkDots
        label="On this page"
        inks={used.map((ink) => named(ink.colour))}
        colour={colour}
        onChoose={onChoose}
      />
      {recent.length > 0 && (
        <Box sx={{ mt: 2 }}>
          {heading('Chosen last')}
          <InkDots label="Chosen last" inks={recent.map(named)} colour={colour} onChoose={onChoose} />
        </Box>
      )}
    </>
  );
}

/** Contrast that words of usual size want (WCAG 2.2, 1.4.3). */
const READABLE = 4.5;

function Mixed({ colour, onChoose }: Props) {
  const notify = useNotify();
  const ground = useSession((session) => shownSurface(session).ground);
  const [mix, setMix] = useState<Mix>('HSV');
  const [from, setFrom] = useState(colour);
  const [three, setThree] = useState(() => mixOf(colour, mix));
  const mixed = colourOf(three, mix);
  // Another colour came from outside: the sliders follow it. What was mixed here keeps its numbers: a grey keeps its hue.
  if (colour !== from) {
    setFrom(colour);
    if (colour !== mixed) setThree(mixOf(colour, mix));
  }
  const ratio = contrast(mixed, ground);
  return (
    <>
      <ToggleButtonGroup
        exclusive
        size="small"
        fullWidth
        aria-label="Mixed by"
        value={mix}
        onChange={(_, next: Mix | null) => {
          if (!next) return;
          setMix(next);
          setThree(mixOf(mixed, next));
        }}
      >
        {(Object.keys(MIXES) as Mix[]).map((name) => (
          <ToggleButton key={name} value={name} sx={{ py: 0.5 }}>
            {name}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: '86px 1fr 46px',
          columnGap: 1,
          alignItems: 'center',
          mt: 1,
        }}
      >
        {MIXES[mix].map(({ name, most, step }, i) => {
          const to = (value: number) => three.map((v, k) => (k === i ? value : v)) as typeof three;
          return (
            <Box key={name} sx={{ display: 'contents' }}>
              <LabelledSlider
                label={name}
                min={0}
                max={most}
                step={step}
                value={three[i]!}
                onChange={(value) => setThree(to(value))}
                onCommit={(value) => onChoose(colourOf(to(value), mix))}
              />
              <Typography variant="body2" sx={{ textAlign: 'right', fontVariantNumeric: 'tabular-nums' }}>
                {most < 1 ? three[i]!.toFixed(3) : Math.round(three[i]!)}
              </Typography>
            </Box>
          );
        })}
      </Box>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'flex-start', my: 1.25 }}>
        <Box aria-hidden sx={{ width: 38, height: 38, borderRadius: 1, bgcolor: mixed, flexShrink: 0 }} />
        <CssField label="Any CSS colour" colour={mixed} onChange={onChoose} />
        <Button
          color="inherit"
          aria-label="Copy the colour"
          title="Copy the colour"
          onClick={() =>
            void navigator.clipboard.writeText(mixed).then(
              () => notify({ text: `${mixed} is copied.` }),
              () => notify({ text: 'The browser does not let anything be copied here.', tone: 'error' }),
            )
          }
          sx={{ minWidth: 38, height: 38, px: 1 }}
        >
          <IconCopy size={18} />
        </Button>
      </Box>
      <Typography variant="body2" color="text.secondary">
        On the bare page {ratio.toFixed(1)} to 1:{' '}
        {ratio >= READABLE
          ? 'good for words.'
          : ratio >= 3
            ? 'for large words only.'
            : 'too faint for words.'}
      </Typography>
    </>
  );
}
