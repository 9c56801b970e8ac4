// npm test: types, lint, unit tests, server tests against a real PostgreSQL, journeys in a real browser.
// `npm test -- unit server` runs some parts only: types, lint, unit, server, journeys.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureBrowser } from './lib/browsers.mjs';
import { ensureNodePackages } from './lib/nodePackages.mjs';
import { ensurePostgresBinaries } from './lib/postgres.mjs';
import { giveUp, say } from './lib/say.mjs';
import { temporaryCluster } from './lib/temporary.mjs';

const root = dirname(dirname(fileURLToPath(import.meta.url)));
const all = ['types', 'lint', 'unit', 'server', 'journeys'];
const asked = process.argv.slice(2);
const unknownPart = asked.find((part) => !all.includes(part));
if (unknownPart) giveUp(`There is no part "${unknownPart}"; parts are: ${all.join(', ')}.`, 'npm test');
const wanted = (part) => asked.length === 0 || asked.includes(part);

ensureNodePackages(root);
if (wanted('server') || wanted('journeys')) ensurePostgresBinaries();
if (wanted('journeys')) ensureBrowser();

const cache = join(root, '.cache');
mkdirSync(cache, { recursive: true });
let passed = 0;
let failed = 0;
/** What failed, by name: said again at the end, where a long log is looked at first. */
const failures = [];

function run(program, args, env = {}) {
  const result = spawnSync(process.execPath, [join(root, 'node_modules', program), ...args], {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  });
  return result.status === 0;
}

function check(name, program, args) {
  say(`\n== ${name}`);
  if (run(program, args)) passed += 1;
  else fail(name);
}

function fail(name, message = '') {
  failed += 1;
  failures.push({ name, message });
}

/** What the driver says when the browser itself fell over: nothing that a page of ours said or did not say. */
const BROWSER_FELL = /tab crashed|page crash|chrome not reachable|session deleted as the browser has closed/i;

/** Runs the tests of a project, or some files of it; gives what each file said, and whether the run ended well. */
function filesOf(project, env, files = []) {
  const report = join(cache, `tests-${project}.json`);
  rmSync(report, { force: true });
  const good = run(
    'vitest/vitest.mjs',
    ['run', '--project', project, '--reporter=default', '--reporter=json', `--outputFile.json=${report}`, ...files],
    env,
  );
  return { good, results: existsSync(report) ? JSON.parse(readFileSync(report, 'utf8')).testResults : [] };
}

const brokenIn = (file) => file.assertionResults.filter((test) => test.status === 'failed');
const browserFellIn = (file) =>
  [file.message ?? '', ...brokenIn(file).flatMap((test) => test.failureMessages)].some((text) =>
    BROWSER_FELL.test(text),
  );

/**
 * Runs one vitest project and counts its tests; one that dies without naming a failed test is one failure. A file during
 * which the browser itself fell over is run once more, and that run counts, whatever it says.
 */
function tests(name, project, env = {}) {
  say(`\n== ${name}`);
  let { good, results } = filesOf(project, env);
  const fallen = results.filter(browserFellIn).map((file) => file.name);
  if (fallen.length > 0) {
    say(`\nThe browser fell over; once more: ${fallen.join(', ')}`);
    const again = filesOf(project, env, fallen);
    results = [...results.filter((file) => !fallen.includes(file.name)), ...again.results];
    good = again.good && results.every((file) => file.status === 'passed');
  }
  const broken = results.flatMap((file) =>
    brokenIn(file).map((test) => ({
      name: `${file.name}: ${test.fullName}`,
      message: test.failureMessages.join('\n'),
    })),
  );
  passed += results.flatMap((file) => file.assertionResults).filter((test) => test.status === 'passed').length;
  for (const { name: of, message } of broken) fail(of, message);
  if (!good && broken.length === 0) fail(`${name} ended without naming a failed test`);
  if (results.every((file) => file.assertionResults.length === 0)) fail(`${name}: no test was found`);
}

if (wanted('types')) check('Types', 'typescript/bin/tsc', ['-b']);
if (wanted('lint')) check('Lint and format', '@biomejs/biome/bin/biome', ['check', '--error-on-warnings', '.']);
if (wanted('unit')) tests('Unit tests', 'unit');
if (wanted('server')) {
  const cluster = await temporaryCluster('euporia-test');
  try {
    tests('Server tests, PostgreSQL on loopback', 'server', { TEST_DATABASE_URL: cluster.url });
  } finally {
    await cluster.stop();
  }
}
if (wanted('journeys')) tests('Journeys in the browser', 'journeys');

for (const { name, message } of failures) say(`\nfailed: ${name}\n${message.split('\n').slice(0, 12).join('\n')}`);
say(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
