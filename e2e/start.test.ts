import { spawn, spawnSync } from 'node:child_process';
import { chmodSync, cpSync, existsSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { freePort } from '../scripts/lib/postgres.mjs';
import { temporaryFolder } from '../scripts/lib/temporary.mjs';
import { Euporia, ROOT } from './lib/euporia';

const isRoot = process.getuid?.() === 0;
const opened: Euporia[] = [];
const start = async (settings: Parameters<typeof Euporia.start>[0] = {}) => {
  const euporia = await Euporia.start(settings);
  opened.push(euporia);
  return euporia;
};
afterAll(async () => {
  for (const euporia of opened) await euporia.remove();
});

const names = async (euporia: Euporia) =>
  ((await euporia.json('/api/projects')) as { projects: { name: string }[] }).projects
    .map((project) => project.name)
    .sort();
const demo = ['Attic bedroom', 'Dining nook and pantry', 'Hall console', 'Hall, next spring', 'Market stall counter'];
/** What is there once the second of them is removed. */
const left = demo.filter((_, n) => n !== 1);

async function removeFirst(euporia: Euporia): Promise<void> {
  const { projects } = (await euporia.json('/api/projects')) as { projects: { id: string; name: string }[] };
  const gone = projects.find((project) => project.name === demo[1]);
  await euporia.act(gone?.id ?? '', 'removeProject', { id: gone?.id });
}

const databasePid = (euporia: Euporia) =>
  Number(readFileSync(join(euporia.data, 'postgres/postmaster.pid'), 'utf8').split('\n')[0]);
const isAlive = (pid: number) => {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
};

/** Runs the start script where it is expected to end by itself, and hears all it says. */
function tryStart(port: number, data: string, args: readonly string[] = [], env: Record<string, string> = {}) {
  return new Promise<{ code: number | null; said: string }>((done) => {
    const child = spawn(process.execPath, [join(ROOT, 'scripts/start.mjs'), ...args], {
      env: { ...process.env, PORT: String(port), EUPORIA_DATA: data, ...env },
    });
    let said = '';
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (chunk) => {
        said += chunk;
      });
    child.once('exit', (code) => done({ code, said }));
  });
}

describe('npm start', () => {
  it('serves the demo on the first run, keeps its data, and ends cleanly on Ctrl-C', async () => {
    const euporia = await start();
    expect(await names(euporia)).toEqual(demo);
    expect(await euporia.json('/api/health')).toEqual({ ready: true });
    const database = databasePid(euporia);
    await removeFirst(euporia);
    expect(await euporia.interrupt()).toBe(0);
    expect(isAlive(database)).toBe(false);
    await euporia.again();
    expect(await names(euporia)).toEqual(left);
  });

  it('started a second time prints the address of the one that runs', async () => {
    const euporia = await start();
    const second = await tryStart(euporia.port, euporia.data);
    expect(second).toMatchObject({ code: 0, said: expect.stringContaining(`runs already: ${euporia.address}/`) });
    const reset = await tryStart(euporia.port, euporia.data, ['--demo-reset']);
    expect(reset).toMatchObject({ code: 1, said: expect.stringContaining('npm start -- --demo-reset') });
  });

  it('survives a power cut: everything killed at once, then started again', async () => {
    const euporia = await start();
    await removeFirst(euporia);
    const database = databasePid(euporia);
    process.kill(euporia.pid, 'SIGKILL');
    process.kill(database, 'SIGKILL');
    while (isAlive(database)) await new Promise((done) => setTimeout(done, 50));
    await euporia.again();
    expect(await names(euporia)).toEqual(left);
  });

  it('stops a database left over when only the app was killed, and starts its database again when that dies', async () => {
    const euporia = await start();
    const leftover = databasePid(euporia);
    process.kill(euporia.pid, 'SIGKILL');
    while (isAlive(euporia.pid)) await new Promise((done) => setTimeout(done, 50));
    await new Promise((done) => setTimeout(done, 500));
    await euporia.again();
    expect(euporia.output).toContain('left over');
    expect(isAlive(leftover)).toBe(false);
    const killed = databasePid(euporia);
    process.kill(killed, 'SIGKILL');
    for (let tries = 0; tries < 100; tries += 1) {
      // A killed database's own processes may answer a moment longer: it runs again once it answers after that was said.
      const wasSaid = euporia.output.includes('starting it again');
      const list = await fetch(`${euporia.address}/api/projects`).catch(() => null);
      const isNew = existsSync(join(euporia.data, 'postgres/postmaster.pid')) && databasePid(euporia) !== killed;
      if (wasSaid && list?.ok && isNew) break;
      await new Promise((done) => setTimeout(done, 200));
    }
    expect((await fetch(`${euporia.address}/api/health`)).status).toBe(200);
    expect(await names(euporia)).toEqual(demo);
  });

  it('started while it is just stopping waits for that, and runs', async () => {
    const euporia = await start();
    const stopped = euporia.interrupt();
    await new Promise((done) => setTimeout(done, 150));
    const second = await start({ data: euporia.data, port: euporia.port });
    expect(await stopped).toBe(0);
    expect(await names(second)).toEqual(demo);
    expect(await second.interrupt()).toBe(0);
  });

  it('starts its server again when that dies', async () => {
    const euporia = await start();
    const server = spawnSync('pgrep', ['-P', String(euporia.pid), '-f', 'dist/server/main.js'], { encoding: 'utf8' });
    process.kill(Number(server.stdout.trim()), 'SIGKILL');
    for (let tries = 0; tries < 100; tries += 1) {
      const health = await fetch(`${euporia.address}/api/health`).catch(() => null);
      if (health?.status === 200 && euporia.output.includes('The server ended by itself')) break;
      await new Promise((done) => setTimeout(done, 200));
    }
    expect(await names(euporia)).toEqual(demo);
  });

  it('ends its server and its database when npm is terminated', async () => {
    const data = temporaryFolder('euporia-npm');
    const port = await freePort();
    const npm = spawn('npm', ['start'], {
      cwd: ROOT,
      detached: true,
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, PORT: String(port), EUPORIA_DATA: data },
    });
    let said = '';
    npm.stdout.on('data', (chunk) => {
      said += chunk;
    });
    for (let tries = 0; tries < 600 && !said.includes('Euporia is ready'); tries += 1)
      await new Promise((done) => setTimeout(done, 100));
    expect(said).toContain('Euporia is ready');
    const database = Number(readFileSync(join(data, 'postgres/postmaster.pid'), 'utf8').split('\n')[0]);
    process.kill(npm.pid ?? 0, 'SIGTERM');
    const isServed = () =>
      fetch(`http://127.0.0.1:${port}/api/health`).then(
        () => true,
        () => false,
      );
    for (let tries = 0; tries < 200 && (isAlive(database) || (await isServed())); tries += 1)
      await new Promise((done) => setTimeout(done, 100));
    expect([isAlive(database), await isServed()]).toEqual([false, false]);
    rmSync(data, { recursive: true, force: true, maxRetries: 5 });
  });

  it.each<[string, Record<string, string>, string]>([
    ['a port that is none', { PORT: 'eighty' }, 'PORT is “eighty”; accepted: a whole number from 1 to 65535.'],
    ['a port beyond all ports', { PORT: '70000' }, 'PORT is “70000”'],
    ['a data folder that is a file', { EUPORIA_DATA: join(ROOT, 'package.json') }, 'it is a file'],
    ['a database address that is none', { DATABASE_URL: 'the big one' }, 'DATABASE_URL is “the big one”'],
    ['a database that is not there', { DATABASE_URL: 'postgres://a:b@127.0.0.1:9/x' }, 'does not let Euporia in'],
  ])('says of %s in a sentence what is wrong', async (_what, env, sentence) => {
    const result = await tryStart(await freePort(), temporaryFolder('euporia-wrong'), [], env);
    expect(result.code).toBe(1);
    expect(result.said).toContain(sentence);
    expect(result.said).not.toMatch(/\n {4}at /);
  });

  it('-- --demo-reset goes back to the demo', async () => {
    const euporia = await start();
    await removeFirst(euporia);
    await euporia.interrupt();
    await euporia.again(['--demo-reset']);
    expect(await names(euporia)).toEqual(demo);
  });

  it('-- --empty opens a studio without the demo beside it, and leaves the demo as it is', async () => {
    const euporia = await start();
    await euporia.interrupt();
    await euporia.again(['--empty']);
    expect(await names(euporia)).toEqual([]);
    await euporia.interrupt();
    await euporia.again();
    expect(await names(euporia)).toEqual(demo);
    rmSync(`${euporia.data}-empty`, { recursive: true, force: true });
  });

  it('names who holds its port, and never moves by itself', async () => {
    const port = await freePort();
    const other = createServer().listen(port, '127.0.0.1');
    const result = await tryStart(port, temporaryFolder('euporia-port'));
    other.close();
    expect(result.code).toBe(1);
    expect(result.said).toContain(`Port ${port} is taken`);
    expect(result.said).toContain(`process ${process.pid}`);
    expect(result.said).toContain(`PORT=${port + 1} npm start`);
  });
});

