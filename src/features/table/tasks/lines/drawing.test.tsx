/** Drawing over the page: how a stroke is led, what a pen says, what is seen of it meanwhile, and when nothing is drawn. */
import { beforeEach, expect, jest, test } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import { apply } from '@/core/geometry/matrix';
import { linesPiece, planeToPage } from '@/core/project/lines';
import { lockPage } from '@/core/project/edits/page';
import type { Piece } from '@/core/piece/piece';
import type { Trail } from '@/core/trail';
import { pointsIn, type Line } from '@/core/trail/line';
import { newPaint } from '@/core/trail/paint/paint';
import { NEW_RIBBON } from '@/core/trail/ribbon/ribbon';
import { NEW_THREAD } from '@/core/trail/thread/thread';
import * as act from '@/features/table/acts';
import { DrawLines } from '@/features/table/tasks/lines/DrawLines';
import { lineOf } from '../../../../../scripts/testing/lines';
import { inkPiece, laid } from '../../../../../scripts/testing/samples';
import { seatedAt, type Seated } from '../../../../../scripts/testing/room';

beforeEach(() => {
  Element.prototype.setPointerCapture ??= () => {};
});

type Spot = readonly [x: number, y: number];

/** A hand over a page with these pieces: strokes go through places of the page, points. */
async function drawing(pieces: readonly Piece[] = [], readOnly = false) {
  const room = await seatedAt(<DrawLines />, laid(pieces), [], { readOnly });
  const area = screen.getByTestId('drawing-lines').lastElementChild as HTMLElement;
  const { view } = room.store.getState();
  const at = ([x, y]: Spot, more: object = {}) => ({
    ...{ clientX: view.x + x * view.zoom, clientY: view.y + y * view.zoom },
    ...{ button: 0, isPrimary: true, pointerId: 1, pointerType: 'mouse', ...more },
  });
  return {
    ...room,
    area,
    at,
    lines: (): Line[] => act.linesPieceOf(room.store.getState())?.outline.lines ?? [],
    /** Down at the first place, through the others, and up at the last unless it is held. */
    stroke(spots: readonly Spot[], more: object = {}, held = false) {
      fireEvent.pointerDown(area, at(spots[0]!, more));
      for (const spot of spots.slice(1)) fireEvent.pointerMove(area, at(spot, more));
      if (!held) fireEvent.pointerUp(area, at(spots.at(-1)!, more));
    },
  };
}

const WAVE: Spot[] = Array.from({ length: 40 }, (_, i) => [60 + 5 * i, 120 + 18 * Math.sin(i / 5)]);

/** The spots of a drawn line on the page, to a tenth of a point. */
const onPage = (room: Seated, line: Line): number[][] => {
  const map = planeToPage(act.linesPieceOf(room.store.getState())!);
  return pointsIn(line)
    .map((spot) => apply(map, spot))
    .map(({ x, y }) => [x, y].map((v) => Math.round(10 * v) / 10));
};

test('strokes one after another lie on one piece, each with what was in the hand; another is begun when it is wished', async () => {
  const room = await drawing();
  room.stroke(WAVE);
  expect(room.undo()).toBe('draw paint');
  room.does(() => act.drawWith(room.store, NEW_THREAD));
  room.stroke(WAVE.map(([x, y]) => [x, y + 60]));
  expect(room.undo()).toBe('draw thread');
  expect(room.pile()).toHaveLength(1);
  expect(room.lines().map(({ trail }) => trail.kind)).toEqual(['paint', 'thread']);
  expect(room.store.getState().selection).toEqual([room.pile()[0]!.id]);
  // What is rubbed out is a line like every other.
  room.does(() => act.drawWith(room.store, { ...newPaint('round', '#000000'), erase: true } as Trail));
  room.stroke([
    [100, 100],
    [100, 150],
  ]);
  expect(room.lines()).toHaveLength(3);
  room.does(() => act.finishLines(room.store));
  room.stroke(WAVE);
  // An eraser alone has nothing to rub out.
  expect(room.store.getState().refused?.why).toMatch(/^The eraser takes away what was drawn/);
  room.does(() => act.drawWith(room.store, NEW_THREAD));
  room.stroke(WAVE);
  expect(room.pile()).toHaveLength(2);
  room.does(() => room.store.getState().undo());
  expect(room.pile()).toHaveLength(1);
});

