/**
 * Serves what was drawn after the app was started: Next knows only those files of public/ that were there when it began.
 * While `public/.drawing` lies there, what is missing is still on its way (503), and 404 afterwards.
 */
import { readFile, stat } from 'node:fs/promises';
import { extname, join } from 'node:path';
import { leadsOut } from '@/core/zip-names';

const TYPES: Record<string, string> = {
  '.json': 'application/json',
  '.jpg': 'image/jpeg',
  '.webp': 'image/webp',
  '.png': 'image/png',
  '.svg': 'image/svg+xml',
  '.ttf': 'font/ttf',
  '.js': 'text/javascript',
  '.wasm': 'application/wasm',
  '.icc': 'application/vnd.iccprofile',
};

export const PUBLIC = join(/* turbopackIgnore: true */ process.cwd(), 'public');

/** The answer while some of it is still on its way. */
export async function notYet(): Promise<Response | null> {
  const drawing = await stat(join(/* turbopackIgnore: true */ PUBLIC, '.drawing')).catch(() => null);
  return drawing && new Response(null, { status: 503, headers: { 'retry-after': '2' } });
}

interface Asked {
  params: Promise<{ path: string[] }>;
}

/** Answers for one folder of public/. */
export const drawnIn =
  (folder: string) =>
  async (_: Request, { params }: Asked): Promise<Response> => {
    const name = (await params).path.join('/');
    if (leadsOut(name)) return new Response(null, { status: 404 });
    try {
      const bytes = await readFile(join(/* turbopackIgnore: true */ PUBLIC, folder, name));
      return new Response(new Uint8Array(bytes), {
        headers: {
          'content-type': TYPES[extname(name)] ?? 'application/octet-stream',
          'cache-control': 'public, max-age=0',
        },
      });
    } catch {
      return (await notYet()) ?? new Response(null, { status: 404 });
    }
  };
