/** A stamp's areas between its lines, found anew when the bridged gap changes. */
import { useEffect, useMemo, useState } from 'react';
import { areasOf, AREAS_SIDE, coverOf, type Areas, type Lines } from '@/core/colouring/areas';
import type { Piece } from '@/core/piece/piece';
import { smallPixels } from '@/features/table/parts/colours';
import { useRoom, useSession } from '@/features/table/room/context';
import { shownProject } from '@/features/table/session';
import { browser } from '@/output/platform';
import { paintDrawing } from '@/output/pixels/marks';
import { toWhole } from '@/output/drawings';

/** Null until the picture is at hand. `gap` in cells of a thousand at the longer side. */
export function useAreas(piece: Piece | undefined, gap: number): Areas | null {
  const { shelf } = useRoom();
  const sha = piece?.material.kind === 'art' ? piece.material.asset : '';
  const asset = useSession((session) => shownProject(session).assets[sha]);
  const [lines, setLines] = useState<{ sha: string; lines: Lines } | null>(null);
  useEffect(() => {
    if (!asset) return;
    const drawn = (): ImageData | null => {
      if (asset.type !== 'image/svg+xml') {
        const image = shelf.take(asset, 2 * AREAS_SIDE);
        return image ? smallPixels(image, AREAS_SIDE) : null;
      }
      const placed = shelf.drawing(asset);
      if (!placed) return null;
      const scale = AREAS_SIDE / Math.max(placed.whole.width, placed.whole.height);
      const [width, height] = [Math.ceil(placed.whole.width * scale), Math.ceil(placed.whole.height * scale)];
      const { context } = browser.canvas(width, height);
      const [a, b, c, d, e, f] = toWhole(placed.drawing, placed.whole);
      const map = [a * scale, b * scale, c * scale, d * scale, e * scale, f * scale] as const;
      paintDrawing(context, placed.drawing, map, browser, 1);
      return context.getImageData(0, 0, width, height);
    };
    const look = () => {
      const pixels = drawn();
      if (pixels)
        setLines({
          sha: asset.sha,
          lines: { width: pixels.width, height: pixels.height, cover: coverOf(pixels.data) },
        });
    };
    const frame = requestAnimationFrame(look);
    const stop = shelf.onArrival((arrived) => arrived === asset.sha && look());
    return () => {
      cancelAnimationFrame(frame);
      stop();
    };
  }, [shelf, asset]);
  return useMemo(() => (lines?.sha === sha ? areasOf(lines.lines, gap) : null), [lines, sha, gap]);
}
