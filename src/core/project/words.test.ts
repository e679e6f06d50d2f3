import { nodeTypesetter, readNodeFont } from '../../../scripts/node/platform';
import { assetOf, laid, photoOf, project, quarters, wordsOf } from '../../../scripts/testing/samples';
import { fitToFonts } from '@/core/project/edits/fonts';
import { rewritten, writeAnew, writeWords } from '@/core/project/edits/make';
import {
  changeStyle,
  differs,
  giveStyle,
  keepStyle,
  styleOf,
  stylesOf,
  writtenAs,
  writtenIn,
} from '@/core/project/edits/styles';
import { countWords, findWords, isFree, replaceWords } from '@/core/project/finding';
import { amend, perform, redo, startHistory, undo } from '@/core/project/history';
import { equipped, needsOf } from '@/core/project/needs';
import { checked } from '@/core/proof';
import { wantedSize, type GlyphsOutline } from '@/core/piece/outline/glyphs';
import { newMonth } from '@/core/piece/material/month/begin';
import { checkProject } from '@/core/project/file';
import { FIRST_WORDS } from '@/core/piece/material/words';
import type { Piece } from '@/core/piece/piece';
import type { Project } from '@/core/project/model';

import { MOST_LETTERS, type Span } from '@/core/text/style';
import type { Edit } from '@/core/project/edits/edit';
import type { Typesetter } from '@/core/text/typesetter';

let typesetter: Typesetter;
beforeAll(async () => {
  typesetter = await nodeTypesetter();
});
const after = (of: Project, edit: Edit): Project => perform(startHistory(of), edit, 0).project;
const pile = (of: Project) => of.surfaces[0]!.pile;

describe('text styles', () => {
  test('changed once, all that is written in it changes, its boxes with it; locked pages stay', () => {
    const base = laid([wordsOf('a', 'one two three'), wordsOf('b', 'four five six')]);
    const label = stylesOf(base).find(({ id }) => id === 'caption')!;
    const written = after(base, giveStyle('sample-1', pile(base), label, typesetter));
    expect(pile(written).map((piece) => styleOf(written, piece)?.name)).toEqual(['Caption', 'Caption']);
    expect(pile(written).every((piece) => !differs(piece, label))).toBe(true);
    const larger = { ...label, size: label.size * 3, ink: '#2f6f68' };
    const changed = after(written, changeStyle(written, larger, typesetter));
    expect(writtenIn(changed, 'caption')).toHaveLength(2);
    for (const [i, { outline, material, placement }] of pile(changed).entries()) {
      expect(outline).toMatchObject({ size: label.size * 3 });
      expect(material).toEqual({ kind: 'ink', colour: '#2f6f68' });
      expect(placement.height).toBeGreaterThan(pile(written)[i]!.placement.height);
    }
    const locked = { ...written, surfaces: [{ ...written.surfaces[0]!, locked: true }] };
    expect(pile(after(locked, changeStyle(locked, larger, typesetter)))).toEqual(pile(locked));
  });

  test('one of one’s own is kept as the piece is written', () => {
    const base = laid([wordsOf('a', 'one two three', 31)]);
    const kept = after(base, keepStyle('sample-1', pile(base)[0]!, 'mine', 'Loud'));
    expect(stylesOf(kept).at(-1)).toEqual(writtenAs(pile(base)[0]!, 'mine', 'Loud'));
    expect(styleOf(kept, pile(kept)[0]!)?.name).toBe('Loud');
  });
});

