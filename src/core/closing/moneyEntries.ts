import { fromMicro, MICRO } from '../kernel/micro';
import { UNIT_PRICE_SCALE } from '../kernel/money';
import type { MoneyKind } from '../model/moneyKinds';
import type { LedgerRow, ProjectRows, SupplyRow } from '../model/rows';
import { sourceName } from '../model/sourceName';
import type { Plan, PlannedFill } from '../plan/computePlan';
import { neededMicro, purchaseOf } from '../plan/model/poolCost';
import { drawnBy, type Pool, type PoolKind, totalDrawn } from '../plan/model/pools';
import { subjectName } from '../plan/subjectName';
import { type LedgerKind, linesInForce } from '../pricing/ledger';
import { supplyKey } from '../recipe/supplyKey';

/** Money for one thing at one place: what left the purse for it, and what is still to leave. Minor units. */
export interface MoneyEntry {
  kind: MoneyKind;
  name: string;
  /** The place; empty where nobody noted one. */
  source: string;
  /** Paid and ordered, less what came back. */
  paid: number;
  toGo: number;
  /** Whether more may have been paid, or may be still. */
  atLeast: boolean;
  /** How much each of the chosen fills has of it, in their order; all nothing where it serves none of them. */
  weights: readonly number[];
}

/** What of the shelf the chosen fills take beyond what was bought for this project, supply by supply. Minor units. */
export interface StashEntry {
  name: string;
  worth: number;
  weights: readonly number[];
}

/** Which way a line moves what was spent. */
const direction: Readonly<Record<LedgerKind, number>> = { payment: 1, promise: 1, refund: -1, saleIncome: -1 };

const kindOfSubject: Readonly<Record<LedgerRow['subject']['kind'], MoneyKind>> = {
  piece: 'pieces',
  offer: 'pieces',
  supply: 'supplies',
  tool: 'tools',
  delivery: 'delivery',
  fee: 'fees',
  deposit: 'deposits',
};

const kindOfPool: Readonly<Record<PoolKind, MoneyKind>> = {
  find: 'pieces',
  order: 'pieces',
  supply: 'supplies',
  session: 'supplies',
  tool: 'tools',
  trip: 'trips',
};

/** The key of a supply that is noted. */
export const keyOfSupply = (supply: SupplyRow): string => supplyKey(supply.kindId, supply.colorCardId, supply.sheen);

/** Who has how much of what: the draws of the chosen fills, as if nothing of them were done yet. */
export class FillShares {
  readonly fills: readonly PlannedFill[];
  private readonly plan: Plan;
  private readonly byPool = new Map<string, Map<number, number>>();
  private readonly usesByKey = new Map<string, readonly number[]>();
  private readonly none: readonly number[];

  constructor(plan: Plan) {
    this.plan = plan;
    this.fills = plan.chosen;
    this.none = this.fills.map(() => 0);
    for (const [n, { model, count }] of this.fills.entries())
      for (const draw of plan.model.asIfUntouched(model).draws) {
        const pool = plan.model.pool(draw);
        const total = totalDrawn(drawnBy(draw, count));
        const weight = pool?.kind === 'supply' ? neededMicro(pool, total) : total.amount;
        const own = this.byPool.get(draw.poolId) ?? new Map<number, number>();
        this.byPool.set(draw.poolId, own.set(n, (own.get(n) ?? 0) + weight));
      }
  }

  /** By what they draw from a pool. */
  ofPool(poolId: string): readonly number[] {
    const own = this.byPool.get(poolId);
    return own ? this.fills.map((_, n) => own.get(n) ?? 0) : this.none;
  }

  /** By how many of a piece they take. */
  ofPiece(pieceId: string): readonly number[] {
    return this.fills.map(({ model, count }) => {
      const own = new Set(model.finds.filter((find) => find.pieceId === pieceId).map(({ id }) => id));
      return model.option.parts.reduce(
        (sum, { findId, pieces }) => sum + (findId !== null && own.has(findId) ? pieces * count : 0),
        0,
      );
    });
  }

