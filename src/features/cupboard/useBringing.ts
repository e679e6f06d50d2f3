/** Bringing supplies in: chosen or dropped, read, then looked over before they are put away. */
import { startTransition, useCallback, useEffect, useRef, useState } from 'react';
import { useDropzone } from 'react-dropzone';
import { newKit, type Kit, type Supply } from '@/core/supplies/model';
import { gatherFiles, type Batch, type Gathered, type Row } from '@/features/cupboard/gathering';
import type { Cupboard } from '@/features/cupboard/useCupboard';
import { kitMeant, type IntoKit } from '@/features/shared/KitChoice';
import { newId } from '@/features/shared/ids';
import { picturesOf } from '@/storage/supplies';
import { throwOutUnused } from '@/storage/deleted';
import { inWords } from '@/storage/trouble';
import { useNotify } from '@/ui/notices';

export type BringingStage =
  | { kind: 'idle' }
  | { kind: 'reading'; done: number; of: number; cancel: () => void }
  | { kind: 'review'; batch: Pick<Batch, 'name' | 'rows'>; skipped: readonly string[] };

export interface Bringing {
  stage: BringingStage;
  rootProps: ReturnType<typeof useDropzone>['getRootProps'];
  inputProps: ReturnType<typeof useDropzone>['getInputProps'];
  pick: () => void;
  pickFolder: () => void;
  bring: (files: readonly File[]) => Promise<void>;
  /** Puts looked-over rows away, into a kit there is or a new one. */
  keep: (rows: readonly Row[], into: IntoKit) => Promise<void>;
  /** Leaves what was read outside; its files go from the store. */
  discard: () => void;
}

const supplyOf = ({ sure: _, why: __, ...row }: Row, kit: string, order: number, added: number): Supply => ({
  ...row,
  kit,
  order,
  added,
});

export function useBringing(cupboard: Cupboard): Bringing {
  const notify = useNotify();
  const [stage, setStageNow] = useState<BringingStage>({ kind: 'idle' });
  /** Whether anything is being read or looked over: what is dropped on that waits for another time. */
  const busy = useRef(false);
  /** There is much to draw: in between, the page has its turn. */
  const setStage = useCallback((stage: BringingStage) => {
    busy.current = stage.kind !== 'idle';
    startTransition(() => setStageNow(stage));
  }, []);
  const now = useRef(cupboard);
  useEffect(() => {
    now.current = cupboard;
  }, [cupboard]);

  const putAway = useCallback(async (kit: Kit, rows: readonly Row[]) => {
    const { find, add } = now.current;
    const from = find('', { kit: kit.id }, () => false).reduce(
      (most, { order }) => Math.max(most, order + 1),
      0,
    );
    const added = Date.now();
    await add(
      kit,
      rows.map((row, i) => supplyOf(row, kit.id, from + i, added)),
    );
  }, []);

  /** A kit whose kit.json was believed needs no looking over. */
  const putKitAway = useCallback(
    async ({ about, name, rows }: Batch) => {
      const kit = { ...newKit(newId(), name ?? 'My kit', Date.now()), ...about?.kit };
      const cover = about?.supplies.find(({ file }) => file !== undefined && file === about.cover)?.name;
      await putAway({ ...kit, cover: rows.find((row) => row.name === cover)?.id }, rows);
    },
    [putAway],
  );

  const bring = useCallback(
    async (files: readonly File[]) => {
      if (!files.length) return;
      if (busy.current)
        return notify({ text: 'One after the other: what came in before is still to be put away.' });
      const controller = new AbortController();
      const cancel = () => controller.abort();
      setStage({ kind: 'reading', done: 0, of: files.length, cancel });
      let gathered: Gathered;
      let told = 0;
      try {
        gathered = await gatherFiles(
          files,
          controller.signal,
          (done, of) => {
            // A few times a second is enough to see it go on.
            if (done < of && performance.now() - told < 120) return;
            told = performance.now();
            setStage({ kind: 'reading', done, of, cancel });
          },
          (sha) => now.current.idOf(sha),
        );
      } catch {
        setStage({ kind: 'idle' });
        return notify({ text: 'These files could not be read. Nothing was changed.', tone: 'error' });
      }
      const { batches, marks, skipped, full } = gathered;
      if (full)
        skipped.unshift('There is no room left in this browser’s store; what is listed here arrived.');
      try {
        for (const batch of batches.filter(({ about }) => about)) await putKitAway(batch);
        if (marks.length) await now.current.restoreMarks(marks);
      } catch (error) {
        setStage({ kind: 'idle' });
        notify({ text: inWords(error, 'Not all of it was put away'), tone: 'error' });
        return void throwOutUnused(picturesOf(batches.flatMap((batch) => batch.rows))).catch(() => {});
      }
      const settled = batches.filter(({ about }) => about);
      const open = batches.filter(({ about }) => !about);
      const rows = open.flatMap((batch) => batch.rows);
      if (rows.length) {
        const name = open.length === 1 ? open[0]!.name : undefined;
        setStage({ kind: 'review', batch: { name, rows }, skipped });
      } else setStage({ kind: 'idle' });
      const count = settled.reduce((sum, batch) => sum + batch.rows.length, 0);
      if (settled.length)
        notify({
          text: [
            `${settled.length === 1 ? settled[0]!.name : `${settled.length} kits`}: ${count} ${count === 1 ? 'supply' : 'supplies'} put away.`,
            ...(rows.length ? [] : skipped),
          ].join('\n'),
          tone: skipped.length ? 'warning' : 'info',
        });
      else if (!rows.length)
        notify({ text: skipped.join('\n') || 'Nothing new was in there.', tone: 'warning' });
    },
    [notify, putKitAway, setStage],
  );

  const keep = useCallback(
    async (rows: readonly Row[], into: IntoKit) => {
      const kit = kitMeant(into, now.current.kits, newId(), Date.now());
      try {
        await putAway(kit, rows);
      } catch {
        return notify({
          text: 'They could not be put away: the browser’s store refused. They are still here; free some room and try again.',
          tone: 'error',
        });
      }
      setStage({ kind: 'idle' });
      notify({
        text: `${rows.length} ${rows.length === 1 ? 'supply' : 'supplies'} put away in ${kit.name}.`,
      });
      await throwOutUnused();
    },
    [notify, putAway, setStage],
  );

  const discard = useCallback(() => {
    setStage({ kind: 'idle' });
    void throwOutUnused(picturesOf(stage.kind === 'review' ? stage.batch.rows : []));
  }, [stage, setStage]);

  const { getRootProps, getInputProps, open } = useDropzone({
    onDrop: (files) => void bring(files),
    noClick: true,
    noKeyboard: true,
    noDragEventsBubbling: true,
  });
  const pickFolder = useCallback(() => {
    const input = document.createElement('input');
    input.type = 'file';
    input.webkitdirectory = true;
    input.onchange = () => void bring([...(input.files ?? [])]);
    input.click();
  }, [bring]);

  return {
    stage,
    rootProps: getRootProps,
    inputProps: getInputProps,
    pick: open,
    pickFolder,
    bring,
    keep,
    discard,
  };
}
