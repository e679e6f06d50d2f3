/** The workbox: what lies in it is walked, laid and taken out by keys; what arrives leaves the rest as it is. */
import { expect, test } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import { COMPARTMENTS, type Compartment } from '@/core/project/model';
import type { Carried } from '@/features/table/parts/carry';
import { type BoxItem, type Counting } from '@/features/table/workbox/useWorkbox';
import { Workbox } from '@/features/table/workbox/Workbox';
import { seated } from '../../../../scripts/testing/room';
import { assetOf } from '../../../../scripts/testing/samples';

const boxItem = (name: string): BoxItem => ({
  asset: assetOf(new Uint8Array(4), 300, 200, { sha: name, name }),
  used: 0,
});

async function box(photos: readonly BoxItem[]) {
  const laid: Carried[] = [];
  const told: { count(counting: Counting | null): void } = { count: () => {} };
  const empty = Object.fromEntries(COMPARTMENTS.map((name) => [name, []])) as never as Record<
    Compartment,
    BoxItem[]
  >;
  const items = { ...empty, photos };
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
  expect(laid).toEqual(['two', 'three'].map((sha) => ({ kind: 'gathered', compartment: 'photos', sha })));
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
