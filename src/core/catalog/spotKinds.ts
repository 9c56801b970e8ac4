import { createRegistry } from '../kernel/registry';
import type { SpotKind } from './spotKind';
import { spotKindRows } from './spotKinds.data';

/** Every kind of spot by id. */
export const spotKinds = createRegistry<SpotKind>('kinds of spots', spotKindRows);

/** The kind of a spot; an id that this version does not know (a newer file) is treated as a wall. */
export function spotKindOf(kindId: string): SpotKind {
  return spotKinds.find(kindId) ?? spotKinds.get('wall');
}
