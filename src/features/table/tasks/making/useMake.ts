/** Making a file in the worker: progress, cancel, and the finished file to the user's disk. */
import { proxy, wrap, type Remote } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Size } from '@/core/geometry/box';
import { fileTitle } from '@/core/product';
import { surfaceOf, type Project } from '@/core/project/model';
import { download, fileName } from '@/features/shared/download';
import { FONTS_AT } from '@/features/shared/fonts';
import { filesFor, makeWorker } from '@/features/table/acts/filesFor';
import type { Choice } from '@/features/table/tasks/making/choices';
import { useRoom } from '@/features/table/room/context';
import { inOneFile, type MakeOptions } from '@/output/formats';
import type { Point } from '@/output/pdf/preflight';
import type { Maker } from '@/workers/make.worker';

export type Making =
  | { state: 'idle' }
  | { state: 'making'; share: number; doing: string }
  | { state: 'made'; name: string; bytes: number; seconds: number; points: readonly Point[] }
  | { state: 'failed'; message: string };

/**
 * How far it is, while it is made. Reports come by a way of their own, and may arrive after what was made: then they say
 * nothing any more.
 */
export const reported =
  (share: number, doing: string) =>
  (now: Making): Making =>
    now.state === 'making' ? { state: 'making', share, doing } : now;

/** The worker is made ready when the dialog opens, and let go when it shuts. */
export function useMake() {
  const { store } = useRoom();
  const [making, setMaking] = useState<Making>({ state: 'idle' });
  const bench = useRef<{ worker: Worker; maker: Remote<Maker>; failed: Promise<never> } | null>(null);
  const run = useRef(0);

  /** The worker with its fonts open; kept from one file to the next. */
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

  const cancel = useCallback(() => {
    stop();
    setMaking({ state: 'idle' });
  }, [stop]);

  const start = useCallback(
    async (options: MakeOptions, { taken }: Pick<Choice, 'taken'>) => {
      const mine = ++run.current;
      const began = Date.now();
      const { history, surfaceId } = store.getState();
      const { project } = history;
      setMaking({ state: 'making', share: 0, doing: 'Gathering the pictures' });
      try {
        const gathered = await filesFor(project, [...new Set(taken.map(({ surface }) => surface))]);
        if (!gathered.ok) return setMaking({ state: 'failed', message: gathered.message });
        const files = gathered.value;
        if (run.current !== mine) return;
        const { maker, failed } = ready();
        await maker.warm(new URL(FONTS_AT, location.href).href);
        const report = proxy(
          (share: number, doing: string) => run.current === mine && setMaking(reported(share, doing)),
        );
        const sides = taken.map(({ surface: { id, name }, panel }, i) => ({
          ...{ surface: { id }, panel },
          name: `${String(i + 1).padStart(String(taken.length).length, '0')} ${fileName(panel?.name ?? name)}`,
        }));
        const order = { project, taken: sides, options, files, now: Date.now() };
        const made = await Promise.race([maker.makeFile(order, report), failed]);
        if (run.current !== mine) return;
        if (!made.ok) return setMaking({ state: 'failed', message: made.message });
        const name = `${fileName(options.only ? nameOf(project, surfaceId, options.only) : [fileTitle(project), taken.length > 1 ? '' : taken[0]?.panel?.name].filter(Boolean).join(' '))}.${inOneFile(options.format, taken.length) ? options.format : 'zip'}`;
        const seconds = (Date.now() - began) / 1000;
        const points = options.press ? await Promise.race([maker.readBack(made.value), failed]) : [];
        if (run.current !== mine) return;
        download(made.value, name);
        setMaking({ state: 'made', name, bytes: made.value.size, seconds, points });
      } catch (error) {
        if (run.current !== mine) return;
        stop();
        setMaking({
          state: 'failed',
          message: `The file could not be made (${(error as Error).message}). Your page is untouched; a lower ppi, or a PDF, needs less memory.`,
        });
      }
    },
    [store, stop, ready],
  );

  /** The page by which one sees how far backs are off, as a file. */
  const testPage = useCallback(
    async ({ width, height }: Size) => {
      try {
        const { maker, failed } = ready();
        await maker.warm(new URL(FONTS_AT, location.href).href);
        const made = await Promise.race([maker.testPage({ width, height }, Date.now()), failed]);
        if (made.ok) download(made.value, 'Test page.pdf');
        else setMaking({ state: 'failed', message: made.message });
      } catch (error) {
        setMaking({ state: 'failed', message: `The test page was not made (${(error as Error).message}).` });
      }
    },
    [ready],
  );

  return { making, start, testPage, cancel };
}

/** What pieces are called together, for their file. */
function nameOf(project: Project, surfaceId: string, ids: readonly string[]): string {
  const chosen = surfaceOf(project, surfaceId).pile.filter(({ id }) => ids.includes(id));
  const [first] = chosen;
  return chosen.length === 1 ? first!.name || first!.role : `${project.title} ${chosen.length} pieces`;
}
