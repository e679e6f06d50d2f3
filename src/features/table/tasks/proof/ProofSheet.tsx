'use client';
/** Every page as it will be printed, before it is paid for: leafed through, in the press's colours, with what the checks found. */
import Badge from '@mui/material/Badge';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { IconChevronLeft, IconChevronRight } from '@tabler/icons-react';
import { memo, useCallback, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { conditionsFor } from '@/core/press/conditions';
import { boundOn, hangs, heldOf } from '@/core/product';
import type { Project, Surface } from '@/core/project/model';
import { lookedOver } from '@/core/proof/look-over';
import { formatSize } from '@/core/units/lengths';
import { useFindings, type Found } from '@/features/table/parts/checks';
import { Findings, keyOf } from '@/features/table/parts/Findings';
import { NearPicture } from '@/features/table/parts/NearPicture';
import { WideSheet } from '@/features/table/parts/WideSheet';
import { useRoom, useSession } from '@/features/table/room/context';
import { HowProofed } from '@/features/table/tasks/proof/HowProofed';
import { LookOver } from '@/features/table/tasks/proof/LookOver';
import { WALL } from '@/features/table/tasks/proof/OnWall';
import { ProofPage, SEEN, useRoomIn, type Seen } from '@/features/table/tasks/proof/ProofPage';
import { FIRST_SETTINGS, readProofSettings } from '@/features/table/tasks/proof/settings';
import { usePagePixels } from '@/features/table/tasks/proof/usePagePixels';
import { usePixelChecks } from '@/features/table/tasks/proof/usePixelChecks';
import { usePress } from '@/features/table/tasks/proof/usePress';
import { usePressRoom } from '@/features/table/tasks/proof/usePressRoom';
import { Chosen } from '@/ui/Chosen';
import { useKept } from '@/ui/useKept';
import { OneOf } from '@/ui/OneOf';

/** Around the page, CSS pixels; the curtain's slider takes more below it. */
const [AROUND, ASIDE, BELOW] = [24, 58, 52];
/** Small pictures at the side. */
const SMALL = 92;

export function ProofSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const project = useSession((session) => session.history.project);
  const typesetter = useSession((session) => session.typesetter);
  const [settings, change] = useKept('bellagraph proof', FIRST_SETTINGS, readProofSettings);
  const [id, setId] = useState(() => store.getState().surfaceId);
  const [curtain, setCurtain] = useState(0);
  const [seen, setSeen] = useState<Seen>('plain');
  const [place, setPlace] = useState<string | null>(null);
  const [aim, setAim] = useState<'checks' | 'over'>('checks');
  const [measure, setMeasure] = useState<string | null>(null);
  const { surfaces } = project;
  const at = Math.max(
    0,
    surfaces.findIndex((surface) => surface.id === id),
  );
  const surface = surfaces[at]!;
  const beside = useMemo(
    () => [surfaces[at + 1], surfaces[at - 1]].flatMap((one) => one ?? []),
    [surfaces, at],
  );
  const [desk, setDesk] = useState<HTMLElement | null>(null);
  const room = useRoomIn(desk);
  const aside = surfaces.length > 1 ? ASIDE : AROUND;
  const { away } = SEEN[seen];
  const { zoomOf, sideOf } = useFit(room, aside, settings.trueSize, away);
  const zoom = zoomOf(surface);
  const pixels = usePagePixels(project, surface, sideOf, beside);
  const conditions = useMemo(() => conditionsFor(project.profiles), [project.profiles]);
  const on = conditions.find((one) => one.id === settings.condition) ?? null;
  const askPress = usePressRoom();
  const { printed, problem } = usePress(askPress, pixels, on, settings);
  const all = useMemo(() => surfaces.map((each) => ({ surface: each })), [surfaces]);
  const measured = useMemo(
    () => (aim === 'over' && pixels ? lookedOver(project, surface.id, pixels, typesetter) : null),
    [aim, pixels, project, surface.id, typesetter],
  );
  const { found: checked, clear, state } = useFindings(project, all);
  const looks = usePixelChecks(project, askPress, on, settings);
  const found = useMemo(() => [...checked, ...looks.found], [checked, looks.found]);
  const sorted = useSorted(found, surface.id);
  const placed = found.find((one) => keyOf(one) === place && one.at.id === surface.id);
  const turnTo = useCallback((next: string) => {
    setId(next);
    setPlace(null);
  }, []);
  const turn = (by: number) => {
    const next = surfaces[at + by];
    if (next) turnTo(next.id);
  };
  const showPlace = useCallback((finding: Found) => {
    setPlace((now) => (now === keyOf(finding) ? null : keyOf(finding)));
    setId(finding.at.id);
  }, []);
  const count = surfaces.length;
  return (
    <WideSheet
      title="Proof"
      tools={
        <Box sx={{ minWidth: 280, pt: 1.5, pb: 1, display: 'grid' }}>
          <Chosen
            label="Looked at"
            value={seen}
            all={(Object.keys(SEEN) as Seen[])
              .filter((each) => each !== 'wall' || hangs(project.product))
              .map((each) => [each, SEEN[each].name] as const)}
            disabled={false}
            onChoose={setSeen}
          />
        </Box>
      }
      columns={`${count > 1 ? '132px ' : ''}minmax(0, 1fr) 330px`}
      actions={
        <Actions
          {...{ surface, onClose }}
          of={count > 1 ? `, ${at + 1} of ${count}` : ''}
          trueSize={settings.trueSize}
          onTrueSize={(trueSize) => change({ trueSize })}
        />
      }
      onClose={onClose}
    >
      {count > 1 && <Pages {...{ at, found, onTurn: turnTo }} />}
      <Box
        sx={{ position: 'relative', minWidth: 0, minHeight: 0, bgcolor: 'table.main' }}
        style={seen === 'wall' ? { background: WALL } : undefined}
      >
        <Box
          ref={setDesk}
          tabIndex={0}
          role="region"
          aria-label="The page; arrow keys turn to the next"
          onKeyDown={(event) => {
            if (event.target !== event.currentTarget) return;
            const by = { ArrowRight: 1, PageDown: 1, ArrowLeft: -1, PageUp: -1 }[event.key];
            if (by) turn(by);
          }}
          sx={{
            ...{ position: 'absolute', inset: 0, overflow: settings.trueSize ? 'auto' : 'hidden' },
            ...{ display: 'flex', p: `${AROUND}px`, pb: '4px' },
          }}
        >
          {zoom > 0 && (
            <ProofPage
              {...{ surface, zoom, pixels, printed, curtain, onCurtain: setCurtain, seen }}
              hung={seen === 'wall' ? { bound: boundOn(project, surface), leaves: count - 1 - at } : null}
              placed={(aim === 'checks' && placed?.piece) || null}
              shows={measured?.find(({ id }) => id === measure)?.shows ?? null}
            />
          )}
        </Box>
        {count > 1 && <Turn name="The page before" side="left" off={at === 0} onTurn={() => turn(-1)} />}
        {count > 1 && (
          <Turn name="The next page" side="right" off={at === count - 1} onTurn={() => turn(1)} />
        )}
      </Box>
      <Box
        component="aside"
        aria-label="How it is printed, and what the checks found"
        sx={{ overflowY: 'auto', p: 2, display: 'flex', flexDirection: 'column', gap: 1.5 }}
      >
        <HowProofed {...{ settings, conditions, on, printed, problem, onChange: change }} />
        <OneOf
          label="What is told"
          value={aim}
          all={[
            ['checks', 'Checks'],
            ['over', 'From a step back'],
          ]}
          wide
          onChoose={(next: 'checks' | 'over') => setAim(next)}
        />
        {aim === 'over' ? (
          <LookOver measured={measured} shown={measure} onShow={setMeasure} />
        ) : (
          <>
            <StillLooking at={looks.looked} of={count} thick={on !== null} />
            <Listed
              {...{ found: sorted, clear, state, several: count > 1, onShown: onClose, onPlace: showPlace }}
              placed={place}
            />
          </>
        )}
      </Box>
    </WideSheet>
  );
}

