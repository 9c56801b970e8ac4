import { describe, expect, it } from 'vitest';
import { logEntry } from '../fixtures/logEntry';
import { seededRandom } from '../kernel/seededRandom';
import type { LogEntryRow } from '../model/rows';
import { factorOf, learnFactors } from './learnFactors';
import { factorWords, logByProject, logByWork, usedByCoating, workName } from './logSummary';
import { usedAgainstPlan } from './usedAgainstPlan';

const BRUSH = 'labor.brushMinutesPerM2';
let made = 0;
function entry(change: Partial<LogEntryRow> = {}): LogEntryRow {
  made += 1;
  return logEntry({
    id: `entry ${String(made).padStart(4, '0')}`,
    atMs: made * 60_000,
    what: 'Chalk-type paint, coat 1 of 2',
    projectName: 'Attic',
    work: BRUSH,
    coatingId: 'chalk',
    substrateId: 'oak',
    expectedMinutes: 54,
    minutes: 54,
    ...change,
  });
}

describe('what the log teaches', () => {
  it('54 planned, 70, 61 and 66 needed: 1.087, so 58.7 next time (definitions of the figures)', () => {
    const factor = factorOf([70, 61, 66].map((actual) => ({ expected: 54, actual }))) ?? 0;
    expect(factor).toBeCloseTo(1.087, 3);
    expect(54 * factor).toBeCloseTo(58.7, 1);
  });

  it('nothing from two lines, and no more than three times or a third from odd ones', () => {
    expect(
      factorOf([
        { expected: 10, actual: 20 },
        { expected: 10, actual: 20 },
      ]),
    ).toBeNull();
    const wild = factorOf([1, 2, 3].map(() => ({ expected: 10, actual: 1000 })));
    expect(wild).toBeCloseTo(Math.exp((3 * Math.log(3)) / 7), 6);
    expect(factorOf([1, 2, 3].map(() => ({ expected: 0, actual: 10 })))).toBeNull();
  });

  it('less of what is old: its weight halves every 20 lines', () => {
    const now = Array.from({ length: 20 }, () => ({ expected: 10, actual: 12 }));
    const before = Array.from({ length: 20 }, () => ({ expected: 10, actual: 20 }));
    const expected = Math.exp((20 * Math.log(1.2) + 10 * Math.log(2)) / 34);
    expect(factorOf([...now, ...before])).toBeCloseTo(expected, 10);
  });

  it('of each kind of work by itself, else of all together, and nothing of lines that do not count', () => {
    const slow = [1, 2, 3].map(() => entry({ minutes: 81 }));
    const learned = learnFactors([...slow, entry({ work: 'labor.scuffMinutesPerM2', minutes: 54 })]);
    expect(learned.minutesOf(BRUSH)).toMatchObject({ entries: 3, isOfAll: false });
    expect(learned.minutesOf('labor.scuffMinutesPerM2')).toMatchObject({ entries: 4, isOfAll: true });
    expect(learnFactors(slow.map((one) => ({ ...one, counts: false }))).minutesOf(BRUSH)).toBeNull();
    expect(learnFactors([]).minutesOf(BRUSH)).toBeNull();
  });

  it('how far a can reaches, and how many coats more were given', () => {
    const amounts = [{ kindId: 'chalk', expected: 100, used: 130 }];
    const learned = learnFactors([1, 2, 3, 4].map(() => entry({ amounts, coats: { expected: 1, given: 2 } })));
    expect(learned.amountOf('chalk')?.factor).toBeCloseTo(Math.exp((4 * Math.log(1.3)) / 8), 10);
    expect(learned.coatsOf('chalk')).toEqual({ morePerCoat: 1, entries: 4 });
    expect(learned.amountOf('waterborneEnamel')).toBeNull();
    expect(learned.coatsOf('waterborneEnamel')).toBeNull();
  });

  it('a made-up stylist with factors of her own: after ten makeovers four of five steps are within a fifth', () => {
    const random = seededRandom(77);
    const truth = new Map(['a', 'b', 'c', 'd', 'e', 'f'].map((work, n) => [work, 0.6 + (1.2 * n) / 5]));
    const noise = () => 1 + 0.15 * (random() + random() + random() + random() - 2) * Math.sqrt(3);
    const step = (work: string) => {
      const expectedMinutes = 10 + 40 * random();
      return entry({ work, expectedMinutes, minutes: expectedMinutes * (truth.get(work) ?? 1) * noise() });
    };
    const makeover = () => [...truth.keys()].flatMap((work) => [step(work), step(work)]);
    const log = Array.from({ length: 10 }, makeover).flat();
    const learned = learnFactors(log);
    const next = Array.from({ length: 40 }, makeover).flat();
    const near = next.filter(({ work, expectedMinutes, minutes }) => {
      const told = expectedMinutes * (learned.minutesOf(work)?.factor ?? 1);
      return Math.abs(minutes - told) <= 0.2 * minutes;
    });
    expect(near.length / next.length).toBeGreaterThanOrEqual(0.8);
  });
});

describe('the log told', () => {
  const lines = [
    entry({ minutes: 81 }),
    entry({ minutes: 81 }),
    entry({ minutes: 81, projectName: 'Nook' }),
    entry({ work: 'step.dismantle', expectedMinutes: 10, minutes: 10 }),
  ];

  it('by kind of work and by project, planned against actual', () => {
    expect(
      logByWork(lines).map(({ name, entries, expectedMinutes, actualMinutes }) => [
        name,
        entries,
        expectedMinutes,
        actualMinutes,
      ]),
    ).toEqual([
      ['one coat by brush, furniture', 3, 162, 243],
      ['take apart, label', 1, 10, 10],
    ]);
    expect(
      logByProject(lines)
        .map(({ name }) => name)
        .sort(),
    ).toEqual(['Attic', 'Nook']);
  });

  it('in words', () => {
    expect([factorWords(1.12), factorWords(0.92), factorWords(1.001)]).toEqual([
      '12 % longer',
      '8 % quicker',
      'as expected',
    ]);
    expect(workName('step.sandBetween')).toBe('sand between');
    expect(usedByCoating([entry({ amounts: [{ kindId: 'chalk', expected: 100, used: 130 }] })])).toEqual([
      { kindId: 'chalk', entries: 1, ratio: 1.3, factor: null },
    ]);
  });
});

describe('what a makeover really took', () => {
  it('is told by the lines of its own steps, as a share of what was planned', () => {
    const poured = (kindId: string, expected: number, used: number) => entry({ amounts: [{ kindId, expected, used }] });
    const own = [poured('chalk', 100, 130), poured('chalk', 100, 110), poured('waterClear', 50, 40)];
    const other = poured('chalk', 100, 300);
    const runs = own.map(({ id }) => ({ recipeId: 'oak', logId: id }));
    const ratios = usedAgainstPlan('oak', [...runs, { recipeId: 'pine', logId: other.id }], [...own, other]);
    expect(ratios.get('chalk')).toBeCloseTo(1.2, 10);
    expect(ratios.get('waterClear')).toBeCloseTo(0.8, 10);
    expect(ratios.size).toBe(2);
  });
});
