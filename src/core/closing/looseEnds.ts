import { dateAfter, daysBetween } from '../calendar/localDates';
import { localDate } from '../calendar/zonedTime';
import type { EndWay } from '../model/entities/looseEnd';
import type { FindRow, LooseEndRow, ProjectRows, SupplyRow } from '../model/rows';
import type { LooseEndSubject } from '../model/values/looseEndSubject';
import type { Plan } from '../plan/computePlan';
import { subjectName } from '../plan/subjectName';
import { linesInForce } from '../pricing/ledger';
import {
  type Delivery,
  deliveries,
  type GiveBack,
  giveBacks,
  type ReturnDue,
  returnsDue,
} from '../sourcing/ledgerLists';
import { keyOfSupply } from './moneyEntries';

/**
 * So many days after the reveal something is to be settled while nobody says another day: common practice, no source. What
 * has a day of its own (a shop's last day, the owner's) takes that.
 */
export const USUAL_DAYS = { misfit: 14, leftover: 7, sale: 28, own: 14, deposit: 7 } as const;

/** Something that is left to do after the work. */
export interface LooseEnd {
  about: LooseEndSubject;
  /** Tells it from all others, whatever is said of it. */
  key: string;
  /** The thing, by name; for a task of one's own what is to be done. */
  name: string;
  dueOn: string | null;
  /** Whether that day is only usual. */
  isUsualDay: boolean;
  /** Days until then; negative is late, null where there is no day. */
  daysLeft: number | null;
  way: EndWay | null;
  note: string;
  /** What it would bring back, or brought; minor units, 0 where it is no money. */
  money: number;
  /** What was said of it; null where nothing was. */
  said: LooseEndRow | null;
  /** What is behind it, where there is something. */
  due: ReturnDue | null;
  giveBack: GiveBack | null;
  delivery: Delivery | null;
  find: FindRow | null;
  supply: SupplyRow | null;
}

/** What is left to do, what comes first first, and what is done of it. */
export interface LooseEnds {
  open: readonly LooseEnd[];
  done: readonly LooseEndRow[];
}

const keyOf = (about: LooseEndSubject): string => ('id' in about ? `${about.kind} ${about.id}` : about.kind);

/**
 * What is left to do after the work: what serves nowhere here goes elsewhere, back, is given or sold; what is borrowed or
 * rented goes back; what was ordered has to come; deposits come back; what is left of supplies goes onto the shelf; holes
 * are filled before one moves out. All of it follows from the books and the house; what the stylist said of it is put with
 * it. What is done is open no more by itself.
 */
export function looseEnds(plan: Plan): LooseEnds {
  const { rows, asOfMs } = plan;
  const { timeZone, revealDate } = rows.project;
  const today = localDate(asOfMs, timeZone);
  const said = new Map(rows.looseEnds.map((row) => [row.about.kind === 'own' ? row.id : keyOf(row.about), row]));
  const usual = (kind: keyof typeof USUAL_DAYS) => {
    const from = revealDate === null || revealDate < today ? today : revealDate;
    return dateAfter(from, USUAL_DAYS[kind]);
  };
  const end = (
    about: LooseEndSubject,
    name: string,
    own: Partial<Pick<LooseEnd, 'dueOn' | 'money' | 'due' | 'giveBack' | 'delivery' | 'find' | 'supply'>>,
    usualKind: keyof typeof USUAL_DAYS | null = null,
    row: LooseEndRow | null = said.get(keyOf(about)) ?? null,
  ): LooseEnd => {
    const given = row?.dueOn ?? own.dueOn ?? null;
    const dueOn = given ?? (usualKind === null ? null : usual(usualKind));
    return {
      about,
      key: about.kind === 'own' && row ? row.id : keyOf(about),
      name,
      money: 0,
      due: null,
      giveBack: null,
      delivery: null,
      find: null,
      supply: null,
      ...own,
      dueOn,
      isUsualDay: given === null && dueOn !== null,
      daysLeft: dueOn === null ? null : daysBetween(today, dueOn),
      way: row?.way ?? null,
      note: row?.note ?? '',
      said: row,
    };
  };
  const returns = returnsDue(rows, asOfMs);
  const misfits = misfitsOf(plan);
  const ofMisfits = new Set(misfits.map((find) => find.pieceId));
  const ends: LooseEnd[] = [
    ...misfits.map((find) => {
      const due = returns.find(({ line }) => line.subject.id === find.pieceId) ?? null;
      const dueOn = due?.lastDay ?? null;
      return end({ kind: 'misfit', id: find.id }, find.name, { dueOn, due, find, money: due?.refund ?? 0 }, 'misfit');
    }),
    // What was bought twice goes back by two receipts, each until its own day.
    ...returns
      .filter((due) => !ofMisfits.has(due.line.subject.id) && !servesHere(plan, due))
      .map((due) => end({ kind: 'return', id: due.line.id }, due.what, { dueOn: due.lastDay, due, money: due.refund })),
    ...giveBacks(rows).map((giveBack) =>
      end({ kind: giveBack.kind, id: giveBack.id }, giveBack.name, {
        dueOn: giveBack.backBy,
        giveBack,
        money: giveBack.deposit,
      }),
    ),
    ...depositsOut(rows).map(({ pieceId, amount }) =>
      end(
        { kind: 'deposit', id: pieceId },
        subjectName(rows, { kind: 'deposit', id: pieceId }),
        { dueOn: rows.pieces.find(({ id }) => id === pieceId)?.backBy ?? null, money: amount },
        'deposit',
      ),
    ),
    ...deliveries(rows, asOfMs).map((delivery) =>
      end({ kind: 'arrival', id: delivery.line.id }, delivery.what, { dueOn: delivery.onDate, delivery }),
    ),
    ...leftoversOf(plan).map((supply) =>
      end(
        { kind: 'leftover', id: supply.id },
        subjectName(rows, { kind: 'supply', id: supply.id }),
        { supply },
        'leftover',
      ),
    ),
    ...holesToFill(rows).map((hole) =>
      end({ kind: 'hole', id: hole.id }, `${hole.place}: ${hole.what || 'a hole'}`, {
        dueOn: rows.project.brief.leavingDate,
      }),
    ),
    ...rows.looseEnds.flatMap((row) => {
      if (row.about.kind === 'own') return [end(row.about, row.what, {}, 'own', row)];
      const { about } = row;
      if (about.kind !== 'sale') return [];
      const piece = rows.pieces.find(({ id }) => id === about.id);
      // What was sold, or left the house otherwise, is to be sold no more.
      return piece?.inHouse ? [end(about, piece.name, { money: piece.value ?? 0 }, 'sale', row)] : [];
    }),
  ];
  return {
    open: ends
      .filter((one) => one.said?.doneOn === null || one.said === null)
      .sort(
        (a, b) =>
          (a.dueOn ?? '9').localeCompare(b.dueOn ?? '9') || a.name.localeCompare(b.name) || (a.key < b.key ? -1 : 1),
      ),
    done: rows.looseEnds
      .filter(({ doneOn }) => doneOn !== null)
      .sort((a, b) => (b.doneOn ?? '').localeCompare(a.doneOn ?? '') || (a.id < b.id ? -1 : 1)),
  };
}

