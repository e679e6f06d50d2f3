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
import { useMemo, useState } from 'react';
import type { Size } from '@/core/geometry/box';
import { tilesOf, type Tile, type Tiling } from '@/core/packing/tiles';
import { ok, type Result } from '@/core/result';
import { NO_SIDES } from '@/core/geometry/sides';
import { bleedOf, drawAlone } from '@/core/page/draw';
import { toolsFor } from '@/core/page/outlines';
import { madeOf } from '@/core/picture/picture';
import { useBacks } from '@/features/table/tasks/making/useBacks';
import { foldsOn, sidesOf, type Taken } from '@/core/product';
import { surfaceOf, type Project, type Surface } from '@/core/project/model';
import { formatLength, formatSides, formatSize, PRINT_PPI, type Unit } from '@/core/units/lengths';
import { choicesFor, CHOSEN, THIS, wholeChoice, type Choice } from '@/features/table/tasks/making/choices';
import { WhatIsMade } from '@/features/table/tasks/making/WhatIsMade';
import { FoldingControls } from '@/features/table/tasks/making/FoldingControls';
import { HowItIsMade } from '@/features/table/tasks/making/HowItIsMade';
import { useMake, type Making } from '@/features/table/tasks/making/useMake';
import { Findings, useFindings } from '@/features/table/parts/Findings';
import { usePlans } from '@/features/table/parts/usePlans';
import { sheetIn, type SheetProduct } from '@/core/product/sheet';
import { useRoom, useSession } from '@/features/table/room/context';
import { TilingControls } from '@/features/table/tasks/making/TilingControls';
import { tilingOf, useTiles } from '@/features/table/tasks/making/useTiles';
import { TurningControls } from '@/features/table/tasks/making/TurningControls';
import { sheetsFor, SIXTEEN, type Sheets } from '@/features/table/tasks/making/sheetsMade';
import type { Point } from '@/output/pdf/preflight';
import { FORMATS, inOneFile, type Format, type MakeOptions } from '@/output/formats';

const FIRST: MakeOptions = { format: 'pdf', ppi: PRINT_PPI, withBleed: true, cropMarks: true };

/** Nothing is reckoned for it while it is shut; what was chosen stays for the next time. */
export function MakeDialog({ onClose }: { onClose: () => void }) {
  const [options, setOptions] = useState(FIRST);
  const selection = useSession((session) => session.selection);
  const what = useSession((session) => session.make);
  return what ? (
    <MakingIt options={options} selection={selection} begin={what} onOptions={setOptions} onClose={onClose} />
  ) : null;
}

interface MakingProps {
  options: MakeOptions;
  /** What is selected, and could be made by itself. */
  selection: readonly string[];
  /** What it begins with. */
  begin: 'page' | 'chosen' | 'printed';
  onOptions: (options: MakeOptions) => void;
  onClose: () => void;
}

/** What is cut out afterwards is printed at its size, with squares and nothing around it. */
const TO_BE_CUT: Partial<MakeOptions> = { format: 'pdf', squares: true, cropMarks: false, withBleed: false };