test('a guide leads the hand: straight, in steps of 15°, round about where it began, along an edge from corner to corner', async () => {
  const room = await drawing([inkPiece('box', 100, 100, 120, 80)]);
  const drawn = () => onPage(room, room.lines().at(-1)!);
  const away: Spot[] = [
    [40, 40],
    [60, 90],
    [140, 66.8],
  ];
  room.stroke(away, { shiftKey: true });
  expect(drawn()).toEqual([
    [40, 40],
    [140, 66.8],
  ]);
  // 15 degrees, as near as the hand was.
  room.stroke(
    [
      [40, 40],
      [60, 90],
      [140, 70],
    ],
    { shiftKey: true, ctrlKey: true },
  );
  const [[, y0], [x1, y1]] = drawn() as unknown as [Spot, Spot];
  expect(Math.atan2(y1 - y0, x1 - 40)).toBeCloseTo(Math.PI / 12, 3);
  room.does(() => act.setLining(room.store, { guide: 'straight' }));
  room.stroke(away);
  expect(drawn()).toEqual([
    [40, 40],
    [140, 66.8],
  ]);
  room.does(() => act.setLining(room.store, { guide: 'round' }));
  room.stroke([
    [200, 200],
    [210, 210],
    [230, 240],
  ]);
  expect(room.lines().at(-1)).toMatchObject({ closed: true, smoothing: 0 });
  for (const [x, y] of drawn()) expect(Math.hypot(x! - 200, y! - 200)).toBeCloseTo(50, 0);
  room.does(() => act.setLining(room.store, { guide: 'edge' }));
  // From the left side over the top, a little beside it, to the right.
  room.stroke([
    [98, 140],
    [97, 97],
    [150, 96],
    [222, 97],
    [224, 150],
  ]);
  expect(drawn()).toEqual([
    [100, 140],
    [100, 100],
    [220, 100],
    [220, 150],
  ]);
  expect(room.lines().at(-1)!.closed).toBeUndefined();
  // All the way round it is a ring of four corners.
  room.stroke([
    [100, 140],
    [100, 100],
    [220, 100],
    [220, 180],
    [100, 180],
    [100, 141],
  ]);
  expect(room.lines().at(-1)!.closed).toBe(true);
  expect(drawn()).toHaveLength(4);
  const before = room.lines().length;
  room.stroke([
    [20, 250],
    [60, 250],
  ]);
  expect(room.store.getState().refused?.why).toMatch(/^Begin near the edge of a piece/);
  expect(room.lines()).toHaveLength(before);
});

test('a pen says how hard and how upright it is held; a mouse, and a pen that always says the same, nothing', async () => {
  const room = await drawing();
  const send = (type: 'pointerDown' | 'pointerMove' | 'pointerUp', spot: Spot, more: object) =>
    fireEvent[type](room.area, { ...room.at(spot), ...more });
  const pen = (press: (t: number) => number, pointerType = 'pen') => {
    send('pointerDown', [60, 100], { pointerType, pressure: press(0), tiltX: 0, tiltY: 45 });
    for (let i = 1; i <= 30; i++)
      send('pointerMove', [60 + 5 * i, 100 + (i % 7)], {
        ...{ pointerType, pressure: press(i / 30), tiltX: i, tiltY: 45 },
      });
    send('pointerUp', [210, 102], { pointerType, pressure: 0 });
    return room.lines().at(-1)!;
  };
  const { pressure, lean, at } = pen((t) => 0.1 + 0.9 * t);
  expect(pressure).toHaveLength(at.length / 2);
  expect(pressure!.every((now, i) => i === 0 || now > pressure![i - 1]!)).toBe(true);
  // Both tilts together lean further than one (Pointer Events Level 3, tilt and altitude).
  expect(lean![0]).toBeCloseTo(45, 0);
  expect(lean!.at(-1)).toBeCloseTo((Math.atan(Math.hypot(Math.tan(Math.PI / 6), 1)) * 180) / Math.PI, 0);
  expect(pen(() => 0).pressure).toBeUndefined();
  const plain = pen((t) => t, 'mouse');
  expect([plain.pressure, plain.lean]).toEqual([undefined, undefined]);
});

