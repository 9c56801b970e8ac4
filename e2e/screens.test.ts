import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { billBody } from '@core/fixtures/bills';
import { describe, expect, it } from 'vitest';
import { SEARCH_MS } from './lib/browser';
import { demoAndPerson } from './lib/demo';

const { euporia, person, attic } = await demoAndPerson();
const project = `/p/${attic}`;
const snapshot = (await euporia.json(`/api/projects/${attic}/snapshot`)) as {
  recipes: { id: string; name: string }[];
  sightings: { id: string; thinkUntil: string | null }[];
  spots: { id: string; name: string }[];
};
const recipe = snapshot.recipes.find((entry) => entry.name === 'Oak nightstand in teal')?.id ?? '';
const spotId = (of: string) => snapshot.spots.find(({ name }) => name === of)?.id ?? '';
const landing = spotId('Landing console');
const thinking = snapshot.sightings.find(({ thinkUntil }) => thinkUntil !== null)?.id ?? '';

// Bills are nothing of the demo: two are made here, as a person would.
const [draft, toSend, bill] = [randomUUID(), randomUUID(), randomUUID()];
const bills = [
  ...[draft, toSend].map((id) => ({
    kind: 'addBillDraft',
    payload: {
      row: {
        id,
        version: 1,
        kind: 'invoice',
        body: billBody({
          lines: [
            {
              id: randomUUID(),
              what: 'Hands-on',
              quantityThousandths: 2500,
              unit: 'h',
              unitPrice: 3800,
              taxThousandths: 0,
            },
          ],
        }),
      },
    },
  })),
  { kind: 'issueBill', payload: { draftId: toSend, billId: bill, issuedOn: '2026-06-01', doneOn: null } },
];
for (const command of bills) {
  const answer = await fetch(`${euporia.address}/api/commands`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', 'x-device': 'screens' },
    body: JSON.stringify({ key: randomUUID(), projectId: attic, expect: {}, ...command }),
  });
  if (!answer.ok) throw new Error(await answer.text());
}

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

