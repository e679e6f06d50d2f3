/** Packs things onto paper beside the page: many orders are tried. */
import { expose } from 'comlink';
import { plansOf } from '@/core/packing/sheets';

const packer = { plansOf };
export type Packer = typeof packer;
expose(packer);
