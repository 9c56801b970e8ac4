import { Person } from '../e2e/lib/browser';
import { countRenders, rendersSince } from '../e2e/lib/renders';

const show = (line: string) => process.stdout.write(`${line}\n`);
const middle = (list: readonly number[]) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? 0;

/** From the press to the frame that shows it, and the longest task on the way. */
const PRESS = `
  const done = arguments[1];
  const chip = arguments[0];
  const long = [];
  const watch = new PerformanceObserver((list) => { for (const entry of list.getEntries()) long.push(entry.duration); });
  watch.observe({ type: 'longtask' });
  const start = performance.now();
  chip.click();
  requestAnimationFrame(() => setTimeout(() => {
    const took = performance.now() - start;
    setTimeout(() => { watch.disconnect(); done([took, Math.max(0, ...long)]); }, 400);
  }));
`;

/** The board of a hundred slots: opened by a browser that has never seen it, then one choice after the other. */
export async function boardBench(address: string, projectId: string): Promise<void> {
  const first: number[] = [];
  const longest: number[] = [];
  const clicks: number[] = [];
  const clickTasks: number[] = [];
  const drawn: number[] = [];
  for (let round = 0; round < 3; round += 1) {
    const person = await Person.open();
    try {
      await countRenders(person);
      await person.devtools('Page.addScriptToEvaluateOnNewDocument', {
        source: `window.__long = []; new PerformanceObserver((list) => { for (const entry of list.getEntries()) window.__long.push(entry.duration); }).observe({ type: 'longtask', buffered: true });
          window.__first = 0; new MutationObserver((_, watch) => { if (document.querySelector('[data-chip]')) { watch.disconnect(); requestAnimationFrame(() => setTimeout(() => { window.__first = performance.now(); })); } }).observe(document, { childList: true, subtree: true });`,
      });
      await person.goto(`${address}/p/${projectId}/compare`);
      await person.see('//*[@data-chip]');
      await person.driver.sleep(2500);
      first.push((await person.driver.executeScript('return window.__first')) as number);
      longest.push((await person.driver.executeScript('return Math.max(0, ...window.__long)')) as number);
      if (round > 0) continue;
      for (let turn = 0; turn < 14; turn += 1) {
        await rendersSince(person);
        const chip = await person.driver.executeScript(
          'return [...document.querySelectorAll("[data-chip]:not([disabled])[aria-pressed=false]")][arguments[0]]',
          turn * 2,
        );
        const [took, task] = (await person.driver.executeAsyncScript(PRESS, chip)) as [number, number];
        const { total, by } = await rendersSince(person);
        // The first presses warm the page up.
        if (turn < 4) continue;
        clicks.push(took);
        clickTasks.push(task);
        drawn.push(total);
        if (turn === 6) show(`  drawn by one choice: ${JSON.stringify(by)}`);
      }
    } finally {
      await person.close();
    }
  }
  show(
    `board of 100 slots, cold browser: first chips after ${middle(first).toFixed(0)} ms; aim: 700 ms; longest task ${middle(longest).toFixed(0)} ms; aim: 100 ms`,
  );
  show(
    `one choice: click to next frame ${middle(clicks).toFixed(0)} ms; aim: 60 ms; longest task ${middle(clickTasks).toFixed(0)} ms; components drawn ${middle(drawn)}; aim: 250`,
  );
}
