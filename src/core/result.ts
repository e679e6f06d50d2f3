/** An answer that may fail: a value, or a message written for a person. Used at every door; never thrown. */
export type Result<T> = { ok: true; value: T } | { ok: false; message: string };

export const ok = <T>(value: T): Result<T> => ({ ok: true, value });
export const fail = (message: string): Result<never> => ({ ok: false, message });
