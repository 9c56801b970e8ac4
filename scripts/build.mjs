// Builds what npm start serves, in a process of its own: what a build needs of memory goes with it.
import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';
import { buildServer, buildWeb } from './lib/build.mjs';

const root = dirname(dirname(fileURLToPath(import.meta.url)));
await buildServer(root);
await buildWeb(root);
