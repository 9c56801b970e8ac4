import { describe, expect, it } from 'vitest';
import { techniques } from '../technique';
import { coatings } from './coatings';
import type { Figure } from './figure';

/**
 * The trade's sheet of coatings, in its own notation: common practice, written from memory. Spreading rate in m²/L
 * (aerosols: m² a can and light coat), coats as fewest/usual/most over similar, light over dark, dark over light;
 * touch, recoat and handle in hours, full cure in days, air in °C, most humidity in %. "lo–hi (usual)". A dash is
 * what the sheet leaves open. Each row is checked against the table that computes, so that a slip of a digit shows.
 */
const SHEET = `
wallAcrylic|7.4–11.0 (9.20)|1/2/2|2/3/4|2/2/3|0.5–2 (1)|2–4 (4)|4–24 (6)|14–30 (30)|10–32|85
chalk|7.4–13.0 (9.82)|1/2/2|2/2/3|1/2/3|0.25–1 (0.5)|1–4 (2)|2–6 (4)|14–30 (28)|10–30|80
milkPaint|6.1–9.8 (7.36)|1/2/3|2/3/4|2/2/3|0.5–1 (0.5)|1–4 (2)|2–6 (4)|21–30 (28)|10–30|80
waterborneEnamel|8.0–11.0 (9.20)|1/2/2|2/3/4|2/2/3|0.5–2 (1)|2–16 (4)|6–24 (16)|14–30 (30)|10–32|85
waterborneAlkyd|8.6–11.0 (9.82)|1/2/2|2/3/4|2/2/3|1–6 (3)|6–24 (16)|24–48 (24)|14–30 (30)|10–32|80
craftAcrylic|6.1–9.8 (7.85)|1/2/3|2/3/4|2/2/3|0.25–1 (0.3)|0.5–2 (1)|1–4 (2)|7–28 (21)|10–32|85
aerosolEnamel|0.93–1.86 (1.39)|2/2/3|3/4/5|2/3/4|0.15–0.75 (0.33)|–|1–5 (2)|5–14 (7)|10–32|65
aerosolStone|0.37–0.74 (0.56)|2/2/3|2/3/3|2/2/3|0.5–2 (1)|0.25–1 (0.5)|4–24 (24)|3–7 (7)|10–32|65
aerosolClear|1.11–1.86 (1.39)|2/2/3|–|–|0.15–0.5 (0.33)|–|1–4 (2)|5–10 (7)|10–32|65
mineralPaint|7.4–12.3 (9.20)|1/2/2|2/3/3|1/2/3|0.5–2 (1)|2–12 (4)|6–24 (12)|21–30 (28)|10–30|80
waterborneStain|9.8–16.0 (12.27)|1/1/2|–|1/2/3|0.25–1 (0.5)|2–4 (2)|1–4 (3)|1–7 (3)|10–32|85
oilStain|9.8–14.7 (12.27)|1/1/2|–|1/1/2|1–8 (4)|4–24 (6)|8–24 (24)|3–14 (7)|10–32|80
gelStain|12.3–19.6 (14.73)|1/2/3|–|1/2/3|4–8 (6)|8–24 (24)|24|7–30 (14)|10–32|75
glaze|9.8–14.7 (12.27)|1/1/2|–|1/1/2|1–4 (2)|4–24 (12)|12–24 (24)|7–30 (14)|10–32|85
clearWax|14.7–29.5 (22.09)|1/2/2|–|–|0.1–0.5 (0.3)|12–24 (24)|24|21–30 (28)|10–27|80
darkWax|14.7–29.5 (22.09)|1/1/2|–|–|0.1–0.5 (0.3)|12–24 (24)|24|21–30 (28)|10–27|80
waterbornePolyurethane|8.6–13.5 (11.04)|2/3/4|–|–|0.3–1 (0.5)|2–4 (3)|8–24 (24)|7–30 (21)|10–32|70
oilPolyurethane|9.8–14.7 (12.27)|2/2/3|–|–|4–12 (6)|4–24 (24)|24–72 (48)|7–30 (30)|10–32|70
waterClear|9.8–13.5 (11.04)|2/3/4|–|–|0.3–1 (0.5)|2–4 (2)|3–24 (24)|7–30 (21)|10–32|70
shellacPrimer|7.4–11.0 (9.20)|1/1/2|1/1/2|1/1/1|0.25–0.5 (0.33)|0.5–1 (0.75)|1–2 (1)|1–7 (3)|5–32|80
bondingPrimer|7.4–11.0 (9.20)|1/1/2|1/1/2|1/1/1|0.5–1 (0.75)|1–4 (3)|4–24 (12)|7–14 (7)|10–32|85
oilBlockPrimer|8.6–11.0 (9.82)|1/1/2|1/1/2|1/1/1|0.5–4 (2)|2–24 (12)|8–24 (24)|3–14 (7)|5–32|85
rustPrimer|8.6–11.0 (9.33)|1/1/2|1/1/2|1/1/1|0.5–4 (2)|2–24 (24)|8–24 (24)|5–14 (7)|10–35|85
groutColorant|1.0–2.9 (1.72)|1/2/2|2/2/3|1/2/2|0.5–2 (1)|1–3 (2)|4–24 (24)|3–7 (7)|10–32|80
chalkboardPaint|6.1–9.8 (8.59)|2/2/3|2/3/4|2/2/3|0.5–2 (1)|2–4 (4)|24|3 (3)|10–32|85
tubEpoxy|6.9–10.8 (8.59)|2/2/3|2/2/3|2/2/3|1–4 (2)|1–3 (1)|24|3–7 (3)|15–30|70
stainAndSealOil|9.8–13.5 (11.04)|1/2/3|–|2/2/3|4–6 (5)|6–8 (6)|24|14–30 (30)|10–32|80
stainAndSealWater|9.8–13.5 (11.04)|1/2/3|–|2/2/3|1–2 (1)|2–4 (2)|24|14–30 (30)|10–32|80
decoupageMedium|6.3–9.4 (7.85)|2/2/4|–|–|0.25–1 (0.5)|0.25–1 (0.5)|–|21–28 (28)|–|70
`;

