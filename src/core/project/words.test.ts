import { nodeTypesetter, readNodeFont } from '../../../scripts/node/platform';
import {
  assetOf,
  inkPiece,
  laid,
  photoOf,
  project,
  quarters,
  wordsOf,
} from '../../../scripts/testing/samples';
import { layLetters } from '@/core/project/edits/letters';
import { fitToFonts } from '@/core/project/edits/fonts';
import { rewritten, writeWords } from '@/core/project/edits/make';
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
import { lackedBy, lieLetters, wantedFor } from '@/core/project/letters';
import type { LaidLetters, Project } from '@/core/project/model';
import { apart } from '@/core/text/accents';
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

describe('letters of an alphabet', () => {
  const tile = (seed: number, width: number, height: number) =>
    assetOf(quarters(width + seed, height), width + seed, height);
  const assets = [tile(0, 100, 300), tile(1, 120, 300), tile(2, 100, 160), tile(3, 100, 220)];
  const [K, I, e, y] = assets.map(({ sha }) => sha) as [string, string, string, string];
  const letters: LaidLetters = {
    text: 'KIK',
    alphabet: [
      { character: 'K', assets: [K, I] },
      { character: 'I', assets: [I] },
      { character: 'e', assets: [e] },
      { character: 'y', assets: [y] },
    ],
    tallest: 72,
    height: 144,
    room: 10,
    hop: 0,
    lean: 0,
    seed: 1,
  };
  const find = (sha: string) => assets.find((asset) => asset.sha === sha);

  test('stand on one line as tall as asked, as far apart as asked, alternates in turn', () => {
    const laidOut = lieLetters(letters, find, typesetter);
    expect(laidOut.map(({ asset }) => asset)).toEqual([K, I, I]);
    expect(laidOut.map(({ height }) => height)).toEqual([144, 144, 144]);
    for (let i = 1; i < laidOut.length; i++) {
      const [a, b] = [laidOut[i - 1]!, laidOut[i]!];
      expect(b.x - b.width / 2 - (a.x + a.width / 2)).toBeCloseTo(10, 6);
    }
    const [small, hanging] = lieLetters({ ...letters, text: 'ey' }, find, typesetter);
    expect(hanging!.y + hanging!.height / 2).toBeGreaterThan(small!.y + small!.height / 2);
    expect(hanging!.y - hanging!.height / 2).toBeCloseTo(small!.y - small!.height / 2, 6);
  });

  test('characters nothing stands for are named, left out, or written in a family as tall as the capitals', () => {
    expect(lackedBy({ ...letters, text: 'KØI k!' })).toEqual(['Ø', '!']);
    expect(lieLetters({ ...letters, text: 'KØI' }, find, typesetter)).toHaveLength(2);
    const written = lieLetters({ ...letters, text: 'KHI', family: 'lora' }, find, typesetter);
    expect(written[1]).toMatchObject({ asset: null, character: 'H' });
    expect(written[1]!.height).toBeCloseTo(144, 3);
  });

  test('accented letters are made of the letter and its mark, stand as the letter does, and lean as one', () => {
    const more = [tile(4, 60, 60), tile(5, 40, 70), tile(6, 60, 160), tile(7, 30, 60)];
    const [acute, ogonek, dotless, apostrophe] = more.map(({ sha }) => sha) as [
      string,
      string,
      string,
      string,
    ];
    const marked: LaidLetters = {
      ...letters,
      alphabet: [
        ...letters.alphabet,
        { character: '´', assets: [acute] },
        { character: '˛', assets: [ogonek] },
        { character: 'ı', assets: [dotless] },
        { character: '’', assets: [apostrophe] },
      ],
    };
    const known = (sha: string) => [...assets, ...more].find((one) => one.sha === sha);
    expect(lackedBy({ ...marked, text: 'éęÝíĽñ' })).toEqual(['Ľ', 'ñ']);
    // Written apart or as one, it is the same letter.
    expect(wantedFor('e\u0301')).toEqual(wantedFor('é'));
    const [base, mark] = lieLetters({ ...marked, text: 'e\u0301' }, known, typesetter);
    expect([base!.asset, mark!.asset]).toEqual([e, acute]);
    expect(mark!.x).toBeCloseTo(base!.x, 6);
    expect(mark!.y + mark!.height / 2).toBeLessThan(base!.y - base!.height / 2);
    const [plain] = lieLetters({ ...marked, text: 'e' }, known, typesetter);
    expect(base!.y).toBeCloseTo(plain!.y, 6);
    expect(lieLetters({ ...marked, text: 'í' }, known, typesetter).map(({ asset }) => asset)).toEqual([
      dotless,
      acute,
    ]);
    // An ogonek hangs from the right foot; what hangs below the line hangs no lower for its accent.
    const [own, hung] = lieLetters({ ...marked, text: 'ę' }, known, typesetter);
    expect(hung!.x + hung!.width / 2).toBeCloseTo(own!.x + own!.width / 2, 6);
    expect(hung!.y).toBeGreaterThan(own!.y + own!.height / 2);
    expect(lieLetters({ ...marked, text: 'ý' }, known, typesetter)[0]!.y).toBeCloseTo(
      lieLetters({ ...marked, text: 'y' }, known, typesetter)[0]!.y,
      6,
    );
    const far = ([a, b]: { x: number; y: number }[]) => Math.hypot(a!.x - b!.x, a!.y - b!.y);
    const leant = lieLetters({ ...marked, text: 'é', lean: 20, seed: 4 }, known, typesetter);
    expect(far(leant)).toBeCloseTo(far([base!, mark!]), 6);
    expect(leant[1]!.turn).toBe(leant[0]!.turn);
    expect(leant[1]!.x).not.toBeCloseTo(leant[0]!.x, 1);
    // A caron beside a tall letter.
    expect(apart('ď')).toEqual({ base: 'd', marks: [{ character: '’', seat: 'beside' }] });
    expect(apart('Ď')).toEqual({ base: 'D', marks: [{ character: 'ˇ', seat: 'above' }] });
    expect([apart('e'), apart('ử')]).toEqual([null, null]);
    // Two marks on one letter, of which there is no character of its own.
    expect(lackedBy({ ...marked, text: 'ę\u0301' })).toEqual([]);
    expect(lieLetters({ ...marked, text: 'ę\u0301' }, known, typesetter).map(({ asset }) => asset)).toEqual([
      e,
      ogonek,
      acute,
    ]);
    // A mark is lacked with its letter, and written with it where a family is.
    expect(lackedBy({ ...marked, text: 'He\u0303' })).toEqual(['H', 'ẽ']);
    const [hat, ...none] = lieLetters({ ...marked, text: 'H\u0303', family: 'lora' }, known, typesetter);
    expect([hat!.character, hat!.asset, none]).toEqual(['H\u0303', null, []]);
  });

  test('what is seen as one sign is one, with or without what says how it is shown; of parts that have pictures it is laid in those', () => {
    const alphabet = ['❤', '🇫', '🇷'].map((character) => ({ character, assets: [e] }));
    const laidAs = (text: string) =>
      lieLetters({ ...letters, alphabet, text }, find, typesetter).map(({ character }) => character);
    expect([laidAs('❤\ufe0f'), laidAs('❤'), laidAs('🇫🇷')]).toEqual([['❤'], ['❤'], ['🇫', '🇷']]);
    expect(lackedBy({ text: '❤\ufe0f 👩\u200d👧 🇫🇷', alphabet })).toEqual(['👩\u200d👧']);
    expect([...wantedFor('🇫🇷')]).toEqual(expect.arrayContaining(['🇫🇷', '🇫', '🇷']));
  });

  test('dancing is the same for the same seed; retyped they keep their place, their middle and their finish', () => {
    const dancing = { ...letters, hop: 0.2, lean: 15 };
    expect(lieLetters(dancing, find, typesetter)).toEqual(lieLetters(dancing, find, typesetter));
    expect(lieLetters({ ...dancing, seed: 2 }, find, typesetter)).not.toEqual(
      lieLetters(dancing, find, typesetter),
    );
    let next = 0;
    const newId = () => `n${next++}`;
    const base = laid([inkPiece('below'), inkPiece('above')]);
    const first = after(
      base,
      layLetters('sample-1', 'g', letters, assets, typesetter, newId, { x: 200, y: 150 }),
    );
    expect(first.letters).toEqual([K, I]);
    const lifted = {
      ...first,
      surfaces: [
        {
          ...first.surfaces[0]!,
          pile: pile(first).map((piece) =>
            piece.groups ? { ...piece, finish: { ...piece.finish, opacity: 0.5 } } : piece,
          ),
        },
      ],
    };
    const again = after(
      lifted,
      layLetters('sample-1', 'g', { ...letters, text: 'Ie' }, [], typesetter, newId),
    );
    const mine = pile(again).filter(({ groups }) => groups?.includes('g'));
    expect(mine.map(({ name }) => name)).toEqual(['I']);
    expect(mine[0]!.finish.opacity).toBe(0.5);
    expect(mine[0]!.placement.x).toBeCloseTo(200, 3);
    expect(again.surfaces[0]!.groups[0]).toMatchObject({ name: 'Ie', letters: { text: 'Ie' } });
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
