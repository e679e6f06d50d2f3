/** The practice page of the kite club: bare, with three photos in its workbox. */
import type { Asset } from '@/core/picture/asset';
import { newLayout, type Project } from '@/core/project/model';
import { SIDE } from '../kits/pages';

const PHOTOS = ['may-04-first-launch.jpg', 'may-13-biscuit.jpg', 'may-11-picnic.jpg'];

export function practicePage(known: readonly Asset[]): Project {
  const photos = PHOTOS.map((name) => known.find((asset) => asset.name === name)!);
  const base = newLayout({ id: 'practice', title: 'Practice page', unit: 'in', width: SIDE, height: SIDE });
  return {
    ...base,
    practice: true,
    assets: Object.fromEntries(photos.map((asset) => [asset.sha, asset])),
    photos: photos.map(({ sha }) => sha),
  };
}
