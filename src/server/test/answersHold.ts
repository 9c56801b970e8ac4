import { addresses, type EndpointName } from '@contract/addresses';
import { refusedAnswer } from '@contract/answers';
import { type Endpoint, endpoints } from '@contract/endpoints';

/** Every endpoint with the addresses that it answers. */
const known = Object.entries(addresses).map(([name, { method, path }]) => ({
  endpoint: endpoints[name as EndpointName] as Endpoint,
  method: method.toUpperCase(),
  address: new RegExp(`^${path.replace(/\{[^}]+\}/g, '[^/]+')}$`),
}));

/** Addresses beside the endpoints: the document about them. */
const beside = new Set(['/api/openapi.json']);

/** How many answers were held against their schemas so far. */
export const held = { count: 0 };

/** What of an answer to hold against which form; nothing where it is no JSON. */
function promises(endpoint: Endpoint | undefined, status: number, text: string): [Endpoint['answer'], string][] {
  if (status >= 400) return [[refusedAnswer, text]];
  if (status !== 200 || !endpoint) return [];
  return endpoint.answer ? [[endpoint.answer, text]] : [];
}

/**
 * Holds an answer against the form that its endpoint promises, as the page relies on it; refusals against theirs.
 * @throws Error naming the endpoint, when the answer is not what is promised, and for an address that is none
 */
export function holdAnswer(method: string, path: string, status: number, text: string): void {
  const address = path.split('?')[0] ?? path;
  if (!address.startsWith('/api/') || beside.has(address)) return;
  const found = known.find((one) => one.method === method && one.address.test(address));
  if (!found && status < 400) throw new Error(`${method} ${address} is answered and no endpoint`);
  for (const [form, part] of promises(found?.endpoint, status, text)) {
    const read = form?.safeParse(JSON.parse(part));
    held.count += 1;
    if (read && !read.success)
      throw new Error(`${method} ${address} answers ${status} with what it does not promise: ${read.error.message}`);
  }
}
