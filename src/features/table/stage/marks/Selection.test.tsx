import { expect, test } from '@jest/globals';
import { IDENTITY } from '@/core/geometry/matrix';
import { Selection } from '@/features/table/stage/marks/Selection';
import { seated } from '../../../../../scripts/testing/room';
import { inkPiece } from '../../../../../scripts/testing/samples';

test.each([
  ['a one-line title', 260, 18],
  ['a brad', 9, 9],
  ['a strip', 400, 6],
  ['a tall ribbon', 10, 300],
  ['a photo', 300, 200],
])('the middle of %s always moves it: no handle reaches there', async (_, width, height) => {
  const piece = inkPiece('a', 100, 100, width, height);
  const { container } = await seated(
    <svg>
      <Selection
        pieces={[piece]}
        hovered={undefined}
        view={IDENTITY}
        around={null}
        moving={false}
        handles
        onGrip={() => {}}
      />
    </svg>,
    [piece],
    ['a'],
  );
  const hits = [...container.querySelectorAll('circle[fill=transparent]')].map((circle) => {
    const [x, y, r] = ['cx', 'cy', 'r'].map((name) => Number(circle.getAttribute(name)));
    return Math.hypot(x! - piece.placement.x, y! - piece.placement.y) - r!;
  });
  expect(hits.length).toBeGreaterThan(4);
  expect(Math.min(...hits)).toBeGreaterThan(10);
});
