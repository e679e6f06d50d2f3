/** Pictures that outlines come from: a template's tones cut from papers, a picture traced and cut to its outline, or laid as a shape. */
import { beforeEach, expect, test } from '@jest/globals';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import sharp from 'sharp';
import { addProject } from '@/storage/shelved';
import { laid } from '../../../scripts/testing/samples';
import { emptyStore, stocked } from '../../../scripts/testing/store';
import { reopened } from '../../../scripts/testing/tab';

beforeEach(emptyStore);

/** A picture of these marks on white, at 300 to the inch, laid on an empty page with its material looked at. */
async function onPage(name: string, width: number, height: number, marks: string) {
  await addProject({ ...laid([]), title: 'Cut' }, 0);
  const page = await reopened();
  const png = await sharp(
    Buffer.from(
      `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"><rect width="${width}" height="${height}" fill="#fff"/>${marks}</svg>`,
    ),
  )
    .png()
    .withMetadata({ density: 300 })
    .toBuffer();
  page.bring([new File([new Uint8Array(png)], name, { type: 'image/png' })]);
  await waitFor(() => expect(page.photos()).toHaveLength(1));
  fireEvent.keyDown(page.photos()[0]!, { key: 'Enter' });
  await page.here.findByRole('button', { name: 'Undo lay photo' });
  const use = async (what: string) => {
    if (!page.here.queryByRole('button', { name: what })) await page.press(/^Material/);
    await page.press(what);
  };
  return { ...page, use };
}

test('all areas of a tone are cut from its paper or in its ink at once; the template is hidden, and undo brings it back', async () => {
  await stocked('windward');
  const { here, use, press, slabs } = await onPage(
    'circles.png',
    600,
    450,
    ['#222', '#888', '#ccc']
      .flatMap((tone, i) =>
        [0, 1].map(
          (k) => `<circle cx="${110 + i * 190}" cy="${120 + k * 200}" r="${60 + 6 * i}" fill="${tone}"/>`,
        ),
      )
      .join(''),
  );
  await use('Use it as a template');
  const tones = within(await screen.findByRole('dialog', { name: 'Template' }));
  await tones.findByText(/^4 tones\. Choose a paper or an ink/);
  expect(tones.getAllByText(/^2 areas, \d+ % of it$/)).toHaveLength(3);
  const cut = () => tones.getByRole<HTMLButtonElement>('button', { name: 'Cut them all' });
  expect(cut().disabled).toBe(true);
  // The white ground is the largest: it is the first.
  fireEvent.mouseDown(tones.getByRole('combobox', { name: 'Paper for tone 2' }));
  fireEvent.click((await screen.findAllByRole('option'))[1]!);
  for (const tone of [3, 4]) fireEvent.click(tones.getByRole('button', { name: `Ink for tone ${tone}` }));
  // One of them is left out after all.
  fireEvent.click(tones.getAllByRole('button', { name: 'Leave it out' })[1]!);
  await waitFor(() => expect(cut().disabled).toBe(false));
  // Pressed twice, they are cut once.
  for (let i = 0; i < 2; i++) fireEvent.click(cut());
  await waitFor(() => expect(screen.getByText(/^2 pieces were cut\. The template is hidden/)).toBeDefined());
  await waitFor(() => expect(slabs()).toHaveLength(3));
  await press('Undo cut papers by template');
  await waitFor(() => expect(slabs()).toHaveLength(1));
  expect(here.queryByRole('button', { name: 'Show circles' })).toBeNull();
});

test('what counts as inside is seen in numbers; the picture is cut to it, true to its size, or a shape is laid', async () => {
  const { here, use, press, slabs } = await onPage(
    'target.png',
    450,
    450,
    '<circle cx="225" cy="225" r="180" fill="#bbb"/><circle cx="225" cy="225" r="105" fill="#333"/><circle cx="225" cy="225" r="45" fill="#fff"/>',
  );
  await use('Trace it to an outline');
  const trace = within(await screen.findByRole('dialog', { name: 'Trace' }));
  await trace.findByText('1 part, 1 hole.');
  const slide = (name: string, value: number) =>
    fireEvent.change(trace.getByRole('slider', { name }), { target: { value } });
  slide('Threshold', 1);
  await trace.findByText('Nothing is inside: move the threshold.');
  expect(trace.getByRole<HTMLButtonElement>('button', { name: 'Lay the shape' }).disabled).toBe(true);
  // A higher one takes the lighter ring in too.
  slide('Threshold', 85);
  await trace.findByText('1 part, 1 hole.');
  fireEvent.click(trace.getByRole('switch', { name: 'Outer edge only, without holes' }));
  await trace.findByText('1 part, 0 holes.');
  fireEvent.click(trace.getByRole('button', { name: 'Cut the picture to it' }));
  await here.findByRole('button', { name: 'Undo cut photo to its outline' });
  const width = async () => {
    if (!here.queryByRole('textbox', { name: 'Width' })) await press(/^Place/);
    return here.getByRole<HTMLInputElement>('textbox', { name: 'Width' }).value;
  };
  // 360 of its 450 pixels, at 300 to the inch.
  expect(await width()).toBe('1.2');
  await press('Undo cut photo to its outline');
  await waitFor(async () => expect(await width()).toBe('1.5'));
  await use('Trace it to an outline');
  fireEvent.mouseDown(await screen.findByRole('combobox', { name: 'What counts as inside' }));
  fireEvent.click(await screen.findByRole('option', { name: 'Parts of one colour' }));
  const again = within(await screen.findByRole('dialog', { name: 'Trace' }));
  const colour = await again.findByRole('textbox', { name: 'Colour that is traced' });
  fireEvent.change(colour, { target: { value: '#bbbbbb' } });
  fireEvent.keyDown(colour, { key: 'Enter' });
  fireEvent.change(again.getByRole('slider', { name: 'How near' }), { target: { value: 5 } });
  await again.findByText('1 part, 1 hole.');
  fireEvent.click(again.getByRole('button', { name: 'Lay the shape' }));
  await waitFor(() => expect(slabs()).toHaveLength(2));
});
