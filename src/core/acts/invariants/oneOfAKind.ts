import { rowEntities } from '../../model/entities';
import { rowsOf } from '../changes';
import type { Breach, Invariant } from './invariant';
import { ofList } from './ofList';

/** One check for each set of fields that an entity calls unique. */
const checks = rowEntities.flatMap(({ table, unique, noun, record }) =>
  // Records have a rule of their own: `ledgerHolds` sees that a line is reversed once.
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

/** No two rows share what their entity calls unique: one supply of an identity, one row for a tool, one choice of an option. */
export const oneOfAKind: Invariant = {
  id: 'oneOfAKind',
  breaches: (rows) => checks.flatMap(({ table, breaches }) => breaches(rowsOf(rows, table))),
};
