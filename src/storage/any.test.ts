/**
 * Whatever is laid, undone, copied, deleted, brought back and taken out of the cupboard, in whatever order and with other rooms
 * sweeping meanwhile: no picture that anything can still show is thrown away, and none that nothing can show stays for ever.
 */
import fc from 'fast-check';
import { goTo, perform, type History } from '@/core/project/history';
import { layPieces, removePieces } from '@/core/project/edits/pile';
import { gather } from '@/core/project/edits/gather';
import { together } from '@/core/project/edits/edit';
import { assetsIn } from '@/core/piece/assets';
import type { Asset } from '@/core/picture/asset';
import { newKit, type Supply } from '@/core/supplies/model';
import { absentOf, storeAsset } from '@/storage/assets';
import { database } from '@/storage/database';
import {
  deleteProject,
  emptyDeleted,
  listDeleted,
  purge,
  throwOutUnused,
  undeleteProject,
} from '@/storage/deleted';
import { duplicateProject, keep, openProject } from '@/storage/projects';
import { listProjects } from '@/storage/shelf';
import { addProject } from '@/storage/shelved';
import { addKit, openCupboard, takeOut } from '@/storage/supplies';
import { Chance } from '../../scripts/testing/chance';
import { assetOf, photoOf, project, quarters } from '../../scripts/testing/samples';
import { emptyStore } from '../../scripts/testing/store';

const DAY = 24 * 3600 * 1000;
const PICTURES: readonly Asset[] = Array.from({ length: 6 }, (_, i) =>
  assetOf(quarters(20 + i, 10), 20 + i, 10),
);

const opened = async (id: string): Promise<History> => {
  const answer = await openProject(id);
  if (!answer.ok) throw new Error(answer.message);
  return answer.value;
};

/** Pictures a project shows, or would show after some undoing or redoing. */
function shownBy(history: History): string[] {
  const states = Array.from({ length: history.steps.length + 1 }, (_, done) => goTo(history, done).project);
  return [
    ...new Set(
      states.flatMap(({ surfaces, assets }) => [
        ...surfaces.flatMap(({ pile }) => pile.flatMap(assetsIn)),
        ...Object.keys(assets),
      ]),
    ),
  ];
}

/** All that can still be looked at: projects, deleted ones that can be brought back, supplies. */
async function needed(): Promise<Set<string>> {
  const shown: string[] = [];
  for (const { id } of await listProjects()) shown.push(...shownBy(await opened(id)));
  for (const { id, deleted } of await listDeleted()) {
    // As it would be if it were brought back.
    await undeleteProject(id);
    shown.push(...shownBy(await opened(id)));
    await deleteProject(id, deleted!);
  }
  const { supplies } = await openCupboard();
  return new Set([...shown, ...supplies.flatMap(({ asset }) => asset?.sha ?? [])]);
}

const supplyOf = (id: string, asset: Asset): Supply => ({
  ...{
    id,
    kind: 'embellishment',
    name: id,
    tags: [],
    kit: 'own',
    order: 0,
    added: 0,
    favourite: false,
    colours: [],
  },
  asset,
});

/** As if all of it had come in long ago: what is new is kept for whoever is about to lay it. */
const aged = (): Promise<unknown> => database.assets.toCollection().modify({ stored: 0 });

class Household {
  now = 0;
  count = 0;
  constructor(readonly chance: Chance) {}

  /** Comes in, as a file does before it lies anywhere. */
  async bring(): Promise<Asset> {
    const asset = this.chance.of(PICTURES);
    await storeAsset({ asset, blob: new Blob([asset.sha]), proxies: { thumb: new Blob(['t']) } });
    return asset;
  }
  async one(of: readonly { id: string }[]): Promise<string | undefined> {
    return of.length ? this.chance.of(of).id : undefined;
  }
  async change(change: (history: History) => History): Promise<void> {
    const id = await this.one(await listProjects());
    if (!id) return;
    const before = await opened(id);
    const after = change(before);
    if (after !== before) await keep(before, after, ++this.now);
  }

  readonly deeds: Record<string, () => Promise<unknown>> = {
    begin: () => addProject({ ...project(), id: `p${++this.count}` }, ++this.now),
    lay: async () => {
      const asset = await this.bring();
      await this.change((history) => {
        const [surface] = history.project.surfaces;
        const piece = photoOf(`x${++this.count}`, asset, { x: 0, y: 0, width: 9, height: 6 });
        return perform(history, layPieces(surface!.id, [piece], [asset]), (this.now += 5000));
      });
    },
    gather: async () => {
      const asset = await this.bring();
      await this.change((history) =>
        perform(history, together('gather', [gather('photos', [asset])]), (this.now += 5000)),
      );
    },
    remove: () =>
      this.change((history) => {
        const [surface] = history.project.surfaces;
        const piece = surface!.pile[0];
        return piece ? perform(history, removePieces(surface!.id, [piece]), (this.now += 5000)) : history;
      }),
    undo: () => this.change((history) => goTo(history, history.done - 1 - this.chance.below(3))),
    redo: () => this.change((history) => goTo(history, history.done + 1)),
    copy: async () => {
      const id = await this.one(await listProjects());
      if (id) await duplicateProject(id, `p${++this.count}`, ++this.now);
    },
    delete: async () => {
      const id = await this.one(await listProjects());
      if (id) await deleteProject(id, this.now);
    },
    bringBack: async () => {
      const id = await this.one(await listDeleted());
      if (id) await undeleteProject(id);
    },
    fill: async () => addKit(newKit('own', 'Own', 0), [supplyOf(`s${++this.count}`, await this.bring())]),
    takeOut: async () => {
      const id = await this.one((await openCupboard()).supplies);
      if (id) await takeOut([id]);
    },
    sweep: () => throwOutUnused(),
    aWeekLater: () => purge((this.now += 8 * DAY)),
    empty: () => emptyDeleted(),
    age: aged,
  };
}

test('no picture is lost that can still be shown, and none stays that cannot', async () => {
  await fc.assert(
    fc.asyncProperty(fc.integer({ min: 0, max: 2 ** 31 }), async (seed) => {
      await emptyStore();
      const house = new Household(new Chance(seed));
      const names = Object.keys(house.deeds);
      const done: string[] = [];
      for (let i = 0; i < 30; i++) {
        const name = house.chance.of(names);
        done.push(name);
        await house.deeds[name]!();
        expect({ done, absent: await absentOf([...(await needed())]) }).toEqual({ done, absent: [] });
      }
      // In the end: what nothing shows goes with the next sweep once it is old, with its small copies.
      await aged();
      await throwOutUnused();
      const left = await database.assets.toCollection().primaryKeys();
      expect({ done, left: left.sort() }).toEqual({ done, left: [...(await needed())].sort() });
      expect((await database.proxies.toArray()).map(({ sha }) => sha).sort()).toEqual(left.sort());
    }),
    { numRuns: 12 },
  );
}, 120_000);
