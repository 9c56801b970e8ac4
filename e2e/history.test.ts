import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { historySentence } from '@core/closing/historyWords';
import { historySums, type PastProject } from '@core/closing/studioHistory';
import ICAL from 'ical.js';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { temporaryFolder } from '../scripts/lib/temporary.mjs';
import { demoAndPerson } from './lib/demo';

/** What goes beyond one project: the studio's history, a wish list, a project as a pattern, all of it as one file. */
const { euporia, person } = await demoAndPerson();
type Listed = { id: string; name: string; room: string; currency: string; summary: PastProject | null };
const listed = async () => ((await euporia.json('/api/projects')) as { projects: Listed[] }).projects;

describe('the history of the demo', () => {
  it('says what the finished projects came to, and lists every project that was begun', async () => {
    await person.goto(euporia.address);
    await person.press('History');
    await person.seeText('Project by project');
    await person.notText('Still adding up');
    const projects = (await listed()).flatMap(({ id, name, currency, summary }) =>
      summary?.closing ? [{ id, name, currency, closing: summary.closing }] : [],
    );
    for (const sums of historySums(projects)) await person.seeText(historySentence(sums));
    const begun = projects.filter(({ closing }) => closing.state !== 'planned');
    expect(begun.length).toBeGreaterThan(2);
    for (const { name } of begun) await person.see(`//table//a[.="${name}"]`);
    const { data } = Papa.parse<Record<string, string>>(await person.download('As a table (CSV)'), { header: true });
    expect(data).toHaveLength(begun.length);
    const hall = data.find(({ Project }) => Project === 'Hall console');
    expect(Number(hall?.Money)).toBe((projects.find(({ name }) => name === 'Hall console')?.closing.cash ?? 0) / 100);
  });

  it('leads from a project to what it came to', async () => {
    await person.click('//table//a[.="Hall console"]');
    await person.seeText('Saved against new');
  });
});

describe('the wish list', () => {
  it('keeps what is looked out for, at which price, where and when; its sale is a day of the calendar', async () => {
    await person.goto(`${euporia.address}/house?tab=wishes`);
    await person.seeText('Nothing is wished for');
    await person.fill('To look out for', 'A tall blue vase');
    await person.press('Wish for it');
    await person.seeText('A tall blue vase');
    await person.fill('At most', '9');
    await person.fill('Where', 'The Blue Gate Sale');
    await person.fill('On sale from', '2027-02-03');
    await person.fill('For', 'the hall');
    await person.seeText('up to $9 · The Blue Gate Sale');
    await person.seeText('for the hall');
    const calendar = new ICAL.Component(ICAL.parse(await person.download('Sale days as a calendar file')));
    const [event] = calendar.getAllSubcomponents('vevent');
    expect(event?.getFirstPropertyValue('summary')).toBe('On sale: A tall blue vase');
    expect(String(event?.getFirstPropertyValue('dtstart'))).toBe('2027-02-03');
    await person.press('Got it: A tall blue vase');
    await person.seeText('Got, 1');
    await person.seeText('Nothing is wished for');
  });
});

describe('a project as a pattern', () => {
  it('begins in another room with its spots and slots, and nothing in them', async () => {
    const hall = (await listed()).find(({ name }) => name === 'Hall console')?.id ?? '';
    await person.goto(`${euporia.address}/p/${hall}/wrap?tab=again`);
    await person.press('Begin it there');
    await person.seeText('Room: nothing yet');
    await person.fill('Room', 'Back hall');
    await person.press('Begin it there');
    await person.seeText('Hall console, Back hall');
    const made = (await listed()).find(({ name }) => name === 'Hall console, Back hall');
    expect(made?.room).toBe('Back hall');
    const rows = (await euporia.json(`/api/projects/${made?.id}/snapshot`)) as Record<string, unknown[]>;
    expect([rows.slots?.length, rows.fills?.length, rows.ledger?.length]).toEqual([7, 0, 0]);
  });
});

describe('the studio as a file', () => {
  it('is saved whole, and comes back as a studio of its own with the same projects', async () => {
    await person.goto(euporia.address);
    const before = await listed();
    const bytes = await person.downloadBytes('Save this studio as a file');
    expect(bytes.subarray(0, 2).toString()).toBe('PK');
    const path = join(temporaryFolder('euporia-studio'), 'demo.studio.zip');
    writeFileSync(path, bytes);
    await person.give('Studio file', path);
    await person.driver.wait(
      async () => (await listed()).length === before.length && (await person.text()).includes('You are in'),
      60_000,
      'the studio never came',
    );
    await person.seeText('Hall console');
    await person.see('//section[@aria-label="Studios"]//li[2]');
    expect((await listed()).map(({ name }) => name).sort()).toEqual(before.map(({ name }) => name).sort());
    // What is no such file is refused with its reason, and nothing changes.
    const none = join(temporaryFolder('euporia-studio'), 'none.zip');
    writeFileSync(none, 'no archive');
    await person.give('Studio file', none);
    await person.seeText('a studio that Euporia saved, whole');
  });
});
