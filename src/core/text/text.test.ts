import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import type { Patterns } from 'hyphen';
import { fontFile, nodeTypesetter, readNodeFont } from '../../../scripts/node/platform';
import { laid, wordsOf } from '../../../scripts/testing/samples';
import { inVisualOrder, levelsOf } from '@/core/text/bidi';
import { dividing, opportunities, openDivide } from '@/core/text/breaks';
import { equipped, needsOf, FIRST_FONTS, openTypesetter } from '@/core/project/needs';
import { FAMILIES, nearestFace } from '@/core/text/families';
import { lackingIn, lackingSays } from '@/core/text/lacking';
import { openFont, type OpenFont } from '@/core/text/shaper';
import type { TextStyle, Typesetter } from '@/core/text/typesetter';

let typesetter: Typesetter;
beforeAll(async () => {
  typesetter = await nodeTypesetter();
});

const style = (family: string, size = 20): TextStyle => ({ family, size, align: 'left', leading: 1.2 });

describe('shaping', () => {
  const folder = mkdtempSync(join(tmpdir(), 'fonts-'));

  interface Reference {
    g: number;
    dx: number;
    dy: number;
    ax: number;
  }
  /** What HarfBuzz's own hb-shape makes of a text, a line each. */
  const byHbShape = (font: OpenFont, lines: readonly string[]): Reference[][] => {
    const file = join(folder, `${font.name}.ttf`);
    writeFileSync(file, font.bytes);
    return execFileSync('hb-shape', ['--output-format=json', '--no-glyph-names', file], {
      encoding: 'utf8',
      input: lines.join('\n'),
    })
      .trim()
      .split('\n')
      .map((line) => (JSON.parse(line) as Reference[]).map(({ g, dx, dy, ax }) => ({ g, dx, dy, ax })));
  };

  test.each(
    FAMILIES.flatMap(({ fonts, faces }) => [fonts, ...Object.values(faces)].map((files) => files[0]!)),
  )('%s places glyphs as hb-shape does', async (name) => {
    const text = 'AVATAR ffi fly Tomorrow, “Saltmarsh” affinity 1/2';
    const font = typesetter.has(name)
      ? typesetter.font(name)
      : await openFont(name, await readNodeFont(name));
    const ours = font
      .shape(text)
      .map(({ id: g, dx, dy, advance: ax }) => ({ g, dx, dy: dy === 0 ? 0 : -dy, ax }));
    expect([ours]).toEqual(byHbShape(font, [text]));
  });

  // Caveat changes letters by what stands before them, Bungee and Zilla Slab kern across spaces, Great Vibes has ligatures.
  test.each(['caveat', 'bungee', 'zilla-slab', 'great-vibes'])(
    'every line of a paragraph in %s has the glyphs hb-shape gives that line alone',
    (id) => {
      const text = 'off to the shingle, AVATAR flying; a little wind, Tom waving. ';
      const { lines, runs } = typesetter.set(text.repeat(6), style(id), 150);
      const font = typesetter.font(FAMILIES.find((family) => family.id === id)!.fonts[0]!);
      const glyphs = runs.flatMap((run) => run.glyphs.map(({ id: glyph }) => glyph));
      const wanted = byHbShape(
        font,
        lines.map(({ start, end }) => text.repeat(6).slice(start, end)),
      );
      expect(lines.length).toBeGreaterThan(8);
      expect(glyphs).toEqual(wanted.flat().map(({ g }) => g));
    },
  );

  test('bold and italic come from the family’s own faces, for a stretch or all; plain where it has none', async () => {
    const of = (family: string, more: Partial<TextStyle>) => ({ ...style(family), ...more });
    const fonts = (text: string, how: TextStyle, by: Typesetter) =>
      by.set(text, how, null).runs.map(({ font }) => font);
    const spans = [{ start: 0, end: 2, italic: true, bold: false }];
    const written = laid([wordsOf('a', 'salt'), wordsOf('b', 'sand')]);
    const [first, second] = written.surfaces[0]!.pile;
    Object.assign(first!.outline, { family: 'lora', bold: true, spans });
    Object.assign(second!.outline, { family: 'great-vibes', bold: true });
    const needs = needsOf(written);
    expect(needs.fonts).toEqual([
      ...['lora-latin-400-normal', 'lora-latin-ext-400-normal'],
      ...['lora-latin-700-normal', 'lora-latin-ext-700-normal'],
      ...['lora-latin-400-italic', 'lora-latin-ext-400-italic'],
      ...['great-vibes-latin-400-normal', 'great-vibes-latin-ext-400-normal'],
    ]);
    const more = await equipped(typesetter, needs, readNodeFont);
    expect(fonts('salt', of('lora', { bold: true, spans }), more)).toEqual([
      'lora-latin-400-italic',
      'lora-latin-700-normal',
    ]);
    expect(fonts('sand', of('great-vibes', { bold: true }), more)).toEqual(['great-vibes-latin-400-normal']);
    expect(fonts('ox', of('crete-round', { bold: true, italic: true }), more)).toEqual([
      'crete-round-latin-400-normal',
    ]);
    expect(nearestFace({ family: 'crete-round', bold: true, italic: true })).toBe('italic');
  });

  test('with the fonts that words begin in, and what a project needs, every family is set as with all of them', async () => {
    const first = await openTypesetter(readNodeFont, FIRST_FONTS);
    const text = 'Quay, Łódź & šťastný';
    for (const { id } of FAMILIES) {
      const of = laid([wordsOf('a', text)]);
      Object.assign(of.surfaces[0]!.pile[0]!.outline, { family: id });
      const some = await equipped(first, needsOf(of), readNodeFont);
      expect(some.set(text, style(id), 200)).toEqual(typesetter.set(text, style(id), 200));
    }
    // What is printed is never set in another family without a word.
    const none = () => Promise.reject(new Error('no network'));
    const lora = laid([wordsOf('a', text)]);
    Object.assign(lora.surfaces[0]!.pile[0]!.outline, { family: 'lora' });
    await expect(equipped(first, needsOf(lora), none)).rejects.toThrow('no network');
  });

  test('the script hand has ligatures: fewer glyphs than letters, one caret for each letter all the same', () => {
    const text = 'off';
    const { runs, lines } = typesetter.set(text, style('great-vibes'), null);
    const glyphs = runs.flatMap((run) => run.glyphs);
    expect(glyphs.length).toBeLessThan(text.length);
    expect(glyphs.map((glyph) => glyph.text).join('')).toBe(text);
    expect(lines[0]!.carets).toHaveLength(text.length + 1);
    lines[0]!.carets.slice(1).forEach((x, i) => expect(x).toBeGreaterThan(lines[0]!.carets[i]!));
  });

  test('a letter the family lacks comes from the plain one, and stays on the line', () => {
    const { runs } = typesetter.set('a ≤ b', style('great-vibes'), null);
    expect(new Set(runs.map((run) => run.font)).size).toBeGreaterThanOrEqual(1);
    expect(
      typesetter
        .set('Łódź', style('caveat'), null)
        .runs.flatMap((run) => run.glyphs)
        .every((glyph) => glyph.id !== 0),
    ).toBe(true);
  });
});

