import { beforeEach, expect, jest, test } from '@jest/globals';
import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Project } from '@/core/project/model';
import { FILE_VERSION } from '@/core/project/version';
import { openPageSupply } from '@/features/shared/supplyFiles';
import { TableRoom } from '@/features/table/TableRoom';
import { database } from '@/storage/database';
import { deleteProject, emptyDeleted } from '@/storage/deleted';
import { openProject } from '@/storage/projects';
import { unpackProject } from '@/storage/project-file';
import { addProject } from '@/storage/shelved';
import { axe } from '../../../scripts/testing/axe';
import { around } from '../../../scripts/testing/room';
import { inkPiece, laid } from '../../../scripts/testing/samples';
import { emptyStore, fullStore, stocked } from '../../../scripts/testing/store';
import { photoFile, reopened, tab } from '../../../scripts/testing/tab';

const dialogPress = async (name: string) =>
  fireEvent.click(within(await screen.findByRole('dialog')).getByRole('button', { name }));
const told = (words: string | RegExp) =>
  waitFor(() =>
    expect(screen.queryAllByRole('alert').map((one) => one.textContent)).toContainEqual(
      expect.stringMatching(words),
    ),
  );

const photo = (name: string, hue: number) => photoFile(name, { r: hue, g: 90, b: 150 });

beforeEach(async () => {
  await emptyStore();
  await addProject(laid([inkPiece('one'), inkPiece('two', 100)]), 0);
});

test('what is done is kept by itself, and comes back with everything that can be undone', async () => {
  const first = await tab();
  first.take('two');
  expect(await axe(document.body)).toEqual([]);
  await first.key('Delete');
  expect(first.slabs()).toEqual(['one']);
  first.rename('Lantern night');
  await first.kept();
  first.unmount();
  const again = await reopened();
  expect([again.title().value, again.slabs()]).toEqual(['Lantern night', ['one']]);
  for (let step = 0; step < 2; step++) await again.press(/^Undo /);
  expect([again.title().value, again.slabs()]).toEqual(['A sample', ['two', 'one']]);
});

test('of three tabs one writes; when it is left the next goes on from its last step', async () => {
  const tabs = [await tab(), await tab(), await tab()];
  const writers = () => tabs.filter(({ mine }) => mine());
  await waitFor(() => expect(writers()).toEqual([tabs[0]]));
  for (const name of ['Two', 'Three']) {
    const [holder] = writers();
    holder!.rename(name);
    // Left at once: the last step is on its way to the store while the lock is let go.
    holder!.unmount();
    tabs.splice(tabs.indexOf(holder!), 1);
    await waitFor(() => expect(writers()).toHaveLength(1));
    await waitFor(() => expect(writers()[0]!.title().value).toBe(name));
  }
});

test('a full store: an edit, a picture, a kept piece and a file are each told of, and nothing is damaged', async () => {
  const { here, rename, kept, take, press, bring, unmount } = await tab();
  rename('Room enough');
  await kept();
  const makeRoom = fullStore();
  rename('No room');
  await here.findByText(/^This browser has no room left: your last steps are not kept\./);
  bring([await photo('kite.jpg', 200)]);
  await told(/There is no room left in this browser/);
  take('two');
  await press('Keep in the cupboard');
  await dialogPress('Keep it');
  await told(/no room left in this browser/);
  await dialogPress('Leave it');
  const made = jest.spyOn(URL, 'createObjectURL');
  fireEvent.click(here.getAllByRole('button', { name: 'Save as a file' })[0]!);
  // A file is made all the same: it is what one is asked to do.
  await waitFor(() => expect(made).toHaveBeenCalled());
  const file = await unpackProject(made.mock.lastCall![0] as Blob);
  expect(file.ok && file.value.project.title).toBe('No room');
  makeRoom();
  await waitFor(() => expect(here.queryByText(/your last steps are not kept/)).toBeNull());
  await kept();
  unmount();
  const again = await reopened();
  expect([again.title().value, again.slabs()]).toEqual(['No room', ['two', 'one']]);
});

