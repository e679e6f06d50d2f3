/** The published schemas: which there are, and what is said in them in words. */
import { number, object, string } from 'yup';
import { TICKET_VERSION, ticketSchema } from '@/core/order/ticket';
import { FILE_VERSION } from '@/core/project/version';
import { projectSchema } from '@/core/project/schema';
import { kitFields, KIT_VERSION } from '@/core/supplies/kit-file';
import { jsonSchema, type Says } from './json-schema';

const headed = (format: string, version: number) => ({
  format: string().oneOf([format]).required(),
  version: number().oneOf([version]).required(),
});

export const SCHEMAS = {
  'project.schema.json': () =>
    jsonSchema(
      `Bellagraph project, file version ${FILE_VERSION}`,
      "project.json of a .bellagraph file. Lengths are points (1/72 in), angles degrees clockwise, the origin is the trim's top left corner, colours are sRGB.",
      object({ ...headed('bellagraph', FILE_VERSION), project: projectSchema.required() }).noUnknown(),
      PROJECT,
    ),
  'job-ticket.schema.json': () =>
    jsonSchema(
      `Job ticket, version ${TICKET_VERSION}`,
      'What a print shop is told of an order. Lengths are millimetres.',
      ticketSchema,
      TICKET,
    ),
  'kit.schema.json': () =>
    jsonSchema(
      `Bellagraph kit, file version ${KIT_VERSION}`,
      "kit.json of a kit's zip. Paths are those of the zip, relative to the folder kit.json lies in.",
      object({ ...headed('bellagraph-kit', KIT_VERSION), ...kitFields }).noUnknown(),
      KIT,
    ),
};

