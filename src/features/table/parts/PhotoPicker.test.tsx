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
    const [focal, setFocal] = useState<string | null>(null);
    bring = setPhotos;
    return <PhotoPicker {...{ photos, taken, focal }} onTaken={setTaken} onFocal={setFocal} />;
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

test('the one that matters most is taken; left out, by itself or with all, it matters no more', async () => {
  const { press } = await picker([photo('one'), photo('two')]);
  const starred = (name: string) =>
    screen.queryByRole('button', { name: `${name} matters most` })?.getAttribute('aria-pressed');
  await press('Take all');
  await press('two matters most');
  expect([starred('one'), starred('two')]).toEqual(['false', 'true']);
  await press('two');
  expect(starred('two')).toBeUndefined();
  await press('two');
  expect(starred('two')).toBe('false');
  await press('one matters most');
  await press('Take none');
  await press('Take all');
  expect([starred('one'), starred('two')]).toEqual(['false', 'false']);
});
