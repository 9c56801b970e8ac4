// A database kept as a file, and taken back from it. Plain Node, with PostgreSQL's own programs.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';

/** Who is signed in is not kept: whoever was signed out must not come back by taking back an older day. */
const NOT_KEPT = ['session', 'entry_code', 'set_up_code', 'attempt'];
/** The queue of long work is made anew by the server: what waits stands in a table of ours, which is kept. */
const QUEUE = 'long_work';
/** Tables that tell a database of Euporia from any other. */
const OURS = ['studio', 'project', 'migrations'];

/**
 * How PostgreSQL's programs reach a database. The password goes by environment: a command line could be read by every
 * user of the machine.
 */
function reach(url) {
  const address = new URL(url);
  const password = decodeURIComponent(address.password);
  address.password = '';
  const { PGPASSWORD, ...env } = process.env;
  return {
    name: address.href,
    env: { ...env, ...(password === '' ? {} : { PGPASSWORD: password }), LC_ALL: 'C.UTF-8' },
  };
}

const lastWords = (text) => text.trim().split('\n').slice(-3).join('\n');

function run(program, args, env, why) {
  const ran = spawnSync(program, args, { env, encoding: 'utf8', maxBuffer: 1 << 28 });
  if (ran.error) throw new Error(`${why}: ${ran.error.message}`);
  if (ran.status !== 0) throw new Error(`${why}:\n${lastWords(ran.stderr)}`);
  return ran.stdout;
}

/** One column of answers to a question in SQL. */
function ask(bin, url, sql) {
  const { name, env } = reach(url);
  const args = ['-X', '-q', '-A', '-t', '-v', 'ON_ERROR_STOP=1', '-d', name, '-c', sql];
  return run(join(bin, 'psql'), args, env, 'The database does not answer').trim().split('\n').filter(Boolean);
}

/** The tables of a database's common schema. */
const tablesIn = (bin, url) => ask(bin, url, `select tablename from pg_tables where schemaname = 'public'`);

/**
 * What a database of Euporia holds.
 * @returns whole numbers of projects and pieces, without those removed, and of pictures
 */
export function holdings({ bin, url }) {
  const count = (from) => Number(ask(bin, url, `select count(*) from ${from}`)[0]);
  return {
    projects: count('project where deleted_at is null'),
    pieces: count('piece where deleted_at is null'),
    pictures: count('photo_bytes'),
  };
}

/**
 * Reads a kept file to its end, and says what stands in it.
 * @returns its tables, and the newest migration that it knows, as the number that the migration's name begins with
 * @throws Error for a file that is damaged, cut short, or no backup of Euporia
 */
function look(bin, file) {
  const program = join(bin, 'pg_restore');
  const why = `${file} cannot be read as a backup`;
  const listed = run(program, ['--list', file], process.env, why);
  const tables = [...listed.matchAll(/ TABLE public (\S+) /g)].map(([, table]) => table);
  if (!OURS.every((table) => tables.includes(table)))
    throw new Error(`${file} is a backup of some other database, not of Euporia's.`);
  run(program, ['--file=/dev/null', file], process.env, why);
  const rows = run(program, ['--data-only', '--table=migrations', '--file=-', file], process.env, why);
  const newest = Math.max(0, ...[...rows.matchAll(/^\d+\t(\d+)\t/gm)].map(([, at]) => Number(at)));
  return { tables, newest };
}

/** The newest migration of this version, by the number that its file's name begins with. */
export function newestMigration(root) {
  const names = readdirSync(join(root, 'src/server/persistence/migrations'));
  return Math.max(...names.map((name) => Number.parseInt(name, 10)).filter(Number.isFinite));
}

