/** A Picture as SVG 1.1 with its pictures inside: one file, true size in its width and height. */
import { asXml } from '@/core/text/writable';
import { drawingMarks } from '@/core/drawing/write';
import type { Matrix } from '@/core/geometry/matrix';
import { pathData, type Path } from '@/core/geometry/path';
import type { Asset } from '@/core/picture/asset';
import { uprightMatrix } from '@/core/picture/asset';
import type { Box } from '@/core/geometry/box';
import {
  imagesOf,
  seenWithin,
  type Blended,
  type DrawnPiece,
  type Mark,
  type Picture,
  type WorkedMark,
  madeOf,
} from '@/core/picture/picture';
import { toWhole, type PlacedDrawing } from '@/output/drawings';
import { around } from '@/output/pixels/marks';

export interface SvgSource {
  asset(sha: string): Asset;
  /** The drawing behind a picture that is one: it stays drawn. */
  drawing(sha: string): PlacedDrawing | undefined;
  /** The file's address: a data: URL, so that nothing outside is needed. Bytes as stored, unturned. */
  address(sha: string): string;
  /** A mark that is pixels: its address, and where it lies in its piece's frame. */
  worked(mark: WorkedMark): Box & { address: string };
}

const number = (value: number): string => String(Math.round(value * 1e4) / 1e4);
const matrix = (map: Matrix): string => `matrix(${map.map((v) => Number(v.toPrecision(9))).join(' ')})`;
export function writeSvg(picture: Picture, bleed: boolean, source: SvgSource): string {
  const all = madeOf(picture, bleed);
  const { width, height } = all;
  const defs: string[] = [];
  const used = new Map<string, string>();
  const files = [
    ...new Set(picture.pieces.flatMap((p) => p.marks.flatMap((m) => imagesOf(m).map(({ asset }) => asset)))),
  ];
  for (const sha of files) {
    const asset = source.asset(sha);
    const name = `picture-${used.size + 1}`;
    used.set(sha, name);
    const drawn = source.drawing(sha);
    if (drawn) {
      const map = matrix(toWhole(drawn.drawing, drawn.whole));
      defs.push(`<g id="${name}" transform="${map}">${drawingMarks(drawn.drawing, name)}</g>`);
      continue;
    }
    // The stored pixels are turned upright here; readers that turn them by themselves are told not to.
    defs.push(
      `<image id="${name}" width="${asset.width}" height="${asset.height}" transform="${matrix(uprightMatrix(asset))}" ` +
        `style="image-orientation:none" preserveAspectRatio="none" href="${source.address(sha)}"/>`,
    );
  }
  const sheet: Sheet = { defs, files: used, source, clips: new Map() };
  const body = picture.pieces.map((piece, i) => group(piece, i, sheet));
  return [
    `<?xml version="1.0" encoding="UTF-8"?>`,
    `<svg xmlns="http://www.w3.org/2000/svg" version="1.1" width="${number(width / 72)}in" height="${number(height / 72)}in" ` +
      `viewBox="${[all.x, all.y, width, height].map(number).join(' ')}">`,
    `<title>${asXml(picture.title)}</title>`,
    `<defs>${defs.join('\n')}</defs>`,
    ...(picture.ground
      ? [
          `<rect x="${number(all.x)}" y="${number(all.y)}" width="${number(width)}" height="${number(height)}" fill="${picture.ground}"/>`,
        ]
      : []),
    ...body,
    `</svg>`,
  ].join('\n');
}

/** What the file gathers while it is written. */
interface Sheet {
  defs: string[];
  /** Ids of pictures, by SHA-256. */
  files: Map<string, string>;
  source: SvgSource;
  /** Ids of outlines that marks are seen within. */
  clips: Map<Path, string>;
}

function group(piece: DrawnPiece, index: number, sheet: Sheet): string {
  const marks = piece.marks.map((mark, i) => draw(mark, `p${index + 1}-${i + 1}`, sheet));
  const fade = piece.opacity < 1 ? ` opacity="${number(piece.opacity)}"` : '';
  const blend = piece.blend ? ` style="mix-blend-mode:${piece.blend}"` : '';
  return `<g transform="${matrix(piece.matrix)}"${fade}${blend}><title>${asXml(piece.words ?? piece.name)}</title>${marks.join('')}</g>`;
}

function draw(mark: Mark, id: string, sheet: Sheet): string {
  const part = seenWithin(mark);
  if (!part) return whole(mark, id, sheet);
  const { area, less } = part.seen;
  if (less) {
    sheet.defs.push(rubbedOut(less, `${id}-less`, area, sheet));
    return `<g mask="url(#${id}-less)">${draw(part.mark, `${id}-in`, sheet)}</g>`;
  }
  let clip = sheet.clips.get(area);
  if (!clip) {
    clip = `${id}-seen`;
    sheet.clips.set(area, clip);
    sheet.defs.push(`<clipPath id="${clip}"><path d="${pathData(area)}"/></clipPath>`);
  }
  return `<g clip-path="url(#${clip})">${draw(part.mark, `${id}-in`, sheet)}</g>`;
}

