/** A page as full as pages get: many small turned photos and papers with shadows and strokes. */
import { join } from 'node:path';
import { finishOf } from '@/core/piece/finish';
import { WHOLE } from '@/core/piece/material/window';
import type { Piece } from '@/core/piece/piece';
import { placedAt } from '@/core/piece/placement/placement';
import { random } from '@/core/random';
import { CUTS } from '../testing/samples';
import { ROOT } from '../node/platform';
import { openedFile, packed } from '../node/files';

export async function crowdedFile(count: number): Promise<Buffer> {
  const { project, bytes } = await openedFile(join(ROOT, 'public/demo/saltmarsh-fly-in.bellagraph'));
  const next = random(150);
  const [surface] = project.surfaces;
  const pile = Array.from({ length: count }, (_, i): Piece => {
    const photo = project.photos[i % project.photos.length]!;
    const middle = i === count - 1;
    const size = middle ? 110 : 50 + next() * 90;
    return {
      id: `piece-${i}`,
      name: `Piece ${i}`,
      role: 'photo',
      material: { kind: 'photo', asset: photo, window: WHOLE },
      outline: i % 3 === 0 ? CUTS[i % CUTS.length]! : { kind: 'rectangle', radius: 0 },
      finish: { ...finishOf(0.3), stroke: i % 2 ? { colour: '#fdfbf6', width: 4, side: 'outside' } : null },
      placement: placedAt(
        middle
          ? { x: 432 - 55, y: 432 - 40, width: size, height: 80 }
          : { x: next() * 780, y: next() * 780, width: size, height: size * 0.7 },
        middle ? 0 : next() * 40 - 20,
      ),
    };
  });
  // The piece in the middle is neither topmost nor lowest: there is something to paint below and above it.
  const [top] = pile.splice(count - 1, 1);
  pile.splice(Math.floor(count / 2), 0, top!);
  const clear = pile.filter(
    (piece) => piece === top || Math.hypot(piece.placement.x - 432, piece.placement.y - 432) > 120,
  );
  const pushed = pile
    .filter((piece) => !clear.includes(piece))
    .map((piece) => ({
      ...piece,
      placement: { ...piece.placement, x: piece.placement.x + (piece.placement.x < 432 ? -150 : 150) },
    }));
  return packed(
    { ...project, title: 'Crowded', surfaces: [{ ...surface!, pile: [...pushed, ...clear] }] },
    async (sha) => bytes.get(sha),
  );
}
