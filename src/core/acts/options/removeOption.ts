import { z } from 'zod';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { remove } from '../changes';
import { removeOptions } from '../rowActs';

/** An option goes with its choice, its recipe and the offer that only it spoke of; what was ordered stays in the books. */
export const removeOption = projectAct({
  kind: 'removeOption',
  title: 'Option removed',
  payload: z.strictObject({ id }),
  decide: (rows, payload) => {
    const option = rows.options.find((candidate) => candidate.id === payload.id);
    if (!option) return refuse('id', payload.id, 'an option that is still there');
    const elsewhere = new Set(
      rows.options
        .filter((other) => other.id !== payload.id)
        .flatMap((other) => other.parts.map((part) => part.offerId)),
    );
    const orphans = option.parts.flatMap(({ offerId }) =>
      offerId === null || elsewhere.has(offerId) || rows.ledger.some((line) => line.subject.id === offerId)
        ? []
        : [offerId],
    );
    return [
      ...removeOptions(rows, (candidate) => candidate.id === payload.id),
      ...orphans.map((offerId) => remove('offers', offerId)),
    ];
  },
});
