/** Lines that are ready to be drawn with: stitches, ribbons, twine, garlands, chains of stamps, in the inks of their kit. */
import { createCanvas, loadImage, type Canvas } from '@napi-rs/canvas';
import { uprightSize, type Asset } from '@/core/picture/asset';
import { drawAlone } from '@/core/page/draw';
import { toolsFor } from '@/core/page/outlines';
import { finishOf } from '@/core/piece/finish';
import { newLayout, type Project } from '@/core/project/model';
import { linesPiece } from '@/core/project/lines';
import { trailKind, type Trail } from '@/core/trail';
import { NEW_CORD } from '@/core/trail/cord';
import type { Pictured } from '@/core/trail/fields';
import { newGarland } from '@/core/trail/garland';
import { newPaint } from '@/core/trail/paint/paint';
import { NEW_RIBBON } from '@/core/trail/ribbon/ribbon';
import { newStamps } from '@/core/trail/stamps';
import { NEW_STRUNG } from '@/core/trail/strung';
import { NEW_THREAD, type ThreadTrail } from '@/core/trail/thread/thread';
import type { Typesetter } from '@/core/text/typesetter';
import { make } from '@/output/make';
import { nodeWorkshop } from '../node/platform';

export interface ReadyLine {
  name: string;
  tags: string;
  trail: Trail;
}

interface Drawer {
  ink(name: string): string;
  picture(name: string): Pictured;
}

const sewn = (stitch: ThreadTrail['stitch'], colours: string[], more: Partial<ThreadTrail> = {}): Trail => ({
  ...NEW_THREAD,
  stitch,
  colours,
  ...more,
});

