/** The cupboard as a room of its own: what is ready-made opens on the table, and what cannot be opened says why. */
import { beforeEach, expect, jest, test } from '@jest/globals';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import type { Project } from '@/core/project/model';
import { CupboardRoom } from '@/features/cupboard/CupboardRoom';
import { openedAnew } from '@/features/shared/once';
import { database } from '@/storage/database';
import { around } from '../../../scripts/testing/room';
import { emptyStore, fullStore } from '../../../scripts/testing/store';

const push = jest.fn<(to: string) => void>();
beforeEach(async () => {
  push.mockClear();
  openedAnew();
  await emptyStore();
});
const opened = async () => {
  const shown = render(around(<CupboardRoom />, push));
  const search = await screen.findByRole('searchbox', { name: 'Search the cupboard' });
  fireEvent.change(search, { target: { value: 'high wind' } });
  const page = await screen.findByRole('option', { name: 'High wind, ready-made page' });
  return { ...shown, open: () => fireEvent.keyDown(page, { key: 'Enter' }) };
};

test('a ready-made page opens as a project of its own, on the table', async () => {
  const { open } = await opened();
  expect(screen.getByRole('link', { name: 'All projects' }).getAttribute('href')).toBe('/');
  open();
  await waitFor(() => expect(push).toHaveBeenCalled());
  const [, id] = /^\/table\?project=([\w-]+)$/.exec(push.mock.lastCall![0])!;
  expect(await database.projects.get(id!)).toMatchObject({ title: 'High wind' });
  // What is only looked at in this room is laid nowhere.
  expect(screen.queryByRole('button', { name: /^Lay/ })).toBeNull();
});

test('opened at once on a first visit, it is as whole as later: what it is made of is still being put in', async () => {
  const { open } = await opened();
  await database.supplies.clear();
  await database.settings.clear();
  openedAnew();
  open();
  await waitFor(() => expect(push).toHaveBeenCalled());
  const [row] = await database.snapshots.toArray();
  expect(Object.keys((row as unknown as { project: Project }).project.assets).length).toBeGreaterThan(5);
});

test('pressed twice it opens once; once it is there, another press opens another', async () => {
  const { open } = await opened();
  for (let i = 0; i < 3; i++) open();
  await waitFor(() => expect(push).toHaveBeenCalled());
  await new Promise((later) => setTimeout(later, 100));
  expect([push.mock.calls.length, await database.projects.count()]).toEqual([1, 1]);
  open();
  await waitFor(() => expect(push).toHaveBeenCalledTimes(2));
  expect(new Set(push.mock.calls.map(([to]) => to)).size).toBe(2);
});

test('without room in the store, or without a network, it says so and stays where it is', async () => {
  const makeRoom = fullStore();
  const { open, unmount } = await opened();
  open();
  await screen.findByText(/no room left in this browser/);
  makeRoom();
  unmount();
  openedAnew();
  const serve = globalThis.fetch;
  const cut = await opened();
  globalThis.fetch = (async () => Promise.reject(new TypeError('Failed to fetch'))) as typeof fetch;
  await database.assets.clear();
  cut.open();
  await screen.findByText(/there is no network just now/);
  globalThis.fetch = serve;
  expect([push.mock.calls, await database.projects.count()]).toEqual([[], 0]);
});
