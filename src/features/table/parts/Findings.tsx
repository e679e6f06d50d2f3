'use client';
/** What the checks before printing found, a line each: where it lies, and one press from its cure. */
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { IconAlertTriangle, IconCircleCheck, IconInfoCircle } from '@tabler/icons-react';
import { memo, useCallback } from 'react';
import type { Finding } from '@/core/proof/check';
import { layCaption } from '@/features/table/acts';
import type { Findings as Checked, Found } from '@/features/table/parts/checks';
import { useRoom } from '@/features/table/room/context';
import type { SessionStore } from '@/features/table/session';

/** What is pressed to do something about a finding. */
const CURES: Record<Finding['cure'], { says: string; run(store: SessionStore, finding: Finding): void }> = {
  show: { says: 'Show', run: (store, { piece }) => store.getState().select(piece ? [piece.id] : []) },
  caption: { says: 'Set it', run: layCaption },
};

/** Tells findings apart in a list. */
export const keyOf = ({ check, at, piece, says }: Found): string =>
  `${check} ${at.id} ${piece?.id ?? ''} ${says}`;

interface Props {
  found: readonly Found[];
  clear: readonly string[];
  state: Checked['state'];
  /** Each is told with the side it is on. */
  several: boolean;
  disabled?: boolean;
  /** What was found is shown on the table. */
  onShown: () => void;
  /** Pressed itself, a finding is shown where it lies. */
  onPlace?: (finding: Found) => void;
  /** The one whose place is shown. */
  placed?: string | null;
}

export function Findings({
  found,
  clear,
  state,
  several,
  disabled = false,
  onShown,
  onPlace,
  placed,
}: Props) {
  const { store } = useRoom();
  const cure = useCallback(
    (finding: Found) => {
      const session = store.getState();
      if (finding.at.id !== session.surfaceId) session.turnTo(finding.at.id);
      CURES[finding.cure].run(store, finding);
      if (finding.cure === 'show') onShown();
    },
    [store, onShown],
  );
  return (
    <>
      {state === 'looking' && (
        <Typography variant="body2" color="text.secondary">
          Looking everything over …
        </Typography>
      )}
      {state === 'failed' && (
        <Alert severity="warning">
          The checks did not run: a part of the program could not be fetched, or there is too little memory.
          Close this and open it again.
        </Alert>
      )}
      {clear.map((says) => (
        <Box key={says} sx={{ display: 'flex', gap: 1, color: 'success.main' }}>
          <IconCircleCheck size={20} style={{ flexShrink: 0 }} />
          <Typography variant="body2">{says}</Typography>
        </Box>
      ))}
      {found.length > 0 && (
        <Box
          component="ul"
          sx={{ m: 0, p: 0, listStyle: 'none', display: 'flex', flexDirection: 'column', gap: 1 }}
        >
          {found.map((finding) => (
            <FindingRow
              key={keyOf(finding)}
              finding={finding}
              several={several}
              disabled={disabled}
              placed={placed === keyOf(finding)}
              onPlace={onPlace}
              onCure={cure}
            />
          ))}
        </Box>
      )}
    </>
  );
}

interface FindingRowProps {
  finding: Found;
  several: boolean;
  disabled: boolean;
  placed: boolean;
  onPlace: ((finding: Found) => void) | undefined;
  onCure: (finding: Found) => void;
}

/** As pages are turned most rows stay as they are. */
const FindingRow = memo(function FindingRow({
  finding,
  several,
  disabled,
  placed,
  onPlace,
  onCure,
}: FindingRowProps) {
  const { name, warns, says, cure, at } = finding;
  const told = (
    <Box sx={{ flex: 1, minWidth: 0, px: 0.5 }}>
      <Typography variant="body2" sx={{ fontWeight: 600 }}>
        {warns ? 'Warning: ' : ''}
        {several && `${at.name}: `}
        {name}
      </Typography>
      <Typography variant="body2">{says}</Typography>
    </Box>
  );
  return (
    <Box component="li" sx={{ display: 'flex', gap: 1, alignItems: 'flex-start' }}>
      <Box sx={{ color: warns ? 'warning.main' : 'text.secondary', pt: 0.25 }}>
        {warns ? <IconAlertTriangle size={20} /> : <IconInfoCircle size={20} />}
      </Box>
      {onPlace && finding.piece ? (
        <ButtonBase
          aria-pressed={placed}
          onClick={() => onPlace(finding)}
          sx={{
            ...{ flex: 1, minWidth: 0, textAlign: 'left', font: 'inherit', borderRadius: 1 },
            bgcolor: placed ? 'action.selected' : undefined,
          }}
        >
          {told}
        </ButtonBase>
      ) : (
        told
      )}
      <Button size="small" onClick={() => onCure(finding)} disabled={disabled}>
        {CURES[cure].says}
      </Button>
    </Box>
  );
});
