'use client';
/** What a person must know of the whole project while it lies on the table: where it is kept, and where it is not. */
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { onlySeen } from '@/core/product';
import { useRoom, useSession } from '@/features/table/room/context';
import { inWords } from '@/storage/trouble';
import { useNotify } from '@/ui/notices';

export function RoomAlerts({ onSaveFile }: { onSaveFile: () => void }) {
  const { store, keeper } = useRoom();
  const notify = useNotify();
  const readOnly = useSession((session) => session.readOnly);
  const why = useSession(({ history }) => onlySeen(history.project));
  const trouble = useSession((session) => session.trouble);
  const deleted = useSession((session) => session.deleted);
  const mended = useSession((session) => session.mended);
  const putBack = () =>
    void keeper
      ?.putBack()
      .catch((error) => notify({ text: inWords(error, 'It was not put back'), tone: 'error' }));
  return (
    <>
      {readOnly && (
        <Alert severity="info" square>
          {why ??
            'This project is open in another tab. Here it can only be looked at; close the other tab to go on here.'}
        </Alert>
      )}
      {deleted && keeper && (
        <Alert
          severity="warning"
          square
          sx={{ alignItems: 'center' }}
          action={
            <Button color="inherit" onClick={putBack}>
              Put it back
            </Button>
          }
        >
          {deleted === 'lately'
            ? 'This project was deleted elsewhere. What you do here is still kept with it, and all of it is thrown away seven days after it was deleted.'
            : 'This project was deleted elsewhere, with all that was kept of it. It lies on this table alone: nothing you do is kept until you put it back.'}
        </Alert>
      )}
      {trouble && (
        <Alert
          severity="error"
          square
          sx={{ alignItems: 'center' }}
          action={
            <Button color="inherit" onClick={onSaveFile}>
              Save as a file
            </Button>
          }
        >
          {trouble}
        </Alert>
      )}
      {mended.length > 0 && (
        <Alert
          severity="warning"
          square
          onClose={() => store.getState().closeMended()}
          sx={{ maxHeight: 160, overflowY: 'auto', whiteSpace: 'pre-line' }}
        >
          {[
            'Not all of this project could be read as it was written. What it was before is laid by in this browser; steps from before cannot be undone any more.',
            ...mended.slice(0, 20),
            ...(mended.length > 20 ? [`… and ${mended.length - 20} more.`] : []),
          ].join('\n')}
        </Alert>
      )}
    </>
  );
}
