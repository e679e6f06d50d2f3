/**
 * A document for component tests, with what browsers have and happy-dom has not. Not jsdom: Paper.js takes a jsdom that is
 * installed for a screen to draw on, wherever it runs.
 */
import { createCanvas } from '@napi-rs/canvas';
import HappyDom from '@happy-dom/jest-environment';
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
  'Response',
  'TextDecoder',
  'TextEncoder',
  'TransformStream',
  'Uint8Array',
  'WritableStream',
  'structuredClone',
];

export default class Screen extends HappyDom {
  async setup() {
    await super.setup();
    for (const name of FROM_NODE) this.global[name] = globalThis[name];
    this.global.fetch = fetchServed;
    this.global.HTMLCanvasElement.prototype.getContext = function (kind) {
      const context = createCanvas(this.width, this.height).getContext(kind);
      // As in a browser it leads back to its element.
      return Object.defineProperty(context, 'canvas', { value: this });
    };
    const { click } = this.global.HTMLElement.prototype;
    this.global.HTMLAnchorElement.prototype.click = function () {
      // What is downloaded leads nowhere.
      if (!this.hasAttribute('download')) click.call(this);
    };
    // Nothing is laid out here; long lists draw as much as would be seen in this.
    for (const [side, pixels] of Object.entries({ clientWidth: 300, clientHeight: 600 }))
      Object.defineProperty(this.global.HTMLElement.prototype, side, { get: () => pixels });
    Object.assign(this.global, PICTURES, { Worker });
    Object.defineProperty(this.global.navigator, 'locks', { value: new Locks() });
    // Looking all rules through for each name that is asked for costs seconds, and nothing here hangs on a rule.
    this.global.getComputedStyle = (element) => element.style;
    this.global.ResizeObserver = class {
      observe() {}
      unobserve() {}
      disconnect() {}
    };
    this.global.matchMedia = (media) => ({
      media,
      matches: false,
      addEventListener() {},
      removeEventListener() {},
    });
  }
}
