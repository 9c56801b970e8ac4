import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';

/** A page as far as workers ask: what it tells, and whether it was loaded anew. */
const told = new Map<string, ((event: { persisted: boolean }) => void)[]>();
let reloads = 0;
const worker = () => {
  const own = {
    ends: 0,
    terminate: () => {
      own.ends += 1;
    },
  };
  return own as typeof own & Worker;
};
const tell = (what: string, persisted = false) => {
  for (const hear of told.get(what) ?? []) hear({ persisted });
};

beforeEach(() => {
  told.clear();
  reloads = 0;
  vi.resetModules();
  vi.stubGlobal('addEventListener', (what: string, hear: (event: { persisted: boolean }) => void) =>
    told.set(what, [...(told.get(what) ?? []), hear]),
  );
  vi.stubGlobal('location', {
    reload: () => {
      reloads += 1;
    },
  });
});
afterEach(() => vi.unstubAllGlobals());
const load = () => import('./endWithPage');

describe('workers and their page', () => {
  it('end when the page goes, each once', async () => {
    const { endWithPage } = await load();
    const [one, other] = [worker(), worker()];
    expect(endWithPage(one)).toBe(one);
    endWithPage(other);
    expect(told.get('pagehide')).toHaveLength(1);
    tell('pagehide');
    expect([one.ends, other.ends]).toEqual([1, 1]);
  });

  it('that ended before are left alone', async () => {
    const { endWithPage, endWorker } = await load();
    const [one, other] = [worker(), worker()];
    endWithPage(one);
    endWithPage(other);
    endWorker(one);
    tell('pagehide');
    expect([one.ends, other.ends]).toEqual([1, 1]);
  });

  it('are begun anew with the page where a browser shows one that it had kept', async () => {
    const { endWithPage } = await load();
    endWithPage(worker());
    tell('pageshow', false);
    expect(reloads).toBe(0);
    tell('pageshow', true);
    expect(reloads).toBe(1);
  });
});
