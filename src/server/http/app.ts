import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { errorCodes } from '@contract/errors';
import type { HouseImportProgress } from '@contract/house';
import { problemsOfSchema } from '@core/acts/problems';
import { serveStatic } from '@hono/node-server/serve-static';
import { OpenAPIHono } from '@hono/zod-openapi';
import { compress } from 'hono/compress';
import { HTTPException } from 'hono/http-exception';
import { stream } from 'hono/streaming';
import type { Database } from '../persistence/database';
import { photoSize, readPhoto, storePhoto } from '../persistence/photoBytes';
import { reading, type StudioScope, studioScope, type Transaction } from '../persistence/scope';
import { houseTag, houseText, projectList, snapshotTag, snapshotText, staleSummary } from '../persistence/snapshots';
import { isAlive } from '../persistence/studios';
import { acceptPhoto } from '../usecases/acceptPhoto';
import { Refusal } from '../usecases/answer';
import { copyProject } from '../usecases/copyProject';
import type { Environment } from '../usecases/environment';
import { exportProject } from '../usecases/exportProject';
import { findRisers, houseFile, housePanels, rankForSlot, searchPieces } from '../usecases/house';
import { importHouse, previewHouseImport } from '../usecases/importHouse';
import { importProject } from '../usecases/importProject';
import { KnownProjects } from '../usecases/knownProjects';
import { runCommand } from '../usecases/runCommand';
import { SummaryJob } from '../usecases/summaryJob';
import { Turns } from '../usecases/turns';
import { bodies } from './bodies';
import { errorAnswer, guard, headers } from './guard';
import {
  exportHouse,
  importHouseRoute,
  listPieces,
  listRisers,
  previewHouse,
  readHouse,
  readPanels,
  slotFits,
} from './houseRoutes';
import {
  copyRoute,
  exportFile,
  getPhoto,
  health,
  importFile,
  listProjects,
  postCommand,
  putPhoto,
  readSnapshot,
} from './projectRoutes';
import { troubleOf } from './trouble';

export interface AppSettings {
  database: Database;
  studioId: string;
  allowedHosts: ReadonlySet<string>;
  /** Folder of the built page, or null when something else serves it. */
  webFolder: string | null;
  environment: Environment;
  /** How long the list of projects waits for stale summaries, in milliseconds; not at all unless said otherwise. */
  summaryPatienceMs?: number;
  log?: (line: string) => void;
}

/** How many writes are at work at once: the pool's other connections are for those who read. */
const WRITES_AT_ONCE = 6;

/**
 * The whole HTTP side over an open database. What it keeps beside the database is who waits for whom and
 * what it read last: several may work on one database.
 */
