/** Names of files as every file system takes them, whatever a project is called. */
import fc from 'fast-check';
import { fileName } from '@/features/shared/download';

test.each([
  ['Kites', 'Kites'],
  ['Kites: a day / two', 'Kites a day two'],
  ['  .hidden.  ', 'hidden'],
  ['', 'Untitled'],
  ['...', 'Untitled'],
  ['con', 'Untitled con'],
  ['NUL', 'Untitled NUL'],
  ['Com1', 'Untitled Com1'],
  // What stands before the first dot is the device, whatever follows it (Win32 file system conventions).
  ['aux.2027', 'Untitled aux.2027'],
  ['Con. A day', 'Untitled Con. A day'],
  ['lpt9 .x', 'Untitled lpt9 .x'],
  ['Conversation', 'Conversation'],
  ['Console. One', 'Console. One'],
  ['com10', 'com10'],
])('“%s” is kept as “%s”', (title, name) => expect(fileName(title)).toBe(name));

test('any title makes a name that Windows, macOS and Linux take as it is', () => {
  const text = fc.string({
    unit: fc.oneof(
      fc.constantFrom(...'abcXYZ019 ._-'),
      fc.constantFrom(
        '/',
        '\\',
        ':',
        '*',
        '?',
        '"',
        '<',
        '>',
        '|',
        '\u0000',
        '\u0007',
        '\n',
        '\t',
        '\u202e',
        'é',
        '😀',
        '\ud83d',
      ),
      fc.constantFrom('con', 'nul', '..'),
    ),
    maxLength: 60,
  });
  fc.assert(
    fc.property(text, (title) => {
      const name = fileName(title);
      expect(name).not.toMatch(/[\\/:*?"<>|\u0000-\u001f\u007f]/);
      expect(name).not.toMatch(/^[\s.]|[\s.]$/);
      expect(name.length).toBeGreaterThan(0);
      expect(name.length).toBeLessThanOrEqual(90);
      expect(name.isWellFormed()).toBe(true);
      expect(name.split('.')[0]!.trim()).not.toMatch(/^(con|prn|aux|nul|com[0-9]|lpt[0-9])$/i);
      expect(fileName(name)).toBe(name);
    }),
    { numRuns: 250 },
  );
});
