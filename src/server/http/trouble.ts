import type { ErrorCode } from '@contract/errors';
import { BusyError } from '../usecases/turns';

/** Codes by which PostgreSQL, its driver or the network says that nobody answers, or not now. */
const gone = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'ENOENT',
  'EPIPE',
  'ETIMEDOUT',
  // Waited too long: for an answer, for a lock, for one another.
  '57014',
  '55P03',
  '40P01',
  '40001',
]);
/** Classes of codes: connections, resources, an operator's hand, the system beneath. */
const goneClasses = new Set(['08', '53', '57', '58', 'XX']);
const fullCodes = new Set(['53100', 'ENOSPC', '53200']);
/** The pool has no connection left to give: everybody is at work, and nobody is gone. */
const poolIsEmpty = /timeout exceeded when trying to connect/i;
const silent =
  /Connection terminated|Client has encountered a connection error|driver is not connected|connection timeout|Query read timeout|not queryable/i;

interface Known {
  code?: string;
  severity?: string;
}

/** The errors that an error stands for: its causes, and what the driver said. */
function* chain(error: unknown): Generator<Error & Known> {
  let at: unknown = error;
  for (let depth = 0; at instanceof Error && depth < 5; depth += 1) {
    yield at as Error & Known;
    if (at instanceof AggregateError) for (const one of at.errors) yield* chain(one);
    at = (at as { driverError?: unknown }).driverError ?? at.cause;
  }
}

/**
 * What an error of the database means to who asked: it is gone or slow and may be asked again, it is full, or what was
 * sent is something that it cannot keep. Null for anything else, which is then a fault of ours.
 */
export function troubleOf(error: unknown): ErrorCode | null {
  if (error instanceof BusyError) return 'server.busy';
  for (const { code = '', severity, message } of chain(error)) {
    if (fullCodes.has(code)) return 'database.full';
    // A fatal answer ends the connection itself: shutting down, starting up, not taking connections.
    if (severity === 'FATAL' || severity === 'PANIC' || gone.has(code)) return 'database.gone';
    if (code.length === 5 && goneClasses.has(code.slice(0, 2))) return 'database.gone';
    if (silent.test(message)) return 'database.gone';
    if (poolIsEmpty.test(message)) return 'server.busy';
    // Data exceptions: a number out of any range, a text that is none.
    if (/^22/.test(code)) return 'fields.refused';
  }
  return null;
}
