import type { ChangeEvent } from '@contract/answers';
import type { OpenAPIHono } from '@hono/zod-openapi';
import { streamSSE } from 'hono/streaming';
import { lastDeviceOf } from '../persistence/acts';
import { snapshotTag } from '../persistence/projects';
import { Refusal, refused } from '../usecases/answer';
import { type HandlerContext, nameOfDevice, readingFor } from './handlerContext';
import { type Found, serve } from './routes';

/** How often a project that is watched is looked at: what others do is seen within two seconds. */
const LOOK_MS = 1000;
/** So often something is said though nothing happened, so that nobody between takes the line for dead. */
const SIGN_OF_LIFE_MS = 15_000;
/** Every so many looks it is asked whether whoever watches is still let in. */
const STILL_IN_EVERY = 2;

/**
 * Tells those who have a project open of each change, whoever made it and on whichever server: the state stands in the
 * database, where each stream looks for itself. Only that something changed is told; what it is now is read as ever.
 */
export function watchHandlers(app: OpenAPIHono<Found>, handling: HandlerContext): void {
  serve(app, 'watchProject', async ({ places: { projectId }, sender, context }) => {
    const transaction = readingFor(handling, sender);
    const first = await snapshotTag(transaction, projectId);
    if (first === null) throw new Refusal(refused('notFound'));
    // A proxy passes each event on at once.
    context.header('X-Accel-Buffering', 'no');
    return streamSSE(context, async (stream) => {
      let tag = first;
      const tell = (event: ChangeEvent) => stream.writeSSE({ event: 'change', data: JSON.stringify(event) });
      await tell({ tag, who: null });
      let quietMs = 0;
      for (let looks = 1; !stream.aborted && !stream.closed; looks += 1) {
        await stream.sleep(LOOK_MS);
        if (stream.aborted || stream.closed) return;
        if (looks % STILL_IN_EVERY === 0 && !(await handling.identity.isStillIn(sender.asker))) {
          await stream.writeSSE({ event: 'over', data: '' });
          return;
        }
        // A database that is away for a moment is no change; a project that is removed ends the stream.
        const present = await snapshotTag(transaction, projectId).catch(() => tag);
        if (present === null) return;
        quietMs += LOOK_MS;
        if (present !== tag) {
          tag = present;
          quietMs = 0;
          await tell({ tag, who: nameOfDevice(await lastDeviceOf(transaction, projectId)) });
        } else if (quietMs >= SIGN_OF_LIFE_MS) {
          quietMs = 0;
          await stream.write(': still here\n\n');
        }
      }
    });
  });
}
