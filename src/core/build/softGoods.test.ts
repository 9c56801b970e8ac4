import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { consumables } from '../catalog/consumables';
import { GLUE_STICK_ML } from '../catalog/consumables/greenery.data';
import { plantRows } from '../catalog/consumables/plants.data';
import { asUsual, type OwnStock, stockFacts } from '../catalog/stockFacts';
import { cutChecked } from '../cutting/checked';
import { bagOf } from '../cutting/part';
import { exactly } from '../kernel/amount';
import { MM_PER_INCH } from '../kernel/units';
import { boxOf, outlineAreaMm2 } from '../surface/outline';
import { builds } from '.';
import { type BuildPlan, type BuildValues, completeBuild } from './build';
import { panels, SEAM_MM } from './cloth';
import { widthsFor } from './curtain';
import { matWindow } from './framedPrint';
import { garlandMm } from './garland';
import { flameRemarks } from './hurricane';
import { MOSS_GRAMS_PER_M2, mossedM2 } from './mossForm';
import { ribbonMm } from './ribbonBow';
import { shapeOutline } from './stuffedShape';

const inch = (inches: number) => inches * MM_PER_INCH;
function planOf(
  id: string,
  set: BuildValues,
  kinds: Record<string, string> = {},
  stock: Partial<OwnStock> = {},
): BuildPlan {
  const build = builds.get(id);
  return build.plan({
    values: completeBuild(build, set),
    material: (name) => {
      const kind = consumables.get(kinds[name] ?? build.materials.find((entry) => entry.id === name)?.kindIds[0] ?? '');
      return { kind, stock: kind.cut ? stockFacts(kind.cut, { ...asUsual, ...stock }) : null };
    },
  });
}
const need = (plan: BuildPlan, kindId: string) =>
  plan.needs.filter((entry) => entry.kindId === kindId).reduce((sum, { amount }) => sum + amount, 0);
const codes = (plan: BuildPlan) => plan.remarks.map(({ code }) => code);

describe('hems', () => {
  // Cut = finished + 4 h folded twice, + 2 h folded once (handbooks of sewing, from memory).
  it.each([
    [0, 20, 'twice'],
    [1, 19, 'once'],
    [2, 18, 'not at all'],
  ] as const)('a napkin of 18 in with a hem of 1/2 in, kind %d, is cut %d in: folded %s', (hemKind, cutIn, _folded) => {
    const [napkin] = planOf('napkin', { hemKind, shrinkPercent: 0 }).parts;
    expect(napkin?.widthMm).toBeCloseTo(inch(cutIn), 6);
    expect(napkin?.lengthMm).toBeCloseTo(inch(cutIn), 6);
  });

  it('what shrinks by 5 % along its length is cut so much longer that it ends as long as it should', () => {
    const [napkin] = planOf('napkin', { shrinkPercent: 5 }).parts;
    expect(napkin?.widthMm).toBeCloseTo(inch(20), 6);
    expect((napkin?.lengthMm ?? 0) * 0.95).toBeCloseTo(inch(20), 6);
    // Only along its length: the napkin must not lie across.
    expect(napkin?.turn).toBe('half');
  });

  it('two squares of 20 in come from a yard of 54 in, six from a yard and two thirds of 60 in (58 in of use)', () => {
    const squares = (widthMm: number, lengthMm: number, count: number) =>
      cutChecked({
        stock: stockFacts(
          { ...(consumables.get('fabric').cut as NonNullable<(typeof consumables.all)[0]['cut']>), widthMm },
          null,
        ),
        parts: bagOf(
          [{ key: 'a', name: 'Square', widthMm: inch(20), lengthMm: inch(20), turn: 'free', outline: null }],
          count,
        ),
        offcuts: [],
        owned: 0,
        packs: [{ id: 'length', size: lengthMm / 1000, price: exactly(1000) }],
        pins: [],
        seed: 1,
      });
    const bought = (layout: ReturnType<typeof squares>) =>
      layout.purchase.packs.reduce((sum, { count }) => sum + count, 0);
    expect(bought(squares(inch(52), inch(36), 2))).toBe(1);
    expect(bought(squares(inch(52), inch(36), 3))).toBe(2);
    expect(bought(squares(inch(58), inch(60), 6))).toBe(1);
    expect(bought(squares(inch(58), inch(60), 7))).toBe(2);
  });
});

