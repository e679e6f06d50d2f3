/**
 * A document for suites with a screen, with what browsers have and happy-dom has not. Not jsdom: Paper.js takes a jsdom that
 * is installed for a screen to draw on, wherever it runs.
 */
import { GlobalRegistrator } from '@happy-dom/global-registrator';
import { createCanvas } from '@napi-rs/canvas';
import { Locks } from './locks.mjs';
import { PICTURES } from './pictures.mjs';
import { fetchServed } from './served.mjs';
import { Worker } from './worker.mjs';

const FROM_NODE = [
  'ArrayBuffer',
  'Blob',
  'CompressionStream',
  'DecompressionStream',
  'File',
  'MessageChannel',
  'MessagePort',
  'ReadableStream',
  'Request',
  'Response',
  'TextDecoder',
  'TextEncoder',
  'TransformStream',
  'Uint8Array',
  'WritableStream',
  'structuredClone',
];

const fromNode = Object.fromEntries(FROM_NODE.map((name) => [name, globalThis[name]]));
GlobalRegistrator.register({ url: 'http://localhost/' });
Object.assign(globalThis, fromNode, PICTURES, { Worker, fetch: fetchServed });

const contexts = new WeakMap();
HTMLCanvasElement.prototype.getContext = function (kind) {
  const before = contexts.get(this);
  if (before?.width === this.width && before.height === this.height) return before.context;
  const { width, height } = this;
  const canvas = createCanvas(width, height);
  const context = canvas.getContext(kind);
  contexts.set(this, { width, height, context, canvas });
  // As in a browser it leads back to its element.
  return Object.defineProperty(context, 'canvas', { value: this });
};
// What is drawn of an element is what was painted on it.
const painting = Object.getPrototypeOf(createCanvas(1, 1).getContext('2d'));
const { drawImage } = painting;
painting.drawImage = function (from, ...where) {
  // Given an element that nothing was painted on yet, Node's canvas would make it one of its own, which is no element any more.
  if (from instanceof HTMLCanvasElement) from.getContext('2d');
  return drawImage.call(this, contexts.get(from)?.canvas ?? from, ...where);
};
// As in a browser it says what it is, not all it holds: what is placed beside it asks that of all that lies around.
Element.prototype.toString = () => '[object HTMLElement]';
const { click } = HTMLElement.prototype;
HTMLAnchorElement.prototype.click = function () {
  // What is downloaded leads nowhere.
  if (!this.hasAttribute('download')) click.call(this);
};
// Nothing is laid out here; long lists draw as much as would be seen in this.
for (const [side, pixels] of Object.entries({ clientWidth: 300, clientHeight: 600 }))
  Object.defineProperty(HTMLElement.prototype, side, { get: () => pixels });
// One worker of a kind, which gets warm, instead of as many as a page would begin: the other processor has suites of its own.
Object.defineProperty(navigator, 'hardwareConcurrency', { value: 1 });
Object.defineProperty(navigator, 'locks', { value: new Locks() });
// Looking all rules through for each name that is asked for costs seconds, and nothing here hangs on a rule.
globalThis.getComputedStyle = (element) => element.style;
globalThis.ResizeObserver = class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
globalThis.matchMedia = (media) => ({
  media,
  matches: false,
  addEventListener() {},
  removeEventListener() {},
});
await reactAtRest();
// It looks for the document as it is loaded.
const { configure } = await import('@testing-library/dom');
// What is shown is fetched first; what is hidden is no business of these tests; an error need not print the whole document.
configure({
  asyncUtilTimeout: 20_000,
  defaultHidden: true,
  getElementError: (message) => new Error(message?.split('\n\nIgnored nodes')[0]),
});

/**
 * On a screen React runs as it is built for its users, in half the time; but that build has no `act`, by which tests let it come
 * to rest. What it puts off is held here, so that it can be done at once.
 */
async function reactAtRest() {
  const soon = new Set();
  const held = (later) => (task) => {
    const once = () => soon.delete(once) && task();
    soon.add(once);
    later(once);
  };
  const own = { queueMicrotask, setImmediate };
  Object.assign(globalThis, { queueMicrotask: held(queueMicrotask), setImmediate: held(setImmediate) });
  const { default: React } = await import('react');
  const { flushSync } = (await import('react-dom')).default;
  await import('react-dom/client');
  Object.assign(globalThis, own);
  const rest = () => {
    for (const task of soon) task();
  };
  React.act = (change) => {
    const result = flushSync(change);
    rest();
    const settled = Promise.resolve(result).then((value) => (rest(), value));
    return { then: (...done) => void settled.then(...done) };
  };
}
