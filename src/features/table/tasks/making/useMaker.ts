/** The worker in which files are made: ready as soon as somebody may ask for one, and let go with the dialog. */
import { proxy, type Remote } from 'comlink';
import { useCallback, useEffect, useRef } from 'react';
import type { Size } from '@/core/geometry/box';
import type { Taken } from '@/core/product';
import type { Project, Surface } from '@/core/project/model';
import { fail, type Result } from '@/core/result';
import { fileName } from '@/features/shared/download';
import { FONTS_AT } from '@/features/shared/fonts';
import { filesFor, makeWorker } from '@/features/table/acts/filesFor';
import { useHands } from '@/features/table/parts/useHands';
import type { MakeOptions } from '@/output/formats';
import type { Point } from '@/output/pdf/preflight';
import type { Progress } from '@/output/stock';
import type { MadeFile, MadeSheets, Maker, Order } from '@/workers/make.worker';

export interface MakerRoom {
  /** One finished file; null where it was stopped meanwhile. */
  make(
    project: Project,
    taken: readonly Taken<Surface>[],
    options: MakeOptions,
    report: Progress,
    /** What each page's file is called, where there are several. */
    names?: readonly string[],
  ): Promise<Result<MadeFile> | null>;
  /** Sides of sheets as pictures, each with its paper in points. */
  sheets(
    project: Project,
    taken: readonly Taken<Surface>[],
    options: MakeOptions,
    report: Progress,
  ): Promise<Result<MadeSheets> | null>;
  testSheet(paper: Size): Promise<Result<Blob>>;
  readBack(file: Blob, asked: Pick<MakeOptions, 'inks'>): Promise<Point[]>;
  /** Whatever it is at ends at once. */
  stop(): void;
}

/** Milliseconds a file may take: a page with the most on it, at the most pixels an inch, takes a slow machine a minute. */
const longest = (pages: number): number => 600_000 + 60_000 * pages;

/** Opens the fonts, which stay so from one file to the next. */
const warm = (maker: Remote<Maker>): Promise<void> => maker.warm(new URL(FONTS_AT, location.href).href);

export function useMaker(): MakerRoom {
  const hands = useHands<Maker>(makeWorker);
  const run = useRef(0);
  useEffect(() => {
    // Somebody is about to ask for a file.
    hands.do(warm, { limit: longest(0) }).catch(() => {});
  }, [hands]);
  const stop = useCallback(() => {
    run.current += 1;
    hands.letGo();
  }, [hands]);
  useEffect(() => stop, [stop]);

  /** Whatever is made of pages, unless it was stopped meanwhile. */
  const working = useCallback(
    async <T>(
      project: Project,
      taken: readonly Taken<Surface>[],
      options: MakeOptions,
      report: Progress,
      names: readonly string[] | undefined,
      work: (maker: Remote<Maker>, order: Order, told: Progress) => Promise<Result<T>>,
    ): Promise<Result<T> | null> => {
      const mine = ++run.current;
      report(0, 'Gathering the pictures');
      try {
        const surfaces = [...new Set(taken.map(({ surface }) => surface))];
        const { press } = options;
        const gathered = await filesFor(project, surfaces, press && !press.file ? [press.id] : []);
        if (run.current !== mine) return null;
        if (!gathered.ok) return gathered;
        const sides = taken.map(({ surface: { id, name }, panel }, i) => ({
          ...{ surface: { id }, panel },
          name: names?.[i] ?? fileName(panel?.name ?? name),
        }));
        const order = { project, taken: sides, options, files: gathered.value, now: Date.now() };
        const told = proxy((share: number, doing: string) => {
          if (run.current === mine) report(share, doing);
        });
        const made = await hands.do(
          async (maker) => {
            await warm(maker);
            return work(maker, order, told);
          },
          {
            limit: longest(taken.length),
          },
        );
        return run.current === mine ? made : null;
      } catch (error) {
        if (run.current !== mine) return null;
        return fail(
          `The file could not be made (${(error as Error).message}). Your page is untouched; a lower ppi, or a PDF, needs less memory.`,
        );
      }
    },
    [hands],
  );

  const make = useCallback<MakerRoom['make']>(
    (project, taken, options, report, names) =>
      working(project, taken, options, report, names, (maker, order, told) => maker.makeFile(order, told)),
    [working],
  );
  const sheets = useCallback<MakerRoom['sheets']>(
    (project, taken, options, report) =>
      working(project, taken, options, report, undefined, (maker, order, told) =>
        maker.makeSheetPictures(order, told),
      ),
    [working],
  );

  /** The page by which one sees how far backs are off. */
  const testSheet = useCallback<MakerRoom['testSheet']>(
    async ({ width, height }) => {
      try {
        return await hands.do(
          async (maker): Promise<Result<Blob>> => {
            await warm(maker);
            return maker.testSheetOf({ width, height }, Date.now());
          },
          { limit: longest(1) },
        );
      } catch (error) {
        return fail(`The test sheet was not made (${(error as Error).message}).`);
      }
    },
    [hands],
  );

  const readBack = useCallback<MakerRoom['readBack']>(
    (file, { inks }) =>
      hands.do((maker) => maker.readBack(file, { inks }), { limit: longest(file.size / 1e6) }),
    [hands],
  );

  return { make, sheets, testSheet, readBack, stop };
}
