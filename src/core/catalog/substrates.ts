import { createRegistry } from '../kernel/registry';
import type { Substrate } from './substrate';
import { substrateRows } from './substrates.data';

/** All substrates by id: bare materials and old finishes. */
export const substrates = createRegistry<Substrate>('substrates', substrateRows);

/** Bare materials a piece can be made of. */
export const materials = substrates.all.filter((row) => row.layer === 'material');

/** Old finishes that may lie on a material. */
export const oldFinishes = substrates.all.filter((row) => row.layer === 'oldFinish');
