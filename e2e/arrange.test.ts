import { Key } from 'selenium-webdriver';
import { afterAll, describe, expect, it } from 'vitest';
import { Person } from './lib/browser';
import { demoAndPerson } from './lib/demo';

/** Looks to scale, arranged and hung as a stylist does it: at the desk, with a second device, on a ladder with the phone. */
const { euporia, person, attic } = await demoAndPerson();
const second = await Person.open();
afterAll(() => second.close());

const arrange = `${euporia.address}/p/${attic}/arrange`;
const spots = ((await euporia.json(`/api/projects/${attic}/snapshot`)) as { spots: { id: string; name: string }[] })
  .spots;
const at = (name: string) => `${arrange}?spot=${spots.find((spot) => spot.name === name)?.id ?? ''}`;
const rows = async () =>
  (await euporia.json(`/api/projects/${attic}/snapshot`)) as {
    spots: { id: string; name: string }[];
    looks: { id: string; name: string }[];
    lookPieces: { id: string; name: string; lookId: string; xMm: number; footMm: number; onId: string | null }[];
    holes: { heightMm: number; fromEdgeMm: number; edge: string }[];
  };
/** A thing of the drawing, by the beginning of what is said of it. */
const thing = (name: string) => `//*[@data-thing][starts-with(@aria-label, "${name}")]`;
const saidOf = async (who: Person, name: string) =>
  (await (await who.see(thing(name))).getAttribute('aria-label')) ?? '';
const inch = (n: number) => n * 25.4;

describe('a console, from an empty look', () => {
  it('is begun empty, and takes what the sketch calls for and what is only described', async () => {
    await person.size(1280, 800);
    await person.goto(at('Landing console'));
    await person.choose('One more look', 'Empty');
    await person.seeText('Put in');
    await person.press('Put in: Mirror');
    await person.see(thing('Round mirror from the hall'));
    await person.press('Put in: Bowl for keys');
    await person.see(thing('Bowl for keys'));
    await person.fill('A piece of the house, or anything else', 'blue vase, 5 in wide, 12 in tall', 'enter');
    await person.see(thing('Blue vase'));
    await person.saved();
    const look = (await rows()).looks.find(({ name }) => name === 'Look 4');
    expect((await rows()).lookPieces.filter(({ lookId }) => lookId === look?.id)).toHaveLength(3);
  });

  it('lets a piece be dragged; what is let go in the air falls onto what is below', async () => {
    await person.press('Put in: Frame, leaning');
    await person.see(thing('Gilt frame'));
    await person.saved();
    const before = await saidOf(person, 'Blue vase');
    const vase = await person.see(thing('Blue vase'));
    await person.driver.actions().dragAndDrop(vase, { x: -40, y: -60 }).perform();
    await person.driver.wait(async () => (await saidOf(person, 'Blue vase')) !== before, 5000, 'it did not move');
    // It stands: on the console, nothing else is wide enough below it.
    expect(await saidOf(person, 'Blue vase')).toContain(', 0 in up');
    await person.saved();
  });

  it('takes a distance as it is typed, and says at its field what it does not understand', async () => {
    await person.click(thing('Blue vase'));
    await person.fill('From the left', '4 1/2');
    await person.saved();
    expect(await saidOf(person, 'Blue vase')).toContain('4 1/2 in from the left');
    await person.fill('From the left', 'about there');
    await person.seeText('“about there”');
    await person.fill('From the left', '4 1/2');
  });

  it('moves by the arrow keys, and an undo puts it back', async () => {
    await person.click(thing('Blue vase'));
    await person.key('\uE014');
    await person.driver.wait(async () => (await saidOf(person, 'Blue vase')).includes('5 1/2 in from the left'), 5000);
    await person.saved();
    await person.press('Take it back');
    await person.driver.wait(async () => (await saidOf(person, 'Blue vase')).includes('4 1/2 in from the left'), 5000);
  });

  it('is the same on another device, and after a reload', async () => {
    await person.saved();
    await second.size(1280, 800);
    await second.goto(at('Landing console'));
    await second.press('Look 4');
    expect(await saidOf(second, 'Blue vase')).toContain('4 1/2 in from the left');
    await second.click(thing('Blue vase'));
    await second.fill('From the left', '6');
    await second.saved();
    await person.driver.wait(async () => (await saidOf(person, 'Blue vase')).includes('6 in from the left'), 15_000);
    await person.driver.navigate().refresh();
    expect(await saidOf(person, 'Blue vase')).toContain('6 in from the left');
  });

  it('shows where things stand from above, and the colors that they have now', async () => {
    await person.click('//fieldset//button[@aria-pressed][normalize-space(.)="From above"]');
    await person.see('//*[@role="group"][contains(@aria-label, "seen from above")]');
    expect(await saidOf(person, 'Blue vase')).toContain('from the front edge');
    await person.click('//fieldset//button[@aria-pressed][normalize-space(.)="Front"]');
    await person.see('//*[@role="group"][contains(@aria-label, "seen from the front")]');
  });

  it('copies a look, and says what changes to the other', async () => {
    await person.choose('One more look', 'Copy “Look 4”');
    await person.press('Look 5');
    await person.click(thing('Blue vase'));
    await person.press('Take away');
    await person.saved();
    await person.seeText('To “Look 4”:');
    await person.seeText('In: Blue vase');
  });
});

