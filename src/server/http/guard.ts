import type { RefusedAnswer } from '@contract/answers';
import { type ErrorCode, errorCodes } from '@contract/errors';
import type { Context, MiddlewareHandler } from 'hono';

/** After how many seconds it makes sense to ask again. */
const RETRY_SECONDS = '2';

/** An error answer of the closed set. */
export function errorAnswer(context: Context, code: ErrorCode, more: Partial<RefusedAnswer> = {}) {
  const { status, sentence } = errorCodes[code];
  if (status === 503) context.header('Retry-After', RETRY_SECONDS);
  return context.json({ sentence, ...more, code }, status);
}

/** What every answer says of itself, a refusal too. */
export function headers(): MiddlewareHandler {
  return async (context, next) => {
    context.header('X-Content-Type-Options', 'nosniff');
    context.header('Referrer-Policy', 'no-referrer');
    context.header('X-Frame-Options', 'DENY');
    context.header('Cross-Origin-Resource-Policy', 'same-origin');
    context.header('Cross-Origin-Opener-Policy', 'same-origin');
    context.header('Permissions-Policy', 'camera=(self), microphone=(), geolocation=(), payment=(), usb=()');
    context.header(
      'Content-Security-Policy',
      "default-src 'self'; script-src 'self' 'wasm-unsafe-eval'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; font-src 'self' data:; worker-src 'self' blob:; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'",
    );
    await next();
    // Nothing between keeps what is private; what has no name that changes with it is asked for anew.
    if (!context.res.headers.has('Cache-Control'))
      context.header('Cache-Control', context.req.path.startsWith('/api/') ? 'private, no-store' : 'no-cache');
  };
}

/** Says by which clock timers run: the server's, epoch milliseconds. */
export function clock(nowMs: () => number): MiddlewareHandler {
  return async (context, next) => {
    await next();
    context.header('x-now', String(nowMs()));
  };
}

/**
 * Refuses what does not come from our own page: the Host must be one of ours (against DNS rebinding), a write must be JSON and must not come
 * from another origin, and no other site's page reads what is kept here. Pictures come as they are, with PUT: a form
 * cannot send that.
 * @param allowedHosts `name:port` under which the server is reached
 */
export function guard(allowedHosts: ReadonlySet<string>): MiddlewareHandler {
  return async (context, next) => {
    const host = context.req.header('host')?.toLowerCase() ?? '';
    if (!allowedHosts.has(host)) return errorAnswer(context, 'request.foreign');
    const { method, path } = context.req;
    const reads = method === 'GET' || method === 'HEAD';
    // A link from elsewhere may open the page; what the page reads and writes, only it asks for.
    if (!reads || path.startsWith('/api/')) {
      const site = context.req.header('sec-fetch-site');
      if (site !== undefined && site !== 'same-origin' && site !== 'none')
        return errorAnswer(context, 'request.foreign');
      const origin = context.req.header('origin');
      if (origin !== undefined && !isOurs(origin, allowedHosts)) return errorAnswer(context, 'request.foreign');
    }
    if (!reads) {
      const type = (context.req.header('content-type') ?? '').split(';')[0]?.trim().toLowerCase();
      const picture = method === 'PUT' && path.startsWith('/api/photos/') && type?.startsWith('image/');
      const archive = method === 'PUT' && path === '/api/studios/file' && type === 'application/zip';
      if (type !== 'application/json' && !picture && !archive) return errorAnswer(context, 'request.contentType');
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
