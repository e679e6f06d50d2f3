import { expect, test } from '@jest/globals';
import { COMMANDS, commandsFor } from '@/features/table/tasks';
import { SYNONYMS } from '@/features/table/tasks/synonyms';
import { SHEET_SAYS } from '@/features/table/session/sheet';

test('what people call things leads to them: the likeliest first, and nothing is called what there is not', () => {
  const names = new Set(COMMANDS.map(({ name }) => name));
  expect(Object.keys(SYNONYMS).filter((name) => !names.has(name))).toEqual([]);
  const first = (words: string) => commandsFor(words)[0]?.name;
  const led = (words: string) => commandsFor(words).map(({ name }) => name);
  expect(first('heading')).toBe('Write a title');
  expect(first('transparent')).toBe('How it is finished');
  expect(first('photo album')).toBe('The book');
  expect(first('curved text')).toBe('Words along an outline');
  expect(led('cut out')).toEqual(expect.arrayContaining(['Punches', 'Draw an outline']));
  expect(led('Month')).toEqual(expect.arrayContaining(['Lay a month', 'The calendar']));
  // Its own name before what it is called; the beginning of a word is enough, none of it is nothing.
  expect(first('punch')).toBe('Punches');
  expect(led('gibberish')).toEqual([]);
  expect(commandsFor(' ')).toHaveLength(COMMANDS.length);
});

test('every sheet says in one sentence what it is for', () => {
  for (const [name, says] of Object.entries(SHEET_SAYS))
    if (!/^[A-Z][^.]{20,140}\.$/.test(says)) throw new Error(`${name}: ${says}`);
});
