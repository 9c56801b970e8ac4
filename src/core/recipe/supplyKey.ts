import type { Sheen } from '../state/surfaceState';

/** The identity of a supply: kind + color card + sheen. Two cards are two supplies, whatever their colors. */
export function supplyKey(kindId: string, colorCardId: string | null, sheen: Sheen | null): string {
  return `${kindId}|${colorCardId ?? ''}|${sheen ?? ''}`;
}

/** The kind of a supply key: a coating or consumable id. */
export function kindOfSupplyKey(key: string): string {
  return key.slice(0, key.indexOf('|'));
}
