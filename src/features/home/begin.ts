/** A project begun with bare paper. By itself: what a project is made of weighs more than the rest of Home. */
import { beginProduct, untitled, type ProductName } from '@/core/product';
import { newProject } from '@/core/project/model';
import { begun } from '@/core/project/sides';
import { addProject } from '@/storage/shelved';

/** What is begun: a product of some finished size, made up in one of its ways. */
export interface Begun {
  kind: ProductName;
  width: number;
  height: number;
  unit: 'in' | 'mm';
  way?: string;
}

/** Puts an empty one on the shelf. Rejects if the store does not take it. */
export async function begin({ kind, way, unit, ...size }: Begun, id: string, now: number): Promise<void> {
  const today = new Date(now);
  const month = { year: today.getFullYear(), month: today.getMonth() + 1 };
  const bare = newProject({ id, unit, title: untitled(kind) }, beginProduct(kind, size, way, month));
  await addProject(begun(bare), now);
}
