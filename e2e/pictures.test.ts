import type { PieceRow } from '@core/model/rows';
import { describe, expect, it } from 'vitest';
import { demoAndPerson } from './lib/demo';
import { landingPicture, vasePicture } from './lib/picture';

/** Looks in the picture of their room, and pieces cut out of theirs. */
const { euporia, person, attic } = await demoAndPerson();
await person.size(1280, 800);
const snapshot = async () =>
  (await euporia.json(`/api/projects/${attic}/snapshot`)) as {
    spots: { id: string; name: string }[];
    looks: { id: string; name: string; photo: { corners: { x: number; y: number }[]; recolored: unknown[] } | null }[];
    pieces: PieceRow[];
    colorCards: { name: string }[];
  };
const { spots, colorCards } = await snapshot();
const spotId = (name: string) => spots.find((spot) => spot.name === name)?.id ?? '';
const photoOf = async (name: string) => (await snapshot()).looks.find((look) => look.name === name)?.photo;

describe('a look in the picture of its spot', () => {
  const drawing = '//*[local-name()="svg"][contains(@aria-label, "in its picture")]';
  const tapAround = async (points: readonly (readonly [number, number])[]) => {
    const picture = await person.see(drawing);
    for (const [x, y] of points)
      await person.driver.actions().move({ origin: picture, x, y }).press().release().perform();
    await person.seeText(`(${points.length} points)`);
  };

  it('of the demo stands in the demo’s own photo, what hangs there now taken away', async () => {
    await person.goto(`${euporia.address}/p/${attic}/arrange/photo?spot=${spotId('Landing console')}`);
    await person.seeText('taken away, 4 points');
    await person.seeText('The corners are met within');
    // The recolored picture lies over the one that was taken.
    await person.see(`${drawing}//*[local-name()="image"][starts-with(@href, "blob:")]`);
    expect(await person.count(`${drawing}//*[@role="button"]`)).toBe(0);
  });

  it('stands where four corners of the spot’s own frame are', async () => {
    await person.press('Another picture');
    await person.give('Add a picture of the spot', await landingPicture('landing.jpg'));
    await person.press('Put the look into landing.jpg');
    await person.see('//*[@aria-label="Corner lower left"]');
    await person.saved();
    const before = (await photoOf('Summer guests'))?.corners[3];
    const corner = await person.see('//*[@aria-label="Corner lower left"]');
    await person.driver.actions().dragAndDrop(corner, { x: 12, y: 30 }).perform();
    await person.saved();
    const after = (await photoOf('Summer guests'))?.corners[3];
    expect(after?.x).toBeGreaterThan(before?.x ?? 1);
    expect(after?.y).toBeGreaterThan(before?.y ?? 1);
  });

  it('says when two corners have changed places, and stands again when they are back', async () => {
    const corner = await person.see('//*[@aria-label="Corner lower left"]');
    await person.driver.actions().dragAndDrop(corner, { x: 0, y: -600 }).perform();
    await person.seeText('These are the corners of no rectangle');
    await person.press('Take it back');
    await person.seeText('The corners are met within');
    await person.saved();
  });

  it('says at its field what is no length', async () => {
    await person.fill('It is wide', '42');
    await person.seeValue('It is wide', '42');
    await person.fill('It is wide', 'wide');
    await person.seeText('“wide”');
    await person.fill('It is wide', '42');
  });

  it('gives a marked piece its new color, and the whole is saved as a picture in full', async () => {
    await person.press('Mark a piece');
    await tapAround([
      [-180, 40],
      [150, 36],
      [150, 56],
      [-180, 62],
    ]);
    await person.choose('It', `becomes ${colorCards[0]?.name}`);
    await person.press('Recolor it');
    await person.saved();
    expect((await photoOf('Summer guests'))?.recolored).toHaveLength(1);
    const saved = await person.download('Save the picture');
    expect(saved.slice(1, 4)).toBe('PNG');
  });
});

