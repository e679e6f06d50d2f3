/** Books and photos for tests. */
import { designFor, type BookDesign } from '@/core/book/design';
import { laidBook, layBook, roomFor, type LaidBook } from '@/core/book/flow';
import { plainDesign } from '@/core/book/plain';
import { planBook, type FlowWish } from '@/core/book/plan';
import { withFollows } from '@/core/calendar/follows';
import type { Asset } from '@/core/picture/asset';
import { beginProduct } from '@/core/product';
import { isSpread } from '@/core/product/book';
import type { Edit } from '@/core/project/edits/edit';
import { gather } from '@/core/project/edits/gather';
import { perform, startHistory, type History } from '@/core/project/history';
import { newProject, type Project } from '@/core/project/model';
import { random } from '@/core/random';
import { nodeTypesetter } from '../node/platform';

export const typesetter = await nodeTypesetter();

export const book = (way = 'hard', width = 576, height = 576): Project =>
  newProject({ id: 'b', title: 'A year', unit: 'in' }, beginProduct('book', { width, height }, way));

/** Photos of several days, standing and lying, some with stars; the same for the same seed. */
export function photos(count: number, seed = 1, more: Partial<Asset> = {}): Asset[] {
  const next = random(seed);
  let time = Date.UTC(2026, 2, 14, 10);
  return Array.from({ length: count }, (_, i): Asset => {
    time += next() < 0.08 ? 8.64e7 * (1 + 20 * next()) : 6e4 * (1 + 5 * next());
    const [width, height] = next() < 0.35 ? [2400, 3600] : [3600, 2400];
    return {
      ...{
        sha: (seed * 1e6 + i).toString(16).padStart(64, '0'),
        type: 'image/jpeg',
        name: `${i}.jpg`,
        bytes: 9,
      },
      ...{ width, height, orientation: 1, ppi: 300, taken: new Date(time).toISOString().slice(0, 19) },
      focus: { x: next(), y: next() },
      ...(next() < 0.2
        ? { notes: { stars: 5, place: 'North beach, Saltmarsh', caption: `Photo ${i}` } }
        : {}),
      ...more,
    };
  });
}

export const WISH: FlowWish = { pages: null, chapters: true, oneOfAlike: true, seed: 1 };
let count = 0;
export const newId = (): string => `n${(count += 1)}`;

export interface Flowed {
  history: History;
  design: BookDesign;
  laid: LaidBook;
}

/** A book photos flowed into, in the plain design. */
export function flowed(of: readonly Asset[], wish: Partial<FlowWish> = {}, start = book()): Flowed {
  const design = designFor(plainDesign(), start);
  const begun = perform(startHistory(start), gather('photos', of), 0);
  const { project } = begun;
  const plan = planBook(of, roomFor(design, project), { ...WISH, ...wish });
  const laid = laidBook(project, design, plan, new Map(of.map((asset) => [asset.sha, asset])), {
    typesetter,
    newId,
  });
  const history = withFollows(perform(begun, layBook('lay', laid, design, of, 'plain'), 1e6), typesetter);
  return { history, design, laid };
}

export const spreadsOf = ({ surfaces }: Project): Project['surfaces'] =>
  surfaces.filter(({ part }) => isSpread(part ?? ''));

/** An edit with all that follows from it. */
export const done = (history: History, edit: Edit, now: number): History =>
  withFollows(perform(history, edit, now), typesetter);
