import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { packFiles } from './packed.mjs';
import { say } from './say.mjs';
import { buildServiceWorker } from './serviceWorker.mjs';

/** A hash over names, sizes and contents of what a build reads. */
function hashOf(root, folders, files) {
  const hash = createHash('sha256');
  const visit = (path) => {
    const info = statSync(path);
    if (info.isDirectory()) for (const name of readdirSync(path).sort()) visit(join(path, name));
    else if (!/\.test\.tsx?$/.test(path)) hash.update(path).update(readFileSync(path));
  };
  for (const folder of folders) visit(join(root, folder));
  for (const file of files) hash.update(readFileSync(join(root, file)));
  return hash.digest('hex');
}

/** Builds one part when its sources changed since the last time. */
async function whenChanged(root, name, folders, files, work) {
  const mark = join(root, 'dist', `.${name}`);
  const hash = hashOf(root, folders, files);
  if (existsSync(mark) && readFileSync(mark, 'utf8') === hash) return;
  say(`Building the ${name} …`);
  await work();
  mkdirSync(join(root, 'dist'), { recursive: true });
  writeFileSync(mark, hash);
}

const shared = ['src/core', 'src/contract'];
const isPackage = /^(?!\.|\/|@core\/|@contract\/|@server\/)/;

/** Bundles programs for Node; node packages stay outside the bundle. */
async function bundle(root, input, folder) {
  const { rolldown } = await import('rolldown');
  const made = await rolldown({
    input,
    platform: 'node',
    external: (id) => isPackage.test(id) && !id.startsWith(root),
    resolve: {
      alias: {
        '@core': join(root, 'src/core'),
        '@contract': join(root, 'src/contract'),
        '@server': join(root, 'src/server'),
      },
    },
    logLevel: 'warn',
  });
  await made.write({ dir: join(root, folder), format: 'esm', sourcemap: true });
  await made.close();
}

/** Bundles the server and the command line. */
export function buildServer(root) {
  const input = {
    main: join(root, 'src/server/main.ts'),
    searchThread: join(root, 'src/server/jobs/searchThread.ts'),
    planningThread: join(root, 'src/server/planning/planningThread.ts'),
    plan: join(root, 'scripts/entry/plan.ts'),
  };
  return whenChanged(root, 'server', [...shared, 'src/server', 'scripts/entry'], ['package-lock.json'], () =>
    bundle(root, input, 'dist/server'),
  );
}

/** Bundles the benchmarks as the server is bundled, so that they time the code that runs. */
export function buildBench(root) {
  return bundle(root, { run: join(root, 'bench/run.ts') }, 'dist/bench');
}

/** Builds the page. */
export function buildWeb(root) {
  return whenChanged(
    root,
    'page',
    [...shared, 'src/web'],
    [
      'package-lock.json',
      'vite.config.ts',
      'scripts/lib/packed.mjs',
      'scripts/lib/pageParts.ts',
      'scripts/lib/serviceWorker.mjs',
    ],
    async () => {
      // Whatever called us (a test runner says "test"), what is served is the production build.
      process.env.NODE_ENV = 'production';
      const { build } = await import('vite');
      await build({ configFile: join(root, 'vite.config.ts'), logLevel: 'warn' });
      // What each page is made of is for the tests, not for visitors.
      renameSync(join(root, 'dist/web/page.json'), join(root, 'dist/page.json'));
      await buildServiceWorker(root);
      await packFiles(join(root, 'dist/web'));
    },
  );
}