describe('what the rules say', () => {
  it('is mended with one press, and taken back with one', async () => {
    await person.goto(at('Landing console'));
    await person.press('Winter');
    await person.seeText('near Pillar candle');
    await person.press('Use a flameless one');
    await person.notText('near Pillar candle');
    await person.saved();
    await person.press('Take it back');
    await person.seeText('near Pillar candle');
  });

  it('of a flame cannot be set aside; of a matter of taste it can, with a reason', async () => {
    const flame = '//li[.//h4[contains(., "near Pillar candle")]]';
    await person.see(flame);
    expect(await person.count(`${flame}//button[normalize-space(.)="Set aside"]`)).toBe(0);
    await person.press('Summer guests');
    const level = '//li[.//h4[contains(., "are level")]]';
    await person.see(level);
    await person.click(`${level}//button[normalize-space(.)="Set aside"]`);
    await person.fill('Reason', 'they are a pair for us', 'enter');
    await person.seeText('“they are a pair for us”');
    await person.saved();
    await person.press('Back in force');
    await person.notText('“they are a pair for us”');
  });
});

describe('the sheet for the ladder', () => {
  it('says where three frames in a row go, to a sixteenth of an inch', async () => {
    await person.goto(at('Bed wall'));
    await person.press('For guests');
    await person.press('Where the nails go');
    await person.seeText('For the ladder');
    await person.fill('Between two', '4');
    await person.press('Hang them so');
    await person.saved();
    // Three frames of 11 in with gaps of 4 over a wall of 132 in: margins 45 1/2, middles 51, 66, 81; a frame of 13 in
    // with its middle at 57 and its wire 2 1/2 below the top: 57 + 6 1/2 − 2 1/2 = 61.
    const text = await person.text();
    for (const words of [
      '61 in up',
      '51 in right of the gable corner',
      '66 in right of the gable corner',
      '81 in right of the gable corner',
    ])
      expect(text).toContain(words);
    await person.click('//fieldset//button[@aria-pressed][normalize-space(.)="from the right"]');
    await person.seeText('51 in left of the eaves');
    await person.click('//fieldset//button[@aria-pressed][normalize-space(.)="from the left"]');
  });

  it('says that a row is too wide before it is hung', async () => {
    await person.fill('Between two', '60');
    await person.seeText('too wide');
    await person.fill('Between two', '4');
    await person.seeText('4 in between');
  });

  it('gives paper templates at true size', async () => {
    const svg = await person.download('Templates as SVG');
    expect(svg).toContain('<svg');
    const pdf = await person.download('Templates 1:1');
    expect(pdf.startsWith('%PDF-')).toBe(true);
  });

  it('keeps the holes for the next project, for every device', async () => {
    await person.press('Record the holes');
    await person.saved();
    await person.seeText('Hole at 61 in, 51 in right of the gable corner');
    const { holes } = await rows();
    expect(holes.filter(({ edge }) => edge === 'the gable corner').map(({ heightMm }) => heightMm / inch(1))).toContain(
      61,
    );
    await second.size(390, 844);
    await second.goto(
      `${euporia.address}/p/${attic}/arrange/hang?spot=${spots.find(({ name }) => name === 'Bed wall')?.id}`,
    );
    await second.seeText('Hole at 61 in, 51 in right of the gable corner');
  });

  it('is read on a phone, the figures large', async () => {
    const size = (await second.driver.executeScript(
      'return getComputedStyle([...document.querySelectorAll("b")].find((b) => b.textContent.includes("in up"))).fontSize',
    )) as string;
    expect(Number.parseFloat(size)).toBeGreaterThanOrEqual(30);
  });
});

