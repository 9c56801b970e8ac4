import { formatLength } from '../../kernel/formatLength';
import { calculated } from '../../kernel/source';
import { isDescribed, type LookThing } from '../look/lookThing';
import { type Place, restsOn } from '../look/settle';
import { heldWithin, type ThingSpace, thingSpace } from '../look/thingSpace';
import { awayFix, editFix, type LookFacts, type LookSaid, lookAgain, lookCheck, moveFix } from './lookCheck';
import { clearOver, freeOnBoard, moved, rowsOf, type ThingRow } from './where';

const SLACK_MM = 1;

/** From where to where a thing may be where it stands: between the ends of its board, up to the next one. */
function spaceAt(facts: LookFacts, rows: readonly ThingRow[], thing: LookThing): ThingSpace {
  const space = thingSpace(thing, facts.room);
  if (!restsOn(thing)) return space;
  const support = facts.things.find(({ id }) => id === thing.placement.onId);
  const row = rows.find(({ things }) => things.includes(thing));
  // What is set on another thing may stand out over it; within a bookcase, and on a board of the spot, it may not.
  const ends = row && (support === undefined || isWithin(thing, support)) ? row : space;
  return { leftMm: ends.leftMm, rightMm: ends.rightMm, footMm: space.footMm, topMm: clearOver(facts, thing) };
}

const isWithin = (thing: LookThing, support: LookThing): boolean => thing.box.footMm < support.box.topMm - SLACK_MM;

/** A free place on another board of the spot where a thing is not too tall; null where there is none. */
function otherBoard(facts: LookFacts, thing: LookThing): Pick<Place, 'xMm' | 'footMm'> | null {
  return freeOnBoard(facts, thing, ({ topMm }) => Math.abs(topMm - thing.box.footMm) > SLACK_MM);
}

/** A piece that stands out over an edge of its spot, or reaches higher than there is room. */
export const outsideSpot = lookCheck({
  id: 'outsideSpot',
  name: 'Within the spot',
  source: calculated,
  sentences: {
    title: (f: { thing: string }) => `${f.thing} does not fit in`,
    across: (f: { byMm: number }, { units }) => `It stands out ${formatLength(f.byMm, units)} at the side.`,
    deep: (f: { byMm: number }, { units }) => `It is ${formatLength(f.byMm, units)} deeper than there is room.`,
    tall: (f: { byMm: number }, { units }) => `It reaches ${formatLength(f.byMm, units)} higher than there is room.`,
    board: (f: { byMm: number }, { units }) =>
      `It reaches ${formatLength(f.byMm, units)} higher than there is room up to the next board.`,
    lessDeep: (f: { depthMm: number }, { units }) => `It is only ${formatLength(f.depthMm, units)} deep`,
    otherBoard: () => 'Onto a board with room for it',
    moveIn: () => 'Move it in',
    takeAway: () => 'Take it out of the look',
  },
  check: (facts, say) => {
    const rows = rowsOf(facts);
    return facts.things.flatMap((thing): LookSaid[] => {
      const { box, size } = thing;
      // Cloth hangs over the edges of its table, and is meant to.
      if (facts.isAbove && thing.template?.id === 'flatCloth') return [];
      const { depthMm } = facts.room;
      const space = spaceAt(facts, rows, thing);
      const across = Math.max(space.leftMm - box.leftMm, box.rightMm - space.rightMm);
      // Before a wall there is floor as far as there is a room.
      const deep = facts.kind.asks.depth === null ? 0 : Math.max(-box.frontMm, box.backMm - depthMm);
      const tall = facts.isAbove ? 0 : Math.max(box.topMm - space.topMm, space.footMm - box.footMm);
      const worst = Math.max(across, deep, tall);
      if (worst <= SLACK_MM) return [];
      const isUnderBoard = space.topMm < facts.room.heightMm;
      const fits =
        size.widthMm <= space.rightMm - space.leftMm + SLACK_MM &&
        size.depthMm <= depthMm + SLACK_MM &&
        (tall <= SLACK_MM || size.heightMm <= space.topMm - space.footMm);
      const canMove = fits && (tall <= SLACK_MM || !restsOn(thing));
      const place = {
        xMm: heldWithin(box.leftMm, size.widthMm, space.leftMm, space.rightMm),
        frontMm: heldWithin(box.frontMm, size.depthMm, 0, depthMm),
        footMm: facts.isAbove ? box.footMm : heldWithin(box.footMm, size.heightMm, space.footMm, space.topMm),
      };
      const other = canMove || worst !== tall ? null : otherBoard(facts, thing);
      return [
        lookAgain(
          say('title', { thing: thing.name }),
          say(worst === across ? 'across' : worst === deep ? 'deep' : isUnderBoard ? 'board' : 'tall', { byMm: worst }),
          [thing.id],
          [
            ...(worst === deep && isDescribed(thing)
              ? [editFix(say('lessDeep', { depthMm }), thing.id, { size: { ...size, depthMm } })]
              : []),
            ...(canMove ? [moveFix(say('moveIn'), moved(facts, thing, place))] : []),
            ...(other ? [moveFix(say('otherBoard'), moved(facts, thing, { ...other, onId: null }))] : []),
            ...(canMove ? [] : [awayFix(say('takeAway'), thing.id)]),
          ],
        ),
      ];
    });
  },
});
