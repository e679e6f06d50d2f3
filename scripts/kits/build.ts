/** Makes public/house/kits and kits.json: the kits that ship with the app. Done again only when what makes them changed. */
import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { mkdir, readFile, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { createCanvas, type Canvas } from '@napi-rs/canvas';
import { monthNames } from '@/core/dates/names';
import { readDrawing } from '@/core/drawing/read';
import { scaling } from '@/core/geometry/matrix';
import { drawCover } from '@/core/page/draw';
import { toolsFor } from '@/core/page/outlines';
import { EXTENSIONS, type Asset, type AssetType } from '@/core/picture/asset';
import { edgesOf } from '@/core/pixels/edges';
import type { Compartment, Project } from '@/core/project/model';
import { mainColours } from '@/core/supplies/colours';
import { KINDS, type Kit, type Supply, type SupplyKind } from '@/core/supplies/model';
import type { Typesetter } from '@/core/text/typesetter';
import { make } from '@/output/make';
import { paintDrawing } from '@/output/pixels/marks';
import { fingerprint, isBuilt } from '../house/build';
import { node, nodeTypesetter, nodeWorkshop, ROOT } from '../node/platform';
import { packed } from '../node/files';
import { readyBooks } from './books';
import { readyCalendars } from './calendars';
import { readyCards } from './cards';
import { sized } from './engrave/field';
import { drawn, engrave, toneOf } from './engrave/press';
import { inkFinder, type HouseKit } from './kit';
import { HOUSE_KITS } from './kits';
import { namedIn } from '@/core/piece/assets';
import { coloursOf } from '@/core/trail';
import { readyLines, sampleOf, type ReadyLine } from './lines';
import { letter, LETTERS } from './letters';
import { readyPages, sketch, SKETCHES } from './pages';
import { textured, type Texture } from './papers/nature';
import { readyPockets } from './pockets';
import { PPI } from './relief';
import { pixelsOf, THUMB, thumbOf } from './small';
import { letterName, wordStamp } from './stamps';
import { cardstock, edge } from './tiles';

/** So many of a kit's cards are plain; the others have a texture. */
const PLAIN = 4;
const TEXTURES: readonly Texture[] = ['linen', 'ribbed', 'canvas', 'felted', 'brushed'];
/** Which kit each sketch belongs to. */
const SKETCH_HOMES = [0, 1, 2, 3, 3, 4];
const FOLDER = join(ROOT, 'public', 'house', 'kits');
const LICENCE =
  'Made for Bellagraph. Use it in anybody’s pages, printed, shared or sold, as you like; not as a kit of your own.';

const slug = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');

class Stock {
  readonly supplies: Supply[] = [];
  readonly bytes = new Map<string, Buffer>();
  private readonly assets = new Map<string, Asset>();

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
    const path = `${this.kit.id}/${kind}-${slug(name)}${more.letters ? `-${more.letters.codePointAt(0)}` : ''}`;
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
    await writeFile(join(FOLDER, `${path}.small.webp`), thumbOf(picture).toBuffer('image/webp', 86));
    const { data } = pixelsOf(picture, 200);
    this.supplies.push({
      id: `house ${this.kit.id} ${this.supplies.length + 1}`,
      kind,
      name,
      tags: tags.split(' '),
      kit: this.kit.id,
      order: this.supplies.length,
      added: 0,
      favourite: false,
      asset,
      colours: mainColours(data as unknown as Uint8ClampedArray),
      at: `/house/kits/${path}.${ending}`,
      thumb: `/house/kits/${path}.small.webp`,
      ...rest,
    });
    // Pages made of it need its edge; what is listed does not: it is traced when the file first comes in.
    const traced = pixelsOf(picture, 900);
    this.assets.set(name, {
      ...asset,
      ...edgesOf(traced.data as unknown as Uint8ClampedArray, traced, whole),
    });
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

  async picture(
    kind: SupplyKind,
    name: string,
    tags: string,
    canvas: Canvas,
    more: Partial<Supply> & { lift?: number } = {},
  ): Promise<void> {
    // WebP keeps their softness and their edges at a tenth of the bytes of PNG.
    const { width, height } = canvas;
    const file = canvas.toBuffer('image/webp', 82);
    await this.put(kind, name, tags, file, 'image/webp', canvas, { width, height }, more);
  }

  inks(): void {
    const { id, name, inks } = this.kit;
    this.supplies.push({
      id: `house ${id} inks`,
      kind: 'inks',
      name: `${name} inks`,
      tags: ['ink', 'colour', 'set'],
      kit: id,
      order: this.supplies.length,
      added: 0,
      favourite: false,
      colours: inks.slice(0, 3).map(({ colour }) => colour),
      inks: [...inks],
    });
  }

  async page(
    kind: 'page' | 'card' | 'calendar' | 'book' | 'sheet' | 'sketch',
    tags: string,
    project: Project,
    typesetter: Typesetter,
  ): Promise<void> {
    const shop = nodeWorkshop(
      (sha) => project.assets[sha]!,
      (sha) => this.bytes.get(sha)!,
      typesetter,
    );
    const made = await make(
      drawCover(project, toolsFor(project, typesetter)),
      {
        format: 'jpg',
        ppi: kind === 'page' || kind === 'sketch' || kind === 'book' ? 40 : 64,
        withBleed: false,
        cropMarks: false,
      },
      shop,
    );
    if (!made.ok) throw new Error(made.message);
    const preview = Buffer.concat(made.value);
    const file = await packed(project, async (sha) => this.bytes.get(sha), preview);
    const path = `${this.kit.id}/${kind}-${slug(project.title)}`;
    await writeFile(join(FOLDER, `${path}.bellagraph`), file);
    await writeFile(join(FOLDER, `${path}.small.jpg`), preview);
    this.supplies.push({
      id: `house ${this.kit.id} ${this.supplies.length + 1}`,
      kind,
      name: project.title,
      tags: tags.split(' '),
      kit: this.kit.id,
      order: this.supplies.length,
      added: 0,
      favourite: false,
      colours: [],
      page: createHash('sha256').update(file).digest('hex'),
      at: `/house/kits/${path}.bellagraph`,
      thumb: `/house/kits/${path}.small.jpg`,
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
      tags: tags.split(' '),
      kit: this.kit.id,
      order: this.supplies.length,
      added: 0,
      favourite: false,
      colours: coloursOf(trail),
      trail,
      thumb: `/house/kits/${path}`,
    });
  }

  find(name: string): { asset: Asset; compartment: Compartment } {
    const asset = this.assets.get(name);
    const supply = this.supplies.find((one) => one.name === name);
    if (!asset || !supply) throw new Error(`${this.kit.name} has no ${name}.`);
    return { asset, compartment: KINDS[supply.kind].compartment! };
  }
}

async function buildKit(index: number, typesetter: Typesetter): Promise<void> {
  const kit = HOUSE_KITS[index]!;
  await mkdir(join(FOLDER, kit.id), { recursive: true });
  const stock = new Stock(kit);
  const inks = inkFinder(kit.inks);
  for (const [name, tags, draw] of kit.papers)
    await stock.drawing('paper', name, `${tags} paper pattern`, draw());
  for (const [i, name] of kit.card.entries())
    await stock.drawing(
      'cardstock',
      `${name} cardstock`,
      `solid plain ${slug(name)}`,
      i < PLAIN
        ? cardstock(inks(name), index * 10 + i)
        : textured(inks(name), TEXTURES[(index + i) % TEXTURES.length]!, index * 10 + i),
    );
  for (const [name, tags, lift, draw] of kit.bits)
    await stock.picture('embellishment', name, tags, draw(), { lift });
  for (const [name, tags, draw] of kit.frames)
    await stock.picture('frame', name, tags, draw(), { lift: 1.2 });
  for (const [name, cut, ink] of kit.edges)
    await stock.drawing('edge', name, `edge border ${cut}`, edge(cut, inks(ink)));
  for (const { name, tags, size, forms, tone } of kit.stamps) {
    const cut = engrave(sized(forms(), size));
    await stock.drawing('stamp', name, `${tags} stamp engraving`, drawn(cut));
    // As large as its lines: laid where they lie, it is the colour beneath them.
    if (tone)
      await stock.drawing(
        'stamp',
        `${name}, tone`,
        `${tags} stamp tone`,
        drawn({ ...cut, line: toneOf(cut) }),
      );
  }
  for (const [text, family] of kit.words)
    await stock.drawing(
      'wordart',
      text,
      `words sentiment ${slug(text).split('-').slice(0, 2).join(' ')}`,
      wordStamp(text, family, typesetter),
    );
  for (const month of monthNames('en'))
    await stock.drawing(
      'wordart',
      month,
      `words month calendar ${month.toLowerCase()}`,
      wordStamp(month, kit.title, typesetter),
    );
  if (kit.alphabet) {
    const { name, body, hex, second, tall } = kit.alphabet;
    for (const [i, character] of Object.keys(LETTERS).entries())
      await stock.picture(
        'alphabet',
        letterName(name, character),
        `letter alphabet ${slug(name)}`,
        letter(character, body, hex, second, tall, 900 + i),
        { lift: 1.5, letters: character },
      );
  }
  stock.inks();
  for (const ready of readyLines(
    kit.id,
    (name) => inks(name).colour,
    (name) => stock.find(name).asset,
  ))
    await stock.line(ready, typesetter);
  for (const project of readyPages(kit, (name) => stock.find(name), typesetter))
    await stock.page('page', 'page ready layout', project, typesetter);
  for (const { project, tags } of readyCards(kit, (name) => stock.find(name), typesetter))
    await stock.page('card', `card ready greeting ${tags}`, project, typesetter);
  for (const { project, tags } of readyCalendars(kit, (name) => stock.find(name), typesetter))
    await stock.page('calendar', `calendar ready ${tags}`, project, typesetter);
  for (const { project, tags } of readyBooks(kit, (name) => stock.find(name), typesetter))
    await stock.page('book', `book ready design ${tags}`, project, typesetter);
  for (const { project, tags } of readyPockets(kit, (name) => stock.find(name), typesetter))
    await stock.page('sheet', `cards ready ${tags}`, project, typesetter);
  for (const [i, home] of SKETCH_HOMES.entries())
    if (home === index) await stock.page('sketch', SKETCHES[i]![1], sketch(i), typesetter);
  await writeFile(join(FOLDER, kit.id, 'supplies.json'), JSON.stringify(stock.supplies));
  console.log(`Kit ${kit.name}: ${stock.supplies.length} supplies`);
}

/** The plain house papers are a kit too. */
async function paperKit(): Promise<{ kit: Kit; supplies: Supply[] }> {
  const papers: { id: string; asset: Asset }[] = JSON.parse(
    await readFile(join(ROOT, 'public/house/papers.json'), 'utf8'),
  );
  const kit: Kit = {
    id: 'house-papers',
    name: 'House Papers',
    description: 'Ten sheets with the grain and weave of real paper.',
    author: 'Bellagraph',
    licence: LICENCE,
    tags: ['paper', 'texture'],
    added: 0,
    house: true,
  };
  const supplies = await Promise.all(
    papers.map(async ({ id, asset }, order): Promise<Supply> => {
      const { loadImage } = await import('@napi-rs/canvas');
      const image = await loadImage(await readFile(join(ROOT, 'public/house/papers', `${id}.small.jpg`)));
      const canvas = createCanvas(image.width, image.height);
      canvas.getContext('2d').drawImage(image, 0, 0);
      return {
        id: `house papers ${id}`,
        kind: 'paper',
        name: asset.name,
        tags: [...id.split('-'), 'paper', 'texture'],
        kit: kit.id,
        order,
        added: 0,
        favourite: false,
        asset,
        colours: mainColours(pixelsOf(canvas, 200).data as unknown as Uint8ClampedArray),
        at: `/house/papers/${id}.jpg`,
        thumb: `/house/papers/${id}.small.jpg`,
      };
    }),
  );
  return { kit, supplies };
}

/** Kits two at a time, each in a process of its own: this is the slow part. */
async function buildAll(): Promise<void> {
  const queue = HOUSE_KITS.map((_, i) => i);
  const work = async () => {
    for (let i = queue.shift(); i !== undefined; i = queue.shift())
      await new Promise<void>((resolve, reject) => {
        const child = spawn(process.execPath, [...process.execArgv, process.argv[1]!, `--kit=${i}`], {
          stdio: 'inherit',
        });
        child.on('exit', (code) => (code === 0 ? resolve() : reject(new Error(`A kit ended with ${code}`))));
      });
  };
  await Promise.all([work(), work()]);
}

async function build(): Promise<void> {
  const print = await fingerprint(
    'scripts/kits',
    'scripts/art',
    'src/core/book',
    'src/core/calendar',
    'src/core/dates',
    'src/core/product',
    'src/core/piece/material/month',
    'src/core/pixels/edges.ts',
    'src/core/pixels/trace.ts',
    'src/core/pixels/regions.ts',
    'src/core/drawing',
    'src/core/project/create.ts',
    'src/core/project/file.ts',
    'src/core/supplies/colours.ts',
    'src/core/supplies/model.ts',
    'src/core/text/families.ts',
    'src/core/trail',
  );
  if (await isBuilt(FOLDER, print)) return console.log('The house kits are ready.');
  await rm(FOLDER, { recursive: true, force: true });
  await mkdir(FOLDER, { recursive: true });
  await buildAll();
  const own = await paperKit();
  const kits: Kit[] = HOUSE_KITS.map(({ id, name, description, tags }) => ({
    id,
    name,
    description,
    author: 'Bellagraph',
    licence: LICENCE,
    tags: [...tags],
    added: 0,
    house: true,
  }));
  const supplies = (
    await Promise.all(
      kits.map(
        async ({ id }) => JSON.parse(await readFile(join(FOLDER, id, 'supplies.json'), 'utf8')) as Supply[],
      ),
    )
  ).flat();
  for (const kit of kits) kit.cover = supplies.find((one) => one.kit === kit.id && one.kind === 'page')?.id;
  await writeFile(
    join(ROOT, 'public/house/kits.json'),
    JSON.stringify({ version: print, kits: [...kits, own.kit], supplies: [...supplies, ...own.supplies] }),
  );
  await writeFile(join(FOLDER, 'made-by'), print);
}

const one = process.argv.find((argument) => argument.startsWith('--kit='))?.slice(6);
if (one !== undefined) await buildKit(Number(one), await nodeTypesetter());
else await build();
