'use client';
/** Words along an outline: what they are, where they stand, how they meet. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import {
  LONGEST_BETWEEN,
  MOST_RUNNING_LETTERS,
  setRunning,
  WIDEST_RUNNING_GAP,
  type RunningOutline,
} from '@/core/piece/outline/running';
import type { Piece } from '@/core/piece/piece';
import { formatLength, toPoints, type Unit } from '@/core/units/lengths';
import { measureWithin, wholeWithin } from '@/features/table/parts/measures';
import { InkField } from '@/features/table/parts/inks/InkField';
import * as act from '@/features/table/acts';
import { LiveField } from '@/features/table/parts/LiveField';
import { useRoom, useSession } from '@/features/table/room/context';
import { FeatureToggles } from '@/features/table/tasks/words/FeatureToggles';
import { LetterFields, shownSize } from '@/features/table/tasks/words/LetterFields';
import { LivingButton } from '@/features/table/tasks/words/LivingButton';
import { LabelledSlider } from '@/ui/LabelledSlider';
import { LengthField } from '@/ui/LengthField';
import { OneOf } from '@/ui/OneOf';

export type Running = Piece & { outline: RunningOutline };

const MOST_REPEATS = 200;

export function RunningControls({ piece, unit }: { piece: Running; unit: Unit }) {
  const { store } = useRoom();
  const readOnly = useSession((session) => session.readOnly) || piece.placement.locked;
  const typesetter = useSession((session) => session.typesetter);
  const { outline, placement } = piece;
  const { width, height } = placement;
  const set = (to: Partial<RunningOutline>) => act.changeRunning(store, piece.id, to);
  const laid = useMemo(
    () => setRunning(outline, { width, height }, typesetter),
    [outline, width, height, typesetter],
  );
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: '12px 8px' }}>
      <LiveField
        {...{ piece, disabled: readOnly, rows: 4, longest: MOST_RUNNING_LETTERS }}
        label="Words"
        text={(now) => (now.outline.kind === 'running' ? now.outline.text : '')}
        onChange={(text) => set({ text })}
      />
      <Typography
        variant="body2"
        role="status"
        color="text.secondary"
        sx={{ gridColumn: '1 / -1', mt: -0.75 }}
      >
        {saysOf(outline, laid)}
      </Typography>
      <LivingButton />
      <LetterFields piece={piece} now={outline} disabled={readOnly} onChange={set} />
      <FeatureToggles
        family={outline.family}
        chosen={outline.features ?? []}
        disabled={readOnly}
        onChange={(features) => set({ features: features.length ? features : undefined })}
      />
      <FormControlLabel
        control={
          <Switch checked={outline.repeat} disabled={readOnly} onChange={(_, repeat) => set({ repeat })} />
        }
        label="Again and again, until full"
        sx={{ gridColumn: '1 / -1', my: -0.5 }}
      />
      {outline.repeat && (
        <>
          <LiveField
            {...{ piece, disabled: readOnly, longest: LONGEST_BETWEEN }}
            label="In between"
            text={(now) => (now.outline.kind === 'running' ? now.outline.between : '')}
            onChange={(between) => set({ between })}
          />
          <LengthField
            label="How often"
            disabled={readOnly}
            shown={String(laid.repeats)}
            read={wholeWithin(1, MOST_REPEATS)}
            onCommit={(repeats) => act.fitRepeats(store, piece.id, repeats)}
          />
        </>
      )}
      <Along {...{ outline, unit, set }} disabled={readOnly} />
      <LineDrawn {...{ outline, unit, set }} disabled={readOnly} />
      <Button
        size="small"
        color="inherit"
        disabled={readOnly}
        onClick={() => act.straightenWords(store, piece.id)}
        sx={{ gridColumn: '1 / -1', justifySelf: 'start' }}
      >
        Back to plain lines
      </Button>
    </Box>
  );
}

interface PartProps {
  outline: RunningOutline;
  unit: Unit;
  disabled: boolean;
  set: (to: Partial<RunningOutline>) => void;
}

/** Where and which way they run along the outline. */
function Along({ outline, unit, disabled, set }: PartProps) {
  return (
    <>
      <TextField
        select
        label="Letters stand"
        value={outline.side}
        disabled={disabled}
        onChange={({ target: { value } }) => set({ side: value as RunningOutline['side'] })}
      >
        <MenuItem value="outside">Outside</MenuItem>
        <MenuItem value="inside">Inside</MenuItem>
        <MenuItem value="on">On the line</MenuItem>
      </TextField>
      <TextField
        select
        label="At corners"
        value={outline.corners}
        disabled={disabled}
        onChange={({ target: { value } }) => set({ corners: value as RunningOutline['corners'] })}
      >
        <MenuItem value="break">Words stay whole</MenuItem>
        <MenuItem value="squeeze">Letters stay whole</MenuItem>
        <MenuItem value="round">Go round them</MenuItem>
      </TextField>
      <OneOf
        label="Which way they run"
        value={outline.clockwise ? 'clockwise' : 'back'}
        all={[
          ['clockwise', 'Clockwise'],
          ['back', 'The other way'],
        ]}
        disabled={disabled}
        onChoose={(way: string) => set({ clockwise: way === 'clockwise' })}
        sx={{ gridColumn: '1 / -1', '& .MuiToggleButton-root': { flex: 1 } }}
      />
      <LengthField
        label="From the outline"
        unit={unit}
        disabled={disabled}
        shown={formatLength(outline.gap, unit)}
        read={measureWithin(unit, 0, WIDEST_RUNNING_GAP)}
        onCommit={(gap) => set({ gap })}
      />
      <Box sx={{ px: 1 }}>
        <LabelledSlider
          label={`Begins at ${Math.round(outline.start * 100)} %`}
          min={0}
          max={1}
          step={0.005}
          value={outline.start}
          disabled={disabled}
          onChange={(start) => set({ start })}
        />
      </Box>
    </>
  );
}

