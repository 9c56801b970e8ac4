import { mkdirSync } from 'node:fs';
import { Person } from '../../e2e/lib/browser';
import { Euporia } from '../../e2e/lib/euporia';

/**
 * Retakes the kept pictures: the demo on its own day, 1280 × 800, phone views 390 × 844. With names, only those:
 * `npm run shots -- board devices`.
 */
const only = process.argv.slice(2);
const wants = (name: string) => only.length === 0 || only.includes(name);
const NOW = '2026-05-28T09:00:00-04:00';
const folder = 'docs/screenshots';
mkdirSync(folder, { recursive: true });
const euporia = await Euporia.start({ env: { EUPORIA_NOW: NOW } });
const person = await Person.open({ fixedNow: NOW });
try {
  const { projects } = (await euporia.json('/api/projects')) as { projects: { id: string; name: string }[] };
  const attic = `/p/${projects.find((project) => project.name === 'Attic bedroom')?.id}`;
  const snapshot = (await euporia.json(`/api/projects/${attic.slice(3)}/snapshot`)) as {
    recipes: { id: string; name: string; body: { layers: { id: string }[] } }[];
    spots: { id: string; name: string }[];
  };
  const spotId = (name: string) => snapshot.spots.find((spot) => spot.name === name)?.id;
  const recipe = snapshot.recipes.find((entry) => entry.name === 'Oak nightstand in teal')?.id;
  const hall = `/p/${projects.find((project) => project.name === 'Hall console')?.id}`;
  const take = async (name: string, path: string, text: string, prepare?: () => Promise<void>) => {
    if (!wants(name)) return;
    await person.goto(`${euporia.address}${path}`);
    await person.seeText(text);
    await prepare?.();
    // Drawings come after their page.
    await person.driver.wait(
      () => person.driver.executeScript('return !document.querySelector("[data-to-come]")'),
      20_000,
    );
    await person.picture(`${folder}/${name}.png`);
  };
  await person.size(1280, 800);
  await take('brief', `${attic}/brief`, 'Household and place');
  await take('house', '/house?words=lantern', '1 piece found', async () => {
    await person.press('3 × Storm lantern');
    await person.press('Show all');
    await person.seeText('64 pieces');
    await person.driver.executeScript('window.scrollTo(0, 0)');
    await person.driver.sleep(400);
  });
  await take('sketch', `${attic}/sketch`, 'Number what each spot calls for');
  await take('hunt', `${attic}/hunt`, 'At the till', async () => {
    await person.click('//ul[@aria-label="Finds"]//button[.//b[normalize-space(.)="Oak nightstand"]]');
    await person.click('//summary[contains(., "Inspect it")]');
    await person.driver.executeScript('window.scrollTo(0, 560)');
    await person.driver.sleep(500);
  });
  await take('recipe', `${attic}/makeover/${recipe}`, 'from the material up');
  await take('board', `${attic}/compare`, 'Which way for each slot?');
  await take('balance', `${attic}/balance`, 'No plan costs less, however long it takes.', async () => {
    await person.notText('Finer steps follow');
  });
  await take('bench', `${attic}/bench`, 'Drying line', async () => {
    await person.notText('Stop looking');
    await person.seeText('What would help');
    await person.driver.executeScript('window.scrollTo(0, 90)');
    await person.driver.sleep(400);
  });
  await take('arrange', `${attic}/arrange?spot=${spotId('Bed wall')}`, 'How it stands', async () => {
    await person.see('//*[@data-thing][starts-with(@aria-label, "Pine toy chest")]//*[local-name()="image"]');
    await person.driver.sleep(400);
  });
  await take('in-the-room', `${attic}/arrange/photo?spot=${spotId('Landing console')}`, 'taken away', async () => {
    await person.see('//*[local-name()="image"][starts-with(@href, "blob:")]');
    await person.driver.sleep(600);
  });
  await take('wrap', `${hall}/wrap`, 'Where it came from', async () => {
    await person.see('//*[contains(@class,"recharts-bar")]');
    await person.driver.executeScript('window.scrollTo(0, 0)');
  });
  await takeSheets(hall);
  await take('boxes', '/house?tab=boxes&labels=1', 'Back to the boxes', async () => {
    await person.driver.sleep(500);
  });
  await take('history', '/history', 'Project by project', async () => {
    await person.notText('Still adding up');
    await person.see('//*[contains(@class,"recharts-bar")]');
    await person.driver.sleep(600);
  });
  await take('start', '/', 'Dining nook and pantry', async () => {
    await person.driver.sleep(600);
  });
  await person.size(390, 844);
  await take('tonight-phone', `${attic}/bench`, 'The bench,', async () => {
    await person.notText('Stop looking');
    await person.driver.executeScript('document.querySelector(\'[aria-label="What is next"]\').scrollIntoView()');
    await person.driver.sleep(400);
  });
  await take('card-phone', `${attic}/hunt/card`, 'Where are you', async () => {
    await person.fill('Where are you', 'Ferry Lane Hand-Me-Downs');
    await person.fill('What is it, and its tag', 'pine ledge, $9, blue tag', 'stay');
    await person.driver.sleep(700);
  });
  await takeWaiting(attic);
} finally {
  await person.close();
  await euporia.remove();
}

