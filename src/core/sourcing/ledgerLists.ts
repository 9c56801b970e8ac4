import { daysBetween } from '../calendar/localDates';
import { localDate } from '../calendar/zonedTime';
import { sourceKinds } from '../catalog/sourceKinds';
import type { LedgerRow, OfferRow, ProjectRows, SourceRow, SpotRow, SpotTask } from '../model/rows';
import { sourceName } from '../model/sourceName';
import { comesOn } from '../plan/comesOn';
import { subjectName } from '../plan/subjectName';
import { type LedgerKind, linesInForce, settledIds, standingSettlements, takenBack } from '../pricing/ledger';
import { lastReturnDay, paidFor, refundOf } from '../pricing/returns';

/** How a line of the ledger is known: as the till said, as a guess, as nothing, or not at all. */
export type Basis = 'stated' | 'estimated' | 'free' | 'unknown';

/** How an amount in the books is known. */
export function basisOf({ amount, atLeast, estimated }: Pick<LedgerRow, 'amount' | 'atLeast' | 'estimated'>): Basis {
  if (amount === 0) return atLeast ? 'unknown' : 'free';
  return estimated || atLeast ? 'estimated' : 'stated';
}

/** Which way a kind of line moves the money that was spent. */
const direction: Readonly<Record<LedgerKind, number>> = { payment: 1, promise: 1, refund: -1, saleIncome: -1 };

/** A line of the ledger with everything that it is listed by. */
export interface LedgerEntry {
  line: LedgerRow;
  what: string;
  source: string;
  /** Minor units; what came back is negative. */
  signed: number;
  basis: Basis;
  /** Local date in the place's days. */
  onDate: string;
}

/** The days of a place are counted in its own time zone, else the project's. */
const zoneOf = (rows: ProjectRows, source: SourceRow | undefined) => source?.timeZone ?? rows.project.timeZone;

/** The lines in force, the latest first. */
export function ledgerEntries(rows: ProjectRows): LedgerEntry[] {
  const sources = new Map(rows.sources.map((source) => [source.id, source]));
  return linesInForce(rows.ledger)
    .map((line): LedgerEntry => {
      const source = sources.get(line.sourceId ?? '');
      return {
        line,
        what: line.subject.kind === 'fee' && line.note !== '' ? line.note : subjectName(rows, line.subject),
        source: source?.name ?? '',
        signed: direction[line.kind] * line.amount,
        basis: basisOf(line),
        onDate: localDate(line.atMs, zoneOf(rows, source)),
      };
    })
    .sort((a, b) => b.line.atMs - a.line.atMs || (a.line.id < b.line.id ? -1 : 1));
}

export const ledgerGroupings = ['slot', 'source', 'kind', 'month'] as const;
export type LedgerGrouping = (typeof ledgerGroupings)[number];

/** What several lines come to. */
export interface LedgerGroup {
  name: string;
  /** Minor units; what came back is taken off. */
  sum: number;
  lines: number;
  /** Whether more may have been spent. */
  atLeast: boolean;
}

/** The slots that things were bought for: those of the chosen options that use them, else of any. */
function slotNames(rows: ProjectRows): (subject: LedgerRow['subject']) => string {
  const pieceOf = new Map(rows.finds.map((find) => [find.id, find.pieceId]));
  const chosen = new Set(rows.fills.map(({ optionId }) => optionId));
  const slotOf = new Map(rows.slots.map((slot) => [slot.id, slot]));
  const named = new Map<string, string>();
  // What is chosen is noted last, so that it counts before what was only thought of.
  for (const option of [...rows.options].sort((a, b) => Number(chosen.has(a.id)) - Number(chosen.has(b.id)))) {
    const slot = slotOf.get(option.slotId);
    if (!slot) continue;
    for (const { findId, offerId } of option.parts) {
      const id = offerId ?? pieceOf.get(findId ?? '');
      if (id !== undefined) named.set(id, `${slot.number} · ${slot.name}`);
    }
  }
  return ({ id }) => named.get(id) ?? 'no slot';
}