describe('a runner', () => {
  it('is as long as the table and both its drops', () => {
    const plan = planOf('tableRunner', { lengthMm: inch(72), dropMm: inch(8), depthMm: inch(14), shrinkPercent: 0 });
    expect(plan.parts).toHaveLength(1);
    expect(plan.parts[0]?.lengthMm).toBeCloseTo(inch(72 + 16 + 2), 6);
    expect(plan.parts[0]?.widthMm).toBeCloseTo(inch(14 + 2), 6);
  });
});

describe('panels of cloth', () => {
  it('make up the width with their seams taken off, none wider than the bolt, the same on both sides', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 200, max: 6000, noNaN: true }),
        fc.double({ min: 700, max: 2700, noNaN: true }),
        (wide, bolt) => {
          const pieces = panels('cloth', 'Cloth', wide, 1000, bolt);
          const count = pieces.reduce((sum, piece) => sum + piece.count, 0);
          const sum = pieces.reduce((total, piece) => total + piece.widthMm * piece.count, 0);
          for (const piece of pieces) expect(piece.widthMm).toBeLessThanOrEqual(bolt + 2 * SEAM_MM + 1e-6);
          expect(sum - 2 * SEAM_MM * (count - 1)).toBeCloseTo(wide, 4);
          if (wide <= bolt) expect(count).toBe(1);
          // No seam down the middle: one width, or an odd number of them.
          else expect(count).toBeGreaterThanOrEqual(2);
        },
      ),
    );
  });

  it('of a round cloth follow its diameter: the table and two drops', () => {
    const plan = planOf(
      'tableCloth',
      { shape: 1, widthMm: inch(48), dropMm: inch(10), shrinkPercent: 0 },
      { cloth: 'fabricBack' },
    );
    expect(plan.parts).toHaveLength(1);
    expect(plan.parts[0]?.widthMm).toBeCloseTo(inch(48 + 20 + 2), 6);
    expect(plan.parts[0]?.lengthMm).toBeCloseTo(inch(70), 6);
    expect(need(plan, 'thread')).toBeCloseTo((2.8 * Math.PI * inch(68)) / 1000, 6);
  });
});

describe('things for each seat', () => {
  it.each(['napkin', 'seatCover'])('%s: so many a seat, and the spares rounded up over all seats', (id) => {
    const cutFor = (seats: number, set: BuildValues) => {
      const [part] = planOf(id, set).parts;
      return Math.ceil(seats * (part?.count ?? 0) - 1e-6);
    };
    expect(cutFor(8, {})).toBe(8);
    expect(cutFor(8, { sparePercent: 10 })).toBe(9);
    expect(cutFor(8, { perSeat: 2, sparePercent: 25 })).toBe(20);
  });
  it('take work and thread for their spares too', () => {
    const [plain, more] = [planOf('napkin', {}), planOf('napkin', { perSeat: 2, sparePercent: 50 })];
    expect(need(more, 'thread')).toBeCloseTo(3 * need(plain, 'thread'), 9);
    for (const [n, { units }] of plain.works.entries()) expect(more.works[n]?.units).toBeCloseTo(3 * units, 9);
  });
});

describe('something wider than its cloth', () => {
  it('is of several pieces, and the cloth that holds it in one is named; of that cloth it is one', () => {
    const cloth = planOf('tableCloth', { widthMm: inch(36), dropMm: inch(8) });
    expect(cloth.remarks).toEqual([{ code: 'build.seams', pieces: 3, wider: 'Wide backing, 108 in' }]);
    expect(planOf('tableCloth', { widthMm: inch(36), dropMm: inch(8) }, { cloth: 'fabricBack' }).remarks).toEqual([]);
    const round = planOf('tableCloth', { shape: 1, widthMm: inch(96), dropMm: inch(8) });
    expect(round.remarks).toMatchObject([{ code: 'build.seams', wider: '' }]);
  });
});

describe('curtains', () => {
  it('take so many widths as the fullness asks for, a seam lost at each join', () => {
    expect(widthsFor(inch(52), inch(52))).toBe(1);
    expect(widthsFor(inch(53), inch(52))).toBe(2);
    expect(widthsFor(inch(103), inch(52))).toBe(2);
    expect(widthsFor(inch(104), inch(52))).toBe(3);
  });

  it('of a pattern are cut by its repeats: the drop rule', () => {
    // H 2440 with trim 100 and a repeat of 530 gives drops of 2650 (common practice; the arithmetic is checked).
    const plain = planOf('curtain', { heightMm: 2000, shrinkPercent: 0 }).parts[0];
    const printed = planOf('curtain', { heightMm: 2000, shrinkPercent: 0 }, {}, { repeatMm: 530 }).parts[0];
    expect(plain?.lengthMm).toBeCloseTo(2000 + inch(10), 6);
    expect(printed?.lengthMm).toBeCloseTo(530 * Math.ceil((2000 + 254) / 530), 6);
    expect(printed?.turn).toBe('fixed');
  });
});

