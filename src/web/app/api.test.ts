import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';

const asInBrowser = () => {
  vi.stubGlobal('sessionStorage', { getItem: () => null, setItem: () => undefined });
  vi.stubGlobal('localStorage', { getItem: () => 'device', setItem: () => undefined });
};
asInBrowser();
const { api } = await import('./api');

const command = { key: 'k', projectId: 'p', kind: 'clearChoice', payload: {}, expect: {} };
beforeEach(asInBrowser);
afterEach(() => vi.unstubAllGlobals());

describe('an answer', () => {
  it.each<[string, () => Promise<Response>]>([
    ['that is cut off in its body', async () => new Response('{"actId":"a","ro', { status: 200 })],
    ['that never comes', async () => Promise.reject(new TypeError('failed to fetch'))],
    ['of something between', async () => new Response('<html>busy</html>', { status: 502 })],
    ['that asks to come again', async () => Response.json({ code: 'database.full', sentence: 'x' }, { status: 503 })],
  ])('%s is silence: the same command is sent again', async (_what, fetched) => {
    vi.stubGlobal('fetch', fetched);
    await expect(api.command(command)).rejects.toMatchObject({ gone: true });
  });

  it('that refuses is none: it is told', async () => {
    vi.stubGlobal('fetch', async () => Response.json({ code: 'conflict', sentence: 'x' }, { status: 409 }));
    await expect(api.command(command)).rejects.toMatchObject({ gone: false, status: 409 });
  });

  it('is waited for no longer than a minute', async () => {
    const signals: (AbortSignal | null | undefined)[] = [];
    vi.stubGlobal('fetch', async (_path: string, init: RequestInit) => {
      signals.push(init.signal);
      return Response.json({});
    });
    const limits = vi.spyOn(AbortSignal, 'timeout');
    await api.command(command);
    await api.projects();
    expect(limits.mock.calls.flat()).toEqual([60_000, 20_000]);
    expect(signals.every((signal) => signal !== undefined)).toBe(true);
  });
});

describe('the studio of a tab', () => {
  it('is the one that was entered, also when an answer asked for in the one before comes late', async () => {
    const kept = new Map<string, string>();
    vi.stubGlobal('sessionStorage', {
      getItem: () => null,
      setItem: (key: string, value: string) => kept.set(key, value),
    });
    vi.stubGlobal('window', { location: { assign: () => undefined } });
    const answerIn = (studio: string, body: unknown) => Response.json(body, { headers: { 'x-studio': studio } });
    let answerLate = (_answer: Response): void => undefined;
    vi.stubGlobal('fetch', async () => answerIn('demo', { projects: [] }));
    await api.projects();
    expect(kept.get('euporia.studio')).toBe('demo');
    vi.stubGlobal('fetch', () => new Promise<Response>((done) => (answerLate = done)));
    const late = api.projects();
    vi.stubGlobal('fetch', async () => answerIn('own', { studios: [{ id: 'own', isOpen: true }] }));
    await api.enterStudio(null);
    expect(kept.get('euporia.studio')).toBe('own');
    answerLate(answerIn('demo', { projects: [] }));
    await late;
    expect(kept.get('euporia.studio')).toBe('own');
  });
});
