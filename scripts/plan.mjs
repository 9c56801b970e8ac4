// npm run --silent plan -- [--as-of 2026-06-01T09:00-04:00] file.json: the computed plan as JSON, without a database.
import { dirname, join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { buildServer } from './lib/build.mjs';
import { ensureNodePackages } from './lib/nodePackages.mjs';

const root = dirname(dirname(fileURLToPath(import.meta.url)));
// Only JSON goes to standard output; what the preparation says goes to standard error.
const write = process.stdout.write.bind(process.stdout);
process.stdout.write = (chunk, ...rest) => process.stderr.write(chunk, ...rest);
ensureNodePackages(root);
await buildServer(root);
process.stdout.write = write;
const { runPlan } = await import(pathToFileURL(join(root, 'dist/server/plan.js')).href);
process.exitCode = await runPlan(
  process.argv.slice(2),
  (text) => new Promise((done) => process.stdout.write(text, done)),
  (text) => process.stderr.write(text),
);
