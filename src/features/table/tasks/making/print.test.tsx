/** Sheets for the browser's own print: each on its own paper, and nothing stays of them whatever comes. */
import { expect, jest, test } from '@jest/globals';
import { printable, printSheets } from '@/features/table/tasks/making/print';

const LETTER = { width: 612, height: 792 };
const STRIP = { width: 200.25, height: 792 };

test('every size of paper has one rule, every sheet is a picture on its own, true to size', () => {
  const page = new DOMParser().parseFromString(
    printable(
      [LETTER, STRIP, LETTER].map((paper, i) => ({ paper, address: `blob:${i}` })),
      'n0nce',
    ),
    'text/html',
  );
  const style = page.querySelector('style')!;
  expect(style.getAttribute('nonce')).toBe('n0nce');
  expect(style.textContent!.match(/@page s/g)).toHaveLength(2);
  expect(style.textContent).toContain('@page s6120x7920 { size: 612pt 792pt; margin: 0 }');
  expect(style.textContent).toContain('.s2003x7920 { page: s2003x7920; width: 200.25pt; height: 792pt }');
  const images = [...page.querySelectorAll('img')];
  expect(images.map((image) => [image.className, image.getAttribute('src')])).toEqual([
    ['s6120x7920', 'blob:0'],
    ['s2003x7920', 'blob:1'],
    ['s6120x7920', 'blob:2'],
  ]);
});

/** A frame as a browser loads it, with one picture that can be shown or not. */
function framed(shows: boolean) {
  const [print, made, revoked] = [jest.fn(), [] as string[], [] as string[]];
  const heard = new Map<string, () => void>();
  jest
    .spyOn(URL, 'createObjectURL')
    .mockImplementation(() => (made.push(`blob:${made.length}`), made.at(-1)!));
  jest.spyOn(URL, 'revokeObjectURL').mockImplementation((address) => void revoked.push(address));
  jest.spyOn(document.body, 'append').mockImplementation((frame) => {
    const decode = async () => {
      if (!shows) throw new DOMException('broken', 'EncodingError');
    };
    Object.defineProperty(frame, 'contentDocument', { value: { images: [{ decode }] } });
    Object.defineProperty(frame, 'contentWindow', {
      value: { print, addEventListener: (name: string, done: () => void) => heard.set(name, done) },
    });
    document.body.appendChild(frame as HTMLElement);
    (frame as HTMLElement).dispatchEvent(new Event('load'));
  });
  return {
    print,
    made,
    revoked,
    heard,
    frames: () => document.querySelectorAll('[data-testid=print-frame]').length,
  };
}
const sheets = [{ paper: LETTER, blob: new Blob(['sheet']) }];

test('what was handed over is let go once it was printed', async () => {
  jest.useFakeTimers();
  const { print, made, revoked, heard, frames } = framed(true);
  await printSheets(sheets);
  expect(print).toHaveBeenCalledTimes(1);
  expect(frames()).toBe(1);
  heard.get('afterprint')!();
  jest.advanceTimersByTime(2000);
  expect([frames(), revoked]).toEqual([0, made]);
  jest.useRealTimers();
});

test('a sheet that cannot be shown is not printed, and nothing stays of it', async () => {
  const { print, made, revoked, frames } = framed(false);
  await expect(printSheets(sheets)).rejects.toThrow('broken');
  expect(print).not.toHaveBeenCalled();
  expect([frames(), revoked]).toEqual([0, made]);
});
