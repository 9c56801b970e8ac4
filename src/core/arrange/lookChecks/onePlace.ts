import { calculated } from '../../kernel/source';
import { mostOf } from '../../model/finds';
import type { LookThing } from '../look/lookThing';
import { awayFix, type LookSaid, lookAgain, lookCheck } from './lookCheck';

/** The piece of the house, or the find, that a thing is; null for what is bought new or only described. */
const pieceIdOf = ({ piece, placement }: LookThing): string | null => piece?.id ?? placement.pieceId;

/** One piece stands in one place: not twice in a look, nor in two spots at the same time. Several looks of a spot share it. */
export const onePlace = lookCheck({
  id: 'onePlace',
  name: 'One piece, one place',
  source: calculated,
  sentences: {
    twice: (f: { thing: string }) => `${f.thing} stands in two places`,
    told: (f: { here: number; there: number; have: number }) =>
      `${f.here} here${f.there > 0 ? ` and ${f.there} in another spot` : ''}; there ${f.have === 1 ? 'is one' : `are ${f.have}`}.`,
    takeAway: (f: { thing: string }) => `Take ${f.thing} away here`,
  },
  check: (facts, say) => {
    const byPiece = new Map<string, LookThing[]>();
    for (const thing of facts.things) {
      const id = pieceIdOf(thing);
      if (id !== null) byPiece.set(id, [...(byPiece.get(id) ?? []), thing]);
    }
    return [...byPiece].flatMap(([id, here]): LookSaid[] => {
      const there = facts.elsewhere.reduce(
        (sum, { things }) => sum + things.filter((thing) => pieceIdOf(thing) === id).length,
        0,
      );
      const [first] = here;
      const have = first?.piece ? mostOf(first.piece) : 1;
      const last = here.at(-1);
      if (!first || !last || here.length + there <= have) return [];
      const extra = here.slice(Math.max(0, have - there)).map((thing) => thing.id);
      return [
        lookAgain(
          say('twice', { thing: first.name }),
          say('told', { here: here.length, there, have }),
          here.map((thing) => thing.id),
          [awayFix(say('takeAway', { thing: first.name }), ...(extra.length > 0 ? extra : [last.id]))],
        ),
      ];
    });
  },
});
