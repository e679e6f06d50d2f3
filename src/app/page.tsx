import { connection } from 'next/server';
import { Home } from '@/features/home/Home';

/** The demo's projects are brought in on the first visit when the app was started by bin/demo. */
export default async function HomePage() {
  await connection();
  return <Home demo={process.env.BELLAGRAPH_DEMO === '1'} />;
}
