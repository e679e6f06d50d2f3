/** At the room with a sheet on the table: pages of other projects and pieces of the workbox come onto it as cards. */
import { plansOf } from '@/core/packing/sheets';
import { checkProject } from '@/core/project/file';
import { startHistory } from '@/core/project/history';
import { newProject, type Project } from '@/core/project/model';
import { beginProduct } from '@/core/product';
import { sheetIn } from '@/core/product/sheet';
import { takableOf, takeFrom, takeWaiting } from '@/features/table/acts/things';
import { createSession, type SessionStore } from '@/features/table/session';
import { nodeTypesetter } from '../../../../scripts/node/platform';
import { assetOf, inkPiece, photoOf } from '../../../../scripts/testing/samples';

const typesetter = await nodeTypesetter();
const picture = assetOf(Buffer.from('a picture'), 300, 600);

function sheet(change: Partial<Project> = {}): SessionStore {
  const of = newProject(
    { id: 's', title: 'Cards', unit: 'in' },
    beginProduct('sheet', { width: 288, height: 216 }, 'letter'),
  );
  return createSession(startHistory({ ...of, ...change }), typesetter, false);
}
/** A card folded at its left, with a photo on its front and a bar on its back that is printed upside down of nothing. */
function card(fold: 'left' | 'top'): Project {
  const of = newProject(
    { id: 'c', title: 'Card', unit: 'in' },
    beginProduct('card', { width: 252, height: 180 }, fold),
  );
  const front = fold === 'top' ? { x: 0, y: 180 } : { x: 252, y: 0 };
  const back = inkPiece('back', 20, 30, 100, 40);
  const [outside, ...rest] = of.surfaces;
  const pile = [photoOf('photo', picture, { ...front, width: 252, height: 180 }), back];
  return { ...of, assets: { [picture.sha]: picture }, surfaces: [{ ...outside!, pile }, ...rest] };
}
const now = (store: SessionStore) => store.getState().history.project;

test.each(['left', 'top'] as const)(
  'panels of a card folded at the %s come as cards of their size, with what lies on them, to be read',
  (fold) => {
    const store = sheet();
    const of = card(fold);
    const all = takableOf(of);
    expect(
      all
        .map(({ panel }) => panel.name)
        .slice(0, 2)
        .sort(),
    ).toEqual(['Back', 'Front']);
    const chosen = all.filter(({ panel }) => ['Front', 'Back'].includes(panel.name));
    expect(takeFrom(store, of, chosen)).toEqual({ ok: true, value: 2 });
    const { surfaces, assets, product } = now(store);
    expect(Object.keys(assets)).toEqual([picture.sha]);
    expect(surfaces.map(({ width, height, pile }) => [width, height, pile.length])).toEqual([
      [252, 180, 1],
      [252, 180, 1],
    ]);
    const laid = surfaces.map(({ pile }) => pile[0]!);
    const photo = laid.find(({ role }) => role === 'photo')!;
    expect([photo.placement.x, photo.placement.y]).toEqual([126, 90]);
    const bar = laid.find(({ role }) => role !== 'photo')!;
    // Folded at the top, the back stands on its head until it is turned to be read.
    const turned = fold === 'top';
    expect([bar.placement.x, bar.placement.y, Math.abs(bar.placement.turn)]).toEqual(
      turned ? [252 - 70, 180 - 50, 180] : [70, 50, 0],
    );
    expect(plansOf(sheetIn(product)!).plans[0]!.laid).toHaveLength(2);
    expect(checkProject(JSON.parse(JSON.stringify(now(store)))).ok).toBe(true);
  },
);

test('pages larger or smaller than a card may be are told; pieces that wait in the workbox come at their own size, each once', () => {
  const poster = newProject(
    { id: 'p', title: 'Poster', unit: 'in' },
    beginProduct('layout', { width: 3000, height: 3000 }),
  );
  const spine = { ...poster.surfaces[0]!, width: 20, height: 500 };
  const slip = { ...spine, width: 72 };
  expect(takableOf({ ...poster, surfaces: [...poster.surfaces, spine, slip] }).map(({ why }) => why)).toEqual(
    ['larger than a card may be', 'smaller than a card may be', undefined],
  );
  const store = sheet({ assets: { [picture.sha]: picture }, bits: [picture.sha] });
  takeWaiting(store);
  const [made] = now(store).surfaces;
  expect(made!.pile).toHaveLength(1);
  expect([made!.width, made!.height]).toEqual([
    made!.pile[0]!.placement.width,
    made!.pile[0]!.placement.height,
  ]);
  takeWaiting(store);
  expect(now(store).surfaces).toHaveLength(1);
});
