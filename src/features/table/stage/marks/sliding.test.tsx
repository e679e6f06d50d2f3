/** What goes with the hand: the whole picture while it is slid behind its cut, and the glass. */
import { beforeEach, expect, test } from '@jest/globals';
import { act as settle, screen } from '@testing-library/react';
import type { Matrix } from '@/core/geometry/matrix';
import type { Asset } from '@/core/picture/asset';
import { WHOLE } from '@/core/piece/material/window';
import type { Piece } from '@/core/piece/piece';
import { nearer, pushed, slideNow, startSliding, stepPart } from '@/features/table/acts/slide';
import type { Grip } from '@/features/table/stage/hand/drags';
import { createHand, type Pointer } from '@/features/table/stage/hand/hand';
import { Loupe } from '@/features/table/stage/marks/Loupe';
import { SizeTag } from '@/features/table/stage/marks/SizeTag';
import { Sliding } from '@/features/table/stage/marks/Sliding';
import { SwapPads } from '@/features/table/stage/marks/SwapPads';
import { storeAsset } from '@/storage/assets';
import { seated } from '../../../../../scripts/testing/room';
import { assetOf, inkPiece, photoOf, quarters, wordsOf } from '../../../../../scripts/testing/samples';
import { emptyStore } from '../../../../../scripts/testing/store';

const file = (width: number, height: number) => {
  const bytes = quarters(width, height);
  return { asset: assetOf(bytes, width, height), blob: new Blob([new Uint8Array(bytes)]) };
};
const SMALL = file(90, 60);
const LARGE = file(120, 60);
beforeEach(() => emptyStore());

async function sliding(piece: Piece, assets: readonly Asset[]) {
  const room = await seated(<Sliding />, [piece], [piece.id], assets);
  room.does(() => startSliding(room.store, room.piece(piece.id)));
  const image = () => room.container.querySelector('image');
  const matrix = () =>
    /matrix\((.*)\)/
      .exec(image()!.parentElement!.getAttribute('transform')!)![1]!
      .split(' ')
      .map(Number) as unknown as Matrix;
  /** Where a share of the picture's width and height lies on the page. */
  const lies = (across: number, down: number) => {
    const [a, b, c, d, e, f] = matrix();
    const { view } = room.store.getState();
    const [x, y] = [
      across * Number(image()!.getAttribute('width')),
      down * Number(image()!.getAttribute('height')),
    ];
    return [(a * x + c * y + e - view.x) / view.zoom, (b * x + d * y + f - view.y) / view.zoom].map(
      (at) => Math.round(10 * at) / 10,
    );
  };
  return { ...room, image, lies };
}

test('the whole picture is seen about its cut, where it lies; a small one too, which has no copy for the screen', async () => {
  await storeAsset({ asset: SMALL.asset, blob: SMALL.blob, proxies: {} });
  // A square cut of a picture that is half as wide again: a quarter of it is hidden on either side.
  const piece = photoOf('p', SMALL.asset, { x: 100, y: 80, width: 100, height: 100 });
  const { image, lies, when, does, store, container } = await sliding(piece, [SMALL.asset]);
  await when(image);
  expect([lies(0, 0), lies(1, 1)]).toEqual([
    [75, 80],
    [225, 180],
  ]);
  does(() => slideNow(store, (session, one) => pushed(session, one, { x: 10, y: 0 })));
  expect([lies(0, 0), lies(1, 1)]).toEqual([
    [85, 80],
    [235, 180],
  ]);
  // It cannot be pushed out of its cut.
  does(() => slideNow(store, (session, one) => pushed(session, one, { x: 500, y: 70 })));
  expect(lies(0, 0)).toEqual([100, 80]);
  does(() => slideNow(store, (session, one) => nearer(session, one, 2)));
  expect(lies(1, 1)[1]! - lies(0, 0)[1]!).toBeCloseTo(200, 1);
  // Lines at the thirds of the cut.
  expect([...container.querySelectorAll('path')].map((line) => line.getAttribute('d'))).toHaveLength(2);
  does(() => store.getState().pick());
  expect(container.querySelector('svg')).toBeNull();
});

test('of photos behind letters it is the next one’s, never the one before in its place', async () => {
  await storeAsset({ asset: SMALL.asset, blob: SMALL.blob, proxies: {} });
  const word = wordsOf('w', 'AB', 150, 300);
  const photos = [SMALL.asset, LARGE.asset].map(({ sha }) => ({ asset: sha, window: WHOLE }));
  const piece: Piece = { ...word, material: { kind: 'photos', photos } };
  const { image, when, does, store } = await sliding(piece, [SMALL.asset, LARGE.asset]);
  await when(image);
  const first = image()!.getAttribute('href');
  does(() => void stepPart(store, 1));
  // The second one's file is not here: rather none than the first.
  expect(image()).toBeNull();
  does(() => void stepPart(store, 1));
  await when(image);
  expect(image()!.getAttribute('href')).not.toBe(first);
});

