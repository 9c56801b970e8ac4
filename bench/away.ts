import type { Person } from '../e2e/lib/browser';
import { Euporia } from '../e2e/lib/euporia';

const show = (line: string) => process.stdout.write(`${line}\n`);
const USERS = 50;
const SECONDS = 10;
/** A phone's processor, as slow as this machine's by a factor. */
const SLOWER = 4;

const at = (sorted: readonly number[], share: number) =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0;

/** Fifty people at once: each reads the list, opens a project that may be unchanged, and changes something small. */
async function manyUsers(name: string, servers: readonly Euporia[], projectId: string): Promise<void> {
  const [first] = servers;
  if (!first) return;
  const { slots } = (await first.json(`/api/projects/${projectId}/snapshot`)) as { slots: { id: string }[] };
  const times: number[] = [];
  let errors = 0;
  const end = performance.now() + SECONDS * 1000;
  const timed = async (path: string, init?: RequestInit) => {
    const start = performance.now();
    const answer = await fetch(path, init);
    await answer.text();
    times.push(performance.now() - start);
    if (!answer.ok && answer.status !== 304) errors += 1;
    return answer;
  };
  await Promise.all(
    Array.from({ length: USERS }, async (_, user) => {
      const { address } = servers[user % servers.length] ?? first;
      let tag = '';
      for (let n = 0; performance.now() < end; n += 1) {
        if (n % 10 === 9)
          await timed(`${address}/api/commands`, {
            method: 'POST',
            headers: { 'content-type': 'application/json' },
            body: JSON.stringify({
              key: crypto.randomUUID(),
              projectId,
              kind: 'editSlot',
              payload: { id: slots[(user + n) % slots.length]?.id, values: { note: `user ${user}, ${n}` } },
              expect: {},
            }),
          });
        else if (n % 3 === 0) await timed(`${address}/api/projects`);
        else {
          const answer = await timed(`${address}/api/projects/${projectId}/snapshot`, {
            headers: { 'if-none-match': tag },
          });
          tag = answer.headers.get('etag') ?? tag;
        }
      }
    }),
  );
  times.sort((a, b) => a - b);
  show(
    `${name}: ${USERS} users, ${(times.length / SECONDS).toFixed(0)} answers a second, median ${at(times, 0.5).toFixed(0)} ms, p99 ${at(times, 0.99).toFixed(0)} ms, ${errors} errors; aim: none`,
  );
}

/** A phone's line, slow: 1.6 megabits a second down, 0.75 up, 150 ms there and back. */
const SLOW_LINE = { offline: false, latency: 150, downloadThroughput: 200_000, uploadThroughput: 94_000 };
/** What somebody would press or write first, on the start page and on the card; and what waits for the plan. */
const FIRST = {
  'start page': ['/', '//main//a[normalize-space(.)="New project"]'],
  card: ['/hunt/card', '//main//input[not(@type="file")]'],
  'card with its verdict': ['/hunt/card', '//main//button[contains(., "Buy")]'],
  board: ['/compare', '//main//button[normalize-space(.)="why"]'],
} as const;

/** Until what is wanted first can be pressed, on a phone that has nothing of the app yet, over a slow line. */
async function usable(person: Person, address: string, projectId: string): Promise<void> {
  await person.devtools('Network.enable', {});
  await person.devtools('Network.setBypassServiceWorker', { bypass: true });
  await person.devtools('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  await person.devtools('Network.emulateNetworkConditions', SLOW_LINE);
  for (const [name, [path, first]] of Object.entries(FIRST)) {
    const took: number[] = [];
    for (let n = 0; n < 3; n += 1) {
      await person.devtools('Network.clearBrowserCache', {});
      await person.goto('about:blank');
      const start = performance.now();
      await person.goto(`${address}${path === '/' ? path : `/p/${projectId}${path}`}`);
      await person.see(first);
      // It answers: the page has a turn left for what is pressed.
      await person.driver.executeAsyncScript(
        'const done = arguments[0]; requestAnimationFrame(() => setTimeout(done, 0))',
      );
      took.push(performance.now() - start);
    }
    took.sort((a, b) => a - b);
    show(
      `${name} usable over a slow line, ${SLOWER} × slower, nothing kept: median ${at(took, 0.5).toFixed(0)} ms (${took.map((ms) => ms.toFixed(0)).join(', ')})`,
    );
  }
  await person.devtools('Emulation.setCPUThrottlingRate', { rate: 1 });
  await person.devtools('Network.setBypassServiceWorker', { bypass: false });
  await person.offline(false);
}

/** Away from the desk: a cold start without a connection, many users, two servers on one database. */
export async function awayBench(
  euporia: Euporia,
  person: Person,
  databaseUrl: string,
  projectId: string,
): Promise<void> {
  await person.goto(euporia.address);
  await person.driver.wait(
    async () => (await person.driver.executeScript('return navigator.serviceWorker.controller !== null')) === true,
    60_000,
  );
  await person.goto(euporia.address);
  await person.seeText('Attic bedroom');
  await person.offline(true);
  await person.devtools('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  const took: number[] = [];
  for (let n = 0; n < 5; n += 1) {
    await person.goto('about:blank');
    const start = performance.now();
    await person.goto(euporia.address);
    await person.seeText('Attic bedroom');
    took.push(performance.now() - start);
  }
  took.sort((a, b) => a - b);
  show(
    `cold start without a connection, ${SLOWER} × slower: median ${at(took, 0.5).toFixed(0)} ms (${took.map((ms) => ms.toFixed(0)).join(', ')})`,
  );
  await person.devtools('Emulation.setCPUThrottlingRate', { rate: 1 });
  await person.offline(false);

  await usable(person, euporia.address, projectId);
  await manyUsers('one server', [euporia], projectId);
  const second = await Euporia.start({ env: { DATABASE_URL: databaseUrl } });
  try {
    await manyUsers('two servers on one database', [euporia, second], projectId);
  } finally {
    await second.remove();
  }
}
