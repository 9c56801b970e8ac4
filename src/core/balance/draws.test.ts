import { jStat } from 'jstat';
import { describe, expect, it } from 'vitest';
import { balanceRows } from '../fixtures/balanceRows';
import { furnishedRoom } from '../fixtures/furnishedRoom';
import { AS_OF, fill, find, option, project, rows, slot, spot } from '../fixtures/projectRows';
import { pertBetaCdf } from '../kernel/pertBeta';
import { pertBetaQuantile, QuantileTable } from '../kernel/pertBetaQuantile';
import type { Price } from '../kernel/price';
import { correlationOfRanks, ranksOf } from '../kernel/rankCorrelation';
import { seededRandom } from '../kernel/seededRandom';
import { computePlan } from '../plan/computePlan';
import { plainStory } from '../pricing/priceStory';
import { drawPlan, spreadOf } from './draws';

describe('PERT-beta', () => {
  const figures = [
    { low: 8, usual: 10, high: 14 },
    { low: 0, usual: 1, high: 10 },
    { low: 5, usual: 9, high: 10 },
  ];
  it.each(figures)('has its mean and its variance over many draws: %o', (points) => {
    // Mean (a + 4m + b) / 6, and the variance of the beta with λ = 4: (μ − a)(b − μ) / 7 (Vose, Risk Analysis; from memory).
    const { low, usual, high } = points;
    const mean = (low + 4 * usual + high) / 6;
    const variance = ((mean - low) * (high - mean)) / 7;
    const table = new QuantileTable(points);
    const random = seededRandom(3);
    const draws = Array.from({ length: 40_000 }, () => table.at(random()));
    expect(jStat.mean(draws)).toBeCloseTo(mean, 1);
    expect(jStat.variance(draws) / variance).toBeGreaterThan(0.96);
    expect(jStat.variance(draws) / variance).toBeLessThan(1.04);
  });
  it.each(figures)('has the quantiles of the beta distribution of a statistics package (jstat): %o', (points) => {
    const { low, usual, high } = points;
    const a = 1 + (4 * (usual - low)) / (high - low);
    const b = 1 + (4 * (high - usual)) / (high - low);
    for (const chance of [0.01, 0.1, 0.25, 0.5, 0.9, 0.99]) {
      const theirs = low + (high - low) * jStat.beta.inv(chance, a, b);
      expect(pertBetaQuantile(chance, points)).toBeCloseTo(theirs, 6);
      expect(pertBetaCdf(pertBetaQuantile(chance, points), points)).toBeCloseTo(chance, 8);
    }
  });
});

describe('rank correlation', () => {
  it('is Spearman’s of a statistics package, ties and all', () => {
    const random = seededRandom(5);
    for (let turn = 0; turn < 20; turn += 1) {
      const a = Array.from({ length: 30 }, () => Math.floor(random() * 12));
      const b = a.map((value) => value * (turn % 2 === 0 ? 1 : -1) + Math.floor(random() * 8));
      expect(correlationOfRanks(ranksOf(a), ranksOf(b))).toBeCloseTo(jStat.spearmancoeff(a, b), 9);
    }
  });
  it('is nothing where one of them never changes', () => {
    expect(correlationOfRanks(ranksOf([1, 1, 1]), ranksOf([1, 2, 3]))).toBe(0);
  });
});

/** A find of which only about a price is known. */
const about = (id: string, low: number, likely: number, high: number) => {
  const tag: Price = { state: 'estimated', low, likely, high };
  return find(id, likely, { story: plainStory(tag) });
};

/** A plan of finds taken as found, nothing else in it. */
function planOf(finds: ReturnType<typeof about>[], budget: number, contingencyThousandths = 0) {
  return computePlan(
    rows({
      project: project({ budget, contingencyThousandths, revealDate: null, hoursOnHandMinutes: null }),
      spots: [spot('spot')],
      slots: finds.map((own, n) => slot(`slot ${own.id}`, { number: n + 1 })),
      finds,
      options: finds.map((own) =>
        option(`option ${own.id}`, `slot ${own.id}`, 'asFound', {
          parts: [{ findId: own.id, offerId: null, pieces: 1 }],
        }),
      ),
      fills: finds.map((own) => fill(`slot ${own.id}`, `option ${own.id}`)),
    }),
    AS_OF,
  );
}

