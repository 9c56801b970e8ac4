import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Person } from './lib/browser';
import { Euporia } from './lib/euporia';
import { countRenders, rendersSince } from './lib/renders';

/** Takes note of the page's clock, so that a minute passes when a test says so. */
const CLOCK = `
  window.__minute = [];
  const set = window.setInterval.bind(window);
  window.setInterval = (work, ms, ...rest) => { if (ms === 60000) window.__minute.push(work); return set(work, ms, ...rest); };
`;

describe('what is drawn anew on the board', () => {
  let euporia: Euporia;
  let person: Person;
  beforeAll(async () => {
    // Between two evenings: a minute changes no date.
    euporia = await Euporia.start({ env: { EUPORIA_NOW: '2026-06-01T09:00:00-04:00' } });
    person = await Person.open();
    await countRenders(person);
    await person.devtools('Page.addScriptToEvaluateOnNewDocument', { source: CLOCK });
    const { projects } = (await euporia.json('/api/projects')) as { projects: { id: string; name: string }[] };
    const attic = projects.find((project) => project.name === 'Attic bedroom');
    await person.goto(`${euporia.address}/p/${attic?.id}/compare`);
    await person.seeText('Which way for each slot?');
    await person.driver.sleep(1500);
  });
  afterAll(async () => {
    await person?.close();
    await euporia?.remove();
  });
  const chips = () => person.count('//*[@data-chip]');
  /** Chips are what is given a remark, rows what is given the day. */
  const drawn = async () => {
    const { total, byProp } = await rendersSince(person);
    return { total, chips: byProp.remark ?? 0, rows: byProp.today ?? 0 };
  };

  it('the counting itself sees every chip and row of a page that is opened', async () => {
    const seen = await drawn();
    const there = await chips();
    expect(there).toBeGreaterThan(20);
    expect(seen.chips).toBeGreaterThanOrEqual(there);
    expect(seen.rows).toBeGreaterThan(8);
    expect(seen.total).toBeGreaterThan(there);
  });

  it('on a tick of the clock: what shows the time left, and no chip whose day stays the same', async () => {
    await drawn();
    await person.driver.executeScript('for (const work of window.__minute) work();');
    await person.driver.sleep(700);
    const seen = await drawn();
    expect(seen.total).toBeGreaterThan(0);
    expect(seen.chips).toBe(0);
  });

  it('on one choice: the chips that say something else, and not the board', async () => {
    await drawn();
    // A slot that shares nothing with others: only what it costs by itself changes.
    await person.click('(//*[@data-chip and @aria-pressed="false" and not(@disabled)])[last()]');
    await person.saved();
    await person.driver.sleep(700);
    const seen = await drawn();
    expect(seen.chips).toBeGreaterThan(0);
    expect(seen.chips).toBeLessThan((await chips()) / 2);
    // And back, so that the demo stands as it was.
    await person.press('Take it back');
    await person.saved();
  });
});
