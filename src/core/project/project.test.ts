import { readFileSync } from 'node:fs';
import Ajv from 'ajv/dist/2020';
import fc from 'fast-check';
import {
  goTo,
  MERGE_WITHIN,
  MOST_STEPS,
  perform,
  redo,
  startHistory,
  undo,
  undoLabel,
  type History,
} from '@/core/project/history';
import type { Edit } from '@/core/project/edits/edit';
import { gather, gatherArrived, retitle } from '@/core/project/edits/gather';
import {
  changeFinish,
  changeLift,
  changeLight,
  changeMaterial,
  changeOutline,
  writeWords,
} from '@/core/project/edits/make';
import { changeTone } from '@/core/project/edits/tone';
import { toneWith } from '@/core/tone/settings';
import { layBeside } from '@/core/project/edits/group';
import { NEW_CURL } from '@/core/piece/finish/lift';
import { NEW_EDGE } from '@/core/piece/finish/edge';
import { NEW_MAT } from '@/core/piece/finish/mats';
import { NEW_SHADOW } from '@/core/piece/finish/shadow';
import { PUNCHES } from '@/core/piece/outline/punches';
import { BLENDS } from '@/core/picture/blend';
import { cutToPunch } from '@/core/project/edits/cut';
import { isBackground, layBackground, layPieces, removePieces, setTucks } from '@/core/project/edits/pile';
import { lockPieces, mirrorPieces, movePieces, placePiece } from '@/core/project/edits/place';
import { readProject, writeProject } from '@/core/project/file';
import type { Compartment } from '@/core/project/model';
import { FILE_VERSION } from '@/core/project/version';
import { backgroundPiece, photoPiece, stripPiece } from '@/core/project/create';
import { uses, type Project } from '@/core/project/model';
import {
  assetOf,
  CUTS,
  inkPiece,
  laid,
  photoOf,
  project,
  quarters,
  wordsOf,
} from '../../../scripts/testing/samples';

const asset = assetOf(quarters(600, 400), 600, 400);

/** Any edit that could be done to this project, by a number from chance. */
function someEdit(of: Project, dice: number, turn: number): Edit {
  const surface = of.surfaces[0]!;
  const pick = surface.pile[dice % Math.max(1, surface.pile.length)];
  const fresh = inkPiece(`p${turn}`, dice % 300, dice % 200);
  const choices: Edit[] = [
    layPieces(surface.id, [fresh]),
    layBackground(surface.id, backgroundPiece(`b${turn}`, asset, surface), [asset]),
    retitle(`Title ${dice}`),
    changeLight(surface.id, { direction: dice % 360 }),
    gather('photos', [asset]),
  ];
  if (pick)
    choices.push(
      movePieces(surface.id, [pick], dice % 7, -(dice % 5)),
      placePiece(surface.id, pick, 'turn', { turn: dice }),
      layBeside(surface.id, [pick.id], 'above', surface.pile[dice % surface.pile.length]!.id),
      removePieces(surface.id, [pick]),
      mirrorPieces(surface.id, [pick]),
      lockPieces(surface.id, [pick], dice % 2 === 0),
      changeTone(surface.id, [pick], (tone) =>
        toneWith(tone, dice % 2 ? 'exposure' : 'fade', (dice % 20) / 10),
      ),
      changeTone(surface.id, [pick], (tone) => ({ ...tone, strength: (dice % 10) / 10 })),
      changeLift(surface.id, [pick], 'curl', {
        curl: dice % 3 ? { ...NEW_CURL, rise: 1 + (dice % 15) } : undefined,
      }),
      changeFinish(surface.id, [pick], 'change opacity', { opacity: (dice % 100) / 100 }),
      changeMaterial(surface.id, [pick], { kind: 'ink', colour: `#${String(100000 + (dice % 899999))}` }),
      changeOutline(surface.id, [pick], CUTS[dice % CUTS.length]!),
      cutToPunch(surface.id, [pick], PUNCHES[dice % PUNCHES.length]!.id),
      setTucks(surface.id, pick, [{ under: surface.pile[0]!.id, x: (dice % 10) / 10 - 0.5, y: 0.25 }]),
      changeFinish(surface.id, [pick], 'change edge', {
        edge: { ...NEW_EDGE, kind: dice % 2 ? 'torn' : 'lace', size: 4 + (dice % 40) },
        mats: [NEW_MAT],
        shadows: [NEW_SHADOW],
        blend: BLENDS[dice % BLENDS.length],
      }),
    );
  return choices[dice % choices.length]!;
}

