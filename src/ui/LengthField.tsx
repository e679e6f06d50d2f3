'use client';

import TextField from '@mui/material/TextField';
import type { Result } from '@/core/result';
import { useTyped } from '@/ui/useTyped';

interface Props<T> {
  label: string;
  /** What is shown while nobody types. */
  shown: string;
  /** Reads what was typed; a refusal is shown under the field and changes nothing. */
  read: (text: string) => Result<T>;
  onCommit: (value: T) => void;
  unit?: string;
  disabled?: boolean;
}

/** A field, of a number or of anything else, that takes what people write, on Enter or on leaving; Escape goes back. */
export function LengthField<T = number>({ label, shown, read, onCommit, unit, disabled }: Props<T>) {
  const { typed, problem, type, commit, back } = useTyped((text) => {
    if (text.trim() === shown) return null;
    const answer = read(text);
    if (!answer.ok) return answer.message;
    onCommit(answer.value);
    return null;
  });
  return (
    <TextField
      label={label}
      value={typed ?? shown}
      disabled={disabled}
      error={problem !== null}
      helperText={problem}
      onFocus={(event) => event.target.select()}
      onChange={(event) => type(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') commit();
        if (event.key === 'Escape') back();
      }}
      slotProps={{
        input: {
          endAdornment: unit ? <span style={{ opacity: 0.7, fontSize: 14 }}>{unit}</span> : undefined,
          sx: { pr: 1 },
        },
        inputLabel: { shrink: true },
        htmlInput: { inputMode: 'text', autoComplete: 'off' },
      }}
      sx={{ minWidth: 0 }}
    />
  );
}