describe('characters a family lacks', () => {
  test('are named with what writes them; what no font has is said to stand as a box', async () => {
    const text = 'Ω 🪁 漢\u200d שלום → ★';
    const of = laid([wordsOf('a', text)]);
    const more = await equipped(typesetter, needsOf(of), readNodeFont);
    const found = lackingIn(text, { family: 'great-vibes' }, more);
    expect(found.map(({ character, by }) => [character, by])).toEqual([
      ['Ω', 'Noto Sans'],
      ['🪁', 'Noto Emoji'],
      ['漢', null],
      ...[...'שלום'].map((letter) => [letter, 'Noto Sans Hebrew']),
      ['→', 'Noto Sans Math'],
      ['★', 'Noto Sans Symbols'],
    ]);
    // The same, by the glyphs that are set: 0 is the box for what is missing.
    const glyphs = more.set(text, style('great-vibes'), null).runs.flatMap((run) => run.glyphs);
    const boxes = glyphs.filter(({ id }) => id === 0).map((glyph) => glyph.text.replace('\u200d', ''));
    expect(boxes).toEqual(found.filter(({ by }) => !by).map(({ character }) => character));
    expect(lackingSays(found)[3]).toBe('Great Vibes has no ש ל ו ם: Noto Sans Hebrew writes them.');
  });

  test('are looked for in the family of their own stretch', () => {
    const spans = [{ start: 0, end: 1, family: 'lora' }];
    const found = lackingIn('ŵŵ', { family: 'fredoka', spans }, typesetter);
    expect(found).toMatchObject([{ start: 1, end: 2, family: 'fredoka', by: 'Atkinson Hyperlegible' }]);
    expect(lackingIn('ŵŵ', { family: 'lora' }, typesetter)).toEqual([]);
  });
});

