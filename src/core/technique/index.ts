import { createRegistry } from '../kernel/registry';
import { brushOn } from './brushOn';
import { sprayOn } from './sprayOn';
import type { Technique } from './technique';

/** Every way to put a layer on. */
export const techniques = createRegistry<Technique>('techniques', [brushOn, sprayOn]);