/** A stage of three canvases, each painted where it is said, with the glass over them. */
async function glass() {
  const room = await seated(
    <div>
      {['below', 'moving', 'above'].map((name) => (
        <canvas key={name} data-testid={name} width={800} height={600} />
      ))}
      <Loupe />
    </div>,
    [],
  );
  const layer = (name: string) => screen.getByTestId<HTMLCanvasElement>(name).getContext('2d')!;
  const canvas = () =>
    room.container.querySelector<HTMLCanvasElement>('canvas[aria-label="Loupe: 3 times as large"]');
  const seen = (x: number, y: number) => [...canvas()!.getContext('2d')!.getImageData(x, y, 1, 1).data];
  // A layer nothing lies on is painted, too.
  layer('moving').clearRect(0, 0, 800, 600);
  const frame = () => settle(async () => void (await new Promise(requestAnimationFrame)));
  const point = async (x: number, y: number) => {
    room.store.getState().point({ x, y });
    await frame();
    await frame();
  };
  return { ...room, layer, canvas, seen, point, frame };
}

test('the glass shows three times as large what lies under the pointer, beside it, and within the stage', async () => {
  const { layer, canvas, seen, point, does, store, frame } = await glass();
  expect(canvas()).toBeNull();
  layer('below').fillStyle = '#24506b';
  layer('below').fillRect(400, 300, 400, 300);
  layer('above').fillStyle = '#9e2b45';
  layer('above').fillRect(405, 305, 4, 4);
  does(() => store.getState().toggle('loupe'));
  expect(canvas()!.style.visibility).toBe('hidden');
  await point(400, 300);
  expect(canvas()!.style.visibility).toBe('visible');
  // The middle of the glass, 380 pixels wide, is the pointer; a pixel of the stage is six of the glass.
  expect(seen(190 - 6, 190 - 6).slice(0, 3)).not.toEqual([0x24, 0x50, 0x6b]);
  expect(seen(190 + 12, 190 + 12)).toEqual([0x24, 0x50, 0x6b, 255]);
  expect(seen(190 + 6 * 7, 190 + 6 * 7)).toEqual([0x9e, 0x2b, 0x45, 255]);
  expect(canvas()!.style.transform).toBe('translate(424px, 205px)');
  await point(790, 595);
  expect(canvas()!.style.transform).toBe('translate(576px, 402px)');
  does(() => store.getState().point(null));
  await frame();
  await frame();
  expect(canvas()!.style.visibility).toBe('hidden');
});

/** A hand over the page of a room, and what is seen while it holds something. */
async function held(pieces: readonly Piece[], assets: readonly Asset[], chosen: readonly string[]) {
  const room = await seated(
    <svg>
      <SwapPads />
      <SizeTag unit="in" />
    </svg>,
    pieces,
    chosen,
    assets,
  );
  const { store } = room;
  store.getState().setSnapping(false);
  const hand = createHand(store, {
    onMoving: () => {},
    panning: () => false,
    soon: (draw) => (draw(), () => {}),
  });
  const over = (x: number, y: number): Pointer => {
    const { view } = store.getState();
    const at = { x: view.x + x * view.zoom, y: view.y + y * view.zoom };
    return {
      ...{ id: 1, type: 'mouse', button: 0, at, shiftKey: false },
      ctrlKey: false,
      metaKey: false,
      altKey: false,
    };
  };
  return {
    ...room,
    press: (x: number, y: number) => room.does(() => hand.press(over(x, y))),
    grip: (x: number, y: number, grip: Grip) => room.does(() => hand.grip(over(x, y), grip)),
    move: (x: number, y: number) => room.does(() => hand.move(over(x, y))),
    release: (x: number, y: number) => room.does(() => hand.release(over(x, y))),
  };
}

test('while a photo is carried every other one and every free place has its pad; over one it says what comes of it', async () => {
  const photos = [
    photoOf('one', SMALL.asset, { x: 20, y: 20, width: 90, height: 60 }),
    photoOf('two', LARGE.asset, { x: 200, y: 20, width: 120, height: 60 }),
    { ...inkPiece('free', 300, 180), role: 'photo' as const },
  ];
  const { press, move, release, undo, pile } = await held(photos, [SMALL.asset, LARGE.asset], []);
  expect(screen.queryByTestId('swap-pads')).toBeNull();
  press(65, 50);
  move(75, 60);
  const pads = () => [...screen.getByTestId('swap-pads').querySelectorAll('circle')];
  expect(pads()).toHaveLength(2);
  expect(screen.queryByText('change places')).toBeNull();
  move(260, 50);
  screen.getByText('change places');
  move(330, 200);
  screen.getByText('put it here');
  move(260, 50);
  release(260, 50);
  expect([screen.queryByTestId('swap-pads'), undo()]).toEqual([null, 'swap 2 photos']);
  expect(pile().find(({ id }) => id === 'one')!.material).toMatchObject({ asset: LARGE.asset.sha });
});

test('while a corner is drawn the size is told, and of a photo how sharp it prints', async () => {
  const coarse = { ...SMALL.asset, width: 900, height: 600 };
  const photo = photoOf('one', coarse, { x: 20, y: 20, width: 144, height: 96 });
  const { grip, move, release } = await held([photo, inkPiece('ink', 300, 200)], [coarse], ['one']);
  const tag = () => screen.queryByTestId('size-tag')?.textContent ?? null;
  grip(164, 116, { kind: 'resize', sx: 1, sy: 1 });
  expect(tag()).toBeNull();
  move(380, 260);
  expect(tag()).toBe('5 x 3.33 in, 180 ppi: fair');
  release(380, 260);
  expect(tag()).toBeNull();
});
