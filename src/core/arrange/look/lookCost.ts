import type { Plan } from '../../plan/computePlan';
import { costOf } from '../../plan/optionFigures';
import type { LookThing } from './lookThing';

/** What a thing is, wherever it stands: the same piece in two looks is one piece. */
export function identityOf({ placement, model, slot, name }: LookThing): string {
  if (model) return `way ${model.option.id}`;
  if (placement.pieceId !== null) return `piece ${placement.pieceId}`;
  return slot ? `slot ${slot.id}` : `thing ${name.toLowerCase()}`;
}

/** What a look comes to, in minor units. */
export interface LookCost {
  /** Cash that its ways add to the plan, likely. */
  cash: number;
  /** Cost with stash used, each way shared evenly between the looks that it stands in. */
  shared: number;
  /** Things for which nothing is chosen yet: they cost what nobody knows. */
  open: number;
}

/**
 * What a look comes to. A way counts once however many of its pieces stand there; what several looks show is shared
 * between them.
 * @param looks the things of every look of the project, this one among them
 */
export function lookCost(plan: Plan, things: readonly LookThing[], looks: readonly (readonly LookThing[])[]): LookCost {
  const ways = new Set(things.flatMap(({ model }) => (model ? [model.option.id] : [])));
  let cash = 0;
  let shared = 0;
  for (const id of ways) {
    const option = plan.option(id);
    if (!option) continue;
    const shown = looks.filter((own) => own.some(({ model }) => model?.option.id === id)).length;
    cash += option.cashAdded.likely;
    shared += costOf(option) / Math.max(1, shown);
  }
  const open = new Set(things.filter(({ model, slot }) => slot !== null && model === null).map(({ slot }) => slot?.id));
  return { cash: Math.round(cash), shared: Math.round(shared), open: open.size };
}

/** What one look has that another has not. */
export interface LookChange {
  identity: string;
  name: string;
  count: number;
  /** What it adds to the plan, minor units, where it is not chosen there; 0 for what is there already. */
  cash: number;
}

/** What changes from one look to another: what comes, what goes, and the cash that what comes would add. */
export interface LookChanges {
  comes: readonly LookChange[];
  goes: readonly LookChange[];
  cash: number;
}

function counted(things: readonly LookThing[]): Map<string, { thing: LookThing; count: number }> {
  const byIdentity = new Map<string, { thing: LookThing; count: number }>();
  for (const thing of things) {
    const key = identityOf(thing);
    byIdentity.set(key, { thing, count: (byIdentity.get(key)?.count ?? 0) + 1 });
  }
  return byIdentity;
}

/**
 * What changes from one look to another.
 * @example summer to winter: lantern, fir and bow come, shells go, nothing to pay → "swap 3, $0"
 */
export function lookChanges(plan: Plan, from: readonly LookThing[], to: readonly LookThing[]): LookChanges {
  const [before, after] = [counted(from), counted(to)];
  const more = (of: typeof before, than: typeof before): LookChange[] =>
    [...of].flatMap(([identity, { thing, count }]) => {
      const extra = count - (than.get(identity)?.count ?? 0);
      if (extra <= 0) return [];
      const option = thing.model ? plan.option(thing.model.option.id) : undefined;
      return [
        { identity, name: thing.name, count: extra, cash: option && !option.chosen ? option.cashAdded.likely : 0 },
      ];
    });
  const comes = more(after, before);
  return { comes, goes: more(before, after), cash: comes.reduce((sum, { cash }) => sum + cash, 0) };
}
