/** Each check by itself: what it tells of, to the point from which it does, and what it lets be. */
import { finishOf, type Finish } from '@/core/piece/finish';
import type { Material } from '@/core/piece/material';
import type { Outline } from '@/core/piece/outline';
import type { GlyphsOutline } from '@/core/piece/outline/glyphs';
import type { Piece } from '@/core/piece/piece';
import type { Asset } from '@/core/picture/asset';
import { checked } from '@/core/proof';
import type { Project } from '@/core/project/model';
import { runningPiece } from '../../../scripts/testing/first';
import { laid, photoOf, wordsOf } from '../../../scripts/testing/samples';
import { asset, flat, said, tells, typesetter } from '../../../scripts/testing/checks';

const finished = (piece: Piece, change: Partial<Finish>): Piece => ({
  ...piece,
  finish: { ...piece.finish, ...change },
});
const paper = (id: string, x: number, y: number, width: number, height: number): Piece => ({
  ...flat(id, x, y, width, height),
  role: 'paper',
  material: {
    kind: 'paper',
    asset: asset.sha,
    window: { x: 0, y: 0, zoom: 1, turn: 0 },
  } as unknown as Material,
});

describe('cut off', () => {
  // A trimmer wanders 1/32 in: 2.25 pt.
  test.each([
    [2.2, []],
    [2.3, ['a: Cut off by the page’s edge: 0.03 in at the left.']],
  ])('%f points over the edge', (over, says) => {
    expect(tells('cut off', flat('a', -over, 100, 60, 40))).toEqual(says);
  });
  test('each side is named, in the unit of the project; what is hidden is not looked at', () => {
    const corner = flat('a', 400, 260, 60, 60);
    const mm = { ...laid([corner]), unit: 'mm' as const };
    expect(said('cut off', mm)).toEqual([
      'a: Cut off by the page’s edge: 9.9 mm at the right, 11.3 mm at the bottom.',
    ]);
    expect(tells('cut off', { ...corner, placement: { ...corner.placement, hidden: true } })).toEqual([]);
  });
  test('a line about a piece is cut off with it', () => {
    const piece = flat('a', 1, 100, 60, 40);
    expect(tells('cut off', piece)).toEqual([]);
    const stroke = { colour: '#000000', width: 8, side: 'outside' as const };
    expect(tells('cut off', finished(piece, { stroke }))).toEqual([
      'a: Cut off by the page’s edge: 0.1 in at the left.',
    ]);
  });
  test('a photo may run off the page where it hardly loses by it; one that loses more is told', () => {
    const photo = (width: number) => photoOf('p', asset, { x: -9, y: 60, width, height: 90 });
    expect(tells('cut off', { ...photo(200), finish: finishOf(0) })).toEqual([]);
    expect(tells('cut off', { ...photo(100), finish: finishOf(0) })).toHaveLength(1);
  });
});

describe('near the trim', () => {
  const at = (id: string, x: number, y: number): Piece => {
    const words = wordsOf(id, 'Ebb', 18, 60);
    return {
      ...words,
      outline: { ...words.outline, family: 'bitter' } as Outline,
      placement: { ...words.placement, x: x + 30, y: y + 11, width: 60, height: 22 },
    };
  };
  test('words within the safe area of an edge are told with how near; those beyond it, and empty ones, are not', () => {
    expect(tells('near edge', at('inside', 60, 100))).toEqual([]);
    const [near] = tells('near edge', at('left', 6, 100));
    expect(near).toMatch(
      /^left: Words lie 0\.\d+ in from the left edge, inside the 0\.25 in a trimmer may be off\.$/,
    );
    expect(tells('near edge', at('foot', 200, 262))[0]).toMatch(/from the bottom edge/);
    const bare = at('bare', 6, 100);
    expect(
      tells('near edge', { ...bare, outline: { ...bare.outline, text: ' \n' } as GlyphsOutline }),
    ).toEqual([]);
    // What is off the page altogether is told by another check.
    expect(tells('near edge', at('gone', -70, 100))).toEqual([]);
  });
  test('a paper that ends at the trim is told where it is the ground of that side', () => {
    const ends = (piece: Piece) => tells('bleed', piece).map((line) => /\(([^)]+)\)/.exec(line)![1]);
    expect(ends(paper('whole', 0, 0, 432, 288))).toEqual(['left, right, top, bottom']);
    expect(ends(paper('left half', 0, -9, 216, 306))).toEqual(['left']);
    // To 60 % of a side it may be a strip that was meant to end there.
    expect(ends(paper('strip', 0, 0, 100, 170))).toEqual([]);
    expect(ends(paper('longer', 0, 0, 100, 180))).toEqual(['left']);
    expect(ends(paper('short of it', 2.4, -9, 441, 306))).toEqual([]);
    expect(ends(paper('all but', 2.2, -9, 441, 306))).toEqual(['left']);
    expect(ends(paper('beyond', -9, -9, 450, 306))).toEqual([]);
  });
  test('on what has no bleed nothing can end at it', () => {
    const project = laid([paper('whole', 0, 0, 432, 288)], [asset]);
    const [page] = project.surfaces;
    const none = { ...project, surfaces: [{ ...page!, bleed: { left: 0, right: 0, top: 0, bottom: 0 } }] };
    expect(said('bleed', none)).toEqual([]);
  });
});

