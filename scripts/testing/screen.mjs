/**
 * A document for component tests, with what browsers have and happy-dom has not. Not jsdom: Paper.js takes a jsdom that is
 * installed for a screen to draw on, wherever it runs.
 */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { createCanvas } from '@napi-rs/canvas';
import HappyDom from '@happy-dom/jest-environment';
import { Locks } from './locks.mjs';
import { PICTURES } from './pictures.mjs';
import { Worker } from './worker.mjs';

const FROM_NODE = [
  'ArrayBuffer',
  'Blob',
  'CompressionStream',
  'DecompressionStream',
  'File',
  'ReadableStream',
  'Response',
  'TextDecoder',
  'TextEncoder',
  'TransformStream',
  'Uint8Array',
  'WritableStream',
  'structuredClone',
];

/** What ships, as it is served. */
const served = (path) =>
  readFile(join(import.meta.dirname, '..', '..', 'public', path)).then(
    (bytes) => new Response(bytes),
    () => new Response(null, { status: 404 }),
  );

export default class Screen extends HappyDom {
  async setup() {
    await super.setup();
    for (const name of FROM_NODE) this.global[name] = globalThis[name];
    this.global.fetch = (asked, ...how) =>
      String(asked).startsWith('/') ? served(String(asked)) : fetch(asked, ...how);
    this.global.HTMLCanvasElement.prototype.getContext = function (kind) {
      const context = createCanvas(this.width, this.height).getContext(kind);
      // As in a browser it leads back to its element.
      return Object.defineProperty(context, 'canvas', { value: this });
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
