'use client';
/** What can be done with what is chosen: made, put into a folder, printed, tried out. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { canPutInto, folderChosen, type Folder } from '@/features/table/tasks/making/folder';

interface Props {
  busy: boolean;
  /** Nothing would come out. */
  none: boolean;
  /** What the chief button says. */
  makes: string;
  /** It becomes several files. */
  several: boolean;
  /** It may be printed from here. */
  printed: { print: () => void; tryOut: () => Promise<void> } | null;
  onMake: (into?: Folder) => void;
  onBack: () => void;
  onCutter: () => void;
}

export function FileActions({ busy, none, makes, several, printed, onMake, onBack, onCutter }: Props) {
  const beside = (says: string, run: () => void) => (
    <Button variant="outlined" color="inherit" disabled={busy || none} onClick={run}>
      {says}
    </Button>
  );
  return (
    <>
      <Button color="inherit" disabled={busy} onClick={onCutter}>
        To the cutter …
      </Button>
      <Box sx={{ flex: 1 }} />
      <Button color="inherit" onClick={onBack}>
        {busy ? 'Cancel' : 'Back to the table'}
      </Button>
      {printed && beside('Try it out', () => void printed.tryOut())}
      {printed && beside('Print …', printed.print)}
      {several &&
        canPutInto() &&
        beside('Into a folder …', () => void folderChosen().then((into) => into && onMake(into)))}
      <Button variant="contained" size="large" disabled={busy || none} onClick={() => onMake()}>
        {makes}
      </Button>
    </>
  );
}
