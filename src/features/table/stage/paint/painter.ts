/** Paints the page on three canvases: what lies below the moving pieces, the moving pieces, what lies above them. */
import { outset, transformBox, type Box } from '@/core/geometry/box';
import { compose, growth, scaling, translation, type Matrix, type Point } from '@/core/geometry/matrix';
import { drawPiece, movedPiece } from '@/core/page/draw';
import { cutAway, cutsOf, goneAt, holesOf, isOpening, leftOf, type Cuts } from '@/core/page/through';
import { meetingOn, type Beneath } from '@/core/page/meeting';
import { tuckedOn, type Tucked } from '@/core/page/tuck';
import { toolsFor } from '@/core/page/outlines';
import type { DrawnPiece } from '@/core/picture/picture';
import type { PageLight } from '@/core/piece/finish/light';
import { assetsIn } from '@/core/piece/assets';
import { extentOf } from '@/core/piece/placement/placement';
import { textsOf } from '@/core/project/needs';
import type { Typesetter } from '@/core/text/typesetter';
import type { Piece } from '@/core/piece/piece';
import { drawPieces, pixelBounds } from '@/output/pixels/draw';
import type { DrawingSource } from '@/output/pixels/marks';
import { browser } from '@/output/platform';
import type { PictureShelf } from '@/features/table/keeping/pictures';
import { shownProject, shownSurface, type Session } from '@/features/table/session';
import { lift, spread, type Layers } from '@/features/table/stage/paint/layers';
import { Throughs } from '@/features/table/stage/paint/throughs';
import { retouch } from '@/features/table/stage/paint/retouch';
import { viewMatrix } from '@/features/table/stage/hand/view';

interface Sheet {
  piece: Piece;
  light: PageLight;
  scale: number;
  /** What of it is hidden beneath others, for comparing. */
  tuck: string;
  /** Its words were set by this one; null without words. */
  typesetter: Typesetter | null;
  drawn: DrawnPiece;
  /** Null for pieces too large to keep: they are drawn straight onto the layer. */
  bitmap: OffscreenCanvas | null;
  box: Box;
}

/** Pixels all kept bitmaps may have together: as multiples of the stage, and at least 160 MB of them. */
const MOST_KEPT = 24;
const ENOUGH_KEPT = 40e6;
/** Pixels one of them may have, as a multiple of the stage. */
const MOST_ALONE = 2.2;

/** How long pieces that were moved are drawn anew before the page is shown, milliseconds; more of them follow. */
const SHARPENING = 10;

/** All of a session that the page is painted from, but for the view. */
export const paintedFrom = (session: Session): readonly unknown[] => [
  session.stage,
  session.history,
  session.tryout,
  session.compared,
  session.surfaceId,
  session.typesetter,
];

/** How far beyond its box a piece may be drawn, points, where what is cut away of it is asked for. */
const FAR_SEEN = 120;

export class Painter {
  private readonly sheets = new Map<string, Sheet>();
  private readonly failed = new WeakSet<Piece>();
  /** Pixels of all kept bitmaps together. */
  private kept = 0;
  private painted: { session: Session | null; moving: string } = { session: null, moving: '' };
  private dirty = true;
  private tucks: { pile: unknown; light: unknown; by: ReadonlyMap<string, Tucked> } = {
    pile: null,
    light: null,
    by: new Map(),
  };
  private met: { pile: unknown; moving: string; by: ReadonlyMap<string, Beneath> } = {
    pile: null,
    moving: '',
    by: new Map(),
  };

  private cuts: { pile: unknown; others: readonly unknown[]; cuts: Cuts | null } = {
    pile: null,
    others: [],
    cuts: null,
  };
  private readonly throughs = new Throughs();

  constructor(
    private readonly layers: Layers,
    private readonly shelf: PictureShelf,
    /** Hears once of each piece that could not be drawn. */
    private readonly onFault: (piece: Piece, error: unknown) => void = () => {},
  ) {}

