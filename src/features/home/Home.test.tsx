import { beforeEach, expect, jest, test } from '@jest/globals';
import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { newLayout } from '@/core/project/model';
import { Home } from '@/features/home/Home';
import { noteBackup } from '@/storage/backup';
import { database } from '@/storage/database';
import { packProject } from '@/storage/project-file';
import { addProject } from '@/storage/shelved';
import { axe } from '../../../scripts/testing/axe';
import { around } from '../../../scripts/testing/room';
import { emptyStore, fullStore, stocked } from '../../../scripts/testing/store';

const push = jest.fn();
const [DAY, NOW] = [86_400_000, Date.now()];

/** A project on the shelf, last worked on so many days ago. */
const shelved = (title: string, ago = 0) =>
  addProject(
    newLayout({ id: title.toLowerCase().replaceAll(' ', '-'), title, unit: 'in', width: 864, height: 864 }),
    NOW - ago * DAY,
  );

const packed = async (title: string, name = `${title}.bellagraph`): Promise<File> => {
  const made = await packProject(
    newLayout({ id: 'x', title, unit: 'in', width: 864, height: 864 }),
    async () => undefined,
  );
  if (!made.ok) throw new Error(made.message);
  return new File([made.value.blob], name);
};

const home = (demo = false) => render(around(<Home demo={demo} />, push));

/** What lies on the table, in its order. */
const sheets = () =>
  within(screen.getByRole('main'))
    .queryAllByRole('button', { name: /^Open / })
    .map((sheet) => sheet.getAttribute('aria-label')!.slice(5));
const lie = (...titles: string[]) => waitFor(() => expect(sheets()).toEqual(titles));
const foot = () => screen.getByRole('complementary').textContent;
const press = async (name: string | RegExp) => fireEvent.click(await screen.findByRole('button', { name }));
const does = async (title: string, what: string) => {
  await press(`More to do with ${title}`);
  fireEvent.click(await screen.findByRole('menuitem', { name: what }));
};

beforeEach(async () => {
  await emptyStore();
  push.mockClear();
});

test('projects are copied, deleted and brought back; the newest lies first, and opens', async () => {
  await shelved('Kelp', 2);
  await shelved('Tide pools', 1);
  home();
  await lie('Tide pools', 'Kelp');
  expect(await axe(document.body)).toEqual([]);
  await does('Kelp', 'Duplicate');
  await lie('Kelp (copy)', 'Tide pools', 'Kelp');
  await does('Tide pools', 'Delete');
  await lie('Kelp (copy)', 'Kelp');
  await press('Undo');
  await lie('Kelp (copy)', 'Tide pools', 'Kelp');
  await press('Open Kelp');
  expect(push).toHaveBeenLastCalledWith('/table?project=kelp');
});

test('what was deleted can be put back for a week; thrown away for good only when one is sure of it', async () => {
  await shelved('Kelp');
  await shelved('Gulls');
  home();
  for (const title of ['Kelp', 'Gulls']) await does(title, 'Delete');
  await lie();
  const lately = within(await screen.findByRole('region', { name: 'Deleted lately' }));
  const until = new Date(NOW + 7 * DAY).toLocaleDateString('en-GB', { day: 'numeric', month: 'long' });
  expect(lately.getAllByRole('listitem').map((row) => row.textContent!.includes(until))).toEqual([
    true,
    true,
  ]);
  await press('Put Gulls back');
  await lie('Gulls');
  await press('Throw away now …');
  await press('Keep them');
  lately.getByText('Kelp');
  await press('Throw away now …');
  await press('Throw away for good');
  await waitFor(() => expect(screen.queryByRole('region', { name: 'Deleted lately' })).toBeNull());
  expect(await database.projects.toCollection().primaryKeys()).toEqual(['gulls']);
});

test('a page is begun by its size, and is on the shelf before the table is opened', async () => {
  home();
  await screen.findByText('The table is clear');
  await press(/^New layout A4,/);
  await waitFor(() => expect(push).toHaveBeenCalled());
  const [row] = await database.projects.toArray();
  expect(push).toHaveBeenCalledWith(`/table?project=${row!.id}`);
  expect([row!.width, row!.height, row!.unit]).toEqual([
    expect.closeTo(595.3, 1),
    expect.closeTo(841.9, 1),
    'mm',
  ]);
});

