import { Key } from 'selenium-webdriver';
import { expect, it } from 'vitest';
import { PATIENCE_MS } from './lib/browser';
import { demoAndPerson } from './lib/demo';

/** From nothing to a way chosen, and back, without a mouse: as somebody works who cannot hold one. */
const { euporia, person } = await demoAndPerson();

/** What has the focus, as it is called. */
const focused = async (): Promise<string> =>
  (await person.driver.executeScript(`
    const at = document.activeElement;
    const label = at?.getAttribute('aria-label') ?? (at?.id ? document.querySelector('label[for="' + CSS.escape(at.id) + '"]')?.textContent : null)
      ?? at?.closest('label')?.textContent ?? at?.textContent ?? '';
    return (at?.tagName ?? '') + ' ' + label.trim().slice(0, 80);`)) as string;

/** Goes on by Tab until something is reached; each step shows where one is. */
async function reach(name: string, most = 90): Promise<void> {
  for (let n = 0; n < most; n += 1) {
    await person.key(Key.TAB);
    const at = await focused();
    if (at.slice(at.indexOf(' ') + 1).startsWith(name)) {
      const ring = (await person.driver.executeScript(`
        const at = document.activeElement; const parts = [at, at.parentElement, at.closest('.ant-input-affix-wrapper, .ant-select, .ant-input-number')];
        return parts.some((one) => one && (getComputedStyle(one).outlineStyle !== 'none' || getComputedStyle(one).boxShadow !== 'none' || getComputedStyle(one).borderColor !== ''));`)) as boolean;
      expect([name, ring]).toEqual([name, true]);
      return;
    }
  }
  throw new Error(`Tab never comes to “${name}”; it is at “${await focused()}”`);
}
const type = (text: string) => person.key(...text);

it('a project is begun, a spot named, a slot called for, a find entered and used, and the last act taken back', async () => {
  await person.size(1280, 800);
  await person.goto(euporia.address);
  await person.seeText('Attic bedroom');
  await reach('New project');
  await person.key(Key.ENTER);
  await person.seeText('Make the project');
  await reach('Name');
  await type('By keys');
  await reach('Budget');
  await type('90');
  await reach('Make the project');
  await person.key(Key.ENTER);
  await person.seeText('Household and place');

  await reach('Sketch');
  await person.key(Key.ENTER);
  await person.seeText('Number what each spot calls for');
  await reach('Name of the new spot');
  await type('Hall shelf');
  await person.key(Key.ENTER);
  await person.seeText('No slot yet.');
  await person.saved();
  await reach('Name of the new slot');
  await type('Something tall');
  await person.key(Key.ENTER);
  await person.see('//ol[@aria-label="Slots of Hall shelf"]//li');
  await person.saved();

  // Out of the field; then the keys of the sheet lead on.
  await person.driver.executeScript('document.activeElement.blur()');
  await person.key('n');
  await person.see('//input[starts-with(@aria-label, "Quick line")]');
  const at = await focused();
  if (!at.includes('Quick line')) await reach('Quick line');
  await type('brass candlestick, $6');
  await person.key(Key.ENTER);
  await person.seeText('Brass candlestick');
  await person.saved();
  await person.driver.executeScript('document.activeElement.blur()');
  await person.key('u');
  await person.seeText('Taken back');
  await person.saved();
});

it('a closed list is opened by a key; nothing is chosen before, and what is chosen is one step', async () => {
  await person.goto(euporia.address);
  await person.press('Attic bedroom');
  const list = await person.see('//select[@aria-label="Show"]');
  const told = () => person.driver.executeScript('return [arguments[0].value, arguments[0].matches(":open")]', list);
  const becomes = (value: string, isOpen: boolean) =>
    person.driver.wait(
      async () => String(await told()) === `${value},${isOpen}`,
      PATIENCE_MS,
      `not ${value}, ${isOpen}`,
    );
  await person.driver.executeScript('arguments[0].focus()', list);
  // Letters that would go to another page, or to an entry that begins with them, only open it.
  for (const key of [Key.ARROW_DOWN, Key.END, 'w', Key.SPACE]) {
    await person.key(key);
    await becomes('all', true);
    await person.key(Key.ESCAPE);
    await becomes('all', false);
  }
  await person.key(Key.ARROW_DOWN);
  await becomes('all', true);
  await person.key(Key.ARROW_DOWN, Key.ENTER);
  await becomes('open', false);
  expect(await person.driver.getCurrentUrl()).toContain('show=open');
});

it('a page is found again where it was left, on the way back and when it is loaded again', async () => {
  await person.goto(euporia.address);
  await person.press('Attic bedroom');
  const board = '//select[@aria-label="Show"]';
  await person.see(board);
  await person.driver.executeScript('scrollTo(0, 900)');
  // What comes above it later moves it a little, and what is looked at with it.
  const standsAbout = (y: number) =>
    person.driver.wait(
      async () => Math.abs(Number(await person.driver.executeScript('return scrollY')) - y) < 250,
      PATIENCE_MS,
      `the page does not stand at about ${y}`,
    );
  await standsAbout(900);
  await person.key('h');
  await person.see('//input[starts-with(@aria-label, "Quick line")]');
  await standsAbout(0);
  await person.driver.navigate().back();
  await person.see(board);
  await standsAbout(900);
  await person.driver.navigate().refresh();
  await person.see(board);
  await standsAbout(900);
});
