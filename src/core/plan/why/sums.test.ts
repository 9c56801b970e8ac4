import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { furnishedRoom } from '../../fixtures/furnishedRoom';
import { playActs } from '../../fixtures/playActs';
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
  recipe,
  rows,
  slot,
  supply,
} from '../../fixtures/projectRows';
import { idsAfter, throwsUpTo } from '../../fixtures/throws';
import type { Explained } from '../../kernel/explained';
import type { FindRow, ProjectRows } from '../../model/rows';
import { computePlan, type OptionPlan, type Plan } from '../computePlan';
import { explainOption, type OptionFigure, optionFigureLabels } from './explainOption';
import { explainPlanned, explainPurse } from './explainPurse';

const EXACT = 1e-9;
const all = (tree: Explained): Explained[] => [tree, ...tree.because.flatMap(all)];
const inItsUnit = (tree: Explained) => tree.because.filter((line) => line.unit === tree.unit && !line.aside);
const sum = (lines: readonly Explained[]) => lines.reduce((total, line) => total + Number(line.value), 0);
const optionsOf = (plan: Plan) => plan.slots.flatMap((entry) => entry.options);
const optionOf = (plan: Plan, id: string): OptionPlan => {
  const found = optionsOf(plan).find((entry) => entry.option.id === id);
  if (!found) throw new Error(`no option ${id}`);
  return found;
};

/** Every figure of an option as the board shows it, beside what explains it. */
function shownAndExplained(plan: Plan, entry: OptionPlan): [figure: string, shown: number, explained: number][] {
  const shown: Partial<Record<OptionFigure, number>> = {
    cashAdded: entry.cashAdded.likely,
    cashAlone: entry.cashAlone.likely,
    switching: entry.switching.likely,
    stashUsed: entry.stashUsed,
    hoursAdded: entry.hoursAdded.likely,
    hoursAlone: entry.hoursAlone.likely,
    ...(entry.worthUpTo.kind === 'upTo' ? { worthUpTo: entry.worthUpTo.till } : {}),
    ...('perHour' in entry.comparison ? { hourEarns: entry.comparison.perHour } : {}),
  };
  return Object.entries(shown).map(([figure, value]) => [
    figure,
    value,
    Number(explainOption(plan, entry, figure as OptionFigure).value),
  ]);
}

/** Holds what a plan shows against its reasons: figures are the sums of their lines, at every depth. */
function check(plan: Plan): number {
  let checked = 0;
  const trees: Explained[] = [
    explainPurse(plan, 'money'),
    explainPurse(plan, 'hands'),
    explainPurse(plan, 'days'),
    explainPlanned(plan),
  ];
  const { money, hands } = plan.purse;
  expect(trees[0]?.value).toBe(money.free.likely);
  expect(Math.abs(Number(trees[1]?.value) - hands.planned.likely)).toBeLessThan(EXACT);
  expect(trees[3]?.value).toBe(money.planned.likely);
  for (const entry of optionsOf(plan)) {
    for (const [figure, shown, explained] of shownAndExplained(plan, entry))
      if (Math.abs(shown - explained) > EXACT) throw new Error(`${figure}: shown ${shown}, explained ${explained}`);
    for (const [figure] of optionFigureLabels) trees.push(explainOption(plan, entry, figure));
  }
  for (const line of trees.flatMap(all)) {
    if (line.unit !== 'text') expect(Number.isFinite(Number(line.value))).toBe(true);
    if (!line.adds) continue;
    checked += 1;
    const parts = inItsUnit(line);
    if (Math.abs(sum(parts) - Number(line.value)) > EXACT * (parts.length + 1))
      throw new Error(`“${line.label}” is ${line.value}, its lines ${sum(parts)}`);
    if (line.low !== undefined && line.unit === 'money') {
      expect(line.low).toBeLessThanOrEqual(Number(line.value));
      expect(line.high).toBeGreaterThanOrEqual(Number(line.value));
    }
  }
  return checked;
}

const START = furnishedRoom();
const throws = throwsUpTo;
const ids = () => idsAfter(100);
const runs = Number(process.env.EUPORIA_PLANS ?? 50);
/** A long run takes its time: half a second for each project at the very most. */
const patienceMs = 30_000 + runs * 500;

