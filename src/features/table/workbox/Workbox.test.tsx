/** The workbox: what lies in it is walked, laid and taken out by keys; what arrives leaves the rest as it is. */
import { createHash } from 'node:crypto';
import { expect, test } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import { layPieces } from '@/core/project/edits/pile';
import { COMPARTMENTS, type Compartment } from '@/core/project/model';
import type { Carried } from '@/features/table/parts/carry';
import { type BoxItem, type Counting } from '@/features/table/workbox/useWorkbox';
import { Workbox } from '@/features/table/workbox/Workbox';
import { seated } from '../../../../scripts/testing/room';
import { assetOf, photoOf } from '../../../../scripts/testing/samples';

const shaOf = (name: string) => createHash('sha256').update(name).digest('hex');
const boxItem = (name: string): BoxItem => ({
  asset: assetOf(new Uint8Array(4), 300, 200, { sha: shaOf(name), name }),
  used: 0,
});

async function box(photos: readonly BoxItem[], more: Partial<Record<Compartment, BoxItem[]>> = {}) {
  const laid: Carried[] = [];
  const told: { count(counting: Counting | null): void } = { count: () => {} };
  const empty = Object.fromEntries(COMPARTMENTS.map((name) => [name, []])) as never as Record<
    Compartment,
    BoxItem[]
  >;
  const items = { ...empty, ...more, photos };
  const onLay = (carried: Carried) => void laid.push(carried);
  function Shown() {
    const [counting, setCounting] = useState<Counting | null>(null);
    told.count = setCounting;
    return (
      <Workbox
        {...{ items, counting, onLay, readOnly: false, cupboardOpen: false }}
        onCupboard={() => {}}
        onGather={() => {}}
      />
    );
  }
  const assets = photos.map(({ asset }) => asset);
  return { ...(await seated(<Shown />, [], [], assets)), laid, told };
}
const thumb = (name: string) => screen.getByRole('button', { name: new RegExp(`^${name}\\.`) });

test('arrows walk along what lies there, Home and End to its ends; Enter lays, and tells what', async () => {
  const { laid } = await box(['one', 'two', 'three'].map(boxItem));
  thumb('one').focus();
  const walked = ['ArrowRight', 'End', 'ArrowRight', 'ArrowLeft', 'Home', 'ArrowLeft'].map((key) => {
    fireEvent.keyDown(document.activeElement!, { key });
    return document.activeElement!.getAttribute('aria-label')!.split('.')[0];
  });
  expect(walked).toEqual(['two', 'three', 'three', 'two', 'one', 'one']);
  fireEvent.keyDown(thumb('two'), { key: 'Enter' });
  fireEvent.doubleClick(thumb('three'));
  expect(laid).toEqual(
    ['two', 'three'].map((name) => ({ kind: 'gathered', compartment: 'photos', sha: shaOf(name) })),
  );
});

test('taken out by keys, the focus goes on to what lies beside it, at last to the box: the next key is not the page’s', async () => {
  const { project, store, does, undo } = await box(['one', 'two', 'three'].map(boxItem));
  const at = () => document.activeElement!.getAttribute('aria-label')?.split('.')[0];
  const out = (name: string) => does(() => void fireEvent.keyDown(thumb(name), { key: 'Delete' }));
  thumb('two').focus();
  out('two');
  expect([project().photos, at(), undo()]).toEqual([['one', 'three'].map(shaOf), 'three', 'put photo away']);
  thumb('three').focus();
  out('three');
  expect([project().photos, at()]).toEqual([[shaOf('one')], 'two']);
  // What lies on a page stays, and has the focus still.
  does(() => {
    const { perform, surfaceId } = store.getState();
    perform(
      layPieces(surfaceId, [photoOf('p', boxItem('one').asset, { x: 0, y: 0, width: 60, height: 40 })]),
    );
  });
  thumb('one').focus();
  out('one');
  expect([project().photos, at()]).toEqual([[shaOf('one')], 'one']);
  expect(store.getState().refused?.why).toMatch(/^“one” stays: it is used/);
});

test('the last of a compartment leaves the focus in the box', async () => {
  const { project, does } = await box([boxItem('one')]);
  thumb('one').focus();
  does(() => void fireEvent.keyDown(thumb('one'), { key: 'Delete' }));
  expect(project().photos).toEqual([]);
  expect(document.activeElement!.closest('section')!.getAttribute('aria-label')).toBe('Workbox');
});

test('the slat between two compartments gives one what it takes from the other, and is remembered', async () => {
  const papers = [boxItem('linen')];
  const shown = await box([boxItem('one')], { papers });
  const slat = () => screen.getByRole('separator', { name: 'Width of photos and papers' });
  const share = () => Number(slat().getAttribute('aria-valuenow'));
  const begun = share();
  fireEvent.keyDown(slat(), { key: 'ArrowLeft' });
  expect(share()).toBeLessThan(begun);
  for (let i = 0; i < 60; i++) fireEvent.keyDown(slat(), { key: 'ArrowLeft' });
  // It keeps a hand's breadth.
  expect(share()).toBeGreaterThan(4);
  const least = share();
  shown.unmount();
  await box([boxItem('one')], { papers });
  expect(share()).toBe(least);
});

test('a finger lays by one tap; a mouse, which drags, by two', async () => {
  const { laid } = await box([boxItem('one')]);
  fireEvent.pointerDown(thumb('one'), { pointerType: 'mouse' });
  fireEvent.click(thumb('one'), { detail: 1 });
  expect(laid).toEqual([]);
  fireEvent.pointerDown(thumb('one'), { pointerType: 'touch' });
  fireEvent.click(thumb('one'), { detail: 1 });
  expect(laid).toHaveLength(1);
});

test('what is counted while photos arrive draws none of those that are there anew', async () => {
  let drawn = 0;
  const one = boxItem('one');
  const { width } = one.asset;
  Object.defineProperty(one.asset, 'width', { get: () => ((drawn += 1), width), enumerable: true });
  const { told, does } = await box([one]);
  const before = drawn;
  does(() => told.count({ done: 3, of: 40, cancel: () => {} }));
  await screen.findByText(/3 of 40/);
  expect([before > 0, drawn]).toEqual([true, before]);
});

test('what is empty is folded to its name, which leads to where such things lie', async () => {
  const { press, store } = await box([]);
  await press('Look for frames in the cupboard');
  expect(store.getState()).toMatchObject({ supplyKinds: ['frame'], show: { cupboard: true } });
});
