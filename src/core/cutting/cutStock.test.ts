import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boxPart, cutQuestion, shapePart, sheetStock } from '../fixtures/cutQuestions';
import { exactly } from '../kernel/amount';
import { seededRandom } from '../kernel/seededRandom';
import { cutQuickly, cutStock, isBetter } from './cutStock';
import { wasteOf } from './layout';
import type { CutQuestion } from './question';
import { soundPins } from './soundPins';
import { validateLayout } from './validateLayout';

const board = {
  form: 'board',
  widthMm: 88.9,
  lengthMm: null,
  marginMm: 0,
  gapMm: 3.175,
  leastOffcutMm: 200,
  byTheStep: false,
} as const;
const roll = { ...sheetStock, form: 'roll', lengthMm: null, gapMm: 2 } as const;
/** An L of a width and a length, its arms a third as thick. */
const corner = (key: string, size: number) =>
  shapePart(key, size, size, [
    [
      [0, 0],
      [size / 3, 0],
      [size / 3, (2 * size) / 3],
      [size, (2 * size) / 3],
      [size, size],
      [0, size],
    ],
  ]);
/** A square frame with a hole. */
const frame = (key: string, size: number, hole: number) => {
  const edge = (size - hole) / 2;
  const square = (from: number, to: number) =>
    [
      [from, from],
      [to, from],
      [to, to],
      [from, to],
    ] as const;
  return shapePart(key, size, size, [square(0, size), square(edge, edge + hole)]);
};

