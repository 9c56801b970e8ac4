import type { Role } from '@contract/permissions';
import type { EntityManager } from 'typeorm';
import type { Database } from './database';

declare const brand: unique symbol;

/** Whose rows may be touched: made in one place from the actor, asked for by every function of persistence. */
export interface StudioScope {
  readonly [brand]: 'StudioScope';
  readonly studioId: string;
  readonly device: string;
  /** What whoever acts may do here; null where nobody is asked who they are. */
  readonly role: Role | null;
}

/** The scope of a studio; only the resolver of actors calls this, and what opens a link. */
export function studioScope(studioId: string, device: string, role: Role | null = null): StudioScope {
  return { studioId, device, role } as StudioScope;
}

/** One transaction with the scope it serves. */
export interface Transaction {
  readonly scope: StudioScope;
  readonly manager: EntityManager;
}

/** Two transactions that waited for each other: one was ended by the database, and simply goes again. */
const waitedForEachOther = (error: unknown) =>
  ['40P01', '40001'].includes((error as { driverError?: { code?: string } }).driverError?.code ?? '');
const MOST_TRIES = 4;

/** Runs work in one transaction; a throw rolls everything back. */
export async function inTransaction<T>(
  database: Database,
  scope: StudioScope,
  work: (transaction: Transaction) => Promise<T>,
): Promise<T> {
  for (let tries = 1; ; tries += 1) {
    try {
      return await database.source.transaction((manager) => work({ scope, manager }));
    } catch (error) {
      if (!waitedForEachOther(error) || tries >= MOST_TRIES) throw error;
    }
  }
}

/** Runs work outside a transaction, for reading. */
export function reading(database: Database, scope: StudioScope): Transaction {
  return { scope, manager: database.source.manager };
}
