/** Words laid in letters of an alphabet: which picture stands for which character, and where each lies. */
import { rectanglePath, parsePath, pathBounds, transformPath, type Path } from '@/core/geometry/path';
import { scaling } from '@/core/geometry/matrix';
import { uprightSize, type Asset } from '@/core/picture/asset';
import type { LaidLetters } from '@/core/project/model';
import { random } from '@/core/random';
import { evenly } from '@/core/text/optical';
import type { Typesetter } from '@/core/text/typesetter';

/** One letter of laid words; its box's middle from the words' own top left, points. */
export interface LaidLetter {
  character: string;
  /** SHA-256 of its picture, or null where it is written in the family instead. */
  asset: string | null;
  x: number;
  y: number;
  width: number;
  height: number;
  /** Degrees clockwise. */
  turn: number;
  /** Letter size in points, where it is written. */
  size: number;
}

/** Between lines, and for a space between words, as shares of the height. */
const LINE = 1.3;
const SPACE = 0.38;
/** Letters that hang below the line, and marks that hang from the top or float in the middle. */
const BELOW = /[gjpqy,;]/;
const HIGH = /[’‘“”'"*^°]/;
const MIDDLE = /[-–—+=~•·]/;
/** Letters as tall as small letters are. */
const SMALL = 'acemnorsuvwxz';

const pictureOf = (alphabet: LaidLetters['alphabet'], character: string): string[] | undefined => {
  const named = (name: string) => alphabet.find((entry) => entry.character === name)?.assets;
  // An alphabet of capitals alone serves for small letters too, and the other way round.
  return named(character) ?? named(character.toUpperCase()) ?? named(character.toLowerCase());
};

/** Characters of a text an alphabet has no picture of, each once. */
export const lackedBy = ({ text, alphabet }: Pick<LaidLetters, 'text' | 'alphabet'>): string[] => [
  ...new Set([...text].filter((character) => character.trim() && !pictureOf(alphabet, character))),
];

interface Shape {
  character: string;
  asset: string | null;
  /** Outline in points, its box's top left at the origin. */
  path: Path;
  width: number;
  height: number;
  /** How far its foot lies below the baseline. */
  below: number;
  size: number;
}

/** Where the letters lie. Letters whose pictures are not known, and characters nothing stands for, are left out. */
export function lieLetters(
  letters: LaidLetters,
  asset: (sha: string) => Asset | undefined,
  typesetter: Typesetter,
): LaidLetter[] {
  const { alphabet, tallest, height, room, hop, lean, seed, family } = letters;
  const inPoints = (sha: string) => {
    const known = asset(sha);
    return known && { known, ...uprightSize(known), tall: (uprightSize(known).height * 72) / known.ppi };
  };
  const scale = height / tallest;
  const smalls = alphabet
    .filter(({ character }) => SMALL.includes(character))
    .flatMap(({ assets }) => inPoints(assets[0]!)?.tall ?? [])
    .map((tall) => tall * scale)
    .sort((a, b) => a - b);
  const small = smalls[Math.floor(smalls.length / 2)] ?? height * 0.7;
  const turns = new Map<string, number>();
  const shapeOf = (character: string): Shape | null => {
    const assets = pictureOf(alphabet, character);
    if (assets?.length) {
      const turn = turns.get(character) ?? 0;
      turns.set(character, turn + 1);
      const sha = assets[turn % assets.length]!;
      const found = inPoints(sha);
      if (!found) return null;
      const each = (found.tall / found.height) * scale;
      const [width, tall] = [found.width * each, found.height * each];
      const drawn = found.known.cut
        ? transformPath(scaling(each), parsePath(found.known.cut))
        : rectanglePath({ x: 0, y: 0, width, height: tall });
      const below = BELOW.test(character)
        ? Math.max(0, tall - small)
        : HIGH.test(character)
          ? tall - height
          : MIDDLE.test(character)
            ? -(small - tall) / 2
            : 0;
      return { character, asset: sha, path: drawn, width, height: tall, below, size: 0 };
    }
    return family ? written(character, family, height, typesetter) : null;
  };
  const chance = random(seed);
  let top = 0;
  return letters.text.split('\n').flatMap((line) => {
    const baseline = top + height;
    top += height * LINE;
    const words = line.split(' ').map((word) => [...word].flatMap((character) => shapeOf(character) ?? []));
    let pen = 0;
    return words.flatMap((shapes) => {
      const starts = evenly(
        shapes.map(({ path, height: tall, below }) => moved(path, below - tall)),
        room,
      );
      const laid = shapes.map((shape, i): LaidLetter => {
        const dance = (chance() * 2 - 1) * hop * height;
        const turn = (chance() * 2 - 1) * lean;
        return {
          character: shape.character,
          asset: shape.asset,
          x: pen + starts[i]! + shape.width / 2,
          y: baseline + shape.below - shape.height / 2 + dance,
          width: shape.width,
          height: shape.height,
          turn,
          size: shape.size,
        };
      });
      const end = shapes.length ? starts.at(-1)! + shapes.at(-1)!.width : 0;
      pen += end + SPACE * height;
      return laid;
    });
  });
}

const moved = (path: Path, down: number): Path => transformPath([1, 0, 0, 1, 0, down], path);

/** A character in a family, its capitals as tall as the letters. */
function written(character: string, family: string, height: number, typesetter: Typesetter): Shape | null {
  const set = (text: string, size: number) =>
    typesetter.outline(typesetter.set(text, { family, size, align: 'left', leading: 1 }, null).runs);
  const capital = pathBounds(set('H', 100));
  const size = capital.height > 0 ? (100 * height) / capital.height : height;
  const path = set(character, size);
  if (!path.length) return null;
  const box = pathBounds(path);
  const line = pathBounds(set('H', size));
  return {
    character,
    asset: null,
    path: transformPath([1, 0, 0, 1, -box.x, -box.y], path),
    width: box.width,
    height: box.height,
    below: box.y + box.height - (line.y + line.height),
    size,
  };
}
