/** The worker in which files are made: ready as soon as somebody may ask for one, and let go with the dialog. */
import { proxy, wrap, type Remote } from 'comlink';
import { useCallback, useEffect, useRef } from 'react';
import type { Size } from '@/core/geometry/box';
import type { Taken } from '@/core/product';
import type { Project, Surface } from '@/core/project/model';
import { fail, type Result } from '@/core/result';
import { fileName } from '@/features/shared/download';
import { FONTS_AT } from '@/features/shared/fonts';
import { filesFor, makeWorker } from '@/features/table/acts/filesFor';
import type { MakeOptions } from '@/output/formats';
import type { Point } from '@/output/pdf/preflight';
import type { Progress } from '@/output/stock';
import type { Maker, Order } from '@/workers/make.worker';

export interface MakerRoom {
  /** One finished file; null where it was stopped meanwhile. */
  make(
    project: Project,
    taken: readonly Taken<Surface>[],
    options: MakeOptions,
    report: Progress,
    /** What each page's file is called, where there are several. */
    names?: readonly string[],
  ): Promise<Result<Blob> | null>;
  /** Sides of sheets as pictures, each with its paper in points. */
  sheets(
    project: Project,
    taken: readonly Taken<Surface>[],
    options: MakeOptions,
    report: Progress,
  ): Promise<Result<{ paper: Size; blob: Blob }[]> | null>;
  testSheet(paper: Size): Promise<Result<Blob>>;
  readBack(file: Blob, asked: Pick<MakeOptions, 'inks'>): Promise<Point[]>;
  /** Whatever it is at ends at once. */
  stop(): void;
}

export function useMaker(): MakerRoom {
  const bench = useRef<{ worker: Worker; maker: Remote<Maker>; failed: Promise<never> } | null>(null);
  const run = useRef(0);

  /** With its fonts open; kept from one file to the next. */
  const ready = useCallback(() => {
    if (!bench.current) {
      const worker = makeWorker();
      const failed = new Promise<never>((_, reject) =>
        worker.addEventListener('error', () => reject(new Error('out of memory or damaged'))),
      );
      failed.catch(() => {});
      bench.current = { worker, maker: wrap<Maker>(worker), failed };
      void bench.current.maker.warm(new URL(FONTS_AT, location.href).href).catch(() => {});
    }
    return bench.current;
  }, []);

  const stop = useCallback(() => {
    bench.current?.worker.terminate();
    bench.current = null;
    run.current += 1;
  }, []);
  useEffect(() => {
    ready();
    return stop;
  }, [ready, stop]);

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
        const { maker, failed } = ready();
        await maker.warm(new URL(FONTS_AT, location.href).href);
        const sides = taken.map(({ surface: { id, name }, panel }, i) => ({
          ...{ surface: { id }, panel },
          name: names?.[i] ?? fileName(panel?.name ?? name),
        }));
        const order = { project, taken: sides, options, files: gathered.value, now: Date.now() };
        const told = proxy((share: number, doing: string) => {
          if (run.current === mine) report(share, doing);
        });
        const made = await Promise.race([work(maker, order, told), failed]);
        return run.current === mine ? made : null;
      } catch (error) {
        if (run.current !== mine) return null;
        stop();
        return fail(
          `The file could not be made (${(error as Error).message}). Your page is untouched; a lower ppi, or a PDF, needs less memory.`,
        );
      }
    },
    [ready, stop],
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
        const { maker, failed } = ready();
        await maker.warm(new URL(FONTS_AT, location.href).href);
        return await Promise.race([maker.testSheetOf({ width, height }, Date.now()), failed]);
      } catch (error) {
        return fail(`The test sheet was not made (${(error as Error).message}).`);
      }
    },
    [ready],
  );

  const readBack = useCallback<MakerRoom['readBack']>(
    (file, { inks }) => {
      const { maker, failed } = ready();
      return Promise.race([maker.readBack(file, { inks }), failed]);
    },
    [ready],
  );

  return { make, sheets, testSheet, readBack, stop };
}
