import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { perform } from '../acts/perform';
import { following, refusal, uuid } from '../fixtures/following';
import { furnishedRoom } from '../fixtures/furnishedRoom';
import { playActs } from '../fixtures/playActs';
import { AS_OF, fill, find, offer, option, rows, slot } from '../fixtures/projectRows';
import { Memo } from '../kernel/memo';
import type { ProjectRows } from '../model/rows';
import { boardOrder } from './boardOrder';
import { computePlan } from './computePlan';
import { planOfChoices, presentChoices, slotsInBoth, slotsToTake } from './namedPlans';

const ids = () => {
  let made = 700_000;
  return () => {
    made += 1;
    return uuid(made);
  };
};

const kept = (of: ProjectRows, id = uuid(900), name = 'Under 300') => ({
  row: { id, version: 1, name, note: '', choices: presentChoices(of) },
});

const filled = (of: ProjectRows) =>
  of.fills.map(({ slotId, optionId, count }) => `${slotId} ${optionId} ${count}`).sort();

describe('plans kept by name', () => {
  it('come to what was chosen when they were kept, whatever is chosen now', () => {
    const start = furnishedRoom();
    const plan = computePlan(start, AS_OF);
    const { row } = kept(start);
    const cleared = start.slots.reduce((state, { id }) => following(state, 'clearChoice', { slotId: id }), start);
    const again = planOfChoices(computePlan(cleared, AS_OF), row.choices, new Memo());
    expect(again.sums.cash).toEqual(plan.sums.cash);
    expect(again.sums.minutes).toEqual(plan.sums.minutes);
    expect(again.purse.days).toEqual(plan.purse.days);
  });

  it('are taken again in one act, and taken back in one', () => {
    const start = furnishedRoom();
    const { row } = kept(start);
    const cleared = start.slots.reduce((state, { id }) => following(state, 'clearChoice', { slotId: id }), start);
    const taken = following(cleared, 'takeChoices', { slots: slotsToTake(cleared, row.choices, ids()) });
    expect(filled(taken)).toEqual(filled(start));
    expect(slotsToTake(taken, row.choices, ids())).toEqual([]);
  });

  it('leave alone what is kept as it is, and leave no must out', () => {
    const start = rows({
      slots: [slot('a', { locked: true }), slot('b', { number: 2, importance: 'must' })],
      finds: [find('f', 900)],
      options: [option('o', 'a', 'asFound', { parts: [{ findId: 'f', offerId: null, pieces: 1 }] })],
      fills: [fill('a', 'o')],
    });
    const choices = [
      { slotId: 'a', leftOut: true, fills: [] },
      { slotId: 'b', leftOut: true, fills: [] },
    ];
    expect(slotsToTake(start, choices, ids())).toEqual([]);
  });

  it('go on without a way or a slot that goes, and keep what they still know', () => {
    const start = furnishedRoom();
    const held = following(start, 'keepPlan', kept(start));
    const [first] = held.fills;
    if (!first) throw new Error('nothing is chosen');
    const without = following(held, 'removeOption', { id: first.optionId });
    const said = without.plans[0]?.choices.flatMap(({ fills }) => fills.map(({ optionId }) => optionId)) ?? [];
    expect(said).not.toContain(first.optionId);
    expect(said.length).toBe(held.fills.length - 1);
    const gone = following(held, 'removeSlot', { id: first.slotId });
    expect(gone.plans[0]?.choices.map(({ slotId }) => slotId)).not.toContain(first.slotId);
    const spot = following(held, 'removeSpot', { id: start.spots[0]?.id });
    expect(spot.plans[0]?.choices).toEqual([]);
  });

  it('have names of their own', () => {
    const held = following(furnishedRoom(), 'keepPlan', kept(furnishedRoom()));
    expect(refusal(held, 'keepPlan', kept(held, uuid(901))).accepted).not.toBe('');
    expect(following(held, 'keepPlan', kept(held, uuid(901), 'No spraying')).plans.length).toBe(2);
  });

  it('never fill a slot beyond what it asks for by now, and can always be taken, whatever went before', () => {
    const newId = ids();
    fc.assert(
      fc.property(fc.array(fc.array(fc.nat(9999), { minLength: 6, maxLength: 12 }), { maxLength: 40 }), (throws) => {
        const states = playActs(furnishedRoom(), throws, newId);
        const state = states.at(-1) as ProjectRows;
        const before = states[Math.floor(states.length / 2)] as ProjectRows;
        for (const choices of [presentChoices(before), ...state.plans.map((plan) => plan.choices)]) {
          const slots = slotsToTake(state, choices, newId);
          if (slots.length === 0) continue;
          const outcome = perform(state, 'takeChoices', { slots });
          // What is refused now, or is in use twice, is refused by the act and named; nothing else stands in the way.
          if (!outcome.ok) expect(outcome.problems[0]?.accepted).toBeTruthy();
          else expect(slotsToTake(outcome.after, choices, newId)).toEqual([]);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('are held against each other slot by slot', () => {
    const start = furnishedRoom();
    const plan = computePlan(start, AS_OF);
    const [first] = start.fills;
    const other = computePlan(following(start, 'clearChoice', { slotId: first?.slotId }), AS_OF);
    const both = slotsInBoth(plan, other);
    expect(both.map(({ slot: { number } }) => number)).toEqual(plan.slots.map(({ slot: { number } }) => number));
    expect(both.filter(({ differs }) => differs).map(({ slot: { id } }) => id)).toEqual([first?.slotId]);
    expect(slotsInBoth(plan, plan).some(({ differs }) => differs)).toBe(false);
  });
});

describe('the order of the board', () => {
  const parts = (id: string) => [{ findId: null, offerId: id, pieces: 1 }];
  const plan = computePlan(
    rows({
      slots: [
        slot('a', { number: 1, importance: 'nice' }),
        slot('b', { number: 2, importance: 'must' }),
        slot('c', { number: 3 }),
      ],
      offers: [offer('cheap', 1000, { assemblyMinutes: 90 }), offer('dear', 9000, { leadDays: 2 })],
      options: [
        option('x', 'a', 'buyNew', { parts: parts('cheap') }),
        option('y', 'b', 'buyNew', { parts: parts('dear') }),
      ],
      fills: [fill('a', 'x'), fill('b', 'y')],
    }),
    AS_OF,
  );
  const order = (...asked: [Parameters<typeof boardOrder>[1], Parameters<typeof boardOrder>[2]]) =>
    boardOrder(plan.slots, ...asked).map(({ slot: { id } }) => id);

  it('goes by number, by what counts most, by money, hours and day', () => {
    expect(order('all', 'number')).toEqual(['a', 'b', 'c']);
    expect(order('all', 'importance')).toEqual(['b', 'c', 'a']);
    expect(order('all', 'cash')).toEqual(['b', 'a', 'c']);
    expect(order('all', 'hours')).toEqual(['a', 'b', 'c']);
    expect(order('all', 'day')).toEqual(['a', 'b', 'c']);
  });

  it('narrows to what is open, settled or worth another look', () => {
    expect(order('open', 'number')).toEqual(['c']);
    expect(order('settled', 'number')).toEqual(['a', 'b']);
    expect(order('lookAgain', 'number')).toEqual([]);
    const unknown = computePlan(
      { ...plan.rows, offers: plan.rows.offers.map((row) => ({ ...row, price: { state: 'unknown' as const } })) },
      AS_OF,
    );
    expect(boardOrder(unknown.slots, 'lookAgain', 'number').length).toBe(2);
  });
});
