/** What is found out about photos after they were brought in. */
import type { Box } from '@/core/geometry/box';
import { MOST_FACES } from '@/core/photos/faces';
import type { Edit } from '@/core/project/edits/edit';

/** Notes where faces are in photos, by SHA-256; none where there are none, so that nobody looks again. */
export const knowFaces = (found: ReadonlyMap<string, readonly Box[]>): Edit => ({
  label: `find faces in ${found.size === 1 ? 'a photo' : `${found.size} photos`}`,
  apply({ assets }) {
    for (const [sha, faces] of found) {
      const asset = assets[sha];
      if (asset) asset.faces = faces.slice(0, MOST_FACES).map((face) => ({ ...face }));
    }
  },
});
