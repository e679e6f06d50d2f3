/** What is checked of a page's words before it is printed. */
import { wordsOver } from '@/core/piece/outline/glyphs';
import { setRunning } from '@/core/piece/outline/running';
import type { Piece } from '@/core/piece/piece';
import { unsaid, whoAndWhen } from '@/core/project/caption';
import type { Project, Surface } from '@/core/project/model';
import { lackingOf } from '@/core/project/needs';
import { familyName, shaOfFamily } from '@/core/text/families';
import { lackingSays } from '@/core/text/lacking';
import type { Typesetter } from '@/core/text/typesetter';

export interface WordsFinding {
  /** Nothing where it is the page as a whole. */
  piece: Piece | null;
  kind: 'over' | 'font' | 'lacking' | 'caption';
  says: string;
}

/** Words that do not fit, fonts and characters that are not here, and a page that does not say who and when. */
export function wordsFindings(project: Project, surface: Surface, typesetter: Typesetter): WordsFinding[] {
  const seen = surface.pile.filter(({ placement }) => !placement.hidden);
  const over = seen.flatMap((piece): WordsFinding[] => {
    const { outline, placement } = piece;
    const count =
      outline.kind === 'glyphs'
        ? wordsOver(outline, placement, typesetter)
        : outline.kind === 'running' && !outline.repeat
          ? setRunning(outline, placement, typesetter).over
          : 0;
    if (!count) return [];
    const what =
      outline.kind === 'glyphs'
        ? count === 1
          ? 'word does'
          : 'words do'
        : count === 1
          ? 'letter does'
          : 'letters do';
    return [{ piece, kind: 'over', says: `${count} ${what} not fit.` }];
  });
  const fonts = seen.flatMap((piece): WordsFinding[] => {
    const families = [
      ...('family' in piece.outline ? [piece.outline.family] : []),
      ...('family' in piece.material ? [piece.material.family] : []),
    ];
    const missing = families.find((family) => shaOfFamily(family) && !typesetter.has(family));
    return missing
      ? [
          {
            piece,
            kind: 'font',
            says: `Its font (${familyName(missing, project.fonts)}) is not here: the plain family stands in.`,
          },
        ]
      : [];
  });
  const boxes = seen.flatMap((piece): WordsFinding[] => {
    const none = lackingOf(piece, typesetter).filter(({ by }) => by === null);
    return lackingSays(none).map((says) => ({ piece, kind: 'lacking', says }));
  });
  const photos = seen.some(({ material }) => material.kind === 'photo' || material.kind === 'photos');
  const says = photos ? saysOf(project, surface) : null;
  const caption: WordsFinding[] = says ? [{ piece: null, kind: 'caption', says }] : [];
  return [...over, ...fonts, ...boxes, ...caption];
}

function saysOf(project: Project, surface: Surface): string | null {
  const { who, when } = unsaid(project, surface);
  const { people } = whoAndWhen(project, surface);
  if (who && when) return 'No caption or date says who is on this page, and when it was.';
  if (when) return 'Nothing on this page says when it was.';
  if (!who) return null;
  const names = new Intl.ListFormat('en', { type: 'conjunction' }).format(people);
  return people.length
    ? `${names} ${people.length === 1 ? 'is' : 'are'} on the photos; no words on this page name them.`
    : 'No caption says who is on this page.';
}
