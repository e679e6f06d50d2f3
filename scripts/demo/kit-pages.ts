/** More of the club's album: ready-made pages of the kits, filled with the year's photos, with words of the club's own. */
import { pictureScale } from '@/core/piece/material';
import { keepCovered } from '@/core/piece/material/window';
import { wantedSize } from '@/core/piece/outline/glyphs';
import type { Piece } from '@/core/piece/piece';
import { uprightSize, type Asset } from '@/core/picture/asset';
import { exchanged } from '@/core/project/create';
import { isEmptyPlace } from '@/core/project/frames';
import type { Project } from '@/core/project/model';
import type { Tone } from '@/core/tone/settings';
import type { Typesetter } from '@/core/text/typesetter';
import { houseDesign } from '../node/house';

interface KitPage {
  id: string;
  /** The kit and the name of its page. */
  of: readonly [kit: string, page: string];
  title: string;
  /** What was done on it. */
  note: string;
  /** In place of the title, of what stands under it, and of more that is written there. */
  words: Readonly<Record<string, string>>;
  /** The year's photos, in the order of the places. */
  photos: readonly string[];
  tone?: Tone;
}

/** An old print: brown, faded, soft in its depths. */
const HERITAGE: Tone = { values: { sepia: 78, fade: 34, vignette: 30 }, strength: 1 };

const PAGES: readonly KitPage[] = [
  {
    id: 'saltmarsh-title-page',
    note: 'The first page of the album. One round photo in three frames of card, cut from the same sheet so that the corners meet; the two engravings are stamped in the ink of the title.',
    of: ['windward', 'The summer book'],
    title: 'Saltmarsh, this year',
    words: { 'The summer book': 'The kite club', 'by the sea': 'Saltmarsh Bay, 2026' },
    photos: ['may-16-everyone.jpg'],
  },
  {
    id: 'saltmarsh-quiet-morning',
    note: 'One wide photo and a lot of air. The two small prints are tilted against each other and held by real pegs; nothing else on the page is louder than the sky.',
    of: ['quiet-hours', 'One long view'],
    title: 'Before the others came',
    words: { 'One long view': 'Before the others came', 'from the window': 'twenty past eight, and no wind' },
    photos: ['may-09-panorama.jpg', 'may-01-morning.jpg', 'may-02-winder.jpg'],
  },
  {
    id: 'saltmarsh-heritage',
    note: 'Both photos were made brown and a little faded (the photo’s own light and tone), so that the page could be of any year. Kraft and linen behind them, one dark mat to hold the eye.',
    of: ['quiet-hours', 'Found in a drawer'],
    title: 'The boathouse, as it was',
    words: { 'Found in a drawer': 'As it was', 'and put back again': 'the boathouse, the first spring' },
    photos: ['march-01-boathouse.jpg', 'march-08-tam.jpg'],
    tone: HERITAGE,
  },
  {
    id: 'saltmarsh-boathouse-tea',
    note: 'Three prints in a row on green, the story below the ribbon. The red of Ines’ jumper is the red of the edge and of the seal.',
    of: ['kitchen-table', 'Letters and jam'],
    title: 'Tea in the boathouse',
    words: { 'Letters and jam': 'Tea at the boathouse', 'sent with love': 'Wren brought the cake' },
    photos: ['march-06-tea.jpg', 'march-03-ines.jpg', 'march-07-dog.jpg'],
  },
  {
    id: 'saltmarsh-rock-pools',
    note: 'Seven photos of looking down. The smallest are all square and all one size; the big one breaks the row, and the shells lead back to it.',
    of: ['windward', 'Rock pools'],
    title: 'A week of looking down',
    words: { 'a week of looking down': 'Pip found eleven crabs' },
    photos: [
      'july-01-rocks.jpg',
      'july-02-pool.jpg',
      'july-03-pip.jpg',
      'july-04-ines-and-pip.jpg',
      'july-05-thrift.jpg',
      'july-06-gull.jpg',
      'july-07-lunch.jpg',
    ],
  },
  {
    id: 'saltmarsh-lighthouse',
    note: 'A day in five photos, read from the upper left. Papers from the Every Day drawer, because it rained.',
    of: ['every-day', 'Rain again'],
    title: 'To the lighthouse and back',
    words: { 'Rain again': 'To the light & back', 'five days of it': 'nine miles, soup at the end' },
    photos: [
      'september-01-cottages.jpg',
      'september-02-door.jpg',
      'september-05-lighthouse.jpg',
      'september-04-biscuit.jpg',
      'september-08-soup.jpg',
    ],
  },
  {
    id: 'saltmarsh-nine-lights',
    note: 'Nine lights, nine photos, one size: a grid needs nothing else. The title runs up the side so that the grid can keep its corner.',
    of: ['lantern-night', 'Nine lights'],
    title: 'Nine lights',
    words: { 'all along the street': 'down the hill and along the quay' },
    photos: [
      'november-01-quay.jpg',
      'november-02-making.jpg',
      'november-04-olu.jpg',
      'november-05-lit.jpg',
      'november-06-pip.jpg',
      'november-07-parade.jpg',
      'november-09-wren.jpg',
      'november-10-houses.jpg',
      'november-13-one-left.jpg',
    ],
  },
];

