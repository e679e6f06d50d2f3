'use client';
/** Photos flow into the book: a design, how many pages; all of it is seen before it is laid, in one step. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import CircularProgress from '@mui/material/CircularProgress';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { IconArrowsShuffle } from '@tabler/icons-react';
import { useMemo, useState } from 'react';
import { keptSpreads, laidBook, layBook, photosKept } from '@/core/book/flow';
import type { FlowWish, Plan } from '@/core/book/plan';
import type { BookDesign } from '@/core/book/design';
import { withFollows } from '@/core/calendar/follows';
import type { Asset } from '@/core/picture/asset';
import { bookIn } from '@/core/product/book';
import { BINDS } from '@/core/product/book/binding';
import { boundPages, FEWEST_PAGES, MOST_PAGES } from '@/core/product/book/settings';
import type { Edit } from '@/core/project/edits/edit';
import { perform, startHistory } from '@/core/project/history';
import type { Project } from '@/core/project/model';
import { lookForFaces, looksForFaces } from '@/features/shared/faces';
import { newId } from '@/features/shared/ids';
import { useReadyMade } from '@/features/shared/useReadyMade';
import { toPageAt } from '@/features/table/acts';
import { wholeWithin } from '@/features/table/parts/measures';
import { NearPicture } from '@/features/table/parts/NearPicture';
import { useThumbs } from '@/features/table/parts/useThumbs';
import { useRoom, useSession } from '@/features/table/room/context';
import type { SessionStore } from '@/features/table/session';
import { DesignPicker } from '@/features/table/tasks/book/DesignPicker';
import { PLAIN, useDesign } from '@/features/table/tasks/book/useDesign';
import { useFaces } from '@/features/table/tasks/book/useFaces';
import { usePlan } from '@/features/table/tasks/book/usePlan';
import { Chosen } from '@/ui/Chosen';
import { LengthField } from '@/ui/LengthField';
import { Turned } from '@/ui/Turned';

/** CSS pixels of a spread in the strip. */
const SIDE = 250;
const MOST_FLOWING = 2000;

const FIRST: FlowWish = { pages: null, chapters: true, oneOfAlike: true, seed: 1 };

interface Laid {
  edit: Edit;
  /** The book as it would be. */
  project: Project;
  plan: Plan;
}

