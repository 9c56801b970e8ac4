import { hiddenTables } from '@contract/permissions';
import { localDate } from '@core/calendar/zonedTime';
import type { OpenAPIHono } from '@hono/zod-openapi';
import { houseTag } from '../persistence/projects';
import { houseText, withoutTables } from '../persistence/snapshots';
import { studioTimeZone } from '../persistence/studios';
import { Refusal, refused } from '../usecases/answer';
import { findRisers, houseFile, housePanels, rankForSlot, searchPieces } from '../usecases/house';
import { previewHouseImport } from '../usecases/importHouse';
import { type HandlerContext, readingFor } from './handlerContext';
import { type Found, knownState, serve, stateText } from './routes';

/** The house: its rows, search and ranking, tables in and out. */
export function houseHandlers(app: OpenAPIHono<Found>, handling: HandlerContext): void {
  const { environment, freshen, known } = handling;
  serve(app, 'readHouse', async ({ sender, context }) => {
    const transaction = readingFor(handling, sender);
    const state = knownState(context);
    if (state !== undefined && state === (await houseTag(transaction))) return context.body(null, 304);
    return stateText(context, withoutTables(await houseText(transaction), hiddenTables(transaction.scope.role)));
  });

  serve(app, 'listPieces', async ({ query: { limit, offset, ...query }, sender }) =>
    searchPieces(readingFor(handling, sender), query, { limit, offset }),
  );

  serve(app, 'rankForSlot', async ({ places: { projectId, slotId }, query, sender }) => {
    const transaction = readingFor(handling, sender);
    const fits = await rankForSlot(transaction, known.pieces, projectId, slotId, query, environment.nowMs());
    if (!fits) throw new Refusal(refused('notFound'));
    return fits;
  });

  serve(app, 'listRisers', async ({ query, sender }) => findRisers(readingFor(handling, sender), query));

  serve(app, 'readPanels', async ({ sender }) => {
    const transaction = readingFor(handling, sender);
    await freshen(transaction);
    return housePanels(transaction, environment.nowMs());
  });

  serve(app, 'previewHouseImport', async ({ body, sender }) =>
    previewHouseImport(readingFor(handling, sender), body, environment),
  );

  serve(app, 'exportHouse', async ({ places: { kind }, query, sender, context }) => {
    const transaction = readingFor(handling, sender);
    const today = localDate(environment.nowMs(), await studioTimeZone(transaction));
    const csv = await houseFile(transaction, kind, { ...query, decimal: '.', today });
    context.header('Content-Type', 'text/csv; charset=utf-8');
    context.header('Content-Disposition', `attachment; filename="${kind}.csv"`);
    return context.body(csv);
  });
}
