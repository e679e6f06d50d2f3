/** Looks: a finish with a name, shared by the pieces that wear it. */
import type { Draft } from 'immer';
import type { Finish } from '@/core/piece/finish';
import type { Piece } from '@/core/piece/piece';
import { changePieces, naming, piecesOf, type Edit } from '@/core/project/edits/edit';
import type { Look, Project } from '@/core/project/model';
import { shortened } from '@/core/text/named';

export const MOST_LOOKS = 200;
export const LONGEST_LOOK = 60;

const copyOf = (finish: Finish): Draft<Finish> => structuredClone(finish) as Draft<Finish>;

/** What is written of a finish says whether two are the same. */
export const sameFinish = (a: Finish, b: Finish): boolean => written(a) === written(b);
const written = (value: unknown): string =>
  JSON.stringify(value, (_, part: unknown) =>
    part && typeof part === 'object' && !Array.isArray(part)
      ? Object.fromEntries(Object.entries(part).sort(([a], [b]) => (a < b ? -1 : 1)))
      : part,
  );

export const lookOf = ({ looks = [] }: Project, { look }: Piece): Look | undefined =>
  looks.find(({ id }) => id === look);

/** The pieces of all pages that wear a look. */
export const wearing = ({ surfaces }: Project, id: string): Piece[] =>
  surfaces.flatMap(({ pile }) => pile.filter(({ look }) => look === id));

/** Keeps the finish of the first piece under a name; all of these wear it from now on. */
export const keepLook = (surfaceId: string, pieces: readonly Piece[], id: string, name: string): Edit => ({
  label: `keep look “${name}”`,
  apply(project) {
    const [first] = pieces;
    if (!first || (project.looks?.length ?? 0) >= MOST_LOOKS) return;
    const finish = copyOf(first.finish);
    (project.looks ??= []).push({ id, name: shortened(name, LONGEST_LOOK), finish });
    for (const piece of piecesOf(
      project,
      surfaceId,
      pieces.map((each) => each.id),
    )) {
      piece.look = id;
      piece.finish = copyOf(first.finish);
    }
  },
});

/** Gives pieces a look. */
export const giveLook = (surfaceId: string, pieces: readonly Piece[], look: Look): Edit =>
  changePieces(
    `give ${naming(pieces)} look “${look.name}”`,
    surfaceId,
    pieces.map(({ id }) => id),
    (piece) => {
      piece.look = look.id;
      piece.finish = copyOf(look.finish);
    },
  );

/** Pieces keep their finish, but share it with no one. */
export const partLook = (surfaceId: string, pieces: readonly Piece[]): Edit =>
  changePieces(
    `part ${naming(pieces)} from look`,
    surfaceId,
    pieces.map(({ id }) => id),
    (piece) => {
      delete piece.look;
    },
  );

/** Changes a look, and every piece that wears it; locked pages stay as they are. */
export const changeLook = (look: Look, finish: Finish): Edit => ({
  label: `change look “${look.name}”`,
  apply(project) {
    const kept = project.looks?.find(({ id }) => id === look.id);
    if (!kept) return;
    kept.finish = copyOf(finish);
    for (const { pile, locked } of project.surfaces)
      if (!locked) for (const piece of pile) if (piece.look === look.id) piece.finish = copyOf(finish);
  },
});

/** Forgets a look. Pieces that wore it keep their finish. */
export const forgetLook = (look: Look): Edit => ({
  label: `forget look “${look.name}”`,
  apply(project) {
    project.looks = (project.looks ?? []).filter(({ id }) => id !== look.id);
    if (!project.looks.length) delete project.looks;
    for (const { pile, locked } of project.surfaces)
      if (!locked) for (const piece of pile) if (piece.look === look.id) delete piece.look;
  },
});
