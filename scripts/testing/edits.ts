/** Every edit there is, done by chance, with a taste for extreme numbers and words: for tests of what must always hold. */
import { pathBounds, parsePath } from '@/core/geometry/path';
import { isWritten } from '@/core/piece/outline';
import { copiesOf } from '@/core/project/copies';
import * as across from '@/core/project/edits/across';
import * as cut from '@/core/project/edits/cut';
import * as cutting from '@/core/project/edits/cutting';
import * as dyes from '@/core/project/edits/dyes';
import { together, type Edit } from '@/core/project/edits/edit';
import * as facts from '@/core/project/edits/facts';
import * as fonts from '@/core/project/edits/fonts';
import * as gathering from '@/core/project/edits/gather';
import * as group from '@/core/project/edits/group';
import * as inks from '@/core/project/edits/inks';
import * as letters from '@/core/project/edits/letters';
import * as looks from '@/core/project/edits/looks';
import * as make from '@/core/project/edits/make';
import * as match from '@/core/project/edits/match';
import * as mosaic from '@/core/project/edits/mosaic';
import * as notes from '@/core/project/edits/notes';
import * as page from '@/core/project/edits/page';
import * as photos from '@/core/project/edits/photos';
import * as pile from '@/core/project/edits/pile';
import * as place from '@/core/project/edits/place';
import * as repeat from '@/core/project/edits/repeat';
import * as round from '@/core/project/edits/round';
import * as shared from '@/core/project/edits/shared';
import * as styles from '@/core/project/edits/styles';
import * as tone from '@/core/project/edits/tone';
import { newSurface, surfaceOf, type Project } from '@/core/project/model';
import { Chance } from './chance';
import { DAY_EDITS } from './days';
import { BROUGHT_EDITS } from './brought';
import { LINE_EDITS } from './lines';
import { aSlit, type Hand } from './hand';
import { ASSETS, first, runningPiece } from './first';
import { nodeTypesetter } from '../node/platform';
import { CUTS, inkPiece, photoOf, wordsOf } from './samples';

export { first };

const typesetter = await nodeTypesetter();

const lettersOf = ({ chance }: Hand) => ({
  text: chance.text(),
  alphabet: [{ character: 'K', assets: [ASSETS[0]!.sha] }],
  tallest: chance.number(),
  height: chance.number(),
  room: chance.number(),
  family: 'lora',
  hop: chance.number(),
  lean: chance.number(),
  seed: 3,
});
const styleOf = ({ chance }: Hand) => ({
  id: chance.of(['s1', 's2']),
  name: chance.text(),
  family: chance.of(['lora', 'lobster']),
  size: chance.of([2, 12, 3000]),
  align: 'left' as const,
  leading: chance.of([0.1, 1.2, 9]),
  ink: chance.colour(),
});
const finishBy = ({ chance }: Hand) => ({
  opacity: chance.number(),
  stroke: chance.of([null, { colour: chance.colour(), width: chance.number(), side: 'on' as const }]),
  edge: chance.of([
    undefined,
    { kind: 'torn' as const, size: chance.number(), core: chance.number(), seed: 1 },
  ]) as never,
});
const groupPieces = ({ chance, s, some }: Hand): Edit =>
  group.groupPieces(s, some, { id: chance.id(), name: chance.text() }, null);

