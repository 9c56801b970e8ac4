// npm run bench: how long the heavy parts take, each as a ratio to a fixed calibration loop of the same run.
import { spawnSync } from 'node:child_process';
import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureBrowser } from './lib/browsers.mjs';
import { buildBench } from './lib/build.mjs';
import { ensureNodePackages } from './lib/nodePackages.mjs';

const root = dirname(dirname(fileURLToPath(import.meta.url)));
ensureNodePackages(root);
ensureBrowser();
await buildBench(root);
const result = spawnSync(process.execPath, ['dist/bench/run.js', ...process.argv.slice(2)], {
  cwd: root,
  stdio: 'inherit',
});
process.exit(result.status ?? 1);
