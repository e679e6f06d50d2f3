import { beforeEach, expect, test } from '@jest/globals';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { addProject } from '@/storage/shelved';
import { laid, wordsOf } from '../../../scripts/testing/samples';
import { emptyStore } from '../../../scripts/testing/store';
import { reopened } from '../../../scripts/testing/tab';

const WOFF = join(
  import.meta.dirname,
  '../../../node_modules/@fontsource/lobster/files/lobster-latin-400-normal.woff',
);

beforeEach(emptyStore);

test('a font of one’s own is brought in, used, saved with the project; what is no font is refused', async () => {
  await addProject(laid([wordsOf('Quill', 'Quill')]), 0);
  const letters = async (from: RegExp) => {
    await page.press(from);
    return within(await screen.findByRole('dialog', { name: 'Letters' }));
  };
  const font = () => page.here.getByRole('button', { name: /^Letters: / }).textContent;
  let page = await reopened();
  page.take('Quill');
  let sheet = await letters(/^Letters: /);
  fireEvent.change(sheet.getByTestId('font-input'), {
    target: {
      files: [
        new File([new Uint8Array(readFileSync(WOFF))], 'mine.woff'),
        new File(['Dear diary'], 'diary.ttf'),
      ],
    },
  });
  await sheet.findByText('diary.ttf is not a font. Fonts come as TTF, OTF or WOFF.');
  await sheet.findByText('Lobster is here.');
  const press = (name: string) => fireEvent.click(sheet.getAllByRole('button', { name })[0]!);
  press('Your own');
  press('Lobster');
  await waitFor(() => expect(font()).toContain('Lobster'));
  fireEvent.keyDown(screen.getByRole('dialog'), { key: 'Escape' });
  await page.kept();
  page.unmount();
  page = await reopened();
  page.take('Quill');
  sheet = await letters(/^Letters: Lobster/);
  // It is taken out when nothing is written in it any more.
  press('Take Lobster out of this project');
  await sheet.findByText(/^1 piece of this project is written in Lobster\. It stays/);
  press('Caveat');
  press('Take Lobster out of this project');
  await waitFor(() => expect(sheet.queryByRole('button', { name: 'Your own' })).toBeNull());
});

test('a project that holds as many fonts as it may takes no other, and says so', async () => {
  const fonts = Array.from({ length: 200 }, (_, i) => ({
    sha: i.toString(16).padStart(64, '0'),
    name: `Font ${i}`,
    bytes: 1000,
  }));
  await addProject({ ...laid([wordsOf('Quill', 'Quill')]), fonts }, 0);
  const page = await reopened();
  page.take('Quill');
  await page.press(/^Letters: /);
  const sheet = within(await screen.findByRole('dialog', { name: 'Letters' }));
  const file = new File([new Uint8Array(readFileSync(WOFF))], 'mine.woff');
  fireEvent.change(sheet.getByTestId('font-input'), { target: { files: [file] } });
  await sheet.findByText(
    'mine.woff was not brought in: a project holds 200 fonts at the most. Take one out first.',
  );
  expect(page.here.queryByRole('button', { name: /^Undo bring in font/ })).toBeNull();
});
