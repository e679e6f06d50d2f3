import { expect, jest } from '@jest/globals';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';

/** The sheet in which files are made, of what lies on the table: a person has just opened it. */
export const making = async () => {
  const made = jest.spyOn(URL, 'createObjectURL');
  const make = within(await screen.findByRole('dialog', { name: /^Make/ }));
  const choose = async (of: string, option: string | RegExp) => {
    fireEvent.mouseDown(await make.findByRole('combobox', { name: of }));
    fireEvent.click(await screen.findByRole('option', { name: option }));
  };
  return {
    make,
    choose,
    of: (what: string) => choose('What is made', what),
    as: async (format: string) => fireEvent.click(await make.findByRole('radio', { name: format })),
    purpose: async (name: RegExp) => fireEvent.click(await make.findByRole('button', { name })),
    write: (name: string, text: string) => {
      const field = make.getByRole('textbox', { name });
      fireEvent.change(field, { target: { value: text } });
      fireEvent.keyDown(field, { key: 'Enter' });
    },
    /** What is made when this is pressed. */
    saved: async (button: string): Promise<Uint8Array> => {
      const before = made.mock.calls.length;
      const there = () => screen.getByRole('button', { name: button });
      await waitFor(() => expect(there()).toHaveProperty('disabled', false));
      fireEvent.click(there());
      await waitFor(() => expect(made.mock.calls.length).toBeGreaterThan(before));
      return new Uint8Array(await (made.mock.lastCall![0] as Blob).arrayBuffer());
    },
  };
};
