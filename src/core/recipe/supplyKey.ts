import type { Sheen } from '../state/surfaceState';

/**
 * The identity of a supply: kind + color card + sheen. Two cards are two supplies, whatever their colors.
 * @returns a text that `partsOfSupplyKey` takes apart again
 */
export function supplyKey(kindId: string, colorCardId: string | null, sheen: Sheen | null): string {
  return `${kindId}|${colorCardId ?? ''}|${sheen ?? ''}`;
}

/** What a supply key was made of; the kind may be one that the tables do not know. */
export function partsOfSupplyKey(key: string): { kindId: string; colorCardId: string | null; sheen: Sheen | null } {
  const [kindId = '', colorCardId = '', sheen = ''] = key.split('|');
  return { kindId, colorCardId: colorCardId || null, sheen: (sheen || null) as Sheen | null };
}
