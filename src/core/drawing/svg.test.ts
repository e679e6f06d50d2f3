/** What other programs write in SVG, as librsvg draws it; what cannot be had is named. */
import { readDrawing } from '@/core/drawing/read';
import { unlikeness } from '../../../scripts/testing/drawn';

const INCHES = 'width="2in" height="1in" viewBox="0 0 200 100"';
const svg = (inside: string, more = INCHES) =>
  `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" ${more}>${inside}</svg>`;
const read = (inside: string, more?: string) => {
  const answer = readDrawing(svg(inside, more));
  if (!answer.ok) throw new Error(answer.message);
  return answer.value;
};

const ALIKE: [name: string, inside: string, more?: string][] = [
  [
    'a rectangle, a round one, one with one radius',
    '<rect x="10" y="10" width="60" height="40" fill="#9e2b45"/><rect x="80" y="10" width="60" height="40" rx="20" ry="8" fill="#2f6f68"/><rect x="150" y="20" width="40" height="60" ry="9"/>',
  ],
  [
    'circle, ellipse, line, polyline, polygon',
    '<circle cx="40" cy="50" r="30" fill="#9e2b45"/><ellipse cx="120" cy="50" rx="40" ry="20"/><line x1="5" y1="95" x2="195" y2="80" stroke="#24506b" stroke-width="4"/><polyline points="10,10 60,30 90,5" fill="none" stroke="red" stroke-width="3"/><polygon points="150 60 190 95 160 95"/>',
  ],
  [
    'a path of every command',
    '<path d="M10 90 L30 10 H60 V40 h20 v-20 l10 10 C100 0 120 0 130 30 S160 60 170 20 Q180 0 190 40 T195 90 A30 20 20 0 1 120 95 a10 10 0 0 0 -20 -5 z" fill="#d4ac0d"/>',
  ],
  [
    'holes by both rules',
    '<path fill-rule="evenodd" d="M10 10h80v80h-80zM30 30h40v40h-40z"/><path d="M110 10h80v80h-80zM130 30h40v40h-40z"/>',
  ],
  [
    'groups and what they hand down',
    '<g fill="#2471a3" stroke="#000" stroke-width="6" stroke-linejoin="round"><rect x="10" y="10" width="50" height="80"/><g fill="none" stroke-linecap="round"><path d="M90 20 L180 80"/></g></g>',
  ],
  [
    'transforms one in another',
    '<g transform="translate(100 50) rotate(30) scale(1.5 .8)"><rect x="-30" y="-20" width="60" height="40" transform="skewX(20)"/></g><rect width="20" height="20" transform="matrix(1 .2 -.3 1 20 60)"/>',
  ],
  [
    'what is see-through',
    '<rect width="120" height="60" fill="#9e2b45" opacity=".5"/><rect x="60" y="30" width="120" height="60" fill="#2f6f68" fill-opacity="0.4" stroke="#000" stroke-opacity="30%" stroke-width="8"/><circle cx="30" cy="80" r="15" opacity="40%"/>',
  ],
  [
    'colours by name, in rgb() and hsl(), with alpha',
    '<rect width="60" height="100" fill="teal"/><rect x="60" width="60" height="100" fill="rgb(200, 30, 60)"/><rect x="120" width="60" height="100" fill="hsl(200, 60%, 40%)"/><rect x="150" width="50" height="50" fill="rgba(0,0,0,.5)"/>',
  ],
  [
    'styles in attributes',
    '<rect style="fill:#9e2b45;stroke:#24506b;stroke-width:4px" x="20" y="20" width="60" height="60"/><rect fill="red" style="fill: #2f6f68" x="110" y="20" width="60" height="60"/>',
  ],
  [
    'a sheet of styles, with comments',
    '<style>/* made by a program */ .a{fill:#9e2b45} /* two */ .b , .c { fill : #2f6f68 ; opacity:.6 }</style><rect class="a" width="60" height="90"/><rect class="b" x="70" width="60" height="90"/><circle class="c a" cx="170" cy="50" r="25"/>',
  ],
  [
    'styles for elements, for all and for one',
    '<style><![CDATA[ rect { fill: #9e2b45 } * { stroke: #24506b; stroke-width: 3 } #one { fill: #d4ac0d } circle.c{fill:#2f6f68}]]></style><rect x="5" y="5" width="60" height="90"/><rect id="one" x="70" y="5" width="60" height="90"/><circle class="c" cx="170" cy="50" r="25"/>',
  ],
  [
    'what is not shown, by attribute or style',
    '<rect width="60" height="100" display="none"/><g style="display:none"><rect width="200" height="100"/></g><rect x="70" width="50" height="100" visibility="hidden"/><g visibility="hidden"><rect width="200" height="40"/><rect x="130" width="50" height="100" visibility="visible"/></g>',
  ],
  [
    'the colour at hand',
    '<g color="#2f6f68"><rect width="60" height="100" fill="currentColor"/><g color="#9e2b45" stroke="currentColor" stroke-width="6" fill="none"><rect x="80" y="20" width="60" height="60"/></g></g>',
  ],
  [
    'a ground in percent',
    '<rect width="100%" height="100%" fill="#d4ac0d"/><rect x="25%" y="25%" width="50%" height="50%" fill="#2471a3"/><circle cx="50%" cy="50%" r="10%" fill="#fff"/>',
  ],
  [
    'lengths in units',
    '<rect x="0.5in" y="5mm" width="1in" height="1cm" fill="#9e2b45"/><circle cx="150px" cy="36pt" r="1pc"/><path d="M10 90H190" stroke="#000" stroke-width="2mm"/>',
  ],
  [
    'used again, moved, with its symbol',
    '<defs><g id="k"><path d="M0 0L20 15L0 40L-20 15Z"/></g><symbol id="s" viewBox="0 0 10 10"><rect width="10" height="10"/><circle cx="5" cy="5" r="4" fill="#fff"/></symbol></defs><use href="#k" x="40" y="20" fill="#9e2b45"/><use xlink:href="#k" x="90" y="40" fill="#2f6f68" transform="rotate(10)"/><use href="#s" x="130" y="10" width="60" height="80" fill="#24506b"/>',
  ],
  [
    'a drawing in a drawing',
    '<svg x="20" y="10" width="80" height="80" viewBox="0 0 40 20"><rect width="40" height="20" fill="#9e2b45"/></svg><svg x="110" y="10" width="80" height="80" viewBox="0 0 40 20" preserveAspectRatio="none"><rect width="40" height="20" fill="#2f6f68"/></svg>',
  ],
  [
    'a pattern',
    '<pattern id="p" width="20" height="20" patternUnits="userSpaceOnUse"><circle cx="10" cy="10" r="6" fill="#9e2b45"/></pattern><rect x="20" y="20" width="160" height="60" fill="url(#p)"/>',
  ],
  [
    'lines in dashes, from where they are said to begin',
    '<g fill="none" stroke="#000" stroke-width="6"><path d="M10 20H190M190 40H10" stroke-dasharray="18 6"/><circle cx="60" cy="70" r="22" stroke-dasharray="10" stroke="#9e2b45" stroke-width="3"/><path d="M100 90 C130 40 160 100 190 60" stroke-dasharray="12,4,2" stroke-dashoffset="7" stroke-linecap="round" stroke-width="2"/><path d="M10 95H90" stroke-dasharray="none"/></g>',
  ],
  [
    'a sheet of other proportions than its view: in the middle, whole',
    '<rect width="100" height="100" fill="#9e2b45"/><circle cx="50" cy="50" r="40" fill="#fff"/>',
    'width="3in" height="1in" viewBox="0 0 100 100"',
  ],
  [
    'at the left of it',
    '<rect width="100" height="100" fill="#2f6f68"/>',
    'width="3in" height="1in" viewBox="0 0 100 100" preserveAspectRatio="xMinYMid meet"',
  ],
  [
    'drawn out over it',
    '<circle cx="50" cy="50" r="45" fill="#24506b"/>',
    'width="3in" height="1in" viewBox="0 0 100 100" preserveAspectRatio="none"',
  ],
  [
    'a view that begins elsewhere',
    '<rect x="-50" y="-25" width="50" height="50" fill="#9e2b45"/>',
    'width="2in" height="1in" viewBox="-50 -25 100 50"',
  ],
];

