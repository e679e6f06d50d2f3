/** What lies on a page is kept in the cupboard and laid again out of it: pieces as they were made, as one picture, a page, its places. */
import { beforeEach, expect, test } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { database } from '@/storage/database';
import { addProject } from '@/storage/shelved';
import { inkPiece, laid, wordsOf } from '../../../scripts/testing/samples';
import { emptyStore, stocked } from '../../../scripts/testing/store';
import { photoFile, reopened } from '../../../scripts/testing/tab';

beforeEach(emptyStore);

async function onTable(pieces: Parameters<typeof laid>[0]) {
  await stocked('windward');
  await addProject(laid(pieces), 0);
  const page = await reopened();
  const stage = () => page.here.getByTestId('stage');
  return {
    ...page,
    stage,
    onStage: (key: string, more: object = {}) => fireEvent.keyDown(stage(), { key, ...more }),
    /** Keeps what the button offers, under a name, in the way that is said. */
    async keep(button: RegExp, name: string, way?: string) {
      await page.press(button);
      fireEvent.change(await screen.findByLabelText('Its name'), { target: { value: name } });
      if (way) fireEvent.click(screen.getByRole('radio', { name: way }));
      fireEvent.change(screen.getByLabelText('Tags, with commas between'), {
        target: { value: 'Tide, Kites' },
      });
      fireEvent.click(screen.getByRole('button', { name: 'Keep it' }));
      await waitFor(() => expect(screen.queryByLabelText('Its name')).toBeNull());
      return (await database.supplies.filter((supply) => supply.name === name).first())!;
    },
    /** Lays a supply out of the cupboard. */
    async lay(name: string) {
      await page.press('Cupboard');
      fireEvent.change(await page.here.findByRole('searchbox'), { target: { value: name } });
      fireEvent.keyDown(await page.here.findByRole('option', { name: new RegExp(`^${name}`) }), {
        key: 'Enter',
      });
    },
  };
}

test('pieces come back as they were made, to be changed again; as one picture they are one', async () => {
  const { onStage, keep, lay, slabs, here } = await onTable([
    inkPiece('heart', 40, 40),
    wordsOf('tide', 'Tide out'),
  ]);
  here.getByTestId('stage').focus();
  onStage('a', { ctrlKey: true });
  const parts = await keep(/^Keep in the cupboard/, 'Our title');
  expect(parts).toMatchObject({ kind: 'pieces', tags: ['tide', 'kites'] });
  expect((await database.kits.get(parts.kit))!.name).toBe('My kit');
  await lay('Our title');
  await waitFor(() => expect(slabs()).toHaveLength(4));
  expect(slabs().filter((slab) => slab.includes('Tide out') || slab.includes('tide'))).toHaveLength(2);
  await here.findByRole('button', { name: /^Undo lay / });
  here.getByTestId('stage').focus();
  onStage('a', { ctrlKey: true });
  const picture = await keep(/^Keep in the cupboard/, 'Our picture', 'As one picture');
  expect(picture).toMatchObject({ kind: 'embellishment', asset: { type: 'image/png', ppi: 300 } });
  // Both lie in the one kit that was begun.
  expect(picture.kit).toBe(parts.kit);
  await lay('Our picture');
  await waitFor(() => expect(slabs()).toHaveLength(5));
});

test('a page keeps a free place for each photo, or the photos; its places alone are a sketch', async () => {
  const { onStage, keep, lay, slabs, bring, photos, here, press } = await onTable([
    inkPiece('heart', 300, 200),
  ]);
  bring([await photoFile('kite.jpg')]);
  await waitFor(() => expect(photos()).toHaveLength(1));
  fireEvent.keyDown(photos()[0]!, { key: 'Enter' });
  await here.findByRole('button', { name: 'Undo lay photo' });
  here.getByTestId('stage').focus();
  onStage('Escape');
  const empty = await keep(/^Keep as a ready-made page/, 'Free place');
  expect(empty.kind).toBe('page');
  const sketch = await keep(/^Keep its 1 place as a sketch/, 'One place');
  expect(sketch.kind).toBe('sketch');
  await keep(/^Keep as a ready-made page/, 'With it', 'With the photos on it');
  await lay('Free place');
  fireEvent.click(await screen.findByRole('menuitem', { name: 'On a page more, after this one' }));
  await here.findByRole('button', { name: /^Page 2/ });
  // A place has no picture until one is brought to it.
  await waitFor(() => expect(slabs().some((slab) => slab.includes('kite'))).toBe(false));
  expect(slabs()).toHaveLength(2);
  await press(/^Undo/);
  await lay('With it');
  fireEvent.click(await screen.findByRole('menuitem', { name: 'On a page more, after this one' }));
  await waitFor(() => expect(slabs().some((slab) => slab.includes('kite'))).toBe(true));
});
