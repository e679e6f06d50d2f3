/** In the cupboard whatever is offered is pressed and typed, in any order: what it holds stays whole, and nobody is trapped. */
import { beforeEach, expect, jest, test } from '@jest/globals';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { Cupboard } from '@/features/cupboard/Cupboard';
import { openedAnew } from '@/features/shared/once';
import { KINDS } from '@/core/supplies/model';
import { database } from '@/storage/database';
import { openCupboard } from '@/storage/supplies';
import { around } from '../../../scripts/testing/room';
import { emptyStore } from '../../../scripts/testing/store';
import { out, wander } from '../../../scripts/testing/wander';

const STEPS = Number(process.env.STEPS ?? 30);
const errors: unknown[] = [];
const heard = (event: Event) => errors.push((event as ErrorEvent).error ?? (event as ErrorEvent).message);

beforeEach(async () => {
  await emptyStore();
  openedAnew();
  errors.length = 0;
  jest.spyOn(URL, 'createObjectURL').mockImplementation(() => 'blob:1');
});

test.each([1, 2].map((seed) => seed + 2 * (Number(process.env.SEED ?? 1) - 1)))(
  'by chance, %i',
  async (seed) => {
    window.addEventListener('error', heard);
    const on = { onGather: jest.fn(), onLay: jest.fn(), onReplace: jest.fn(), onOpenPage: jest.fn() };
    const cupboard = () => render(around(<Cupboard unit="in" usedOf={() => 0} {...on} />));
    const room = cupboard();
    const search = await screen.findByRole('searchbox');
    // Where there is less to be drawn there is more to be tried.
    fireEvent.change(search, { target: { value: 'kite' } });
    await waitFor(() => expect(screen.getAllByRole('option').length).toBeGreaterThan(3));
    const before = await openCupboard();
    let last: readonly string[] = [];
    await wander({
      seed,
      steps: STEPS,
      look(did) {
        last = did;
        expect({ did: did.slice(-6), errors }).toEqual({ did: did.slice(-6), errors: [] });
      },
    });
    expect([seed, last.slice(-6), await out()]).toEqual([seed, last.slice(-6), true]);
    const { kits, supplies } = await openCupboard();
    const known = new Set(kits.map(({ id }) => id));
    expect([new Set(supplies.map(({ id }) => id)).size, known.size]).toEqual([supplies.length, kits.length]);
    for (const supply of supplies)
      expect({
        did: last,
        is: [supply.name, known.has(supply.kit), supply.kind in KINDS, Boolean(supply.name.trim())],
      }).toEqual({
        did: last,
        is: [supply.name, true, true, true],
      });
    // What ships stays, whatever became of what is one's own.
    const house = before.kits.filter((kit) => kit.house).map(({ id }) => id);
    expect(kits.filter((kit) => kit.house).map(({ id }) => id)).toEqual(house);
    expect(supplies.filter(({ kit }) => house.includes(kit)).length).toBe(
      before.supplies.filter(({ kit }) => house.includes(kit)).length,
    );
    // Files that nothing holds any more are none that anything shows.
    const files = new Set((await database.assets.toCollection().primaryKeys()) as string[]);
    for (const { asset, at } of supplies) if (asset && !at) expect(files.has(asset.sha)).toBe(true);
    room.unmount();
    // Opened again it is there, and can be searched.
    const again = cupboard();
    fireEvent.change(await screen.findByRole('searchbox'), { target: { value: 'kite' } });
    await waitFor(() => expect(screen.getAllByRole('option').length).toBeGreaterThan(3));
    again.unmount();
    window.removeEventListener('error', heard);
  },
);