describe('see-through in the bleed', () => {
  test.each([
    ['half clear, ending half way', 0.5, -4, true],
    ['half clear, to its edge', 0.5, -9, false],
    ['half clear, at the trim', 0.5, 0, false],
    ['solid', 1, -4, false],
    ['all but solid', 0.985, -4, false],
  ])('%s', (_, opacity, x, told) => {
    const piece = finished(flat('a', x, 60, 100, 40), { opacity });
    expect(tells('see-through', piece).length > 0).toBe(told);
  });
  test('what blends is see-through; each side is named', () => {
    const piece = finished(flat('a', 336, 252, 100, 40), { blend: 'multiply' });
    expect(tells('see-through', piece)[0]).toContain('(right, bottom)');
  });
});

describe('letters', () => {
  const words = (size: number, change: Partial<GlyphsOutline> = {}): Piece => {
    const piece = wordsOf('w', 'Tide tables', size);
    return { ...piece, outline: { ...piece.outline, ...change } as GlyphsOutline };
  };
  test('from 6 points on they are large enough', () => {
    expect(tells('small words', words(6))).toEqual([]);
    expect(tells('small words', words(5.9))).toEqual([
      'w: Letters of 5.9 pt are hard to read, and fill with ink: 6 pt is the least.',
    ]);
    expect(tells('small words', words(5, { text: '  ' }))).toEqual([]);
  });
  test('a stretch that is written smaller is as small as it is; what is larger throughout is not', () => {
    const small = { start: 5, end: 11, scale: 0.5 };
    expect(tells('small words', words(10, { spans: [small] }))).toEqual([
      expect.stringContaining('Letters of 5 pt'),
    ]);
    expect(tells('small words', words(12, { spans: [small] }))).toEqual([]);
    expect(tells('small words', words(5, { spans: [{ start: 0, end: 11, scale: 2 }] }))).toEqual([]);
    // Of nothing but a space it makes no difference how large it is.
    expect(tells('small words', words(10, { spans: [{ start: 4, end: 5, scale: 0.2 }] }))).toEqual([]);
    expect(tells('small words', words(10, { spans: [{ start: 0, end: 4, ink: '#24506b' }] }))).toEqual([]);
  });
  test('a font of one’s own that is not here, and characters no font has, are told', () => {
    const own = `own-${'a'.repeat(64)}`;
    const fonts = [{ sha: 'a'.repeat(64), name: 'Saltmarsh Hand', bytes: 9, type: 'ttf' }];
    const project = { ...laid([words(12, { family: own })]), fonts } as unknown as Project;
    expect(said('font', project)).toEqual([
      'w: Its font (Saltmarsh Hand) is not here: the plain family stands in.',
    ]);
    expect(tells('font', words(12))).toEqual([]);
    expect(tells('lacking', words(12, { text: 'Kites 凧' }))).toHaveLength(1);
    expect(tells('lacking', words(12, { text: 'Žluťoučký kůň' }))).toEqual([]);
  });
  test('words that do not fit their box are counted, one as one', () => {
    const boxed = (text: string) => {
      const piece = words(18, { text, fixed: true, family: 'bitter' });
      return { ...piece, placement: { ...piece.placement, width: 60, height: 24 } };
    };
    expect(tells('over', boxed('Ebb'))).toEqual([]);
    expect(tells('over', boxed('Ebb and'))).toEqual(['w: 1 word does not fit.']);
    expect(tells('over', boxed('Ebb and flow again'))[0]).toMatch(/^w: \d words do not fit\.$/);
  });
});

