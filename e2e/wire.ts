/** A line to the served app that can be cut and mended, and over which a newer version of the program can come. Of the house one kit and one paper lie at its end, or nothing: thousands of files say no more than hundreds. */
import { createServer, request } from 'node:http';
import type { AddressInfo } from 'node:net';
import { json } from 'node:stream/consumers';

export interface Wire {
  at: string;
  cut(): void;
  mend(): void;
  /** From now on the program has another service worker: what was one build becomes the one before. */
  newer(): void;
  close(): Promise<void>;
}

interface House {
  files: { name: string }[];
}
/** Of the house with one kit a paper, too; without any nothing but the program is kept. */
const withKit = (house: House, kit: string): House => {
  const paper = house.files.find(({ name }) => name.startsWith('papers/'));
  const lies = (file: { name: string }) =>
    file.name.startsWith('papers/')
      ? file === paper
      : !file.name.startsWith('kits/') || file.name.startsWith(`kits/${kit}/`);
  return { ...house, files: kit === 'none' ? [] : house.files.filter(lies) };
};

export async function openWire(target: string, kit = 'windward'): Promise<Wire> {
  const { hostname, port } = new URL(target);
  let [whole, versions] = [true, 0];
  const server = createServer((asked, answer) => {
    if (!whole) return void asked.socket.destroy();
    const { method, url } = asked;
    const altered = url === '/sw.js' && versions > 0;
    const headers = { ...asked.headers };
    const list = url === '/house/list';
    // All of it, and uncompressed, so that it can be changed.
    if (altered || list)
      for (const name of ['accept-encoding', 'if-none-match', 'if-modified-since']) delete headers[name];
    const further = request({ hostname, port, method, path: url, headers }, (got) => {
      if (altered || list) delete got.headers['content-length'];
      answer.writeHead(got.statusCode!, got.headers);
      if (list)
        return void json(got).then((house) => answer.end(JSON.stringify(withKit(house as House, kit))));
      got.on('end', () => answer.end(altered ? `\n// ${versions}` : undefined));
      got.pipe(answer, { end: false });
    });
    further.on('error', () => answer.destroy());
    asked.pipe(further);
  });
  await new Promise<void>((ready) => server.listen(0, ready));
  return {
    at: `http://localhost:${(server.address() as AddressInfo).port}`,
    cut() {
      whole = false;
      server.closeAllConnections();
    },
    mend: () => void (whole = true),
    newer: () => void (versions += 1),
    close: () =>
      new Promise((closed) => {
        server.close(() => closed());
        server.closeAllConnections();
      }),
  };
}
