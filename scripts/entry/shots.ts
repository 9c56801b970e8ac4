import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { Person } from '../../e2e/lib/browser';
import { Euporia } from '../../e2e/lib/euporia';
import { temporaryFolder } from '../lib/temporary.mjs';

/** Retakes the kept pictures: the demo on its own day, 1280 × 800, phone views 390 × 844. */
const NOW = '2026-05-28T09:00:00-04:00';
const folder = 'docs/screenshots';
mkdirSync(folder, { recursive: true });
/** A photo that nobody took: a pale wall, a floor, a teal chest, a lamp. */
async function inventedPhoto(): Promise<string> {
  const path = join(temporaryFolder('euporia-shot'), 'harbor door.jpg');
  const block = (background: string, width: number, height: number) =>
    sharp({ create: { width, height, channels: 3, background } })
      .png()
      .toBuffer();
  await sharp({ create: { width: 900, height: 640, channels: 3, background: '#e6dfd0' } })
    .composite([
      { input: await block('#9b6b43', 900, 150), left: 0, top: 490 },
      { input: await block('#2f5d62', 330, 260), left: 280, top: 250 },
      { input: await block('#24474b', 330, 14), left: 280, top: 370 },
      { input: await block('#c9a23a', 60, 130), left: 420, top: 120 },
      { input: await block('#7f9a6a', 90, 150), left: 60, top: 340 },
    ])
    .blur(2)
    .jpeg({ quality: 90 })
    .toFile(path);
  return path;
}

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
  await take('palette', `${attic}/brief`, 'Household and place', async () => {
    await person.press('Take colors from a photo');
    await person.see('//button[normalize-space(.)="Choose a photo"]');
    const input = await person.driver.findElement({ css: 'input[aria-label="Choose a photo"]' });
    await input.sendKeys(await inventedPhoto());
    await person.see('//input[@aria-label="Name of color 3"]');
    await person.driver.sleep(500);
  });
  await take('house', '/house?words=lantern', '1 piece found', async () => {
    await person.press('3 × Storm lantern');
    await person.press('Show all');
    await person.seeText('61 pieces');
    await person.driver.executeScript('window.scrollTo(0, 0)');
    await person.driver.sleep(400);
  });
  await take('house-fits', `${attic}/house?tab=fits`, 'pieces are free', async () => {
    await person.click('//nav[@aria-label="Slots"]//button[contains(., "Something tall")]');
    await person.seeText('Something tall and thin');
    await person.driver.executeScript('window.scrollTo(0, 0)');
    await person.driver.sleep(600);
  });
  await take('house-supplies', `${attic}/house?tab=supplies`, 'Note a can');
  await take('sketch', `${attic}/sketch`, 'Number what each spot calls for');
  await take('patterns', `${attic}/sketch`, 'Number what each spot calls for', async () => {
    await person.press('Landing console');
    await person.press('Start from a pattern');
    await person.seeText('frames leaning in');
    await person.driver.sleep(500);
  });
  await take('hunting-list', `${attic}/list`, 'pieces for');
  await take('hunt', `${attic}/hunt`, 'At the till');
  await take('places', `${attic}/hunt/places`, 'What falls when');
  await take('trip', `${attic}/hunt/trips`, 'Back at');
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
  await take('recipe-layers', `${attic}/makeover/${recipe}`, 'from the material up', async () => {
    await person.driver.executeScript('window.scrollTo(0, 560)');
    await person.driver.sleep(400);
  });
  await take('makeovers', `${attic}/makeover`, 'One can, many pieces');
  await take('board', `${attic}/compare`, 'Which way for each slot?');
  await take('why', `${attic}/compare`, 'Which way for each slot?', async () => {
    await person.press('Hour earns');
    await person.driver.sleep(200);
  });
  await person.size(390, 844);
  await take('house-phone', `${attic}/house?tab=fits`, 'pieces are free');
  await take('board-phone', `${attic}/compare`, 'Which way for each slot?');
  await take('hunting-list-phone', `${attic}/list`, 'pieces for');
  await take('card-phone', `${attic}/hunt/card`, 'Where are you', async () => {
    await person.fill('Where are you', 'Ferry Lane Hand-Me-Downs');
    await person.fill('What is it, and its tag', 'pine ledge, $9, blue tag', 'stay');
    await person.press('blue tags');
    await person.driver.sleep(700);
  });
} finally {
  await person.close();
  await euporia.remove();
}