test('what a newer program wrote is refused in words and stays as it is; a piece that cannot be read is set aside', async () => {
  await database.projects.update('sample', { version: FILE_VERSION + 1 } as never);
  const newer = render(around(<TableRoom id="sample" />));
  await newer.findByText(new RegExp(`made by a newer Bellagraph \\(file version ${FILE_VERSION + 1}`));
  await expect(deleteProject('sample', 1)).rejects.toThrow();
  newer.unmount();
  await database.projects.update('sample', { version: FILE_VERSION } as never);
  await database.snapshots.toCollection().modify((row) => {
    const { surfaces } = (row as { project: Project }).project;
    (surfaces[0]!.pile[1]!.material as { kind: string }).kind = 'glitter';
  });
  const mended = await tab();
  await told(
    /Not all of this project could be read.*“two” on “Page 1”: what it is made of is a material this version does not know\. It was set aside\./s,
  );
  expect(mended.slabs()).toEqual(['one']);
  mended.unmount();
  const again = await reopened();
  expect(again.slabs()).toEqual(['one']);
  expect(screen.queryByText(/Not all of this project/)).toBeNull();
});

test('pictures that arrive while one leaves the table are in the workbox when one comes back', async () => {
  const { bring, leave, unmount } = await tab();
  // Left while the third is being stored: no slow machine is late for it.
  let stored = 0;
  const third = () => void (++stored === 3 && setTimeout(leave));
  database.assets.hook('creating').subscribe(third);
  bring(await Promise.all(Array.from({ length: 40 }, (_, i) => photo(`evening ${i}.jpg`, 5 * i))));
  await told(/Stopped\. \d+ kept; not brought in: \d+/);
  database.assets.hook('creating').unsubscribe(third);
  const [, arrived] = /Stopped\. (\d+) kept/.exec(screen.getByRole('alert').textContent!)!;
  unmount();
  const again = await reopened();
  await waitFor(() => expect(again.photos()).toHaveLength(Number(arrived)));
});

test('pictures of another program are laid on the page they were pasted to, though another is shown by the time they are in', async () => {
  const { here, press, kept, unmount } = await reopened();
  const files = [await photo('scan.jpg', 120), await photo('kite.jpg', 200)];
  const paste = Object.assign(new Event('paste', { bubbles: true, cancelable: true }), {
    clipboardData: { getData: () => '', files },
  });
  document.body.dispatchEvent(paste);
  await press('Add a page');
  await here.findByRole('button', { name: 'Page 2', current: 'page' });
  await waitFor(async () => {
    const opened = await openProject('sample');
    expect(opened.ok && opened.value.project.surfaces.map(({ pile }) => pile.length)).toEqual([4, 0]);
  });
  await kept();
  unmount();
});

test('deleted elsewhere while it lies open here: the table says so, goes on keeping, and puts it back', async () => {
  const here = await reopened();
  await deleteProject('sample', Date.now());
  await here.here.findByText(/^This project was deleted elsewhere\./);
  here.rename('Lantern night, all of it');
  await waitFor(async () =>
    expect((await database.projects.get('sample'))!.title).toBe('Lantern night, all of it'),
  );
  here.unmount();
  const left = render(around(<TableRoom id="sample" />));
  await left.findByText('“Lantern night, all of it” was deleted. It can be put back.');
  fireEvent.click(await left.findByRole('button', { name: 'Put it back' }));
  await left.findByTestId('stage');
  left.unmount();

  const again = await reopened();
  expect(again.title().value).toBe('Lantern night, all of it');
  await deleteProject('sample', Date.now());
  await emptyDeleted();
  await again.here.findByText(/It lies on this table alone/);
  again.rename('Still here');
  await again.press('Put it back');
  await waitFor(() => expect(again.here.queryByText(/It lies on this table alone/)).toBeNull());
  await again.kept();
  again.unmount();
  expect((await reopened()).title().value).toBe('Still here');
});

