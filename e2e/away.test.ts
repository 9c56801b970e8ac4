import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { temporaryFolder } from '../scripts/lib/temporary.mjs';
import { Person } from './lib/browser';
import { Euporia } from './lib/euporia';

/**
 * Half of the work away from the desk: a phone that was let in by a code loses its connection, buys, logs and photographs,
 * and comes back after the desk changed the same rows.
 */
const euporia = await Euporia.start({ env: { EUPORIA_SIGN_IN: '1' } });
const desk = await Person.open();
const phone = await Person.open({ width: 390, height: 844, lineTo: euporia.port });
const folder = temporaryFolder('euporia-away');
afterAll(async () => {
  for (const who of [desk, phone]) await who.close();
  await euporia.remove();
});

const codeIn = (text: string): string => /[A-HJ-NP-Z2-9]{4}-[A-HJ-NP-Z2-9]{4}/.exec(text)?.[0] ?? '';
/** Eight by eight pixels of red. */
const PNG = 'iVBORw0KGgoAAAANSUhEUgAAAAgAAAAICAIAAABLbSncAAAAEUlEQVR4nGM4o6CAFTEMLQkAWU5DAcK453sAAAAASUVORK5CYII=';
let attic = '';

interface Stored {
  project: { room: string };
  ledger: { id: string }[];
  logEntries: { id: string }[];
  photos: { kind: string }[];
}
/** What the server has, as the desk reads it. */
async function stored(): Promise<Stored> {
  const text = (await desk.driver.executeAsyncScript(
    'const done = arguments[1]; fetch("/api/projects/" + arguments[0] + "/snapshot").then((a) => a.text()).then(done);',
    attic,
  )) as string;
  return JSON.parse(text) as Stored;
}

/** What the server had before the phone lost its line. */
let before: Stored;

describe('a phone away from the desk', () => {
  it('is let in by a code, and keeps the app and the project', async () => {
    await desk.goto(euporia.address);
    await desk.fill('Code', codeIn(euporia.output));
    await desk.fill('Name', 'Mara');
    await desk.fill('Pass phrase', 'kelp lantern seven oars');
    await desk.press('It is my studio');
    await desk.seeText('Attic bedroom');
    await desk.press('Devices and people');
    await desk.press('Make a code');
    await desk.see('//img[@alt="The same code to photograph"]');
    const code = codeIn(await desk.text());
    await phone.goto(`${euporia.address}/enter#${code}`);
    await phone.press('Come in');
    await phone.press('Attic bedroom');
    await phone.see('//nav[@aria-label="Stages"]');
    attic = /\/p\/([^/]+)/.exec(await phone.driver.getCurrentUrl())?.[1] ?? '';
    await phone.driver.wait(
      async () => (await phone.driver.executeScript('return navigator.serviceWorker.controller !== null')) === true,
      60_000,
      'the app is never kept on the phone',
    );
    await desk.goto(`${euporia.address}/p/${attic}/brief`);
    await desk.see('//h1[normalize-space(.)="Brief"]');
    before = await stored();
  });

  it('buys, logs and photographs without a signal, opens anew meanwhile, and says what waits', async () => {
    await phone.offline(true);
    await phone.goto(`${euporia.address}/p/${attic}/balance/list`);
    await phone.click('(//button[starts-with(@aria-label, "Bought: ")])[1]');
    await phone.fill('Paid at the till', '11.20');
    await phone.press('Bought for $11.20');
    await phone.seeText('Kept here, 1 to send');

    await phone.goto(`${euporia.address}/p/${attic}/bench`);
    await phone.notText('Stop looking');
    await phone.click('(//button[starts-with(@aria-label, "Start: ")])[1]');
    await phone.see('//*[@role="timer"]');
    for (const words of ['I have read this', 'I accept the risk'])
      while ((await phone.count(`//button[normalize-space(.)="${words}"]`)) > 0) await phone.press(words);
    await phone.press('Start');
    await phone.press('Done');
    await phone.seeText('Logged:');

    await phone.goto(`${euporia.address}/p/${attic}/brief`);
    const picture = join(folder, 'before.png');
    writeFileSync(picture, Buffer.from(PNG, 'base64'));
    await phone.give('Add before photos', picture);
    await phone.seeText('1 on the way');
    await phone.fill('Room', 'As the phone has it');
    await phone.driver.navigate().refresh();
    await phone.seeValue('Room', 'As the phone has it');
    await phone.seeText('to send');
  });

  it('comes back after the desk changed the same row: both versions, nothing lost, nothing twice', async () => {
    await desk.fill('Room', 'As the desk has it');
    await desk.saved();
    await phone.offline(false);
    await phone.seeText('Changed in two places');
    expect(await phone.text()).toContain('As the desk has it');
    await phone.press('Keep mine');
    await phone.saved();
    await phone.notText('on the way');
    await phone.saved();
    await phone.goto(`${euporia.address}/waiting`);
    await phone.seeText('Everything is sent');

    const pictures = ({ photos }: Stored) => photos.filter(({ kind }) => kind === 'before').length;
    await desk.driver.wait(async () => pictures(await stored()) > pictures(before), 15_000, 'the picture never comes');
    const after = await stored();
    expect(after.project.room).toBe('As the phone has it');
    expect(after.ledger.length).toBe(before.ledger.length + 1);
    expect(after.logEntries.length).toBe(before.logEntries.length + 1);
    expect(after.photos.filter(({ kind }) => kind === 'before').length).toBe(
      before.photos.filter(({ kind }) => kind === 'before').length + 1,
    );
    await desk.seeValue('Room', 'As the phone has it');
  });
});
