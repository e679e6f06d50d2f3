'use client';
/** The bar of what is under way; fetched when something is, its place kept free until then. */
import Box from '@mui/material/Box';
import { fetched } from '@/ui/fetched';

export const HowFar = fetched(
  'How far it is',
  () => import('@mui/material/LinearProgress').then((m) => m.default),
  () => <Box sx={{ height: 4, flex: 1 }} />,
);
