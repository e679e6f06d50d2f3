'use client';
/** What a trail looks like, drawn along a small wave. */
import { useEffect, useRef } from 'react';
import { layTrail, trailKind, type Trail } from '@/core/trail';
import { openCourse } from '@/core/trail/course';
import { useRoom } from '@/features/table/room/context';
import { drawMarks } from '@/output/pixels/cut';
import { browser } from '@/output/platform';

interface Props {
  trail: Trail;
  width: number;
  height: number;
  /** How wide the trail itself is shown, pixels; as it is without. */
  wide?: number;
}

/** Light for samples: from the upper left. */
const TOWARD = { x: -0.55, y: -0.6, z: 0.58 };

export function TrailSample({ trail, width, height, wide }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { store, shelf } = useRoom();
  useEffect(() => {
    const draw = () => {
      const context = canvas.current?.getContext('2d');
      if (!context) return;
      const dense = devicePixelRatio || 1;
      context.setTransform(1, 0, 0, 1, 0, 0);
      context.clearRect(0, 0, context.canvas.width, context.canvas.height);
      const { half } = trailKind(trail);
      const scale = wide ? wide / (2 * half(trail)) : 1;
      const [w, h] = [width / scale, height / scale];
      const points = Array.from({ length: 60 }, (_, i) => {
        const t = i / 59;
        return { x: w * (0.12 + 0.76 * t), y: h * (0.5 + 0.17 * Math.sin(t * Math.PI * 2)) };
      });
      const pressure = points.map((_, i) => 0.35 + 0.5 * Math.sin((Math.PI * i) / 59));
      const { assets } = store.getState().history.project;
      const marks = layTrail(trail, [openCourse(points, pressure)], {
        toward: TOWARD,
        strength: 0.4,
        asset: (sha) => assets[sha],
      });
      drawMarks(
        context,
        marks,
        [dense * scale, 0, 0, dense * scale, 0, 0],
        {
          platform: browser,
          drawing: (sha, mark) => assets[sha] && shelf.drawing(assets[sha], mark),
          image: (sha, mark) => assets[sha] && shelf.take(assets[sha], 2 * width, mark),
        },
        1,
      );
    };
    draw();
    return shelf.onArrival(draw);
  }, [trail, width, height, wide, store, shelf]);
  const dense = typeof devicePixelRatio === 'number' ? devicePixelRatio : 1;
  return (
    <canvas
      ref={canvas}
      width={Math.round(width * dense)}
      height={Math.round(height * dense)}
      style={{ width, height, display: 'block' }}
      aria-hidden="true"
    />
  );
}
