/** Runs in the browser: files in through the program's own door, laid on a page, and out by its own workers. */
import { proxy, wrap } from 'comlink';
import { finishOf } from '@/core/piece/finish';
import { WHOLE } from '@/core/piece/material/window';
import type { Piece } from '@/core/piece/piece';
import { placedAt } from '@/core/piece/placement/placement';
import { uprightSize, type Asset } from '@/core/picture/asset';
import { conditionOf } from '@/core/press/conditions';
import { newLayout, type Project } from '@/core/project/model';
import { bringIn } from '@/features/shared/bringIn';
import { filesFor } from '@/features/table/acts/filesFor';
import type { MakeOptions } from '@/output/formats';
import type { Maker } from '@/workers/make.worker';
import { boxAt, PAGE, PPI } from './grid';

const FLAT = { ppi: PPI, withBleed: false, cropMarks: false };
const NO_MARGINS = { left: 0, right: 0, top: 0, bottom: 0 };

/** Each file that is made, by its name. */
const OUTPUTS: Record<string, MakeOptions> = {
  'page.png': { ...FLAT, format: 'png' },
  'page.jpg': { ...FLAT, format: 'jpg' },
  'page.webp': { ...FLAT, format: 'webp' },
  'page.ora': { ...FLAT, format: 'ora' },
  'page.svg': { ...FLAT, format: 'svg' },
  'page.pdf': { ...FLAT, format: 'pdf' },
  'noted.pdf': { ...FLAT, format: 'pdf', notes: true },
  'press.pdf': { ...FLAT, format: 'pdf', press: conditionOf('coated') },
  'inks.pdf': { ...FLAT, format: 'pdf', press: conditionOf('coated'), inks: true },
  'tiled.pdf': {
    ...FLAT,
    format: 'pdf',
    tiled: { paper: { width: PAGE, height: PAGE }, lost: NO_MARGINS, overlap: 0, how: 'fit' },
  },
};

export interface Went {
  /** By the number of the file in its batch: upright size of what came in, or why it did not. */
  files: (
    | { width: number; height: number; sha: string; type: string; dropped: string[] }
    | { refused: string }
  )[];
  /** What was told of photos, by output. */
  told: Record<string, string[]>;
  failed: Record<string, string>;
  project: Project;
}

const photo = (asset: Asset, index: number): Piece => {
  const { x, y, width, height } = boxAt(index, uprightSize(asset));
  const points = (pixels: number) => (pixels * 72) / PPI;
  return {
    id: `p${index}`,
    name: asset.name,
    role: 'photo',
    material: { kind: 'photo', asset: asset.sha, window: WHOLE },
    outline: { kind: 'rectangle', radius: 0 },
    finish: finishOf(0),
    placement: placedAt({ x: points(x), y: points(y), width: points(width), height: points(height) }),
  };
};

let maker: ReturnType<typeof wrap<Maker>> | undefined;
async function warmMaker() {
  maker ??= wrap<Maker>(new Worker('/workers/make.worker.js', { type: 'module' }));
  await maker.warm(new URL('/house/fonts', location.href).href);
  return maker;
}

/** `names` are fetched from /in/, what is made is sent to `/out/<batch>/`. */
async function through(batch: string, names: readonly string[], only?: readonly string[]): Promise<Went> {
  const files = await Promise.all(
    names.map(async (name, i) => {
      const blob = await (await fetch(`/in/${batch}/${i}`)).blob();
      return new File([blob], name);
    }),
  );
  const { arrived, refused, left } = await bringIn(files, new AbortController().signal);
  const byName = new Map(arrived.map(({ path, asset }) => [path, asset]));
  const without = new Map(arrived.map(({ path, dropped }) => [path, dropped]));
  const assets = names.map((name) => byName.get(name));
  const project: Project = {
    ...newLayout({ id: batch, title: `Batch ${batch}`, unit: 'in', width: PAGE, height: PAGE }),
    assets: Object.fromEntries(arrived.map(({ asset }) => [asset.sha, asset])),
  };
  project.surfaces = [
    {
      ...project.surfaces[0]!,
      ground: '#ffffff',
      pile: assets.flatMap((asset, i) => (asset ? [photo(asset, i)] : [])),
    },
  ];
  const went: Went = {
    files: names.map((name, i) => {
      const asset = assets[i];
      if (asset)
        return { ...uprightSize(asset), sha: asset.sha, type: asset.type, dropped: without.get(name)! };
      return {
        refused:
          refused.find((says) => says.startsWith(name)) ??
          (left.includes(name) ? 'left' : `not told: ${refused.join(' | ')}`),
      };
    }),
    told: {},
    failed: {},
    project,
  };
  const gathered = await filesFor(project, project.surfaces);
  if (!gathered.ok) throw new Error(gathered.message);
  const [surface] = project.surfaces;
  for (const [name, options] of Object.entries(OUTPUTS)) {
    if (only && !only.includes(name)) continue;
    try {
      const made = await (
        await warmMaker()
      ).makeFile(
        {
          project,
          taken: [{ surface: { id: surface!.id }, name: 'Page' }],
          options,
          files: gathered.value,
          now: 0,
        },
        proxy(() => {}),
      );
      if (!made.ok) {
        went.failed[name] = made.message;
        continue;
      }
      went.told[name] = made.value.told.map(({ says }) => says);
      await fetch(`/out/${batch}/${name}`, { method: 'POST', body: made.value.blob });
    } catch (error) {
      went.failed[name] = (error as Error).message;
    }
  }
  const { database } = await import('@/storage/database');
  await database.assets.clear();
  await database.proxies.clear();
  return went;
}

Object.assign(globalThis, { through });
