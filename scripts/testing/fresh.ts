import { cleanup } from '@testing-library/react';
import { afterAll, afterEach, beforeAll, jest } from '@jest/globals';
import { openedAnew } from '@/features/shared/once';
import { atRest, emptyStore } from './store';

/** What each suite with a screen begins with, as if nothing had been before it. `bundle.mjs` puts it there. */
export function freshScreen(): void {
  beforeAll(async () => {
    document.body.replaceChildren();
    localStorage.clear();
    sessionStorage.clear();
    openedAnew();
    await emptyStore();
  });
  const { fetch } = globalThis;
  afterAll(async () => {
    // What a screen began and did not wait for would write into the next suite's store.
    await atRest();
    globalThis.fetch = fetch;
  });
  afterEach(() => {
    cleanup();
    jest.restoreAllMocks();
  });
}