/** How far the checks that look at pixels have come. */
const StillLooking = ({ at, of, thick }: { at: number; of: number; thick: boolean }) =>
  at < of && (
    <Typography variant="body2" color="text.secondary">
      Looking at how words stand off{thick ? ' and where ink lies thick' : ''}, page {at + 1} of {of} …
    </Typography>
  );

/** What is on the page that is shown comes first, and warnings before the rest; the page itself is not kept waiting for that. */
function useSorted(found: readonly Found[], shown: string): Found[] {
  const first = useDeferredValue(shown);
  return useMemo(() => {
    const late = ({ at, warns }: Found): number => (at.id === first ? 0 : 2) + (warns ? 0 : 1);
    return found.toSorted((one, other) => late(one) - late(other));
  }, [found, first]);
}

/** How large a page is shown, CSS pixels a point, and how many pixels of it are asked for at its longer side. */
function useFit(room: ReturnType<typeof useRoomIn>, aside: number, trueSize: boolean, away: number) {
  const trueZoom = useSession((session) => session.trueZoom);
  const zoomOf = useCallback(
    ({ width, height }: Surface): number => {
      const fits = Math.min((room.width - 2 * aside) / width, (room.height - 2 * AROUND - BELOW) / height);
      return (trueSize ? trueZoom : Math.max(0, fits)) / away;
    },
    [room, aside, trueSize, trueZoom, away],
  );
  const sideOf = useCallback(
    (of: Surface): number =>
      room.width
        ? Math.round(Math.max(of.width, of.height) * zoomOf(of) * (globalThis.devicePixelRatio || 1))
        : 0,
    [room.width, zoomOf],
  );
  return { zoomOf, sideOf };
}

