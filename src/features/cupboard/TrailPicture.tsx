'use client';
/** What a ready line draws: a small wave of it, or the first picture it lays. */
import { useEffect, useRef, useState } from 'react';
import { namedIn } from '@/core/piece/assets';
import { layTrail, trailKind, type Trail } from '@/core/trail';
import { openCourse } from '@/core/trail/course';
import { drawMarks } from '@/output/pixels/cut';
import { browser } from '@/output/platform';
import { smallBlob } from '@/storage/assets';

/** Pixels a side. */
const SIDE = 160;

export function TrailPicture({ trail, pad }: { trail: Trail; pad: number }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [picture] = namedIn(trail);
  const [address, setAddress] = useState<string>();
  useEffect(() => {
    if (!picture) return;
    let made: string | undefined;
    void smallBlob(picture).then((blob) => {
      if (blob) setAddress((made = URL.createObjectURL(blob)));
    });
    return () => {
      if (made) URL.revokeObjectURL(made);
    };
  }, [picture]);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context || picture) return;
    const { half } = trailKind(trail);
    const scale = Math.min(4, Math.max(0.2, 34 / (2 * half(trail))));
    const points = Array.from({ length: 60 }, (_, i) => ({
      x: (SIDE / scale) * (0.1 + (0.8 * i) / 59),
      y: (SIDE / scale) * (0.5 + 0.12 * Math.sin((i / 59) * 2 * Math.PI)),
    }));
    context.setTransform(1, 0, 0, 1, 0, 0);
    context.clearRect(0, 0, SIDE, SIDE);
    const ground = { toward: { x: -0.55, y: -0.6, z: 0.58 }, strength: 0.4, asset: () => undefined };
    const source = { platform: browser, image: () => undefined, drawing: () => undefined };
    drawMarks(context, layTrail(trail, [openCourse(points)], ground), [scale, 0, 0, scale, 0, 0], source, 1);
  }, [trail, picture]);
  const room = {
    position: 'absolute',
    inset: pad,
    width: `calc(100% - ${2 * pad}px)`,
    height: `calc(100% - ${2 * pad}px)`,
  } as const;
  return picture ? (
    <div style={{ ...room, background: address ? `url("${address}") center / contain no-repeat` : 'none' }} />
  ) : (
    <canvas ref={canvas} width={SIDE} height={SIDE} style={{ ...room, objectFit: 'contain' }} />
  );
}
