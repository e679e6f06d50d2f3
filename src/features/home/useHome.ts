/** The projects on the home table, and what can be done with them. */
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useRef, useState } from 'react';
import { newLayout, type NewLayout } from '@/core/project/model';
import { download } from '@/features/shared/download';
import { newId } from '@/features/shared/ids';
import { lastBackup, noteBackup } from '@/storage/backup';
import { database } from '@/storage/database';
import {
  addProject,
  deleteProject,
  listProjects,
  purge,
  undeleteProject,
  type ProjectCard,
} from '@/storage/shelf';
import { useNotify } from '@/ui/notices';

export interface HomeProject extends ProjectCard {
  /** Address of its preview picture, if it has one. */
  preview?: string;
}

export interface SpaceUsed {
  bytes: number;
  /** When a project was last saved as a file, milliseconds since 1970. */
  lastBackup?: number;
}

/** Opening and packing files weighs more than the rest of this room: fetched when first needed. */
const filing = () => import('@/features/shared/files');
const histories = () => import('@/storage/projects');

export function useHome(demo: boolean) {
  const router = useRouter();
  const notify = useNotify();
  const [projects, setProjects] = useState<HomeProject[] | null>(null);
  const [busy, setBusy] = useState<string | null>(null);
  const [space, setSpace] = useState<SpaceUsed>();
  const addresses = useRef<string[]>([]);

  const refresh = useCallback(async () => {
    const cards = await listProjects();
    const previews = await database.previews.bulkGet(cards.map((card) => card.id));
    const old = addresses.current;
    addresses.current = [];
    setProjects(
      cards.map((card, i) => {
        const blob = previews[i]?.blob;
        const preview = blob && URL.createObjectURL(blob);
        if (preview) addresses.current.push(preview);
        return { ...card, preview };
      }),
    );
    old.forEach((address) => URL.revokeObjectURL(address));
    const [estimate, backup] = await Promise.all([navigator.storage?.estimate(), lastBackup()]);
    setSpace({ bytes: estimate?.usage ?? 0, lastBackup: backup });
  }, []);

  const open = useCallback((id: string) => router.push(`/table?project=${id}`), [router]);

  const openFiles = useCallback(
    async (files: readonly File[]) => {
      for (const file of files) {
        setBusy(`Opening ${file.name} …`);
        const opened = await (await filing()).openFile(file, newId(), Date.now());
        notify(
          opened.ok ? { text: `Opened “${opened.value.title}”.` } : { text: opened.message, tone: 'error' },
        );
      }
      setBusy(null);
      await refresh();
    },
    [notify, refresh],
  );

  useEffect(() => {
    let gone = false;
    void (async () => {
      await purge(Date.now());
      if (demo) await bringDemo((text) => !gone && setBusy(text));
      if (gone) return;
      setBusy(null);
      await refresh();
    })();
    return () => {
      gone = true;
    };
  }, [demo, refresh]);

  return {
    projects,
    busy,
    space,
    open,
    openFiles,
    async create(layout: Omit<NewLayout, 'id' | 'title'>) {
      const id = newId();
      await addProject(newLayout({ ...layout, id, title: 'Untitled layout' }), Date.now());
      // Asked once there is something to lose: browsers may then not clear the store by themselves.
      void navigator.storage?.persist?.();
      open(id);
    },
    async duplicate(id: string) {
      const copied = await (await histories()).duplicateProject(id, newId(), Date.now());
      notify(
        copied.ok ? { text: `Copied as “${copied.value.title}”.` } : { text: copied.message, tone: 'error' },
      );
      await refresh();
    },
    async remove(project: HomeProject) {
      await deleteProject(project.id, Date.now());
      await refresh();
      notify({
        text: `Deleted “${project.title}”.`,
        action: { label: 'Undo', run: () => void undeleteProject(project.id).then(refresh) },
      });
    },
    async save(project: HomeProject) {
      setBusy(`Packing “${project.title}” …`);
      const opened = await (await histories()).openProject(project.id);
      setBusy(null);
      if (!opened.ok) return notify({ text: opened.message, tone: 'error' });
      const { blob, name, missing } = await (await filing()).fileOf(opened.value.project);
      download(blob, name);
      await noteBackup(Date.now());
      await refresh();
      if (missing.length)
        notify({ text: `Saved, without ${missing.join(', ')}: not found in this browser.`, tone: 'warning' });
    },
  };
}

const DEMO_DONE = 'demo brought in';
let bringing: Promise<void> | undefined;

/** Brings in the demo's projects, once in the life of this browser's store. */
function bringDemo(say: (text: string) => void): Promise<void> {
  bringing ??= (async () => {
    if (await database.settings.get(DEMO_DONE)) return;
    const names: string[] = await (await fetch('/demo/projects.json')).json();
    for (const [i, name] of names.entries()) {
      say(`Laying out the kite club's pages: ${i + 1} of ${names.length} …`);
      const blob = await (await fetch(`/demo/${name}`)).blob();
      await (await filing()).openFile(new File([blob], name), name.replace(/\.bellagraph$/, ''), Date.now());
    }
    await database.settings.put({ key: DEMO_DONE, value: true });
  })();
  return bringing;
}