const places: [string, () => string, string][] = [
  ['projects', () => '/', 'Attic bedroom'],
  ['new project', () => '/new', 'Make the project'],
  ['brief', () => `${project}/brief`, 'Household and place'],
  ['sketch', () => `${project}/sketch`, 'Number what each spot calls for'],
  ['house, what fits', () => `${project}/house?tab=fits`, 'pieces are free'],
  ['house, pieces', () => '/house?tab=pieces', 'Sleeping stock'],
  ['house, supplies', () => '/house?tab=supplies', 'Note a can'],
  ['house, price book', () => '/house?tab=prices', 'Note a price'],
  ['house, files', () => '/house?tab=files', 'Bring a file in'],
  ['hunting list', () => `${project}/list`, 'pieces for'],
  ['hunt', () => `${project}/hunt`, 'At the till'],
  ['the card', () => `${project}/hunt/card`, 'Not decided yet'],
  ['the card over a find', () => `${project}/hunt/card?find=${thinking}`, 'Another piece'],
  ['trips', () => `${project}/hunt/trips`, 'Look for, at every stop'],
  ['offers', () => `${project}/hunt/offers`, 'The same look for'],
  ['ads', () => `${project}/hunt/ads`, 'No ads yet'],
  ['what goes back', () => `${project}/hunt/ledger`, 'Return by'],
  ['payments', () => `${project}/hunt/ledger?tab=lines`, 'Set right'],
  ['sums', () => `${project}/hunt/ledger?tab=sums`, 'Waste and regret'],
  ['a receipt', () => `${project}/hunt/ledger?tab=receipt`, 'Another line'],
  ['fees and sales', () => `${project}/hunt/ledger?tab=more`, 'A fee or a deposit'],
  ['places', () => `${project}/hunt/places`, 'What it takes off'],
  ['makeovers', () => `${project}/makeover`, 'Makeovers'],
  ['labels', () => `${project}/makeover/labels`, 'Bags of hardware'],
  ['a makeover', () => `${project}/makeover/${recipe}`, 'Coats until it hides'],
  ['board', () => `${project}/compare`, 'Which way for each slot?'],
  ['ways proposed', () => `${project}/compare/ways`, 'Tried on the plan as it stands'],
  ['plans', () => `${project}/compare/plans`, 'Keep what is chosen now as'],
  ['balance', () => `${project}/balance`, 'No plan costs less, however long it takes.'],
  ['shopping list', () => `${project}/balance/list`, 'for all that is chosen'],
  ['bench', () => `${project}/bench`, 'The bench,'],
  ['hours and places', () => `${project}/bench/hours`, 'Where pieces dry'],
  ['a step', () => `${project}/bench/step?task=${encodeURIComponent(`step ${recipe} coat:finish:1`)}`, 'planned'],
  [
    'a step that is done',
    () => `${project}/bench/step?task=${encodeURIComponent(`step ${recipe} wetClean`)}`,
    'Logged',
  ],
  ['the log', () => `${project}/bench/log`, 'Planned against actual, minutes'],
  ['arrange', () => `${project}/arrange`, 'How it stands'],
  ['the sheet for the ladder', () => `${project}/arrange/hang`, 'Before drilling'],
  ['two looks to choose from', () => `${project}/arrange/choose?spot=${landing}`, 'Note an answer'],
  ['a look in its picture', () => `${project}/arrange/photo?spot=${landing}`, 'The corners are met within'],
  [
    'a look without a picture',
    () => `${project}/arrange/photo?spot=${spotId('Bed wall')}`,
    'Take or choose the picture',
  ],
  ['what it came to', () => `${project}/wrap`, 'Where it came from'],
  ['loose ends', () => `${project}/wrap?tab=ends`, 'are left to do'],
  ['what is put away', () => `${project}/wrap?tab=store`, 'have no place yet'],
  ['before and after', () => `${project}/wrap?tab=pictures`, 'from where the before photo was taken'],
  ['sheets and bills', () => `${project}/wrap?tab=sheets`, 'On all your bills'],
  ['the client’s sheet', () => `${project}/wrap/sheet/client?costs=1`, 'Living with it'],
  ['the makers’ sheet', () => `${project}/wrap/sheet/makers`, 'how it was made'],
  ['the shopping record', () => `${project}/wrap/sheet/bought`, 'what was bought'],
  ['a bill while it is written', () => `${project}/wrap/bill/${draft}`, 'How it will look'],
  ['a bill that was made out', () => `${project}/wrap/bill/${bill}`, 'Take it back'],
  ['the next season', () => `${project}/wrap?tab=again`, 'Start the next season'],
  ['wishes', () => '/house?tab=wishes', 'Nothing is wished for'],
  ['history', () => '/history', 'Project by project'],
  ['boxes', () => '/house?tab=boxes', 'Labels to print'],
  ['labels of boxes', () => '/house?tab=boxes&labels=1', 'Back to the boxes'],
  ['assumptions', () => `${project}/assumptions`, 'Assumptions'],
  ['what waits on the device', () => '/waiting', 'Everything is sent'],
  ['devices and people', () => '/devices', 'Only this machine reaches Euporia'],
  ['a client’s sheet by a link that is over', () => '/sheet', 'This link opens nothing'],
];

/** What the rules for accessibility find on the page as it stands. */
async function remarks(): Promise<string[]> {
  await person.driver.executeScript(axe);
  return (await person.driver.executeAsyncScript(
    'const done=arguments[0];window.axe.run(document,{runOnly:["wcag2a","wcag2aa","wcag21a","wcag21aa"]}).then(r=>done(r.violations.map(v=>v.id+": "+v.nodes.map(n=>n.target.join(" ")+" "+n.html.slice(0,120)).slice(0,3).join(" | "))))',
  )) as string[];
}

