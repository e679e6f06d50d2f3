/** What lies beyond the mat, or on none because it is larger than all of them. */
import type { CutCheck } from '@/core/cutter/checks/check';
import { middle } from '@/core/cutter/checks/where';
import { apply } from '@/core/geometry/matrix';
import { MATS, type MatName } from '@/core/cutter/settings';
import { formatSize } from '@/core/units/lengths';

const NEAR = 0.01;

export const OUTSIDE: CutCheck = {
  id: 'outside',
  look({ parts, mats, settings }) {
    const laid = new Set(mats.flatMap((mat) => mat.laid.map(({ part }) => part.id)));
    const { width, height } = MATS[settings.mat];
    const longest = Object.entries(MATS).sort(([, a], [, b]) => b.height - a.height)[0]![0] as MatName;
    const larger = (box: { width: number; height: number }) =>
      settings.mat !== longest &&
      Math.min(box.width, box.height) <= MATS[longest].width &&
      Math.max(box.width, box.height) <= MATS[longest].height
        ? { cure: { says: `Take the ${MATS[longest].name} mat`, set: { mat: longest } } }
        : {};
    const none = parts
      .filter(({ id }) => !laid.has(id))
      .map((part) => ({
        mat: null,
        at: middle(part),
        name: part.name,
        says: `It measures ${formatSize(part.box, 'mm')}, and is larger than the mat.`,
        ...larger(part.box),
      }));
    const beyond = mats.flatMap((mat, i) =>
      mat.laid.flatMap(({ part, map }) => {
        const points = (part.rings[0] ?? part.lines.flatMap((line) => line.points)).map((p) => apply(map, p));
        const out = points.some(
          ({ x, y }) => x < -NEAR || y < -NEAR || x > width + NEAR || y > height + NEAR,
        );
        if (!out) return [];
        const cure =
          settings.way === 'papers'
            ? { cure: { says: 'Lay all closely', set: { packed: true } } }
            : larger({ width: mat.laid.length ? part.box.width : 0, height: part.box.height });
        return [
          {
            mat: i,
            at: apply(map, middle(part)),
            name: part.name,
            says: 'It reaches beyond the mat.',
            ...cure,
          },
        ];
      }),
    );
    return [...none, ...beyond];
  },
  clear: 'All lies on the mats.',
};
