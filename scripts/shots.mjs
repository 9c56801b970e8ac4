// npm run shots: retakes docs/screenshots from the demo data, on the demo's own day.
import { spawnSync } from 'node:child_process';
import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureBrowser } from './lib/browsers.mjs';
import { ensureNodePackages } from './lib/nodePackages.mjs';

const root = dirname(dirname(fileURLToPath(import.meta.url)));
ensureNodePackages(root);
ensureBrowser();
const result = spawnSync(process.execPath, ['--import', 'tsx', 'scripts/entry/shots.ts', ...process.argv.slice(2)], {
  cwd: root,
  stdio: 'inherit',
});
process.exit(result.status ?? 1);
