import { describe, expect, it } from 'vitest';
import { demoAndPerson } from './lib/demo';

/** Ways that nobody had to think of, and whole plans beside each other, in the real page. */
const { euporia, person } = await demoAndPerson();

const proposed = (slot: string) => person.count(`//ul[@aria-label="Ways for ${slot}, proposed"]/li`);

describe('the attic of the demo', () => {
  it('has ways proposed for every open slot, struck out by a press, put on the board in one act', async () => {
    await person.goto(euporia.address);
    await person.press('Attic bedroom');
    await person.stage('Compare');
    const before = person.interactions;
    await person.press('Propose ways');
    await person.seeText('Tried on the plan as it stands.');
    const ways = await proposed('Hamper under the eaves');
    expect(ways).toBeGreaterThan(1);
    expect(ways).toBeLessThanOrEqual(5);
    await person.click('//ul[@aria-label="Ways for Hamper under the eaves, proposed"]/li[1]//input');
    const put = await person.see('//button[starts-with(normalize-space(),"Put ")]');
    const count = Number(/\d+/.exec(await put.getText())?.[0]);
    await put.click();
    await person.seeText('Ways added');
    expect(person.interactions - before).toBeLessThanOrEqual(3);
    await person.saved();
    const hamper = `//button[contains(., "+ another") and contains(., "Hamper under the eaves")]`;
    expect(await person.count(hamper)).toBeGreaterThan(0);
    expect(count).toBeGreaterThan(ways);
    await person.press('Take it back');
    await person.notText('Ways added');
    await person.saved();
  });

  it('has them for one slot, with what was thought of beside them and why it stays out', async () => {
    await person.press('propose ways: Nightstand, left');
    await person.seeText('Ways for 1 · Nightstand, left');
    await person.seeText('Tried on the plan as it stands.');
    expect(await proposed('Nightstand, left')).toBe(5);
    await person.click('//summary[contains(., "thought of")]');
    await person.seeText('fills slot 2, Nightstand, right');
    await person.press('Back to the board');
  });

  it('keeps a plan by name, and holds it against another slot by slot', async () => {
    await person.press('Plans');
    await person.seeText('No plan is kept yet');
    await person.fill('Keep what is chosen now as', 'As it began');
    await person.press('Keep this plan');
    await person.seeText('Both fill every slot alike.');
    await person.saved();
    await person.fill('Keep what is chosen now as', 'as it BEGAN');
    await person.seeText('is a plan already');
    await person.press('Back to the board');
    await person.press('Buy new: Two-drawer nightstand, new');
    await person.saved();
    await person.press('Plans');
    await person.seeText('Only what differs (1 of 22)');
    await person.press('Take As it began');
    await person.seeText('Both fill every slot alike.');
    await person.press('Take it back');
    await person.seeText('Only what differs (1 of 22)');
    await person.press('Take As it began');
    await person.saved();
  });

  it('shows the part of the board that is asked for, in the order that is asked for', async () => {
    await person.press('Back to the board');
    await person.choose('Show', 'open slots');
    const rows = '//h3[.="Nightstand, left" or .="Small lamp"]';
    await person.see('//h3[.="Small lamp"]');
    expect(await person.count(rows)).toBe(1);
    await person.choose('Show', 'every slot');
    await person.choose('In order', 'dearest choice first');
    await person.see('//h3[.="Nightstand, left"]');
    expect(await (await person.see(rows)).getText()).toBe('Nightstand, left');
    await person.choose('In order', 'by spot and number');
  });
});

describe('a shelf of our own', () => {
  it('is filled from a find and its finishes with no way thought up by hand', async () => {
    await person.goto(euporia.address);
    await person.press('New project');
    await person.fill('Name', 'Reading corner');
    await person.fill('Budget', '150');
    await person.press('Make the project');
    await person.stage('Sketch');
    await person.fill('Name of the new spot', 'Corner', 'enter');
    for (const slot of ['Stool', 'Small tray']) await person.fill('Name of the new slot', slot, 'enter');
    await person.saved();
    await person.stage('Compare');
    await person.press('+ as found for Stool');
    await person.fill('What is it?', 'pine stool, varnished');
    await person.fill('What does it cost?', '8', 'enter');
    await person.saved();
    const before = person.interactions;
    await person.press('Propose ways');
    await person.seeText('Tried on the plan as it stands.');
    expect(await proposed('Stool')).toBeGreaterThan(2);
    // What the slot asks for by name can be made.
    await person.see('//ul[@aria-label="Ways for Small tray, proposed"]/li[contains(., "Make")]');
    await person.press('… and let Balance choose');
    await person.seeText('Proven: no other set of choices does better.');
    expect(person.interactions - before).toBe(2);
    await person.saved();
  });

  it('borrows and rents, with what goes back when', async () => {
    await person.stage('Compare');
    await person.press('+ another, own, for Small tray');
    await person.press('Borrow');
    await person.fill('What is it?', 'brass tray');
    await person.press('Add to the board');
    await person.seeText('Who lends it: nobody yet');
    await person.fill('Who lends it?', 'Mara');
    await person.press('Add to the board');
    await person.saved();
    await person.see('//button[contains(., "Borrow: Brass tray")]');
    await person.press('+ buy new for Small tray');
    await person.press('Rent');
    await person.fill('What is it?', 'silver tray');
    await person.fill('What does it cost?', '15');
    await person.fill('Deposit, comes back', '40');
    await person.press('Add to the board');
    await person.saved();
    await person.press('Why: Rent, Silver tray');
    await person.seeText('$40.00 is left for Silver tray and comes back with it');
    await person.seeText('Goes back, needs no storage.');
  });

  it('leaves its buttons free on a phone while the message with the way back stands', async () => {
    await person.press('Borrow: Brass tray');
    await person.size(390, 844);
    // The reasons lie over the board here.
    await person.press('Back to the board');
    await person.press('propose ways: Small tray');
    await person.seeText('Tried on the plan as it stands.');
    await person.seeText('Take it back');
    const isFree = await person.driver.executeScript(
      `return [...document.querySelectorAll('footer button')].map((button) => {
         const { left, top, width, height } = button.getBoundingClientRect();
         return button.contains(document.elementFromPoint(left + width / 2, top + height / 2));
       })`,
    );
    expect(isFree).toEqual([true, true]);
    await person.size(1280, 800);
    await person.press('Take it back');
    await person.saved();
  });
});
