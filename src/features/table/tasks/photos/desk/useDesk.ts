/** The project’s photos as the desk shows them: what is known of each, which are shown, and under which headings. */
import { useEffect, useMemo, useState } from 'react';
import type { Asset } from '@/core/picture/asset';
import { BLURRED } from '@/core/photos/blur';
import { alikeGroups } from '@/core/photos/likeness';
import { occasionsOf } from '@/core/photos/occasions';
import { dayInWords, secondsOf } from '@/core/photos/when';
import { uses, type Project } from '@/core/project/model';
import { byTime, shapeOf } from '@/core/project/photos';
import { lookAgain } from '@/features/shared/bringIn';
import { readableBlob } from '@/storage/assets';
import type { Section } from '@/features/table/tasks/photos/desk/rows';

export const SHOWN = ['all', 'waiting', 'used', 'blurred', 'alike'] as const;
export type Which = (typeof SHOWN)[number];

export interface Wish {
  which: Which;
  /** At least so many stars. */
  stars: number;
  /** Words that begin words of its name, caption, people or place. */
  words: string;
}

type Seen = Pick<Asset, 'blur' | 'likeness'>;

/** Milliseconds between looks at what is known so far. */
const SHOW_EVERY = 400;
const lookedAgain = new Map<string, Seen>();

/** What is seen in photos that came in before it was looked for. */
function useLookedAgain(assets: readonly Asset[]): ReadonlyMap<string, Seen> {
  const [seen, setSeen] = useState<ReadonlyMap<string, Seen>>(() => new Map(lookedAgain));
  useEffect(() => {
    let gone = false;
    void (async () => {
      let shown = performance.now();
      for (const { sha, likeness, type } of assets) {
        if (gone) return;
        if (likeness || lookedAgain.has(sha) || type === 'image/svg+xml') continue;
        const blob = await readableBlob(sha);
        // What cannot be read is seen as nothing, and not tried again.
        lookedAgain.set(sha, (blob && (await lookAgain(blob).catch(() => undefined))) ?? {});
        if (performance.now() - shown < SHOW_EVERY) continue;
        shown = performance.now();
        setSeen(new Map(lookedAgain));
      }
      if (!gone) setSeen(new Map(lookedAgain));
    })();
    return () => {
      gone = true;
    };
  }, [assets]);
  return seen;
}

const clock = (taken: string): string => taken.slice(11, 16);

const count = (photos: readonly unknown[]): string =>
  photos.length === 1 ? '1 photo' : `${photos.length} photos`;

function whenInWords(from: string, to: string): string {
  if (from.slice(0, 10) !== to.slice(0, 10)) return `from ${clock(from)} to ${dayInWords(to)}, ${clock(to)}`;
  return clock(from) === clock(to) ? clock(from) : `${clock(from)} to ${clock(to)}`;
}

const plain = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** Whether each word typed begins a word of what is known of the photo. */
function says({ name, notes }: Asset, words: readonly string[]): boolean {
  const known = plain([name, notes?.caption, notes?.place, ...(notes?.people ?? [])].join(' ')).split(
    /[^\p{L}\p{N}]+/u,
  );
  return words.every((word) => known.some((one) => one.startsWith(word)));
}

export interface Desk {
  sections: readonly Section[];
  /** As they are shown, over all sections. */
  shown: readonly Asset[];
  /** How many there are of each kind. */
  counts: Readonly<Record<Which, number>>;
  used: ReadonlyMap<string, number>;
  isBlurred(asset: Asset): boolean;
  blurOf(asset: Asset): number | undefined;
  /** The others that are alike, by SHA-256. */
  alike: ReadonlyMap<string, readonly Asset[]>;
}

export function useDesk(project: Project, { which, stars, words }: Wish): Desk {
  const { photos, assets } = project;
  const all = useMemo(() => byTime(photos.flatMap((sha) => assets[sha] ?? [])), [photos, assets]);
  const again = useLookedAgain(all);
  const used = useMemo(() => uses(project), [project]);
  const groups = useMemo(() => {
    const known = all.flatMap((asset) => {
      const likeness = asset.likeness ?? again.get(asset.sha)?.likeness;
      return likeness ? [{ asset, likeness }] : [];
    });
    return alikeGroups(
      known.map(({ asset, likeness }) => ({
        likeness,
        shape: shapeOf(asset),
        time: asset.taken ? secondsOf(asset.taken) : null,
      })),
    ).map((group) => group.map((i) => known[i]!.asset));
  }, [all, again]);
  return useMemo(() => {
    const blurOf = ({ sha, blur }: Asset) => blur ?? again.get(sha)?.blur;
    const isBlurred = (asset: Asset) => (blurOf(asset) ?? 0) >= BLURRED;
    const alike = new Map(groups.flatMap((group) => group.map(({ sha }) => [sha, group] as const)));
    const is: Record<Which, (asset: Asset) => boolean> = {
      all: () => true,
      waiting: ({ sha }) => !used.has(sha),
      used: ({ sha }) => used.has(sha),
      blurred: isBlurred,
      alike: ({ sha }) => alike.has(sha),
    };
    const typed = plain(words).split(/\s+/).filter(Boolean);
    const wanted = (asset: Asset) =>
      is[which](asset) && (asset.notes?.stars ?? 0) >= stars && says(asset, typed);
    const sections: Section[] =
      which === 'alike'
        ? groups.flatMap((group, i) => {
            const photos = group.filter(wanted);
            return photos.length ? [{ title: `Alike ${i + 1}`, says: count(photos), photos }] : [];
          })
        : occasionsOf(all.filter(wanted)).map(({ from, to, photos }) => ({
            title: from ? dayInWords(from) : 'Not known when',
            says: from ? `${whenInWords(from, to!)}, ${count(photos)}` : count(photos),
            photos,
          }));
    return {
      sections,
      shown: sections.flatMap((section) => section.photos),
      counts: Object.fromEntries(SHOWN.map((name) => [name, all.filter(is[name]).length])) as Record<
        Which,
        number
      >,
      used,
      isBlurred,
      blurOf,
      alike,
    };
  }, [all, again, groups, used, which, stars, words]);
}