describe('a cushion cover', () => {
  it('has two backs that lie over each other', () => {
    const plan = planOf('cushionCover', { widthMm: inch(18), heightMm: inch(18), shrinkPercent: 0 });
    const [front, back] = plan.parts;
    expect([front?.widthMm, front?.lengthMm].map((mm) => (mm ?? 0) / MM_PER_INCH)).toEqual([
      expect.closeTo(19, 6),
      expect.closeTo(19, 6),
    ]);
    // Seam at one end, a hem folded twice at the other: what is left of both covers the front and four inches more.
    expect(2 * ((back?.lengthMm ?? 0) - SEAM_MM - 2 * SEAM_MM)).toBeCloseTo(inch(18 + 4), 6);
  });
});

describe('a stuffed shape', () => {
  it('fills its box, and is cut a seam larger on every side', () => {
    for (const shape of [0, 1, 2, 3]) {
      const box = boxOf(shapeOutline(shape, 300, 200));
      expect([box?.left, box?.top, box?.right, box?.bottom].map((mm) => Math.round(mm ?? -1))).toEqual([
        0, 0, 300, 200,
      ]);
      const [piece] = planOf('stuffedShape', { shape, widthMm: 300, heightMm: 200 }).parts;
      // A rounded offset grows the box by the seam on each side; at a sharp point it grows by the same.
      expect(piece?.widthMm).toBeCloseTo(300 + 2 * SEAM_MM, 0);
      expect(piece?.lengthMm).toBeCloseTo(200 + 2 * SEAM_MM, 0);
      expect(piece?.count).toBe(2);
    }
  });
  it('of a circle has a circle’s area', () => {
    expect(outlineAreaMm2(shapeOutline(0, 300, 300))).toBeCloseTo(Math.PI * 150 * 150, -3);
  });
});

describe('strips and bows', () => {
  it('a bow of two loops of 6 in with tails of 8 takes 43 in of ribbon', () => {
    expect(ribbonMm({ loops: 2, loopMm: inch(6), tailMm: inch(8) })).toBeCloseTo(inch(43), 9);
  });
  it('torn strips are taken wider by what their edges lose', () => {
    const [cut] = planOf('fabricStrips', { widthMm: 40, edge: 0 }).parts;
    const [torn] = planOf('fabricStrips', { widthMm: 40, edge: 1 }).parts;
    expect((torn?.widthMm ?? 0) - (cut?.widthMm ?? 0)).toBeCloseTo(6, 9);
  });
  it('a rag wreath on 40 cm takes a square meter of cloth', () => {
    const [strip] = planOf('ragWreath', { widthMm: 400 }).parts;
    const areaM2 = ((strip?.widthMm ?? 0) * (strip?.lengthMm ?? 0) * (strip?.count ?? 0)) / 1e6;
    expect(areaM2).toBeGreaterThanOrEqual(1);
    expect(areaM2).toBeLessThan(1.01);
  });
});

describe('frames and mats', () => {
  it('the window of a mat covers an eighth of an inch of the print on every side', () => {
    const mat = matWindow({
      openWidthMm: inch(11),
      openHeightMm: inch(14),
      printWidthMm: inch(8),
      printHeightMm: inch(10),
    });
    expect(mat.widthMm / MM_PER_INCH).toBeCloseTo(7.75, 9);
    expect(mat.heightMm / MM_PER_INCH).toBeCloseTo(9.75, 9);
    expect(mat.sideMm / MM_PER_INCH).toBeCloseTo(1.625, 9);
    expect(mat.topMm).toBeCloseTo(mat.bottomMm, 9);
  });
  it('bottom-weighted, its borders and its window still make up the frame', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 50 }), (bottomPercent) => {
        const mat = matWindow({
          openWidthMm: 300,
          openHeightMm: 400,
          printWidthMm: 200,
          printHeightMm: 250,
          bottomPercent,
        });
        expect(mat.topMm + mat.heightMm + mat.bottomMm).toBeCloseTo(400, 9);
        expect(mat.bottomMm / mat.topMm).toBeCloseTo(1 + bottomPercent / 100, 9);
      }),
    );
  });
  it('says what a picture’s pixels are worth, and what its proportions lose', () => {
    const plan = planOf('framedPrint', {
      pixelsWide: 1200,
      pixelsHigh: 1200,
      printWidthMm: inch(8),
      printHeightMm: inch(10),
    });
    // 1200 pixels over 10 in are 120 an inch; 8 of 10 in of its width are kept.
    expect(plan.remarks).toContainEqual({ code: 'build.lowResolution', dpi: 120 });
    expect(plan.remarks).toContainEqual({ code: 'build.crop', percent: 20 });
    expect(codes(planOf('framedPrint', { pixelsWide: 2400, pixelsHigh: 3000 }))).toEqual(['build.matWindow']);
  });
  it('does not print what is larger than its paper, nor cut a mat without a border', () => {
    expect(
      codes(planOf('framedPrint', { printWidthMm: 250, printHeightMm: 300, openWidthMm: 400, openHeightMm: 500 })),
    ).toContain('build.printTooLarge');
    expect(codes(planOf('framedPrint', { openWidthMm: inch(8), openHeightMm: inch(10) }))).toContain('build.tooSmall');
  });
});