  /** A picture arrived: what shows it must be drawn anew. Tells whether anything does. */
  forget(sha: string): boolean {
    // What lies behind an opening may show it.
    let shown = this.throughs.clear();
    for (const [id, { piece }] of this.sheets) {
      if (!assetsIn(piece).includes(sha)) continue;
      this.discard(id);
      shown = true;
    }
    this.dirty ||= shown;
    return shown;
  }

  /** Brings the canvases up to date; `moving` are the pieces a hand holds. Tells whether some of the others are not sharp yet. */
  paint(session: Session, moving: readonly string[]): boolean {
    const { pile, light, ground, width, height } = shownSurface(session);
    const scale = window.devicePixelRatio || 1;
    const resized = this.fit(session.stage, scale);
    const view = compose(scaling(scale), viewMatrix(session.view));
    const visible = pile.filter((piece) => !piece.placement.hidden);
    // Colours that meet need all that lies beneath on the same canvas, the bare page too.
    const meets = visible.some(({ finish }) => finish.blend);
    const held = new Set(meets ? [] : moving);
    const inHand = new Set(moving);
    const sharpUntil = performance.now() + SHARPENING;
    let soft = false;
    const first = held.size ? visible.findIndex((piece) => held.has(piece.id)) : visible.length;
    const last = visible.findLastIndex((piece) => held.has(piece.id));
    const before = this.painted;
    const settled =
      !this.dirty &&
      !resized &&
      held.size > 0 &&
      before.moving === moving.join() &&
      before.session?.view === session.view &&
      before.session.typesetter === session.typesetter &&
      before.session.history === session.history;
    const tools = toolsFor(shownProject(session), session.typesetter);
    if (this.tucks.pile !== pile || this.tucks.light !== light)
      this.tucks = { pile, light, by: tuckedOn(pile, light, tools) };
    // What a hand holds lies on what stays, not beside it.
    if (this.met.pile !== pile || this.met.moving !== moving.join())
      this.met = {
        pile,
        moving: moving.join(),
        by: new Map(
          [true, false].flatMap((in_) => [
            ...meetingOn(
              visible.filter(({ id }) => inHand.has(id) === in_),
              tools,
            ),
          ]),
        ),
      };
    const surface = shownSurface(session);
    const sides = tools.sides?.(surface);
    const others = [sides?.other?.surface, ...(sides?.behind ?? []).map((each) => each.surface)];
    if (this.cuts.pile !== pile || others.some((other, i) => other !== this.cuts.others[i]))
      this.cuts = { pile, others, cuts: cutsOf(surface, tools) };
    const { cuts } = this.cuts;
    const draw = (layer: HTMLCanvasElement, pieces: readonly Piece[]) => {
      const context = layer.getContext('2d')!;
      context.setTransform(1, 0, 0, 1, 0, 0);
      context.clearRect(0, 0, layer.width, layer.height);
      if (meets && pieces.length) {
        context.setTransform(...view);
        context.fillStyle = ground;
        context.fillRect(0, 0, width, height);
        context.setTransform(1, 0, 0, 1, 0, 0);
      }
      if (cuts && layer === this.layers.below)
        drawPieces(context, holesOf(cuts, light), view, this.source(session, view));
      for (const piece of pieces) {
        try {
          if (isOpening(piece))
            this.throughs.lay(context, piece, {
              ...{ surface, view, tools, behind: this.cuts.others },
              source: this.source(session, view),
            });
          const mayStaySoft = inHand.has(piece.id) || performance.now() > sharpUntil;
          const sheet = this.sheetOf(piece, light, view, session, mayStaySoft);
          soft ||= !inHand.has(piece.id) && sheet.piece !== piece;
          this.lay(context, sheet, view, session);
        } catch (error) {
          // One that cannot be drawn takes none of the others with it.
          context.globalCompositeOperation = 'source-over';
          if (!this.failed.has(piece)) this.onFault(piece, error);
          this.failed.add(piece);
        }
      }
    };
    if (!settled) {
      draw(this.layers.below, visible.slice(0, first < 0 ? visible.length : first));
      const over = held.size && last >= 0 ? visible.slice(last + 1) : [];
      draw(this.layers.above, over);
      // A clear sheet over all would be laid over it in every frame all the same.
      this.layers.above.style.visibility = over.length ? '' : 'hidden';
      if (this.kept > this.room() / 2) this.drop(new Set(visible.map((piece) => piece.id)));
    }
    const lifted = held.size && first >= 0 ? visible.slice(first, last + 1) : [];
    if (!this.lift(lifted, session, scale, (piece) => this.sheetOf(piece, light, view, session, true))) {
      spread(this.layers.moving, session.stage, scale);
      draw(this.layers.moving, lifted);
    }
    this.painted = { session, moving: moving.join() };
    this.dirty = false;
    return soft;
  }

