import { describe, expect, it } from 'vitest';
import { AS_OF, fill, offer, option, project, rows, slot } from '../fixtures/projectRows';
import { computePlan } from './computePlan';
import { keptFunctions } from './keptFunctions';
import { deadlineOf, paceOf, untilDeadline } from './untilDeadline';

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
    expect(paceOf({ toReveal, inHand, lastUsableMs: AS_OF })).toBe(pace);
  });
  it('is none while nothing is chosen, and past is past', () => {
    expect(paceOf({ toReveal: 30, inHand: 30, lastUsableMs: null })).toBe('nothingChosen');
    expect(paceOf({ toReveal: -1, inHand: -1, lastUsableMs: null })).toBe('past');
  });
});

describe('the deadline', () => {
  const of = (revealDate: string | null, leavingDate: string | null) =>
    deadlineOf(project({ revealDate, brief: { ...project().brief, leavingDate } }));
  it('is the reveal, or the day on which the place is left where that comes first', () => {
    expect(of('2026-06-20', null)).toEqual({ date: '2026-06-20', because: 'reveal' });
    expect(of('2026-06-20', '2027-01-31')).toEqual({ date: '2026-06-20', because: 'reveal' });
    expect(of('2026-06-20', '2026-06-10')).toEqual({ date: '2026-06-10', because: 'leaving' });
    expect(of(null, '2026-06-10')).toEqual({ date: '2026-06-10', because: 'leaving' });
    expect(of(null, null)).toBeNull();
  });
});

describe('what still fits until the reveal', () => {
  const planOf = (revealDate: string | null, chosen: string[] = [], leavingDate: string | null = null) =>
    computePlan(
      rows({
        project: project({ revealDate, brief: { ...project().brief, leavingDate } }),
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
    expect(untilDeadline(planOf('2026-06-20'))).toMatchObject([
      { slot: { id: '1' }, inTime: ['soon'], tooLate: ['slow'] },
      { slot: { id: '2' }, inTime: [], tooLate: [] },
    ]);
    expect(untilDeadline(planOf('2026-06-02'))).toMatchObject([{ inTime: [], tooLate: ['soon', 'slow'] }, {}]);
  });
  it('counts to the day on which the place is left, where that comes first', () => {
    const left = untilDeadline(planOf('2026-07-20', [], '2026-06-03'));
    expect(left).toMatchObject([{ inTime: [], tooLate: ['soon', 'slow'] }, {}]);
    expect(untilDeadline(planOf('2026-07-20'))).toMatchObject([{ inTime: ['soon', 'slow'] }, {}]);
  });
  it('says nothing without a date, and nothing of a slot that is filled or left out', () => {
    expect(untilDeadline(planOf(null))).toBeNull();
    expect(untilDeadline(planOf('2026-06-20', ['soon']))?.map((entry) => entry.slot.id)).toEqual(['2']);
  });
});

describe('what the place must keep doing', () => {
  it('is closed by the slots that take it over, and open where none does or it is left out', () => {
    const brief = { ...project().brief, functions: ['hide the mail', 'light to read', 'room to chop'] };
    const asked = rows({
      project: project({ brief }),
      slots: [
        slot('1', { keeps: ['hide the mail'] }),
        slot('2', { keeps: ['hide the mail', 'something of before'] }),
        slot('3', { keeps: ['light to read'], leftOut: true }),
      ],
    });
    expect(keptFunctions(asked).map(({ words, slots }) => [words, slots.map(({ id }) => id)])).toEqual([
      ['hide the mail', ['1', '2']],
      ['light to read', []],
      ['room to chop', []],
    ]);
  });
});
