/** Small parts that every screen is made of: what they say, what is pressed, what stays, and what they do when a room falls over. */
import { expect, jest, test } from '@jest/globals';
import { act, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { useState } from 'react';
import { Chosen } from '@/ui/Chosen';
import { Dial } from '@/ui/Dial';
import { LabelledSlider } from '@/ui/LabelledSlider';
import { NoticesProvider, useNotify } from '@/ui/notices';
import type { Notice } from '@/ui/notice';
import { OneOf } from '@/ui/OneOf';
import { RoomBoundary } from '@/ui/RoomBoundary';
import { RowSlider } from '@/ui/RowSlider';
import { axe } from '../../scripts/testing/axe';

describe('one of a few', () => {
  const ways = [
    ['left', 'Left'],
    ['top', 'Top'],
    ['none', 'None'],
  ] as const;
  function Ways({ first, heard }: { first: string | null; heard: (way: string) => void }) {
    const [way, setWay] = useState(first);
    const choose = (next: string) => {
      heard(next);
      setWay(next);
    };
    return <OneOf label="Folded" value={way} all={ways} onChoose={choose} />;
  }
  const pressed = () => screen.getAllByRole('button').map((button) => button.getAttribute('aria-pressed'));

  test('is pressed, and stays pressed when it is pressed again', async () => {
    const heard = jest.fn<(way: string) => void>();
    const { container } = render(<Ways first="left" heard={heard} />);
    expect(screen.getByRole('group', { name: 'Folded' })).toBeDefined();
    expect(pressed()).toEqual(['true', 'false', 'false']);
    fireEvent.click(screen.getByRole('button', { name: 'Top' }));
    expect(pressed()).toEqual(['false', 'true', 'false']);
    fireEvent.click(screen.getByRole('button', { name: 'Top' }));
    expect(pressed()).toEqual(['false', 'true', 'false']);
    expect(heard.mock.calls).toEqual([['top']]);
    expect(await axe(container)).toEqual([]);
  });

  test('none may be, to begin with; shut off, nothing is chosen', () => {
    const heard = jest.fn<(way: string) => void>();
    const { rerender } = render(<Ways first={null} heard={heard} />);
    expect(pressed()).toEqual(['false', 'false', 'false']);
    rerender(<OneOf label="Folded" value="left" all={ways} disabled onChoose={heard} />);
    for (const button of screen.getAllByRole<HTMLButtonElement>('button')) expect(button.disabled).toBe(true);
  });
});

describe('one of a list', () => {
  test('is called by its name, opened by a press or a key, and chosen from', async () => {
    const heard = jest.fn<(side: number) => void>();
    const { container } = render(
      <Chosen
        label="Paper"
        value={2}
        all={[
          [1, 'Letter'],
          [2, 'A4'],
        ]}
        disabled={false}
        onChoose={heard}
      />,
    );
    const list = screen.getByRole('combobox', { name: 'Paper' });
    expect(list.textContent).toBe('A4');
    expect(await axe(container)).toEqual([]);
    fireEvent.keyDown(list, { key: 'ArrowDown' });
    const open = within(await screen.findByRole('listbox'));
    expect(open.getAllByRole('option').map((option) => option.textContent)).toEqual(['Letter', 'A4']);
    fireEvent.click(open.getByRole('option', { name: 'Letter' }));
    expect(heard.mock.calls).toEqual([[1]]);
  });
});

describe('sliders', () => {
  const slider = (name: string) => screen.getByRole<HTMLInputElement>('slider', { name });
  const push = (name: string, key: string) => fireEvent.keyDown(slider(name), { key });

  test('a dial says what it sets and to how much, to a tenth, and goes by its steps', async () => {
    function Warmth() {
      const [value, setValue] = useState(3.14159);
      return (
        <Dial name="Warmth" unit="%" least={-10} most={10} step={0.5} value={value} onChange={setValue} />
      );
    }
    const { container } = render(<Warmth />);
    expect(screen.getByText('Warmth 3.1 %')).toBeDefined();
    push('Warmth', 'ArrowRight');
    expect(Number(slider('Warmth').value)).toBeGreaterThan(3.1);
    push('Warmth', 'End');
    expect(screen.getByText('Warmth 10 %')).toBeDefined();
    push('Warmth', 'Home');
    expect(screen.getByText('Warmth -10 %')).toBeDefined();
    expect(await axe(container)).toEqual([]);
  });

  test('in a row it says its value, or what that means; to those who cannot see, too', () => {
    const heard = jest.fn<(value: number) => void>();
    const row = (says?: string) => (
      <RowSlider
        label="Lift"
        least={0}
        most={20}
        value={4.25}
        says={says}
        spoken={(value) => `${value} points`}
        onChange={heard}
      />
    );
    const { rerender } = render(row());
    expect(screen.getByText('4.3')).toBeDefined();
    expect(slider('Lift').getAttribute('aria-valuetext')).toBe('4.25 points');
    rerender(row('high'));
    expect(screen.getByText('high')).toBeDefined();
    push('Lift', 'ArrowLeft');
    expect(heard.mock.calls.at(-1)![0]).toBeLessThan(4.25);
  });

  test('when the hand lets go is told apart from when it moves', () => {
    const [moved, let_go] = [jest.fn<(value: number) => void>(), jest.fn<(value: number) => void>()];
    render(<LabelledSlider label="Gap" min={0} max={9} value={3} onChange={moved} onCommit={let_go} />);
    push('Gap', 'ArrowRight');
    expect(moved).toHaveBeenLastCalledWith(4);
    expect(let_go).toHaveBeenLastCalledWith(4);
  });

  test('shut off it does not move', () => {
    const heard = jest.fn<(value: number) => void>();
    render(<Dial name="Warmth" unit="%" least={0} most={10} value={3} disabled onChange={heard} />);
    expect(slider('Warmth').disabled).toBe(true);
  });
});

describe('notices', () => {
  let tell: (notice: Notice) => void = () => {};
  function Told() {
    tell = useNotify();
    return null;
  }
  const room = () =>
    render(
      <NoticesProvider>
        <Told />
      </NoticesProvider>,
    );
  const told = async () => (await screen.findByRole('alert')).textContent;

  test('what happened is told, and what comes next takes its place', async () => {
    room();
    act(() => tell({ text: 'Kites were laid.' }));
    expect(await told()).toContain('Kites were laid.');
    act(() => tell({ text: 'They were taken back.' }));
    await waitFor(async () => expect(await told()).toContain('They were taken back.'));
    expect(screen.getAllByRole('alert')).toHaveLength(1);
  });

  test('an error stays until it is closed: what comes after it is told beneath it, once', async () => {
    room();
    act(() => tell({ text: 'It was not kept.', tone: 'error' }));
    act(() => tell({ text: 'Kites were laid.' }));
    await waitFor(async () => expect(await told()).toContain('It was not kept.\nKites were laid.'));
    fireEvent.click(within(screen.getByRole('alert')).getByRole('button', { name: 'Close' }));
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
    act(() => tell({ text: 'Once.', tone: 'error' }));
    act(() => tell({ text: 'Once.', tone: 'error' }));
    await waitFor(async () => expect((await told())!.match(/Once\./g)).toHaveLength(1));
  });

  test('what may be done about it is one press, after which it goes', async () => {
    room();
    const run = jest.fn();
    act(() => tell({ text: 'It was deleted.', action: { label: 'Put it back', run } }));
    fireEvent.click(await screen.findByRole('button', { name: 'Put it back' }));
    expect(run).toHaveBeenCalledTimes(1);
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
  });
});

describe('a room that falls over', () => {
  const quiet = () => jest.spyOn(console, 'error').mockImplementation(() => {});
  let broken: Error | null = null;
  function Room() {
    if (broken) throw broken;
    return <p>The table</p>;
  }

  test('says what happened and that all is kept, leads home, and is laid out again', async () => {
    quiet();
    broken = new Error(`no such piece ${'x'.repeat(400)}`);
    const { container } = render(
      <RoomBoundary more={<button>Save a copy</button>}>
        <Room />
      </RoomBoundary>,
    );
    const alert = within(screen.getByRole('alert'));
    expect(alert.getByText('Something went wrong here')).toBeDefined();
    expect(
      alert.getByText(/What you did is kept in this browser, with all that can be undone/),
    ).toBeDefined();
    // What it said is told, and not all of it where that is long.
    expect(alert.getByText(/^It said: no such piece x+$/).textContent!.length).toBeLessThan(220);
    expect(alert.getByRole('link', { name: 'Back to all projects' }).getAttribute('href')).toBe('/');
    expect(alert.getByRole('button', { name: 'Save a copy' })).toBeDefined();
    expect(await axe(container)).toEqual([]);
    fireEvent.click(alert.getByRole('button', { name: 'Lay it out again' }));
    expect(screen.getByRole('alert')).toBeDefined();
    broken = null;
    fireEvent.click(screen.getByRole('button', { name: 'Lay it out again' }));
    expect(screen.getByText('The table')).toBeDefined();
  });

  test('where a part of the program could not be fetched it says that instead', () => {
    quiet();
    broken = Object.assign(new Error('Loading chunk 7 failed'), { name: 'ChunkLoadError' });
    render(
      <RoomBoundary>
        <Room />
      </RoomBoundary>,
    );
    expect(screen.getByText('A part of the program could not be fetched')).toBeDefined();
    broken = null;
  });
});