/** A file's name for a backup of a moment, such as `euporia-2026-11-30-0112.dump`, in this machine's time. */
export function backupName(nowMs, word = 'euporia') {
  const at = new Date(nowMs);
  const two = (value) => String(value).padStart(2, '0');
  const day = `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
  return `${word}-${day}-${two(at.getHours())}${two(at.getMinutes())}.dump`;
}

/**
 * Keeps a database as one file, as it is at one moment, while others go on working in it. The file can be read by its
 * owner only; it is read once to its end before it gets its name.
 * @returns the file's size in bytes
 * @throws Error where the file exists, the database does not answer, or is none of Euporia
 */
export function backUp({ bin, url, file }) {
  if (existsSync(file)) throw new Error(`${file} exists already and is left as it is.`);
  const there = tablesIn(bin, url);
  if (!OURS.every((table) => there.includes(table)))
    throw new Error('This database holds nothing of Euporia yet: there is nothing to keep.');
  mkdirSync(dirname(file), { recursive: true });
  const part = `${file}.part`;
  rmSync(part, { force: true });
  writeFileSync(part, '', { mode: 0o600 });
  const { name, env } = reach(url);
  try {
    const without = NOT_KEPT.map((table) => `--exclude-table-data=public.${table}`);
    const args = [
      '--format=custom',
      '--no-owner',
      '--no-privileges',
      '--lock-wait-timeout=30s',
      `--exclude-schema=${QUEUE}`,
      ...without,
    ];
    run(join(bin, 'pg_dump'), [...args, `--file=${part}`, '--dbname', name], env, 'The database could not be kept');
    look(bin, part);
    renameSync(part, file);
  } finally {
    rmSync(part, { force: true });
  }
  return statSync(file).size;
}

/** Takes away what Euporia keeps in a database; what extensions of the database brought stays. */
const CLEAR = `
do $clear$
declare found text;
begin
  for found in select format('drop table if exists %s cascade', c.oid::regclass) from pg_class c
    where c.relnamespace = 'public'::regnamespace and c.relkind in ('r', 'p')
      and not exists (select 1 from pg_depend d where d.objid = c.oid and d.deptype = 'e')
  loop execute found; end loop;
  for found in select format('drop function if exists %s cascade', p.oid::regprocedure) from pg_proc p
    where p.pronamespace = 'public'::regnamespace
      and not exists (select 1 from pg_depend d where d.objid = p.oid and d.deptype = 'e')
  loop execute found; end loop;
  for found in select format('drop type if exists %s cascade', t.oid::regtype) from pg_type t
    where t.typnamespace = 'public'::regnamespace and t.typtype in ('e', 'd')
      and not exists (select 1 from pg_depend d where d.objid = t.oid and d.deptype = 'e')
  loop execute found; end loop;
end $clear$;
`;

/** Writes a kept file into a database in one transaction, which ends well only after the file was read to its end. */
function writeInto(bin, url, file) {
  const { name, env } = reach(url);
  const reader = spawn(join(bin, 'pg_restore'), ['--no-owner', '--no-privileges', '--file=-', file], {
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  const writer = spawn(join(bin, 'psql'), ['-X', '-q', '-v', 'ON_ERROR_STOP=1', '-d', name], {
    env,
    stdio: ['pipe', 'ignore', 'pipe'],
  });
  const words = { reader: '', writer: '' };
  reader.stderr.on('data', (data) => {
    words.reader += data;
  });
  writer.stderr.on('data', (data) => {
    words.writer += data;
  });
  // A writer that gave up closes its end; what it said is told below.
  writer.stdin.on('error', () => reader.kill());
  writer.stdin.write(`begin;\nset local lock_timeout = '10s';\n${CLEAR}`);
  reader.stdout.pipe(writer.stdin, { end: false });
  return new Promise((done, fail) => {
    let readerCode = null;
    reader.once('error', fail);
    writer.once('error', fail);
    reader.once('close', (code) => {
      readerCode = code;
      // Without this word the database takes all of it back.
      if (code === 0) writer.stdin.end('\ncommit;\n');
      else writer.stdin.end();
    });
    writer.once('close', (code) => {
      if (code !== 0 && /lock timeout/.test(words.writer))
        fail(new Error('Something else is still working in this database. End it and try again; nothing was changed.'));
      else if (code !== 0 || readerCode !== 0)
        fail(new Error(`Nothing was changed:\n${lastWords(words.writer || words.reader)}`));
      else done();
    });
  });
}

/**
 * Puts a kept file in the place of what a database holds. What was there is kept as a file first. Where anything goes
 * wrong the database stays as it was.
 * @param known the newest migration that this version knows, see {@link newestMigration}
 * @param before where to keep what was there
 * @returns the file with what was there, or null where nothing was there
 * @throws Error saying what stands in the way; nothing was changed then
 */
export async function restore({ bin, url, file, before, known }) {
  if (!existsSync(file)) throw new Error(`There is no file ${file}.`);
  const { newest } = look(bin, file);
  if (newest > known)
    throw new Error(
      `${file} was made by a newer Euporia, whose tables this one does not know. Bring this one up to date first; nothing was changed.`,
    );
  const there = tablesIn(bin, url);
  if (there.length > 0 && !OURS.every((table) => there.includes(table)))
    throw new Error(
      'This database holds tables of something else. Euporia wants a database of its own; nothing was changed.',
    );
  if (there.length > 0) backUp({ bin, url, file: before });
  await writeInto(bin, url, file);
  return there.length > 0 ? before : null;
}
