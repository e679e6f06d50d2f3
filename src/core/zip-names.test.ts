/** Names of parts that would leave their zip, in every way there is (the cases are from memory of published ones: “zip slip”). */
import { leadsOut } from '@/core/zip-names';

test.each([
  '../a.png',
  'a/../../b',
  '..',
  'a/..',
  '..\\a.png',
  'a\\..\\..\\b',
  '/etc/a',
  '\\a',
  'C:\\a.png',
  'c:a.png',
  'D:/a',
])('%j leads out', (name) => expect(leadsOut(name)).toBe(true));

test.each([
  'a.png',
  'kit/a.png',
  './a.png',
  'a/.hidden',
  '..a',
  'a..',
  'a/..b/c',
  '...',
  'ab:c',
  'Tea: first.png',
  ' C:',
  'ç:',
])('%j stays within', (name) => expect(leadsOut(name)).toBe(false));
