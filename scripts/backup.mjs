// npm run backup [-- FILE]: everything that Euporia keeps, as one file; it may run meanwhile.
// npm run restore -- FILE: that file in the place of what there is, which is kept as a file of its own first.
import { existsSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { backUp, backupName, holdings, newestMigration, restore } from './lib/backup.mjs';
import { dataFolder, ensurePostgresBinaries, runningCluster, startLocalCluster } from './lib/postgres.mjs';
import { runningOn } from './lib/running.mjs';
import { giveUp, say } from './lib/say.mjs';
import { databaseSetting, dataSetting, usableFolder } from './lib/settings.mjs';

const root = dirname(dirname(fileURLToPath(import.meta.url)));
const [what, ...rest] = process.argv.slice(2);
const isRestore = what === 'restore';
const named = rest.filter((word) => !word.startsWith('--'));
const strange = rest.find((word) => word.startsWith('--') && word !== '--empty') ?? named[1];
const usage = isRestore ? 'npm run restore -- backups/euporia-2026-11-30-0112.dump' : 'npm run backup';
if (strange !== undefined) giveUp(`“${strange}” is not understood; accepted: one file, and --empty.`, usage);
if (isRestore && named.length === 0) giveUp('Which file is to be restored? Accepted: one that a backup made.', usage);

/** Paths are meant from where the person stands; npm itself moves to the project's folder. */
const fromHere = (path) => resolve(process.env.INIT_CWD ?? process.cwd(), path);
const folder = join(root, 'backups');

/** The database, started for as long as this takes where it does not run. */
async function reached() {
  const external = databaseSetting(process.env.DATABASE_URL);
  if (external) return { url: external, bin: ensurePostgresBinaries()[0].bin, stop: async () => undefined };
  ensurePostgresBinaries();
  const data = dataFolder(root, dataSetting(process.env.EUPORIA_DATA, rest.includes('--empty')));
  const running = runningOn(data);
  if (isRestore && running) giveUp('Euporia is running on this data: end it with Ctrl-C first, then restore.', usage);
  const there = runningCluster(data);
  if (there && !isRestore) return { ...there, stop: async () => undefined };
  if (!isRestore && !existsSync(join(data, 'postgres')))
    giveUp(`There is no data in ${data} yet: nothing to keep. EUPORIA_DATA names another folder.`, usage);
  usableFolder(data);
  return startLocalCluster(data);
}

const size = (bytes) => (bytes < 1_000_000 ? `${Math.ceil(bytes / 1000)} KB` : `${(bytes / 1_000_000).toFixed(1)} MB`);
const told = ({ projects, pieces, pictures }) =>
  [`projects: ${projects}`, `pieces: ${pieces}`, `pictures: ${pictures}`].join(', ');

const at = await reached();
let trouble = null;
try {
  if (isRestore) {
    const before = join(folder, backupName(Date.now(), 'before-restore'));
    const kept = await restore({ ...at, file: fromHere(named[0]), before, known: newestMigration(root) });
    say(`Restored from ${named[0]}: ${told(holdings(at))}.`);
    say('Everybody signs in anew; people and their pass phrases are those of that day.');
    if (kept) say(`What was there before is kept: ${kept}`);
  } else {
    const file = named[0] ? fromHere(named[0]) : join(folder, backupName(Date.now()));
    const bytes = backUp({ ...at, file });
    say(`Kept in ${file} (${size(bytes)}): ${told(holdings(at))}.`);
    say('Whoever has this file can read everything in it: keep it as you would keep the studio’s keys.');
  }
} catch (error) {
  trouble = error;
}
await at.stop();
if (trouble) giveUp(trouble.message);
