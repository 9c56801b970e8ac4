import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';

const root = dirname(dirname(fileURLToPath(import.meta.url)));

/** Core folders from the bottom up: each may import itself and what stands before it. */
const coreOrder = [
  'kernel',
  'calendar',
  'color',
  'surface',
  'state',
  'catalog',
  'safety',
  'pricing',
  'cutting',
  'model',
  'artwork',
  'technique',
  'build',
  'log',
  'recipe',
  'plan',
  'sourcing',
  'balance',
  'schedule',
  'arrange',
  'closing',
  'words',
  'sheets',
  'acts',
  'proposals',
  'formats',
];
/** Packages that some part of the core may use. */
const corePackages: Record<string, readonly string[]> = {
  // The line around a part of a picture, and one with fewer points.
  arrange: ['d3-contour', 'simplify-js'],
  // Paths as SVG writes them, and the outlines of letters.
  artwork: ['svg-pathdata', 'opentype.js'],
  // The solver's types; the package itself is loaded outside and passed in.
  balance: ['highs'],
  // A row's form, an act's payload and a file's form are schemas.
  model: ['zod'],
  acts: ['zod'],
  formats: ['zod', 'papaparse', 'fflate', 'pdf-lib', '@pdf-lib/fontkit', 'ical-generator', 'saxes'],
};

interface Import {
  file: string;
  line: number;
  text: string;
  /** Path from the root without extension for our own files, else the package's name. */
  target: string;
  own: boolean;
  typeOnly: boolean;
}

function filesUnder(folder: string): string[] {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    if (statSync(path).isDirectory()) return filesUnder(path);
    return /\.tsx?$/.test(name) ? [path] : [];
  });
}

const aliases: Record<string, string> = { '@core': 'src/core', '@contract': 'src/contract', '@server': 'src/server' };