test.each(ALIKE.map(([name, inside, more = INCHES]) => [name, inside, more] as const))(
  '%s',
  async (_, inside, more) => {
    // Where edges are made soft each program does as it likes: a few in a hundred of the pixels, a little.
    expect(await unlikeness(svg(inside, more))).toBeLessThan(1.2);
  },
);

test.each([
  ['<rect width="9" height="9"/><text x="1" y="9">Kites</text>', 'text that is not outlines'],
  ['<rect width="9" height="9"/><image href="a.png" width="9" height="9"/>', 'a picture inside it'],
  ['<clipPath id="c"><circle r="5"/></clipPath><rect width="9" height="9" clip-path="url(#c)"/>', 'clipping'],
  ['<mask id="m"><circle r="5"/></mask><g mask="url(#m)"><rect width="9" height="9"/></g>', 'a mask'],
  ['<rect width="9" height="9" style="filter:url(#soft)"/>', 'filter effects'],
  ['<path d="M0 0H190" stroke="#000" stroke-dasharray=".001"/>', 'dashes too fine, which became a line'],
  [
    '<linearGradient id="g"><stop stop-color="red"/><stop offset="1" stop-color="blue"/></linearGradient><rect width="9" height="9" fill="url(#g)"/>',
    'a shaded fill, which became one colour',
  ],
  ['<rect width="9" height="9"/><use href="other.svg#kite"/>', 'a link to another file'],
])('%s: named is %s', (inside, named) => {
  expect(read(inside).dropped).toEqual([named]);
});

// Means by hand: integrals of straight lines between the stops, of a radial one weighted by the radius.
test.each([
  [
    '<linearGradient id="g"><stop stop-color="#000"/><stop offset="1" stop-color="#000" stop-opacity="0"/></linearGradient>',
    '#000000',
    0.5,
  ],
  [
    '<linearGradient id="g"><stop offset=".25" stop-color="#ff0000"/><stop offset=".25" stop-color="#0000ff"/></linearGradient>',
    '#4000bf',
    1,
  ],
  [
    '<radialGradient id="g"><stop stop-color="#000" style="stop-opacity:1"/><stop offset=".5" stop-opacity="0"/></radialGradient>',
    '#000000',
    0.125,
  ],
])('the one colour of a shaded fill is its mean, as see-through as that: %s', (gradient, hex, opacity) => {
  const [part] = read(`${gradient}<rect width="9" height="9" fill="url(#g)"/>`).drawing.parts;
  expect(part).toMatchObject({ colour: hex, opacity: expect.closeTo(opacity, 3) });
});

test('what is wholly understood is told of in no word', () => {
  for (const [, inside, more] of ALIKE) expect(read(inside, more).dropped).toEqual([]);
});
