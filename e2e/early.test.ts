import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { Person } from './lib/browser';
import { Euporia, ROOT } from './lib/euporia';

/**
 * A page whose way to the server is so bad that what computes a plan does not come: what does not need it stands and can
 * be used, and the rest follows by itself as soon as it comes.
 */
const euporia = await Euporia.start();
const person = await Person.open({ width: 390, height: 844 });
afterAll(async () => {
  await person.close();
  await euporia.remove();
});

const parts = JSON.parse(readFileSync(join(ROOT, 'dist/page.json'), 'utf8')) as Record<string, { file: string }>;
const planner = parts['app/planner.ts']?.file ?? '';
const { projects } = (await euporia.json('/api/projects')) as { projects: { id: string; name: string }[] };
const attic = projects.find(({ name }) => name === 'Attic bedroom')?.id ?? '';
const withoutPlanner = async (isGone: boolean) => {
  await person.devtools('Network.enable', {});
  // What the app keeps on the device would be there at once.
  await person.devtools('Network.setBypassServiceWorker', { bypass: true });
  await person.devtools('Network.setBlockedURLs', { urls: isGone ? [`*${planner}`] : [] });
};
const asks = () =>
  person.driver.executeScript(
    'return performance.getEntriesByType("resource").filter(({ name }) => name.includes(arguments[0])).length',
    planner,
  ) as Promise<number>;

describe('before the plan is there', () => {
  it('the card takes what is said, and judges it when the plan comes', async () => {
    expect(planner).toMatch(/planner/);
    await withoutPlanner(true);
    await person.goto(`${euporia.address}/p/${attic}/hunt/card`);
    await person.fill('What is it, and its tag', 'nightstand, pine, $24', 'stay');
    await person.seeText('Working out the verdict');
    expect(await person.text()).not.toContain('Buy');
    await withoutPlanner(false);
    await person.see('//button[contains(., "Buy $")]');
    expect(await person.text()).not.toContain('Working out the verdict');
  });

  it('the sketch is measured and numbered, and what is typed is saved', async () => {
    await withoutPlanner(true);
    await person.goto(`${euporia.address}/p/${attic}/sketch`);
    await person.fill('Name of the new slot', 'A stool to sit on');
    await person.press('Add slot');
    await person.saved();
    await person.see('//ol//button[contains(., "A stool to sit on")]');
    await person.see('//*[@aria-busy="true"]');
    await withoutPlanner(false);
    // The purse comes, and the count of what there is to find, with the new slot in it.
    await person.see('//a[contains(., "Hunting list: 8 to find")]');
    expect(await asks()).toBeGreaterThan(0);
  });

  it('a page that is all about the plan says that it is worked out', async () => {
    await withoutPlanner(true);
    await person.goto(`${euporia.address}/p/${attic}/compare`);
    await person.seeText('Working out the plan');
    // Where it takes too long there is a way on; it is not needed here.
    await person.see('//button[normalize-space(.)="Load the page again"]');
    await withoutPlanner(false);
    await person.seeText('Which way for each slot?');
  });
});
