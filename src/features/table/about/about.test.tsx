/** About this piece, panel by panel: what is typed and chosen, what is refused, and what the heads of the rows say of it. */
import { describe, expect, test } from '@jest/globals';
import { act as settle, fireEvent, screen, within } from '@testing-library/react';
import { About } from '@/features/table/about/About';
import type { Piece } from '@/core/piece/piece';
import { extentOf } from '@/core/piece/placement/placement';
import { seated, type Seated } from '../../../../scripts/testing/room';
import { assetOf, inkPiece, photoOf, quarters, wordsOf } from '../../../../scripts/testing/samples';

const asset = assetOf(quarters(90, 60), 900, 600);
const photo = (id = 'photo'): Piece => photoOf(id, asset, { x: 72, y: 72, width: 216, height: 144 });

const about = (pieces: readonly Piece[], chosen = pieces.map(({ id }) => id)): Promise<Seated> =>
  seated(<About />, pieces, chosen, [asset]);

/** The head of a row, which says in short what its panel shows. */
const head = (row: string) => screen.getByRole('button', { name: new RegExp(`^${row} `) });

describe('At hand', () => {
  test('another ink for several stamps leaves each its own picture, and is one step', async () => {
    const stamp = (id: string, sha: string): Piece => ({
      ...inkPiece(id),
      role: 'stamp',
      material: { kind: 'art', asset: sha, ink: '#25232a' },
    });
    const second = assetOf(quarters(60, 60), 600, 600);
    const pieces = [stamp('boat', asset.sha), stamp('gull', second.sha), inkPiece('card')];
    const ids = pieces.map(({ id }) => id);
    const { piece, undo } = await seated(<About />, pieces, ids, [asset, second]);
    const ink = await screen.findByRole('textbox', { name: 'Ink' });
    fireEvent.change(ink, { target: { value: '#a92f3f' } });
    fireEvent.keyDown(ink, { key: 'Enter' });
    expect(piece('boat').material).toEqual({ kind: 'art', asset: asset.sha, ink: '#a92f3f' });
    expect(piece('gull').material).toEqual({ kind: 'art', asset: second.sha, ink: '#a92f3f' });
    expect(piece('card').material).toEqual({ kind: 'ink', colour: '#a92f3f' });
    expect(undo()).toContain('ink');
    // What is done with one thing alone is not offered for many.
    expect(screen.queryByRole('button', { name: 'Colour it in' })).toBeNull();
  });
});

