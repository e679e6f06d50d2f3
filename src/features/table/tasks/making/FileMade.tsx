'use client';
/** Files for one purpose: what goes into them, what comes out, what the checks found. */
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useMemo, useState, type ComponentProps } from 'react';
import type { Size } from '@/core/geometry/box';
import { NO_SIDES } from '@/core/geometry/sides';
import { bleedOf, drawAlone } from '@/core/page/draw';
import { toolsFor } from '@/core/page/outlines';
import { printerUsed } from '@/core/packing/printer';
import type { Tiling } from '@/core/packing/tiles';
import { conditionsFor, type Condition } from '@/core/press/conditions';
import { madeOf } from '@/core/picture/picture';
import { foldsOn, sidesOf, type Taken } from '@/core/product';
import { sheetIn, type SheetProduct } from '@/core/product/sheet';
import { SHEET_PAPERS } from '@/core/product/sheet/start';
import { surfaceOf, type Surface } from '@/core/project/model';
import { formatSides } from '@/core/units/lengths';
import { download } from '@/features/shared/download';
import { Findings, useFindings } from '@/features/table/parts/Findings';
import { useRoom, useSession } from '@/features/table/room/context';
import { choicesFor, CHOSEN, THIS, wholeChoice, type Choice } from '@/features/table/tasks/making/choices';
import { FoldingControls } from '@/features/table/tasks/making/FoldingControls';
import { FileActions } from '@/features/table/tasks/making/FileActions';
import type { Folder } from '@/features/table/tasks/making/folder';
import { FoldingPlan } from '@/features/table/tasks/making/FoldingPlan';
import { HowItIsMade } from '@/features/table/tasks/making/HowItIsMade';
import { ALL_PAGES, FIRST_PATTERN, namesBy, pagesWanted } from '@/features/table/tasks/making/names';
import { OutColumns } from '@/features/table/tasks/making/OutColumns';
import { PagesAndNames } from '@/features/table/tasks/making/PagesAndNames';
import { PaperControls } from '@/features/table/tasks/making/PaperControls';
import { PrinterTray } from '@/features/table/tasks/making/PrinterTray';
import { Outcome } from '@/features/table/tasks/making/Outcome';
import type { purposeOf } from '@/features/table/tasks/making/purposes';
import { outInWords, tilesSay } from '@/features/table/tasks/making/said';
import { SIXTEEN, type Sheets } from '@/features/table/tasks/making/sheetsMade';
import type { useMake } from '@/features/table/tasks/making/useMake';
import { tilingOf, usePrinters, useTiles, type TileWishes } from '@/features/table/tasks/making/usePrinters';
import { useSheets } from '@/features/table/tasks/making/useSheets';
import { WhatIsMade } from '@/features/table/tasks/making/WhatIsMade';
import { Turned } from '@/ui/Turned';
import { FORMATS, inOneFile, type Format, type MakeOptions } from '@/output/formats';

type Purpose = ReturnType<typeof purposeOf>;
/** What is looked at as the printer puts it out. */
type Tray = Pick<ComponentProps<typeof PrinterTray>, 'pdf' | 'both'>;

interface Props {
  purpose: Purpose;
  wished: MakeOptions;
  /** It begins with what is selected. */
  chosen: boolean;
  file: ReturnType<typeof useMake>;
  onWish: (options: MakeOptions) => void;
  onClose: () => void;
}