/** The first pages of the client's sheet and of an invoice, as a PDF library draws them, side by side. */
async function takeSheets(hall: string) {
  if (!wants('sheets')) return;
  await person.size(1280, 800);
  await person.goto(`${euporia.address}${hall}/wrap/sheet/client`);
  await person.seeText('Living with it');
  const client = await pageOf(await person.downloadBytes('Save as PDF'));
  await person.press('All sheets');
  await person.fill('Your name and address', 'Ada Quill\n12 Sample Lane\nNewtown');
  await person.fill('Your hour', '38');
  await person.fill('Tax is called', 'Sales tax');
  await person.fill('Tax', '6');
  await person.press('Write an invoice');
  await person.fill('Whoever pays: name and address', 'Bo Ferry\n3 Quay Street\nNewtown');
  await person.saved();
  await person.press('Make out the invoice');
  await person.see('//h1[.="Invoice 1"]');
  const invoice = await pageOf(await person.downloadBytes('Save as PDF'));
  const { default: sharp } = await import('sharp');
  const page = (bytes: Buffer) =>
    sharp(bytes)
      .resize({ height: 780 })
      .extend({ top: 10, bottom: 10, left: 10, right: 10, background: '#d8d4cc' })
      .png()
      .toBuffer();
  const [left, right] = [await page(client), await page(invoice)];
  const wide = (await sharp(left).metadata()).width ?? 0;
  await sharp({ create: { width: 2 * wide, height: 800, channels: 3, background: '#d8d4cc' } })
    .composite([
      { input: left, left: 0, top: 0 },
      { input: right, left: wide, top: 0 },
    ])
    .png()
    .toFile(`${folder}/sheets.png`);
}

/** The first page of a PDF as a PNG. */
async function pageOf(bytes: Buffer): Promise<Buffer> {
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs');
  const pdf = await getDocument({ data: new Uint8Array(bytes), useSystemFonts: false }).promise;
  const page = await pdf.getPage(1);
  const viewport = page.getViewport({ scale: 1.6 });
  const factory = pdf.canvasFactory as {
    create(width: number, height: number): { canvas: { toBuffer(type: string): Buffer }; context: object };
  };
  const { canvas, context } = factory.create(viewport.width, viewport.height);
  await page.render({ canvasContext: context as CanvasRenderingContext2D, viewport }).promise;
  return canvas.toBuffer('image/png');
}

/** A phone that came back: what waits, and both versions of what the desk changed meanwhile. Last, since it changes the demo. */
async function takeWaiting(attic: string) {
  if (!wants('waiting-phone')) return;
  await person.size(390, 844);
  await person.goto(`${euporia.address}${attic}/brief`);
  await person.fill('Room', 'Attic above the ferry');
  await person.saved();
  await person.offline(true);
  await person.fill('Room', 'Attic over the landing stage');
  await person.fill('Hours on hand', '14');
  await person.seeText('to send');
  await euporia.act(attic.slice(3), 'editProject', {
    id: attic.slice(3),
    values: { room: 'Attic, seaward side' },
  });
  await person.offline(false);
  await person.seeText('Changed in two places');
  await person.goto(`${euporia.address}/waiting`);
  await person.see('//section//button[normalize-space(.)="Keep mine"]');
  await person.driver.sleep(500);
  await person.picture(`${folder}/waiting-phone.png`);
}

/** Devices and people, as they are where others reach the studio: a code made for a helper's phone. */
async function takeDevices() {
  const reached = await Euporia.start({ env: { EUPORIA_SIGN_IN: '1' } });
  const owner = await Person.open();
  try {
    await owner.size(1280, 800);
    await owner.goto(reached.address);
    await owner.fill('Code', /[A-HJ-NP-Z2-9]{4}-[A-HJ-NP-Z2-9]{4}/.exec(reached.output)?.[0] ?? '');
    await owner.fill('Name', 'Mara');
    await owner.fill('Pass phrase', 'kelp lantern seven oars');
    await owner.press('It is my studio');
    await owner.press('Devices and people');
    await owner.fill('Name of somebody more', 'Jonas');
    await owner.press('Let them in');
    await owner.see('//section[@aria-label="Code for Jonas"]');
    await owner.driver.sleep(600);
    await owner.picture(`${folder}/devices.png`);
  } finally {
    await owner.close();
    await reached.remove();
  }
}
if (wants('devices')) await takeDevices();
