/** What lies over the page: guides by keys, the lamp, a horizon, points and handles, the list of what lies here. */
import { beforeEach, expect, test } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import { guidesOn } from '@/core/page/guides';
import { setGuides } from '@/core/project/edits/page';
import { projectSchema } from '@/core/project/schema';
import * as act from '@/features/table/acts';
import { useSession } from '@/features/table/room/context';
import { shownProject, shownSurface } from '@/features/table/session';
import { Guides } from '@/features/table/stage/marks/Guides';
import { Horizon } from '@/features/table/stage/marks/Horizon';
import { Knots } from '@/features/table/stage/marks/Knots';
import { Lamp } from '@/features/table/stage/marks/Lamp';
import { PeekList } from '@/features/table/stage/marks/PeekList';
import { SettingGrips } from '@/features/table/stage/marks/SettingGrips';
import { Snaps } from '@/features/table/stage/marks/Snaps';
import { seated, type Seated } from '../../../../../scripts/testing/room';
import { assetOf, inkPiece, photoOf, quarters } from '../../../../../scripts/testing/samples';

beforeEach(() => {
  Element.prototype.setPointerCapture ??= () => {};
});

/** Where a place of the page lies on the stage, as a pointer tells it. */
const at = ({ store }: Seated, x: number, y: number) => {
  const { view } = store.getState();
  return {
    ...{ clientX: view.x + x * view.zoom, clientY: view.y + y * view.zoom },
    ...{ button: 0, isPrimary: true, pointerId: 1 },
  };
};

/** All guides that are seen on the page. */
function AllGuides({ locked = false }) {
  const view = useSession((session) => session.view);
  const stage = useSession((session) => session.stage);
  const project = useSession(({ history }) => history.project);
  return (
    <svg>
      <Guides
        seen={guidesOn(project, project.surfaces[0]!)}
        unit="in"
        onHold={() => {}}
        {...{ view, stage, locked }}
      />
    </svg>
  );
}

test('a guide is moved by arrows in one step, and taken away in another; those of every page and of this one', async () => {
  const room = await seated(<AllGuides />, []);
  const { perform, surfaceId } = room.store.getState();
  room.does(() => {
    perform(setGuides(null, 'add guide', [{ axis: 'x', at: 100 }]));
    perform(
      setGuides(surfaceId, 'add guide', [
        { axis: 'y', at: 60 },
        { axis: 'y', at: 200 },
      ]),
    );
  });
  const guide = (name: string, i = 0) => screen.getAllByRole('slider', { name })[i]!;
  const own = () => room.project().surfaces[0]!.guides.map(({ at }) => Math.round(100 * at) / 100);
  expect(guide('Upright guide').getAttribute('aria-valuetext')).toMatch(/^1\.39 in$/);
  // A hundredth of an inch, with Shift a tenth.
  for (let i = 0; i < 3; i++) fireEvent.keyDown(guide('Upright guide'), { key: 'ArrowRight' });
  fireEvent.keyDown(guide('Upright guide'), { key: 'ArrowLeft', shiftKey: true });
  expect(room.project().guides[0]!.at).toBeCloseTo(100 - 7 * 0.72, 6);
  expect(room.undo()).toBe('move guide');
  fireEvent.keyDown(guide('Level guide of this page'), { key: 'ArrowDown' });
  fireEvent.keyDown(guide('Level guide of this page'), { key: 'Delete' });
  expect(own()).toEqual([200]);
  fireEvent.keyDown(guide('Level guide of this page'), { key: 'ArrowDown' });
  expect(own()).toEqual([200.72]);
  // Each is taken back by itself, though it was the first of its page both times.
  for (const before of [[200], [60.72, 200], [60, 200]]) {
    room.does(() => room.store.getState().undo());
    expect(own()).toEqual(before);
  }
  room.does(() => room.store.getState().undo());
  expect(room.project().guides[0]!.at).toBe(100);
});

test('what is locked is neither reached nor moved', async () => {
  const room = await seated(<AllGuides locked />, []);
  room.does(() => room.store.getState().perform(setGuides(null, 'add guide', [{ axis: 'x', at: 100 }])));
  const guide = screen.getByRole('slider', { name: 'Upright guide' });
  expect(guide.getAttribute('tabindex')).toBe('-1');
  for (const key of ['ArrowRight', 'Delete']) fireEvent.keyDown(guide, { key });
  expect(room.project().guides).toEqual([{ axis: 'x', at: 100 }]);
});

