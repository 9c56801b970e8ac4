import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  AS_OF,
  card,
  fill,
  find,
  offer,
  option,
  pack,
  paid,
  pieceIdOf,
  project,
  recipe,
  rows,
  slot,
  supply,
} from '../fixtures/projectRows';
import { exactly } from '../kernel/amount';
import { fromMicro } from '../kernel/micro';
import { stated } from '../kernel/price';
import type { FindRow, ProjectRows } from '../model/rows';
import { sentenceFor } from '../words/sentences';
import { sumsOf } from './added';
import { computePlan, type OptionPlan, type Plan } from './computePlan';
import { DrawTotals } from './drawTotals';
import { beatsYardstick, compareWithYardstick, worthUpTo } from './makeOrBuy';
import { supplyDrawOf } from './model/optionModel';
import { explainOption, optionFigureLabels } from './why/explainOption';
import { explainPurse } from './why/explainPurse';

const optionOf = (plan: Plan, id: string): OptionPlan => {
  const found = plan.slots.flatMap((entry) => entry.options).find((entry) => entry.option.id === id);
  if (!found) throw new Error(`no option ${id}`);
  return found;
};
const part = (findId: string, pieces = 1) => ({ findId, offerId: null, pieces });
const newPart = (offerId: string) => ({ findId: null, offerId, pieces: 1 });

/**
 * Two thrifted nightstands at $12 each, both to be painted from one quart of teal at $24.00 that must be bought.
 * By hand: alone each costs 12 + 24 = 36; with the other chosen each adds only its own 12; together 12 + 12 + 24 = 48.
 */
function twoNightstands(stashMl = 0): ProjectRows {
  const left = find('left', 1200, { materialId: 'veneer', finishId: 'soundOldPaint', sheen: 'matt' });
  const right = find('right', 1200, { materialId: 'veneer', finishId: 'soundOldPaint', sheen: 'matt' });
  const body = { dropped: ['topcoat:waterClear'] };
  return rows({
    slots: [slot('1'), slot('2', { number: 2 })],
    finds: [left, right],
    offers: [offer('new', 8840)],
    recipes: [recipe('paint-left', left, 'chalk', 'teal', body), recipe('paint-right', right, 'chalk', 'teal', body)],
    colorCards: [card('teal', 'Teal', '#2f5d62')],
    supplies: [
      supply(
        'teal-can',
        'chalk',
        'teal',
        'matt',
        stashMl > 0 ? { stash: { state: 'exact', amount: stashMl }, unitCostMillionths: 2_500_000 } : {},
      ),
      supply('paper', 'sandpaper', null, null, { stash: { state: 'exact', amount: 50 }, unitCostMillionths: 0 }),
    ],
    packs: [pack('quart', 'teal-can', 946, 2400)],
    options: [
      option('left-painted', '1', 'makeover', { parts: [part('left')], recipeId: 'paint-left' }),
      option('left-new', '1', 'buyNew', { parts: [newPart('new')] }),
      option('left-found', '1', 'asFound', { parts: [part('left')] }),
      option('right-painted', '2', 'makeover', { parts: [part('right')], recipeId: 'paint-right' }),
    ],
    fills: [fill('1', 'left-painted'), fill('2', 'right-painted')],
  });
}

