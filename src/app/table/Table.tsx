'use client';
import { LayingOut } from '@/features/table/LayingOut';
import { inBrowser, never } from '@/ui/fetched';

export const Table = inBrowser(
  'The table',
  () => (typeof window === 'undefined' ? never : import('@/features/table/Table').then((m) => m.Table)),
  LayingOut,
);