export function FileMade({ purpose, wished, chosen, file, onWish, onClose }: Props) {
  const { store } = useRoom();
  const project = useSession((session) => session.history.project);
  const surface = useSession((session) => surfaceOf(session.history.project, session.surfaceId));
  const selection = useSession((session) => session.selection);
  const choices = useMemo(
    () => choicesFor(project, surface, selection).filter((choice) => serves(purpose, choice)),
    [project, surface, selection, purpose],
  );
  // What is whole with all its sides is printed with all of them.
  const [wanted, setWanted] = useState(() =>
    chosen ? CHOSEN : sidesOf(project.product) ? wholeChoice(project.product) : THIS,
  );
  const whole = choices.find(({ id }) => id === wanted) ?? choices[0]!;
  const [pages, setPages] = useState(ALL_PAGES);
  const choice = useMemo(() => someOf(whole, pages), [whole, pages]);
  const { taken, only } = choice;
  const [pattern, setPattern] = useState(FIRST_PATTERN);
  const several = taken.length > 1;
  const [folding, setFolding] = useState(SIXTEEN);
  const [printers, changePrinters] = usePrinters();
  const [plan, setPlan] = useState(false);
  const [tiles, changeTiles] = useTiles();
  const printer = printerUsed(printers);
  const wishes = useMemo(() => ({ ...printer, plan }), [printer, plan]);
  const manyOn = useMemo(() => {
    const tiling = purpose.tiles && tiles.how === 'several' ? tilingOf(tiles, printer) : undefined;
    return tiling ? { count: tiles.count, tiling } : null;
  }, [purpose, tiles, printer]);
  const sheets = useSheets(project, choice, folding, wishes, manyOn);
  const conditions = useMemo(() => conditionsFor(project.profiles), [project.profiles]);
  const options = optionsFor(
    purpose,
    withKnown(wished, conditions),
    choice,
    sheets,
    tilingOf(tiles, printer),
  );
  const { making, start, print, tryOut, testSheet, cancel } = file;
  const [tray, setTray] = useState<Tray | null>(null);
  const typesetter = useSession((session) => session.typesetter);
  const { found, clear } = useFindings(project, taken, typesetter);
  const { unit } = project;
  const named = (by: string) =>
    namesBy(
      by,
      { title: project.title, date: today() },
      taken.map(({ surface, panel }) => panel?.name ?? surface.name),
    );
  const make = (into?: Folder) => {
    const names = named(pattern);
    void start(options, choice, names.ok ? names.value : undefined, into);
  };
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
  const set = (change: Partial<MakeOptions>) => onWish({ ...wished, ...change });
  const none = Boolean(sheets?.none) || tilesSay(options, trim, taken.length, unit)?.ok === false;
  return (
    <OutColumns
      choices={
        <>
          <WhatIsMade {...{ choices, choice, disabled: busy, onChoose: setWanted }} />
          {whole.taken.length > 1 && !whole.folded && !whole.packed && (
            <PagesAndNames
              pages={taken.length === whole.taken.length ? ALL_PAGES : pages}
              count={whole.taken.length}
              pattern={inOneFile(options.format, taken.length) ? null : pattern}
              named={named}
              disabled={busy}
              onPages={setPages}
              onPattern={setPattern}
            />
          )}
          {choice.folded && (
            <FoldingControls
              folding={folding}
              oneSignature={Boolean(choice.folded.oneSignature)}
              disabled={busy}
              onChange={(change) => setFolding({ ...folding, ...change })}
            />
          )}
          {choice.packed && (
            <Turned label="With a plan of the cuts" on={plan} disabled={busy} onTurn={setPlan} />
          )}
          {purpose.tiles && (
            <PaperControls
              printers={printers}
              wishes={tiles}
              sheets={Boolean(choice.packed ?? choice.folded)}
              several={taken.length > 1}
              unit={unit}
              disabled={busy}
              onPrinters={changePrinters}
              onChange={changeTiles}
              onTest={async (printed) => {
                const pdf = await testSheet(paperIn(tiles, sheetIn(project.product)));
                if (pdf && printed) setTray({ pdf, both: true });
                else if (pdf) download(pdf, 'Test sheet.pdf');
              }}
            />
          )}
          <HowItIsMade
            options={options}
            conditions={conditions}
            formats={purpose.formats.filter((format) => holds(format, choice))}
            cutOut={Boolean(purpose.tiles)}
            bySide={Boolean(purpose.bySide)}
            press={Boolean(purpose.marks)}
            bleed={
              only || options.tiled || purpose.bySide
                ? null
                : bleeds.length > 1
                  ? 'where the paper ends'
                  : (bleeds[0] ?? null)
            }
            marks={!only && (Boolean(sheets) || Boolean(purpose.marks))}
            folded={folded || Boolean(sheets)}
            disabled={busy}
            onChange={set}
          />
        </>
      }
      outcome={
        <>
          <Box>
            <Typography variant="h3">What comes out</Typography>
            <Typography variant="body2" sx={{ mt: 0.5 }}>
              {outInWords({ choice, options, sheets, size, trim, unit })}
            </Typography>
          </Box>
          {choice.folded && (
            <FoldingPlan
              pages={taken.length}
              folding={choice.folded.oneSignature ? { folds: folding.folds } : folding}
              page={trim}
            />
          )}
          <Outcome making={making} />
          <Typography variant="h3">What the checks found</Typography>
          <Findings {...{ found, clear, several, disabled: busy, onShown: onClose }} />
          {tray && <PrinterTray {...tray} onClose={() => setTray(null)} />}
        </>
      }
      actions={
        <FileActions
          {...{ busy, none }}
          makes={`Make the ${FORMATS[options.format].name}${inOneFile(options.format, taken.length) ? '' : ' files'}`}
          several={!inOneFile(options.format, taken.length)}
          printed={
            purpose.tiles
              ? {
                  print: () => void print(options, choice),
                  tryOut: async () => {
                    const pdf = await tryOut(options, choice);
                    if (pdf) setTray({ pdf, both: Boolean(choice.folded ?? choice.packed) });
                  },
                }
              : null
          }
          onMake={make}
          onBack={busy ? cancel : onClose}
          onCutter={() => {
            onClose();
            store.getState().openSheet('cutter');
          }}
        />
      }
    />
  );
}