function whole(mark: Mark, id: string, sheet: Sheet): string {
  const { defs, files, source } = sheet;
  switch (mark.mark) {
    case 'fill':
      if (mark.blended) defs.push(gradient(mark.blended, id));
      return `<path d="${pathData(mark.path)}" fill="${mark.blended ? `url(#${id})` : mark.colour}"${opacityOf(mark.opacity)}/>`;
    case 'stamps':
      mark.tips.forEach((tip, i) =>
        defs.push(
          `<g id="${id}-${i}">${tip.map((each, k) => whole(each, `${id}-${i}-${k}`, sheet)).join('')}</g>`,
        ),
      );
      return mark.places
        .map(
          ({ tip, map, opacity }) =>
            `<use href="#${id}-${tip}" transform="${matrix(map)}"${opacityOf(opacity)}/>`,
        )
        .join('');
    case 'image':
      defs.push(`<clipPath id="${id}"><path d="${pathData(mark.clip)}"/></clipPath>`);
      return `<g clip-path="url(#${id})"><g transform="${matrix(mark.matrix)}"><use href="#${files.get(mark.asset)}"/></g></g>`;
    case 'treatment':
    case 'colouring':
    case 'paint': {
      const { x, y, width, height, address } = source.worked(mark);
      return `<image x="${number(x)}" y="${number(y)}" width="${number(width)}" height="${number(height)}" preserveAspectRatio="none" href="${address}"/>`;
    }
    case 'shadow':
      // Blurred in sRGB, as canvases do; the region is generous as blurred edges reach three deviations.
      defs.push(
        `<filter id="${id}" color-interpolation-filters="sRGB" x="-50%" y="-50%" width="200%" height="200%">` +
          `<feGaussianBlur stdDeviation="${number(mark.blur)}"/></filter>`,
      );
      return (
        `<path d="${pathData(mark.path)}" transform="translate(${number(mark.offset.x)} ${number(mark.offset.y)})" ` +
        `fill="${mark.colour}" stroke="${mark.grow > 0 ? mark.colour : 'none'}" stroke-width="${number(2 * mark.grow)}" ` +
        `stroke-miterlimit="4" opacity="${number(mark.opacity)}" filter="url(#${id})"/>`
      );
    case 'stroke': {
      const data = pathData(mark.path);
      const clip = mark.side === 'on' ? '' : ` clip-path="url(#${id})"`;
      if (mark.side === 'inside') defs.push(`<clipPath id="${id}"><path d="${data}"/></clipPath>`);
      if (mark.side === 'outside') {
        const outside = pathData(around(mark.path, mark.width * 8));
        defs.push(`<clipPath id="${id}"><path clip-rule="evenodd" d="${outside}${data}"/></clipPath>`);
      }
      const width = mark.side === 'on' ? mark.width : 2 * mark.width;
      return `<path d="${data}" fill="none" stroke="${mark.colour}" stroke-width="${number(width)}" stroke-miterlimit="4"${clip}/>`;
    }
  }
}

const opacityOf = (opacity = 1) => (opacity < 1 ? ` opacity="${number(opacity)}"` : '');

/** What soft paint leaves: white where nothing was rubbed out, by how much it covers (SVG 1.1, 14.4). */
function rubbedOut(less: WorkedMark, id: string, area: Path, { source }: Sheet): string {
  const { x, y, width, height, address } = source.worked(less);
  const box = [x, y, width, height].map(number) as [string, string, string, string];
  return (
    `<filter id="${id}-black" color-interpolation-filters="sRGB" x="0" y="0" width="1" height="1"><feColorMatrix values="0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 1 0"/></filter>` +
    `<mask id="${id}" maskUnits="userSpaceOnUse" x="-1e5" y="-1e5" width="2e5" height="2e5" color-interpolation="sRGB"><path d="${pathData(area)}" fill="#fff"/>` +
    `<image x="${box[0]}" y="${box[1]}" width="${box[2]}" height="${box[3]}" preserveAspectRatio="none" href="${address}" filter="url(#${id}-black)"/></mask>`
  );
}

function gradient({ colours, from, to, round }: Blended, id: string): string {
  const stops = colours
    .map((colour, i) => `<stop offset="${number(i / (colours.length - 1))}" stop-color="${colour}"/>`)
    .join('');
  const head = `id="${id}" gradientUnits="userSpaceOnUse"`;
  return round
    ? `<radialGradient ${head} cx="${number(from.x)}" cy="${number(from.y)}" r="${number(Math.hypot(to.x - from.x, to.y - from.y))}">${stops}</radialGradient>`
    : `<linearGradient ${head} x1="${number(from.x)}" y1="${number(from.y)}" x2="${number(to.x)}" y2="${number(to.y)}">${stops}</linearGradient>`;
}
