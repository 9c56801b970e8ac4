import { reading } from '../persistence/scope';
import { taggedRows } from '../persistence/snapshots';
import { refused } from '../usecases/answer';
import type { JobKind } from './jobKind';

/** The most that a search on the server takes, seconds. */
const MOST_SECONDS = 600;

/** The best plan is searched for, longer than a page would: what it finds is of the project as it stood when it began. */
export const balanceJob: JobKind<'balance'> = {
  kind: 'balance',
  projectOf: ({ projectId }) => projectId,
  writesIn: null,
  async run({ database, environment, scope, isGivenUp, tell, search }, asked) {
    const state = await taggedRows(reading(database, scope), asked.projectId);
    if (!state) return refused('notFound');
    const answer = await search(
      { rows: state.rows, asOfMs: environment.nowMs(), ask: asked, seconds: MOST_SECONDS },
      (seconds) => tell(Math.round(seconds), MOST_SECONDS),
      isGivenUp,
    );
    return { status: 200, body: { tag: state.tag, asked, answer } };
  },
};