test('what is pressed twice is begun once; the next press begins another', async () => {
  home();
  await screen.findByText('The table is clear');
  for (let i = 0; i < 2; i++) await press(/^New layout A4,/);
  await waitFor(() => expect(push).toHaveBeenCalled());
  await new Promise((later) => setTimeout(later, 100));
  expect([push.mock.calls.length, await database.projects.count()]).toEqual([1, 1]);
  await press(/^New layout A4,/);
  await waitFor(() => expect(push).toHaveBeenCalledTimes(2));
  expect(await database.projects.count()).toBe(2);
});

test('files are opened one by one: what is none of ours is named with its reason, and holds up no other', async () => {
  home();
  const whole = await packed('Short');
  const files = [
    await packed('Kelp'),
    new File(['no zip'], 'holiday.bellagraph'),
    new File([whole.slice(0, whole.size - 40)], 'short.bellagraph'),
    await packed('Gulls'),
  ];
  fireEvent.change(screen.getByLabelText('Project file'), { target: { files } });
  await lie('Gulls', 'Kelp');
  const told = (await screen.findByRole('alert')).textContent!.split('\n');
  expect(told[0]).toBe('Opened “Kelp”.');
  expect(told[1]).toMatch(/^“?holiday.bellagraph”? was not opened\. /);
  expect(told[2]).toMatch(/^“?short.bellagraph”? was not opened\. /);
  expect(told[3]).toBe('Opened “Gulls”.');
});

test('without room no page is begun and no file opened; both are told, and what is here stays', async () => {
  await shelved('Kelp');
  const file = await packed('Gulls');
  home();
  await lie('Kelp');
  const makeRoom = fullStore();
  await press(/^New layout A4,/);
  await screen.findByText('No new page was made: there is no room left in this browser', { exact: false });
  await press('Close');
  fireEvent.change(screen.getByLabelText('Project file'), { target: { files: [file] } });
  await screen.findByText(/Gulls\.bellagraph”? was not opened: there is no room left in this browser/);
  expect(push).not.toHaveBeenCalled();
  makeRoom();
  await lie('Kelp');
});

test('Home says what the browser answered about its store, and which project has much work in no file', async () => {
  const persisted = jest.fn(async () => false);
  const { storage } = navigator;
  Object.assign(navigator, { storage: { persisted, estimate: async () => ({ usage: 3_400_000_000 }) } });
  await shelved('Lantern night');
  /** What the foot of Home says in the end, from what is kept here on. */
  const says = async (...words: string[]) => {
    const { unmount } = home();
    await waitFor(() => expect(foot()!.slice(foot()!.indexOf('3.4 GB'))).toBe(words.join(' ')));
    unmount();
  };
  const bare = 'No project saved as a file yet: a file is your backup.';
  await says('3.4 GB used in this browser. It may clear its store by itself when the disk runs full.', bare);
  persisted.mockResolvedValue(true);
  const stays = '3.4 GB used in this browser. It keeps its store until you clear it.';
  await database.projects.update('lantern-night', { done: 61 });
  await says(stays, bare, '“Lantern night”: 61 steps that lie in no file yet.');
  await noteBackup('lantern-night', 51, Date.UTC(2026, 4, 9, 12));
  await says(stays, 'Last saved as a file 9 May 2026.');
  Object.assign(navigator, { storage });
});

test('from nine on, projects are looked for by words and product, and lie by time', async () => {
  for (let i = 0; i < 8; i++) await shelved(`Páge ${i}`, i);
  await addProject(
    newLayout({ id: 'old', title: 'The old pier', unit: 'in', width: 864, height: 864 }),
    Date.UTC(2024, 6, 5),
  );
  home();
  const section = async (name: string) =>
    within(await screen.findByRole('region', { name })).getAllByRole('button', { name: /^Open / }).length;
  expect([await section('Today'), await section('July 2024')]).toEqual([1, 1]);
  const find = await screen.findByRole('searchbox', { name: 'Find a project' });
  const looks = (words: string) => fireEvent.change(find, { target: { value: words } });
  looks('pier OLD');
  await lie('The old pier');
  looks('page 3');
  await lie('Páge 3');
  screen.getByText('1 of 9 projects');
  fireEvent.click(screen.getByRole('button', { name: 'Cards' }));
  await screen.findByText('No project is called so. Try fewer letters, or another product.');
});

