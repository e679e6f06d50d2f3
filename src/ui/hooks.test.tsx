/** What screens share: values told at a pace, functions that stay, choices that are kept, the focus where something is taken away. */
import { expect, jest, test } from '@jest/globals';
import { act, fireEvent, render, renderHook, screen } from '@testing-library/react';
import { useRef, useState } from 'react';
import { useHeldFocus } from '@/ui/useHeldFocus';
import { useKept } from '@/ui/useKept';
import { usePaced } from '@/ui/usePaced';
import { useSteady } from '@/ui/useSteady';

describe('a paced value', () => {
  beforeEach(() => void jest.useFakeTimers());
  afterEach(() => void jest.useRealTimers());
  const paced = (pace: number) =>
    renderHook(({ value, at }: { value: number; at: number }) => usePaced(value, at), {
      initialProps: { value: 0, at: pace },
    });

  test('is told once in each stretch of time, as it is by then; not what was between', () => {
    const { result, rerender } = paced(100);
    const told: number[] = [];
    for (let value = 1; value <= 25; value++) {
      rerender({ value, at: 100 });
      act(() => void jest.advanceTimersByTime(20));
      if (told.at(-1) !== result.current) told.push(result.current);
    }
    expect(told.length).toBeLessThanOrEqual(6);
    expect(told).toEqual([...told].sort((a, b) => a - b));
    act(() => void jest.advanceTimersByTime(100));
    expect(result.current).toBe(25);
  });

  test('without a pace it is told at once, and paced again it goes on from there', () => {
    const { result, rerender } = paced(0);
    rerender({ value: 7, at: 0 });
    expect(result.current).toBe(7);
    rerender({ value: 8, at: 500 });
    expect(result.current).toBe(7);
    act(() => void jest.advanceTimersByTime(500));
    expect(result.current).toBe(8);
  });
});

test('a steady function is the same one, and does what the newest does', () => {
  const heard: string[] = [];
  const { result, rerender } = renderHook(
    ({ who }: { who: string }) => useSteady((said: string) => void heard.push(`${who} ${said}`)),
    {
      initialProps: { who: 'kite' },
    },
  );
  const first = result.current;
  first('up');
  rerender({ who: 'boat' });
  expect(result.current).toBe(first);
  first('out');
  expect(heard).toEqual(['kite up', 'boat out']);
});

describe('choices that are kept', () => {
  interface Choice {
    way: string;
    count: number;
  }
  const FIRST: Choice = { way: 'rows', count: 3 };
  const read = (kept: unknown) => {
    const { way, count } = kept as Choice;
    if (way === 'broken') throw new Error('no');
    return typeof count === 'number' ? { way, count } : null;
  };
  const choice = () => renderHook(() => useKept('a suite’s choice', FIRST, read));
  beforeEach(() => localStorage.clear());

  test('are the first until they are changed, and the next time what they were changed to', () => {
    const { result } = choice();
    expect(result.current[0]).toEqual(FIRST);
    act(() => result.current[1]({ count: 5 }));
    expect(result.current[0]).toEqual({ way: 'rows', count: 5 });
    expect(choice().result.current[0]).toEqual({ way: 'rows', count: 5 });
  });

  test.each(['', 'null', '{"way":"rows"}', '{"way":', '{"way":"broken","count":2}', '7'])(
    'what was kept as %s is no good: they are the first',
    (kept) => {
      localStorage.setItem('a suite’s choice', kept);
      expect(choice().result.current[0]).toEqual(FIRST);
    },
  );

  test('a browser that keeps nothing holds them as long as the page is there', () => {
    const own = Object.getOwnPropertyDescriptor(globalThis, 'localStorage')!;
    const setItem = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
    Object.defineProperty(globalThis, 'localStorage', {
      configurable: true,
      value: { getItem: () => null, setItem },
    });
    try {
      const { result } = choice();
      act(() => result.current[1]({ way: 'columns' }));
      expect(result.current[0].way).toBe('columns');
      expect(choice().result.current[0]).toEqual(FIRST);
    } finally {
      Object.defineProperty(globalThis, 'localStorage', own);
    }
  });
});

describe('where what had the focus is taken away', () => {
  /** A list whose rows are taken away by their own button, with a button that stays. */
  function List({ names }: { names: string[] }) {
    const [left, setLeft] = useState(names);
    const frame = useRef<HTMLUListElement>(null);
    const held = useHeldFocus(frame, (part) => part.querySelector('button'));
    return (
      <>
        <ul ref={frame} {...held}>
          {left.map((name) => (
            <li key={name} data-row>
              <button onClick={() => setLeft(left.filter((each) => each !== name))}>Take {name} away</button>
            </li>
          ))}
        </ul>
        <button>Elsewhere</button>
      </>
    );
  }
  const frames = () => act(async () => void (await new Promise((done) => setTimeout(done, 40))));
  const button = (name: string) => screen.getByRole('button', { name });
  const takeAway = async (name: string) => {
    act(() => button(`Take ${name} away`).focus());
    fireEvent.click(button(`Take ${name} away`));
    // As browsers do when the element that has the focus goes.
    act(() => (document.activeElement as HTMLElement | null)?.blur?.());
    await frames();
  };

  test('the focus goes to what is left of the list, not to the top of the page', async () => {
    render(<List names={['kite', 'boat', 'buoy']} />);
    await takeAway('kite');
    expect(document.activeElement).toBe(button('Take boat away'));
    await takeAway('boat');
    expect(document.activeElement).toBe(button('Take buoy away'));
  });

  test('of an empty list it goes nowhere, and nothing fails', async () => {
    render(<List names={['kite']} />);
    await takeAway('kite');
    expect(document.activeElement).toBe(document.body);
  });

  test('who has gone elsewhere is not fetched back', async () => {
    render(<List names={['kite', 'boat']} />);
    act(() => button('Take kite away').focus());
    act(() => button('Elsewhere').focus());
    fireEvent.click(button('Take kite away'));
    await frames();
    expect(document.activeElement).toBe(button('Elsewhere'));
  });
});
