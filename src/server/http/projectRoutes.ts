import { doneAnswer, importedAnswer, photoAnswer, projectListAnswer, refusedAnswer } from '@contract/answers';
import { commandSchema } from '@contract/command';
import { PROJECT_FILE_LIMIT } from '@core/formats/project/projectFile';
import { id } from '@core/model/fields';
import { createRoute, z } from '@hono/zod-openapi';

/** An answer as JSON by its schema. */
export const json = <S extends z.ZodType>(schema: S, description: string) => ({
  description,
  content: { 'application/json': { schema } },
});
/** Refusals that any route may answer with. */
export const refusals = {
  403: json(refusedAnswer, 'A request from elsewhere'),
  404: json(refusedAnswer, 'Not here'),
  409: json(refusedAnswer, 'Changed meanwhile; both versions'),
  422: json(refusedAnswer, 'Refused: field, value, accepted'),
  503: json(refusedAnswer, 'The database does not answer'),
} as const;

const projectId = z.object({ projectId: z.uuid({ error: 'the id of a project' }) });

export const health = createRoute({
  method: 'get',
  path: '/api/health',
  responses: { 200: json(z.object({ ready: z.boolean() }), 'All is ready'), 503: refusals[503] },
});

export const listProjects = createRoute({
  method: 'get',
  path: '/api/projects',
  request: {
    query: z.object({
      limit: z.coerce.number().int().min(1).max(200).default(50),
      offset: z.coerce.number().int().min(0).default(0),
    }),
  },
  responses: { 200: json(projectListAnswer, 'A page of projects, last touched first'), 503: refusals[503] },
});

export const readSnapshot = createRoute({
  method: 'get',
  path: '/api/projects/{projectId}/snapshot',
  request: { params: projectId },
  responses: {
    200: json(z.record(z.string(), z.unknown()), 'All rows of the project; ETag is its revision'),
    304: { description: 'Unchanged' },
    ...refusals,
  },
});

export const exportFile = createRoute({
  method: 'get',
  path: '/api/projects/{projectId}/file',
  request: { params: projectId },
  responses: { 200: json(z.record(z.string(), z.unknown()), 'The project file'), ...refusals },
});

export const importFile = createRoute({
  method: 'post',
  path: '/api/projects/import',
  request: {
    body: {
      content: {
        'application/json': {
          schema: z.object({
            /** One key for one intent: sent again, it is not done again. */
            key: id.optional(),
            mode: z.enum(['copy', 'update']),
            file: z.unknown(),
          }),
        },
      },
      required: true,
      description: `At most ${PROJECT_FILE_LIMIT} bytes`,
    },
  },
  responses: { 200: json(importedAnswer, 'Imported, whole'), ...refusals },
});

export const copyRoute = createRoute({
  method: 'post',
  path: '/api/projects/{projectId}/copy',
  request: {
    params: projectId,
    body: {
      content: {
        'application/json': {
          schema: z.strictObject({
            id: z.uuid({ error: 'an id made by the device (UUID)' }),
            kind: z.enum(['duplicate', 'nextSeason'], { error: 'duplicate or nextSeason' }),
            name: z
              .string({ error: 'text of 1 to 120 characters' })
              .trim()
              .min(1, 'text of 1 to 120 characters')
              .max(120, 'text of 1 to 120 characters'),
          }),
        },
      },
      required: true,
    },
  },
  responses: { 200: json(importedAnswer, 'Copied'), ...refusals },
});

const photoId = z.object({ photoId: z.uuid({ error: 'an id made by the device (UUID)' }) });

export const putPhoto = createRoute({
  method: 'put',
  path: '/api/photos/{photoId}',
  request: {
    params: photoId,
    query: z.object({ name: z.string().max(200, 'text of at most 200 characters').default('') }),
    body: { content: { 'image/*': { schema: z.any() } }, description: 'The picture as it is, at most 10 MB' },
  },
  responses: {
    200: json(photoAnswer, 'Kept upright, without tags, with a thumbnail'),
    413: json(refusedAnswer, 'Too large'),
    ...refusals,
  },
});

export const getPhoto = createRoute({
  method: 'get',
  path: '/api/photos/{photoId}/{size}',
  request: {
    params: z.object({
      photoId: photoId.shape.photoId,
      size: z.enum(['full', 'thumbnail'], { error: 'full or thumbnail' }),
    }),
  },
  responses: { 200: { description: 'The picture; it never changes' }, ...refusals },
});

export const postCommand = createRoute({
  method: 'post',
  path: '/api/commands',
  request: { body: { content: { 'application/json': { schema: commandSchema } }, required: true } },
  responses: { 200: json(doneAnswer, 'Done; rows as they are now'), ...refusals },
});
