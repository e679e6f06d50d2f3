'use client';

import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { Result } from '@/core/result';

interface Props {
  label: string;
  /** What is shown while nobody types. */
  shown: string;
  /** Reads what was typed; a refusal is shown under the field and changes nothing. */
  read: (text: string) => Result<number>;
  onCommit: (value: number) => void;
  unit?: string;
  disabled?: boolean;
}

/** A number field that takes what people write, on Enter or on leaving; Escape goes back. */
export function LengthField({ label, shown, read, onCommit, unit, disabled }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const commit = () => {
    if (typed === null || typed.trim() === shown) return clear();
    const answer = read(typed);
    if (!answer.ok) return setProblem(answer.message);
    onCommit(answer.value);
    clear();
  };
  const clear = () => {
    setTyped(null);
    setProblem(null);
  };
  return (
    <TextField
      label={label}
      value={typed ?? shown}
      disabled={disabled}
      error={problem !== null}
      helperText={problem}
      onFocus={(event) => event.target.select()}
      onChange={(event) => {
        setTyped(event.target.value);
        setProblem(null);
      }}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') commit();
        if (event.key === 'Escape') clear();
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
