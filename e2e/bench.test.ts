import { rmSync, writeFileSync } from 'node:fs';
import { withFinds } from '@core/model/finds';
import type { StoredRows } from '@core/model/rows';
import { computePlan } from '@core/plan/computePlan';
import { taskIdOf } from '@core/schedule/benchJobs';
import { dryingOfRuns } from '@core/schedule/dryingOfRuns';
import ICAL from 'ical.js';
import { By, until } from 'selenium-webdriver';
import { afterAll, describe, expect, it } from 'vitest';
import { Person } from './lib/browser';
import { demoAndPerson } from './lib/demo';
import { picture } from './lib/picture';

/** The bench, as a stylist works by it: on a phone, with a second device, and at the desk. */
const { euporia, person, attic } = await demoAndPerson();
const second = await Person.open();
afterAll(() => second.close());

const bench = `${euporia.address}/p/${attic}/bench`;
const firstStep = '(//section[@aria-label="What is next"]//button[starts-with(@aria-label, "Start: ")])[1]';
const rows = async () =>
  (await euporia.json(`/api/projects/${attic}/snapshot`)) as {
    stepRuns: {
      id: string;
      what: string;
      state: string;
      logId: string | null;
      wrong: string | null;
      by: string;
      people: number;
      stretches: { endMs: number | null }[];
    }[];
    logEntries: { id: string; minutes: number; work: string; counts: boolean; wrong: string | null }[];
    photos: { id: string; shows: { stepRunId: string } | null }[];
    benchPlans: { placed: unknown[] }[];
  };

/** Reads what has to be read before a step is begun. */
async function readStops(who: Person): Promise<void> {
  for (const words of ['I have read this', 'I accept the risk'])
    while ((await who.count(`//button[normalize-space(.)="${words}"]`)) > 0) {
      await who.press(words);
      await who.saved();
    }
}

describe('tonight’s first step, on a phone', () => {
  let title = '';

  it('is one press away, and its timer survives a reload', async () => {
    await person.size(390, 844);
    await person.goto(bench);
    await person.seeText('The bench,');
    await person.notText('Stop looking');
    const label = await (await person.see(firstStep)).getAttribute('aria-label');
    title = (label ?? '').replace(/^Start: /, '').replace(/, [^,]*$/, '');
    await person.click(firstStep);
    await person.see('//*[@role="timer"]');
    expect(await person.text()).toContain(title);
    await readStops(person);
    await person.press('Start');
    await person.see('//button[normalize-space(.)="Pause"]');
    await person.saved();
    await person.driver.navigate().refresh();
    await person.see('//button[normalize-space(.)="Pause"]');
    expect(await (await person.see('//*[@role="timer"]')).getText()).toMatch(/^0:0\d:\d\d$/);
    const run = (await rows()).stepRuns.find(({ what }) => what === title);
    expect(run).toMatchObject({ state: 'running' });
    // What is worked by is kept, so that it stays where it is.
    expect((await rows()).benchPlans[0]?.placed.length).toBeGreaterThan(20);
  });

  it('is finished from a second device: it is logged once, and the first device shows it', async () => {
    await second.goto(bench);
    await second.click('//section[@aria-label="At hand and drying"]//button[contains(., "at hand")]');
    await second.press('Done');
    await second.seeText('Logged:');
    await second.saved();
    await person.see('//button[normalize-space(.)="Not done after all"]');
    const { stepRuns, logEntries } = await rows();
    const run = stepRuns.find(({ what }) => what === title);
    expect(run).toMatchObject({ state: 'done' });
    expect(logEntries.filter(({ id }) => id === run?.logId)).toHaveLength(1);
  });

  it('is set right afterwards, and the log shows it with what was planned', async () => {
    await person.fill('Minutes, all hands', '31');
    await person.seeText('Logged: 31 min');
    await person.saved();
    await person.goto(`${bench}/log`);
    await person.seeText('What it teaches');
    await person.seeText(title);
    const { stepRuns, logEntries } = await rows();
    const run = stepRuns.find(({ what }) => what === title);
    expect(logEntries.find(({ id }) => id === run?.logId)?.minutes).toBe(31);
  });

  it('told afterwards, it changes the factor; one press resets that', async () => {
    await person.goto(bench);
    await person.seeText('The bench,');
    await person.notText('Stop looking');
    await person.click(firstStep);
    await person.see('//*[@role="timer"]');
    await readStops(person);
    await person.press('It is done already');
    await person.fill('It took, minutes', '55');
    await person.press('Log it');
    await person.seeText('Logged: 55 min');
    await person.saved();
    await person.goto(`${bench}/log`);
    const row = '//section[@aria-label="What it teaches"]//li[contains(., "one clear coat by brush")]';
    const factor = await (await person.see(`${row}//b`)).getText();
    expect(factor).toMatch(/^× \d\.\d\d, /);
    await person.click(`${row}//button[normalize-space(.)="Reset"]`);
    await person.saved();
    expect(
      (await rows()).logEntries.filter(({ work, counts }) => work === 'labor.clearMinutesPerM2' && counts),
    ).toEqual([]);
    await person.see(`${row}[contains(., "too few yet")]`);
  });
});

