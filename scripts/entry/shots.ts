import { mkdirSync } from 'node:fs';
import { Person } from '../../e2e/lib/browser';
import { Euporia } from '../../e2e/lib/euporia';

/** Retakes the kept pictures: the demo on its own day, 1280 × 800, phone views 390 × 844. */
const NOW = '2026-05-28T09:00:00-04:00';
const folder = 'docs/screenshots';
mkdirSync(folder, { recursive: true });
const euporia = await Euporia.start({ env: { EUPORIA_NOW: NOW } });
const person = await Person.open({ fixedNow: NOW });
try {
  const { projects } = (await euporia.json('/api/projects')) as { projects: { id: string; name: string }[] };
  const attic = `/p/${projects.find((project) => project.name === 'Attic bedroom')?.id}`;
  const { recipes } = (await euporia.json(`/api/projects/${attic.slice(3)}/snapshot`)) as {
    recipes: { id: string; name: string }[];
  };
  const recipe = recipes.find((entry) => entry.name === 'Oak nightstand in teal')?.id;
  const take = async (name: string, path: string, text: string, prepare?: () => Promise<void>) => {
    await person.goto(`${euporia.address}${path}`);
    await person.seeText(text);
    await prepare?.();
    await person.picture(`${folder}/${name}.png`);
  };
  await person.size(1280, 800);
  await take('projects', '/', 'Attic bedroom');
  await take('brief', `${attic}/brief`, 'Household and place');
  await take('house', '/house?words=lantern', '1 piece found', async () => {
    await person.press('3 × Storm lantern');
    await person.press('Show all');
    await person.seeText('62 pieces');
    await person.driver.executeScript('window.scrollTo(0, 0)');
    await person.driver.sleep(400);
  });
  await take('house-fits', `${attic}/house?tab=fits`, 'pieces are free', async () => {
    await person.click('//nav[@aria-label="Slots"]//button[contains(., "Something tall")]');
    await person.seeText('Something tall and thin');
    await person.driver.executeScript('window.scrollTo(0, 0)');
    await person.driver.sleep(600);
  });
  await take('sketch', `${attic}/sketch`, 'Number what each spot calls for');
  await take('hunting-list', `${attic}/list`, 'pieces for');
  await take('hunt', `${attic}/hunt`, 'At the till', async () => {
    await person.click('//ul[@aria-label="Finds"]//button[.//b[normalize-space(.)="Oak nightstand"]]');
    await person.click('//summary[contains(., "Inspect it")]');
    await person.driver.executeScript('window.scrollTo(0, 560)');
    await person.driver.sleep(500);
  });
  await take('offers', `${attic}/hunt/offers`, 'See them on the board');
  await take('places', `${attic}/hunt/places`, 'What falls when');
  await take('ledger', `${attic}/hunt/ledger?tab=dates`, 'Return by');
  await take('receipt', `${attic}/hunt/ledger?tab=receipt`, 'New receipt', async () => {
    await person.fill('From', 'Craft Quay');
    await person.fill('It says', 'Frame 8 x 10 white');
    await person.fill('Price of one', '7.99');
    await person.fill('How many', '3');
    await person.press('Discount over several lines …');
    await person.click('//li[contains(@class,"ant-dropdown-menu-item")][normalize-space(.)="Some free: 3 for 2"]');
    await person.driver.executeScript('window.scrollTo(0, 200)');
    await person.driver.sleep(500);
  });
  await take('recipe', `${attic}/makeover/${recipe}`, 'from the material up');
  await take('makeovers', `${attic}/makeover`, 'One can, many pieces');
  await take('board', `${attic}/compare`, 'Which way for each slot?');
  await take('why', `${attic}/compare`, 'Which way for each slot?', async () => {
    await person.press('Hour earns');
    await person.driver.sleep(200);
  });
  await person.size(390, 844);
  await take('house-phone', `${attic}/house?tab=fits`, 'pieces are free');
  await take('board-phone', `${attic}/compare`, 'Which way for each slot?');
  await take('trip-phone', `${attic}/hunt/trips`, 'Back at', async () => {
    await person.driver.executeScript('document.querySelector(\'[aria-label="Stops"]\').scrollIntoView()');
    await person.driver.sleep(400);
  });
  await take('card-phone', `${attic}/hunt/card`, 'Where are you', async () => {
    await person.fill('Where are you', 'Ferry Lane Hand-Me-Downs');
    await person.fill('What is it, and its tag', 'pine ledge, $9, blue tag', 'stay');
    await person.driver.sleep(700);
  });
} finally {
  await person.close();
  await euporia.remove();
}
