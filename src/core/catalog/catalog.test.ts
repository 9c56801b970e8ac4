import { describe, expect, it } from 'vitest';
import { currencyCodes } from '../kernel/currencies.data';
import { ML_PER_US_FLUID_OUNCE, ML_PER_US_GALLON } from '../kernel/units';
import { techniques } from '../technique';
import { assumptionDefinitions, estimatedShelfPrice } from './assumptions';
import { coatings } from './coatings';
import { consumables } from './consumables';
import type { Figure } from './figure';
import { jointRules } from './joints.data';
import { detailFactors, laborRates, OVERHEAD_PERCENT, sessionMinutes, skillFactors } from './labor.data';
import { substrates } from './substrates';
import { tools } from './tools';

const three = (figure: Figure) => [figure.low, figure.usual, figure.high];

/**
 * The trade's sheet of coatings, as it was handed to us: common practice, written from memory. Spreading rate in m²/L
 * (aerosols: m² a can and light coat), coats as fewest/usual/most over similar, light over dark, dark over light; drying
 * at 21 °C and 50 % humidity. Each row is checked against the table that computes, so that a slip of a digit shows.
 */
interface SheetRow {
  id: string;
  rate: [number, number, number];
  coats: [number[], number[] | null, number[] | null];
  touch: [number, number, number];
  recoat: [number, number, number];
  handle: [number, number, number];
  cureDays: [number, number, number];
  celsius: [number, number];
  humidity: number;
}
const sheet: SheetRow[] = [
  {
    id: 'wallAcrylic',
    rate: [7.4, 9.2, 11],
    coats: [
      [1, 2, 2],
      [2, 3, 4],
      [2, 2, 3],
    ],
    touch: [0.5, 1, 2],
    recoat: [2, 4, 4],
    handle: [4, 6, 24],
    cureDays: [14, 30, 30],
    celsius: [10, 32],
    humidity: 85,
  },
  {
    id: 'chalk',
    rate: [7.4, 9.82, 13],
    coats: [
      [1, 2, 2],
      [2, 2, 3],
      [1, 2, 3],
    ],
    touch: [0.25, 0.5, 1],
    recoat: [1, 2, 4],
    handle: [2, 4, 6],
    cureDays: [14, 28, 30],
    celsius: [10, 30],
    humidity: 80,
  },
  {
    id: 'waterborneEnamel',
    rate: [8, 9.2, 11],
    coats: [
      [1, 2, 2],
      [2, 3, 4],
      [2, 2, 3],
    ],
    touch: [0.5, 1, 2],
    recoat: [2, 4, 16],
    handle: [6, 16, 24],
    cureDays: [14, 30, 30],
    celsius: [10, 32],
    humidity: 85,
  },
  {
    id: 'aerosolEnamel',
    rate: [0.93, 1.39, 1.86],
    coats: [
      [2, 2, 3],
      [3, 4, 5],
      [2, 3, 4],
    ],
    touch: [0.15, 0.33, 0.75],
    recoat: [0, 0, 0],
    handle: [1, 2, 5],
    cureDays: [5, 7, 14],
    celsius: [10, 32],
    humidity: 65,
  },
  {
    id: 'bondingPrimer',
    rate: [7.4, 9.2, 11],
    coats: [
      [1, 1, 2],
      [1, 1, 2],
      [1, 1, 1],
    ],
    touch: [0.5, 0.75, 1],
    recoat: [1, 3, 4],
    handle: [4, 12, 24],
    cureDays: [7, 7, 14],
    celsius: [10, 32],
    humidity: 85,
  },
  {
    id: 'shellacPrimer',
    rate: [7.4, 9.2, 11],
    coats: [
      [1, 1, 2],
      [1, 1, 2],
      [1, 1, 1],
    ],
    touch: [0.25, 0.33, 0.5],
    recoat: [0.5, 0.75, 1],
    handle: [1, 1, 2],
    cureDays: [1, 3, 7],
    celsius: [5, 32],
    humidity: 80,
  },
  {
    id: 'rustPrimer',
    rate: [8.6, 9.33, 11],
    coats: [
      [1, 1, 2],
      [1, 1, 2],
      [1, 1, 1],
    ],
    touch: [0.5, 2, 4],
    recoat: [2, 24, 24],
    handle: [8, 24, 24],
    cureDays: [5, 7, 14],
    celsius: [10, 35],
    humidity: 85,
  },
  {
    id: 'waterClear',
    rate: [9.8, 11.04, 13.5],
    coats: [[2, 3, 4], null, null],
    touch: [0.3, 0.5, 1],
    recoat: [2, 2, 4],
    handle: [3, 24, 24],
    cureDays: [7, 21, 30],
    celsius: [10, 32],
    humidity: 70,
  },
  {
    id: 'aerosolClear',
    rate: [1.11, 1.39, 1.86],
    coats: [[2, 2, 3], null, null],
    touch: [0.15, 0.33, 0.5],
    recoat: [0, 0, 0],
    handle: [1, 2, 4],
    cureDays: [5, 7, 10],
    celsius: [10, 32],
    humidity: 65,
  },
];

