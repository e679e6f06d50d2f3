/** Sheets printed by the browser itself, each on paper of its own size, true to size. */
import type { Size } from '@/core/geometry/box';

/** How long a browser may take to hand its pages to the printer before they are let go, ms. */
const HELD = 600_000;

/** A page of markup in which every picture is a sheet; lengths in points. */
export function printable(sheets: readonly { paper: Size; address: string }[], nonce = ''): string {
  const sizes = [...new Map(sheets.map(({ paper }) => [nameOf(paper), paper])).entries()];
  const rules = sizes.map(
    ([name, { width, height }]) =>
      `@page ${name} { size: ${width}pt ${height}pt; margin: 0 } .${name} { page: ${name}; width: ${width}pt; height: ${height}pt }`,
  );
  const pages = sheets.map(({ paper, address }) => `<img class="${nameOf(paper)}" src="${address}" alt="">`);
  return `<!doctype html><style nonce="${nonce}">@page { margin: 0 } html, body { margin: 0 } img { display: block; break-after: page } img:last-child { break-after: auto } ${rules.join(' ')}</style>${pages.join('')}`;
}

const nameOf = ({ width, height }: Size): string => `s${Math.round(10 * width)}x${Math.round(10 * height)}`;

/** Hands sheets to the browser's print; what it asks there is its own. */
export async function printSheets(sheets: readonly { paper: Size; blob: Blob }[]): Promise<void> {
  const addressed = sheets.map(({ paper, blob }) => ({ paper, address: URL.createObjectURL(blob) }));
  const frame = document.createElement('iframe');
  frame.style.cssText = 'position:fixed;width:0;height:0;border:0;visibility:hidden';
  frame.title = 'Printed';
  frame.dataset.testid = 'print-frame';
  // What may be written into the page may be in its frames.
  frame.srcdoc = printable(addressed, document.querySelector<HTMLElement>('script[nonce]')?.nonce);
  const letGo = () => {
    frame.remove();
    for (const { address } of addressed) URL.revokeObjectURL(address);
  };
  const loaded = new Promise((done) => frame.addEventListener('load', done, { once: true }));
  document.body.append(frame);
  try {
    await loaded;
    await Promise.all([...frame.contentDocument!.images].map((image) => image.decode()));
    frame.contentWindow!.addEventListener('afterprint', () => setTimeout(letGo, 1000), { once: true });
    setTimeout(letGo, HELD);
    frame.contentWindow!.print();
  } catch (error) {
    letGo();
    throw error;
  }
}