/** The paper a test sheet is printed on: that of what is packed, else that in the printer, letter paper without. */
const paperIn = (tiles: TileWishes, sheet: SheetProduct | null): Size =>
  sheet ?? SHEET_PAPERS.find(({ id }) => id === tiles.paper) ?? SHEET_PAPERS[0]!;

/** Those of its pages that are wanted; all where they are no pages of it. */
function someOf(choice: Choice, pages: string): Choice {
  const wanted = pagesWanted(pages, choice.taken.length);
  if (!wanted.ok || choice.folded || choice.packed || wanted.value.length === choice.taken.length)
    return choice;
  return { ...choice, taken: wanted.value.map((page) => choice.taken[page - 1]!) };
}

/** As people here write a day in the names of files. */
function today(): string {
  const now = new Date();
  const two = (value: number) => String(value).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}

const serves = ({ sheets, pieces }: Purpose, { folded, packed, only }: Choice): boolean =>
  (!(folded || packed) || Boolean(sheets)) && (!only || Boolean(pieces));

/** For a press that is still known: a profile may have been taken out. */
const withKnown = (wished: MakeOptions, conditions: readonly Condition[]): MakeOptions => ({
  ...wished,
  press: conditions.find(({ id }) => id === wished.press?.id),
});

/** What was wished, as far as it can be had of what is made. */
function optionsFor(
  { formats, marks, tiles, bySide }: Purpose,
  wished: MakeOptions,
  choice: Choice,
  sheets: Sheets | null,
  tiling: Tiling | undefined,
): MakeOptions {
  const { only } = choice;
  const format = holds(wished.format, choice) ? wished.format : formats.find((each) => holds(each, choice))!;
  const kind = FORMATS[format];
  const tiled = tiles && !sheets ? tiling : undefined;
  return {
    ...wished,
    format,
    cropMarks: wished.cropMarks && (Boolean(sheets) || Boolean(marks)),
    squares: kind.squares && wished.squares,
    ...(tiled ? { tiled, withBleed: false, cropMarks: false, squares: false } : {}),
    press: kind.press ? wished.press : undefined,
    wide: kind.wide && Boolean(marks) && wished.wide,
    ...(bySide ? { withBleed: false } : {}),
    ...(only ? { only, withBleed: false } : {}),
    ...(sheets ? { sheets: sheets.made(wished.withBleed) } : {}),
  };
}

/** Whether a kind of file can hold what is chosen. */
const holds = (format: Format, { only, folded, packed }: Choice): boolean =>
  (!only || FORMATS[format].clear) && (!(folded || packed) || FORMATS[format].sheets);
