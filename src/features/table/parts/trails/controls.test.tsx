/** What runs along a line, each setting as a person makes it: stamps, ribbons, rope, paint and tips that rub out. */
import { expect, test } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import { useState } from 'react';
import { trailSchema, type Trail } from '@/core/trail';
import { newPaint, type PaintTrail } from '@/core/trail/paint/paint';
import { NEW_RIBBON, type RibbonTrail } from '@/core/trail/ribbon/ribbon';
import { MOST_PICTURES, newStamps, type StampsTrail } from '@/core/trail/stamps';
import { TrailControls } from '@/features/table/parts/trails/TrailControls';
import { picturedOf, tipsIn } from '@/features/table/parts/trails/Pictures';
import { seatedAt } from '../../../../../scripts/testing/room';
import { assetOf, laid, quarters } from '../../../../../scripts/testing/samples';

const PICTURES = ['gull', 'shell', 'kite', 'wave'].map((name, i) =>
  assetOf(quarters(40 + i, 60), 40 + i, 60, { name: `${name}.png` }),
);
const [GULL, SHELL, KITE, WAVE] = PICTURES.map(picturedOf) as [Pictured, Pictured, Pictured, Pictured];
type Pictured = ReturnType<typeof picturedOf>;

/** The settings of a trail over a project whose workbox holds three stamps, an embellishment and two papers. */
async function controls<T extends Trail>(begun: T) {
  const told: T[] = [begun];
  function Own() {
    const [trail, setTrail] = useState<Trail>(begun);
    return (
      <TrailControls
        trail={trail}
        unit="in"
        disabled={false}
        onChange={(next) => {
          told.push(next as T);
          setTrail(next);
        }}
      />
    );
  }
  const stocked = laid([], PICTURES);
  const room = await seatedAt(<Own />, {
    ...stocked,
    stamps: PICTURES.slice(0, 3).map(({ sha }) => sha),
    bits: [PICTURES[3]!.sha],
    papers: PICTURES.slice(0, 2).map(({ sha }) => sha),
  });
  return {
    ...room,
    now: () => told.at(-1)!,
    times: () => told.length - 1,
    toggle: (name: string) => fireEvent.click(screen.getByRole('switch', { name })),
    slide: (name: string, value: number) =>
      fireEvent.change(screen.getByRole('slider', { name }), { target: { value } }),
    within: (group: string) => within(screen.getByRole('group', { name: group })),
    /** Whatever was set, a file would take it. */
    sound: () => told.forEach((trail) => trailSchema.validateSync(trail, { strict: true })),
  };
}

test('stamps: pictures come and go in the order they were taken, the last one stays, their numbers are seen', async () => {
  const room = await controls<StampsTrail>(newStamps([GULL], '#24506b', 30));
  const { press, now, within: inside } = room;
  expect(screen.queryByRole('combobox', { name: 'One after the other' })).toBeNull();
  await press('gull');
  expect([now().pictures, room.times()]).toEqual([[GULL], 0]);
  for (const name of ['kite', 'wave', 'shell']) await press(name);
  expect(now().pictures).toEqual([GULL, KITE, WAVE, SHELL]);
  const numbers = () =>
    inside('What is stamped')
      .getAllByRole('button')
      .map((one) => one.textContent);
  expect(numbers()).toEqual(['1', '4', '2', '3']);
  await press('kite');
  expect(numbers()).toEqual(['1', '3', '', '2']);
  await room.choose('One after the other', 'By chance');
  expect(now()).toMatchObject({ order: 'chance', pictures: [GULL, WAVE, SHELL] });
  room.sound();
});

test('stamps: of more pictures than a line takes the first makes room for the last', async () => {
  const many = Array.from({ length: MOST_PICTURES }, (_, i) => ({
    ...GULL,
    asset: i.toString(16).padStart(64, '0'),
  }));
  const { press, now, sound } = await controls<StampsTrail>(newStamps(many, '#24506b', 30));
  await press('kite');
  expect(now().pictures).toEqual([...many.slice(1), KITE]);
  sound();
});

test('stamps: size, distance, turning and chance keep within what a file takes, and say what it does not', async () => {
  const room = await controls<StampsTrail>(newStamps([GULL, SHELL], '#24506b', 30));
  const { fill, now, slide, toggle } = room;
  await fill('Longer side', '1/2');
  await fill('To the next, %', '150');
  await fill('Turned by, degrees', '-405');
  expect(now()).toMatchObject({ width: 36, spacing: 1.5, angle: -45 });
  for (const [name, text, says] of [
    ['Longer side', '11', 'At most 10 in.'],
    ['To the next, %', '1', 'From 5 to 2000 %.'],
    ['Turned by, degrees', 'west', 'Degrees, such as 4 or -12.5.'],
  ] as const) {
    await fill(name, text);
    await screen.findByText(says);
  }
  expect(now()).toMatchObject({ width: 36, spacing: 1.5, angle: -45 });
  toggle('Turn with the line');
  expect(now().turns).toBe(false);
  for (const [name, field, at, comes] of [
    ['Smaller by chance', 'smaller', 100, 1],
    ['Turned by chance', 'turned', 180, 180],
    ['Beside the line by chance', 'scatter', 200, 2],
    ['Smaller towards both ends', 'taper', 50, 0.5],
    ['Each covers', 'flow', 0, 0],
  ] as const) {
    slide(name, at);
    expect([name, now()[field]]).toEqual([name, comes]);
  }
  room.sound();
});

