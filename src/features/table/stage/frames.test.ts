/** What is done before a frame: in which order, how often, and what happens to the rest when some of it fails. */
import { afterAll, beforeEach, expect, test } from '@jest/globals';
import { actSoon, paintSoon } from '@/features/table/stage/frames';

let asked: (() => void)[] = [];
Object.assign(globalThis, { requestAnimationFrame: (work: () => void) => asked.push(work) });
afterAll(() => void Reflect.deleteProperty(globalThis, 'requestAnimationFrame'));
/** The next frame; it can have been asked for only once. */
const frame = () => {
  expect(asked).toHaveLength(1);
  asked.shift()!();
};
let done: string[] = [];
const noted = (name: string, then = () => {}) => {
  return () => {
    done.push(name);
    then();
  };
};
beforeEach(() => {
  [asked, done] = [[], []];
});

test('what a hand did comes before what is painted of it, in the same frame, however they were asked for', () => {
  const paint = noted('paint');
  paintSoon(paint);
  actSoon(noted('act', () => paintSoon(paint)));
  frame();
  expect([done, asked]).toEqual([['act', 'paint'], []]);
});

test('what asks for more while its turn lasts gets the next frame', () => {
  const paint = noted('paint', () => done.length < 3 && paintSoon(paint));
  actSoon(noted('act', () => actSoon(noted('later'))));
  paintSoon(paint);
  frame();
  expect(done).toEqual(['act', 'paint']);
  frame();
  expect([done, asked]).toEqual([['act', 'paint', 'later', 'paint'], []]);
});

test('what is called off is left undone; a fault in one leaves the others to the next frame', () => {
  const callOff = actSoon(noted('never'));
  actSoon(() => {
    throw new Error('A cog broke');
  });
  paintSoon(noted('paint'));
  callOff();
  expect(frame).toThrow('A cog broke');
  frame();
  expect([done, asked]).toEqual([['paint'], []]);
});
