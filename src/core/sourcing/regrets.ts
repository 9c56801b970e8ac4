import { breakersFound } from '../catalog/inspections';
import type { FindRow } from '../model/rows';
import type { Plan } from '../plan/computePlan';
import { standingSettlements } from '../pricing/ledger';
import { tellingWords } from './fitNeed';

export const regretKinds = ['unused', 'broken', 'wrong', 'twice'] as const;
export type RegretKind = (typeof regretKinds)[number];

/** What each is called. */
export const regretNames: Readonly<Record<RegretKind, string>> = {
  unused: 'bought and not used',
  broken: 'broken, or better left',
  wrong: 'not what it was bought for',
  twice: 'bought twice',
};

/** Something that was paid for and serves nobody, with what it cost; minor units. */
export interface Regret {
  kind: RegretKind;
  find: FindRow;
  cost: number;
}

/** Bought things that mean the same: their names tell the same words. */
const meaning = (find: FindRow) => [...tellingWords(find.name)].sort().join(' ');

/**
 * What was bought and does not serve: broken (none of it usable, or a reason to leave it was found), bought twice for one
 * use, wrong (it was thought to answer a slot and does not fill it, since something else does), or simply unused. Each
 * thing is told once, by the first of these that holds; what is for the stash or a gift is no regret.
 */
export function regrets(plan: Plan): Regret[] {
  const { rows } = plan;
  const paid = new Map<string, number>();
  for (const { kind, subject, amount } of standingSettlements(rows.ledger))
    if (kind === 'payment' && subject.kind === 'piece') paid.set(subject.id, (paid.get(subject.id) ?? 0) + amount);
  const used = new Set(plan.chosen.flatMap(({ model }) => model.finds.map(({ id }) => id)));
  const filled = new Set(plan.slots.filter(({ open }) => open === 0).map(({ slot }) => slot.id));
  const usedMeanings = new Set(rows.finds.filter(({ id }) => used.has(id)).map(meaning));
  return rows.finds
    .filter((find) => find.state === 'bought' && !used.has(find.id))
    .flatMap((find): Regret[] => {
      const cost = paid.get(find.pieceId) ?? 0;
      const isBroken = find.count === 0 || breakersFound(find.inspected).length > 0;
      const wasFor = rows.options.filter(({ parts }) => parts.some(({ findId }) => findId === find.id));
      const isWrong = wasFor.length > 0 && wasFor.every(({ slotId }) => filled.has(slotId));
      if (isBroken) return [{ kind: 'broken', find, cost }];
      if (find.reason !== '' || find.inHouse) return [];
      if (meaning(find) !== '' && usedMeanings.has(meaning(find))) return [{ kind: 'twice', find, cost }];
      return [{ kind: isWrong ? 'wrong' : 'unused', find, cost }];
    })
    .sort((a, b) => b.cost - a.cost || (a.find.name < b.find.name ? -1 : 1));
}
