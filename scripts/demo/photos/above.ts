/** The two photos taken looking down: a tide pool and the workshop table. */
import { createCanvas, type Canvas } from '@napi-rs/canvas';
import { random } from '@/core/random';
import { fbm, mix, noise, smooth } from '../../art/noise';
import { blend, develop, dim, expose, fromHex, layer, type Light } from './light';
import { diamondKite } from './things';
import { RED_GOLD } from './looks';

/** Looking down into a pool among rocks. */
export function tidePool(): Canvas {
  const width = 3600;
  const height = 2400;
  const shape = fbm(201, 5);
  const stone = fbm(202, 6, 0.58);
  const web = fbm(203, 3);
  const weed = fbm(204, 5);
  const fine = noise(205);
  const rockLight = fromHex('#8d8577');
  const rockDark = fromHex('#2b2723');
  const shallow = fromHex('#8fb8a4');
  const deep = fromHex('#1d4a55');
  const bed = fromHex('#c7b38a');
  const green = fromHex('#5d7430');
  const canvas = expose(width, height, (x, y, out: Light) => {
    const u = x / height;
    const v = y / height;
    const d = Math.hypot((u - 0.76) * 0.86, v - 0.53) + (shape(u * 2.6, v * 2.6) - 0.5) * 0.42;
    const depth = smooth(0.47, 0.2, d);
    const bump = stone(u * 5, v * 5);
    const lit = (stone(u * 5 + 0.03, v * 5 + 0.03) - bump) * -6;
    const crack = smooth(0.03, 0, Math.abs(shape(u * 4 + 9, v * 4) - 0.5)) * 0.6;
    const rock = dim(
      blend(rockDark, rockLight, Math.min(1, Math.max(0, 0.35 + bump * 0.5 + lit))),
      1.05 - crack,
    );
    const moss = smooth(0.52, 0.68, weed(u * 3.4, v * 3.4)) * smooth(0.2, 0.5, d);
    const ground = blend(rock, dim(green, 0.55 + bump * 0.9 + (fine(x / 5, y / 14) - 0.5) * 0.5), moss * 0.8);
    if (depth <= 0) {
      const wet = smooth(0.57, 0.47, d);
      for (let k = 0; k < 3; k++)
        out[k] = ground[k]! * (1 - wet * 0.45) * (1 + (fine(x / 2, y / 2) - 0.5) * 0.18);
      return;
    }
    const a = web(u * 9 + depth, v * 9);
    const b = web(u * 9 + 40, v * 9 - depth);
    const caustic = Math.exp(-(((a - b) / 0.035) ** 2)) * (0.25 + depth * 0.5);
    const pebble = stone(u * 11, v * 11);
    const floor = blend(dim(bed, 0.45 + pebble * 0.75), ground, 0.35);
    const water = blend(shallow, deep, depth);
    const glare = smooth(0.62, 0.78, web(u * 3.1 - v * 1.2, v * 6)) * 0.32;
    const edge = Math.exp(-(((d - 0.465) / 0.006) ** 2)) * 0.5;
    for (let k = 0; k < 3; k++)
      out[k] =
        mix(floor[k]!, water[k]!, 0.25 + depth * 0.52) +
        caustic * 0.3 +
        glare * [0.75, 0.88, 1][k]! +
        edge * 0.4;
  });
  layer(
    canvas,
    1.4,
    (c) => {
      const next = random(7);
      for (const [x, y, size, colour] of [
        [1620, 1180, 190, '#c9603f'],
        [2060, 1540, 130, '#d98a52'],
        [1380, 1560, 100, '#8d3a63'],
      ] as const) {
        // Starfish: five soft arms.
        const turn = next() * 2;
        const arms = () => {
          c.beginPath();
          for (let i = 0; i <= 100; i++) {
            const t = (i / 100) * Math.PI * 2;
            const r = size * (0.42 + 0.58 * Math.abs(Math.cos(2.5 * t)) ** 1.7);
            c.lineTo(x + Math.cos(t + turn) * r, y + Math.sin(t + turn) * r * 0.86);
          }
          c.fill();
        };
        c.fillStyle = 'rgba(5,20,25,0.4)';
        c.save();
        c.filter = `blur(${size * 0.08}px)`;
        c.translate(size * 0.1, size * 0.13);
        arms();
        c.restore();
        const skin = c.createRadialGradient(x - size * 0.2, y - size * 0.2, 4, x, y, size);
        skin.addColorStop(0, '#f0b890');
        skin.addColorStop(0.35, colour);
        skin.addColorStop(1, '#5b2a24');
        c.fillStyle = skin;
        arms();
        c.fillStyle = 'rgba(255,232,205,0.5)';
        for (let arm = 0; arm < 5; arm++)
          for (let i = 1; i < 9; i++) {
            const t = turn + (arm * Math.PI * 2) / 5;
            c.beginPath();
            c.arc(
              x + Math.cos(t) * size * i * 0.1 + (next() - 0.5) * size * 0.05,
              y + Math.sin(t) * size * i * 0.086 + (next() - 0.5) * size * 0.05,
              size * 0.014,
              0,
              7,
            );
            c.fill();
          }
      }
    },
    0.9,
  );
  return develop(canvas, 9);
}

