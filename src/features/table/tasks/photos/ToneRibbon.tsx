/** The photo's own colours from its darkest to its palest, each as wide as there is of it, and what is lost at the ends in words. */
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useEffect, useRef } from 'react';
import { LUMA } from '@/core/color/srgb';

/** Stripes it is made of. */
const STRIPES = 134;
/** From this share on what is lost is spoken of. */
const LOST = 0.005;

const lumaAt = (data: Uint8ClampedArray, i: number): number =>
  LUMA[0] * data[i]! + LUMA[1] * data[i + 1]! + LUMA[2] * data[i + 2]!;

/** Mean colours of as many equal parts of the pixels, in the order of their light. */
function stripesOf({ data }: ImageData): string[] {
  const order = Array.from({ length: data.length / 4 }, (_, at) => 4 * at).sort(
    (a, b) => lumaAt(data, a) - lumaAt(data, b),
  );
  return Array.from({ length: STRIPES }, (_, i) => {
    const from = Math.floor((i * order.length) / STRIPES);
    const to = Math.max(from + 1, Math.floor(((i + 1) * order.length) / STRIPES));
    const mean = [0, 1, 2].map(
      (c) => order.slice(from, to).reduce((sum, at) => sum + data[at + c]!, 0) / (to - from),
    );
    return `rgb(${mean.map(Math.round).join(' ')})`;
  });
}

/** Shares of pixels that are plain black, and of those where a colour has reached its end at white. */
function lostIn({ data }: ImageData): { black: number; white: number } {
  let [black, white] = [0, 0];
  for (let i = 0; i < data.length; i += 4) {
    const most = Math.max(data[i]!, data[i + 1]!, data[i + 2]!);
    if (most === 0) black += 1;
    if (most === 255) white += 1;
  }
  return { black: (4 * black) / data.length, white: (4 * white) / data.length };
}

const percent = (share: number): string => `${Math.max(1, Math.round(100 * share))} %`;

/** `3 % are plain black; 1 % have no detail left in the white.` */
function says({ black, white }: { black: number; white: number }): string {
  const lost = [
    ...(black >= LOST ? [`${percent(black)} are plain black`] : []),
    ...(white >= LOST ? [`${percent(white)} have no detail left in the white`] : []),
  ];
  return lost.length ? `${lost.join('; ')}.` : 'From the darkest to the palest, nothing is lost.';
}

export function ToneRibbon({ pixels }: { pixels: ImageData }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const context = canvas.current!.getContext('2d')!;
    stripesOf(pixels).forEach((colour, i) => {
      context.fillStyle = colour;
      context.fillRect(i, 0, 1, 1);
    });
  }, [pixels]);
  return (
    <Box sx={{ mb: 1 }}>
      <canvas
        ref={canvas}
        width={STRIPES}
        height={1}
        aria-hidden="true"
        style={{ width: '100%', height: 22, borderRadius: 5, display: 'block' }}
      />
      <Typography variant="caption" role="status" component="p" sx={{ mt: 0.25 }}>
        {says(lostIn(pixels))}
      </Typography>
    </Box>
  );
}
