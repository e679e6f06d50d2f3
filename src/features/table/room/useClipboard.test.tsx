/** Copy, cut and paste: within a table, from one to another, and with what other programs take and give. */
import { afterAll, afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import sharp from 'sharp';
import { addPageAfter } from '@/features/table/acts/pages';
import { useClipboard } from '@/features/table/room/useClipboard';
import type { Asset } from '@/core/picture/asset';
import type { Piece } from '@/core/piece/piece';
import { lastCopied } from '@/storage/copied';
import { around, seated } from '../../../../scripts/testing/room';
import { assetOf, inkPiece, photoOf, quarters } from '../../../../scripts/testing/samples';
import { emptyStore, fullStore } from '../../../../scripts/testing/store';

const onPictures = jest.fn<(files: readonly File[]) => void>();
function Clipboard() {
  useClipboard(onPictures);
  return <input aria-label="A field" />;
}
const PNG = new File([new Uint8Array(quarters(30, 20, 'image/png'))], 'scan.png', { type: 'image/png' });

type Place = [x: number, y: number];
/** What lies on the system's clipboard, by type; a browser may not let us put anything there. */
let clipboard: Record<string, Blob> = {};
let lets = true;
const before = { item: globalThis.ClipboardItem, clipboard: navigator.clipboard };
Object.assign(globalThis, {
  ClipboardItem: class {
    constructor(readonly given: Record<string, Blob | Promise<Blob>>) {}
  },
});
Object.defineProperty(navigator, 'clipboard', {
  configurable: true,
  value: {
    async write([item]: [{ given: Record<string, Blob | Promise<Blob>> }]) {
      if (!lets) throw new DOMException('no leave', 'NotAllowedError');
      const types = Object.entries(item.given);
      clipboard = Object.fromEntries(await Promise.all(types.map(async ([type, is]) => [type, await is])));
    },
  },
});
afterAll(() => {
  Object.assign(globalThis, { ClipboardItem: before.item });
  Object.defineProperty(navigator, 'clipboard', { configurable: true, value: before.clipboard });
});
beforeEach(async () => {
  clipboard = {};
  lets = true;
  onPictures.mockClear();
  await emptyStore();
});
let makeRoom = () => {};
afterEach(() => makeRoom());

async function table(pieces: readonly Piece[], assets: readonly Asset[] = []) {
  const room = await seated(around(<Clipboard />), pieces, [], assets);
  /** Says whether the browser is left to do what it does by itself. */
  const does = (type: string, at: Element, data: object = {}) => {
    const event = Object.assign(new Event(type, { bubbles: true, cancelable: true }), data);
    room.does(() => at.dispatchEvent(event));
    return !event.defaultPrevented;
  };
  return {
    ...room,
    copy: (at: Element = document.body) => does('copy', at),
    cut: () => does('cut', document.body),
    /** Pastes what lies on the clipboard, or what another program put there. */
    async paste(given?: { text?: string; files?: File[] }, at: Element = document.body) {
      const text = given ? (given.text ?? '') : await (clipboard['text/plain']?.text() ?? '');
      return does('paste', at, {
        clipboardData: { getData: () => text, files: given?.files ?? [] },
      });
    },
    names: () => room.pile().map(({ name }) => name),
    places: () => room.pile().map(({ placement: { x, y } }) => [x, y]),
  };
}
const written = (room: Awaited<ReturnType<typeof table>>) => room.when(() => clipboard['text/plain']);

test('what is copied is pasted beside it, and beside that; what was cut comes back where it was', async () => {
  const room = await table([inkPiece('a', 20, 30), inkPiece('b', 200, 100)]);
  room.chosen('a');
  expect(room.copy()).toBe(false);
  await written(room);
  await room.paste();
  await room.paste();
  const [, , [x1, y1], [x2, y2]] = room.places() as [unknown, unknown, Place, Place];
  expect([x1 - 50, y1 - 50]).toEqual([x2 - x1, y2 - y1]);
  expect(x1).not.toBe(50);
  expect(room.undo()).toMatch(/^paste/);
  expect(room.store.getState().selection).toEqual([room.pile().at(-1)!.id]);
  room.chosen('b');
  clipboard = {};
  room.cut();
  expect(room.names()).not.toContain('b');
  await written(room);
  // Other programs get what was cut.
  expect((await sharp(Buffer.from(await clipboard['image/png']!.arrayBuffer())).stats()).isOpaque).toBe(
    false,
  );
  expect(
    (await sharp(Buffer.from(await clipboard['image/png']!.arrayBuffer())).metadata()).width,
  ).toBeGreaterThan(240);
  clipboard = {};
  room.copy();
  await room.paste();
  expect(room.names()).toContain('b');
  expect(room.places()).toContainEqual([230, 120]);
});

test('other programs get a picture of it at 300 ppi, with its shadow on a clear ground', async () => {
  const room = await table([inkPiece('a', 20, 30, 72, 48), inkPiece('b', 0, 0, 400, 200)]);
  room.chosen('a');
  room.copy();
  await written(room);
  const png = sharp(Buffer.from(await clipboard['image/png']!.arrayBuffer()));
  const { data, info } = await png.raw().toBuffer({ resolveWithObject: true });
  // The piece is 300 x 200 pixels; its shadow falls beyond it, and no further than a few points.
  expect(info.width).toBeGreaterThan(300);
  expect(info.width).toBeLessThan(360);
  const at = (x: number, y: number) => [
    ...data.subarray(4 * (y * info.width + x), 4 * (y * info.width + x) + 4),
  ];
  expect(at(Math.floor(info.width / 2), Math.floor(info.height / 2))).toEqual([0x9e, 0x2b, 0x45, 255]);
  expect(at(0, 0)[3]).toBeLessThan(30);
  const [, id] = /^Bellagraph pieces ([\w-]+)$/.exec(await clipboard['text/plain']!.text())!;
  expect(JSON.parse(await clipboard['web application/vnd.bellagraph+json']!.text())).toMatchObject({
    id,
    pieces: [{ id: 'a' }],
  });
});

test('on another table it comes with its pictures; what was copied since is what is pasted', async () => {
  const asset = assetOf(quarters(60, 40), 60, 40);
  const first = await table([photoOf('p', asset, { x: 40, y: 50, width: 60, height: 40 })], [asset]);
  first.chosen('p');
  first.copy();
  await written(first);
  first.unmount();
  const second = await table([inkPiece('a')]);
  await second.paste();
  await second.when(() => second.pile().length === 2);
  expect(second.places()[1]).toEqual([70, 70]);
  expect(second.project().assets[asset.sha]).toEqual(asset);
  second.chosen('a');
  const before = clipboard['text/plain'];
  second.copy();
  await second.when(() => clipboard['text/plain'] !== before);
  await second.paste();
  expect(second.names()).toEqual(['a', 'p', 'a']);
});

test('words of another program are laid as words, its pictures are brought in; ours come back where the browser lets nothing be copied', async () => {
  const room = await table([inkPiece('a')]);
  await room.paste({ text: '  First the kite,\r\nthen the sea.  ' });
  expect(room.pile()[1]!.outline).toMatchObject({
    kind: 'glyphs',
    text: 'First the kite,\nthen the sea.',
  });
  expect(room.undo()).toBe('paste words');
  await room.paste({ files: [PNG, new File(['x'], 'notes.pdf', { type: 'application/pdf' })] });
  expect(onPictures.mock.calls).toEqual([[[PNG]]]);
  room.chosen('a');
  room.copy();
  await written(room);
  await room.paste({ files: [PNG] });
  expect([onPictures.mock.calls.length, room.pile().length]).toEqual([2, 2]);
  lets = false;
  room.chosen('a');
  room.copy();
  await room.when(() => lastCopied());
  // Whatever lies on the clipboard was there before.
  await room.paste({ text: 'An old letter', files: [PNG] });
  expect([onPictures.mock.calls.length, room.names()[2]]).toEqual([2, 'a']);
});

test('in a field, and while words are written, the browser does it; without anything to lay it is said', async () => {
  const room = await table([inkPiece('a')]);
  const field = screen.getByRole('textbox', { name: 'A field' });
  room.chosen('a');
  expect([room.copy(field), await room.paste({ text: 'mine' }, field)]).toEqual([true, true]);
  expect(room.pile()).toHaveLength(1);
  room.chosen();
  expect(room.copy()).toBe(true);
  room.chosen('a');
  await room.paste({ files: [new File(['x'], 'notes.pdf', { type: 'application/pdf' })] });
  await screen.findByText('There is nothing here that can be laid on the page.');
  expect(room.undo()).toBeNull();
});

test('a full store, and a browser without a clipboard, let one copy on this table all the same', async () => {
  const room = await table([inkPiece('a')]);
  makeRoom = fullStore();
  room.chosen('a');
  room.copy();
  await written(room);
  await screen.findByText(/^It is copied for this table alone: there is no room left/);
  await room.paste();
  expect(room.names()).toEqual(['a', 'a']);
  makeRoom();
  const there = navigator.clipboard;
  Object.defineProperty(navigator, 'clipboard', { configurable: true, value: undefined });
  room.chosen(room.pile()[0]!.id);
  room.copy();
  await room.paste({});
  expect(room.names()).toEqual(['a', 'a', 'a']);
  Object.defineProperty(navigator, 'clipboard', { configurable: true, value: there });
});

test('it is laid on the page it was meant for, though another is shown by the time it is read', async () => {
  const first = await table([inkPiece('a')]);
  first.chosen('a');
  first.copy();
  await written(first);
  first.unmount();
  const second = await table([]);
  const meant = second.store.getState().surfaceId;
  const text = await clipboard['text/plain']!.text();
  const pasted = second.paste({ text });
  second.does(() => addPageAfter(second.store, false));
  expect(second.store.getState().surfaceId).not.toBe(meant);
  await pasted;
  await second.when(() => second.project().surfaces[0]!.pile.length === 1);
  expect([second.pile(), second.store.getState().selection]).toEqual([[], []]);
});
