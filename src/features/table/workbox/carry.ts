/** What is carried from the workbox to the page by drag and drop. */
export type Carried =
  | { kind: 'photo'; sha: string }
  | { kind: 'paper'; sha: string }
  | { kind: 'words'; role: 'title' | 'journaling' };

const TYPE = 'application/x-bellagraph-supply';

export function writeCarried(transfer: DataTransfer, carried: Carried): void {
  transfer.setData(TYPE, JSON.stringify(carried));
  transfer.effectAllowed = 'copy';
}

/** What is being carried; while it still hovers only whether it is ours can be known (`hovering`). */
export function readCarried(transfer: DataTransfer, hovering = false): Carried | null {
  if (!transfer.types.includes(TYPE)) return null;
  if (hovering) return { kind: 'words', role: 'title' };
  try {
    return JSON.parse(transfer.getData(TYPE)) as Carried;
  } catch {
    return null;
  }
}