/** Rows of the table that the sheet does not have: written from memory, with no second source to check them by. */
const NOT_ON_THE_SHEET = [
  'adhesionPromoter',
  'alkydEnamel',
  'candleMedium',
  'galvanizedPrimer',
  'gesso',
  'oilConditioner',
  'waterborneConditioner',
];

/** Films are sold by the roll and laid dry: their figures stand on a sheet of their own. */
const FILMS = coatings.all.filter(({ role }) => role === 'film').map(({ id }) => id);

const rows = SHEET.trim()
  .split('\n')
  .map((line) => {
    const [
      id = '',
      rate = '',
      similar = '',
      lightOverDark = '',
      darkOverLight = '',
      touch = '',
      recoat = '',
      handle = '',
      cure = '',
      celsius = '',
      humidity = '',
    ] = line.split('|');
    return { id, rate, similar, lightOverDark, darkOverLight, touch, recoat, handle, cure, celsius, humidity };
  });

/** "lo–hi (usual)" as the numbers that are given: a single number is the usual one. */
function read(text: string): { low?: number; usual: number; high?: number } | null {
  const range = /^([\d.]+)–([\d.]+) \(([\d.]+)\)$/.exec(text);
  if (range) return { low: Number(range[1]), high: Number(range[2]), usual: Number(range[3]) };
  const single = /^([\d.]+)(?: \(([\d.]+)\))?$/.exec(text);
  return single ? { usual: Number(single[2] ?? single[1]) } : null;
}

function expectFigure(figure: Figure, text: string): void {
  const wanted = read(text);
  if (!wanted) return;
  expect(figure.usual).toBeCloseTo(wanted.usual, 2);
  if (wanted.low !== undefined) expect(figure.low).toBeCloseTo(wanted.low, 2);
  if (wanted.high !== undefined) expect(figure.high).toBeCloseTo(wanted.high, 2);
}

describe.each(rows)('the coating $id against the trade’s sheet', (row) => {
  const coating = coatings.get(row.id);
  it('covers what the sheet says', () => {
    expectFigure(coating.spreadingRate, row.rate);
  });
  it('takes the coats that the sheet says, in each direction', () => {
    for (const column of ['similar', 'lightOverDark', 'darkOverLight'] as const) {
      const { minimum, typical, maximum } = coating.hiding[column];
      if (row[column] !== '–') expect(`${minimum}/${typical}/${maximum}`).toBe(row[column]);
    }
  });
  it('dries as the sheet says', () => {
    expectFigure(coating.touchHours, row.touch);
    expectFigure(coating.recoatHours, row.recoat);
    expectFigure(coating.handleHours, row.handle);
    expectFigure(coating.fullCureDays, row.cure);
    // Sprayed films are recoated in their window, not after a single time.
    if (row.recoat === '–') expect(coating.recoatIntervals.length).toBeGreaterThan(1);
  });
  it('asks for the weather that the sheet says', () => {
    if (row.celsius !== '–') expect(`${coating.limits.minimumC}–${coating.limits.maximumC}`).toBe(row.celsius);
    expect(coating.limits.maximumHumidity).toBe(Number(row.humidity));
  });
});

describe('every coating', () => {
  it('is on the sheet or said not to be, names a technique that can put it on, and has its coats in order', () => {
    expect([...coatings.ids].sort()).toEqual([...rows.map((row) => row.id), ...NOT_ON_THE_SHEET, ...FILMS].sort());
    for (const coating of coatings.all) {
      expect(techniques.get(coating.techniqueId).accepts(coating)).toBe(true);
      for (const column of Object.values(coating.hiding)) {
        expect(column.minimum).toBeLessThanOrEqual(column.typical);
        expect(column.typical).toBeLessThanOrEqual(column.maximum);
      }
    }
  });
  it('says how see-through it is exactly when it lets the ground show', () => {
    for (const coating of coatings.all) expect(coating.opacity !== null).toBe(coating.role === 'translucent');
  });
});
