// npm run docs: writes what docs/ derives from the code, today the JSON Schema of the project file.
import { spawnSync } from 'node:child_process';
import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureNodePackages } from './lib/nodePackages.mjs';

const root = dirname(dirname(fileURLToPath(import.meta.url)));
ensureNodePackages(root);
process.exit(
  spawnSync(process.execPath, ['--import', 'tsx', 'scripts/entry/docs.ts'], { cwd: root, stdio: 'inherit' }).status ??
    1,
);
