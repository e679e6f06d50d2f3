/** A paper turned over: what is printed on its other side is known by the kit it came in. */
import { exchanged } from '@/core/project/create';
import { exchangePiece } from '@/core/project/edits/pile';
import { gathered } from '@/features/table/acts/gathered';
import { refuseLocked } from '@/features/table/acts/changing';
import { aimed } from '@/features/table/acts/aimed';
import { settledPieces, type Session, type SessionStore } from '@/features/table/session';

const paperAmong = (session: Session) =>
  settledPieces(session, session.selection).find(({ material }) => material.kind === 'paper');

/** What a paper needs to be turned over. */
export const NO_PAPER = (session: Session): string | null =>
  paperAmong(session) ? null : 'Select a piece of paper first.';

/** The selected paper shows its other side: it keeps place, size, cut and what of the sheet is seen. */
export async function turnOver(store: SessionStore): Promise<void> {
  const there = aimed(store);
  const session = there.getState();
  const piece = paperAmong(session);
  if (!piece || piece.material.kind !== 'paper') return;
  if (piece.placement.locked) return refuseLocked(there, piece);
  // The page is named before anything is waited for; files and store weigh too much to be here at once.
  const [{ pictureOf }, { supplyById, supplyWith }] = await Promise.all([
    import('@/features/shared/supplyFiles'),
    import('@/storage/supplies'),
  ]);
  const back = (await supplyWith(piece.material.asset))?.back;
  const supply = back && (await supplyById(back));
  if (!supply) return session.refuse(`“${piece.name}” is printed on one side only.`);
  const picture = await pictureOf(supply);
  if (!picture.ok) return session.refuse(picture.message);
  const now = there.getState();
  const here = paperAmong(now);
  if (here?.material.kind !== 'paper') return;
  const next = exchanged(here, picture.value, 'papers');
  const turned = { ...next, material: { ...here.material, asset: picture.value.sha } };
  now.perform(
    gathered('papers', picture.value, {
      ...exchangePiece(now.surfaceId, here, turned, [picture.value]),
      label: 'turn over paper',
    }),
    { selection: [here.id] },
  );
}
