'use client';
/** One dye: what it does, how strongly, and where. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { IconArrowBackUp } from '@tabler/icons-react';
import { useCallback, useState } from 'react';
import { writeArea } from '@/core/dye/area';
import {
  FARTHEST_EDGE,
  isChosen,
  isMarked,
  LOOSEST,
  SOFTEST_EDGE,
  type ColourChange,
  type Dye,
  type Marked,
  type ShiftChange,
  type Where,
} from '@/core/dye/dye';
import { areaOfStrokes } from '@/core/dye/grow';
import type { Drawing } from '@/core/drawing/drawing';
import type { Piece } from '@/core/piece/piece';
import { changeDye, dyesOf } from '@/core/project/edits/dyes';
import { InkField } from '@/features/table/parts/inks/InkField';
import { useRoom } from '@/features/table/room/context';
import { useGround } from '@/features/table/tasks/colour/useGround';
import { freeFor, useMarks, type Brush } from '@/features/table/tasks/colour/useMarks';
import { RowSlider } from '@/ui/RowSlider';
import { OneOf } from '@/ui/OneOf';

/** Brush widths as shares of the picture's longer side. */
const [THIN, THICK] = [0.004, 0.12];
const FIRST_BRUSH: Brush = {
  on: false,
  away: false,
  width: 0.025,
  closeness: 0.06,
  awayCloseness: 0,
  alike: true,
};
const SHIFTS = [
  ['hue', 'Hue', 180],
  ['saturation', 'Saturation', 100],
  ['lightness', 'Lightness', 100],
] as const;
const UNSHIFTED: ShiftChange = { how: 'shift', hue: 0, saturation: 0, lightness: 0 };

interface Props {
  pieces: readonly Piece[];
  dye: Dye;
  drawing: Drawing | null;
  disabled: boolean;
  /** It was just made, to be marked at once. */
  begun: boolean;
}

export function DyeControls({ pieces, dye, drawing, disabled, begun }: Props) {
  const { store } = useRoom();
  const [brush, setBrush] = useState<Brush>({ ...FIRST_BRUSH, on: begun });
  const [piece] = pieces;
  const { where, change } = dye;
  const ground = useGround(isMarked(where) ? piece : undefined);
  const set = (to: (dye: Dye) => Dye, merge?: string) => {
    const { surfaceId, perform } = store.getState();
    perform(changeDye(surfaceId, pieces, dye.id, to, merge));
  };
  const place = useCallback(
    (next: Where) => {
      const { surfaceId, perform } = store.getState();
      perform(changeDye(surfaceId, pieces, dye.id, (before) => ({ ...before, where: next })));
    },
    [store, pieces, dye.id],
  );
  const leave = useCallback(() => setBrush((before) => ({ ...before, on: false })), []);
  useMarks(disabled ? undefined : piece, dye, ground, drawing, brush, place, leave);
  const flag = (name: 'outside', on: boolean) =>
    set(({ [name]: _, ...rest }) => (on ? { ...rest, [name]: true } : rest));
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.25 }}>
      {where && (
        <Marks
          where={where}
          brush={brush}
          drawing={drawing}
          disabled={disabled || !(ground || drawing)}
          onBrush={(next) => setBrush({ ...brush, ...next })}
          onRegrow={(marked) =>
            ground &&
            set((before) => ({
              ...before,
              where: {
                ...marked,
                area: writeArea(areaOfStrokes(ground, marked.strokes, freeFor(ground, dyesOf(piece!), dye))),
              },
            }))
          }
        />
      )}
      {change.how !== 'protect' && (
        <ColourFields dye={dye} change={change} disabled={disabled} onChange={set} />
      )}
      {where && (
        <>
          {isMarked(where) && (
            <Edges
              where={where}
              disabled={disabled}
              onWhere={(next, merge) => set((before) => ({ ...before, where: next }), merge)}
            />
          )}
          <FormControlLabel
            control={
              <Switch
                size="small"
                disabled={disabled}
                checked={Boolean(dye.outside)}
                onChange={(_, on) => flag('outside', on)}
              />
            }
            label={change.how === 'protect' ? 'Protect all but this' : 'All but this part'}
          />
          <TextField
            label="Its name"
            value={dye.name}
            disabled={disabled}
            slotProps={{ htmlInput: { maxLength: 200 } }}
            onChange={(event) => set((before) => ({ ...before, name: event.target.value }), 'name')}
          />
        </>
      )}
    </Box>
  );
}

interface ColourProps {
  dye: Dye;
  change: ColourChange;
  disabled: boolean;
  onChange: (to: (dye: Dye) => Dye, merge?: string) => void;
}

/** Which colour, and how much of it. */
function ColourFields({ dye, change, disabled, onChange: set }: ColourProps) {
  return (
    <>
      <OneOf
        label="How it is recoloured"
        value={change.how}
        all={[
          ['ink', 'Like an ink'],
          ['shift', 'By hue and light'],
        ]}
        disabled={disabled}
        wide
        onChoose={(how: Dye['change']['how']) =>
          set((before) => ({
            ...before,
            change: how === 'ink' ? { how, ink: '#2f6f8f' } : UNSHIFTED,
          }))
        }
      />
      {change.how === 'ink' ? (
        <>
          <InkField
            label="Ink"
            colour={change.ink}
            disabled={disabled}
            onChange={(ink) => set((before) => ({ ...before, change: { ...change, ink } }), 'ink')}
          />
          <FormControlLabel
            control={
              <Switch
                size="small"
                disabled={disabled}
                checked={Boolean(change.greysStay)}
                onChange={(_, on) =>
                  set((before) => ({
                    ...before,
                    change: { how: 'ink', ink: change.ink, ...(on ? { greysStay: true as const } : {}) },
                  }))
                }
              />
            }
            label="Whites, greys and blacks stay"
          />
        </>
      ) : (
        <Box>
          {SHIFTS.map(([id, name, most]) => (
            <RowSlider
              key={id}
              label={name}
              least={-most}
              most={most}
              value={change[id]}
              disabled={disabled}
              onChange={(value) => set((before) => ({ ...before, change: { ...change, [id]: value } }), id)}
            />
          ))}
        </Box>
      )}
      <RowSlider
        label="How much"
        least={0}
        most={100}
        value={Math.round(dye.strength * 100)}
        disabled={disabled}
        onChange={(value) => set((before) => ({ ...before, strength: value / 100 }), 'strength')}
      />
    </>
  );
}