describe('finding', () => {
  const base = laid([wordsOf('a', 'The kite club. Kites!'), wordsOf('b', 'a kite (blue)')]);

  test('capitals and whole words count if asked; brackets are brackets', () => {
    const found = (text: string, exact = false, whole = false) =>
      findWords(base, { text, exact, whole }).length;
    expect([found('kite'), found('kite', true), found('kite', false, true)]).toEqual([3, 2, 2]);
    expect(found('(blue)')).toBe(1);
    // A mark upon a letter is of that letter, however it is stored.
    const marked = laid([wordsOf('a', 'cafe\u0301 and cafe')]);
    expect(findWords(marked, { text: 'cafe', exact: false, whole: true })).toMatchObject([
      { start: 10, end: 14 },
    ]);
    expect(findWords(marked, { text: 'cafe', exact: false, whole: false })).toHaveLength(1);
    for (const text of ['caf\u00e9', 'cafe\u0301'])
      expect(findWords(marked, { text, exact: true, whole: false })).toMatchObject([{ start: 0, end: 5 }]);
    expect(found('')).toBe(0);
  });

  test('what is more than a piece takes is left out, by whole letters; a stretch over its end stays as far as it goes', () => {
    const text = `a${'🪁'.repeat(MOST_LETTERS)}`;
    const field = { kind: 'title' } as const;
    const written = (spans: Span[]) => {
      const words = wordsOf('w', 'Kite');
      const piece = words as typeof words & { outline: GlyphsOutline };
      const next = after(laid([piece]), writeAnew('sample-1', piece, { text, spans }, typesetter));
      expect(checkProject(JSON.parse(JSON.stringify(next)))).toMatchObject({ ok: true });
      return pile(next)[0]!.outline as GlyphsOutline;
    };
    const cut = written([{ start: 0, end: text.length, bold: true }]);
    expect([cut.text.length, cut.text.isWellFormed()]).toEqual([MOST_LETTERS - 1, true]);
    expect(cut.spans).toEqual([{ start: 0, end: MOST_LETTERS - 1, bold: true }]);
    expect(written([{ start: 1, end: text.length, field }]).spans ?? []).toEqual([]);
    expect(written([{ start: text.length - 2, end: text.length, bold: true }]).spans ?? []).toEqual([]);
  });

  test('what is typed one way and set another is found either way', () => {
    for (const [typed, set] of [
      ["don't", 'don’t'],
      ['"kite"', '“kite”'],
      ['no 5', 'no\u00a05'],
      ['e-mail', 'e\u2011mail'],
      ['love ❤', 'love ❤\ufe0f'],
    ] as const)
      for (const [text, written] of [
        [typed, set],
        [set, typed],
      ] as const) {
        // What says that a heart is a picture is nothing that is sought.
        if (text.endsWith('\ufe0f')) continue;
        const [find] = findWords(laid([wordsOf('a', `A ${written}!`)]), { text, exact: true, whole: true });
        expect(find).toMatchObject({ start: 2, end: 2 + written.length });
      }
  });

  test('replaced everywhere at once, stretches go along, dollar signs are dollar signs', () => {
    const spanned = laid([
      {
        ...wordsOf('a', 'The kite club'),
        outline: {
          ...(wordsOf('a', 'The kite club').outline as never as object),
          spans: [{ start: 9, end: 13, ink: '#9e2b45' }],
        } as never,
      },
    ]);
    const next = after(
      spanned,
      replaceWords(spanned, { text: 'kite', exact: false, whole: true }, 'box-kite $&', typesetter),
    );
    expect(pile(next)[0]!.outline).toMatchObject({
      text: 'The box-kite $& club',
      spans: [{ start: 16, end: 20 }],
    });
  });

  test('a text that would be longer than it may be is left whole, others are replaced; what a calendar says is found alone', () => {
    const full: Piece = {
      ...wordsOf('full', 'kite'),
      outline: { kind: 'rectangle', radius: 0 },
      material: { ...FIRST_WORDS, family: 'caveat', size: 12, text: 'kite '.repeat(400) },
    };
    const month = {
      ...wordsOf('month', ''),
      outline: full.outline,
      material: { ...newMonth({ year: 2026, month: 5 }, 'en'), title: 'both' },
    } as Piece;
    const project = laid([wordsOf('a', 'The kite club'), full, month]);
    const wish = { text: 'kite', exact: false, whole: false };
    const finds = findWords(project, wish, 'box-kite');
    expect([finds.length, finds.filter(isFree).length]).toEqual([401, 1]);
    const next = after(project, replaceWords(project, wish, 'box-kite', typesetter));
    expect(pile(next)[0]!.outline).toMatchObject({ text: 'The box-kite club' });
    expect(pile(next)[1]).toEqual(full);
    expect(checkProject(structuredClone(next))).toMatchObject({ ok: true, value: next });
    // As many letters less are room for them.
    const shorter = after(project, replaceWords(project, wish, 'sail', typesetter));
    expect(pile(shorter)[1]!.material).toMatchObject({ text: 'sail '.repeat(400) });
    // What stands between is a text of its own, though it says the same.
    const ring = {
      ...wordsOf('ring', ''),
      outline: {
        ...{ kind: 'running', text: 'kite', between: 'kite', family: 'lora', size: 12, start: 0, gap: 0 },
        ...{ base: { kind: 'ellipse' }, side: 'outside', clockwise: true, repeat: true, corners: 'break' },
      },
    } as Piece;
    const round = (by: string) => {
      const of = laid([ring]);
      return pile(after(of, replaceWords(of, wish, by, typesetter)))[0]!.outline;
    };
    expect(round('sail')).toMatchObject({ text: 'sail', between: 'sail' });
    expect(round('sail'.repeat(9))).toMatchObject({ text: 'sail'.repeat(9), between: 'kite' });
    const said = findWords(project, { ...wish, text: 'may' });
    expect(said.map(({ piece, living }) => [piece.id, living])).toEqual([['month', true]]);
    expect(findWords(project, { ...wish, text: '5' })).toEqual([]);
  });

  test('words are counted as Unicode tells them apart', () => {
    expect(countWords('Don’t count “quotes” — 3 kites, €2.50!')).toEqual({ words: 6, letters: 32 });
  });
});

