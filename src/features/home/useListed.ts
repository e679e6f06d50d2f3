/** What lies on the home table, what was deleted lately, and what all of it takes. */
import { startTransition, useCallback, useEffect, useRef, useState } from 'react';
import { offeredDemo, type DemoProject } from '@/features/home/demo';
import { lastBackup } from '@/storage/backup';
import { database } from '@/storage/database';
import type { listDeleted } from '@/storage/deleted';
import { listProjects, type ProjectCard } from '@/storage/shelf';

export interface HomeProject extends ProjectCard {
  /** Address of its preview picture, if it has one. */
  preview?: string;
  /** It is the demo's and was not opened yet: nothing of it is in the store. */
  demo?: DemoProject;
}

export type DeletedProject = Awaited<ReturnType<typeof listDeleted>>[number];

export interface SpaceUsed {
  bytes: number;
  /** When a project was last saved as a file, milliseconds since 1970. */
  lastBackup?: number;
  /** Whether the browser keeps the store until it is told otherwise; undefined if it does not say. */
  persisted?: boolean;
}

/** A project of the demo among the person's own. */
const offered = (demo: DemoProject): HomeProject => {
  const { id, title, width, height, unit, product, cover } = demo;
  const row = { id, title, width, height, unit, product, edited: 0, version: 0, snapshotAt: 0, done: 0 };
  return { ...row, files: [], preview: `/demo/${cover}`, demo };
};

/** `demo`: whether the program was started with its pages. */
export function useListed(demo: boolean) {
  const [projects, setProjects] = useState<HomeProject[] | null>(null);
  const [deleted, setDeleted] = useState<DeletedProject[]>([]);
  const [space, setSpace] = useState<SpaceUsed>();
  const addresses = useRef<string[]>([]);

  const forgetAddresses = () => {
    addresses.current.forEach((address) => URL.revokeObjectURL(address));
    addresses.current = [];
  };
  useEffect(() => forgetAddresses, []);

  const listDeletedAgain = useCallback(
    async () => setDeleted(await (await import('@/storage/deleted')).listDeleted()),
    [],
  );

  const refresh = useCallback(async () => {
    const [cards, notOpened] = await Promise.all([listProjects(), demo ? offeredDemo() : []]);
    const previews = await database.previews.bulkGet(cards.map((card) => card.id)).catch(() => []);
    const old = addresses.current;
    addresses.current = [];
    const listed = cards.map((card, i) => {
      const blob = previews[i]?.blob;
      const preview = blob && URL.createObjectURL(blob);
      if (preview) addresses.current.push(preview);
      return { ...card, preview };
    });
    // Many are drawn: in between, the page has its turn.
    startTransition(() => setProjects([...listed, ...notOpened.map(offered)]));
    old.forEach((address) => URL.revokeObjectURL(address));
    await listDeletedAgain();
    const [estimate, backup, persisted] = await Promise.all([
      navigator.storage?.estimate?.().catch(() => undefined),
      lastBackup(),
      navigator.storage?.persisted?.().catch(() => undefined),
    ]);
    setSpace({ bytes: estimate?.usage ?? 0, lastBackup: backup, persisted });
  }, [demo, listDeletedAgain]);

  return { projects, deleted, space, refresh, listDeletedAgain };
}
