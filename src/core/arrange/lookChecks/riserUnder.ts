import type { LookThing } from '../look/lookThing';
import type { FixAct, LookFacts } from './lookCheck';
import { clearOver, inches } from './where';

/** A riser taller than this is no riser any more, and one lower than that nobody sees. */
const TALLEST_MM = inches(8);
const LOWEST_MM = inches(1);

/** A stack of books or a box beneath a thing that lifts it; null where that is too much, or where it then does not fit. */
export function riserUnder(
  facts: Pick<LookFacts, 'room' | 'things'>,
  thing: LookThing,
  neededMm: number,
): FixAct | null {
  const heightMm = Math.max(LOWEST_MM, neededMm);
  if (neededMm <= 0 || heightMm > TALLEST_MM || thing.box.topMm + heightMm > clearOver(facts, thing)) return null;
  const { widthMm, depthMm } = thing.size;
  const over = 0.05;
  return {
    kind: 'add',
    under: thing.id,
    of: {
      name: 'Riser: books or a box',
      drawn: { templateId: 'books', measures: {}, color: null },
      size: {
        widthMm: widthMm * (1 + 2 * over),
        heightMm,
        depthMm: Math.min(depthMm * (1 + 2 * over), facts.room.depthMm),
      },
      xMm: Math.min(
        Math.max(0, thing.box.leftMm - widthMm * over),
        Math.max(0, facts.room.widthMm - widthMm * (1 + 2 * over)),
      ),
      footMm: thing.box.footMm,
      frontMm: Math.max(0, thing.box.frontMm - depthMm * over),
      onId: thing.placement.onId,
      layer: Math.max(0, thing.placement.layer - 1),
    },
  };
}
