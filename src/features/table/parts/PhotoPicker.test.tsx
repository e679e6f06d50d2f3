/** Photos to choose from: what is brought in where there were none is chosen. */
import { expect, test } from '@jest/globals';
import { act as settle, screen } from '@testing-library/react';
import { useState } from 'react';
import type { Arrangeable } from '@/features/table/acts';
import { PhotoPicker } from '@/features/table/parts/PhotoPicker';
import { seated } from '../../../../scripts/testing/room';
import { assetOf } from '../../../../scripts/testing/samples';

const photo = (name: string): Arrangeable => ({
  asset: assetOf(new Uint8Array(4), 300, 200, { sha: name, name }),
  piece: null,
});

async function picker(first: readonly Arrangeable[]) {
  let bring = (_: readonly Arrangeable[]): void => {};
  function Shown() {
    const [photos, setPhotos] = useState(first);
    const [taken, setTaken] = useState<ReadonlySet<string>>(new Set());
    bring = setPhotos;
    return <PhotoPicker {...{ photos, taken }} onTaken={setTaken} />;
  }
  const room = await seated(<Shown />, []);
  return { ...room, bring: (photos: readonly Arrangeable[]) => settle(() => bring(photos)) };
}

test('brought in where there were none, they are taken as they come; one left out stays out', async () => {
  const { press, bring, store } = await picker([]);
  await press('Bring in photos');
  expect(store.getState().filesAsked).toBe(1);
  bring([photo('one'), photo('two')]);
  screen.getByText('2 of 2 photos');
  await press('Take none');
  bring([photo('one'), photo('two'), photo('three')]);
  screen.getByText('1 of 3 photos');
});

test('where there were some, what comes later is offered, not taken', async () => {
  const { bring } = await picker([photo('one')]);
  bring([photo('one'), photo('two')]);
  screen.getByText('0 of 2 photos');
});
