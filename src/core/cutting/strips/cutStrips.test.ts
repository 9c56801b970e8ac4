import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../../kernel/seededRandom';
import { MM_PER_INCH } from '../../kernel/units';
import { cutStrips, type StripsQuestion } from './cutStrips';

const endless = Number.POSITIVE_INFINITY;
const one = (lengthMm: number, cost = 1) => ({ lengthMm, cost, limit: endless });

/** Whether every stick holds what is cut from it and every part is cut as often as wanted. */
function holds(question: StripsQuestion): void {
  const answer = cutStrips(question);
  const cut = question.demand.map(() => 0);
  const used = question.sticks.map(() => 0);
  for (const { stick, counts } of answer.sticks) {
    const length = counts.reduce(
      (sum, count, part) => sum + count * ((question.lengthsMm[part] ?? 0) + question.kerfMm),
      0,
    );
    expect(length).toBeLessThanOrEqual((question.sticks[stick]?.lengthMm ?? 0) + question.kerfMm + 1e-6);
    used[stick] = (used[stick] ?? 0) + 1;
    counts.forEach((count, part) => {
      cut[part] = (cut[part] ?? 0) + count;
    });
  }
  expect(cut).toEqual(question.demand.map((count, part) => (answer.tooLong.includes(part) ? 0 : count)));
  used.forEach((count, stick) => {
    expect(count).toBeLessThanOrEqual(question.sticks[stick]?.limit ?? 0);
  });
  expect(answer.cost).toBeGreaterThanOrEqual(answer.bound - 1e-6);
}

/** The least cost by trying every assignment of single pieces to sticks; only for a handful of pieces. */
function byTryingAll({ lengthsMm, demand, sticks, kerfMm }: StripsQuestion): number {
  const pieces = demand.flatMap((count, part) => Array.from({ length: count }, () => (lengthsMm[part] ?? 0) + kerfMm));
  let best = Number.POSITIVE_INFINITY;
  const open: { stick: number; room: number }[] = [];
  const visit = (n: number, cost: number): void => {
    if (cost >= best) return;
    const piece = pieces[n];
    if (piece === undefined) {
      best = cost;
      return;
    }
    for (const bin of open) {
      if (bin.room + 1e-9 < piece) continue;
      bin.room -= piece;
      visit(n + 1, cost);
      bin.room += piece;
    }
    sticks.forEach(({ lengthMm, cost: price, limit }, stick) => {
      const room = lengthMm + kerfMm;
      if (room + 1e-9 < piece || open.filter((bin) => bin.stick === stick).length >= limit) return;
      open.push({ stick, room: room - piece });
      visit(n + 1, cost + price);
      open.pop();
    });
  };
  visit(0, 0);
  return best;
}

describe('cutting lengths from sticks', () => {
  it('gets three, not four, lengths of 24 in from a board of 96 in with a kerf of 1/8 in', () => {
    const question = (inches: number) => ({
      lengthsMm: [inches * MM_PER_INCH],
      demand: [4],
      sticks: [one(96 * MM_PER_INCH)],
      kerfMm: MM_PER_INCH / 8,
    });
    expect(cutStrips(question(24)).sticks.map(({ counts }) => counts)).toEqual([[3], [1]]);
    expect(cutStrips(question(23.875)).sticks.map(({ counts }) => counts)).toEqual([[4]]);
  });

  it('needs 73 rolls for the classic paper-roll example (widely reprinted; bound 72.917)', () => {
    const question = {
      lengthsMm: [1380, 1520, 1560, 1710, 1820, 1880, 1930, 2000, 2050, 2100, 2140, 2150, 2200],
      demand: [22, 25, 12, 14, 18, 18, 20, 10, 12, 14, 16, 18, 20],
      sticks: [one(5600)],
      kerfMm: 0,
    };
    const answer = cutStrips(question);
    expect(answer).toMatchObject({ cost: 73, bound: 73, isProven: true });
    holds(question);
  });

  it.each([
    [10, [6, 5, 3, 2, 2, 2], 2],
    [10, [4, 4, 3, 3, 3, 3], 2],
    [10, [6, 5, 5, 4], 2],
  ])('is not caught by the traps of first fit: sticks of %d, %j', (room, lengths, best) => {
    const question = { lengthsMm: lengths, demand: lengths.map(() => 1), sticks: [one(room)], kerfMm: 0 };
    expect(cutStrips(question)).toMatchObject({ cost: best, isProven: true });
  });

  it('mixes lengths by what they cost', () => {
    // 6 ft at $4 and 8 ft at $5: 5 ft and 3 ft go on one of 8 ft, 6 ft on one of 6 ft.
    const question = {
      lengthsMm: [5, 3, 6],
      demand: [1, 1, 1],
      sticks: [one(6, 400), one(8, 500)],
      kerfMm: 0,
    };
    expect(cutStrips(question)).toMatchObject({ cost: 900, isProven: true });
  });

  it('takes what is there before it buys', () => {
    const question = {
      lengthsMm: [300, 500],
      demand: [2, 1],
      sticks: [{ lengthMm: 700, cost: 0, limit: 1 }, one(2400, 600)],
      kerfMm: 3,
    };
    const answer = cutStrips(question);
    expect(answer.cost).toBe(600);
    holds(question);
    expect(cutStrips({ ...question, demand: [2, 0] }).cost).toBe(0);
  });

  it('names what is longer than any stick and cuts the rest', () => {
    const answer = cutStrips({ lengthsMm: [3000, 500], demand: [1, 1], sticks: [one(2400)], kerfMm: 3 });
    expect(answer).toMatchObject({ tooLong: [0], cost: 1 });
  });

  it('costs what trying every way finds, for small questions of any kind', () => {
    const small = fc.record({
      lengthsMm: fc.uniqueArray(fc.integer({ min: 10, max: 95 }), { minLength: 1, maxLength: 4 }),
      seed: fc.nat(),
      kerfMm: fc.constantFrom(0, 1, 3),
    });
    fc.assert(
      fc.property(small, ({ lengthsMm, seed, kerfMm }) => {
        const dice = seededRandom(seed);
        const question: StripsQuestion = {
          lengthsMm,
          demand: lengthsMm.map(() => Math.floor(dice() * 3)),
          sticks: [
            one(100, 1 + Math.floor(dice() * 5)),
            one(60, 1 + Math.floor(dice() * 4)),
            { lengthMm: 20 + Math.floor(dice() * 60), cost: 0, limit: Math.floor(dice() * 3) },
          ],
          kerfMm,
        };
        const answer = cutStrips(question);
        holds(question);
        expect(answer.cost).toBe(byTryingAll(question));
        expect(answer.isProven).toBe(true);
      }),
      { numRuns: 300 },
    );
  });
});
