'use client';
/** Hue round the middle, strength outwards, at one lightness: all that a screen can show of it, by pointer or by arrows. */
import Box from '@mui/material/Box';
import { useEffect, useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { hexOf, rgbOf } from '@/core/color/hex';
import { isShown, labOfRgb, rgbOfLab, type Lab } from '@/core/color/oklab';
import type { InkChoice } from '@/features/table/parts/inks/useInks';
import { RowSlider } from '@/ui/RowSlider';

/** CSS pixels across, and how thick colours lie that no screen shows: they are taken at their nearest paler one. */
const SIDE = 148;
const BEYOND = 70;
/** Steps of the arrows from the middle to the rim. */
const STEPS = 40;
/** Most chroma a screen colour has, of any lightness. */
const MOST = 0.33;

/** The most chroma a screen shows at a lightness: the wheel's rim. */
function rimAt(lightness: number): number {
  let most = 0.01;
  for (let hue = 0; hue < 2 * Math.PI; hue += Math.PI / 36)
    while (most < MOST && isShown([lightness, most * Math.cos(hue), most * Math.sin(hue)])) most += 0.004;
  return most;
}

export function Wheel({ colour, onChoose }: InkChoice) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [l, a, b] = labOfRgb(...rgbOf(colour));
  const [light, setLight] = useState(l);
  // Another colour came from outside.
  const [from, setFrom] = useState(colour);
  if (from !== colour) {
    setFrom(colour);
    if (Math.abs(light - l) > 0.004) setLight(l);
  }
  const rim = useMemo(() => rimAt(light), [light]);
  useEffect(() => {
    const context = canvas.current!.getContext('2d')!;
    const pixels = context.createImageData(SIDE, SIDE);
    for (let y = 0, i = 0; y < SIDE; y++)
      for (let x = 0; x < SIDE; x++, i += 4) {
        const at = [((x + 0.5) / SIDE) * 2 - 1, 1 - ((y + 0.5) / SIDE) * 2] as const;
        const lab: Lab = [light, at[0] * rim, at[1] * rim];
        const [red, green, blue] = rgbOfLab(lab);
        pixels.data.set([255 * red, 255 * green, 255 * blue, isShown(lab) ? 255 : BEYOND], i);
      }
    context.putImageData(pixels, 0, 0);
  }, [light, rim]);
  const take = (event: PointerEvent<HTMLCanvasElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const x = ((event.clientX - box.left) / box.width) * 2 - 1;
    const y = 1 - ((event.clientY - box.top) / box.height) * 2;
    onChoose(hexOf(rgbOfLab([light, x * rim, y * rim])));
  };
  const press = (event: KeyboardEvent) => {
    const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key];
    if (!way) return;
    event.preventDefault();
    onChoose(hexOf(rgbOfLab([light, a + (way[0]! * rim) / STEPS, b + (way[1]! * rim) / STEPS])));
  };
  return (
    <Box sx={{ mt: 1 }}>
      <Box sx={{ position: 'relative', width: SIDE, height: SIDE, mx: 'auto' }}>
        <canvas
          ref={canvas}
          width={SIDE}
          height={SIDE}
          tabIndex={0}
          // oxlint-disable-next-line jsx-a11y/no-interactive-element-to-noninteractive-role -- the arrows go over it in two ways at once, which no control with a role of its own does
          role="application"
          aria-label={`Colour wheel, now ${colour}: the arrows move over it`}
          data-own-arrows
          onKeyDown={press}
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId);
            take(event);
          }}
          onPointerMove={(event) => event.buttons & 1 && take(event)}
          style={{ borderRadius: '50%', cursor: 'crosshair', touchAction: 'none', display: 'block' }}
        />
        <Box
          aria-hidden
          sx={{
            position: 'absolute',
            left: `${50 + (50 * a) / rim}%`,
            top: `${50 - (50 * b) / rim}%`,
            width: 14,
            height: 14,
            ml: '-7px',
            mt: '-7px',
            borderRadius: '50%',
            bgcolor: colour,
            border: '2px solid #fffdf6',
            boxShadow: '0 0 0 1.5px #25232a',
            pointerEvents: 'none',
          }}
        />
      </Box>
      <RowSlider
        label="Lightness"
        least={0}
        most={100}
        value={Math.round(100 * light)}
        onChange={(value) => {
          setLight(value / 100);
          onChoose(hexOf(rgbOfLab([value / 100, a, b])));
        }}
      />
    </Box>
  );
}
