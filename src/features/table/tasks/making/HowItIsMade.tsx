'use client';
/** Which kind of file, and what goes into it: bleed, marks, squares, how fine. */
import Box from '@mui/material/Box';
import Radio from '@mui/material/Radio';
import Typography from '@mui/material/Typography';
import { FORMATS, type Format, type MakeOptions } from '@/output/formats';
import type { Condition } from '@/core/press/conditions';
import { Chosen } from '@/ui/Chosen';
import { wholeWithin } from '@/features/table/parts/measures';
import { LengthField } from '@/ui/LengthField';
import { Turned } from '@/ui/Turned';

interface Props {
  options: MakeOptions;
  /** Of presses it may be made for. */
  conditions: readonly Condition[];
  /** Those there is a choice of. */
  formats: readonly Format[];
  /** How much there would be, in words; null where none is made. */
  bleed: string | null;
  /** Marks can lie beside it. */
  marks: boolean;
  /** It is printed and may be cut out by a machine afterwards. */
  cutOut: boolean;
  /** It may be for a press. */
  press: boolean;
  /** How large it is is said by its longer side. */
  bySide: boolean;
  folded: boolean;
  disabled: boolean;
  onChange: (change: Partial<MakeOptions>) => void;
}

export function HowItIsMade(props: Props) {
  const { options, conditions, formats, bleed, marks, cutOut, bySide, folded, disabled, onChange } = props;
  const { pixels, cropMarks, squares, notes, wide, ...kind } = FORMATS[options.format];
  const press = kind.press && props.press;
  return (
    <>
      {formats.length > 1 && (
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
                <Typography
                  variant="caption"
                  color="text.secondary"
                  sx={{ display: 'block', lineHeight: 1.3 }}
                >
                  {FORMATS[format].use}
                </Typography>
              </Box>
            </Box>
          ))}
        </Box>
      )}
      <Box sx={{ mt: 1.5, display: 'flex', flexDirection: 'column' }}>
        {press && (
          <Box sx={{ display: 'grid', mb: 0.5 }}>
            <Chosen
              label="For"
              value={options.press?.id ?? 'any'}
              all={[
                ['any', 'Any printer'],
                ...conditions.map(
                  ({ id, name, file }) =>
                    [id, `A press (PDF/X-4): ${file ? name.toLowerCase() : name}`] as const,
                ),
              ]}
              disabled={disabled}
              onChoose={(next) => onChange({ press: conditions.find(({ id }) => id === next) })}
            />
          </Box>
        )}
        {press && options.press && (
          <Turned
            label="All of it in the press’s four inks (CMYK), photos too"
            on={Boolean(options.inks)}
            disabled={disabled}
            onTurn={(inks) => onChange({ inks })}
          />
        )}
        {bleed !== null && (
          <Turned
            label={`With bleed, ${bleed}`}
            on={options.withBleed}
            disabled={disabled}
            onTurn={(withBleed) => onChange({ withBleed })}
          />
        )}
        {cropMarks && marks && !options.tiled && (
          <Turned
            label={folded ? 'With crop and fold marks' : 'With crop marks'}
            on={options.cropMarks}
            disabled={disabled}
            onTurn={(on) => onChange({ cropMarks: on })}
          />
        )}
        {squares && cutOut && !options.tiled && (
          <Turned
            label="With squares by which a cutter finds its place"
            on={Boolean(options.squares)}
            disabled={disabled}
            onTurn={(on) => onChange({ squares: on })}
          />
        )}
        {notes && !cutOut && (
          <Turned
            label="With what the photos’ files tell: where, when, with which camera"
            on={Boolean(options.notes)}
            disabled={disabled}
            onTurn={(on) => onChange({ notes: on })}
          />
        )}
        {wide && props.press && (
          <Turned
            label="In Adobe RGB (1998), as some labs ask"
            on={Boolean(options.wide)}
            disabled={disabled}
            onTurn={(on) => onChange({ wide: on })}
          />
        )}
        {pixels && bySide && (
          <Turned
            label="Lying on a table, with its shadow"
            on={Boolean(options.desk)}
            disabled={disabled}
            onTurn={(on) => onChange({ desk: on })}
          />
        )}
        {pixels && (
          <Box sx={{ width: 190, mt: 1.5 }}>
            {bySide ? (
              <LengthField
                label="Its longer side"
                unit="pixels"
                disabled={disabled}
                shown={String(options.side)}
                read={wholeWithin(100, 8000)}
                onCommit={(side) => onChange({ side })}
              />
            ) : (
              <LengthField
                label="Resolution"
                unit="ppi"
                disabled={disabled}
                shown={String(options.ppi)}
                read={(text) => wholeWithin(36, 1200)(text.replace(/ppi/i, ''))}
                onCommit={(ppi) => onChange({ ppi })}
              />
            )}
          </Box>
        )}
      </Box>
    </>
  );
}
