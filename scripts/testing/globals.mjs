/** `@jest/globals` in a bundle. */
export const { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it, jest, test } = globalThis;
