import { allEntities } from '@core/model/entities';
import type { Database } from '../persistence/database';
import { claimKey, storeAnswer } from '../persistence/requestKeys';
import { inTransaction, type StudioScope, type Transaction } from '../persistence/scope';
import { type AnswerWith, Refusal, type Refused, refused } from './answer';

/**
 * Does something once for a key: whoever asks again with the same body gets the first answer, whoever comes with another
 * body is refused. A refusal leaves nothing behind but its answer.
 * @param end is told what was done, at the end of the same transaction
 */
export async function onceByKey<Body>(
  database: Database,
  scope: StudioScope,
  key: string,
  bodyHash: string,
  work: (transaction: Transaction) => Promise<AnswerWith<Body>>,
  end: (transaction: Transaction, done: Body) => Promise<void> = async () => undefined,
): Promise<AnswerWith<Body>> {
  const answered = (make: (transaction: Transaction) => Promise<AnswerWith<Body>>): Promise<AnswerWith<Body>> =>
    inTransaction(database, scope, async (transaction) => {
      const known = await claimKey(transaction, key, bodyHash);
      if (known.state === 'other')
        return refused('key.reused', {
          fields: [{ field: 'key', value: key, accepted: 'a new key for a new request' }],
        });
      // What was answered once, as it was kept then.
      if (known.state === 'answered') return { status: known.status, body: known.answer } as AnswerWith<Body>;
      const answer = await make(transaction);
      await storeAnswer(transaction, key, answer.status, answer.body);
      if (answer.status === 200) await end(transaction, answer.body as Body);
      return answer;
    });
  for (let tries = 1; ; tries += 1)
    try {
      return await answered(work);
    } catch (error) {
      const refusal = error instanceof Refusal ? error.answer : refusedByDatabase(error);
      if (!refusal) throw error;
      // Somebody made the same thing at the same moment: now that it is there, it is decided anew.
      if (isThereAlready(error) && tries === 1) continue;
      // All of it was taken back, the key as well: the refusal is kept by itself, unless another request was quicker.
      return answered(async () => refusal);
    }
}

const driverError = (error: unknown) =>
  (error as { driverError?: { code?: string; table?: string } }).driverError ?? {};

const isThereAlready = (error: unknown): boolean => driverError(error).code === '23505';

/** Constraints of the database that speak of the request, not of a bug. */
function refusedByDatabase(error: unknown): Refused | null {
  const { code, table } = driverError(error);
  if (code !== '23505' && code !== '23503') return null;
  const noun = allEntities.find((entity) => entity.name === table)?.noun ?? 'row';
  const accepted =
    code === '23505' ? `a ${noun} that is not there yet` : `a ${noun} that speaks of things of this studio only`;
  return refused('command.refused', { fields: [{ field: noun, value: null, accepted }] });
}
