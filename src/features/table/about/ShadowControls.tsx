'use client';
/** More shadows beside the page light's: each is dragged on the page by its handle, or set here. */
import Box from '@mui/material/Box';
import Slider from '@mui/material/Slider';
import Typography from '@mui/material/Typography';
import {
  FARTHEST_SHADOW,
  MOST_SHADOWS,
  NEW_SHADOW,
  SOFTEST_SHADOW,
  type OwnShadow,
} from '@/core/piece/finish/shadow';
import type { Piece } from '@/core/piece/piece';
import { changeFinish } from '@/core/project/edits/make';
import { formatLength, type Unit } from '@/core/units/lengths';
import { measureWithin } from '@/features/table/parts/measures';
import { Layer, Stack, TakeAway } from '@/features/table/parts/Stack';
import { useSession } from '@/features/table/room/context';
import { LengthField } from '@/ui/LengthField';

export function ShadowControls({ pieces, unit }: { pieces: readonly Piece[]; unit: Unit }) {
  const perform = useSession((session) => session.perform);
  const surfaceId = useSession((session) => session.surfaceId);
  const readOnly = useSession((session) => session.readOnly);
  const shadows = pieces[0]?.finish.shadows ?? [];
  const change = (label: string, next: readonly OwnShadow[]) =>
    perform(
      changeFinish(surfaceId, pieces, label, {
        shadows: next.length ? structuredClone([...next]) : undefined,
      }),
    );
  const set = (at: number, to: Partial<OwnShadow>) =>
    change(
      'change shadows',
      shadows.map((shadow, i) => (i === at ? { ...shadow, ...to } : shadow)),
    );
  return (
    <Stack
      title="More shadows"
      more="Add a shadow"
      full={readOnly || shadows.length >= MOST_SHADOWS}
      onMore={() =>
        // A second one falls the other way: the piece then looks lifted.
        change('change shadows', [
          ...shadows,
          { ...NEW_SHADOW, x: shadows.length % 2 ? -NEW_SHADOW.x : NEW_SHADOW.x },
        ])
      }
    >
      {shadows.map((shadow, i) => (
        <Layer key={i} name={`Shadow ${i + 1}`}>
          <LengthField
            label={`Shadow ${i + 1}, right`}
            unit={unit}
            disabled={readOnly}
            shown={formatLength(shadow.x, unit)}
            read={measureWithin(unit, -FARTHEST_SHADOW, FARTHEST_SHADOW)}
            onCommit={(x) => set(i, { x })}
          />
          <Box sx={{ display: 'flex', gap: 0.5 }}>
            <LengthField
              label="Down"
              unit={unit}
              disabled={readOnly}
              shown={formatLength(shadow.y, unit)}
              read={measureWithin(unit, -FARTHEST_SHADOW, FARTHEST_SHADOW)}
              onCommit={(y) => set(i, { y })}
            />
            <TakeAway
              name={`Shadow ${i + 1}`}
              disabled={readOnly}
              onTake={() =>
                change(
                  'change shadows',
                  shadows.filter((_, at) => at !== i),
                )
              }
            />
          </Box>
          <LengthField
            label="Softness"
            unit={unit}
            disabled={readOnly}
            shown={formatLength(shadow.blur, unit)}
            read={measureWithin(unit, 0, SOFTEST_SHADOW)}
            onCommit={(blur) => set(i, { blur })}
          />
          <Box sx={{ px: 1 }}>
            <Typography variant="caption" id={`dark-${i}`}>
              Darkness {Math.round(shadow.strength * 100)} %
            </Typography>
            <Slider
              size="small"
              aria-labelledby={`dark-${i}`}
              value={Math.round(shadow.strength * 100)}
              disabled={readOnly}
              onChange={(_, value) => set(i, { strength: (value as number) / 100 })}
            />
          </Box>
        </Layer>
      ))}
    </Stack>
  );
}
