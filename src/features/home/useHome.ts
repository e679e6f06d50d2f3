/** The projects on the home table, and what can be done with them. */
import { startTransition, useCallback, useEffect, useState } from 'react';
import type { Supply } from '@/core/supplies/model';
import { calledFile } from '@/core/text/named';
import type { Begun } from '@/features/home/begin';
import { bringDemo, setTaken } from '@/features/home/demo';
import { useListed, type HomeProject } from '@/features/home/useListed';
import { newId } from '@/features/shared/ids';
import { useGoing } from '@/features/shared/useGoing';
import { useUnforeseen } from '@/features/shared/useUnforeseen';
import { inWords } from '@/storage/trouble';
import { useNotify } from '@/ui/notices';

/** Something that takes its time. */
export interface Busy {
  says: string;
  /** How far it is, 0 to 1, where that is known. */
  share?: number;
  /** Has enough of it. */
  stop?: () => void;
}

function stopping() {
  const controller = new AbortController();
  return { signal: controller.signal, stop: () => controller.abort() };
}

/** Opening and packing files weighs more than the rest of this room: fetched when first needed. */
const filing = () => import('@/features/shared/files');
const histories = () => import('@/storage/projects');
const binned = () => import('@/storage/deleted');

/** What is under way, each thing telling of itself, and how one is begun. */
function useUnderway() {
  const notify = useNotify();
  const [underway, setUnderway] = useState<readonly (Busy & { id: string })[]>([]);
  /** Says in words what went wrong with something asked for; what it told of itself meanwhile ends whatever happens. */
  const attempt = useCallback(
    async (doing: string, act: (tell: (busy: Busy) => void) => Promise<void>) => {
      const id = newId();
      /** The page has its turn while it is drawn. */
      const set = (now: Busy | null) =>
        startTransition(() =>
          setUnderway((all) => {
            const at = all.findIndex((one) => one.id === id);
            const mine = now ? [{ ...now, id }] : [];
            if (at >= 0) return all.toSpliced(at, 1, ...mine);
            return now ? [...all, ...mine] : all;
          }),
        );
      try {
        await act(set);
      } catch (error) {
        notify({ text: inWords(error, doing), tone: 'error' });
      } finally {
        set(null);
      }
    },
    [notify],
  );
  return { underway, attempt };
}

