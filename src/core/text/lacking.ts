/** Characters that the family they are written in has no letters for. */
import {
  faceFonts,
  fallbackName,
  FALLBACK_FILES,
  familyName,
  fontsOf,
  PLAIN_FAMILY,
  type FamilyFace,
} from '@/core/text/families';
import { lettersIn, type Lettering, type Span } from '@/core/text/style';
import type { Typesetter } from '@/core/text/typesetter';

export interface Lacking {
  /** Where in the text, UTF-16 units. */
  start: number;
  end: number;
  character: string;
  /** The family that is lacking it. */
  family: string;
  /** What it is written in instead; null if no font has it. */
  by: string | null;
}

/** Never seen: spaces, controls, marks that only say how letters are joined. */
const UNSEEN = /[\s\p{Cc}\p{Cf}\ufe0e\ufe0f]/u;

/** Each in the order of the text. Nothing is said of a family whose font has not been opened. */
export function lackingIn(
  text: string,
  letters: Pick<Lettering, 'family' | 'bold' | 'italic'> & { spans?: readonly Span[] },
  typesetter: Typesetter,
): Lacking[] {
  const { spans = [] } = letters;
  const found: Lacking[] = [];
  let next = 0;
  let span: Span | undefined;
  let wanted = lettersIn(letters);
  let files = filesOf(wanted);
  const hasIn = (files: readonly string[], code: number) =>
    files.some((name) => typesetter.has(name) && typesetter.font(name).has(code));
  for (let at = 0; at < text.length;) {
    const code = text.codePointAt(at)!;
    const character = String.fromCodePoint(code);
    const end = at + character.length;
    while (spans[next] && spans[next]!.end <= at) next++;
    const on = spans[next] && spans[next]!.start <= at ? spans[next] : undefined;
    if (on !== span) {
      span = on;
      wanted = lettersIn(letters, span);
      files = filesOf(wanted);
    }
    if (!UNSEEN.test(character) && files.some(typesetter.has) && !hasIn(files, code)) {
      const fallback = FALLBACK_FILES.find((name) => hasIn([name], code));
      const by = hasIn(fontsOf(PLAIN_FAMILY), code)
        ? familyName(PLAIN_FAMILY)
        : fallback
          ? fallbackName(fallback)
          : null;
      found.push({ start: at, end, character, family: wanted.family, by });
    }
    at = end;
  }
  return found;
}

const filesOf = (wanted: FamilyFace): string[] => [...faceFonts(wanted), ...fontsOf(wanted.family)];

/** What is lacking, in sentences: one for each family and what writes in its place. */
export function lackingSays(
  found: readonly Lacking[],
  own: readonly { sha: string; name: string }[] = [],
): string[] {
  const groups = new Map<string, { family: string; by: string | null; characters: string[] }>();
  for (const { family, by, character } of found) {
    const key = by ? `${family} ${by}` : '';
    const group = groups.get(key) ?? { family, by, characters: [] };
    if (!group.characters.includes(character)) group.characters.push(character);
    groups.set(key, group);
  }
  return [...groups.values()].map(({ family, by, characters }) => {
    const shown = characters.slice(0, MOST_SHOWN).join(' ');
    const more = characters.length > MOST_SHOWN ? ` and ${characters.length - MOST_SHOWN} more` : '';
    return by
      ? `${familyName(family, own)} has no ${shown}${more}: ${by} writes ${characters.length === 1 ? 'it' : 'them'}.`
      : `No font here has ${shown}${more}: an empty box stands in ${characters.length === 1 ? 'its' : 'their'} place.`;
  });
}

const MOST_SHOWN = 10;
