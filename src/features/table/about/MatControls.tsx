'use client';
/** Mats in a stack: each a paper or an ink, its own width, following the outline or straight, turned a little by hand. */
import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import { CORNERS, type Corners } from '@/core/geometry/offset';
import { MOST_MATS, NEW_MAT, WIDEST_MAT, type Mat } from '@/core/piece/finish/mats';
import { WHOLE } from '@/core/piece/material/window';
import type { Piece } from '@/core/piece/piece';
import { changeFinish } from '@/core/project/edits/make';
import { formatLength, type Unit } from '@/core/units/lengths';
import type { Asset } from '@/core/picture/asset';
import { changePieces, naming, together } from '@/core/project/edits/edit';
import { gather } from '@/core/project/edits/gather';
import { PaperField } from '@/features/table/parts/PaperField';
import { InkField } from '@/features/table/parts/inks/InkField';
import { measureWithin, readDegrees } from '@/features/table/parts/measures';
import { Layer, Stack, TakeAway } from '@/features/table/parts/Stack';
import { useSession } from '@/features/table/room/context';
import { LengthField } from '@/ui/LengthField';

const CORNER_NAMES: Record<Corners, string> = { round: 'Round', mitred: 'Mitred', straight: 'Straight' };

export function MatControls({ pieces, unit }: { pieces: readonly Piece[]; unit: Unit }) {
  const perform = useSession((session) => session.perform);
  const surfaceId = useSession((session) => session.surfaceId);
  const readOnly = useSession((session) => session.readOnly);
  const mats = pieces[0]?.finish.mats ?? [];
  const change = (next: readonly Mat[]) =>
    perform(
      changeFinish(surfaceId, pieces, 'change mats', {
        mats: next.length ? structuredClone([...next]) : undefined,
      }),
    );
  const set = (at: number, to: Partial<Mat>) =>
    change(mats.map((mat, i) => (i === at ? { ...mat, ...to } : mat)));
  /** A paper may take a moment to arrive: what was set of the mats meanwhile stays. */
  const setPaper = (at: number, paper: Asset) => {
    const label = `change mats of ${naming(pieces)}`;
    const ids = pieces.map(({ id }) => id);
    const edit = changePieces(label, surfaceId, ids, ({ finish: { mats: now } }) => {
      if (now?.[at]) now[at].material = { kind: 'paper', asset: paper.sha, window: { ...WHOLE } };
    });
    perform(together(label, [gather('papers', [paper]), edit]));
  };
  return (
    <Stack
      title="Mats"
      more={mats.length ? 'One more beneath' : 'Lay a mat'}
      full={readOnly || mats.length >= MOST_MATS}
      onMore={() =>
        change([
          ...mats,
          // The second is darker and narrower, so that both are seen.
          mats.length ? { ...NEW_MAT, width: 5, material: { kind: 'ink', colour: '#2f6f68' } } : NEW_MAT,
        ])
      }
    >
      {mats.map((mat, i) => (
        <Layer key={i} name={`Mat ${i + 1}`}>
          <LengthField
            label={`Width of mat ${i + 1}`}
            unit={unit}
            disabled={readOnly}
            shown={formatLength(mat.width, unit)}
            read={measureWithin(unit, 0, WIDEST_MAT)}
            onCommit={(width) => set(i, { width })}
          />
          <Box sx={{ display: 'flex', gap: 0.5 }}>
            <LengthField
              label="Turned"
              unit="°"
              disabled={readOnly}
              shown={String(mat.turn)}
              read={readDegrees}
              onCommit={(turn) => set(i, { turn: Math.max(-180, Math.min(180, turn)) })}
            />
            <TakeAway
              name={`Mat ${i + 1}`}
              disabled={readOnly}
              onTake={() => change(mats.filter((_, at) => at !== i))}
            />
          </Box>
          <PaperField
            label="Made of"
            paper={mat.material.kind === 'paper' ? mat.material.asset : null}
            disabled={readOnly}
            onNone={() => set(i, { material: NEW_MAT.material })}
            onPaper={(paper) => setPaper(i, paper)}
          />
          <TextField
            select
            label="Corners"
            value={mat.corners}
            disabled={readOnly}
            onChange={(event) => set(i, { corners: event.target.value as Corners })}
          >
            {CORNERS.map((corners) => (
              <MenuItem key={corners} value={corners}>
                {CORNER_NAMES[corners]}
              </MenuItem>
            ))}
          </TextField>
          {mat.material.kind === 'ink' && (
            <Box sx={{ gridColumn: '1 / -1' }}>
              <InkField
                label={`Ink of mat ${i + 1}`}
                colour={mat.material.colour}
                disabled={readOnly}
                onChange={(colour) => set(i, { material: { kind: 'ink', colour } })}
              />
            </Box>
          )}
          <FormControlLabel
            sx={{ gridColumn: '1 / -1', my: -0.75 }}
            control={
              <Switch
                checked={mat.straight}
                disabled={readOnly}
                onChange={(event) => set(i, { straight: event.target.checked })}
              />
            }
            label="Straight, whatever lies on it"
          />
        </Layer>
      ))}
    </Stack>
  );
}
