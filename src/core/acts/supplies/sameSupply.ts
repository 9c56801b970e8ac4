import type { SupplyRow } from '../../model/rows';
import { supplyKey } from '../../recipe/supplyKey';

type Identity = Pick<SupplyRow, 'kindId' | 'colorCardId' | 'sheen'>;

/** The identity of a supply as text: kind, color card and sheen. */
export const identityOf = (row: Identity): string => supplyKey(row.kindId, row.colorCardId, row.sheen);

/** Whether two rows speak of one supply. */
export const sameSupply = (a: Identity, b: Identity): boolean => identityOf(a) === identityOf(b);