/** From above: a kite in the making on the workshop table. */
export function workshop(): Canvas {
  const width = 3600;
  const height = 2400;
  const ring = fbm(301, 4);
  const vein = fbm(302, 4);
  const fine = noise(303);
  const light = fromHex('#c9965c');
  const dark = fromHex('#6d4322');
  const canvas = expose(width, height, (x, y, out) => {
    const plank = Math.floor(y / 480);
    const flow = ring(x / 1300 + plank * 7, (y % 480) / 110 + plank * 13);
    const lines = 0.5 + 0.5 * Math.sin(flow * 42 + vein(x / 500, y / 26) * 4);
    const seam = Math.min(y % 480, 480 - (y % 480)) < 4 ? 0.35 : 1;
    const lamp = 0.5 + 0.75 * Math.exp(-(((x - 1000) / 1900) ** 2) - ((y - 500) / 1500) ** 2);
    const wood = blend(light, dark, lines * 0.5 + vein(x / 800, y / 12) * 0.4);
    for (let k = 0; k < 3; k++) out[k] = wood[k]! * seam * lamp * (1 + (fine(x / 2.5, y / 1.5) - 0.5) * 0.14);
  });
  const shadowed = (blur: number, dx: number, dy: number, draw: Parameters<typeof layer>[2]) => {
    const cast = createCanvas(width, height);
    const c = cast.getContext('2d');
    draw(c);
    c.globalCompositeOperation = 'source-in';
    c.fillStyle = 'rgba(25,10,5,0.55)';
    c.fillRect(0, 0, width, height);
    layer(canvas, blur, (over) => over.drawImage(cast, dx, dy));
    layer(canvas, 0.7, draw);
  };
  shadowed(16, 16, 22, (c) => {
    c.save();
    c.translate(2750, 620);
    c.rotate(0.16);
    c.fillStyle = '#efe5cf';
    c.fillRect(-560, -390, 1120, 780);
    c.strokeStyle = 'rgba(47,111,104,0.75)';
    c.lineWidth = 5;
    c.strokeRect(-190, -260, 380, 520);
    c.beginPath();
    c.moveTo(0, -300);
    c.lineTo(230, -80);
    c.lineTo(0, 310);
    c.lineTo(-230, -80);
    c.closePath();
    c.moveTo(0, -300);
    c.lineTo(0, 310);
    c.moveTo(-230, -80);
    c.lineTo(230, -80);
    c.stroke();
    c.restore();
  });
  shadowed(22, 22, 30, (c) =>
    diamondKite(c, 1420, 1080, 1500, {
      ...RED_GOLD,
      colours: ['#d8433a', '#c9393a', '#f3ead6', '#ece0c6'],
      turn: 34,
      seed: 63,
    }),
  );
  shadowed(9, 10, 13, (c) => {
    c.save();
    c.translate(2780, 1750);
    c.rotate(-0.3);
    c.fillStyle = '#e9c877';
    c.fillRect(-720, -58, 1440, 116);
    c.fillStyle = '#4d3519';
    for (let i = 0; i <= 48; i++) c.fillRect(-705 + i * 29.4, -58, 3, i % 4 === 0 ? 52 : 28);
    c.restore();
  });
  shadowed(14, 13, 18, (c) => {
    // A reel of line.
    for (const [r, colour] of [
      [190, '#8a5a33'],
      [150, '#f4efe2'],
      [60, '#8a5a33'],
    ] as const) {
      c.fillStyle = colour;
      c.beginPath();
      c.arc(520, 1860, r, 0, 7);
      c.fill();
    }
    c.strokeStyle = 'rgba(120,110,95,0.55)';
    c.lineWidth = 3;
    for (let r = 64; r < 148; r += 6) {
      c.beginPath();
      c.ellipse(520, 1860, r, r * (0.97 + (r % 4) * 0.01), r, 0, 7);
      c.stroke();
    }
    c.strokeStyle = '#f4efe2';
    c.lineWidth = 6;
    c.beginPath();
    c.moveTo(660, 1820);
    c.bezierCurveTo(980, 1700, 900, 2200, 1320, 2120);
    c.bezierCurveTo(1600, 2060, 1500, 1850, 1860, 1960);
    c.stroke();
  });
  return develop(canvas, 12, { warmth: 0.03, vignette: 0.34 });
}