describe('cutting boxes from sheets', () => {
  it('lays four quarters on one sheet', () => {
    const question = cutQuestion(['a', 'b', 'c', 'd'].map((key) => boxPart(key, 152.4, 152.4)));
    const layout = cutStock(question);
    expect(layout.units).toHaveLength(1);
    expect(layout.purchase.cash).toEqual(exactly(100));
    expect(wasteOf(layout.units)).toBeCloseTo(0, 9);
    expect(layout.isProven).toBe(true);
  });

  it('takes the width of a cut between them, and then they do not fit', () => {
    const parts = ['a', 'b', 'c', 'd'].map((key) => boxPart(key, 152.4, 152.4));
    expect(cutStock(cutQuestion(parts, { stock: { ...sheetStock, gapMm: 1 } })).units).toHaveLength(4);
  });

  it('keeps the direction of a print, and turns what has none', () => {
    const strip = (turn: 'free' | 'fixed') =>
      cutQuestion([boxPart('a', 100, 500, turn)], { stock: { ...sheetStock, widthMm: 600, lengthMm: 200 } });
    expect(cutStock(strip('free')).units[0]?.placed[0]?.turnedDeg).toBe(90);
    expect(cutStock(strip('fixed')).tooLarge).toEqual(['a']);
  });

  it('cuts leftovers of the house first, then its whole sheets, then buys', () => {
    const parts = Array.from({ length: 6 }, (_, n) => boxPart(`p${n}`, 150, 150));
    const question = cutQuestion(parts, {
      offcuts: [{ id: 'rest', widthMm: 150, lengthMm: 160, count: 1 }],
      owned: 1,
    });
    const layout = cutStock(question);
    expect(layout.units.map(({ origin }) => origin.kind)).toEqual(['offcut', 'house', 'bought']);
    expect(layout.ownedUsed).toBe(1);
    expect(layout.purchase.cash.likely).toBe(100);
    expect(validateLayout(question, layout)).toEqual([]);
  });

  it('keeps what is left of a sheet with its size, and nothing narrower than 50 mm', () => {
    const [unit] = cutStock(cutQuestion([boxPart('a', 304.8, 204.8)])).units;
    expect(unit?.leftovers).toEqual([expect.objectContaining({ widthMm: 304.8, lengthMm: expect.closeTo(100, 6) })]);
    expect(cutStock(cutQuestion([boxPart('a', 304.8, 260)])).units[0]?.leftovers).toEqual([]);
  });

  it('leaves a part where the stylist put it', () => {
    const parts = [boxPart('a', 100, 100), boxPart('b', 120, 120), boxPart('c', 140, 90)];
    const pin = { unitKey: 'bought:0', partKey: 'b', nth: 1, xMm: 110, yMm: 95, turnedDeg: 0 } as const;
    const question = cutQuestion(parts, { pins: [pin] });
    const layout = cutStock(question);
    expect(layout.units).toHaveLength(1);
    expect(layout.units[0]?.placed).toContainEqual(expect.objectContaining({ partKey: 'b', xMm: 110, yMm: 95 }));
    expect(validateLayout(question, layout)).toEqual([]);
  });

  it('lays anew what cannot lie where it was put any more', () => {
    const parts = [boxPart('a', 200, 200), boxPart('b', 200, 90, 'fixed')];
    const at = (partKey: string, xMm: number, yMm: number, more = {}) => ({
      unitKey: 'bought:0',
      partKey,
      nth: 1,
      xMm,
      yMm,
      turnedDeg: 0 as const,
      ...more,
    });
    const pins = [
      at('a', 50, 0),
      at('b', 0, 150),
      at('b', 0, 205, { turnedDeg: 90 as const }),
      at('b', 120, 205),
      at('gone', 0, 0),
      at('a', 0, 0, { unitKey: 'offcut:x:0' }),
      at('b', 10, 210, { nth: 2 }),
    ];
    const question = cutQuestion(parts, { pins });
    const layout = cutStock(question);
    expect(validateLayout(question, layout)).toEqual([]);
    expect(layout.units[0]?.placed).toContainEqual(expect.objectContaining({ partKey: 'a', xMm: 50, yMm: 0 }));
  });

  it('leaves what was laid by hand on any stock, and lays nothing twice: sheets, rolls, the bolt, what is always there', () => {
    const stocks = {
      sheets: {},
      rolls: { stock: roll, packs: [{ id: 'roll', size: 2, price: exactly(500) }] },
      bolt: { stock: { ...roll, byTheStep: true }, packs: [{ id: 'step', size: 0.1, price: exactly(100) }] },
      'sheets always there': { owned: Number.POSITIVE_INFINITY },
      'a roll always there': { stock: { ...roll, byTheStep: true }, owned: Number.POSITIVE_INFINITY },
      'leftovers and some sheets': { offcuts: [{ id: 'x', widthMm: 200, lengthMm: 200, count: 2 }], owned: 2 },
    } satisfies Record<string, Partial<CutQuestion>>;
    const sizes = fc.array(fc.tuple(fc.integer({ min: 20, max: 200 }), fc.integer({ min: 20, max: 200 })), {
      minLength: 1,
      maxLength: 12,
    });
    const moves = fc.array(fc.tuple(fc.nat(30), fc.integer({ min: -40, max: 40 }), fc.integer({ min: -40, max: 40 })), {
      minLength: 1,
      maxLength: 6,
    });
    fc.assert(
      fc.property(
        fc.constantFrom(...Object.values(stocks)),
        sizes,
        moves,
        (more: Partial<CutQuestion>, boxes, moved) => {
          const question = cutQuestion(
            boxes.map(([w, l], n) => boxPart(`p${n}`, w, l)),
            more,
          );
          const first = cutStock(question);
          const placed = first.units.flatMap((unit) => unit.placed.map((place) => ({ unit, place })));
          const pins = moved.flatMap(([n, dx, dy]) => {
            const at = placed[n % Math.max(1, placed.length)];
            if (!at) return [];
            const { partKey, nth, turnedDeg, xMm, yMm } = at.place;
            return [
              { unitKey: at.unit.key, partKey, nth, turnedDeg, xMm: Math.max(0, xMm + dx), yMm: Math.max(0, yMm + dy) },
            ];
          });
          const asked = { ...question, pins };
          for (const layout of [cutStock(asked), cutQuickly(asked)]) {
            expect(validateLayout(asked, layout)).toEqual([]);
            for (const { unitKey, ...pin } of soundPins(asked))
              expect(layout.units.find(({ key }) => key === unitKey)?.placed).toContainEqual(
                expect.objectContaining(pin),
              );
          }
        },
      ),
      { numRuns: 120 },
    );
  });

  it('names what is larger than any sheet and lays the rest', () => {
    const layout = cutStock(cutQuestion([boxPart('door', 500, 900), boxPart('front', 100, 100)]));
    expect(layout.tooLarge).toEqual(['door']);
    expect(layout.units).toHaveLength(1);
  });

  it('cuts nothing from nothing', () => {
    expect(cutStock(cutQuestion([]))).toMatchObject({ units: [], tooLarge: [], ownedUsed: 0 });
  });

  it('buys the packs that the sheets come in', () => {
    const parts = Array.from({ length: 5 }, (_, n) => boxPart(`p${n}`, 300, 300));
    const packs = [
      { id: 'single', size: 1, price: exactly(150) },
      { id: 'pack', size: 20, price: exactly(400) },
    ];
    expect(cutStock(cutQuestion(parts, { packs })).purchase.packs).toEqual([
      expect.objectContaining({ id: 'pack', count: 1 }),
    ]);
  });
});

