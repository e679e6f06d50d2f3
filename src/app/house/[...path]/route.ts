import { drawnIn } from '@/app/drawn';

export const dynamic = 'force-dynamic';
export const GET = drawnIn('house');
