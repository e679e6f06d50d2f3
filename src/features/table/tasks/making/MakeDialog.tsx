'use client';
/** What to make of the page, what the checks found, and the file itself. */
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { IconAlertTriangle, IconCircleCheck, IconInfoCircle } from '@tabler/icons-react';
import { useMemo, useState } from 'react';
import { drawAlone } from '@/core/page/draw';
import { toolsFor } from '@/core/page/outlines';
import { foldsOn, panelsOn } from '@/core/product';
import { surfaceOf } from '@/core/project/model';
import { checked } from '@/core/proof';
import type { Finding } from '@/core/proof/check';
import { formatSize, PRINT_PPI } from '@/core/units/lengths';
import { WhatIsMade, type What } from '@/features/table/tasks/making/WhatIsMade';
import { HowItIsMade } from '@/features/table/tasks/making/HowItIsMade';
import { useMake, type Making } from '@/features/table/tasks/making/useMake';
import { layCaption, panelNow } from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import type { SessionStore } from '@/features/table/session';
import { FORMATS, type Format, type MakeOptions } from '@/output/formats';

const FIRST: MakeOptions = { format: 'pdf', ppi: PRINT_PPI, withBleed: true, cropMarks: true };

/** Nothing is reckoned for it while it is shut; what was chosen stays for the next time. */
export function MakeDialog({ onClose }: { onClose: () => void }) {
  const [options, setOptions] = useState(FIRST);
  const selection = useSession((session) => session.selection);
  const what = useSession((session) => session.make);
  return what ? (
    <MakingIt
      options={options}
      selection={selection}
      begin={what === 'chosen'}
      onOptions={setOptions}
      onClose={onClose}
    />
  ) : null;
}

interface MakingProps {
  options: MakeOptions;
  /** What is selected, and could be made by itself. */
  selection: readonly string[];
  /** Whether it begins with that. */
  begin: boolean;
  onOptions: (options: MakeOptions) => void;
  onClose: () => void;
}

function MakingIt({ options: wished, selection, begin, onOptions: setOptions, onClose }: MakingProps) {
  const [what, setWhat] = useState<What>(begin && selection.length > 0 ? 'chosen' : 'this');
  const { store } = useRoom();
  const project = useSession((session) => session.history.project);
  const surface = useSession((session) => surfaceOf(session.history.project, session.surfaceId));
  const panels = panelsOn(project, surface);
  const [named, setPanel] = useState(() => panelNow(store.getState())?.name);
  const panel = panels.find(({ name }) => name === named) ?? panels[0]!;
  const fits = what !== 'all' || FORMATS[wished.format].many;
  const options = {
    ...aloneOr(fits ? wished : { ...wished, format: 'pdf' }, what === 'chosen' ? selection : []),
    // Beyond a panel lies the next one: nothing that could be cut off.
    ...(what === 'panel' ? { panel: panel.name, withBleed: false } : {}),
  };
  const { making, start, cancel } = useMake();
  const typesetter = useSession((session) => session.typesetter);
  const { found, clear } = useMemo(
    () => checked(project, surface, typesetter),
    [project, surface, typesetter],
  );
  const { unit } = project;
  const chosen = selection.length;
  const sides = project.surfaces.length;
  const busy = making.state === 'making';
  const bleed = options.withBleed ? surface.bleed : 0;
  const size = options.only
    ? drawAlone(surface, options.only, toolsFor(project, typesetter)).trim
    : what === 'panel'
      ? panel.box
      : { width: surface.width + 2 * bleed, height: surface.height + 2 * bleed };
  const { pixels } = FORMATS[options.format];
  const folded = what !== 'panel' && foldsOn(project, surface).length > 0;
  const set = (change: Partial<MakeOptions>) => setOptions({ ...wished, ...change });
  const cure = (finding: Finding) => {
    CURES[finding.cure].run(store, finding);
    if (finding.cure === 'show') onClose();
  };
  return (
    <Dialog open onClose={() => !busy && onClose()} maxWidth="md" fullWidth aria-labelledby="make-title">
      <DialogTitle id="make-title" variant="h2" sx={{ pb: 1 }}>
        Make{' '}
        {options.only
          ? 'what is selected'
          : what === 'all'
            ? `all ${sides} in one file`
            : (what === 'panel' ? panel : surface).name.toLowerCase()}{' '}
        {what === 'all' ? '' : 'into a file'}
      </DialogTitle>
      <DialogContent sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 4 }}>
        <Box>
          <WhatIsMade
            {...{ what, sides, chosen, onWhat: setWhat }}
            side={surface.name}
            panels={panels.map(({ name }) => name)}
            panel={panel?.name}
            disabled={busy}
            onPanel={setPanel}
          />
          <HowItIsMade
            options={options}
            formats={(Object.keys(FORMATS) as Format[])
              .filter((format) => !options.only || FORMATS[format].clear)
              .filter((format) => what !== 'all' || FORMATS[format].many)}
            bleed={!options.only && !options.lines && what !== 'panel' ? surface.bleed : null}
            folded={folded}
            unit={unit}
            disabled={busy}
            onChange={set}
          />
        </Box>
        <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.5, minWidth: 0 }}>
          <Box>
            <Typography variant="h3">What comes out</Typography>
            <Typography variant="body2" sx={{ mt: 0.5 }}>
              {formatSize(size, unit)}
              {options.only && ' at the most: trimmed to what shows, clear around it'}
              {bleed > 0 && !options.only && `, trimmed to ${formatSize(surface, unit)}`}
              {pixels &&
                !options.only &&
                `; ${Math.round((size.width / 72) * options.ppi)} x ${Math.round((size.height / 72) * options.ppi)} pixels at ${options.ppi} ppi, sRGB`}
              .
            </Typography>
          </Box>
          <Typography variant="h3">What the checks found</Typography>
          {clear.map((says) => (
            <Box key={says} sx={{ display: 'flex', gap: 1, color: 'success.main' }}>
              <IconCircleCheck size={20} style={{ flexShrink: 0 }} />
              <Typography variant="body2">{says}</Typography>
            </Box>
          ))}
          {found.length > 0 && (
            <Box
              component="ul"
              sx={{
                m: 0,
                p: 0,
                listStyle: 'none',
                display: 'flex',
                flexDirection: 'column',
                gap: 1,
                overflowY: 'auto',
                maxHeight: 250,
              }}
            >
              {found.map((finding) => (
                <FindingRow
                  key={`${finding.check} ${finding.piece?.id ?? ''}`}
                  finding={finding}
                  disabled={busy}
                  cure={CURES[finding.cure].says}
                  onCure={() => cure(finding)}
                />
              ))}
            </Box>
          )}
          <Outcome making={making} />
        </Box>
      </DialogContent>
      <DialogActions sx={{ px: 3, pb: 2.5 }}>
        <Button color="inherit" onClick={busy ? cancel : onClose}>
          {busy ? 'Cancel' : 'Back to the table'}
        </Button>
        <Button
          variant="contained"
          size="large"
          disabled={busy}
          onClick={() => void start(options, what === 'all')}
        >
          Make the {FORMATS[options.format].name}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** How far it is, and what came of it. */