describe('two looks for somebody to choose', () => {
  it('stand side by side, and the answer is noted by hand', async () => {
    await person.goto(at('Landing console'));
    await person.press('Two looks for somebody to choose');
    await person.seeText('Which of the two?');
    await person.fill('Who', 'The owner of the guest house');
    await person.press('Plain');
    await person.fill('What was said', 'less to dust', 'enter');
    await person.saved();
    await person.seeText('less to dust');
    await second.size(1280, 800);
    await second.goto(
      `${euporia.address}/p/${attic}/arrange/choose?spot=${spots.find(({ name }) => name === 'Landing console')?.id}`,
    );
    await second.seeText('The owner of the guest house takes it');
  });

  it('are saved as one picture, both of them in it', async () => {
    const { default: sharp } = await import('sharp');
    const png = await second.downloadBytes('Save it as a picture');
    const { width = 0, height = 0, format } = await sharp(png).metadata();
    expect([format, width]).toEqual(['png', 1600]);
    for (const left of [60, 840]) {
      // Each half shows more than its paper: furniture, lines, things in their colors.
      const half = await sharp(png)
        .extract({ left, top: 160, width: 700, height: height - 400 })
        .stats();
      expect(Math.max(...half.channels.map(({ stdev }) => stdev))).toBeGreaterThan(8);
    }
  });
});

