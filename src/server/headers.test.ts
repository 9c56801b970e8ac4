import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { createApp } from './http/app';
import { freshStudio, HOST } from './test/studio';

/** What every answer says of itself, held against the secure headers that OWASP's project of that name recommends. */
const { own, studio } = await freshStudio();
const web = mkdtempSync(join(tmpdir(), 'euporia-web-'));
mkdirSync(join(web, 'assets'));
writeFileSync(join(web, 'index.html'), '<!doctype html><title>Euporia</title>');
writeFileSync(join(web, 'assets', 'app-1.js'), 'export {};');
afterAll(() => rmSync(web, { recursive: true, force: true }));

const appWith = (more: Partial<Parameters<typeof createApp>[0]> = {}) =>
  createApp({
    database: own.database,
    studioId: studio.studioId,
    allowedHosts: new Set([HOST]),
    webFolder: web,
    environment: { nowMs: () => 0, newId: () => crypto.randomUUID() },
    ...more,
  });
const open = appWith();
const closed = appWith({ signIn: { isSecure: true, trustsProxy: false }, onSetUp: () => undefined });
const ask = (app: typeof open, path: string, headers: Record<string, string> = {}, method = 'GET') =>
  app.request(`http://${HOST}${path}`, { method, headers: { host: HOST, ...headers } });

const answers: [string, () => Response | Promise<Response>][] = [
  ['the page', () => ask(open, '/')],
  ['a page’s own address', () => ask(open, '/projects/x/board')],
  ['a script', () => ask(open, '/assets/app-1.js')],
  ['a file that is not there', () => ask(open, '/assets/none.js')],
  ['an answer', () => ask(open, '/api/projects')],
  ['the document of the endpoints', () => ask(open, '/api/openapi.json')],
  ['no endpoint', () => ask(open, '/api/none')],
  ['a picture that is not there', () => ask(open, '/api/photos/7c0f3d0a-0000-4000-8000-000000000000/full')],
  ['a stranger’s question', () => ask(closed, '/api/projects')],
  ['another host', () => ask(open, '/api/projects', { host: 'elsewhere.test' })],
  ['another site', () => ask(open, '/api/projects', { origin: 'https://elsewhere.test' })],
  ['a write that is a form', () => ask(open, '/api/commands', { 'content-type': 'text/plain' }, 'POST')],
];

/** The parts of a policy by their names. */
function policyOf(response: Response): Map<string, string[]> {
  const text = response.headers.get('content-security-policy') ?? '';
  return new Map(
    text.split(';').map((part): [string, string[]] => {
      const [name = '', ...sources] = part.trim().split(/\s+/);
      return [name, sources];
    }),
  );
}

describe.each(answers)('%s', (_, answer) => {
  it('runs no script but our own, stands in no frame of others, and is what it says it is', async () => {
    const response = await answer();
    const policy = policyOf(response);
    const scripts = policy.get('script-src') ?? policy.get('default-src') ?? [];
    expect(scripts).toContain("'self'");
    for (const loose of ["'unsafe-inline'", "'unsafe-eval'", '*', 'data:', 'blob:', 'http:', 'https:'])
      expect(scripts).not.toContain(loose);
    expect(policy.get('default-src')).toEqual(["'self'"]);
    expect(policy.get('frame-ancestors')).toEqual(["'none'"]);
    expect(policy.get('object-src')).toEqual(["'none'"]);
    expect(policy.get('base-uri')).toEqual(["'none'"]);
    expect(policy.get('form-action')).toEqual(["'self'"]);
    const said = Object.fromEntries(response.headers);
    expect(said).toMatchObject({
      'x-content-type-options': 'nosniff',
      'x-frame-options': 'DENY',
      'referrer-policy': 'no-referrer',
      'cross-origin-opener-policy': 'same-origin',
      'cross-origin-resource-policy': 'same-origin',
    });
    expect(said['permissions-policy']).toMatch(/microphone=\(\), geolocation=\(\)/);
    // Nobody is told by what this is made, and no other site may read it.
    expect(said).not.toHaveProperty('x-powered-by');
    expect(said).not.toHaveProperty('server');
    expect(said).not.toHaveProperty('access-control-allow-origin');
  });
});

describe('what is kept by a browser', () => {
  it('is what never changes under its name; nothing private is kept by anything between', async () => {
    const kept = async (path: string) => (await ask(open, path)).headers.get('cache-control');
    expect(await kept('/assets/app-1.js')).toContain('immutable');
    expect(await kept('/assets/none.js')).toBe('no-store');
    for (const page of ['/', '/projects/x/board']) expect(await kept(page)).toBe('no-cache');
    for (const path of ['/api/health', '/api/none']) expect(await kept(path)).toBe('private, no-store');
    expect(await kept('/api/projects')).toMatch(/^(private, no-store|no-cache)$/);
  });
});
