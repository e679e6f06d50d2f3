/** At the table whatever is offered is pressed and typed, in any order: it is kept as it is seen, comes back whole, and nobody is trapped. */
import { beforeEach, expect, jest, test } from '@jest/globals';
import { waitFor } from '@testing-library/react';
import { checkProject } from '@/core/project/file';
import { database } from '@/storage/database';
import { openProject } from '@/storage/projects';
import { addProject } from '@/storage/shelved';
import { first } from '../../../scripts/testing/first';
import { emptyStore } from '../../../scripts/testing/store';
import { reopened, tab } from '../../../scripts/testing/tab';
import { out, wander } from '../../../scripts/testing/wander';

const STEPS = Number(process.env.STEPS ?? 30);
const errors: unknown[] = [];
const heard = (event: Event) => errors.push((event as ErrorEvent).error ?? (event as ErrorEvent).message);

beforeEach(async () => {
  await emptyStore();
  errors.length = 0;
  jest.spyOn(URL, 'createObjectURL').mockImplementation(() => 'blob:1');
  await addProject(first, 0);
});

test.each([1, 2].map((seed) => seed + 2 * (Number(process.env.SEED ?? 1) - 1)))(
  'by chance, %i',
  async (seed) => {
    window.addEventListener('error', heard);
    const room = await tab();
    let last: readonly string[] = [];
    await wander({
      seed,
      steps: STEPS,
      // What asks the machine for a file, or leads away.
      spared: /^(All projects|Photos|Bring in|Project file)/,
      look(did) {
        last = did;
        expect({ did: did.slice(-8), errors }).toEqual({ did: did.slice(-8), errors: [] });
      },
    });
    expect([seed, last.slice(-8), await out()]).toEqual([seed, last.slice(-8), true]);
    await room.kept();
    const title = room.title().value;
    room.unmount();
    const kept = await openProject(first.id);
    expect({ did: last, ok: kept.ok }).toEqual({ did: last, ok: true });
    if (!kept.ok) return;
    // What is kept is what a file takes, as it is.
    const door = checkProject(structuredClone(kept.value.project));
    expect({ did: last, door: door.ok && door.value, mended: door.mended }).toEqual({
      ...{ did: last, door: kept.value.project, mended: undefined },
    });
    const again = await reopened();
    await waitFor(() => expect(again.title().value).toBe(title));
    again.unmount();
    expect(await database.projects.count()).toBeGreaterThan(0);
    window.removeEventListener('error', heard);
  },
);
