import type { Assumptions } from '../catalog/assumptions';
import { estimatedShelfPrice } from '../catalog/assumptions';
import { tools as toolRegistry } from '../catalog/tools';
import { type Amount, addAmounts, nothing, subtractAmounts } from '../kernel/amount';
import { amountOfPrice } from '../kernel/price';
import type { FindRow, OfferRow, ProjectRows } from '../model/rows';
import { settledIds } from '../pricing/ledger';
import { offerCash, withTax } from '../pricing/offer';
import { receiptOf } from '../pricing/receipt';
import type { Footprint, Minutes } from './footprint';
import { SupplyBook } from './supplyBook';

/** A fill as the sums see it: an option's footprint and how many of the slot it covers. */
export interface PlannedFill {
  footprint: Footprint;
  count: number;
}

/** Whether what is already paid or promised counts in full (P) or not at all (C). */
export type CashView = 'full' | 'toGo';

/** Terms of one fill follow from its footprint and count alone, so they outlive a plan. */
const termsOfFills = new WeakMap<Footprint, Map<number, Terms>>();

/** The separable terms of the sums: everything that fills of a plan can have in common, by key. */
export interface Terms {
  finds: Map<string, { find: FindRow; uses: number }>;
  offers: Map<string, { offer: OfferRow; pieces: number }>;
  needs: Map<string, number>;
  sessions: Map<string, { coats: number; minutes: number }>;
  tools: Map<string, number>;
  run: Minutes;
  fixed: number;
}

/**
 * The sums of definitions.md over any set of fills: P(X), C(X), S(X), H(X). Every term belongs to one find, one order,
 * one supply or one tool, so sums over different sets differ only in the keys they touch.
 */
export class PlanSums {
  readonly book: SupplyBook;
  private readonly rows: ProjectRows;
  private readonly settled: ReturnType<typeof settledIds>;
  private readonly overhead: number;
  private readonly ownedTools: ReadonlyMap<string, boolean>;
  private readonly receipts = new Map<string, Amount>();
  private readonly termsOfSets = new WeakMap<readonly PlannedFill[], Terms>();

  /** @param previous sums of the same project whose supply book still holds when no supply, pack or color changed */
  constructor(rows: ProjectRows, assumptions: Assumptions, previous: PlanSums | null = null) {
    this.rows = rows;
    this.book = previous?.book.holdsFor(rows) ? previous.book : new SupplyBook(rows);
    this.settled = settledIds(rows.ledger);
    this.overhead = 1 + assumptions.number('labor.overheadPercent') / 100;
    // A tool that is worn out is bought anew.
    this.ownedTools = new Map(rows.tools.map((row) => [row.toolId, row.owned && row.wear !== 'replace']));
  }

  /** The till total of a find, whoever uses it. */
  findCash(find: FindRow): Amount {
    const known = this.receipts.get(find.id);
    if (known) return known;
    const total =
      find.state === 'owned' ? nothing : receiptOf(find.story, this.rows.project.currency, this.rows.project.tax).total;
    this.receipts.set(find.id, total);
    return total;
  }

  /** Whether a find is paid or promised, so that only leaving it unused remains a choice. */
  isSettled(find: FindRow): boolean {
    return (
      find.state === 'bought' ||
      find.state === 'promised' ||
      find.state === 'owned' ||
      this.isSettledSubject('piece', find.pieceId)
    );
  }

  private isSettledSubject(kind: string, id: string): boolean {
    return this.settled.get(kind)?.has(id) ?? false;
  }

  /** Whether a tool is owned; until the studio says so the table's usual answer holds. */
  ownsTool(toolId: string): boolean {
    return this.ownedTools.get(toolId) ?? toolRegistry.get(toolId).usuallyOwned;
  }

  /** Price of a tool with tax: the cheapest that the price book has seen, else the table's estimate; or unknown. */
  toolCash(toolId: string): Amount {
    const { currency, tax } = this.rows.project;
    const seen = this.rows.priceNotes
      .filter((note) => note.subject === 'tool' && note.subjectId === toolId)
      .filter((note) => note.price.state !== 'unknown' && (note.currency === '' || note.currency === currency))
      .map((note) => amountOfPrice(note.price))
      .sort((a, b) => a.likely - b.likely)[0];
    return withTax(seen ?? amountOfPrice(estimatedShelfPrice(toolRegistry.get(toolId).price, currency)), tax);
  }

  /** P(X) for `full`, C(X) for `toGo`. */
  cash(fills: readonly PlannedFill[], view: CashView = 'toGo'): Amount {
    const terms = this.termsOf(fills);
    return this.cashOf(terms, view);
  }

  /** Cash (C) and minutes of one fill alone. */
  alone(fill: PlannedFill): { cash: Amount; minutes: Minutes } {
    const terms = this.ownTerms(fill);
    return { cash: this.cashOf(terms, 'toGo'), minutes: this.hoursOf(terms) };
  }

  /** S(X): value of the stash that the plan takes, minor units (not rounded). */
  stashUsed(fills: readonly PlannedFill[]): number {
    let total = 0;
    for (const [key, need] of this.termsOf(fills).needs) total += this.book.stashValue(key, need);
    return total;
  }

