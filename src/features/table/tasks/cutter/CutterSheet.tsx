'use client';
/** What goes to an electronic cutter: what is cut of which paper, how it lies on the mats, what the checks found; tried and saved. */
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Mat } from '@/core/cutter/model';
import type { Prepared } from '@/core/cutter/prepare';
import { WAYS, type CutterSettings } from '@/core/cutter/settings';
import { formatLength, type Unit } from '@/core/units/lengths';
import { CUT_SCOPES, cutOtherwise } from '@/features/table/acts/cutter';
import { WideSheet } from '@/features/table/parts/WideSheet';
import { CutFindings, MOST_FOUND } from '@/features/table/tasks/cutter/CutFindings';
import { HowItIsCut } from '@/features/table/tasks/cutter/HowItIsCut';
import { OnMat } from '@/features/table/tasks/cutter/OnMat';
import { SaveCuts } from '@/features/table/tasks/cutter/SaveCuts';
import { TryCutter } from '@/features/table/tasks/cutter/TryCutter';
import { useCutterRoom } from '@/features/table/tasks/cutter/useCutterRoom';
import { WhatIsCut } from '@/features/table/tasks/cutter/WhatIsCut';
import { Chosen } from '@/ui/Chosen';

const WAY_NAMES: Record<(typeof WAYS)[number], string> = {
  papers: 'Out of papers',
  printed: 'Round what is printed',
};

type CutterRoom = ReturnType<typeof useCutterRoom>;

export function CutterSheet({ onClose }: { onClose: () => void }) {
  const room = useCutterRoom();
  const { readOnly, scopes, scope, setScope, prepared, current, problem, order, make, cure } = room;
  const [at, setAt] = useState(0);
  const [shown, setShown] = useState<number | null>(null);
  const [picked, setPicked] = useState<string | null>(null);
  const [trying, setTrying] = useState(false);
  const [saving, setSaving] = useState(false);
  const mats = prepared?.mats ?? [];
  const number = Math.min(at, Math.max(0, mats.length - 1));
  const mat = mats[number];
  return (
    <WideSheet
      title="Cutter"
      tools={
        <Box sx={{ minWidth: 230, pt: 1.5, display: 'grid' }}>
          <Chosen
            label="What goes to it"
            value={scope}
            all={scopes.map((id) => [id, CUT_SCOPES[id].name] as const)}
            disabled={false}
            onChoose={(next) => {
              setScope(next);
              setAt(0);
              setTrying(false);
            }}
          />
        </Box>
      }
      columns="310px minmax(0, 1fr) 280px"
      actions={
        <>
          <Typography role="status" variant="body2" sx={{ flex: 1 }}>
            {problem ?? (prepared && current ? inWords(prepared) : 'Working it out …')}
          </Typography>
          <Button color="inherit" onClick={onClose}>
            Shut
          </Button>
          <Button variant="outlined" disabled={!mat} onClick={() => setTrying(!trying)}>
            {trying ? 'Back to the mat' : 'Try this mat'}
          </Button>
          <Button variant="contained" disabled={!mat || !current} onClick={() => setSaving(true)}>
            Save …
          </Button>
        </>
      }
      onClose={onClose}
    >
      <Wishes room={room} picked={picked} onClose={onClose} />
      <Mats {...{ room, number, shown, picked, trying }} onTurn={setAt} onPick={setPicked} />
      <Box sx={{ p: 2, overflowY: 'auto', minHeight: 0, borderLeft: 1, borderColor: 'divider' }}>
        {prepared && (
          <CutFindings
            found={prepared.found}
            clear={mats.length ? prepared.clear : []}
            disabled={readOnly}
            shown={shown}
            onShow={(i) => {
              setShown(i);
              setTrying(false);
              setAt(prepared.found[i]!.mat ?? 0);
            }}
            onCure={(cures) => {
              setShown(null);
              cure(cures);
            }}
          />
        )}
      </Box>
      {saving && <SaveCuts order={order} make={make} onClose={() => setSaving(false)} />}
    </WideSheet>
  );
}

