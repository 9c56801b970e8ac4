import { describe, expect, it } from 'vitest';
import {
  betterDays,
  colorInTurn,
  type DiscountPattern,
  discountsFor,
  discountsOn,
  type HoldsFor,
  percentOn,
  shareAfter,
} from './discountPattern';

const everything: HoldsFor = { kind: 'everything' };
const pattern = (given: Partial<DiscountPattern> & Pick<DiscountPattern, 'terms'>): DiscountPattern => ({
  id: 'pattern',
  holdsFor: everything,
  stacks: false,
  ...given,
});
const daily = (percentThousandths: number, holdsFor: HoldsFor = everything, stacks = false) =>
  pattern({
    holdsFor,
    stacks,
    terms: { kind: 'rule', from: '2026-01-01', rule: 'FREQ=DAILY', days: 1, until: null, percentThousandths },
  });
const stool = { words: 'Oak stool', tagColor: null };

describe('what a shop takes off on a day', () => {
  const sundayWeeks = pattern({
    terms: {
      kind: 'rule',
      from: '2026-11-29',
      rule: 'FREQ=WEEKLY;INTERVAL=2;BYDAY=SU',
      days: 7,
      until: null,
      percentThousandths: 50_000,
    },
  });

  it('holds for the whole week that begins every other Sunday, and not in the week between', () => {
    const days = ['2026-11-28', '2026-11-29', '2026-12-05', '2026-12-06', '2026-12-12', '2026-12-13'];
    expect(days.map((day) => percentOn(sundayWeeks, day) !== null)).toEqual([false, true, true, false, false, true]);
  });

  it('climbs a ladder from rung to rung, and ends with it', () => {
    const ladder = pattern({
      terms: {
        kind: 'ladder',
        why: 'season',
        rungs: [
          { from: '2026-12-26', percentThousandths: 30_000 },
          { from: '2027-01-02', percentThousandths: 50_000 },
        ],
        until: '2027-01-10',
      },
    });
    const days = ['2026-12-25', '2026-12-26', '2027-01-01', '2027-01-02', '2027-01-10', '2027-01-11'];
    expect(days.map((day) => percentOn(ladder, day))).toEqual([null, 30_000, 30_000, 50_000, 50_000, null]);
  });

  it('takes the larger of two that do not stack', () => {
    expect(discountsFor([daily(20_000), daily(50_000)], stool, '2026-06-01').map((d) => d.percentThousandths)).toEqual([
      50_000,
    ]);
  });

  it('multiplies what stacks: 100.00 at half and a fifth off is 40.00 (figures.md, 9: stack multiplicative)', () => {
    const both = discountsFor([daily(50_000), daily(20_000, everything, true)], stool, '2026-06-01');
    expect(shareAfter(both)).toBe(40_000);
  });

  it('holds for a word in the singular and the plural, and for nothing else', () => {
    const frames = daily(50_000, { kind: 'word', word: 'frames' });
    const for_ = (words: string) => discountsFor([frames], { words, tagColor: null }, '2026-06-01').length;
    expect([for_('Picture frame, oak'), for_('two FRAMES'), for_('Frameless mirror'), for_('Oak stool')]).toEqual([
      1, 1, 0, 0,
    ]);
  });

  it('holds for a tag color only where the tag has it; a rotation only for the color in turn', () => {
    const turns: HoldsFor = { kind: 'rotation', colors: ['blue', 'green', 'red'], from: '2026-11-02', periodDays: 7 };
    const on = (day: string) =>
      ['blue', 'green', 'red'].filter(
        (tagColor) => discountsFor([daily(50_000, turns)], { words: '', tagColor }, day).length > 0,
      );
    expect([on('2026-11-01'), on('2026-11-02'), on('2026-11-09'), on('2026-11-22'), on('2026-11-23')]).toEqual([
      [],
      ['blue'],
      ['green'],
      ['red'],
      ['blue'],
    ]);
    expect(colorInTurn(turns as Extract<HoldsFor, { kind: 'rotation' }>, '2026-11-15')).toBe('green');
    expect(discountsFor([daily(50_000, turns)], stool, '2026-11-02')).toEqual([]);
  });

  it('lists those of more first', () => {
    expect(discountsOn([daily(20_000), daily(50_000)], '2026-06-01').map((d) => d.percentThousandths)).toEqual([
      50_000, 20_000,
    ]);
  });

  it('finds the days on which it becomes cheaper, and not those on which it only stays so', () => {
    expect(betterDays([sundayWeeks], stool, '2026-11-28', '2026-12-20').map(({ day }) => day)).toEqual([
      '2026-11-29',
      '2026-12-13',
    ]);
  });
});