const run = (dice: readonly number[], apart: number): History =>
  dice.reduce(
    (history, die, i) => perform(history, someEdit(history.project, die, i), i * apart),
    startHistory(project()),
  );

describe('history', () => {
  test('any edits, undone, give the first project; redone, the last', () => {
    fc.assert(
      fc.property(
        fc.array(fc.nat(100_000), { maxLength: 40 }),
        fc.constantFrom(10, MERGE_WITHIN + 1),
        (dice, apart) => {
          const done = run(dice, apart);
          expect(goTo(done, 0).project).toEqual(project());
          expect(goTo(goTo(done, 0), done.steps.length).project).toEqual(done.project);
        },
      ),
    );
  });

  test('a walk through the steps ends where a jump ends', () => {
    fc.assert(
      fc.property(
        fc.array(fc.nat(100_000), { minLength: 3, maxLength: 25 }),
        fc.array(fc.boolean(), { maxLength: 30 }),
        (dice, walk) => {
          const done = run(dice, MERGE_WITHIN + 1);
          const walked = walk.reduce((history, back) => (back ? undo(history) : redo(history)), done);
          expect(walked.project).toEqual(goTo(done, walked.done).project);
        },
      ),
    );
  });

  test('a run of nudges is one step and needs but one patch; a pause starts another', () => {
    let history = startHistory(laid([inkPiece('a')]));
    const [piece] = history.project.surfaces[0]!.pile;
    for (let i = 0; i < 50; i++) history = perform(history, movePieces('sample-1', [piece!], 1, 0), i * 20);
    expect(history.steps).toHaveLength(1);
    expect(history.steps[0]!.patches).toHaveLength(1);
    expect(undoLabel(history)).toBe('move embellishment');
    expect(undo(history).project.surfaces[0]!.pile[0]!.placement.x).toBe(piece!.placement.x);
    expect(
      perform(history, movePieces('sample-1', [piece!], 1, 0), 50 * 20 + MERGE_WITHIN).steps,
    ).toHaveLength(2);
  });

  test('an edit that changes nothing leaves no step, and a new edit after undo drops what was undone', () => {
    const history = run([1, 12, 3], MERGE_WITHIN + 1);
    expect(perform(history, retitle(history.project.title), 1e6)).toBe(history);
    const branched = perform(undo(history), retitle('Another'), 1e6);
    expect(branched.done).toBe(branched.steps.length);
    expect(redo(branched)).toEqual(branched);
  });

  test('the oldest steps are forgotten, the rest still undone', () => {
    let history = startHistory(project());
    for (let i = 0; i < MOST_STEPS + 7; i++) history = perform(history, retitle(`t${i}`), i * 10_000);
    expect(history).toMatchObject({ forgotten: 7, done: MOST_STEPS });
    expect(goTo(history, 0).project.title).toBe('t6');
  });
});