describe('cutting along a roll', () => {
  it('buys by the step what the parts take of the length', () => {
    const parts = [boxPart('a', 304.8, 700, 'fixed'), boxPart('b', 304.8, 700, 'fixed')];
    const question = cutQuestion(parts, {
      stock: { ...roll, byTheStep: true, gapMm: 0 },
      packs: [{ id: 'm', size: 0.1, price: exactly(100) }],
    });
    const layout = cutStock(question);
    expect(layout.purchase.cash.likely).toBe(1400);
    expect(layout.units).toHaveLength(1);
  });

  it('never cuts a part across two rolls', () => {
    // 2.4 m of parts of 0.8 m: a roll of 1.5 m holds one of them, so two rolls of 3 m come cheaper.
    const parts = Array.from({ length: 3 }, (_, n) => boxPart(`p${n}`, 304.8, 800, 'fixed'));
    const question = cutQuestion(parts, {
      stock: roll,
      packs: [
        { id: 'short', size: 1.5, price: exactly(500) },
        { id: 'long', size: 3, price: exactly(1200) },
      ],
    });
    const layout = cutStock(question);
    expect(layout.tooLarge).toEqual([]);
    expect(layout.purchase.packs).toEqual([expect.objectContaining({ id: 'long', count: 1 })]);
    expect(validateLayout(question, layout)).toEqual([]);
  });

  it('takes from the roll in the house only the length that it needs', () => {
    const question = cutQuestion([boxPart('a', 200, 350, 'fixed')], { stock: roll, owned: 2 });
    const layout = cutStock(question);
    expect(layout.ownedUsed).toBeCloseTo(0.35, 9);
    expect(layout.purchase.packs).toEqual([]);
  });
});

describe('cutting boards', () => {
  it('cuts a floating shelf of 36 in from what is in the house and one board', () => {
    const parts = [boxPart('top', 88.9, 914.4), boxPart('bottom', 88.9, 914.4), boxPart('front', 88.9, 914.4)];
    const question = cutQuestion(parts, {
      stock: board,
      offcuts: [{ id: 'rest', widthMm: 88.9, lengthMm: 1000, count: 1 }],
      packs: [
        { id: 'six', size: 1.8288, price: exactly(420) },
        { id: 'eight', size: 2.4384, price: exactly(560) },
      ],
    });
    const layout = cutStock(question);
    // Two of 36 in and a kerf are longer than 6 ft, so the eight-foot board it is.
    expect(layout.purchase.packs).toEqual([expect.objectContaining({ id: 'eight', count: 1 })]);
    expect(layout.isProven).toBe(true);
    expect(validateLayout(question, layout)).toEqual([]);
  });
});

describe('cutting true outlines', () => {
  it('lets corners lie in each other', () => {
    const question = cutQuestion(
      Array.from({ length: 4 }, (_, n) => corner(`l${n}`, 120)),
      { stock: { ...sheetStock, widthMm: 340, gapMm: 1 } },
    );
    const layout = cutStock(question);
    expect(validateLayout(question, layout)).toEqual([]);
    const reach = (units: typeof layout.units) =>
      Math.max(...units.flatMap(({ placed }) => placed.map(({ yMm, lengthMm }) => yMm + lengthMm)));
    expect(reach(layout.units)).toBeLessThan(reach(cutQuickly(question).units));
  });

  it('puts small shapes into the holes of large ones', () => {
    const question = cutQuestion([frame('frame', 300, 220), boxPart('small', 200, 200)], {
      stock: { ...sheetStock, gapMm: 2 },
    });
    const layout = cutStock(question);
    expect(layout.units).toHaveLength(1);
    expect(validateLayout(question, layout)).toEqual([]);
  });
});

