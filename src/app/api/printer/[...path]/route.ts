/** The printer that ships: a stand-in, served beside the app. */
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { OpenLcms } from '@/core/press/lcms';
import { serve } from '@/standins/printer/serve';

export const dynamic = 'force-dynamic';

const printer = {
  folder: join(/* turbopackIgnore: true */ tmpdir(), 'bellagraph-printer'),
  profiles: join(/* turbopackIgnore: true */ process.cwd(), 'public', 'house', 'press'),
  openLcms: async () => {
    const { instantiate } = (await import('lcms-wasm')) as { instantiate: OpenLcms };
    return instantiate();
  },
};

const answer = async (request: Request, { params }: { params: Promise<{ path: string[] }> }) =>
  serve(printer, request, (await params).path);

export { answer as GET, answer as POST };
