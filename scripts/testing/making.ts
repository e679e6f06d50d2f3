/** Projects made into files in a folder of their own, for tools that are not ours to look at. */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { drawAlone, drawTaken } from '@/core/page/draw';
import { toolsFor } from '@/core/page/outlines';
import type { Asset } from '@/core/picture/asset';
import type { Taken } from '@/core/product';
import type { Project, Surface } from '@/core/project/model';
import type { Typesetter } from '@/core/text/typesetter';
import type { MakeOptions } from '@/output/formats';
import type { Told } from '@/output/fallbacks';
import { make, makeSheets } from '@/output/make';
import type { SheetPicture } from '@/output/pixels/sheets';
import { equipped, needsOf } from '@/core/project/needs';
import { nodeTypesetter, nodeWorkshop, readNodeFont } from '../node/platform';
import { assetOf } from './samples';

type Page = Surface | Taken<Surface>;
type Asked = Partial<MakeOptions> & Pick<MakeOptions, 'format'>;
const FIRST = { ppi: 300, withBleed: false, cropMarks: false };

export function making() {
  const folder = mkdtempSync(join(tmpdir(), 'output-'));
  const files = new Map<string, Buffer>();
  let typesetter: Promise<Typesetter> | undefined;
  const ready = async (of: Project, options: Asked, pages: readonly Page[]) => {
    const letters = await equipped(await (typesetter ??= nodeTypesetter()), needsOf(of), readNodeFont);
    const tools = toolsFor(of, letters);
    const pictures = pages
      .map((page) => ('surface' in page ? page : { surface: page }))
      .map((taken) =>
        options.only
          ? drawAlone(taken.surface, options.only, tools)
          : { ...drawTaken(taken, tools), title: of.title },
      );
    const workshop = nodeWorkshop(
      (sha) => of.assets[sha]!,
      (sha) => files.get(sha)!,
      letters,
    );
    return { pictures, workshop };
  };
  return {
    folder,
    /** By SHA-256. */
    files: files as ReadonlyMap<string, Buffer>,
    /** What a command line tool says. */
    tool: (name: string, ...args: string[]): string =>
      execFileSync(name, args, { encoding: 'utf8', stdio: ['ignore', 'pipe', 'pipe'] }),
    /** A picture file that pieces may show. */
    register(bytes: Buffer, width: number, height: number, more: Partial<Asset> = {}): Asset {
      const asset = assetOf(bytes, width, height, more);
      files.set(asset.sha, bytes);
      return asset;
    },
    /** The first page, or these, as a file of this name; the path to it. */
    async made(
      of: Project,
      options: Asked,
      name: string,
      pages: readonly Page[] = of.surfaces.slice(0, 1),
      tell: (told: Told) => void = () => {},
    ): Promise<string> {
      const { pictures, workshop } = await ready(of, options, pages);
      const result = await make(pictures, { ...FIRST, ...options }, workshop, () => {}, tell);
      if (!result.ok) throw new Error(result.message);
      const path = join(folder, name);
      writeFileSync(path, Buffer.concat(result.value));
      return path;
    },
    /** The sides of sheets as pictures, for a browser's own print. */
    async printed(of: Project, options: Asked, pages: readonly Page[]): Promise<SheetPicture[]> {
      const { pictures, workshop } = await ready(of, options, pages);
      const result = await makeSheets(pictures, { ...FIRST, ...options }, workshop);
      if (!result.ok) throw new Error(result.message);
      return result.value;
    },
  };
}
