/** What of its product a surface shows to lay things by: folds, the middles of panels, openings seen through the paper. */
import { translation } from '@/core/geometry/matrix';
import { pathBounds, transformPath, type Path } from '@/core/geometry/path';
import { openingOnPage, openingsIn } from '@/core/page/through';
import type { DrawingTools } from '@/core/page/outlines';
import type { SnapMark } from '@/core/page/snap';
import { behindOn, foldsOn, otherFace, panelsOn } from '@/core/product';
import type { Project, Surface } from '@/core/project/model';

export function marksOn(project: Project, surface: Surface, tools: DrawingTools): SnapMark[] {
  const panels = panelsOn(project, surface);
  return [
    ...foldsOn(project, surface).map(({ axis, at }): SnapMark => ({ axis, at, what: 'fold' })),
    ...(panels.length > 1
      ? panels.flatMap(({ box: { x, y, width, height } }): SnapMark[] => [
          { axis: 'x', at: x + width / 2, what: 'panel middle' },
          { axis: 'y', at: y + height / 2, what: 'panel middle' },
        ])
      : []),
    ...openingsSeen(project, surface, tools).flatMap((path): SnapMark[] => {
      const { x, y, width, height } = pathBounds(path);
      return [0, 0.5, 1].flatMap((share): SnapMark[] => {
        const what = share === 0.5 ? 'opening’s middle' : 'opening’s edge';
        return [
          { axis: 'x', at: x + share * width, what },
          { axis: 'y', at: y + share * height, what },
        ];
      });
    }),
  ];
}

/** Openings of other surfaces where they meet this one: cut through its paper, or over it once the product is shut. */
export function openingsSeen(project: Project, surface: Surface, tools: DrawingTools): Path[] {
  const cut = (of: Surface) => openingsIn(of).map((piece) => openingOnPage(piece, tools));
  const other = otherFace(project, surface);
  const through = other ? cut(other.surface).map((path) => transformPath(other.through, path)) : [];
  const over = project.surfaces.flatMap((each) =>
    behindOn(project, each).flatMap(({ box, surface: behind, dx, dy }) =>
      behind.id === surface.id
        ? cut(each)
            .filter((path) => {
              const { x, y, width, height } = pathBounds(path);
              const [px, py] = [x + width / 2, y + height / 2];
              return px > box.x && px < box.x + box.width && py > box.y && py < box.y + box.height;
            })
            .map((path) => transformPath(translation(dx, dy), path))
        : [],
    ),
  );
  return [...through, ...over];
}