test('stamps: in their own colours or in one ink; corners and ends have others, and none again', async () => {
  const room = await controls<StampsTrail>(newStamps([GULL], '#24506b', 30));
  const { now, toggle, choose } = room;
  screen.getByRole('button', { name: /^Ink/ });
  toggle('In one ink');
  expect([now().own, screen.queryByRole('button', { name: /^Ink/ })]).toEqual([true, null]);
  toggle('In one ink');
  expect(now()).not.toHaveProperty('own');
  fireEvent.mouseDown(screen.getByRole('combobox', { name: 'At corners' }));
  expect(screen.getAllByRole('option').map(({ textContent }) => textContent)).toEqual([
    'Turn at once',
    'Bent round',
  ]);
  fireEvent.click(screen.getByRole('option', { name: 'Bent round' }));
  expect(now().corners).toBe('bent');
  await choose('Corner', 'kite');
  expect(now()).toMatchObject({ corner: KITE, corners: 'own' });
  await choose('First', 'shell');
  await choose('Last', 'wave');
  expect(now()).toMatchObject({ first: SHELL, last: WAVE, corner: KITE });
  for (const name of ['First', 'Last', 'Corner']) await choose(name, 'Like the others');
  for (const field of ['first', 'last', 'corner']) expect(now()).not.toHaveProperty(field);
  // A corner without a picture of its own is turned as before.
  expect(now().corners).not.toBe('own');
  room.sound();
});

test('a ribbon: its weave says how it is cut off, unless that was chosen; a paper and edges come and go', async () => {
  const room = await controls<RibbonTrail>(NEW_RIBBON);
  const { now, press, choose, fill, toggle } = room;
  await press('Paper tape');
  expect(now()).toMatchObject({ weave: 'tape', ends: 'torn' });
  await press('Grosgrain');
  expect(now()).toMatchObject({ weave: 'grosgrain', ends: 'swallow' });
  await choose('Ends', 'Slanted');
  await press('Woven');
  expect(now()).toMatchObject({ weave: 'woven', ends: 'slanted' });
  await fill('Width', '0.5');
  await fill('Width', '7');
  await screen.findByText('At most 6 in.');
  expect(now().width).toBe(36);
  await choose('Where it crosses itself', 'Over and under by turns');
  expect(now().crosses).toBe('turns');
  await choose('Where it crosses itself', 'Later over earlier');
  expect(now()).not.toHaveProperty('crosses');
  await choose('Paper along it', 'shell');
  expect(now().pattern).toEqual(SHELL);
  await choose('Paper along it', 'None, of its colour');
  expect(now()).not.toHaveProperty('pattern');
  toggle('Edges of another colour');
  expect(now().edge).toMatch(/^#/);
  screen.getByRole('button', { name: /^Edges/ });
  toggle('Edges of another colour');
  expect([now().edge, screen.queryByRole('button', { name: /^Edges/ })]).toEqual([undefined, null]);
  room.sound();
});

test('rope has up to four plies, with fibres or smooth; paint has the settings of its tip', async () => {
  const rope = await controls<Extract<Trail, { kind: 'cord' }>>({
    kind: 'cord',
    colours: ['#b08d66'],
    width: 9,
    seed: 1,
  });
  for (let i = 0; i < 3; i++) await rope.press('One more colour');
  expect(rope.now().colours).toHaveLength(4);
  expect(screen.queryByRole('button', { name: 'One more colour' })).toBeNull();
  rope.toggle('With fibres');
  expect(rope.now().fuzzy).toBe(true);
  rope.toggle('With fibres');
  expect(rope.now()).not.toHaveProperty('fuzzy');
  rope.sound();
  rope.unmount();

  const paint = await controls<PaintTrail>(newPaint('round', '#24506b', 20));
  const tips = paint.within('Tip').getAllByRole('button');
  expect(tips.length).toBeGreaterThan(4);
  const held: boolean[] = [];
  for (const tip of tips) {
    fireEvent.click(tip);
    expect(paint.now().colour).toBe('#24506b');
    held.push(screen.queryByRole('textbox', { name: 'Held at, degrees' }) !== null);
  }
  // Some are held at an angle, others are round.
  expect(new Set(held).size).toBe(2);
  fireEvent.click(tips[held.indexOf(true)]!);
  await paint.fill('Held at, degrees', '-90');
  expect(paint.now().angle).toBe(270);
  paint.slide('Covers', 40);
  paint.slide('Runs out at both ends', 50);
  expect(paint.now()).toMatchObject({ opacity: 0.4, taper: 0.5 });
  paint.sound();
  paint.unmount();

  const rubber = await controls<PaintTrail>({ ...newPaint('round', '#25232a', 20), width: 12, erase: true });
  expect(rubber.within('Tip').getAllByRole('button')).toHaveLength(2);
  expect(screen.queryByRole('button', { name: /^Ink/ })).toBeNull();
  fireEvent.click(rubber.within('Tip').getAllByRole('button')[1]!);
  // It stays as wide as it was.
  expect(rubber.now()).toMatchObject({ tip: 'soft', width: 12, erase: true });
  rubber.slide('Takes away', 30);
  expect(rubber.now().opacity).toBe(0.3);
  rubber.sound();
});

test('what can be a tip lies in the workbox: stamps first, then embellishments, then letters; without any it is said', async () => {
  const project = laid([], PICTURES);
  const [a, b, c, d] = PICTURES.map(({ sha }) => sha) as [string, string, string, string];
  const of = { ...project, letters: [a], bits: [b, 'f'.repeat(64)], stamps: [d, c] };
  expect(tipsIn(of).map(({ sha }) => sha)).toEqual([d, c, b, a]);
  const bare = await seatedAt(
    <TrailControls trail={newStamps([GULL], '#24506b', 30)} unit="in" disabled={false} onChange={() => {}} />,
    laid([]),
  );
  expect(bare.container.textContent).toContain('Nothing lies in the workbox that could be stamped.');
});
