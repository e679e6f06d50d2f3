/** What is chosen for a file of one purpose: of what, on which paper, in which way; and the options that come of it. */
import { useMemo, useState } from 'react';
import { printerUsed } from '@/core/packing/printer';
import type { Tiling } from '@/core/packing/tiles';
import { conditionsFor, type Condition } from '@/core/press/conditions';
import { sidesOf } from '@/core/product';
import { surfaceOf } from '@/core/project/model';
import { useSession } from '@/features/table/room/context';
import { choicesFor, CHOSEN, THIS, wholeChoice, type Choice } from '@/features/table/tasks/making/choices';
import { ALL_PAGES, pagesWanted } from '@/features/table/tasks/making/names';
import type { purposeOf } from '@/features/table/tasks/making/purposes';
import { SIXTEEN, type Sheets } from '@/features/table/tasks/making/sheetsMade';
import { tilingOf, usePrinters, useTiles } from '@/features/table/tasks/making/usePrinters';
import { useSheets } from '@/features/table/tasks/making/useSheets';
import { FORMATS, type Format, type MakeOptions } from '@/output/formats';

export type Purpose = ReturnType<typeof purposeOf>;

/** @param chosen it begins with what is selected */
export function useFileChoice(purpose: Purpose, wished: MakeOptions, chosen: boolean) {
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
  return {
    ...{ project, surface, choices, whole, choice, conditions, options, sheets },
    ...{ pages, folding, printers, tiles, plan },
    ...{ setWanted, setPages, setFolding, changePrinters, changeTiles, setPlan },
    /** The kinds of file there is a choice of. */
    formats: purpose.formats.filter((format) => holds(format, choice)),
  };
}

/** Those of its pages that are wanted; all where they are no pages of it. */
function someOf(choice: Choice, pages: string): Choice {
  const wanted = pagesWanted(pages, choice.taken.length);
  if (!wanted.ok || choice.folded || choice.packed || wanted.value.length === choice.taken.length)
    return choice;
  return { ...choice, taken: wanted.value.map((page) => choice.taken[page - 1]!) };
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
    inks: kind.press && Boolean(wished.press) && wished.inks,
    wide: kind.wide && Boolean(marks) && wished.wide,
    ...(bySide || sheets?.plain ? { withBleed: false, cropMarks: false } : {}),
    ...(only ? { only, withBleed: false } : {}),
    ...(sheets ? { sheets: sheets.made(wished.withBleed) } : {}),
  };
}

/** Whether a kind of file can hold what is chosen. */
const holds = (format: Format, { only, folded, packed }: Choice): boolean =>
  (!only || FORMATS[format].clear) && (!(folded || packed) || FORMATS[format].sheets);