describe('lines too fine', () => {
  const stroke = (width: number) => ({ colour: '#000000', width, side: 'on' as const });
  test('a quarter of a point is the least', () => {
    expect(tells('fine lines', finished(flat('a', 60, 60, 90, 60), { stroke: stroke(0.25) }))).toEqual([]);
    expect(tells('fine lines', finished(flat('a', 60, 60, 90, 60), { stroke: stroke(0.2) }))).toEqual([
      'a: A line 0.2 pt wide may not print: make it 0.25 pt or more.',
    ]);
    expect(tells('fine lines', flat('a', 60, 60, 90, 60))).toEqual([]);
  });
  test('of several the finest; the line that words run along, and drawn ones, among them', () => {
    const round = runningPiece('round');
    const running = { ...round.outline, line: { colour: '#000000', width: 0.1 } } as Outline;
    const piece = { ...finished(round, { stroke: stroke(2) }), outline: running };
    expect(tells('fine lines', piece)[0]).toContain('0.1 pt wide');
  });
});

describe('all but straight, all but in line', () => {
  const turned = (turn: number): Piece => {
    const piece = flat('a', 60, 60, 90, 60);
    return { ...piece, placement: { ...piece.placement, turn } };
  };
  test.each([
    [0.01, false],
    [0.03, true],
    [0.4, true],
    [0.41, false],
    [89.7, true],
    [-90.2, true],
    [180, false],
    [45, false],
  ])('turned by %f degrees', (turn, told) => {
    expect(tells('near miss', turned(turn)).length > 0).toBe(told);
  });
  test.each([
    [0.3, false],
    [0.4, true],
    [1.4, true],
    [1.5, false],
  ])('%f points out of line', (off, told) => {
    expect(tells('near miss', flat('a', 60, 40, 90, 60), flat('b', 60 + off, 160, 50, 60)).length > 0).toBe(
      told,
    );
  });
  test('each edge is compared with its like; a piece on its side by its own edges; what is trimmed off is in line with nothing', () => {
    const pair = (a: Piece, b: Piece) => tells('near miss', a, b);
    expect(pair(flat('a', 60, 40, 90, 60), flat('b', 200, 41, 50, 30))).toEqual([
      'b: Its top edge is 0.01 in out of line with a.',
    ]);
    expect(pair(flat('a', 60, 40, 90, 60), flat('b', 200, 55, 50, 46))[0]).toMatch(/^b: Its bottom edge/);
    expect(pair(flat('a', 60, 40, 90, 60), flat('b', 101, 150, 50, 40))[0]).toMatch(/^b: Its right edge/);
    // 60 wide and 90 high when it lies on its side: its left edge is at 75.
    expect(pair(turned(90), flat('b', 76, 170, 50, 40))).toEqual([
      'b: Its left edge is 0.01 in out of line with a.',
    ]);
    expect(pair(flat('a', -1, 40, 90, 60), flat('b', 0.2, 160, 50, 60))).toEqual([]);
    const round = { ...flat('b', 61, 160, 50, 60), outline: { kind: 'ellipse' } as Outline };
    expect(pair(flat('a', 60, 40, 90, 60), round)).toEqual([]);
  });
  test('good to know is no warning', () => {
    const of = laid([turned(0.3)]);
    expect(
      checked(of, of.surfaces[0]!, typesetter).found.filter(({ check }) => check === 'near miss'),
    ).toEqual([expect.objectContaining({ warns: false, cure: 'show' })]);
  });
});

describe('who and when', () => {
  const page = (texts: readonly string[], more: Partial<Asset> = {}, role: Piece['role'] = 'journaling') => {
    const known = { ...asset, ...more };
    const words = texts.map((text, i) => ({ ...wordsOf(`w${i}`, text), role }));
    return said(
      'caption',
      laid([photoOf('p', known, { x: 20, y: 20, width: 90, height: 60 }), ...words], [known]),
    );
  };
  const people = (...names: string[]) => ({ notes: { people: names } });
  test('a page that says nothing, one that says who, one that says when', () => {
    expect(page([])).toEqual(['Who and when: No caption or date says who is on this page, and when it was.']);
    expect(page(['Ada at the bay'], people('Ada'))).toEqual([
      'Who and when: Nothing on this page says when it was.',
    ]);
    expect(page(['Summer 2026'], people('Ada'))).toEqual([
      'Who and when: Ada is on the photos; no words on this page name them.',
    ]);
    expect(page(['Summer 2026'], people('Ada Finch', 'Olu'))).toEqual([
      'Who and when: Ada Finch and Olu are on the photos; no words on this page name them.',
    ]);
    expect(page(['Ada, summer 2026'], people('Ada Finch', 'Olu'))).toEqual([]);
    expect(page(['Summer 2026'])).toEqual(['Who and when: No caption says who is on this page.']);
    expect(page(['The bay, 2026'], {}, 'caption')).toEqual([]);
  });
  test('a page without photos need not say', () => {
    expect(tells('caption', wordsOf('w', 'Kites'))).toEqual([]);
  });
});
