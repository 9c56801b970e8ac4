import { createHash } from 'node:crypto';
import { cpSync, mkdirSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { join, relative } from 'node:path';

/** What is not kept for offline: pictures of the app in its description, maps of the code, files packed. */
const leftOut = /(?:^screens\/|\.(?:map|br|gz)$)/;

/** The files of a built page, each with what tells its versions apart. */
export function filesOf(folder) {
  const files = [];
  const visit = (path) => {
    for (const name of readdirSync(path).sort()) {
      const at = join(path, name);
      if (statSync(at).isDirectory()) visit(at);
      else files.push(relative(folder, at).replaceAll('\\', '/'));
    }
  };
  visit(folder);
  return files
    .filter((file) => file !== 'sw.js' && !leftOut.test(file))
    .map((file) => ({
      url: `/${file}`,
      // A file under its hash never changes; another is known by its contents.
      revision: file.startsWith('assets/')
        ? null
        : createHash('sha256')
            .update(readFileSync(join(folder, file)))
            .digest('hex')
            .slice(0, 20),
    }));
}

/** Bundles what answers without a connection, with the list of the page's files; and brings the app's own pictures. */
export async function buildServiceWorker(root) {
  const folder = join(root, 'dist/web');
  mkdirSync(join(folder, 'screens'), { recursive: true });
  for (const [from, to] of [
    ['arrange.png', 'wide.png'],
    ['tonight-phone.png', 'narrow.png'],
  ])
    cpSync(join(root, 'docs/screenshots', from), join(folder, 'screens', to));
  const { rolldown } = await import('rolldown');
  const made = await rolldown({
    input: join(root, 'src/web/sw/sw.ts'),
    platform: 'browser',
    transform: {
      define: { EUPORIA_FILES: JSON.stringify(filesOf(folder)), 'process.env.NODE_ENV': '"production"' },
    },
    logLevel: 'warn',
  });
  await made.write({ file: join(folder, 'sw.js'), format: 'iife', minify: true });
  await made.close();
}
