/** The demo projects: three pages of the kite club's album, composed by hand. */
import { uprightSize, type Asset } from '@/core/picture/asset';
import { finishOf, type Finish } from '@/core/piece/finish';
import { LIFTS } from '@/core/piece/finish/lift';
import type { Material } from '@/core/piece/material';
import { keepCovered, WHOLE, type Window } from '@/core/piece/material/window';
import { pictureScale } from '@/core/piece/material';
import type { Outline } from '@/core/piece/outline';
import type { GlyphsOutline } from '@/core/piece/outline/glyphs';
import { wantedSize } from '@/core/piece/outline/glyphs';
import type { Piece, Role } from '@/core/piece/piece';
import { newLayout, type Project } from '@/core/project/model';
import type { Typesetter } from '@/core/text/typesetter';

const IN = 72;

interface Where {
  /** Centre and size in inches; degrees clockwise. */
  at: [number, number];
  size: [number, number];
  turn?: number;
}

const RECTANGLE: Outline = { kind: 'rectangle', radius: 0 };
const CIRCLE: Outline = { kind: 'ellipse' };

/** Lays pieces on a new project, one after the other, from the bottom up. */
class Album {
  readonly project: Project;
  private count = 0;

  constructor(
    id: string,
    title: string,
    width: number,
    height: number,
    private readonly assets: ReadonlyMap<string, Asset>,
    private readonly typesetter: Typesetter,
  ) {
    this.project = newLayout({ id, title, unit: 'in', width: width * IN, height: height * IN });
  }

  gather(photos: readonly string[]): this {
    for (const name of photos) {
      const asset = this.asset(name);
      this.project.assets[asset.sha] = asset;
      this.project.photos.push(asset.sha);
    }
    return this;
  }

  background(paper: string): this {
    const { width, height, bleed } = this.page;
    const size: [number, number] = [(width + 2 * bleed) / IN, (height + 2 * bleed) / IN];
    return this.paper(paper, { at: [width / 2 / IN, height / 2 / IN], size }, 'paper', { lift: 0 });
  }

  paper(
    name: string,
    where: Where,
    role: Role = 'paper',
    options: { outline?: Outline; lift?: number; window?: Partial<Window> } = {},
  ): this {
    const { outline = RECTANGLE, lift = LIFTS.paper, window = {} } = options;
    const asset = this.asset(name);
    this.project.assets[asset.sha] = asset;
    if (!this.project.papers.includes(asset.sha)) this.project.papers.push(asset.sha);
    return this.lay(
      asset.name,
      role,
      this.window({ kind: 'paper', asset: asset.sha, window: { ...WHOLE, ...window } }, where),
      outline,
      finishOf(lift),
      where,
    );
  }

  photo(
    name: string,
    where: Where,
    options: { outline?: Outline; window?: Partial<Window>; border?: number } = {},
  ): this {
    const { outline = RECTANGLE, window = {}, border = 0 } = options;
    const asset = this.asset(name);
    const finish: Finish = {
      ...finishOf(LIFTS.photo),
      stroke: border ? { colour: '#fdfbf6', width: border * IN, side: 'outside' } : null,
    };
    const material: Material = { kind: 'photo', asset: asset.sha, window: { ...WHOLE, ...window } };
    return this.lay(
      asset.name.replace(/\.jpg$/, ''),
      'photo',
      this.window(material, where),
      outline,
      finish,
      where,
    );
  }

  words(
    role: 'title' | 'journaling',
    colour: string,
    at: [number, number],
    style: Omit<GlyphsOutline, 'kind' | 'leading' | 'wrap'> & {
      leading?: number;
      column?: number;
      turn?: number;
    },
  ): this {
    const { column, turn = 0, leading = 1.2, ...rest } = style;
    const outline: GlyphsOutline = { kind: 'glyphs', leading, wrap: column !== undefined, ...rest };
    const size = wantedSize(outline, { width: (column ?? 0) * IN, height: 0 }, this.typesetter);
    const where: Where = { at, size: [size.width / IN, size.height / IN], turn };
    return this.lay(
      style.text.split('\n')[0]!.slice(0, 40),
      role,
      { kind: 'ink', colour },
      outline,
      finishOf(0),
      where,
    );
  }

  private window(material: Material, { size }: Where): Material {
    if (!('window' in material)) return material;
    const asset = this.project.assets[material.asset]!;
    const box = { width: size[0] * IN, height: size[1] * IN };
    return {
      ...material,
      window: keepCovered(material.window, uprightSize(asset), box, pictureScale(material, asset, box)),
    };
  }

  private lay(
    name: string,
    role: Role,
    material: Material,
    outline: Outline,
    finish: Finish,
    { at, size, turn = 0 }: Where,
  ): this {
    const piece: Piece = {
      id: `${this.project.id}-piece-${++this.count}`,
      name,
      role,
      material,
      outline,
      finish,
      placement: {
        x: at[0] * IN,
        y: at[1] * IN,
        width: size[0] * IN,
        height: size[1] * IN,
        turn,
        mirror: false,
        locked: false,
        hidden: false,
      },
    };
    this.page.pile.push(piece);
    return this;
  }

  private get page() {
    return this.project.surfaces[0]!;
  }

