/** An outline drawn by a mouse, its points and sides moved. */
import { expect, warm as test, type Locator, type Page } from './test';
import { axe } from './axe';
import { newPage, pageOnScreen, undoOf } from './table';

const sheet = (page: Page): Locator => page.getByRole('dialog', { name: 'Draw and cut' });
/** The page's top left corner on the screen, and pixels an inch. */
async function corner(page: Page): Promise<{ x: number; y: number; inch: number }> {
  const { x, y, inch } = await pageOnScreen(page);
  return { x: x - 6 * inch, y: y - 6 * inch, inch };
}
/** Presses, draws through all places (inches from the page's top left) and lets go. */
async function drag(page: Page, places: readonly (readonly [number, number])[]): Promise<void> {
  const { x, y, inch } = await corner(page);
  const at = ([across, down]: readonly [number, number]) => [x + across * inch, y + down * inch] as const;
  await page.mouse.move(...at(places[0]!));
  await page.mouse.down();
  for (const place of places.slice(1)) await page.mouse.move(...at(place), { steps: 4 });
  await page.mouse.up();
}
const round = (count: number, radius: number, cx: number, cy: number): [number, number][] =>
  Array.from({ length: count + 1 }, (_, i) => {
    const angle = (2 * Math.PI * i) / count;
    // A hand trembles.
    const r = radius * (1 + 0.03 * Math.sin(7 * angle));
    return [cx + r * Math.cos(angle), cy + r * Math.sin(angle)];
  });

test('an outline drawn by hand is smoothed, laid, and its points and sides are moved by mouse', async ({
  page,
}) => {
  await newPage(page);
  await page.keyboard.press('a');
  await expect(sheet(page)).toBeVisible();
  await drag(page, [
    [5, 5],
    [5.05, 5],
  ]);
  await expect(sheet(page).getByRole('button', { name: 'Lay it' })).toBeDisabled();
  await drag(page, round(40, 2, 7, 5));
  await expect(page.getByTestId('drawing')).toContainText(/^[34](\.\d+)? x [34](\.\d+)? in$/);
  const drawn = page.getByTestId('drawing').locator('path[stroke="#9e2b45"]');
  const trembling = (await drawn.getAttribute('d'))!;
  await sheet(page).getByRole('slider', { name: 'Smoothing' }).fill('100');
  await expect(drawn).not.toHaveAttribute('d', trembling);
  await sheet(page).getByRole('button', { name: 'Lay it' }).click();
  await expect(undoOf(page, 'draw embellishment')).toBeVisible();
  await page.keyboard.press('Escape');

  // A double-click on it, as it holds neither words nor a picture, opens its points.
  const { x, y, inch } = await corner(page);
  await page.mouse.dblclick(x + 7 * inch, y + 5 * inch);
  const knots = page.locator('[data-knot]');
  await expect(knots.first()).toBeVisible();
  const count = await knots.count();
  const first = (await knots.first().boundingBox())!;
  await page.mouse.move(first.x + first.width / 2, first.y + first.height / 2);
  await page.mouse.down();
  await page.mouse.move(x + 10 * inch, y + 5 * inch, { steps: 5 });
  await page.mouse.up();
  await expect(undoOf(page, 'move point')).toBeVisible();
  const moved = (await knots.first().boundingBox())!;
  expect(moved.x + moved.width / 2).toBeCloseTo(x + 10 * inch, -1);
  await page.getByRole('button', { name: 'Make a corner' }).click();
  await expect(page.getByRole('button', { name: 'Smooth it' })).toBeVisible();
  // A side is pressed away from its ends.
  const side = await page.locator('[data-side="0.1"]').evaluate((path: SVGPathElement) => {
    const box = path.ownerSVGElement!.getBoundingClientRect();
    const at = path.getPointAtLength(path.getTotalLength() / 2);
    return { x: at.x + box.x, y: at.y + box.y };
  });
  await page.mouse.move(side.x, side.y);
  await page.mouse.down();
  await page.mouse.move(x + 6 * inch, y + 9 * inch, { steps: 5 });
  await page.mouse.up();
  await expect(undoOf(page, 'bend side')).toBeVisible();
  await page.getByRole('button', { name: 'Straighten it' }).click();
  await expect(undoOf(page, 'straighten side')).toBeVisible();
  const middle = await page.locator('[data-side="0.1"]').evaluate((path: SVGPathElement) => {
    const box = path.ownerSVGElement!.getBoundingClientRect();
    const at = path.getPointAtLength(path.getTotalLength() / 2);
    return { x: at.x + box.x, y: at.y + box.y };
  });
  await page.mouse.dblclick(middle.x, middle.y);
  await expect(knots).toHaveCount(count + 1);
  expect(await axe(page)).toEqual([]);
  await page.keyboard.press('Control+z');
  await expect(knots).toHaveCount(count);
});
