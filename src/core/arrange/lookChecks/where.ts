import { MM_PER_INCH } from '../../kernel/units';
import type { Board } from '../../surface/board';
import { ceilingOver, levelsOf, levelUnder } from '../look/lookRoom';
import { type LookThing, meets, type ThingBox } from '../look/lookThing';
import { carriedAlong, type Place, placeOf, restingOn, restsOn } from '../look/settle';
import type { LookFacts } from './lookCheck';

export const inches = (n: number): number => n * MM_PER_INCH;

export const hung = (facts: Pick<LookFacts, 'things'>): LookThing[] => facts.things.filter((thing) => !restsOn(thing));
export const standing = (facts: Pick<LookFacts, 'things'>): LookThing[] => facts.things.filter(restsOn);
/** Whether anybody said how large a thing is: what nobody found has only the box of its sketch. */
export const isSized = ({ isFound, placement, slot }: LookThing): boolean =>
  isFound ||
  placement.size !== null ||
  (slot !== null && (slot.width.minimumMm !== null || slot.width.maximumMm !== null));

/** What stands on the spot itself or on a board of it, not on another thing. */
export const onBase = (facts: Pick<LookFacts, 'things'>): LookThing[] =>
  standing(facts).filter(({ placement }) => placement.onId === null);

/** Things side by side on one board, and where that is; mm. */
export interface ThingRow {
  things: readonly LookThing[];
  /** The board's top above the base. */
  footMm: number;
  leftMm: number;
  rightMm: number;
}

/** So near to each other two things stand on one board, mm. */
const LEVEL_MM = 2;

/**
 * What stands beside each other: on the spot's base, on each of its boards, on each board within a bookcase or a cart. What
 * stands on another board is no neighbor.
 */
export function rowsOf({ things, room }: Pick<LookFacts, 'things' | 'room'>): ThingRow[] {
  const own = standing({ things });
  const ofSpot = levelsOf(room).map(
    ({ topMm, leftMm, rightMm }): ThingRow => ({
      things: own.filter(({ placement, box }) => placement.onId === null && levelUnder(room, box) === topMm),
      footMm: topMm,
      leftMm,
      rightMm,
    }),
  );
  const ofPieces = things
    .filter(({ boards }) => boards.length > 1)
    .flatMap(({ id, box: of, boards }) =>
      boards.map(({ topMm, leftMm, rightMm }): ThingRow => {
        const footMm = of.footMm + topMm;
        return {
          things: own.filter(({ placement, box }) => placement.onId === id && Math.abs(box.footMm - footMm) < LEVEL_MM),
          footMm,
          leftMm: of.leftMm + leftMm,
          rightMm: of.leftMm + rightMm,
        };
      }),
    );
  return [...ofSpot, ...ofPieces].filter((row) => row.things.length > 0);
}

/** Boards over a place, from below: of the spot, and of what stands or hangs there. */
export interface Underside {
  atMm: number;
  leftMm: number;
  rightMm: number;
  name: string;
  /** The thing that has it; null for the spot's own. */
  of: LookThing | null;
}

/** All boards of a look as one sees them from below. */
export function undersidesOf({ things, room, spot }: Pick<LookFacts, 'things' | 'room' | 'spot'>): Underside[] {
  return [
    ...room.boards.map(({ topMm, thickMm, leftMm, rightMm }) => ({
      atMm: topMm - thickMm,
      leftMm,
      rightMm,
      name: `a board of ${spot.name}`,
      of: null,
    })),
    ...things.flatMap((of) =>
      of.boards.map(({ topMm, thickMm, leftMm, rightMm }) => ({
        atMm: of.box.footMm + topMm - thickMm,
        leftMm: of.box.leftMm + leftMm,
        rightMm: of.box.leftMm + rightMm,
        name: of.name,
        of,
      })),
    ),
  ];
}

/** How high something may reach where it stands: to the next board of the spot or of what it stands in, else to the top. */
export function clearOver({ things, room }: Pick<LookFacts, 'things' | 'room'>, thing: LookThing): number {
  const support = things.find(({ id }) => id === thing.placement.onId);
  const over = support?.boards.find(({ topMm }) => support.box.footMm + topMm > thing.box.footMm + LEVEL_MM);
  const within = support && over ? support.box.footMm + over.topMm - over.thickMm : Number.POSITIVE_INFINITY;
  return Math.min(within, ceilingOver(room, thing.box));
}

/** Whether a thing stands on another, or on something that does. */
export function standsUpon(things: readonly LookThing[], thing: LookThing, below: LookThing): boolean {
  let onId = thing.placement.onId;
  for (let step = 0; onId !== null && step < things.length; step += 1) {
    if (onId === below.id) return true;
    onId = things.find(({ id }) => id === onId)?.placement.onId ?? null;
  }
  return false;
}

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

/**
 * A free place for a thing on one of the boards of the spot, its base among them, where it is not too tall.
 * @param wanted which boards come in question
 * @param holds what else the place must hold to
 * @returns the lowest such; null where there is none, or where nobody asks for it
 */
export function freeOnBoard(
  facts: Pick<LookFacts, 'room' | 'things' | 'wantsFixes'>,
  thing: LookThing,
  wanted: (board: Pick<Board, 'topMm'>) => boolean,
  holds: (at: ThingBox) => boolean = () => true,
): Pick<Place, 'xMm' | 'footMm'> | null {
  const { room, things } = facts;
  const { heightMm, widthMm } = thing.size;
  const along = new Set([thing.id, ...restingOn(things, thing.id).map(({ id }) => id)]);
  for (const board of levelsOf(room).filter(wanted)) {
    const xMm = nearestX(facts, thing, (left) => {
      const at = { ...boxWithLeft(thing.box, left), footMm: board.topMm, topMm: board.topMm + heightMm };
      return (
        left >= board.leftMm &&
        left + widthMm <= board.rightMm &&
        at.topMm <= ceilingOver(room, at) &&
        holds(at) &&
        things.every((other) => along.has(other.id) || !meets(at, other.box))
      );
    });
    if (xMm !== null) return { xMm, footMm: board.topMm };
  }
  return null;
}
