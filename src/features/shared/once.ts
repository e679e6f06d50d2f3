const forget: (() => void)[] = [];

/**
 * What is done once in the life of a tab, however often it is asked for; what failed is done again when it is next asked for.
 * `outcome` is what it fails by, where that is not what it answers with.
 */
export function onceATab<A extends unknown[], T>(
  work: (...how: A) => T,
  outcome: (begun: T) => unknown = (begun) => begun,
): (...how: A) => T {
  let begun: { value: T } | undefined;
  forget.push(() => (begun = undefined));
  return (...how) => {
    if (begun) return begun.value;
    const now = { value: work(...how) };
    begun = now;
    Promise.resolve(outcome(now.value)).catch(() => {
      if (begun === now) begun = undefined;
    });
    return now.value;
  };
}

/** As if the tab were opened anew. */
export const openedAnew = (): void => forget.forEach((one) => one());
