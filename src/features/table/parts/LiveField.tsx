/** Words of a piece in the panel, as they are by now: the panel itself follows what is written when there is time. */
import TextField from '@mui/material/TextField';
import type { Piece } from '@/core/piece/piece';
import { useSession } from '@/features/table/room/context';
import { settledPieces } from '@/features/table/session';

interface Props {
  piece: Piece;
  label: string;
  text: (piece: Piece) => string;
  disabled: boolean;
  /** Most letters it takes. */
  longest?: number;
  /** Rows it grows to; one line without. */
  rows?: number;
  /** In which it is spelled. */
  language?: string;
  onChange: (text: string) => void;
}

export function LiveField({ piece, label, text, disabled, longest, rows, language, onChange }: Props) {
  const now = useSession((session) => {
    const [live] = settledPieces(session, [piece.id]);
    return text(live ?? piece);
  });
  return (
    <TextField
      label={label}
      multiline={rows !== undefined}
      maxRows={rows}
      value={now}
      disabled={disabled}
      onChange={(event) => onChange(event.target.value)}
      slotProps={{
        htmlInput: { maxLength: longest, lang: language, spellCheck: rows !== undefined },
        inputLabel: { shrink: rows === undefined || undefined },
      }}
      sx={rows === undefined ? undefined : { gridColumn: '1 / -1' }}
    />
  );
}
