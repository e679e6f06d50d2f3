/** Quiet Hours’ stamps. */
import { bareBranch, moon, mothWing, owl, snowdrops } from './evening';
import { chair, hourglass, key, watch, window_, yarn } from './keepsakes';
import { book, books, candle, ink, lamp, spectacles } from './reading';
import { motif, type Motif } from './surface';

export const QUIET_STAMPS: readonly Motif[] = [
  motif('Candle', 'candle light evening', 2, candle, true),
  motif('Open book', 'book read page', 2.4, book, true),
  motif('Books and cup', 'book read cup', 2.2, books, true),
  motif('Spectacles', 'glasses read old', 2, spectacles),
  motif('Ink and quill', 'ink quill write', 2.4, ink, true),
  motif('Key', 'key secret old', 2, key, true),
  motif('Hourglass', 'hourglass time sand', 2, hourglass, true),
  motif('Oil lamp', 'lamp light evening', 2.2, lamp, true),
  motif('Owl', 'owl bird night', 3, owl, true),
  motif('Moon and stars', 'moon star night', 1.8, moon, true),
  motif('Ball of wool', 'wool yarn knit', 2.2, yarn, true),
  motif('Pocket watch', 'watch time clock', 2, watch, true),
  motif('Snowdrops', 'flower snowdrop winter', 2.4, snowdrops, true),
  motif('Chair', 'chair rest home', 2.2, chair),
  motif('Moth', 'moth insect night', 1.8, mothWing, true),
  motif('Bare branch', 'branch tree winter', 2.4, bareBranch),
  motif('Window', 'window home curtain', 3.2, window_, true),
];
