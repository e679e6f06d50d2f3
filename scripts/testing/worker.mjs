/** A web worker in Node: `Worker` for the screen of component tests, and, begun as a thread, what a worker finds around it. */
import { join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parentPort, Worker as Thread, workerData } from 'node:worker_threads';
import { MADE, ROOT } from './bundle.mjs';
import { fetchServed, served } from './served.mjs';

export class Worker {
  static all = new Set();

  /** Whether something was fetched that is not here, or a worker asked that has not answered. */
  static anyAtWork() {
    return served.underWay > 0 || [...Worker.all].some(({ asked }) => asked.size);
  }

  /** The ids under which it was asked and has not answered. */
  asked = new Set();

  constructor(url) {
    const made = join(MADE, relative(ROOT, fileURLToPath(String(url)))).replace(/\.ts$/, '.js');
    this.thread = new Thread(import.meta.filename, { workerData: made });
    Worker.all.add(this);
    this.thread.on('message', ({ id }) => this.asked.delete(id));
    this.thread.on('error', () => this.asked.clear());
    // Whoever listens to it would hold up the end.
    this.thread.unref();
  }
  addEventListener(type, heard) {
    if (type === 'message') this.thread.on('message', (data) => heard({ data }));
    else this.thread.on(type, heard);
  }
  removeEventListener() {}
  postMessage(message, transfer) {
    if (message.id) this.asked.add(message.id);
    this.thread.postMessage(message, transfer);
  }
  terminate() {
    Worker.all.delete(this);
    void this.thread.terminate();
  }
}

if (parentPort && typeof workerData === 'string') {
  Object.assign(globalThis, (await import('./pictures.mjs')).PICTURES, {
    self: globalThis,
    fetch: fetchServed,
    location: { href: 'http://localhost/', origin: 'http://localhost' },
    addEventListener: (type, heard) =>
      type === 'message' && parentPort.on('message', (data) => heard({ data })),
    removeEventListener: () => {},
    postMessage: (message, transfer) => parentPort.postMessage(message, transfer),
  });
  await import(workerData);
}