/** The pages, and the bytes of what they are made of. `photos` are the year's, by file name. */
export async function kitPages(
  photos: ReadonlyMap<string, Asset>,
  typesetter: Typesetter,
): Promise<{ projects: Project[]; bytes: Map<string, Uint8Array> }> {
  const bytes = new Map<string, Uint8Array>();
  const projects: Project[] = [];
  for (const page of PAGES) {
    const design = await houseDesign(...page.of);
    for (const [sha, data] of design.bytes) bytes.set(sha, data);
    projects.push(filled(design.project, page, photos, typesetter));
  }
  return { projects, bytes };
}

function filled(
  made: Project,
  { id, title, note, words, photos, tone }: KitPage,
  known: ReadonlyMap<string, Asset>,
  typesetter: Typesetter,
): Project {
  const [surface] = made.surfaces as [Project['surfaces'][0]];
  const waiting = photos.map((name) => {
    const asset = known.get(name);
    if (!asset) throw new Error(`No photo ${name}.`);
    return asset;
  });
  const laid = [...waiting];
  const pile = surface.pile.map((piece): Piece => {
    if (isEmptyPlace(piece) && waiting.length) return inPlace(piece, waiting.shift()!, tone);
    if (piece.outline.kind !== 'glyphs') return piece;
    const text = words[piece.outline.text];
    return text === undefined ? piece : said(piece, text, typesetter);
  });
  if (waiting.length) throw new Error(`${title}: ${waiting.length} photos have no place.`);
  return {
    ...made,
    id,
    title,
    surfaces: [{ ...surface, id: `${id}-1`, note, pile }],
    assets: { ...made.assets, ...Object.fromEntries(laid.map((asset) => [asset.sha, asset])) },
    photos: laid.map(({ sha }) => sha),
  };
}

/** A photo in an empty place, its focus in sight. */
export function inPlace(place: Piece, asset: Asset, tone: Tone | undefined): Piece {
  const piece = exchanged(place, asset, 'photos');
  if (piece.material.kind !== 'photo') return piece;
  const window = keepCovered(
    piece.material.window,
    uprightSize(asset),
    piece.placement,
    pictureScale(piece.material, asset, piece.placement),
  );
  return { ...piece, material: { ...piece.material, window, ...(tone ? { tone } : {}) } };
}

/** Other words in the same hand, in the same middle, no wider than those before or a little. */
function said(piece: Piece, text: string, typesetter: Typesetter): Piece {
  if (piece.outline.kind !== 'glyphs') return piece;
  const most = Math.max(piece.placement.width, 250);
  const of = (size: number) => {
    const outline = { ...(piece.outline as Extract<Piece['outline'], { kind: 'glyphs' }>), text, size };
    return { outline, box: wantedSize(outline, piece.placement, typesetter) };
  };
  const wished = of(piece.outline.size);
  const { outline, box } =
    wished.box.width > most ? of(Math.floor((piece.outline.size * most) / wished.box.width)) : wished;
  return { ...piece, name: text.slice(0, 40), outline, placement: { ...piece.placement, ...box } };
}
