/** Middles that fall out: of letters, and of whatever has a hole in a hole. */
import type { CutCheck } from '@/core/cutter/checks/check';
import { middle, placedAt } from '@/core/cutter/checks/where';

export const MIDDLES: CutCheck = {
  id: 'middles',
  look: ({ loose, parts, mats, settings }) =>
    [...new Set(loose.map(({ piece, part }) => piece ?? part))].map((key) => {
      const all = loose.filter(({ piece, part }) => (piece ?? part) === key);
      const [{ part, piece }] = all as [(typeof all)[number]];
      return {
        ...placedAt(mats, part, middle),
        name: parts.find(({ id }) => id === part)?.name ?? '',
        says:
          all.length > 1
            ? `${all.length} middles hang on nothing: they fall out.`
            : 'This middle hangs on nothing: it falls out.',
        ...(piece
          ? { cure: { says: 'Hold with bridges', pieces: [piece], change: { bridge: settings.bridge } } }
          : {}),
      };
    }),
  clear: 'No middle falls out.',
};
