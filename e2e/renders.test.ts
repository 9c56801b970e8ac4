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
  const total = async () => (await rendersSince(person)).total;

  it('the counting itself sees a page being drawn', async () => {
    expect(await total()).toBeGreaterThan(await chips());
  });

  it('on a tick of the clock: the dates’ readers, and no chip whose day stays the same', async () => {
    await total();
    await person.driver.executeScript('for (const work of window.__minute) work();');
    await person.driver.sleep(700);
    const drawn = await total();
    expect(drawn).toBeGreaterThan(0);
    // Fewer than there are chips: they stay as they are.
    expect(drawn).toBeLessThan(await chips());
  });

  it('on one choice: far less than the whole board', async () => {
    await person.driver.navigate().refresh();
    await person.seeText('Which way for each slot?');
    await person.driver.sleep(1500);
    const whole = await total();
    await person.click('(//*[@data-chip and @aria-pressed="false" and not(@disabled)])[1]');
    await person.saved();
    await person.driver.sleep(700);
    const drawn = await total();
    expect(drawn).toBeGreaterThan(0);
    expect(drawn).toBeLessThan(whole / 2);
    // And back, so that the demo stands as it was.
    await person.press('Take it back');
    await person.saved();
  });
});
