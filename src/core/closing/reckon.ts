import { splitAmount } from '../kernel/money';
import { type MoneyKind, moneyKinds } from '../model/moneyKinds';
import type { SlotRow } from '../model/rows';
import type { Plan, PlannedFill } from '../plan/computePlan';
import { FillShares, type MoneyEntry, moneyEntries, type StashEntry, stashEntries } from './moneyEntries';
import { type WorkEntry, workEntries } from './workEntries';

/** What something came to: minor units and hands-on minutes, with what of both is still planned. */
export interface CameTo {
  paid: number;
  cashToGo: number;
  /** What it took off the shelf beyond what was bought for this project. */
  stash: number;
  doneMinutes: number;
  toGoMinutes: number;
  /** Whether it may have cost more: some price or payment is not known. */
  atLeast: boolean;
}

export const cashOf = ({ paid, cashToGo }: Pick<CameTo, 'paid' | 'cashToGo'>): number => paid + cashToGo;
export const costOfAll = (of: CameTo): number => cashOf(of) + of.stash;
export const minutesOf = ({ doneMinutes, toGoMinutes }: CameTo): number => doneMinutes + toGoMinutes;
/** Whether nothing of it is still planned. */
export const isSettled = ({ cashToGo, toGoMinutes }: CameTo): boolean => cashToGo === 0 && toGoMinutes < 0.5;

/** A slot with what its fills came to. */
export interface SlotReckoning extends CameTo {
  slot: SlotRow;
  fills: readonly (CameTo & { fill: PlannedFill })[];
}

/** What no single slot bears. */
export interface RestReckoning {
  money: readonly MoneyEntry[];
  stash: readonly StashEntry[];
  work: readonly WorkEntry[];
}

/** What a project came to: by slot, what no slot bears, and all of it. */
export interface Reckoning {
  slots: readonly SlotReckoning[];
  rest: RestReckoning;
  all: CameTo;
  byKind: readonly { kind: MoneyKind; paid: number; toGo: number }[];
  bySource: readonly { name: string; paid: number; toGo: number }[];
}

const nothingYet = (): CameTo => ({
  paid: 0,
  cashToGo: 0,
  stash: 0,
  doneMinutes: 0,
  toGoMinutes: 0,
  atLeast: false,
});

const isBorne = ({ weights }: { weights: readonly number[] }) => weights.some((weight) => weight > 0);

/**
 * What a project came to, thing by thing: what was paid, ordered and worked, and what is still planned. Whatever several
 * fills share is split by what each takes of it, to the cent. The slots and the rest together are spent + promised +
 * planned of the purse, and its hours done and planned.
 */
export function reckon(plan: Plan): Reckoning {
  const shares = new FillShares(plan);
  const money = moneyEntries(plan, shares);
  const stash = stashEntries(plan, shares);
  const work = workEntries(plan, shares);
  const fills = plan.chosen.map((fill) => ({ fill, ...nothingYet() }));
  const split = (total: number, weights: readonly number[], add: (of: CameTo, part: number) => void) => {
    for (const [n, part] of splitAmount(total, weights).entries()) {
      const of = fills[n];
      if (of && (weights[n] ?? 0) > 0) add(of, part);
    }
  };
  for (const entry of money.filter(isBorne)) {
    split(entry.paid, entry.weights, (of, part) => {
      of.paid += part;
      of.atLeast ||= entry.atLeast;
    });
    split(entry.toGo, entry.weights, (of, part) => {
      of.cashToGo += part;
    });
  }
  for (const { worth, weights } of stash.filter(isBorne))
    split(worth, weights, (of, part) => {
      of.stash += part;
    });
  for (const { done, toGo, weights } of work.filter(isBorne)) {
    const sum = weights.reduce((a, b) => a + b, 0);
    for (const [n, of] of fills.entries()) {
      const share = (weights[n] ?? 0) / sum;
      of.doneMinutes += done * share;
      of.toGoMinutes += toGo * share;
    }
  }
  const rest: RestReckoning = {
    money: money.filter((entry) => !isBorne(entry)),
    stash: stash.filter((entry) => !isBorne(entry)),
    work: work.filter((entry) => !isBorne(entry)),
  };
  const all = nothingYet();
  for (const of of fills) addTo(all, of);
  for (const entry of rest.money)
    addTo(all, { ...nothingYet(), paid: entry.paid, cashToGo: entry.toGo, atLeast: entry.atLeast });
  for (const { worth } of rest.stash) all.stash += worth;
  for (const { done, toGo } of rest.work) addTo(all, { ...nothingYet(), doneMinutes: done, toGoMinutes: toGo });
  return {
    slots: plan.slots.map(({ slot }) => {
      const own = fills.filter(({ fill }) => fill.model.slot.id === slot.id);
      const sum = nothingYet();
      for (const of of own) addTo(sum, of);
      return { slot, fills: own, ...sum };
    }),
    rest,
    all,
    byKind: moneyKinds.flatMap((kind) => {
      const own = money.filter((entry) => entry.kind === kind);
      return own.length === 0 ? [] : [{ kind, ...sumOf(own) }];
    }),
    bySource: [...new Set(money.map(({ source }) => source))]
      .map((name) => ({ name, ...sumOf(money.filter(({ source }) => source === name)) }))
      .sort((a, b) => b.paid + b.toGo - a.paid - a.toGo || (a.name < b.name ? -1 : 1)),
  };
}

function addTo(sum: CameTo, of: CameTo): void {
  sum.paid += of.paid;
  sum.cashToGo += of.cashToGo;
  sum.stash += of.stash;
  sum.doneMinutes += of.doneMinutes;
  sum.toGoMinutes += of.toGoMinutes;
  sum.atLeast ||= of.atLeast;
}

const sumOf = (entries: readonly MoneyEntry[]) => ({
  paid: entries.reduce((sum, { paid }) => sum + paid, 0),
  toGo: entries.reduce((sum, { toGo }) => sum + toGo, 0),
});
