import type { SlotRole } from '../../model/rows';
import type { LookThing } from './lookThing';

/** What is set down first: big, tall, light, green, risers, small, personal, scent (common practice, no source). */
const steps: readonly { name: string; roles: readonly SlotRole[] }[] = [
  { name: 'big', roles: ['anchor', 'function'] },
  { name: 'tall', roles: ['height'] },
  { name: 'light', roles: ['light'] },
  { name: 'green', roles: ['greenery'] },
  { name: 'risers', roles: ['riser', 'texture'] },
  { name: 'small', roles: ['filler'] },
  { name: 'personal', roles: ['personal'] },
  { name: 'scent', roles: ['scent'] },
];

/** Where a thing comes in the order: by its role, else by what it is and how large. */
function stepOf({ role, kinds, size }: LookThing): number {
  const byRole = steps.findIndex(({ roles }) => role !== null && roles.includes(role));
  if (byRole >= 0) return byRole;
  const at = (name: string) => steps.findIndex((step) => step.name === name);
  if (kinds.has('lamp') || kinds.has('lantern') || kinds.has('candle')) return at('light');
  if (kinds.has('stems') || kinds.has('living') || kinds.has('garland') || kinds.has('wreath')) return at('green');
  if (kinds.has('riser')) return at('risers');
  if (kinds.has('art') || kinds.has('mirror')) return at('big');
  return size.heightMm >= 350 ? at('tall') : at('small');
}

/** A step of placing: how it is called, and what is placed in it. */
export interface PlacingStep {
  name: string;
  things: readonly LookThing[];
}

/** A look in the order in which it is placed. What stands on something never comes before it. */
export function orderToPlace(things: readonly LookThing[]): PlacingStep[] {
  const byId = new Map(things.map((thing) => [thing.id, thing]));
  const earliest = (thing: LookThing, seen: ReadonlySet<string> = new Set()): number => {
    const below = byId.get(thing.placement.onId ?? '');
    const own = stepOf(thing);
    return below && !seen.has(below.id) ? Math.max(own, earliest(below, new Set([...seen, thing.id]))) : own;
  };
  const area = ({ size }: LookThing) => size.widthMm * size.heightMm;
  return steps.flatMap(({ name }, n) => {
    const own = things
      .filter((thing) => earliest(thing) === n)
      .sort((a, b) => heightOfStack(byId, a) - heightOfStack(byId, b) || area(b) - area(a));
    return own.length > 0 ? [{ name, things: own }] : [];
  });
}

/** How many things lie beneath one. */
function heightOfStack(byId: ReadonlyMap<string, LookThing>, thing: LookThing): number {
  let count = 0;
  let below = byId.get(thing.placement.onId ?? '');
  while (below && count < byId.size) {
    count += 1;
    below = byId.get(below.placement.onId ?? '');
  }
  return count;
}