/** What was bought and serves nowhere here; what is of the house is in its place, and what was meant for the stash is no misfit. */
function misfitsOf({ rows, chosen }: Plan): FindRow[] {
  const used = new Set(chosen.flatMap(({ model }) => model.finds.map(({ id }) => id)));
  return rows.finds.filter(
    ({ id, state, inHouse, archived }) => state === 'bought' && !inHouse && !archived && !used.has(id),
  );
}

/** Whether something that could go back is wanted here: a chosen way takes it, or it is for the shelf anyway. */
function servesHere({ rows, chosen, model }: Plan, { line }: ReturnDue): boolean {
  const { kind, id: subjectId } = line.subject;
  switch (kind) {
    case 'piece':
      // Pieces that serve nowhere are told as what they are.
      return true;
    case 'offer':
      return chosen.some((fill) => fill.model.offers.some(({ offer }) => offer.id === subjectId));
    case 'supply': {
      const taken = new Set(
        chosen.flatMap((fill) => model.asIfUntouched(fill.model).draws.map(({ poolId }) => poolId)),
      );
      const supply = rows.supplies.find(({ id }) => id === subjectId);
      return supply === undefined || taken.has(`supply ${keyOfSupply(supply)}`);
    }
    case 'tool':
    case 'delivery':
    case 'fee':
    case 'deposit':
      return true;
    default:
      return kind satisfies never;
  }
}

/** Deposits that were left and have not come back, by the piece that they were left for. */
function depositsOut({ ledger }: ProjectRows): { pieceId: string; amount: number }[] {
  const out = new Map<string, number>();
  for (const { kind, amount, subject } of linesInForce(ledger)) {
    if (subject.kind !== 'deposit' || kind === 'promise') continue;
    out.set(subject.id, (out.get(subject.id) ?? 0) + (kind === 'payment' ? amount : -amount));
  }
  return [...out].flatMap(([pieceId, amount]) => (amount > 0 ? [{ pieceId, amount }] : []));
}

/**
 * Supplies that this project bought or took from and of which something is left, once the last of its recipes that takes
 * them is done and until they were looked at afterwards.
 */
function leftoversOf({ rows, sums }: Plan): SupplyRow[] {
  const wanted = new Set(sums.lines.flatMap(({ draw, pool }) => (pool.kind === 'supply' ? [draw.key] : [])));
  const touched = new Map<string, string>();
  const touch = (id: string, on: string) => {
    if (on > (touched.get(id) ?? '')) touched.set(id, on);
  };
  for (const { kind, subject, atMs } of linesInForce(rows.ledger))
    if (subject.kind === 'supply' && kind === 'payment') touch(subject.id, localDate(atMs, rows.project.timeZone));
  const own = new Set(rows.recipes.flatMap(({ uses }) => uses));
  for (const use of rows.supplyUses) if (own.has(use.id)) touch(use.supplyId, use.onDate);
  return rows.supplies.filter((supply) => {
    const last = touched.get(supply.id);
    const isLeft = (supply.stash.state === 'exact' || supply.stash.state === 'about') && supply.stash.amount > 0;
    return last !== undefined && isLeft && !wanted.has(keyOfSupply(supply)) && (supply.checkedOn ?? '') < last;
  });
}

/** Holes at the spots of a rented place that whoever moves out has to fill. */
function holesToFill({ project, spots, holes }: ProjectRows): ProjectRows['holes'] {
  if (!project.household.rented || project.brief.leavingDate === null) return [];
  return holes.filter(({ filled, place }) => !filled && spots.some(({ name }) => place.endsWith(name)));
}