describe('whatever acts made of a project', () => {
  it(
    'every figure is the sum of its lines, at every depth',
    () => {
      const met = { shared: 0, settledOrder: 0, stripped: 0, done: 0, setback: 0, sums: 0 };
      fc.assert(
        fc.property(throws(60), (thrown) => {
          const state = playActs(START, thrown, ids()).at(-1) ?? START;
          const plan = computePlan(state, AS_OF);
          met.sums += check(plan);
          met.shared += state.recipes.filter((row) => row.body.pieces.length > 1).length;
          met.settledOrder += state.ledger.filter((line) => line.subject.kind === 'offer').length;
          met.stripped += state.recipes.filter((row) =>
            row.body.preparations.some(({ kind }) => kind === 'strip'),
          ).length;
          met.done += state.recipes.filter((row) => row.doneOn !== null).length;
          met.setback += state.recipes.filter((row) => row.body.setbacks.length > 0).length;
        }),
        { numRuns: runs, seed: 21 },
      );
      // What drifted before is among them, so the property is about it.
      for (const [what, times] of Object.entries(met)) expect([what, times > 10]).toEqual([what, true]);
    },
    patienceMs,
  );

  it(
    'a plan that takes parts over from the one before comes to the same as one from scratch',
    () => {
      fc.assert(
        fc.property(throws(60), (thrown) => {
          let before: Plan | null = null;
          const states = playActs(START, thrown, ids());
          for (const [n, state] of states.entries()) {
            const taken: Plan = computePlan(state, AS_OF + n * 60_000, before);
            // Now and then somebody looks at it, so that parts of every age are about.
            if (n % 3 === 0) optionsOf(taken);
            before = taken;
          }
          const last = states.at(-1) ?? START;
          const atMs = AS_OF + (states.length - 1) * 60_000;
          if (before) expect(figuresOf(before)).toEqual(figuresOf(computePlan(last, atMs)));
        }),
        { numRuns: Math.ceil(runs / 4), seed: 22 },
      );
    },
    patienceMs,
  );
});

/** Everything a plan shows, as plain figures. */
function figuresOf(plan: Plan) {
  return {
    purse: plan.purse,
    fullCash: plan.fullCash,
    findings: plan.findings,
    supplies: plan.supplies.map((line) => ({ ...line })),
    recipes: [...plan.recipes.values()].map((made) => [made.recipeId, made.findings, made.steps, made.toolIds]),
    slots: plan.slots.map((entry) => ({
      filled: entry.filled,
      open: entry.open,
      yardstickId: entry.yardstickId,
      options: entry.options.map((shown) => ({
        ...shownAndExplained(plan, shown),
        id: shown.option.id,
        findings: shown.findings,
        usableMs: shown.usableMs,
        standsMs: shown.standsMs,
        refused: shown.refused,
        beats: shown.beatsYardstick,
        worth: { ...shown.worthUpTo },
      })),
    })),
  };
}

