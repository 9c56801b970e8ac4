import { describe, expect, it } from 'vitest';
import { breachesOf } from '../acts/invariants';
import { AS_OF, card, fill, find, option, pack, project, recipe, rows, slot, supply } from '../fixtures/projectRows';
import { stated } from '../kernel/price';
import type { PieceRow } from '../model/rows';
import { unknownPiece } from '../sourcing/unknownPiece';
import { sentenceFor } from '../words/sentences';
import { budgetShares } from './budgetShares';
import { ASK_AGAIN_AFTER_DAYS, canGauge, wantsLook } from './canGauge';
import { canShares } from './canShares';
import { computePlan } from './computePlan';
import { ownedShare } from './ownedShare';
import { starOf } from './starOf';
import { findFromPiece } from './stashPieces';

const locale = { units: 'us', currency: 'USD', today: '2026-06-01' } as const;
const piece = (name: string, change: Partial<PieceRow> = {}): PieceRow => ({
  ...unknownPiece(`piece ${name}`, name, locale),
  ...change,
});
/** A slot filled by a piece of the house. */
function filled(of: PieceRow, change: { quantity?: number; count?: number } = {}) {
  const own = findFromPiece(`find ${of.name}`, of);
  return rows({
    slots: [slot('s', { quantity: change.quantity ?? 1 })],
    finds: [own],
    options: [option('o', 's', 'own', { parts: [{ findId: own.id, offerId: null, pieces: 1 }] })],
    fills: [fill('s', 'o', change.count ?? 1)],
    pieces: [of],
  });
}

describe('the gauge of a can', () => {
  const paint = supply('p', 'chalk', 'teal', 'matt', { stash: { state: 'about', amount: 473 }, containerSize: 946 });

  it('says how full it is and what it covers in two coats: figures.md 9.82 m²/L, 8 % loss', () => {
    const gauge = canGauge(paint, '2026-06-01');
    expect(gauge.share).toBe(0.5);
    // 0.473 L × 9.82 m²/L ÷ (2 coats × 1.08).
    expect(gauge.coversM2).toBeCloseTo((0.473 * 9.82) / (2 * 1.08), 6);
    expect(gauge.covers.map((entry) => entry.templateId)).toContain('pictureFrame');
    for (const entry of gauge.covers) expect(entry.times).toBeGreaterThan(0);
  });

  it('keeps a year after opening (chalk-type, figures.md 1b: 1 to 3 years), or until the date that was noted', () => {
    const opened = canGauge({ ...paint, openedOn: '2025-08-31' }, '2026-06-01');
    expect(opened).toMatchObject({ keepsUntil: '2026-08-31', estimated: true, daysLeft: 91 });
    expect(canGauge({ ...paint, openedOn: '2024-02-29' }, '2026-06-01').keepsUntil).toBe('2025-02-28');
    const noted = canGauge({ ...paint, openedOn: '2025-08-31', keepsUntil: '2026-05-30' }, '2026-06-01');
    expect(noted).toMatchObject({ keepsUntil: '2026-05-30', estimated: false, daysLeft: -2 });
    expect(canGauge(paint, '2026-06-01').keepsUntil).toBeNull();
  });

  it('of what is no coating covers nothing, and of an unknown can has no level', () => {
    const ribbon = supply('r', 'ribbon', null, null, { stash: { state: 'exact', amount: 4 } });
    expect(canGauge(ribbon, '2026-06-01')).toMatchObject({ share: null, coversM2: null, covers: [] });
  });

  it('asks again after three months, and never about what is used up', () => {
    const day = (days: number) => new Date(Date.UTC(2026, 5, 1) - days * 86_400_000).toISOString().slice(0, 10);
    const seen = (days: number) => wantsLook({ ...paint, checkedOn: day(days) }, '2026-06-01');
    expect([seen(0), seen(ASK_AGAIN_AFTER_DAYS), seen(ASK_AGAIN_AFTER_DAYS + 1)]).toEqual([false, false, true]);
    expect(wantsLook(paint, '2026-06-01')).toBe(true);
    expect(wantsLook({ ...paint, stash: { state: 'none', amount: 0 } }, '2026-06-01')).toBe(false);
  });
});