describe('two nightstands, one can', () => {
  const plan = computePlan(twoNightstands(), AS_OF);
  const left = optionOf(plan, 'left-painted');
  const right = optionOf(plan, 'right-painted');
  it('costs 36.00 alone, adds 12.00 each, 48.00 together', () => {
    expect([left.cashAlone.likely, right.cashAlone.likely]).toEqual([3600, 3600]);
    expect([left.cashAdded.likely, right.cashAdded.likely]).toEqual([1200, 1200]);
    expect(plan.purse.money.planned).toEqual(exactly(4800));
    expect(plan.fullCash).toEqual(exactly(4800));
  });
  it('shows the can once, shared by two, with what is left', () => {
    const line = plan.supplies.find((entry) => entry.key.startsWith('chalk'));
    expect(line).toMatchObject({
      packs: [{ count: 1, size: 946 }],
      cash: exactly(2400),
      optionIds: ['left-painted', 'right-painted'],
    });
    expect((line?.left ?? 0) + (line?.need ?? 0)).toBeCloseTo(946, 6);
  });
  it('shares set-ups: two pieces take less than twice the hours of one', () => {
    expect(plan.purse.hands.planned.likely).toBeLessThan(left.hoursAlone.likely + right.hoursAlone.likely);
    // Added hours leave out the sessions that the other piece has anyway: 2 coats × (15 + 10) min × 1.15.
    expect(left.hoursAlone.likely - left.hoursAdded.likely).toBeCloseTo(2 * 25 * 1.15, 6);
  });
  it('says what switching costs against the present choice', () => {
    expect(optionOf(plan, 'left-new').switching.likely).toBe(8840 - 1200);
    expect(left.switching.likely).toBe(0);
  });
  it('earns (88.40 − 12.00) ÷ the extra time, and is worth the rest of the yardstick', () => {
    const minutes = left.hoursAdded.likely - 40;
    expect(left.comparison).toEqual({
      kind: 'perHour',
      deltaCost: 7640,
      deltaMinutes: minutes,
      perHour: Math.round(7640 / (minutes / 60)),
      bound: 'exact',
    });
    expect(left.worthUpTo).toMatchObject({ kind: 'upTo', till: Math.floor(8840 - (1500 * minutes) / 60 + 1e-6) });
  });
  it('takes owned paint from the stash before it buys, at what it cost', () => {
    const stocked = computePlan(twoNightstands(2000), AS_OF);
    const painted = optionOf(stocked, 'left-painted');
    expect(painted.cashAdded.likely).toBe(1200);
    expect(painted.cashAlone.likely).toBe(1200);
    const need = fromMicro(supplyDrawOf(painted.model, 'chalk|teal|matt', painted.count).amount);
    expect(painted.stashUsed).toBe(Math.round(need * 2.5));
    expect(stocked.supplies.find((entry) => entry.key.startsWith('chalk'))?.cash.likely).toBe(0);
  });
  it('leaves the rest in the roller’s tray once for both, whichever of them is taken away', () => {
    const rolled = (...coats: (number | null)[]) => {
      const start = twoNightstands(4000);
      return rows({
        ...start,
        recipes: start.recipes.map((row, n) => ({
          ...row,
          body: {
            ...row.body,
            layers: row.body.layers.map((layer) => ({ ...layer, techniqueId: 'miniRoller', coats: coats[n] ?? null })),
          },
        })),
      });
    };
    const needOf = (of: ProjectRows) =>
      computePlan(of, AS_OF).supplies.find(({ key }) => key.startsWith('chalk'))?.need ?? 0;
    const drawn = (of: ProjectRows, id: string) => optionOf(computePlan(of, AS_OF), id).model.draws;
    const both = rolled(2, 3);
    const paint = drawn(both, 'left-painted').find(({ key }) => key.startsWith('chalk'));
    // 40 mL stay in the small tray each session; the most sessions are three.
    expect(fromMicro(paint?.once ?? 0)).toBe(2 * 40);
    const painted = (['left-painted', 'right-painted'] as const).map(
      (id) => drawn(both, id).find(({ key }) => key.startsWith('chalk'))?.amount ?? 0,
    );
    expect(needOf(both)).toBeCloseTo(fromMicro((painted[0] ?? 0) + (painted[1] ?? 0)) + 3 * 40, 6);
    // The one with fewer coats adds its paint and no tray; the other adds one tray more than the rest has.
    const plan = computePlan(both, AS_OF);
    const added = (id: string) => {
      const line = optionOf(plan, id).added.lines.find(
        ({ draw }) => draw.kind === 'supply' && draw.key.startsWith('chalk'),
      );
      return fromMicro((line?.after.amount ?? 0) - (line?.before.amount ?? 0));
    };
    expect(added('left-painted')).toBeCloseTo(fromMicro(painted[0] ?? 0), 6);
    expect(added('right-painted')).toBeCloseTo(fromMicro(painted[1] ?? 0) + 40, 6);
    const why = explainOption(plan, optionOf(plan, 'left-painted'), 'cashAdded');
    expect(JSON.stringify(why)).toContain('left in tray and nap');
  });
  it('counts a find once, however many options draw on it', () => {
    const found = optionOf(plan, 'left-found');
    expect(found.cashAdded.likely).toBe(1200);
    expect(found.comparison.kind).toBe('cheaperAndQuicker');
  });
  it('costs nothing more once it is bought, and moves from planned to spent', () => {
    const start = twoNightstands();
    const bought: ProjectRows = rows({
      ...start,
      finds: start.finds.map((row): FindRow => (row.id === 'left' ? { ...row, state: 'bought' } : row)),
      ledger: [paid('l', { kind: 'piece', id: pieceIdOf('left') }, 1200)],
    });
    const after = computePlan(bought, AS_OF);
    expect(optionOf(after, 'left-painted').cashAdded.likely).toBe(0);
    expect(after.purse.money).toMatchObject({ spent: 1200, planned: exactly(3600) });
    expect(after.fullCash).toEqual(exactly(4800));
    expect(optionOf(after, 'left-painted').worthUpTo).toEqual({ kind: 'noPrice' });
  });
});