describe.each(sheet)('the coating $id against the trade’s sheet', (row) => {
  const coating = coatings.get(row.id);
  it('covers what the sheet says', () => {
    three(coating.spreadingRate).forEach((value, n) => expect(value).toBeCloseTo(row.rate[n] ?? 0, 1));
  });
  it('takes the coats that the sheet says, in each direction', () => {
    const of = (column: { minimum: number; typical: number; maximum: number }) => [
      column.minimum,
      column.typical,
      column.maximum,
    ];
    expect(of(coating.hiding.similar)).toEqual(row.coats[0]);
    if (row.coats[1]) expect(of(coating.hiding.lightOverDark)).toEqual(row.coats[1]);
    if (row.coats[2]) expect(of(coating.hiding.darkOverLight)).toEqual(row.coats[2]);
  });
  it('dries as the sheet says', () => {
    expect(three(coating.touchHours)).toEqual(row.touch);
    expect(three(coating.handleHours)).toEqual(row.handle);
    expect(three(coating.fullCureDays)).toEqual(row.cureDays);
    // Sprayed films are recoated in their window, not after a single time.
    if (coating.unit === 'mL') expect(coating.recoatHours.usual).toBe(row.recoat[1]);
    else expect(coating.recoatIntervals.length).toBeGreaterThan(1);
  });
  it('asks for the weather that the sheet says', () => {
    expect([coating.limits.minimumC, coating.limits.maximumC]).toEqual(row.celsius);
    expect(coating.limits.maximumHumidity).toBe(row.humidity);
  });
});

describe('every coating', () => {
  it('is on the sheet, names a technique, and hides more the more coats it may take', () => {
    expect([...coatings.ids].sort()).toEqual(sheet.map((row) => row.id).sort());
    for (const coating of coatings.all) {
      expect(techniques.ids).toContain(coating.techniqueId);
      for (const column of Object.values(coating.hiding)) {
        expect(column.minimum).toBeLessThanOrEqual(column.typical);
        expect(column.typical).toBeLessThanOrEqual(column.maximum);
      }
    }
  });
  it('keeps each usual figure inside its range', () => {
    for (const { spreadingRate, touchHours, handleHours, fullCureDays } of coatings.all)
      for (const figure of [spreadingRate, touchHours, handleHours, fullCureDays]) {
        expect(figure.low).toBeLessThanOrEqual(figure.usual);
        expect(figure.usual).toBeLessThanOrEqual(figure.high);
      }
  });
  it('is sold in packs of the published sizes, dearer by the pack and cheaper by the unit', () => {
    const sizes: Record<string, number> = {
      sample: 8 * ML_PER_US_FLUID_OUNCE,
      pint: ML_PER_US_GALLON / 8,
      quart: ML_PER_US_GALLON / 4,
      gallon: ML_PER_US_GALLON,
      ml250: 250,
      ml500: 500,
      l1: 1000,
      l2_5: 2500,
    };
    for (const coating of coatings.all) {
      for (const market of ['us', 'metric'] as const) {
        const packs = coating.packs.filter((pack) => pack.market === market).sort((a, b) => a.size - b.size);
        expect(packs.length).toBeGreaterThan(0);
        for (const pack of packs)
          if (sizes[pack.id] !== undefined) expect(pack.size).toBeCloseTo(sizes[pack.id] ?? 0, 6);
        for (let n = 1; n < packs.length; n += 1) {
          const [small, large] = [packs[n - 1], packs[n]];
          if (!small?.estimate || !large?.estimate) continue;
          expect(large.estimate.likely).toBeGreaterThanOrEqual(small.estimate.likely);
          expect(large.estimate.likely / large.size).toBeLessThanOrEqual(small.estimate.likely / small.size);
        }
      }
    }
  });
});

