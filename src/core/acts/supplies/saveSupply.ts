import { z } from 'zod';
import { sameValue } from '../../kernel/sameValue';
import { rowSchema } from '../../model/entities';
import { houseAct, refuse } from '../act';
import { insert, type RowChange, remove, update } from '../changes';
import { identityOf, sameSupply } from './sameSupply';

/** A supply with its packs, as they shall be: known ones change, new ones come, missing ones go. */
export const saveSupply = houseAct({
  kind: 'saveSupply',
  title: 'Supply saved',
  payload: z.strictObject({
    supply: rowSchema('supplies'),
    packs: z.array(rowSchema('packs')).max(40, 'at most 40 packs'),
  }),
  decide: (rows, payload) => {
    const { supply, packs } = payload;
    const known = rows.supplies.find((row) => row.id === supply.id);
    if (rows.supplies.some((row) => row.id !== supply.id && sameSupply(row, supply)))
      return refuse('supply', identityOf(supply), 'one supply for each kind, color and sheen');
    const other = packs.find((pack) => pack.supplyId !== supply.id);
    if (other) return refuse('packs', other.supplyId, 'packs of this supply');
    const changes: RowChange[] = [];
    const { id: supplyId, version: _version, ...values } = supply;
    changes.push(known ? update('supplies', supplyId, values) : insert('supplies', supply));
    const kept = new Set(packs.map((pack) => pack.id));
    for (const old of rows.packs)
      if (old.supplyId === supplyId && !kept.has(old.id)) changes.push(remove('packs', old.id));
    for (const pack of packs) {
      const { id: packId, version: _packVersion, ...packValues } = pack;
      const before = rows.packs.find((old) => old.id === packId);
      if (!before) changes.push(insert('packs', pack));
      else if (!sameValue({ ...before, version: 0 }, { ...pack, version: 0 }))
        changes.push(update('packs', packId, packValues));
    }
    return changes;
  },
});
