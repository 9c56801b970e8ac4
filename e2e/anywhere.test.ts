import { appendFileSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest';
import { freePort } from '../scripts/lib/postgres.mjs';
import { Person } from './lib/browser';
import { Euporia, ROOT } from './lib/euporia';

/** Away from the desk: without a connection, and while somebody else works on the same project. */
let euporia: Euporia;
let attic = '';
const people: Person[] = [];

beforeAll(async () => {
  euporia = await Euporia.start();
  const { projects } = (await euporia.json('/api/projects')) as { projects: { id: string; name: string }[] };
  attic = projects.find((project) => project.name === 'Attic bedroom')?.id ?? '';
});
afterEach(async () => {
  for (const person of people.splice(0)) await person.close();
});
afterAll(() => euporia?.remove());

async function at(page: string, width = 1280): Promise<Person> {
  const person = await Person.open({ width, height: width < 600 ? 844 : 800, lineTo: euporia.port });
  people.push(person);
  await person.goto(`${euporia.address}${page}`);
  return person;
}
const brief = () => `/p/${attic}/brief`;
const atBrief = async (): Promise<Person> => {
  const person = await at(brief());
  await person.see('//h1[normalize-space(.)="Brief"]');
  return person;
};
const stored = async () =>
  (
    (await euporia.json(`/api/projects/${attic}/snapshot`)) as {
      project: { room: string; name: string; taxPercent: number };
    }
  ).project;

/** Waits until the app itself is kept on the device of a browser. */
async function kept(person: Person): Promise<void> {
  await person.driver.wait(
    async () =>
      (await person.driver.executeScript('return navigator.serviceWorker?.controller?.state === "activated"')) === true,
    60_000,
    'the app is never kept on the device',
  );
}

describe('without a connection', () => {
  it('the app opens all the same: its projects, the present one with its hunt and its bench, and what was typed', async () => {
    const person = await at('/', 390);
    await person.seeText('Attic bedroom');
    await kept(person);
    await person.goto(`${euporia.address}/p/${attic}/hunt`);
    await person.see('//nav[@aria-label="Stages"]');
    await person.saved();
    await person.offline(true);

    await person.goto(euporia.address);
    await person.seeText('Attic bedroom');
    await person.goto(`${euporia.address}/p/${attic}/bench`);
    // Tonight's steps are there, with their minutes.
    await person.seeText('clean up');
    await person.goto(`${euporia.address}${brief()}`);
    await person.fill('Room', 'Typed in the attic');
    await person.seeText('Kept here, 1 to send');
    // Nothing is lost by a reload.
    await person.driver.navigate().refresh();
    await person.seeValue('Room', 'Typed in the attic');
    await person.press('Kept here, 1 to send');
    await person.see('//section[@aria-label="Attic bedroom"]//li[contains(., "waits")]');
    expect((await stored()).room).not.toBe('Typed in the attic');

    // Nobody answers yet: it goes on waiting.
    await person.press('Send now');
    await person.see('//section[@aria-label="Attic bedroom"]//li[contains(., "waits")]');
    await person.offline(false);
    await person.seeText('Everything is sent');
    expect((await stored()).room).toBe('Typed in the attic');
  });

  it('is described as an app of its own, with icons that are there', async () => {
    const manifest = (await euporia.json('/manifest.webmanifest')) as {
      name: string;
      icons: { src: string; sizes: string }[];
      screenshots: { src: string }[];
    };
    expect(manifest.name).toBe('Euporia');
    for (const { src } of [...manifest.icons, ...manifest.screenshots]) {
      const answer = await fetch(`${euporia.address}${src}`);
      expect([src, answer.status, answer.headers.get('content-type')]).toEqual([src, 200, 'image/png']);
    }
  });
});

describe('a new version of the app', () => {
  const worker = join(ROOT, 'dist/web/sw.js');
  const packed = [`${worker}.br`, `${worker}.gz`];

  it('waits until nothing is unsent, then says that it is here, and is loaded when somebody wants it', async () => {
    const before = [worker, ...packed].map((path) => [path, readFileSync(path)] as const);
    const person = await atBrief();
    await kept(person);
    const update = () =>
      person.driver.executeAsyncScript(
        'const done = arguments[0]; navigator.serviceWorker.getRegistration().then((r) => r.update()).then(() => done(true), () => done(false))',
      );
    const isHere = () =>
      person.driver.executeAsyncScript(
        'const done = arguments[0]; navigator.serviceWorker.getRegistration().then((r) => done(Boolean(r.waiting)))',
      );
    try {
      await person.devtools('Network.enable', {});
      // Nobody takes what is typed, and meanwhile the server is brought up to date.
      await person.devtools('Network.setBlockedURLs', { urls: ['*/api/commands'] });
      await person.fill('Room', 'Typed before the new version');
      await person.seeText('Kept here, 1 to send');
      for (const path of packed) rmSync(path);
      appendFileSync(worker, '\n// The next version.\n');
      await update();
      await person.driver.sleep(1500);
      expect(await isHere()).toBe(false);
      expect(await person.text()).not.toContain('A new version is here');

      await person.devtools('Network.setBlockedURLs', { urls: [] });
      await person.saved();
      await update();
      // All of the app is brought anew before it is offered: that takes as long as it takes.
      await person.driver.wait(async () => (await person.text()).includes('A new version is here'), 60_000);
      await person.press('Load it');
      await person.seeValue('Room', 'Typed before the new version');
      expect(await isHere()).toBe(false);
      await person.notText('A new version is here');
      expect((await stored()).room).toBe('Typed before the new version');
    } finally {
      for (const [path, bytes] of before) writeFileSync(path, bytes);
    }
  });
});

describe('two at once', () => {
  it('changes of different fields go together without a question', async () => {
    const [away, desk] = [await atBrief(), await atBrief()];
    await away.offline(true);
    await away.fill('Room', 'By the phone');
    await away.seeText('Kept here, 1 to send');
    await desk.fill('Name', 'Attic room');
    await desk.saved();
    await away.offline(false);
    await away.saved();
    expect(await stored()).toMatchObject({ room: 'By the phone', name: 'Attic room' });
    await away.seeValue('Name', 'Attic room');
    await desk.fill('Name', 'Attic bedroom');
    await desk.saved();
  });

  it('of the same field both versions are shown, also on the page of what waits; either may be kept', async () => {
    const [away, desk] = [await atBrief(), await atBrief()];
    await away.offline(true);
    await away.fill('Room', 'Version of the phone');
    await away.seeText('Kept here, 1 to send');
    await desk.fill('Room', 'Version of the desk');
    await desk.saved();
    await away.offline(false);
    await away.seeText('Changed in two places');
    await away.goto(`${euporia.address}/waiting`);
    await away.seeText('Version of the phone');
    await away.seeText('Version of the desk');
    await away.press('Keep mine');
    await away.seeText('Everything is sent');
    expect((await stored()).room).toBe('Version of the phone');
    await desk.seeValue('Room', 'Version of the phone');
  });

  it('two tabs of one browser see what waits in each other, and send it once', async () => {
    const person = await atBrief();
    const first = await person.driver.getWindowHandle();
    await person.driver.switchTo().newWindow('tab');
    await person.goto(`${euporia.address}${brief()}`);
    await person.see('//h1[normalize-space(.)="Brief"]');
    await person.fill('Room', 'By the second tab');
    await person.saved();
    await person.driver.close();
    await person.driver.switchTo().window(first);
    await person.seeValue('Room', 'By the second tab');
    expect((await stored()).room).toBe('By the second tab');
    // A change of the same device is no news from elsewhere.
    expect(await person.text()).not.toContain('Changed elsewhere');
  });
});

describe('without TLS', () => {
  it('everything works but what browsers give to secure pages only, and the page says which', async () => {
    const port = await freePort();
    const plain = await Euporia.start({
      port,
      env: { EUPORIA_SIGN_IN: '1', EUPORIA_ORIGINS: `studio.test:${port}` },
    });
    const person = await Person.open({ names: ['studio.test'] });
    people.push(person);
    try {
      await person.goto(`http://studio.test:${port}/`);
      expect(await person.driver.executeScript('return [isSecureContext, "locks" in navigator]')).toEqual([
        false,
        false,
      ]);
      await person.fill('Code', /[A-HJ-NP-Z2-9]{4}-[A-HJ-NP-Z2-9]{4}/.exec(plain.output)?.[0] ?? '');
      await person.fill('Name', 'Mara');
      await person.fill('Pass phrase', 'kelp lantern seven oars');
      await person.press('It is my studio');
      await person.seeText('Attic bedroom');
      await person.seeText('This page came without TLS');
      await person.press('Attic bedroom');
      await person.stage('Brief');
      await person.fill('Room', 'Typed without TLS');
      await person.saved();
      await person.driver.navigate().refresh();
      await person.seeValue('Room', 'Typed without TLS');
      await person.press('Sketch');
      await person.press('Hunting list');
      await person.press('Copy as text');
      await person.seeText('Copied');
    } finally {
      await plain.remove();
    }
  });
});
