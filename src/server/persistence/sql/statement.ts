import type { EntityManager } from 'typeorm';

/**
 * Runs one statement by hand and gives its rows. Everything that can be said through entities is; what stands in this
 * folder cannot, and each file tells why.
 */
export function statement<R>(
  { manager }: { readonly manager: EntityManager },
  sql: string,
  values: readonly unknown[] = [],
): Promise<R[]> {
  return manager.query(sql, [...values]);
}
