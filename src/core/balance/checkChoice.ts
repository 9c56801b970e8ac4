import { dayBegins } from '../calendar/zonedTime';
import type { Memo } from '../kernel/memo';
import { mostOf } from '../model/finds';
import type { FillRow, ProjectRows } from '../model/rows';
import { Plan } from '../plan/computePlan';
import type { Limits } from './ask';
import { SAME_LOOK } from './ask';
import type { Choice } from './choice';
import { isExcluded } from './exclusions';
import { type BalanceProgram, lookOfFills } from './program';

/** What is wrong with an answer: it is not shown. */
export interface WrongAnswer {
  what: 'tooMany' | 'mustOpen' | 'locked' | 'refused' | 'excluded' | 'late' | 'piece' | 'cash' | 'minutes' | 'look';
  id: string;
}

/** A plan as it would be with a choice taken. */
export interface CheckedChoice {
  after: Plan;
  wrong: WrongAnswer[];
}

/** Fills of a choice, slot by slot; ids are made from those of the options, since nothing is saved yet. */
export function fillsOf(program: BalanceProgram, choice: Choice): FillRow[] {
  return program.slots.flatMap(({ slotId, ways }, s) =>
    ways.flatMap(({ optionId }, w): FillRow[] => {
      const count = choice[s]?.[w] ?? 0;
      return count > 0 ? [{ id: `taken ${optionId}`, version: 1, slotId, optionId, count }] : [];
    }),
  );
}

/** The rows of a plan with a choice taken: what is not filled is left out, unless it is a must. */
export function rowsWith(program: BalanceProgram, choice: Choice): ProjectRows {
  const { rows } = program.plan;
  const fills = fillsOf(program, choice);
  const open = new Set(program.slots.map(({ slotId }) => slotId));
  const filled = new Set(fills.map(({ slotId }) => slotId));
  return {
    ...rows,
    fills: [...rows.fills.filter(({ slotId }) => !open.has(slotId)), ...fills],
    slots: rows.slots.map((slot) => {
      if (!open.has(slot.id)) return slot;
      const leftOut = !filled.has(slot.id) && slot.importance !== 'must';
      return leftOut === slot.leftOut ? slot : { ...slot, leftOut };
    }),
  };
}

/**
 * Checks an answer by the plan that it makes, not by the program that found it: every slot, piece and limit anew from the
 * rows, as the board and the purse would show them.
 * @param memo what trial plans remember of each other
 */
export function checkChoice(program: BalanceProgram, choice: Choice, limits: Limits, memo: Memo): CheckedChoice {
  const before = program.plan;
  const rows = rowsWith(program, choice);
  const after = new Plan(rows, before.asOfMs, memo, before.model.cutter);
  const wrong: WrongAnswer[] = [];
  const say = (what: WrongAnswer['what'], id: string) => wrong.push({ what, id });
  const { revealDate, timeZone } = rows.project;
  const reveal = revealDate === null ? Number.POSITIVE_INFINITY : dayBegins(revealDate, timeZone);
  for (const entry of after.slots) {
    const { slot } = entry;
    const own = rows.fills.filter(({ slotId }) => slotId === slot.id);
    if (own.reduce((sum, { count }) => sum + count, 0) > slot.quantity) say('tooMany', slot.id);
    const is = (list: readonly FillRow[]) =>
      list
        .filter(({ slotId }) => slotId === slot.id)
        .map(({ optionId, count }) => `${optionId} ${count}`)
        .sort()
        .join();
    if (slot.locked && is(rows.fills) !== is(before.rows.fills)) say('locked', slot.id);
    const asked = program.slots.find(({ slotId }) => slotId === slot.id);
    if (asked && entry.filled < asked.least) say('mustOpen', slot.id);
    if (!asked) continue;
    for (const fill of own) {
      const option = after.option(fill.optionId);
      if (!option || option.refused) say('refused', fill.optionId);
      else if (option.usableMs > reveal) say('late', fill.optionId);
      else if (isExcluded(option.model, program.without)) say('excluded', fill.optionId);
    }
  }
  const taken = new Map<string, number>();
  for (const { model, count } of after.chosen)
    for (const part of model.option.parts) {
      const find = model.finds.find(({ id }) => id === part.findId);
      if (find) taken.set(find.pieceId, (taken.get(find.pieceId) ?? 0) + part.pieces * count);
    }
  for (const piece of rows.pieces) if ((taken.get(piece.id) ?? 0) > mostOf(piece)) say('piece', piece.id);
  if (limits.cash !== null && after.sums.cash.likely > limits.cash) say('cash', String(after.sums.cash.likely));
  if (limits.minutes !== null && after.sums.minutes.likely > limits.minutes + 1e-6)
    say('minutes', String(after.sums.minutes.likely));
  if (limits.look !== null && lookOfFills(after.chosen) < limits.look - 2 * SAME_LOOK)
    say('look', String(lookOfFills(after.chosen)));
  return { after, wrong };
}
