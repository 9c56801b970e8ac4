import { readdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';

const web = join(dirname(dirname(fileURLToPath(import.meta.url))), 'src/web');

function filesUnder(folder: string): string[] {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    return statSync(path).isDirectory() ? filesUnder(path) : [path];
  });
}

const files = filesUnder(web);
const withoutStrings = (css: string) => css.replace(/\/\*[\s\S]*?\*\/|"[^"]*"/g, '');
const sheets = new Map(
  files
    .filter((path) => path.endsWith('.module.css'))
    .map((path) => {
      const css = withoutStrings(readFileSync(path, 'utf8')).replace(/:global\([^)]*\)/g, '');
      return [path, new Set([...css.matchAll(/\.([a-zA-Z][\w-]*)/g)].map((match) => match[1] ?? ''))];
    }),
);

/** Classes of a stylesheet that a page takes by name, or by a computed name, of which the beginning may be known. */
function usedIn(path: string): { sheet: string; name: string; isBeginning: boolean }[] {
  const text = readFileSync(path, 'utf8');
  return [...text.matchAll(/import (\w+) from '([^']+\.module\.css)'/g)].flatMap(([, variable, from = '']) => {
    const sheet = resolve(dirname(path), from);
    const plain = [...text.matchAll(new RegExp(`(?<![\\w./])${variable}\\.(\\w+)`, 'g'))];
    const computed = [...text.matchAll(new RegExp(`(?<![\\w./])${variable}\\[(?:\`(\\w*)\\$\\{)?`, 'g'))];
    return [
      ...plain.map((match) => ({ sheet, name: match[1] ?? '', isBeginning: false })),
      ...computed.map((match) => ({ sheet, name: match[1] ?? '', isBeginning: true })),
    ];
  });
}

const used = files
  .filter((path) => /\.tsx?$/.test(path))
  .flatMap((path) =>
    usedIn(path)
      .filter(({ name }) => name !== 'module')
      .map((use) => ({ ...use, path })),
  );

/** Whether a name stands as a text somewhere in the folder of a stylesheet: where a computed name can come from. */
const standsAsText = (sheet: string, name: string) =>
  files.some(
    (path) =>
      dirname(path) === dirname(sheet) && /\.tsx?$/.test(path) && readFileSync(path, 'utf8').includes(`'${name}'`),
  );

/** Whether a use takes a class. */
function takes(use: (typeof used)[number], sheet: string, name: string): boolean {
  if (use.sheet !== sheet) return false;
  if (!use.isBeginning) return use.name === name;
  return use.name === '' ? standsAsText(sheet, name) : name.startsWith(use.name);
}

describe('stylesheets', () => {
  it('have every class that a page takes from them', () => {
    const missing = used.filter(({ sheet, name, isBeginning }) => !isBeginning && !sheets.get(sheet)?.has(name));
    expect(missing.map(({ path, name }) => `${relative(web, path)}: ${name}`)).toEqual([]);
    expect(used.length).toBeGreaterThan(300);
  });

  it('have no class that nothing takes', () => {
    const idle = [...sheets].flatMap(([sheet, names]) =>
      [...names]
        .filter((name) => !used.some((use) => takes(use, sheet, name)))
        .map((name) => `${relative(web, sheet)}: ${name}`),
    );
    expect(idle).toEqual([]);
  });
});
