/** A punch as SVG path data about the origin, for buttons. */
import { pathData } from '@/core/geometry/path';
import { punch } from '@/core/piece/outline/punch';
import type { Punch } from '@/core/piece/outline/punches/punch';

export function punchDrawing({ id, shape }: Punch, side: number): string {
  const size = shape >= 1 ? { width: side, height: side / shape } : { width: side * shape, height: side };
  return pathData(punch.cut({ kind: 'punch', punch: id, settings: {} }, size, undefined as never).path, 1);
}
