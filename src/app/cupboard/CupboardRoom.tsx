'use client';
import { CupboardWalls } from '@/features/cupboard/CupboardWalls';
import { inBrowser, never } from '@/ui/fetched';

export const CupboardRoom = inBrowser(
  'The cupboard',
  () =>
    typeof window === 'undefined'
      ? never
      : import('@/features/cupboard/CupboardRoom').then((m) => m.CupboardRoom),
  CupboardWalls,
);
