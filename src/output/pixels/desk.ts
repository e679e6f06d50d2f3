/** A page as it lies on a table, in its light: for pictures that are shown to others. */
import type { Canvas, Context, Platform } from '@/output/platform';

/** How much table is seen at each side, of the whole picture's longer side. */
export const AROUND = 0.06;
/** The table, lighter where the light comes from. */
const [LIGHT, DARK] = ['#c9c6bf', '#a5a29b'];
/** The shadow beneath: how soft and how far off, of the longer side; and how dark. */
const SHADOWS = [
  { blur: 0.022, off: 0.011, ink: 'rgba(30, 24, 36, 0.38)' },
  { blur: 0.004, off: 0.002, ink: 'rgba(30, 24, 36, 0.42)' },
] as const;

export function onDesk(
  canvas: Canvas & CanvasImageSource,
  platform: Platform,
): { canvas: Canvas & CanvasImageSource; context: Context } {
  const longer = Math.max(canvas.width, canvas.height) / (1 - 2 * AROUND);
  const around = Math.round(AROUND * longer);
  const [width, height] = [canvas.width + 2 * around, canvas.height + 2 * around];
  const table = platform.canvas(width, height);
  const { context } = table;
  const wood = context.createLinearGradient(0, 0, width, height);
  wood.addColorStop(0, LIGHT);
  wood.addColorStop(1, DARK);
  context.fillStyle = wood;
  context.fillRect(0, 0, width, height);
  for (const { blur, off, ink } of SHADOWS) {
    context.shadowColor = ink;
    context.shadowBlur = blur * longer;
    context.shadowOffsetX = context.shadowOffsetY = off * longer;
    context.fillStyle = '#ffffff';
    context.fillRect(around, around, canvas.width, canvas.height);
  }
  context.shadowColor = 'transparent';
  context.drawImage(canvas, around, around);
  return table;
}
