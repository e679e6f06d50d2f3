/** The ways a month can be set. Adding one is adding a file and a line here. */
import { boxes } from '@/core/piece/material/month/layouts/boxes';
import { column } from '@/core/piece/material/month/layouts/column';
import { dial } from '@/core/piece/material/month/layouts/dial';
import { large } from '@/core/piece/material/month/layouts/large';
import { open } from '@/core/piece/material/month/layouts/open';
import type { MonthLayout } from '@/core/piece/material/month/layout';
import type { LayoutName } from '@/core/piece/material/month/model';
import { row } from '@/core/piece/material/month/layouts/row';

export const LAYOUTS: Record<LayoutName, MonthLayout> = { boxes, open, large, row, column, dial };
