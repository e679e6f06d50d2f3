'use client';
/** Mats in a stack: each a paper or an ink, its own width, following the outline or straight, turned a little by hand. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import IconButton from '@mui/material/IconButton';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Tooltip from '@mui/material/Tooltip';
import Typography from '@mui/material/Typography';
import { IconPlus, IconX } from '@tabler/icons-react';
import { CORNERS, type Corners } from '@/core/geometry/offset';
import { MOST_MATS, NEW_MAT, WIDEST_MAT, type Mat } from '@/core/piece/finish/mats';
import { WHOLE } from '@/core/piece/material/window';
import type { Piece } from '@/core/piece/piece';
import { changeFinish } from '@/core/project/edits/make';
import { formatLength, type Unit } from '@/core/units/lengths';
import { InkField } from '@/features/table/about/InkField';
import { measureWithin, readDegrees } from '@/features/table/about/measures';
import { useSession } from '@/features/table/room/context';
import { shownProject } from '@/features/table/room/session';
import { LengthField } from '@/ui/LengthField';

const CORNER_NAMES: Record<Corners, string> = { round: 'Round', mitred: 'Mitred', straight: 'Straight' };

export function MatControls({ pieces, unit }: { pieces: readonly Piece[]; unit: Unit }) {
  const perform = useSession((session) => session.perform);
  const surfaceId = useSession((session) => session.surfaceId);
  const readOnly = useSession((session) => session.readOnly);
  const assets = useSession((session) => shownProject(session).assets);
  const papers = useSession((session) => shownProject(session).papers);
  const mats = pieces[0]?.finish.mats ?? [];
  const change = (label: string, next: readonly Mat[]) =>
    perform(
      changeFinish(surfaceId, pieces, label, { mats: next.length ? structuredClone([...next]) : undefined }),
    );
  const set = (at: number, to: Partial<Mat>) =>
    change(
      'change mats',
      mats.map((mat, i) => (i === at ? { ...mat, ...to } : mat)),
    );
  const known = (sha: string) => papers.includes(sha);
  return (
    <Box
      component="section"
      aria-label="Mats"
      sx={{ gridColumn: '1 / -1', display: 'flex', flexDirection: 'column' }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center' }}>
        <Typography component="h3" sx={{ fontSize: '0.95rem', fontWeight: 600, flex: 1 }}>
          Mats
        </Typography>
        <Button
          size="small"
          color="inherit"
          disabled={readOnly || mats.length >= MOST_MATS}
          startIcon={<IconPlus size={16} />}
          onClick={() =>
            change('change mats', [
              ...mats,
              // The second is darker and narrower, so that both are seen.
              mats.length ? { ...NEW_MAT, width: 5, material: { kind: 'ink', colour: '#2f6f68' } } : NEW_MAT,
            ])
          }
        >
          {mats.length ? 'One more beneath' : 'Lay a mat'}
        </Button>
      </Box>
      {mats.map((mat, i) => (
        <Box
          key={i}
          role="group"
          aria-label={`Mat ${i + 1}`}
          sx={{
            display: 'grid',
            gridTemplateColumns: '1fr 1fr',
            gap: '12px 8px',
            alignItems: 'center',
            borderTop: '1px dotted',
            borderColor: 'divider',
            py: 1.25,
          }}
        >
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
            <Tooltip title="Take this mat away">
              <IconButton
                color="inherit"
                disabled={readOnly}
                aria-label={`Take mat ${i + 1} away`}
                onClick={() =>
                  change(
                    'change mats',
                    mats.filter((_, at) => at !== i),
                  )
                }
              >
                <IconX size={17} />
              </IconButton>
            </Tooltip>
          </Box>
          <TextField
            select
            label="Made of"
            value={mat.material.kind === 'paper' ? mat.material.asset : 'ink'}
            disabled={readOnly}
            onChange={(event) =>
              set(i, {
                material:
                  event.target.value === 'ink'
                    ? NEW_MAT.material
                    : { kind: 'paper', asset: event.target.value, window: WHOLE },
              })
            }
          >
            <MenuItem value="ink">Cardstock in an ink</MenuItem>
            {mat.material.kind === 'paper' && !known(mat.material.asset) && (
              <MenuItem value={mat.material.asset}>
                {assets[mat.material.asset]?.name ?? 'A paper not here'}
              </MenuItem>
            )}
            {papers.map((sha) => (
              <MenuItem key={sha} value={sha}>
                {assets[sha]?.name ?? 'A paper'}
              </MenuItem>
            ))}
          </TextField>
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
        </Box>
      ))}
    </Box>
  );
}
