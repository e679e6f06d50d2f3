'use client';
/** Files for one purpose: what goes into them, what comes out, what the checks found. */
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useState, type ComponentProps } from 'react';
import type { Size } from '@/core/geometry/box';
import { NO_SIDES } from '@/core/geometry/sides';
import { bleedOf, drawAlone } from '@/core/page/draw';
import { toolsFor } from '@/core/page/outlines';
import { madeOf } from '@/core/picture/picture';
import { foldsOn, type Taken } from '@/core/product';
import { sheetIn, type SheetProduct } from '@/core/product/sheet';
import { SHEET_PAPERS } from '@/core/product/sheet/start';
import type { Surface } from '@/core/project/model';
import { formatSides } from '@/core/units/lengths';
import { download } from '@/features/shared/download';
import { useFindings } from '@/features/table/parts/checks';
import { Findings } from '@/features/table/parts/Findings';
import { useRoom, useSession } from '@/features/table/room/context';
import { FoldingControls } from '@/features/table/tasks/making/FoldingControls';
import { FileActions } from '@/features/table/tasks/making/FileActions';
import type { Folder } from '@/features/table/tasks/making/folder';
import { FoldingPlan } from '@/features/table/tasks/making/FoldingPlan';
import { HowItIsMade } from '@/features/table/tasks/making/HowItIsMade';
import { ALL_PAGES, FIRST_PATTERN, namesBy } from '@/features/table/tasks/making/names';
import { OutColumns } from '@/features/table/tasks/making/OutColumns';
import { PagesAndNames } from '@/features/table/tasks/making/PagesAndNames';
import { PaperControls } from '@/features/table/tasks/making/PaperControls';
import { PrinterTray } from '@/features/table/tasks/making/PrinterTray';
import { Outcome } from '@/features/table/tasks/making/Outcome';
import { outInWords, tilesSay } from '@/features/table/tasks/making/said';
import type { useMake } from '@/features/table/tasks/making/useMake';
import type { TileWishes } from '@/features/table/tasks/making/usePrinters';
import { useFileChoice, type Purpose } from '@/features/table/tasks/making/useFileChoice';
import { WhatIsMade } from '@/features/table/tasks/making/WhatIsMade';
import { Turned } from '@/ui/Turned';
import { FORMATS, inOneFile, type MakeOptions } from '@/output/formats';

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
  const of = useFileChoice(purpose, wished, chosen);
  const { project, surface, choices, whole, choice, conditions, options, sheets } = of;
  const { pages, folding, printers, tiles, plan } = of;
  const { taken, only } = choice;
  const several = taken.length > 1;
  const [pattern, setPattern] = useState(FIRST_PATTERN);
  const { making, start, print, tryOut, testSheet, cancel } = file;
  const [tray, setTray] = useState<Tray | null>(null);
  const typesetter = useSession((session) => session.typesetter);
  const findings = useFindings(project, taken);
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
          <WhatIsMade {...{ choices, choice, disabled: busy, onChoose: of.setWanted }} />
          {whole.taken.length > 1 && !whole.folded && !whole.packed && (
            <PagesAndNames
              pages={taken.length === whole.taken.length ? ALL_PAGES : pages}
              count={whole.taken.length}
              pattern={inOneFile(options.format, taken.length) ? null : pattern}
              named={named}
              disabled={busy}
              onPages={of.setPages}
              onPattern={setPattern}
            />
          )}
          {choice.folded && (
            <FoldingControls
              folding={folding}
              oneSignature={Boolean(choice.folded.oneSignature)}
              disabled={busy}
              onChange={(change) => of.setFolding({ ...folding, ...change })}
            />
          )}
          {choice.packed && (
            <Turned label="With a plan of the cuts" on={plan} disabled={busy} onTurn={of.setPlan} />
          )}
          {purpose.tiles && (
            <PaperControls
              printers={printers}
              wishes={tiles}
              sheets={Boolean(choice.packed ?? choice.folded)}
              several={taken.length > 1}
              unit={unit}
              disabled={busy}
              onPrinters={of.changePrinters}
              onChange={of.changeTiles}
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
            formats={of.formats}
            cutOut={Boolean(purpose.tiles)}
            bySide={Boolean(purpose.bySide)}
            press={Boolean(purpose.marks)}
            bleed={
              only || options.tiled || purpose.bySide || sheets?.plain
                ? null
                : bleeds.length > 1
                  ? 'where the paper ends'
                  : (bleeds[0] ?? null)
            }
            marks={!only && (sheets ? !sheets.plain : Boolean(purpose.marks))}
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
          <Findings {...findings} {...{ several, disabled: busy, onShown: onClose }} />
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

/** As people here write a day in the names of files. */
function today(): string {
  const now = new Date();
  const two = (value: number) => String(value).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}
