import type { OpenAPIHono } from '@hono/zod-openapi';
import type { HandlerContext } from './handlerContext';
import { type Found, serve } from './routes';

/** Long work: noted, looked at, given up. */
export function jobHandlers(app: OpenAPIHono<Found>, { jobs, actor }: HandlerContext): void {
  serve(app, 'startJob', ({ body, sender }) => jobs.begun(actor(sender), body));
  serve(app, 'listJobs', async ({ sender }) => ({ jobs: await jobs.latest(actor(sender)) }));
  serve(app, 'readJob', ({ places: { jobId }, sender }) => jobs.look(actor(sender), jobId));
  serve(app, 'cancelJob', ({ places: { jobId }, sender }) => jobs.cancel(actor(sender), jobId));
}
