/** Names out of files: one line of what can be seen. */
import fc from 'fast-check';
import { asName } from '@/core/text/named';

test('what is not seen, or turns letters round, is gone; scripts and emoji are as they were', () => {
  expect(asName('kite\u202egnp.exe', 400)).toBe('kitegnp.exe');
  expect(asName(' two\r\nlines\u0000\tand\u2029more ', 400)).toBe('two lines and more');
  expect(asName('\ufeffKu\u0308ste\u200b', 400)).toBe('Küste');
  // Joiners make letters of Persian and pictures of people (Unicode Standard Annex 31, 2.3; Annex 51).
  for (const whole of ['می\u200cخواهم', '👩\u200d👧', 'ים טובים', '凧'])
    expect(asName(whole, 400)).toBe(whole.normalize('NFC'));
  expect(asName('\ud800half', 400)).toBe('half');
  expect(asName('🪁🪁', 3)).toBe('🪁');
});

test('any text becomes a name that stays as it is', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary' }), fc.integer({ min: 1, max: 60 }), (text, longest) => {
      const name = asName(text, longest);
      expect(name.length).toBeLessThanOrEqual(longest);
      expect(asName(name, longest)).toBe(name);
      expect(name).not.toMatch(/[\n\r\u202e\u0000-\u001f]/);
    }),
  );
});
