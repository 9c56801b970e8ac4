import { createRegistry } from '../../kernel/registry';
import type { LookCheck } from './lookCheck';
import { outsideSpot } from './outsideSpot';

/** Every rule over a look, in the order in which they are told. */
export const lookChecks = createRegistry<LookCheck>('checks of a look', [outsideSpot]);