describe('Place', () => {
  test('takes numbers as people write them, in any unit, and refuses in words; proportions are kept', async () => {
    const { fill, field, piece } = await about([photo()]);
    await fill('Width', '3 3/4 in');
    expect(piece('photo').placement).toMatchObject({ width: 270, height: 180 });
    await fill('From left', '50.8mm');
    expect(field('From left')).toHaveProperty('value', '2');
    await fill('Turned', '-400');
    expect(piece('photo').placement.turn).toBe(-40);
    await fill('Height', 'tall');
    await screen.findByText(/^“tall” is not a length\./);
    fireEvent.keyDown(field('Height'), { key: 'Escape' });
    expect(field('Height')).toHaveProperty('value', '2.5');
    expect(piece('photo').placement.height).toBe(180);
  });

  test('what was refused of one piece is not shown of the next', async () => {
    const { fill, field, chosen, piece } = await about([photo(), inkPiece('card', 0, 0, 90, 90)], ['photo']);
    await fill('Width', 'wide');
    await screen.findByText(/^“wide” is not a length\./);
    chosen('card');
    expect(field('Width')).toHaveProperty('value', '1.25');
    expect(screen.queryByText(/is not a length/)).toBeNull();
    chosen('photo');
    expect(field('Width')).toHaveProperty('value', '3');
    expect(piece('photo').placement.width).toBe(216);
  });

  test('what is typed lands on the piece it was typed for, whichever is pressed next, or none', async () => {
    const { field, chosen, piece } = await about([inkPiece('a'), inkPiece('b', 200)], ['a']);
    // What is pressed on the table takes hold of another before the field hears that it lost the focus.
    const type = (value: string) => {
      const typed = field('From top');
      settle(() => typed.focus());
      fireEvent.change(typed, { target: { value } });
      return () => settle(() => typed.blur());
    };
    const top = (id: string) => piece(id).placement.y - piece(id).placement.height / 2;
    const left = type('1');
    chosen('b');
    left();
    expect([top('a'), top('b'), field('From top').value]).toEqual([72, 30, '0.42']);
    chosen('a');
    type('2');
    chosen();
    expect(top('a')).toBe(144);
  });

  test('a drawn box is as wide and as high as was typed; proportions can be locked and freed for every piece', async () => {
    const drawn = inkPiece('drawn', 20, 20, 250, 380, {
      outline: { kind: 'path', name: 'Box', data: 'M0 0L250 0L250 380L0 380Z' },
    });
    const waves = inkPiece('waves', 20, 20, 288, 100, {
      outline: { kind: 'punch', punch: 'waves', settings: {} },
    });
    const { fill, piece, chosen } = await about([drawn, waves], ['drawn']);
    await fill('Width', '4');
    await fill('Height', '5.25');
    expect(piece('drawn').placement).toMatchObject({ width: 288, height: 378 });
    chosen('waves');
    fireEvent.click(screen.getByRole('switch', { name: 'In proportion' }));
    await fill('Width', '8');
    await fill('Height', '1');
    expect(piece('waves').placement).toMatchObject({ width: 576, height: 72 });
    fireEvent.click(screen.getByRole('switch', { name: 'In proportion' }));
    await fill('Width', '4');
    expect(piece('waves').placement).toMatchObject({ width: 288, height: 36 });
  });

  test('a number for a box of words leaves its letters alone, unless they are to grow with it', async () => {
    const words = wordsOf('words', 'Out on the sand, before the wind got up', 24);
    const { fill, piece } = await about([words]);
    fireEvent.click(head('Place'));
    const outline = () => piece('words').outline as { size: number; fixed?: boolean; wrap: boolean };
    await fill('Height', '1.5');
    expect(outline()).toMatchObject({ size: 24, fixed: true });
    expect(piece('words').placement.height).toBeCloseTo(108);
    await fill('Width', '1.5');
    expect(outline().size).toBe(24);
    expect(piece('words').placement.width).toBeCloseTo(108);
    fireEvent.click(screen.getByRole('switch', { name: 'Letters grow with the box' }));
    await fill('Width', '3');
    expect(outline().size).toBeCloseTo(48);
  });

  test('a group goes to the middle of the page as one', async () => {
    const of = (id: string, x: number): Piece => ({ ...inkPiece(id, x, 30, 60, 40), groups: ['g'] });
    const room = await about([of('a', 20), of('b', 100)]);
    await room.press('Centre across');
    expect(['a', 'b'].map((id) => room.piece(id).placement.x)).toEqual([176, 256]);
  });

  test('gives several pieces one number, and changes none that is locked', async () => {
    const still = inkPiece('still');
    still.placement.locked = true;
    const { fill, piece } = await about([inkPiece('a'), inkPiece('b', 200), still]);
    expect(head('Place')).toHaveProperty('textContent', expect.stringContaining('3 pieces'));
    await fill('Width of each', '2');
    expect(['a', 'b', 'still'].map((id) => piece(id).placement.width)).toEqual([144, 144, 60]);
  });
});

test('while a frame is drawn it does not follow each piece that comes in; when the hand lets go it tells of all', async () => {
  const { store, does } = await about([photo('one'), photo('two')], ['one']);
  const marquee = { x: 0, y: 0, width: 400, height: 400 };
  does(() => {
    store.getState().hold({ marquee });
    store.getState().select(['one', 'two']);
  });
  expect(screen.queryByRole('heading', { name: '2 pieces' })).toBeNull();
  does(() => store.getState().hold({ marquee: null }));
  expect(screen.getByRole('heading', { name: '2 pieces' })).toBeTruthy();
});

