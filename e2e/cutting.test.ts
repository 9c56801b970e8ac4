import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import Papa from 'papaparse';
import { SVGPathData } from 'svg-pathdata';
import { describe, expect, it } from 'vitest';
import { temporaryFolder } from '../scripts/lib/temporary.mjs';
import { demoAndPerson } from './lib/demo';

const folder = temporaryFolder('euporia-cut');
const { euporia, person } = await demoAndPerson();
const { projects } = (await euporia.json('/api/projects')) as { projects: { id: string; name: string }[] };
const nook = projects.find(({ name }) => name === 'Dining nook and pantry')?.id ?? '';

interface Snapshot {
  slots: { id: string; name: string }[];
  recipes: { id: string; name: string; body: { layers: { artworkIds?: string[] }[] } }[];
  colorCards: { id: string; name: string }[];
  supplies: { id: string; kindId: string; offcuts: { widthMm: number }[] }[];
  layouts: { pins: unknown[] }[];
  artworks: { id: string; name: string; widthMm: number; heightMm: number; layers: unknown[] }[];
}
const rows = async () => (await euporia.json(`/api/projects/${nook}/snapshot`)) as Snapshot;
const go = (path: string) => person.goto(`${euporia.address}/p/${nook}/${path}`);
const onSheet = (text: string) =>
  `//section[@aria-label="Sheets"]//*[@role="button"][contains(@aria-label, "${text}")]`;
const linen = '//ul[@aria-label="What is cut from"]//a[contains(., "Natural linen")]';

