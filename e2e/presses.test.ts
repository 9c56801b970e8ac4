import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Person } from './lib/browser';
import { Euporia } from './lib/euporia';

/**
 * Whole jobs from an empty studio, counted in presses: every click, key and filled field. The bounds are what the work
 * may take at most; before the ways were proposed the first took about 40, the second 118.
 */
let euporia: Euporia;
let person: Person;

beforeAll(async () => {
  euporia = await Euporia.start({ env: { EUPORIA_DEMO: '' } });
  person = await Person.open();
});
afterAll(async () => {
  await person?.close();
  await euporia?.remove();
});

async function newProject(name: string, budget: string): Promise<void> {
  await person.goto(euporia.address);
  await person.press('New project');
  await person.fill('Name', name);
  await person.fill('Budget', budget);
  await person.press('Make the project');
  await person.stage('Sketch');
  await person.see('//input[@aria-label="Name of the new spot"]');
}

/** Presses that something took. */
async function presses(work: () => Promise<void>): Promise<number> {
  const before = person.interactions;
  await work();
  return person.interactions - before;
}

describe('from nothing', () => {
  it('a hunting list of three slots stands in 20 presses', async () => {
    const took = await presses(async () => {
      await newProject('Landing', '120');
      await person.fill('Name of the new spot', 'Console', 'enter');
      for (const slot of ['Lamp', 'Round mirror', 'Basket']) await person.fill('Name of the new slot', slot, 'enter');
      await person.press('Hunting list');
      await person.seeText('Round mirror');
    });
    expect(took).toBeLessThanOrEqual(20);
  });

  it('a thrifted basket becomes a chosen whitewash in 15 presses', async () => {
    const took = await presses(async () => {
      await newProject('Hall', '60');
      await person.fill('Name of the new spot', 'Hall bench', 'enter');
      await person.fill('Name of the new slot', 'Basket for shoes', 'enter');
      await person.stage('Compare');
      await person.press('+ makeover for Basket for shoes');
      await person.fill('What is it?', 'wicker basket $4');
      await person.fill('What would you do with it?', 'whitewash', 'stay');
      await person.press('Wash, thinned with water, wall acrylic');
      await person.press('Makeover: Wicker basket');
      await person.seeText('1 of 1 settled');
    });
    expect(took).toBeLessThanOrEqual(15);
    await person.press('Open the recipe');
    await person.seeText('wash, thinned with water');
    // A jar by its volume: half of it is water.
    await person.fill('Mix so much at once', '8 fl oz');
    await person.seeText('4.0 fl oz paint and 4.0 fl oz water');
    await person.saved();
  });

  it('a table of the house, painted, is held against a new one in 30 presses', async () => {
    const took = await presses(async () => {
      await newProject('Kitchen', '250');
      await person.fill('Name of the new spot', 'Kitchen', 'enter');
      await person.fill('Name of the new slot', 'Table', 'enter');
      await person.stage('House');
      await person.press('Pieces');
      await person.fill('A piece in one line', 'pine table 48 x 30 x 29, kitchen', 'enter');
      await person.saved();
      await person.stage('Compare');
      await person.press('+ makeover for Table');
      await person.fill('What is it?', 'table', 'stay');
      await person.press('Pine table, kitchen');
      await person.fill('What would you do with it?', 'paint it sage', 'stay');
      await person.press('By brush, waterborne enamel');
      await person.press('+ buy new for Table');
      await person.fill('What is it?', 'pine table, new');
      await person.fill('What does it cost?', '189', 'enter');
      await person.press('Makeover: Pine table');
      await person.seeText('1 of 1 settled');
    });
    expect(took).toBeLessThanOrEqual(30);
    // The comparison stands: what an hour of the makeover earns against the new table.
    expect(await person.text()).toMatch(/earns \$\d/);
    await person.saved();
  });
});
