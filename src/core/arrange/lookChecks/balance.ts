import { modellingChoice } from '../../kernel/source';
import { type BalanceVerdict, lookBalance } from '../look/lookBalance';
import { type LookThing, thingAt } from '../look/lookThing';
import { restingOn } from '../look/settle';
import { seenPieceOf } from '../look/silhouette';
import { type LookFacts, lookCheck } from './lookCheck';
import { meets, moved, nearestX, onBase } from './where';

const wanted: Readonly<Record<'mirror' | 'uneven', readonly BalanceVerdict[]>> = {
  mirror: ['mirrored'],
  uneven: ['uneven'],
};

/** The balance with one thing, and all that stands on it, moved along the spot. */
function balanceWith(facts: LookFacts, thing: LookThing, xMm: number) {
  const along = new Set([thing.id, ...restingOn(facts.things, thing.id).map(({ id }) => id)]);
  const by = xMm - thing.placement.xMm;
  const things = facts.things.map((other) =>
    along.has(other.id) ? thingAt(other, { xMm: other.placement.xMm + by }) : other,
  );
  return lookBalance(things.map(seenPieceOf), facts.room.widthMm / 2);
}

/** The shortest move of one thing that stands on the spot that brings the balance where the school has it. */
function moveFor(facts: LookFacts): { thing: LookThing; xMm: number } | null {
  const good = wanted[facts.school.arranging];
  const moves = onBase(facts).flatMap((thing) => {
    const along = new Set([thing.id, ...restingOn(facts.things, thing.id).map(({ id }) => id)]);
    const others = facts.things.filter(({ id }) => !along.has(id));
    const xMm = nearestX(facts, thing, (leftMm) => {
      const at = thingAt(thing, { xMm: leftMm });
      if (others.some((other) => meets(at.box, other.box))) return false;
      const verdict = balanceWith(facts, thing, leftMm)?.verdict;
      return verdict !== undefined && good.includes(verdict);
    });
    return xMm === null ? [] : [{ thing, xMm }];
  });
  const far = ({ thing, xMm }: (typeof moves)[number]) => Math.abs(xMm - thing.placement.xMm);
  return moves.sort((a, b) => far(a) - far(b))[0] ?? null;
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
    if (isMeant) return [{ title, text, state: 'holds', about: [], fixes: [] }];
    const move = moveFor(facts);
    const heaviest = [...onBase(facts)]
      .filter(({ box }) => (box.leftMm + box.rightMm) / 2 < facts.room.widthMm / 2 === (side === 'left'))
      .sort((a, b) => b.size.widthMm * b.size.heightMm - a.size.widthMm * a.size.heightMm)[0];
    // Uneven on purpose asks for a side that leads; a look that mirrors is no fault of anybody.
    const state = found.verdict === 'leans' || facts.school.arranging === 'mirror' ? 'lookAgain' : 'note';
    return [
      {
        title,
        text,
        state,
        about: move ? [move.thing.id] : heaviest ? [heaviest.id] : [],
        fixes: move
          ? [
              {
                say: say('move', {
                  thing: move.thing.name,
                  side: move.xMm < move.thing.placement.xMm ? 'left' : 'right',
                }),
                act: { kind: 'move', places: moved(facts, move.thing, { xMm: move.xMm }) },
              },
            ]
          : heaviest
            ? [{ say: say('takeAway', { thing: heaviest.name }), act: { kind: 'takeAway', ids: [heaviest.id] } }]
            : [],
      },
    ];
  },
});
