/** What is said of a page before a file is made of it. */
import { toolsFor } from '@/core/page/outlines';
import { checked } from '@/core/proof';
import { DATES } from '@/core/proof/dates';
import { finishOf } from '@/core/piece/finish';
import { WHOLE } from '@/core/piece/material/window';
import type { Piece } from '@/core/piece/piece';
import fc from 'fast-check';
import { beginProduct } from '@/core/product';
import { calendarIn } from '@/core/product/calendar';
import { withSettings } from '@/core/product/calendar/settings';
import type { Project } from '@/core/project/model';
import { nodeTypesetter } from '../../../scripts/node/platform';
import { assetOf, inkPiece, laid, photoOf, quarters, wordsOf } from '../../../scripts/testing/samples';

const asset = assetOf(quarters(90, 60), 3000, 2000);
const paper = (id: string, x: number, y: number, width: number, height: number): Piece => ({
  ...inkPiece(id, x, y, width, height),
  role: 'paper',
  material: { kind: 'paper', asset: asset.sha, window: WHOLE },
  finish: finishOf(0),
});

/** The page is 432 x 288 points with a bleed of 9. */
async function cutOff(...pieces: Piece[]): Promise<[string, string][]> {
  const of = laid(pieces, [asset]);
  const { found } = checked(of, of.surfaces[0]!, await nodeTypesetter());
  return found.flatMap(({ check, name, says }) =>
    check === 'cut off' ? [[name, says] as [string, string]] : [],
  );
}

test('what the edge cuts off is named with how much; papers that reach the bleed are meant so', async () => {
  expect(
    await cutOff(
      paper('under all', -9, -9, 450, 306),
      paper('a strip to the bleed', -9, 40, 450, 30),
      paper('a strip too short for the bleed', 100, 100, 336, 30),
      photoOf('whole', asset, { x: 20, y: 20, width: 100, height: 60 }),
      photoOf('off the page, as it is meant', asset, { x: -12, y: 100, width: 300, height: 120 }),
      photoOf('over the right', asset, { x: 386, y: 20, width: 100, height: 60 }),
      { ...inkPiece('in a corner', -18, 270, 60, 40), finish: finishOf(0) },
    ),
  ).toEqual([
    ['a strip too short for the bleed', 'Cut off by the page’s edge: 0.06 in at the right.'],
    ['over the right', 'Cut off by the page’s edge: 0.75 in at the right.'],
    ['in a corner', 'Cut off by the page’s edge: 0.25 in at the left, 0.31 in at the bottom.'],
  ]);
});

test('words across the fold of a card are named; those beside it, and on what has no folds, are not', async () => {
  const title = wordsOf('title', 'Fly kites', 30);
  const at = (id: string, x: number): Piece => ({
    ...{ ...title, id, name: id },
    placement: { ...title.placement, x, y: 100, width: 200 },
  });
  const of = laid([at('across', 290), at('beside', 120)], []);
  const told = async (project: Project) =>
    checked(project, project.surfaces[0]!, await nodeTypesetter()).found.flatMap(({ check, name }) =>
      check === 'folds' ? [name] : [],
    );
  expect(await told(of)).toEqual([]);
  const product = { kind: 'card' as const, width: 216, height: 288, fold: 'left' as const };
  const [surface] = of.surfaces;
  expect(await told({ ...of, product, surfaces: [{ ...surface!, part: 'outside' }] })).toEqual(['across']);
});

test('a piece that is turned is measured as it lies, its mats with it', async () => {
  const turned = inkPiece('turned', 4, 100, 100, 100);
  turned.placement.turn = 45;
  expect(await cutOff({ ...turned, finish: finishOf(0) })).toEqual([
    ['turned', 'Cut off by the page’s edge: 0.23 in at the left.'],
  ]);
});

test('words too small or too near the trim, lines too fine, papers that end at the trim, and what is all but straight', async () => {
  const small = wordsOf('small', 'Tide tables', 5.4);
  const turned = (id: string, turn: number, x: number): Piece => {
    const piece = inkPiece(id, x, 100, 40, 40);
    return { ...piece, placement: { ...piece.placement, turn } };
  };
  const near = wordsOf('near', 'Ebb', 18);
  const stroked = inkPiece('stroked', 60, 200, 40, 40);
  const of = laid(
    [
      paper('ground', 0, -9, 441, 306),
      { ...small, placement: { ...small.placement, x: 200, y: 60 } },
      { ...near, placement: { ...near.placement, x: 4 + near.placement.width / 2, y: 150 } },
      { ...stroked, finish: { ...finishOf(0), stroke: { colour: '#000000', width: 0.1, side: 'on' } } },
      turned('tilted', 0.3, 250),
      turned('quarter', 90, 320),
      turned('meant', 4, 380),
      inkPiece('out of line', 60.9, 40, 40, 30),
    ],
    [asset],
  );
  const { found } = checked(of, of.surfaces[0]!, await nodeTypesetter());
  const told = found.map(({ check, name, says, warns }) => [check, name, says, warns]);
  const named = (check: string) => told.filter(([of]) => of === check).map(([, name, says]) => [name, says]);
  expect(named('bleed')).toEqual([
    ['ground', 'Ends at the trim (left): let it go on 0.125 in beyond, or a line of white may show.'],
  ]);
  expect(named('small words')).toEqual([
    ['small', 'Letters of 5.4 pt are hard to read, and fill with ink: 6 pt is the least.'],
  ]);
  expect(named('near edge').map(([name]) => name)).toEqual(['near']);
  expect(named('fine lines')).toEqual([
    ['stroked', 'A line 0.1 pt wide may not print: make it 0.25 pt or more.'],
  ]);
  expect(named('near miss')).toEqual([
    ['tilted', 'Turned by 0.3 degrees: all but straight.'],
    ['out of line', 'Its left edge is 0.01 in out of line with stroked.'],
  ]);
  // What may be meant is no warning.
  expect(told.filter(([check]) => check === 'near miss').map(([, , , warns]) => warns)).toEqual([
    false,
    false,
  ]);
});