  /** By what their recipes took of a supply where they are done, by what they will where they are not. */
  ofSupply(key: string): readonly number[] {
    const known = this.usesByKey.get(key);
    if (known) return known;
    const planned = this.ofPool(`supply ${key}`);
    const weights = [...planned];
    for (const { id, doneOn, uses } of this.plan.rows.recipes) {
      if (doneOn === null) continue;
      const own = this.fills.flatMap(({ model }, n) => (model.option.recipeId === id ? [n] : []));
      const took = amountUsed(this.plan.rows, uses, key);
      const wouldTake = own.reduce((sum, n) => sum + (planned[n] ?? 0), 0);
      for (const n of own)
        weights[n] = wouldTake > 0 ? (took * MICRO * (planned[n] ?? 0)) / wouldTake : (took * MICRO) / own.length;
    }
    this.usesByKey.set(key, weights);
    return weights;
  }

  /** Of what a line of the books is about. */
  ofSubject({ kind, id }: LedgerRow['subject']): readonly number[] {
    const { supplies, tools } = this.plan.rows;
    switch (kind) {
      case 'piece':
        return this.ofPiece(id);
      case 'offer':
      case 'delivery':
        return this.ofPool(`order ${id}`);
      case 'supply': {
        const row = supplies.find((supply) => supply.id === id);
        return row ? this.ofSupply(keyOfSupply(row)) : this.none;
      }
      case 'tool': {
        const row = tools.find((tool) => tool.id === id);
        return row ? this.ofPool(`tool ${row.toolId}`) : this.none;
      }
      case 'fee':
      case 'deposit':
        return this.none;
      default:
        return kind satisfies never;
    }
  }
}

/** How much of a supply some uses took, in its unit. */
function amountUsed(rows: ProjectRows, uses: readonly string[], key: string): number {
  const own = new Set(uses);
  const ids = new Set(rows.supplies.filter((supply) => keyOfSupply(supply) === key).map(({ id }) => id));
  return rows.supplyUses.reduce((sum, use) => sum + (own.has(use.id) && ids.has(use.supplyId) ? use.amount : 0), 0);
}

/**
 * All money of a project, thing by thing: what the books hold, then what the plan still asks for.
 * Σ paid = spent + promised of the purse, Σ to go = its planned.
 */
export function moneyEntries(plan: Plan, shares: FillShares = new FillShares(plan)): MoneyEntry[] {
  return [...paidEntries(plan.rows, shares), ...entriesToGo(plan, shares)];
}

function paidEntries(rows: ProjectRows, shares: FillShares): MoneyEntry[] {
  const lines = linesInForce(rows.ledger);
  const boughtHere = new Set(lines.flatMap(({ kind, subject }) => (kind === 'payment' ? [subject.id] : [])));
  const entries = new Map<string, MoneyEntry>();
  for (const { kind, amount, subject, sourceId, note, atLeast } of lines) {
    const isOfOurs = kind === 'saleIncome' && !boughtHere.has(subject.id);
    const name = subject.kind === 'fee' && note !== '' ? note : subjectName(rows, subject);
    const key = `${subject.kind} ${subject.id} ${sourceId ?? ''} ${subject.kind === 'fee' ? name : ''} ${isOfOurs}`;
    const known = entries.get(key) ?? {
      kind: isOfOurs ? 'sold' : kindOfSubject[subject.kind],
      name,
      source: sourceId === null ? '' : sourceName(rows.sources, sourceId),
      paid: 0,
      toGo: 0,
      atLeast: false,
      weights: isOfOurs ? shares.fills.map(() => 0) : shares.ofSubject(subject),
    };
    known.paid += direction[kind] * amount;
    known.atLeast ||= atLeast && direction[kind] > 0;
    entries.set(key, known);
  }
  // What came back whole, and what was free, moved no money.
  return [...entries.values()].filter(({ paid, atLeast }) => paid !== 0 || atLeast);
}

