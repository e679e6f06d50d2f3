/** Files that are made beside the page: what is told of them. */
import { expect, test } from '@jest/globals';
import { reported, type Making } from '@/features/table/tasks/making/useMake';

test('a report that arrives after the file was made, or after it was left, changes nothing', () => {
  const made: Making = {
    state: 'made',
    where: 'a.pdf is in your downloads',
    bytes: 9,
    seconds: 1,
    points: [],
    says: [],
  };
  const late = reported(0.9, 'Writing the PDF');
  expect(late(made)).toBe(made);
  expect(late({ state: 'idle' })).toEqual({ state: 'idle' });
  expect(late({ state: 'failed', message: 'No.' })).toEqual({ state: 'failed', message: 'No.' });
  expect(late({ state: 'making', share: 0.4, doing: 'Reading' })).toEqual({
    state: 'making',
    share: 0.9,
    doing: 'Writing the PDF',
  });
});
