import { createRegistry } from '../kernel/registry';
import type { Coating } from './coating';
import { coatingRows } from './coatings.data';

/** All coatings by id. */
export const coatings = createRegistry<Coating>('coatings', coatingRows);

/** Loss while brushing: 5 to 10 %, 8 usual (common practice, from memory); aerosols have none, their rate holds it. */
export const BRUSH_LOSS_PERCENT = { low: 5, usual: 8, high: 10 } as const;
