'use client';
/** An ink mixed by sliders or on a wheel, or written in any CSS notation; how well words are read in it. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { IconCopy } from '@tabler/icons-react';
import { useState } from 'react';
import { colourOf, MIXES, mixOf, type Mix } from '@/core/inks/mix';
import { contrast } from '@/core/inks/near';
import { CssField } from '@/features/shared/CssField';
import type { InkChoice } from '@/features/table/parts/inks/useInks';
import { Wheel } from '@/features/table/parts/inks/Wheel';
import { useSession } from '@/features/table/room/context';
import { shownSurface } from '@/features/table/session';
import { LabelledSlider } from '@/ui/LabelledSlider';
import { useNotify } from '@/ui/notices';

/** Contrast that words of usual size want (WCAG 2.2, 1.4.3). */
const READABLE = 4.5;

export function Mixed({ colour, onChoose }: InkChoice) {
  const notify = useNotify();
  const ground = useSession((session) => shownSurface(session).ground);
  const [mix, setMix] = useState<Mix>('HSV');
  const [wheel, setWheel] = useState(false);
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
        value={wheel ? 'Wheel' : mix}
        onChange={(_, next: Mix | 'Wheel' | null) => {
          if (!next) return;
          setWheel(next === 'Wheel');
          if (next === 'Wheel') return;
          setMix(next);
          setThree(mixOf(mixed, next));
        }}
      >
        {(Object.keys(MIXES) as Mix[]).map((name) => (
          <ToggleButton key={name} value={name} sx={{ py: 0.5 }}>
            {name}
          </ToggleButton>
        ))}
        <ToggleButton value="Wheel" sx={{ py: 0.5 }}>
          Wheel
        </ToggleButton>
      </ToggleButtonGroup>
      {wheel && <Wheel colour={colour} onChoose={onChoose} />}
      <Box
        sx={{
          display: wheel ? 'none' : 'grid',
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
