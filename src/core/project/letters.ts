/** Words laid in letters of an alphabet: which picture stands for which character, and where each lies. */
import { rectanglePath, parsePath, pathBounds, transformPath, type Path } from '@/core/geometry/path';
import { scaling } from '@/core/geometry/matrix';
import { uprightSize, type Asset } from '@/core/picture/asset';
import type { LaidLetters } from '@/core/project/model';
import { random } from '@/core/random';
import { apart, MARKS, type Seat } from '@/core/text/accents';
import { lettersIn } from '@/core/text/letters';
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
const DEEP = /[þ()]/;
const HIGH = new RegExp(`[’‘“”'"*^°${MARKS}]`);
const MIDDLE = /[-–—+=~•·]/;
/** Letters as tall as small letters are. */
const SMALL = 'acemnorsuvwxz';
/** Between a letter and the mark over it, as a share of the height; what hangs from a letter touches it. */
const GAP = 0.05;
const HOLD = 0.03;

const pictureOf = (alphabet: LaidLetters['alphabet'], character: string): string[] | undefined => {
  const named = (name: string) => alphabet.find((entry) => entry.character === name)?.assets;
  // An alphabet of capitals alone serves for small letters too, and the other way round.
  return named(character) ?? named(character.toUpperCase()) ?? named(character.toLowerCase());
};

/** An accented character that the alphabet has no picture of, out of the letter and the marks that it has. */
function composed(alphabet: LaidLetters['alphabet'], character: string) {
  const parts = apart(character);
  if (!parts || !parts.marks.every((mark) => pictureOf(alphabet, mark.character))) return null;
  // What stands over an i takes its dot's place.
  const bare = parts.marks.some(({ seat }) => seat === 'above') ? parts.base.replace('i', 'ı') : parts.base;
  const base = [bare, parts.base].find((one) => pictureOf(alphabet, one));
  return base ? { base, marks: parts.marks } : null;
}

/** What says whether a sign is a picture or a letter: nothing of it is seen. */
const AS_PICTURE = /[\ufe0e\ufe0f]/g;

/** The characters of a text with their marks; those of which each part has a picture, and the whole has none, in parts. */
const charactersIn = (text: string, alphabet: LaidLetters['alphabet']): string[] =>
  lettersIn(text.normalize('NFC').replace(AS_PICTURE, '')).flatMap((character) => {
    const parts = [...character];
    const whole = parts.length < 2 || pictureOf(alphabet, character) || composed(alphabet, character);
    return whole || !parts.every((part) => pictureOf(alphabet, part)) ? [character] : parts;
  });

/** The pictures' characters that a text may be laid in. */
export const wantedFor = (text: string): Set<string> =>
  new Set(
    lettersIn(text.normalize('NFC').replace(AS_PICTURE, '')).flatMap((character) => {
      const { base = '', marks = [] } = apart(character) ?? {};
      return [character, ...character, base, base.replace('i', 'ı')]
        .flatMap((one) => [one, one.toUpperCase(), one.toLowerCase()])
        .concat(marks.map((mark) => mark.character));
    }),
  );

/** Characters of a text an alphabet has no picture of, each once. */
export const lackedBy = ({ text, alphabet }: Pick<LaidLetters, 'text' | 'alphabet'>): string[] => [
  ...new Set(
    charactersIn(text, alphabet).filter(
      (character) => character.trim() && !pictureOf(alphabet, character) && !composed(alphabet, character),
    ),
  ),
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
  /** What stands on it: each mark's middle from the box's top left. */
  marks?: { of: Shape; x: number; y: number }[];
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
  const pictured = (character: string): Shape | null => {
    const assets = pictureOf(alphabet, character);
    if (assets?.length) {
      const [letter = character] = character.normalize('NFD');
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
      const plain = letter === character ? undefined : pictureOf(alphabet, letter)?.[0];
      // An accented letter hangs as its letter does; what hangs from it hangs lower.
      const own = plain ? (inPoints(plain)?.tall ?? found.tall) * scale : tall;
      const hangs = apart(character)?.marks.some(({ seat }) => seat === 'below' || seat === 'foot');
      const below = BELOW.test(letter)
        ? Math.max(0, own - small)
        : hangs
          ? tall - own
          : DEEP.test(character)
            ? Math.max(0, tall - height)
            : HIGH.test(character)
              ? tall - height
              : MIDDLE.test(character)
                ? -(small - tall) / 2
                : 0;
      return { character, asset: sha, path: drawn, width, height: tall, below, size: 0 };
    }
    return null;
  };
  const accented = (character: string): Shape | null => {
    const parts = composed(alphabet, character);
    const base = parts && pictured(parts.base);
    if (!base) return null;
    const marks = seated(
      base,
      parts.marks.flatMap(({ character: name, seat }) => {
        const of = pictured(name);
        return of ? { of, seat } : [];
      }),
      height,
    );
    const path = [
      base.path,
      ...marks.map(({ of, x, y }) => moved(of.path, y - of.height / 2, x - of.width / 2)),
    ];
    return { ...base, path: path.flat(), marks };
  };
  const shapeOf = (character: string): Shape | null =>
    pictured(character) ??
    accented(character) ??
    (family ? written(character, family, height, typesetter) : null);
  const chance = random(seed);
  let top = 0;
  return letters.text.split('\n').flatMap((line) => {
    const baseline = top + height;
    top += height * LINE;
    const words = line
      .split(' ')
      .map((word) => charactersIn(word, alphabet).flatMap((character) => shapeOf(character) ?? []));
    let pen = 0;
    return words.flatMap((shapes) => {
      const starts = evenly(
        shapes.map(({ path, height: tall, below }) => moved(path, below - tall)),
        room,
      );
      const laid = shapes.flatMap((shape, i): LaidLetter[] => {
        const dance = (chance() * 2 - 1) * hop * height;
        const turn = (chance() * 2 - 1) * lean;
        const x = pen + starts[i]! + shape.width / 2;
        const y = baseline + shape.below - shape.height / 2 + dance;
        const at = (of: Shape, dx: number, dy: number): LaidLetter => {
          const { character, asset: sha, width, height: tall, size } = of;
          const [cos, sin] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
          return {
            ...{ character, asset: sha, width, height: tall, turn, size },
            ...{ x: x + dx * cos - dy * sin, y: y + dx * sin + dy * cos },
          };
        };
        return [
          at(shape, 0, 0),
          ...(shape.marks ?? []).map((mark) =>
            at(mark.of, mark.x - shape.width / 2, mark.y - shape.height / 2),
          ),
        ];
      });
      const end = shapes.length ? starts.at(-1)! + shapes.at(-1)!.width : 0;
      pen += end + SPACE * height;
      return laid;
    });
  });
}

const moved = (path: Path, down: number, along = 0): Path => transformPath([1, 0, 0, 1, along, down], path);

/** Where marks stand on a letter: those above it one over the other. */
function seated(
  { width, height: tall }: Shape,
  marks: readonly { of: Shape; seat: Seat }[],
  height: number,
): NonNullable<Shape['marks']> {
  let top = 0;
  return marks.map(({ of, seat }) => {
    if (seat === 'beside') return { of, x: width + GAP * height + of.width / 2, y: of.height / 2 };
    if (seat === 'above') {
      top -= GAP * height + of.height;
      return { of, x: width / 2, y: top + of.height / 2 };
    }
    const x = seat === 'foot' ? width - of.width / 2 : width / 2;
    return { of, x, y: tall + of.height / 2 + (of.character === ',' ? GAP : -HOLD) * height };
  });
}

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