function importsOf(path: string): Import[] {
  const file = relative(root, path);
  return readFileSync(path, 'utf8')
    .split('\n')
    .flatMap((text, index): Import[] => {
      const match = /(?:\bfrom\s+|\bimport\s*\(?\s*|new URL\()['"]([^'"]+)['"]/.exec(text);
      const specifier = match?.[1];
      if (specifier === undefined || specifier.startsWith('data:')) return [];
      const [head = ''] = specifier.split('/');
      const alias = aliases[head];
      const own = specifier.startsWith('.') || alias !== undefined;
      const target = specifier.startsWith('.')
        ? relative(root, resolve(dirname(path), specifier))
        : alias
          ? join(alias, specifier.slice(head.length + 1))
          : specifier.startsWith('@')
            ? specifier.split('/').slice(0, 2).join('/')
            : head;
      return [{ file, line: index + 1, text: text.trim(), target, own, typeOnly: /^\s*import type\b/.test(text) }];
    });
}

const isTest = (file: string) => /\.test\.tsx?$|\/fixtures\/|\/test\//.test(file);
const everyImport = ['src', 'e2e', 'bench', 'scripts'].flatMap((folder) =>
  existsSync(join(root, folder)) ? filesUnder(join(root, folder)).flatMap(importsOf) : [],
);

/** What an import must not do, or null when it may. */
function offence(entry: Import): string | null {
  const { file, target, own } = entry;
  const inside = (folder: string) => own && (target === folder || target.startsWith(`${folder}/`));
  if (isTest(file)) return null;
  // What was once written over data stays as it is: it imports nothing that lives on.
  const frozen = ['src/server/persistence/migrations/', 'src/core/formats/project/upgrades/'];
  if (frozen.some((folder) => file.startsWith(folder)) && own)
    return frozen.some((folder) => target.startsWith(folder.slice(0, -1)))
      ? null
      : 'migrations and upgrades are frozen';
  if (file.startsWith('src/core/')) {
    const folder = file.split('/')[2] ?? '';
    if (!coreOrder.includes(folder)) return `"${folder}" is no folder of the core`;
    if (!own) return corePackages[folder]?.includes(target) ? null : `core/${folder} imports the package "${target}"`;
    if (!inside('src/core')) return 'the core imports only the core';
    const wanted = target.split('/')[2] ?? '';
    return coreOrder.indexOf(wanted) <= coreOrder.indexOf(folder) && coreOrder.includes(wanted)
      ? null
      : `core/${folder} may not import core/${wanted}, which stands above it`;
  }
  if (file.startsWith('src/contract/')) {
    if (own) return inside('src/core') || inside('src/contract') ? null : 'the contract imports core and contract only';
    return target === 'zod' ? null : `the contract imports the package "${target}"`;
  }
  if (file.startsWith('src/server/')) {
    if (own)
      return inside('src/core') || inside('src/contract') || inside('src/server')
        ? null
        : 'the server imports core, contract and server only';
    const place = file.split('/')[2] ?? '';
    if (/^(hono|@hono\/.*)$/.test(target))
      return place === 'http' || place === 'main.ts' ? null : 'hono is for http only';
    if (target === 'typeorm') return place === 'persistence' ? null : 'typeorm is for persistence only';
    return null;
  }
  if (file.startsWith('src/web/')) {
    if (!own) return /^node:/.test(target) ? 'the page has no Node' : null;
    if (inside('src/server')) return entry.typeOnly ? null : 'the page takes only types from the server';
    if (!inside('src/core') && !inside('src/contract') && !inside('src/web'))
      return 'the page imports core, contract and web only';
    const stage = /^src\/web\/stages\/([^/]+)/.exec(file)?.[1];
    const other = /^src\/web\/stages\/([^/]+)(\/.+)?$/.exec(target);
    // The tables of pages bring each by itself, when it is first opened.
    const isPage =
      ['src/web/app/Pages.tsx', 'src/web/app/stages.ts'].includes(file) && entry.text.includes('await import(');
    if (other && other[1] !== stage && other[2] !== undefined && other[2] !== '/index' && !isPage)
      return 'a stage is imported through its index';
    if (file.startsWith('src/web/ui/') && inside('src/web') && !inside('src/web/ui'))
      return 'widgets know nothing of the app';
    return null;
  }
  if (file.startsWith('e2e/') || file.startsWith('bench/')) {
    if (!own) return null;
    if (inside('e2e') || inside('bench') || inside('src/core') || inside('scripts/lib')) return null;
    // The bench times the snapshot against the very same statement, bare.
    return file.startsWith('bench/') && target === 'src/server/persistence/sql/snapshot'
      ? null
      : 'journeys and benchmarks use what a user has';
  }
  return null;
}

describe('the walls between the folders', () => {
  it('sees the imports of all parts', () => {
    for (const part of ['src/core/', 'src/contract/', 'src/server/', 'src/web/', 'e2e/'])
      expect(everyImport.some((entry) => entry.file.startsWith(part))).toBe(true);
    expect(everyImport.length).toBeGreaterThan(500);
  });

  it('stand', () => {
    const broken = everyImport.flatMap((entry) => {
      const reason = offence(entry);
      return reason === null ? [] : [`${entry.file}:${entry.line}  ${entry.text}\n    ${reason}`];
    });
    expect(broken).toEqual([]);
  });

  it('would fall over a wrong import', () => {
    const wrong = (file: string, target: string, own = false): Import => ({
      file,
      line: 1,
      text: '',
      target,
      own,
      typeOnly: false,
    });
    expect(offence(wrong('src/core/plan/x.ts', 'react'))).toMatch('react');
    expect(offence(wrong('src/core/kernel/x.ts', 'src/core/plan/purse', true))).toMatch('above');
    expect(offence(wrong('src/contract/x.ts', 'hono'))).toMatch('hono');
    expect(offence(wrong('src/server/usecases/x.ts', 'typeorm'))).toMatch('persistence');
    expect(offence(wrong('src/web/stages/hunt/x.ts', 'src/web/stages/compare/Chip', true))).toMatch('index');
    expect(offence(wrong('src/web/app/x.ts', 'src/server/app', true))).toMatch('types');
    expect(offence(wrong('src/core/formats/project/upgrades/x.ts', 'src/core/state/brief', true))).toMatch('frozen');
    expect(offence(wrong('src/core/plan/x.ts', 'zod'))).toMatch('zod');
  });
});

describe('SQL by hand', () => {
  const handwritten = /\b(?:manager|source|queryRunner|connection)\.query\(/;
  const allowed = ['src/server/persistence/sql/', 'src/server/persistence/migrations/'];

  it('stands in one folder, where each file tells why', () => {
    const files = filesUnder(join(root, 'src/server')).filter((path) => !isTest(relative(root, path)));
    const places = files
      .filter((path) => handwritten.test(readFileSync(path, 'utf8')))
      .map((path) => relative(root, path));
    expect(places.filter((file) => !allowed.some((folder) => file.startsWith(folder)))).toEqual([]);
    // The one door that all of it goes through, and the migrations, are seen: this can fail.
    expect(places).toContain('src/server/persistence/sql/statement.ts');
    expect(places.some((file) => file.startsWith('src/server/persistence/migrations/'))).toBe(true);
  });
});
