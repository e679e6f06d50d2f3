'use client';
/** What the checks before printing found, a line each: where it lies, and one press from its cure. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { IconAlertTriangle, IconCircleCheck, IconInfoCircle } from '@tabler/icons-react';
import { memo, useCallback, useMemo } from 'react';
import { surfaceOf, type Project, type Surface } from '@/core/project/model';
import { checked } from '@/core/proof';
import type { Finding } from '@/core/proof/check';
import type { Typesetter } from '@/core/text/typesetter';
import { layCaption } from '@/features/table/acts';
import { useRoom } from '@/features/table/room/context';
import type { SessionStore } from '@/features/table/session';

export interface Found extends Finding {
  check: string;
  at: Surface;
}

/** Checks of sides that did not change find what they found. */
const known = new WeakMap<
  Surface,
  { project: Project; typesetter: Typesetter; says: ReturnType<typeof checked> }
>();
function checkedOnce(project: Project, at: Surface, typesetter: Typesetter) {
  const last = known.get(at);
  if (last?.project === project && last.typesetter === typesetter) return last.says;
  const says = checked(project, at, typesetter);
  known.set(at, { project, typesetter, says });
  return says;
}

/** What the checks found on sides, and what was clear on all of them. */
export function useFindings(
  project: Project,
  taken: readonly { surface: Pick<Surface, 'id'> }[],
  typesetter: Typesetter,
): { found: Found[]; clear: string[] } {
  const ids = [...new Set(taken.map(({ surface }) => surface.id))].join(' ');
  return useMemo(() => {
    const each = ids.split(' ').map((id) => {
      const at = surfaceOf(project, id);
      return { at, ...checkedOnce(project, at, typesetter) };
    });
    return {
      found: each.flatMap(({ at, found }) => found.map((finding) => ({ ...finding, at }))),
      clear: each[0]!.clear.filter((says) => each.every(({ clear }) => clear.includes(says))),
    };
  }, [project, ids, typesetter]);
}

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

export function Findings({ found, clear, several, disabled = false, onShown, onPlace, placed }: Props) {
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