test('only what a person opens is scrolled to: with another kind of piece in hand its name stays in sight', async () => {
  const { chosen, press } = await about([photo(), wordsOf('words', 'Kites')], ['words']);
  const scrolled: unknown[] = [];
  Element.prototype.scrollIntoView = function () {
    scrolled.push(this);
  };
  const settled = () => settle(() => new Promise((done) => setTimeout(done, 300)));
  chosen('photo');
  await settled();
  expect([head('Place').getAttribute('aria-expanded'), scrolled]).toEqual(['true', []]);
  await press(/^Finish /);
  await settled();
  expect(scrolled).toHaveLength(1);
});

test('rows stay open beside each other until they are shut', async () => {
  const { press } = await about([photo()]);
  await press(/^Cut /);
  expect(
    [head('Place'), head('Cut'), head('Finish')].map((one) => one.getAttribute('aria-expanded')),
  ).toEqual(['true', 'true', 'false']);
  await press(/^Place /);
  expect(head('Place').getAttribute('aria-expanded')).toBe('false');
});

describe('Cut', () => {
  test('a shape by one press, a corner by a number, a punch by its own settings', async () => {
    const { press, fill, piece, undo } = await about([photo()]);
    await press(/^Cut /);
    await press('Heart');
    expect(undo()).toBe('cut photo to heart');
    expect(piece('photo').outline).toMatchObject({ kind: 'punch', punch: 'heart' });
    await press('Rectangle');
    await fill('Corner radius', '-1');
    await screen.findByText('From 0 to 60 in.');
    await fill('Corner radius', '1/4');
    expect(head('Cut').textContent).toContain('Rectangle, corners 0.25 in');
    await press('Tag');
    const settings = screen.getAllByRole('textbox').map((field) => field.getAttribute('aria-label') ?? '');
    expect(settings.length).toBeGreaterThan(1);
  });
});

test('an edge is torn on the sides that are pressed, white inside, and torn anew', async () => {
  const { press, choose, fill, piece } = await about([photo()]);
  await press(/^Cut /);
  await choose('Edge', 'Torn');
  for (const side of ['top', 'left', 'right']) await press(side);
  await fill('White inside', '0.08');
  const torn = piece('photo').finish.edge!;
  expect(torn).toMatchObject({ kind: 'torn', sides: ['bottom'], core: 0.08 * 72 });
  await press('Tear anew');
  expect(piece('photo').finish.edge).not.toEqual(torn);
});