describe('spots of our own, by their names', () => {
  it('a mantel is one by its name, and a garland that is longer drapes along it', async () => {
    await person.goto(`${euporia.address}/p/${attic}/sketch`);
    await person.fill('Name of the new spot', 'Mantel in the hall', 'enter');
    await person.seeText('Width of the shelf');
    await person.saved();
    await person.goto(at('Bed wall'));
    await person.click('//*[@role="tab"][contains(., "Mantel in the hall")]');
    await person.press('Start empty');
    await person.fill('A piece of the house, or anything else', 'fir garland, 12 ft long', 'enter');
    await person.see(thing('Fir garland'));
    await person.fill('A piece of the house, or anything else', 'pair of brass candlesticks, 10 in tall', 'enter');
    await person.driver.wait(async () => (await person.count(thing('Brass candlesticks'))) === 2, 8000, 'no pair');
    // Two candlesticks beside greens: a caution, which cannot be set aside.
    const flame = '//li[.//h4[contains(., "near Brass candlesticks")]]';
    await person.see(flame);
    expect(await person.count(`${flame}//button[normalize-space(.)="Set aside"]`)).toBe(0);
    expect(await person.text()).not.toContain('does not fit in');
    await person.saved();
  });

  it('a console shows its floor once something is put there, as one step that is taken back, on every device', async () => {
    await person.goto(`${euporia.address}/p/${attic}/sketch`);
    await person.fill('Name of the new spot', 'Porch console', 'enter');
    await person.seeText('Width of the top');
    await person.saved();
    await person.goto(at('Bed wall'));
    await person.click('//*[@role="tab"][contains(., "Porch console")]');
    await person.press('Start empty');
    await person.fill('A piece of the house, or anything else', 'blue vase, 5 in wide, 12 in tall', 'enter');
    await person.see(thing('Blue vase'));
    // What names nothing is not put in, and stays in its field.
    await person.fill('A piece of the house, or anything else', '???? 4,,5', 'enter');
    await person.seeText('“???? 4,,5”: accepted is what it is, in words');
    await person.fill('A piece of the house, or anything else', 'umbrella stand', 'enter');
    await person.see(thing('Umbrella stand'));
    await person.seeText('Porch console shows its floor from now on');
    await person.saved();
    const placed = await rows();
    const table = placed.lookPieces.find(({ name }) => name === 'Porch console');
    const vaseOf = ({ lookPieces }: typeof placed) =>
      lookPieces.find(({ name, lookId }) => name === 'Blue vase' && lookId === table?.lookId);
    expect(vaseOf(placed)?.onId).toBe(table?.id);
    await second.goto(await person.driver.getCurrentUrl());
    await second.see(thing('Porch console'));
    await person.press('Take it back');
    await person.driver.wait(async () => (await person.count(thing('Umbrella stand'))) === 0, 8000, 'still there');
    await person.saved();
    const after = await rows();
    expect(after.lookPieces.some(({ name }) => name === 'Porch console')).toBe(false);
    expect(vaseOf(after)).toMatchObject({ footMm: 0, onId: null });
  });

  it('a table for eight is set in one line: plates at its seats, as one step that is taken back', async () => {
    await person.goto(`${euporia.address}/p/${attic}/sketch`);
    await person.fill('Name of the new spot', 'Dining table', 'enter');
    await person.seeText('Seats');
    await person.fill('Seats', '8');
    await person.saved();
    await person.goto(at('Bed wall'));
    await person.click('//*[@role="tab"][contains(., "Dining table")]');
    await person.press('Start empty');
    await person.fill('A piece of the house, or anything else', '8 dinner plates, 10 in wide', 'enter');
    await person.driver.wait(async () => (await person.count(thing('Dinner plates'))) === 8, 8000, 'no eight plates');
    await person.saved();
    const plates = (await rows()).lookPieces.filter(({ name }) => name === 'Dinner plates');
    // Three and three along the sides, one at each end.
    expect(new Set(plates.map(({ xMm }) => Math.round(xMm))).size).toBe(5);
    await person.press('Take it back');
    await person.driver.wait(async () => (await person.count(thing('Dinner plates'))) === 0, 8000, 'still there');
    await person.saved();
  });
});

