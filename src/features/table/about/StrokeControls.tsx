'use client';
/** The line along the edge: drawn through, or in dashes. */
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { cutOf, toolsFor } from '@/core/page/outlines';
import {
  countBroken,
  LONGEST_DASH,
  NEW_DASHES,
  SHORTEST_DASH,
  STROKE_SIDES,
  WIDEST_STROKE,
  type Stroke,
} from '@/core/piece/finish/stroke';
import type { Piece } from '@/core/piece/piece';
import { changeFinish } from '@/core/project/edits/make';
import { formatLength, type Unit } from '@/core/units/lengths';
import { InkField } from '@/features/table/parts/inks/InkField';
import { measureWithin } from '@/features/table/parts/measures';
import { useRoom, useSession } from '@/features/table/room/context';
import { LengthField } from '@/ui/LengthField';

const NEW_LINE: Stroke = { colour: '#fdfbf6', width: 6, side: 'outside' };
/** The thinnest line that can be set, points: a hundredth of an inch. */
const THINNEST = 0.72;

type Kind = 'none' | 'line' | 'dashes';

export function StrokeControls({ pieces, unit }: { pieces: readonly Piece[]; unit: Unit }) {
  const { store } = useRoom();
  const perform = useSession((session) => session.perform);
  const surfaceId = useSession((session) => session.surfaceId);
  const readOnly = useSession((session) => session.readOnly);
  const [piece] = pieces;
  if (!piece) return null;
  const { stroke } = piece.finish;
  const broken = stroke?.broken;
  const kind: Kind = stroke ? (broken ? 'dashes' : 'line') : 'none';
  const put = (next: Stroke | null) =>
    perform(changeFinish(surfaceId, pieces, next ? 'change stroke' : 'take stroke off', { stroke: next }));
  const set = (change: Partial<Stroke>) => put({ ...(stroke ?? NEW_LINE), ...change });
  const choose = (next: Kind) => {
    if (next === 'none') return put(null);
    if (next === 'line') {
      const { broken: _, ...line } = stroke ?? NEW_LINE;
      return put(line);
    }
    put({ ...NEW_LINE, ...stroke, width: 2, side: 'inside', broken: NEW_DASHES });
  };
  const length = (label: string, of: 'length' | 'gap' | 'from', least: number) =>
    broken && (
      <LengthField
        label={label}
        unit={unit}
        disabled={readOnly}
        shown={formatLength(broken[of], unit)}
        read={measureWithin(unit, least, LONGEST_DASH)}
        onCommit={(value) => set({ broken: { ...broken, [of]: value } })}
      />
    );
  return (
    <Box
      component="section"
      aria-label="Stroke"
      sx={{ gridColumn: '1 / -1', display: 'grid', gridTemplateColumns: '1fr 1fr', gap: '12px 8px', mt: 0.5 }}
    >
      <TextField
        select
        label="Stroke along the edge"
        value={kind}
        disabled={readOnly}
        onChange={(event) => choose(event.target.value as Kind)}
        sx={{ gridColumn: '1 / -1' }}
      >
        <MenuItem value="none">None</MenuItem>
        <MenuItem value="line">A line</MenuItem>
        <MenuItem value="dashes">Dashes</MenuItem>
      </TextField>
      {stroke && (
        <>
          <LengthField
            label="Line width"
            unit={unit}
            disabled={readOnly}
            shown={formatLength(stroke.width, unit)}
            read={measureWithin(unit, THINNEST, WIDEST_STROKE)}
            onCommit={(width) => set({ width })}
          />
          <TextField
            select
            label="Side"
            value={stroke.side}
            disabled={readOnly}
            onChange={(event) => set({ side: event.target.value as Stroke['side'] })}
          >
            {STROKE_SIDES.map((side) => (
              <MenuItem key={side} value={side}>
                {side === 'on' ? 'On the edge' : side === 'inside' ? 'Inside' : 'Outside'}
              </MenuItem>
            ))}
          </TextField>
          {broken && (
            <>
              {length('Length of a dash', 'length', SHORTEST_DASH)}
              {length('Gap', 'gap', 0)}
              {stroke.side !== 'on' && length('From the edge', 'from', 0)}
              <Typography variant="caption" color="text.secondary" sx={{ alignSelf: 'center' }}>
                {counted(
                  countBroken(
                    stroke,
                    cutOf(piece, toolsFor(store.getState().history.project, store.getState().typesetter))
                      .path,
                  ),
                )}
              </Typography>
            </>
          )}
          <Box sx={{ gridColumn: '1 / -1' }}>
            <InkField
              label="Stroke ink"
              colour={stroke.colour}
              disabled={readOnly}
              onChange={(colour) => set({ colour })}
            />
          </Box>
        </>
      )}
    </Box>
  );
}

const counted = (count: number): string =>
  count ? `${count} dashes, whole on each side.` : 'There is no room for them: less from the edge.';
