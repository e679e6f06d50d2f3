/** Makes public/house/kits and kits.json: the kits that ship with the app. Done again only when what makes them changed. */
import { spawn } from 'node:child_process';
import { mkdir, readFile, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { createCanvas, loadImage } from '@napi-rs/canvas';
import { mixed } from '@/core/color/hex';
import { monthNames } from '@/core/dates/names';
import type { Asset } from '@/core/picture/asset';
import { mainColours } from '@/core/supplies/colours';
import type { Kit, NamedInk, Supply } from '@/core/supplies/model';
import type { Typesetter } from '@/core/text/typesetter';
import { nodeTypesetter, ROOT } from '../node/platform';
import { standing } from '../ready.mjs';
import { readyBooks } from './books';
import { readyCalendars } from './calendars';
import { readyCards } from './cards';
import { readyClusters } from './clusters';
import { sized } from './engrave/field';
import { drawn, engrave, toneOf, type Engraving } from './engrave/press';
import type { Surface } from './engrave/surface';
import { inkFinder, motifFinder } from './kit';
import { HOUSE_KITS } from './kits';
import { readyLines } from './lines';
import { letter, LETTERS, type Body } from './letters';
import { readyPages } from './pages';
import { textured, type Texture } from './papers/nature';
import { readyPockets } from './pockets';
import { inRound, onRibbon, overFlourish } from './sentiments';
import { sketchesOf } from './sketches';
import { pixelsOf } from './small';
import { letterName, wordStamp } from './stamps';
import { FOLDER, slug, Stock } from './stock';
import { cardstock, edge } from './tiles';

/** So many of a kit's cards are plain; the others have a texture. */
const PLAIN = 4;
const TEXTURES: readonly Texture[] = ['linen', 'ribbed', 'canvas', 'felted', 'brushed'];
/** How high letters stand, mm, where it is not the usual. */
const LIFTED: Partial<Record<Body, number>> = { watercolour: 0, felt: 1, puffy: 3, chipboard: 1.2 };
const LICENCE =
  'Made for Bellagraph. Use it in anybody’s pages, printed, shared or sold, as you like; not as a kit of your own.';

/** An ink in six steps, from pale to deep: mixed with white, then with a little of its own dark. */
const ombreOf = ({ name, colour }: NamedInk): NamedInk[] =>
  [
    ['palest', '#ffffff', 0.78],
    ['paler', '#ffffff', 0.55],
    ['pale', '#ffffff', 0.3],
    // Named apart from the kit's own ink.
    ['full', colour, 0],
    ['deep', '#14121a', 0.24],
    ['deepest', '#14121a', 0.46],
  ].map(([step, to, share]) => ({
    name: `${name} ${step}`,
    colour: mixed(colour, to as string, share as number),
  }));

/** The first words of a text that one would look for it by. */
const foundBy = (text: string): string =>
  slug(text)
    .split('-')
    .filter((word) => word.length > 2)
    .slice(0, 2)
    .join(' ');

/** Letters that an engraving's drawing may have. */
const LARGEST_CUT = 195_000;
/** As fine as it may be. */
function cutTo(most: number, forms: Surface[]): Engraving {
  for (let coarse = 1; ; coarse *= 1.08) {
    const cut = engrave(forms, coarse);
    if (drawn(cut).length < most) return cut;
  }
}

async function buildKit(index: number, typesetter: Typesetter): Promise<void> {
  const kit = HOUSE_KITS[index]!;
  await mkdir(join(FOLDER, kit.id), { recursive: true });
  const stock = new Stock(kit);
  const inks = inkFinder(kit.inks);
  for (const [name, tags, draw] of kit.papers)
    await stock.drawing('paper', name, `${tags} paper pattern`, draw(typesetter));
  stock.backs();
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
    const cut = cutTo(LARGEST_CUT, sized(forms(), size));
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
      `words sentiment ${foundBy(text)}`,
      wordStamp(text, family, typesetter),
    );
  const { ribbon, round, flourish } = kit.lettered;
  const told = (text: string, how: string) => `words sentiment ${how} ${foundBy(text)}`;
  await stock.drawing(
    'wordart',
    ribbon,
    told(ribbon, 'ribbon'),
    onRibbon(ribbon, 'abril-fatface', typesetter),
  );
  await stock.drawing(
    'wordart',
    round[0].toLowerCase(),
    told(round[0], 'round'),
    inRound(round[0], 'zilla-slab', motifFinder(kit.stamps)(round[1]), typesetter),
  );
  await stock.drawing(
    'wordart',
    flourish,
    told(flourish, 'flourish'),
    overFlourish(flourish, 'great-vibes', typesetter),
  );
  for (const month of monthNames('en'))
    await stock.drawing(
      'wordart',
      month,
      `words month calendar ${month.toLowerCase()}`,
      wordStamp(month, kit.title, typesetter),
    );
  for (const [set, alphabet] of kit.alphabets.entries())
    for (const [i, character] of Object.keys(LETTERS).entries())
      await stock.picture(
        'alphabet',
        letterName(alphabet.name, character),
        `letter alphabet ${alphabet.body} ${slug(alphabet.name)}`,
        letter(character, alphabet, 900 + 300 * set + i),
        { lift: LIFTED[alphabet.body] ?? 1.5, letters: character, alphabet: alphabet.name },
      );
  stock.inks(`${kit.name} inks`, 'ink colour set', kit.inks);
  for (const name of kit.runs)
    stock.inks(`${name}, pale to deep`, `ink ombre run ${slug(name)}`, ombreOf(inks(name)));
  for (const ready of readyLines(
    kit.id,
    (name) => inks(name).colour,
    (name) => stock.find(name).asset,
  ))
    await stock.line(ready, typesetter);
  for (const project of readyPages(kit, (name) => stock.find(name), typesetter))
    await stock.page('page', 'page ready layout', project, typesetter);
  for (const { project, tags } of readyClusters(kit, (name) => stock.find(name), typesetter))
    await stock.page('pieces', tags, project, typesetter);
  for (const { project, tags } of readyCards(kit, (name) => stock.find(name), typesetter))
    await stock.page('card', `card ready greeting ${tags}`, project, typesetter);
  for (const { project, tags } of readyCalendars(kit, (name) => stock.find(name), typesetter))
    await stock.page('calendar', `calendar ready ${tags}`, project, typesetter);
  for (const { project, tags } of readyBooks(kit, (name) => stock.find(name), typesetter))
    await stock.page('book', `book ready design ${tags}`, project, typesetter);
  for (const { project, tags } of readyPockets(kit, (name) => stock.find(name), typesetter))
    await stock.page('sheet', `cards ready ${tags}`, project, typesetter);
  for (const { project, tags } of sketchesOf(index, HOUSE_KITS.length))
    await stock.page('sketch', tags, project, typesetter);
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
  const { drawn: ready, print, mark } = await standing('kits');
  if (ready) return console.log('The house kits are ready.');
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
  for (const { id } of kits) await rm(join(FOLDER, id, 'supplies.json'));
  for (const [i, kit] of kits.entries())
    kit.cover = supplies.find((one) => one.kit === kit.id && one.name === HOUSE_KITS[i]!.heroes[0])?.id;
  await writeFile(
    join(ROOT, 'public/house/kits.json'),
    JSON.stringify({ version: print, kits: [...kits, own.kit], supplies: [...supplies, ...own.supplies] }),
  );
  await mark();
}

const one = process.argv.find((argument) => argument.startsWith('--kit='))?.slice(6);
if (one !== undefined) await buildKit(Number(one), await nodeTypesetter());
else await build();
