/** Papers cut by the tones of a picture that lies on the page. */
import { pageGone } from '@/features/table/acts/aimed';
import { compose, scaling, type Matrix } from '@/core/geometry/matrix';
import { parsePath, transformPath, type Path } from '@/core/geometry/path';
import { drawPiece } from '@/core/page/draw';
import { toolsFor } from '@/core/page/outlines';
import { uprightSize, type Asset } from '@/core/picture/asset';
import { finishOf } from '@/core/piece/finish';
import { LIFTS } from '@/core/piece/finish/lift';
import type { Material } from '@/core/piece/material';
import { WHOLE } from '@/core/piece/material/window';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix } from '@/core/piece/placement/placement';
import { shapedPiece } from '@/core/project/create';
import { recut, replacePieces } from '@/core/project/edits/cut';
import { together } from '@/core/project/edits/edit';
import { gather } from '@/core/project/edits/gather';
import { hidePieces } from '@/core/project/edits/place';
import { layPieces } from '@/core/project/edits/pile';
import { MOST_PIECES } from '@/core/project/schema';
import type { Group } from '@/core/project/model';
import { fail, ok, type Result } from '@/core/result';
import { shortened } from '@/core/text/named';
import { newId } from '@/features/shared/ids';
import type { Session, SessionStore } from '@/features/table/session';
import { chosen, page } from '@/features/table/acts/choosing';
import { tooLong } from '@/features/table/acts/cutting';
import type { ToldTone, ToldTones, Traced } from '@/workers/template';

/** What the areas of one tone are cut from: a paper, or cardstock of a colour. */
export type Filling = { tone: number } & ({ paper: Asset } | { colour: string });

/** A picture on the page that an outline or tones are found in. */
export interface Template {
  piece: Piece;
  asset: Asset;
}

/** The picture piece that is selected, if one is: what tones can be found in. */
export function templateOf(session: Session): Template | null {
  const [piece, more] = chosen(session);
  if (!piece || more || !('asset' in piece.material)) return null;
  const asset = session.history.project.assets[piece.material.asset];
  return asset ? { piece, asset } : null;
}

/** The picture of file `sha` as it lies by now where the store is aimed at; null if it lies there no more. */
export function templateNow(there: SessionStore, sha: string): Template | null {
  const template = pageGone(there) ? null : templateOf(there.getState());
  return template?.asset.sha === sha ? template : null;
}

/** From the pixels of a picture that was looked at `width` pixels wide to its piece's own frame; null if it is not there. */
function fromPixels(session: Session, { piece, asset }: Template, width: number): Matrix | null {
  const tools = toolsFor(session.history.project, session.typesetter);
  const mark = drawPiece(piece, page(session).light, tools).marks.findLast((each) => each.mark === 'image');
  return mark?.mark === 'image' ? compose(mark.matrix, scaling(uprightSize(asset).width / width)) : null;
}

/** An outline in a picture's pixels, as it lies on the page. */
export function onPageFrom(session: Session, template: Template, path: Path, width: number): Path | null {
  const map = fromPixels(session, template, width);
  return map && transformPath(compose(placementMatrix(template.piece.placement), map), path);
}

/** Cuts the picture the store is aimed at to a traced outline, or lays a piece of cardstock cut to it over the picture. */
export function layTraced(
  there: SessionStore,
  sha: string,
  { data, width }: Traced,
  how: 'cut' | 'lay',
): Result<number> {
  const template = templateNow(there, sha);
  if (!template) return fail(GONE);
  const session = there.getState();
  const map = fromPixels(session, template, width);
  if (!map) return fail('The picture is not here.');
  if (!data) return fail('Nothing would be left: no part of the picture is inside. Nothing was changed.');
  const { piece, asset } = template;
  const path = transformPath(map, parsePath(data));
  const name = shortened(piece.name || 'Traced', 80);
  if (how === 'cut') {
    const cut = recut(piece, path, name, asset);
    if (tooLong([cut])) return fail(TANGLED);
    session.perform(replacePieces(`cut ${piece.role} to its outline`, session.surfaceId, [piece], [cut]));
    return ok(1);
  }
  const laid = shapedPiece(newId(), name, transformPath(placementMatrix(piece.placement), path), TRACED_INK);
  if (tooLong([laid])) return fail(TANGLED);
  session.perform(layPieces(session.surfaceId, [laid], [], undefined, 'trace'), { selection: [laid.id] });
  return ok(1);
}
const GONE = 'The picture does not lie on its page any more. Nothing was changed.';
const TRACED_INK = '#2f6f68';
const TANGLED = 'This outline has too many corners to be kept. Smooth it more, or keep fewer small parts.';

/**
 * Cuts all areas of each tone from what was chosen for it and lays them where they are on the template, which is hidden:
 * the picture of file `sha` that the store is aimed at.
 * One paper runs on across all areas of its tone, or is begun anew in each with `anew`: then they are pieces in a group.
 */
export async function cutTemplate(
  there: SessionStore,
  sha: string,
  { tones, width }: ToldTones,
  fillings: readonly Filling[],
  anew: boolean,
): Promise<Result<number>> {
  const { partsOf } = await import('@/core/geometry/combine');
  const now = templateNow(there, sha);
  if (!now) return fail(GONE);
  const { piece: template } = now;
  const session = there.getState();
  const toFrame = fromPixels(session, now, width);
  if (!toFrame) return fail('The picture of this template is not here.');
  const groups: Group[] = [];
  const laid: Piece[] = [];
  for (const filling of fillings) {
    const tone: ToldTone = tones[filling.tone]!;
    const path = transformPath(toFrame, parsePath(tone.data));
    const name = `Tone ${filling.tone + 1}`;
    const paper = 'paper' in filling ? filling.paper : undefined;
    const material: Material =
      'paper' in filling
        ? { kind: 'paper', asset: filling.paper.sha, window: WHOLE }
        : { kind: 'ink', colour: filling.colour };
    const { placement } = template;
    const base: Piece = {
      id: newId(),
      name,
      role: 'paper',
      material,
      outline: { kind: 'rectangle', radius: 0 },
      finish: finishOf(LIFTS.paper),
      placement: { ...placement, locked: false, hidden: false },
    };
    const parts = anew ? partsOf(path) : [];
    if (parts.length < 2) {
      laid.push(recut(base, path, name, paper));
      continue;
    }
    const group = { id: newId(), name };
    groups.push(group);
    laid.push(
      ...parts.map((part, i): Piece => {
        const own = recut(base, part, name, paper);
        return {
          ...own,
          id: newId(),
          name: `${name}, ${i + 1}`,
          groups: [group.id],
          ...(own.material.kind === 'paper' ? { material: { ...own.material, window: WHOLE } } : {}),
        };
      }),
    );
  }
  const full = page(session).pile.length + laid.length;
  if (full > MOST_PIECES)
    return fail(`That would be ${full} pieces; a page holds ${MOST_PIECES}. Let each tone stay one piece.`);
  if (!laid.length) return fail('Choose a paper or an ink for one tone at least.');
  if (tooLong(laid))
    return fail('These areas have too many corners to be kept. Reduce the tones, or use a simpler template.');
  const papers = fillings.flatMap((filling) => ('paper' in filling ? filling.paper : []));
  session.perform(
    together('cut papers by template', [
      ...(papers.length ? [gather('papers', papers)] : []),
      layPieces(session.surfaceId, laid, [], undefined, 'lay', groups),
      hidePieces(session.surfaceId, [template], true),
    ]),
    { selection: laid.map(({ id }) => id) },
  );
  return ok(laid.length);
}
