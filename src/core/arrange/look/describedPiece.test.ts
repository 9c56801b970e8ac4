import { describe, expect, it } from 'vitest';
import { uuid } from '../../fixtures/following';
import { lookRows, thingsOf } from '../../fixtures/lookRows';
import { AS_OF } from '../../fixtures/projectRows';
import type { LookPieceRow, SpotRow } from '../../model/rows';
import { computePlan } from '../../plan/computePlan';
import { allAdded } from './addedThings';
import { describedPiece } from './describedPiece';
import { type LookThing, meets } from './lookThing';
import { likenessOfThing, thingView } from './thingView';

const IN = 25.4;
const console_ = { kind: 'console', widthMm: 1500, depthMm: 400, heightMm: 1400 } as const;
const seen = (words: string) => {
  const [thing] = thingsOf(lookRows(console_, [describedPiece(words, 'USD', 'us').of]));
  if (!thing) throw new Error('nothing was described');
  return thing;
};

/** An empty look of a spot, and a way to put what is described into it. */
function emptyLook(of: Partial<SpotRow>) {
  const rows = lookRows(of, []);
  const plan = computePlan(rows, AS_OF);
  const [look, spot] = [rows.looks[0], rows.spots[0]];
  if (!look || !spot) throw new Error('no look');
  let made = 0;
  const put = (words: string, there: readonly LookThing[] = [], wanted: number | null = null) => {
    const { of: piece, count } = describedPiece(words, 'USD', 'us');
    return allAdded(plan, look, spot, there, piece, wanted ?? count, () => {
      made += 1;
      return uuid(5000 + made);
    }).rows;
  };
  return { put, things: (lookPieces: LookPieceRow[]) => thingsOf({ ...rows, lookPieces }) };
}
const table = { kind: 'diningTable', widthMm: 2000, depthMm: 1000, heightMm: null, measures: { seats: 8 } } as const;

