/** Small drawings that come to a great deal: each once hung the reader, or filled the memory. */

const drawing = (inside: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="2in" height="1in" viewBox="0 0 200 100">${inside}</svg>`;

const SQUARE = '<rect width="9" height="9"/>';
const many = (count: number, each: (i: number) => string): string =>
  Array.from({ length: count }, (_, i) => each(i)).join('');

/** Nine levels of ten uses each: a thousand million leaves. */
const levels = (leaf: string): string =>
  drawing(
    `<defs><g id="a0">${leaf}</g>${many(9, (i) => `<g id="a${i + 1}">${`<use href="#a${i}"/>`.repeat(10)}</g>`)}</defs><use href="#a9"/>`,
  );

/** Each by what it is, with what is to become of it. */
export const DRAWN_BOMBS: Record<string, { file: string; refused: boolean }> = {
  'uses of uses that paint nothing': { file: levels('<path fill="none" d="M0 0L1 1"/>'), refused: true },
  'uses of uses that paint': { file: levels('<path d="M0 0L1 1L2 0Z"/>'), refused: true },
  'patterns of many parts': {
    file: drawing(
      `<defs><pattern id="p" width="1" height="1">${'<rect width="1" height="1"/>'.repeat(300)}</pattern></defs>${'<rect width="190" height="190" fill="url(#p)"/>'.repeat(60)}`,
    ),
    refused: true,
  },
  'a long path used often': {
    file: drawing(
      `<defs><path id="b" d="M0 0${many(50_000, (i) => `L${i % 200} ${i % 97}`)}"/></defs>${'<use href="#b"/>'.repeat(19_000)}`,
    ),
    refused: true,
  },
  'rules that never end': { file: drawing(`<style>${'a'.repeat(300_000)}</style>${SQUARE}`), refused: false },
  'one class said often': {
    file: drawing(
      `<style>${many(20_000, (i) => `.a{x${i}:1}`)}</style>${'<rect class="a" width="9" height="9"/>'.repeat(5000)}`,
    ),
    refused: true,
  },
  'a gradient of many stops on many shapes': {
    file: drawing(
      `<defs><linearGradient id="g">${'<stop stop-color="#123456"/>'.repeat(20_000)}</linearGradient></defs>${'<rect width="9" height="9" fill="url(#g)"/>'.repeat(5000)}`,
    ),
    refused: false,
  },
  'a polygon of many points': {
    file: drawing(`<polygon points="${'1 2 '.repeat(200_000)}"/>`),
    refused: false,
  },
  'a line whose letter is left out': {
    file: drawing(`<path d="M0 0L${'1 2 '.repeat(200_000)}"/>`),
    refused: false,
  },
  'numbers beyond all numbers': {
    file: drawing(
      '<path d="M0 0L1e999 5L3 1e400Z"/><path d="M0 0L9 9L3 9Z" stroke="red" stroke-width="1e300" transform="scale(1e200)"/>',
    ),
    refused: true,
  },
};
