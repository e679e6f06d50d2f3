/** The book as it would be laid, for what is wished now. */
import { useMemo, useState } from 'react';
import { keptSpreads, photosKept } from '@/core/book/flow';
import { newTo, type FlowWish } from '@/core/book/plan';
import { bookIn } from '@/core/product/book';
import { BINDS } from '@/core/product/book/binding';
import { boundPages, MOST_PAGES } from '@/core/product/book/settings';
import { waitingPhotos } from '@/core/project/photos';
import { lookForFaces, looksForFaces } from '@/features/shared/faces';
import { useReadyMade } from '@/features/shared/useReadyMade';
import { useSession } from '@/features/table/room/context';
import {
  absentInWords,
  inWords,
  isLaid,
  laidAnew,
  laidMore,
  pagesIn,
  type How,
} from '@/features/table/tasks/book/flowing';
import { useAbsent } from '@/features/table/tasks/book/useAbsent';
import { useAlive } from '@/features/table/tasks/book/useAlive';
import { PLAIN, useDesign } from '@/features/table/tasks/book/useDesign';
import { useFaces } from '@/features/table/tasks/book/useFaces';
import { usePlan } from '@/features/table/tasks/book/usePlan';

const FIRST: FlowWish = { pages: null, chapters: true, oneOfAlike: true, seed: 1 };
/** Photos that flow in at once. */
const MOST_FLOWING = 2000;

export function useFlow() {
  const project = useSession((session) => session.history.project);
  const wanted = useSession((session) => session.wanted);
  const typesetter = useSession((session) => session.typesetter);
  const book = bookIn(project.product);
  const [wish, setWish] = useState(FIRST);
  const [stars, setStars] = useState(0);
  const [wished, setHow] = useState<How>('more');
  const [chosen, setChosen] = useState<string | null>(null);
  const [faces, setFaces] = useState(looksForFaces);
  const ready = useReadyMade('book');
  const id = chosen ?? book?.design ?? ready?.[0]?.supply.id ?? PLAIN;
  const supply = ready?.find((each) => each.supply.id === id)?.supply ?? null;
  const { design, trouble } = useDesign(ready ? supply : undefined, project);
  const { alive } = useAlive(project);
  const kept = useMemo(() => keptSpreads(project), [project]);
  const waits = useMemo(() => {
    if (!isLaid(project) || wanted.length) return [];
    const waiting = waitingPhotos(project);
    const held = new Set(waiting.map(({ sha }) => sha));
    const used = project.photos.flatMap((sha) => (held.has(sha) ? [] : (project.assets[sha] ?? [])));
    return newTo(used, waiting);
  }, [project, wanted]);
  const asked = wanted.length ? wanted : project.photos;
  const absent = useAbsent(asked);
  const how = waits.length ? wished : 'all';
  const photos = useMemo(() => {
    const held = photosKept(project);
    const all = asked.filter((sha) => !held.has(sha));
    const from = how === 'more' ? waits : all.flatMap((sha) => project.assets[sha] ?? []);
    return from
      .filter(({ sha, notes }) => !absent.has(sha) && (notes?.stars ?? 0) >= stars)
      .slice(0, MOST_FLOWING);
  }, [project, asked, absent, stars, how, waits]);
  const now = usePlan(how === 'all' ? design : null, project, photos, wish);
  // First what one waits for.
  const looking = useFaces(photos, faces, how === 'more' || now.plan !== null || trouble !== null);
  const joined = useMemo(
    () => (how === 'more' && alive && photos.length ? laidMore(alive, photos) : null),
    [how, alive, photos],
  );
  const anew = useMemo(
    () => (now.plan && now.design ? laidAnew(project, now.design, now.plan, photos, typesetter, id) : null),
    // oxlint-disable-next-line react/exhaustive-deps -- it is laid when a plan arrives; a font changes no plan
    [now.plan, now.design],
  );
  const laid = how === 'all' ? anew : joined?.ok ? joined.value : null;
  const most = MOST_PAGES - 2 * kept.length;
  const says =
    how === 'more'
      ? joined && !joined.ok
        ? joined.message
        : 'They go where their time is: onto the spread of that day, or on one more after it. Every other page stays as it is.'
      : laid?.plan && book
        ? inWords(laid.plan, photos.length, kept.length, wish, BINDS[book.binding].step)
        : '';
  return {
    ...{ book, project, photos, kept, laid, how, setHow, waits, stars, setStars, wanted, wish, ready, id },
    ...{ setChosen, faces, looking, most },
    pages: book ? boundPages(laid?.plan ? pagesIn(laid.plan) : 24, book) : 24,
    setWish: (to: Partial<FlowWish>) =>
      setWish({
        ...wish,
        ...to,
        ...(to.pages && book ? { pages: Math.min(most, boundPages(to.pages, book)) } : {}),
      }),
    setFaces(on: boolean) {
      lookForFaces(on);
      setFaces(on);
    },
    busy: photos.length > 0 && (how === 'all' ? now.busy || (!design && !trouble) : !alive),
    says: [(how === 'all' ? (trouble ?? now.trouble) : null) ?? says, absentInWords(absent, project.assets)]
      .filter(Boolean)
      .join('\n'),
  };
}