describe('greenery', () => {
  it('a garland on a mantel of 60 in with drops of 12 is 84 in straight, 114 in swags', () => {
    const mantel = { lengthMm: inch(60), dropMm: inch(12) };
    expect(garlandMm({ ...mantel, hangs: 0 })).toBeCloseTo(inch(84), 9);
    expect(garlandMm({ ...mantel, hangs: 1 })).toBeCloseTo(inch(114), 9);
  });
  it('an ounce of moss covers 0.4 square feet', () => {
    expect(MOSS_GRAMS_PER_M2 * 0.4 * 0.09290304).toBeCloseTo(28.35, 2);
    expect(mossedM2({ form: 1, widthMm: 300 })).toBeCloseTo(Math.PI * 0.09, 9);
    // A ring closes like a torus: π² (D − d) d (elementary geometry).
    expect(mossedM2({ form: 2, widthMm: 300, heightMm: 50 })).toBeCloseTo(Math.PI ** 2 * 0.25 * 0.05, 9);
  });
  it('a glue stick holds 9.85 mL (elementary geometry), enough for 1.39 m of a bead 3 mm thick', () => {
    expect(GLUE_STICK_ML).toBeCloseTo(9.85, 2);
    expect(GLUE_STICK_ML / ((Math.PI * 0.3 * 0.3) / 4) / 100).toBeCloseTo(1.394, 3);
  });
  it('says of each cut plant how long it lasts, of faux stems nothing', () => {
    for (const { id, plant } of plantRows) {
      const [remark] = planOf('stemWreath', {}, { stems: id }).remarks;
      if ((plant?.dryDays?.usual ?? 999) >= 365) expect(remark).toBeUndefined();
      else expect(remark).toMatchObject({ code: 'build.freshDays', days: Math.floor(plant?.dryDays?.usual ?? 0) });
    }
    expect(codes(planOf('stemWreath', {}))).toEqual([]);
  });
  it('says of what sickens that it does, wherever it is used', () => {
    for (const id of ['stemWreath', 'garland', 'vaseStems'])
      expect(planOf(id, {}, { stems: 'stemHolly' }).traits).toContain('sickens');
    expect(planOf('garland', {}).traits).toEqual(['burns']);
  });
});

describe('a candle in its glass', () => {
  const fits = { glassMm: 150, heightMm: 300, candleMm: 75, candleHighMm: 150, fillerMm: 50 };
  it('has 25 mm beside it and 50 above it, or is refused', () => {
    expect(flameRemarks(fits)).toEqual([]);
    expect(flameRemarks({ ...fits, candleMm: 101 })).toHaveLength(1);
    expect(flameRemarks({ ...fits, candleMm: 100 })).toEqual([]);
    expect(flameRemarks({ ...fits, candleHighMm: 200.5 })).toHaveLength(1);
    expect(flameRemarks({ ...fits, candleHighMm: 200 })).toEqual([]);
  });
  it('stands in no more than a third of filling', () => {
    expect(flameRemarks({ ...fits, fillerMm: 101, candleHighMm: 60 })).toEqual([
      expect.objectContaining({ code: 'build.tooSmall' }),
    ]);
  });
  it('asks for no air where it has no flame', () => {
    expect(codes(planOf('hurricane', { ...fits, candleMm: 140, light: 0 }))).toEqual([]);
    expect(planOf('hurricane', { light: 0 }).traits).toEqual(['buttonCells']);
    expect(planOf('hurricane', { light: 1 }).traits).toEqual(['flame']);
  });
});
