'use client';
/** What the face was treated with: embossed, enamelled, glittered, inked along its edges … one over the other. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ListItemIcon from '@mui/material/ListItemIcon';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { IconRefresh } from '@tabler/icons-react';
import { useEffect, useRef } from 'react';
import { DAYLIGHT } from '@/core/piece/finish/light';
import { lightFrom, MOST_TREATMENTS, newTreatment } from '@/core/piece/finish/treatments';
import { IDENTITY } from '@/core/geometry/matrix';
import { rectanglePath } from '@/core/geometry/path';
import type { Piece } from '@/core/piece/piece';
import { changeFinish } from '@/core/project/edits/make';
import { TREATMENT_NAMES, treatmentKind, type TreatmentName } from '@/core/treatment/kinds';
import { valueOf, type Treatment } from '@/core/treatment/paint';
import { formatLength, type Unit } from '@/core/units/lengths';
import { InkField } from '@/features/table/parts/inks/InkField';
import { measureWithin } from '@/features/table/parts/measures';
import { Layer, Stack, TakeAway } from '@/features/table/parts/Stack';
import { useSession } from '@/features/table/room/context';
import { workedBitmap } from '@/output/pixels/worked';
import { browser } from '@/output/platform';
import { Dial } from '@/ui/Dial';
import { LengthField } from '@/ui/LengthField';

export function TreatmentControls({ pieces, unit }: { pieces: readonly Piece[]; unit: Unit }) {
  const perform = useSession((session) => session.perform);
  const surfaceId = useSession((session) => session.surfaceId);
  const readOnly = useSession((session) => session.readOnly);
  const treatments = pieces[0]?.finish.treatments ?? [];
  const change = (next: readonly Treatment[]) =>
    perform(
      changeFinish(surfaceId, pieces, 'change surface', {
        treatments: next.length ? structuredClone([...next]) : undefined,
      }),
    );
  const set = (at: number, to: Partial<Treatment>) =>
    change(treatments.map((treatment, i) => (i === at ? { ...treatment, ...to } : treatment)));
  return (
    <Stack
      title="Surface"
      more={treatments.length ? 'One more' : 'Treat it'}
      full={readOnly || treatments.length >= MOST_TREATMENTS}
      onMore={() => {
        const free = TREATMENT_NAMES.find((name) => treatments.every(({ kind }) => kind !== name))!;
        change([...treatments, newTreatment(free)]);
      }}
    >
      {treatments.map((treatment, i) => {
        const kind = treatmentKind(treatment.kind);
        const fields = kind.settings.map((setting) => {
          const value = valueOf(treatment, setting.id);
          const commit = (next: number) => set(i, { values: { ...treatment.values, [setting.id]: next } });
          return setting.unit === 'length' ? (
            <LengthField
              key={setting.id}
              label={setting.name}
              unit={unit}
              disabled={readOnly}
              shown={formatLength(value, unit)}
              read={measureWithin(unit, setting.least, setting.most)}
              onCommit={commit}
            />
          ) : (
            <Dial
              key={setting.id}
              name={setting.name}
              unit="%"
              least={setting.least * 100}
              most={setting.most * 100}
              value={Math.round(value * 100)}
              disabled={readOnly}
              onChange={(next) => commit(next / 100)}
            />
          );
        });
        return (
          <Layer key={i} name={`Surface ${i + 1}`}>
            <Box sx={{ display: 'flex', gap: 0.5, gridColumn: '1 / -1' }}>
              <TextField
                select
                fullWidth
                label="Treated"
                value={treatment.kind}
                disabled={readOnly}
                onChange={(event) =>
                  change(
                    treatments.map((each, at) =>
                      at === i ? newTreatment(event.target.value as TreatmentName) : each,
                    ),
                  )
                }
                slotProps={{ select: { renderValue: () => kind.name } }}
              >
                {TREATMENT_NAMES.map((name) => (
                  <MenuItem key={name} value={name}>
                    <ListItemIcon>
                      <Swatch kind={name} />
                    </ListItemIcon>
                    {treatmentKind(name).name}
                  </MenuItem>
                ))}
              </TextField>
              <TakeAway
                name={`Surface ${i + 1}`}
                disabled={readOnly}
                onTake={() => change(treatments.filter((_, at) => at !== i))}
              />
            </Box>
            {fields}
            {kind.chance && (
              <Button
                size="small"
                color="inherit"
                disabled={readOnly}
                startIcon={<IconRefresh size={17} />}
                onClick={() => set(i, { seed: ((treatment.seed ?? 1) + 1) % 1e6 })}
              >
                Anew
              </Button>
            )}
            {kind.colour && (
              <Box sx={{ gridColumn: '1 / -1' }}>
                <InkField
                  label={`Ink of surface ${i + 1}`}
                  colour={treatment.colour ?? kind.colour}
                  disabled={readOnly}
                  onChange={(colour) => set(i, { colour })}
                />
              </Box>
            )}
          </Layer>
        );
      })}
    </Stack>
  );
}

const SWATCH = { width: 40, height: 28 };
const SWATCH_PATH = rectanglePath({ x: 1, y: 1, width: SWATCH.width - 2, height: SWATCH.height - 2 }, 4);

/** A bit of madder cardstock, treated. */
function Swatch({ kind }: { kind: TreatmentName }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const context = canvas.current!.getContext('2d')!;
    const scale = window.devicePixelRatio || 1;
    canvas.current!.width = SWATCH.width * scale;
    canvas.current!.height = SWATCH.height * scale;
    context.scale(scale, scale);
    context.fillStyle = '#9e2b45';
    context.beginPath();
    context.roundRect(1, 1, SWATCH.width - 2, SWATCH.height - 2, 4);
    context.fill();
    const bitmap = workedBitmap(
      {
        mark: 'treatment',
        path: SWATCH_PATH,
        treatment: newTreatment(kind),
        light: lightFrom(DAYLIGHT, IDENTITY),
      },
      2 * scale,
      browser,
    );
    context.drawImage(bitmap.canvas, bitmap.x, bitmap.y, bitmap.width, bitmap.height);
  }, [kind]);
  return <canvas ref={canvas} style={{ ...SWATCH, marginRight: 10 }} aria-hidden="true" />;
}