/** Opens the first step of tonight, and reads what has to be read before it is begun. */
async function openFirst(who: Person): Promise<string> {
  await who.goto(bench);
  await who.seeText('The bench,');
  await who.notText('Stop looking');
  const label = await (await who.see(firstStep)).getAttribute('aria-label');
  await who.click(firstStep);
  await who.see('//*[@role="timer"]');
  await readStops(who);
  return (label ?? '').replace(/^Start: /, '').replace(/, [^,]*$/, '');
}

describe('a step that does not go as planned, on a phone', () => {
  it('says what mends it, keeps that over a reload, and shows a picture; its line says it too', async () => {
    const title = await openFirst(person);
    await person.press('Start');
    await person.press('Went wrong');
    await person.click('(//section[@aria-label="What went wrong"]//button)[last() - 1]');
    await person.seeText('Next time:');
    await person.press('Good');
    await person.saved();
    await person.driver.navigate().refresh();
    await person.give('Add a picture', await picture('step.jpg'));
    await person.see(`//section[@aria-label="Pictures of this step"]//img[@alt="${title}, 1 of 1"]`);
    await person.saved();
    const run = (await rows()).stepRuns.find(({ what, state }) => what === title && state === 'running');
    expect(run?.wrong).toBeTruthy();
    await person.press('Done');
    await person.seeText(', went wrong: ');
    await person.saved();
    const { logEntries, photos, stepRuns } = await rows();
    const done = stepRuns.find(({ id }) => id === run?.id);
    expect(logEntries.find(({ id }) => id === done?.logId)?.wrong).toBe(run?.wrong);
    expect(photos.filter(({ shows }) => shows?.stepRunId === run?.id)).toHaveLength(1);
    await person.goto(`${bench}/log`);
    await person.see(`//section[@aria-label="Lines of the log"]//img[@alt="${title}, 1 of 1"]`);
  });

  it('is begun and finished without a signal, and logged once when there is one again', async () => {
    await openFirst(person);
    const before = new Set((await rows()).logEntries.map(({ id }) => id));
    await person.offline(true);
    await person.press('Start');
    await person.see('//button[normalize-space(.)="Pause"]');
    await person.press('Pause');
    await person.see('//button[normalize-space(.)="Go on"]');
    await person.press('Go on');
    await person.press('Done');
    await person.seeText('Logged:');
    expect((await rows()).logEntries).toHaveLength(before.size);
    await person.offline(false);
    await person.saved();
    const { logEntries, stepRuns } = await rows();
    const added = logEntries.filter(({ id }) => !before.has(id));
    expect(added).toHaveLength(1);
    const run = stepRuns.find(({ logId }) => logId === added[0]?.id);
    expect(run).toMatchObject({ state: 'done' });
    expect(run?.stretches).toHaveLength(2);
  });
});

describe('what dries', () => {
  it('rings when it may be touched, wherever in the project one is, and without a signal', async () => {
    const snapshot = async () => (await euporia.json(`/api/projects/${attic}/snapshot`)) as StoredRows;
    const before = await snapshot();
    const done = new Set(before.stepRuns.filter(({ state }) => state === 'done').map(({ stepId }) => stepId));
    const coat = before.benchPlans[0]?.placed.find(({ stepId }) => stepId.startsWith('coat:') && !done.has(stepId));
    const { recipeId, spotId, optionId, stepId } = coat ?? expect.fail('no coat is planned');
    const atMs = Date.now();
    const subject = { recipeId, spotId, optionId, stepId };
    const step = { ...subject, id: crypto.randomUUID(), what: 'A coat', people: 1, by: '' };
    await euporia.act(attic, 'finishStep', { ...step, atMs, entry: null });
    const rows = withFinds(await snapshot());
    const drying = dryingOfRuns(computePlan(rows, atMs), atMs).find(({ taskId }) => taskId === taskIdOf(step));
    await person.goto(`${euporia.address}/p/${attic}/hunt`);
    await person.seeText('At the till');
    await person.offline(true);
    // A minute after it is dry to touch, by the device's own clock.
    await person.driver.executeScript(
      'const now = Date.now; const by = arguments[0]; Date.now = () => now() + by;',
      (drying?.touch ?? 0) * 60_000 - Date.now() + 60_000,
    );
    const rung = until.elementLocated(By.xpath('//*[@role="alert"][contains(., "dry to touch")]'));
    const words = await (await person.driver.wait(rung, 45_000)).getText();
    expect(words).toContain(drying?.rowName);
    await person.press('Good');
    expect(await person.count('//*[@role="alert"][contains(., "dry to touch")]')).toBe(0);
    await person.offline(false);
    await euporia.act(attic, 'reopenStep', { runId: step.id });
    await person.goto(`${euporia.address}/p/${attic}/hunt`);
  });
});

