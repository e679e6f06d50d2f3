'use client';
/** Where a sheet stands up from the page. */
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Box from '@mui/material/Box';
import { HIGHEST_CURL, NEW_CURL } from '@/core/piece/finish/lift';
import type { Piece } from '@/core/piece/piece';
import { changeLift } from '@/core/project/edits/make';
import { fail, ok } from '@/core/result';
import { CORNER_NAMES, type Curl } from '@/core/treatment/curl';
import { useSession } from '@/features/table/room/context';
import { LabelledSlider } from '@/ui/LabelledSlider';
import { LengthField } from '@/ui/LengthField';

const LIES: Record<'flat' | Curl['kind'], string> = {
  flat: 'Flat',
  corners: 'Corners up',
  ends: 'Ends up',
  middle: 'Middle up',
};

export function CurlControls({ pieces }: { pieces: readonly Piece[] }) {
  const perform = useSession((session) => session.perform);
  const surfaceId = useSession((session) => session.surfaceId);
  const readOnly = useSession((session) => session.readOnly);
  const [piece] = pieces;
  if (!piece) return null;
  const { lift } = piece.finish;
  const { curl } = lift;
  const set = (next: Curl | undefined) =>
    perform(changeLift(surfaceId, pieces, 'change curl', { curl: next }));
  const disabled = readOnly || lift.height === 0;
  return (
    <>
      <TextField
        select
        label="Lies"
        value={curl?.kind ?? 'flat'}
        disabled={disabled}
        onChange={(event) => {
          const kind = event.target.value as keyof typeof LIES;
          set(kind === 'flat' ? undefined : { ...(curl ?? NEW_CURL), kind });
        }}
      >
        {Object.entries(LIES).map(([kind, name]) => (
          <MenuItem key={kind} value={kind}>
            {name}
          </MenuItem>
        ))}
      </TextField>
      <LengthField
        label="Stands up"
        unit="mm"
        disabled={disabled || !curl}
        shown={curl ? String(curl.rise) : '0'}
        read={(text) => {
          const value = Number(text.replace(',', '.').replace('mm', ''));
          return value >= 0.5 && value <= HIGHEST_CURL ? ok(value) : fail(`From 0.5 to ${HIGHEST_CURL} mm.`);
        }}
        onCommit={(rise) => curl && set({ ...curl, rise })}
      />
      {curl?.kind === 'corners' && (
        <ToggleButtonGroup
          aria-label="Corners that stand up"
          size="small"
          disabled={disabled}
          value={CORNER_NAMES.filter((_, i) => curl.corners[i])}
          onChange={(_, chosen: readonly string[]) => {
            const corners = CORNER_NAMES.map((name) => chosen.includes(name)) as Curl['corners'];
            set(corners.some(Boolean) ? { ...curl, corners } : undefined);
          }}
          sx={{ gridColumn: '1 / -1' }}
        >
          {CORNER_NAMES.map((name, i) => (
            <ToggleButton key={name} value={name} aria-label={name} sx={{ flex: 1, py: 0.75 }}>
              <Corner at={i} />
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      )}
      {curl && curl.kind !== 'middle' && (
        <Box sx={{ gridColumn: '1 / -1', display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
          <LabelledSlider
            label={`Bends over ${Math.round(curl.reach * 100)} %`}
            min={10}
            max={100}
            step={5}
            value={Math.round(curl.reach * 100)}
            disabled={disabled}
            onChange={(value) => set({ ...curl, reach: value / 100 })}
          />
        </Box>
      )}
    </>
  );
}

/** A sheet with one corner turned up, clockwise from the top left. */
const Corner = ({ at }: { at: number }) => (
  <svg width="20" height="20" viewBox="-10 -10 20 20" aria-hidden>
    <g
      transform={`rotate(${90 * at})`}
      fill="none"
      stroke="currentColor"
      strokeWidth="1.5"
      strokeLinejoin="round"
    >
      <path d="M0 -7H7V7H-7V0Z" />
      <path d="M0 -7V0H-7" />
    </g>
  </svg>
);
