/** Lays the pieces of the demo's pages, in inches, from the bottom up. */
import { withBleed } from '@/core/geometry/sides';
import { uprightSize, type Asset } from '@/core/picture/asset';
import { finishOf, type Finish } from '@/core/piece/finish';
import { slitAt } from '@/core/page/tuck';
import { LIFTS } from '@/core/piece/finish/lift';
import type { Material } from '@/core/piece/material';
import { keepCovered, WHOLE, type Window } from '@/core/piece/material/window';
import { pictureScale } from '@/core/piece/material';
import type { Outline } from '@/core/piece/outline';
import type { GlyphsOutline } from '@/core/piece/outline/glyphs';
import { wantedSize } from '@/core/piece/outline/glyphs';
import type { Piece, Role } from '@/core/piece/piece';
import { beginProduct } from '@/core/product';
import { newProject, newSurface, type Project, type Surface } from '@/core/project/model';
import type { Typesetter } from '@/core/text/typesetter';

const IN = 72;

export interface Where {
  /** Centre and size in inches; degrees clockwise. */
  at: [number, number];
  size: [number, number];
  turn?: number;
}

export const RECTANGLE: Outline = { kind: 'rectangle', radius: 0 };
export const CIRCLE: Outline = { kind: 'ellipse' };

/** Lays pieces on a new project, one after the other, from the bottom up. */
export class Album {
  readonly project: Project;
  private count = 0;
  private side: Surface | null = null;

  constructor(
    id: string,
    title: string,
    width: number,
    height: number,
    private readonly assets: ReadonlyMap<string, Asset>,
    private readonly typesetter: Typesetter,
    begun = beginProduct('layout', { width: width * IN, height: height * IN }),
  ) {
    this.project = newProject({ id, title, unit: 'in' }, begun);
  }

  /** What follows is laid on the side of this name. */
  on(side: string): this {
    this.side = this.project.surfaces.find(({ name }) => name === side) ?? null;
    return this;
  }

  /** What was done on this page. */
  note(text: string): this {
    this.page.note = text;
    return this;
  }

  /** Another page of the same size; what follows is laid there. */
  turn(): this {
    const { project, page } = this;
    const number = project.surfaces.length + 1;
    project.surfaces.push(newSurface(`${project.id}-page-${number}`, `Page ${number}`, page, project.unit));
    return this;
  }

  /** Cardstock, or a picture of the album, cut and finished in any way. */
  cut(
    name: string,
    material: { ink: string } | { paper: string } | { photo: string } | 'opening',
    outline: Outline,
    finish: Partial<Finish>,
    where: Where,
  ): this {
    if (material === 'opening')
      return this.lay(
        name,
        'embellishment',
        { kind: 'opening' },
        outline,
        { ...finishOf(LIFTS.cardstock), ...finish },
        where,
      );
    const file = 'paper' in material ? material.paper : 'photo' in material ? material.photo : null;
    const asset = file === null ? null : this.asset(file);
    if (asset) this.project.assets[asset.sha] = asset;
    const { papers } = this.project;
    if (asset && 'paper' in material && !papers.includes(asset.sha)) papers.push(asset.sha);
    const made: Material = !asset
      ? { kind: 'ink', colour: (material as { ink: string }).ink }
      : { kind: 'photo' in material ? 'photo' : 'paper', asset: asset.sha, window: WHOLE };
    return this.lay(
      name,
      'photo' in material ? 'photo' : 'paper' in material ? 'paper' : 'embellishment',
      this.window(made, where),
      outline,
      { ...finishOf(LIFTS.cardstock), ...finish },
      where,
    );
  }

  /** The last piece goes through a level slit of the one that is called so, cut at `down` inches of the page. */
  slippedInto(name: string, down: number): this {
    const last = this.page.pile.at(-1)!;
    const lower = this.page.pile.find((piece) => piece.name === name)!;
    const { x, y, width } = last.placement;
    const end = (side: 1 | -1) => ({ x: x + (side * width) / 2, y: down * IN });
    last.tucks = [
      {
        under: lower.id,
        x: 0,
        y: (down * IN - y) / (2 * last.placement.height),
        slit: slitAt(lower, end(-1), end(1)),
      },
    ];
    return this;
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
    const all = withBleed(this.page);
    const size: [number, number] = [all.width / IN, all.height / IN];
    return this.paper(
      paper,
      { at: [(all.x + all.width / 2) / IN, (all.y + all.height / 2) / IN], size },
      'paper',
      { lift: 0 },
    );
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
    return this.side ?? this.project.surfaces.at(-1)!;
  }

  private asset(name: string): Asset {
    const found = this.assets.get(name);
    if (!found) throw new RangeError(`No picture ${name}.`);
    return found;
  }
}