  private fit(stage: Session['stage'], scale: number): boolean {
    const { below, above } = this.layers;
    // Both: what follows would be left out.
    return [below, above].map((layer) => spread(layer, stage, scale)).some(Boolean);
  }

  /** Lays what a hand holds on a layer that goes with it; false where it must be painted among the rest. */
  private lift(
    pieces: readonly Piece[],
    { view, stage }: Session,
    scale: number,
    sheetOf: (piece: Piece) => Sheet,
  ): boolean {
    if (pieces.some((piece) => isOpening(piece) || piece.finish.blend || this.failed.has(piece)))
      return false;
    try {
      const [x, y] = [Math.round(view.x * scale), Math.round(view.y * scale)];
      const painted = pieces.map((piece) => {
        const { bitmap, box } = sheetOf(piece);
        return bitmap && { bitmap, box: { ...box, x: x + box.x, y: y + box.y } };
      });
      return painted.every((one) => one !== null) && lift(this.layers.moving, painted, stage, scale);
    } catch {
      // Which of them it was, and that it is told, is found when each is painted by itself.
      return false;
    }
  }

  private lay(context: CanvasRenderingContext2D, sheet: Sheet, view: Matrix, session: Session): void {
    if (!sheet.bitmap) return drawPieces(context, [sheet.drawn], view, this.source(session, view));
    // What a hand moves lies where it will be drawn anew, between pixels too: nothing jumps when it lets go.
    const x = Math.round(view[4]) + sheet.box.x;
    const y = Math.round(view[5]) + sheet.box.y;
    if (
      x + sheet.box.width < 0 ||
      y + sheet.box.height < 0 ||
      x > context.canvas.width ||
      y > context.canvas.height
    )
      return;
    context.globalCompositeOperation = sheet.piece.finish.blend ?? 'source-over';
    context.drawImage(sheet.bitmap, x, y);
    context.globalCompositeOperation = 'source-over';
  }

