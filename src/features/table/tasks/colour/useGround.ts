/** A piece's picture made ready to be marked on: as it is worn but for its dyes, small. */
import { useEffect, useState } from 'react';
import { AREA_SIDE } from '@/core/dye/area';
import { groundOf, type Ground } from '@/core/dye/grow';
import { isDyeable } from '@/core/project/edits/dyes';
import type { Piece } from '@/core/piece/piece';
import { smallPixels } from '@/features/table/parts/colours';
import { useRoom, useSession } from '@/features/table/room/context';
import { shownProject } from '@/features/table/session';

/** Null until the picture is at hand, and for drawings: they are marked by their parts. */
export function useGround(piece: Piece | undefined): Ground | null {
  const { shelf } = useRoom();
  const material = piece && isDyeable(piece.material) ? piece.material : undefined;
  const asset = useSession((session) =>
    material ? shownProject(session).assets[material.asset] : undefined,
  );
  const ink = material?.kind === 'art' ? material.ink : undefined;
  const tone = material && 'tone' in material ? material.tone : undefined;
  const [ground, setGround] = useState<{ key: string; ground: Ground } | null>(null);
  const key = JSON.stringify([asset?.sha, ink, tone]);
  useEffect(() => {
    if (!asset || asset.type === 'image/svg+xml') return;
    const look = () => {
      const image = shelf.take(asset, 2 * AREA_SIDE, { ink, tone });
      if (image) setGround({ key, ground: groundOf(smallPixels(image, AREA_SIDE)) });
    };
    const frame = requestAnimationFrame(look);
    const stop = shelf.onArrival((sha) => sha === asset.sha && look());
    return () => {
      cancelAnimationFrame(frame);
      stop();
    };
  }, [shelf, asset, ink, tone, key]);
  return ground?.key === key ? ground.ground : null;
}