describe('the checks before printing', () => {
  const asset = assetOf(quarters(30, 20), 30, 20);
  const own = `own-${'b'.repeat(64)}`;
  const crowded = wordsOf('crowded', 'far too many words for so small a box as this one is', 30, 60);
  const lost = wordsOf('lost', 'kites');
  const of = laid(
    [
      photoOf('photo', asset, { x: 0, y: 0, width: 90, height: 60 }),
      { ...crowded, outline: { ...crowded.outline, fixed: true } as Piece['outline'] },
      { ...lost, outline: { ...lost.outline, family: own } as Piece['outline'] },
    ],
    [asset],
  );

  test('name what does not fit, fonts that are not here, and a page that does not say who and when', () => {
    const { found } = checked(of, of.surfaces[0]!, typesetter);
    expect(found.map(({ check, piece, cure }) => [check, piece?.id, cure])).toEqual([
      ['over', 'crowded', 'show'],
      ['cut off', 'crowded', 'show'],
      ['font', 'lost', 'show'],
      ['caption', undefined, 'caption'],
      ['sharpness', 'photo', 'show'],
    ]);
    expect(found[0]!.says).toMatch(/^\d+ words do not fit\.$/);
    const plain = laid([wordsOf('a', 'kites')]);
    expect(checked(plain, plain.surfaces[0]!, typesetter)).toEqual({
      found: [],
      clear: ['Every photo prints at 300 ppi or more.'],
    });
  });

  test('a box that grows with its words is fitted, as part of the same step, when a face of the family arrives', async () => {
    const box = wordsOf('a', 'Kites over the bay');
    const outline = { ...box.outline, family: 'lora', wrap: false } as GlyphsOutline;
    const size = wantedSize(outline, box.placement, typesetter);
    const start = laid([{ ...box, outline, placement: { ...box.placement, ...size } }]);
    const [piece] = pile(start);
    const bold = perform(
      startHistory(start),
      writeWords(
        'sample-1',
        piece!,
        { bold: true },
        wantedSize({ ...outline, bold: true }, size, typesetter),
      ),
      0,
    );
    expect(pile(bold.project)[0]!.placement.width).toBe(size.width);
    const now = await equipped(typesetter, needsOf(bold.project), readNodeFont);
    const fitted = amend(bold, fitToFonts(bold.project, typesetter, now));
    expect(pile(fitted.project)[0]!.placement.width).toBeGreaterThan(size.width * 1.02);
    expect(fitted.steps).toHaveLength(1);
    expect(undo(fitted).project).toEqual(start);
    expect(redo(undo(fitted)).project).toEqual(fitted.project);
    // What was undone may be done again: nothing is added behind it.
    expect(amend(undo(fitted), fitToFonts(start, typesetter, now)).steps).toEqual(fitted.steps);
  });

  test('a font that is not here leaves the typesetter as it is, however often it is asked for', async () => {
    const missing = async (): Promise<Uint8Array> => {
      throw new Error('not here');
    };
    expect(await equipped(typesetter, needsOf(of), missing)).toBe(typesetter);
  });
});

test('words written otherwise lose what is undefined', () => {
  const { outline } = wordsOf('a', 'one');
  if (outline.kind !== 'glyphs') throw new Error('words expected');
  expect('tracking' in rewritten({ ...outline, tracking: 0.1 }, { tracking: undefined })).toBe(false);
  expect(project().styles).toBeUndefined();
});

test('what is filled with its own words is filled with those it has now; other words in it stay', () => {
  const filled = (text: string): Piece => ({
    ...wordsOf('title', 'Kites', 60),
    material: { ...FIRST_WORDS, family: 'lora', size: 6, text } as Piece['material'],
  });
  const written = (text: string) => {
    const start = startHistory(laid([filled(text)]));
    const { id, pile } = start.project.surfaces[0]!;
    const edit = writeWords(id, pile[0]!, { text: 'Boats' }, { width: 200, height: 60 });
    return perform(start, edit, 0).project.surfaces[0]!.pile[0]!.material;
  };
  expect(written('Kites')).toMatchObject({ text: 'Boats' });
  expect(written('sea\nsand')).toMatchObject({ text: 'sea\nsand' });
});
