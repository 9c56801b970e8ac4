import { describe, expect, it } from 'vitest';
import { following, uuid } from '../fixtures/following';
import { AS_OF, card, find, offer, option, project, rows, slot, supply } from '../fixtures/projectRows';
import { Memo } from '../kernel/memo';
import { stated } from '../kernel/price';
import type { FindRow, ProjectRows } from '../model/rows';
import { computePlan } from '../plan/computePlan';
import { newSource } from '../plan/newSource';
import { plainStory } from '../pricing/priceStory';
import { emptyBrief } from '../state/brief';
import { decisionCard } from './decisionCard';
import { readPatternLine } from './patternLine';
import { slotFits } from './slotFits';

const FIND = uuid(60);
const SLOT = uuid(1);
const TEAL = uuid(2);
const SHOP = uuid(3);
const noWish = { techniqueId: null, coatingId: null, sheetId: null, color: null };
/** Ids from a number on: made one after the other, as a device makes them. */
function ids(from = 500) {
  let made = from;
  return () => {
    made += 1;
    return uuid(made);
  };
}

/** A room whose nightstand is missing; a new one costs 88.40, and half a can of teal is left. */
function room(change: Partial<ProjectRows> = {}): ProjectRows {
  const teal = card(TEAL, 'Deep teal', '#2f5d62');
  return rows({
    project: project({ brief: { ...emptyBrief, palette: [{ colorCardId: TEAL, role: 'main' }] } }),
    slots: [
      slot(SLOT, { name: 'Nightstand, left', height: { minimumMm: 500, maximumMm: 686 } }),
      slot(uuid(4), { number: 2, name: 'Picture over the bed' }),
    ],
    colorCards: [teal],
    supplies: [supply(uuid(5), 'chalk', TEAL, 'matt', { stash: { state: 'about', amount: 600 } })],
    offers: [offer(uuid(6), 8840)],
    options: [option(uuid(7), SLOT, 'buyNew', { parts: [{ findId: null, offerId: uuid(6), pieces: 1 }] })],
    ...change,
  });
}

/** A nightstand with a tag of 24.00, at half price today. */
const tagged: FindRow = find(FIND, 2400, {
  name: 'Nightstand',
  color: null,
  story: { ...plainStory(stated(2400)), lines: [{ kind: 'markdown', percentThousandths: 50_000 }] },
});
const ask = (of: ProjectRows, given: FindRow, slotId?: string | null) =>
  decisionCard(
    computePlan(of, AS_OF),
    { find: given, slotId, wish: noWish, colorCard: of.colorCards[0] ?? null, newId: ids() },
    new Memo(),
  );