export function createApp(settings: AppSettings) {
  const { database, environment } = settings;
  const known = new KnownProjects();
  const summaries = new SummaryJob(database, environment, known, settings.log);
  const turns = new Turns(WRITES_AT_ONCE);
  /** Does a write in its turn; afterwards the summaries follow. */
  const write = async <T>(scope: StudioScope, place: string, work: () => Promise<T>): Promise<T> => {
    try {
      return await turns.take(place, work);
    } finally {
      summaries.want(scope);
    }
  };
  /** Has stale summaries brought up to date; a list says which it shows are stale still. */
  const patienceMs = settings.summaryPatienceMs ?? 0;
  const freshen = async (transaction: Transaction) => {
    if ((await staleSummary(transaction)) === null) return;
    if (patienceMs > 0) await summaries.settle(transaction.scope, patienceMs);
    else summaries.want(transaction.scope);
  };
  const app = new OpenAPIHono({
    defaultHook: (result, context) =>
      result.success
        ? undefined
        : errorAnswer(context, 'fields.refused', {
            fields: problemsOfSchema(result.error as never, (result as { data?: unknown }).data),
          }),
  });
  // The one place that says who acts. On loopback that is the local studio; sign-in will change only this.
  const actor = (device: string | undefined): StudioScope =>
    studioScope(settings.studioId, (device ?? 'unknown').slice(0, 80));

  app.use('*', headers());
  app.use('*', guard(settings.allowedHosts));
  app.use('/api/*', compress());
  app.use('/assets/*', compress());
  app.use('/api/*', bodies());

  app.onError((error, context) => {
    const trouble = troubleOf(error);
    if (trouble) return errorAnswer(context, trouble);
    if (error instanceof Refusal) return context.json(error.answer.body as never, error.answer.status as 409);
    if (error instanceof HTTPException && error.status === 400)
      return errorAnswer(context, 'request.malformed', {
        fields: [{ field: '(all)', value: null, accepted: 'well-formed JSON' }],
      });
    settings.log?.(`unexpected: ${error.stack ?? error.message}`);
    return errorAnswer(context, 'unexpected');
  });

  app.openapi(health, async (context) =>
    (await isAlive(database)) ? context.json({ ready: true }, 200) : (errorAnswer(context, 'database.gone') as never),
  );

  app.openapi(listProjects, async (context) => {
    const { limit, offset } = context.req.valid('query');
    const transaction = reading(database, actor(context.req.header('x-device')));
    await freshen(transaction);
    const projects = await projectList(transaction, limit, offset);
    return context.json({ studioId: settings.studioId, projects } as never, 200);
  });

  app.openapi(readSnapshot, async (context) => {
    const { projectId } = context.req.valid('param');
    const transaction = reading(database, actor(context.req.header('x-device')));
    const known = context.req.header('if-none-match')?.replace(/^W\//, '').replaceAll('"', '');
    if (known !== undefined && known === (await snapshotTag(transaction, projectId)))
      return context.body(null, 304) as never;
    const text = await snapshotText(transaction, projectId);
    if (!text) return errorAnswer(context, 'notFound') as never;
    context.header('ETag', `W/"${text.tag}"`);
    context.header('Cache-Control', 'no-cache');
    context.header('Content-Type', 'application/json; charset=utf-8');
    return context.body(text.body) as never;
  });

  app.openapi(exportFile, async (context) => {
    const { projectId } = context.req.valid('param');
    const file = await exportProject(reading(database, actor(context.req.header('x-device'))), projectId, environment);
    if (!file) return errorAnswer(context, 'notFound') as never;
    const name =
      file.project.name
        .replace(/[^\p{L}\p{N}]+/gu, '-')
        .replace(/^-|-$/g, '')
        .toLowerCase() || 'project';
    context.header('Content-Disposition', `attachment; filename*=UTF-8''${encodeURIComponent(name)}.project.json`);
    return context.json(file as never, 200);
  });

  app.openapi(importFile, async (context) => {
    const { mode, file, key } = context.req.valid('json');
    const scope = actor(context.req.header('x-device'));
    const answer = await write(scope, 'imports', () =>
      importProject(database, scope, file, mode, key ?? environment.newId(), environment),
    );
    return context.json(answer.body as never, answer.status as 200);
  });

  app.openapi(readHouse, async (context) => {
    const transaction = reading(database, actor(context.req.header('x-device')));
    const known = context.req.header('if-none-match')?.replace(/^W\//, '').replaceAll('"', '');
    if (known !== undefined && known === (await houseTag(transaction))) return context.body(null, 304) as never;
    const text = await houseText(transaction);
    context.header('ETag', `W/"${text.tag}"`);
    context.header('Cache-Control', 'no-cache');
    context.header('Content-Type', 'application/json; charset=utf-8');
    return context.body(text.body) as never;
  });

  app.openapi(listPieces, async (context) => {
    const { limit, offset, ...query } = context.req.valid('query');
    const transaction = reading(database, actor(context.req.header('x-device')));
    return context.json((await searchPieces(transaction, query, { limit, offset })) as never, 200);
  });

  app.openapi(slotFits, async (context) => {
    const { projectId, slotId } = context.req.valid('param');
    const transaction = reading(database, actor(context.req.header('x-device')));
    const fits = await rankForSlot(transaction, projectId, slotId, context.req.valid('query'), environment.nowMs());
    return fits ? context.json(fits as never, 200) : (errorAnswer(context, 'notFound') as never);
  });

  app.openapi(listRisers, async (context) => {
    const transaction = reading(database, actor(context.req.header('x-device')));
    return context.json((await findRisers(transaction, context.req.valid('query'))) as never, 200);
  });

  app.openapi(readPanels, async (context) => {
    const transaction = reading(database, actor(context.req.header('x-device')));
    await freshen(transaction);
    return context.json((await housePanels(transaction, environment.nowMs())) as never, 200);
  });

  app.openapi(previewHouse, async (context) => {
    const transaction = reading(database, actor(context.req.header('x-device')));
    return context.json((await previewHouseImport(transaction, context.req.valid('json'), environment)) as never, 200);
  });

  app.openapi(importHouseRoute, async (context) => {
    const request = context.req.valid('json');
    const scope = actor(context.req.header('x-device'));
    context.header('Content-Type', 'application/x-ndjson; charset=utf-8');
    // Compressing would hold the lines back until the end.
    context.header('Content-Encoding', 'identity');
    return stream(context, async (out) => {
      const tell = async (progress: HouseImportProgress) => {
        await out.write(`${JSON.stringify(progress)}\n`);
      };
      try {
        await write(scope, 'imports', () =>
          importHouse(database, scope, request, environment, tell, () => out.aborted),
        );
      } catch (error) {
        const trouble = troubleOf(error);
        if (!trouble) settings.log?.(`unexpected: ${(error as Error).stack ?? error}`);
        const { sentence } = errorCodes[trouble ?? 'unexpected'];
        await tell({ state: 'failed', sentence });
      }
    }) as never;
  });

  app.openapi(exportHouse, async (context) => {
    const { kind } = context.req.valid('param');
    const transaction = reading(database, actor(context.req.header('x-device')));
    const today = new Date(environment.nowMs()).toISOString().slice(0, 10);
    const locale = { ...context.req.valid('query'), decimal: '.' as const, today };
    const csv = await houseFile(transaction, kind, locale);
    context.header('Content-Type', 'text/csv; charset=utf-8');
    context.header('Content-Disposition', `attachment; filename="${kind}.csv"`);
    return context.body(csv) as never;
  });

  app.openapi(copyRoute, async (context) => {
    const { projectId } = context.req.valid('param');
    const request = context.req.valid('json');
    const scope = actor(context.req.header('x-device'));
    const answer = await write(scope, projectId, () => copyProject(database, scope, projectId, request, environment));
    return context.json(answer.body as never, answer.status as 200);
  });

  app.openapi(putPhoto, async (context) => {
    const { photoId } = context.req.valid('param');
    const { name } = context.req.valid('query');
    const transaction = reading(database, actor(context.req.header('x-device')));
    const known = await photoSize(transaction, photoId);
    if (known) return context.json(known, 200);
    const accepted = await acceptPhoto(name, Buffer.from(await context.req.arrayBuffer()));
    if (!accepted.ok) return errorAnswer(context, 'fields.refused', { fields: [accepted.error] }) as never;
    await storePhoto(transaction, photoId, accepted.photo);
    const { widthPx, heightPx, content } = accepted.photo;
    return context.json({ widthPx, heightPx, sizeBytes: content.length }, 200);
  });

  app.openapi(getPhoto, async (context) => {
    const { photoId, size } = context.req.valid('param');
    const photo = await readPhoto(reading(database, actor(context.req.header('x-device'))), photoId, size);
    if (!photo) return errorAnswer(context, 'notFound') as never;
    context.header('Content-Type', photo.mime);
    context.header('Cache-Control', 'private, max-age=31536000, immutable');
    context.header('Cross-Origin-Resource-Policy', 'same-origin');
    return context.body(new Uint8Array(photo.content)) as never;
  });

  app.openapi(postCommand, async (context) => {
    const command = context.req.valid('json');
    const scope = actor(context.req.header('x-device'));
    const answer = await write(scope, command.projectId, () =>
      runCommand(database, scope, command, environment, known),
    );
    return context.json(answer.body as never, answer.status as 200);
  });

  app.doc31('/api/openapi.json', { openapi: '3.1.0', info: { title: 'Euporia', version: '1' } });
  app.all('/api/*', (context) => errorAnswer(context, 'notFound'));

  const { webFolder } = settings;
  if (webFolder !== null) {
    app.use('/assets/*', async (context, next) => {
      await next();
      if (context.res.ok) context.header('Cache-Control', 'public, max-age=31536000, immutable');
    });
    app.use('*', serveStatic({ root: webFolder }));
    app.get('*', async (context) => {
      // What looks like a file and is none is not there; the page answers for addresses of its own only.
      context.header('Cache-Control', context.req.path.includes('.') ? 'no-store' : 'no-cache');
      if (context.req.path.includes('.') || context.req.path.startsWith('/assets/'))
        return context.text('Not here.', 404);
      return context.html(await readFile(join(webFolder, 'index.html'), 'utf8'));
    });
  }
  return app;
}

export type App = ReturnType<typeof createApp>;
