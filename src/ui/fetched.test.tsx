/** Parts that are fetched, and rooms that fall over: what is told, what goes on, and how one begins again. */
import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { act, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { useState, type ReactNode } from 'react';
import { fetched, inBrowser, isUnfetched } from '@/ui/fetched';
import { dragWords } from '@/ui/useDragSensors';
import { NoticesProvider, useNotify } from '@/ui/notices';
import { RoomBoundary } from '@/ui/RoomBoundary';

// React tells of each error it hands to a boundary.
beforeEach(() => void jest.spyOn(console, 'error').mockImplementation(() => {}));
afterEach(() => void jest.useRealTimers());
const inRoom = (room: ReactNode) => render(<NoticesProvider>{room}</NoticesProvider>);
const unreachable = () => Object.assign(new Error('Loading chunk 7 failed'), { name: 'ChunkLoadError' });
const Sheet = ({ says = 'A sheet' }: { says?: string; onClose?: () => void }) => <p>{says}</p>;
const told = async (words: RegExp) => (await screen.findByText(words)).closest<HTMLElement>('[role=alert]')!;

test('a part that cannot be fetched is told of by its name, asked for again by a press, and is at hand from then on', async () => {
  const load = jest
    .fn<() => Promise<typeof Sheet>>()
    .mockRejectedValueOnce(unreachable())
    .mockResolvedValue(Sheet);
  const Steps = fetched('Steps', load);
  const shown = inRoom(
    <>
      <Steps />
      <p>The page</p>
    </>,
  );
  const alert = await told(/^Steps could not be fetched: the program cannot be reached just now\./);
  // Nothing else goes with it.
  screen.getByText('The page');
  expect(screen.queryByText('A sheet')).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
  await screen.findByText('A sheet');
  expect([load.mock.calls.length, alert.isConnected]).toEqual([2, false]);
  shown.unmount();
  // Opened once more it comes at once.
  inRoom(<Steps says="At once" />);
  screen.getByText('At once');
  expect(load).toHaveBeenCalledTimes(2);
});

test('a room is fetched before anybody enters it; its walls stand until it is there, and what failed then is asked for anew', async () => {
  let arrive = (_: typeof Sheet) => {};
  const load = jest
    .fn<() => Promise<typeof Sheet>>()
    .mockRejectedValueOnce(unreachable())
    .mockReturnValue(new Promise((done) => (arrive = done)));
  const Room = inBrowser('The room', load, () => <p>Walls</p>);
  expect(load).toHaveBeenCalledTimes(1);
  inRoom(<Room says="A room" />);
  screen.getByText('Walls');
  await act(async () => arrive(Sheet));
  screen.getByText('A room');
  expect(screen.queryByText('Walls')).toBeNull();
});

test('the walls of a room that cannot be fetched stay, with whatever way out they have', async () => {
  const load = jest.fn<() => Promise<typeof Sheet>>().mockRejectedValue(unreachable());
  const Room = inBrowser('The room', load, () => <p>Walls</p>);
  inRoom(<Room />);
  await told(/^The room could not be fetched/);
  screen.getByText('Walls');
  load.mockResolvedValue(Sheet);
  fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
  await screen.findByText('A sheet');
});

test('what can be closed is closed when it has a fault; what arrives after it was left is not shown', async () => {
  const onClose = jest.fn();
  const Broken = fetched('Contact sheets', async () => () => {
    throw new Error('A cog broke');
  });
  inRoom(<Broken {...{ onClose }} />);
  await told(
    /^Contact sheets had a fault and was closed\. Everything else goes on, and what you did is kept\./,
  );
  expect(onClose).toHaveBeenCalledTimes(1);
  expect(screen.queryByRole('button', { name: 'Try again' })).toBeNull();
  let arrive = (_: typeof Sheet) => {};
  const Late = fetched('Late', () => new Promise<typeof Sheet>((done) => (arrive = done)));
  const { unmount } = inRoom(<Late />);
  unmount();
  await act(async () => arrive(Sheet));
  expect(screen.queryByText('A sheet')).toBeNull();
});

test('whether it is the code that was not to be had, as bundlers and browsers say it', () => {
  for (const message of [
    'Loading chunk 12 failed.',
    'Failed to load chunk /_next/static/chunks/a.js from module 3',
    'Failed to fetch dynamically imported module: http://localhost/a.js',
    'error loading dynamically imported module',
    'Importing a module script failed.',
  ])
    expect([message, isUnfetched(new Error(message))]).toEqual([message, true]);
  expect([isUnfetched(unreachable()), isUnfetched(new Error('A cog broke')), isUnfetched('chunk')]).toEqual([
    true,
    false,
    false,
  ]);
});

test('a room that falls over says what happened, offers what else can be done, and is laid out again', async () => {
  let broken = true;
  const Room = () => {
    if (broken) throw new Error('A cog broke');
    return <p>The room</p>;
  };
  const save = jest.fn();
  const shown = render(
    <RoomBoundary
      more={
        <button type="button" onClick={save}>
          Save the project as a file
        </button>
      }
    >
      <Room />
    </RoomBoundary>,
  );
  const alert = screen.getByRole('alert');
  expect(alert.textContent).toContain('Something went wrong here');
  expect(alert.textContent).toContain('It said: A cog broke');
  fireEvent.click(screen.getByRole('button', { name: 'Save the project as a file' }));
  expect(save).toHaveBeenCalledTimes(1);
  expect(screen.getByRole('link', { name: 'Back to all projects' }).getAttribute('href')).toBe('/');
  broken = false;
  fireEvent.click(screen.getByRole('button', { name: 'Lay it out again' }));
  screen.getByText('The room');
  shown.unmount();
  const Unreached = () => {
    throw unreachable();
  };
  render(
    <RoomBoundary>
      <Unreached />
    </RoomBoundary>,
  );
  expect(screen.getByRole('alert').textContent).toContain('A part of the program could not be fetched');
});

test('an error stays until it is closed, with what comes after it beneath; what can be undone stays longer than the rest', async () => {
  const run = jest.fn();
  function Teller() {
    const notify = useNotify();
    const [at, setAt] = useState(0);
    const all = [
      { text: 'Copied.' },
      { text: 'No room left.', tone: 'error' },
      { text: 'Kept all the same.' },
      { text: 'No room left.', tone: 'error' },
      { text: 'Deleted.', action: { label: 'Undo', run } },
    ] as const;
    return (
      <button type="button" onClick={() => (notify(all[at]!), setAt(at + 1))}>
        Next
      </button>
    );
  }
  inRoom(<Teller />);
  const next = () => fireEvent.click(screen.getByRole('button', { name: 'Next' }));
  const says = () => screen.queryByRole('alert')?.textContent ?? null;
  next();
  await waitFor(() => expect(says()).toBe('Copied.'));
  next();
  expect(says()).toBe('No room left.');
  next();
  expect(says()).toBe('No room left.\nKept all the same.');
  fireEvent.click(screen.getByRole('button', { name: 'Close' }));
  expect(says()).toBeNull();
  next();
  fireEvent.click(screen.getByRole('button', { name: 'Close' }));
  next();
  fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
  expect([run.mock.calls.length, says()]).toEqual([1, null]);
});

test('what is carried is said as it goes: picked up, over another, laid there, left where it was', () => {
  const { announcements, screenReaderInstructions } = dragWords((id) => `Page ${id}`);
  const say = announcements as unknown as Record<string, (at: object) => string | undefined>;
  const [active, over] = [{ id: 1 }, { id: 3 }];
  expect(screenReaderInstructions!.draggable).toContain('Space picks it up');
  expect(say.onDragStart!({ active })).toBe('Page 1 is picked up.');
  expect(say.onDragOver!({ active, over })).toBe('Page 1 is over Page 3.');
  expect(say.onDragOver!({ active, over: active })).toBeUndefined();
  expect(say.onDragEnd!({ active, over })).toBe('Page 1 was laid where Page 3 was.');
  for (const at of [
    { active, over: null },
    { active, over: active },
  ])
    expect(say.onDragEnd!(at)).toBe('Page 1 stays where it was.');
  expect(say.onDragCancel!({ active })).toBe('Page 1 stays where it was.');
});