describe('lines', () => {
  const words = fc
    .array(fc.string({ unit: fc.constantFrom(...'abcdefg'), minLength: 1, maxLength: 9 }), {
      minLength: 1,
      maxLength: 40,
    })
    .map((list) => list.join(' '));

  // Zilla Slab and Bungee kern across spaces; Great Vibes joins letters: a line's end is wider or narrower than its middle.
  test('no line is wider than its column, and no letter is lost', () => {
    const families = fc.constantFrom('zilla-slab', 'bungee', 'great-vibes', 'caveat');
    fc.assert(
      fc.property(families, words, fc.integer({ min: 40, max: 400 }), (family, text, width) => {
        const { lines } = typesetter.set(text, style(family, 14), width);
        const between = lines.slice(1).map(({ start }, i) => text.slice(lines[i]!.end, start));
        expect(lines.map(({ start, end }, i) => text.slice(start, end) + (between[i] ?? '')).join('')).toBe(
          text,
        );
        expect(between.join('').trim()).toBe('');
        for (const { carets } of lines)
          expect(carets[carets.length - 1]! - carets[0]!).toBeLessThanOrEqual(width + 1e-5);
      }),
      { numRuns: 120, examples: [['zilla-slab', 'cacdabfga a', 46]] },
    );
  });

  test('lines that are justified end where their column does, all but the last', () => {
    const text = 'The wind came round to the south and every kite on the beach went up at once';
    for (const hanging of [false, true]) {
      const { lines } = typesetter.set(text, { ...style('lora', 12), align: 'justify', hanging }, 150);
      for (const { carets } of lines.slice(0, -1)) expect(carets.at(-1)).toBeCloseTo(150, 6);
      expect(lines.at(-1)!.carets.at(-1)).toBeLessThan(150);
    }
  });

  test('a quote that hangs stands before its column, and what follows it on it', () => {
    const set = typesetter.set('“Kites” said Orla', { ...style('lora', 12), hanging: true }, 200);
    expect(set.lines[0]!.carets[0]).toBeLessThan(0);
    expect(set.lines[0]!.carets[1]).toBeCloseTo(0, 6);
  });

  test('further lines of an item in a list begin where its first words do', () => {
    const { lines } = typesetter.set('• spools and lines and tails and knots', style('lora', 12), 90);
    for (const { carets } of lines.slice(1)) expect(carets[0]).toBeCloseTo(lines[0]!.carets[2]!, 6);
  });

  test('a stretch in other letters makes its line higher, and no other', () => {
    const spans = [{ start: 0, end: 3, scale: 2, family: 'lobster', ink: '#2f6f68' }];
    const { lines, runs } = typesetter.set('big\nsmall', { ...style('lora', 12), spans }, 200);
    expect(lines[0]!.height).toBeCloseTo(2 * 12 * 1.2, 6);
    expect(lines[1]!.height).toBeCloseTo(12 * 1.2, 6);
    expect(runs.map(({ ink, size }) => [ink, size])).toEqual([
      ['#2f6f68', 24],
      [undefined, 12],
    ]);
  });

  test('columns are even, hold their lines in order, and say where their height ends', () => {
    fc.assert(
      fc.property(words, fc.integer({ min: 2, max: 4 }), (text, count) => {
        const columned = { ...style('lora', 10), columns: { count, gap: 12 } };
        const { lines, size, over } = typesetter.set(text, columned, 300);
        expect(over).toBeNull();
        expect(lines.map(({ column }) => column)).toEqual([...lines.map(({ column }) => column)].sort());
        const each = 12;
        expect(size.height).toBeLessThanOrEqual(Math.ceil(lines.length / count) * each + 1e-6);
        const short = typesetter.set(text, columned, 300, 24);
        if (lines.length > 2 * count) expect(short.over).toBe(short.lines[2 * count]!.start);
        else expect(short.over).toBeNull();
      }),
      { numRuns: 20 },
    );
  });

  test('letters set apart: each line longer by that much between its letters, and no ligatures', () => {
    const plain = typesetter.set('off', { ...style('lora'), features: ['-liga'] }, null).lines[0]!.carets;
    const apart = typesetter.set('off', { ...style('lora'), tracking: 0.1 }, null);
    expect(apart.lines[0]!.carets.at(-1)! - plain.at(-1)!).toBeCloseTo(3 * 2, 6);
    expect(apart.runs[0]!.glyphs).toHaveLength(3);
  });

  test('alignment moves lines by all or half of what is left over', () => {
    const at = (align: TextStyle['align']) =>
      typesetter.set('kite', { ...style('caveat'), align }, 200).lines[0]!.carets;
    const width = at('left')[4]!;
    expect(at('right')[4]).toBeCloseTo(200, 6);
    expect(at('centre')[0]).toBeCloseTo((200 - width) / 2, 6);
  });

  test('twice the letters is twice the words, in every direction', () => {
    const small = typesetter.set('all hands', style('special-elite', 10), null).size;
    const large = typesetter.set('all hands', style('special-elite', 20), null).size;
    expect(large.width).toBeCloseTo(2 * small.width, 6);
    expect(large.height).toBeCloseTo(2 * small.height, 6);
  });
});