describe('make or buy', () => {
  const minutes = (likely: number) => ({ low: likely, likely, high: likely });
  const side = (cost: number, time: number) => ({ cost, minutes: minutes(time), atLeast: false });
  // The example that defines the figure: new 88.40 and 0 h 40; found 12.00, stash 9.69, 2 h 35; an hour at 15.00.
  it('earns 34.81 an hour and is worth up to 49.96', () => {
    expect(compareWithYardstick(side(2169, 155), side(8840, 40), false)).toMatchObject({
      kind: 'perHour',
      perHour: 3481,
    });
    expect(worthUpTo(side(2169, 155), 1200, side(8840, 40), 1500)).toBe(4996);
  });
  it('speaks of money only where the time is about the same, and of time where it is saved', () => {
    expect(compareWithYardstick(side(2000, 55), side(8840, 40), false).kind).toBe('sameTime');
    expect(compareWithYardstick(side(2000, 55.01), side(8840, 40), false).kind).toBe('perHour');
    expect(compareWithYardstick(side(2000, 20), side(8840, 40), false).kind).toBe('cheaperAndQuicker');
    expect(compareWithYardstick(side(9000, 20), side(8840, 40), false).kind).toBe('savesTime');
    expect(compareWithYardstick(side(9000, 200), side(8840, 40), false)).toMatchObject({ perHour: -60 });
    expect(compareWithYardstick(side(1, 1), null, false).kind).toBe('noYardstick');
    expect(compareWithYardstick({ ...side(1, 1), atLeast: true }, side(2, 2), false).kind).toBe('unknownPrice');
  });
  it('wins when the saving pays the hours; a free hour costs nothing', () => {
    const comparison = compareWithYardstick(side(5000, 160), side(8000, 40), false);
    expect([beatsYardstick(comparison, 1500), beatsYardstick(comparison, 1501), beatsYardstick(comparison, 0)]).toEqual(
      [true, false, true],
    );
  });
  it('takes the marked offer, else the cheapest new, else the cheapest as found', () => {
    const base = twoNightstands();
    const more = {
      ...base,
      offers: [...base.offers, offer('cheap', 5000)],
      options: [...base.options, option('left-cheap', '1', 'buyNew', { parts: [newPart('cheap')] })],
    };
    expect(computePlan(more, AS_OF).slots[0]?.yardstickId).toBe('left-cheap');
    const marked = {
      ...more,
      options: more.options.map((row) => (row.id === 'left-new' ? { ...row, yardstick: true } : row)),
    };
    expect(computePlan(marked, AS_OF).slots[0]?.yardstickId).toBe('left-new');
    const none = { ...base, options: base.options.filter((row) => row.kind !== 'buyNew') };
    expect(computePlan(none, AS_OF).slots[0]?.yardstickId).toBe('left-found');
  });
  it('says "at least" while a price is unknown and compares nothing with it', () => {
    const base = twoNightstands();
    const plan = computePlan(
      {
        ...base,
        finds: base.finds.map((row) =>
          row.id === 'left' ? { ...row, story: { ...row.story, tag: { state: 'unknown' as const } } } : row,
        ),
      },
      AS_OF,
    );
    const left = optionOf(plan, 'left-painted');
    expect(left.cashAdded.atLeast).toBe(true);
    expect(left.comparison.kind).toBe('unknownPrice');
    expect(left.worthUpTo.kind).toBe('upTo');
    expect(plan.purse.money.free.atLeast).toBe(true);
  });
});

