import { requestKeyEntity } from './entities';
import type { Transaction } from './scope';

export type KeyState = { state: 'new' } | { state: 'other' } | { state: 'answered'; status: number; answer: unknown };

/**
 * Claims an idempotency key. A request with the same key that is still being worked on is waited for, since its row is
 * locked by the other transaction until that ends.
 */
export async function claimKey({ scope, manager }: Transaction, key: string, bodyHash: string): Promise<KeyState> {
  const { studioId } = scope;
  const { raw } = await manager
    .createQueryBuilder()
    .insert()
    .into(requestKeyEntity)
    .values({ studioId, key, bodyHash })
    .orIgnore()
    .returning(['key'])
    .updateEntity(false)
    .execute();
  if ((raw as unknown[]).length > 0) return { state: 'new' };
  const known = await manager.findOneBy(requestKeyEntity, { studioId, key });
  if (!known || known.bodyHash !== bodyHash) return { state: 'other' };
  return known.status === null ? { state: 'new' } : { state: 'answered', status: known.status, answer: known.answer };
}

/** Stores the answer of a key, once. */
export async function storeAnswer(
  { scope, manager }: Transaction,
  key: string,
  status: number,
  answer: unknown,
): Promise<void> {
  await manager.update(requestKeyEntity, { studioId: scope.studioId, key }, { status, answer: answer as object });
}
