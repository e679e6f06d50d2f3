/** Plans books beside the page: dealing hundreds of photos takes its time. */
import { expose } from 'comlink';
import { planBook } from '@/core/book/plan';

const planner = { plan: planBook };
export type Planner = typeof planner;
expose(planner);
