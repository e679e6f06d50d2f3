import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { nodeTypesetter } from '../../../scripts/node/platform';
import { FAMILIES } from '@/core/text/families';
import type { TextStyle, Typesetter } from '@/core/text/typesetter';

let typesetter: Typesetter;
beforeAll(async () => {
  typesetter = await nodeTypesetter();
});

const style = (family: string, size = 20): TextStyle => ({ family, size, align: 'left', leading: 1.2 });

describe('shaping', () => {
  const folder = mkdtempSync(join(tmpdir(), 'fonts-'));

  test.each(FAMILIES.map(({ id, fonts }) => [id, fonts[0]!]))(
    '%s places glyphs as HarfBuzz’s own hb-shape does',
    (id, font) => {
      const text = 'AVATAR ffi fly Tomorrow, “Saltmarsh” affinity 1/2';
      const file = join(folder, `${id}.ttf`);
      writeFileSync(file, typesetter.font(font).bytes);
      const reference: { g: number; cl: number; dx: number; dy: number; ax: number }[] = JSON.parse(
        execFileSync('hb-shape', ['--output-format=json', '--no-glyph-names', file, text], {
          encoding: 'utf8',
        }),
      );
      const ours = typesetter
        .font(font)
        .shape(text)
        .map(({ id: g, dx, dy, advance: ax }) => ({ g, dx, dy: dy === 0 ? 0 : -dy, ax }));
      expect(ours).toEqual(reference.map(({ g, dx, dy, ax }) => ({ g, dx, dy, ax })));
    },
  );

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

describe('lines', () => {
  const words = fc
    .array(fc.string({ unit: fc.constantFrom(...'abcdefg'), minLength: 1, maxLength: 9 }), {
      minLength: 1,
      maxLength: 40,
    })
    .map((list) => list.join(' '));

  test('no line with a choice is wider than its column, and no letter is lost', () => {
    fc.assert(
      fc.property(words, fc.integer({ min: 40, max: 400 }), (text, width) => {
        const { lines } = typesetter.set(text, style('zilla-slab', 14), width);
        expect(lines.map(({ start, end }) => text.slice(start, end)).join(' ')).toBe(text);
        for (const { start, end, carets } of lines)
          if (text.slice(start, end).includes(' '))
            expect(carets[carets.length - 1]! - carets[0]!).toBeLessThanOrEqual(width + 1e-6);
      }),
      { numRuns: 60 },
    );
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