describe('quantities of a slot', () => {
  it('covers what it can, leaves the rest open, and pays a pack once', () => {
    const frames = find('frames', 1100, {
      templateId: 'pictureFrame',
      measures: {},
      story: { ...find('x', 1100).story, pieces: 6 },
      count: 2,
    });
    const base = rows({
      slots: [slot('1', { quantity: 3 })],
      finds: [frames],
      options: [option('found', '1', 'asFound', { parts: [part('frames')] })],
      fills: [fill('1', 'found', 2)],
    });
    const plan = computePlan(base, AS_OF);
    expect(optionOf(plan, 'found')).toMatchObject({ count: 2, capacity: 2, cashAdded: exactly(1100) });
    expect(plan.slots[0]).toMatchObject({ filled: 2, open: 1 });
    expect(optionOf(plan, 'found').findings.map((finding) => finding.code)).toContain('option.coversPart');
  });
  it('assembles every piece that is bought new', () => {
    const plan = computePlan(
      rows({
        slots: [slot('1', { quantity: 2 })],
        offers: [offer('pair', 5000, { pieces: 2 })],
        options: [option('new', '1', 'buyNew', { parts: [newPart('pair')] })],
      }),
      AS_OF,
    );
    expect(optionOf(plan, 'new')).toMatchObject({ count: 2, cashAlone: exactly(5000) });
    expect(optionOf(plan, 'new').hoursAlone.likely).toBe(80);
  });
  it('tells how far a piece leaves the slot’s size', () => {
    const tall = slot('1', { height: { minimumMm: 700, maximumMm: 800 }, width: { minimumMm: null, maximumMm: 400 } });
    const plan = computePlan(
      rows({ slots: [tall], finds: [find('n', 100)], options: [option('o', '1', 'asFound', { parts: [part('n')] })] }),
      AS_OF,
    );
    const said = optionOf(plan, 'o')
      .findings.filter((finding) => finding.code.startsWith('fit'))
      .map((finding) => sentenceFor(finding, { units: 'us', currency: 'USD' }));
    expect(said).toEqual(['1/4 in too wide for the slot', '2 9/16 in too low for the slot']);
  });
  it('refuses an option whose piece is not remade, and leaves it out of the yardstick', () => {
    const plan = computePlan(
      rows({
        slots: [slot('1')],
        finds: [find('cot', 100, { kind: 'dropSideCot' })],
        options: [option('o', '1', 'asFound', { parts: [part('cot')] })],
      }),
      AS_OF,
    );
    expect(optionOf(plan, 'o').refused).toBe(true);
    expect(plan.slots[0]?.yardstickId).toBeNull();
  });
});

describe('the purse', () => {
  it('is over only below zero; exactly zero is not over', () => {
    const at = (budget: number) =>
      computePlan({ ...twoNightstands(), project: project({ budget, contingencyThousandths: 0 }) }, AS_OF).purse.money
        .free.likely;
    expect([at(4801), at(4800), at(4799)]).toEqual([1, 0, -1]);
  });
  it('keeps back a share of what is planned, which melts as things are bought', () => {
    const plan = computePlan({ ...twoNightstands(), project: project({ contingencyThousandths: 10_000 }) }, AS_OF);
    expect(plan.purse.money.keptBack.likely).toBe(480);
  });
  it('counts days to the reveal and late days by the local calendar', () => {
    const days = (revealDate: string) =>
      computePlan({ ...twoNightstands(), project: project({ revealDate }) }, AS_OF).purse.days;
    expect(days('2026-06-20').toReveal).toBe(19);
    expect(days('2026-06-03').inHand).toBeLessThan(0);
    expect(
      computePlan({ ...twoNightstands(), project: project({ revealDate: null }) }, AS_OF).purse.days,
    ).toMatchObject({ toReveal: null, inHand: null });
  });
});

