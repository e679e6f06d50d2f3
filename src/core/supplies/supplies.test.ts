import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { createCanvas, loadImage, type SKRSContext2D } from '@napi-rs/canvas';
import fc from 'fast-check';
import { readDrawing } from '@/core/drawing/read';
import { scaling } from '@/core/geometry/matrix';
import type { Asset } from '@/core/picture/asset';
import { colourWords, mainColours } from '@/core/supplies/colours';
import { pathsFor, readKit, tagsFrom, writeKit, type KitFile } from '@/core/supplies/kit-file';
import { lookOf } from '@/core/supplies/look';
import { KINDS, SUPPLY_KINDS, type Kit, type Supply, type SupplyKind } from '@/core/supplies/model';
import { SupplySearch } from '@/core/supplies/search';
import { asName } from '@/core/text/named';
import { DOUBTFUL, guessKinds, type Seen } from '@/core/supplies/sort';
import { paintDrawing } from '@/output/pixels/marks';
import { node, ROOT } from '../../../scripts/node/platform';
import { trailsOf } from '../../../scripts/testing/lines';

const kit = (id: string, name: string, tags: string[] = []): Kit => ({
  id,
  name,
  tags,
  description: '',
  author: '',
  licence: '',
  added: 0,
  house: false,
});
let count = 0;
const supply = (name: string, more: Partial<Supply> = {}): Supply => ({
  id: `s${(count += 1)}`,
  kind: 'embellishment',
  name,
  tags: [],
  kit: 'a',
  order: count,
  added: 0,
  favourite: false,
  colours: [],
  ...more,
});

describe('search', () => {
  const kits = new Map([
    ['a', kit('a', 'Windward', ['seaside'])],
    ['b', kit('b', 'Garden Year')],
  ]);
  const feather = supply('Grey feather', { tags: ['light'] });
  const kites = supply('Kites aloft', { kind: 'paper', tags: ['wind'], colours: ['#3f8f8a'] });
  const kite = supply('Kite', { tags: ['sky'] });
  const kitten = supply('Kitten', { kit: 'b' });
  const berries = supply('Berries', { kit: 'b', tags: ['red', 'round'], colours: ['#a92f3f'] });
  const search = new SupplySearch([feather, kites, kite, kitten, berries], kits, () => 1e9);
  const names = (
    words: string,
    ...rest: Parameters<SupplySearch['find']> extends [string, ...infer R] ? R : never
  ) => search.find(words, ...rest).map(({ name }) => name);

  test('the beginning of a word is enough, before the word is done', () => {
    expect(names('feath')).toEqual(['Grey feather']);
    expect(names('kit').slice(0, 3).sort()).toEqual(['Kite', 'Kites aloft', 'Kitten']);
    expect(names('kite')).toEqual(expect.arrayContaining(['Kite', 'Kites aloft']));
    expect(names('kite')).not.toContain('Kitten');
  });
  test('the name that is just the word comes first', () => {
    expect(names('kite')[0]).toBe('Kite');
    expect(names('kit')[0]).toBe('Kite');
  });
  test('several words narrow; a kit’s tag finds what is in it; a colour is a word', () => {
    expect(names('seaside kite').sort()).toEqual(['Kite', 'Kites aloft']);
    expect(names('teal')).toEqual(['Kites aloft']);
    expect(names('paper wind')).toEqual(['Kites aloft']);
  });
  test('plurals are the same word, and a small slip in a long one is forgiven', () => {
    expect(names('berry')).toEqual(['Berries']);
    expect(names('feathers')).toEqual(['Grey feather']);
    expect(names('fethers')).toEqual(['Grey feather']);
    expect(names('kyte')).toEqual([]);
  });
  test('favourites and what was used lately come before their equals', () => {
    const plain = supply('Button');
    const liked = supply('Button', { favourite: true });
    const lately = supply('Button', { used: 1e9 - 1000 });
    const found = new SupplySearch([plain, lately, liked], kits, () => 1e9).find('button');
    expect(found.map(({ id }) => id)).toEqual([liked.id, lately.id, plain.id]);
  });
  test('filters: kind, kit, colour, use', () => {
    expect(names('', { kinds: ['paper'] })).toEqual(['Kites aloft']);
    expect(names('', { kit: 'b' })).toEqual(['Kitten', 'Berries']);
    expect(names('', { colour: 'red' })).toEqual(['Berries']);
    expect(names('', { used: true }, ({ name }) => name === 'Kite')).toEqual(['Kite']);
  });
  test('what is changed or taken away is found as it is now', () => {
    const one = new SupplySearch([kite], kits, () => 0);
    one.update({ ...kite, tags: ['diamond'] }, kits.get('a'));
    expect(one.find('diam')).toHaveLength(1);
    one.remove(kite.id);
    expect(one.find('kite')).toHaveLength(0);
  });
  // Thirty everyday words as a person types them, and the name that is meant.
  test.each(
    (
      'wave/Waves waves/Wave leaf/Leaves leaves/Leaf berry/Berries box/Boxes boxes/Box sail/Sailing sailing/Sails ' +
      'happy/Happiness celebrate/Celebration celebrating/Celebrate friend/Friends gardens/Gardening bake/Baking ' +
      'baked/Bake snow/Snowy snowflakes/Snowflake love/Loved loved/Loving stitch/Stitched stitches/Stitch ' +
      'dance/Dancing party/Parties baby/Babies glasses/Glass strasse/Straße straße/Strasse cafe/Café café/Cafe ' +
      'noel/Noël blutenstrauss/Blütenstrauß'
    )
      .split(' ')
      .map((pair) => pair.split('/') as [string, string]),
  )('“%s” finds %s', (typed, name) => {
    const search = new SupplySearch([supply(name), supply('Tape measure')], kits, () => 0);
    expect(search.find(typed).map((one) => one.name)).toEqual([name]);
  });
});

