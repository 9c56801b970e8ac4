import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freePort, type LocalCluster, startLocalCluster } from '../scripts/lib/postgres.mjs';
import { temporaryFolder } from '../scripts/lib/temporary.mjs';
import { BACK_MS, Key, Person } from './lib/browser';
import { Euporia, ROOT } from './lib/euporia';

let euporia: Euporia;
let cluster: LocalCluster;
let databasePort: number;
const databaseFolder = temporaryFolder('euporia-trouble');
const startDatabase = async () => {
  cluster = await startLocalCluster(databaseFolder, { port: databasePort });
};

beforeAll(async () => {
  databasePort = await freePort();
  await startDatabase();
  euporia = await Euporia.start({ env: { DATABASE_URL: cluster.url } });
});
afterAll(async () => {
  await euporia?.remove();
  await cluster?.stop();
});

/** Opens the attic bedroom's brief in a browser of its own. */
async function atBrief(): Promise<Person> {
  const person = await Person.open();
  await person.goto(euporia.address);
  await person.click('//a[.//*[normalize-space(.)="Attic bedroom"]]');
  await person.stage('Brief');
  await person.see('//h1[normalize-space(.)="Brief"]');
  return person;
}

describe('two at the same project', () => {
  it('the second is told, sees both versions, and loses nothing', async () => {
    const first = await atBrief();
    const second = await atBrief();
    try {
      // The second types while the first saves: its page must not have heard of it yet.
      await second.offline(true);
      await second.fill('Room', 'Attic, by the second');
      await first.fill('Room', 'Attic, by the first');
      await first.saved();
      await second.offline(false);
      await second.seeText('Changed in two places');
      await second.seeText('Attic, by the first');
      await second.seeText('Attic, by the second');
      await second.press('Keep mine');
      await second.saved();
      expect(await second.valueOf('Room')).toBe('Attic, by the second');
      await first.seeText('Changed elsewhere');
      await first.seeValue('Room', 'Attic, by the second');
    } finally {
      await first.close();
      await second.close();
    }
  });
});

describe('the database goes away', () => {
  it('the page says so, keeps what was typed through a reload, and goes on when it is back', async () => {
    const person = await atBrief();
    try {
      await cluster.stop();
      await person.fill('Room', 'Under the roof');
      await person.seeText('Not connected.');
      await person.driver.navigate().refresh();
      await person.seeText('Not connected.');
      await person.seeValue('Room', 'Under the roof');
      await startDatabase();
      await person.saved(BACK_MS);
      await person.notText('Not connected.');
      await person.driver.navigate().refresh();
      await person.seeValue('Room', 'Under the roof');
    } finally {
      await person.close();
    }
  });
});

describe('the server goes away', () => {
  it('what was typed goes out as soon as its line is open again, not only when it would be tried next', async () => {
    const person = await atBrief();
    try {
      // Nothing is tried again by itself, nor asked for: only the line by which changes are heard of opens anew.
      await person.devtools('Page.addScriptToEvaluateOnNewDocument', {
        source:
          '{const soon = setTimeout; window.setTimeout = (what, ms, ...more) => soon(what, ms >= 2000 ? 1e9 : ms, ...more);}',
      });
      await person.driver.navigate().refresh();
      await person.see('//h1[normalize-space(.)="Brief"]');
      await person.saved();
      await person.devtools('Network.enable', {});
      await person.devtools('Network.setBlockedURLs', { urls: ['*/snapshot*'] });
      await euporia.interrupt();
      await person.fill('Room', 'Typed while the server was away');
      await person.seeText('Not connected.');
      await euporia.again();
      await person.saved();
    } finally {
      await person.close();
    }
  });
});

describe('what cannot be shown', () => {
  it('has a way back: no such page, no such project', async () => {
    const person = await Person.open();
    try {
      await person.goto(`${euporia.address}/nowhere`);
      await person.seeText('Something went wrong here');
      await person.press('All projects');
      await person.seeText('Attic bedroom');
      // One that is gone, and one that never can be.
      for (const id of ['00000000-0000-4000-8000-000000000000', 'the-attic']) {
        await person.goto(`${euporia.address}/p/${id}/compare`);
        await person.seeText('This project is not here');
        await person.press('All projects');
        await person.seeText('Attic bedroom');
      }
    } finally {
      await person.close();
    }
  });

  it('a stage that does not come says so within the frame, and the others are there', async () => {
    const person = await atBrief();
    try {
      await person.devtools('Network.enable', {});
      await person.devtools('Network.setBypassServiceWorker', { bypass: true });
      await person.devtools('Network.setBlockedURLs', { urls: ['*/assets/HuntPage*'] });
      await person.stage('Hunt');
      await person.seeText('Something went wrong here');
      await person.see('//nav[@aria-label="Stages"]');
      await person.stage('Sketch');
      await person.see('//*[@role="tab"][starts-with(normalize-space(.), "Bed wall")]');
      await person.notText('Something went wrong here');
      await person.stage('Hunt');
      await person.seeText('Something went wrong here');
      await person.devtools('Network.setBlockedURLs', { urls: [] });
      await person.press('Load this page again');
      await person.see('//input[starts-with(@aria-label, "Quick line")]');
    } finally {
      await person.close();
    }
  });

  it('a part that does not come says so in its place, and comes by itself; what is typed beside it stays', async () => {
    const person = await atBrief();
    try {
      await person.devtools('Network.enable', {});
      await person.devtools('Network.setBypassServiceWorker', { bypass: true });
      await person.devtools('Network.setBlockedURLs', { urls: ['*/assets/Patterns*'] });
      await person.stage('Sketch');
      await person.seeText('This part did not come.');
      await person.fill('Name of the new slot', 'A shelf over the door');
      await person.press('Start from a pattern');
      await person.notText('Something went wrong here');
      await person.devtools('Network.setBlockedURLs', { urls: [] });
      await person.see('//*[@role="dialog"]//*[contains(normalize-space(.), "A pattern for ")]');
      await person.notText('This part did not come.');
      await person.key(Key.ESCAPE);
      await person.seeValue('Name of the new slot', 'A shelf over the door');
    } finally {
      await person.close();
    }
  });

  it('a damaged project file is refused with the place, and nothing is imported', async () => {
    const person = await Person.open();
    try {
      await person.goto(euporia.address);
      const damaged = join(databaseFolder, 'damaged.project.json');
      const file = JSON.parse(readFileSync(join(ROOT, 'demo/1-attic-bedroom.project.json'), 'utf8'));
      file.slots[0].quantity = 'two';
      writeFileSync(damaged, JSON.stringify(file));
      await person.seeText('Attic bedroom');
      const before = await person.count('//main//a[contains(@href,"/p/")]');
      await (await person.driver.findElement({ css: 'input[type=file]' })).sendKeys(damaged);
      await person.seeText('Slot 1: quantity: “two”');
      await person.seeText('two');
      expect(await person.count('//main//a[contains(@href,"/p/")]')).toBe(before);
    } finally {
      await person.close();
    }
  });
});
