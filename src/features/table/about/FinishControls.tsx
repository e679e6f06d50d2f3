'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { HIGHEST_LIFT, LIFTS } from '@/core/piece/finish/lift';
import type { Piece } from '@/core/piece/piece';
import { changeFinish, changeLift } from '@/core/project/edits/make';
import { finishPhotos } from '@/core/project/edits/photos';
import { fail, ok } from '@/core/result';
import type { Unit } from '@/core/units/lengths';
import { useSession } from '@/features/table/room/context';
import { BlendField } from '@/features/table/about/BlendField';
import { CurlControls } from '@/features/table/about/CurlControls';
import { EchoControls } from '@/features/table/about/EchoControls';
import { LookField } from '@/features/table/about/LookField';
import { MatControls } from '@/features/table/about/MatControls';
import { ShadowControls } from '@/features/table/about/ShadowControls';
import { StrokeControls } from '@/features/table/about/StrokeControls';
import { TrailsControls } from '@/features/table/about/TrailsControls';
import { TreatmentControls } from '@/features/table/about/TreatmentControls';
import { LabelledSlider } from '@/ui/LabelledSlider';
import { LengthField } from '@/ui/LengthField';

const MATERIAL_NAMES: Record<keyof typeof LIFTS, string> = {
  ink: 'Flat, like ink',
  paper: 'Paper',
  photo: 'Photo',
  cardstock: 'Cardstock',
  chipboard: 'Chipboard',
  button: 'Button',
};

export function FinishControls({ pieces, unit }: { pieces: readonly Piece[]; unit: Unit }) {
  const perform = useSession((session) => session.perform);
  const surfaceId = useSession((session) => session.surfaceId);
  const readOnly = useSession((session) => session.readOnly);
  const free = pieces.filter((piece) => !piece.placement.locked);
  const [piece] = free;
  if (!piece) return <Typography variant="body2">Locked: unlock it to change its finish.</Typography>;
  const { lift, opacity } = piece.finish;
  const named = (Object.keys(LIFTS) as (keyof typeof LIFTS)[]).find((key) => LIFTS[key] === lift.height);
  const setLift = (height: number) =>
    perform(
      changeLift(surfaceId, free, 'change lift', {
        height,
        shadow: height > 0 && (lift.shadow || lift.height === 0),
      }),
    );
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: '10px 8px', alignItems: 'center' }}>
      <LookField pieces={free} />
      <TextField
        select
        label="Lies like"
        value={named ?? ''}
        disabled={readOnly}
        onChange={(event) => setLift(LIFTS[event.target.value as keyof typeof LIFTS])}
      >
        {(Object.keys(LIFTS) as (keyof typeof LIFTS)[]).map((key) => (
          <MenuItem key={key} value={key}>
            {MATERIAL_NAMES[key]}
          </MenuItem>
        ))}
      </TextField>
      <LengthField
        label="Lift"
        unit="mm"
        disabled={readOnly}
        shown={String(lift.height)}
        read={(text) => {
          const value = Number(text.replace(',', '.').replace('mm', ''));
          return value >= 0 && value <= HIGHEST_LIFT ? ok(value) : fail(`From 0 to ${HIGHEST_LIFT} mm.`);
        }}
        onCommit={setLift}
      />
      <FormControlLabel
        sx={{ gridColumn: '1 / -1', my: -0.5 }}
        control={
          <Switch
            checked={lift.shadow && lift.height > 0}
            disabled={readOnly || lift.height === 0}
            onChange={(event) =>
              perform(changeLift(surfaceId, free, 'change shadow', { shadow: event.target.checked }))
            }
          />
        }
        label="Shadow from the page light"
      />
      <CurlControls pieces={free} />
      <StrokeControls pieces={free} unit={unit} />
      <TrailsControls pieces={free} unit={unit} />
      <TreatmentControls pieces={free} unit={unit} />
      <MatControls pieces={free} unit={unit} />
      <ShadowControls pieces={free} unit={unit} />
      <EchoControls pieces={free} unit={unit} />
      <BlendField pieces={free} />
      <LabelledSlider
        label={`Opacity ${Math.round(opacity * 100)} %`}
        value={Math.round(opacity * 100)}
        disabled={readOnly}
        onChange={(value) =>
          perform(changeFinish(surfaceId, free, 'change opacity', { opacity: value / 100 }))
        }
      />
      {free.length === 1 && piece.material.kind === 'photo' && !readOnly && <ForAllPhotos piece={piece} />}
    </Box>
  );
}

/** What one photo wears, given to the others. */
function ForAllPhotos({ piece }: { piece: Piece }) {
  const perform = useSession((session) => session.perform);
  const surfaceId = useSession((session) => session.surfaceId);
  const pages = useSession((session) => session.history.project.surfaces.length);
  return (
    <Box sx={{ gridColumn: '1 / -1', display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 1 }}>
      <Typography variant="body2">Give this finish to all photos</Typography>
      <Button size="small" color="inherit" onClick={() => perform(finishPhotos(piece, surfaceId))}>
        of this page
      </Button>
      {pages > 1 && (
        <Button size="small" color="inherit" onClick={() => perform(finishPhotos(piece, null))}>
          of every page
        </Button>
      )}
    </Box>
  );
}
