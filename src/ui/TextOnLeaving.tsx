'use client';

import TextField from '@mui/material/TextField';
import { useTyped } from '@/ui/useTyped';

interface Props {
  label: string;
  value: string;
  longest: number;
  hint?: string;
  lines?: boolean;
  disabled?: boolean;
  /** It was asked for: writing goes on in it. */
  begun?: boolean;
  /** Hears what was typed, trimmed, if it is something else than before. */
  onCommit: (text: string) => void;
}

/** A field for words that takes what was typed on leaving it, or on Enter where it is one line. */
export function TextOnLeaving({ label, value, longest, hint, lines, disabled, begun, onCommit }: Props) {
  const { typed, type, commit } = useTyped((text) => {
    if (text.trim() !== value) onCommit(text.trim());
  });
  return (
    <TextField
      size="small"
      label={label}
      value={typed ?? value}
      placeholder={hint}
      multiline={lines}
      maxRows={8}
      autoFocus={begun}
      disabled={disabled}
      onChange={(event) => type(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => event.key === 'Enter' && !lines && commit()}
      slotProps={{ htmlInput: { maxLength: longest }, inputLabel: hint ? { shrink: true } : {} }}
    />
  );
}