describe('colours', () => {
  test('most of what can be seen comes first; what is clear counts for nothing', () => {
    const pixels = new Uint8ClampedArray(400 * 4);
    for (let i = 0; i < 400; i++)
      pixels.set(i < 100 ? [0, 0, 0, 0] : i < 300 ? [169, 47, 63, 255] : [47, 91, 74, 255], 4 * i);
    expect(mainColours(pixels)).toEqual(['#a92f3f', '#2f5b4a']);
  });
  test('go by ordinary words', () => {
    for (const [hex, word] of [
      ['#ffffff', 'white'],
      ['#26242a', 'black'],
      ['#c0392f', 'red'],
      ['#4a83c0', 'blue'],
      ['#3f9a90', 'teal'],
      ['#6d9a4b', 'green'],
      ['#ecc23c', 'yellow'],
      ['#7a5230', 'brown'],
      ['#e79aad', 'pink'],
      ['#24385c', 'navy'],
      ['#8f8d8a', 'grey'],
    ] as const)
      expect(colourWords(hex)).toContain(word);
  });
});

describe('kit.json', () => {
  const schema = JSON.parse(readFileSync(join(ROOT, 'docs/kit.schema.json'), 'utf8'));
  const check = new Ajv2020().compile(schema);
  const text = (longest: number) =>
    fc.string({ minLength: 1, maxLength: longest }).filter((s) => s !== '' && asName(s, longest) === s);
  const entry = fc.record(
    {
      kind: fc.constantFrom(...SUPPLY_KINDS),
      name: text(60),
      tags: fc.array(text(20), { maxLength: 5 }),
      file: fc.constantFrom('papers/a.svg', 'stamps/b 2.png'),
      ppi: fc.integer({ min: 1, max: 1200 }),
      lift: fc.double({ min: 0, max: 20, noNaN: true }),
      letters: text(3),
      alphabet: text(12),
      back: fc.constantFrom('papers/Graph.svg', 'a/b.png'),
      favourite: fc.boolean(),
      trail: fc.constantFrom(...trailsOf('a'.repeat(64))),
      inks: fc.array(fc.record({ name: text(20), colour: fc.constantFrom('#a92f3f', '#ffffff') }), {
        maxLength: 4,
      }),
    },
    { requiredKeys: ['kind', 'name', 'tags'] },
  );
  const file = fc.record({
    kit: fc.record({
      name: text(60),
      description: fc.string({ maxLength: 80 }),
      author: fc.string({ maxLength: 40 }),
      licence: fc.string({ maxLength: 40 }),
      tags: fc.array(text(20), { maxLength: 4 }),
    }),
    supplies: fc.array(entry, { maxLength: 6 }),
  });
  test('what is written satisfies the published JSON Schema and is read back the same', () => {
    fc.assert(
      fc.property(file, (given) => {
        const json = writeKit(given as KitFile);
        expect(check(JSON.parse(json)) ? [] : check.errors).toEqual([]);
        const { format: _, version: __, ...plain } = JSON.parse(json);
        expect(readKit(json)).toEqual({ ok: true, value: plain });
      }),
    );
  });
  test('what cannot be believed is refused in words', () => {
    const good = {
      format: 'bellagraph-kit',
      version: 1,
      kit: { name: 'A', description: '', author: '', licence: '', tags: [] },
      supplies: [],
    };
    const refused = (change: object) => {
      const read = readKit(JSON.stringify({ ...good, ...change }));
      return read.ok ? '' : read.message;
    };
    expect(refused({})).toBe('');
    expect(refused({ version: 3 })).toBe('');
    expect(refused({ version: 4 })).toContain('newer Bellagraph');
    expect(refused({ version: 1.5 })).toContain('does not say');
    expect(refused({ format: 'other' })).toContain('some other program');
    for (const path of [{ file: '../../etc/passwd' }, { file: 'x.svg', back: '../x' }])
      expect(refused({ supplies: [{ kind: 'paper', name: 'x', tags: [], ...path }] })).toContain('outside');
    expect(refused({ supplies: [{ kind: 'teapot', name: 'x', tags: [] }] })).toContain('damaged');
    expect(readKit('{').ok).toBe(false);
  });
  test('names that meet are told apart, and no name leaves its folder', () => {
    const paths = pathsFor([supply('A/B'), supply('a b'), supply('../x', { kind: 'paper' })], () => 'png');
    expect([...paths.values()]).toEqual([
      'embellishments/A B.png',
      'embellishments/a b 2.png',
      'papers/x.png',
    ]);
    // A half of a letter would be another name in the zip than in the list.
    const [long] = pathsFor([supply(`a${'𠮷'.repeat(60)}`)], () => 'png').values();
    expect(long).toBe(`embellishments/a${'𠮷'.repeat(49)}.png`);
  });
  test('tags are lower case, each once', () =>
    expect(tagsFrom(' Sea, sea ,Blue kite,,Caf\u00e9,cafe\u0301')).toEqual([
      'sea',
      'blue kite',
      'caf\u00e9',
    ]));
});