describe('substrates against the trade’s sheet', () => {
  // Absorption of the first coat and texture factor, low, usual, high: common practice, from memory.
  it.each<[string, [number, number, number], [number, number, number]]>([
    ['pine', [1.2, 1.3, 1.5], [1, 1.05, 1.1]],
    ['veneer', [1, 1.1, 1.2], [1, 1, 1]],
    ['laminate', [1, 1, 1], [1, 1, 1]],
    ['ferrousMetal', [1, 1, 1.1], [1, 1.05, 1.2]],
    ['soundOldPaint', [1, 1, 1], [1, 1, 1]],
    ['glossyVarnish', [1, 1, 1], [1, 1, 1]],
  ])('%s takes k %j and has f %j', (id, absorption, texture) => {
    expect(three(substrates.get(id).absorption)).toEqual(absorption);
    expect(three(substrates.get(id).texture)).toEqual(texture);
  });

  it('name primers that exist, and what each is made for', () => {
    for (const row of substrates.all)
      for (const demand of Object.values(row.primer))
        for (const primer of demand.primers) {
          expect(coatings.get(primer).primer).not.toBeNull();
          expect(coatings.get(primer).primer?.madeFor).toContain(row.id);
        }
  });
});

describe('labor against the trade’s sheet', () => {
  // Minutes a square meter; furniture by brush takes 15 (8 to 30), the walls' 8 is for walls. From memory.
  it('has the rates, session times, details and skills of the sheet', () => {
    expect(three(laborRates.clean)).toEqual([3, 6, 12]);
    expect(three(laborRates.scuff)).toEqual([4, 6, 10]);
    expect(three(laborRates.brush)).toEqual([8, 15, 30]);
    expect(three(laborRates.spray)).toEqual([2, 2.5, 4]);
    expect(three(sessionMinutes.setUp)).toEqual([10, 15, 20]);
    expect(three(sessionMinutes.cleanUpWater)).toEqual([10, 10, 15]);
    expect(three(sessionMinutes.cleanUpSolvent)).toEqual([15, 20, 25]);
    expect(three(sessionMinutes.cleanUpAerosol)).toEqual([3, 5, 8]);
    expect([detailFactors.flat.brush, detailFactors.profiles.brush, detailFactors.spindles.brush]).toEqual([
      1, 1.4, 2.2,
    ]);
    expect([skillFactors.beginner.usual, skillFactors.practiced.usual, skillFactors.professional.usual]).toEqual([
      1.5, 1, 0.65,
    ]);
    expect(three(OVERHEAD_PERCENT)).toEqual([10, 15, 20]);
  });
});

describe('assumptions', () => {
  it('exist for every figure that a recipe takes from a table, each inside its limits', () => {
    for (const definition of assumptionDefinitions.values()) {
      expect(definition.figure.usual).toBeGreaterThanOrEqual(definition.minimum);
      expect(definition.figure.usual).toBeLessThanOrEqual(definition.maximum);
      expect(definition.label).not.toBe('');
    }
    for (const id of coatings.ids) expect(assumptionDefinitions.has(`coating.${id}.recoatHours`)).toBe(true);
    for (const id of substrates.ids) expect(assumptionDefinitions.has(`substrate.${id}.absorption`)).toBe(true);
  });

  it('give no shelf price in a currency whose prices nobody told us', () => {
    const estimate = { low: 5, likely: 7, high: 11 };
    expect(estimatedShelfPrice(estimate, 'USD')).toMatchObject({ state: 'estimated', likely: 700 });
    for (const code of currencyCodes.filter((entry) => !['USD', 'EUR', 'GBP'].includes(entry)))
      expect(estimatedShelfPrice(estimate, code)).toEqual({ state: 'unknown' });
  });
});

describe('tables that refer to each other', () => {
  it('only name what exists', () => {
    for (const rule of jointRules) {
      for (const id of [...(rule.under.products ?? []), ...(rule.over.products ?? [])])
        expect(coatings.ids).toContain(id);
      for (const id of rule.under.substrates ?? []) expect(substrates.ids).toContain(id);
      if (rule.remedy) expect(coatings.ids).toContain(rule.remedy);
      expect(rule.reason).not.toBe('');
    }
    for (const technique of techniques.all) {
      for (const tool of technique.toolIds) expect(tools.ids).toContain(tool);
      expect(assumptionDefinitions.has(technique.rateKey)).toBe(true);
    }
    for (const consumable of consumables.all)
      expect(new Set(consumable.packs.map((pack) => pack.market))).toEqual(new Set(['us', 'metric']));
  });
});
