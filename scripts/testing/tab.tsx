/** The whole table without a browser: a project of the store opened as in a tab of its own. */
import { act, fireEvent, render, waitFor, within } from '@testing-library/react';
import { expect } from '@jest/globals';
import sharp, { type Colour } from 'sharp';
import { TableRoom } from '@/features/table/TableRoom';
import { around } from './room';

const OTHER = /^This project is open in another tab\./;

/** A tab with the project of this id on its table; what is asked for is looked for in this tab alone. */
export const tab = async (id = 'sample') => {
  const shown = render(around(<TableRoom id={id} />));
  const here = within(shown.container);
  await here.findByTestId('stage');
  const pile = () => within(here.getByRole('list', { name: 'Pieces, top first' }));
  return {
    ...shown,
    here,
    /** Whether no other tab has this project. */
    mine: () => here.queryByText(OTHER) === null,
    /** Goes to another room of the program. */
    leave: () => shown.rerender(around(null)),
    title: () => here.getByRole<HTMLInputElement>('textbox', { name: 'Project title' }),
    rename(to: string) {
      const field = here.getByRole('textbox', { name: 'Project title' });
      fireEvent.focus(field);
      fireEvent.change(field, { target: { value: to } });
      fireEvent.blur(field);
    },
    /** Takes hold of the topmost piece of this name. */
    take: (name: string) =>
      fireEvent.click(pile().getAllByRole('button', { name: new RegExp(`^${name}`), pressed: false })[0]!),
    slabs: () =>
      pile()
        .queryAllByRole('button')
        .flatMap((slab) => (slab.hasAttribute('aria-pressed') ? slab.textContent! : [])),
    key: (key: string) =>
      act(async () => void fireEvent.keyDown(document.activeElement ?? document.body, { key })),
    press: async (name: string | RegExp) => fireEvent.click(await here.findByRole('button', { name })),
    kept: () => waitFor(() => expect(here.getByTestId('kept').getAttribute('data-kept')).toMatch(/\d/)),
    bring: (files: File[]) => fireEvent.change(here.getByTestId('photo-input'), { target: { files } }),
    photos: () =>
      within(here.getByRole('list', { name: 'Photos' })).queryAllByRole('button', {
        name: /Enter lays it on the page/,
      }),
  };
};

/** The project opened once more, when the tab before has let it go. */
export const reopened = async (id?: string) => {
  const again = await tab(id);
  await waitFor(() => expect(again.mine()).toBe(true));
  return again;
};

/** A plain photo, as somebody brings it. */
export const photoFile = async (name: string, background: Colour = '#a63'): Promise<File> => {
  const plain = sharp({ create: { width: 300, height: 200, channels: 3, background } });
  return new File([new Uint8Array(await plain.jpeg().toBuffer())], name, { type: 'image/jpeg' });
};