  /**
   * The piece as a bitmap, its box counted from the view's origin; drawn again only when something changed. One that was
   * moved by parts of a pixel may stay soft for now: the sheet is then still of the piece before.
   */
  private sheetOf(
    piece: Piece,
    light: PageLight,
    view: Matrix,
    session: Session,
    mayStaySoft: boolean,
  ): Sheet {
    const scale = view[0];
    const known = this.sheets.get(piece.id);
    const tucked = this.tucks.by.get(piece.id);
    const beneath = this.met.by.get(piece.id);
    const { cuts } = this.cuts;
    const gone = cuts
      ? goneAt(shownSurface(session).pile.indexOf(piece), outset(extentOf(piece.placement), FAR_SEEN), cuts)
      : [];
    const tuck = tucked || beneath || gone.length ? JSON.stringify([tucked, beneath, gone]) : '';
    const typesetter = textsOf(piece).length ? session.typesetter : null;
    if (
      known &&
      known.light === light &&
      known.scale === scale &&
      known.tuck === tuck &&
      known.typesetter === typesetter
    ) {
      if (known.piece === piece) return known;
      const shifted = known.bitmap && !tucked && !gone.length && shift(known.piece, piece);
      if (shifted) {
        const [dx, dy] = [shifted.x * scale, shifted.y * scale];
        const box = { ...known.box, x: known.box.x + dx, y: known.box.y + dy };
        if (isWhole(dx) && isWhole(dy)) {
          const moved: Sheet = {
            ...known,
            piece,
            box: { ...box, x: Math.round(box.x), y: Math.round(box.y) },
            drawn: movedPiece(known.drawn, shifted.x, shifted.y),
          };
          this.sheets.set(piece.id, moved);
          return moved;
        }
        if (mayStaySoft) return { ...known, box };
      }
    }
    const whole = drawPiece(piece, light, toolsFor(shownProject(session), session.typesetter), {
      tucked,
      beneath,
    });
    const drawn = cutAway(whole, leftOf(gone, whole.bounds, whole.matrix));
    const origin: Matrix = [scale, 0, 0, scale, 0, 0];
    const box = pixelBounds(drawn, origin);
    const stage = this.layers.below.width * this.layers.below.height;
    let bitmap: OffscreenCanvas | null = null;
    if (box.width * box.height <= stage * MOST_ALONE && this.kept <= this.room()) {
      bitmap = new OffscreenCanvas(Math.max(1, box.width), Math.max(1, box.height));
      const context = bitmap.getContext('2d')!;
      const toBitmap = compose(translation(-box.x, -box.y), origin);
      const touched =
        known?.bitmap && known.scale === scale && known.typesetter === typesetter && !tuck && !known.tuck
          ? retouch(known.drawn, drawn, session.typesetter)
          : null;
      if (touched) {
        const at = transformBox(toBitmap, touched.area);
        const [x, y] = [Math.floor(at.x), Math.floor(at.y)];
        const [right, bottom] = [Math.ceil(at.x + at.width), Math.ceil(at.y + at.height)];
        context.drawImage(known!.bitmap!, known!.box.x - box.x, known!.box.y - box.y);
        context.clearRect(x, y, right - x, bottom - y);
        context.beginPath();
        context.rect(x, y, right - x, bottom - y);
        context.clip();
      }
      drawPieces(
        context,
        [{ ...(touched?.drawn ?? drawn), blend: undefined }],
        toBitmap,
        this.source(session, view),
      );
    }
    const sheet: Sheet = { piece, light, scale, tuck, typesetter, drawn, bitmap, box };
    this.discard(piece.id);
    this.sheets.set(piece.id, sheet);
    this.kept += pixelsOf(sheet);
    return sheet;
  }

  private source(session: Session, view: Matrix): DrawingSource {
    const { assets } = shownProject(session);
    return {
      platform: browser,
      font: session.typesetter.font,
      treatmentPixels: 1.5e6,
      drawing: (sha, mark) => {
        const asset = assets[sha];
        return asset && this.shelf.drawing(asset, mark);
      },
      image: (sha, mark) => {
        const asset = assets[sha];
        if (!asset) return undefined;
        return this.shelf.take(
          asset,
          growth(mark.matrix) * growth(view) * Math.max(asset.width, asset.height),
          mark,
        );
      },
    };
  }

  private room(): number {
    const { width, height } = this.layers.below;
    return Math.max(ENOUGH_KEPT, width * height * MOST_KEPT);
  }

  private discard(id: string): void {
    const sheet = this.sheets.get(id);
    if (!sheet) return;
    this.kept -= pixelsOf(sheet);
    this.sheets.delete(id);
  }

  private drop(present: ReadonlySet<string>): void {
    for (const id of this.sheets.keys()) if (!present.has(id)) this.discard(id);
  }
}

/** To less than what can be seen of a pixel. */
const isWhole = (pixels: number): boolean => Math.abs(pixels - Math.round(pixels)) < 0.001;

const pixelsOf = ({ bitmap }: Sheet): number => (bitmap ? bitmap.width * bitmap.height : 0);

/** How far a piece was moved if that is all that changed, points. */
function shift(from: Piece, to: Piece): Point | null {
  const same =
    from.material === to.material &&
    from.outline === to.outline &&
    from.finish === to.finish &&
    from.placement.width === to.placement.width &&
    from.placement.height === to.placement.height &&
    from.placement.turn === to.placement.turn &&
    from.placement.mirror === to.placement.mirror;
  return same ? { x: to.placement.x - from.placement.x, y: to.placement.y - from.placement.y } : null;
}
