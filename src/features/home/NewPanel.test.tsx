import { expect, jest, test } from '@jest/globals';
import { fireEvent, render, screen, within } from '@testing-library/react';
import { NewPanel } from '@/features/home/NewPanel';

test('sizes are offered by name; a size of one’s own is read in any unit and checked in words', async () => {
  const onCreate = jest.fn();
  render(<NewPanel onCreate={onCreate} onReady={() => {}} />);
  for (const name of ['12 x 12 in', '8 x 8 in', '8.5 x 11 in', '6 x 8 in', 'A4', 'A3'])
    screen.getByRole('button', { name: new RegExp(`^New layout ${name},`) });
  fireEvent.click(screen.getByRole('button', { name: /^New layout A4,/ }));
  expect(onCreate).toHaveBeenLastCalledWith({
    width: expect.closeTo((210 * 72) / 25.4, 9),
    height: expect.closeTo((297 * 72) / 25.4, 9),
    unit: 'mm',
    kind: 'layout',
  });
  fireEvent.click(screen.getByRole('button', { name: 'Another size …' }));
  const form = await screen.findByRole('form', { name: 'Custom size' });
  const type = (side: string, value: string) =>
    fireEvent.change(screen.getByRole('textbox', { name: side }), { target: { value } });
  const asked = () => {
    fireEvent.submit(form);
    return screen.queryByRole('alert')?.textContent;
  };
  expect(asked()).toBe('Give a width, such as 7 1/2.');
  type('Width', '61');
  type('Height', '7 1/2');
  expect(asked()).toBe('Width is too large: a page side measures 1 to 60 in.');
  type('Width', '190mm');
  expect(asked()).toBeUndefined();
  const { width, height, unit } = onCreate.mock.lastCall![0] as {
    width: number;
    height: number;
    unit: string;
  };
  expect([width.toFixed(2), height, unit]).toEqual(['538.58', 540, 'in']);
});

test('a card is begun by its fold and its shut size; its own size may be as large as its sheet allows', async () => {
  const onCreate = jest.fn();
  render(<NewPanel onCreate={onCreate} onReady={() => {}} />);
  fireEvent.click(screen.getByRole('button', { name: 'Card' }));
  for (const name of ['5.5 x 4.25 in', '4.25 x 5.5 in', '5 x 7 in', 'A6', '148 x 148 mm'])
    screen.getByRole('button', { name: new RegExp(`^New card ${name},`) });
  fireEvent.click(within(screen.getByRole('group', { name: 'Folded' })).getByRole('button', { name: 'Top' }));
  fireEvent.click(screen.getByRole('button', { name: /^New card 5 x 7 in/ }));
  expect(onCreate).toHaveBeenLastCalledWith({
    width: 360,
    height: 504,
    unit: 'in',
    kind: 'card',
    way: 'top',
  });
  fireEvent.click(screen.getByRole('button', { name: 'Another size …' }));
  await screen.findByText('Any size from 1 to 20 in a side.');
});

test('a calendar that is folded is half as large at the most: its paper is twice what is seen of it', async () => {
  const onCreate = jest.fn();
  render(<NewPanel onCreate={onCreate} onReady={() => {}} />);
  fireEvent.click(screen.getByRole('button', { name: 'Calendar' }));
  const ways = within(screen.getByRole('group', { name: 'With' }));
  fireEvent.click(screen.getByRole('button', { name: 'Another size …' }));
  for (const [way, most] of [
    ['Picture', 60],
    ['Folded', 30],
    ['Tent', 30],
    ['Year', 60],
  ] as const) {
    fireEvent.click(ways.getByRole('button', { name: way }));
    await screen.findByText(`Any size from 1 to ${most} in a side.`);
  }
});
