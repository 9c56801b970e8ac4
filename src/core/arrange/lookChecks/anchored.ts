import { formatLength } from '../../kernel/formatLength';
import { awayFix, editFix, holding, type LookSaid, lookAgain, lookCheck } from './lookCheck';
import { inches } from './where';

/** Clothing storage from 27 in on, and what is more than three times as tall as it is deep, tips over. */
const STORAGE_MM = inches(27);
const SLENDER = 3;
const LEAST_TALL_MM = inches(24);
/** What is higher up stands on a board, not on the floor. */
const ON_FLOOR_MM = inches(2);

/** Furniture that can tip over is anchored to a stud; casters and legs that were added make it worse. A caution. */
export const anchored = lookCheck({
  id: 'anchored',
  name: 'Tipping over',
  source: { kind: 'standard', document: 'ASTM F2057-23, 16 CFR 1261', memory: true },
  isCaution: true,
  sentences: {
    holds: (f: { thing: string }) => `${f.thing} is anchored`,
    tips: (f: { thing: string }) => `${f.thing} can tip over`,
    told: (f: { heightMm: number; depthMm: number }, { units }) =>
      `${formatLength(f.heightMm, units)} high and ${formatLength(f.depthMm, units)} deep: anchor it to a stud, and never open two drawers at once.`,
    anchor: () => 'Anchor it with a screw in a stud',
    takeAway: () => 'Take it away',
  },
  check: (facts, say) =>
    facts.things
      .filter(
        ({ kinds, size, placement, template, ownName }) =>
          placement.stance !== 'hangs' &&
          placement.onId === null &&
          facts.baseMm === 0 &&
          placement.footMm < ON_FLOOR_MM &&
          ((kinds.has('clothing') && size.heightMm >= STORAGE_MM) ||
            (kinds.has('floorPiece') &&
              template?.id !== 'chair' &&
              // What stands before a fire on feet is taken away to lay the logs.
              !/\bfire(?:place)? ?screens?\b/i.test(ownName) &&
              size.heightMm >= LEAST_TALL_MM &&
              size.heightMm > SLENDER * Math.min(size.depthMm, size.widthMm))),
      )
      .map((thing): LookSaid => {
        const text = say('told', { heightMm: thing.size.heightMm, depthMm: thing.size.depthMm });
        return thing.placement.heldBy !== null
          ? holding(say('holds', { thing: thing.name }), text, [thing.id])
          : lookAgain(
              say('tips', { thing: thing.name }),
              text,
              [thing.id],
              [
                editFix(say('anchor'), thing.id, { heldBy: { fixingId: 'studScrew', ratedG: null } }),
                awayFix(say('takeAway'), thing.id),
              ],
              'stop',
            );
      }),
});
