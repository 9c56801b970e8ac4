import { rowEntities } from '../../model/entities';
import { rowsOf } from '../changes';
import type { Breach, Invariant } from './invariant';

/** What an entity calls unique is there once: one supply of an identity, one row for a tool, one choice of an option. */
export const oneOfAKind: Invariant = {
  id: 'oneOfAKind',
  breaches: (rows) =>
    rowEntities.flatMap(({ table, unique, noun, record }) =>
      // That a line of the ledger is reversed once is a rule of the ledger's own.
      (record ? [] : unique).flatMap((fields) => {
        const breaches: Breach[] = [];
        const seen = new Set<string>();
        for (const row of rowsOf(rows, table)) {
          const values = fields.map((field) => row[field] ?? null);
          if (values.every((value) => value === null)) continue;
          const key = JSON.stringify(values);
          if (seen.has(key))
            breaches.push({
              table,
              id: row.id,
              path: [fields.at(-1) ?? 'id'],
              field: `${noun}: ${fields.join(', ')}`,
              value: values.join(', '),
              accepted: `one ${noun} for each`,
              weight: 1,
            });
          seen.add(key);
        }
        return breaches;
      }),
    ),
};