/** The line of the outline itself. */
function LineDrawn({ outline, unit, disabled, set }: PartProps) {
  return (
    <>
      <FormControlLabel
        control={
          <Switch
            checked={outline.line !== undefined}
            disabled={disabled}
            onChange={(_, on) =>
              set({ line: on ? { width: toPoints(1 / 48, 'in'), colour: '#25232a' } : undefined })
            }
          />
        }
        label="Draw the outline too"
        sx={{ gridColumn: '1 / -1', my: -0.5 }}
      />
      {outline.line && (
        <>
          <LengthField
            label="Its width"
            unit={unit}
            disabled={disabled}
            shown={formatLength(outline.line.width, unit)}
            read={measureWithin(unit, 0.1, 72)}
            onCommit={(wide) => set({ line: { ...outline.line!, width: wide } })}
          />
          <Box sx={{ gridColumn: '1 / -1' }}>
            <InkField
              label="Ink of the outline"
              colour={outline.line.colour}
              disabled={disabled}
              onChange={(colour) => set({ line: { ...outline.line!, colour } })}
            />
          </Box>
        </>
      )}
    </>
  );
}

function saysOf(outline: RunningOutline, laid: ReturnType<typeof setRunning>): string {
  if (!outline.text.trim()) return 'Write what shall run along it.';
  if (!laid.repeats) return 'The outline is too small for a single letter.';
  if (!outline.repeat) return laid.over ? `${laid.over} letters find no room.` : 'They stand there once.';
  const times = `${laid.repeats} ${laid.repeats === 1 ? 'time' : 'times'}`;
  const smaller =
    laid.size < outline.size - 0.005 ? `, letters at ${shownSize(laid.size)} pt so that one round fits` : '';
  return `${times} round, ${laid.spread < 0 ? 'drawn together' : 'set apart'} by ${Math.abs(laid.spread).toFixed(2)} pt a letter${smaller}.`;
}