const READY: Record<string, (kit: Drawer) => ReadyLine[]> = {
  'kitchen-table': ({ ink, picture }) => [
    { name: 'Apron stitch', tags: 'stitch thread red running', trail: sewn('running', [ink('Jam')]) },
    {
      name: 'Blanket edge',
      tags: 'stitch thread blanket blue',
      trail: sewn('blanket', [ink('Enamel')], { length: 11, height: 11 }),
    },
    {
      name: "Baker's twine",
      tags: 'twine string red',
      trail: { ...NEW_CORD, colours: [ink('Jam'), ink('Flour')], width: 4.5 },
    },
    {
      name: 'Gingham along',
      tags: 'ribbon gingham check',
      trail: {
        ...NEW_RIBBON,
        weave: 'woven',
        colour: ink('Flour'),
        pattern: picture('Tablecloth'),
        width: 26,
      },
    },
    {
      name: 'Cherries in a row',
      tags: 'cherry stamp border',
      trail: { ...newStamps([picture('Cherries, tone')], ink('Rhubarb'), 20), spacing: 1.25 },
    },
  ],
  windward: ({ ink, picture }) => [
    {
      name: 'Sail seam',
      tags: 'stitch thread zigzag white',
      trail: sewn('zigzag', [ink('Deep water')], { length: 8, height: 8 }),
    },
    {
      name: 'Harbour rope',
      tags: 'rope twine brown',
      trail: { ...NEW_CORD, colours: [ink('Driftwood')], width: 9, fuzzy: true },
    },
    {
      name: 'Signal tape',
      tags: 'tape washi stripe',
      trail: {
        ...NEW_RIBBON,
        weave: 'tape',
        colour: ink('Sailcloth'),
        pattern: picture('Deckchair stripe'),
        width: 30,
        ends: 'torn',
      },
    },
    {
      name: 'Sea beads',
      tags: 'beads string glass',
      trail: { ...NEW_STRUNG, colours: [ink('Sea glass'), ink('Lagoon'), ink('Sailcloth')], width: 9 },
    },
    {
      name: 'Starfish chain',
      tags: 'starfish border',
      trail: {
        ...newStamps([picture('Wooden starfish')], ink('Coral'), 34),
        own: true,
        spacing: 1.15,
        turned: 40,
      },
    },
  ],
  'lantern-night': ({ ink, picture }) => [
    {
      name: 'String of lights',
      tags: 'lights night string',
      trail: {
        ...NEW_STRUNG,
        thing: 'lights',
        colours: [ink('Flame'), ink('Berry'), ink('Holly'), ink('Frost')],
        width: 12,
      },
    },
    {
      name: 'Paper chain',
      tags: 'chain paper party',
      trail: { ...NEW_STRUNG, thing: 'chain', colours: [ink('Berry'), ink('Gilt'), ink('Pine')], width: 18 },
    },
    {
      name: 'Gilt sequins',
      tags: 'sequins gold',
      trail: { ...NEW_STRUNG, thing: 'sequins', colours: [ink('Gilt')], width: 9 },
    },
    {
      name: 'Winter wreath',
      tags: 'garland wreath leaf green',
      trail: {
        ...newGarland([picture('Winter leaf')], [picture('Star brad')]),
        flower: 18,
        bloom: 0.12,
        stem: ink('Pine'),
      },
    },
    {
      name: 'Velvet band',
      tags: 'ribbon satin red',
      trail: { ...NEW_RIBBON, colour: ink('Berry'), width: 24 },
    },
    {
      name: 'Scarf stitch',
      tags: 'stitch thread feather',
      trail: sewn('feather', [ink('Snow'), ink('Frost')], { length: 10, height: 12 }),
    },
  ],
  'quiet-hours': ({ ink, picture }) => [
    { name: 'Linen stitch', tags: 'stitch thread running cream', trail: sewn('running', [ink('Thread')]) },
    {
      name: 'Slate back stitch',
      tags: 'stitch thread grey',
      trail: sewn('back', [ink('Slate')], { length: 8, width: 1.8 }),
    },
    {
      name: 'Satin hem',
      tags: 'stitch satin full',
      trail: sewn('satin', [ink('Dusk rose')], { height: 7, width: 1.6 }),
    },
    {
      name: 'Pearls',
      tags: 'pearl beads string',
      trail: { ...NEW_STRUNG, thing: 'pearls', colours: [ink('Linen')], width: 7 },
    },
    {
      name: 'Kraft tape',
      tags: 'tape washi brown',
      trail: { ...NEW_RIBBON, weave: 'tape', colour: ink('Kraft'), width: 28, ends: 'torn' },
    },
    {
      name: 'Sage wreath',
      tags: 'garland wreath leaf grey',
      trail: { ...newGarland([picture('Sage leaf')], []), stem: ink('Eucalyptus'), dense: 0.42 },
    },
    {
      name: 'Soft pencil',
      tags: 'pencil brush tip line',
      trail: { ...newPaint('pencil', ink('Graphite')), width: 3 },
    },
  ],
  'garden-year': ({ ink, picture }) => [
    {
      name: 'Garden wreath',
      tags: 'garland wreath leaf flower',
      trail: {
        ...newGarland(
          [picture('Green leaf'), picture('Fern leaf')],
          [picture('Primrose flower'), picture('Peony flower')],
        ),
        stem: ink('Fern'),
      },
    },
    {
      name: 'Leafy vine',
      tags: 'garland vine leaf',
      trail: {
        ...newGarland([picture('Fern leaf')], []),
        width: 28,
        dense: 0.3,
        open: 62,
        stem: ink('Leaf'),
      },
    },
    {
      name: 'Stem stitch',
      tags: 'stitch thread green',
      trail: sewn('stem', [ink('Fern'), ink('Leaf')], { length: 9, width: 2.2 }),
    },
    {
      name: 'Chain of petals',
      tags: 'stitch thread chain pink',
      trail: sewn('chain', [ink('Peony')], { length: 10, height: 8 }),
    },
    {
      name: 'Garden string',
      tags: 'twine string green',
      trail: { ...NEW_CORD, colours: [ink('Fern')], width: 5, fuzzy: true },
    },
    {
      name: 'Watercolour wash',
      tags: 'brush tip watercolour',
      trail: { ...newPaint('watercolour', ink('Bluebell')), width: 40 },
    },
  ],
  'every-day': ({ ink, picture }) => [
    {
      name: 'Ruled in biro',
      tags: 'pen line blue',
      trail: { ...newPaint('pencil', ink('Biro')), width: 3 },
    },
    {
      name: 'Jeans seam',
      tags: 'stitch thread orange',
      trail: sewn('back', [ink('Marmalade')], { length: 9, width: 2.2 }),
    },
    {
      name: 'Red cross stitch',
      tags: 'stitch thread cross red',
      trail: sewn('cross', [ink('Post red')], { length: 9, height: 9 }),
    },
    {
      name: 'Parcel string',
      tags: 'string twine brown',
      trail: { ...NEW_CORD, colours: [ink('Paper bag')], width: 5, fuzzy: true },
    },
    {
      name: 'Squared tape',
      tags: 'tape washi grid',
      trail: {
        ...NEW_RIBBON,
        weave: 'tape',
        colour: ink('Page'),
        pattern: picture('Squared'),
        width: 28,
        ends: 'torn',
      },
    },
    {
      name: 'Paper planes',
      tags: 'plane stamp row',
      trail: { ...newStamps([picture('Paper plane')], ink('Denim'), 34), spacing: 1.3 },
    },
  ],
  'little-one': ({ ink, picture }) => [
    {
      name: 'Blanket stitch',
      tags: 'stitch thread blanket soft',
      trail: sewn('blanket', [ink('Cheek')], { length: 10, height: 10 }),
    },
    {
      name: 'Chain of milk',
      tags: 'stitch thread chain white',
      trail: sewn('chain', [ink('Pond')], { length: 10, height: 8 }),
    },
    {
      name: 'Wooden beads',
      tags: 'beads string toy',
      trail: {
        ...NEW_STRUNG,
        colours: [ink('Biscuit'), ink('Duck egg'), ink('Cheek'), ink('Butter')],
        width: 12,
      },
    },
    {
      name: 'Satin binding',
      tags: 'ribbon satin blue',
      trail: { ...NEW_RIBBON, colour: ink('Nap blue'), width: 22 },
    },
    {
      name: 'Knitting wool',
      tags: 'wool yarn string',
      trail: { ...NEW_CORD, colours: [ink('Apricot')], width: 7, fuzzy: true },
    },
    {
      name: 'Stars in a row',
      tags: 'star felt row',
      trail: {
        ...newStamps([picture('Felt star')], ink('Butter'), 30),
        own: true,
        spacing: 1.25,
        turned: 24,
      },
    },
    {
      name: 'Finger paint',
      tags: 'brush tip watercolour',
      trail: { ...newPaint('watercolour', ink('Apricot')), width: 36 },
    },
  ],
};

