/** Whatever is done by hand, in whatever order: what must follow from it has followed, and one undo takes both back. */
import fc from 'fast-check';
import { fieldSays } from '@/core/living/fields';
import { livingIn } from '@/core/living/living';
import { behind } from '@/core/page/round';
import type { GlyphsOutline } from '@/core/piece/outline/glyphs';
import { FAR } from '@/core/piece/placement/placement';
import { beginProduct, otherFace } from '@/core/product';
import { startHistory } from '@/core/project/history';
import { checkProject } from '@/core/project/file';
import { newProject, type Project } from '@/core/project/model';
import { createSession } from '@/features/table/session';
import { nodeTypesetter } from '../../../../scripts/node/platform';
import { Chance } from '../../../../scripts/testing/chance';
import { byChance, first } from '../../../../scripts/testing/edits';
import { inkPiece, wordsOf } from '../../../../scripts/testing/samples';

const typesetter = await nodeTypesetter();

function card(): Project {
  const of = newProject(
    { id: 'c', title: 'Card', unit: 'in' },
    beginProduct('card', { width: 216, height: 288 }, 'left'),
  );
  const [outside, inside] = of.surfaces as [Project['surfaces'][0], Project['surfaces'][0]];
  const { through } = otherFace(of, outside)!;
  const ribbon = { ...inkPiece('ribbon', 10, 100, 400, 12), round: 'r' };
  const said = wordsOf('said', 'Side 1 of 2: Card, 29 May 2026');
  const spans = [
    { start: 5, end: 6, field: { kind: 'page' } },
    { start: 10, end: 11, field: { kind: 'pages' } },
    { start: 13, end: 17, field: { kind: 'title' } },
    { start: 19, end: 30, field: { kind: 'fact', fact: 'f1' } },
  ] as const;
  const words = { ...said, outline: { ...said.outline, spans: [...spans] } as GlyphsOutline };
  return {
    ...of,
    facts: first.facts!,
    assets: first.assets,
    looks: first.looks!,
    styles: first.styles!,
    surfaces: [
      { ...outside, pile: [inkPiece('a'), ribbon, words] },
      { ...inside, pile: [{ ...ribbon, id: 'end', placement: behind(ribbon.placement, through) }] },
    ],
  };
}

/** What is not so of a project that should be: nothing, always. */
function wrongIn(project: Project): string[] {
  const ends = project.surfaces.flatMap((surface) =>
    surface.pile.flatMap((piece) => (piece.round ? [{ surface, piece }] : [])),
  );
  const torn = ends.flatMap(({ surface, piece }) => {
    const there = ends.filter((end) => end.piece.round === piece.round && end.piece !== piece);
    const other = otherFace(project, surface);
    if (there.length !== 1 || there[0]!.surface.id !== other?.surface.id)
      return [`${piece.id} has no one end`];
    const { x, y, width, height } = behind(piece.placement, other.through);
    const now = there[0]!.piece.placement;
    // At the end of all places the one further off stops first.
    if ([x, y, now.x, now.y].some((at) => Math.abs(at) > FAR - 1000)) return [];
    const off =
      Math.abs(now.x - x) + Math.abs(now.y - y) + Math.abs(now.width - width) + Math.abs(now.height - height);
    return off < 1e-6 ? [] : [`${piece.id} is not behind its end`];
  });
  const unsaid = livingIn(project).flatMap(({ surfaceId, pieceId, field, start, end }) => {
    const index = project.surfaces.findIndex(({ id }) => id === surfaceId);
    const { outline } = project.surfaces[index]!.pile.find(({ id }) => id === pieceId)!;
    const says = (outline as GlyphsOutline).text.slice(start, end);
    return says === fieldSays({ project, index }, field) ? [] : [`${field.kind} says ${says}`];
  });
  return [...torn, ...unsaid];
}

/** These make or take sides, which a card does not. */
const NOT_OF_CARDS = ['addPage', 'removePage', 'movePage'];

test('both ends stay in step and living words true, whatever is done; every state passes the door, undo goes back to each', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 2 ** 31 }), (seed) => {
      const chance = new Chance(seed);
      const store = createSession(startHistory(card()), typesetter, false);
      const states = [store.getState().history.project];
      for (let i = 0; i < 25; i++) {
        const next = byChance(null, store.getState().history.project, chance);
        if (NOT_OF_CARDS.includes(next.name)) continue;
        store.getState().perform({ ...next.edit, merge: undefined });
        const { project } = store.getState().history;
        expect({ ...next, wrong: wrongIn(project) }).toEqual({ ...next, wrong: [] });
        if (project !== states.at(-1)) states.push(project);
      }
      const { project, ...rest } = store.getState().history;
      expect(checkProject(JSON.parse(JSON.stringify(project)))).toMatchObject({ ok: true });
      expect(rest.steps).toHaveLength(states.length - 1);
      for (const state of states.reverse().slice(1)) {
        store.getState().undo();
        expect(store.getState().history.project).toEqual(state);
      }
    }),
    { numRuns: 20 },
  );
}, 120_000);
