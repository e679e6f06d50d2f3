'use client';
/** How words are written: letters, lines and box; what is marked while one writes, or all of it. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Tooltip from '@mui/material/Tooltip';
import Typography from '@mui/material/Typography';
import {
  IconAlignCenter,
  IconAlignJustified,
  IconAlignLeft,
  IconAlignRight,
  IconArrowAutofitHeight,
  IconList,
  IconListNumbers,
  IconTextResize,
} from '@tabler/icons-react';
import { useState } from 'react';
import { useShallow } from 'zustand/react/shallow';
import type { GlyphsOutline } from '@/core/piece/outline/glyphs';
import type { Piece } from '@/core/piece/piece';
import { countWords } from '@/core/project/finding';
import { fail, ok } from '@/core/result';
import {
  LANGUAGES,
  LEAST_LEADING,
  MOST_COLUMNS,
  MOST_LEADING,
  SMALLEST_LETTERS,
  WIDEST_GAP,
  type Alignment,
  type Language,
} from '@/core/text/style';
import { formatLength, type Unit } from '@/core/units/lengths';
import { measureWithin, wholeWithin } from '@/features/table/parts/measures';
import { InkField } from '@/features/table/parts/inks/InkField';
import * as act from '@/features/table/acts';
import { MOST_LETTERS } from '@/core/text/style';
import { LiveField } from '@/features/table/parts/LiveField';
import { useRoom, useSession } from '@/features/table/room/context';
import { FeatureToggles } from '@/features/table/tasks/words/FeatureToggles';
import { LivingButton } from '@/features/table/tasks/words/LivingButton';
import { LetterFields } from '@/features/table/tasks/words/LetterFields';
import { StyleField } from '@/features/table/tasks/words/StyleField';
import { LengthField } from '@/ui/LengthField';

export type Words = Piece & { outline: GlyphsOutline };

const ALIGN: readonly [Alignment, string, typeof IconAlignLeft][] = [
  ['left', 'From the left', IconAlignLeft],
  ['centre', 'In the middle', IconAlignCenter],
  ['right', 'To the right', IconAlignRight],
  ['justify', 'From edge to edge', IconAlignJustified],
];

export function WordsControls({ piece, unit }: { piece: Words; unit: Unit }) {
  const { store } = useRoom();
  const readOnly = useSession((session) => session.readOnly) || piece.placement.locked;
  const now = useSession(useShallow((session) => act.writtenNow(session, piece)));
  const part = useSession((session) => act.marked(session, piece) !== null);
  const { outline } = piece;
  const { words, letters } = countWords(outline.text);
  const set = (to: Partial<GlyphsOutline>) => act.rewrite(store, piece.id, to);
  const write = (to: Parameters<typeof act.letter>[2]) => act.letter(store, piece.id, to);
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: '12px 8px' }}>
      <StyleField piece={piece} />
      {part && (
        <Typography
          variant="body2"
          role="status"
          sx={{ gridColumn: '1 / -1', color: 'success.main', mb: -0.5 }}
        >
          Letters and ink below: for what is marked.
        </Typography>
      )}
      <LetterFields piece={piece} now={now} disabled={readOnly} onChange={write} />
      {now.ink && (
        <Box sx={{ gridColumn: '1 / -1' }}>
          <InkField
            label={part ? 'Ink of what is marked' : 'Ink of the words'}
            colour={now.ink}
            disabled={readOnly}
            onChange={(ink) => write({ ink })}
          />
        </Box>
      )}
      <FeatureToggles
        family={now.family}
        chosen={now.features ?? []}
        disabled={readOnly}
        onChange={(features) => write({ features: features.length ? features : undefined })}
      />
      <Lines {...{ piece, unit, set }} disabled={readOnly} />
      <FitButtons id={piece.id} disabled={readOnly} />
      <LivingButton />
      <PlainText key={piece.id} piece={piece} disabled={readOnly} />
      <Typography variant="body2" color="text.secondary" sx={{ gridColumn: '1 / -1' }}>
        {words} {words === 1 ? 'word' : 'words'}, {letters} {letters === 1 ? 'letter' : 'letters'}
      </Typography>
    </Box>
  );
}

interface LinesProps {
  piece: Words;
  unit: Unit;
  disabled: boolean;
  set: (to: Partial<GlyphsOutline>) => void;
}

/** How its lines are set: where they begin, as lists, how far apart, in columns, divided; and its box. */
function Lines({ piece, unit, disabled, set }: LinesProps) {
  const { store } = useRoom();
  const { outline } = piece;
  return (
    <>
      <Box sx={{ gridColumn: '1 / -1', display: 'flex', gap: 1, justifyContent: 'space-between' }}>
        <ToggleButtonGroup
          exclusive
          size="small"
          value={outline.align}
          disabled={disabled}
          onChange={(_, align: Alignment | null) =>
            align && set({ align, ...(align === 'justify' ? { wrap: true } : {}) })
          }
          aria-label="Lines"
        >
          {ALIGN.map(([align, name, Icon]) => (
            <ToggleButton key={align} value={align} aria-label={name} title={name}>
              <Icon size={18} />
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <Box>
          <Tooltip title="List with points">
            <Button
              size="small"
              color="inherit"
              disabled={disabled}
              aria-label="List with points"
              onClick={() => act.toggleList(store, piece.id, 'points')}
              sx={{ minWidth: 36 }}
            >
              <IconList size={18} />
            </Button>
          </Tooltip>
          <Tooltip title="List with numbers">
            <Button
              size="small"
              color="inherit"
              disabled={disabled}
              aria-label="List with numbers"
              onClick={() => act.toggleList(store, piece.id, 'numbers')}
              sx={{ minWidth: 36 }}
            >
              <IconListNumbers size={18} />
            </Button>
          </Tooltip>
        </Box>
      </Box>
      <LengthField
        label="Line spacing"
        disabled={disabled}
        shown={String(Math.round(outline.leading * 100) / 100)}
        read={(text) => {
          const value = Number(text.replace(',', '.'));
          return value >= LEAST_LEADING && value <= MOST_LEADING
            ? ok(value)
            : fail(`From ${LEAST_LEADING} to ${MOST_LEADING}.`);
        }}
        onCommit={(leading) => set({ leading })}
      />
      <LengthField
        label="Columns"
        disabled={disabled}
        shown={String(outline.columns?.count ?? 1)}
        read={wholeWithin(1, MOST_COLUMNS)}
        onCommit={(count) =>
          set({
            columns: count > 1 ? { count, gap: outline.columns?.gap ?? outline.size } : undefined,
            wrap: true,
          })
        }
      />
      {outline.columns && (
        <LengthField
          label="Between columns"
          unit={unit}
          disabled={disabled}
          shown={formatLength(outline.columns.gap, unit)}
          read={measureWithin(unit, 0, WIDEST_GAP)}
          onCommit={(gap) => set({ columns: { ...outline.columns!, gap } })}
        />
      )}
      <TextField
        select
        label="Divide words"
        value={outline.hyphens ?? ''}
        disabled={disabled}
        onChange={({ target: { value } }) =>
          set({ hyphens: (value || undefined) as Language | undefined, ...(value ? { wrap: true } : {}) })
        }
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
        sx={outline.columns ? undefined : { gridColumn: '1 / -1' }}
      >
        <MenuItem value="">Never</MenuItem>
        {(Object.keys(LANGUAGES) as Language[]).map((language) => (
          <MenuItem key={language} value={language}>
            As in {LANGUAGES[language]}
          </MenuItem>
        ))}
      </TextField>
      <Box sx={{ gridColumn: '1 / -1', display: 'flex', flexDirection: 'column', my: -0.5 }}>
        <FormControlLabel
          control={
            <Switch
              checked={outline.hanging ?? false}
              disabled={disabled}
              onChange={(_, on) => set({ hanging: on || undefined })}
            />
          }
          label="Quotes and dots hang outside"
        />
        <FormControlLabel
          control={
            <Switch
              checked={outline.fixed ?? false}
              disabled={disabled}
              onChange={(_, on) => act.fixBox(store, piece.id, on)}
            />
          }
          label="The box keeps its height"
        />
      </Box>
    </>
  );
}

function FitButtons({ id, disabled }: { id: string; disabled: boolean }) {
  const { store } = useRoom();
  const [refused, setRefused] = useState(false);
  return (
    <Box sx={{ gridColumn: '1 / -1', display: 'flex', flexWrap: 'wrap', columnGap: 1 }}>
      <Button
        size="small"
        color="inherit"
        disabled={disabled}
        startIcon={<IconTextResize size={17} />}
        onClick={() => setRefused(!act.fitLetters(store, id))}
      >
        Fit letters to box
      </Button>
      <Button
        size="small"
        color="inherit"
        disabled={disabled}
        startIcon={<IconArrowAutofitHeight size={17} />}
        onClick={() => act.fitBox(store, id)}
      >
        Fit box to letters
      </Button>
      {refused && (
        <Typography variant="body2" role="status" color="warning.main">
          No letters from {SMALLEST_LETTERS} pt up fit this box. Make it larger, or write less.
        </Typography>
      )}
    </Box>
  );
}

/** The words without their looks, in a field of the browser: it checks their spelling. */
function PlainText({ piece, disabled }: { piece: Words; disabled: boolean }) {
  const { store } = useRoom();
  const [open, setOpen] = useState(false);
  if (!open)
    return (
      <Button
        size="small"
        color="inherit"
        onClick={() => setOpen(true)}
        sx={{ gridColumn: '1 / -1', justifySelf: 'start' }}
      >
        Check the spelling
      </Button>
    );
  return (
    <LiveField
      {...{ piece, disabled, rows: 8, longest: MOST_LETTERS, language: piece.outline.hyphens }}
      label="The words alone, spelling marked"
      text={({ outline }) => (outline.kind === 'glyphs' ? outline.text : '')}
      onChange={(text) => act.rewrite(store, piece.id, { text })}
    />
  );
}
