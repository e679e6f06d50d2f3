/** The ready-made pages, cards, calendars, books and sheets that ship, looked through as a person’s own before they are printed. */
import type { Project } from '@/core/project/model';
import { checked } from '@/core/proof';
import { typesetterOf } from '../node/files';
import { projectOf, supplies } from '../testing/shipped';

const designs = supplies.filter(({ page }) => page);

/** Nothing lies in their places yet, and a paper that lies over both pages of a book, or right round it, is as soft as it is. */
const EXPECTED = (check: string, product: Project['product']['kind']) =>
  check === 'empty' || (check === 'sharpness' && product === 'book');

test.each([...new Set(designs.map(({ kit }) => kit))])(
  'what is ready-made of %s passes all checks before printing',
  async (kit) => {
    const wrong: string[] = [];
    for (const design of designs.filter((one) => one.kit === kit)) {
      const project = projectOf(design);
      const typesetter = await typesetterOf({ project, bytes: new Map(), mended: [] });
      expect(project.surfaces.flatMap(({ pile }) => pile).length).toBeGreaterThan(0);
      for (const surface of project.surfaces)
        for (const { check, piece, says } of checked(project, surface, typesetter).found)
          if (!EXPECTED(check, project.product.kind))
            wrong.push(`${design.kind} ${design.name}, ${surface.name}: ${piece?.name ?? ''}: ${says}`);
    }
    expect(wrong).toEqual([]);
  },
);
