'use client';
/** Names of one's own for months and weekdays. */
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { monthNames, weekdayNames } from '@/core/dates/names';
import { LONGEST_NAME, type MonthMaterial } from '@/core/piece/material/month/model';
import type { Piece } from '@/core/piece/piece';
import * as act from '@/features/table/acts';
import { useRoom } from '@/features/table/room/context';
import { Turned } from '@/ui/Turned';

interface Props {
  piece: Piece;
  material: MonthMaterial;
  disabled: boolean;
}

export function MonthWording({ piece, material, disabled }: Props) {
  const { store } = useRoom();
  const { wording, language, headLength, perpetual } = material;
  const called = {
    months: wording?.months ?? [...monthNames(language)],
    weekdays: wording?.weekdays ?? [...weekdayNames(language, headLength === 'none' ? 'short' : headLength)],
  };
  const set = (to: MonthMaterial['wording']) => act.changeMonth(store, piece.id, { wording: to });
  return (
    <Box sx={{ gridColumn: '1 / -1', display: 'grid', gap: 1 }}>
      <Turned
        label="Names of one's own"
        on={wording !== undefined}
        disabled={disabled}
        onTurn={(on) => set(on ? called : undefined)}
      />
      {wording && (
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.25 }}>
          <Names
            label="Months, a line each"
            names={called.months}
            disabled={disabled}
            onNames={(months) => set({ ...called, months })}
          />
          {!perpetual && (
            <Names
              label="Weekdays, a line each"
              names={called.weekdays}
              disabled={disabled}
              onNames={(weekdays) => set({ ...called, weekdays })}
            />
          )}
        </Box>
      )}
    </Box>
  );
}

interface NamesProps {
  label: string;
  names: readonly string[];
  disabled: boolean;
  onNames: (names: string[]) => void;
}

/** Kept when one leaves the field, if they are as many as there must be. */
function Names({ label, names, disabled, onNames }: NamesProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const lines = (typed ?? names.join('\n')).split('\n').map((line) => line.trim());
  const full = lines.filter(Boolean);
  const long = full.find((name) => name.length > LONGEST_NAME);
  const why =
    full.length !== names.length
      ? `${full.length} of ${names.length}`
      : long
        ? `“${long.slice(0, 12)}…” is longer than ${LONGEST_NAME} letters`
        : null;
  return (
    <TextField
      multiline
      label={label}
      value={typed ?? names.join('\n')}
      disabled={disabled}
      error={why !== null}
      helperText={why}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={() => {
        if (typed === null || why) return;
        setTyped(null);
        if (full.join('\n') !== names.join('\n')) onNames(full);
      }}
      slotProps={{ htmlInput: { spellCheck: false } }}
    />
  );
}
