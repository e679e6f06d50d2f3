/** The supplies of one kit while it is drawn: their files, their small pictures, what is known of them. */
import { createHash } from 'node:crypto';
import { writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { createCanvas, loadImage, type Canvas } from '@napi-rs/canvas';
import { readDrawing } from '@/core/drawing/read';
import { scaling } from '@/core/geometry/matrix';
import { drawCover } from '@/core/page/draw';
import { toolsFor } from '@/core/page/outlines';
import { EXTENSIONS, type Asset, type AssetType } from '@/core/picture/asset';
import { edgesOf } from '@/core/pixels/edges';
import type { Compartment, Project } from '@/core/project/model';
import { mainColours } from '@/core/supplies/colours';
import { KINDS, type NamedInk, type Supply, type SupplyKind } from '@/core/supplies/model';
import type { Typesetter } from '@/core/text/typesetter';
import { make } from '@/output/make';
import { paintDrawing } from '@/output/pixels/marks';
import { node, nodeWorkshop, ROOT } from '../node/platform';
import { packed } from '../node/files';
import type { HouseKit } from './kit';
import { namedIn } from '@/core/piece/assets';
import { coloursOf } from '@/core/trail';
import { sampleOf, type ReadyLine } from './lines';
import { PPI } from './relief';
import { pixelsOf, THUMB, thumbOf } from './small';

export const FOLDER = join(ROOT, 'public', 'house', 'kits');

/** At least four words that a thing is found by: where it has fewer, its kit's are its own. */
export function tagged(tags: string, { tags: kits }: Pick<HouseKit, 'tags'>): string[] {
  const own = [...new Set(tags.split(' ').filter(Boolean))];
  return [...own, ...kits.filter((tag) => !own.includes(tag)).slice(0, Math.max(0, 4 - own.length))];
}

export const slug = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');

export class Stock {
  readonly supplies: Supply[] = [];
  readonly bytes = new Map<string, Buffer>();
  private readonly assets = new Map<string, Asset>();
  /** Those whose edge nobody asked for yet. */
  private readonly pictures = new Map<
    string,
    { picture: Canvas; whole: { width: number; height: number } }
  >();

  constructor(private readonly kit: HouseKit) {}

  /** Writes a supply's file and small picture. */
  private async put(
    kind: SupplyKind,
    name: string,
    tags: string,
    file: Buffer,
    type: AssetType,
    picture: Canvas,
    whole: { width: number; height: number },
    more: Partial<Supply> & { lift?: number } = {},
  ): Promise<Asset> {
    const { lift, ...rest } = more;
    const ending = EXTENSIONS[type];
    const own = `${kind}-${slug(name)}${more.letters ? `-${more.letters.codePointAt(0)}` : ''}`;
    const path = `${this.kit.id}/${own}`;
    const sha = createHash('sha256').update(file).digest('hex');
    const asset: Asset = {
      sha,
      type,
      name,
      bytes: file.length,
      ...whole,
      orientation: 1,
      ppi: PPI,
      ...(lift === undefined ? {} : { lift }),
    };
    await writeFile(join(FOLDER, `${path}.${ending}`), file);
    // What is small already is its own small picture.
    const small = type === 'image/webp' && Math.max(picture.width, picture.height) <= 2 * THUMB;
    const thumb = small ? `${path}.${ending}` : `${path}.small.webp`;
    if (!small) await writeFile(join(FOLDER, thumb), thumbOf(picture).toBuffer('image/webp', 76));
    const { data } = pixelsOf(picture, 200);
    this.supplies.push({
      // What it is called, not where it lies: the next version of its kit knows it again.
      id: `house ${this.kit.id} ${own}`,
      kind,
      name,
      tags: tagged(tags, this.kit),
      kit: this.kit.id,
      order: this.supplies.length,
      added: 0,
      favourite: false,
      asset,
      colours: mainColours(data as unknown as Uint8ClampedArray),
      at: `/house/kits/${path}.${ending}`,
      thumb: `/house/kits/${thumb}`,
      ...rest,
    });
    this.assets.set(name, asset);
    this.pictures.set(name, { picture, whole });
    this.bytes.set(sha, file);
    return asset;
  }

  async drawing(kind: SupplyKind, name: string, tags: string, svg: string): Promise<void> {
    const read = readDrawing(svg);
    if (!read.ok || read.value.dropped.length)
      throw new Error(`${name} ${read.ok ? read.value.dropped.join() : read.message}`);
    const { drawing } = read.value;
    const whole = {
      width: Math.round((drawing.width * PPI) / 72),
      height: Math.round((drawing.height * PPI) / 72),
    };
    const scale = Math.min(1, 900 / Math.max(whole.width, whole.height)) * (PPI / 72);
    const canvas = createCanvas(
      Math.max(1, Math.round(drawing.width * scale)),
      Math.max(1, Math.round(drawing.height * scale)),
    );
    paintDrawing(canvas.getContext('2d') as never, drawing, scaling(scale), node, 1);
    await this.put(kind, name, tags, Buffer.from(svg), 'image/svg+xml', canvas, whole);
  }

  /** Patterned papers are printed on both sides: the busiest of what lies here with the calmest, by what it takes to draw them. */
  backs(): void {
    const papers = this.supplies
      .filter(({ kind }) => kind === 'paper')
      .sort((a, b) => b.asset!.bytes - a.asset!.bytes);
    for (let i = 0; i < papers.length >> 1; i++) {
      const [one, other] = [papers[i]!, papers.at(-1 - i)!];
      one.back = other.id;
      other.back = one.id;
    }
  }

  async picture(
    kind: SupplyKind,
    name: string,
    tags: string,
    canvas: Canvas,
    more: Partial<Supply> & { lift?: number } = {},
  ): Promise<void> {
    // WebP keeps their softness and their edges at a tenth of the bytes of PNG.
    const { width, height } = canvas;
    const file = canvas.toBuffer('image/webp', 74);
    await this.put(kind, name, tags, file, 'image/webp', canvas, { width, height }, more);
  }

  inks(name: string, tags: string, inks: readonly NamedInk[]): void {
    this.supplies.push({
      id: `house ${this.kit.id} inks${this.supplies.some(({ kind }) => kind === 'inks') ? ` ${slug(name)}` : ''}`,
      kind: 'inks',
      name,
      tags: tagged(tags, this.kit),
      kit: this.kit.id,
      order: this.supplies.length,
      added: 0,
      favourite: false,
      colours: inks.slice(0, 3).map(({ colour }) => colour),
      inks: [...inks],
    });
  }

  async page(
    kind: 'page' | 'card' | 'calendar' | 'book' | 'sheet' | 'sketch' | 'pieces',
    tags: string,
    project: Project,
    typesetter: Typesetter,
  ): Promise<void> {
    // Its pictures lie in the kit already: they are put in when it is opened.
    const file = await packed(project, async () => undefined);
    const places = new Map(this.supplies.map(({ asset, order }) => [asset?.sha, order]));
    const made = Object.keys(project.assets).map((sha) => places.get(sha)!);
    const own = `${kind}-${slug(project.title)}`;
    const path = `${this.kit.id}/${own}`;
    await writeFile(join(FOLDER, `${path}.bellagraph`), file);
    // Pieces lie on no ground of their own.
    const [sheet, ...more] = project.surfaces;
    const shown =
      kind === 'pieces' ? { ...project, surfaces: [{ ...sheet!, ground: 'transparent' }, ...more] } : project;
    const ppi = kind === 'page' || kind === 'sketch' || kind === 'book' ? 40 : 64;
    const canvas = await pictured(shown, ppi, this.bytes, typesetter);
    const thumb = `${path}.small.webp`;
    await writeFile(
      join(FOLDER, thumb),
      (kind === 'pieces' ? thumbOf(canvas) : canvas).toBuffer('image/webp', 80),
    );
    this.supplies.push({
      id: `house ${this.kit.id} ${own}`,
      kind,
      name: project.title,
      tags: tagged(tags, this.kit),
      kit: this.kit.id,
      order: this.supplies.length,
      added: 0,
      favourite: false,
      colours: [],
      page: createHash('sha256').update(file).digest('hex'),
      ...(made.length ? { made } : {}),
      at: `/house/kits/${path}.bellagraph`,
      thumb: `/house/kits/${thumb}`,
    });
  }

  /** A ready line, drawn in small. */
  async line({ name, tags, trail }: ReadyLine, typesetter: Typesetter): Promise<void> {
    const assets = namedIn(trail).map((sha) => [...this.assets.values()].find((one) => one.sha === sha)!);
    const canvas = await sampleOf(trail, assets, this.bytes, THUMB, typesetter);
    const path = `${this.kit.id}/line-${slug(name)}.small.webp`;
    await writeFile(join(FOLDER, path), canvas.toBuffer('image/webp', 90));
    this.supplies.push({
      id: `house ${this.kit.id} line ${slug(name)}`,
      kind: 'line',
      name,
      tags: tagged(tags, this.kit),
      kit: this.kit.id,
      order: this.supplies.length,
      added: 0,
      favourite: false,
      colours: coloursOf(trail),
      trail,
      thumb: `/house/kits/${path}`,
    });
  }

  /** One of the kit's things, with its edge: pages made of it need that; what is listed has it traced when it first comes in. */
  find(name: string): { asset: Asset; compartment: Compartment } {
    const waiting = this.pictures.get(name);
    if (waiting) {
      const traced = pixelsOf(waiting.picture, 900);
      const edges = edgesOf(traced.data as unknown as Uint8ClampedArray, traced, waiting.whole);
      this.assets.set(name, { ...this.assets.get(name)!, ...edges });
      this.pictures.delete(name);
    }
    const asset = this.assets.get(name);
    const supply = this.supplies.find((one) => one.name === name);
    if (!asset || !supply) throw new Error(`${this.kit.name} has no ${name}.`);
    return { asset, compartment: KINDS[supply.kind].compartment! };
  }
}

/** The front of a project, painted. */
export async function pictured(
  project: Project,
  ppi: number,
  bytes: ReadonlyMap<string, Buffer>,
  typesetter: Typesetter,
): Promise<Canvas> {
  const shop = nodeWorkshop(
    (sha) => project.assets[sha]!,
    (sha) => bytes.get(sha)!,
    typesetter,
  );
  const made = await make(
    drawCover(project, toolsFor(project, typesetter)),
    { format: 'png', ppi, withBleed: false, cropMarks: false },
    shop,
  );
  if (!made.ok) throw new Error(made.message);
  const image = await loadImage(Buffer.concat(made.value));
  const canvas = createCanvas(image.width, image.height);
  canvas.getContext('2d').drawImage(image, 0, 0);
  return canvas;
}
