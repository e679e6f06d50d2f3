/** Bytes in parts that follow each other. */

export const lengthOf = (parts: readonly Uint8Array[]): number =>
  parts.reduce((sum, { length }) => sum + length, 0);

/** Parts that follow each other as one. */
export function joined(parts: readonly Uint8Array[]): Uint8Array<ArrayBuffer> {
  const whole = new Uint8Array(lengthOf(parts));
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}
