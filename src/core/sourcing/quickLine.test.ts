import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { newFind } from './newFind';
import { newPiece } from './newPiece';
import { readQuickLine, saysSomething } from './quickLine';

const read = (line: string) => readQuickLine(line, 'USD', 'us');

describe('the quick line', () => {
  it('understands what, price, markdown and flaw', () => {
    expect(read('nightstand, $12, half off, one drawer sticks')).toMatchObject({
      name: 'Nightstand',
      templateId: 'nightstand',
      tag: { state: 'stated', low: 1200 },
      lines: [{ kind: 'markdown', percentThousandths: 50_000 }],
      repairMinutes: 15,
      note: 'one drawer sticks',
    });
  });

  it('knows coupons in money, in percent, and those nobody knows', () => {
    expect(read('lamp, 9, $2 coupon').lines).toEqual([{ kind: 'couponMoney', amount: 200, by: 'store' }]);
    expect(read('lamp, 9, 20% coupon').lines).toEqual([{ kind: 'couponPercent', percentThousandths: 20_000 }]);
    expect(read('lamp, 9, 10 coupon').lines).toEqual([{ kind: 'couponUnknown', value: 10_000 }]);
  });

  it('reads packs, usable pieces, sizes, materials and finishes', () => {
    expect(read('picture frames, pack of 6, 2 usable, $11')).toMatchObject({ pieces: 6, usable: 2 });
    expect(read('nightstand, 16 x 15 x 25').measures).toMatchObject({ widthMm: 406.4, depthMm: 381, heightMm: 635 });
    expect(read('nightstand, pine, glossy varnish')).toMatchObject({ materialId: 'pine', finishId: 'glossyVarnish' });
  });

  it.each([
    ['dresser, oak, $85, 60 wide 20 deep 34 high', { widthMm: 1524, depthMm: 508, heightMm: 863.6 }],
    ['dresser 60w x 20d x 34h, $85', { widthMm: 1524, depthMm: 508, heightMm: 863.6 }],
    ['dresser 60" w x 20" d x 34" h', { widthMm: 1524, depthMm: 508, heightMm: 863.6 }],
    ['bench, 4 ft long and 18 in high', { widthMm: 1219.2, lengthMm: 1219.2, heightMm: 457.2 }],
    ['runner, 14 in wide, 90 in long', { widthMm: 355.6, depthMm: 2286, lengthMm: 2286 }],
    ['shelf, width 90 cm, depth: 20 cm', { widthMm: 900, depthMm: 200 }],
    ['shelf 90 wide 20 cm deep', { widthMm: 900, depthMm: 200 }],
    ['lamp, 24 tall, $9', { heightMm: 609.6 }],
    ['lamp 24 in tall', { heightMm: 609.6 }],
    ['nightstand, 18½ wide', { widthMm: 469.9 }],
    ['36-inch wide shelf', { widthMm: 914.4 }],
  ])('reads the directions that lengths say of themselves: %s', (line, measures) => {
    const { measures: found, tag, note } = read(line);
    expect(Object.keys(found).sort()).toEqual(Object.keys(measures).sort());
    for (const [name, value] of Object.entries(measures)) expect(found[name]).toBeCloseTo(value, 3);
    expect(note).toBe('');
    expect(tag === null || tag.state === 'stated').toBe(true);
  });

  it('takes no hours, drawers or prices for lengths', () => {
    expect(read('chair, takes 2 h to mend').measures).toEqual({});
    expect(read('dresser, 6 drawers, $60').measures).toEqual({});
    expect(read('two high stools, $20').measures).toEqual({});
    expect(read('5 tall vases, $10')).toMatchObject({ measures: {}, pieces: 5 });
  });

  it.each([
    ['rocking chair, $149, delivery $25', 14_900, 2500],
    ['rocking chair $149 plus $25 shipping', 14_900, 2500],
    ['rocking chair, $149 + 25 delivery', 14_900, 2500],
    ['lamp, $29, free shipping', 2900, 0],
    ['lamp, $29, delivery included', 2900, 0],
    ['lamp 29, shipping 6.50', 2900, 650],
  ])('keeps what bringing it costs apart from what it costs: %s', (line, tag, delivery) => {
    const found = read(line);
    expect(found.tag).toMatchObject({ low: tag });
    expect(found.lines.map((entry) => entry.kind === 'delivery' && entry.amount)).toEqual([delivery]);
    expect(found.note).toBe('');
  });

  it.each([
    ['lamp, $29, comes in 9 days', 9],
    ['lamp, $29, 2 weeks delivery', 14],
    ['lamp, $29, ships within 3 days', 3],
    ['lamp, $29, delivery two weeks', 14],
    ['lamp, $29', null],
  ])('reads when it comes: %s', (line, days) => {
    expect(read(line)).toMatchObject({ leadDays: days, tag: { low: 2900 }, lines: [], pieces: 1 });
  });

  it('takes the name from the part that says more than what a thing is made of, wherever it stands', () => {
    const name = (line: string) => readQuickLine(line, 'USD', 'us').name;
    expect(name('tin lantern')).toBe('Tin lantern');
    expect(name('$12, lantern')).toBe('Lantern');
    expect(name('painted, bench thing')).toBe('Bench thing');
    expect(name('rusty tin lantern, from the market')).toBe('Rusty tin lantern');
    expect(name('iron')).toBe('Iron');
    expect(readQuickLine('solid oak, nightstand', 'USD', 'us')).toMatchObject({
      name: 'Nightstand',
      materialId: 'hardwood',
    });
  });
  it('keeps the comma of a number and of thousands', () => {
    expect(readQuickLine('commode, 12,50', 'EUR', 'metric').tag).toMatchObject({ low: 1250 });
    expect(read('table, $1,299').tag).toMatchObject({ low: 129_900 });
  });

  it('shows every part with what it was taken as, and loses nothing that was typed', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 80 }), (line) => {
        const result = read(line);
        expect(result.name.length).toBeGreaterThan(0);
        // Every sign but the marks between parts stands in what was understood, in the order in which it was typed.
        const signs = (text: string) => text.replace(/[\s,;()\-–—]/g, '');
        expect(signs(result.understood.map((part) => part.text).join(''))).toBe(signs(line));
        expect(result.usable).toBeLessThanOrEqual(result.pieces * result.quantity);
      }),
      { examples: [['1 0$!'], ['$3 2 stools']] },
    );
  });

  it('takes a price for each as so many tags, and one for all as one tag', () => {
    expect(read('9 tumblers $0.65 each')).toMatchObject({
      name: 'Tumblers',
      tag: { low: 65 },
      quantity: 9,
      pieces: 1,
      usable: 9,
    });
    expect(newFind('id', 'piece', read('9 tumblers $0.65 each'), 'us').story).toMatchObject({ quantity: 9, pieces: 1 });
    expect(read('four trays for $6 together')).toMatchObject({ tag: { low: 600 }, quantity: 1, pieces: 4 });
    expect(read('2 for $5, frames')).toMatchObject({ name: 'Frames', tag: { low: 500 }, pieces: 2 });
    expect(read('frames, pack of 6, $3 each')).toMatchObject({ tag: { low: 300 }, quantity: 1, pieces: 6 });
  });
  it('reads other money as such, and keeps it as a note instead of adding two currencies', () => {
    const line = readQuickLine('lamp £8', 'USD', 'us');
    expect(line).toMatchObject({ name: 'Lamp', tag: null, note: '£8' });
    expect(line.understood).toContainEqual({ text: '£8', as: 'price in other money' });
    expect(readQuickLine('lamp £8', 'GBP', 'metric').tag).toMatchObject({ low: 800 });
    expect(readQuickLine('vase 4 €', 'EUR', 'metric').tag).toMatchObject({ low: 400 });
  });
  it('passes over what it cost once', () => {
    expect(read('basket was $12 now $4').tag).toMatchObject({ low: 400 });
  });
  it('lets the noun decide, and what it is made of', () => {
    expect(read('bathroom window')).toMatchObject({ kindId: 'window', templateId: 'window' });
    expect(read('old window frame 10')).toMatchObject({ kindId: 'door' });
    expect(read('window box 5')).toMatchObject({ kindId: 'planter' });
    expect(read('candle holder 4')).toMatchObject({ kindId: 'candlestick', templateId: 'candlestick' });
    expect(read('stainless steel table $35')).toMatchObject({ kindId: 'table', materialId: 'nonferrousMetal' });
    // The top of a coffee table is not the table.
    expect(read('coffee table with glass top, $45')).toMatchObject({ templateId: 'table', materialId: null });
    expect(read('farm stand sign 5').kindId).toBe('sign');
  });

  it.each([
    ['wall, 12 x 8 ft', { materialId: 'concrete', finishId: 'soundOldPaint', sheen: 'matt' }],
    ['brick wall, glossy varnish', { finishId: 'glossyVarnish', sheen: 'gloss' }],
    ['brick wall, old clear coat, dull', { finishId: 'dullVarnish', sheen: 'matt' }],
    ['pine basket, varnished, dull', { finishId: 'dullVarnish', sheen: 'matt' }],
    ['pine basket, painted, matte', { finishId: 'soundOldPaint', sheen: 'matt' }],
    ['pine basket, painted, satin', { finishId: 'soundOldPaint', sheen: 'satin' }],
    ['pine basket, dull', { finishId: null, sheen: 'unknown' }],
    ['pine basket, dull varnish', { materialId: 'pine', finishId: 'dullVarnish', sheen: 'matt' }],
    ['pine basket', { materialId: 'pine', finishId: null, sheen: 'unknown' }],
    ['basket', { materialId: 'wicker', finishId: null, sheen: 'unknown' }],
    ['something odd', { materialId: 'veneer', finishId: null, sheen: 'unknown' }],
  ])('“%s” is of the same stuff, found in a shop or in the house', (line, surface) => {
    expect(newFind('id', 'piece', read(line), 'us')).toMatchObject(surface);
    expect(newPiece('id', line, { units: 'us', currency: 'USD', today: '2026-06-01' })).toMatchObject(surface);
  });
  it.each([
    ['a bag of shells $3', { counted: false, pieces: 1, tag: { state: 'stated', low: 300, high: 300 } }],
    ['several candlesticks, 4', { counted: false, name: 'Candlesticks' }],
    ['lots of books 10', { counted: false, name: 'Books' }],
    ['a set of plates $5', { counted: false, name: 'Plates' }],
    ['a set of 6 plates $5', { counted: true, pieces: 6 }],
    ['a dozen plates $5', { counted: true, pieces: 12 }],
    ['a box $5', { counted: true, pieces: 1 }],
    ['a basket of wicker 7', { counted: true, pieces: 1 }],
    ['bowl of fruit 3', { counted: true, pieces: 1 }],
  ])('“%s” says whether anybody counted', (line, said) => {
    expect(read(line)).toMatchObject(said);
  });

  it.each([
    ['fresh tulips $6', 7],
    ['cut eucalyptus, 8', 14],
    ['foraged branches, free', 14],
    ['roses $5, keeps 5 days', 5],
    ['hydrangeas, fresh for a week', 7],
    ['potted herbs 4, lasts three weeks', 21],
    ['faux eucalyptus, cut', null],
    ['dried flowers 9', null],
    ['roses $5', null],
    ['cut glass vase 4', null],
    ['fresh white paint', null],
  ])('“%s” stays fresh %s days', (line, days) => {
    expect(read(line).freshDays).toBe(days);
  });

  it.each([
    ['3-tier tray $8', 3],
    ['two tiered stand, 5', 2],
    ['tiered tray 6', null],
    ['5 trays $10', null],
  ])('“%s” has %s tiers', (line, tiers) => {
    expect(read(line).tiers).toBe(tiers);
  });

  it('that goes on and on loses nothing: the name is cut, the whole stands in the note', () => {
    const long = `lamp ${'of brass and glass '.repeat(20)}`.trim();
    const find = newFind('id', 'piece', read(`${long}, $4`), 'us');
    expect(find.name.length).toBeLessThanOrEqual(120);
    expect(find.note.toLowerCase()).toContain(long);
    const piece = newPiece('id', long, { units: 'us', currency: 'USD', today: '2026-06-01' });
    expect(piece.name.length).toBeLessThanOrEqual(120);
    expect(piece.story.toLowerCase()).toContain(long);
  });

  it('becomes a find whose open questions stay open', () => {
    const find = newFind('id', 'piece', read('old lamp, free'), 'us');
    expect(find).toMatchObject({ kind: 'lamp', cordCondition: 'unknown', era: 'unknown', leadTest: 'notTested' });
    expect(find.story.tag).toEqual({ state: 'free' });
  });
});

describe('a line that says nothing', () => {
  it('has neither a letter nor a figure in it', () => {
    for (const line of ['', '  ', '$$$ ,, ??', '…', '€ — !']) expect(saysSomething(line)).toBe(false);
    for (const line of ['lamp', '$12', 'Лампа', '½', 'a']) expect(saysSomething(line)).toBe(true);
  });
});
