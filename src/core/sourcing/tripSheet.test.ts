import { describe, expect, it } from 'vitest';
import { AS_OF, fill, find, option, rows, slot } from '../fixtures/projectRows';
import type { TripRow } from '../model/rows';
import { computePlan } from '../plan/computePlan';
import { newSource } from '../plan/newSource';
import { readPatternLine } from './patternLine';
import { placesToVisit, tripSheet } from './tripSheet';

const pattern = readPatternLine('half off frames on Saturdays', '2026-06-01');
const near = { ...newSource('near', 'Near'), minutesOneWay: 5, patterns: pattern ? [{ id: 'p', ...pattern }] : [] };
const far = { ...newSource('far', 'Far'), minutesOneWay: 30 };
// June 6, 2026 is a Saturday.
const trip = (...places: string[]): TripRow => ({
  id: 'trip',
  version: 1,
  name: 'Saturday',
  onDate: '2026-06-06',
  startMinute: 540,
  stops: places.map((sourceId) => ({ id: `stop ${sourceId}`, sourceId, minutes: 20, done: false })),
  legs: [],
  costPerKm: 0,
  extras: 250,
  ticked: [],
  done: false,
  note: '',
});
const room = (...trips: TripRow[]) =>
  computePlan(
    rows({
      sources: [near, far],
      trips,
      slots: [slot('1', { name: 'Frame' }), slot('2', { name: 'Rug' })],
      finds: [
        find('frame', 1200, { name: 'Oak frame', sourceId: 'near' }),
        find('mirror', 3000, { name: 'Mirror', sourceId: 'far', thinkUntil: '2026-06-06' }),
      ],
      options: [option('o', '1', 'asFound', { parts: [{ findId: 'frame', offerId: null, pieces: 1 }] })],
      fills: [fill('1', 'o')],
    }),
    AS_OF,
  );

describe('the sheet of a trip', () => {
  it('says at each stop what to fetch, what is thought over there, and what is cheaper that day', () => {
    const sheet = tripSheet(room(), trip('far', 'near'));
    const [first, second] = [...sheet.stops].sort((a, b) => (a.stop.sourceId < b.stop.sourceId ? 1 : -1));
    expect(first).toMatchObject({
      source: { name: 'Near' },
      // Frames are half off on that Saturday.
      fetch: [{ id: 'find:frame', name: 'Oak frame', cost: 1200, thatDay: 600 }],
    });
    expect(first?.discounts.map(({ percentThousandths }) => percentThousandths)).toEqual([50_000]);
    expect(second?.thinking.map(({ name }) => name)).toEqual(['Mirror']);
    // The rug's ceiling is a tag here: half off frames says nothing of rugs.
    expect(
      first?.look.map(
        ({
          line: {
            slot: { name },
          },
          discounts,
        }) => [name, discounts.length],
      ),
    ).toEqual([['Rug', 0]]);
    expect(sheet.cost).toBe(250);
    expect(sheet.look.map(({ slot: { name } }) => name)).toEqual(['Rug']);
  });

  it('says what a tag may say at a stop, so that the till stays below the ceiling: tax and the day’s sale are in it', () => {
    const taxed = { ...near, tax: { percentThousandths: 10_000, included: false } };
    const { rows: known } = room();
    const open = computePlan({ ...known, sources: [taxed, far], fills: [] }, AS_OF);
    const [stop] = tripSheet(open, trip('near')).stops;
    for (const { line, tag, discounts } of stop?.look ?? []) {
      const share = line.slot.name === 'Frame' ? 0.5 : 1;
      expect(discounts).toHaveLength(line.slot.name === 'Frame' ? 1 : 0);
      const till = (minor: number) => Math.round(Math.round(minor * share) * 1.1);
      expect(till(tag ?? 0)).toBeLessThanOrEqual(line.ceiling);
      expect(till((tag ?? 0) + 2)).toBeGreaterThan(line.ceiling);
    }
    expect(stop?.look).toHaveLength(2);
  });

  it('fetches what is chosen, and thinks over only what is not', () => {
    const plan = room();
    const thinking = {
      ...plan.rows,
      finds: plan.rows.finds.map((row) => ({ ...row, thinkUntil: '2026-06-06' })),
    };
    const [stop] = tripSheet(computePlan(thinking, AS_OF), trip('near')).stops;
    expect([stop?.fetch.length, stop?.thinking.length]).toEqual([1, 0]);
    const monday = tripSheet(plan, { ...trip('near'), onDate: '2026-06-08' });
    expect(monday.stops[0]?.fetch[0]?.thatDay).toBeNull();
  });

  it('names the places where something waits and no trip goes to', () => {
    expect(placesToVisit(room()).map(({ source }) => source.name)).toEqual(['Near']);
    expect(placesToVisit(room(trip('near')))).toEqual([]);
  });
});
