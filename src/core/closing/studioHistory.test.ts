import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { furnishedRoom } from '../fixtures/furnishedRoom';
import { logEntry } from '../fixtures/logEntry';
import { playActs } from '../fixtures/playActs';
import { AS_OF } from '../fixtures/projectRows';
import { idsAfter, throwsUpTo } from '../fixtures/throws';
import { computePlan } from '../plan/computePlan';
import { originKinds } from '../sourcing/origins';
import { cameFromSentence, earnedSentence, factorsSentence, historySentence, worksSentence } from './historyWords';
import { closingOf, type ProjectClosing } from './projectClosing';
import { cashOf, minutesOf, reckon } from './reckon';
import { factorsOverTime, favoriteWorks, historySums, type PastProject, perHourOf } from './studioHistory';

const closing = (change: Partial<ProjectClosing> = {}): ProjectClosing => ({
  state: 'finished',
  beganOn: '2026-05-01',
  lastOn: '2026-06-01',
  cash: 10_000,
  stash: 0,
  minutes: 600,
  atLeast: false,
  saved: 20_000,
  savedMinutes: 600,
  slots: { all: 2, filled: 2 },
  byOrigin: [{ origin: 'thrifted', count: 2 }],
  planned: null,
  works: [],
  ...change,
});
const past = (id: string, change: Partial<ProjectClosing> = {}, currency = 'USD'): PastProject => ({
  id,
  name: id,
  currency,
  closing: closing(change),
});

describe('the history of a studio', () => {
  it('weighs an hour by its project’s hours: 200 in 10 h and 30 in 20 h earned 7.67, not 10.75', () => {
    const [sums] = historySums([past('a'), past('b', { saved: 3000, savedMinutes: 1200 })]);
    expect(sums).toMatchObject({ projects: 2, saved: 23_000, perHour: 767 });
    expect(perHourOf(closing())).toBe(2000);
  });

  it('adds no two currencies, and nothing that is not finished', () => {
    const sums = historySums([past('a'), past('b', {}, 'EUR'), past('c', { state: 'atWork' })]);
    expect(sums.map(({ currency, projects, cash }) => [currency, projects, cash])).toEqual([
      ['EUR', 1, 10_000],
      ['USD', 1, 10_000],
    ]);
    expect(historySums([past('c', { state: 'planned' })])).toEqual([]);
  });

  it('says what the plans missed, over the projects that had one', () => {
    const [sums] = historySums([
      past('a', { cash: 12_000, minutes: 660, planned: { cash: 10_000, minutes: 600 } }),
      past('b', { cash: 90_000 }),
    ]);
    expect(sums?.cashAgainstPlan).toBeCloseTo(1.2, 9);
    expect(sums?.minutesAgainstPlan).toBeCloseTo(1.1, 9);
    if (!sums) throw new Error('no sums');
    expect(historySentence(sums)).toBe(
      '2 projects finished: $1,020 and 21 h 00. Buying new would have cost $400 more; an hour of yours earned $20. Against the plans when work began: money 20 % more than planned and hours 10 % more than planned.',
    );
    const [alone] = historySums([past('a', { saved: null })]);
    expect(alone && historySentence(alone)).toContain('Nothing was held against new.');
  });

  const anyClosing = fc.record({
    cash: fc.integer({ min: 0, max: 1_000_000 }),
    stash: fc.integer({ min: 0, max: 100_000 }),
    minutes: fc.integer({ min: 0, max: 10_000 }),
    saved: fc.option(fc.integer({ min: -100_000, max: 100_000 })),
    savedMinutes: fc.integer({ min: 1, max: 10_000 }),
    count: fc.integer({ min: 0, max: 9 }),
    currency: fc.constantFrom('USD', 'EUR', 'JPY'),
  });

  it('adds up to the whole, and its hour lies between those of its projects', () => {
    fc.assert(
      fc.property(fc.array(anyClosing, { maxLength: 12 }), (given) => {
        const projects = given.map(({ currency, count, ...of }, n) =>
          past(
            String(n),
            { ...of, byOrigin: [{ origin: originKinds[n % originKinds.length] ?? 'new', count }] },
            currency,
          ),
        );
        const sums = historySums(projects);
        const all = (value: (of: PastProject) => number) => projects.reduce((sum, of) => sum + value(of), 0);
        expect(sums.reduce((sum, { cash }) => sum + cash, 0)).toBe(all(({ closing: { cash } }) => cash));
        expect(sums.reduce((sum, of) => sum + of.projects, 0)).toBe(projects.length);
        expect(sums.flatMap(({ byOrigin }) => byOrigin).reduce((sum, { count }) => sum + count, 0)).toBe(
          all(({ closing: { byOrigin } }) => byOrigin[0]?.count ?? 0),
        );
        for (const { currency, perHour } of sums) {
          if (perHour === null) continue;
          const each = projects
            .filter((of) => of.currency === currency && of.closing.saved !== null)
            .map(({ closing: { saved, savedMinutes } }) => ((saved ?? 0) * 60) / savedMinutes);
          expect(perHour).toBeGreaterThanOrEqual(Math.floor(Math.min(...each)));
          expect(perHour).toBeLessThanOrEqual(Math.ceil(Math.max(...each)));
        }
      }),
    );
  });
});

