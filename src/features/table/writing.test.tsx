import { beforeEach, expect, test } from '@jest/globals';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { addProject } from '@/storage/shelved';
import { making } from '../../../scripts/testing/maker';
import { laid } from '../../../scripts/testing/samples';
import { emptyStore } from '../../../scripts/testing/store';
import { reopened } from '../../../scripts/testing/tab';

beforeEach(async () => {
  await emptyStore();
  await addProject(laid([]), 0);
});

test('a stretch is bold and italic in the family’s own letters; what a family lacks is named; the PDF holds its faces', async () => {
  const { here, press } = await reopened();
  const stage = here.getByTestId('stage');
  const written = async (key: string, name: string, value: string) => {
    fireEvent.keyDown(stage, { key });
    const words = await here.findByRole<HTMLTextAreaElement>('textbox', { name });
    fireEvent.change(words, { target: { value } });
    return words;
  };
  const leave = (from: Element) => {
    for (let i = 0; i < 3; i++) fireEvent.keyDown(i ? stage : from, { key: 'Escape' });
  };
  const words = await written('j', 'Journaling words', 'Wind ★ 漢 from the west');
  await press(/^Letters: Caveat/);
  const letters = within(await screen.findByRole('dialog', { name: 'Letters' }));
  fireEvent.click((await letters.findAllByRole('button', { name: 'Lora' }))[0]!);
  fireEvent.keyDown(document.activeElement!, { key: 'Escape' });
  await here.findByText('No font here has 漢: an empty box stands in its place.');
  await here.findByText('Lora has no ★: Noto Sans Symbols writes it.');
  const select = (from: number, to: number) => {
    words.focus();
    words.setSelectionRange(from, to);
    // React looks what is selected when a hand lets go.
    fireEvent.mouseUp(words);
  };
  select(words.value.length - 4, words.value.length);
  for (const key of ['b', 'i']) fireEvent.keyDown(words, { key, ctrlKey: true });
  const faces = within(here.getByRole('group', { name: 'Faces of the family' }));
  const pressed = () =>
    ['Bold', 'Italic'].map((name) => faces.getByRole('button', { name }).getAttribute('aria-pressed'));
  await waitFor(() => expect(pressed()).toEqual(['true', 'true']));
  select(0, 0);
  await waitFor(() => expect(pressed()).toEqual(['false', 'false']));
  leave(words);
  const title = await written('t', 'Title words', 'Bay');
  const lacks = await here.findByRole('button', { name: 'Bold: Great Vibes has no bold letters' });
  expect(lacks).toHaveProperty('disabled', true);
  leave(title);
  await press('Make');
  const { make, saved } = await making();
  await make.findByText(/No font here has 漢/);
  const folder = mkdtempSync(join(tmpdir(), 'bellagraph-words-'));
  writeFileSync(join(folder, 'words.pdf'), await saved('Make the PDF'));
  expect(execFileSync('pdffonts', ['words.pdf'], { cwd: folder, encoding: 'utf8' })).toContain(
    'loralatin700italic',
  );
});
