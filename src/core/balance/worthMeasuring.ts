import { coatings } from '../catalog/coatings';
import { Memo } from '../kernel/memo';
import type { OverrideRow, PieceRow, ProjectRows } from '../model/rows';
import type { AddedLine } from '../plan/added';
import { type OptionPlan, Plan } from '../plan/computePlan';
import type { Pool } from '../plan/model/pools';
import { costOf } from '../plan/optionFigures';
import { coatingRateKey } from '../recipe/stack';
import { partsOfSupplyKey } from '../recipe/supplyKey';
import { furnitureTemplates } from '../surface/templates';
import { nameOfPool, rateOf } from './drawLines';
import { likingOf } from './lookValue';
import { whyOut } from './ways';

/** What is only estimated, and could be looked up, measured or timed. */
export type Estimate =
  /** The price of a find, an offer, a supply or a tool. */
  | { kind: 'price'; name: string; of: Pool['kind']; id: string }
  /** The size of a piece that nobody measured. */
  | { kind: 'size'; name: string; findId: string }
  /** How far a coating spreads. */
  | { kind: 'coverage'; name: string; coatingId: string }
  /** How long work takes. */
  | { kind: 'minutes' };

/** A slot in which another way is the better deal at one end of an estimate. */
export interface ChangedChoice {
  slotId: string;
  end: 'low' | 'high';
  /** What is the better deal as things are estimated, and at that end. */
  from: string;
  to: string;
  /** What choosing by the estimate would cost at that end, minor units: cash, stash and hours at what an hour is worth. */
  stake: number;
}

/** An estimate that could change a choice, with the choices that it changes. */
export interface WorthMeasuring {
  estimate: Estimate;
  changes: readonly ChangedChoice[];
  /** The most that goes by it, minor units. */
  stake: number;
}

/** How far the size of a piece that nobody measured may be off, as a share of each length (modelling choice). */
const SIZE_OFF = 0.15;

/** How many are told. */
const MOST_TOLD = 5;

/** Prices that are less than this much apart (minor units) change nothing that is worth a walk to the shop. */
const LEAST_STAKE = 100;

/** What a way costs at one end of an estimate: cash, stash, and hours at what an hour is worth. */
type Net = (option: OptionPlan) => number;

/** The ways of a slot that are compared: what can be chosen, and is liked no less than what is chosen there. */
function compared(plan: Plan, slotId: string): OptionPlan[] {
  const options = plan.slot(slotId)?.options ?? [];
  const open = options.filter((option) => whyOut(plan, option, { leastLiking: 1 }) === null && option.count > 0);
  const chosen = options.filter((option) => option.chosen).map(({ option }) => likingOf(option));
  const least = chosen.length > 0 ? Math.min(...chosen) : 1;
  return open.filter(({ option }) => likingOf(option) >= least);
}

const cheapest = (options: readonly OptionPlan[], net: Net): OptionPlan | undefined =>
  [...options].sort((a, b) => net(a) - net(b) || (a.option.id < b.option.id ? -1 : 1))[0];

/**
 * Which estimates are worth measuring next: those whose low or high end makes another way of a slot the better deal,
 * the dearest first. A way is a better deal when cash, stash and hours at what an hour is worth come to less; only ways
 * that are liked no less than the chosen one are compared. One estimate is moved at a time, all others stay likely.
 * @returns at most five; none where nothing that is estimated decides anything
 */
export function worthMeasuring(plan: Plan): WorthMeasuring[] {
  const hourValue = plan.rows.project.hourValue ?? 0;
  const likely: Net = (option) => costOf(option) + (option.hoursAdded.likely / 60) * hourValue;
  const slots = plan.slots
    .filter(({ slot }) => !slot.locked && !slot.leftOut)
    .map(({ slot }) => ({ slotId: slot.id, options: compared(plan, slot.id) }))
    .filter(({ options }) => options.length > 1);
  const found = new Map<string, WorthMeasuring>();
  const note = (key: string, estimate: Estimate, change: ChangedChoice) => {
    const known = found.get(key) ?? { estimate, changes: [], stake: 0 };
    const changes = [...known.changes, change];
    found.set(key, { estimate, changes, stake: Math.max(known.stake, change.stake) });
  };
  /** Holds the ways of a slot against each other at one end. */
  const compare = (
    key: string,
    estimate: Estimate,
    slotId: string,
    end: ChangedChoice['end'],
    options: readonly OptionPlan[],
    net: Net,
    usual: OptionPlan | undefined,
  ) => {
    const best = cheapest(options, net);
    const asEstimated = options.find(({ option }) => option.id === usual?.option.id);
    if (!best || !usual || !asEstimated || best === asEstimated) return;
    const stake = Math.round(net(asEstimated) - net(best));
    if (stake >= LEAST_STAKE) note(key, estimate, { slotId, end, from: usual.option.id, to: best.option.id, stake });
  };

  for (const { slotId, options } of slots) {
    const usual = cheapest(options, likely);
    for (const end of ['low', 'high'] as const) {
      const net: Net = (option) => costOf(option) + (option.hoursAdded[end] / 60) * hourValue;
      compare('minutes', { kind: 'minutes' }, slotId, end, options, net, usual);
      for (const { draw, pool } of pricedLines(options)) {
        const atEnd: Net = (option) => likely(option) + differenceAt(option, pool, end);
        const estimate = { kind: 'price', name: nameOfPool(pool), of: pool.kind, id: draw.key } as const;
        compare(draw.poolId, estimate, slotId, end, options, atEnd, usual);
      }
    }
  }
  const memo = new Memo();
  for (const moved of movedRows(plan, slots)) {
    for (const end of ['low', 'high'] as const) {
      const there = new Plan(moved.at(end), plan.asOfMs, memo, plan.model.cutter);
      for (const slotId of moved.slotIds) {
        const options = slots.find((slot) => slot.slotId === slotId)?.options ?? [];
        const same = options.flatMap(({ option }) => there.option(option.id) ?? []);
        compare(moved.key, moved.estimate, slotId, end, same, likely, cheapest(options, likely));
      }
    }
  }
  return [...found.values()].sort((a, b) => b.stake - a.stake).slice(0, MOST_TOLD);
}