describe('what is described for a look', () => {
  it('has its kind, its size and its name', () => {
    const vase = seen('blue vase, 5 in wide, 12 in tall');
    expect([vase.name, vase.template?.id]).toEqual(['Blue vase', 'vase']);
    expect(vase.size.widthMm).toBeCloseTo(5 * IN, 3);
    expect(vase.size.heightMm).toBeCloseTo(12 * IN, 3);
  });

  it('a bunch is as wide as it is said to be, its leaves stay leaves', () => {
    const bunch = seen('forsythia branches, 12 in wide, 26 in tall');
    expect(bunch.size.widthMm).toBeCloseTo(12 * IN, 3);
    expect(bunch.size.heightMm).toBeCloseTo(26 * IN, 3);
    expect(bunch.measures.leafMm).toBeLessThan(4 * IN);
  });

  it('what is round is as deep as it is wide, anything else a little less', () => {
    expect(seen('cake stand, 11 in wide, 6 in tall').size.depthMm).toBeCloseTo(11 * IN, 3);
    expect(seen('old widget, 20 in wide, 8 in tall').size.depthMm).toBeCloseTo(12 * IN, 3);
    // What has a usual size keeps its proportions: a suitcase 22 in wide is 16 in deep.
    expect(seen('old suitcase, 20 in wide, 8 in tall').size.depthMm).toBeCloseTo((20 / 22) * 16 * IN, 3);
    expect(seen('old suitcase, 20 in wide, 8 in tall, 15 in deep').size.depthMm).toBeCloseTo(15 * IN, 3);
  });

  it.each([
    ['8 dinner plates, 10 in wide', 8],
    ['pair of brass candlesticks, 10 in tall', 2],
    ['red stocking', 1],
    ['six lemons in a bowl', 1],
    ['three old sea books', 1],
    ['5 stems of eucalyptus', 1],
    ['stack of 6 plates', 1],
    ['40 votive candles', 16],
  ])('“%s” is so many things: %d', (words, count) => {
    expect(describedPiece(words, 'USD', 'us').count).toBe(count);
  });

  it('stems that are counted are stems of one bunch', () => {
    expect(seen('5 stems of eucalyptus, 20 in tall').measures.stems).toBe(5);
  });

  it('plates come to the seats of a table: across from each other, at the ends, each at its edge', () => {
    const { put, things } = emptyLook(table);
    const seats = put('8 dinner plates, 10 in wide');
    expect(new Set(seats.map(({ xMm, frontMm }) => `${xMm} ${frontMm}`)).size).toBe(8);
    const wide = 10 * IN;
    const [sides, ends] = [seats.slice(0, 6), seats.slice(6)];
    expect(sides.filter(({ frontMm }) => frontMm < 500)).toHaveLength(3);
    for (const { xMm, frontMm } of sides) {
      expect(Math.min(xMm, 2000 - xMm - wide)).toBeGreaterThan(0);
      expect(Math.min(frontMm, 1000 - frontMm - wide)).toBeCloseTo(25, 0);
    }
    for (const { xMm, frontMm } of ends) {
      expect(Math.min(xMm, 2000 - xMm - wide)).toBeCloseTo(25, 0);
      expect(frontMm + wide / 2).toBeCloseTo(500, 0);
    }
    const plates = things(seats).map(({ box }) => box);
    for (const [n, one] of plates.entries())
      for (const other of plates.slice(n + 1)) expect(meets(one, other)).toBe(false);
  });

  it('more plates than seats are laid closer together, none in the middle of the table', () => {
    const { put } = emptyLook({ ...table, measures: { seats: 6, seatsAtEnds: 0 } });
    const seats = put('8 dinner plates, 10 in wide');
    for (const { frontMm } of seats) expect(Math.min(frontMm, 1000 - frontMm - 10 * IN)).toBeCloseTo(25, 0);
    expect(new Set(seats.map(({ xMm }) => xMm)).size).toBe(4);
  });

  it('around a round table they lie evenly, each as far from the edge', () => {
    const { put } = emptyLook({ kind: 'diningTable', widthMm: 1400, depthMm: 1400, measures: { seats: 6, round: 1 } });
    const seats = put('6 dinner plates, 10 in wide').map(
      ({ xMm, frontMm }) => [xMm + 127 - 700, frontMm + 127 - 700] as const,
    );
    for (const [x, y] of seats) expect(Math.hypot(x, y)).toBeCloseTo(700 - 127 - 25, 0);
    const [first, second] = seats;
    // Six around: as far from each other as from the middle.
    expect(Math.hypot((first?.[0] ?? 0) - (second?.[0] ?? 0), (first?.[1] ?? 0) - (second?.[1] ?? 0))).toBeCloseTo(
      548,
      0,
    );
  });

  it('candles along a table stand beside each other, over what lies there', () => {
    const { put, things } = emptyLook(table);
    const there = things(put('linen runner, 14 in wide, 70 in long'));
    const candles = put('4 taper candles, 1 in wide, 10 in tall', there);
    expect(new Set(candles.map(({ xMm }) => Math.round(xMm))).size).toBe(4);
    expect(seen('napkin, 18 in wide').size.depthMm).toBeCloseTo(18 * IN, 3);
  });

  it('a garland that is longer than its mantel drapes along it', () => {
    const [row] = emptyLook({ kind: 'mantel', widthMm: 1500, depthMm: 200, heightMm: 900 }).put(
      'fir garland, 9 ft long',
    );
    expect(row?.size?.widthMm).toBe(1500);
    expect(row?.xMm).toBe(0);
    expect(row?.drawn?.measures.widthMm).toBeCloseTo(9 * 12 * IN, 1);
  });

  it('plates in a stack are a stack, as high as it is said to be', () => {
    const stack = seen('stack of plates, 9 in wide, 4 in tall');
    expect(stack.name).toBe('Stack of plates');
    expect(stack.size.widthMm).toBeCloseTo(9 * IN, 3);
    expect(stack.size.heightMm).toBeCloseTo(4 * IN, 3);
    expect(likenessOfThing(stack)?.id).toBe('dishStack');
    expect(seen('blue plate, 9 in wide').template?.id).toBe('plate');
  });

  it.each(['cake stand', 'six lemons in a bowl', 'white pumpkin', 'brass bird', 'old suitcase', 'potted fern'])(
    '%s is drawn as what it is, no plain box',
    (words) => {
      const thing = seen(words);
      expect(thingView(thing, { isAbove: false, isPresent: false }).kind).toBe('drawing');
      expect(thing.template?.id !== 'freeBox' || likenessOfThing(thing) !== null).toBe(true);
    },
  );

  it('is a box only where nobody knows what it is', () => {
    expect(likenessOfThing(seen('thingamajig, 4 in wide'))).toBeNull();
  });
});