  /** H(X) in minutes, with set-ups shared and the overhead added. */
  hours(fills: readonly PlannedFill[]): Minutes {
    return this.hoursOf(this.termsOf(fills));
  }

  /**
   * What a fill adds to a set it is not part of: cash (C), stash used and minutes, computed over touched keys only.
   * Exactly C(base ∪ fill) − C(base), and the like.
   */
  added(base: BaseTerms, fill: PlannedFill): { cash: Amount; stash: number; minutes: Minutes } {
    const own = this.ownTerms(fill);
    const without = base.touchedBy(own);
    const withFill = merge(without, own);
    const cash = subtractAmounts(this.cashOf(withFill, 'toGo'), this.cashOf(without, 'toGo'));
    let stash = 0;
    for (const key of own.needs.keys())
      stash +=
        this.book.stashValue(key, withFill.needs.get(key) ?? 0) -
        this.book.stashValue(key, without.needs.get(key) ?? 0);
    const a = this.hoursOf(withFill);
    const b = this.hoursOf(without);
    return { cash, stash, minutes: { low: a.low - b.low, likely: a.likely - b.likely, high: a.high - b.high } };
  }

  /** The terms of a set of fills, made once for many questions about it. */
  base(fills: readonly PlannedFill[]): BaseTerms {
    const terms = this.termsOf(fills);
    return { touchedBy: (own) => narrow(terms, own), usesFind: (findId) => terms.finds.has(findId) };
  }

  /** Prepares a set of fills for the question "all of them but one slot's", slot after slot. */
  withoutSlots(fills: readonly PlannedFill[]): (slotId: string) => BaseTerms {
    const index = new FillIndex(fills, (fill) => this.ownTerms(fill));
    return (slotId) => index.without(slotId);
  }

  /** Total need per supply over the fills. */
  needs(fills: readonly PlannedFill[]): ReadonlyMap<string, number> {
    return this.termsOf(fills).needs;
  }

  /** Terms of a set of fills; a set is never changed once it is made, so its terms are kept beside it. */
  private termsOf(fills: readonly PlannedFill[]): Terms {
    const known = this.termsOfSets.get(fills);
    if (known) return known;
    const terms = this.sumTerms(fills);
    this.termsOfSets.set(fills, terms);
    return terms;
  }

  private ownTerms(fill: PlannedFill): Terms {
    let known = termsOfFills.get(fill.footprint);
    if (!known) {
      known = new Map();
      termsOfFills.set(fill.footprint, known);
    }
    let terms = known.get(fill.count);
    if (!terms) {
      terms = this.sumTerms([fill]);
      known.set(fill.count, terms);
    }
    return terms;
  }

  private sumTerms(fills: readonly PlannedFill[]): Terms {
    const terms: Terms = { ...emptyTerms(), run: { low: 0, likely: 0, high: 0 } };
    for (const { footprint, count } of fills) {
      for (const find of footprint.finds)
        terms.finds.set(find.id, { find, uses: (terms.finds.get(find.id)?.uses ?? 0) + 1 });
      for (const { offer, pieces } of footprint.offers) {
        terms.offers.set(offer.id, { offer, pieces: (terms.offers.get(offer.id)?.pieces ?? 0) + pieces * count });
      }
      for (const [key, amount] of footprint.needs) terms.needs.set(key, (terms.needs.get(key) ?? 0) + amount * count);
      for (const [key, coats] of footprint.sessions) {
        const minutes = footprint.recipe?.sessionMinutes.get(key) ?? 0;
        const known = terms.sessions.get(key);
        terms.sessions.set(key, {
          coats: Math.max(known?.coats ?? 0, coats),
          minutes: Math.max(known?.minutes ?? 0, minutes),
        });
      }
      for (const tool of footprint.toolIds) terms.tools.set(tool, (terms.tools.get(tool) ?? 0) + 1);
      terms.run.low += footprint.run.low * count;
      terms.run.likely += footprint.run.likely * count;
      terms.run.high += footprint.run.high * count;
      terms.fixed += footprint.fixedMinutes + footprint.pieceMinutes * count;
    }
    return terms;
  }

  private cashOf(terms: Terms, view: CashView): Amount {
    const { tax } = this.rows.project;
    let total = nothing;
    for (const { find } of terms.finds.values()) {
      if (view === 'toGo' && this.isSettled(find)) continue;
      total = addAmounts(total, this.findCash(find));
    }
    for (const { offer, pieces } of terms.offers.values()) {
      if (view === 'toGo' && this.isSettledSubject('offer', offer.id)) continue;
      total = addAmounts(total, offerCash(offer, pieces, tax));
    }
    for (const [key, need] of terms.needs) total = addAmounts(total, this.book.purchase(key, need).cash);
    for (const toolId of terms.tools.keys())
      if (!this.ownsTool(toolId)) total = addAmounts(total, this.toolCash(toolId));
    return total;
  }

  private hoursOf(terms: Terms): Minutes {
    let sessions = 0;
    for (const { coats, minutes } of terms.sessions.values()) sessions += coats * minutes;
    const of = (run: number) => this.overhead * (run + sessions) + terms.fixed;
    return { low: of(terms.run.low), likely: of(terms.run.likely), high: of(terms.run.high) };
  }
}

