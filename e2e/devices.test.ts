import jsQR from 'jsqr';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Person } from './lib/browser';
import { Euporia } from './lib/euporia';
import { landingPicture } from './lib/picture';

/** A studio that other devices reach: its owner sets it up, lets a phone in by a code, a helper by another, and out again. */
const PHRASE = 'kelp lantern seven oars';
const euporia = await Euporia.start({ env: { EUPORIA_SIGN_IN: '1' } });
const desk = await Person.open();
const phone = await Person.open();
const helper = await Person.open();
afterAll(async () => {
  for (const who of [desk, phone, helper]) await who.close();
  await euporia.remove();
});
beforeAll(async () => {
  await desk.size(1280, 800);
  await phone.size(390, 844);
  await helper.size(390, 844);
});

/** What a device reads from the code on a screen, by a library that has no part in drawing it. */
async function photographed(who: Person): Promise<string> {
  const { default: sharp } = await import('sharp');
  const source = await (await who.see('//img[@alt="The same code to photograph"]')).getAttribute('src');
  const svg = decodeURIComponent((source ?? '').split(',').slice(1).join(','));
  const { data, info } = await sharp(Buffer.from(svg))
    .resize(420)
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return jsQR(new Uint8ClampedArray(data), info.width, info.height)?.data ?? '';
}
const codeIn = (text: string): string => /[A-HJ-NP-Z2-9]{4}-[A-HJ-NP-Z2-9]{4}/.exec(text)?.[0] ?? '';

