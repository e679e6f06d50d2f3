/**
 * A web worker for suites with a screen: `Worker` as browsers have it, on the thread of the screen. What runs beside a page is
 * then loaded once for all suites and as quick as V8 makes it; a thread for each cost a tenth of all suites. What is asked and
 * answered goes through a channel, as it does to a worker. That each runs by itself is seen in the browser tests.
 */
import { join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';
import { MessageChannel } from 'node:worker_threads';
import { expose } from 'comlink';
import { MADE, ROOT } from './bundle.mjs';
import { served } from './served.mjs';

export class Worker {
  static all = new Set();

  /** Whether something was fetched that is not here, or a worker asked that has not answered. */
  static anyAtWork() {
    return served.underWay > 0 || [...Worker.all].some(({ asked }) => asked.size);
  }

  /** The ids under which it was asked and has not answered. */
  asked = new Set();
  /** What hears that it failed. */
  #failed = [];

  constructor(url) {
    const { port1, port2 } = new MessageChannel();
    this.port = port1;
    Worker.all.add(this);
    this.addEventListener('message', ({ data }) => this.asked.delete(data.id));
    const made = join(MADE, relative(ROOT, fileURLToPath(String(url)))).replace(/\.ts$/, '.js');
    import(made).then(
      ({ default: exposed }) => {
        if (!exposed) throw new Error(`${made} offers nothing: it must have a line \`expose(NAME);\``);
        expose(exposed, port2);
        port2.unref();
      },
      (error) => {
        this.asked.clear();
        for (const heard of this.#failed) heard(error);
      },
    );
  }
  addEventListener(type, heard) {
    if (type !== 'message') this.#failed.push(heard);
    else this.port.on('message', (data) => heard({ data }));
    // Whoever listens to it would hold up the end.
    this.port.unref();
  }
  removeEventListener() {}
  postMessage(message, transfer) {
    if (message.id) this.asked.add(message.id);
    this.port.postMessage(message, transfer);
  }
  terminate() {
    Worker.all.delete(this);
    this.port.close();
  }
}