/** One of each edit there is, done by chance. */
export const EDITS: Record<string, (hand: Hand) => Edit> = {
  runAcross: ({ s, some, chance: c }) =>
    across.runAcross(s, some, [c.colour(), c.colour()], c.of(across.ORDERS)),
  differ: ({ s, some, chance }) => across.differ(s, some, chance.number(), chance.below(9)),
  cutToPunch: ({ s, some, chance }) => cut.cutToPunch(s, some, chance.of(['heart', 'tag', 'banner'])),
  setPunch: ({ s, some, chance }) =>
    together('punch', [
      cut.cutToPunch(s, some, 'tag'),
      cut.setPunch(s, some, 'tag', { notch: chance.number(), hole: chance.number() }),
    ]),
  reshape: ({ s, one, chance, project }) =>
    cut.reshape(
      'reshape',
      s,
      one,
      parsePath(chance.of(['M0 0L9 0L9 9Z', 'M-50 -50L1e4 0L0 3e4Z'])),
      Object.values(project.assets)[0],
    ),
  replacePieces: ({ s, some, chance }) => cut.replacePieces('join', s, some, [inkPiece(chance.id())]),
  replaceEach: ({ s, some, chance }) =>
    cut.replaceEach(
      'cut',
      s,
      some,
      some.map(() => [inkPiece(chance.id()), inkPiece(chance.id())]),
    ),
  changeDyes: ({ s, some, chance }) =>
    dyes.changeDyes('dye', s, some, (before) => [
      ...before,
      {
        id: chance.id(),
        name: chance.text(),
        change: chance.of([{ how: 'ink', ink: chance.colour() }, { how: 'protect' }] as const),
        strength: chance.number(),
      },
    ]),
  changeDye: ({ s, all, chance }) =>
    dyes.changeDye(s, all, all.flatMap((piece) => dyes.dyesOf(piece))[0]?.id ?? '', (dye) => ({
      ...dye,
      strength: chance.number(),
    })),
  colourIn: ({ s, all, chance }) =>
    dyes.colourIn(s, all.find(({ material }) => material.kind === 'art') ?? all[0]!, [
      {
        ink: chance.colour(),
        texture: 'flat',
        shade: chance.number(),
        light: 0,
        area: chance.of(['2 2 1 2', 'none']),
      },
    ]),
  layOnEvery: ({ project: of, some, chance, s }) =>
    shared.layOnEvery(
      of.surfaces.find(({ id }) => id === s)!,
      some,
      of,
      () => chance.id(),
    ),
  letGoHere: ({ s, some }) => shared.letGoHere(s, some),
  takeFromEvery: ({ some }) => shared.takeFromEvery(some),
  goRound: ({ project: of, one, chance, s }) =>
    round.goRound(
      of.surfaces.find(({ id }) => id === s)!,
      one,
      chance.of([
        null,
        {
          surface: of.surfaces.at(-1)!,
          through: [-1, 0, 0, 1, 400, 0] as const,
          id: chance.id(),
          round: chance.id(),
        },
      ]),
    ),
  letGo: ({ project: of }) => round.letGo(of.surfaces, 'round'),
  takeOutFont: () => fonts.takeOutFont({ sha: 'a'.repeat(64), name: 'Quill', bytes: 9 }),
  fitToFonts: ({ project: of }) => fonts.fitToFonts(of, typesetter, typesetter),
  retitle: ({ chance }) => gathering.retitle(chance.text()),
  changeUnit: ({ chance }) => gathering.changeUnit(chance.of(['in', 'mm'])),
  gather: ({ chance }) => gathering.gather(chance.of(['photos', 'letters']), [chance.of(ASSETS)]),
  groupPieces,
  ungroup: ({ s, project: of, chance }) =>
    group.ungroup(s, chance.some(of.surfaces[0]!.groups.map(({ id }) => id))),
  renameGroup: ({ s, project: of, chance }) =>
    group.renameGroup(s, of.surfaces[0]!.groups[0]?.id ?? '', chance.text()),
  movePile: ({ s, some, chance }) =>
    group.movePile(s, some, chance.of(['up', 'down', 'top', 'bottom']), null),
  layBeside: ({ s, some, one, chance }) =>
    group.layBeside(
      s,
      some.map(({ id }) => id),
      chance.of(['above', 'below', 'inside']),
      one.groups?.[0] ?? one.id,
    ),
  recolour: ({ s, chance }) => inks.recolour(s, new Map([['#9e2b45', chance.colour()]])),
  layLetters: (hand) =>
    letters.layLetters(
      hand.s,
      hand.chance.of(['l1', 'l2']),
      lettersOf(hand),
      ASSETS,
      typesetter,
      hand.chance.id,
    ),
  keepLook: ({ s, some, chance }) => looks.keepLook(s, some, chance.id(), chance.text()),
  giveLook: ({ s, some, project: of, one }) =>
    looks.giveLook(s, some, of.looks?.[0] ?? { id: 'none', name: 'None', finish: one.finish }),
  partLook: ({ s, some }) => looks.partLook(s, some),
  changeLook: ({ project: of, one }) =>
    looks.changeLook(of.looks?.[0] ?? { id: 'none', name: '', finish: one.finish }, one.finish),
  forgetLook: ({ project: of, one }) =>
    looks.forgetLook(of.looks?.[0] ?? { id: 'none', name: '', finish: one.finish }),
  renamePiece: ({ s, one, chance }) => make.renamePiece(s, one, chance.text()),
  slidePicture: ({ s, one, chance }) =>
    make.slidePicture(s, one, {
      x: chance.number(),
      y: chance.number(),
      zoom: chance.number(),
      turn: chance.number(),
    }),
  changeMaterial: ({ s, some, chance }) =>
    make.changeMaterial(
      s,
      some,
      chance.of([
        { kind: 'ink', colour: chance.colour() },
        { kind: 'photo', asset: ASSETS[1]!.sha, window: { x: 0.5, y: 0.5, zoom: 1, turn: 0 } },
      ]),
    ),
  changeOutline: ({ s, some, chance }) => make.changeOutline(s, some, chance.of(CUTS)),
  changeFinish: (hand) => make.changeFinish(hand.s, hand.some, 'finish', finishBy(hand)),
  changeLift: ({ s, some, chance }) =>
    make.changeLift(s, some, 'lift', { height: chance.number(), shadow: chance.bool() }),
  ...DAY_EDITS,
  ...BROUGHT_EDITS,
  ...LINE_EDITS,
  setFact: ({ chance }) =>
    facts.setFact({
      id: chance.of(['f1', chance.id()]),
      name: chance.text(),
      kind: chance.of(['words', 'day']),
      value: chance.text(),
    }),
  forgetFact: () => facts.forgetFact({ id: 'f1', name: 'Day' }),
  writeWords: ({ s, one, chance }) =>
    make.writeWords(
      s,
      one,
      {
        text: chance.text(),
        size: chance.number(),
        ...(chance.bool() ? { spans: [{ start: 0, end: 1, field: { kind: 'fact', fact: 'f1' } }] } : {}),
      },
      { width: chance.number(), height: chance.number() },
    ),
  writeAnew: ({ s, all, one, chance }) => {
    const piece = chance.of(all.filter(({ outline }) => isWritten(outline)).concat(one));
    const [from, to] = [chance.number(), chance.number()].sort((a, b) => a - b);
    const spans = [{ start: from!, end: to!, field: { kind: 'fact' as const, fact: 'f1' } }];
    return make.writeAnew(
      s,
      piece as never,
      { text: chance.text(), spans: chance.bool() ? spans : [] },
      typesetter,
    );
  },
  changeRunning: ({ s, all, one, chance }) =>
    make.changeRunning(s, (all.find(({ outline }) => outline.kind === 'running') ?? one).id, {
      between: chance.text(),
      gap: chance.number(),
    }),
  changeLight: ({ s, chance }) =>
    make.changeLight(s, { direction: chance.number(), softness: chance.number() }),
  matchPieces: ({ s, one, some, chance }) =>
    match.matchPieces(
      s,
      one,
      some,
      chance.of(Object.keys(match.MATCHES).filter((what) => what !== 'words')) as never,
    ),
  layMosaic: ({ s, chance }) =>
    mosaic.layMosaic(
      s,
      {
        gap: chance.number(),
        area: { x: 0, y: 0, width: chance.number(), height: chance.number() },
        photos: ASSETS,
        sheets: [{ rows: [1, 2], cells: [0, 1, 0] }],
        over: chance.of([null, { asset: ASSETS[0]!, blend: 'screen', opacity: chance.number() }]),
      },
      chance.id,
    ),
  changeNotes: ({ chance }) => notes.changeNotes([ASSETS[0]!.sha], 'caption', () => chance.text()),
  setTaken: ({ chance }) => notes.setTaken(ASSETS[0]!.sha, chance.of([null, '2026-05-16T14:32:00', 'noon'])),
  shiftTaken: ({ chance }) => notes.shiftTaken([ASSETS[0]!.sha], chance.of([60, -1e9, 0.5])),
  putAway: () => notes.putAway(ASSETS.map(({ sha }) => sha)),
  copyPage: ({ s, project, chance }) =>
    page.copyPage({ ...surfaceOf(project, s), id: chance.id(), part: undefined }, s, null),
  addPage: ({ chance }) =>
    page.addPage(
      newSurface(
        chance.id(),
        chance.of(['Page 1', '', 'Beach']),
        { width: chance.number(), height: 400 },
        'in',
      ),
    ),
  becomePage: ({ s, some, project: of, chance }) => {
    const { pieces, groups } = copiesOf(some, of.surfaces[0]!, chance.id);
    const { light } = of.surfaces[0]!;
    return page.becomePage(s, { pile: [...pieces], groups: [...groups], ground: chance.colour(), light });
  },
  removePage: ({ s }) => page.removePage(s),
  movePage: ({ s, chance }) => page.movePage(s, chance.below(5)),
  lockPage: ({ s, chance }) => page.lockPage(s, chance.bool()),
  setGuides: ({ s, chance }) =>
    page.setGuides(chance.of([null, s]), 'guide', [{ axis: 'x', at: chance.number() }]),
  lockGuides: ({ chance }) => page.lockGuides(chance.bool()),
  layOnPages: ({ s, some, project: of, chance }) =>
    page.layOnPages('copy', new Map([[s, copiesOf(some, of.surfaces[0]!, chance.id)]])),
  arrangePhotos: ({ s, some, chance }) =>
    photos.arrangePhotos(
      s,
      some.map((piece) => ({ piece, box: { x: 0, y: 0, width: chance.number(), height: 9 } })),
      [],
    ),
  swapPhotos: ({ s, one, all }) => photos.swapPhotos(s, [one, all[0]!]),
  fillPlaces: ({ s, one }) => photos.fillPlaces(s, [{ place: one, asset: ASSETS[1]! }]),
  emptyPlaces: ({ s, some }) => photos.emptyPlaces(s, some),
  finishPhotos: ({ s, one }) => photos.finishPhotos(one, s),
  layPieces: ({ s, chance }) =>
    pile.layPieces(
      s,
      [
        chance.of([
          inkPiece(chance.id(), chance.number(), 0, chance.number()),
          photoOf(chance.id(), ASSETS[1]!, { x: 0, y: 0, width: 30, height: 20 }),
          wordsOf(chance.id(), chance.text()),
          runningPiece(chance.id()),
        ]),
      ],
      chance.of([[], ASSETS]),
    ),
  exchangePiece: ({ s, one, chance }) => pile.exchangePiece(s, one, inkPiece(chance.id()), []),
  removePieces: ({ s, one }) => pile.removePieces(s, [one]),
  layBackground: ({ s, chance }) => pile.layBackground(s, inkPiece(chance.id()), []),
  setCutting: ({ some, chance }) =>
    cutting.setCutting(
      some.map(({ id }) => id),
      {
        as: chance.of(['cut', 'draw', 'print', undefined]),
        bridge: chance.of([2, chance.number(), undefined]),
        close: chance.of([true, undefined]),
      },
    ),
  setTucks: ({ s, one, all, chance }) =>
    pile.setTucks(s, one, [
      {
        ...{ under: all[0]!.id, x: chance.number(), y: chance.number() },
        ...(chance.bool() ? { slit: aSlit(chance, all[0]!) } : {}),
      },
    ]),
  movePieces: ({ s, some, chance }) => place.movePieces(s, some, chance.number(), chance.number()),
  placePiece: ({ s, one, chance }) =>
    place.placePiece(s, one, 'place', { width: chance.number(), turn: chance.number() }),
  carryPieces: ({ s, some, chance }) =>
    place.carryPieces(
      s,
      some,
      'resize',
      { about: { x: 0, y: 0 }, scale: chance.number(), turn: chance.number(), move: { x: 0, y: 0 } },
      true,
    ),
  moveEach: ({ s, some, chance }) =>
    place.moveEach(
      s,
      some,
      'align',
      new Map(some.map(({ id }) => [id, { x: chance.number(), y: 0, turn: chance.number() }])),
    ),
  turnEach: ({ s, some, chance }) => place.turnEach(s, some, chance.number()),
  reflowWords: ({ s, one, chance }) =>
    place.reflowWords(
      s,
      one,
      { ...one.placement, width: chance.number() },
      chance.of([true, false]),
      typesetter,
    ) ?? place.movePieces(s, [one], 1, 0),
  scaleWords: ({ s, one, chance }) => place.scaleWords(s, one, { ...one.placement, width: chance.number() }),
  mirrorPieces: ({ s, one, chance }) => place.mirrorPieces(s, [one], chance.of(['x', 'y'])),
  lockPieces: ({ s, some, chance }) => place.lockPieces(s, some, chance.bool()),
  hidePieces: ({ s, some, chance }) => place.hidePieces(s, some, chance.bool()),
  repeatPieces: ({ s, one, chance }) =>
    repeat.repeatPieces(
      s,
      [one],
      pathBounds(parsePath('M0 0L9 9')),
      {
        id: chance.of(['r1', chance.id()]),
        name: 'Rows',
        repeat: {
          columns: 2,
          rows: chance.of([1, 2]),
          gapX: chance.number(),
          gapY: 1,
          shift: chance.number(),
          scale: chance.of([0.5, 1, 1.5]),
          turn: chance.of([-180, 0, 33]),
          fade: chance.of([0.3, 1]),
        },
      },
      one.groups?.length ?? 0,
      chance.id,
    ),
  giveStyle: (hand) => styles.giveStyle(hand.s, hand.some, styleOf(hand), typesetter),
  keepStyle: ({ s, one, chance }) => styles.keepStyle(s, one, chance.of(['s1', 's2']), chance.text()),
  changeStyle: (hand) => styles.changeStyle(hand.project, styleOf(hand), typesetter),
  forgetStyle: (hand) => styles.forgetStyle(styleOf(hand)),
  changeTone: ({ s, some, chance }) =>
    tone.changeTone(s, some, (now) => ({ ...now, strength: chance.number() })),
  together: (hand) =>
    together('both', [groupPieces(hand), place.movePieces(hand.s, hand.some, hand.chance.number(), 0)]),
};

/** What a hand has before it, and an edit it does there. */
export function byChance(name: string | null, of: Project, chance: Chance): { name: string; edit: Edit } {
  const { id: s, pile: all } = chance.of(of.surfaces);
  const one = chance.of(all);
  const some = all.filter((piece) => piece === one || chance.bool());
  const chosen = one ? (name ?? chance.of(Object.keys(EDITS))) : 'layPieces';
  return { name: chosen, edit: EDITS[chosen]!({ chance, project: of, s, all, some, one: one! }) };
}
