import { type ErrorCode, errorCodes } from '@contract/errors';
import type { Context, MiddlewareHandler } from 'hono';

/** An error answer of the closed set. */
export function errorAnswer(context: Context, code: ErrorCode, more: Record<string, unknown> = {}) {
  const { status, sentence } = errorCodes[code];
  return context.json({ code, sentence, ...more }, status);
}

/**
 * Keeps strangers out: the Host must be one of ours (against DNS rebinding), a write must be JSON and must not come
 * from another origin. Pictures come as they are, with PUT: a form cannot send that.
 * @param allowedHosts `name:port` under which the server is reached
 */
export function guard(allowedHosts: ReadonlySet<string>): MiddlewareHandler {
  return async (context, next) => {
    const host = context.req.header('host')?.toLowerCase() ?? '';
    if (!allowedHosts.has(host)) return errorAnswer(context, 'request.stranger');
    const method = context.req.method;
    if (method !== 'GET' && method !== 'HEAD') {
      const origin = context.req.header('origin');
      if (origin !== undefined && !isOurs(origin, allowedHosts)) return errorAnswer(context, 'request.stranger');
      const site = context.req.header('sec-fetch-site');
      if (site !== undefined && site !== 'same-origin' && site !== 'none')
        return errorAnswer(context, 'request.stranger');
      const type = (context.req.header('content-type') ?? '').split(';')[0]?.trim().toLowerCase();
      const picture = method === 'PUT' && context.req.path.startsWith('/api/photos/') && type?.startsWith('image/');
      if (type !== 'application/json' && !picture) return errorAnswer(context, 'request.contentType');
    }
    return next();
  };
}

function isOurs(origin: string, allowedHosts: ReadonlySet<string>): boolean {
  try {
    const url = new URL(origin);
    return allowedHosts.has(url.host.toLowerCase());
  } catch {
    return false;
  }
}
