import { describe, expect, it } from 'vitest';
import { AS_OF, fill, offer, option, paid, rows, slot } from '../fixtures/projectRows';
import type { ProjectRows } from '../model/rows';
import { comesOn, daysUntilHere } from './comesOn';
import { computePlan } from './computePlan';

const DAY = 86_400_000;
const zone = 'America/New_York';
const shelf = offer('new', 8840, { leadDays: 9, assemblyMinutes: 0 });

describe('when an order comes', () => {
  it('is its lead time after the day of the order, in the project’s days', () => {
    // One in the morning of June 2 in London is still June 1 in New York.
    const late = Date.parse('2026-06-02T00:00:00Z');
    expect([comesOn(shelf, late, zone), comesOn(shelf, late, 'Europe/London')]).toEqual(['2026-06-10', '2026-06-11']);
  });

  it('is the whole lead time from now while nobody ordered it, then what is left of it, then none', () => {
    const left = (days: number) => daysUntilHere(shelf, AS_OF, AS_OF + days * DAY, zone);
    expect(daysUntilHere(shelf, null, AS_OF + 40 * DAY, zone)).toBe(9);
    expect([left(0), left(4), left(9), left(12)]).toEqual([9, 5, 0, 0]);
    expect(daysUntilHere({ ...shelf, arrivedOn: '2026-06-03' }, AS_OF, AS_OF, zone)).toBe(0);
  });

  it('is what the plan counts with', () => {
    const leadDays = (change: Partial<ProjectRows>, days = 0) =>
      computePlan(
        rows({
          slots: [slot('1')],
          offers: [shelf],
          options: [option('o', '1', 'buyNew', { parts: [{ findId: null, offerId: 'new', pieces: 1 }] })],
          fills: [fill('1', 'o')],
          ...change,
        }),
        AS_OF + days * DAY,
      ).option('o')?.leadDays;
    const ledger = [paid('l', { kind: 'offer', id: 'new' }, 8840, 'promise')];
    expect([leadDays({}, 4), leadDays({ ledger }, 4)]).toEqual([9, 5]);
    expect(leadDays({ ledger, offers: [{ ...shelf, arrivedOn: '2026-06-03' }] }, 4)).toBe(0);
    // Taken back, it has to be ordered anew.
    const back = [...ledger, paid('r', { kind: 'offer', id: 'new' }, 8840, 'promise', 'l')];
    expect(leadDays({ ledger: back }, 4)).toBe(9);
  });
});