describe('a slot filled from the house', () => {
  it('is starred by the name of its piece, and needs no share of the budget', () => {
    const given = filled(piece('Storm lantern'));
    const both = { ...given, slots: [...given.slots, slot('other')] };
    expect(starOf(both, both.slots[0] as never)).toBe('Storm lantern');
    expect(starOf(both, both.slots[1] as never)).toBeNull();
    expect(budgetShares(both).map((share) => share.slotId)).toEqual(['other']);
  });

  it('is not starred while part of it is open', () => {
    const given = filled(piece('Jar', { count: 3 }), { quantity: 3, count: 2 });
    expect(starOf(given, given.slots[0] as never)).toBeNull();
    expect(computePlan(given, AS_OF).slots[0]).toMatchObject({ filled: 2, open: 1 });
  });

  it('costs nothing, and counts for the owned share by number and by value', () => {
    const ours = filled(piece('Lantern', { value: 2000, currency: 'USD' }));
    const found = find('f', 3000);
    const given = {
      ...ours,
      slots: [...ours.slots, slot('t')],
      finds: [...ours.finds, found],
      options: [...ours.options, option('p', 't', 'asFound', { parts: [{ findId: 'f', offerId: null, pieces: 1 }] })],
      fills: [...ours.fills, fill('t', 'p')],
    };
    const plan = computePlan(given, AS_OF);
    expect(plan.purse.money.planned.likely).toBe(3000);
    // One of two things; 20.00 of 20.00 + 30.00.
    expect(ownedShare(plan)).toEqual({ filled: 2, fromHouse: 1, value: 5000, fromHouseValue: 2000, unvalued: 0 });
    const unknown = filled(piece('Lantern'));
    expect(ownedShare(computePlan(unknown, AS_OF))).toMatchObject({ fromHouse: 1, value: 0, unvalued: 1 });
  });
});

describe('a piece that stands somewhere', () => {
  const codesOf = (of: PieceRow, change: Partial<ReturnType<typeof filled>> = {}) =>
    computePlan({ ...filled(of), ...change }, AS_OF)
      .option('o')
      ?.findings.map(({ code }) => code);
  it('leaves its place empty when it is used elsewhere, and not when it stays', () => {
    const vase = piece('Vase', { standsAt: 'Hall shelf' });
    expect(codesOf(vase)).toContain('house.leavesPlace');
    expect(codesOf(piece('Vase'))).not.toContain('house.leavesPlace');
    const spots = filled(vase).spots.map((spot) => ({ ...spot, name: 'hall shelf ' }));
    expect(codesOf(vase, { spots })).not.toContain('house.leavesPlace');
  });
});

describe('a borrowed piece', () => {
  const bell = piece('Bell', { borrowedFrom: 'the harbor', backBy: '2026-07-10' });
  const own = findFromPiece('f', bell);
  const given = (change: Partial<PieceRow>) =>
    rows({
      project: project({ revealDate: '2026-06-20', standsUntil: '2026-07-31' }),
      slots: [slot('s')],
      finds: [own],
      pieces: [{ ...bell, ...change }],
      recipes: [recipe('r', own, 'wallAcrylic', 'teal')],
      colorCards: [card('teal', 'Teal', '#1f5a5e')],
      options: [
        option('plain', 's', 'own', { parts: [{ findId: 'f', offerId: null, pieces: 1 }] }),
        option('painted', 's', 'makeover', { parts: [{ findId: 'f', offerId: null, pieces: 1 }], recipeId: 'r' }),
      ],
    });
  const codes = (plan: ReturnType<typeof computePlan>, id: string) =>
    plan.slots[0]?.options
      .find((entry) => entry.option.id === id)
      ?.findings.map((finding) => finding.code)
      .filter((code) => code.startsWith('house.'));

  it('is not altered before its owner was asked, and may be used as it is', () => {
    const plan = computePlan(given({}), AS_OF);
    expect(codes(plan, 'painted')).toEqual(['house.borrowed', 'house.goesBack']);
    expect(plan.slots[0]?.options.map((entry) => [entry.option.id, entry.refused])).toEqual([
      ['plain', false],
      ['painted', true],
    ]);
    // The answer counts at once, also in a plan that takes over from the one before.
    const after = computePlan(given({ mayAlter: true }), AS_OF, plan);
    expect(codes(after, 'painted')).toEqual(['house.goesBack']);
  });

  it('is warned of when it goes back before the look comes down', () => {
    expect(codes(computePlan(given({ backBy: '2026-08-01' }), AS_OF), 'plain')).toEqual([]);
    expect(codes(computePlan(given({}), AS_OF), 'plain')).toEqual(['house.goesBack']);
  });
});

