'use client';
/** While a picture is slid in its place: the whole of it, faint, around the cut, with lines at its thirds. */
import { useEffect, useState } from 'react';
import { centredBox } from '@/core/geometry/box';
import { compose } from '@/core/geometry/matrix';
import { uprightSize } from '@/core/picture/asset';
import { pictureScale } from '@/core/piece/material';
import { windowMatrix } from '@/core/piece/material/window';
import { placementMatrix } from '@/core/piece/placement/placement';
import { proxyBlob } from '@/storage/assets';
import { useSession } from '@/features/table/room/context';
import { shownProject, shownSurface } from '@/features/table/room/session';
import { viewMatrix } from '@/features/table/stage/view';

export function Sliding({ id }: { id: string }) {
  const view = useSession((session) => session.view);
  const piece = useSession((session) => shownSurface(session).pile.find((candidate) => candidate.id === id));
  const material = piece && 'window' in piece.material ? piece.material : undefined;
  const asset = useSession((session) =>
    material ? shownProject(session).assets[material.asset] : undefined,
  );
  const [address, setAddress] = useState<string>();
  const sha = asset?.sha;

  useEffect(() => {
    let made: string | undefined;
    let gone = false;
    if (sha)
      void proxyBlob(sha, 'screen').then((blob) => {
        if (!blob || gone) return;
        made = URL.createObjectURL(blob);
        setAddress(made);
      });
    return () => {
      gone = true;
      if (made) URL.revokeObjectURL(made);
    };
  }, [sha]);

  if (!piece || !material || !asset) return null;
  const size = uprightSize(asset);
  const frame = compose(viewMatrix(view), placementMatrix(piece.placement));
  const picture = compose(
    frame,
    windowMatrix(material.window, size, piece.placement, pictureScale(material, asset, piece.placement)),
  );
  const { x, y, width, height } = centredBox(piece.placement);
  const line = 1 / view.zoom;
  return (
    <svg
      style={{ position: 'absolute', inset: 0, width: '100%', height: '100%', pointerEvents: 'none' }}
      aria-hidden="true"
    >
      <g transform={`matrix(${picture.join(' ')})`} opacity={0.38}>
        {address && (
          <image href={address} width={size.width} height={size.height} preserveAspectRatio="none" />
        )}
      </g>
      <g transform={`matrix(${frame.join(' ')})`} stroke="#fffdf6" strokeWidth={line} opacity={0.9}>
        {[1 / 3, 2 / 3].map((share) => (
          <path
            key={share}
            d={`M${x + width * share} ${y}v${height}M${x} ${y + height * share}h${width}`}
            fill="none"
          />
        ))}
      </g>
    </svg>
  );
}