/** Lines of a file of the Unicode Character Database (Debian's unicode-data, 15.0), without what stands behind #. */
const unicode = (name: string): string[] =>
  readFileSync(`/usr/share/unicode/${name}`, 'utf8')
    .split('\n')
    .map((line) => line.split('#')[0]!.trim())
    .filter((line) => line && !line.startsWith('@'));
const points = (codes: string): string =>
  String.fromCodePoint(...codes.split(' ').map((code) => parseInt(code, 16)));

describe('direction (UAX #9)', () => {
  test('levels and order are those of the Unicode test data', () => {
    let checked = 0;
    const wrong: string[] = [];
    for (const line of unicode('BidiCharacterTest.txt')) {
      const [codes, , base, levels, order] = line.split(';') as [string, string, string, string, string];
      const wanted = levels.split(' ').map((level, at) => ({ level: Number(level), at }));
      const seen = wanted.filter(({ level }) => !Number.isNaN(level));
      const ordered = inVisualOrder(seen).map(({ at }) => at);
      if (ordered.join(' ') !== order.trim()) wrong.push(`order of ${line}`);
      // The data also has paragraphs that are told their direction; ours have their own.
      const text = points(codes);
      const ours = levelsOf(text);
      if (ours.base !== Number(base) || /[\t\u2029\u2066-\u2069\u{10000}-\u{10ffff}]/u.test(text)) continue;
      const body = text.trimEnd().length;
      if (seen.some(({ level, at }) => at < body && ours.of(at) !== level)) wrong.push(line);
      checked++;
    }
    expect(wrong).toEqual([]);
    expect(checked).toBeGreaterThan(10_000);
  });

  test('Hebrew between English: shaped as hb-shape does, and standing from right to left', async () => {
    const name = 'noto-sans-hebrew-hebrew-400-normal';
    const hebrew = await openFont(name, new Uint8Array(readFileSync(fontFile(name))));
    const text = 'kite שלום day';
    const { lines, runs } = typesetter.with([hebrew]).set(text, style('lora'), 300);
    const { carets } = lines[0]!;
    expect(runs.map(({ font }) => font)).toContain(name);
    // The first Hebrew letter stands furthest to the right of its word; the caret before it too.
    expect(carets[5]!).toBeGreaterThan(carets[6]!);
    expect(carets[6]!).toBeGreaterThan(carets[7]!);
    expect(carets[10]!).toBeGreaterThan(carets[5]! - 1e-6);
    const file = join(mkdtempSync(join(tmpdir(), 'fonts-')), 'hebrew.ttf');
    writeFileSync(file, hebrew.bytes);
    const reference: { g: number; ax: number }[] = JSON.parse(
      execFileSync('hb-shape', ['--output-format=json', '--no-glyph-names', file, 'שלום'], {
        encoding: 'utf8',
      }),
    );
    expect(
      hebrew.shape(text, { from: 5, to: 9, rightToLeft: true }).map(({ id, advance }) => [id, advance]),
    ).toEqual(reference.map(({ g, ax }) => [g, ax]));
  });
});

