'use client';
/** A round glass that follows the pointer and shows the page three times as large. */
import { useEffect, useRef } from 'react';
import { useRoom, useSession } from '@/features/table/room/context';
import { shownSurface } from '@/features/table/session';
import { drawSeen } from '@/features/table/stage/paint/layers';

const SIDE = 190;
const TIMES = 3;

export function Loupe() {
  const { store } = useRoom();
  const on = useSession((session) => session.show.loupe);
  const glass = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    if (!on) return;
    let frame = 0;
    const draw = () => {
      frame = 0;
      const canvas = glass.current;
      const session = store.getState();
      const { pointer, stage } = session;
      if (!canvas) return;
      canvas.style.visibility = pointer ? 'visible' : 'hidden';
      if (!pointer) return;
      const context = canvas.getContext('2d')!;
      const scale = window.devicePixelRatio || 1;
      const side = (SIDE / TIMES) * scale;
      context.fillStyle = shownSurface(session).ground;
      context.fillRect(0, 0, canvas.width, canvas.height);
      context.imageSmoothingQuality = 'high';
      const [x, y] = [pointer.x * scale - side / 2, pointer.y * scale - side / 2];
      drawSeen(context, canvas.parentElement!, { x, y, width: side, height: side }, canvas);
      const left = pointer.x + 24 + SIDE > stage.width ? pointer.x - 24 - SIDE : pointer.x + 24;
      const top = Math.min(stage.height - SIDE - 8, Math.max(8, pointer.y - SIDE / 2));
      canvas.style.transform = `translate(${left}px, ${top}px)`;
    };
    const stop = store.subscribe(() => {
      frame ||= requestAnimationFrame(draw);
    });
    draw();
    return () => {
      stop();
      cancelAnimationFrame(frame);
    };
  }, [on, store]);
  if (!on) return null;
  return (
    <canvas
      ref={glass}
      width={SIDE * 2}
      height={SIDE * 2}
      role="img"
      aria-label={`Loupe: ${TIMES} times as large`}
      style={{
        position: 'absolute',
        left: 0,
        top: 0,
        width: SIDE,
        height: SIDE,
        borderRadius: '50%',
        border: '5px solid #d9b15a',
        boxShadow: '0 0 0 1.5px #7a5413, 0 6px 18px rgba(20,14,8,0.45)',
        pointerEvents: 'none',
        zIndex: 3,
      }}
    />
  );
}
