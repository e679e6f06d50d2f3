/** What the name of a file and of its folder says it is. */
import { cueOf } from '@/core/supplies/sort';

test.each([
  ['papers/kite_blue.jpg', 'paper'],
  ['Kit/Elements/button-red.png', 'embellishment'],
  ['kit/solid_teal.jpg', 'cardstock'],
  ['Alpha/kite_A.png', 'alphabet'],
  ['stamps/KiteOutline.png', 'stamp'],
  ['KiteFrame2.png', 'frame'],
  ['IMG_2031.JPG', 'photo'],
  ['DCIM/100/beach.jpg', 'photo'],
  ['P1010042.jpg', 'photo'],
  ['quotes/happy day.png', 'wordart'],
  ['torn border 3.png', 'edge'],
  ['brushes/soft 1.png', 'brush'],
  ['my sketch.bellagraph', 'sketch'],
  // A thing most often of one kind.
  ['summer/doily.png', 'embellishment'],
  ['summer/scallop.png', 'edge'],
  // The file's own name before its folder's; a folder that is a kind's name alone before that.
  ['things of mine/frame.png', 'frame'],
  ['papers/star frame.png', 'paper'],
  ['elements/paper star.png', 'paper'],
  // A thing in the name of a folder alone says nothing.
  ['buttons/kite.png', undefined],
  ['kite.png', undefined],
  ['', undefined],
] as const)('%s: %s', (path, kind) => expect(cueOf(path)).toBe(kind));

test('capitals, numbers and what stands between words make no difference', () => {
  for (const name of [
    'star_frame',
    'StarFrame',
    'star-frame-02',
    'STAR FRAME',
    'star.frame (3)',
    'frame2star',
  ])
    expect([name, cueOf(`summer/${name}.png`)]).toEqual([name, 'frame']);
});
