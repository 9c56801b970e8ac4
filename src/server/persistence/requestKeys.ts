import type { Transaction } from './scope';

export type KeyState = { state: 'new' } | { state: 'other' } | { state: 'answered'; status: number; answer: unknown };

/**
 * Claims an idempotency key. A request with the same key that is still being worked on is waited for, since its row is
 * locked by the other transaction until that ends.
 */
export async function claimKey({ scope, manager }: Transaction, key: string, bodyHash: string): Promise<KeyState> {
  const inserted: unknown[] = await manager.query(
    'insert into "request_key" (studio_id, key, body_hash) values ($1, $2, $3) on conflict do nothing returning 1',
    [scope.studioId, key, bodyHash],
  );
  if (inserted.length > 0) return { state: 'new' };
  const found: { body_hash: string; status: number | null; answer: unknown }[] = await manager.query(
    'select body_hash, status, answer from "request_key" where studio_id = $1 and key = $2',
    [scope.studioId, key],
  );
  const known = found[0];
  if (!known || known.body_hash !== bodyHash) return { state: 'other' };
  return known.status === null ? { state: 'new' } : { state: 'answered', status: known.status, answer: known.answer };
}

/** Stores the answer of a key, once. */
export async function storeAnswer(
  { scope, manager }: Transaction,
  key: string,
  status: number,
  answer: unknown,
): Promise<void> {
  await manager.query('update "request_key" set status = $3, answer = $4 where studio_id = $1 and key = $2', [
    scope.studioId,
    key,
    status,
    JSON.stringify(answer),
  ]);
}

/** Marks a point to come back to when the writes of a command are refused. */
export async function savepoint({
  manager,
}: Transaction): Promise<{ release(): Promise<void>; rollback(): Promise<void> }> {
  await manager.query('savepoint command');
  return {
    release: async () => {
      await manager.query('release savepoint command');
    },
    rollback: async () => {
      await manager.query('rollback to savepoint command');
    },
  };
}