/** What of some options' cash is a range, each pool once. */
function pricedLines(options: readonly OptionPlan[]): AddedLine[] {
  const lines = options.flatMap(({ added }) =>
    added.lines.filter(({ cash }) => cash.low !== cash.high && !cash.atLeast),
  );
  return [...new Map(lines.map((line) => [line.draw.poolId, line])).values()];
}

/** How much more an option costs where the price of a pool comes out at one end. */
function differenceAt({ added }: OptionPlan, pool: Pool, end: 'low' | 'high'): number {
  const line = added.lines.find((own) => own.pool === pool);
  return line ? line.cash[end] - line.cash.likely : 0;
}

/** An estimate that has to be computed anew at its ends: the rows there, and the slots that it can change. */
interface MovedRows {
  key: string;
  estimate: Estimate;
  slotIds: readonly string[];
  at(end: 'low' | 'high'): ProjectRows;
}

function movedRows(plan: Plan, slots: readonly { slotId: string; options: readonly OptionPlan[] }[]): MovedRows[] {
  const sizes = new Map<string, MovedRows & { slotIds: string[] }>();
  const rates = new Map<string, MovedRows & { slotIds: string[] }>();
  const { rows } = plan;
  for (const { slotId, options } of slots) {
    for (const { model } of options) {
      if (!model.recipe) continue;
      for (const { id, pieceId, name } of model.finds) {
        const piece = plan.model.piece(pieceId);
        if (!piece || isMeasured(piece)) continue;
        const key = `size ${id}`;
        const known = sizes.get(key) ?? {
          key,
          estimate: { kind: 'size', name, findId: id },
          slotIds: [],
          at: (end) => withSize(rows, id, piece, end === 'low' ? 1 - SIZE_OFF : 1 + SIZE_OFF),
        };
        if (!known.slotIds.includes(slotId)) known.slotIds.push(slotId);
        sizes.set(key, known);
      }
      for (const draw of model.draws) {
        const pool = plan.model.pool(draw);
        const coating = pool?.kind === 'supply' ? coatings.find(partsOfSupplyKey(pool.key).kindId) : undefined;
        if (pool?.kind !== 'supply' || !coating) continue;
        const rate = rateOf(plan, pool);
        if (rate.low === rate.high) continue;
        const key = coatingRateKey(coating);
        const known = rates.get(key) ?? {
          key,
          estimate: { kind: 'coverage', name: coating.name, coatingId: coating.id },
          slotIds: [],
          at: (end) => withOverride(rows, key, rate[end]),
        };
        if (!known.slotIds.includes(slotId)) known.slotIds.push(slotId);
        rates.set(key, known);
      }
    }
  }
  return [...sizes.values(), ...rates.values()];
}

const isMeasured = ({ widthMm, depthMm, heightMm }: PieceRow): boolean =>
  widthMm !== null || depthMm !== null || heightMm !== null;

/** The rows with a piece so much larger or smaller, wherever a recipe speaks of it. */
function withSize(rows: ProjectRows, findId: string, piece: PieceRow, by: number): ProjectRows {
  const scaled = (templateId: string, measures: Readonly<Record<string, number>>) => {
    const lengths = new Set(
      furnitureTemplates
        .get(templateId)
        .measures.filter(({ kind }) => kind === 'length')
        .map(({ id }) => id),
    );
    return Object.fromEntries(
      Object.entries(measures).map(([id, value]) => [id, lengths.has(id) ? Math.round(value * by * 10) / 10 : value]),
    );
  };
  return {
    ...rows,
    recipes: rows.recipes.map((recipe) =>
      recipe.body.pieces.some((own) => own.findId === findId)
        ? {
            ...recipe,
            body: {
              ...recipe.body,
              pieces: recipe.body.pieces.map((own) =>
                own.findId === findId ? { ...own, measures: scaled(own.templateId, own.measures) } : own,
              ),
            },
          }
        : recipe,
    ),
    finds: rows.finds.map((find) =>
      find.id === findId ? { ...find, measures: scaled(piece.templateId, find.measures) } : find,
    ),
  };
}

/** The rows with an assumption of the project. */
function withOverride(rows: ProjectRows, key: string, value: number): ProjectRows {
  const override: OverrideRow = { id: `${key} at its end`, version: 1, key, scope: 'project', value, note: '' };
  return {
    ...rows,
    overrides: [...rows.overrides.filter((row) => row.key !== key || row.scope !== 'project'), override],
  };
}