describe('a makeover that is done', () => {
  it('buys nothing more and takes no more hours', () => {
    const stool = find('f', 1000);
    const given = rows({
      slots: [slot('s')],
      finds: [stool],
      colorCards: [card('teal', 'Teal', '#1f5a5e')],
      recipes: [recipe('r', stool, 'wallAcrylic', 'teal')],
      options: [option('o', 's', 'makeover', { parts: [{ findId: 'f', offerId: null, pieces: 1 }], recipeId: 'r' })],
      fills: [fill('s', 'o')],
    });
    const before = computePlan(given, AS_OF);
    expect(before.supplies.length).toBeGreaterThan(0);
    const done = { ...given, recipes: given.recipes.map((row) => ({ ...row, doneOn: '2026-05-30' })) };
    const after = computePlan(done, AS_OF, before);
    expect(after.supplies).toEqual([]);
    expect(after.purse.hands.planned.likely).toBe(0);
    expect(after.purse.money.planned.likely).toBe(1000);
  });
});

describe('the price book', () => {
  it('in another currency belongs to other projects', () => {
    const paint = supply('p', 'wallAcrylic', 'teal', 'matt');
    const book = (currency: string) =>
      computePlan(rows({ supplies: [paint], packs: [{ ...pack('k', 'p', 946, 1234), currency }] }), AS_OF).model.supply(
        'wallAcrylic|teal|matt',
      );
    expect(book('USD')).toMatchObject({ isEstimated: false });
    expect(book('')).toMatchObject({ isEstimated: false });
    expect(book('EUR').isEstimated).toBe(true);
  });

  it('gives a tool its price, and one that is worn out is bought anew', () => {
    const note = {
      id: 'n',
      version: 1,
      subject: 'tool' as const,
      subjectId: 'brush',
      name: 'Brush',
      price: stated(777),
      currency: 'USD',
      source: '',
      seenOn: '',
    };
    const tool = { id: 't', version: 1, toolId: 'brush', owned: true, wear: 'good' as const };
    const good = computePlan(rows({ tools: [tool], priceNotes: [note] }), AS_OF).model;
    expect(good.tool('brush').isOwned).toBe(true);
    expect(good.tool('brush').price.likely).toBe(777);
    const worn = computePlan(rows({ tools: [{ ...tool, wear: 'replace' }] }), AS_OF).model;
    expect(worn.tool('brush').isOwned).toBe(false);
  });
});

describe('pieces that nobody counted', () => {
  const shells = piece('Bag of shells', { count: 2, counted: false });
  const findings = (of: PieceRow, quantity: number, count: number) => {
    const plan = computePlan(filled(of, { quantity, count }), AS_OF);
    const way = plan.slots[0]?.options[0];
    return { codes: way?.findings.map(({ code }) => code) ?? [], covers: way?.count };
  };

  it('may fill a slot as far as it asks, and say that they want counting', () => {
    const many = findings(shells, 8, 8);
    expect(many.codes).toContain('option.notCounted');
    expect(many.codes).not.toContain('option.coversPart');
    expect(many.covers).toBe(8);
    expect(breachesOf(filled(shells, { quantity: 8, count: 8 }))).toEqual([]);
    // Two are there for certain.
    expect(findings(shells, 2, 2).codes).not.toContain('option.notCounted');
  });

  it('once counted cover what there is and no more', () => {
    const counted = { ...shells, counted: true };
    expect(findings(counted, 8, 2).codes).toContain('option.coversPart');
    expect(breachesOf(filled(counted, { quantity: 8, count: 8 })).map(({ value }) => value)).toEqual([8]);
  });
});

