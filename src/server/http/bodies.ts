import { HOUSE_FILE_LIMIT } from '@contract/house';
import { PROJECT_FILE_LIMIT } from '@core/formats/project/projectFile';
import { isKeepable } from '@core/model/fields';
import type { MiddlewareHandler } from 'hono';
import { bodyLimit } from 'hono/body-limit';
import { errorAnswer } from './guard';

const MEGABYTE = 1024 * 1024;
/** The most that a request may be, by the beginning of its path; the first that fits counts. */
const limits: readonly (readonly [string, number])[] = [
  ['/api/jobs', PROJECT_FILE_LIMIT + 1024],
  ['/api/house/import', HOUSE_FILE_LIMIT * 2],
  ['/api/photos/', 10 * MEGABYTE],
  ['/api/studios/file', 4096 * MEGABYTE],
  ['/api/', 2 * MEGABYTE],
];
const limiters = limits.map(
  ([path, maxSize]) =>
    [path, bodyLimit({ maxSize, onError: (context) => errorAnswer(context, 'request.tooLarge') })] as const,
);

/** How deep a body may be nested; a recipe, the deepest of what there is, goes nine deep. */
const DEEPEST = 40;
/** Parts of a body looked at before others get their turn. */
const AT_ONCE = 200_000;

/** What is wrong with a body that no schema would say: too deep, or with a text that nothing can keep. */
async function flawOf(body: unknown): Promise<{ field: string; accepted: string } | null> {
  const waiting: { value: unknown; path: string; depth: number }[] = [{ value: body, path: '', depth: 0 }];
  let seen = 0;
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    const { value, path, depth } = next;
    seen += 1;
    if (seen % AT_ONCE === 0) await new Promise(setImmediate);
    if (typeof value === 'string' && !isKeepable(value))
      return { field: path, accepted: 'text without characters that nothing can show' };
    if (value === null || typeof value !== 'object') continue;
    if (depth >= DEEPEST) return { field: path.slice(0, 200), accepted: `values at most ${DEEPEST} deep` };
    for (const [key, entry] of Object.entries(value)) {
      if (!isKeepable(key)) return { field: path, accepted: 'names without characters that nothing can show' };
      waiting.push({ value: entry, path: path === '' ? key : `${path}.${key}`, depth: depth + 1 });
    }
  }
  return null;
}

/** Size by route, then one look at all of what was sent, address line included, before any route sees it. */
export function bodies(): MiddlewareHandler {
  return async (context, next) => {
    const { path, method } = context.req;
    const limiter = limiters.find(([beginning]) => path.startsWith(beginning))?.[1];
    const said = Object.entries(context.req.query()).find(([key, value]) => !isKeepable(key) || !isKeepable(value));
    if (said)
      return errorAnswer(context, 'fields.refused', {
        fields: [
          { field: said[0].slice(0, 60), value: null, accepted: 'text without characters that nothing can show' },
        ],
      });
    if (!limiter || method === 'GET' || method === 'HEAD') return next();
    const look = async () => {
      if (!(context.req.header('content-type') ?? '').startsWith('application/json')) return next();
      let body: unknown;
      try {
        body = await context.req.json();
      } catch {
        return errorAnswer(context, 'request.malformed', {
          fields: [{ field: '(all)', value: null, accepted: 'well-formed JSON' }],
        });
      }
      const flaw = await flawOf(body);
      return flaw ? errorAnswer(context, 'fields.refused', { fields: [{ ...flaw, value: null }] }) : next();
    };
    return (await limiter(context, look as never)) ?? context.res;
  };
}
