import { inches } from '../lookChecks/where';
import type { LookThing } from './lookThing';
import { restsOn } from './settle';
import type { ThingKind } from './thingKinds.data';
import { likenessOfThing } from './thingView';

/** Up to here a thing is set on furniture rather than on the floor beside it; a lamp a little higher (common practice, no source). */
const SMALL_MM = inches(24);
const SMALL_LAMP_MM = inches(32);
const SMALL_POT_MM = inches(14);
/** Furniture lower than this is no place to set things on. */
const LEAST_FURNITURE_MM = inches(12);
/** What has its place on the floor, however low it is. */
const ON_FLOOR: readonly ThingKind[] = ['onFloor', 'floorPiece', 'rug', 'seat', 'tree', 'storage'];

/** Whether a thing is cloth that lies on what is soft, or on a seat. */
export const isSoft = ({ kinds }: LookThing): boolean =>
  kinds.has('textile') && !kinds.has('rug') && !kinds.has('curtain');
/** Whether a thing is one that people set on furniture, not on the floor. */
export function isSmall(thing: LookThing): boolean {
  const { kinds, size, template } = thing;
  // However tall a television is, it stands on its console.
  if (kinds.has('display')) return true;
  if (ON_FLOOR.some((kind) => kinds.has(kind))) return false;
  return size.heightMm <= (kinds.has('lamp') ? SMALL_LAMP_MM : template?.id === 'planter' ? SMALL_POT_MM : SMALL_MM);
}

/** Whether a thing is furniture that things are set on; so is a shelf on the wall. */
export const isFurniture = (thing: LookThing): boolean =>
  (thing.placement.stance === 'hangs' && thing.template?.id === 'shelf') || standsAsFurniture(thing);
const standsAsFurniture = (thing: LookThing): boolean =>
  restsOn(thing) &&
  thing.size.heightMm >= LEAST_FURNITURE_MM &&
  !thing.kinds.has('seat') &&
  thing.template?.id !== 'screen' &&
  (thing.kinds.has('floorPiece') || likenessOfThing(thing)?.boards !== undefined);

/** Whether a thing is a seat on which cushions lie. */
export const isSeat = (thing: LookThing): boolean => restsOn(thing) && thing.kinds.has('seat');
