/** Words laid in the letters of an alphabet: which picture stands for what, and where each lies. */
import { nodeTypesetter } from '../../../scripts/node/platform';
import { assetOf, inkPiece, laid, quarters } from '../../../scripts/testing/samples';
import { layLetters } from '@/core/project/edits/letters';
import { perform, startHistory } from '@/core/project/history';
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
