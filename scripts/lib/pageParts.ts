import { readdirSync } from 'node:fs';

/** The modules that a module imports from its beginning, by their paths. */
export type ImportsOf = (id: string) => readonly string[];

/** Pages that stand before the plan is there; what computes it comes after them. By their paths under the stages. */
export const EARLY_PAGES = [
  'brief/BriefPage',
  'house/HousePage',
  'sketch/SketchPage',
  'hunt/HuntPage',
  'hunt/card/CardPage',
  'history/HistoryPage',
  'sheet/SheetPage',
];

/** Those of them that stand outside of a project too: they take the little that they need of it, and not all. */
export const OUTSIDE_PAGES = ['history/HistoryPage', 'sheet/SheetPage'];

/** All of a package at once: whoever imports it takes what it names, and not what stands there. */
const isBarrel = (id: string) => /[\\/]antd[\\/]es[\\/]index\.js$/.test(id);
const isOfPackage = (id: string) => id.includes('node_modules');

/** Modules that some modules bring along, themselves among them, as far as they are followed. */
function broughtBy(roots: readonly string[], importsOf: ImportsOf, isFollowed: (id: string) => boolean): Set<string> {
  const seen = new Set<string>();
  const open = [...roots];
  for (let id = open.pop(); id !== undefined; id = open.pop()) {
    if (seen.has(id) || !isFollowed(id)) continue;
    seen.add(id);
    open.push(...importsOf(id));
  }
  return seen;
}

/**
 * Packs modules that always come together into one file, where each of hundreds would be asked for by itself: packages
 * that every page begins with, the frame around all pages, what the start page brings, what an open project adds to it, what computes a plan, what
 * acts need and no page shows. What a page takes of a part without the rest of it is a file for each set of pages that
 * does. No part imports from a later one, and none from the page's entry: files that import each other in a circle would
 * run before what they use.
 * @param web folder of the page's source, with a slash at its end
 * @returns the part of a module; null for what is left to the bundler, and for the roots themselves
 */
export function pageParts(web: string): (id: string, importsOf: ImportsOf) => string | null {
  const pages = readdirSync(`${web}stages`, { recursive: true, encoding: 'utf8' })
    .filter((path) => path.endsWith('Page.tsx'))
    .map((path) => `${web}stages/${path.replaceAll('\\', '/')}`);
  const roots = {
    frame: [`${web}main.tsx`],
    start: [`${web}stages/projects/ProjectsPage.tsx`],
    project: [`${web}app/ProjectShell.tsx`],
    plan: [`${web}app/planner.ts`],
    acts: [`${web}sync/acting.ts`],
  };
  const entries = new Set([...pages, ...Object.values(roots).flat()]);
  type Known = Record<keyof typeof roots | 'pages' | 'first', Set<string>> & Record<'outside' | 'early', Set<string>[]>;
  let known: Known | null = null;
  const pathOf = (page: string) => `${web}stages/${page}.tsx`;
  const look = (importsOf: ImportsOf): Known => {
    const own = (of: readonly string[]) => broughtBy(of, importsOf, (id) => !isOfPackage(id));
    known ??= {
      first: broughtBy([`${web}main.tsx`], importsOf, (id) => !isBarrel(id)),
      frame: own(roots.frame),
      start: own(roots.start),
      project: own(roots.project),
      plan: own(roots.plan),
      acts: own(roots.acts),
      pages: own(pages),
      outside: OUTSIDE_PAGES.map((page) => own([pathOf(page)])),
      early: EARLY_PAGES.map((page) => own([pathOf(page)])),
    };
    return known;
  };
  return (id, importsOf) => {
    if (entries.has(id)) return null;
    const { first, frame, start, project, outside, plan, acts, pages: shown, early } = look(importsOf);
    // What brings parts later is made by the bundler, and used by all.
    if (id.includes('vite/preload-helper')) return 'first';
    if (frame.has(id)) return 'frame';
    // Also what stands in for something of a package.
    if (first.has(id)) return 'first';
    if (isOfPackage(id)) return null;
    // A file for each set of pages that takes it without the rest.
    const taken = (part: string, by: readonly Set<string>[]) =>
      [part, ...by.flatMap((brought, n) => (brought.has(id) ? [n] : []))].join('-');
    if (start.has(id)) return taken('start', outside);
    if (project.has(id)) return taken('project', outside);
    if (plan.has(id)) return taken('plan', early);
    return acts.has(id) && !shown.has(id) ? 'acts' : null;
  };
}