describe('what was worked most', () => {
  it('is added up over projects, the longest first', () => {
    const works = favoriteWorks([
      past('a', { works: [{ work: 'x', minutes: 30, steps: 2 }] }),
      past('b', {
        works: [
          { work: 'y', minutes: 40, steps: 1 },
          { work: 'x', minutes: 20, steps: 1 },
        ],
      }),
    ]);
    expect(works).toEqual([
      { work: 'x', minutes: 50, steps: 3, projects: 2 },
      { work: 'y', minutes: 40, steps: 1, projects: 1 },
    ]);
  });
});

describe('the history in words', () => {
  it('names what has nothing to be held against, what was worked most and where pieces came from', () => {
    expect(earnedSentence([past('a')])).toBe('Against buying new, project by project.');
    expect(earnedSentence([past('a'), past('b', { saved: null })])).toBe(
      'Against buying new, project by project; b has nothing to be held against.',
    );
    expect(earnedSentence([past('a', { saved: null })])).toContain('put a “buy new”');
    expect(worksSentence([])).toBe('Nothing is logged yet.');
    expect(worksSentence([{ work: 'step.own', minutes: 90, steps: 2, projects: 2 }])).toBe(
      'Most of all steps of your own: 1 h 30 in 2 projects.',
    );
    expect(factorsSentence([])).toContain('third line');
    expect(factorsSentence([{ month: '2026-05', factors: { 'step.own': 1.12 } }])).toBe(
      'By 2026-05: steps of your own 12 % longer.',
    );
    expect(
      cameFromSentence({
        byOrigin: [
          { origin: 'owned', count: 1 },
          { origin: 'new', count: 3 },
        ],
      }),
    ).toBe('owned 1 of 4 (25 %) and new 3 of 4 (75 %).');
    expect(cameFromSentence({ byOrigin: [] })).toBe('Nothing fills a slot.');
  });
});

describe('factors over time', () => {
  const at = (id: string, month: number, minutes: number) =>
    logEntry({ id, work: 'sand', expectedMinutes: 10, minutes, atMs: Date.UTC(2026, month - 1, 15) });

  it('say what was taught by the end of each month, from the third line on', () => {
    const entries = [at('1', 1, 12), at('2', 1, 12), at('3', 2, 12), at('4', 4, 20)];
    const months = factorsOverTime(entries, ['sand', 'saw'], 'UTC');
    expect(months.map(({ month }) => month)).toEqual(['2026-02', '2026-04']);
    // Three lines of 1.2 drawn towards 1 by four: exp(3 ln 1.2 ÷ 7).
    expect(months[0]?.factors.sand).toBeCloseTo(Math.exp((3 * Math.log(1.2)) / 7), 9);
    expect(months[1]?.factors.sand).toBeGreaterThan(months[0]?.factors.sand ?? 9);
    expect(months[0]?.factors.saw).toBeUndefined();
    expect(factorsOverTime([], ['sand'], 'UTC')).toEqual([]);
  });
});

describe('a project in few figures', () => {
  it('says what its reckoning does, whatever was done', () => {
    fc.assert(
      fc.property(throwsUpTo(30), (thrown) => {
        const rows = playActs(furnishedRoom(), thrown, idsAfter(5000)).at(-1) ?? furnishedRoom();
        const plan = computePlan(rows, AS_OF);
        const of = closingOf(plan);
        const { all } = reckon(plan);
        expect([of.cash, of.stash]).toEqual([cashOf(all), all.stash]);
        expect(of.minutes).toBeCloseTo(minutesOf(all), 6);
        expect(of.slots.filled).toBeLessThanOrEqual(of.slots.all);
        if (of.state === 'finished') expect(of.slots.filled).toBe(of.slots.all);
        if (of.state === 'planned') expect([of.beganOn, of.works]).toEqual([null, []]);
        expect((of.beganOn ?? '') <= (of.lastOn ?? '')).toBe(true);
      }),
      { numRuns: 30, seed: 8 },
    );
  });
});
