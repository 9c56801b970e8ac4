import type { LookThing } from './lookThing';
import type { ThingKind } from './thingKinds.data';

/** The rim of a tray (common practice, no source). */
export const RIM_MM = 12;

/** What lies beneath other things, not on a tray. */
const LIES_BENEATH: readonly ThingKind[] = ['tray', 'textile', 'runner', 'books'];

/** Whether a tray gathers a thing: something that is small beside it, and neither cloth nor books, which lie beneath. */
export const gathers = (tray: LookThing, { kinds, size, placement }: LookThing): boolean =>
  tray.kinds.has('tray') &&
  !LIES_BENEATH.some((kind) => kinds.has(kind)) &&
  placement.stance !== 'lies' &&
  size.widthMm <= tray.size.widthMm / 2 &&
  size.depthMm <= tray.size.depthMm - 2 * RIM_MM;
