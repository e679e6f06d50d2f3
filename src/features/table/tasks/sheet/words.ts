/** What is said of small things on paper. */
import { MOST_COPIES } from '@/core/packing/pack';
import type { Plans } from '@/core/packing/sheets';
import { STOCKS } from '@/core/product/sheet/start';
import type { Project } from '@/core/project/model';
import { formatSize } from '@/core/units/lengths';

const so = (count: number, one: string, many = `${one}s`): string => `${count} ${count === 1 ? one : many}`;

/** How many come out on how much paper, in how many cuts, and what does not fit, with its size. */
export function packedInWords(
  { surfaces, unit }: Project,
  { of, plans, tooLarge, left: over, loose }: Plans,
): string {
  const cards = plans.reduce((sum, { laid }) => sum + laid.length, 0);
  const cuts = plans.reduce((sum, { cuts }) => sum + (cuts?.length ?? 0), 0);
  const crooked = plans.some(({ cuts }) => !cuts);
  const fits = cards
    ? `${so(cards, 'card')} on ${so(plans.length, 'sheet')} of paper${crooked ? ', not to be cut right through' : `, in ${so(cuts, 'cut')}`}.`
    : 'No card is wanted yet: say how many of each.';
  const left = tooLarge.map((part) => {
    const { width, height } = of.things.find((thing) => thing.part === part)!;
    const name = surfaces.find((surface) => surface.part === part)?.name ?? 'A card';
    return `${name} does not fit: it measures ${formatSize({ width, height }, unit)}.`;
  });
  if (over) left.push(`${so(over, 'copy', 'copies')} more are left out: ${MOST_COPIES} are packed at once.`);
  if (of.stock && of.things.some(({ back, count }) => back && count))
    left.push(`Nothing is printed on the back of a ${STOCKS[of.stock].toLowerCase()}: backs are left out.`);
  if (loose)
    left.push(
      loose === 1
        ? 'A card cannot lie any more where it was pinned, and is packed with the others.'
        : `${loose} cards cannot lie any more where they were pinned, and are packed with the others.`,
    );
  return [fits, ...left].join(' ');
}
