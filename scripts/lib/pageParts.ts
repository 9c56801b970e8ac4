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

/** Modules of our own that some modules bring along, themselves among them; style sheets and packages are not followed. */
function broughtBy(roots: readonly string[], importsOf: ImportsOf): Set<string> {
  const seen = new Set<string>();
  const open = [...roots];
  for (let id = open.pop(); id !== undefined; id = open.pop()) {
    if (seen.has(id) || id.includes('node_modules') || id.endsWith('.css')) continue;
    seen.add(id);
    open.push(...importsOf(id));
  }
  return seen;
}

/**
 * Packs modules that always come together into one file, where each of hundreds would be asked for by itself: what the
 * start page brings, what an open project adds to it, what computes a plan, what acts need and no page shows. What a page
 * takes of a part without the rest of it is a file for each set of pages that does. No part imports from a later one.
 * @param web folder of the page's source, with a slash at its end
 * @returns the part of a module; null for what is left to the bundler, and for the roots themselves
 */
export function pageParts(web: string): (id: string, importsOf: ImportsOf) => string | null {
  const pages = readdirSync(`${web}stages`, { recursive: true, encoding: 'utf8' })
    .filter((path) => path.endsWith('Page.tsx'))
    .map((path) => `${web}stages/${path.replaceAll('\\', '/')}`);
  const roots = {
    frame: [`${web}main.tsx`, `${web}stages/projects/ProjectsPage.tsx`],
    project: [`${web}app/ProjectShell.tsx`],
    plan: [`${web}app/planner.ts`],
    acts: [`${web}sync/typed.ts`, `${web}sync/foreseen.ts`],
  };
  const entries = new Set([...pages, ...Object.values(roots).flat()]);
  let known: Record<keyof typeof roots | 'pages', Set<string>> & Record<'outside' | 'early', Set<string>[]>;
  const pathOf = (page: string) => `${web}stages/${page}.tsx`;
  const look = (importsOf: ImportsOf) => {
    known ??= {
      frame: broughtBy(roots.frame, importsOf),
      project: broughtBy(roots.project, importsOf),
      plan: broughtBy(roots.plan, importsOf),
      acts: broughtBy(roots.acts, importsOf),
      pages: broughtBy(pages, importsOf),
      outside: OUTSIDE_PAGES.map((page) => broughtBy([pathOf(page)], importsOf)),
      early: EARLY_PAGES.map((page) => broughtBy([pathOf(page)], importsOf)),
    };
    return known;
  };
  return (id, importsOf) => {
    if (entries.has(id)) return null;
    const { frame, project, outside, plan, acts, pages: shown, early } = look(importsOf);
    if (frame.has(id)) return 'frame';
    // A file for each set of pages that takes it without the rest.
    const taken = (part: string, by: readonly Set<string>[]) =>
      [part, ...by.flatMap((brought, n) => (brought.has(id) ? [n] : []))].join('-');
    if (project.has(id)) return taken('project', outside);
    if (plan.has(id)) return taken('plan', early);
    return acts.has(id) && !shown.has(id) ? 'acts' : null;
  };
}
