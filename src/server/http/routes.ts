import { addresses, type EndpointName } from '@contract/addresses';
import { refusedAnswer } from '@contract/answers';
import { type AnswerOf, type Endpoint, endpoints, type ReadRequest } from '@contract/endpoints';
import { errorCodes } from '@contract/errors';
import { createRoute, type OpenAPIHono, type RouteConfig } from '@hono/zod-openapi';
import type { Context, Env, MiddlewareHandler } from 'hono';
import type { Asker, Identity } from '../usecases/identity';
import { errorAnswer } from './guard';

const json = (schema: NonNullable<Endpoint['answer']>, description: string) => ({
  description,
  content: { 'application/json': { schema } },
});

/** Refusals that any route may answer with, by their status: the closed set of codes. */
const refusals = Object.fromEntries(
  Object.values(errorCodes).map(({ status, sentence }) => [status, json(refusedAnswer, sentence)]),
);

/** Lets nobody ask at an endpoint who may not, before anything that they sent is looked at. */
const gate =
  (name: EndpointName): MiddlewareHandler<Found> =>
  async (context, next) => {
    const refusal = context.get('identity').refusalFor(context.get('asker'), name);
    return refusal === null ? next() : errorAnswer(context, refusal);
  };

/** An endpoint as the router and the OpenAPI document want it. */
function routeOf(name: EndpointName): RouteConfig {
  const { says, places, query, body, picture, archive, answer, unchanged }: Endpoint = endpoints[name];
  const content = body
    ? { 'application/json': { schema: body } }
    : picture
      ? { 'image/*': { schema: { type: 'string' as const, format: 'binary' } } }
      : archive
        ? { 'application/zip': { schema: { type: 'string' as const, format: 'binary' } } }
        : null;
  return {
    ...addresses[name],
    middleware: [gate(name)],
    request: {
      ...(places ? { params: places } : {}),
      ...(query ? { query } : {}),
      ...(content ? { body: { content, required: body !== undefined } } : {}),
    },
    responses: {
      200: answer ? json(answer, says) : { description: says },
      ...(unchanged ? { 304: { description: 'Unchanged' } } : {}),
      ...refusals,
    },
  };
}

/** Who sent a request: its device, and the studio that its page was opened in where that is one of ours. */
export interface Sender {
  device: string | undefined;
  studioId: string | undefined;
  asker: Asker;
}

/** What the middlewares found out about a request. */
export interface Found extends Env {
  Variables: { studioId?: string; asker: Asker; identity: Identity };
}

/** A request of which the parts were read by schemas before. */
type ReadContext = Context<Found, string, { out: { param: unknown; query: unknown; json: unknown } }>;

/** One request as a handler sees it: what was sent, read by the schemas, and who sent it. */
export type Asked<N extends EndpointName> = ReadRequest<N> & {
  sender: Sender;
  /** For headers, and for what is no JSON. */
  context: Context;
};

/**
 * Serves an endpoint: what is sent is read by its schemas, what the handler gives is sent as JSON. Whoever refuses throws
 * a refusal; what is no JSON is given as a whole response.
 */
export function serve<N extends EndpointName>(
  app: OpenAPIHono<Found>,
  name: N,
  handle: (asked: Asked<N>) => Promise<AnswerOf<N> | Response>,
): void {
  const { places, query, body }: Endpoint = endpoints[name];
  app.openapi(createRoute(routeOf(name)), async (context: ReadContext) => {
    // The schemas of this very endpoint have read these parts: so they are what it says that they are.
    const asked = {
      sender: {
        device: context.req.header('x-device'),
        studioId: context.get('studioId'),
        asker: context.get('asker'),
      },
      context,
      ...(places ? { places: context.req.valid('param') } : {}),
      ...(query ? { query: context.req.valid('query') } : {}),
      ...(body ? { body: context.req.valid('json') } : {}),
    } as Asked<N>;
    const answer = await handle(asked);
    return answer instanceof Response ? answer : context.json(answer as object, 200);
  });
}

/** The state of what is asked for, as an earlier answer said it; undefined where the page has none. */
export const knownState = (context: Context): string | undefined =>
  context.req.header('if-none-match')?.replace(/^W\//, '').replaceAll('"', '');

/** Whether whoever asks takes an answer packed with gzip. */
export const acceptsPacked = (context: Context): boolean =>
  /\bgzip\b/.test(context.req.header('accept-encoding') ?? '');

/** JSON that is packed already, with the state that it is of. */
export function statePacked(context: Context, { bytes, tag }: { bytes: Buffer<ArrayBuffer>; tag: string }): Response {
  const answer = stateText(context, { body: '', tag });
  answer.headers.set('Content-Encoding', 'gzip');
  answer.headers.set('Vary', 'Accept-Encoding');
  return new Response(bytes, answer);
}

/** JSON text as it came from the database, with the state that it is of. */
export function stateText(context: Context, { body, tag }: { body: string; tag: string }): Response {
  context.header('ETag', `W/"${tag}"`);
  context.header('Cache-Control', 'no-cache');
  context.header('Content-Type', 'application/json; charset=utf-8');
  return context.body(body);
}
