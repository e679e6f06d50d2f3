/** All that goes to a cutter, worked out from what lies on pages: mats with their lines in order, and what the checks found. */
import { apply, IDENTITY, type Matrix } from '@/core/geometry/matrix';
import { signedArea } from '@/core/geometry/offset';
import { bladed, overcut } from '@/core/cutter/blade';
import { checkedCuts, type Found } from '@/core/cutter/checks';
import type { Laid, Line, Mat, Paper, Part, Place } from '@/core/cutter/model';
import { nest } from '@/core/cutter/nest';
import { once, type Doubled } from '@/core/cutter/once';
import { inOrder } from '@/core/cutter/order';
import { partsOf } from '@/core/cutter/parts';
import { registerMarks } from '@/core/cutter/register';
import { MATS, type CutterSettings } from '@/core/cutter/settings';

export interface Prepared {
  mats: Mat[];
  found: Found[];
  clear: string[];
  points: { before: number; after: number };
}

/** Lines as they lie on the mat. */
export const linesOn = ({ part, map }: Laid): Line[] =>
  part.lines.map((line) => ({ ...line, points: line.points.map((point) => apply(map, point)) }));

export function prepare(places: readonly Place[], settings: CutterSettings): Prepared {
  const made = partsOf(places, settings);
  const loads =
    settings.way === 'papers' && settings.packed ? packed(made.parts, settings) : asTheyLie(made.parts);
  const doubled: (readonly Doubled[])[] = [];
  const { width, height } = MATS[settings.mat];
  const mats = loads.map(({ paper, laid }): Mat => {
    const all = laid.flatMap(linesOn);
    const told = once(all);
    doubled.push(told.doubled);
    const points = laid.flatMap(({ part, map }) => (part.rings[0] ?? []).map((point) => apply(map, point)));
    const deep = points.reduce((most, { y }) => Math.max(most, y), 0);
    const area = laid.reduce(
      (sum, { part }) => sum + part.rings.reduce((all, ring) => all + signedArea(ring), 0),
      0,
    );
    return {
      paper,
      size: { width, height },
      laid,
      ...(settings.way === 'printed' && laid.length ? { place: laid[0]!.part.place } : {}),
      lines: inOrder(settings.once ? told.lines : all),
      marks:
        settings.way === 'printed' && laid.length ? registerMarks(places[laid[0]!.part.place]!.size) : [],
      used: deep ? area / (width * deep) : 0,
      deep,
    };
  });
  return { mats, points: made.points, ...checkedCuts({ ...made, settings, mats, doubled }) };
}

interface Load {
  paper: Paper;
  laid: Laid[];
}

/** Each paper on mats of its own, closely; what is drawn on a sheet nobody cuts stays where it is drawn. */
function packed(parts: readonly Part[], settings: CutterSettings): Load[] {
  return papersOf(parts).flatMap((paper): Load[] => {
    const own = parts.filter((part) => part.paper.key === paper.key);
    const { width, height } = MATS[settings.mat];
    const { mats } = nest(
      own.filter(({ rings }) => rings.length),
      { width, height, gap: settings.gap, edge: settings.edge, turning: settings.turning },
    );
    const bare = own.filter(({ rings }) => !rings.length);
    return [...(bare.length ? asTheyLie(bare) : []), ...mats.map((laid) => ({ paper, laid }))];
  });
}

/** As on their pages: a mat for each page and paper. */
function asTheyLie(parts: readonly Part[]): Load[] {
  const places = [...new Set(parts.map(({ place }) => place))];
  return places.flatMap((place) => {
    const here = parts.filter((part) => part.place === place);
    return papersOf(here).map((paper): Load => ({
      paper,
      laid: here
        .filter((part) => part.paper.key === paper.key)
        .map((part) => ({ part, map: IDENTITY as Matrix })),
    }));
  });
}

const papersOf = (parts: readonly Part[]): Paper[] => [
  ...new Map(parts.map(({ paper }) => [paper.key, paper])).values(),
];

/** What the tool does, from what is to become: closed lines go on beyond their beginning, and the blade is led. */
export const forTool = (lines: readonly Line[], { overcut: by, blade }: CutterSettings): Line[] =>
  lines.map((line) => (line.doing === 'cut' ? bladed(overcut(line, by), blade) : line));
