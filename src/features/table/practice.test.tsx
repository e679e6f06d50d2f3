import { expect, test } from '@jest/globals';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { openFile } from '@/features/shared/files';
import { stocked } from '../../../scripts/testing/store';
import { reopened } from '../../../scripts/testing/tab';

test('the practice page: six things, each noticed when it is done; left, taken up again, kept', async () => {
  await stocked('windward');
  const file = await (await fetch('/house/practice.bellagraph')).blob();
  expect(await openFile(new File([file], 'Practice page.bellagraph'), 'practice', 0)).toMatchObject({
    ok: true,
  });
  const begin = async () => {
    const page = await reopened('practice');
    const card = await page.here.findByRole('region', { name: 'Practice' });
    return {
      ...page,
      card,
      lead: (name: string) => fireEvent.click(within(card).getByRole('button', { name })),
      done: (count: number) => waitFor(() => expect(card.textContent).toContain(`${count} of 6 done`)),
    };
  };
  const first = await begin();
  await first.done(0);
  await waitFor(() => expect(first.photos().length).toBeGreaterThan(0));
  first.lead('To the photos');
  expect(document.activeElement).toBe(first.photos()[0]);
  await first.key('Enter');
  await first.done(1);
  first.lead('To the angle');
  const turned = await first.here.findByLabelText('Turned');
  fireEvent.change(turned, { target: { value: '-4' } });
  fireEvent.keyDown(turned, { key: 'Enter' });
  await first.done(2);
  await first.press('Mat it');
  await first.done(3);
  // Left, and taken up where it was.
  await first.kept();
  first.unmount();
  const { here, card, done, lead, key, press, slabs, unmount } = await begin();
  await done(3);
  expect(slabs()).toHaveLength(1);
  lead('To the punches');
  const find = await screen.findByLabelText('Find a punch');
  fireEvent.change(find, { target: { value: 'heart' } });
  fireEvent.keyDown(find, { key: 'Enter' });
  await done(4);
  fireEvent.keyDown(screen.getByRole('dialog'), { key: 'Escape' });
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  lead('Begin a title');
  const words = await here.findByRole('textbox', { name: 'Title words' });
  fireEvent.change(words, { target: { value: 'Aloft' } });
  await key('Escape');
  await done(5);
  // The cupboard opens where such things lie.
  lead('To the cupboard');
  fireEvent.click((await here.findAllByRole('option'))[0]!);
  await press('Lay it');
  await done(6);
  lead('Keep it as a page');
  await waitFor(() => expect(card.isConnected).toBe(false));
  unmount();
});
