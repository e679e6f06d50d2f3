/** Reads a file part by part. Every part must end after it begins, so no file can hold a reader up. */

export interface Part {
  /** Where the part begins in the file, bytes. */
  from: number;
  /** Where the part after it begins. */
  end: number;
}

/**
 * The parts from `from` to the end of the file, or until `next` answers null.
 * Throws RangeError for a part that does not move forward.
 */
export function* partsFrom<P extends Part>(
  from: number,
  length: number,
  next: (at: number) => P | null,
): Generator<P, void> {
  for (let at = from; at < length;) {
    const part = next(at);
    if (!part) return;
    if (!(part.end > at)) throw new RangeError('The file is damaged: a part of it has no length.');
    yield part;
    at = part.end;
  }
}
