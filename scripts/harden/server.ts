/** The built app, served on a port of its own. */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ROOT } from '../node/platform';

const PORT = 3298;

export async function serve(): Promise<{ base: string; stop: () => void }> {
  const server = spawn(
    process.execPath,
    [join(ROOT, 'node_modules/next/dist/bin/next'), 'start', '--port', String(PORT)],
    { cwd: ROOT, stdio: 'ignore' },
  );
  const base = `http://localhost:${PORT}`;
  for (let i = 0; i < 150; i++) {
    const up = await fetch(base).then(
      () => true,
      () => false,
    );
    if (up) break;
    await new Promise((done) => setTimeout(done, 200));
  }
  return { base, stop: () => void server.kill() };
}
