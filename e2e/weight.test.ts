import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import { EARLY_PAGES, OUTSIDE_PAGES } from '../scripts/lib/pageParts';
import { ROOT } from './lib/euporia';

/**
 * How much JavaScript a page brings before it can be used, packed with gzip: what its own file imports, and what those
 * import. What comes afterwards (a drawer, a chart, what acts need, the solver in its worker) is not in it.
 */
interface Part {
  file: string;
  imports?: string[];
}
let parts: Record<string, Part>;

beforeAll(() => {
  // Built only where something changed since.
  const built = spawnSync(process.execPath, [join(ROOT, 'scripts/build.mjs')], { cwd: ROOT, stdio: 'inherit' });
  expect(built.status).toBe(0);
  parts = JSON.parse(readFileSync(join(ROOT, 'dist/page.json'), 'utf8')) as Record<string, Part>;
});

/** Everything that some parts of the page import, themselves among it; files in the built page. */
function filesOf(roots: readonly string[]): Set<string> {
  const seen = new Set<string>();
  const open = [...roots];
  for (let name = open.pop(); name !== undefined; name = open.pop()) {
    const part = parts[name];
    if (!part) throw new Error(`the page has no part “${name}”`);
    if (seen.has(part.file)) continue;
    seen.add(part.file);
    open.push(...(part.imports ?? []));
  }
  return seen;
}

/** Sum of the packed files, in thousands of bytes; what is too small to be packed counts as it is. */
function weightKb(roots: readonly string[]): number {
  const sizes = [...filesOf(roots)].map((file) => {
    const path = join(ROOT, 'dist/web', file);
    try {
      return readFileSync(`${path}.gz`).length;
    } catch {
      return readFileSync(path).length;
    }
  });
  return sizes.reduce((sum, size) => sum + size, 0) / 1000;
}

const SHELL = ['index.html', 'app/ProjectShell.tsx'];
const PLAN = 'app/planner.ts';
const stage = (path: string) => [...SHELL, `stages/${path}.tsx`];
const early = EARLY_PAGES.filter((path) => !OUTSIDE_PAGES.includes(path));

describe('what a page brings before it can be used', () => {
  it('is little for the start page, which draws its pictures after itself, and for what stands outside of a project', () => {
    expect(weightKb(['index.html', 'stages/projects/ProjectsPage.tsx'])).toBeLessThan(180);
    expect(weightKb(['index.html', 'stages/sheet/SheetPage.tsx'])).toBeLessThan(205);
    expect(weightKb(['index.html', 'stages/history/HistoryPage.tsx'])).toBeLessThan(230);
  });

  it('is no more than 400 for any page, with what computes a plan', () => {
    const pages = Object.keys(parts).filter((name) => /^stages\/.*Page\.tsx$/.test(name));
    expect(pages.length).toBeGreaterThan(35);
    const papers = ['Client', 'Makers', 'Bought'].map((which) => [
      'wrap/sheets/SheetsPage',
      `wrap/sheets/${which}Paper`,
    ]);
    const all = [...pages.map((page) => [page]), ...papers.map((files) => files.map((path) => `stages/${path}.tsx`))];
    const heavy = all.flatMap((files) => {
      const kb = weightKb([...SHELL, PLAN, ...files]);
      return kb < 400 ? [] : [`${files.join(' and ')}: ${kb.toFixed(1)}`];
    });
    expect(heavy).toEqual([]);
  });

  it.each(early)('is without the plan for %s, which stands before it is there', (path) => {
    expect(weightKb(stage(path))).toBeLessThan(280);
    // And the plan is really not among it.
    expect(weightKb([...stage(path), PLAN]) - weightKb(stage(path))).toBeGreaterThan(90);
  });

  it('comes in files of which none imports itself in a circle: they would run before what they use', () => {
    const importsOf = new Map<string, Set<string>>();
    for (const { file, imports = [] } of Object.values(parts)) {
      const known = importsOf.get(file) ?? new Set();
      for (const name of imports) known.add(parts[name]?.file ?? name);
      importsOf.set(file, known);
    }
    // Files whose imports are all done are done; what is left in the end waits for itself.
    const open = new Set(importsOf.keys());
    for (let before = -1; open.size !== before; ) {
      before = open.size;
      for (const file of open) if ([...(importsOf.get(file) ?? [])].every((name) => !open.has(name))) open.delete(file);
    }
    expect(importsOf.size).toBeGreaterThan(100);
    expect([...open]).toEqual([]);
  });

  it('comes in few files: each of them is a way to the server and back', () => {
    expect(filesOf(['index.html', 'stages/projects/ProjectsPage.tsx']).size).toBeLessThan(15);
    for (const path of early) expect(filesOf(stage(path)).size, path).toBeLessThan(70);
    expect(filesOf([...stage('compare/ComparePage'), PLAN]).size).toBeLessThan(70);
  });

  it('is without what only a few look at: the solver, documents, charts, what acts need', () => {
    for (const path of [...early, 'bench/StepPage']) {
      const files = [...filesOf(stage(path))].join(' ');
      for (const name of ['highs', 'writePdf', 'Chart', 'ArtworkEditor', 'acting', 'acts', 'worker-'])
        expect(files, `${path} brings ${name}`).not.toContain(`/${name}`);
    }
  });
});