test('the lamp stands where the light comes from, and goes where it is drawn: every place is one a file takes', async () => {
  const room = await seated(
    <svg>
      <Lamp />
    </svg>,
    [],
  );
  const lamp = screen.getByTestId('lamp');
  const light = () => shownSurface(room.store.getState()).light;
  const before = light();
  const drag = (x: number, y: number, end: 'pointerUp' | 'pointerCancel' = 'pointerUp') => {
    fireEvent.pointerDown(lamp, at(room, 216, 144));
    fireEvent.pointerMove(lamp, at(room, x, y));
    fireEvent[end](lamp, at(room, x, y));
  };
  for (let turn = 0; turn < 360; turn += 15) {
    const way = ((turn - 0.2) * Math.PI) / 180;
    drag(216 + 100 * Math.sin(way), 144 - 100 * Math.cos(way));
    expect((light().direction + 359.5) % 360).toBeCloseTo((turn + 359.5 - 0.2) % 360, -1);
    expect(projectSchema.isValidSync(shownProject(room.store.getState()), { strict: true })).toBe(true);
  }
  drag(216, 144);
  expect(light().height).toBe(80);
  drag(4000, 144);
  expect(light()).toMatchObject({ direction: 90, height: 20 });
  const { done } = room.store.getState().history;
  drag(216, 40, 'pointerCancel');
  expect(room.store.getState().history.done).toBe(done);
  expect(room.store.getState().tryout).toBeNull();
  expect(light()).not.toEqual(before);
});

const asset = assetOf(quarters(90, 60), 900, 600);

test('a photo is levelled along a line that is drawn over it, by a mouse; a short one says nothing', async () => {
  const room = await seated(
    <svg>
      <Horizon />
    </svg>,
    [photoOf('photo', asset, { x: 60, y: 60, width: 240, height: 160 })],
    ['photo'],
    [asset],
  );
  room.does(() => room.store.getState().setMode({ kind: 'slide', id: 'photo', level: true }));
  const turn = () => {
    const { material } = room.piece('photo');
    return material.kind === 'photo' ? (material.window.turn ?? 0) : NaN;
  };
  const area = screen.getByTestId('horizon').querySelector('rect')!;
  const draw = (x: number, y: number) => {
    fireEvent.pointerDown(area, at(room, 100, 100));
    fireEvent.pointerMove(area, at(room, 100 + x, 100 + y));
    fireEvent.pointerUp(area, at(room, 100 + x, 100 + y));
  };
  draw(3, 1);
  expect([turn(), room.undo()]).toEqual([0, null]);
  // What falls by 5 degrees to the right is turned back by as much.
  draw(100, 100 * Math.tan((5 * Math.PI) / 180));
  expect(turn()).toBeCloseTo(-5, 3);
});

test('points of an outline: a double click on a side puts one there; what is held shows its handles', async () => {
  const grips: string[] = [];
  const room = await seated(
    <svg>
      <Knots onGrip={(_, grip) => grips.push(grip.kind)} />
    </svg>,
    [inkPiece('a', 60, 60, 120, 80)],
    ['a'],
  );
  room.does(() => act.startReshaping(room.store));
  const all = (what: string) => [...screen.getByTestId('knots').querySelectorAll(what)];
  expect([all('[data-knot]').length, all('[data-side]').length]).toEqual([4, 4]);
  fireEvent.pointerDown(all('[data-side]')[0]!);
  fireEvent.pointerDown(all('[data-knot]')[1]!);
  expect(grips).toEqual(['side', 'knot']);
  fireEvent.doubleClick(all('[data-side="0.0"]')[0]!, at(room, 90, 60));
  expect(room.undo()).toBe('add point');
  expect(all('[data-knot]')).toHaveLength(5);
  // Only what is curved has handles to be drawn.
  expect(all('[data-grip=handle]')).toHaveLength(0);
  room.does(() => act.turnRound(room.store));
  expect(all('[data-grip=handle]')).toHaveLength(2);
  fireEvent.pointerDown(all('[data-grip=handle]')[1]!);
  expect(grips.at(-1)).toBe('handle');
  room.chosen();
  expect(screen.queryByTestId('knots')).toBeNull();
});

