import { uuid } from '@core/fixtures/following';
import { lookRows, verdictsOf } from '@core/fixtures/lookRows';
import { slot } from '@core/fixtures/projectRows';
import type { SpotRow } from '@core/model/rows';
import { computePlan } from '@core/plan/computePlan';
import { describe, expect, it } from 'vitest';
import { isOpen } from '../lookChecks/checkLook';
import { tellOf } from '../lookChecks/lookCheck';
import { slotsFromPattern, startingPatterns } from '../patterns';
import { startingLook } from './startingLook';

const AS_OF = Date.UTC(2026, 5, 1);
/** The look that a sketch begins with. */
function begun(spot: Partial<SpotRow>, slots: ReturnType<typeof slotsFromPattern>) {
  const rows = lookRows(spot, [], { slots });
  const [look, own] = [rows.looks[0], rows.spots[0]];
  if (!look || !own) throw new Error('no look');
  let made = 0;
  const lookPieces = startingLook(computePlan(rows, AS_OF), look, own, () => {
    made += 1;
    return uuid(2000 + made);
  });
  return { ...rows, lookPieces };
}

describe('a look that begins with one of our patterns', () => {
  const all = startingPatterns.all.flatMap((pattern) =>
    pattern.spotKinds.map((kind) => [pattern.id, kind, pattern] as const),
  );

  it.each(all)('%s on %s: no rule asks for another look of what we lay ourselves', (_id, kind, pattern) => {
    const [spot] = lookRows({ kind }, []).spots;
    if (!spot) throw new Error('no spot');
    const slots = slotsFromPattern(
      pattern,
      spot,
      1,
      pattern.slots.map((_, n) => uuid(100 + n)),
    );
    const rows = begun({ kind }, slots);
    const said = verdictsOf(rows)
      .filter(isOpen)
      .map(({ check, title }) => tellOf(check, title, { units: 'us', currency: 'USD' }));
    expect(said).toEqual([]);
    // Everything that it calls for is in it.
    expect(new Set(rows.lookPieces.map(({ slotId }) => slotId)).size).toBe(pattern.slots.length);
  });
});

describe('what is laid at each seat', () => {
  const table = { kind: 'diningTable', widthMm: 1800, depthMm: 900, measures: { seats: 6, seatsAtEnds: 2 } } as const;
  const perSeat = { parts: 1, spares: 0 };
  const laid = [
    slot(uuid(1), {
      name: 'Dinner plate',
      number: 1,
      quantity: 6,
      perSeat,
      box: { xMm: 300, yMm: 25, widthMm: 260, heightMm: 260 },
    }),
    slot(uuid(2), {
      name: 'Fork',
      number: 2,
      quantity: 6,
      perSeat,
      box: { xMm: 250, yMm: 55, widthMm: 30, heightMm: 200 },
    }),
  ];
  const placed = begun(table, laid).lookPieces;
  const of = (slotId: string) => placed.filter((piece) => piece.slotId === slotId).sort((a, b) => a.nth - b.nth);

  it('is a plate at the edge, two of six at the ends', () => {
    const plates = of(uuid(1));
    expect(plates).toHaveLength(6);
    expect(plates.slice(4).map(({ xMm }) => xMm)).toEqual([25, 1800 - 260 - 25]);
  });

  it('is to the left of the plate as its guest sees it, on every side of the table', () => {
    const [plates, forks] = [of(uuid(1)), of(uuid(2))];
    const beside = plates.map((plate, n) => {
      const fork = forks[n];
      return fork ? [fork.xMm + 15 - plate.xMm - 130, fork.frontMm + 100 - plate.frontMm - 130].map(Math.round) : [];
    });
    // Front, back, front, back, then the guests at the left and at the right end.
    expect(beside).toEqual([
      [-165, 0],
      [165, 0],
      [-165, 0],
      [165, 0],
      [0, 165],
      [0, -165],
    ]);
  });
});
