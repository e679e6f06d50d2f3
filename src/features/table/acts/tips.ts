/** What lies on the page as a tip: made a picture, gathered in the workbox, and taken into the hand. */
import { uprightSize } from '@/core/picture/asset';
import { gather } from '@/core/project/edits/gather';
import { surfaceOf } from '@/core/project/model';
import { fail, ok, type Result } from '@/core/result';
import { newStamps } from '@/core/trail/stamps';
import { aimed } from '@/features/table/acts/aimed';
import { chosen } from '@/features/table/acts/choosing';
import { picturedPieces } from '@/features/table/acts/keepSupply';
import { setLining } from '@/features/table/acts/lines';
import type { SessionStore } from '@/features/table/session';

/** Stamps with what is selected from now on, in its own colours and as large as it is. */
export async function stampWithChosen(store: SessionStore): Promise<Result<null>> {
  const there = aimed(store);
  const session = store.getState();
  const pieces = chosen(session);
  if (!pieces.length) return fail('Select what shall be stamped.');
  const { project } = session.history;
  const name = pieces.length === 1 ? pieces[0]!.name || 'Tip' : 'Tip';
  const made = await picturedPieces(project, surfaceOf(project, session.surfaceId), pieces, name);
  if (!made.ok) return made;
  const asset = { ...made.value.asset, name };
  const { width, height } = uprightSize(asset);
  there.getState().perform(gather('bits', [asset]));
  const size = (Math.max(width, height) * 72) / asset.ppi;
  const hand = newStamps([{ asset: asset.sha, ratio: height / width }], '#25232a', size);
  setLining(there, { hand: { ...hand, own: true }, piece: null, held: null, choosing: false });
  return ok(null);
}
