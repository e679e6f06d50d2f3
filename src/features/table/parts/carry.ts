/** What is carried from the workbox or the cupboard to the page by drag and drop. */
import type { Compartment } from '@/core/project/model';

export type Carried =
  | { kind: 'gathered'; compartment: Compartment; sha: string }
  | { kind: 'supply'; id: string }
  | { kind: 'words'; role: 'title' | 'journaling' };

const TYPE = 'application/x-bellagraph-supply';

export function writeCarried(transfer: DataTransfer, carried: Carried): void {
  transfer.setData(TYPE, JSON.stringify(carried));
  transfer.effectAllowed = 'copy';
}

/** Whether something of ours hovers; what it is can only be known once it is dropped. */
export const isCarried = (transfer: DataTransfer): boolean => transfer.types.includes(TYPE);

export function readCarried(transfer: DataTransfer): Carried | null {
  try {
    return isCarried(transfer) ? (JSON.parse(transfer.getData(TYPE)) as Carried) : null;
  } catch {
    return null;
  }
}