describe('Finish', () => {
  test('height, line, ink and opacity; what cannot be read is refused and changes nothing', async () => {
    const { press, choose, fill, field, piece, undo } = await about([photo()]);
    await press(/^Finish /);
    await choose('Lies like', 'Chipboard');
    expect(field('Lift')).toHaveProperty('value', '1.5');
    await choose('Stroke along the edge', 'A line');
    await fill('Line width', '2mm');
    await fill('Stroke ink', '9e2b');
    await screen.findByText('A colour, such as #9e2b45, rgb(158 43 69) or teal.');
    await fill('Stroke ink', '9E2B45');
    expect(piece('photo').finish.stroke).toMatchObject({ colour: '#9e2b45' });
    expect(piece('photo').finish.stroke!.width).toBeCloseTo(5.67, 2);
    expect(head('Finish').textContent).toContain('chipboard, stroke 0.08 in');
    await fill('Lift', '21');
    await screen.findByText('From 0 to 20 mm.');
    expect(undo()).toBe('change stroke of photo');
  });

  test('corners come loose; lying higher, they still do; the last one down is flat again', async () => {
    const { press, choose, fill, piece } = await about([photo()]);
    await press(/^Finish /);
    await choose('Lies', 'Corners up');
    const corners = screen.getByRole('group', { name: 'Corners that stand up' });
    const corner = (name: string) => within(corners).getByRole('button', { name });
    fireEvent.click(corner('top left'));
    await fill('Stands up', '50');
    await screen.findByText('From 0.5 to 20 mm.');
    await fill('Stands up', '8 mm');
    await fill('Lift', '2');
    expect(piece('photo').finish.lift).toMatchObject({
      height: 2,
      curl: { corners: [true, false, true, false], rise: 8 },
    });
  });

  test('a treatment from the list, stitches that come out whole, and a word where there is no room for them', async () => {
    const { press, choose, fill, piece, undo } = await about([inkPiece('a', 20, 30, 144, 144)]);
    await press(/^Finish /);
    await press('Treat it');
    await choose('Treated', 'Glitter');
    expect(undo()).toMatch(/^change surface of/);
    const [first] = piece('a').finish.treatments!;
    await press('Anew');
    expect(piece('a').finish.treatments![0]).toMatchObject({ kind: 'glitter' });
    expect(piece('a').finish.treatments![0]!.seed).not.toBe(first!.seed);
    await press('Sew');
    await fill('Length of a stitch', '0.2');
    await screen.findByText(/^\d+ stitches, whole on each side\.$/);
    await fill('From the edge', '1.5');
    await screen.findByText('There is no room for them: less from the edge.');
  });

  test('a finish is kept as a look, worn by another piece, and changed for all that wear it', async () => {
    const room = await about([inkPiece('a'), inkPiece('b', 200)], ['a']);
    await room.press(/^Finish /);
    await room.press('Keep this finish as a look');
    await room.fill('Name of the look', 'Gold and thread');
    expect(room.project().looks).toMatchObject([{ name: 'Gold and thread' }]);
    room.chosen('b');
    await screen.findByRole('combobox', { name: 'Look' });
    await room.choose('Look', 'Gold and thread');
    await room.choose('Lies like', 'Button');
    await room.press('Change all 2');
    expect(room.undo()).toBe('change look “Gold and thread”');
    expect(room.pile().map(({ finish }) => finish.lift.height)).toEqual([3, 3]);
    expect(screen.queryByRole('button', { name: 'Change all 2' })).toBeNull();
    await room.choose('Look', 'Its own');
    expect(room.pile().map(({ look }) => Boolean(look))).toEqual([true, false]);
  });

  test('mats, shadows and echoes are added, named by number, and taken away again', async () => {
    const { press, piece, undo } = await about([photo()]);
    await press(/^Finish /);
    await press('Lay a mat');
    await press('Add a shadow');
    await press('Add an echo');
    expect(piece('photo').finish).toMatchObject({ mats: [{}], shadows: [{}], echoes: [{}] });
    expect(head('Finish').textContent).toContain('mat');
    expect(head('Finish').textContent).toContain('echo');
    expect(undo()).toMatch(/echo/);
    await press('One more beneath');
    expect(piece('photo').finish.mats).toHaveLength(2);
  });

  test('what one photo wears is given to all others of the page, or of the project; what is locked keeps its own', async () => {
    const still = photo('still');
    still.placement.locked = true;
    const room = await about([photo(), photo('other'), still, inkPiece('ink')], ['photo']);
    await room.press(/^Finish /);
    await room.choose('Stroke along the edge', 'A line');
    const stroke = (id: string) => room.piece(id).finish.stroke;
    expect([stroke('photo'), stroke('other')]).toEqual([expect.anything(), null]);
    await room.press('of this page');
    expect(room.undo()).toBe('finish all photos alike');
    expect(stroke('other')).toEqual(stroke('photo'));
    expect([stroke('ink'), stroke('still')]).toEqual([null, null]);
    room.chosen('other');
    await room.when(() => /stroke|line/.test(head('Finish').textContent!));
  });

  test('a mat has its width, turn, corners and paper; what is set while the paper is on its way stays', async () => {
    const serve = globalThis.fetch;
    let arrive = () => {};
    const until = new Promise<void>((done) => (arrive = done));
    globalThis.fetch = (async (from: string) => {
      if (/papers\/.*\.jpg/.test(String(from))) await until;
      return serve(from);
    }) as typeof fetch;
    const room = await about([photo()]);
    const mats = () => room.piece('photo').finish.mats!;
    await room.press(/^Finish /);
    await room.press('Lay a mat');
    await room.press('One more beneath');
    fireEvent.mouseDown(screen.getAllByRole('combobox', { name: 'Made of' })[0]!);
    const papers = await screen.findAllByRole('option');
    fireEvent.click(papers[2]!);
    await room.fill('Width of mat 2', '1/4');
    await room.fill('Width of mat 1', '20');
    await screen.findByText(/^At most/);
    arrive();
    await room.when(() => mats()[0]!.material.kind === 'paper');
    expect(mats()[1]!.width).toBe(18);
    const [sha] = room.project().papers;
    expect(mats()[0]!.material).toMatchObject({ kind: 'paper', asset: sha });
    expect(room.undo()).toMatch(/^change mats/);
    room.does(() => fireEvent.click(screen.getAllByRole('switch', { name: /^Straight/ })[1]!));
    expect(mats().map(({ straight }) => straight)).toEqual([expect.anything(), !mats()[0]!.straight]);
    await room.press('Take mat 1 away');
    expect(mats()).toMatchObject([{ width: 18 }]);
    globalThis.fetch = serve;
  });
});