  private asset(name: string): Asset {
    const found = this.assets.get(name);
    if (!found) throw new RangeError(`No picture ${name}.`);
    return found;
  }
}

/** `assets` by file name (photos) or paper id. */
export function demoProjects(
  assets: ReadonlyMap<string, Asset>,
  photos: readonly string[],
  typesetter: Typesetter,
): Project[] {
  const flyIn = new Album('saltmarsh-fly-in', 'Fly-in on the beach', 12, 12, assets, typesetter)
    .gather(photos)
    .background('sailcloth-linen')
    .paper('tide-wash', { at: [6, 9.35], size: [12.25, 3.7] }, 'paper', { window: { x: 0.5, y: 0.62 } })
    .paper('picnic-gingham', { at: [6, 7.2], size: [12.25, 1] })
    .paper('dune-kraft', { at: [6, 7.74], size: [12.25, 0.16] })
    .paper('buoy-dots', { at: [4.55, 3.72], size: [8.1, 5.75], turn: -2.6 }, 'mat', {
      lift: LIFTS.cardstock,
      window: { x: 0.485, y: 0.507 },
    })
    .paper('sailcloth-white', { at: [4.55, 3.72], size: [7.36, 5.04], turn: -1.6 }, 'mat', {
      lift: LIFTS.cardstock,
    })
    .photo('fly-in-first-launch.jpg', { at: [4.55, 3.72], size: [7, 4.667], turn: -1.6 })
    .photo(
      'fly-in-high.jpg',
      { at: [10.02, 2.85], size: [2.5, 3.7], turn: 2.2 },
      { border: 0.11, window: { y: 0.46, zoom: 1.1 } },
    )
    .paper('windsock-stripe', { at: [9.55, 6.72], size: [3.7, 3.7] }, 'mat', {
      outline: CIRCLE,
      lift: LIFTS.cardstock,
      window: { turn: 90 },
    })
    .photo('fly-in-plum-kite.jpg', { at: [9.55, 6.72], size: [3.2, 3.2] }, { outline: CIRCLE, border: 0.1 })
    .words('title', '#25232a', [4.35, 8.36], {
      text: 'all hands to the',
      family: 'special-elite',
      size: 27,
      align: 'left',
    })
    .words('title', '#9e2b45', [3.2, 9.85], {
      text: 'Wind',
      family: 'great-vibes',
      size: 168,
      align: 'left',
      leading: 1,
    })
    .paper('sailcloth-white', { at: [9.0, 9.9], size: [4.4, 1.9], turn: 1.2 }, 'paper', {
      lift: LIFTS.cardstock,
    })
    .words('journaling', '#2b2a33', [9.0, 9.88], {
      text: 'Forty-one kites up by noon and only two in the sea. Olu let the red one out to the very end of the line, and it pulled so hard that we had to hold on to each other.',
      family: 'caveat',
      size: 19,
      align: 'left',
      column: 4,
      turn: 1.2,
      leading: 1.12,
    })
    .words('journaling', '#25232a', [9.62, 11.42], {
      text: 'Ines & Olu, Saltmarsh Bay, 16 May 2026',
      family: 'special-elite',
      size: 11.5,
      align: 'right',
    });

  const lanterns = new Album('saltmarsh-lanterns', 'Lantern night', 8, 8, assets, typesetter)
    .gather(['lantern-night.jpg', 'lighthouse-walk.jpg'])
    .background('boathouse-boards')
    .paper('sailcloth-white', { at: [4, 3.5], size: [7.1, 4.86], turn: 0.8 }, 'mat', {
      lift: LIFTS.cardstock,
    })
    .photo('lantern-night.jpg', { at: [4, 3.5], size: [6.75, 4.5], turn: 0.8 })
    .words('title', '#fbf3dc', [4, 6.62], {
      text: 'Lantern night',
      family: 'great-vibes',
      size: 82,
      align: 'centre',
      leading: 1,
    })
    .words('journaling', '#fbf3dc', [4, 7.5], {
      text: 'The whole club on the slipway, 7 November 2026',
      family: 'special-elite',
      size: 11.5,
      align: 'centre',
    });

  const pools = new Album('saltmarsh-tide-pools', 'Tide pools in July', 8.5, 11, assets, typesetter)
    .gather(['tide-pools.jpg', 'fly-in-horizon.jpg', 'fly-in-through-the-grass.jpg'])
    .background('harbourmaster-ledger')
    .paper('harbour-herringbone', { at: [1.1, 5.5], size: [1.7, 11.25] })
    .photo('tide-pools.jpg', { at: [4.75, 3.45], size: [6.3, 4.2], turn: -1 }, { border: 0.12 })
    .photo('fly-in-horizon.jpg', { at: [5.5, 7.55], size: [4.9, 2.75], turn: 1.4 }, { border: 0.12 })
    .words('title', '#2f6f68', [5.5, 9.55], {
      text: 'What the sea left',
      family: 'abril-fatface',
      size: 40,
      align: 'left',
    })
    .words('journaling', '#25232a', [5.5, 10.2], {
      text: 'Three starfish, one very cross crab. Saltmarsh Bay, 11 July 2026',
      family: 'zilla-slab',
      size: 12,
      align: 'left',
    });

  return [pools.project, lanterns.project, flyIn.project];
}