test('what a punch lets one set, and shadows laid by hand, each have a handle', async () => {
  const grips: object[] = [];
  const shadows = [{ x: 12, y: -6, blur: 3, strength: 0.4, colour: '#000000' }];
  const banner = inkPiece('a', 60, 60, 200, 60);
  const room = await seated(
    <svg>
      <SettingGrips
        piece={{
          ...banner,
          outline: { kind: 'punch', punch: 'banner', settings: {} },
          finish: { ...banner.finish, shadows },
        }}
        view={[1, 0, 0, 1, 0, 0]}
        onGrip={(_, grip) => grips.push(grip)}
      />
    </svg>,
    [],
  );
  const grip = (name: string) => room.container.querySelector(`[data-grip="${name}"]`)!;
  fireEvent.pointerDown(grip('Depth of the notch'));
  fireEvent.pointerDown(grip('shadow-1'));
  expect(grips).toEqual([
    { kind: 'setting', id: 'notch' },
    { kind: 'shadow', index: 0 },
  ]);
  // The shadow's lies where it falls.
  const [circle] = grip('shadow-1').querySelectorAll('circle');
  expect([circle!.getAttribute('cx'), circle!.getAttribute('cy')]).toEqual(['172', '84']);
});

test('all that lies under a spot is listed from the top, walked by arrows; one of a group is taken by itself', async () => {
  const grouped = inkPiece('low', 100, 100, 90, 90, { groups: ['g'] });
  const room = await seated(<PeekList />, [
    grouped,
    inkPiece('mate', 300, 40, 20, 20, { groups: ['g'] }),
    inkPiece('high', 120, 120, 90, 90),
    photoOf('photo', asset, { x: 90, y: 90, width: 120, height: 80 }),
  ]);
  const { view } = room.store.getState();
  room.does(() => room.store.getState().peekAt({ x: view.x + 140 * view.zoom, y: view.y + 140 * view.zoom }));
  const list = within(await screen.findByRole('dialog', { name: 'What lies here, top first' }));
  list.getByText('3 pieces lie here');
  const rows = list.getAllByRole('button');
  expect(rows.map(({ textContent }) => /photo|high|low/.exec(textContent!)![0])).toEqual([
    'photo',
    'high',
    'low',
  ]);
  expect(document.activeElement).toBe(rows[0]);
  for (const key of ['ArrowDown', 'ArrowDown', 'ArrowDown', 'ArrowUp', 'ArrowDown'])
    fireEvent.keyDown(document.activeElement!, { key });
  expect(document.activeElement).toBe(rows[2]);
  expect(room.store.getState().hovered).toBe('low');
  fireEvent.click(rows[2]!);
  expect(room.store.getState()).toMatchObject({ selection: ['low'], entered: 'g', peeking: null });
  room.does(() => room.store.getState().peekAt({ x: view.x + 10, y: view.y + 10 }));
  screen.getByText('Nothing lies here');
  fireEvent.keyDown(screen.getByRole('dialog'), { key: 'Escape' });
  expect(screen.queryByRole('dialog')).toBeNull();
});

test('why something snapped is said in a word where it lies; gaps in the length they share', async () => {
  const view = { zoom: 2, x: 10, y: 20 };
  const room = await seated(
    <svg>
      <Snaps
        snapped={[
          { axis: 'x', at: 72, from: 0, to: 144, what: 'page middle' },
          { axis: 'y', at: 0, from: 0, to: 0, what: 'equal size', gaps: [{ from: 36, to: 72, across: 10 }] },
          {
            ...{ axis: 'x', at: 0, from: 0, to: 0, what: 'equal gaps' },
            gaps: [
              { from: 0, to: 18, across: 10 },
              { from: 54, to: 72, across: 10 },
            ],
          },
        ]}
        marquee={{ x: 5, y: 5, width: 50, height: 40 }}
        view={view}
        unit="in"
      />
    </svg>,
    [],
  );
  const said = [...room.container.querySelectorAll('text')].map((text) => [
    text.textContent,
    Number(text.getAttribute('x')),
  ]);
  expect(said).toEqual([
    ['page middle', 154.5],
    ['same size, 0.5 in', 30.5],
    ['0.25 in', 28.5],
    ['0.25 in', 136.5],
  ]);
  const frame = [...room.container.querySelectorAll('rect')].at(-1)!;
  expect(['x', 'width'].map((name) => frame.getAttribute(name))).toEqual(['20.5', '100']);
});
