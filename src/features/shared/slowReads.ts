/** Files that take long to read because the computer is slow or busy: a person says whether to go on waiting. */

export interface SlowFile {
  name: string;
  skip: () => void;
}

let files: readonly SlowFile[] = [];
const listeners = new Set<() => void>();
const set = (next: readonly SlowFile[]) => {
  files = next;
  listeners.forEach((hear) => hear());
};

export const slowFiles = {
  now: (): readonly SlowFile[] => files,
  listen: (hear: () => void): (() => void) => {
    listeners.add(hear);
    return () => void listeners.delete(hear);
  },
  /** Somebody wants to wait: no more is asked of those. */
  wait: () => set([]),
};

/** Asks about a file; what it answers with takes the question back. */
export function askAbout(name: string, skip: () => void): () => void {
  const file = { name, skip };
  set([...files, file]);
  return () => set(files.filter((one) => one !== file));
}