describe('a studio that other devices reach', () => {
  it('shows a stranger nothing, and is set up with the code that stands where it was started', async () => {
    await desk.goto(euporia.address);
    await desk.seeText('This studio has no owner yet');
    expect(await desk.text()).not.toContain('Attic bedroom');
    await desk.fill('Code', codeIn(euporia.output));
    await desk.fill('Name', 'Mara');
    await desk.fill('Pass phrase', 'short');
    await desk.press('It is my studio');
    await desk.seeText('a pass phrase of 12 to 200 characters');
    await desk.fill('Pass phrase', PHRASE);
    await desk.press('It is my studio');
    await desk.seeText('Attic bedroom');
  });

  it('lets a phone in by the code that it photographs, once', async () => {
    await desk.press('Devices and people');
    await desk.press('Make a code');
    const address = await photographed(desk);
    expect(address).toBe(`${euporia.address}/enter#${codeIn(await desk.text())}`);
    await phone.goto(address);
    await phone.press('Come in');
    await phone.seeText('Attic bedroom');
    // Both are told of, without anybody pressing anything.
    await desk.driver.wait(
      async () => (await desk.count('//section[@aria-label="Signed in"]//li')) === 2,
      15_000,
      'one device',
    );
    await helper.goto(address);
    await helper.press('Come in');
    await helper.seeText('That code is not valid, was used already, or its time is over.');
  });

  it('is read without sideways scrolling, and every button is high enough for a thumb', async () => {
    await phone.press('Devices and people');
    await phone.seeText('Signed in');
    const [wide, low] = (await phone.driver.executeScript(`
      const main = document.querySelector('main');
      return [document.documentElement.scrollWidth - innerWidth,
        [...main.querySelectorAll('button')].filter((b) => b.offsetParent && b.getBoundingClientRect().height < 43.5).map((b) => b.textContent)]`)) as [
      number,
      string[],
    ];
    expect([wide, low]).toEqual([0, []]);
  });

  it('asks for the pass phrase before a project leaves it, on a device that only came by a code', async () => {
    await phone.goto(euporia.address);
    await phone.press('Attic bedroom');
    await phone.press('Project file');
    await phone.seeText('The pass phrase once more');
    await phone.fill('Pass phrase', 'not the phrase at all');
    await phone.press('Go on');
    await phone.seeText('not the name and pass phrase of anybody here');
    await phone.fill('Pass phrase', PHRASE);
    const file = await phone.download('Go on');
    expect(JSON.parse(file)).toMatchObject({ format: 'euporia.project' });
  });

  it('lets a helper hunt and work at the bench, and says what is not theirs', async () => {
    await desk.fill('Name of somebody more', 'Jonas');
    await desk.press('Let them in');
    const shown = async () => codeIn(await (await desk.see('//section[@aria-label="Code for Jonas"]')).getText());
    const lost = await shown();
    await desk.press('Code for Jonas’s device');
    await desk.driver.wait(async () => (await shown()) !== lost, 15_000, 'another code');
    const code = await shown();
    await helper.goto(euporia.address);
    await helper.press('A code');
    await helper.fill('Code', code.toLowerCase());
    await helper.press('Come in');
    await helper.seeText('Attic bedroom');
    await helper.press('Attic bedroom');
    // A project opens with their part of it.
    await helper.see('//input[starts-with(@aria-label, "Quick line")]');
    expect(await helper.text()).not.toContain('Project file');
    expect(await helper.count('//nav[@aria-label="Stages"]/a')).toBe(2);
    const project = (await helper.driver.getCurrentUrl()).split('/').slice(0, 5).join('/');
    for (const page of ['sketch', 'makeover/cut', 'assumptions']) {
      await helper.goto(`${project}/${page}`);
      await helper.seeText('Your part here is the hunt and the bench');
    }
    await helper.goto(euporia.address);
    await helper.press('Attic bedroom');
    await helper.goto(`${project}/sketch`);
    await helper.press('Hunt: finds');
    await helper.fill('Quick line: what, price, what happened to it', 'brass lamp, $9', 'enter');
    await helper.saved();
    // A line that says nothing is no find.
    await helper.fill('Quick line: what, price, what happened to it', '$$$ ,, ??', 'enter');
    await helper.seeText('says nothing yet');
    await helper.stage('Bench');
    await helper.see('//h1[starts-with(normalize-space(.), "The bench")]');
    expect(await helper.text()).not.toContain('Your part here');
    expect(await helper.text()).not.toContain('Hours and places');
    // A step that is done moves the plan of the bench on: that is part of the work.
    await helper.click('(//button[starts-with(@aria-label, "Start: ")])[1]');
    await helper.see('//*[@role="timer"]');
    for (const words of ['I have read this', 'I accept the risk'])
      while ((await helper.count(`//button[normalize-space(.)="${words}"]`)) > 0) await helper.press(words);
    await helper.press('Start');
    await helper.press('Done');
    await helper.seeText('Logged:');
    await helper.saved();
    expect(await helper.text()).not.toContain('Not saved');
    // What plans the project is said to be no part of it, at once: nothing waits that nobody would take.
    await helper.goto(`${project}/balance/list`);
    await helper.press('Not there: Water-clear topcoat');
    await helper.press('Take Waterborne polyurethane, satin instead');
    await helper.seeText('Not changed: your part is hunt and bench');
    await helper.saved();
  });

  it('shows at the desk what the phone changes, and who it was', async () => {
    await desk.goto(euporia.address);
    await desk.press('Attic bedroom');
    await desk.stage('Sketch');
    await desk.see('//input[@aria-label="Name of the new spot"]');
    await phone.stage('Sketch');
    await phone.fill('Name of the new spot', 'Shelf by the stairs', 'enter');
    await phone.saved();
    await desk.seeText('Shelf by the stairs');
    await desk.seeText('Mara changed this project just now');
    await desk.goto(`${euporia.address}/devices`);
    await desk.seeText('Signed in');
  });

  it('signs a device out from another; what was typed on it stays, and goes on once it is back', async () => {
    await phone.stage('Sketch');
    await phone.fill('Name of the new spot', 'Window seat', 'stay');
    await desk.press('Sign out Linux computer of Mara');
    await desk.driver.wait(
      async () => (await desk.count('//section[@aria-label="Signed in"]//li')) === 2,
      15_000,
      'still in',
    );
    await phone.see('//h1[.="Sign in"]');
    await phone.press('Name and pass phrase');
    await phone.fill('Name', 'Mara');
    await phone.fill('Pass phrase', PHRASE);
    await phone.press('Come in');
    await phone.seeValue('Name of the new spot', 'Window seat');
    await phone.press('Add spot');
    await phone.saved();
    await desk.goto(euporia.address);
    await desk.press('Attic bedroom');
    await desk.stage('Sketch');
    await desk.seeText('Window seat');
  });

  it('shows a client one sheet by a link, without costs, and nothing once the link is ended', async () => {
    await desk.stage('Brief');
    await desk.give('Add before photos', await landingPicture('landing-before.jpg'));
    await desk.stage('Wrap');
    await desk.press('Before and after');
    await desk.give('Add after photos', await landingPicture('landing-after.jpg'));
    await desk.see('//button[starts-with(@aria-label, "Line it up")]');
    await desk.saved();
    await desk.stage('Brief');
    await desk.see('//h2[normalize-space(.)="For the client"]');
    await desk.click('//label[normalize-space(.)="With the photos, before and after"]');
    await desk.press('Make a link');
    await desk.driver.wait(
      async () =>
        (await desk.text()).includes('Told this once') || (await desk.text()).includes('The pass phrase once more'),
      15_000,
      'no link',
    );
    if ((await desk.text()).includes('The pass phrase once more')) {
      await desk.fill('Pass phrase', PHRASE);
      await desk.press('Go on');
    }
    await desk.seeText('Told this once');
    const link = await (await desk.see('//section[@aria-label="For the client"]//code')).getText();
    expect(link).toMatch(new RegExp(`^${euporia.address}/sheet#[A-Za-z0-9_-]{43}$`));
    const client = await Person.open({ width: 390, height: 844 });
    try {
      await client.goto(link);
      await client.see('//h1[normalize-space(.)="Attic bedroom"]');
      await client.see('//table[./caption="Landing console"]');
      expect(await client.text()).not.toMatch(/[$€]\s?\d/);
      for (const name of ['The room before', 'The room after']) {
        const photo = await client.see(`//img[@alt="${name}"]`);
        expect(await client.driver.executeScript('return arguments[0].naturalWidth', photo)).toBe(1600);
      }
      expect(
        await client.driver.executeScript('return document.documentElement.scrollWidth - innerWidth'),
      ).toBeLessThanOrEqual(0);
      // What else there is stays closed.
      await client.goto(euporia.address);
      await client.see('//h1[.="Sign in"]');
      await desk.press('End the link');
      await client.goto('about:blank');
      await client.goto(link);
      await client.seeText('This link opens nothing');
    } finally {
      await client.close();
    }
  });

  it('takes somebody out on all of their devices at once', async () => {
    await desk.goto(`${euporia.address}/devices`);
    await desk.press('Take Jonas out');
    await desk.notText('Jonas');
    await helper.goto(euporia.address);
    await helper.see('//h1[.="Sign in"]');
    expect(await helper.text()).not.toContain('Attic bedroom');
  });
});