interface ActionsProps {
  surface: Surface;
  /** Which of how many it is; empty of one alone. */
  of: string;
  trueSize: boolean;
  onTrueSize: (wanted: boolean) => void;
  onClose: () => void;
}

/** How large it is once trimmed, how large it is shown, and where one goes from here. */
function Actions({ surface, of, trueSize, onTrueSize, onClose }: ActionsProps) {
  const { store } = useRoom();
  const project = useSession((session) => session.history.project);
  const { unit } = project;
  return (
    <>
      <Typography role="status" variant="body2" sx={{ flex: 1 }}>
        {surface.name}
        {of}: {formatSize(surface, unit)} once it is trimmed
      </Typography>
      <OneOf
        label="How large"
        value={trueSize ? 'true' : 'whole'}
        all={[
          ['whole', 'Whole'],
          ['true', 'True size'],
        ]}
        onChoose={(next: string) => onTrueSize(next === 'true')}
      />
      {heldOf(project) && (
        <Button
          color="inherit"
          onClick={() => {
            onClose();
            store.getState().openSheet('held');
          }}
        >
          In the hand …
        </Button>
      )}
      <Button color="inherit" onClick={onClose}>
        Back to the table
      </Button>
      <Button
        variant="contained"
        onClick={() => {
          onClose();
          // What is made is what was looked at.
          if (surface.id !== store.getState().surfaceId) store.getState().turnTo(surface.id);
          store.getState().askMake('page');
        }}
      >
        Make …
      </Button>
    </>
  );
}

interface PagesProps {
  at: number;
  found: readonly Found[];
  onTurn: (id: string) => void;
}

/** All pages small, with how many warnings each has. */
function Pages({ at, found, onTurn }: PagesProps) {
  const project = useSession((session) => session.history.project);
  const list = useRef<HTMLUListElement>(null);
  useEffect(() => {
    // Once the page is shown: where things lie is found anew for it.
    const timer = setTimeout(() => list.current?.children[at]?.scrollIntoView({ block: 'nearest' }), 50);
    return () => clearTimeout(timer);
  }, [at]);
  return (
    <Box
      component="ul"
      ref={list}
      aria-label="Pages"
      sx={{ m: 0, p: 1, listStyle: 'none', overflowY: 'auto', borderRight: 1, borderColor: 'divider' }}
    >
      {project.surfaces.map((surface, i) => (
        <SmallPage
          key={surface.id}
          {...{ project, surface, onTurn }}
          shown={i === at}
          warnings={found.filter(({ warns, at: on }) => warns && on.id === surface.id).length}
        />
      ))}
    </Box>
  );
}

interface SmallPageProps {
  project: Project;
  surface: Surface;
  shown: boolean;
  warnings: number;
  onTurn: (id: string) => void;
}

/** Drawn anew only where something in it changed. */
const Listed = memo(Findings);

const SmallPage = memo(function SmallPage({ project, surface, shown, warnings, onTurn }: SmallPageProps) {
  const says = warnings ? `, ${warnings === 1 ? 'one warning' : `${warnings} warnings`}` : '';
  return (
    <li>
      <ButtonBase
        aria-label={`${surface.name}${says}`}
        aria-current={shown ? 'page' : undefined}
        onClick={() => onTurn(surface.id)}
        sx={{
          ...{ display: 'flex', flexDirection: 'column', gap: 0.5, p: 0.75, width: '100%' },
          ...{ borderRadius: 1, font: 'inherit', fontSize: '0.875rem' },
          bgcolor: shown ? 'action.selected' : undefined,
        }}
      >
        <Badge badgeContent={warnings} color="warning" invisible={!warnings}>
          <Box sx={{ boxShadow: 1 }}>
            <NearPicture project={project} surface={surface} side={SMALL} />
          </Box>
        </Badge>
        <Box
          component="span"
          sx={{ maxWidth: '100%', overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}
        >
          {surface.name}
        </Box>
      </ButtonBase>
    </li>
  );
});

interface TurnProps {
  name: string;
  side: 'left' | 'right';
  off: boolean;
  onTurn: () => void;
}

const Turn = ({ name, side, off, onTurn }: TurnProps) => (
  <Button
    variant="contained"
    color="info"
    aria-label={name}
    disabled={off}
    onClick={onTurn}
    sx={{
      ...{
        position: 'absolute',
        top: '50%',
        [side]: 6,
        mt: '-24px',
        minWidth: 0,
        width: 40,
        height: 48,
        p: 0,
      },
      ...{ bgcolor: 'background.paper', color: 'text.primary', visibility: off ? 'hidden' : undefined },
    }}
  >
    {side === 'left' ? <IconChevronLeft size={22} /> : <IconChevronRight size={22} />}
  </Button>
);
