import { beforeEach, expect, test } from '@jest/globals';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import sharp from 'sharp';
import { addProject } from '@/storage/shelved';
import { laid } from '../../../scripts/testing/samples';
import { emptyStore, stocked } from '../../../scripts/testing/store';
import { photoFile, reopened } from '../../../scripts/testing/tab';

const onTable = async (...kits: string[]) => {
  await stocked(...kits);
  await addProject(laid([]), 0);
  const page = await reopened();
  const chooses = async (what: string) =>
    fireEvent.click(await screen.findByRole('menuitem', { name: what }));
  return { ...page, chooses };
};

beforeEach(emptyStore);

test('a paper is printed on both sides: its back is seen in the cupboard, and shown when it is turned over on the page', async () => {
  const { here, press, chooses, slabs } = await onTable('garden-year');
  await press('Cupboard');
  fireEvent.change(await here.findByRole('searchbox'), { target: { value: 'rain on leaves' } });
  fireEvent.click(await here.findByRole('option', { name: /^Rain on leaves, paper/ }));
  const back = (await here.findByRole('button', { name: /^On its back: / })).textContent!;
  const name = back.replace(/^On its back:\s*/, '');
  // Pressed, that one is chosen among its kit, and the first is its back.
  await press(/^On its back: /);
  await press('On its back: Rain on leaves');
  await press('Lay it');
  await chooses('Lay a strip of it');
  await waitFor(() => expect(slabs()[0]).toContain('Rain on leaves'));
  await press('Turn over');
  await waitFor(() => expect(slabs()[0]).toContain(name));
  await press('Turn over');
  await waitFor(() => expect(slabs()[0]).toContain('Rain on leaves'));
  await here.findByRole('button', { name: 'Undo turn over paper' });
  // What has only one side says so.
  fireEvent.keyDown(here.getByRole('button', { name: /^Dune kraft/ }), { key: 'Enter' });
  await chooses('Lay a strip of it');
  await waitFor(() => expect(slabs()).toHaveLength(2));
  await press('Turn over');
  await waitFor(() => expect(screen.getByText(/is printed on one side only/)).toBeDefined());
});

test('a frame that came filled gets its opening; it says so and takes a photo', async () => {
  const filled = Buffer.from(
    '<svg xmlns="http://www.w3.org/2000/svg" width="600" height="450"><rect width="600" height="450" rx="30" fill="#24506b"/><rect x="80" y="80" width="440" height="290" fill="#f6f0e0"/></svg>',
  );
  const { here, press, bring, photos } = await onTable('windward');
  await press('Cupboard');
  fireEvent.change(await here.findByTestId('supply-input'), {
    target: {
      files: [
        new File([new Uint8Array(await sharp(filled).png().toBuffer())], 'filled frame.png', {
          type: 'image/png',
        }),
      ],
    },
  });
  fireEvent.click(await screen.findByRole('button', { name: 'Put 1 away' }));
  const found = async () => {
    fireEvent.change(await here.findByRole('searchbox'), { target: { value: 'filled' } });
    return here.findByRole('option', { name: /^filled frame/ });
  };
  fireEvent.click(await found());
  await press('Cut an opening');
  const canvas = await screen.findByRole('application', { name: /^Point at what shall be cut out/ });
  const cut = await screen.findByRole('button', { name: 'Cut it out' });
  // The mark is in the middle.
  await waitFor(() => {
    fireEvent.keyDown(canvas, { key: 'Enter' });
    expect(screen.getByText(/^4[67] % of the picture will be open\.$/)).toBeDefined();
  });
  fireEvent.click(cut);
  await waitFor(() => expect(screen.getByText(/filled frame has its opening/)).toBeDefined());
  fireEvent.click(await found());
  await press('Lay it');
  bring([await photoFile('kite.jpg')]);
  await waitFor(() => expect(photos()).toHaveLength(1));
  fireEvent.keyDown(photos()[0]!, { key: 'Enter' });
  await here.findByRole('button', { name: 'Undo frame photo' });
});

test('a ready garland goes round the photo that is selected, a rope into the hand; what the hand holds is kept as one’s own', async () => {
  const { here, press, bring, photos, slabs, key } = await onTable('garden-year', 'windward');
  bring([await photoFile('kite.jpg')]);
  await waitFor(() => expect(photos()).toHaveLength(1));
  fireEvent.keyDown(photos()[0]!, { key: 'Enter' });
  await waitFor(() => expect(slabs()).toHaveLength(1));
  const taken = async (name: string) => {
    await press('Cupboard');
    fireEvent.change(await here.findByRole('searchbox'), { target: { value: name } });
    fireEvent.keyDown(await here.findByRole('option', { name: new RegExp(`^${name}`) }), { key: 'Enter' });
  };
  await taken('Garden wreath');
  await here.findByRole('button', { name: 'Undo change garland along photo' });
  // With nothing selected the same kind of thing is what is drawn with.
  here.getByTestId('stage').focus();
  await key('Escape');
  await taken('Harbour rope');
  const sheet = within(await here.findByRole('dialog', { name: 'Paint and thread' }));
  fireEvent.click(await sheet.findByRole('button', { name: 'Keep it in the cupboard …' }));
  fireEvent.change(await screen.findByLabelText('Its name'), { target: { value: 'Our rope' } });
  fireEvent.click(screen.getByRole('button', { name: 'Keep it' }));
  await waitFor(() => expect(screen.queryByLabelText('Its name')).toBeNull());
  await press('Cupboard');
  fireEvent.change(await here.findByRole('searchbox'), { target: { value: 'our rope' } });
  await here.findByRole('option', { name: /^Our rope/ });
});
