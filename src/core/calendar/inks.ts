/** Twelve sets of ink, one for each month, and what is written in them. */
import type { MonthInks, MonthMaterial } from '@/core/piece/material/month/model';
import type { Piece } from '@/core/piece/piece';
import { inkSlots } from '@/core/inks/used';
import { lives } from '@/core/text/style';
import { monthOn } from '@/core/product';
import { calendarIn } from '@/core/product/calendar';
import { changeProduct } from '@/core/project/edits/product';
import type { Edit } from '@/core/project/edits/edit';
import type { Project, Surface } from '@/core/project/model';

/** Dark for numbers, main for titles, second for what days are, soft for rules. */
export type InkSet = readonly [dark: string, main: string, second: string, soft: string];

export interface InkYear {
  id: string;
  name: string;
  /** January first. */
  sets: readonly InkSet[];
}

export const INK_YEARS: readonly InkYear[] = [
  {
    id: 'shore',
    name: 'A year at the shore',
    sets: [
      ['#22303f', '#2f5573', '#5c6470', '#a9b7c2'],
      ['#2b2b3d', '#5a4a78', '#7a4d6d', '#bcb2c8'],
      ['#24352f', '#2f6f5b', '#5d6b2f', '#a8bfb0'],
      ['#2a3440', '#2c6c8a', '#8a5a1f', '#a9c2cc'],
      ['#26372b', '#3f7034', '#9e3f52', '#b2c4a6'],
      ['#1f3540', '#0f6f7e', '#a3491f', '#9fc4c8'],
      ['#1d3345', '#1f5f8f', '#a8442f', '#a5bdd4'],
      ['#332b1f', '#8a5a12', '#1f6677', '#d2bd95'],
      ['#33271f', '#93481f', '#4d6130', '#d0b39c'],
      ['#33231f', '#8f3722', '#6b5416', '#cfac9d'],
      ['#2b2c30', '#4f5560', '#7d4a2c', '#b9bcc2'],
      ['#20302a', '#1f6148', '#9a2b34', '#a7bdb1'],
    ],
  },
  {
    id: 'garden',
    name: 'A year in the garden',
    sets: [
      ['#2d3134', '#51646c', '#6e5a6e', '#b7c0c3'],
      ['#322b33', '#7a4a7a', '#4f6a52', '#c8b6c8'],
      ['#2b3424', '#55702a', '#8a5f0f', '#bccaa4'],
      ['#32282d', '#a03a62', '#44703f', '#dab3c2'],
      ['#25332a', '#2f7048', '#a0446f', '#a9c6b3'],
      ['#33242a', '#a22c4e', '#5c6b22', '#d9aebb'],
      ['#332a20', '#8f5410', '#3a6d6a', '#d6bd97'],
      ['#33261f', '#a0461f', '#55692c', '#d9b39f'],
      ['#302a22', '#785a1c', '#8a3b4a', '#cdbf9e'],
      ['#33231d', '#943f17', '#615d1f', '#d4b09d'],
      ['#2d2724', '#6f4a3a', '#4d6650', '#c3b2a8'],
      ['#22302a', '#2c6146', '#9a2a3a', '#aabfb3'],
    ],
  },
  {
    id: 'lamplight',
    name: 'A year by lamplight',
    sets: [
      ['#23283f', '#3a4b86', '#7a4a68', '#b0b6cf'],
      ['#33222d', '#962f58', '#5c5480', '#d3acbd'],
      ['#27302b', '#3f6b54', '#8a5a2a', '#b0c2b6'],
      ['#29304a', '#4560a0', '#8f4a73', '#b5bfdb'],
      ['#2a3323', '#587030', '#8a466b', '#bfcba9'],
      ['#33291c', '#8c5c0c', '#2f6b7a', '#d5c091'],
      ['#331f26', '#a32a41', '#2c5f87', '#d8abb4'],
      ['#332619', '#99510f', '#5a4f86', '#dbb998'],
      ['#2a2438', '#64438a', '#8a561f', '#bfb0cf'],
      ['#332018', '#9c4212', '#54497c', '#dcb29c'],
      ['#2a282c', '#5f5566', '#8f5020', '#bdb7c1'],
      ['#1f2f2b', '#1d6355', '#a02c33', '#a5beb8'],
    ],
  },
];

/** What a month is written in, of a set. */
export const monthInks = ([dark, main, second, soft]: InkSet): Omit<MonthInks, 'beside'> => ({
  ...{ numbers: dark, heads: second, title: main, rules: soft, free: main, notes: second },
});

/** A living title: it wears the main ink of its month. */
const isTitle = ({ role, outline, material }: Piece): boolean =>
  role === 'title' &&
  material.kind === 'ink' &&
  outline.kind === 'glyphs' &&
  Boolean(outline.spans?.some(lives));

/**
 * Deals sets to the months: their days and titles are written in them, and what wore an ink of the set before wears the one in
 * its place. Null deals none: what is written stays as it is.
 */
export function dealInks(project: Project, year: InkYear | null): Edit | null {
  const calendar = calendarIn(project.product);
  if (!calendar) return null;
  const { inks: before, ...rest } = calendar;
  const label = year ? `deal inks: ${year.name}` : 'deal no inks';
  const product = year ? { ...rest, inks: year.sets.map((set) => [...set]) } : rest;
  return {
    label,
    apply(draft) {
      changeProduct(product, label).apply(draft);
      if (!year) return;
      for (const surface of draft.surfaces as Surface[]) {
        if (surface.locked) continue;
        const month = monthOn({ product }, surface)?.month;
        const set = year.sets[(month ?? 1) - 1]!;
        const known = before?.[(month ?? 1) - 1];
        for (const piece of surface.pile) dealTo(piece, set, known, year);
      }
    },
  };
}

function dealTo(piece: Piece, own: InkSet, known: readonly string[] | undefined, { sets }: InkYear): void {
  if (piece.material.kind === 'month') {
    // A month beside its page's is written as that month is.
    const material: MonthMaterial = piece.material;
    Object.assign(material.inks, monthInks(material.follows ? sets[material.month - 1]! : own));
    return;
  }
  if (isTitle(piece) && piece.material.kind === 'ink') piece.material.colour = own[1];
  for (const { colour, set } of known ? inkSlots(piece) : []) {
    const at = known!.indexOf(colour);
    if (at >= 0) set(own[at]!);
  }
}
