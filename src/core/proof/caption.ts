/** A page with photos that does not say who and when. */
import { materialKind } from '@/core/piece/material';
import { unsaid, whoAndWhen } from '@/core/project/caption';
import type { Check, Looked } from '@/core/proof/check';

export const CAPTION: Check = {
  id: 'caption',
  look(page) {
    const photos = page.seen.some(({ material }) => materialKind(material).photos);
    const says = photos ? saysOf(page) : null;
    return says ? [{ piece: null, name: 'Who and when', warns: false, says, cure: 'caption' }] : [];
  },
};

function saysOf({ project, surface }: Looked): string | null {
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
