/** Every way to lay the photos at hand, and what would come of each, in words. */
import { lookAhead } from '@/core/project/history';
import type { Asset } from '@/core/picture/asset';
import type { Edit } from '@/core/project/edits/edit';
import { fillPlaces } from '@/core/project/edits/photos';
import type { Project } from '@/core/project/model';
import { plainName } from '@/core/project/create';
import { FILL_ORDERS, type FillOrder } from '@/core/proposals/fill';
import type { Measures } from '@/core/proposals/measures';
import { MOST_PHOTOS, propose } from '@/core/proposals/propose';
import { shapeOf } from '@/core/project/photos';
import * as act from '@/features/table/acts';

/** One way to lay the photos, and what would come of it. */
export interface Shown {
  words: string;
  edit: Edit;
  ids: string[];
  project: Project;
  /** Photos that would be left out. */
  over: Asset[];
}

const ORDER_NAMES: Record<FillOrder, string> = {
  time: 'In the order they were taken',
  shape: 'Where the least is cropped',
  stars: 'The most stars in the largest places',
};

const percent = (share: number): string => `${Math.round(share * 100)} %`;

const croppedInWords = (cropped: number): string =>
  cropped < 0.005 ? 'nothing is cropped' : `${percent(cropped)} of the photos is cropped away`;
const upper = (text: string): string => text[0]!.toUpperCase() + text.slice(1);

/** What is measured, in words. */
export const inWords = (
  { cropped, cut, emphasis, white, offBalance }: Measures,
  count: number,
  focal: string | null,
): string =>
  [
    upper(croppedInWords(cropped)),
    ...(cut ? [cut === 1 ? 'a face is cut' : `${cut} faces are cut`] : []),
    ...(count > 1
      ? [`${focal ?? 'the largest'} is ${emphasis.toFixed(1)} times as large as the others`]
      : []),
    `${percent(white)} of the area stays bare`,
    offBalance < 0.04 ? 'it is in balance' : `it leans ${percent(offBalance)} off the middle`,
  ].join(', ') + '.';

/** What is wished of an arrangement. */
export interface Wish {
  which: act.Where;
  photos: readonly act.Arrangeable[];
  area: NonNullable<ReturnType<typeof act.areaFor>> | null;
  /** Points between photos. */
  gap: number;
  /** The photo that matters most, and how many times as large it is wished. */
  focal: number | null;
  emphasis: number;
  seed: number;
}

/** Where the photos could lie; none for places, which lie where they are. */
export const proposedFor = (wish: Wish): ReturnType<typeof propose> =>
  wish.which !== 'places' && wish.area && wish.photos.length <= MOST_PHOTOS
    ? propose({
        ...{ ...wish, area: wish.area },
        shapes: wish.photos.map(({ asset }) => shapeOf(asset)),
        faces: wish.photos.map(({ asset }) => asset.faces),
      })
    : [];

/** Every way there is to lay the photos, with what would come of it. */
export function shownFor(
  session: act.Shown,
  places: act.PhotosHere['places'],
  wish: Wish,
  proposals: ReturnType<typeof propose>,
): Shown[] {
  const asProject = (edit: Edit) => lookAhead(session.history.project, edit) ?? session.history.project;
  if (wish.which === 'places')
    return wish.photos.length
      ? FILL_ORDERS.filter(
          (order) => order !== 'stars' || wish.photos.some(({ asset }) => asset.notes?.stars),
        ).map((order) => {
          const assets = wish.photos.map(({ asset }) => asset);
          const { pairs, over, cropped } = act.filling(places, assets, order);
          const edit = fillPlaces(session.surfaceId, pairs);
          return {
            words: `${ORDER_NAMES[order]}: ${croppedInWords(cropped)}.`,
            edit,
            ids: pairs.map(({ place }) => place.id),
            project: asProject(edit),
            over,
          };
        })
      : [];
  return proposals.map(({ boxes, measures }) => {
    const { edit, ids } = act.arrangement(session, wish.photos, boxes, wish.area!);
    const name = wish.focal === null ? null : plainName(wish.photos[wish.focal]!.asset.name);
    return {
      words: inWords(measures, wish.photos.length, name),
      edit,
      ids,
      project: asProject(edit),
      over: [],
    };
  });
}
