/** What lies on the page as a supply: pieces as a picture with a clear ground, a page as a ready-made page. */
import { proxy } from 'comlink';
import type { Piece } from '@/core/piece/piece';
import { partsOf, readyMade, sheetOfPieces } from '@/core/project/keep';
import { sketchOf } from '@/core/project/frames';
import { newLayout, type Project, type Surface } from '@/core/project/model';
import { fail, ok, type Result } from '@/core/result';
import { coverOf, nameOfProduct } from '@/core/product';
import type { Box } from '@/core/geometry/box';
import { readyKind, type Kit, type NamedInk, type Supply } from '@/core/supplies/model';
import { PRINT_PPI } from '@/core/units/lengths';
import { bringIn, describeTrouble, type Arrived } from '@/features/shared/bringIn';
import { FONTS_AT } from '@/features/shared/fonts';
import { coloursOf, type Trail } from '@/core/trail';
import { newId } from '@/features/shared/ids';
import { filesFor, makeWorker } from '@/features/table/acts/filesFor';
import { database } from '@/storage/database';
import { assetBlob, storePage } from '@/storage/assets';
import { sha256 } from '@/core/sha';
import { packProject } from '@/storage/project-file';
import { addKit } from '@/storage/supplies';
import { Hands } from '@/workers/hands';
import type { MadeFile, Maker } from '@/workers/make.worker';

export interface Kept {
  name: string;
  tags: string[];
  kit: Kit;
}

/** Pieces as they were made, to be laid and changed again; `small` paints a page in small on its ground. */
export async function keepParts(
  project: Project,
  surface: Surface,
  pieces: readonly Piece[],
  { name, tags, kit }: Kept,
  small: (kept: Project, sheet: Surface, type: string) => Promise<Blob>,
): Promise<Result<null>> {
  const kept: Project = { ...partsOf(project, surface, pieces, newId), title: name };
  const [sheet] = kept.surfaces as [Surface];
  const packed = await packProject(kept, assetBlob, await small(kept, sheet, 'image/jpeg'));
  if (!packed.ok) return packed;
  const { blob, missing } = packed.value;
  if (missing.length)
    return fail(`${missing[0]!.name} is not in this browser, so the pieces could not be kept.`);
  const sha = await sha256(new Uint8Array(await blob.arrayBuffer()));
  await storePage(sha, blob, await small(kept, { ...sheet, ground: 'transparent' }, 'image/png'));
  await put(kit, { kind: 'pieces', name, tags, colours: [], page: sha });
  return ok(null);
}

/** Milliseconds a picture of pieces may take. */
const LONGEST = 600_000;

/** Pieces as a picture file with a clear ground, in this browser's store: recoloured, cut and stroked as they are. */
export async function picturedPieces(
  project: Project,
  surface: Surface,
  pieces: readonly Piece[],
  name: string,
): Promise<Result<Arrived>> {
  const sheet = sheetOfPieces(surface, pieces);
  const files = await filesFor(project, [sheet]);
  if (!files.ok) return files;
  const hands = new Hands<Maker>(makeWorker, 1);
  try {
    const made = await hands.do(
      async (maker): Promise<Result<MadeFile>> => {
        await maker.warm(new URL(FONTS_AT, location.href).href);
        return maker.makeFile(
          {
            project: { ...project, surfaces: [sheet] },
            taken: [{ surface: sheet, name: sheet.name }],
            options: { format: 'png', ppi: PRINT_PPI, withBleed: false, cropMarks: false },
            files: files.value,
            now: Date.now(),
          },
          proxy(() => {}),
        );
      },
      { limit: LONGEST },
    );
    if (!made.ok) return made;
    const lost = made.value.told.find(({ missing }) => missing);
    if (lost) return fail(`${lost.says} Nothing was kept.`);
    const brought = await bringIn(
      [new File([made.value.blob], `${name}.png`, { type: 'image/png' })],
      new AbortController().signal,
    );
    const [arrived] = brought.arrived;
    return arrived ? ok(arrived) : fail(describeTrouble(brought) ?? 'It could not be kept.');
  } finally {
    hands.letGo();
  }
}