/**
 * The ledger summed by slot, place, kind of place or month; the largest sum first. All groups together come to what was
 * spent and promised.
 */
export function ledgerGroups(rows: ProjectRows, by: LedgerGrouping): LedgerGroup[] {
  const slotName = by === 'slot' ? slotNames(rows) : null;
  const kinds = new Map(rows.sources.map(({ id, kind }) => [id, sourceKinds.find(kind)?.name ?? kind]));
  const nameOf = ({ line, source, onDate }: LedgerEntry): string => {
    switch (by) {
      case 'slot':
        return slotName?.(line.subject) ?? 'no slot';
      case 'source':
        return source === '' ? 'no place noted' : source;
      case 'kind':
        return kinds.get(line.sourceId ?? '') ?? 'no place noted';
      case 'month':
        return onDate.slice(0, 7);
      default:
        return by satisfies never;
    }
  };
  const groups = new Map<string, LedgerGroup>();
  for (const entry of ledgerEntries(rows)) {
    const name = nameOf(entry);
    const group = groups.get(name) ?? { name, sum: 0, lines: 0, atLeast: false };
    group.sum += entry.signed;
    group.lines += 1;
    group.atLeast ||= entry.line.atLeast;
    groups.set(name, group);
  }
  return [...groups.values()].sort(
    by === 'month' ? (a, b) => (a.name < b.name ? 1 : -1) : (a, b) => b.sum - a.sum || (a.name < b.name ? -1 : 1),
  );
}

/** Something that can be taken back, or could until lately. */
export interface ReturnDue {
  line: LedgerRow;
  what: string;
  source: SourceRow;
  /** That day included, in the shop's days. */
  lastDay: string;
  /** Negative once the window is over; 0 on the last day. */
  daysLeft: number;
  /** What would come back for all that is left of it, restocking taken off. */
  refund: number;
}

/** Kinds of subjects that go back over the counter. */
const returnable: ReadonlySet<string> = new Set(['piece', 'offer', 'supply', 'tool']);

/**
 * What can still be taken back, the day that comes first first; what a place takes back never, or nobody knows of, is not
 * among them.
 * @param graceDays so many days after its window something is still listed, as over
 */
export function returnsDue(rows: ProjectRows, asOfMs: number, graceDays = 0): ReturnDue[] {
  const sources = new Map(rows.sources.map((source) => [source.id, source]));
  const back = takenBack(rows.ledger);
  // What is rented goes back as agreed, and not for its price.
  const rented = new Set(rows.offers.flatMap((offer) => (offer.rented === null ? [] : [offer.id])));
  return standingSettlements(rows.ledger)
    .flatMap((line): ReturnDue[] => {
      const source = sources.get(line.sourceId ?? '');
      if (!source || line.kind !== 'payment' || line.amount === 0 || !returnable.has(line.subject.kind)) return [];
      if (rented.has(line.subject.id)) return [];
      const zone = zoneOf(rows, source);
      const lastDay = lastReturnDay(source.returns, localDate(line.atMs, zone));
      if (lastDay === null || source.returns.state !== 'within') return [];
      const daysLeft = daysBetween(localDate(asOfMs, zone), lastDay);
      if (daysLeft < -graceDays) return [];
      const gone = back.get(line.id)?.pieces ?? 0;
      const left = line.pieces === null ? line.amount : paidFor(line.amount, line.pieces, line.pieces - gone, gone);
      const refund = refundOf(left, source.returns.restockingThousandths);
      return [{ line, what: subjectName(rows, line.subject), source, lastDay, daysLeft, refund }];
    })
    .sort((a, b) => a.daysLeft - b.daysLeft || (a.what < b.what ? -1 : 1));
}

