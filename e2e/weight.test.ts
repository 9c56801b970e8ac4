import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
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
const stage = (path: string) => [...SHELL, `stages/${path}.tsx`];

describe('what a page brings before it can be used', () => {
  it('is little for the start page, which draws its pictures after itself', () => {
    expect(weightKb(['index.html', 'stages/projects/ProjectsPage.tsx'])).toBeLessThan(205);
    expect(weightKb(['index.html', 'stages/sheet/SheetPage.tsx'])).toBeLessThan(230);
  });

  it.each([
    'brief/BriefPage',
    'house/HousePage',
    'sketch/SketchPage',
    'sketch/HuntingListPage',
    'hunt/HuntPage',
    'hunt/card/CardPage',
    'makeover/MakeoverPage',
    'compare/ComparePage',
    'balance/BalancePage',
    'balance/ShoppingListPage',
    'bench/BenchPage',
    'bench/StepPage',
    'arrange/ArrangePage',
    'arrange/HangPage',
    'assumptions/AssumptionsPage',
  ])('is no more than it was for %s', (path) => {
    // The aim is 400; what computes a plan is half of it, and each stage draws on it.
    expect(weightKb(stage(path))).toBeLessThan(660);
  });

  it('is without what only a few look at: the solver, documents, charts, what acts need', () => {
    for (const path of ['brief/BriefPage', 'hunt/card/CardPage', 'bench/StepPage']) {
      const files = [...filesOf(stage(path))].join(' ');
      for (const name of ['highs', 'writePdf', 'Chart', 'ArtworkEditor', 'typed', 'worker-'])
        expect(files, `${path} brings ${name}`).not.toContain(`/${name}`);
    }
  });
});