describe('dates in words', () => {
  /** What is said of words on a page with a photo of July 2026. */
  const told = async (text: string, product?: Project['product']) => {
    const photo = { ...asset, taken: '2026-07-11T10:00:00' };
    const of = laid(
      [photoOf('p', photo, { x: 20, y: 20, width: 90, height: 60 }), wordsOf('w', text)],
      [photo],
    );
    const { found } = checked(product ? { ...of, product } : of, of.surfaces[0]!, await nodeTypesetter());
    return found.flatMap(({ check, says }) => (check === 'dates' ? [says] : []));
  };
  // 11 July 2026 is a Saturday (ISO 8601 calendar; `cal 7 2026`).
  test.each([
    ['Saltmarsh Bay, Saturday 11 July 2026', []],
    ['Sunday, July 11, 2026', ['11 July 2026 is a Saturday, not a Sunday.']],
    ['31 June 2026', ['There is no 31 June 2026.']],
    ['Summer 2025', ['It says 2025; the photos here were taken in 2026.']],
    ['Grandfather was born in 1938, and flew kites until the end', []],
  ])('%s', async (text, says) => {
    expect(await told(text)).toEqual(says);
  });
  // Dates as ICU writes them in full (CLDR); 2027 begins on a Friday.
  test.each(['en-GB', 'en-US', 'de', 'fr', 'es', 'it', 'pt', 'nl', 'sv', 'da', 'nb'])(
    'as %s writes them: right ones pass, other weekdays and days there are not are named',
    async (tag) => {
      const typesetter = await nodeTypesetter();
      /** What the check of dates alone says. */
      const said = (text: string, of: Project['product']) => {
        const project = { ...laid([wordsOf('w', text)]), product: of };
        const [surface] = project.surfaces;
        const page = { project, surface: surface!, seen: surface!.pile, typesetter };
        return DATES.look({ ...page, tools: toolsFor(project, typesetter) }).map(({ says }) => says);
      };
      const { product } = beginProduct('calendar', { width: 504, height: 360 }, 'picture', {
        year: 2026,
        month: 11,
      });
      const spoken = withSettings(calendarIn(product)!, { language: tag.slice(0, 2) });
      const full = new Intl.DateTimeFormat(tag, { dateStyle: 'full', timeZone: 'UTC' });
      const plain = new Intl.DateTimeFormat('en-GB', { dateStyle: 'long', timeZone: 'UTC' });
      const weekday = new Intl.DateTimeFormat(tag, { weekday: 'long', timeZone: 'UTC' });
      const english = new Intl.DateTimeFormat('en', { weekday: 'long', timeZone: 'UTC' });
      for (const at of fc.sample(fc.integer({ min: 2, max: 365 }), { numRuns: 12 })) {
        const date = new Date(Date.UTC(2027, 0, at));
        // The first of a month is an ordinal in some.
        if (date.getUTCDate() === 1) continue;
        const text = full.format(date);
        const [is, other] = [weekday.format(date), weekday.format(new Date(Date.UTC(2027, 0, at + 2)))];
        expect(text).toContain(is);
        expect([text, said(text, spoken)]).toEqual([text, []]);
        const wrong = text.replace(is, other);
        expect([wrong, said(wrong, spoken)]).toEqual([
          wrong,
          [`${plain.format(date)} is a ${english.format(date)}, not a ${other}.`],
        ]);
      }
    },
  );
  test('on a calendar of another year', async () => {
    const { product } = beginProduct('calendar', { width: 504, height: 360 }, 'picture', {
      year: 2026,
      month: 11,
    });
    expect(await told('Kites 2026', product)).toEqual(['It says 2026, and this is of 2027.']);
    expect(await told('Kites 2027', product)).toEqual([]);
  });
});

test('a place nobody filled, and what is see-through and ends in the bleed, are told', async () => {
  const clear = (id: string, x: number): Piece => {
    const piece = inkPiece(id, x, 60, 100, 40);
    return { ...piece, finish: { ...piece.finish, opacity: 0.5 } };
  };
  const of = laid([
    { ...inkPiece('place', 100, 100, 90, 60), role: 'photo' },
    clear('ends', -5),
    clear('goes on', -9),
  ]);
  const { found } = checked(of, of.surfaces[0]!, await nodeTypesetter());
  const told = found.filter(({ check }) => ['empty', 'see-through'].includes(check));
  expect(told.map(({ check, name }) => [check, name])).toEqual([
    ['empty', 'place'],
    ['see-through', 'ends'],
  ]);
});
