/** How a ready-made calendar is composed. */
import type { InkYear } from '@/core/calendar/inks';
import type { Box } from '@/core/geometry/box';
import type { MonthMaterial } from '@/core/piece/material/month/model';
import type { Piece } from '@/core/piece/piece';
import type { Composer } from '../compose';
import type { HouseKit } from '../kit';

/** What is dressed: a page, what it began with, and what its month is. */
export interface Page {
  on: Composer;
  /** Which month it is, 0 for January. */
  i: number;
  inks: readonly string[];
  /** The pieces it began with, laid where one wants them. */
  photo(at: Box, turn?: number, outline?: Piece['outline']): void;
  title(at: Box, size: number, change?: { align?: 'left' | 'centre' }): void;
  month(at: Box, change?: Partial<MonthMaterial>, which?: number): void;
  /** A small month more, before or after that of the page. */
  small(at: Box, after: number): void;
}

export interface Design {
  title: string;
  tags: string;
  kit: HouseKit['id'];
  way: string;
  width: number;
  height: number;
  inks: InkYear['id'];
  family: string;
  /** What it is bound with. */
  wire?: true;
  cover(page: Page): void;
  page(page: Page): void;
}

/** Out of a list, over and over. */
export const at = <T>(all: readonly T[], i: number): T => all[i % all.length]!;
