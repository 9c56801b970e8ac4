import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { EARLY_PAGES, OUTSIDE_PAGES, pageParts } from './pageParts';
import { temporaryFolder } from './temporary.mjs';

const folder = temporaryFolder('euporia-parts');
const web = `${folder}/`;
const page = (path: string) => `${web}stages/${path}.tsx`;

for (const path of [...EARLY_PAGES, 'compare/ComparePage', 'projects/ProjectsPage']) {
  mkdirSync(join(folder, 'stages', path, '..'), { recursive: true });
  writeFileSync(page(path), '');
}

/** What imports what: a made-up page with one module of each kind. */
const imports: Record<string, string[]> = {
  [`${web}main.tsx`]: [
    'core/money',
    '/node_modules/react/index.js',
    '/node_modules/antd/es/index.js',
    `${web}tokens.css`,
  ],
  [page('projects/ProjectsPage')]: ['core/money', 'core/cover'],
  [`${web}app/ProjectShell.tsx`]: ['core/money', 'core/purse', 'core/pictures'],
  [`${web}app/planner.ts`]: ['core/plan', 'core/catalog'],
  'core/plan': ['core/catalog', 'core/purse', 'core/steps'],
  [`${web}sync/acting.ts`]: ['core/acts', 'core/newRow', 'core/catalog'],
  [page('hunt/card/CardPage')]: ['core/catalog', 'core/quickLine'],
  [page('sheet/SheetPage')]: ['core/pictures'],
  [page('compare/ComparePage')]: ['core/steps', 'core/newRow'],
  '/node_modules/antd/es/index.js': ['/node_modules/antd/es/table/index.js'],
  '/node_modules/react/index.js': ['/node_modules/react/cjs.js', `${web}app/standIn.ts`],
};
const partOf = pageParts(web);
const of = (id: string) => partOf(id, (module) => imports[module] ?? []);

describe('the parts of the page', () => {
  it('begin with the packages that every page begins with, and what brings parts later', () => {
    expect(of('/node_modules/react/cjs.js')).toBe('first');
    expect(of('\0vite/preload-helper.js')).toBe('first');
    expect(of(`${web}app/standIn.ts`)).toBe('first');
    // All of the components of a package stand in its barrel; nobody takes them all.
    expect(of('/node_modules/antd/es/table/index.js')).toBeNull();
  });

  it('are the frame, what the start page brings, what a project adds, what computes a plan, what acts need', () => {
    expect(of('core/money')).toBe('frame');
    expect(of(`${web}tokens.css`)).toBe('frame');
    expect(of('core/cover')).toBe('start');
    expect(of('core/purse')).toBe('project');
    expect(of('core/plan')).toBe('plan');
    expect(of('core/steps')).toBe('plan');
    expect(of('core/acts')).toBe('acts');
  });

  it('are apart where some page takes a little of one and not all of it', () => {
    const card = EARLY_PAGES.indexOf('hunt/card/CardPage');
    expect(of('core/catalog')).toBe(`plan-${card}`);
    expect(of('core/pictures')).toBe(`project-${OUTSIDE_PAGES.indexOf('sheet/SheetPage')}`);
  });

  it('leave to the bundler what one page has alone, what a page shares with acts, and entries', () => {
    for (const id of [
      'core/quickLine',
      'core/newRow',
      `${web}main.tsx`,
      `${web}app/planner.ts`,
      page('hunt/card/CardPage'),
    ])
      expect(of(id), id).toBeNull();
  });
});