export const readyLines = (
  kit: string,
  ink: (name: string) => string,
  find: (name: string) => Asset,
): ReadyLine[] =>
  READY[kit]!({
    ink,
    picture(name) {
      const asset = find(name);
      const { width, height } = uprightSize(asset);
      return { asset: asset.sha, ratio: height / width };
    },
  });

/** A small wave of it, or a ring where it is a wreath, so many pixels long. */
export async function sampleOf(
  trail: Trail,
  assets: readonly Asset[],
  bytes: ReadonlyMap<string, Buffer>,
  side: number,
  typesetter: Typesetter,
): Promise<Canvas> {
  const wide = 2 * trailKind(trail).half(trail);
  const [reach, up] = [Math.max(70, 3.2 * wide), Math.max(10, 0.5 * wide)];
  const ring = trail.kind === 'garland';
  const points = Array.from({ length: ring ? 72 : 90 }, (_, i) => {
    const t = (2 * Math.PI * i) / (ring ? 72 : 89);
    return ring
      ? [reach * 0.62 * Math.cos(t), reach * 0.62 * Math.sin(t)]
      : [(reach * (t - Math.PI)) / Math.PI, -up * Math.sin(t)];
  });
  const piece = linesPiece('sample', [
    { id: 'line', at: points.flat(), smoothing: 0, trail, ...(ring ? { closed: true as const } : {}) },
  ]);
  const project: Project = {
    ...newLayout({ id: 'sample', title: 'Sample', unit: 'in', width: 400, height: 400 }),
    assets: Object.fromEntries(assets.map((asset) => [asset.sha, asset])),
  };
  const surface = { ...project.surfaces[0]!, pile: [{ ...piece, finish: finishOf(0) }] };
  const picture = drawAlone(surface, ['sample'], toolsFor(project, typesetter));
  const shop = nodeWorkshop(
    (sha) => project.assets[sha]!,
    (sha) => bytes.get(sha)!,
    typesetter,
  );
  const ppi = (72 * side) / Math.max(picture.trim.width, picture.trim.height);
  const made = await make(picture, { format: 'png', ppi, withBleed: false, cropMarks: false }, shop);
  if (!made.ok) throw new Error(made.message);
  const image = await loadImage(Buffer.concat(made.value));
  const canvas = createCanvas(image.width, image.height);
  canvas.getContext('2d').drawImage(image, 0, 0);
  return canvas;
}
