/** The built app, served on a port of its own. */
import { spawn } from 'node:child_process';
import { createServer, type AddressInfo } from 'node:net';
import { join } from 'node:path';
import { ROOT } from './platform';

/** A port that nobody has: what was left behind by another run is not taken for this build. */
const freePort = (): Promise<number> =>
  new Promise((found) => {
    const probe = createServer().listen(0, () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => found(port));
    });
  });

/** Serves the build, or with the demo's pages, until it is stopped or this program ends. */
export async function serve({ demo = false } = {}): Promise<{ base: string; stop: () => void }> {
  const port = await freePort();
  const server = spawn(
    process.execPath,
    [join(ROOT, 'node_modules/next/dist/bin/next'), 'start', '--port', String(port)],
    { cwd: ROOT, stdio: 'ignore', env: { ...process.env, BELLAGRAPH_DEMO: demo ? '1' : '' } },
  );
  const stop = () => void server.kill();
  process.once('exit', stop);
  const base = `http://localhost:${port}`;
  for (let i = 0; i < 150; i++) {
    const up = await fetch(base).then(
      () => true,
      () => false,
    );
    if (up) break;
    await new Promise((done) => setTimeout(done, 200));
  }
  return { base, stop };
}