describe('what had drifted apart', () => {
  const part = (findId: string, pieces = 1) => ({ findId, offerId: null, pieces });
  const teal = card('teal', 'Teal', '#2f5d62');
  const stool = find('stool', 900, { finishId: 'soundOldPaint', sheen: 'matt' });
  const shelf = find('shelf', 500, { templateId: 'shelf', measures: {}, finishId: 'soundOldPaint', sheen: 'matt' });
  const linesOf = (plan: Plan, id: string, figure: OptionFigure) => explainOption(plan, optionOf(plan, id), figure);

  it('a recipe over two finds tells an option of one find only what that find takes', () => {
    const both = recipe('both', stool, 'chalk', 'teal');
    both.body.pieces.push(...recipe('x', shelf, 'chalk', 'teal').body.pieces);
    const plan = computePlan(
      rows({
        slots: [slot('1'), slot('2', { number: 2 })],
        finds: [stool, shelf],
        colorCards: [teal],
        recipes: [both],
        options: [
          option('a', '1', 'makeover', { parts: [part('stool')], recipeId: 'both' }),
          option('b', '2', 'makeover', { parts: [part('shelf')], recipeId: 'both' }),
        ],
        fills: [fill('1', 'a'), fill('2', 'b')],
      }),
      AS_OF,
    );
    for (const id of ['a', 'b']) {
      const tree = linesOf(plan, id, 'hoursAlone');
      expect(sum(inItsUnit(tree))).toBeCloseTo(optionOf(plan, id).hoursAlone.likely, 6);
    }
    // Together they are more than either, and the purse tells both.
    const hands = explainPurse(plan, 'hands');
    expect(sum(inItsUnit(hands))).toBeCloseTo(plan.purse.hands.planned.likely, 6);
    check(plan);
  });

  it('what is ordered costs nothing more, and its lines say so', () => {
    const line = (kind: 'promise' | 'payment') => paid('l', { kind: 'offer', id: 'new' }, 8840, kind);
    for (const kind of ['promise', 'payment'] as const) {
      const plan = computePlan(
        rows({
          slots: [slot('1')],
          offers: [offer('new', 8840)],
          options: [option('o', '1', 'buyNew', { parts: [{ findId: null, offerId: 'new', pieces: 1 }] })],
          fills: [fill('1', 'o')],
          ledger: [line(kind)],
        }),
        AS_OF,
      );
      const tree = linesOf(plan, 'o', 'cashAdded');
      expect([tree.value, sum(tree.because)]).toEqual([0, 0]);
      expect(tree.because[0]?.label).toContain('already ordered');
      check(plan);
    }
  });

  it('an order for two slots pays its delivery once, and each line says what the other orders anyway', () => {
    const plan = computePlan(
      rows({
        slots: [slot('1'), slot('2', { number: 2 })],
        offers: [offer('pair', 3000, { delivery: 700, deliveryTaxed: false })],
        options: ['1', '2'].map((id) =>
          option(`o${id}`, id, 'buyNew', { parts: [{ findId: null, offerId: 'pair', pieces: 1 }] }),
        ),
        fills: [fill('1', 'o1'), fill('2', 'o2')],
      }),
      AS_OF,
    );
    // By hand: two packs at 30.00 and one delivery at 7.00 are 67.00; the second adds 30.00 to the 37.00 of the first.
    expect(plan.purse.money.planned.likely).toBe(6700);
    expect(optionOf(plan, 'o1').cashAdded.likely).toBe(3000);
    const order = linesOf(plan, 'o1', 'cashAdded').because[0];
    expect(order?.because.map((line) => line.value)).toEqual([6000, 700, -3700]);
  });

  it('bare wood under a stripped finish shows the absorption that it counts', () => {
    const old = find('old', 900, { materialId: 'pine', finishId: 'glossyVarnish', era: 'recent' });
    const row = recipe('strip', old, 'chalk', 'teal', { preparations: [{ kind: 'strip', zoneKeys: 'all' }] });
    const plan = computePlan(
      rows({
        slots: [slot('1')],
        finds: [old],
        colorCards: [teal],
        recipes: [row],
        options: [option('o', '1', 'makeover', { parts: [part('old')], recipeId: 'strip' })],
      }),
      AS_OF,
    );
    const made = plan.recipes.get('strip');
    const [zone] = made?.zones ?? [];
    const entry = made?.stacks.get(zone?.key ?? '')?.[0];
    const shown = all(linesOf(plan, 'o', 'cashAlone')).find(
      (line) => line.assumption?.key.startsWith('substrate.') && line.assumption.key.endsWith('.absorption'),
    );
    expect(entry?.absorptionKey).toBe('substrate.pine.absorption');
    expect([shown?.assumption?.key, shown?.value]).toEqual(['substrate.pine.absorption', entry?.quantity.absorption]);
    check(plan);
  });

  it('a find in two chosen slots stands in the purse once', () => {
    const pair = find('pair', 2000, { count: 2 });
    const plan = computePlan(
      rows({
        slots: [slot('1'), slot('2', { number: 2 })],
        finds: [pair],
        options: ['1', '2'].map((id) => option(`o${id}`, id, 'asFound', { parts: [part('pair')] })),
        fills: [fill('1', 'o1'), fill('2', 'o2')],
      }),
      AS_OF,
    );
    expect(explainPlanned(plan).because.map((line) => line.value)).toEqual([2000]);
    expect(plan.purse.money.planned.likely).toBe(2000);
  });

  it('paint that a mended coat takes again is told too', () => {
    const row = recipe('r', stool, 'chalk', 'teal', {
      setbacks: [{ id: 's', layerId: 'layer-r', coat: 1, problem: 'wrinkled', note: '' }],
    });
    const plan = computePlan(
      rows({
        slots: [slot('1')],
        finds: [stool],
        colorCards: [teal],
        supplies: [supply('can', 'chalk', 'teal', 'matt')],
        packs: [pack('quart', 'can', 946, 3600)],
        recipes: [row],
        options: [option('o', '1', 'makeover', { parts: [part('stool')], recipeId: 'r' })],
      }),
      AS_OF,
    );
    const need = all(linesOf(plan, 'o', 'cashAlone')).find((line) => line.unit === 'mL' && line.label.includes('Teal'));
    expect(need?.because.some((line) => line.label.includes('once more'))).toBe(true);
    check(plan);
  });

  it('a piece that is paid says so, and nothing is left to pay', () => {
    const own: FindRow = { ...stool, state: 'bought' };
    const bought: ProjectRows = rows({
      slots: [slot('1')],
      finds: [own],
      options: [option('o', '1', 'asFound', { parts: [part('stool')] })],
      fills: [fill('1', 'o')],
      ledger: [paid('l', { kind: 'piece', id: pieceIdOf('stool') }, 900)],
    });
    const tree = linesOf(computePlan(bought, AS_OF), 'o', 'cashAdded');
    expect(tree.because[0]?.label).toContain('already spent');
    expect(tree.value).toBe(0);
  });
});