describe('breaking (UAX #14)', () => {
  test('lines may end where the Unicode test data says', () => {
    let differ = 0;
    let latin = 0;
    const tests = unicode('auxiliary/LineBreakTest.txt');
    for (const line of tests) {
      const tokens = line.split(/\s+/);
      let text = '';
      const wanted: number[] = [];
      for (const token of tokens.slice(1))
        if (token === '÷') wanted.push(text.length);
        else if (token !== '×') text += points(token);
      if (opportunities(text).join() === wanted.join()) continue;
      differ++;
      if (/^[\p{Script=Latin}\s.,;!?“”‘’-]*$/u.test(text)) latin++;
    }
    // The library follows Unicode 13; what changed since, and numbers as in example 7 of the annex, are the rest.
    expect(differ).toBeLessThan(0.01 * tests.length);
    expect(latin).toBe(0);
  });

  test.each([
    // Liang, Word Hy-phen-a-tion by Com-put-er (1983), title and abstract, as TeX’s American patterns give it.
    ['en-us', 'hyphenation', 'hy-phen-ation'],
    ['en-us', 'supercalifragilisticexpialidocious', 'su-per-cal-ifrag-ilis-tic-ex-pi-ali-do-cious'],
    // The German patterns’ own example (Trennmuster project).
    ['de-1996', 'Donaudampfschifffahrt', 'Do-nau-dampf-schiff-fahrt'],
    ['de-1996', 'Silbentrennung', 'Sil-ben-tren-nung'],
  ])('%s divides %s as its patterns’ authors print it', async (language, word, divided) => {
    const { default: patterns } = (await import(`hyphen/patterns/${language}.js`)) as { default: Patterns };
    const places = dividing(patterns)(word);
    expect([...word].map((letter, at) => (places.includes(at) ? '-' : '') + letter).join('')).toBe(divided);
  });

  test('a word is divided where its language allows, with a hyphen that fits', async () => {
    const german = typesetter.with([], { de: await openDivide('de') });
    const text = 'Die Donaudampfschifffahrt';
    const { lines, runs } = german.set(text, { ...style('lora', 12), hyphens: 'de' }, 110);
    expect(lines.map(({ start, end }) => text.slice(start, end))).toEqual(['Die Donaudampf', 'schifffahrt']);
    expect(runs[0]!.glyphs).toHaveLength('Die Donaudampf'.length + 1);
    expect(german.set(text, style('lora', 12), 140).lines[1]!.start).toBe(4);
  });
});
