'use client';
/** Which pages are made, and what their files are called. */
import Box from '@mui/material/Box';
import { ok, type Result } from '@/core/result';
import { ALL_PAGES, pagesWanted } from '@/features/table/tasks/making/names';
import { LengthField } from '@/ui/LengthField';

interface Props {
  pages: string;
  /** How many there are. */
  count: number;
  /** Null where they come in one file. */
  pattern: string | null;
  /** What a pattern makes of them. */
  named: (pattern: string) => Result<string[]>;
  disabled: boolean;
  onPages: (pages: string) => void;
  onPattern: (pattern: string) => void;
}

export function PagesAndNames({ pages, count, pattern, named, disabled, onPages, onPattern }: Props) {
  const typed = (text: string, read: Result<unknown>, empty = text.trim()): Result<string> =>
    read.ok ? ok(text.trim() || empty) : read;
  return (
    <Box
      sx={{ display: 'grid', gridTemplateColumns: pattern === null ? '1fr' : '1fr 1.4fr', gap: 1.5, mb: 1.5 }}
    >
      <LengthField
        label="Pages"
        disabled={disabled}
        shown={pages}
        read={(text) => typed(text, pagesWanted(text, count), ALL_PAGES)}
        onCommit={onPages}
      />
      {pattern !== null && (
        <LengthField
          label="Their files are called"
          disabled={disabled}
          shown={pattern}
          read={(text) => typed(text, named(text.trim()))}
          onCommit={onPattern}
        />
      )}
    </Box>
  );
}