/** A set of fills, asked only for what another fill touches: the rest cancels in a difference. */
export interface BaseTerms {
  touchedBy(own: Terms): Terms;
  usesFind(findId: string): boolean;
}

const noRun: Minutes = { low: 0, likely: 0, high: 0 };

/** The terms of fills by key and slot, so that leaving one slot out costs a look at the touched keys only. */
class FillIndex {
  private readonly bySlot: { slotId: string; terms: Terms }[];
  private readonly holders = new Map<string, { slotId: string; terms: Terms }[]>();

  constructor(fills: readonly PlannedFill[], termsOf: (fill: PlannedFill) => Terms) {
    this.bySlot = fills.map((fill) => ({ slotId: fill.footprint.slot.id, terms: termsOf(fill) }));
    for (const entry of this.bySlot) {
      const { finds, offers, needs, sessions, tools } = entry.terms;
      for (const id of finds.keys()) this.hold(`find ${id}`, entry);
      for (const id of offers.keys()) this.hold(`offer ${id}`, entry);
      for (const key of needs.keys()) this.hold(`need ${key}`, entry);
      for (const key of sessions.keys()) this.hold(`session ${key}`, entry);
      for (const id of tools.keys()) this.hold(`tool ${id}`, entry);
    }
  }

  without(slotId: string): BaseTerms {
    return {
      touchedBy: (own) => {
        const result = emptyTerms();
        const others = (place: string) => (this.holders.get(place) ?? []).filter((entry) => entry.slotId !== slotId);
        for (const id of own.finds.keys()) for (const { terms } of others(`find ${id}`)) addFind(result, terms, id);
        for (const id of own.offers.keys()) for (const { terms } of others(`offer ${id}`)) addOffer(result, terms, id);
        for (const key of own.needs.keys()) for (const { terms } of others(`need ${key}`)) addNeed(result, terms, key);
        for (const key of own.sessions.keys())
          for (const { terms } of others(`session ${key}`)) addSession(result, terms, key);
        for (const id of own.tools.keys()) for (const { terms } of others(`tool ${id}`)) addTool(result, terms, id);
        return result;
      },
      usesFind: (findId) => (this.holders.get(`find ${findId}`) ?? []).some((entry) => entry.slotId !== slotId),
    };
  }

  private hold(place: string, entry: { slotId: string; terms: Terms }): void {
    const known = this.holders.get(place);
    if (known) known.push(entry);
    else this.holders.set(place, [entry]);
  }
}

function emptyTerms(): Terms {
  return {
    finds: new Map(),
    offers: new Map(),
    needs: new Map(),
    sessions: new Map(),
    tools: new Map(),
    run: noRun,
    fixed: 0,
  };
}

function addFind(to: Terms, from: Terms, id: string): void {
  const value = from.finds.get(id);
  if (value) to.finds.set(id, { find: value.find, uses: value.uses + (to.finds.get(id)?.uses ?? 0) });
}
function addOffer(to: Terms, from: Terms, id: string): void {
  const value = from.offers.get(id);
  if (value) to.offers.set(id, { offer: value.offer, pieces: value.pieces + (to.offers.get(id)?.pieces ?? 0) });
}
function addNeed(to: Terms, from: Terms, key: string): void {
  const value = from.needs.get(key);
  if (value !== undefined) to.needs.set(key, (to.needs.get(key) ?? 0) + value);
}
function addSession(to: Terms, from: Terms, key: string): void {
  const value = from.sessions.get(key);
  if (!value) return;
  const known = to.sessions.get(key);
  to.sessions.set(key, {
    coats: Math.max(value.coats, known?.coats ?? 0),
    minutes: Math.max(value.minutes, known?.minutes ?? 0),
  });
}
function addTool(to: Terms, from: Terms, id: string): void {
  const value = from.tools.get(id);
  if (value !== undefined) to.tools.set(id, (to.tools.get(id) ?? 0) + value);
}

/** Only the base's terms whose keys the other touches. */
function narrow(base: Terms, touched: Terms): Terms {
  const result = emptyTerms();
  for (const id of touched.finds.keys()) addFind(result, base, id);
  for (const id of touched.offers.keys()) addOffer(result, base, id);
  for (const key of touched.needs.keys()) addNeed(result, base, key);
  for (const key of touched.sessions.keys()) addSession(result, base, key);
  for (const id of touched.tools.keys()) addTool(result, base, id);
  return result;
}

/** Both together; run and fixed minutes are the fill's alone, as those of the base cancel. */
function merge(base: Terms, own: Terms): Terms {
  const result = narrow(base, own);
  for (const id of own.finds.keys()) addFind(result, own, id);
  for (const id of own.offers.keys()) addOffer(result, own, id);
  for (const key of own.needs.keys()) addNeed(result, own, key);
  for (const key of own.sessions.keys()) addSession(result, own, key);
  for (const id of own.tools.keys()) addTool(result, own, id);
  return { ...result, run: own.run, fixed: own.fixed };
}