export function FlowSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const project = useSession((session) => session.history.project);
  const readOnly = useSession((session) => session.readOnly);
  const wanted = useSession((session) => session.wanted);
  const typesetter = useSession((session) => session.typesetter);
  const book = bookIn(project.product);
  const [wish, setWish] = useState(FIRST);
  const [stars, setStars] = useState(0);
  const [chosen, setChosen] = useState<string | null>(null);
  const ready = useReadyMade('book');
  const id = chosen ?? book?.design ?? ready?.[0]?.supply.id ?? PLAIN;
  const supply = ready && (id === PLAIN ? null : ready.find((each) => each.supply.id === id)?.supply);
  const { design, trouble } = useDesign(ready ? (supply ?? null) : undefined, project);
  const kept = useMemo(() => keptSpreads(project), [project]);
  const photos = useMemo(() => {
    const held = photosKept(project);
    const from = wanted.length ? wanted : project.photos;
    return from
      .flatMap((sha) => (held.has(sha) ? [] : (project.assets[sha] ?? [])))
      .filter(({ notes }) => (notes?.stars ?? 0) >= stars)
      .slice(0, MOST_FLOWING);
  }, [project, wanted, stars]);
  const [faces, setFaces] = useState(looksForFaces);
  const looking = useFaces(photos, faces);
  const now = usePlan(design, project, photos, wish);
  const laid = useMemo(
    () => (now.plan && now.design ? layOut(project, now.design, now.plan, photos, typesetter, id) : null),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- a font that arrives changes no plan
    [now.plan, now.design],
  );
  if (!book) return null;
  const set = (to: Partial<FlowWish>) => setWish({ ...wish, ...to });
  const most = MOST_PAGES - 2 * kept.length;
  return (
    <Dialog
      open
      onClose={onClose}
      maxWidth="xl"
      fullWidth
      aria-labelledby="flow-title"
      slotProps={{ paper: { sx: { height: 'calc(100% - 48px)', m: 3 } } }}
    >
      <DialogTitle id="flow-title" variant="h2" sx={{ pb: 1 }}>
        Let photos flow into the book
      </DialogTitle>
      <DialogContent
        dividers
        sx={{ display: 'grid', gridTemplateColumns: '296px minmax(0, 1fr)', overflow: 'hidden', p: 0 }}
      >
        <Box
          sx={{
            borderRight: 1,
            borderColor: 'divider',
            p: 2,
            overflowY: 'auto',
            display: 'grid',
            gap: 1.75,
            alignContent: 'start',
          }}
        >
          <DesignPicker ready={ready} chosen={id} onChoose={setChosen} />
          <Box sx={{ display: 'grid', gridTemplateColumns: wish.pages === null ? '1fr' : '1fr 1fr', gap: 1 }}>
            <Chosen
              label="Pages"
              value={wish.pages === null ? 'free' : 'set'}
              all={[
                ['free', 'As many as it takes'],
                ['set', 'So many'],
              ]}
              disabled={readOnly}
              onChoose={(how) =>
                set({ pages: how === 'free' ? null : boundPages(laid ? laidPages(laid.plan) : 24, book) })
              }
            />
            {wish.pages !== null && (
              <LengthField
                label="How many"
                shown={String(wish.pages)}
                read={wholeWithin(FEWEST_PAGES, most)}
                disabled={readOnly}
                onCommit={(pages) => set({ pages: Math.min(most, boundPages(pages, book)) })}
              />
            )}
          </Box>
          <Chosen
            label="Photos"
            value={stars}
            all={[0, 1, 2, 3, 4, 5].map((count) => [
              count,
              count === 0
                ? wanted.length
                  ? 'Those that were chosen'
                  : 'All there are'
                : count === 5
                  ? 'With 5 stars'
                  : `With ${count} ${count === 1 ? 'star' : 'stars'} or more`,
            ])}
            disabled={readOnly}
            onChoose={setStars}
          />
          <Box sx={{ display: 'grid' }}>
            <Turned
              label="Occasions open with a title"
              on={wish.chapters}
              disabled={readOnly}
              onTurn={(chapters) => set({ chapters })}
            />
            <Turned
              label="One of those that are alike"
              on={wish.oneOfAlike}
              disabled={readOnly}
              onTurn={(oneOfAlike) => set({ oneOfAlike })}
            />
            <Turned
              label="Keep faces whole"
              on={faces}
              disabled={readOnly}
              onTurn={(on) => {
                lookForFaces(on);
                setFaces(on);
              }}
            />
          </Box>
          <Button
            color="inherit"
            variant="outlined"
            disabled={readOnly || !laid}
            startIcon={<IconArrowsShuffle size={18} />}
            onClick={() => set({ seed: wish.seed + 1 })}
          >
            Deal them otherwise
          </Button>
          {looking !== null && (
            <Typography variant="body2" color="text.secondary">
              Looking for faces, here in your browser: {looking} to go.
            </Typography>
          )}
          <Typography role="status" variant="body2" sx={{ whiteSpace: 'pre-line' }}>
            {(trouble ?? now.trouble) ||
              inWords(laid?.plan ?? null, photos.length, kept.length, wish, BINDS[book.binding].step)}
          </Typography>
        </Box>
        <Box sx={{ minHeight: 0, overflowY: 'auto', p: 2.5, bgcolor: 'table.main', position: 'relative' }}>
          {laid && <Strip laid={laid} kept={kept.map(({ id: one }) => one)} />}
          {(now.busy || (!design && !trouble)) && photos.length > 0 && (
            <Box sx={{ position: 'absolute', top: 14, right: 18 }}>
              <CircularProgress size={26} aria-label="Planning the pages" />
            </Box>
          )}
          {!photos.length && (
            <Typography sx={{ maxWidth: 460, m: 'auto', mt: 10, textAlign: 'center' }}>
              {project.photos.length
                ? 'No photo is left to flow in: all of them lie on pages that are kept as they are, or have fewer stars.'
                : 'No photos yet. Shut this, drop a folder of them on the workbox below the page, and come back: they are laid by the time they were taken.'}
            </Typography>
          )}
        </Box>
      </DialogContent>
      <DialogActions sx={{ px: 3, py: 1.5 }}>
        <Typography variant="body2" color="text.secondary" sx={{ flex: 1 }}>
          {kept.length > 0 &&
            `Kept as they are: ${kept
              .map(({ name }) => name.replace('Pages ', ''))
              .slice(0, 8)
              .join(', ')}${kept.length > 8 ? ' and more' : ''}.`}
        </Typography>
        <Button color="inherit" onClick={onClose}>
          Shut
        </Button>
        <Button
          variant="contained"
          disabled={readOnly || !laid || now.busy}
          onClick={() => {
            if (!laid) return;
            layIt(store, laid);
            onClose();
          }}
        >
          Lay the book
        </Button>
      </DialogActions>
    </Dialog>
  );
}

