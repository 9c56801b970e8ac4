import { sourceKinds } from '../catalog/sourceKinds';
import type { Plan } from '../plan/computePlan';
import { standingSettlements } from '../pricing/ledger';

export const originKinds = ['owned', 'lent', 'thrifted', 'free', 'made', 'new'] as const;
export type OriginKind = (typeof originKinds)[number];

/** What each is called. */
export const originNames: Readonly<Record<OriginKind, string>> = {
  owned: 'Owned',
  lent: 'Borrowed, rented',
  thrifted: 'Thrifted',
  free: 'Free',
  made: 'Made',
  new: 'New',
};

/** How much of a chosen look came from where. */
export interface Origin {
  kind: OriginKind;
  /** How many of the slots' quantities it fills. */
  count: number;
  /** What it cost or would cost, minor units; what is owned counts what it is noted to be worth. */
  value: number;
}

/** Where what fills a slot comes from. A piece that is made over came from where it was found. */
export function originOf({ rows }: Pick<Plan, 'rows'>, { model }: Pick<Plan['chosen'][number], 'model'>): OriginKind {
  const { kind } = model.option;
  if (kind === 'borrow' || kind === 'rent') return 'lent';
  const [find] = model.finds;
  if (!find) return kind === 'make' ? 'made' : 'new';
  if (find.state === 'owned') return 'owned';
  const source = rows.sources.find(({ id }) => id === find.sourceId);
  const isFree = find.story.tag.state === 'free' || (source && sourceKinds.find(source.kind)?.costsMoney === false);
  return isFree ? 'free' : 'thrifted';
}

/** Where what is chosen comes from, by count and by value. */
export function origins(plan: Plan): Origin[] {
  const { rows } = plan;
  const pieces = new Map(rows.pieces.map((piece) => [piece.id, piece]));
  const paidFor = new Map<string, number>();
  for (const { kind, subject, amount } of standingSettlements(rows.ledger))
    if (kind === 'payment') paidFor.set(subject.id, (paidFor.get(subject.id) ?? 0) + amount);
  const sums = new Map<OriginKind, Origin>(originKinds.map((kind) => [kind, { kind, count: 0, value: 0 }]));
  const add = (kind: OriginKind, count: number, value: number) => {
    const sum = sums.get(kind);
    if (!sum) return;
    sum.count += count;
    sum.value += value;
  };
  for (const fill of plan.chosen) {
    const { model, count } = fill;
    const [find] = model.finds;
    const value = Math.max(0, plan.addedByChoice(fill).cash.likely);
    const kind = originOf(plan, fill);
    if (!find) {
      // What was ordered and paid costs nothing more: it came to what it cost.
      const booked = model.offers.reduce((sum, { offer }) => sum + (paidFor.get(offer.id) ?? 0), 0);
      add(kind, count, model.offers.length > 0 || kind === 'made' ? value + booked : 0);
      continue;
    }
    const piece = pieces.get(find.pieceId);
    const booked = paidFor.get(find.pieceId) ?? 0;
    if (kind === 'owned') add(kind, count, piece?.currency === rows.project.currency ? (piece.value ?? 0) * count : 0);
    else if (kind === 'free') add(kind, count, 0);
    else add(kind, count, value + (find.state === 'bought' ? booked : 0));
  }
  return [...sums.values()];
}
