/** Everything that can be begun, as it is begun: whole, taken by a file, and clean before anybody lays anything on it. */
import { startHistory } from '@/core/project/history';
import { withFollows } from '@/core/calendar/follows';
import { corners, outset, within, type Box } from '@/core/geometry/box';
import { extentOf } from '@/core/piece/placement/placement';
import { beginProduct, countOf, foldsOn, panelsOn, productSays, waysOut, madeBy } from '@/core/product';
import { PRODUCT_NAMES, STARTS } from '@/core/product/starts';
import { readProject, writeProject } from '@/core/project/file';
import { newProject, type Project } from '@/core/project/model';
import { begun } from '@/core/project/sides';
import { checked } from '@/core/proof';
import type { Size } from '@/core/geometry/box';
import { TODAY, typesetter } from '../../../scripts/testing/calendars';

const all = PRODUCT_NAMES.flatMap((kind) => {
  const { sizes, ways, mostSide } = STARTS[kind];
  const own: [string, Size][] = [
    ...sizes.map(({ name, width, height }): [string, Size] => [name, { width, height }]),
  ];
  return (ways?.all ?? [undefined]).flatMap((way) => {
    const most = way?.mostSide ?? mostSide;
    const limits: [string, Size][] = [
      ['as small as it may be', { width: 72, height: 72 }],
      ['as large as it may be', { width: most, height: most }],
      ['as long as it may be', { width: most, height: 72 }],
    ];
    return [...own, ...limits].map(([size, of]) => ({
      kind,
      way: way?.id,
      size,
      of,
      usual: own.some(([name]) => name === size),
    }));
  });
});

const inside = (page: Box, box: Box) => corners(box).every((corner) => within(outset(page, 1e-6), corner));

const beginning = ({ kind, way, of }: (typeof all)[number]): Project => {
  const project = begun(
    newProject({ id: 'p', title: 'Kites', unit: 'in' }, beginProduct(kind, of, way, TODAY)),
  );
  return withFollows(startHistory(project), typesetter).project;
};

/** What an inch of paper cannot help: small letters, near its edges. */
const SMALL = ['small words', 'near edge'];

test.each(all)('$kind, $way, $size', (one) => {
  const project = beginning(one);
  expect(readProject(writeProject(project))).toEqual({ ok: true, value: project });
  expect(countOf(project)).toBeGreaterThan(0);
  expect(productSays(project, project.unit)).toMatch(/^\S.*\S$/);
  const wrong: string[] = [];
  for (const surface of project.surfaces) {
    const page = { x: 0, y: 0, width: surface.width, height: surface.height };
    for (const { name, placement } of surface.pile)
      if (!inside(page, extentOf(placement))) wrong.push(`${surface.name}: ${name} lies beyond it`);
    for (const { box, name } of panelsOn(project, surface))
      if (!inside(page, box)) wrong.push(`${surface.name}: its panel ${name} lies beyond it`);
    for (const fold of foldsOn(project, surface))
      if (!(fold.at > 0 && fold.at < (fold.axis === 'x' ? surface.width : surface.height)))
        wrong.push(`${surface.name}: a fold lies beyond it`);
    for (const { check, says, piece } of checked(project, surface, typesetter).found)
      if (check !== 'empty' && (one.usual || !SMALL.includes(check)))
        wrong.push(`${surface.name}: ${piece?.name ?? ''}: ${check}: ${says}`);
  }
  expect(wrong).toEqual([]);
  // Whatever it is made into is made of sides it has.
  for (const way of waysOut(project.product))
    for (const { surface } of madeBy(project, way)) expect(project.surfaces).toContain(surface);
});
