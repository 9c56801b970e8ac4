import {
  fitAnswer,
  houseImportSchema,
  housePanelsAnswer,
  housePreviewAnswer,
  pageSchema,
  piecePageAnswer,
  pieceQuerySchema,
  riserAnswer,
  riserQuerySchema,
} from '@contract/house';
import { houseTables } from '@core/formats/house/planImport';
import { createRoute, z } from '@hono/zod-openapi';
import { json, refusals } from './projectRoutes';

export const readHouse = createRoute({
  method: 'get',
  path: '/api/house',
  responses: {
    200: json(z.record(z.string(), z.unknown()), 'The studio’s shared rows; ETag is their revision'),
    304: { description: 'Unchanged' },
    503: refusals[503],
  },
});

export const listPieces = createRoute({
  method: 'get',
  path: '/api/house/pieces',
  request: { query: pieceQuerySchema.extend(pageSchema.shape) },
  responses: { 200: json(piecePageAnswer, 'A page of the stash'), ...refusals },
});

export const slotFits = createRoute({
  method: 'get',
  path: '/api/projects/{projectId}/slots/{slotId}/fits',
  request: {
    params: z.object({
      projectId: z.uuid({ error: 'the id of a project' }),
      slotId: z.uuid({ error: 'the id of a slot' }),
    }),
    query: pageSchema,
  },
  responses: { 200: json(fitAnswer, 'The stash ranked for a slot, with reasons'), ...refusals },
});

export const listRisers = createRoute({
  method: 'get',
  path: '/api/house/risers',
  request: { query: riserQuerySchema },
  responses: { 200: json(riserAnswer, 'Owned risers that make up a height'), ...refusals },
});

export const readPanels = createRoute({
  method: 'get',
  path: '/api/house/panels',
  responses: { 200: json(housePanelsAnswer, 'What there is, what sleeps, what goes back'), ...refusals },
});

const houseFile = { body: { content: { 'application/json': { schema: houseImportSchema } }, required: true } };

export const previewHouse = createRoute({
  method: 'post',
  path: '/api/house/import/preview',
  request: houseFile,
  responses: { 200: json(housePreviewAnswer, 'What the file would do, line by line; nothing is written'), ...refusals },
});

export const importHouseRoute = createRoute({
  method: 'post',
  path: '/api/house/import',
  request: houseFile,
  responses: { 200: { description: 'Progress, one JSON object a line; the last says how it ended' }, ...refusals },
});

export const exportHouse = createRoute({
  method: 'get',
  path: '/api/house/file/{kind}',
  request: {
    params: z.object({ kind: z.enum(houseTables, { error: `one of ${houseTables.join(', ')}` }) }),
    query: houseImportSchema.pick({ units: true, currency: true }),
  },
  responses: { 200: { description: 'The table as CSV' }, ...refusals },
});
