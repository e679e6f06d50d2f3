/** Captions of who and when: what the photos say, where it lies, and whether a page says it already. */
import { nodeTypesetter } from '../../../scripts/node/platform';
import { assetOf, inkPiece, laid, photoOf, quarters, wordsOf } from '../../../scripts/testing/samples';
import { captionPiece, captionText, quietCorner, unsaid, whoAndWhen } from '@/core/project/caption';
import { differs, stylesOf } from '@/core/project/edits/styles';
import type { Piece } from '@/core/piece/piece';
import { extentOf } from '@/core/piece/placement/placement';
import { overlaps } from '@/core/geometry/box';
import type { Typesetter } from '@/core/text/typesetter';

let typesetter: Typesetter;
beforeAll(async () => {
  typesetter = await nodeTypesetter();
});

describe('who and when', () => {
  const asset = (seed: number, taken: string, people: string[]) =>
    assetOf(quarters(30 + seed, 20), 30 + seed, 20, { taken, notes: { people, place: 'Saltmarsh Bay' } });
  const assets = [
    asset(1, '2026-05-16T14:32:00', ['Orla', 'Tom']),
    asset(2, '2026-05-18T09:00:00', ['Orla']),
  ];
  const base = laid(
    assets.map((one, i) => photoOf(`p${i}`, one, { x: 20 + 200 * i, y: 20, width: 180, height: 140 })),
    assets,
  );

  test('names, place and days of the photos, as the locale writes them', () => {
    const known = whoAndWhen(base, base.surfaces[0]!);
    expect(known).toEqual({
      people: ['Orla', 'Tom'],
      days: ['2026-05-16', '2026-05-18'],
      places: ['Saltmarsh Bay'],
    });
    // CLDR’s patterns for lists and date ranges, by way of Intl.
    const told = (locale: string) => captionText(known, locale).replace(/\s*–\s*/g, '–');
    expect(told('en-GB')).toBe('Orla and Tom · Saltmarsh Bay\n16–18 May 2026');
    expect(told('de-DE')).toBe('Orla und Tom · Saltmarsh Bay\n16.–18. Mai 2026');
    expect(captionText({ people: [], places: [] }, 'en-GB')).toBe('');
  });

  test.each([
    ['Ada', 'To Canada with the red kite', false],
    ['Ada', 'Adam', false],
    ['Ada', 'Here is Ada’s kite', true],
    ['Jo', 'Such joy', false],
    ['Jo', '(Jo)', true],
    ['Orla', 'In Norland', false],
    // Languages that give names endings: Finnish, Czech.
    ['Orla', 'Orlan leija', true],
    ['Alena', 'S Alenou u moře', false],
    ['Petr', 'S Petrem u moře', true],
    // Written without spaces.
    ['田中', '私は田中です', true],
    ['Ada (left)', 'Ada and a kite', true],
  ])('%s is named in “%s”: %s', (name, said, named) => {
    const one = laid(
      [photoOf('p', asset(3, '2026-05-16T14:32:00', [name]), { x: 0, y: 0, width: 90, height: 60 })],
      [asset(3, '2026-05-16T14:32:00', [name])],
    );
    const [page] = one.surfaces;
    expect(unsaid(one, { ...page!, pile: [...page!.pile, wordsOf('x', said)] }).who).toBe(!named);
  });

  test('lies within the safe area where nothing else lies, and the page knows that it has one', () => {
    const surface = base.surfaces[0]!;
    const piece = captionPiece('c', base, surface, 'Orla and Tom\n16 May 2026', typesetter);
    const box = extentOf(piece.placement);
    expect(box.x).toBeGreaterThanOrEqual(surface.safe.left - 1e-6);
    expect(box.x + box.width).toBeLessThanOrEqual(surface.width - surface.safe.right + 1e-6);
    for (const other of surface.pile) expect(overlaps(box, extentOf(other.placement))).toBe(false);
    // Lines of a box that grows end where it lies: that is no other way of writing.
    expect(piece.outline).toMatchObject({ align: 'right', wrap: false });
    expect(
      differs(
        piece,
        stylesOf(base).find(({ id }) => id === 'caption')!,
      ),
    ).toBe(false);
    const left = (...pieces: Piece[]) => unsaid(base, { ...surface, pile: [...surface.pile, ...pieces] });
    expect(left()).toEqual({ who: true, when: true });
    expect(left(piece)).toEqual({ who: false, when: false });
    expect(left(wordsOf('x', 'orla and the red kite'))).toEqual({ who: false, when: true });
    expect(left(wordsOf('x', 'Summer 2026'))).toEqual({ who: true, when: false });
    expect(left({ ...wordsOf('x', 'Summer 2026'), placement: { ...piece.placement, hidden: true } })).toEqual(
      { who: true, when: true },
    );
    // Of photos older than most.
    expect(left(wordsOf('x', 'The quay, 1893'))).toEqual({ who: true, when: false });
    const lowerRight = { ...surface, pile: [inkPiece('x', 300, 200, 130, 80)] };
    expect(quietCorner(lowerRight, box).x).toBeLessThan(surface.width / 2);
  });
});