/** Pieces as one picture in the cupboard. */
export async function keepPicture(
  project: Project,
  surface: Surface,
  pieces: readonly Piece[],
  { name, tags, kit }: Kept,
): Promise<Result<null>> {
  const made = await picturedPieces(project, surface, pieces, name);
  if (!made.ok) return made;
  const { asset, facts } = made.value;
  const lift = pieces.length === 1 ? pieces[0]!.finish.lift.height : 0.3;
  await put(kit, {
    kind: pieces.length === 1 && pieces[0]!.role === 'paper' ? 'paper' : 'embellishment',
    name,
    tags,
    colours: facts.colours,
    asset: { ...asset, name, lift },
  });
  return ok(null);
}

/** A page, or a card with all its sides, as a ready-made one: with its photos, or with a free place for each; `small` as for parts. */
export async function keepPage(
  project: Project,
  surface: Surface,
  photos: boolean,
  { name, tags, kit }: Kept,
  small: (kept: Project, sheet: Surface, type: string, part?: Box) => Promise<Blob>,
): Promise<Result<null>> {
  const made: Project = { ...readyMade(project, surface, newId, photos), title: name };
  const preview = await small(made, coverOf(made).surface, 'image/jpeg', coverOf(made).box);
  const file = await packProject(made, assetBlob, preview);
  if (!file.ok) return file;
  const { blob, missing } = file.value;
  if (missing.length)
    return fail(`${missing[0]!.name} is not in this browser, so the page could not be kept.`);
  const sha = await sha256(new Uint8Array(await blob.arrayBuffer()));
  await storePage(sha, blob, preview);
  await put(kit, { kind: readyKind(nameOfProduct(made.product)), name, tags, colours: [], page: sha });
  return ok(null);
}

/** The places of a page as a sketch; `preview` paints it in small. */
export async function keepSketch(
  project: Project,
  surface: Surface,
  { name, tags, kit }: Kept,
  preview: (sketch: Project) => Promise<Blob>,
): Promise<Result<null>> {
  const sketch: Project = {
    ...newLayout({ ...surface, id: newId(), title: name, unit: project.unit }),
    surfaces: [sketchOf(surface)],
  };
  const small = await preview(sketch);
  const packed = await packProject(sketch, async () => undefined, small);
  if (!packed.ok) return packed;
  const { blob } = packed.value;
  const sha = await sha256(new Uint8Array(await blob.arrayBuffer()));
  await storePage(sha, blob, small);
  await put(kit, { kind: 'sketch', name, tags, colours: [], page: sha });
  return ok(null);
}

/** Inks as a set, beside those of the kits. */
export async function keepInks(inks: readonly NamedInk[], { name, tags, kit }: Kept): Promise<Result<null>> {
  await put(kit, {
    kind: 'inks',
    name,
    tags,
    colours: inks.slice(0, 3).map(({ colour }) => colour),
    inks: [...inks],
  });
  return ok(null);
}

/** What is drawn with as a ready line, beside those of the kits. */
export async function keepLine(trail: Trail, { name, tags, kit }: Kept): Promise<Result<null>> {
  await put(kit, { kind: 'line', name, tags, colours: coloursOf(trail), trail: structuredClone(trail) });
  return ok(null);
}

async function put(
  kit: Kit,
  supply: Pick<Supply, 'kind' | 'name' | 'tags' | 'colours' | 'asset' | 'page' | 'inks' | 'trail'>,
): Promise<void> {
  const there = await database.supplies.where('kit').equals(kit.id).toArray();
  const order = Math.max(-1, ...there.map((one) => one.order)) + 1;
  await addKit(kit, [{ ...supply, id: newId(), kit: kit.id, order, added: Date.now(), favourite: false }]);
}