describe.runIf(isRoot)('an ordinary user', () => {
  // "nobody" exists on every Debian; setpriv comes with its base system.
  const asNobody = ['setpriv', '--reuid=65534', '--regid=65534', '--clear-groups'];

  it('starts it on a copy that user owns', async () => {
    const root = join(temporaryFolder('euporia-user'), 'euporia');
    cpSync(ROOT, root, {
      recursive: true,
      verbatimSymlinks: true,
      filter: (path) => !/\/(\.git|\.data|\.cache)$/.test(path),
    });
    spawnSync('chown', ['-R', '65534:65534', root]);
    try {
      const euporia = await start({
        root,
        through: asNobody,
        data: join(root, '.data'),
        env: { HOME: root },
      });
      expect(await names(euporia)).toEqual(demo);
      expect(spawnSync('stat', ['-c', '%u', join(root, '.data/postgres')], { encoding: 'utf8' }).stdout.trim()).toBe(
        '65534',
      );
      expect(await euporia.interrupt()).toBe(0);
    } finally {
      rmSync(root, { recursive: true, force: true, maxRetries: 5 });
    }
  });

  const mayHide = spawnSync('unshare', ['--mount', 'true']).status === 0;
  it.runIf(mayHide)('without PostgreSQL gets the exact command to run, and exit 1', () => {
    const empty = temporaryFolder('euporia-empty');
    chmodSync(empty, 0o755);
    // A mount of its own hides the installed programs from this one process only.
    const hide = spawnSync(
      'unshare',
      [
        '--mount',
        'sh',
        '-c',
        `mount --bind ${empty} /usr/lib/postgresql && exec ${asNobody.join(' ')} ${process.execPath} scripts/start.mjs`,
      ],
      {
        cwd: ROOT,
        encoding: 'utf8',
        env: { PATH: '/usr/bin:/bin', PORT: '0', EUPORIA_DATA: join(empty, 'data') },
      },
    );
    expect(hide.stderr).toContain('PostgreSQL is not installed, and only root can install it.');
    expect(hide.stderr).toContain('sudo apt-get update && sudo apt-get install -y --no-install-recommends postgresql');
    expect(hide.status).toBe(1);
    rmSync(empty, { recursive: true, force: true });
  });
});
