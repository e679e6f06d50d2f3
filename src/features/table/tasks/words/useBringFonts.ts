/** Fonts of one's own on their way in: looked at one after another beside the page, kept, and told about. */
import { startTransition, useCallback, useRef, useState } from 'react';
import { bringFonts } from '@/core/project/edits/fonts';
import { LONGEST_FONT_NAME, shortened } from '@/core/text/named';
import { MOST_FONTS } from '@/core/project/schema';
import { sha256 } from '@/core/sha';
import { ownFamily } from '@/core/text/families';
import { openFont } from '@/core/text/shaper';
import { calledFile } from '@/core/text/named';
import { seenFont } from '@/features/shared/bringIn';
import { useRoom } from '@/features/table/room/context';
import { storeFile } from '@/storage/assets';
import { isFull } from '@/storage/trouble';
import { JobEnded } from '@/workers/hands';
import type { SeenFont } from '@/workers/import.worker';

interface Looked extends SeenFont {
  file: File;
  sha: string;
}

export interface Told {
  name: string;
  says: string[];
  how: 'here' | 'refused' | 'left';
}

export function useBringFonts() {
  const { store } = useRoom();
  const [busy, setBusy] = useState<{ at: number; of: number; name: string } | null>(null);
  const [told, setTold] = useState<readonly Told[]>([]);
  /** Those with few letters: taken only if that is wished. */
  const [asking, setAsking] = useState<readonly Looked[]>([]);
  const cancelling = useRef<AbortController | null>(null);

  const taken = useCallback(
    async ({ file, sha, name: own, says, plain }: Looked): Promise<Told> => {
      const { fonts = [] } = store.getState().history.project;
      if (fonts.length >= MOST_FONTS && !fonts.some((font) => font.sha === sha)) {
        const name = calledFile(file.name);
        const why = `a project holds ${MOST_FONTS} fonts at the most. Take one out first`;
        return { name, says: [`${name} was not brought in: ${why}.`], how: 'refused' };
      }
      try {
        await storeFile(sha, file);
      } catch (error) {
        const why = isFull(error) ? 'there is no room left in this browser’s store' : 'it could not be kept';
        const name = calledFile(file.name);
        return { name, says: [`${name} was not brought in: ${why}.`], how: 'refused' };
      }
      const family = ownFamily(sha);
      const font = await openFont(family, new Uint8Array(await plain.arrayBuffer()));
      const { typesetter, perform, equip } = store.getState();
      if (!typesetter.has(family)) equip(typesetter.with([font]));
      const name = shortened(own, LONGEST_FONT_NAME);
      perform(bringFonts([{ sha, name, bytes: file.size }]));
      return { name, says, how: 'here' };
    },
    [store],
  );

  const bring = async (files: readonly File[]) => {
    const controller = new AbortController();
    cancelling.current = controller;
    setTold([]);
    setAsking([]);
    for (const [at, file] of files.entries()) {
      const called = calledFile(file.name);
      startTransition(() => setBusy({ at: at + 1, of: files.length, name: called }));
      const tell = (one: Told) => startTransition(() => setTold((before) => [...before, one]));
      try {
        const sha = await sha256(new Uint8Array(await file.arrayBuffer()));
        const seen = await seenFont(file, sha, controller.signal);
        if (!seen.ok) tell({ name: called, says: [seen.message], how: 'refused' });
        else if (seen.value.few) setAsking((before) => [...before, { ...seen.value, file, sha }]);
        else tell(await taken({ ...seen.value, file, sha }));
      } catch (error) {
        if (error instanceof JobEnded) {
          tell({ name: '', says: [`Stopped: ${files.length - at} not brought in.`], how: 'left' });
          break;
        }
        tell({ name: called, says: [`${called} could not be read.`], how: 'refused' });
      }
    }
    cancelling.current = null;
    startTransition(() => setBusy(null));
  };

  const answer = async (looked: Looked, take: boolean) => {
    setAsking((before) => before.filter((one) => one !== looked));
    if (!take) return;
    const one = await taken(looked);
    setTold((before) => [...before, one]);
  };

  return { busy, told, asking, bring, answer, cancel: () => cancelling.current?.abort() };
}