const laidPages = ({ spreads, empty }: Plan): number => 2 * spreads.length + 2 + empty;

function layOut(
  project: Project,
  design: BookDesign,
  plan: Plan,
  photos: readonly Asset[],
  typesetter: Parameters<typeof withFollows>[1],
  supply: string,
): Laid {
  const known = new Map([...Object.values(project.assets), ...photos].map((asset) => [asset.sha, asset]));
  const laid = laidBook(project, design, plan, known, { typesetter, newId });
  const edit = layBook(`lay ${photos.length} photos as a book`, laid, design, photos, supply);
  return { edit, plan, project: withFollows(perform(startHistory(project), edit, 0), typesetter).project };
}

/** The page that is shown may be no more. */
function layIt(store: SessionStore, { edit }: Laid): void {
  const { history, perform: doIt } = store.getState();
  toPageAt(store, history.project.surfaces[0]!.id);
  doIt(edit, { selection: [] });
}

function inWords(plan: Plan | null, photos: number, kept: number, wish: FlowWish, step: number): string {
  if (!plan) return photos ? 'Planning the pages …' : '';
  const alike = plan.left.filter(({ why }) => why === 'alike').length;
  const full = plan.left.length - alike;
  const many = (count: number, one: string, more = `${one}s`) => `${count} ${count === 1 ? one : more}`;
  const dealt = photos - plan.left.length;
  const pages = laidPages(plan) + 2 * kept;
  return [
    `${many(dealt, 'photo')} on ${pages} pages${plan.chapters.length ? `, in ${many(plan.chapters.length, 'chapter')}` : ''}.`,
    wish.pages !== null && laidPages(plan) - plan.empty < wish.pages && !plan.empty
      ? `There are too few photos for ${wish.pages} pages.`
      : '',
    plan.empty
      ? `${many(plan.empty, 'page')} at the end ${plan.empty === 1 ? 'stays' : 'stay'} empty${step > 2 ? `: pages come in ${step}s` : ''}.`
      : '',
    alike ? `${many(alike, 'photo is', 'photos are')} left out: another is nearly the same.` : '',
    full ? `${many(full, 'photo is', 'photos are')} left out: so many pages hold no more.` : '',
    plan.soft.length
      ? `${many(plan.soft.length, 'photo prints', 'photos print')} below 150 ppi where it lies: a little soft.`.replace(
          'photos print below 150 ppi where it lies',
          'photos print below 150 ppi where they lie',
        )
      : '',
  ]
    .filter(Boolean)
    .join('\n');
}

/** All of the book, page after page, and what is left out. */
function Strip({ laid, kept }: { laid: Laid; kept: readonly string[] }) {
  const { project, plan } = laid;
  const left = useMemo(() => plan.left.flatMap(({ sha }) => project.assets[sha] ?? []), [plan, project]);
  return (
    <>
      <Box
        component="ol"
        aria-label="The book as it would be"
        sx={{
          ...{ m: 0, p: 0, listStyle: 'none', display: 'grid', gap: '20px 22px' },
          gridTemplateColumns: `repeat(auto-fill, ${SIDE}px)`,
          justifyContent: 'center',
        }}
      >
        {project.surfaces.map((surface) => (
          <li key={surface.part}>
            <Box
              sx={{
                boxShadow: '0 1px 2px rgba(20,14,8,0.4), 1px 4px 9px rgba(20,14,8,0.25)',
                width: 'fit-content',
                mx: 'auto',
              }}
            >
              <NearPicture
                project={project}
                surface={surface}
                side={surface.width > 1.5 * surface.height ? SIDE : SIDE / 2}
              />
            </Box>
            <Typography variant="body2" sx={{ textAlign: 'center', mt: 0.75 }}>
              {surface.name}
              {kept.includes(surface.id) && ', kept'}
            </Typography>
          </li>
        ))}
      </Box>
      {left.length > 0 && <LeftOut left={left} />}
    </>
  );
}

function LeftOut({ left }: { left: readonly Asset[] }) {
  const thumbs = useThumbs(useMemo(() => left.map(({ sha }) => sha), [left]));
  return (
    <Box component="section" aria-label="Left out" sx={{ mt: 3 }}>
      <Typography variant="h3" sx={{ mb: 1 }}>
        Left out
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        {left.slice(0, 60).map(({ sha, name }) => (
          <img key={sha} src={thumbs.get(sha)} alt={name} style={{ height: 64, display: 'block' }} />
        ))}
      </Box>
    </Box>
  );
}
