'use client';
/** Echoes: copies behind a piece, each a step away in an ink of its own. */
import Box from '@mui/material/Box';
import { alongRun } from '@/core/color/runs';
import {
  FARTHEST_ECHO,
  MOST_ECHOES,
  SOFTEST_ECHO,
  WIDEST_ECHO_LINE,
  type Echo,
} from '@/core/piece/finish/echo';
import { isInk, colourOf } from '@/core/piece/material';
import type { Piece } from '@/core/piece/piece';
import { changeFinish } from '@/core/project/edits/make';
import { formatLength, toPoints, type Unit } from '@/core/units/lengths';
import { measureWithin } from '@/features/table/parts/measures';
import { Layer, Stack, TakeAway } from '@/features/table/parts/Stack';
import { InkField } from '@/features/table/parts/inks/InkField';
import { useSession } from '@/features/table/room/context';
import { LengthField } from '@/ui/LengthField';

/** One step down and right, at first: a twenty-fourth of an inch. */
const STEP = toPoints(1 / 24, 'in');

export function EchoControls({ pieces, unit }: { pieces: readonly Piece[]; unit: Unit }) {
  const perform = useSession((session) => session.perform);
  const surfaceId = useSession((session) => session.surfaceId);
  const readOnly = useSession((session) => session.readOnly);
  const [piece] = pieces;
  const echoes = piece?.finish.echoes ?? [];
  const change = (next: readonly Echo[]) =>
    perform(
      changeFinish(surfaceId, pieces, 'change echoes', {
        echoes: next.length ? structuredClone([...next]) : undefined,
      }),
    );
  const set = (at: number, to: Partial<Echo>) =>
    change(echoes.map((echo, i) => (i === at ? { ...echo, ...to } : echo)));
  const more = () => {
    const last = echoes.at(-1);
    const from = piece && isInk(piece.material) ? colourOf(piece.material) : '#6b6570';
    change([
      ...echoes,
      last
        ? { ...last, x: last.x + STEP, y: last.y + STEP }
        : { x: STEP, y: STEP, colour: darker(from), blur: 0, line: 0 },
    ]);
  };
  return (
    <Stack
      title="Echoes behind it"
      more="Add an echo"
      full={readOnly || echoes.length >= MOST_ECHOES}
      onMore={more}
    >
      {echoes.map((echo, i) => (
        <Layer key={i} name={`Echo ${i + 1}`}>
          <LengthField
            label={`Echo ${i + 1}, right`}
            unit={unit}
            disabled={readOnly}
            shown={formatLength(echo.x, unit)}
            read={measureWithin(unit, -FARTHEST_ECHO, FARTHEST_ECHO)}
            onCommit={(x) => set(i, { x })}
          />
          <Box sx={{ display: 'flex', gap: 0.5 }}>
            <LengthField
              label="Down"
              unit={unit}
              disabled={readOnly}
              shown={formatLength(echo.y, unit)}
              read={measureWithin(unit, -FARTHEST_ECHO, FARTHEST_ECHO)}
              onCommit={(y) => set(i, { y })}
            />
            <TakeAway
              name={`Echo ${i + 1}`}
              disabled={readOnly}
              onTake={() => change(echoes.filter((_, at) => at !== i))}
            />
          </Box>
          <Box sx={{ gridColumn: '1 / -1' }}>
            <InkField
              label={`Ink of echo ${i + 1}`}
              colour={echo.colour}
              disabled={readOnly}
              onChange={(colour) => set(i, { colour })}
            />
          </Box>
          <LengthField
            label="Softness"
            unit={unit}
            disabled={readOnly || echo.line > 0}
            shown={formatLength(echo.blur, unit)}
            read={measureWithin(unit, 0, SOFTEST_ECHO)}
            onCommit={(blur) => set(i, { blur })}
          />
          <LengthField
            label="Outline only, wide"
            unit={unit}
            disabled={readOnly}
            shown={formatLength(echo.line, unit)}
            read={measureWithin(unit, 0, WIDEST_ECHO_LINE)}
            onCommit={(line) => set(i, { line })}
          />
        </Layer>
      ))}
    </Stack>
  );
}

/** The same hue, some way to black. */
const darker = (colour: string): string => alongRun([colour, '#000000'], 0.4);
