import { remember, remembered } from '@/ui/remembered';

const own = Object.getOwnPropertyDescriptor(globalThis, 'localStorage');
const storeOf = (get: () => unknown) =>
  Object.defineProperty(globalThis, 'localStorage', { get, configurable: true });
afterEach(() => {
  if (own) Object.defineProperty(globalThis, 'localStorage', own);
  else Reflect.deleteProperty(globalThis, 'localStorage');
});

test('what was chosen is known again until it is forgotten', () => {
  const kept = new Map<string, string>();
  storeOf(() => ({
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
    removeItem: (key: string) => void kept.delete(key),
  }));
  remember('rows', '3');
  expect(remembered('rows')).toBe('3');
  remember('rows', null);
  expect(remembered('rows')).toBeNull();
});

test.each<[string, () => unknown]>([
  ['there is no store', () => undefined],
  [
    'the browser forbids it',
    () => {
      throw new DOMException('denied', 'SecurityError');
    },
  ],
  [
    'it is full',
    () => ({
      getItem: () => null,
      setItem: () => {
        throw new DOMException('full', 'QuotaExceededError');
      },
    }),
  ],
])('nothing fails where %s', (_, get) => {
  storeOf(get);
  remember('rows', '3');
  expect(remembered('rows')).toBeNull();
});
