import { rowEntities } from '../../model/entities';
import { rowsOf } from '../changes';
import type { Breach, Invariant } from './invariant';
import { ofList } from './ofList';

/** What looks through the rows of one table for what should be there once. */
const lookers = rowEntities.flatMap(({ table, unique, noun, record }) =>
  // That a line of the ledger is reversed once is a rule of the ledger's own.
  (record ? [] : unique).map((fields) => ({
    table,
    breaches: ofList((list): Breach[] => {
      const seen = new Set<string>();
      return list.flatMap((row) => {
        const values = fields.map((field) => row[field] ?? null);
        if (values.every((value) => value === null)) return [];
        const key = JSON.stringify(values);
        if (!seen.has(key)) {
          seen.add(key);
          return [];
        }
        return [
          {
            table,
            id: row.id,
            path: [fields.at(-1) ?? 'id'],
            field: `${noun}: ${fields.join(', ')}`,
            value: values.join(', '),
            accepted: `one ${noun} for each`,
            weight: 1,
          },
        ];
      });
    }),
  })),
);

/** What an entity calls unique is there once: one supply of an identity, one row for a tool, one choice of an option. */
export const oneOfAKind: Invariant = {
  id: 'oneOfAKind',
  breaches: (rows) => lookers.flatMap(({ table, breaches }) => breaches(rowsOf(rows, table))),
};