/** What is cut of what, and how. */
function Wishes({ room, picked, onClose }: { room: CutterRoom; picked: string | null; onClose: () => void }) {
  const { store, project, readOnly, scope, onPaper, settings, change, places, thumbs } = room;
  return (
    <Box
      sx={{
        p: 2,
        overflowY: 'auto',
        minHeight: 0,
        borderRight: 1,
        borderColor: 'divider',
        display: 'grid',
        gap: 2.5,
        alignContent: 'start',
      }}
    >
      {!onPaper && (
        <ToggleButtonGroup
          exclusive
          fullWidth
          value={settings.way}
          aria-label="What it is cut out of"
          onChange={(_, way: CutterSettings['way'] | null) => way && change({ way })}
        >
          {WAYS.map((way) => (
            <ToggleButton key={way} value={way} sx={{ fontSize: '0.875rem', lineHeight: 1.2, py: 0.75 }}>
              {WAY_NAMES[way]}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      )}
      {settings.way === 'papers' ? (
        <WhatIsCut
          places={places}
          thumbs={thumbs}
          disabled={readOnly}
          picked={picked}
          onAsk={(pieces, as) => cutOtherwise(store, pieces, { as })}
        />
      ) : (
        <Printed
          onPrint={() => {
            onClose();
            store.getState().askMake('printed');
          }}
        />
      )}
      <HowItIsCut settings={settings} unit={project.unit} fixed={scope === 'paper'} onChange={change} />
    </Box>
  );
}

interface MatsProps {
  room: CutterRoom;
  /** Which mat is seen. */
  number: number;
  /** Which finding is shown. */
  shown: number | null;
  picked: string | null;
  trying: boolean;
  onTurn: (mat: number) => void;
  onPick: (piece: string | null) => void;
}

/** The mats, one of them seen or tried. */
function Mats({ room, number, shown, picked, trying, onTurn, onPick }: MatsProps) {
  const { project, places, thumbs, prepared, current, order, tryIt } = room;
  const mats = prepared?.mats ?? [];
  const mat = mats[number];
  return (
    <Box
      sx={{
        display: 'flex',
        flexDirection: 'column',
        minHeight: 0,
        minWidth: 0,
        bgcolor: 'table.main',
        p: 2,
        gap: 1.5,
      }}
    >
      {mats.length > 1 && (
        <Tabs
          value={number}
          variant="scrollable"
          scrollButtons="auto"
          aria-label="Cutting mats"
          onChange={(_, next: number) => onTurn(next)}
          sx={{ minHeight: 40, flexShrink: 0, bgcolor: 'background.paper', borderRadius: 2 }}
        >
          {mats.map(({ paper, laid }, i) => (
            <Tab
              key={i}
              value={i}
              label={`${i + 1}  ${paper.name}, ${laid.length}`}
              sx={{ minHeight: 40, textTransform: 'none', maxWidth: 200, whiteSpace: 'nowrap' }}
            />
          ))}
        </Tabs>
      )}
      <Box sx={{ flex: 1, minHeight: 0 }}>
        {!mat && prepared && current && (
          <Alert severity="info">
            Nothing here is cut, scored or drawn. At the left it is said of each piece what is done with it.
          </Alert>
        )}
        {mat &&
          (trying ? (
            <TryCutter order={order} mat={number} make={tryIt} />
          ) : (
            <OnMat
              mat={mat}
              unit={project.unit}
              thumbs={thumbs}
              sheet={mat.place === undefined ? undefined : places[mat.place]}
              picked={picked}
              onPick={onPick}
              label={`Mat ${number + 1} of ${mats.length}: ${mat.paper.name}, ${mat.laid.length} parts`}
              found={prepared!.found
                .slice(0, MOST_FOUND)
                .flatMap((each, i) =>
                  each.mat === number ? [{ number: i + 1, at: each.at, shown: shown === i }] : [],
                )}
            />
          ))}
      </Box>
      {mat && !trying && (
        <Typography variant="body2" sx={{ textAlign: 'center' }}>
          {onMat(mat, project.unit)}
        </Typography>
      )}
    </Box>
  );
}

/** What is done first where it is printed. */
const Printed = ({ onPrint }: { onPrint: () => void }) => (
  <Box>
    <Typography variant="body2" sx={{ mb: 1 }}>
      Print it first, with three squares by which the cutter finds its place; then each piece, or group, is
      cut out all round.
    </Typography>
    <Button variant="outlined" color="inherit" fullWidth onClick={onPrint}>
      Print it first …
    </Button>
  </Box>
);

/** What lies on a mat, and what is left of it. */
function onMat({ laid, paper, deep, used }: Mat, unit: Unit): string {
  const cut = laid.filter(({ part }) => part.rings.length).length;
  if (!cut) return `${paper.name}: nothing comes loose.`;
  return `${cut} ${cut === 1 ? 'part' : 'parts'} of ${paper.name}, down to ${formatLength(deep, unit, true)}; ${Math.round(100 * (1 - used))} % of that is waste.`;
}

function inWords({ mats, points: { before, after } }: Prepared): string {
  const parts = mats.reduce((sum, { laid }) => sum + laid.length, 0);
  const papers = new Set(mats.map(({ paper }) => paper.key)).size;
  if (!mats.length) return 'Nothing is cut.';
  return [
    `${parts} ${parts === 1 ? 'part' : 'parts'} of ${papers} ${papers === 1 ? 'paper' : 'papers'} on ${mats.length} ${mats.length === 1 ? 'mat' : 'mats'};`,
    `${after.toLocaleString('en')} of ${before.toLocaleString('en')} points are left.`,
  ].join(' ');
}