describe('the plan, at the desk', () => {
  it('moves a session by name, says what moves with it, and takes it back', async () => {
    await second.size(1280, 800);
    await second.goto(bench);
    await second.seeText('Drying line');
    await second.notText('Stop looking');
    await second.click('//*[@role="tab" and normalize-space(.)="Day by day"]');
    await second.click('(//ol//button[normalize-space(.)="Move"])[last()]');
    await second.click('(//select[@aria-label="Move to"]/option[not(@hidden)])[6]');
    await second.press('Move it');
    await second.see('//p[@role="status"][starts-with(., "Moved to ") or starts-with(., "It cannot be done ")]');
    await second.saved();
    expect((await rows()).benchPlans[0]?.placed.some((one) => (one as { pinned: boolean }).pinned)).toBe(true);
    await second.press('Take it back');
    await second.saved();
    expect((await rows()).benchPlans[0]?.placed.some((one) => (one as { pinned: boolean }).pinned)).toBe(false);
  });

  it('moves a session that is dragged along the line to another day', async () => {
    await second.goto(bench);
    await second.seeText('Drying line');
    await second.notText('Stop looking');
    const line = '//section[@aria-label="Drying line, day by day"]';
    const hands = await second.see(`(${line}//button[not(@data-fixed) and not(@data-moment)])[1]`);
    await second.driver.executeScript('arguments[0].scrollIntoView({block: "center"})', hands);
    const { width } = await hands.getRect();
    await second.driver
      .actions()
      .move({ origin: hands })
      .press()
      .move({ origin: hands, x: Math.round(width), y: 0 })
      .move({ origin: hands, x: 190, y: 0 })
      .release()
      .perform();
    await second.see('//p[@role="status"][starts-with(., "Moved to ") or starts-with(., "It cannot be done ")]');
    await second.saved();
    expect((await rows()).benchPlans[0]?.placed.some((one) => (one as { pinned: boolean }).pinned)).toBe(true);
    await second.press('Take it back');
    await second.saved();
  });

  it('is saved as a calendar file that a parser reads again', async () => {
    const file = await second.download('Save as a calendar file');
    const events = new ICAL.Component(ICAL.parse(file))
      .getAllSubcomponents('vevent')
      .map((event) => new ICAL.Event(event));
    expect(events.length).toBeGreaterThan(10);
    for (const event of events) expect(event.endDate.compare(event.startDate)).toBe(1);
  });

  it('follows the hours that are typed: other evenings, none on a day, a helper, another table', async () => {
    await second.goto(`${bench}/hours`);
    await second.fill('In an ordinary week', 'Tue, Thu 19-21');
    await second.seeValue('In an ordinary week', 'Tue, Thu 19:00–21:00');
    await second.fill('In an ordinary week', 'whenever');
    await second.seeText('accepted: days and hours like Mon–Fri 18–20');
    await second.fill('In an ordinary week', 'Mon-Sun 18-20');
    await second.fill('Name of a helper', 'Ann', 'enter');
    await second.fill('Hours of Ann', 'Sat 10-14');
    await second.seeValue('Hours of Ann', 'Sat 10:00–14:00');
    await second.press('Add a place');
    await second.saved();
    await second.goto(bench);
    await second.seeText('The bench,');
  });

  it('says who is at a step and how many, where somebody helps', async () => {
    const title = await openFirst(second);
    await second.fill('Who is at it', 'Ann');
    await second.fill('People at it', '2');
    await second.press('Start');
    await second.seeText('Ann is at it');
    await second.fill('People at it', '3');
    await second.saved();
    const run = (await rows()).stepRuns.find(({ what, state }) => what === title && state === 'running');
    expect(run).toMatchObject({ by: 'Ann', people: 3 });
    await second.goto(bench);
    await second.see('//section[@aria-label="At hand and drying"]//small[contains(., "at hand, Ann")]');
    await second.click('//section[@aria-label="At hand and drying"]//button[contains(., "at hand")]');
    await second.press('Pause');
    await second.saved();
  });

  it('says what the coming week needs that nobody has fetched', async () => {
    await second.goto(bench);
    await second.see('//p[@role="note"][contains(., "not in the house and on no trip")]//a[.="Shopping list"]');
  });

  it('takes a forecast from a file, and says what it could not read', async () => {
    await second.goto(`${bench}/hours`);
    const file = await second.download('Save these days as a file to fill in');
    expect(file.split('\r\n')[0]).toBe('date,hour,air_c,humidity_percent,wind_m_per_s,rain_mm');
    const [, first = ''] = file.split('\r\n');
    const path = `${process.env.TMPDIR ?? '/tmp'}/weather-${process.pid}.csv`;
    writeFileSync(path, `${file}\r\n${first.replace(/,[^,]*$/, ',much')}\r\n`);
    await second.give('Take a forecast from a file', path);
    await second.seeText('10 days taken from');
    await second.seeText('rain_mm “much”; accepted: rain in mm, 0 to 300');
    rmSync(path);
    await second.saved();
  });
});
