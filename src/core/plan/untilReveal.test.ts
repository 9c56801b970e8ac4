import { describe, expect, it } from 'vitest';
import { AS_OF, fill, offer, option, project, rows, slot } from '../fixtures/projectRows';
import { computePlan } from './computePlan';
import { keptFunctions, paceOf, untilReveal } from './untilReveal';

describe('the pace', () => {
  it.each([
    [null, null, 'noDate'],
    [-1, -2, 'past'],
    [9, -1, 'late'],
    [9, 0, 'lastMinute'],
    [9, 1, 'lastMinute'],
    [9, 2, 'inTime'],
    [30, 13, 'inTime'],
    [30, 14, 'early'],
  ] as const)('with %s days to the reveal and %s in hand is %s', (toReveal, inHand, pace) => {
    expect(paceOf({ toReveal, inHand, lastUsableMs: null })).toBe(pace);
  });
});

describe('what still fits until the reveal', () => {
  const planOf = (revealDate: string | null, chosen: string[] = []) =>
    computePlan(
      rows({
        project: project({ revealDate }),
        slots: [slot('1', { number: 1 }), slot('2', { number: 2 }), slot('3', { number: 3, leftOut: true })],
        offers: [offer('soon', 2000, { leadDays: 3 }), offer('slow', 1000, { leadDays: 30 })],
        options: ['soon', 'slow'].map((id) =>
          option(id, '1', 'buyNew', { parts: [{ findId: null, offerId: id, pieces: 1 }] }),
        ),
        fills: chosen.map((id) => fill('1', id)),
      }),
      AS_OF,
    );
  it('tells for each open slot the ways that arrive before it and those that do not', () => {
    expect(untilReveal(planOf('2026-06-20'))).toMatchObject([
      { slot: { id: '1' }, inTime: ['soon'], tooLate: ['slow'] },
      { slot: { id: '2' }, inTime: [], tooLate: [] },
    ]);
    expect(untilReveal(planOf('2026-06-02'))).toMatchObject([{ inTime: [], tooLate: ['soon', 'slow'] }, {}]);
  });
  it('says nothing without a date, and nothing of a slot that is filled or left out', () => {
    expect(untilReveal(planOf(null))).toBeNull();
    expect(untilReveal(planOf('2026-06-20', ['soon']))?.map((entry) => entry.slot.id)).toEqual(['2']);
  });
});

describe('what the place must keep doing', () => {
  it('is closed by the slots that take it over, and open where none does or it is left out', () => {
    const brief = { ...project().brief, functions: ['hide the mail', 'light to read', 'room to chop'] };
    const plan = computePlan(
      rows({
        project: project({ brief }),
        slots: [
          slot('1', { keeps: ['hide the mail'] }),
          slot('2', { keeps: ['hide the mail', 'something of before'] }),
          slot('3', { keeps: ['light to read'], leftOut: true }),
        ],
      }),
      AS_OF,
    );
    expect(keptFunctions(plan).map(({ words, slots }) => [words, slots.map(({ id }) => id)])).toEqual([
      ['hide the mail', ['1', '2']],
      ['light to read', []],
      ['room to chop', []],
    ]);
  });
});
