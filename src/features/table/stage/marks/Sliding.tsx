'use client';
/** While a picture is slid in its place: the whole of it, faint, around the cut, with lines at its thirds. */
import { useEffect, useState } from 'react';
import { compose, translation } from '@/core/geometry/matrix';
import { uprightSize } from '@/core/picture/asset';
import { windowMatrix } from '@/core/piece/material/window';
import { placementMatrix } from '@/core/piece/placement/placement';
import { screenBlob } from '@/storage/assets';
import { useRoom, useSession } from '@/features/table/room/context';
import { shownSurface } from '@/features/table/session';
import { slidPicture } from '@/features/table/acts/slide';
import { viewMatrix } from '@/features/table/stage/hand/view';

export function Sliding() {
  const id = useSession(({ mode }) => (mode.kind === 'slide' ? mode.id : null));
  const { store } = useRoom();
  const view = useSession((session) => session.view);
  const piece = useSession((session) => shownSurface(session).pile.find((candidate) => candidate.id === id));
  // Drawn again when another letter's photo is slid.
  useSession(({ mode }) => (mode.kind === 'slide' ? mode.part : undefined));
  const shown = piece ? slidPicture(store.getState(), piece) : null;
  const [found, setFound] = useState<{ sha: string; address: string }>();
  const sha = shown?.asset.sha;

  useEffect(() => {
    let made: string | undefined;
    let gone = false;
    if (sha)
      void screenBlob(sha).then((blob) => {
        if (!blob || gone) return;
        made = URL.createObjectURL(blob);
        setFound({ sha, address: made });
      });
    return () => {
      gone = true;
      setFound(undefined);
      if (made) URL.revokeObjectURL(made);
    };
  }, [sha]);

  if (!piece || !shown) return null;
  const { window, asset, box, scale } = shown;
  const size = uprightSize(asset);
  const frame = compose(viewMatrix(view), placementMatrix(piece.placement));
  const { x, y, width, height } = box;
  const picture = compose(
    frame,
    translation(x + width / 2, y + height / 2),
    windowMatrix(window, size, box, scale),
  );
  const line = 1 / view.zoom;
  return (
    <svg
      style={{ position: 'absolute', inset: 0, width: '100%', height: '100%', pointerEvents: 'none' }}
      aria-hidden="true"
    >
      <g transform={`matrix(${picture.join(' ')})`} opacity={0.38}>
        {found && found.sha === sha && (
          <image href={found.address} width={size.width} height={size.height} preserveAspectRatio="none" />
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