function Outcome({ making }: { making: Making }) {
  return (
    <Box aria-live="polite" sx={{ mt: 'auto' }}>
      {making.state === 'making' && (
        <Box>
          <Typography variant="body2" sx={{ mb: 0.75 }}>
            {making.doing} …
          </Typography>
          <LinearProgress variant="determinate" value={making.share * 100} aria-label="Making the file" />
        </Box>
      )}
      {making.state === 'made' && (
        <Alert severity="success" data-testid="made">
          {making.name} is in your downloads: {(making.bytes / 1e6).toFixed(1)} MB, in{' '}
          {making.seconds.toFixed(1)} s.
        </Alert>
      )}
      {making.state === 'failed' && <Alert severity="error">{making.message}</Alert>}
    </Box>
  );
}

/** The options for pieces by themselves; those of the page where there are none. */
function aloneOr(options: MakeOptions, only: readonly string[]): MakeOptions {
  const format = only.length && !FORMATS[options.format].clear ? 'png' : options.format;
  return {
    ...options,
    format,
    lines: FORMATS[format].lines && options.lines,
    ...(only.length ? { only, withBleed: false } : {}),
  };
}

/** What is pressed to do something about a finding. */
const CURES: Record<Finding['cure'], { says: string; run(store: SessionStore, finding: Finding): void }> = {
  show: { says: 'Show', run: (store, { piece }) => store.getState().select(piece ? [piece.id] : []) },
  caption: { says: 'Set it', run: layCaption },
};

interface FindingRowProps {
  finding: Finding;
  disabled: boolean;
  cure: string;
  onCure: () => void;
}

function FindingRow({ finding: { name, warns, says }, disabled, cure, onCure }: FindingRowProps) {
  return (
    <Box component="li" sx={{ display: 'flex', gap: 1, alignItems: 'flex-start' }}>
      <Box sx={{ color: warns ? 'warning.main' : 'text.secondary', pt: 0.25 }}>
        {warns ? <IconAlertTriangle size={20} /> : <IconInfoCircle size={20} />}
      </Box>
      <Box sx={{ flex: 1, minWidth: 0 }}>
        <Typography variant="body2" sx={{ fontWeight: 600 }}>
          {warns ? 'Warning: ' : ''}
          {name}
        </Typography>
        <Typography variant="body2">{says}</Typography>
      </Box>
      <Button size="small" onClick={onCure} disabled={disabled}>
        {cure}
      </Button>
    </Box>
  );
}
