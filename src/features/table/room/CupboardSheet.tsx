'use client';
/** The cupboard open over the table; while something is carried out of it, it stands aside so that the page is in reach. */
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import Tooltip from '@mui/material/Tooltip';
import Typography from '@mui/material/Typography';
import { IconX } from '@tabler/icons-react';
import { useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { uses } from '@/core/project/model';
import { useRoom, useSession } from '@/features/table/room/context';
import { shownProject, shownSurface } from '@/features/table/session';
import type { useLaying } from '@/features/table/room/useLaying';
import { writeCarried } from '@/features/table/parts/carry';
import { focusBack } from '@/features/table/stage/focus';
import { fetched } from '@/ui/fetched';
import { tip } from '@/features/table/tasks';

/** Fetched when the cupboard is first opened: nobody waits for it on the table. */
const Cupboard = fetched('The cupboard', () =>
  import('@/features/cupboard/Cupboard').then((m) => m.Cupboard),
);

interface Props {
  laying: ReturnType<typeof useLaying>;
  onClose: () => void;
}

export function CupboardSheet({ laying, onClose }: Props) {
  const { store } = useRoom();
  const project = useSession(shownProject);
  const ground = useSession((session) => shownSurface(session).ground);
  const selected = useSession((session) => session.selection.length === 1);
  const [kinds] = useState(() => store.getState().supplyKinds ?? undefined);
  const [carrying, setCarrying] = useState(false);
  const [onPage, setOnPage] = useState(false);
  const frame = useRef<HTMLDivElement>(null);
  /** What had the focus before gets it back. */
  const [before] = useState(() => document.activeElement as HTMLElement | null);
  const counts = useMemo(() => uses(project), [project]);
  const usedOf = useCallback((sha: string | undefined) => (sha ? (counts.get(sha) ?? 0) : 0), [counts]);

  useLayoutEffect(() => {
    // The search takes the focus as soon as it is there.
    if (!frame.current?.contains(document.activeElement)) frame.current?.focus();
  }, []);
  useEffect(() => () => focusBack(before), [before]);

  const middleOfScreen = () => ({ left: window.innerWidth / 2 - 120, top: window.innerHeight / 3 });
  return (
    <Box
      ref={frame}
      role="region"
      aria-label="Cupboard"
      tabIndex={-1}
      data-own-keys
      onKeyDown={(event) => {
        const typing = (event.target as HTMLElement).closest(
          'input, textarea, [role="dialog"], [role="menu"]',
        );
        if (event.key === 'Escape' || (event.key === 'c' && !typing && !event.ctrlKey && !event.metaKey)) {
          if (event.defaultPrevented || (typing && event.key !== 'Escape')) return;
          event.stopPropagation();
          onClose();
        }
      }}
      sx={{
        position: 'absolute',
        inset: 0,
        zIndex: 5,
        display: 'flex',
        flexDirection: 'column',
        bgcolor: 'background.paper',
        outline: 'none !important',
        boxShadow: '0 -4px 18px rgba(20,14,8,0.35)',
        opacity: carrying ? 0.08 : 1,
        pointerEvents: carrying ? 'none' : 'auto',
        transition: 'opacity 120ms',
      }}
    >
      <Box
        sx={{
          display: 'flex',
          alignItems: 'center',
          px: 2,
          height: 46,
          borderBottom: 1,
          borderColor: 'divider',
        }}
      >
        <Typography variant="h2">Cupboard</Typography>
        <Box sx={{ flex: 1 }} />
        <Box
          component="label"
          sx={{ display: 'flex', gap: 1, alignItems: 'center', mr: 2, fontSize: '0.95rem' }}
        >
          <input type="checkbox" checked={onPage} onChange={(event) => setOnPage(event.target.checked)} />
          On the page’s own ground
        </Box>
        <Tooltip title={tip('Shut the cupboard', 'C')}>
          <IconButton onClick={onClose} aria-label="Shut the cupboard" color="inherit">
            <IconX size={20} />
          </IconButton>
        </Tooltip>
      </Box>
      <Cupboard
        kinds={kinds}
        unit={project.unit}
        usedOf={usedOf}
        ground={onPage ? ground : undefined}
        onGather={(supplies) => void laying.gatherSupplies(supplies)}
        onLay={(supplies) => {
          onClose();
          void laying.laySupplies(supplies, middleOfScreen());
        }}
        onReplace={
          selected && !store.getState().readOnly
            ? (supply) => {
                onClose();
                void laying.exchangeWith(supply);
              }
            : undefined
        }
        onDragStart={(supply, event) => {
          writeCarried(event.dataTransfer, { kind: 'supply', id: supply.id });
          setTimeout(() => setCarrying(true), 60);
        }}
        onDragEnd={() => setCarrying(false)}
      />
    </Box>
  );
}