/** A small random project: nightstands in slots, painted or as found or new, with stash and packs. */
const anyProject = fc
  .record({
    slots: fc.array(
      fc.record({
        tag: fc.integer({ min: 0, max: 9000 }),
        paint: fc.constantFrom('chalk', 'wallAcrylic', 'aerosolEnamel'),
        color: fc.constantFrom('teal', 'white'),
        choice: fc.constantFrom('painted', 'found', 'new', null),
      }),
      { minLength: 1, maxLength: 5 },
    ),
    stash: fc.integer({ min: 0, max: 1500 }),
    tax: fc.integer({ min: 0, max: 20_000 }),
    contingency: fc.integer({ min: 0, max: 30_000 }),
    spent: fc.integer({ min: 0, max: 5000 }),
  })
  .map(({ slots, stash, tax, contingency, spent }): ProjectRows => {
    const finds = slots.map((entry, i) =>
      find(`f${i}`, entry.tag, { materialId: i % 2 ? 'pine' : 'veneer', finishId: i % 3 ? null : 'glossyVarnish' }),
    );
    return rows({
      project: project({ tax: { percentThousandths: tax, included: false }, contingencyThousandths: contingency }),
      slots: slots.map((_, i) => slot(`s${i}`, { number: i + 1 })),
      finds,
      offers: slots.map((_, i) => offer(`o${i}`, 8000 + i * 700, { delivery: 500 })),
      recipes: slots.map((entry, i) => recipe(`r${i}`, finds[i] as FindRow, entry.paint, entry.color)),
      colorCards: [card('teal', 'Teal', '#2f5d62'), card('white', 'White', '#f4f2ea')],
      supplies: [
        supply('c', 'chalk', 'teal', 'matt', {
          stash: stash > 0 ? { state: 'exact', amount: stash } : { state: 'none', amount: 0 },
          unitCostMillionths: 3_000_000,
        }),
      ],
      packs: [pack('p1', 'c', 473, 2600), pack('p2', 'c', 946, 3900)],
      options: slots.flatMap((_, i) => [
        option(`painted${i}`, `s${i}`, 'makeover', { parts: [part(`f${i}`)], recipeId: `r${i}` }),
        option(`found${i}`, `s${i}`, 'asFound', { parts: [part(`f${i}`)] }),
        option(`new${i}`, `s${i}`, 'buyNew', { parts: [newPart(`o${i}`)] }),
      ]),
      fills: slots.flatMap((entry, i) => (entry.choice ? [fill(`s${i}`, `${entry.choice}${i}`)] : [])),
      ledger: spent > 0 ? [paid('l', { kind: 'fee', id: 'project' }, spent)] : [],
    });
  });
const runs = { numRuns: 40 };

