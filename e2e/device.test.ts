import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest';
import { temporaryCluster, temporaryFolder } from '../scripts/lib/temporary.mjs';
import { Person } from './lib/browser';
import { Euporia } from './lib/euporia';

let cluster: Awaited<ReturnType<typeof temporaryCluster>>;
let euporia: Euporia;
let attic = '';
const people: Person[] = [];
const folder = temporaryFolder('euporia-device');

beforeAll(async () => {
  cluster = await temporaryCluster('euporia-device');
  euporia = await Euporia.start({ env: { DATABASE_URL: cluster.url } });
  const { projects } = (await euporia.json('/api/projects')) as { projects: { id: string; name: string }[] };
  attic = projects.find((project) => project.name === 'Attic bedroom')?.id ?? '';
});
afterEach(async () => {
  for (const person of people.splice(0)) await person.close();
});
afterAll(async () => {
  await euporia?.remove();
  await cluster?.stop();
});

/** Eight by eight pixels of red. */
const PNG = 'iVBORw0KGgoAAAANSUhEUgAAAAgAAAAICAIAAABLbSncAAAAEUlEQVR4nGM4o6CAFTEMLQkAWU5DAcK453sAAAAASUVORK5CYII=';

/** A browser of its own, at a page of the attic bedroom. */
async function at(page: string, settings: Parameters<typeof Person.open>[0] = {}): Promise<Person> {
  const person = await Person.open(settings);
  people.push(person);
  await person.goto(`${euporia.address}${page}`);
  return person;
}

const atBrief = async (settings: Parameters<typeof Person.open>[0] = {}): Promise<Person> => {
  const person = await at(`/p/${attic}/brief`, settings);
  await person.see('//h1[normalize-space(.)="Brief"]');
  return person;
};

/** What the server has. */
const storedRoom = async (): Promise<string> => {
  const { project } = (await euporia.json(`/api/projects/${attic}/snapshot`)) as { project: { room: string } };
  return project.room;
};

describe('what is typed', () => {
  it('stands in its field again after a reload in the middle of a word, and is stored when the field is left', async () => {
    const person = await atBrief();
    await person.fill('Room', 'Under the sl', 'stay');
    await person.driver.navigate().refresh();
    await person.seeValue('Room', 'Under the sl');
    expect(await storedRoom()).not.toBe('Under the sl');
    await person.fill('Room', 'Under the slope');
    await person.saved();
    expect(await storedRoom()).toBe('Under the slope');
  });

  it('without a connection waits when its project is closed, is told of on the start page, and goes from there', async () => {
    const person = await atBrief();
    await person.offline(true);
    await person.fill('Room', 'Typed on the train');
    await person.seeText('Not connected');
    // Commands do not get through to this browser's next page either, until the list is looked at. That comes before the
    // connection: whoever is back first would send what waits.
    await person.devtools('Network.setBlockedURLs', { urls: ['*/api/commands*'] });
    await person.offline(false);
    await person.goto(euporia.address);
    await person.see('//*[@role="status"][contains(., "1 change waits to be sent")]');
    await person.devtools('Network.setBlockedURLs', { urls: [] });
    await person.driver.navigate().refresh();
    // Right after the reload the page says nothing yet: what counts is that the server gets it.
    await person.driver.wait(
      async () => (await storedRoom()) === 'Typed on the train',
      15_000,
      'what was typed never comes to the server',
    );
    await person.seeText('Attic bedroom');
    await person.notText('waits to be sent');
  });

  it('is sent by a browser that keeps nothing; the page says so', async () => {
    const person = await atBrief({ keepsNothing: true });
    await person.seeText('Not kept on this device.');
    await person.fill('Room', 'In a private window');
    await person.saved();
    expect(await storedRoom()).toBe('In a private window');
  });
});

describe('a photo', () => {
  it('added while nobody answers is there once after a reload, however many parts of the page wait for it', async () => {
    const photos = async () =>
      ((await euporia.json(`/api/projects/${attic}/snapshot`)) as { photos: { kind: string }[] }).photos.map(
        ({ kind }) => kind,
      );
    const before = await photos();
    const picture = join(folder, 'wall.png');
    writeFileSync(picture, Buffer.from(PNG, 'base64'));
    const person = await atBrief();
    await person.devtools('Network.enable', {});
    await person.devtools('Network.setBlockedURLs', { urls: ['*/api/photos/*'] });
    await person.give('Add before photos', picture);
    await person.seeText('1 on the way');
    await person.give('Add a photo of the anchor', picture);
    // Both are shown from this device.
    const local = () => person.count('//img[starts-with(@src, "blob:")]');
    await person.driver.wait(async () => (await local()) === 2, 15_000, 'the second one is never shown');
    await person.driver.navigate().refresh();
    await person.seeText('1 on the way');
    // It is shown all the same, from this device.
    const shown = await person.see('//section[@aria-label="Before photos"]//img[@alt="Before, wall.png"]');
    expect(await shown.getAttribute('src')).toMatch(/^blob:/);
    await person.driver.wait(
      async () => ((await person.driver.executeScript('return arguments[0].naturalWidth', shown)) as number) > 0,
      15_000,
      'the picture is never drawn',
    );
    await person.devtools('Network.setBlockedURLs', { urls: [] });
    await person.notText('on the way');
    await person.driver.wait(async () => (await photos()).length === before.length + 2, 15_000, 'two photos');
    await person.saved();
    expect((await photos()).sort()).toEqual([...before, 'anchor', 'before'].sort());
    await person.notText('Not saved');
  });
});