function MakingIt({ options: before, selection, begin, onOptions, onClose }: MakingProps) {
  const [toCut, setToCut] = useState(begin === 'printed' ? { ...before, ...TO_BE_CUT } : null);
  const [wished, setOptions] = toCut ? [toCut, setToCut] : [before, onOptions];
  const { store } = useRoom();
  const project = useSession((session) => session.history.project);
  const surface = useSession((session) => surfaceOf(session.history.project, session.surfaceId));
  // What is whole with all its sides is printed with all of them.
  const [wanted, setWanted] = useState(() =>
    begin === 'chosen' && selection.length
      ? CHOSEN
      : sidesOf(project.product)
        ? wholeChoice(project.product)
        : THIS,
  );
  const choices = useMemo(() => choicesFor(project, surface, selection), [project, surface, selection]);
  const choice = choices.find(({ id }) => id === wanted) ?? choices[0]!;
  const { taken, only } = choice;
  const several = taken.length > 1;
  const [folding, setFolding] = useState(SIXTEEN);
  const [wishes, changeWishes] = useBacks();
  const packed = usePlans(choice.packed ? sheetIn(project.product) : null);
  const sheets = useMemo(
    () => sheetsFor(project, choice, folding, wishes, packed?.plans ?? []),
    [project, choice, folding, wishes, packed],
  );
  const [tiles, changeTiles] = useTiles();
  const options = optionsFor(wished, choice, sheets, tilingOf(tiles));
  const { making, start, testPage, cancel } = useMake();
  const typesetter = useSession((session) => session.typesetter);
  const { found, clear } = useFindings(project, taken, typesetter);
  const { unit } = project;
  const busy = making.state === 'making';
  const [first] = taken as [Taken<Surface>];
  const trim = only
    ? drawAlone(surface, only, toolsFor(project, typesetter)).trim
    : (first.panel?.box ?? first.surface);
  const bleeds = only ? [] : [...new Set(taken.map((each) => formatSides(bleedOf(each), unit)))];
  const size =
    sheets?.size(options.withBleed) ??
    madeOf({ trim, bleed: only ? NO_SIDES : bleedOf(first) }, options.withBleed);
  const folded = taken.some(({ surface, panel }) => !panel && foldsOn(project, surface).length > 0);
  const set = (change: Partial<MakeOptions>) => setOptions({ ...wished, ...change });
  return (
    <Dialog open onClose={() => !busy && onClose()} maxWidth="md" fullWidth aria-labelledby="make-title">
      <DialogTitle id="make-title" variant="h2" sx={{ pb: 1 }}>
        Make {choice.title} into {inOneFile(options.format, taken.length) ? 'a file' : 'files'}
      </DialogTitle>
      <DialogContent sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 4 }}>
        <Box>
          <WhatIsMade {...{ choices, choice, disabled: busy, onChoose: setWanted }} />
          {choice.folded && (
            <FoldingControls
              folding={folding}
              oneSignature={Boolean(choice.folded.oneSignature)}
              disabled={busy}
              onChange={(change) => setFolding({ ...folding, ...change })}
            />
          )}
          {choice.packed && (
            <TurningControls
              wishes={wishes}
              backs={hasBacks(sheetIn(project.product))}
              disabled={busy}
              onChange={changeWishes}
              onTest={() => void testPage(sheetIn(project.product)!)}
            />
          )}
          <HowItIsMade
            options={options}
            formats={(Object.keys(FORMATS) as Format[]).filter((format) => holds(format, choice))}
            bleed={options.tiled ? null : bleeds.length > 1 ? 'where the paper ends' : (bleeds[0] ?? null)}
            folded={folded || Boolean(sheets)}
            disabled={busy}
            onChange={set}
          />
          {FORMATS[options.format].sheets && !sheets && !only && (
            <TilingControls wishes={tiles} unit={unit} disabled={busy} onChange={changeTiles} />
          )}
        </Box>
        <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.5, minWidth: 0 }}>
          <Box>
            <Typography variant="h3">What comes out</Typography>
            <Typography variant="body2" sx={{ mt: 0.5 }}>
              {outInWords({ choice, options, sheets, size, trim, unit })}
            </Typography>
          </Box>
          <Typography variant="h3">What the checks found</Typography>
          <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.5, overflowY: 'auto', maxHeight: 330 }}>
            <Findings {...{ found, clear, several, disabled: busy, onShown: onClose }} />
          </Box>
          <Outcome making={making} />
        </Box>
      </DialogContent>
      <DialogActions sx={{ px: 3, pb: 2.5 }}>
        <Button
          color="inherit"
          disabled={busy}
          onClick={() => {
            onClose();
            store.getState().openSheet('cutter');
          }}
        >
          To the cutter …
        </Button>
        <Box sx={{ flex: 1 }} />
        <Button color="inherit" onClick={busy ? cancel : onClose}>
          {busy ? 'Cancel' : 'Back to the table'}
        </Button>
        <Button
          variant="contained"
          size="large"
          disabled={
            busy || Boolean(sheets?.none) || tilesSay(options, trim, taken.length, unit)?.ok === false
          }
          onClick={() => void start(options, choice)}
        >
          Make the {FORMATS[options.format].name}
          {!inOneFile(options.format, taken.length) && ' files'}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** Whether anything is printed on the other side of a sheet. */
const hasBacks = (sheet: SheetProduct | null): boolean =>
  Boolean(sheet && !sheet.stock && sheet.things.some(({ back }) => back));

interface ComesOut {
  choice: Choice;
  options: MakeOptions;
  sheets: Sheets | null;
  /** Of one page of it. */
  size: Size;
  /** What is left of that once it is trimmed. */
  trim: Size;
  unit: Project['unit'];
}

