/** What the parts of a session share. */
import type { Project, Surface } from '@/core/project/model';

/** A part of the session with its own setters, and the parts it reads or changes in the same update. */
export type Slice<T, Needs = unknown> = (
  set: (change: Partial<T & Needs>) => void,
  get: () => T & Needs,
) => T;

/** The page with this id, or the first if undo took it away. */
export const surfaceAt = (project: Project, id: string): Surface =>
  project.surfaces.find((surface) => surface.id === id) ?? project.surfaces[0]!;