describe('the decision card', () => {
  it('says at once what it costs, which slot it answers and how much room is left', () => {
    const answer = ask(room(), tagged);
    expect(answer.till.likely).toBe(1200);
    expect(answer.slot?.name).toBe('Nightstand, left');
    // 635 mm tall under a limit of 686.
    expect(answer.fits[0]?.spare).toEqual([{ direction: 'height', byMm: 51 }]);
    expect(answer.fits.map(({ slot: { number }, answers }) => [number, answers])).toEqual([
      [1, true],
      [2, false],
    ]);
  });

  it('says what the board says once the find and its ways are kept, to the cent and the minute', () => {
    const before = room();
    const answer = ask(before, tagged);
    expect(answer.ways.map(({ kind }) => kind)).toEqual(['asFound', 'makeover']);
    let after = following(before, 'addFind', { row: tagged });
    for (const { option: row, recipe, colorCard } of answer.ways)
      after = following(after, 'addOption', { option: row, find: null, offer: null, recipe, colorCard });
    const plan = computePlan(after, AS_OF);
    for (const way of answer.ways) {
      const kept = plan.option(way.option.id);
      for (const figure of [
        'cashAdded',
        'stashUsed',
        'hoursAdded',
        'usableMs',
        'comparison',
        'beatsYardstick',
      ] as const)
        expect(way.plan[figure], `${way.kind} ${figure}`).toEqual(kept?.[figure]);
      expect(way.plan.worthUpTo).toEqual(kept?.worthUpTo);
    }
    const best = answer.best;
    const chosen = following(after, 'choose', { slotId: SLOT, optionId: best?.option.id, count: 1, fillId: uuid(900) });
    const bought = following(chosen, 'buyFind', {
      findId: FIND,
      how: 'payment',
      paid: 1200,
      ledgerId: uuid(901),
      reversalId: uuid(902),
      atMs: AS_OF,
    });
    expect(answer.fits[0]?.isChosen).toBe(false);
    expect(
      slotFits(computePlan(bought, AS_OF), tagged, '2026-06-01').map(({ slot: { id }, isChosen }) => [id, isChosen]),
    ).toEqual([
      [SLOT, true],
      [uuid(4), false],
    ]);
    // The purse afterwards is the one that stands there afterwards: nothing is kept back any more on what is paid.
    expect(answer.purseAfter.money).toEqual(computePlan(bought, AS_OF).purse.money);
    expect(answer.yardstick?.option.id).toBe(uuid(7));
  });

  it('shows what is on the board already instead of proposing it again', () => {
    const before = room();
    const proposed = ask(before, tagged);
    let after = following(before, 'addFind', { row: tagged });
    for (const { option: row, recipe } of proposed.ways)
      after = following(after, 'addOption', { option: row, find: null, offer: null, recipe, colorCard: null });
    const seen = after.finds.find(({ id }) => id === FIND) as FindRow;
    const answer = ask(after, seen);
    expect(answer.ways.map(({ isKept, option: { id } }) => [isKept, id])).toEqual(
      proposed.ways.map(({ option: { id } }) => [true, id]),
    );
  });

  it('proposes to make it over where its color is not known or clashes with the palette, else to leave it', () => {
    const best = (color: FindRow['color']) => ask(room(), { ...tagged, color }).best?.kind;
    expect(best(null)).toBe('makeover');
    expect(best({ L: 50, a: 60, b: 40 })).toBe('makeover');
    expect(best({ L: 37, a: -11, b: -7 })).toBe('asFound');
    const plain = room({ project: project() });
    expect(ask(plain, tagged).best?.kind).toBe('asFound');
  });

  it('leaves a range in the purse where the tag is a range', () => {
    const loose = { ...tagged, story: plainStory({ state: 'stated', low: 300, high: 700 }) };
    const { till, purseAfter } = ask(room(), loose);
    expect([till.low, till.likely, till.high]).toEqual([300, 500, 700]);
    const { free } = purseAfter.money;
    const exact = ask(room(), { ...tagged, story: plainStory(stated(500)) }).purseAfter.money.free;
    expect([free.low, free.likely, free.high]).toEqual([exact.low - 200, exact.likely, exact.high + 200]);
  });

  it('judges it for the slot that is asked about, or for none', () => {
    expect(ask(room(), tagged, uuid(4)).slot?.number).toBe(2);
    const none = ask(room(), tagged, null);
    expect([none.slot, none.best, none.ways]).toEqual([null, null, []]);
    const free = computePlan(room(), AS_OF).purse.money.free.likely;
    expect(none.purseAfter.money.free.likely).toBe(free - 1200);
  });

  it('answers no slot where it is neither the kind of thing nor goes in', () => {
    expect(
      ask(room(), { ...tagged, name: 'Brass lamp', templateId: 'lampBase', kind: 'lamp', measures: {} }).slot,
    ).toBeNull();
    const tall = { ...tagged, measures: { ...tagged.measures, heightMm: 900 } };
    expect(ask(room(), tall).slot).toBeNull();
  });

  it('advises to wait for the half-price week of its shop where that gains more than it risks', () => {
    const pattern = readPatternLine('half off everything on Thursdays', '2026-06-01');
    const shop = { ...newSource(SHOP, 'The Penny Shelf'), patterns: pattern ? [{ id: uuid(8), ...pattern }] : [] };
    const full: FindRow = { ...tagged, sourceId: SHOP, story: plainStory(stated(2400)) };
    const answer = (plenty: boolean) => ask(room({ sources: [shop] }), { ...full, plenty }).advice;
    // Plenty on the shelf: 0.95 × 12.00 − 0.05 × (88.40 − 24.00) = 8.18, more than 5 % of 24.00.
    expect(answer(true)).toMatchObject({ kind: 'wait', till: 1200, gain: 818 });
    // One of a kind would be lost too often: losing it costs a new one.
    expect(answer(false).kind).toBe('buy');
  });

  it('gives no advice where nothing else would fill the slot', () => {
    expect(ask(room({ offers: [], options: [] }), tagged).advice).toEqual({ kind: 'noAdvice' });
  });

  it('leaves the rows as they are', () => {
    const before = room();
    const text = JSON.stringify(before);
    ask(before, tagged);
    expect(JSON.stringify(before)).toBe(text);
  });
});
