import { createRegistry } from '../kernel/registry';
import { type Fixing, fixingRows } from './fixings.data';

export type { Fixing } from './fixings.data';

/** Everything that things are fixed to walls with, by id. */
export const fixings = createRegistry<Fixing>('fixings', fixingRows);