describe('draws of a plan', () => {
  it('are always the same, and hold every figure between the ends of its range', () => {
    for (const of of [furnishedRoom(), balanceRows(1, { slots: 8, ways: 4, supplies: 8, orders: 2 })]) {
      const plan = computePlan(of, AS_OF);
      const drawn = drawPlan(plan, 500);
      expect(drawPlan(plan, 500)).toEqual(drawn);
      expect(drawn.cash.low).toBeLessThanOrEqual(drawn.cash.middle);
      expect(drawn.cash.middle).toBeLessThanOrEqual(drawn.cash.high);
      expect(drawn.minutes.steps.reduce((sum, own) => sum + own, 0)).toBe(500);
      for (const chance of [drawn.overBudget, drawn.overHours ?? 0, drawn.late ?? 0, drawn.reserveCovers]) {
        expect(chance).toBeGreaterThanOrEqual(0);
        expect(chance).toBeLessThanOrEqual(1);
      }
    }
  });
  it('of a plan whose prices are all known come out as it is', () => {
    const { cash, overBudget, moves } = drawPlan(planOf([find('one', 1200), find('two', 800)], 2000));
    expect([cash.least, cash.most, overBudget]).toEqual([2000, 2000, 0]);
    expect(moves.cash).toEqual([]);
    expect(drawPlan(planOf([find('one', 1200), find('two', 800)], 1999)).overBudget).toBe(1);
  });
  it('of one uncertain price are over as often as its distribution says', () => {
    const points = { low: 1000, usual: 1400, high: 2600 };
    for (const budget of [1200, 1500, 2000]) {
      const { overBudget } = drawPlan(planOf([about('one', 1000, 1400, 2600)], budget));
      expect(overBudget).toBeCloseTo(1 - pertBetaCdf(budget, points), 1);
      expect(Math.abs(overBudget - (1 - pertBetaCdf(budget, points)))).toBeLessThan(0.02);
    }
  });
  it('say how often what is kept back covers what comes on top', () => {
    // 20 % of 1400 kept back: it reaches to 1680.
    const { reserveCovers } = drawPlan(planOf([about('one', 1000, 1400, 2600)], 5000, 20_000));
    expect(Math.abs(reserveCovers - pertBetaCdf(1680, { low: 1000, usual: 1400, high: 2600 }))).toBeLessThan(0.02);
  });
  it('name what moves the money most, the strongest first', () => {
    const { moves } = drawPlan(planOf([about('small', 900, 1000, 1100), about('large', 1000, 3000, 6000)], 9000));
    expect(moves.cash[0]?.cause).toEqual({ kind: 'price', name: 'Find large' });
    expect(moves.cash[0]?.correlation).toBeGreaterThan(0.9);
  });
  it('of hours follow minutes and skill, which are one for the whole project', () => {
    const plan = computePlan(furnishedRoom(), AS_OF);
    const { minutes, moves } = drawPlan(plan);
    expect(minutes.low).toBeLessThan(plan.sums.minutes.likely);
    expect(minutes.high).toBeGreaterThan(plan.sums.minutes.likely);
    expect(moves.minutes[0]?.cause).toEqual({ kind: 'minutes' });
  });
  it('are told by tenths', () => {
    const spread = spreadOf(Float64Array.from({ length: 1000 }, (_entry, n) => n));
    expect([spread.least, spread.low, spread.middle, spread.high, spread.most]).toEqual([0, 100, 500, 900, 999]);
    expect(spread.steps).toEqual(Array.from({ length: 20 }, () => 50));
  });
});