describe('pieces as they come', () => {
  const page = project().surfaces[0]!;
  test('a photo keeps its proportions and leaves air; a small one lies at true size', () => {
    const large = photoPiece('p', assetOf(quarters(60, 40), 6000, 4000), page, { x: 0, y: 0 }).placement;
    expect(large.width / large.height).toBeCloseTo(1.5, 9);
    expect(large.width).toBeLessThanOrEqual(page.width / 2 + 1e-9);
    expect(
      photoPiece('p', assetOf(quarters(60, 40), 300, 150), page, { x: 0, y: 0 }).placement,
    ).toMatchObject({ width: 72, height: 36 });
  });

  test('a background covers the bleed and gives way to the next; a strip does not cover the page', () => {
    const first = perform(
      startHistory(laid([inkPiece('a')])),
      layBackground(page.id, backgroundPiece('b1', asset, page), [asset]),
      0,
    );
    const second = perform(first, layBackground(page.id, backgroundPiece('b2', asset, page), [asset]), 9e5)
      .project.surfaces[0]!;
    expect(second.pile.map(({ id }) => id)).toEqual(['b2', 'a']);
    expect(second.pile[0]!.placement).toMatchObject({ width: page.width + 18, height: page.height + 18 });
    expect(isBackground(stripPiece('s', asset, page, { x: 0, y: 50 }), page)).toBe(false);
  });

  test('words keep their top left corner when they grow, turned or not', () => {
    const words = { ...wordsOf('w', 'one'), placement: { ...wordsOf('w', 'one').placement, turn: 90 } };
    const history = perform(
      startHistory(laid([words])),
      writeWords('sample-1', words, { text: 'one\ntwo' }, { width: 200, height: 100 }),
      0,
    );
    const { placement } = history.project.surfaces[0]!.pile[0]!;
    // Turned by a quarter, the top left corner is at the upper right: x + height / 2, y - width / 2.
    expect(placement.x + placement.height / 2).toBeCloseTo(words.placement.x + words.placement.height / 2, 9);
    expect(placement.y - placement.width / 2).toBeCloseTo(words.placement.y - words.placement.width / 2, 9);
    expect(history.project.surfaces[0]!.pile[0]!.name).toBe('w');
  });
});

