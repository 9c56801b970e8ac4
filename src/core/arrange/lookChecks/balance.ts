import { modellingChoice } from '../../kernel/source';
import { type BalanceVerdict, lookBalance, verdictOf } from '../look/lookBalance';
import { type LookThing, meets } from '../look/lookThing';
import { restingOn } from '../look/settle';
import { seenPieceOf } from '../look/silhouette';
import { visualWeight } from '../look/visualWeight';
import { awayFix, holding, type LookFacts, lookAgain, lookCheck, moveFix } from './lookCheck';
import { boxWithLeft, middleX, moved, nearestX, onBase } from './where';

const wanted: Readonly<Record<'mirror' | 'uneven', readonly BalanceVerdict[]>> = {
  mirror: ['mirrored'],
  uneven: ['uneven'],
};

/** The heaviest things are tried, no more than so many: a light one moves the balance little. */
const MOST_TRIED = 12;

/** The shortest move of one thing that stands on the spot that brings the balance where the school has it. */
function moveFor(facts: LookFacts): { thing: LookThing; xMm: number } | null {
  if (!facts.wantsFixes) return null;
  const good = wanted[facts.school.arranging];
  const middle = facts.room.widthMm / 2;
  const weights = new Map(facts.things.map((thing) => [thing.id, visualWeight(seenPieceOf(thing))]));
  const weightOf = ({ id }: LookThing) => weights.get(id) ?? 0;
  const tried = [...onBase(facts)].sort((a, b) => weightOf(b) - weightOf(a)).slice(0, MOST_TRIED);
  const moves = tried.flatMap((thing) => {
    const along = [thing, ...restingOn(facts.things, thing.id)];
    const alongIds = new Set(along.map(({ id }) => id));
    const others = facts.things.filter(({ id }) => !alongIds.has(id));
    // What does not move weighs the same wherever the thing goes.
    const fixed = momentsOf(others, middle, weightOf, 0);
    const xMm = nearestX(facts, thing, (leftMm) => {
      const moved = momentsOf(along, middle, weightOf, leftMm - thing.placement.xMm);
      const verdict = verdictOf(fixed.left + moved.left, fixed.right + moved.right);
      if (verdict === null || !good.includes(verdict)) return false;
      const at = boxWithLeft(thing.box, leftMm);
      return !others.some((other) => meets(at, other.box));
    });
    return xMm === null ? [] : [{ thing, xMm }];
  });
  const far = ({ thing, xMm }: (typeof moves)[number]) => Math.abs(xMm - thing.placement.xMm);
  return moves.sort((a, b) => far(a) - far(b))[0] ?? null;
}

/** Moments of things about the middle, shifted together. */
function momentsOf(
  things: readonly LookThing[],
  middleMm: number,
  weightOf: (thing: LookThing) => number,
  shiftMm: number,
): { left: number; right: number } {
  let left = 0;
  let right = 0;
  for (const thing of things) {
    const away = middleX(thing.box) + shiftMm - middleMm;
    if (away < 0) left -= weightOf(thing) * away;
    else right += weightOf(thing) * away;
  }
  return { left, right };
}

/** How the sides stand to each other by visual weight, against the school in force. */
export const balance = lookCheck({
  id: 'balance',
  name: 'Balance of the sides',
  source: modellingChoice,
  sentences: {
    mirrored: () => 'The sides mirror each other',
    uneven: () => 'Uneven on purpose',
    leans: (f: { side: string }) => `It leans to the ${f.side}`,
    told: (f: { side: string; balance: string }) =>
      `The ${f.side} side is heavier by ${f.balance}; up to 0.15 mirrors, up to 0.45 is uneven on purpose.`,
    move: (f: { thing: string; side: string }) => `Move ${f.thing} to the ${f.side}`,
    takeAway: (f: { thing: string }) => `Take ${f.thing} away`,
  },
  check: (facts, say) => {
    if (facts.isAbove || facts.things.length < 3) return [];
    const found = lookBalance(facts.things.map(seenPieceOf), facts.room.widthMm / 2);
    if (!found) return [];
    const side = found.balance < 0 ? 'left' : 'right';
    const isMeant = wanted[facts.school.arranging].includes(found.verdict);
    const title =
      found.verdict === 'leans' ? say('leans', { side }) : say(found.verdict === 'mirrored' ? 'mirrored' : 'uneven');
    const text = say('told', { side, balance: Math.abs(found.balance).toFixed(2) });
    if (isMeant) return [holding(title, text)];
    const move = moveFor(facts);
    const heaviest = [...onBase(facts)]
      // Furniture on the floor stays: what is arranged around it gives way.
      .filter(({ kinds }) => facts.baseMm > 0 || !(kinds.has('floorPiece') || kinds.has('seat')))
      .filter(({ box }) => (box.leftMm + box.rightMm) / 2 < facts.room.widthMm / 2 === (side === 'left'))
      .sort((a, b) => b.size.widthMm * b.size.heightMm - a.size.widthMm * a.size.heightMm)[0];
    // Uneven on purpose asks for a side that leads; a look that mirrors is no fault of anybody.
    const state = found.verdict === 'leans' || facts.school.arranging === 'mirror' ? 'lookAgain' : 'note';
    if (move) {
      const to = move.xMm < move.thing.placement.xMm ? 'left' : 'right';
      const fix = moveFix(
        say('move', { thing: move.thing.name, side: to }),
        moved(facts, move.thing, { xMm: move.xMm }),
      );
      return [lookAgain(title, text, [move.thing.id], [fix], state)];
    }
    if (!heaviest) return [lookAgain(title, text, [], [], state)];
    return [
      lookAgain(title, text, [heaviest.id], [awayFix(say('takeAway', { thing: heaviest.name }), heaviest.id)], state),
    ];
  },
});
