import type { FieldError } from '@contract/fieldErrors';
import type { ActChange } from '../persistence/acts';
import { paidSupplies, shownColorCards } from '../persistence/references';
import type { Transaction } from '../persistence/scope';

/**
 * Shared rows that an act removed although some project refers to them: without them that project could not be worked
 * on any more. Asked after the writes; an answer refuses them.
 */
export async function stillUsed(transaction: Transaction, changes: readonly ActChange[]): Promise<FieldError[]> {
  const removed = (table: ActChange['table']) =>
    changes.filter((change) => change.table === table && change.after === null).map((change) => change.id);
  const errors: FieldError[] = [];
  const supplies = removed('supplies');
  if (supplies.length > 0)
    for (const id of await paidSupplies(transaction, supplies))
      errors.push({ field: 'supply', value: id, accepted: 'a supply that no project has paid for; note it as empty' });
  const cards = removed('colorCards');
  if (cards.length > 0)
    for (const id of await shownColorCards(transaction, cards))
      errors.push({ field: 'colorCard', value: id, accepted: 'a color that no palette, slot, recipe or supply shows' });
  return errors.slice(0, 20);
}