describe('a piece with a picture', () => {
  const piece = async (name: string) =>
    ((await euporia.json(`/api/house/pieces?words=${encodeURIComponent(name)}`)) as { pieces: PieceRow[] }).pieces.find(
      (row) => row.name === name,
    );
  const thing = '//*[@data-thing][starts-with(@aria-label, "Enamel jug")]';

  it('is noted, photographed, and cut out by a guess that is offered at once', async () => {
    await person.goto(`${euporia.address}/house`);
    await person.fill('A piece in one line', 'Enamel jug, 9 in', 'enter');
    await person.give('Photograph it', await vasePicture('jug.jpg'));
    await person.press('Cut it out of its picture');
    await person.seeText('What is dimmed is left out.');
    await person.see('//*[starts-with(@aria-label, "Point 1 of")]');
    expect(await person.count('//*[starts-with(@aria-label, "Point ")]')).toBeGreaterThan(6);
    await person.press('Use it');
    await person.press('Mend its cut-out');
    await person.press('Cancel');
    await person.see('//*[@role="status"][normalize-space(.)="Kept"]');
    const jug = await piece('Enamel jug');
    expect(jug?.cutOut?.photoId).toBe(jug?.photoId);
    // The jug of the picture is from 560 to 840 px of 1200, and from 180 to 760 px of 900.
    const xs = jug?.cutOut?.rings[0]?.map(({ x }) => x * 1200) ?? [];
    const ys = jug?.cutOut?.rings[0]?.map(({ y }) => y * 900) ?? [];
    expect(Math.abs(Math.min(...xs) - 560)).toBeLessThan(8);
    expect(Math.abs(Math.max(...xs) - 840)).toBeLessThan(8);
    expect(Math.abs(Math.min(...ys) - 180)).toBeLessThan(8);
    expect(Math.abs(Math.max(...ys) - 760)).toBeLessThan(8);
  });

  it('stands in a look as its picture, and its drawing from above', async () => {
    await person.goto(`${euporia.address}/p/${attic}/arrange?spot=${spotId('Landing console')}`);
    await person.fill('A piece of the house, or anything else', 'Enamel jug');
    await person.press('Put in: Enamel jug');
    await person.see(`${thing}//*[local-name()="image"][starts-with(@href, "data:image/png")]`);
    await person.click('//fieldset//button[@aria-pressed][normalize-space(.)="From above"]');
    await person.see(thing);
    expect(await person.count(`${thing}//*[local-name()="image"]`)).toBe(0);
    await person.click('//fieldset//button[@aria-pressed][normalize-space(.)="Front"]');
    await person.saved();
  });

  it('is cut anew by a few taps, a step taken back, and with a hole in it', async () => {
    await person.click(thing);
    await person.press('Mend its cut-out');
    const canvas = '//*[@aria-label="The picture and the line around the piece"]';
    await person.see(`${canvas}//*[@role="button"]`);
    // A press near a point takes it along; that is a step, which can be taken back.
    const points = () => person.count('//*[contains(@aria-label, " of the edge")]');
    const before = await points();
    const box = (await person.driver.executeScript(
      `const line = document.querySelector('[aria-label="The picture and the line around the piece"] [data-point="0 0"]');
       const a = line.getBoundingClientRect();
       return { x: Math.round(a.x + a.width / 2), y: Math.round(a.y + a.height / 2) };`,
    )) as { x: number; y: number };
    await person.driver
      .actions()
      .move(box)
      .press()
      .move({ x: box.x + 9, y: box.y - 6 })
      .release()
      .perform();
    expect(await points()).toBe(before);
    await person.press('Step back');
    await person.press('Cut a hole');
    const picture = await person.see(canvas);
    for (const [x, y] of [
      [-10, -10],
      [20, -10],
      [5, 20],
      [0, 60],
    ] as const)
      await person.driver.actions().move({ origin: picture, x, y }).press().release().perform();
    await person.press('Step back');
    await person.seeText('(3)');
    await person.press('It is a hole');
    await person.see('//*[@aria-label="Point 1 of 3 of hole 1"]');
    await person.press('Use it');
    await person.saved();
    expect((await piece('Enamel jug'))?.cutOut?.rings).toHaveLength(2);
    await person.press('Mend its cut-out');
    await person.press('Show it drawn instead');
    await person.saved();
    expect((await piece('Enamel jug'))?.cutOut).toBeNull();
    await person.press('Take it back');
    await person.saved();
    expect((await piece('Enamel jug'))?.cutOut?.rings).toHaveLength(2);
  });
});
