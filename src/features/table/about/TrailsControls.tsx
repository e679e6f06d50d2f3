'use client';
/** What runs along the edge of pieces: thread, stamps, paint, one over the other. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { rgbOf } from '@/core/color/hex';
import { cutOf, toolsFor } from '@/core/page/outlines';
import {
  alongOutline,
  besideEdge,
  FARTHEST_TRAIL,
  MOST_TRAILS,
  TRAIL_SIDES,
  type Along,
} from '@/core/piece/finish/trails';
import { evenColour } from '@/core/piece/material';
import type { Piece } from '@/core/piece/piece';
import { trailKind, type Trail } from '@/core/trail';
import { formatLength, type Unit } from '@/core/units/lengths';
import * as act from '@/features/table/acts';
import { measureWithin } from '@/features/table/parts/measures';
import { Layer, Stack, TakeAway } from '@/features/table/parts/Stack';
import { tipsIn } from '@/features/table/parts/trails/Pictures';
import { SPOOLS } from '@/features/table/parts/trails/spools';
import { TrailControls } from '@/features/table/parts/trails/TrailControls';
import { useRoom, useSession } from '@/features/table/room/context';
import { LengthField } from '@/ui/LengthField';

const SIDES = {
  on: 'On the edge',
  inside: 'Inside',
  outside: 'Outside',
  middle: 'Along the middle',
} as const;
/** The inks something begins with: on what is light, and on what is dark. */
const INKS = { onLight: '#9e2b45', onDark: '#f3e3c0' };

/** An ink that stands off from what it is sewn on. */
function inkOn({ material }: Piece): string {
  const own = evenColour(material);
  const light = own === undefined || rgbOf(own).reduce((sum, v) => sum + v, 0) > 1.9;
  return light ? INKS.onLight : INKS.onDark;
}

export function TrailsControls({ pieces, unit }: { pieces: readonly Piece[]; unit: Unit }) {
  const { store } = useRoom();
  const readOnly = useSession((session) => session.readOnly);
  const [piece] = pieces;
  if (!piece) return null;
  const trails = piece.finish.trails ?? [];
  const change = (next: readonly Along[]) => act.layAlong(store, pieces, next);
  const set = (at: number, to: Partial<Along>) =>
    change(trails.map((along, i) => (i === at ? { ...along, ...to } : along)));
  const begin = (kind: Trail['kind']) => {
    const gathered = tipsIn(store.getState().history.project);
    const trail = SPOOLS.find((spool) => spool.kind === kind)!.begin(inkOn(piece), gathered);
    if (!trail) return act.wantTips(store);
    change([...trails, besideEdge(trail)]);
  };
  const full = readOnly || trails.length >= MOST_TRAILS;
  return (
    <Stack title="Along its edge" more="Sew" full={full} onMore={() => begin('thread')}>
      <Box sx={{ display: 'flex', gap: 0.5, flexWrap: 'wrap' }}>
        {SPOOLS.filter(({ kind }) => kind !== 'thread').map(({ kind, name, icon }) => (
          <Button
            key={kind}
            size="small"
            color="inherit"
            disabled={full}
            startIcon={icon}
            onClick={() => begin(kind)}
          >
            {name}
          </Button>
        ))}
      </Box>
      {trails.map((along, i) => {
        const { trail, side, from } = along;
        const name = `${trailKind(trail).name} ${i + 1}`;
        return (
          <Layer key={i} name={name}>
            <TextField
              select
              label="Side"
              value={side}
              disabled={readOnly}
              onChange={(event) => set(i, { side: event.target.value as Along['side'] })}
            >
              {TRAIL_SIDES.map((each) => (
                <MenuItem key={each} value={each}>
                  {SIDES[each]}
                </MenuItem>
              ))}
            </TextField>
            <Box sx={{ display: 'flex', gap: 0.5 }}>
              <LengthField
                label="From the edge"
                unit={unit}
                disabled={readOnly || side === 'on' || side === 'middle'}
                shown={formatLength(side === 'on' ? 0 : from, unit)}
                read={measureWithin(unit, 0, FARTHEST_TRAIL)}
                onCommit={(value) => set(i, { from: value })}
              />
              <TakeAway
                name={name}
                disabled={readOnly}
                onTake={() => change(trails.filter((_, at) => at !== i))}
              />
            </Box>
            <Told piece={piece} along={along} />
            <TrailControls
              trail={trail}
              unit={unit}
              disabled={readOnly}
              onChange={(next) => set(i, { trail: next })}
            />
          </Layer>
        );
      })}
    </Stack>
  );
}

/** How many went round, and by how much they were moved. */
function Told({ piece, along }: { piece: Piece; along: Along }) {
  const { store } = useRoom();
  const { history, typesetter } = store.getState();
  const { path } = cutOf(piece, toolsFor(history.project, typesetter));
  const told = trailKind(along.trail).told?.(along.trail, alongOutline(along, path));
  return told ? (
    <Typography variant="caption" color="text.secondary" sx={{ gridColumn: '1 / -1' }}>
      {told}
    </Typography>
  ) : null;
}
