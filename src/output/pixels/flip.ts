/** Pages turned one after the other, as pictures that follow each other. */
import type { Canvas, Context, Platform } from '@/output/platform';

/** How long a page is seen, and each step of its turning; ms. */
const [SEEN, STEP] = [1800, 60];
/** Steps a page takes to turn. */
const STEPS = 5;

interface Frame {
  canvas: Canvas;
  /** Milliseconds. */
  lasts: number;
}

/** All of them as large as the first, each whole in the middle; a page turns about its left edge, and lets the next be seen. */
export function* turning(
  pages: readonly (Canvas & CanvasImageSource)[],
  platform: Platform,
): Generator<Frame> {
  const { width, height } = pages[0]!;
  const fitted = (page: Canvas): { x: number; y: number; width: number; height: number } => {
    const scale = Math.min(width / page.width, height / page.height);
    const [w, h] = [page.width * scale, page.height * scale];
    return { x: (width - w) / 2, y: (height - h) / 2, width: w, height: h };
  };
  const sheet = () => {
    const made = platform.canvas(width, height);
    made.context.fillStyle = '#ffffff';
    made.context.fillRect(0, 0, width, height);
    return made;
  };
  const lay = (context: Context, page: Canvas & CanvasImageSource, share = 1) => {
    const at = fitted(page);
    context.drawImage(page, at.x, at.y, at.width * share, at.height);
  };
  for (const [i, page] of pages.entries()) {
    const still = sheet();
    lay(still.context, page);
    yield { canvas: still.canvas, lasts: SEEN };
    const next = pages[(i + 1) % pages.length]!;
    for (let step = 1; step <= STEPS; step++) {
      const { canvas, context } = sheet();
      const open = Math.cos(((step / (STEPS + 1)) * Math.PI) / 2);
      const at = fitted(page);
      const edge = at.x + at.width * open;
      lay(context, next);
      // The next page lies in the shadow of the one that turns, the more the nearer to it.
      const shade = context.createLinearGradient(edge, 0, edge + 0.16 * width, 0);
      shade.addColorStop(0, 'rgba(20, 16, 24, 0.34)');
      shade.addColorStop(1, 'rgba(20, 16, 24, 0)');
      context.fillStyle = shade;
      context.fillRect(edge, 0, width - edge, height);
      lay(context, page, open);
      context.fillStyle = `rgba(20, 16, 24, ${0.22 * (1 - open)})`;
      context.fillRect(at.x, at.y, at.width * open, at.height);
      yield { canvas, lasts: STEP };
    }
  }
}