test('a ready-made page is a start: it opens as a project, its places take photos, a piece is exchanged and kept', async () => {
  const supply = async (name: string) => {
    const found = (await database.supplies.filter((one) => one.name === name).first())!;
    return found;
  };
  await stocked('windward', 'kitchen-table');
  const begun = await openPageSupply(await supply('High wind'), 'begun', 0);
  expect(begun.ok).toBe(true);
  const { slabs, take, bring, press, photos, title, here } = await reopened('begun');
  expect(title().value).toBe('High wind');
  const places = () => slabs().filter((slab) => slab.includes('Place for a photo')).length;
  expect(places()).toBe(3);
  bring([await photo('kite.jpg', 200)]);
  await waitFor(() => expect(photos()).toHaveLength(1));
  take('Place for a photo');
  fireEvent.keyDown(photos()[0]!, { key: 'Enter' });
  await here.findByRole('button', { name: 'Undo exchange photo' });
  await waitFor(() => expect(places()).toBe(2));

  take('Coral button');
  await press('Cupboard');
  const look = async (words: string) => {
    const search = await here.findByRole('searchbox', { name: 'Search the cupboard' });
    fireEvent.change(search, { target: { value: words } });
  };
  await look('jam button');
  fireEvent.click(await here.findByRole('option', { name: /^Jam button/ }));
  await press('In place of the selected piece');
  await waitFor(() => expect(slabs()).toContain('Jam button'));
  expect(slabs()).not.toContain('Coral button');

  await press('Keep in the cupboard');
  const dialog = within(await screen.findByRole('dialog'));
  fireEvent.change(dialog.getByLabelText('Its name'), { target: { value: 'My jam button' } });
  fireEvent.click(dialog.getByRole('button', { name: 'Keep it' }));
  await told('My jam button lies in My kit now.');
  await press('Cupboard');
  await press('My kit');
  // It comes back as the piece it is, not as a picture of it.
  fireEvent.keyDown(await here.findByRole('option', { name: /^My jam button/ }), { key: 'Enter' });
  await here.findByRole('button', { name: 'Undo lay embellishment' });
  await waitFor(() => expect(slabs().filter((slab) => slab === 'Jam button')).toHaveLength(2));
});

test('photos as they come in are told apart at the desk; what is put away there stays so', async () => {
  const shot = (name: string) =>
    new File([new Uint8Array(readFileSync(join('public', 'demo', 'photos', `${name}.jpg`)))], `${name}.jpg`);
  const { bring, photos, press, kept, unmount } = await tab();
  const seven = ['first-launch', 'first-launch-again', 'all-up', 'all-up-shaken', 'high'].map(
    (name) => `fly-in-${name}`,
  );
  bring([...seven, 'tide-pools', 'workshop-table'].map(shot));
  await waitFor(() => expect(photos()).toHaveLength(7));
  await press('Desk');
  const desk = await screen.findByRole('dialog', { name: 'Photo desk' });
  const headings = () =>
    within(desk)
      .getAllByRole('heading', { level: 3 })
      .map((one) => one.textContent);
  const options = () => within(desk).getAllByRole('checkbox');
  await waitFor(() => expect(options()).toHaveLength(7));
  expect(headings()).toEqual(['Saturday 14 March 2026', 'Saturday 16 May 2026', 'Saturday 11 July 2026']);
  within(desk).getByText('11:05 to 12:24, 5 photos');
  within(desk).getByRole('button', { name: 'Blurred 1' });
  fireEvent.click(within(desk).getByRole('button', { name: 'Alike 4' }));
  expect(headings()).toEqual(['Alike 1', 'Alike 2']);
  fireEvent.click(within(desk).getByRole('button', { name: 'Choose all of Alike 2' }));
  within(desk).getByText('The sharpest is fly-in-all-up.');
  within(desk).getByText('Taken within 3 seconds.');
  fireEvent.click(options().find((one) => one.textContent!.includes('blurred'))!);
  fireEvent.click(within(desk).getByRole('button', { name: 'Put away' }));
  await within(desk).findByRole('button', { name: 'Alike 2' });
  await kept();
  unmount();
  const again = await reopened();
  await waitFor(() => expect(again.photos()).toHaveLength(6));
});
