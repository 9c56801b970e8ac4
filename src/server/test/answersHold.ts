import type { z } from 'zod';
import * as houseRoutes from '../http/houseRoutes';
import * as projectRoutes from '../http/projectRoutes';

interface Route {
  method: string;
  path: string;
  responses: Record<string, { content?: Record<string, { schema?: z.ZodType }> }>;
}

const isRoute = (value: unknown): value is Route =>
  typeof value === 'object' && value !== null && 'method' in value && 'path' in value && 'responses' in value;

/** Every route with the addresses that it answers. */
const exported: unknown[] = [...Object.values(projectRoutes), ...Object.values(houseRoutes)];
const routes = exported.filter(isRoute).map((route) => ({
  method: route.method.toUpperCase(),
  address: new RegExp(`^${route.path.replace(/\{[^}]+\}/g, '[^/]+')}$`),
  responses: route.responses,
}));

/** How many answers were held against their schemas so far. */
export const held = { count: 0 };

/**
 * Holds an answer against the schema that its route promises, as the page relies on it.
 * @throws Error naming the route, when the answer is not what is promised
 */
export function holdAnswer(method: string, path: string, status: number, json: unknown): void {
  const address = path.split('?')[0] ?? path;
  const route = routes.find((one) => one.method === method && one.address.test(address));
  const schema = route?.responses[String(status)]?.content?.['application/json']?.schema;
  if (!schema || json === null) return;
  const read = schema.safeParse(json);
  held.count += 1;
  if (!read.success)
    throw new Error(`${method} ${address} answers ${status} with what it does not promise: ${read.error.message}`);
}
