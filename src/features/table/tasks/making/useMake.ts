/** A file made and put into the downloads: how far it is, cancelling, and what came of it. */
import { useCallback, useRef, useState } from 'react';
import type { Size } from '@/core/geometry/box';
import { fileTitle } from '@/core/product';
import { surfaceOf, type Project } from '@/core/project/model';
import { download, fileName } from '@/features/shared/download';
import type { Choice } from '@/features/table/tasks/making/choices';
import { printSheets } from '@/features/table/tasks/making/print';
import type { MakerRoom } from '@/features/table/tasks/making/useMaker';
import { useRoom } from '@/features/table/room/context';
import { fail } from '@/core/result';
import { putInto, type Folder } from '@/features/table/tasks/making/folder';
import { inWords } from '@/storage/trouble';
import { inOneFile, type MakeOptions } from '@/output/formats';
import type { MadeFile } from '@/workers/make.worker';
import type { Point } from '@/output/pdf/preflight';

export type Making =
  | { state: 'idle' }
  | { state: 'making'; share: number; doing: string }
  | {
      state: 'made';
      where: string;
      bytes: number;
      seconds: number;
      points: readonly Point[];
      says: readonly string[];
    }
  | { state: 'failed'; message: string };

/**
 * How far it is, while it is made. Reports come by a way of their own, and may arrive after what was made: then they say
 * nothing any more.
 */
export const reported =
  (share: number, doing: string) =>
  (now: Making): Making =>
    now.state === 'making' ? { state: 'making', share, doing } : now;

export function useMake({ make, sheets, testSheet: sheetMade, readBack, stop }: MakerRoom) {
  const { store } = useRoom();
  const [making, setMaking] = useState<Making>({ state: 'idle' });
  const run = useRef(0);

  const cancel = useCallback(() => {
    run.current += 1;
    stop();
    setMaking({ state: 'idle' });
  }, [stop]);

  /** The file as it is wished; null where none was made, which is told. */
  const produced = useCallback(
    async (
      options: MakeOptions,
      taken: Choice['taken'],
      names?: readonly string[],
    ): Promise<MadeFile | null> => {
      const mine = ++run.current;
      const { project } = store.getState().history;
      setMaking({ state: 'making', share: 0, doing: 'Gathering the pictures' });
      const made = await make(
        project,
        taken,
        options,
        (share, doing) => setMaking(reported(share, doing)),
        names,
      );
      if (!made || run.current !== mine) return null;
      if (made.ok) return made.value;
      setMaking({ state: 'failed', message: made.message });
      return null;
    },
    [store, make],
  );

  const start = useCallback(
    async (
      options: MakeOptions,
      { taken }: Pick<Choice, 'taken'>,
      names?: readonly string[],
      into?: Folder,
    ) => {
      const began = Date.now();
      const { history, surfaceId } = store.getState();
      const { project } = history;
      const file = await produced(options, taken, names);
      if (!file) return;
      const { blob } = file;
      const mine = run.current;
      const of = options.only
        ? nameOf(project, surfaceId, options.only)
        : [fileTitle(project), taken.length > 1 ? '' : taken[0]?.panel?.name].filter(Boolean).join(' ');
      const name = `${fileName(of)}.${inOneFile(options.format, taken.length) ? options.format : 'zip'}`;
      const seconds = (Date.now() - began) / 1000;
      const points = options.press ? await readBack(blob, options).catch(() => null) : [];
      if (run.current !== mine) return;
      if (!points) return setMaking({ state: 'failed', message: 'The file could not be read back.' });
      const told = {
        state: 'made',
        bytes: blob.size,
        seconds,
        points,
        says: file.told.map(({ says }) => says),
      } as const;
      if (!into) {
        download(blob, name);
        return setMaking({ ...told, where: `${name} is in your downloads` });
      }
      const put = await putInto(into, blob, name).catch((error) =>
        fail(inWords(error, 'The files were not all written')),
      );
      setMaking(put.ok ? { ...told, where: put.value } : { state: 'failed', message: put.message });
    },
    [store, produced, readBack],
  );

  /** The sheets handed to the browser's own print. */
  const print = useCallback(
    async (options: MakeOptions, { taken }: Pick<Choice, 'taken'>) => {
      const mine = ++run.current;
      const { project } = store.getState().history;
      setMaking({ state: 'making', share: 0, doing: 'Gathering the pictures' });
      const made = await sheets(project, taken, options, (share, doing) => setMaking(reported(share, doing)));
      if (!made || run.current !== mine) return;
      if (!made.ok) return setMaking({ state: 'failed', message: made.message });
      const { sheets: printed, told } = made.value;
      const says = told.map((one) => one.says).join('\n');
      setMaking(says ? { state: 'failed', message: says } : { state: 'idle' });
      await printSheets(printed).catch(() =>
        setMaking({
          state: 'failed',
          message: 'The browser could not print it. Make the PDF, and print that.',
        }),
      );
    },
    [store, sheets],
  );

  /** The file without putting it into the downloads: what comes out of it is looked at. */
  const tryOut = useCallback(
    async (options: MakeOptions, { taken }: Pick<Choice, 'taken'>) => {
      const made = await produced(options, taken);
      if (made) setMaking({ state: 'idle' });
      return made && made.blob;
    },
    [produced],
  );

  /** The sheet a printer is measured with; null where none was made, which is told. */
  const testSheet = useCallback(
    async (paper: Size): Promise<Blob | null> => {
      const made = await sheetMade(paper);
      if (made.ok) return made.value;
      setMaking({ state: 'failed', message: made.message });
      return null;
    },
    [sheetMade],
  );

  return { making, start, print, tryOut, testSheet, cancel };
}

/** What pieces are called together, for their file. */
function nameOf(project: Project, surfaceId: string, ids: readonly string[]): string {
  const chosen = surfaceOf(project, surfaceId).pile.filter(({ id }) => ids.includes(id));
  const [first] = chosen;
  return chosen.length === 1 ? first!.name || first!.role : `${project.title} ${chosen.length} pieces`;
}
