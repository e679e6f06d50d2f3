/** Small choices that belong to a browser. One that keeps nothing, or is full, forgets them; nothing else depends on them. */

export function remembered(key: string): string | null {
  try {
    return globalThis.localStorage?.getItem(key) ?? null;
  } catch {
    return null;
  }
}

/** Null forgets it. */
export function remember(key: string, value: string | null): void {
  try {
    if (value === null) globalThis.localStorage?.removeItem(key);
    else globalThis.localStorage?.setItem(key, value);
  } catch {
    // Nothing can be kept here.
  }
}
