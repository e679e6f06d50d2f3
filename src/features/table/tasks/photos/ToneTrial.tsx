/** One thing that can be changed of a photo: the photo itself a step to either side, as it is now, and the exact number. */
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Collapse from '@mui/material/Collapse';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState } from 'react';
import { applyTone } from '@/core/tone/apply';
import { applyFitted } from '@/core/tone/fitted';
import { needsFit, toneWith, type Tone, type ToneId, type ToneSetting } from '@/core/tone/settings';
import { RowSlider } from '@/ui/RowSlider';

/** The photo as it comes, a small copy. */
export type Base = ImageData | null;

/** A small copy in a tone, its corners too; how it lies on the page is left out. */
export function tonedCopy(base: ImageData, tone: Tone): ImageData {
  const copy = new ImageData(base.data.slice(), base.width, base.height);
  applyTone(copy.data, tone);
  const { width, height } = base;
  if (needsFit(tone))
    applyFitted(copy, tone, { matrix: [width, 0, 0, height, -width / 2, -height / 2], width, height });
  return copy;
}

interface Props {
  setting: ToneSetting & { id: ToneId };
  base: Base;
  tone: Tone;
  disabled: boolean;
  onChange: (value: number) => void;
}

export function ToneTrial({ setting, base, tone, disabled, onChange }: Props) {
  const { id, name, least, most, step, stride, ends } = setting;
  const [exact, setExact] = useState(false);
  const value = tone.values[id] ?? 0;
  const within = (wished: number) => Math.round(Math.max(least, Math.min(most, wished)) / step) * step;
  const [less, more] = [within(value - stride), within(value + stride)];
  return (
    <Box role="group" aria-label={name} sx={{ mb: 1.25 }}>
      <Typography component="h3" sx={{ fontWeight: 600, fontSize: '0.92rem', mb: 0.25 }}>
        {name}
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(3, 1fr)', gap: 0.75 }}>
        <Trial
          label={ends[0]}
          base={base}
          tone={toneWith(tone, id, less)}
          disabled={disabled || less === value}
          onClick={() => onChange(less)}
        />
        <Trial
          label={value === 0 ? 'as it is' : inShort(value)}
          spoken={`${name}: ${value === 0 ? 'as it is' : inShort(value)}. Exact number`}
          base={base}
          tone={tone}
          now
          open={exact}
          disabled={disabled}
          onClick={() => setExact(!exact)}
        />
        <Trial
          label={ends[1]}
          base={base}
          tone={toneWith(tone, id, more)}
          disabled={disabled || more === value}
          onClick={() => onChange(more)}
        />
      </Box>
      <Collapse in={exact} unmountOnExit timeout={120}>
        <RowSlider
          label="Exactly"
          least={least}
          most={most}
          step={step}
          value={value}
          disabled={disabled}
          says={inShort(value)}
          spoken={(now) => (now === 0 ? 'as it is' : `${inShort(now)}, ${now < 0 ? ends[0] : ends[1]}`)}
          onChange={onChange}
        />
      </Collapse>
    </Box>
  );
}

const inShort = (value: number): string => String(Math.round(value * 100) / 100);

interface TrialProps {
  label: string;
  /** What it says to those who cannot see, where that is more than its label. */
  spoken?: string;
  base: Base;
  tone: Tone;
  /** It shows what is, and opens the exact number. */
  now?: boolean;
  open?: boolean;
  disabled: boolean;
  onClick: () => void;
}

function Trial({ label, spoken, base, tone, now = false, open, disabled, onClick }: TrialProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const key = JSON.stringify(tone);
  useEffect(() => {
    const { current } = canvas;
    if (!base || !current) return;
    Object.assign(current, { width: base.width, height: base.height });
    current.getContext('2d')!.putImageData(tonedCopy(base, JSON.parse(key) as Tone), 0, 0);
  }, [base, key]);
  return (
    <ButtonBase
      aria-label={spoken}
      aria-expanded={open}
      disabled={disabled}
      onClick={onClick}
      sx={{
        flexDirection: 'column',
        justifyContent: 'flex-start',
        borderRadius: 1,
        p: '3px',
        fontFamily: 'inherit',
        fontSize: 14,
        lineHeight: 1.35,
        outline: now ? '2px dashed' : 'none',
        outlineColor: 'primary.main',
        '&:hover': { bgcolor: 'background.default' },
        '&.Mui-disabled': { opacity: now ? 1 : 0.45 },
      }}
    >
      <canvas
        ref={canvas}
        aria-hidden="true"
        style={{ width: '100%', height: 50, objectFit: 'cover', borderRadius: 4, display: 'block' }}
      />
      <span>{label}</span>
    </ButtonBase>
  );
}
