import { describe, expect, it } from 'vitest';
import { Key, Person } from './lib/browser';
import { demoAndPerson } from './lib/demo';

const { euporia, person } = await demoAndPerson();

/** What the board says of the chosen option, as one reads it. */
const chosenChip = '//button[@data-chip and @aria-pressed="true"]';

describe('one real piece, from its tag price to a decision', () => {
  it('is entered, painted, compared with a new one and chosen in at most 40 interactions', async () => {
    await person.goto(euporia.address);
    await person.seeText('Attic bedroom');
    await person.press('New project');
    await person.fill('Name', 'Landing');
    await person.fill('Budget', '150');
    await person.press('Make the project');
    await person.stage('Sketch');

    // Spot and slot.
    await person.fill('Name of the new spot', 'Landing wall', 'enter');
    await person.fill('Width', '72');
    await person.fill('Name of the new slot', 'Nightstand', 'enter');
    await person.fill('Height', 'at most 27');

    // Find, by the quick line.
    await person.stage('Hunt');
    await person.fill(
      'Quick line: what, price, what happened to it',
      'nightstand, $24, half off, one drawer sticks, glossy varnish',
      'enter',
    );
    await person.seeText('At the till');
    expect(await person.text()).toContain('$12.00');

    // As a makeover for the slot.
    await person.press('Make over');
    await person.see('//section[@aria-label="Layers"]');
    await person.press('New color');
    await person.fill('Name of the color', 'Harbor teal');
    await person.fill('Color code', '#2f5d62');
    await person.press('Keep color');
    await person.seeText('Chalk-type paint, Harbor teal');
    await person.seeText('Bonding primer');
    await person.seeText('may hold lead');

    // Buying new beside it.
    await person.stage('Compare');
    await person.press('+ buy new for Nightstand');
    await person.fill('What is it?', 'nightstand, new');
    await person.fill('What does it cost?', '88.40', 'enter');
    await person.seeText('the yardstick');
    await person.press('Makeover:');
    await person.see(chosenChip);
    await person.saved();
    expect(person.interactions).toBeLessThanOrEqual(40);
    const label = await (await person.see(chosenChip)).getAttribute('textContent');
    expect(label).toMatch(/^Makeover: Nightstand/);
    expect(await person.text()).toMatch(/1\/1|1 of 1 settled/);
  });

  it('moves the purse, says why line by line, and can be taken back', async () => {
    const planned = async () => (await person.see('//section[@aria-label="Purse"]/button[1]')).getText();
    const before = await planned();
    await person.press('Why: Makeover');
    await person.see('//aside[@aria-label="Why"]');
    await person.seeText('Bonding primer');
    await person.seeText('estimated');
    await person.press('Buy new:');
    await person.driver.wait(async () => (await planned()) !== before, 5000, 'the purse does not move');
    await person.saved();
    await person.press('Take it back');
    await person.driver.wait(async () => (await planned()) === before, 5000, 'the purse does not come back');
    await person.saved();
  });

  it('an assumption changed in the why panel becomes an override, listed and reset on its page', async () => {
    await person.press('Why: Makeover');
    await person.press('Hours');
    const hours = '//*[@data-testid="why-total"]';
    const before = await (await person.see(hours)).getText();
    await person.click('//button[contains(@aria-label,"Overhead") and contains(@aria-label,"change")]');
    await person.fill('Overhead on hands-on time', '40', 'enter');
    await person.driver.wait(async () => (await (await person.see(hours)).getText()) !== before, 5000, 'hours stay');
    await person.saved();
    await person.press('Assumptions (1)');
    await person.seeText('Overhead on hands-on time');
    await person.press('Reset all');
    await person.notText('Assumptions (1)');
    await person.saved();
  });

  it('is all there after a reload, a restart of the server, and in another browser', async () => {
    await person.stage('Compare');
    const label = await (await person.see(chosenChip)).getAttribute('textContent');
    await person.driver.navigate().refresh();
    expect(await (await person.see(chosenChip)).getAttribute('textContent')).toBe(label);
    await euporia.interrupt();
    await euporia.again();
    await person.driver.navigate().refresh();
    expect(await (await person.see(chosenChip)).getAttribute('textContent')).toBe(label);
    const other = await Person.open();
    try {
      await other.goto(await person.driver.getCurrentUrl());
      expect(await (await other.see(chosenChip)).getAttribute('textContent')).toBe(label);
    } finally {
      await other.close();
    }
  });

  it('goes by the keyboard alone: from chip to chip, chosen with Enter, why with w', async () => {
    await person.driver.executeScript('document.querySelector("[data-chip][aria-pressed=true]").focus()');
    await person.key(Key.ARROW_RIGHT);
    await person.key(Key.ENTER);
    await person.see('//button[@data-chip and @aria-pressed="true" and starts-with(.,"Buy new")]');
    await person.key('u');
    await person.see('//button[@data-chip and @aria-pressed="true" and starts-with(.,"Makeover")]');
    await person.key('?');
    await person.seeText('This sheet');
    await person.key(Key.ESCAPE);
    await person.key('b');
    await person.see('//h1[normalize-space(.)="Brief"]');
    await person.saved();
  });

  it('a bad field says at its place what was typed and what is accepted, and keeps it', async () => {
    await person.fill('Budget', 'lots');
    await person.seeText('“lots” is not an amount of money');
    expect(await person.valueOf('Budget')).toBe('lots');
    await person.fill('Budget', '160');
    await person.notText('“lots”');
    await person.saved();
  });
});
