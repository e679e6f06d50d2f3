import { afterEach, expect, jest, test } from '@jest/globals';
import { act, render, screen } from '@testing-library/react';
import { LayingOut } from '@/features/table/LayingOut';

afterEach(() => void jest.useRealTimers());

test('what stays away can be asked for anew, but not before one would wonder', () => {
  jest.useFakeTimers();
  render(<LayingOut />);
  screen.getByText(/^Laying out the page …/);
  act(() => void jest.advanceTimersByTime(11_000));
  expect(screen.queryByRole('button')).toBeNull();
  act(() => void jest.advanceTimersByTime(2_000));
  expect(screen.getByRole('status').textContent).toContain('This takes longer than it should.');
  screen.getByRole('button', { name: 'Load it anew' });
});