/** Parts of random sizes, some with a direction, some with a true shape. */
function anyQuestion(seed: number, form: 'sheet' | 'roll' | 'step' | 'board'): CutQuestion {
  const dice = seededRandom(seed);
  const below = (n: number) => Math.floor(dice() * n);
  const parts = Array.from({ length: 1 + below(9) }, (_, n) => {
    const key = `p${n}`;
    if (form !== 'board' && dice() < 0.25) return corner(key, 30 + below(120));
    const turn = (['free', 'half', 'fixed'] as const)[below(3)] ?? 'free';
    return boxPart(key, 20 + below(form === 'board' ? 40 : 300), 20 + below(form === 'board' ? 1500 : 300), turn);
  });
  const stock =
    form === 'board'
      ? board
      : form === 'sheet'
        ? { ...sheetStock, gapMm: below(4), marginMm: below(3) * 3 }
        : { ...roll, marginMm: below(2) * 5, byTheStep: form === 'step' };
  return cutQuestion(parts, {
    stock,
    offcuts: Array.from({ length: below(3) }, (_, n) => ({
      id: `o${n}`,
      widthMm: 60 + below(200),
      lengthMm: 60 + below(400),
      count: 1 + below(2),
    })),
    owned: below(3) * (form === 'sheet' ? 1 : 0.45),
    packs:
      form === 'sheet'
        ? [{ id: 'one', size: 1, price: exactly(100) }]
        : [
            { id: 'one', size: 1, price: exactly(100 + below(50)) },
            { id: 'two', size: 2.5, price: exactly(200 + below(60)) },
          ],
    seed,
  });
}

describe('any layout', () => {
  it('can be cut as it is, the quick one and the searched one, from sheets, rolls and boards', () => {
    fc.assert(
      fc.property(fc.nat(), fc.constantFrom('sheet', 'roll', 'step', 'board'), (seed, form) => {
        const question = anyQuestion(seed, form);
        const quick = cutQuickly(question);
        expect(validateLayout(question, quick)).toEqual([]);
        const layout = cutStock(question);
        expect(validateLayout(question, layout)).toEqual([]);
        expect(isBetter(quick, layout)).toBe(false);
        expect(cutStock(question)).toEqual(layout);
      }),
      { numRuns: 60 },
    );
    // Sixty questions, each laid out three times: half a minute on a busy machine.
  }, 180_000);

  it('needs no more sheets than trying every order, for a handful of boxes', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 5, max: 20 }), fc.integer({ min: 5, max: 20 })), {
          minLength: 2,
          maxLength: 5,
        }),
        (sizes) => {
          const parts = sizes.map(([width, length], n) => boxPart(`p${n}`, width, length, 'fixed'));
          const question = cutQuestion(parts, {
            stock: { ...sheetStock, widthMm: 20, lengthMm: 20, leastOffcutMm: 5 },
          });
          expect(cutStock(question).units.length).toBe(fewestByTrying(sizes, 20));
        },
      ),
      // Two that sit best together on one sheet, and leave no room for the third on the next.
      {
        numRuns: 60,
        examples: [
          [
            [
              [20, 6],
              [5, 8],
              [20, 7],
              [16, 13],
            ],
          ],
        ],
      },
    );
  });
});

/** The fewest squares that boxes fit on, by trying every assignment and every corner to put them in. */
function fewestByTrying(sizes: readonly (readonly [number, number])[], side: number): number {
  type Put = { x: number; y: number; w: number; l: number };
  const fits = (boxes: readonly (readonly [number, number])[]): boolean => {
    const visit = (left: readonly number[], put: readonly Put[]): boolean => {
      if (left.length === 0) return true;
      const xs = [0, ...put.map(({ x, w }) => x + w)];
      const ys = [0, ...put.map(({ y, l }) => y + l)];
      return left.some((n) => {
        const [w, l] = boxes[n] ?? [0, 0];
        return xs.some((x) =>
          ys.some(
            (y) =>
              x + w <= side &&
              y + l <= side &&
              put.every(
                (other) => x >= other.x + other.w || other.x >= x + w || y >= other.y + other.l || other.y >= y + l,
              ) &&
              visit(
                left.filter((m) => m !== n),
                [...put, { x, y, w, l }],
              ),
          ),
        );
      });
    };
    return visit(
      boxes.map((_, n) => n),
      [],
    );
  };
  let best = sizes.length;
  const groups: (readonly [number, number])[][] = [];
  const assign = (n: number): void => {
    if (groups.length >= best) return;
    const size = sizes[n];
    if (!size) {
      best = groups.length;
      return;
    }
    for (const group of [...groups]) {
      group.push(size);
      if (fits(group)) assign(n + 1);
      group.pop();
    }
    groups.push([size]);
    assign(n + 1);
    groups.pop();
  };
  assign(0);
  return best;
}