describe('project.json', () => {
  const full = laid(
    [
      photoOf('photo', asset, { x: 10, y: 10, width: 90, height: 60 }, CUTS[0]),
      wordsOf('words', 'Who & when'),
      inkPiece('stroked', 5, 5, 9, 9, {
        finish: {
          lift: { height: 1.5, shadow: true },
          stroke: { colour: '#ffffff', width: 4, side: 'inside' },
          opacity: 0.5,
        },
      }),
    ],
    [asset],
  );

  test('what is written is read back the same, and counts its uses', () => {
    const read = readProject(writeProject(full));
    expect(read).toEqual({ ok: true, value: full });
    expect(uses(full).get(asset.sha)).toBe(1);
  });

  test('any project made by edits is read back the same and satisfies the published JSON Schema', () => {
    const validate = new Ajv({ allErrors: true }).compile(
      JSON.parse(readFileSync('docs/project.schema.json', 'utf8')),
    );
    fc.assert(
      fc.property(fc.array(fc.nat(100_000), { maxLength: 15 }), (dice) => {
        const { project: made } = run(dice, 5);
        expect(readProject(writeProject(made))).toEqual({ ok: true, value: made });
        validate(JSON.parse(writeProject(made)));
        expect(validate.errors).toBeNull();
      }),
      { numRuns: 15 },
    );
    // A file of the first version gains the compartments, groups, guides and locks it did not know.
    const {
      stamps: _,
      bits: __,
      frames: ___,
      letters: ____,
      guides: _____,
      guidesLocked: ______,
      ...rest
    } = full;
    const first = {
      ...rest,
      surfaces: full.surfaces.map(({ groups: _, guides: __, locked: ___, ...page }) => page),
    };
    expect(readProject(JSON.stringify({ format: 'bellagraph', version: 1, project: first }))).toEqual({
      ok: true,
      value: full,
    });
    expect(validate({ format: 'bellagraph', version: 1, project: { id: 'x' } })).toBe(false);
  });

  const spoil = (change: (file: { version: number; format: string; project: Project }) => void): string => {
    const file = JSON.parse(writeProject(full));
    change(file);
    return JSON.stringify(file);
  };
  test.each([
    ['cut off', writeProject(full).slice(0, 200), /cannot be read/],
    ['another program’s', '{"hello": 1}', /not a Bellagraph project/],
    [
      'newer',
      spoil((file) => (file.version = FILE_VERSION + 1)),
      new RegExp(
        `newer Bellagraph \\(file version ${FILE_VERSION + 1}; this one reads up to ${FILE_VERSION}\\)`,
      ),
    ],
    [
      'without a version',
      spoil((file) => delete (file as Partial<typeof file>).version),
      /does not say which version/,
    ],
  ])('refuses a file that is %s, and says so', (_, json, message) => {
    const read = readProject(json);
    expect(read.ok ? '' : read.message).toMatch(message);
  });

  test.each([
    [
      'an unknown material',
      spoil((file) => ((file.project.surfaces[0]!.pile[0]!.material as { kind: string }).kind = 'glitter')),
      /“photo” on “Page 1”: what it is made of is a material this version does not know. It was set aside/,
    ],
    [
      'a number out of range',
      spoil((file) => (file.project.surfaces[0]!.pile[0]!.placement.width = -3)),
      /“photo” on “Page 1”: its width would be -3: 1 is the least. It was brought within the limit/,
    ],
    [
      'a text where a number belongs',
      spoil((file) => ((file.project.surfaces[0]! as unknown as { width: string }).width = '12')),
      /“Page 1”: its width cannot be read. It is as in a new project now/,
    ],
    [
      'a picture under a wrong name',
      spoil((file) => (file.project.assets = { ['0'.repeat(64)]: asset })),
      /The picture of “photo” on “Page 1” is not known. It was set aside/,
    ],
    [
      'an unreadable cut',
      spoil((file) => {
        const { pile } = file.project.surfaces[0]!;
        pile.unshift({
          ...pile[0]!,
          id: 'cut',
          name: 'cut',
          outline: { kind: 'path', name: 'Cut', data: 'M0 0A9 9' },
        });
      }),
      /“cut” on “Page 1”: its cut cannot be read. It was set aside/,
    ],
    [
      'the same piece twice',
      spoil((file) => file.project.surfaces[0]!.pile.push(file.project.surfaces[0]!.pile[1]!)),
      /“words” on “Page 1” is there twice. The second was set aside/,
    ],
    [
      'several wrong things in one list, the right ones between them',
      spoil((file) => {
        const { pile } = file.project.surfaces[0]!;
        const torn = (id: string) => ({
          ...pile[0]!,
          id,
          name: id,
          material: {} as (typeof pile)[0]['material'],
        });
        pile.unshift(torn('first'));
        pile.push(torn('last'));
      }),
      /“first” on “Page 1”.* set aside.*“last” on “Page 1”.* set aside/,
    ],
    [
      'a name that is too long, and a style sheet that is none',
      spoil((file) => {
        file.project.surfaces[0]!.pile[0]!.name = 'a'.repeat(500);
        file.project.styles = [{} as never];
      }),
      /The text style: it cannot be read. It was set aside.*its name would be 500 letters long: 400 is the most. It was brought within the limit/,
    ],
  ])('opens a file that holds %s: the rest is there, and what was done is told', (_, json, told) => {
    const read = readProject(json);
    if (!read.ok) throw new Error(read.message);
    expect(read.mended?.join(' ')).toMatch(told);
    expect(read.value.surfaces[0]!.pile.length).toBeGreaterThanOrEqual(2);
    // What was opened can be kept and opened again, with nothing more to tell.
    expect(readProject(writeProject(read.value))).toEqual({ ok: true, value: read.value });
  });
});

test('what arrives of one import is one step with its true number, however slowly it arrives', () => {
  const assets = Array.from({ length: 4 }, (_, i) => assetOf(new Uint8Array([0xff, i]), 9, 9));
  const run = 'import 1';
  const arrive = (history: History, i: number, soFar: Compartment[], at: number) =>
    perform(history, gatherArrived(run, [{ asset: assets[i]!, into: soFar.at(-1)! }], soFar), at);
  let history = arrive(startHistory(project()), 0, ['photos'], 0);
  expect(undoLabel(history)).toBe('bring in photo');
  history = arrive(history, 1, ['photos', 'photos'], 60_000);
  history = arrive(history, 2, ['photos', 'photos', 'papers'], 120_000);
  expect(history.steps).toHaveLength(1);
  expect(undoLabel(history)).toBe('bring in 2 photos and 1 paper');
  // Another act between: the rest is a step of its own.
  history = arrive(perform(history, retitle('Kites'), 130_000), 3, ['photos'], 131_000);
  expect(history.steps.map(({ label }) => label)).toEqual([
    'bring in 2 photos and 1 paper',
    'change title',
    'bring in photo',
  ]);
  expect(goTo(history, 0).project).toEqual(project());
});
