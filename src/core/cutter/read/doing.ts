/** What a layer's name says is done along its lines. */
import type { Doing } from '@/core/cutter/model';

/** They are cut where it says nothing else. */
export function doingOf(layer: string): Doing {
  const name = layer.toLowerCase();
  return /score|fold|crease/.test(name) ? 'score' : /draw|pen|write/.test(name) ? 'draw' : 'cut';
}