interface MarksProps {
  where: Where;
  brush: Brush;
  drawing: Drawing | null;
  disabled: boolean;
  onBrush: (change: Partial<Brush>) => void;
  /** Strokes changed: what they come to must be found anew. */
  onRegrow: (marked: Marked) => void;
}

function Marks({ where, brush, drawing, disabled, onBrush, onRegrow }: MarksProps) {
  const last = isMarked(where) ? where.strokes.at(-1) : undefined;
  const limit = brush.away ? 'awayCloseness' : 'closeness';
  return (
    <Box sx={{ border: 1, borderColor: 'divider', borderRadius: 2, p: 1 }}>
      <ToggleButtonGroup
        exclusive
        fullWidth
        size="small"
        aria-label="Mark on the page"
        value={brush.on ? (brush.away ? 'away' : 'add') : null}
        disabled={disabled}
        onChange={(_, next: 'add' | 'away' | null) => onBrush({ on: next !== null, away: next === 'away' })}
      >
        <ToggleButton value="add">Mark</ToggleButton>
        <ToggleButton value="away">Take away</ToggleButton>
      </ToggleButtonGroup>
      <Typography role="status" variant="body2" color="text.secondary" sx={{ my: 0.75 }}>
        {describe(where, brush.on, drawing)}
      </Typography>
      {isChosen(where) ? (
        <FormControlLabel
          control={
            <Switch
              size="small"
              disabled={disabled}
              checked={brush.alike}
              onChange={(_, alike) => onBrush({ alike })}
            />
          }
          label="All of the same colour"
        />
      ) : (
        <>
          <RowSlider
            label="Takes in alike"
            least={0}
            most={100}
            value={Math.round((100 * brush[limit]) / (LOOSEST / 2))}
            disabled={disabled}
            onChange={(value) => onBrush({ [limit]: (value / 100) * (LOOSEST / 2) })}
          />
          <RowSlider
            label="Brush"
            least={100 * THIN}
            most={100 * THICK}
            step={0.1}
            value={100 * brush.width}
            disabled={disabled}
            onChange={(value) => onBrush({ width: value / 100 })}
          />
          <Button
            size="small"
            color="inherit"
            disabled={disabled || !last}
            startIcon={<IconArrowBackUp size={17} />}
            onClick={() => onRegrow({ ...where, strokes: where.strokes.slice(0, -1) })}
          >
            Last stroke back
          </Button>
        </>
      )}
    </Box>
  );
}

interface EdgesProps {
  where: Marked;
  disabled: boolean;
  onWhere: (where: Marked, merge?: string) => void;
}

function Edges({ where, disabled, onWhere }: EdgesProps) {
  return (
    <Box>
      <RowSlider
        label="Edge out or in"
        least={-100 * FARTHEST_EDGE}
        most={100 * FARTHEST_EDGE}
        step={0.1}
        value={100 * (where.edge ?? 0)}
        disabled={disabled}
        onChange={(value) => onWhere(withNumber(where, 'edge', value / 100), 'edge')}
      />
      <RowSlider
        label="Edge softened"
        least={0}
        most={100 * SOFTEST_EDGE}
        step={0.1}
        value={100 * (where.soften ?? 0)}
        disabled={disabled}
        onChange={(value) => onWhere(withNumber(where, 'soften', value / 100), 'soften')}
      />
      <FormControlLabel
        control={
          <Switch
            size="small"
            disabled={disabled}
            checked={Boolean(where.filled)}
            onChange={(event) => {
              const on = event.target.checked;
              const { filled: _, ...rest } = where;
              onWhere(on ? { ...rest, filled: true } : rest);
            }}
          />
        }
        label="Holes filled"
      />
    </Box>
  );
}

/** A number that is nothing is not kept. */
function withNumber(where: Marked, name: 'edge' | 'soften', value: number): Marked {
  const { [name]: _, ...rest } = where;
  return value ? { ...rest, [name]: value } : rest;
}

function describe(where: Where, on: boolean, drawing: Drawing | null): string {
  if (isChosen(where)) {
    const parts = `${where.parts.length} of ${drawing?.parts.length ?? 0} painted parts chosen.`;
    return on ? `Press a part on the page to choose it, again to leave it. ${parts}` : parts;
  }
  if (!where.strokes.length)
    return on
      ? 'Draw roughly over the part on the page: what a stroke will take in is tinted first.'
      : 'Nothing is marked yet: press Mark.';
  const strokes = `${where.strokes.length} ${where.strokes.length === 1 ? 'stroke' : 'strokes'}.`;
  if (!where.area) return `${strokes} Nothing is left of the part.`;
  return on ? `${strokes} Draw on; all but the part is veiled.` : strokes;
}