describe('a bookcase, board by board', () => {
  const put = async (line: string, name: string) => {
    await person.fill('A piece of the house, or anything else', line, 'enter');
    await person.see(thing(name));
  };

  it('takes each thing where there is room for it, what is heavy lowest', async () => {
    await person.goto(`${euporia.address}/p/${attic}/sketch`);
    await person.fill('Name of the new spot', 'Study bookcase', 'enter');
    await person.fill('Inner width', '32');
    await person.fill('Inner depth', '12');
    await person.fill('Height', '72');
    await person.fill('Shelves with the lowest', '4');
    await person.saved();
    await person.goto(at('Bed wall'));
    await person.click('//*[@role="tab"][contains(., "Study bookcase")]');
    await person.press('Start empty');
    await put('seagrass basket, 12 in wide, 11 in tall', 'Seagrass basket');
    await put('brass bird, 4 in wide, 6 in tall', 'Brass bird');
    await put('framed print, 8 in wide, 10 in tall', 'Framed print');
    await person.saved();
    expect(await saidOf(person, 'Seagrass basket')).toContain(', 0 in up');
    // Four boards share 72 in: 18 in from one to the next.
    expect(await saidOf(person, 'Brass bird')).toMatch(/, (?:18|36) in up/);
    const { lookPieces } = await rows();
    // A frame leans on shelves: there is no wall to hang it on.
    const print = lookPieces.find(({ name }) => name === 'Framed print') as { stance?: string } | undefined;
    expect(print?.stance).toBe('leans');
  });

  it('lets the keys lift a thing from board to board, and a hand let it fall onto the one below', async () => {
    // Beside the basket.
    await person.click(thing('Brass bird'));
    await person.fill('From the left', '1');
    await person.saved();
    const bird = await person.see(thing('Brass bird'));
    await person.driver.executeScript('arguments[0].focus()', bird);
    await bird.sendKeys(Key.ARROW_DOWN, Key.ARROW_DOWN, Key.ARROW_DOWN);
    await person.driver.wait(async () => (await saidOf(person, 'Brass bird')).includes(', 0 in up'), 5000, 'not down');
    for (const up of [18, 36, 54]) {
      await (await person.see(thing('Brass bird'))).sendKeys(Key.ARROW_UP);
      await person.driver.wait(
        async () => (await saidOf(person, 'Brass bird')).includes(`, ${up} in up`),
        5000,
        `not ${up} in up`,
      );
    }
    const high = await person.see(thing('Brass bird'));
    await person.driver.actions().dragAndDrop(high, { x: 0, y: 40 }).perform();
    await person.driver.wait(async () => (await saidOf(person, 'Brass bird')).includes(', 36 in up'), 5000, 'no fall');
    await person.saved();
  });

  it('warns of a flame under a board, which nothing sets aside, and puts it where nothing is over it', async () => {
    await put('pillar candle, 3 in wide, 8 in tall', 'Pillar candle');
    const flame = '//li[.//h4[contains(., "Pillar candle burns under a board")]]';
    await person.see(flame);
    expect(await person.count(`${flame}//button[normalize-space(.)="Set aside"]`)).toBe(0);
    await person.press('Pillar candle onto a board with nothing over it');
    await person.driver.wait(
      async () => (await saidOf(person, 'Pillar candle')).includes(', 54 in up'),
      5000,
      'not up',
    );
    await person.driver.wait(async () => (await person.count(flame)) === 0, 5000, 'still a flame under a board');
    await person.saved();
  });

  it('says where a thing stands by the names of the boards, on both devices', async () => {
    await person.click(thing('Brass bird'));
    await person.choose('Stands on', 'Lowest board');
    await person.saved();
    const shelved = (await rows()).spots.find(({ name }) => name === 'Study bookcase');
    await second.size(390, 844);
    await second.goto(`${arrange}?spot=${shelved?.id}`);
    await second.see(thing('Brass bird'));
    expect(await saidOf(second, 'Brass bird')).toContain(', 0 in up');
  });

  it('is seen from above one board at a time', async () => {
    await person.click('//fieldset//button[@aria-pressed][normalize-space(.)="From above"]');
    await person.choose('Which board', 'Top board');
    await person.see(thing('Pillar candle'));
    expect(await person.count(thing('Seagrass basket'))).toBe(0);
    await person.choose('Which board', 'Lowest board');
    await person.see(thing('Seagrass basket'));
    await person.click('//fieldset//button[@aria-pressed][normalize-space(.)="Front"]');
  });

  it('has its boards where they are, once they are marked, and says what no longer fits', async () => {
    await person.goto(`${euporia.address}/p/${attic}/sketch`);
    await person.click('//*[@role="tab"][contains(., "Study bookcase")]');
    await person.click('//summary[starts-with(normalize-space(.),"Doors, sockets, obstacles")]');
    await person.press('+ shelf board');
    await person.driver.wait(
      async () => (await person.count('//fieldset[@aria-label="shelf board"]')) === 3,
      5000,
      'not all boards marked',
    );
    // The lowest of them comes down to 8 in: the basket of 11 in has no room under it.
    await person.fill('Up', '8');
    await person.saved();
    await person.goto(at('Bed wall'));
    await person.click('//*[@role="tab"][contains(., "Study bookcase")]');
    await person.seeText('higher than there is room up to the next board');
    await person.press('Onto a board with room for it');
    await person.notText('higher than there is room up to the next board');
    await person.saved();
  });
});