/** What can be pressed and is lower than a thumb: links within a line, and what lies in something pressed, aside. */
const lowTargets = `
  const pressed = 'button, a, summary, [role=tab], .ant-checkbox-wrapper, .ant-select, select, .ant-input, .ant-input-affix-wrapper';
  return [...document.querySelectorAll(pressed)]
    .filter((one) => {
      const { width, height } = one.getBoundingClientRect();
      const style = getComputedStyle(one);
      const isHidden = width === 0 || height === 0 || style.visibility === 'hidden' || one.disabled === true
        || one.closest('.visually-hidden, [aria-hidden=true]') !== null;
      const isInLine = one.closest('[data-inline]') !== null || (one.tagName === 'A' && style.display === 'inline');
      const isWithin = one.parentElement.closest('.ant-select, .ant-input-affix-wrapper') !== null;
      return !isHidden && !isInLine && !isWithin && Math.round(height) < 44;
    })
    .map((one) => one.tagName + ' ' + (one.getAttribute('aria-label') ?? one.textContent).slice(0, 40) + ', ' + Math.round(one.getBoundingClientRect().height) + ' px');
`;

describe.each(places)('the screen %s', (_name, path, text) => {
  it('passes the accessibility rules that a program can check', async () => {
    await person.size(1280, 800);
    await person.goto(`${euporia.address}${path()}`);
    // A page is looked at when all of it is there: the search of Balance alone may take twenty seconds.
    await person.seeText(text, SEARCH_MS);
    expect(await remarks()).toEqual([]);
  });

  it('fits a phone: nothing sticks out sideways, and the same rules hold there', async () => {
    await person.size(390, 844);
    await person.goto(`${euporia.address}${path()}`);
    await person.seeText(text, SEARCH_MS);
    const [inner, scroll] = (await person.driver.executeScript(
      'return [window.innerWidth, document.documentElement.scrollWidth]',
    )) as [number, number];
    expect(scroll).toBeLessThanOrEqual(inner);
    expect(await remarks()).toEqual([]);
  });

  it('is pressed with a thumb on a phone: nothing that stands by itself is lower than 44 px', async () => {
    await person.size(390, 844);
    await person.goto(`${euporia.address}${path()}`);
    await person.seeText(text, SEARCH_MS);
    expect(await person.driver.executeScript(lowTargets)).toEqual([]);
  });
});

describe('the reasons of a figure on a phone', () => {
  it('fill the screen and can be read to their end', async () => {
    await person.size(390, 844);
    await person.goto(`${euporia.address}${project}/compare`);
    await person.press('Why: Makeover');
    await person.see('//aside[@aria-label="Why"]');
    await person.driver.executeScript(
      '[...document.querySelectorAll("aside button")].find((button) => button.textContent === "Remove option").scrollIntoView({ block: "end" })',
    );
    const [top, bottom, height] = (await person.driver.executeScript(
      'const at = [...document.querySelectorAll("aside button")].find((button) => button.textContent === "Remove option").getBoundingClientRect(); return [at.top, at.bottom, innerHeight]',
    )) as [number, number, number];
    expect(top).toBeGreaterThan(0);
    // A part of a pixel is no edge.
    expect(bottom).toBeLessThanOrEqual(height + 1);
    await person.press('Back to the board');
    await person.size(1280, 800);
  });
});

describe('the undo message on a phone', () => {
  it('covers nothing at the end of the board', async () => {
    await person.size(390, 844);
    await person.goto(`${euporia.address}${project}/compare`);
    await person.press('leave out');
    await person.see('//button[normalize-space(.)="Take it back"]');
    // Whatever stands last on a page, and however short the page is: all of it can be scrolled above the message.
    const isFree = await person.driver.executeScript(`
      window.scrollTo(0, document.documentElement.scrollHeight);
      const message = [...document.querySelectorAll('[role=status]')].find((one) => one.textContent.includes('Take it back'));
      return document.querySelector('main').getBoundingClientRect().bottom <= message.getBoundingClientRect().top;
    `);
    expect(isFree).toBe(true);
    await person.press('Take it back');
    await person.saved();
    await person.size(1280, 800);
  });
});