/**
 * A labelled set: the house kits' own files under names such as kits are sold with, decoded from their bytes, with demo
 * photos, and stamps scanned black on white. Every second file has a name that tells nothing.
 */
describe('sorting by kind', () => {
  interface Labelled {
    kind: SupplyKind;
    seen: Seen;
  }
  const SIDE = 200;
  async function look(path: string, asset: Pick<Asset, 'type' | 'width' | 'height'>, paper?: string) {
    const bytes = readFileSync(path);
    const scale = SIDE / Math.max(asset.width, asset.height);
    const [w, h] = [
      Math.max(1, Math.round(asset.width * scale)),
      Math.max(1, Math.round(asset.height * scale)),
    ];
    const canvas = createCanvas(w, h);
    const context = canvas.getContext('2d');
    if (paper) {
      context.fillStyle = paper;
      context.fillRect(0, 0, w, h);
    }
    if (asset.type === 'image/svg+xml') {
      const read = readDrawing(bytes.toString());
      if (!read.ok) throw new Error(read.message);
      paintDrawing(context as never, read.value.drawing, scaling(w / read.value.drawing.width), node, 1);
    } else context.drawImage(await loadImage(bytes), 0, 0, w, h);
    return lookOf(context.getImageData(0, 0, w, h).data as unknown as Uint8ClampedArray, w, h);
  }

  /** Seen at 300 to the inch, drawn by `paint`. */
  function drawn(path: string, w: number, h: number, paint: (to: SKRSContext2D) => void): Seen {
    const canvas = createCanvas(w, h);
    const context = canvas.getContext('2d');
    paint(context);
    const pixels = context.getImageData(0, 0, w, h).data as unknown as Uint8ClampedArray;
    const asset = { type: 'image/png', width: 6 * w, height: 6 * h, orientation: 1, ppi: 300 } as Asset;
    return { path, asset, camera: false, look: lookOf(pixels, w, h) };
  }
  const card = (context: SKRSContext2D, w: number, h: number) => {
    context.fillStyle = '#b05a3c';
    context.fillRect(0, 0, w, h);
  };

  test('a card of one colour with windows is a frame; an opaque one is asked about', () => {
    const three = drawn('item 4.png', 200, 80, (context) => {
      card(context, 200, 80);
      for (const x of [12, 76, 140]) context.clearRect(x, 16, 48, 48);
    });
    expect(guessKinds([three])).toEqual([expect.objectContaining({ kind: 'frame', sure: 0.86 })]);
    const filled = (path: string) =>
      drawn(path, 100, 75, (context) => {
        card(context, 100, 75);
        context.fillStyle = '#fdfdfd';
        context.fillRect(14, 12, 72, 51);
      });
    const [named, unnamed] = guessKinds([filled('frames/wide.png'), filled('item 5.png')]);
    expect(named).toMatchObject({ kind: 'frame', why: expect.stringContaining('was its opening filled?') });
    expect(unnamed!.why).toContain('a frame whose opening was filled?');
    expect(Math.max(named!.sure, unnamed!.sure)).toBeLessThan(DOUBTFUL);
    // A plain shape of one colour stays a stamp.
    const disc = drawn('item 6.png', 90, 90, (context) => {
      context.arc(45, 45, 44, 0, 7);
      context.fill();
    });
    expect(guessKinds([disc])[0]!.kind).toBe('stamp');
  });

  test('files named alike but for a letter are letters; numbered ones and a, b, c are not', () => {
    const named = (...names: string[]) =>
      guessKinds(
        names.map((name) =>
          drawn(name, 40, 40, (context) => {
            context.fillStyle = '#24506b';
            context.fillRect(4, 4, 14, 32);
            context.fillStyle = '#e8c66a';
            context.fillRect(18, 20, 14, 16);
          }),
        ),
      ).map(({ kind, letters }) => letters ?? kind);
    expect(named('chunky_A.png', 'chunky_B.png', 'chunky_e.png', 'chunky_7.png').join('')).toBe('ABe7');
    expect(named('tag_a.png', 'tag_b.png', 'tag_c.png', 'tag_d.png')).not.toContain('a');
    expect(named('flower_1.png', 'flower_2.png', 'flower_5.png', 'flower_9.png')).not.toContain('1');
  });

  test('at least 95 % of a labelled set are right, and the confusion table is printed', async () => {
    const house: { supplies: Supply[] } = JSON.parse(
      readFileSync(join(ROOT, 'public/house/kits.json'), 'utf8'),
    );
    const all: Labelled[] = [];
    const most: Partial<Record<SupplyKind, number>> = {
      paper: 20,
      cardstock: 10,
      embellishment: 32,
      frame: 12,
      stamp: 24,
      edge: 12,
      wordart: 12,
      alphabet: 18,
    };
    const taken = new Map<SupplyKind, number>();
    for (const one of house.supplies) {
      const n = taken.get(one.kind) ?? 0;
      if (!one.asset || !one.at || n >= (most[one.kind] ?? 0)) continue;
      taken.set(one.kind, n + 1);
      const ending = one.at.split('.').pop()!;
      // Nobody can tell letters, words and edges from other cut shapes without a name; kits are sold with one.
      const named = ['wordart', 'alphabet', 'edge'].includes(one.kind) || n % 2 === 0;
      const name =
        one.kind === 'alphabet'
          ? `alpha/${one.letters}`
          : named
            ? `${KINDS[one.kind].many}/${one.name}`
            : `item ${n}`;
      const scanned = one.kind === 'stamp' && n % 6 === 1;
      const asset: Asset = { ...one.asset, ...(scanned ? { type: 'image/png' as const } : {}) };
      all.push({
        kind: one.kind,
        seen: {
          path: `${name}.${scanned ? 'png' : ending}`,
          asset,
          camera: false,
          look: await look(join(ROOT, 'public', one.at), one.asset, scanned ? '#ffffff' : undefined),
        },
      });
    }
    const photos = [
      'fly-in-all-up',
      'fly-in-first-launch',
      'fly-in-high',
      'fly-in-plum-kite',
      'lantern-night',
      'lighthouse-walk',
      'tide-pools',
      'workshop-table',
    ];
    for (const [i, name] of photos.entries()) {
      const path = join(ROOT, 'public/demo/photos', `${name}.jpg`);
      const { width, height } = await loadImage(readFileSync(path));
      const asset = {
        sha: '',
        name,
        bytes: 1,
        type: 'image/jpeg',
        width,
        height,
        orientation: 1,
        ppi: 300,
      } as Asset;
      all.push({
        kind: 'photo',
        seen: { path: `IMG_${1000 + i}.jpg`, asset, camera: i % 2 === 0, look: await look(path, asset) },
      });
    }
    expect(all.length).toBeGreaterThanOrEqual(120);
    const guesses = guessKinds(all.map(({ seen }) => seen));
    const table = new Map<string, number>();
    let right = 0;
    all.forEach(({ kind, seen }, i) => {
      const guessed = guesses[i]!.kind;
      if (guessed === kind) right += 1;
      else process.stdout.write(`  ${seen.path} (${kind}) was taken for ${guessed}: ${guesses[i]!.why}\n`);
      table.set(`${kind} > ${guessed}`, (table.get(`${kind} > ${guessed}`) ?? 0) + 1);
    });
    const kinds = SUPPLY_KINDS.filter((kind) => all.some((one) => one.kind === kind));
    const cell = (text: string | number) => String(text).slice(0, 9).padStart(10);
    process.stdout.write(`\n${cell('true, as')}${kinds.map(cell).join('')}\n`);
    for (const kind of kinds)
      process.stdout.write(
        `${cell(kind)}${kinds.map((as) => cell(table.get(`${kind} > ${as}`) ?? '')).join('')}\n`,
      );
    process.stdout.write(`${right} of ${all.length} right\n`);
    expect(right / all.length).toBeGreaterThanOrEqual(0.95);
  });
});