const PROJECT: Says = {
  'project.looks': 'Finishes with a name; a piece that wears one holds a copy of it.',
  'project.styles': 'Text styles: those of the house that were changed, and one’s own.',
  'project.styles[].hyphens': 'The language in which words are divided.',
  'project.fonts': 'Fonts of one’s own; their files lie under fonts/.',
  'project.profiles': 'Colour profiles of presses (ICC); their files lie under profiles/.',
  'project.assets': 'Every picture the project has gathered, by the SHA-256 of its bytes.',
  guides:
    'Fine lines to lay things along: upright at x points from the left, or level at y points from the top.',
  group:
    'Pieces that are taken as one; each piece names the groups it is in. With repeat, the first cell is copied in rows and columns: there are as many times its pieces; otherwise it is a plain group.',
  'group.letters': 'Words laid in letters of an alphabet.',
  'light.direction': 'Where the light comes from, clockwise from the top.',
  'light.height': 'Degrees above the page.',
  'light.softness': 'Angular radius of the lamp, degrees.',
  'page.pile': 'Bottom first.',
  'asset.width': 'Pixels as stored, before the turn.',
  'asset.orientation': 'Exif orientation.',
  'asset.cut': 'Outline of what is not transparent, as path data in upright pixels.',
  'asset.blur': 'How blurred its sharpest part is, 0 to 1 (src/core/photos/blur.ts).',
  'asset.likeness':
    '128 bits that are nearly the same for pictures that look alike (src/core/photos/likeness.ts).',
  'asset.notes': 'Who, where and what.',
  'asset.notes.position': 'Degrees north and east, WGS 84.',
  'asset.focus': 'Where the thing lies that matters, as shares of the upright width and height.',
  'asset.holes': 'Transparent openings a photo can lie behind, largest first.',
  'asset.lift': 'How high it stands when laid, mm.',
  'piece.groups': 'Ids of the groups it is in, outermost first.',
  'piece.look': 'Id of the look it wears.',
  'piece.tucks':
    'Crossings at which it passes under a piece that lies lower in the pile: the one nearest to the point, which is told from the middle of its box in shares of width and height.',
  'piece.tucks[].slit':
    'It goes through a straight cut in the lower piece, from a to b in shares of that piece’s box from its middle; what lies to the right of that way is beneath.',
  'material-art': 'A picture shown whole; with an ink it is stamped: what is dark in it covers.',
  'material-art.fills': 'Areas coloured in beneath the lines, the later over the earlier.',
  'material-art.fills[].shade': 'How much darker the far side is.',
  'material-art.fills[].light': 'Where the light side is, degrees clockwise from the top.',
  'material-gradient':
    'Inks that run into each other at even distances, along straight lines in OKLab: from edge to edge, or from the middle out.',
  'material-gradient.turn': '0 from left to right, 90 from top to bottom.',
  area: 'Cells of a picture as text: width, height, then how many lie outside, inside, outside ... row by row; what is left over lies outside. Empty where nothing is inside.',
  dyes: 'Other colours for all or parts of a picture, one after the other (src/core/dye).',
  'dyes[].change|0':
    'Like an ink: by its lightness each colour goes to the line in OKLab from black through the ink to white.',
  'dyes[].change|1': 'In OKLCH.',
  'dyes[].where|1': 'On a picture: the strokes that marked it, and the area they came to.',
  'dyes[].where|1.strokes[].points': 'x, y ... in shares of the upright picture.',
  'dyes[].where|1.strokes[].width': 'Share of the longer side.',
  'dyes[].where|1.strokes[].closeness': 'Distance in OKLab, lightness counted half.',
  'dyes[].where|1.edge': 'Larger or smaller, share of the longer side.',
  'dyes[].where|0': 'On a drawing: its painted parts by number, the lowest 0.',
  'dyes[].outside': 'Everything but where it says.',
  'cut-own':
    'The edge of the picture itself: path data in its pixels, width and height of which are stretched to the box.',
  'material-photo.tone':
    'Light and tone; the file itself stays as it is. What a setting does never changes (src/core/tone).',
  'material-photo.tone.values.exposure': 'Stops.',
  'material-photo.window':
    'x, y: the point of the upright picture at the box’s centre, as shares. zoom 1 just covers the box.',
  'cut-path.data': 'SVG path data without arcs; `frame`, or its extent, is stretched to the box.',
  'cut-path.frame': 'What of the drawing’s plane is the box.',
  'cut-glyphs.spans[]': 'A stretch of the text in UTF-16 units that differs in what it names.',
  'cut-glyphs.hyphens': 'The language in which words are divided.',
  'cut-glyphs.fixed': 'The box keeps its height whatever is written in it.',
  'cut-glyphs.joined': 'All letters are one shape.',
  'cut-glyphs.style': 'Id of the text style it is written in.',
  'finish.lift.height': 'Millimetres.',
  'finish.lift.curl': 'Where it stands up from the page, above its height.',
  'finish.lift.curl.corners': 'Which, clockwise from the top left.',
  'finish.lift.curl.rise': 'Millimetres.',
  'finish.lift.curl.reach':
    'How far in it bends: a share of the shorter side (corners) or of half the longer one (ends).',
  'finish.stroke.broken':
    'Dashes: length of one, gap and distance from the edge in points; each side takes a whole number.',
  'finish.trails':
    'What runs along the edge, the lowest first; `from` is how far its band lies from the edge, points. A whole number of whatever repeats fits each side.',
  'cut-lines': 'Lines drawn by hand: cut is whatever runs along them.',
  'cut-lines.frame': 'What of the plane the lines are drawn in is stretched to the box, points.',
  'cut-lines.lines[].at': 'x, y ... in points of that plane, as the hand went.',
  'cut-lines.lines[].pressure': 'At each point, 0 to 1; absent where it could not be known.',
  'cut-lines.lines[].lean': 'How far the pen leaned at each point, degrees from upright.',
  'cut-lines.lines[].smoothing': 'How much of the tremble is taken out when it is drawn: the points stay.',
  'material-drawn': 'As the lines of its cut say.',
  'trail-paint':
    'A tip drawn along the line (src/core/trail/paint); an eraser takes away what lies before it on its piece.',
  'trail-stamps':
    'Pictures laid along the line; `width` is their longer side, `spacing` a share of how long they are along the line.',
  'trail-stamps.pictures[].ratio': 'Height by width, upright.',
  'trail-thread': 'Stitches; all lengths in points.',
  'trail-ribbon.pattern': 'A paper that runs along it at its true size.',
  'trail-garland.open': 'How far leaves open from the way of the line, degrees.',
  'finish.edge':
    'How the cut edge is worked; `size` is from one scallop to the next in points, `core` how much bare paper shows along a tear.',
  'finish.mats':
    'Papers beneath it, the nearest first; each stands out `width` points beyond what lies on it.',
  'finish.shadows':
    'More shadows beside the page light’s; x, y and blur (a standard deviation) in points on the page.',
  'finish.treatments':
    'What the face was treated with, the lowest first; `values` by the kind’s settings, lengths in points.',
  'finish.blend': 'W3C Compositing and Blending Level 1; absent: normal.',
  'finish.echoes': 'Copies behind it, the nearest first; lengths in points, in the piece’s own frame.',
  'placement.x': 'The box’s centre.',
  'cut-punch':
    'A ready outline by its id, drawn for the box; settings that are lengths are points. What an id draws never changes.',
  family: 'A family of the house, or `own-` and the SHA-256 of a font of the project.',
  features: 'OpenType features switched on.',
  tracking: 'Added after each letter, as a share of the letter size.',
  'cut-running': 'Words along an outline.',
  'cut-running.start': 'Share of the way round, clockwise from the topmost point.',
  'cut-running.line': 'The outline itself, drawn.',
  'material-words': 'Words over and over, one entry a line.',
  'material-photos': 'A photo behind each letter, in turn.',
  'material-photos.photos[].window':
    'x, y: the point of the upright picture at the box’s centre, as shares. zoom 1 just covers the box.',
};

const TICKET: Says = {
  job: 'Made by who orders (a UUID); the same for an order that is sent again.',
  condition: 'The printing condition the files are made for, by its characterisation data.',
  'product.width': 'Of one page, trimmed; of the open sheet of what is folded.',
  'product.spine': 'Of a cover that lies open.',
  'files[].width': 'Of every page in it, trimmed.',
};

const KIT: Says = {
  cover: 'Path of the supply shown on the cover.',
};