describe('Material', () => {
  test('an ink by any of its names; inks run into each other; a photo says how sharp it prints', async () => {
    const room = await about([inkPiece('a'), photo()], ['a']);
    await room.press(/^Material /);
    await room.fill('Ink', 'expression(1)');
    await screen.findByText('A colour, such as #9e2b45, rgb(158 43 69) or teal.');
    await room.fill('Ink', 'rgb(36 80 107)');
    expect(room.piece('a').material).toEqual({ kind: 'ink', colour: '#24506b' });
    await room.press('Run it into another ink');
    expect(head('Material').textContent).toContain('2 inks');
    await room.press('One ink more');
    expect(room.piece('a').material).toMatchObject({ kind: 'gradient', colours: { length: 3 } });
    room.chosen('photo');
    await screen.findByText('Prints at 300 ppi: sharp.');
    await room.press('Quarter turn');
    expect(room.piece('photo').material).toMatchObject({ window: { turn: 90 } });
    await screen.findByText(/^Prints at 200 ppi: fair at this size\. Good up to/);
  });
});

test('what is locked says so in every row and can be changed in none', async () => {
  const still = photo('still');
  still.placement.locked = true;
  const { press } = await about([still]);
  for (const [row, says] of [
    ['Material', 'Locked: unlock it to change it.'],
    ['Cut', 'Locked: unlock it to cut it anew.'],
    ['Finish', 'Locked: unlock it to change its finish.'],
  ] as const) {
    await press(new RegExp(`^${row} `));
    await screen.findByText(says);
  }
});

test('inches or millimetres for the whole project, in every field; undo goes back', async () => {
  const { press, chosen, field, does, store } = await about([inkPiece('a', 72, 72, 72, 36)], []);
  expect(screen.getByText(/ppi, bleed/).textContent).toContain('bleed 0.125 in');
  await press('mm');
  expect(screen.getByText(/ppi, bleed/).textContent).toContain('bleed 3.2 mm');
  chosen('a');
  await screen.findByRole('textbox', { name: 'Width' });
  expect(field('Width')).toHaveProperty('value', '25.4');
  does(() => store.getState().undo());
  expect(field('Width')).toHaveProperty('value', '1');
});

test('letters that grow their box beyond the page are told where they are set, and brought back by one press', async () => {
  const { fill, piece, press, when } = await about([wordsOf('w', 'A long wait for the wind')], ['w']);
  expect(screen.queryByText(/Cut off by the page/)).toBeNull();
  await fill('Letter size', '96 pt');
  await screen.findByText(/^Cut off by the page’s edge: .* at the bottom/);
  await press('Fit the words on the page');
  await when(() => !screen.queryByText(/Cut off by the page/));
  const { y, height } = extentOf(piece('w').placement);
  expect(y).toBeGreaterThanOrEqual(18 - 0.01);
  expect(y + height).toBeLessThanOrEqual(288 - 18 + 0.01);
  expect((piece('w').outline as { size: number }).size).toBeGreaterThan(24);
});

test('words: size and spacing by number, within their limits; spacing of none is no spacing', async () => {
  const { fill, piece } = await about([wordsOf('w', 'Kites')]);
  await fill('Letter size', '3');
  await screen.findByText('From 4 to 2000 pt.');
  await fill('Letter size', '36 pt');
  await fill('Letter spacing', '12');
  expect(piece('w').outline).toMatchObject({ size: 36, tracking: 0.12 });
  await fill('Letter spacing', '0');
  expect(piece('w').outline).not.toHaveProperty('tracking', expect.anything());
});
