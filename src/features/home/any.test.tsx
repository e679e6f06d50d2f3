/** At Home whatever is offered is pressed and typed, in any order: the shelf shows what is kept, all of it opens, nobody is trapped. */
import { beforeEach, expect, jest, test } from '@jest/globals';
import { render, screen, waitFor, within } from '@testing-library/react';
import { checkProject } from '@/core/project/file';
import { newLayout } from '@/core/project/model';
import { Home } from '@/features/home/Home';
import { database } from '@/storage/database';
import { listDeleted } from '@/storage/deleted';
import { openProject } from '@/storage/projects';
import { listProjects } from '@/storage/shelf';
import { addProject } from '@/storage/shelved';
import { around } from '../../../scripts/testing/room';
import { atRest, emptyStore, stocked } from '../../../scripts/testing/store';
import { out, wander } from '../../../scripts/testing/wander';

const STEPS = Number(process.env.STEPS ?? 40);
const errors: unknown[] = [];
const heard = (event: Event) => errors.push((event as ErrorEvent).error ?? (event as ErrorEvent).message);

beforeEach(async () => {
  await emptyStore();
  await stocked('quiet-hours');
  errors.length = 0;
  jest.spyOn(URL, 'createObjectURL').mockImplementation(() => 'blob:1');
});

const shown = () =>
  within(document.querySelector('main')!)
    .queryAllByRole('button', { name: /^Open / })
    .map((sheet) => sheet.getAttribute('aria-label')!.slice(5))
    .sort();

test.each([1, 2, 3].map((seed) => seed + 3 * (Number(process.env.SEED ?? 1) - 1)))(
  'by chance, %i',
  async (seed) => {
    for (const [i, title] of ['Kelp', 'Tide pools', 'Gulls'].entries())
      await addProject(
        newLayout({ id: `p${i}`, title, unit: 'in', width: 864, height: 864 - 72 * i }),
        Date.now() - i * 86_400_000,
      );
    const there: Promise<unknown>[] = [];
    const home = () =>
      render(
        around(<Home demo={false} />, (to) => {
          const [, id] = /^\/table\?project=([\w-]+)$/.exec(to) ?? [];
          if (id) there.push(database.projects.get(id));
        }),
      );
    const room = home();
    window.addEventListener('error', heard);
    await screen.findByRole('button', { name: 'Open Kelp' });
    let last: readonly string[] = [];
    await wander({
      seed,
      steps: STEPS,
      // What leaves the page for a file of the machine's own.
      spared: /^Project file$|^Open a file/,
      look(did) {
        last = did;
        expect({ did: did.slice(-6), errors }).toEqual({ did: did.slice(-6), errors: [] });
      },
    });
    expect([seed, last.slice(-6), await out()]).toEqual([seed, last.slice(-6), true]);
    // Whoever comes home again finds all that is kept.
    room.unmount();
    await atRest();
    const all = await listProjects();
    const again = home();
    await waitFor(() =>
      expect({ did: last, shown: shown() }).toEqual({
        did: last,
        shown: all.map(({ title }) => title).sort(),
      }),
    );
    for (const { id, title } of all) {
      const opened = await openProject(id);
      expect([title, opened.ok]).toEqual([title, true]);
      if (opened.ok) expect(checkProject(structuredClone(opened.value.project)).ok).toBe(true);
    }
    const ids = [...all, ...(await listDeleted())].map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    // Whatever was gone to was there by then.
    expect((await Promise.all(there)).every(Boolean)).toBe(true);
    window.removeEventListener('error', heard);
    again.unmount();
  },
);
