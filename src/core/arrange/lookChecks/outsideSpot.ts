import { formatLength } from '../../kernel/formatLength';
import { calculated } from '../../kernel/source';
import { restsOn } from '../look/settle';
import { awayFix, type LookSaid, lookAgain, lookCheck, moveFix } from './lookCheck';
import { moved } from './where';

const SLACK_MM = 1;

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
    moveIn: () => 'Move it in',
    takeAway: () => 'Take it out of the look',
  },
  check: (facts, say) =>
    facts.things.flatMap((thing): LookSaid[] => {
      const { box, size } = thing;
      // Cloth hangs over the edges of its table, and is meant to.
      if (facts.isAbove && thing.template?.id === 'flatCloth') return [];
      const { widthMm, heightMm, depthMm } = facts.room;
      const across = Math.max(-box.leftMm, box.rightMm - widthMm);
      const deep = Math.max(-box.frontMm, box.backMm - depthMm);
      const tall = facts.isAbove ? 0 : Math.max(box.topMm - heightMm, -box.footMm);
      const worst = Math.max(across, deep, tall);
      if (worst <= SLACK_MM) return [];
      const inside = (at: number, own: number, room: number) => Math.min(Math.max(0, at), Math.max(0, room - own));
      const fits =
        size.widthMm <= widthMm + SLACK_MM &&
        size.depthMm <= depthMm + SLACK_MM &&
        (tall <= SLACK_MM || size.heightMm <= heightMm);
      const canMove = fits && (tall <= SLACK_MM || !restsOn(thing));
      const place = {
        xMm: inside(box.leftMm, size.widthMm, widthMm),
        frontMm: inside(box.frontMm, size.depthMm, depthMm),
        footMm: facts.isAbove ? box.footMm : inside(box.footMm, size.heightMm, heightMm),
      };
      return [
        lookAgain(
          say('title', { thing: thing.name }),
          say(worst === across ? 'across' : worst === deep ? 'deep' : 'tall', { byMm: worst }),
          [thing.id],
          [canMove ? moveFix(say('moveIn'), moved(facts, thing, place)) : awayFix(say('takeAway'), thing.id)],
        ),
      ];
    }),
});
