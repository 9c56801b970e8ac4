import { MM_PER_INCH } from '../../kernel/units';
import type { LookThing, ThingBox } from '../look/lookThing';
import { carriedAlong, type Place, placeOf, restsOn } from '../look/settle';
import type { LookFacts } from './lookCheck';

export const inches = (n: number): number => n * MM_PER_INCH;

export const hung = (facts: Pick<LookFacts, 'things'>): LookThing[] => facts.things.filter((thing) => !restsOn(thing));
export const standing = (facts: Pick<LookFacts, 'things'>): LookThing[] => facts.things.filter(restsOn);
/** What stands on the spot itself, not on another thing. */
export const onBase = (facts: Pick<LookFacts, 'things'>): LookThing[] =>
  standing(facts).filter(({ placement }) => placement.onId === null);

export const middleX = ({ leftMm, rightMm }: ThingBox): number => (leftMm + rightMm) / 2;
export const middleY = ({ footMm, topMm }: ThingBox): number => (footMm + topMm) / 2;

/** The distance between two things as seen in the look's own view: from the front, or from above. 0 where they meet. */
export function apartMm(a: ThingBox, b: ThingBox, isAbove: boolean): number {
  const x = Math.max(0, a.leftMm - b.rightMm, b.leftMm - a.rightMm);
  const y = isAbove
    ? Math.max(0, a.frontMm - b.backMm, b.frontMm - a.backMm)
    : Math.max(0, a.footMm - b.topMm, b.footMm - a.topMm);
  return Math.hypot(x, y);
}

/** Whether two boxes have room in common; a touch is none. */
export function meets(a: ThingBox, b: ThingBox): boolean {
  const slack = 1;
  return (
    Math.min(a.rightMm, b.rightMm) - Math.max(a.leftMm, b.leftMm) > slack &&
    Math.min(a.topMm, b.topMm) - Math.max(a.footMm, b.footMm) > slack &&
    Math.min(a.backMm, b.backMm) - Math.max(a.frontMm, b.frontMm) > slack
  );
}

/** A thing moved, with all that stands on it. */
export const moved = (facts: Pick<LookFacts, 'things'>, thing: LookThing, to: Partial<Place>): Place[] =>
  carriedAlong(facts.things, thing, { ...placeOf(thing), ...to });

const STEP_MM = 10;

/**
 * The nearest place along the spot at which something holds, tried in steps outward from where the thing is.
 * @returns the left edge, mm; null where it holds nowhere, or where nobody asks for it
 */
export function nearestX(
  facts: Pick<LookFacts, 'room' | 'wantsFixes'>,
  thing: LookThing,
  holds: (leftMm: number) => boolean,
): number | null {
  if (!facts.wantsFixes) return null;
  const most = facts.room.widthMm - thing.size.widthMm;
  if (most < 0) return null;
  const from = Math.min(Math.max(0, thing.box.leftMm), most);
  for (let step = 0; step * STEP_MM <= most + STEP_MM; step++)
    for (const sign of step === 0 ? [1] : [1, -1]) {
      const leftMm = Math.min(Math.max(0, from + sign * step * STEP_MM), most);
      if (holds(leftMm)) return leftMm;
    }
  return null;
}

/** A thing's box with its left edge elsewhere. */
export const boxWithLeft = (box: ThingBox, leftMm: number): ThingBox => ({
  ...box,
  leftMm,
  rightMm: leftMm + box.rightMm - box.leftMm,
});
