import { describe, expect, it } from 'vitest';
import { currencyCodes } from '../kernel/currencies.data';
import { ML_PER_US_FLUID_OUNCE, ML_PER_US_GALLON } from '../kernel/units';
import type { Remedy } from '../state/joint';
import { laborKey, techniques } from '../technique';
import { assumptionDefinitions, estimatedShelfPrice } from './assumptions';
import { coatings } from './coatings';
import { consumables } from './consumables';
import type { Figure } from './figure';
import { jointRules } from './joints.data';
import { detailFactors, laborRates, OVERHEAD_PERCENT, sessionMinutes, skillFactors } from './labor.data';
import { substrates } from './substrates';
import { plainNames } from './substrates/oldFinishes.data';
import { finishLeftBy } from './substrates.data';
import { tools } from './tools';

const three = (figure: Figure) => [figure.low, figure.usual, figure.high];

describe('every coating', () => {
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

  it('say by themselves whether they shine: a glossy varnish and a dull clear coat; of paint one has to look', () => {
    const sheens = ['glossyVarnish', 'dullVarnish', 'soundOldPaint'].map((id) => substrates.get(id).sheen);
    expect(sheens).toEqual(['gloss', 'matt', null]);
    // Who does not know the product finds it by what it looks like.
    for (const id of Object.keys(plainNames)) expect(substrates.get(finishLeftBy(id)).plainly).not.toBe('');
  });

  it('name primers that exist, and what each is made for', () => {
    for (const row of substrates.all)
      for (const demand of Object.values(row.primer ?? {}))
        for (const id of demand.primers) {
          const barrier = coatings.get(id);
          expect(['primer', 'clear']).toContain(barrier.role);
          if (barrier.primer) expect(barrier.primer.madeFor).toContain(row.id);
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

describe('a reason that names a remedy', () => {
  /** Words of a reason, and the way out that must stand beside them. */
  const words: [RegExp, (remedy: Remedy) => boolean][] = [
    [/washed off/, (remedy) => remedy.kind === 'prepare' && remedy.work === 'dewax'],
    [/strip it|strip and/, (remedy) => remedy.kind === 'prepare' && remedy.work === 'strip'],
    [/gel stain/, (remedy) => 'coatingId' in remedy && remedy.coatingId === 'gelStain'],
    [/clear wax first/, (remedy) => 'coatingId' in remedy && remedy.coatingId === 'clearWax'],
    [/shellac/, (remedy) => 'coatingId' in remedy && remedy.coatingId === 'shellacPrimer'],
    [/bonding primer(?! does)/, (remedy) => 'coatingId' in remedy && remedy.coatingId === 'bondingPrimer'],
    [/barrier coats/, (remedy) => 'coatingId' in remedy && remedy.coatingId === 'gesso'],
    [/aerosol clear on each/, (remedy) => 'coatingId' in remedy && remedy.coatingId === 'aerosolClear'],
    [/coats of medium/, (remedy) => 'coatingId' in remedy && remedy.coatingId === 'decoupageMedium'],
    [/clear coats? first/, (remedy) => 'coatingId' in remedy && remedy.coatingId === 'waterClear'],
    [/galvanized metal first/, (remedy) => 'coatingId' in remedy && remedy.coatingId === 'galvanizedPrimer'],
    [/candle medium/, (remedy) => 'coatingId' in remedy && remedy.coatingId === 'candleMedium'],
    [/same base/, (remedy) => remedy.kind === 'insteadBelow'],
  ];
  const missing = (reason: string, remedies: readonly Remedy[]) =>
    words
      .filter(([pattern, names]) => pattern.test(reason) && !remedies.some(names))
      .map(([pattern]) => pattern.source);
  it('has it among the ways out of its row', () => {
    for (const rule of jointRules)
      if (rule.verdict === 'never' || rule.verdict === 'barrierPrimer')
        expect([rule.id, missing(rule.reason, rule.remedies)]).toEqual([rule.id, []]);
  });
  it('has it among the primers of its cell', () => {
    for (const row of substrates.all)
      for (const [column, cell] of Object.entries(row.primer ?? {}))
        if (cell.verdict === 'barrierPrimer')
          expect([
            row.id,
            column,
            missing(
              cell.reason,
              cell.primers.map((coatingId: string) => ({ kind: 'between' as const, coatingId })),
            ),
          ]).toEqual([row.id, column, []]);
  });
});

describe('tables that refer to each other', () => {
  it('only name what exists', () => {
    for (const rule of jointRules) {
      for (const id of [...(rule.under.products ?? []), ...(rule.over.products ?? [])])
        expect(coatings.ids).toContain(id);
      for (const id of rule.under.substrates ?? []) expect(substrates.ids).toContain(id);
      for (const remedy of rule.remedies) if ('coatingId' in remedy) expect(coatings.ids).toContain(remedy.coatingId);
      expect(rule.reason).not.toBe('');
    }
    for (const technique of techniques.all) {
      for (const tool of technique.toolIds) expect(tools.ids).toContain(tool);
      expect(assumptionDefinitions.has(laborKey(technique.rate))).toBe(true);
      for (const extra of technique.extras) expect(consumables.ids).toContain(extra.kindId);
    }
    for (const consumable of consumables.all)
      expect(new Set(consumable.packs.map((pack) => pack.market))).toEqual(new Set(['us', 'metric']));
  });
});
