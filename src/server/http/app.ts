import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { problemsOfSchema } from '@core/acts/problems';
import { serveStatic } from '@hono/node-server/serve-static';
import { OpenAPIHono } from '@hono/zod-openapi';
import { compress } from 'hono/compress';
import { HTTPException } from 'hono/http-exception';
import { type Search, searchHere } from '../jobs';
import type { Database } from '../persistence/database';
import { isAlive } from '../persistence/studios';
import { type Planning, planningHere } from '../planning/planning';
import { Refusal, refused } from '../usecases/answer';
import type { Environment } from '../usecases/environment';
import { bodies } from './bodies';
import { clock, errorAnswer, guard, headers } from './guard';
import { handlerContext } from './handlerContext';
import { houseHandlers } from './houseHandlers';
import { identityHandlers, whoAsks } from './identityHandlers';
import { jobHandlers } from './jobHandlers';
import { photoHandlers } from './photoHandlers';
import { projectHandlers } from './projectHandlers';
import { type Found, serve } from './routes';
import { studioHandlers, studioOfPage } from './studioHandlers';
import { troubleOf } from './trouble';
import { watchHandlers } from './watchHandlers';

export interface AppSettings {
  database: Database;
  studioId: string;
  /** Studios that this start put aside for a fresh one. */
  retiredStudios?: readonly string[];
  allowedHosts: ReadonlySet<string>;
  /** Folder of the built page, or null when something else serves it. */
  webFolder: string | null;
  environment: Environment;
  /** How long the list of projects waits for stale summaries, in milliseconds; not at all unless said otherwise. */
  summaryPatienceMs?: number;
  /** How long changes are gathered before their projects are summed up, in milliseconds. */
  summaryGatherMs?: number;
  log?: (line: string) => void;
  /** Who searches for the best plans; on the spot where nobody is named. */
  search?: Search;
  /** Who plans projects for the start page and for clients; on the spot where nobody is named. */
  plan?: Planning;
  /** Whether whoever asks has to say who they are: as soon as other machines reach the server. */
  signIn?: { isSecure: boolean; trustsProxy?: boolean; address?: string | null } | undefined;
  /** Told the code by which the owner sets the studio up, where nobody owns it yet. */
  onSetUp?: (code: string) => void;
}

/**
 * The whole HTTP side over an open database. What it keeps beside the database is who waits for whom and
 * what it read last: several may work on one database.
 */
export function createApp(settings: AppSettings) {
  const { database, environment, studioId } = settings;
  const log = settings.log ?? (() => {});
  const context = handlerContext({
    database,
    environment,
    studioId,
    retiredStudios: settings.retiredStudios,
    summaryPatienceMs: settings.summaryPatienceMs ?? 0,
    summaryGatherMs: settings.summaryGatherMs,
    isAsked: settings.signIn !== undefined,
    search: settings.search ?? searchHere,
    plan: settings.plan ?? planningHere(),
    log,
  });
  const { identity } = context;
  void identity.setUpCode().then((code) => code !== null && settings.onSetUp?.(code));
  const cookies = {
    isSecure: settings.signIn?.isSecure ?? false,
    trustsProxy: settings.signIn?.trustsProxy ?? false,
  };
  const app = new OpenAPIHono<Found>({
    defaultHook: (result, context) =>
      result.success
        ? undefined
        : errorAnswer(context, 'fields.refused', {
            fields: problemsOfSchema(result.error, 'data' in result ? result.data : undefined),
          }),
  });
  app.use('*', headers());
  app.use('*', guard(settings.allowedHosts));
  app.use(
    '/api/*',
    clock(() => environment.nowMs()),
  );
  app.use('/api/*', compress());
  app.use('/api/*', bodies());
  app.use('/api/*', async (asked, next) => {
    asked.set('identity', identity);
    return next();
  });
  app.use('/api/*', whoAsks(identity, cookies));
  app.use('/api/*', studioOfPage(context.studios));

  app.onError((error, context) => {
    const trouble = troubleOf(error);
    if (trouble) return errorAnswer(context, trouble);
    if (error instanceof Refusal) {
      const { code, ...more } = error.answer.body;
      return errorAnswer(context, code, more);
    }
    if (error instanceof HTTPException && error.status === 400)
      return errorAnswer(context, 'request.malformed', {
        fields: [{ field: '(all)', value: null, accepted: 'well-formed JSON' }],
      });
    log(`unexpected: ${error.stack ?? error.message}`);
    return errorAnswer(context, 'unexpected');
  });

  serve(app, 'health', async () => {
    if (!(await isAlive(database))) throw new Refusal(refused('database.gone'));
    return { ready: true };
  });

  identityHandlers(app, { ...context, cookies, address: settings.signIn?.address ?? null });
  projectHandlers(app, context);
  watchHandlers(app, context);
  houseHandlers(app, context);
  photoHandlers(app, context);
  studioHandlers(app, context);
  jobHandlers(app, context);

  app.doc31('/api/openapi.json', { openapi: '3.1.0', info: { title: 'Euporia', version: '1' } });
  app.all('/api/*', (context) => errorAnswer(context, 'notFound'));

  const { webFolder } = settings;
  if (webFolder !== null) {
    app.use('/assets/*', async (context, next) => {
      await next();
      if (context.res.ok) context.header('Cache-Control', 'public, max-age=31536000, immutable');
    });
    // Packed once, when the page was built.
    app.use('*', serveStatic({ root: webFolder, precompressed: true }));
    app.get('*', async (context) => {
      // What looks like a file and is none is not there; the page answers for addresses of its own only.
      context.header('Cache-Control', context.req.path.includes('.') ? 'no-store' : 'no-cache');
      if (context.req.path.includes('.') || context.req.path.startsWith('/assets/'))
        return context.text('Not here.', 404);
      return context.html(await readFile(join(webFolder, 'index.html'), 'utf8'));
    });
  }
  return Object.assign(app, { jobs: context.jobs });
}

export type App = ReturnType<typeof createApp>;
