/**
 * `node:child_process` for suites. Whoever begins a tool has the map of all their memory copied for it: of suites, which hold
 * gigabytes, that takes 65 to 130 ms and halts all their threads, longer than most tools work. So a process that holds little
 * begins them: this file, run by itself.
 */
import { execFileSync as begin, spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, openSync, readSync, rmSync, writeSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

export { spawn, spawnSync };

/** Writes what is told, and bytes that go with it. */
function write(to, told, ...bytes) {
  const head = Buffer.from(JSON.stringify({ ...told, bytes: bytes.map(({ length }) => length) }));
  const long = Buffer.alloc(4);
  long.writeUInt32LE(head.length);
  for (const part of [long, head, ...bytes])
    for (let at = 0; at < part.length;) at += writeSync(to, part, at);
}

/** What `write` wrote; undefined when nothing more comes. */
function read(from) {
  const next = (length) => {
    const part = Buffer.alloc(length);
    for (let at = 0; at < length;) {
      const got = readSync(from, part, at, length - at, null);
      if (got === 0) return undefined;
      at += got;
    }
    return part;
  };
  const long = next(4);
  if (!long) return undefined;
  const { bytes, ...told } = JSON.parse(String(next(long.readUInt32LE())));
  return [told, ...bytes.map(next)];
}

/** Begins what is asked for, until nobody asks any more. */
function serve(asked, answered) {
  const [from, to] = [openSync(asked, 'r'), openSync(answered, 'w')];
  for (let next = read(from); next; next = read(from)) {
    const [{ file, args, options }, input] = next;
    const { status, signal, error, stdout, stderr } = spawnSync(file, args, {
      ...options,
      input,
      maxBuffer: Infinity,
    });
    const none = Buffer.alloc(0);
    write(to, { status, signal, error: error?.message, code: error?.code }, stdout ?? none, stderr ?? none);
  }
}

/** The process that begins tools for this thread, as what is written to and read from. */
function helped() {
  const folder = mkdtempSync(join(tmpdir(), 'bellagraph-tools-'));
  const pipes = ['asked', 'answered'].map((name) => join(folder, name));
  begin('mkfifo', pipes);
  spawn(process.execPath, [fileURLToPath(import.meta.url), ...pipes], { stdio: 'inherit' }).unref();
  const ends = [openSync(pipes[0], 'w'), openSync(pipes[1], 'r')];
  rmSync(folder, { recursive: true });
  return ends;
}

let helper;

/** As Node's own; what the tool writes is never held to be too much. */
export function execFileSync(
  file,
  args = [],
  { encoding, input = '', stdio, env = process.env, ...rest } = {},
) {
  const [to, from] = (helper ??= helped());
  write(to, { file, args, options: { cwd: process.cwd(), env, ...rest } }, Buffer.from(input));
  const [{ status, signal, error, code }, stdout, stderr] = read(from);
  if (!stdio) process.stderr.write(stderr);
  if (error || status !== 0)
    throw Object.assign(new Error(error ?? `Command failed: ${[file, ...args].join(' ')}\n${stderr}`), {
      ...{ status, signal, code, stdout, stderr },
    });
  return encoding && encoding !== 'buffer' ? stdout.toString(encoding) : stdout;
}

if (process.argv[1] === fileURLToPath(import.meta.url)) serve(process.argv[2], process.argv[3]);