describe('buying', () => {
  it('by three quick presses in one place buys one thing, though the page moves under the finger', async () => {
    const ledger = async () =>
      ((await euporia.json(`/api/projects/${attic}/snapshot`)) as { ledger: unknown[] }).ledger.length;
    const before = await ledger();
    const person = await at(`/p/${attic}/makeover`);
    await person.click('//main//a[.//*[contains(normalize-space(.), "Oak nightstand in teal")]]');
    await person.press('Stash and packs of Water-clear topcoat, satin');
    const bought = '//button[starts-with(normalize-space(.), "Bought for")]';
    const boxes = await person.count(bought);
    const button = await person.see(bought);
    // Where it is seen, asked at once: what comes above it moves it on the page, and the browser scrolls with it.
    const place = (await person.driver.executeScript(
      'arguments[0].scrollIntoView({block: "center"}); const { x, y, width, height } = arguments[0].getBoundingClientRect(); return { x: Math.round(x + width / 2), y: Math.round(y + height / 2) };',
      button,
    )) as { x: number; y: number };
    const hand = person.driver.actions();
    await hand.move(place).perform();
    for (const _ of [1, 2, 3]) await person.driver.actions().press().release().perform();
    await person.driver.wait(async () => (await person.count(bought)) < boxes, 15_000, 'nothing was bought');
    await person.saved();
    expect(await ledger()).toBe(before + 1);
    // Taken back it stands there still, with the line that reverses it.
    await person.press('Take it back');
    await person.saved();
    expect(await ledger()).toBe(before + 2);
  });
});

describe('taking back', () => {
  it('by the key, in the house, takes the house’s act back, and in the project the project’s', async () => {
    const person = await at(`/p/${attic}/house?tab=pieces`);
    await person.seeText('64 pieces');
    await person.fill('A piece in one line', '2 tin trays, 12 in x 8 in, box 9', 'stay');
    await person.press('Note it');
    await person.seeText('65 pieces');
    await person.driver.executeScript('document.activeElement.blur()');
    await person.key('u');
    await person.seeText('64 pieces');
    const before = await storedRoom();
    await person.stage('Brief');
    await person.fill('Room', 'Another name');
    await person.saved();
    await person.driver.executeScript('document.activeElement.blur()');
    await person.key('u');
    await person.seeValue('Room', before);
    await person.saved();
    expect(await storedRoom()).toBe(before);
  });

  it('what another device built upon is told by name, and both go back with one press', async () => {
    const before = await storedRoom();
    const first = await atBrief();
    const second = await atBrief();
    await first.fill('Room', 'By the first');
    await first.saved();
    await second.seeValue('Room', 'By the first');
    await second.fill('Room', 'By the second');
    await second.saved();
    await first.seeValue('Room', 'By the second');
    await first.driver.executeScript('document.activeElement.blur()');
    await first.key('u');
    await first.seeText('Not taken back');
    await first.seeText('on another device');
    await first.press('Take that back too');
    await first.seeValue('Room', before);
    await first.saved();
    expect(await storedRoom()).toBe(before);
  });
});

describe('a project file over its project', () => {
  it('is one act, which can be taken back from the page it leads to', async () => {
    const before = await storedRoom();
    const file = JSON.parse(await (await fetch(`${euporia.address}/api/projects/${attic}/file`)).text()) as {
      project: { room: string };
    };
    file.project.room = 'As the file has it';
    const path = join(folder, 'attic.project.json');
    writeFileSync(path, JSON.stringify(file));
    expect(readFileSync(path, 'utf8')).toContain('As the file has it');
    const person = await at('/');
    await person.seeText('Attic bedroom');
    await person.give('Project file to import', path);
    await person.press('Update it');
    await person.seeText('Brought to what the file says');
    expect(await storedRoom()).toBe('As the file has it');
    await person.press('Take it back');
    await person.saved();
    await person.driver.wait(async () => (await storedRoom()) === before, 15_000);
  });
});

describe('a studio of one’s own', () => {
  it('begins empty beside the demo, takes a project, and the demo is one press away', async () => {
    const demo = await atBrief();
    const person = await at('/');
    await person.seeText('You are in Demo studio');
    await person.press('Begin empty');
    await person.seeText('No project yet');
    await person.press('Start the first project');
    await person.fill('Name', 'My own hall');
    await person.fill('Budget', '80');
    await person.press('Make the project');
    await person.see('//h1[normalize-space(.)="Brief"]');
    await person.goto(`${euporia.address}/house`);
    await person.notText('Bookcase');
    // Whoever had the demo open goes on in it.
    await demo.fill('Room', 'Still in the demo');
    await demo.saved();

    await person.goto(euporia.address);
    await person.seeText('My own hall');
    expect(await person.text()).not.toContain('Attic bedroom');
    await person.press('Open Demo studio');
    await person.seeText('Attic bedroom');
    expect(await person.text()).not.toContain('My own hall');
    expect(await storedRoom()).toBe('Still in the demo');
    await person.press('Open My studio');
    await person.seeText('My own hall');
    await person.click('//a[.//*[normalize-space(.)="My own hall"]]');
    await person.see('//a[normalize-space(.)="Brief"] | //h1[normalize-space(.)="Brief"] | //*[contains(., "Brief")]');
    const own = await person.driver.getCurrentUrl();
    // Reloaded after another device opened the demo, it is there still; an address of the other studio asks where to look.
    await demo.goto(euporia.address);
    await demo.seeText('Attic bedroom');
    await person.driver.navigate().refresh();
    await person.seeText('My own hall');
    await demo.goto(own);
    await demo.seeText('This project is not here');
    await demo.press('Look in My studio');
    await demo.seeText('My own hall');
    await person.goto(euporia.address);
    await person.seeText('You are in My studio');
    await person.press('Open Demo studio');
    await person.seeText('Attic bedroom');
  });
});