export function useHome(demo: boolean) {
  const { open, once } = useGoing();
  const notify = useNotify();
  useUnforeseen();
  const { projects, deleted, space, refresh, listDeletedAgain } = useListed(demo);
  const { underway, attempt } = useUnderway();

  const openFiles = useCallback(
    (files: readonly File[]) =>
      attempt('Not all files were opened', async (tell) => {
        const lines: string[] = [];
        let trouble = false;
        const { signal, stop } = stopping();
        for (const [i, file] of files.entries()) {
          const says = `Opening ${calledFile(file.name)}${files.length > 1 ? `, ${i + 1} of ${files.length}` : ''} …`;
          tell({ says, stop });
          if (signal.aborted) {
            lines.push(`${calledFile(file.name)} was not opened. It was stopped.`);
            continue;
          }
          const opened = await (
            await filing()
          ).openFile(file, newId(), Date.now(), {
            signal,
            counted: (done, of) => tell({ says, stop, share: done / of }),
          });
          lines.push(
            opened.ok ? `Opened “${opened.value.title}”.` : opened.message,
            ...(opened.mended ?? []),
          );
          trouble ||= !opened.ok || opened.mended !== undefined;
        }
        if (lines.length) notify({ text: lines.join('\n'), ...(trouble ? { tone: 'error' } : {}) });
        await refresh();
      }),
    [attempt, notify, refresh],
  );

  useEffect(() => {
    let gone = false;
    void attempt('Your projects could not be listed', async () => {
      if (!gone) await refresh();
      // What cannot be thrown away today can be tomorrow.
      const { purge } = await binned();
      await purge(Date.now()).catch(() => {});
      if (!gone) await listDeletedAgain();
    });
    return () => {
      gone = true;
    };
  }, [attempt, refresh, listDeletedAgain]);

  /** Fetches a demo project that was not opened before. False if that failed, which the person is told. */
  const fetchIfNeeded = async ({ title, demo: offered }: HomeProject, tell: (busy: Busy) => void) => {
    if (!offered) return true;
    const { signal, stop } = stopping();
    const says = `Fetching “${title}” …`;
    tell({ says, stop });
    const counted = (done: number, of: number) => tell({ says, stop, share: done / of });
    const brought = await bringDemo(offered, { signal, counted });
    await refresh();
    if (!brought.ok && !signal.aborted) notify({ text: brought.message, tone: 'error' });
    return brought.ok;
  };

  return {
    projects,
    deleted,
    underway,
    space,
    open: (project: HomeProject) =>
      once(() =>
        attempt(`“${project.title}” was not opened`, async (tell) => {
          if (await fetchIfNeeded(project, tell)) open(project.id);
        }),
      ),
    openFiles,
    create: (begun: Begun) =>
      once(() =>
        attempt('No new page was made', async () => {
          const id = newId();
          const { begin } = await import('@/features/home/begin');
          await begin(begun, id, Date.now());
          open(id);
        }),
      ),
    practise: () =>
      once(() =>
        attempt('The practice page was not laid out', async (tell) => {
          tell({ says: 'Laying out the practice page …' });
          const { practicePage } = await import('@/features/home/practice');
          const found = await practicePage(Date.now());
          if (found.ok) open(found.value);
          else notify({ text: found.message, tone: 'error' });
        }),
      ),
    beginWith: (supply: Supply) =>
      once(() =>
        attempt(`“${supply.name}” was not begun`, async (tell) => {
          tell({ says: `Laying out “${supply.name}” …` });
          const { openPageSupply } = await import('@/features/shared/supplyFiles');
          const opened = await openPageSupply(supply, newId(), Date.now());
          if (opened.ok) open(opened.value.id);
          else notify({ text: opened.message, tone: 'error' });
        }),
      ),
    duplicate: (project: HomeProject) =>
      attempt(`“${project.title}” was not copied`, async (tell) => {
        if (!(await fetchIfNeeded(project, tell))) return;
        const copied = await (await histories()).duplicateProject(project.id, newId(), Date.now());
        notify(
          copied.ok
            ? { text: `Copied as “${copied.value.title}”.` }
            : { text: copied.message, tone: 'error' },
        );
        await refresh();
      }),
    remove: (project: HomeProject) =>
      attempt(`“${project.title}” was not deleted`, async () => {
        const back = { label: 'Undo', run: () => void putBack(project) };
        if (project.demo) {
          await setTaken(project.id, true);
          await refresh();
          return notify({ text: `Removed “${project.title}” from the demo.`, action: back });
        }
        await (await binned()).deleteProject(project.id, Date.now());
        await refresh();
        notify({
          text: `Deleted “${project.title}”. It can be put back for seven days.`,
          action: back,
        });
      }),
    putBack,
    emptyDeleted: () =>
      attempt('They were not thrown away', async () => {
        await (await binned()).emptyDeleted();
        await refresh();
      }),
    save: (project: HomeProject) =>
      attempt(`“${project.title}” was not saved as a file`, async (tell) => {
        if (!(await fetchIfNeeded(project, tell))) return;
        tell({ says: `Packing “${project.title}” …` });
        const opened = await (await histories()).openProject(project.id);
        if (!opened.ok) return notify({ text: opened.message, tone: 'error' });
        notify(await (await filing()).saveAsFile(opened.value));
        await refresh();
      }),
  };

  function putBack(project: Pick<HomeProject, 'id' | 'title' | 'demo'>): Promise<void> {
    return attempt(`“${project.title}” was not put back`, async () => {
      if (project.demo) await setTaken(project.id, false);
      else await (await binned()).undeleteProject(project.id);
      await refresh();
    });
  }
}
