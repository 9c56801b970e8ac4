import { errorCodes } from '@contract/errors';
import type { HouseImportProgress } from '@contract/house';
import { localDate } from '@core/calendar/zonedTime';
import type { OpenAPIHono } from '@hono/zod-openapi';
import { stream } from 'hono/streaming';
import { houseTag } from '../persistence/projects';
import { houseText } from '../persistence/snapshots';
import { studioTimeZone } from '../persistence/studios';
import { findRisers, houseFile, housePanels, rankForSlot, searchPieces } from '../usecases/house';
import { importHouse, previewHouseImport } from '../usecases/importHouse';
import { errorAnswer } from './guard';
import { type HandlerContext, readingFor } from './handlerContext';
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
import { troubleOf } from './trouble';

/** The house: its rows, search and ranking, tables in and out. */
export function houseHandlers(app: OpenAPIHono, handling: HandlerContext): void {
  const { database, environment, actor, write, freshen, log } = handling;
  const reader = (device: string | undefined) => readingFor(handling, device);
  app.openapi(readHouse, async (context) => {
    const transaction = reader(context.req.header('x-device'));
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
    const transaction = reader(context.req.header('x-device'));
    return context.json(await searchPieces(transaction, query, { limit, offset }), 200);
  });

  app.openapi(slotFits, async (context) => {
    const { projectId, slotId } = context.req.valid('param');
    const transaction = reader(context.req.header('x-device'));
    const fits = await rankForSlot(transaction, projectId, slotId, context.req.valid('query'), environment.nowMs());
    return fits ? context.json(fits as never, 200) : (errorAnswer(context, 'notFound') as never);
  });

  app.openapi(listRisers, async (context) => {
    const transaction = reader(context.req.header('x-device'));
    return context.json(await findRisers(transaction, context.req.valid('query')), 200);
  });

  app.openapi(readPanels, async (context) => {
    const transaction = reader(context.req.header('x-device'));
    await freshen(transaction);
    return context.json(await housePanels(transaction, environment.nowMs()), 200);
  });

  app.openapi(previewHouse, async (context) => {
    const transaction = reader(context.req.header('x-device'));
    return context.json(await previewHouseImport(transaction, context.req.valid('json'), environment), 200);
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
        if (!trouble) log(`unexpected: ${(error as Error).stack ?? error}`);
        const { sentence } = errorCodes[trouble ?? 'unexpected'];
        await tell({ state: 'failed', sentence });
      }
    }) as never;
  });

  app.openapi(exportHouse, async (context) => {
    const { kind } = context.req.valid('param');
    const transaction = reader(context.req.header('x-device'));
    const today = localDate(environment.nowMs(), await studioTimeZone(transaction));
    const locale = { ...context.req.valid('query'), decimal: '.' as const, today };
    const csv = await houseFile(transaction, kind, locale);
    context.header('Content-Type', 'text/csv; charset=utf-8');
    context.header('Content-Disposition', `attachment; filename="${kind}.csv"`);
    return context.body(csv) as never;
  });
}