/** Something that is only borrowed or rented, with the day on which it goes back; null where nobody said. */
export interface GiveBack {
  /** The piece of the house that is borrowed, or the offer that is rented. */
  id: string;
  kind: 'borrowed' | 'rented';
  name: string;
  from: string;
  backBy: string | null;
  /** What was left for it and comes back with it, minor units; 0 for none. */
  deposit: number;
}

/** What is borrowed or rented and still here, the day that comes first first. */
export function giveBacks(rows: ProjectRows): GiveBack[] {
  const borrowed = rows.pieces
    .filter(({ borrowedFrom, inHouse }) => borrowedFrom !== '' && inHouse)
    .map(
      ({ id, name, borrowedFrom, backBy }): GiveBack => ({
        id,
        kind: 'borrowed',
        name,
        from: borrowedFrom,
        backBy,
        deposit: 0,
      }),
    );
  const settled = settledIds(rows.ledger).get('offer');
  const rented = rows.offers.flatMap(({ id, name, sourceId, rented: terms }): GiveBack[] => {
    if (terms === null || terms.wentBackOn !== null || !settled?.has(id)) return [];
    const { backBy, deposit } = terms;
    return [{ id, kind: 'rented', name, from: sourceName(rows.sources, sourceId), backBy, deposit }];
  });
  return [...borrowed, ...rented].sort(
    (a, b) => (a.backBy ?? '9').localeCompare(b.backBy ?? '9') || a.name.localeCompare(b.name),
  );
}

/** Something ordered that comes, with the day it should. */
export interface Delivery {
  line: LedgerRow;
  offer: OfferRow;
  what: string;
  source: string;
  onDate: string;
  /** Days until then; negative when it is late. */
  daysLeft: number;
  /** Where it will stand, and the task that clears its way there; null where it is chosen for no slot, or no task is noted. */
  spot: SpotRow | null;
  clearing: SpotTask | null;
}

/** What a task is called that clears the way for something. */
export const clearingFor = (what: string): string => `Clear the way for ${what}`.slice(0, 120);

/** Where an offer will stand: the spot of the slot that it is chosen for. */
function spotOfOffer(rows: ProjectRows, offerId: string): SpotRow | null {
  const chosen = rows.fills.find(({ optionId }) =>
    rows.options.find(({ id }) => id === optionId)?.parts.some((part) => part.offerId === offerId),
  );
  const slot = rows.slots.find(({ id }) => id === chosen?.slotId);
  return rows.spots.find(({ id }) => id === slot?.spotId) ?? null;
}

/** What is ordered or paid and has not come, the first first; what is late stays, until somebody says that it is here. */
export function deliveries(rows: ProjectRows, asOfMs: number): Delivery[] {
  const offers = new Map(rows.offers.map((offer) => [offer.id, offer]));
  const { timeZone } = rows.project;
  const today = localDate(asOfMs, timeZone);
  return standingSettlements(rows.ledger)
    .flatMap((line): Delivery[] => {
      const offer = line.subject.kind === 'offer' ? offers.get(line.subject.id) : undefined;
      if (!offer || offer.leadDays === 0 || offer.arrivedOn !== null) return [];
      const onDate = comesOn(offer, line.atMs, timeZone);
      const spot = spotOfOffer(rows, offer.id);
      return [
        {
          line,
          offer,
          what: offer.name,
          source: sourceName(rows.sources, offer.sourceId),
          onDate,
          daysLeft: daysBetween(today, onDate),
          spot,
          clearing: spot?.tasks.find(({ name }) => name === clearingFor(offer.name)) ?? null,
        },
      ];
    })
    .sort((a, b) => (a.onDate < b.onDate ? -1 : a.onDate > b.onDate ? 1 : a.what < b.what ? -1 : 1));
}

/** Payments of which nobody knows what they were: they are asked for while the receipt is fresh; the latest first. */
export const missingPrices = (rows: ProjectRows): LedgerEntry[] =>
  ledgerEntries(rows).filter(({ basis, line }) => basis === 'unknown' && line.kind !== 'refund');
