import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { strength } from '@/core/drawing/drawing';
import { wornDrawing } from '@/core/dye/drawing';
import { readDrawing } from '@/core/drawing/read';
import { writeDrawing } from '@/core/drawing/write';
import { DRAWN_BOMBS } from '../../../scripts/testing/bombs';
import { unlikeness } from '../../../scripts/testing/drawn';
import { cardstock, edge } from '../../../scripts/kits/tiles';
import { ROOT } from '../../../scripts/node/platform';

/** A drawing of the house, as it was drawn. */
const HOUSE = join(ROOT, 'public/house/kits/windward');
const house = (name: string): string => readFileSync(join(HOUSE, `${name}.svg`), 'utf8');
const PAPERS = readdirSync(HOUSE).filter((name) => /^paper-.*\.svg$/.test(name));

const read = (svg: string) => {
  const answer = readDrawing(svg);
  if (!answer.ok) throw new Error(answer.message);
  return answer.value;
};
const svg = (inside: string, more = 'width="2in" height="1in" viewBox="0 0 200 100"') =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${more}>${inside}</svg>`;

describe('reading SVG', () => {
  test('sizes in every unit, and by viewBox alone (CSS: 96 px to the inch)', () => {
    for (const [more, width] of [
      ['width="2in" height="1in"', 144],
      ['width="25.4mm" height="1in"', 72],
      ['width="96" height="96"', 72],
      ['viewBox="0 0 192 96"', 144],
      ['width="12pt" height="1pc"', 12],
    ] as const)
      expect(read(svg('<path d="M0 0H9V9Z"/>', more)).drawing.width).toBeCloseTo(width, 6);
  });
  test('scripts, foreign content and links are left out and named; what is left is drawn', () => {
    const { drawing, dropped } = read(
      svg(
        '<script>alert(1)</script><image href="http://x/y.png"/><use href="other.svg#a"/><text>hi</text><rect width="9" height="9"/>',
      ),
    );
    expect(drawing.parts).toHaveLength(1);
    expect(dropped).toEqual([
      'a script',
      'a picture inside it',
      'a link to another file',
      'text that is not outlines',
    ]);
    expect(writeDrawing(drawing)).not.toMatch(/script|http:\/\/x|href="other/);
  });
  test('what could do harm is refused in words', () => {
    const refused = (text: string) => {
      const answer = readDrawing(text);
      return answer.ok ? '' : answer.message;
    };
    expect(refused('<!DOCTYPE svg [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]><svg/>')).toContain('entities');
    expect(refused(svg('<g>'.repeat(90) + '<rect width="9" height="9"/>' + '</g>'.repeat(90)))).toContain(
      'too deeply',
    );
    expect(refused(svg('<g id="a"><use href="#a"/></g><use href="#a"/>'))).toContain('contains itself');
    expect(
      refused(
        svg(
          '<defs><pattern id="p" width="0.01" height="0.01"><rect width="1" height="1"/></pattern></defs><rect width="200" height="100" fill="url(#p)"/>',
        ),
      ),
    ).toContain('too fine');
    expect(refused(svg(''))).toContain('nothing in it');
    expect(refused('<svg')).toMatch(/damaged|not an SVG/);
    expect(refused(svg('<rect width="9" height="9"/>', 'width="90in" height="1in"'))).toContain(
      'larger than 60 inches',
    );
  });
  test.each(Object.entries(DRAWN_BOMBS))(
    '%s: read or refused, and no number is beyond all numbers',
    (_, bomb) => {
      const answer = readDrawing(bomb.file);
      expect(answer.ok).toBe(!bomb.refused);
      if (!answer.ok)
        expect(answer.message).toMatch(/^is a drawing (that comes to too much|of more than|with nothing)/);
      else
        for (const { path, at } of answer.value.drawing.parts)
          expect(
            [...path.flat(), ...at.flatMap(({ x, y }) => [x, y])].every(
              (v) => typeof v === 'string' || Number.isFinite(v),
            ),
          ).toBe(true);
    },
  );
  test('a command’s letter that is left out for long is the same path as one written each time', () => {
    const points = Array.from({ length: 1500 }, (_, i) => `${i % 90} ${(i * 7) % 50}`);
    const path = (data: string) => read(svg(`<path d="${data}"/>`)).drawing.parts[0]!.path;
    expect(path(`m1 2 ${points.join(' ')}z`)).toEqual(path(`m1 2${points.map((at) => `l${at}`).join('')}z`));
    expect(path(`M1 2C${points.join(' ')}`)).toEqual(
      path(
        `M1 2${Array.from({ length: 500 }, (_, i) => `C${points.slice(3 * i, 3 * i + 3).join(' ')}`).join('')}`,
      ),
    );
  });
  test('what is written is read back the same', () => {
    for (const file of [house('paper-kites-aloft'), house('stamp-scallop-shell')]) {
      const { drawing } = read(file);
      const again = read(writeDrawing(drawing)).drawing;
      expect(again.width).toBeCloseTo(drawing.width, 3);
      expect(again.parts.flatMap(({ at }) => at)).toHaveLength(drawing.parts.flatMap(({ at }) => at).length);
      expect([...new Set(again.parts.map(({ ink }) => ink))].sort()).toEqual(
        [...new Set(drawing.parts.map(({ ink }) => ink))].sort(),
      );
    }
  });
  test('house papers, edges and stamps look as librsvg draws them', async () => {
    const ink = { name: 'Jam', colour: '#b23a48' };
    const files = [
      ...PAPERS.filter((_, i) => i % 3 === 0).map((name) => house(name.slice(0, -4))),
      cardstock(ink, 1),
      edge('lace', ink),
    ];
    for (const file of files) expect(await unlikeness(file)).toBeLessThan(6);
    // Lines finer than a pixel are made soft in ways of one's own: they are compared in large.
    for (const name of ['lighthouse', 'nautilus-tone'])
      expect(await unlikeness(house(`stamp-${name}`), 864)).toBeLessThan(6);
  });
});

describe('inking', () => {
  test('darkness covers, by Rec. 709 luma (ITU-R BT.709-6, 3.2); white is bare', () => {
    expect(strength('#000000')).toBe(1);
    expect(strength('#ffffff')).toBeCloseTo(0, 9);
    expect(strength('#ff0000')).toBeCloseTo(1 - 0.2126, 6);
    const { drawing } = read(
      svg('<rect width="9" height="9" fill="#fff"/><rect width="9" height="9" fill="#000"/>'),
    );
    expect(
      wornDrawing(drawing, { ink: '#2f5b4a' }).parts.map(({ colour, opacity }) => [colour, opacity]),
    ).toEqual([['#2f5b4a', 1]]);
  });

  test('a protected part keeps its colour, whatever dyes come before or after', () => {
    const { drawing } = read(
      svg('<rect width="9" height="9" fill="#8a4a2a"/><rect x="9" width="9" height="9" fill="#b3262e"/>'),
    );
    const dye = { name: '', strength: 1 };
    const blue = { ...dye, id: 'a', change: { how: 'ink' as const, ink: '#2f6f8f' } };
    const guard = { ...dye, id: 'b', change: { how: 'protect' as const }, where: { parts: [1] } };
    for (const dyes of [
      [blue, guard],
      [guard, blue],
    ])
      expect(wornDrawing(drawing, { dyes }).parts.map(({ colour }) => colour === '#b3262e')).toEqual([
        false,
        true,
      ]);
  });
});