test.each([
  ['a sharp tip', newPaint('round', '#2f6f68')],
  ['a broad nib', newPaint('nib', '#2f6f68')],
  ['a soft tip', newPaint('soft', '#9e2b45')],
  ['ribbon', NEW_RIBBON],
] as const)('what is seen of %s while it is drawn is what lies on the page after', async (_, trail) => {
  const room = await drawing();
  const thick = 'width' in trail ? { ...trail, width: 14 } : trail;
  room.does(() => (act.drawWith(room.store, thick as Trail), act.setLining(room.store, { smoothing: 0 })));
  room.stroke(WAVE, {}, true);
  const [settled, tail] = [...screen.getByTestId('drawing-lines').querySelectorAll('canvas')] as [
    HTMLCanvasElement,
    HTMLCanvasElement,
  ];
  /** How much of each pixel is covered by any of these, 0 to 255. */
  const covered = (...all: ImageData[]): Uint8Array => {
    const most = new Uint8Array(800 * 600);
    for (const { data } of all)
      for (let i = 0; i < most.length; i++) most[i] = Math.max(most[i]!, data[4 * i + 3]!);
    return most;
  };
  const meanwhile = () =>
    covered(...[settled, tail].map((canvas) => canvas.getContext('2d')!.getImageData(0, 0, 800, 600)));
  const live = await room.when(() => [meanwhile()].find((now) => now.some((a) => a > 100)));
  fireEvent.pointerUp(room.area, room.at(WAVE.at(-1)!));
  const after = covered(room.painted());
  const both = live!.reduce((sum, a, i) => sum + Math.min(a, after[i]!), 0);
  const either = live!.reduce((sum, a, i) => sum + Math.max(a, after[i]!), 0);
  expect(both / either).toBeGreaterThan(0.9);
  // It goes when the page shows the line itself.
  await room.when(() => meanwhile().every((a) => a === 0));
});

test('what takes long leaves frames out, but the last of it is seen when the hand rests', async () => {
  const room = await drawing();
  room.does(() => act.drawWith(room.store, newPaint('round', '#2f6f68')));
  let time = 0;
  const slow = jest.spyOn(performance, 'now').mockImplementation(() => (time += 30));
  const [settled, tail] = screen.getByTestId('drawing-lines').querySelectorAll('canvas');
  const painted = ([x, y]: Spot) =>
    [settled!, tail!].some((canvas) => {
      const { clientX, clientY } = room.at([x, y]);
      return canvas.getContext('2d')!.getImageData(clientX, clientY, 1, 1).data[3]! > 0;
    });
  room.stroke(WAVE.slice(0, 9), {}, true);
  await room.when(() => painted(WAVE[6]!));
  for (const spot of WAVE.slice(9)) fireEvent.pointerMove(room.area, room.at(spot));
  try {
    await room.when(() => painted(WAVE[37]!));
  } finally {
    slow.mockRestore();
  }
});

test('a drag that is lost, another button, a locked page and a look-on draw nothing', async () => {
  const room = await drawing();
  room.stroke(WAVE, {}, true);
  fireEvent.pointerCancel(room.area, room.at(WAVE[20]!));
  fireEvent.pointerUp(room.area, room.at(WAVE[20]!));
  room.stroke(WAVE, { button: 1 });
  room.stroke(WAVE, { isPrimary: false });
  expect(room.undo()).toBeNull();
  room.does(() => room.store.getState().perform(lockPage(room.store.getState().surfaceId, true)));
  const { touchedLocked } = room.store.getState();
  room.stroke(WAVE);
  expect(room.store.getState().touchedLocked).not.toBe(touchedLocked);
  expect(room.pile()).toHaveLength(0);
  room.unmount();
  const onlySeen = await drawing([], true);
  onlySeen.stroke(WAVE);
  expect(onlySeen.store.getState().refused?.why).toMatch(/^Another tab holds this project/);
  expect(onlySeen.pile()).toHaveLength(0);
});

test('a press takes hold of the topmost line there, and of none beside them', async () => {
  const room = await drawing([
    linesPiece('drawn', [lineOf('under', NEW_THREAD), lineOf('over', newPaint('round', '#2f6f68'))]),
  ]);
  room.does(() => act.setLining(room.store, { choosing: true }));
  room.stroke([[70, 58]]);
  expect(room.store.getState().lining).toMatchObject({ piece: 'drawn', held: 'over' });
  expect(screen.getByTestId('held-line')).toBeDefined();
  room.stroke([[200, 200]]);
  expect(room.store.getState().lining.held).toBeNull();
  expect(screen.queryByTestId('held-line')).toBeNull();
  expect(room.undo()).toBeNull();
});