describe('the layout of a whole plan', () => {
  it('has the runner and its eight napkins on one length of linen', async () => {
    await go('makeover/cut');
    await person.click(linen);
    await person.see(onSheet('Runner'));
    expect(await person.count(onSheet('Napkin'))).toBe(8);
    expect(await person.count(onSheet('Runner'))).toBe(1);
  });

  it('lights a part and the place where it goes, whichever is pressed', async () => {
    await person.click(`${onSheet('Runner')}`);
    await person.see(`${onSheet('Runner')}[@aria-pressed="true"]`);
    await person.see(
      '//section[@aria-label="Where each part goes"]//li[@data-here][contains(., "Hemmed linen runner")]',
    );
    await person.click('//section[@aria-label="Where each part goes"]//li[contains(., "Eight linen napkins")]//button');
    await person.see(`(${onSheet('Napkin')}[@aria-pressed="true"])[1]`);
  });

  it('keeps what is laid by hand, over a reload too, until it is let go', async () => {
    await person.driver.executeScript(
      'const part = document.querySelector(\'section[aria-label="Sheets"] [role="button"][aria-label*="Napkin"]\'); part.focus(); part.dispatchEvent(new KeyboardEvent("keydown", { key: "ArrowLeft", bubbles: true }))',
    );
    await person.see(`(${onSheet('laid by hand')})[1]`);
    await person.saved();
    expect((await rows()).layouts.flatMap(({ pins }) => pins)).toHaveLength(1);
    await person.driver.navigate().refresh();
    await person.see(`(${onSheet('laid by hand')})[1]`);
    await person.press('Let go of what was laid by hand');
    await person.driver.wait(async () => (await person.count(onSheet('laid by hand'))) === 0, 8000, 'still held');
    await person.press('Take it back');
    await person.see(`(${onSheet('laid by hand')})[1]`);
    await person.press('Let go of what was laid by hand');
    await person.saved();
  });

  it('goes out as a list and as outlines that another reader finds in true millimeters', async () => {
    const { data } = Papa.parse<Record<string, string>>(await person.download('Cut list (CSV)'), {
      header: true,
      skipEmptyLines: true,
    });
    expect(data).toHaveLength(9);
    const svg = await person.download('SVG');
    const widths = [...svg.matchAll(/<path id="part-[^"]+" d="([^"]+)"/g)].map(([, path = '']) => {
      const { minX, maxX, minY, maxY } = new SVGPathData(path).toAbs().getBounds();
      return [maxX - minX, maxY - minY].map((mm) => Math.round(mm * 10) / 10).sort((a, b) => a - b);
    });
    expect(widths).toHaveLength(9);
    // A napkin of 18 in with a hem of 1/2 in folded twice is 20 in wide, and longer by what washing takes.
    expect(widths.filter(([narrow]) => narrow === 508)).toHaveLength(8);
  });
});

describe('lettering', () => {
  it('is set in a typeface, on a label of another color, and cut apart by color', async () => {
    const jars = (await rows()).recipes.find(({ name }) => name === 'Jars lettered in two colors');
    const before = jars?.body.layers.length ?? 0;
    await go(`makeover/${jars?.id}`);
    await person.choose('Add a layer', 'Shapes cut from film');
    await person.press('New words or shape');
    await person.fill('Words', 'Beans');
    await person.see('//figure//*[@role="img"][@aria-label="Beans, to scale"]');
    await person.choose('On a label', 'Circle or oval');
    await person.seeText('2 colors, cut apart');
    await person.press('Keep it');
    await person.press('Cut its 2 colors apart');
    await person.saved();
    const now = await rows();
    expect(now.artworks.find(({ name }) => name === 'Beans')?.layers).toHaveLength(2);
    expect(now.recipes.find(({ id }) => id === jars?.id)?.body.layers).toHaveLength(before + 2);
  });

  it('of a set is typed one label a line: in one layer, alike in size, kept at once', async () => {
    const setOf = async () => (await rows()).artworks.map(({ name }) => name);
    const before = await setOf();
    await person.press('New words or shape');
    await person.fill('Words', 'Salt\nBrown sugar\nRye', 'stay');
    await person.choose('The lines are', '3 labels, one a line');
    await person.choose('On a label', 'Rounded label');
    await person.press('Keep the 3 labels');
    await person.saved();
    expect(await setOf()).toEqual(expect.arrayContaining([...before, 'Salt', 'Brown sugar', 'Rye']));
    const sizes = (await rows()).artworks.filter(({ name }) => ['Salt', 'Brown sugar', 'Rye'].includes(name));
    expect(new Set(sizes.map(({ widthMm, heightMm }) => `${widthMm} ${heightMm}`)).size).toBe(1);
    await person.seeText('4 shapes, each on its share of the 6 pieces');
    // Both colors of what was cut apart follow.
    const layers = (await rows()).recipes.flatMap(({ body }) => body.layers);
    expect(layers.filter(({ artworkIds = [] }) => artworkIds.length === 4)).toHaveLength(2);
  });

  it('says what the film does not hold, and a sign that the typeface has not', async () => {
    await person.press('New words or shape');
    await person.choose('Typeface', 'Handwritten');
    await person.fill('Words', 'Tea 茶');
    await person.seeText('This typeface has no “茶”');
    await person.seeText('Thinner than 1.5 mm');
    await person.press('Cancel');
  });

  it('comes from a file too; what is no outline is left out by name, and a bad file is refused with its place', async () => {
    const good = join(folder, 'leaf.svg');
    const bad = join(folder, 'bad.svg');
    writeFileSync(
      good,
      '<svg xmlns="http://www.w3.org/2000/svg" width="40mm" height="20mm" viewBox="0 0 40 20"><rect width="40" height="20"/>\n<text>hello</text></svg>',
    );
    writeFileSync(bad, '<svg xmlns="http://www.w3.org/2000/svg">\n<path d="M0 0 L oops"/></svg>');
    await person.press('New words or shape');
    await person.click('//fieldset//button[@aria-pressed][normalize-space(.)="SVG file"]');
    await person.give('SVG file, in its true size', bad);
    await person.see('//*[@role="alert"][contains(., "bad.svg cannot be read")][contains(., "line 2")]');
    await person.give('SVG file, in its true size', good);
    await person.seeText('<text> in line 2: letters have no outline');
    await person.seeText('1 9/16 in × 13/16 in');
    await person.press('Cancel');
  });
});

describe('the stand-in for a cutting machine', () => {
  it('refuses what lies off its mat, and shows the way of the blade for what does not', async () => {
    await go('makeover/machine');
    const large = join(folder, 'large.svg');
    const small = join(folder, 'small.svg');
    const file = (size: number) =>
      `<svg xmlns="http://www.w3.org/2000/svg" width="400mm" height="400mm" viewBox="0 0 400 400" fill="none" stroke="#000"><rect width="${size}" height="${size}"/><rect x="10" y="10" width="20" height="20"/></svg>`;
    writeFileSync(large, file(350));
    writeFileSync(small, file(100));
    await person.give('SVG file to cut', large);
    await person.see('//*[@role="alert"][contains(., "lies off the mat")]');
    await person.give('SVG file to cut', small);
    // 400 mm and 80 mm of cut: 18 7/8 in.
    await person.see('//*[@role="status"][contains(., "18 7/8 in of cut, 2 lifts")]');
    await person.press('Cut it');
    await person.see('//button[normalize-space(.)="Stop"]');
    await person.see('//button[normalize-space(.)="Cut it"]');
  });
});

describe('something made from scratch', () => {
  it('is one press on the board; its stems say how long they last, and what they do to a cat', async () => {
    await go('compare');
    await person.click('(//button[contains(@class,"add")][contains(., "Garland along the bench")])[1]');
    await person.click('//div[@role="dialog"]//button[contains(., "Make it")]');
    await person.fill('What would you make?', 'wreath');
    await person.click('//button[.//b[normalize-space(.)="Wreath of stems"]]');
    await person.saved();
    const wreath = (await rows()).recipes.find(({ name }) => name === 'Wreath of stems');
    await go(`makeover/${wreath?.id}`);
    await person.choose('Stems', 'Holly, cut');
    await person.seeText('lasts about 6 days');
    await person.seeText('makes animals and small children ill');
    await person.seeText('burn fast');
  });
});

describe('a leftover', () => {
  it('goes to the stash when what was cut is done, and is cut into by the next', async () => {
    const before = await rows();
    const card = before.colorCards.find(({ name }) => name === 'Natural linen')?.id ?? null;
    const known = before.supplies.find(({ kindId }) => kindId === 'fabricWide');
    const stash = { state: 'exact', amount: 4.2 };
    const supply = {
      kindId: 'fabricWide',
      colorCardId: card,
      sheen: null,
      stash,
      unitCostMillionths: 0,
      stock: null,
      offcuts: [],
    };
    const more = { base: '', containerSize: null, openedOn: null, keepsUntil: null, checkedOn: null };
    await euporia.act(nook, 'saveSupply', {
      supply: { id: known?.id ?? crypto.randomUUID(), version: 1, ...supply, ...more },
      packs: [],
    });
    const runner = before.recipes.find(({ name }) => name === 'Hemmed linen runner');
    await go(`makeover/${runner?.id}`);
    await person.press('It is done');
    await person.saved();
    const after = (await rows()).supplies.find(({ kindId }) => kindId === 'fabricWide');
    expect(after?.offcuts.length).toBeGreaterThan(0);
    await go('makeover/cut');
    await person.click(linen);
    await person.seeText('a leftover of the house');
  });
});