function entriesToGo(plan: Plan, shares: FillShares): MoneyEntry[] {
  return plan.sums.lines.flatMap(({ draw, pool, drawn, cost }): MoneyEntry[] => {
    if (cost.cash.likely === 0 && !cost.cash.atLeast) return [];
    const of = { kind: kindOfPool[pool.kind], name: nameOf(pool), weights: shares.ofPool(draw.poolId) };
    if (pool.kind !== 'supply') {
      const source = sourceOf(plan.rows, pool);
      return [{ ...of, source, paid: 0, toGo: cost.cash.likely, atLeast: cost.cash.atLeast }];
    }
    // Packs of one supply may come from several places.
    const { packs, cash } = purchaseOf(pool, drawn);
    const bySource = new Map<string, { toGo: number; atLeast: boolean }>();
    for (const { id, count, price } of packs) {
      const source = pool.packs.find((pack) => pack.id === id)?.source ?? '';
      const known = bySource.get(source) ?? { toGo: 0, atLeast: false };
      known.toGo += (price?.likely ?? 0) * count;
      known.atLeast ||= price === null || price.atLeast;
      bySource.set(source, known);
    }
    if (packs.length === 0) bySource.set('', { toGo: cash.likely, atLeast: cash.atLeast });
    return [...bySource].map(([source, sum]) => ({ ...of, source, paid: 0, ...sum }));
  });
}

function nameOf(pool: Pool): string {
  switch (pool.kind) {
    case 'find':
      return pool.find.name;
    case 'order':
      return pool.offer.name;
    case 'session':
      return pool.key;
    case 'supply':
    case 'tool':
    case 'trip':
      return pool.name;
    default:
      return pool satisfies never;
  }
}

function sourceOf(rows: ProjectRows, pool: Pool): string {
  const id = pool.kind === 'find' ? pool.find.sourceId : pool.kind === 'order' ? pool.offer.sourceId : null;
  return id === null ? '' : sourceName(rows.sources, id);
}

/**
 * What is taken off the shelf and was not bought for this project: of each supply what the done recipes took and the
 * others will, at what it cost, less what was paid for it here. Minor units, a supply of unknown cost counts nothing.
 */
export function stashEntries(plan: Plan, shares: FillShares = new FillShares(plan)): StashEntry[] {
  const { rows, model } = plan;
  const worth = new Map<string, number>();
  const add = (key: string, minor: number) => worth.set(key, (worth.get(key) ?? 0) + minor);
  for (const { draw, pool, cost } of plan.sums.lines)
    if (pool.kind === 'supply' && cost.stashMicro > 0) add(draw.key, fromMicro(cost.stashMicro));
  const supplies = new Map(rows.supplies.map((supply) => [supply.id, supply]));
  const uses = new Map(rows.supplyUses.map((use) => [use.id, use]));
  for (const id of rows.recipes.flatMap((recipe) => (recipe.doneOn === null ? [] : recipe.uses))) {
    const use = uses.get(id);
    const supply = supplies.get(use?.supplyId ?? '');
    if (!use || !supply) continue;
    const cost = model.supply(keyOfSupply(supply)).unitCost;
    add(keyOfSupply(supply), (use.amount * (cost?.millionths ?? 0)) / UNIT_PRICE_SCALE);
  }
  const paid = new Map<string, number>();
  for (const { kind, amount, subject } of linesInForce(rows.ledger)) {
    const supply = subject.kind === 'supply' ? supplies.get(subject.id) : undefined;
    if (supply) paid.set(keyOfSupply(supply), (paid.get(keyOfSupply(supply)) ?? 0) + direction[kind] * amount);
  }
  return [...worth].flatMap(([key, minor]): StashEntry[] => {
    const beyond = Math.round(minor - Math.max(0, paid.get(key) ?? 0));
    return beyond > 0 ? [{ name: model.supply(key).name, worth: beyond, weights: shares.ofSupply(key) }] : [];
  });
}