/** What comes out, in a sentence: how many files of how many pages, how large, how fine. */
function outInWords({ choice: { taken, only }, options, sheets, size, trim, unit }: ComesOut): string {
  const { format, ppi } = options;
  const pixels = (side: number) => Math.round((side / 72) * ppi);
  const large = formatSize(size, unit);
  if (sheets) {
    const [before, after] = sheets.says(size);
    return `${before}${large}${after}.`;
  }
  const tiled = tilesSay(options, trim, taken.length, unit);
  if (tiled) return tiled.ok ? tiled.value : tiled.message;
  const many =
    taken.length < 2
      ? ''
      : inOneFile(format, taken.length)
        ? `One file of ${taken.length} pages, each `
        : `${taken.length} files in one .zip, each `;
  if (only) return `${many}${large} at the most: trimmed to what shows, clear around it.`;
  const trimmed = size.width > trim.width ? `, trimmed to ${formatSize(trim, unit)}` : '';
  const fine = FORMATS[format].pixels
    ? `; ${pixels(size.width)} x ${pixels(size.height)} pixels at ${ppi} ppi, sRGB`
    : '';
  return `${many}${large}${trimmed}${fine}.`;
}

/** What comes out in tiles, or why nothing does; null where it does not. */
function tilesSay({ tiled }: MakeOptions, page: Size, pages: number, unit: Unit): Result<string> | null {
  if (!tiled) return null;
  const tiles = tilesOf(page, tiled);
  if (!tiles.ok) return tiles;
  const [{ paper }] = tiles.value as [Tile];
  const count = tiles.value.length;
  const sheets = `${count} ${count === 1 ? 'sheet' : 'sheets'} of ${formatSize(paper, unit)}`;
  const lay =
    count > 1
      ? ` Lay each over the one before, row by row from the top left: fine marks show where, and ${formatLength(tiled.overlap, unit, true)} is printed twice.`
      : '';
  return ok(
    `${sheets}${pages > 1 ? ` for each of ${pages} pages` : ''}, true to size: print it at 100 %, without scaling, trimmed to ${formatSize(page, unit)}.${lay}`,
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
        <Alert severity={making.points.some(({ fault }) => fault) ? 'warning' : 'success'} data-testid="made">
          {making.name} is in your downloads: {(making.bytes / 1e6).toFixed(1)} MB, in{' '}
          {making.seconds.toFixed(1)} s.
          {making.points.length > 0 && <ReadBack points={making.points} />}
        </Alert>
      )}
      {making.state === 'failed' && <Alert severity="error">{making.message}</Alert>}
    </Box>
  );
}

/** What a file for a press was found to be, point by point, once it was read back. */
function ReadBack({ points }: { points: readonly Point[] }) {
  const hold = points.filter(({ fault }) => !fault).length;
  return (
    <Box component="details" open={hold < points.length} sx={{ mt: 0.5 }}>
      <Box component="summary" sx={{ cursor: 'pointer' }}>
        Read back: {hold === points.length ? 'all' : hold} of {points.length} points of PDF/X-4 hold.
      </Box>
      <Box component="ul" sx={{ m: 0, pl: 2.5, maxHeight: 160, overflowY: 'auto' }}>
        {points.map(({ says, fault }) => (
          <li key={says}>
            {says}
            {fault && `: no, ${fault}`}
          </li>
        ))}
      </Box>
    </Box>
  );
}

/** What was wished, as far as it can be had of what is made. */
function optionsFor(
  wished: MakeOptions,
  choice: Choice,
  sheets: Sheets | null,
  tiling: Tiling | undefined,
): MakeOptions {
  const { only } = choice;
  const format = holds(wished.format, choice)
    ? wished.format
    : (Object.keys(FORMATS) as Format[]).find((each) => holds(each, choice))!;
  const tiled = FORMATS[format].sheets && !sheets && !only ? tiling : undefined;
  return {
    ...wished,
    format,
    squares: FORMATS[format].squares && wished.squares,
    ...(tiled ? { tiled, withBleed: false, cropMarks: false, squares: false } : {}),
    press: FORMATS[format].press ? wished.press : undefined,
    ...(only ? { only, withBleed: false } : {}),
    ...(sheets ? { sheets: sheets.made(wished.withBleed) } : {}),
  };
}

/** Whether a kind of file can hold what is chosen. */
const holds = (format: Format, { only, folded, packed }: Choice): boolean =>
  (!only || FORMATS[format].clear) && (!(folded || packed) || FORMATS[format].sheets);
