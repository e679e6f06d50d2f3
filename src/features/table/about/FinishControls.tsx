'use client';

import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Slider from '@mui/material/Slider';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { HIGHEST_LIFT, LIFTS } from '@/core/piece/finish/lift';
import { STROKE_SIDES, WIDEST_STROKE, type Stroke } from '@/core/piece/finish/stroke';
import type { Piece } from '@/core/piece/piece';
import { changeFinish } from '@/core/project/edits/make';
import { fail, ok } from '@/core/result';
import { formatLength, parseLength, type Unit } from '@/core/units/lengths';
import { useSession } from '@/features/table/room/context';
import { BLENDS, type Blend } from '@/core/picture/blend';
import { MatControls } from '@/features/table/about/MatControls';
import { ShadowControls } from '@/features/table/about/ShadowControls';
import { ColourField } from '@/ui/ColourField';
import { LengthField } from '@/ui/LengthField';

const NEW_STROKE: Stroke = { colour: '#fdfbf6', width: 6, side: 'outside' };
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
  const { lift, stroke, opacity } = piece.finish;
  const named = (Object.keys(LIFTS) as (keyof typeof LIFTS)[]).find((key) => LIFTS[key] === lift.height);
  const setLift = (height: number) =>
    perform(
      changeFinish(surfaceId, free, 'change lift', {
        lift: { height, shadow: height > 0 && (lift.shadow || lift.height === 0) },
      }),
    );
  const setStroke = (change: Partial<Stroke> | null) =>
    perform(
      changeFinish(surfaceId, free, change ? 'change stroke' : 'take stroke off', {
        stroke: change && { ...(stroke ?? NEW_STROKE), ...change },
      }),
    );
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: '10px 8px', alignItems: 'center' }}>
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
              perform(
                changeFinish(surfaceId, free, 'change shadow', {
                  lift: { ...lift, shadow: event.target.checked },
                }),
              )
            }
          />
        }
        label="Shadow from the page light"
      />
      <FormControlLabel
        sx={{ gridColumn: '1 / -1', my: -0.5 }}
        control={
          <Switch
            checked={stroke !== null}
            disabled={readOnly}
            onChange={(event) => setStroke(event.target.checked ? {} : null)}
          />
        }
        label="Stroke along the edge"
      />
      {stroke && (
        <>
          <LengthField
            label="Width"
            unit={unit}
            disabled={readOnly}
            shown={formatLength(stroke.width, unit)}
            read={(text) => {
              const read = parseLength(text, unit);
              return read.ok && (read.value <= 0 || read.value > WIDEST_STROKE)
                ? fail('Above 0, up to 2 in.')
                : read;
            }}
            onCommit={(width) => setStroke({ width })}
          />
          <TextField
            select
            label="Side"
            value={stroke.side}
            disabled={readOnly}
            onChange={(event) => setStroke({ side: event.target.value as Stroke['side'] })}
          >
            {STROKE_SIDES.map((side) => (
              <MenuItem key={side} value={side}>
                {side === 'on' ? 'On the edge' : side === 'inside' ? 'Inside' : 'Outside'}
              </MenuItem>
            ))}
          </TextField>
          <Box sx={{ gridColumn: '1 / -1' }}>
            <ColourField
              label="Stroke ink"
              colour={stroke.colour}
              disabled={readOnly}
              onChange={(colour) => setStroke({ colour })}
            />
          </Box>
        </>
      )}
      <MatControls pieces={free} unit={unit} />
      <ShadowControls pieces={free} unit={unit} />
      <TextField
        select
        label="Blend with what lies beneath"
        value={piece.finish.blend ?? 'normal'}
        disabled={readOnly}
        sx={{ gridColumn: '1 / -1', mt: 0.75 }}
        onChange={(event) =>
          perform(
            changeFinish(surfaceId, free, 'change blend', {
              blend: event.target.value === 'normal' ? undefined : (event.target.value as Blend),
            }),
          )
        }
      >
        <MenuItem value="normal">Normal: it covers</MenuItem>
        {BLENDS.map((blend) => (
          <MenuItem key={blend} value={blend}>
            {blendName(blend)}
          </MenuItem>
        ))}
      </TextField>
      <Typography id="opacity-label" variant="body2">
        Opacity {Math.round(opacity * 100)} %
      </Typography>
      <Slider
        size="small"
        aria-labelledby="opacity-label"
        value={Math.round(opacity * 100)}
        disabled={readOnly}
        onChange={(_, value) =>
          perform(changeFinish(surfaceId, free, 'change opacity', { opacity: (value as number) / 100 }))
        }
      />
    </Box>
  );
}

/** The published names, as words: `color-burn` is Colour burn. */
const blendName = (blend: Blend): string => {
  const words = blend.replace('-', ' ').replace('color', 'colour');
  return words.charAt(0).toUpperCase() + words.slice(1);
};