test('the demo’s covers are there at once, and each project is fetched when it is opened; one that fails stops no other', async () => {
  const listed = ['All up', 'Picnic', 'Lighthouse'].map((title) => ({
    id: title,
    title,
    width: 864,
    height: 864,
    unit: 'in',
    product: 'layout',
    file: `${title}.bellagraph`,
    cover: `${title}.jpg`,
    bytes: 9,
  }));
  const serve = globalThis.fetch;
  const asked: string[] = [];
  globalThis.fetch = (async (address: string) => {
    const at = decodeURI(address);
    if (at.endsWith('projects.json')) return Response.json(listed);
    asked.push(at);
    if (at.includes('Picnic')) throw new TypeError('Failed to fetch');
    return new Response(await packed(at.split('/').at(-1)!.replace('.bellagraph', '')));
  }) as typeof fetch;
  const first = home(true);
  await lie('All up', 'Picnic', 'Lighthouse');
  expect([asked, await database.projects.count()]).toEqual([[], 0]);
  await press('Open Picnic');
  expect((await screen.findByRole('alert')).textContent).toContain('“Picnic” couldn’t be fetched');
  await press('Open Lighthouse');
  await waitFor(() => expect(push.mock.lastCall).toEqual(['/table?project=Lighthouse']));
  expect(asked).toEqual(['/demo/Picnic.bellagraph', '/demo/Lighthouse.bellagraph']);
  expect((await database.projects.toArray()).map(({ title }) => title)).toEqual(['Lighthouse']);
  await does('All up', 'Delete');
  await lie('Lighthouse', 'Picnic');
  await press('Undo');
  await lie('Lighthouse', 'All up', 'Picnic');
  await does('All up', 'Delete');
  await lie('Lighthouse', 'Picnic');
  first.unmount();
  // What was opened or removed is not offered again.
  home(true);
  await lie('Lighthouse', 'Picnic');
  globalThis.fetch = serve;
});

test('the practice page is laid out once, and taken up again from then on', async () => {
  const first = home();
  await press('Learn it on a practice page');
  await waitFor(() => expect(push.mock.lastCall).toEqual(['/table?project=practice']));
  first.unmount();
  push.mockClear();
  home();
  await lie('Practice page');
  await press('First steps: a practice page');
  await waitFor(() => expect(push.mock.lastCall).toEqual(['/table?project=practice']));
  expect(await database.projects.count()).toBe(1);
});

test('a ready-made card is begun with: eight of each kit to choose from', async () => {
  await stocked('lantern-night', 'windward');
  home();
  await press('Card');
  await press('Ready-made');
  const cards = within(await screen.findByRole('list', { name: 'Ready-made cards' }));
  expect(await axe(document.body)).toEqual([]);
  await waitFor(() => expect(cards.getAllByRole('button')).toHaveLength(16));
  fireEvent.click(cards.getByRole('button', { name: 'Begin with Happy birthday, of Lantern Night' }));
  await waitFor(() => expect(push).toHaveBeenCalled());
  const [begun] = await database.projects.toArray();
  expect(begun).toMatchObject({ title: 'Happy birthday' });
  expect(push.mock.lastCall).toEqual([`/table?project=${begun!.id}`]);
});

test('what is opened goes on telling of itself, and can be stopped, whatever is done and done with meanwhile', async () => {
  await shelved('Kelp');
  let goOn = () => {};
  const held = new Promise<void>((done) => (goOn = done));
  // What reads files beside the page is not told of any until then.
  const { postMessage } = Worker.prototype;
  jest.spyOn(Worker.prototype, 'postMessage').mockImplementation(function (this: Worker, ...said: unknown[]) {
    void held.then(() => postMessage.apply(this, said as never));
  });
  const slow = await packed('Tide pools');
  home();
  await lie('Kelp');
  fireEvent.change(screen.getByLabelText('Project file'), { target: { files: [slow] } });
  const opening = () => screen.queryByRole('progressbar', { name: /^Opening Tide pools/ });
  await waitFor(() => expect(opening()).toBeTruthy());
  await does('Kelp', 'Duplicate');
  await lie('Kelp (copy)', 'Kelp');
  expect(opening()).toBeTruthy();
  screen.getByRole('button', { name: 'Stop' });
  goOn();
  await lie('Kelp (copy)', 'Tide pools', 'Kelp');
  await waitFor(() => expect(opening()).toBeNull());
});