describe('for any project', () => {
  it('spent + promised + planned + kept back + free is the budget, at every end', () => {
    fc.assert(
      fc.property(anyProject, (input) => {
        const { budget, spent, promised, planned, keptBack, free } = computePlan(input, AS_OF).purse.money;
        expect(spent + promised + planned.likely + keptBack.likely + free.likely).toBe(budget);
        expect(spent + promised + planned.high + keptBack.high + free.low).toBe(budget);
      }),
      runs,
    );
  });
  it('a cheaper tag never raises cash, and more stash never does', () => {
    fc.assert(
      fc.property(anyProject, fc.integer({ min: 0, max: 3000 }), (input, less) => {
        const planned = computePlan(input, AS_OF).purse.money.planned.likely;
        const cheaper = {
          ...input,
          finds: input.finds.map((row) =>
            row.story.tag.state === 'stated'
              ? { ...row, story: { ...row.story, tag: stated(Math.max(0, row.story.tag.low - less)) } }
              : row,
          ),
        };
        expect(computePlan(cheaper, AS_OF).purse.money.planned.likely).toBeLessThanOrEqual(planned);
        const richer = {
          ...input,
          supplies: input.supplies.map((row) => ({
            ...row,
            stash: { state: 'exact' as const, amount: row.stash.amount + less },
          })),
        };
        expect(computePlan(richer, AS_OF).purse.money.planned.likely).toBeLessThanOrEqual(planned);
      }),
      runs,
    );
  });
  it('takes unchanged recipes over from an earlier plan and comes to the same', () => {
    fc.assert(
      fc.property(anyProject, anyProject, fc.integer({ min: 0, max: 30_000 }), (input, other, contingency) => {
        const earlier = computePlan({ ...input, fills: [] }, AS_OF);
        const later = { ...input, project: { ...input.project, contingencyThousandths: contingency } };
        const taken = computePlan(later, AS_OF + 60_000, earlier);
        const fresh = computePlan(later, AS_OF + 60_000);
        expect(taken.purse).toEqual(fresh.purse);
        for (const [id, recipe] of taken.recipes) expect(recipe).toBe(earlier.recipes.get(id));
        // A changed piece, skill or override makes the recipe anew.
        const beginner = { ...input, project: { ...input.project, skill: 'beginner' as const } };
        expect(computePlan(beginner, AS_OF, earlier).purse).toEqual(computePlan(beginner, AS_OF).purse);
        expect(computePlan(other, AS_OF, earlier).purse).toEqual(computePlan(other, AS_OF).purse);
      }),
      runs,
    );
  });
  it('with an empty stash the plan never costs more than its options alone', () => {
    fc.assert(
      fc.property(anyProject, (input) => {
        const plan = computePlan(
          {
            ...input,
            supplies: input.supplies.map((row) => ({ ...row, stash: { state: 'none' as const, amount: 0 } })),
          },
          AS_OF,
        );
        const alone = plan.slots
          .flatMap((entry) => entry.options)
          .filter((entry) => entry.chosen)
          .reduce((sum, entry) => sum + entry.cashAlone.likely, 0);
        expect(plan.fullCash.likely).toBeLessThanOrEqual(alone);
      }),
      runs,
    );
  });
  it('cash added is exactly the difference of the plans with and without it, and so are hours and stash', () => {
    fc.assert(
      fc.property(anyProject, (input) => {
        const plan = computePlan(input, AS_OF);
        for (const entry of plan.slots.flatMap((slotPlan) => slotPlan.options)) {
          const without = plan.chosen.filter((chosen) => chosen.model.slot.id !== entry.slotId);
          const having = [...without, { model: entry.model, count: entry.count }];
          const [a, b] = [having, without].map((fills) => sumsOf(plan.model, new DrawTotals(fills), fills));
          if (!a || !b) throw new Error('no sums');
          expect(entry.cashAdded.likely).toBe(a.cash.likely - b.cash.likely);
          expect(entry.hoursAdded.likely).toBeCloseTo(a.minutes.likely - b.minutes.likely, 6);
          expect(entry.stashUsed).toBe(Math.round(a.stash - b.stash));
        }
      }),
      runs,
    );
  });
  it('the order of rows changes nothing', () => {
    fc.assert(
      fc.property(anyProject, (input) => {
        const figures = (plan: Plan) =>
          plan.slots
            .flatMap((entry) => entry.options)
            .map((entry) => [
              entry.option.id,
              entry.cashAdded,
              entry.cashAlone,
              entry.switching,
              entry.stashUsed,
              entry.hoursAdded.likely.toFixed(6),
              entry.usableMs,
              entry.comparison.kind,
              entry.worthUpTo,
            ])
            .sort((a, b) => (String(a[0]) < String(b[0]) ? -1 : 1));
        const turned: ProjectRows = {
          ...input,
          slots: [...input.slots].reverse(),
          options: [...input.options].reverse(),
          finds: [...input.finds].reverse(),
          fills: [...input.fills].reverse(),
          packs: [...input.packs].reverse(),
          recipes: [...input.recipes].reverse(),
        };
        expect(figures(computePlan(turned, AS_OF))).toEqual(figures(computePlan(input, AS_OF)));
      }),
      runs,
    );
  });
  it('what is explained is what was computed: the lines of cash, stash and time add up to the figure', () => {
    fc.assert(
      fc.property(anyProject, (input) => {
        const plan = computePlan(input, AS_OF);
        for (const entry of plan.slots.flatMap((slotPlan) => slotPlan.options)) {
          for (const [figure] of optionFigureLabels)
            expect(explainOption(plan, entry, figure).label.length).toBeGreaterThan(0);
          for (const figure of ['cashAdded', 'cashAlone'] as const) {
            const tree = explainOption(plan, entry, figure);
            expect(tree.because.reduce((sum, line) => sum + Number(line.value), 0)).toBe(tree.value);
          }
          const stash = explainOption(plan, entry, 'stashUsed');
          expect(stash.because.reduce((sum, line) => sum + Number(line.value), 0)).toBe(Number(stash.value));
          const hours = explainOption(plan, entry, 'hoursAlone');
          const work = hours.because.filter((line) => line.unit === 'minutes');
          expect(work.reduce((sum, line) => sum + Number(line.value), 0)).toBeCloseTo(Number(hours.value), 6);
          const overhead = work.find((line) => line.assumption);
          const fixed = work
            .filter((line) => ['Placing and small repairs', 'Assembling'].includes(line.label))
            .reduce((sum, line) => sum + Number(line.value), 0);
          const rest = Number(hours.value) - fixed - Number(overhead?.value ?? 0);
          expect(rest * 1.15 + fixed).toBeCloseTo(Number(hours.value), 4);
        }
        const money = explainPurse(plan, 'money');
        expect(money.because.reduce((sum, line) => sum + Number(line.value), 0)).toBe(money.value);
      }),
      runs,
    );
  });
});
