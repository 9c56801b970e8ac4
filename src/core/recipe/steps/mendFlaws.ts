import { flawsFound } from '../../catalog/inspections';
import { supplyKey } from '../supplyKey';
import type { ZonePlan } from '../zonePlans';
import type { StepBook } from './stepBook';

/** What glue and filler take until they may be worked on, hours (common practice, from memory). */
const SETTING_HOURS = 12;

/**
 * What the inspection found is mended before anything else is done, or made into something: a step for each flaw. A flaw
 * is one of the find, however many alike there are.
 */
export function mendFlaws(book: StepBook, worked: readonly ZonePlan[]): void {
  for (const piece of book.body.pieces) {
    const zone = worked.find(({ pieceId }) => pieceId === piece.id);
    const facts = book.context.pieces.get(piece.findId ?? '');
    if (!zone || !facts) continue;
    for (const { check, flaw } of flawsFound(facts.inspected)) {
      // What makes it fiddly is no work of its own: it makes all the others longer.
      if (flaw.detail !== null) continue;
      const id = `flaw:${piece.id}:${check.id}`;
      book.next(
        {
          id,
          kind: 'mend',
          title: `${facts.name}: ${flaw.use === null ? `mend: ${flaw.says}` : `${flaw.says}, so ${flaw.use}`}`,
          hint: check.how,
          zoneKeys: [zone.key],
          runMinutes: book.run(id, [zone], null, () => flaw.minutes / zone.pieceCount),
          supplies: flaw.takes.map(({ kindId, amount }) => {
            const key = supplyKey(kindId, null, null);
            return { supplyKey: key, amount: book.take(id, [zone], key, () => amount / zone.pieceCount) };
          }),
        },
        flaw.takes.length > 0 ? SETTING_HOURS : 0,
      );
    }
  }
}