describe('what stays fresh for some days only', () => {
  const dated = (revealDate: string | null, standsUntil: string | null, days: number | null) => {
    const given = filled(piece('Tulips', { freshDays: days }));
    const plan = computePlan({ ...given, project: { ...given.project, revealDate, standsUntil } }, AS_OF);
    return plan.slots[0]?.options[0]?.findings.filter(({ code }) => /wilts|freshFrom/.test(code)) ?? [];
  };

  it('is cut as late as the day before, as early as it lasts through the look', () => {
    // A week from the 9th is the 9th to the 15th.
    expect(dated('2026-06-12', '2026-06-15', 7)[0]).toMatchObject({
      code: 'house.freshFrom',
      figures: { from: '2026-06-09', until: '2026-06-11' },
    });
    expect(dated('2026-06-12', null, 7)[0]?.figures).toMatchObject({ from: '2026-06-06', until: '2026-06-11' });
  });

  it('wants fresh ones or a stand-in where the look stands longer; at the very edge it does not', () => {
    // Cut on the 11th, six days are the 11th to the 16th.
    expect(dated('2026-06-12', '2026-06-16', 6)[0]?.code).toBe('house.freshFrom');
    const wilts = dated('2026-06-12', '2026-06-17', 6)[0];
    expect(wilts).toMatchObject({ code: 'house.wilts', severity: 'warn', figures: { stands: 6, from: '2026-06-11' } });
    expect(wilts && sentenceFor(wilts, { units: 'us', currency: 'USD' })).toContain('stays fresh about 6 days');
    const lasting = { ...wilts, figures: { ...wilts?.figures, standIn: 'faux tulips' } } as NonNullable<typeof wilts>;
    expect(sentenceFor(lasting, { units: 'us', currency: 'USD' })).toContain('afterwards put there: faux tulips');
  });

  it('says nothing of what lasts, nor while no day is set', () => {
    expect(dated('2026-06-12', '2026-08-15', null)).toEqual([]);
    expect(dated(null, null, 7)).toEqual([]);
  });
});

describe('what a can cost, shared over what it served', () => {
  const can = supply('p', 'chalk', 'teal', 'matt', {
    stash: { state: 'about', amount: 300 },
    unitCostMillionths: 2_500_000,
  });
  const use = (id: string, what: string, amount: number, onDate: string, supplyId = 'p') => ({
    id,
    version: 1,
    supplyId,
    what,
    amount,
    onDate,
    cut: null,
  });
  const uses = [
    use('1', 'Attic: nightstand', 200, '2026-05-01'),
    use('2', 'Hall: bench', 400, '2026-05-20'),
    use('3', 'Attic: nightstand', 46, '2026-05-04'),
    use('4', 'Hall: bench', 900, '2026-05-21', 'another can'),
  ];

  it('is each job’s amount at what a unit cost, the latest first; with what is left it comes to the whole can', () => {
    // 946 mL at 2.5 cents: $23.65.
    const { served, left } = canShares(can, uses);
    expect(served).toEqual([
      { what: 'Hall: bench', amount: 400, cost: 1000, lastOn: '2026-05-20' },
      { what: 'Attic: nightstand', amount: 246, cost: 615, lastOn: '2026-05-04' },
    ]);
    expect(left).toEqual({ amount: 300, cost: 750 });
    expect([...served, left].reduce((sum, { cost }) => sum + (cost ?? 0), 0)).toBe(Math.round(946 * 2.5));
  });

  it('is not told where nobody knows it; what is always there has no end to value', () => {
    expect(canShares({ ...can, unitCostMillionths: null }, uses).served[0]?.cost).toBeNull();
    expect(canShares({ ...can, stash: { state: 'always', amount: 0 } }, uses).left.cost).toBeNull();
    expect(canShares(can, []).served).toEqual([]);
  });
});
