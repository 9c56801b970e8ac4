import type { Person } from './browser';

/**
 * Counts which components React draws, from the next page that is opened on. React tells its commits to whoever stands
 * at the hook for developer tools, in production too; a component was drawn when its fiber was made anew in the commit
 * and did work.
 */
export async function countRenders(person: Person): Promise<void> {
  await person.devtools('Page.addScriptToEvaluateOnNewDocument', { source: `(${watchCommits.toString()})()` });
}

/** Runs in the page. */
function watchCommits(): void {
  interface Fiber {
    tag: number;
    flags: number;
    child: Fiber | null;
    sibling: Fiber | null;
    alternate: Fiber | null;
    type: { name?: string; displayName?: string } | null;
    memoizedProps: object | null;
  }
  const page = window as unknown as {
    __renders: { total: number; by: Record<string, number>; byProp: Record<string, number> };
    __REACT_DEVTOOLS_GLOBAL_HOOK__: object;
  };
  page.__renders = { total: 0, by: {}, byProp: {} };
  const PERFORMED_WORK = 1;
  // Function, class, forwarded, memo and simple memo components.
  const components = [0, 1, 11, 14, 15];
  const count = (fiber: Fiber) => {
    const name = fiber.type?.displayName ?? fiber.type?.name ?? 'unnamed';
    page.__renders.total += 1;
    page.__renders.by[name] = (page.__renders.by[name] ?? 0) + 1;
    const { byProp } = page.__renders;
    for (const prop of Object.keys(fiber.memoizedProps ?? {})) byProp[prop] = (byProp[prop] ?? 0) + 1;
  };
  const visit = (fiber: Fiber) => {
    if (components.includes(fiber.tag) && (fiber.alternate === null || (fiber.flags & PERFORMED_WORK) !== 0))
      count(fiber);
    // Children that were not touched are the very fibers that hung there before.
    if (fiber.alternate !== null && fiber.child === fiber.alternate.child) return;
    for (let child = fiber.child; child !== null; child = child.sibling) visit(child);
  };
  page.__REACT_DEVTOOLS_GLOBAL_HOOK__ = {
    supportsFiber: true,
    inject: () => 1,
    onCommitFiberUnmount: () => {},
    onPostCommitFiberRoot: () => {},
    onCommitFiberRoot: (_id: number, root: { current: Fiber }) => visit(root.current),
  };
}

/**
 * What was drawn since the last time this was asked: in all, by component, and by what components were given. Names are
 * shortened in what is served; the names of properties stay.
 */
export async function rendersSince(
  person: Person,
): Promise<{ total: number; by: Record<string, number>; byProp: Record<string, number> }> {
  return (await person.driver.executeScript(
    'const seen = window.__renders; window.__renders = { total: 0, by: {}, byProp: {} }; return seen;',
  )) as { total: number; by: Record<string, number>; byProp: Record<string, number> };
}
