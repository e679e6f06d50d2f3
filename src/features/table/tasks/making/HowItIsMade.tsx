'use client';
/** Which kind of file, and what goes into it: bleed, marks, squares, how fine. */
import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import Switch from '@mui/material/Switch';
import Typography from '@mui/material/Typography';
import { fail, ok } from '@/core/result';
import { FORMATS, type Format, type MakeOptions } from '@/output/formats';
import { CONDITIONS } from '@/core/press/conditions';
import { Chosen } from '@/ui/Chosen';
import { LengthField } from '@/ui/LengthField';

interface Props {
  options: MakeOptions;
  /** Those there is a choice of. */
  formats: readonly Format[];
  /** How much there would be, in words; null where none is made. */
  bleed: string | null;
  folded: boolean;
  disabled: boolean;
  onChange: (change: Partial<MakeOptions>) => void;
}

export function HowItIsMade({ options, formats, bleed, folded, disabled, onChange }: Props) {
  const { pixels, cropMarks, squares, notes, press } = FORMATS[options.format];
  return (
    <>
      <Box
        role="radiogroup"
        aria-label="Kind of file"
        sx={{ display: 'flex', flexDirection: 'column', gap: 0.75 }}
      >
        {formats.map((format) => (
          <Box
            key={format}
            component="label"
            sx={{
              display: 'flex',
              alignItems: 'center',
              border: 1,
              borderColor: options.format === format ? 'primary.main' : 'divider',
              borderRadius: 2,
              pr: 1.5,
              minHeight: 52,
              cursor: 'pointer',
            }}
          >
            <Radio
              checked={options.format === format}
              disabled={disabled}
              onChange={() => onChange({ format })}
              name="format"
              value={format}
              slotProps={{ input: { 'aria-label': FORMATS[format].name } }}
            />
            <Box>
              <Typography sx={{ fontWeight: 600, lineHeight: 1.25 }}>{FORMATS[format].name}</Typography>
              <Typography variant="caption" color="text.secondary" sx={{ display: 'block', lineHeight: 1.3 }}>
                {FORMATS[format].use}
              </Typography>
            </Box>
          </Box>
        ))}
      </Box>
      <Box sx={{ mt: 1.5, display: 'flex', flexDirection: 'column' }}>
        {press && (
          <Box sx={{ display: 'grid', mb: 0.5 }}>
            <Chosen
              label="For"
              value={options.press ?? 'any'}
              all={[
                ['any', 'Any printer'],
                ...CONDITIONS.map(
                  ({ id, name }) => [id, `A press (PDF/X-4): ${name.toLowerCase()}`] as const,
                ),
              ]}
              disabled={disabled}
              onChoose={(next) => onChange({ press: next === 'any' ? undefined : next })}
            />
          </Box>
        )}
        {bleed !== null && (
          <FormControlLabel
            control={
              <Switch
                checked={options.withBleed}
                disabled={disabled}
                onChange={(event) => onChange({ withBleed: event.target.checked })}
              />
            }
            label={`With bleed, ${bleed}`}
          />
        )}
        {cropMarks && !options.only && !options.tiled && (
          <FormControlLabel
            control={
              <Switch
                checked={options.cropMarks}
                disabled={disabled}
                onChange={(event) => onChange({ cropMarks: event.target.checked })}
              />
            }
            label={folded ? 'With crop and fold marks' : 'With crop marks'}
          />
        )}
        {squares && !options.only && !options.tiled && (
          <FormControlLabel
            control={
              <Switch
                checked={Boolean(options.squares)}
                disabled={disabled}
                onChange={(event) => onChange({ squares: event.target.checked })}
              />
            }
            label="With squares by which a cutter finds its place"
          />
        )}
        {notes && (
          <FormControlLabel
            control={
              <Switch
                checked={Boolean(options.notes)}
                disabled={disabled}
                onChange={(event) => onChange({ notes: event.target.checked })}
              />
            }
            label="With what the photos’ files tell: where, when, with which camera"
          />
        )}
        {pixels && (
          <Box sx={{ width: 190, mt: 1.5 }}>
            <LengthField
              label="Resolution"
              unit="ppi"
              disabled={disabled}
              shown={String(options.ppi)}
              read={(text) => {
                const value = Number(text.replace(/ppi/i, ''));
                return Number.isInteger(value) && value >= 36 && value <= 1200
                  ? ok(value)
                  : fail('A whole number from 36 to 1200.');
              }}
              onCommit={(ppi) => onChange({ ppi })}
            />
          </Box>
        )}
      </Box>
    </>
  );
}
