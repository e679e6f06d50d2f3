/** The print shop that ships: a stand-in, served beside the app. */
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Orders } from '@/standins/shop/orders';
import { serve } from '@/standins/shop/serve';

export const dynamic = 'force-dynamic';

const orders = new Orders(join(/* turbopackIgnore: true */ tmpdir(), 'bellagraph-shop'));

const answer = async (request: Request, { params }: { params: Promise<{ path: string[] }> }) =>
  serve(orders, request, (await params).path);

export { answer as GET, answer as POST, answer as PUT };
