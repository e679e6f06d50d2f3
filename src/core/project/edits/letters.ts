/** Edits of words laid in letters of an alphabet: a group whose letters are laid anew when the words change. */
import type { Draft } from 'immer';
import { unite } from '@/core/geometry/box';
import { extentOf, placedAt } from '@/core/piece/placement/placement';
import type { Asset } from '@/core/picture/asset';
import type { Piece } from '@/core/piece/piece';
import { artPiece, wordsPiece } from '@/core/project/create';
import type { Edit } from '@/core/project/edits/edit';
import { gather } from '@/core/project/edits/gather';
import { lieLetters } from '@/core/project/letters';
import { surfaceOf, type LaidLetters, type Surface } from '@/core/project/model';
import { shortened } from '@/core/text/named';
import type { Typesetter } from '@/core/text/typesetter';

const LONGEST_NAME = 60;

/**
 * Lays the letters as a group, or lays those of the group with this id anew, in its place in the pile. `spot` is where the
 * middle of the words comes to lie; without one the group's own middle stays. `assets` are the alphabet's pictures; they are
 * gathered. A letter that was there before at its place keeps its finish.
 */
export const layLetters = (
  surfaceId: string,
  groupId: string,
  letters: LaidLetters,
  assets: readonly Asset[],
  typesetter: Typesetter,
  newId: () => string,
  spot?: { x: number; y: number },
): Edit => ({
  label: `lay letters “${shortened(letters.text, 20)}”`,
  merge: `letters ${groupId}`,
  apply(project) {
    const known = new Map(assets.map((asset) => [asset.sha, asset]));
    const surface = surfaceOf(project, surfaceId);
    const find = (sha: string) => known.get(sha) ?? project.assets[sha];
    const laid = lieLetters(letters, find, typesetter);
    if (!laid.length) return;
    const before = surface.pile.filter((piece) => piece.groups?.includes(groupId)) as Piece[];
    const middle = spot ?? middleOf(before) ?? { x: surface.width / 2, y: surface.height / 2 };
    const boxes = laid.map(({ x, y, width, height }) => ({
      x: x - width / 2,
      y: y - height / 2,
      width,
      height,
    }));
    const whole = boxes.reduce(unite);
    const [dx, dy] = [middle.x - whole.x - whole.width / 2, middle.y - whole.y - whole.height / 2];
    const around = before[0]?.groups?.slice(0, before[0].groups.indexOf(groupId)) ?? [];
    const used = new Map<string, Asset>();
    const pieces = laid.map((letter, i): Piece => {
      const at = { x: letter.x + dx, y: letter.y + dy };
      const asset = letter.asset === null ? undefined : find(letter.asset);
      if (asset) used.set(asset.sha, asset as Asset);
      const fresh = asset
        ? artPiece(newId(), asset as Asset, 'letters', at)
        : wordsPiece(
            newId(),
            'title',
            {
              kind: 'glyphs',
              text: letter.character,
              family: letters.family!,
              size: letter.size,
              align: 'left',
              leading: 1,
              wrap: false,
            },
            '#25232a',
            at,
            typesetter,
          );
      const size = asset ? letter : fresh.placement;
      return {
        ...fresh,
        role: 'letter',
        name: letter.character,
        finish: before[i] ? structuredClone(plain(before[i]!.finish)) : fresh.finish,
        groups: [...around, groupId],
        placement: {
          ...placedAt({
            x: at.x - size.width / 2,
            y: at.y - size.height / 2,
            width: size.width,
            height: size.height,
          }),
          turn: letter.turn,
        },
      };
    });
    gather('letters', [...used.values()]).apply(project);
    put(surface, groupId, letters, pieces);
  },
});

/** A draft as plain data. */
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

function put(surface: Draft<Surface>, groupId: string, letters: LaidLetters, pieces: readonly Piece[]): void {
  const last = surface.pile.findLastIndex((piece) => piece.groups?.includes(groupId));
  const mine = (piece: Draft<Piece>) => piece.groups?.includes(groupId);
  const below = surface.pile.slice(0, last < 0 ? undefined : last).filter((piece) => !mine(piece));
  const above = last < 0 ? [] : surface.pile.slice(last + 1);
  surface.pile = [...below, ...(pieces as Draft<Piece>[]), ...above];
  const name = shortened(letters.text.replace(/\s+/g, ' ').trim(), LONGEST_NAME) || 'Letters';
  const group = surface.groups.find(({ id }) => id === groupId);
  if (group) Object.assign(group, { name, letters: plain(letters) });
  else surface.groups.push({ id: groupId, name, letters: plain(letters) });
}

function middleOf(pieces: readonly Piece[]): { x: number; y: number } | null {
  if (!pieces.length) return null;
  const { x, y, width, height } = pieces.map(({ placement }) => extentOf(placement)).reduce(unite);
  return { x: x + width / 2, y: y + height / 2 };
}
