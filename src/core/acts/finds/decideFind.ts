import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { fillCount } from '../../model/entities/fill';
import { id, oneOf } from '../../model/fields';
import { withFinds } from '../../model/finds';
import type { ProjectRows } from '../../model/rows';
import { type Decision, isRefusal, projectAct } from '../act';
import { applyChanges, type RowChange } from '../changes';
import { buyFind } from '../money/buyFind';
import { settlement } from '../money/ledgerChanges';
import { addOption } from '../options/addOption';
import { choose } from '../options/choose';
import { newFindChanges } from './addFind';
import { editFind } from './editFind';
import { type FindPayload, findSchema } from './findFields';

const payload = z.strictObject({
  verdict: oneOf(['buy', 'think', 'pass']),
  /** As it stands on the card: new, or seen before. */
  find: findSchema,
  /** Ways to use it that are kept with it. */
  ways: z
    .array(
      z.strictObject({
        option: rowSchema('options'),
        recipe: rowSchema('recipes').nullable(),
        colorCard: rowSchema('colorCards').nullable(),
      }),
    )
    .max(10, 'at most 10 ways'),
  /** The way that fills its slot from now on. */
  choice: z.strictObject({ slotId: id, optionId: id, count: fillCount, fillId: id }).nullable(),
  payment: z.strictObject(settlement).nullable(),
});

const verdictWords = { buy: 'Bought', think: 'Thinking over', pass: 'Passed' } as const;

/** Decisions one after the other, each over what the ones before it left; the first refusal refuses all. */
function inTurn(rows: ProjectRows, decisions: readonly ((rows: ProjectRows) => Decision)[]): Decision {
  const changes: RowChange[] = [];
  let present = rows;
  for (const decide of decisions) {
    const decision = decide(present);
    if (isRefusal(decision)) return decision;
    changes.push(...decision);
    present = withFinds(applyChanges(present, decision));
  }
  return changes;
}

/** The fields that the card changes on a find that was seen before. */
const cardFields = [
  'sourceId',
  'story',
  'tagColor',
  'plenty',
  'thinkUntil',
  'because',
  'reason',
  'seenOn',
  'templateId',
  'materialId',
  'finishId',
  'kind',
  'measures',
  'color',
  'era',
  'cordCondition',
  'inspected',
  'repairMinutes',
] as const satisfies readonly (keyof FindPayload)[];

/** What the card says of a find: all of a new one; of one seen before what differs from what is noted. */
function noteSeen(rows: ProjectRows, find: FindPayload, state: 'seen' | 'passed'): Decision {
  const known = rows.finds.find((row) => row.id === find.id);
  if (!known) return newFindChanges(rows, { ...find, state });
  const changed = cardFields.filter((field) => JSON.stringify(find[field]) !== JSON.stringify(known[field]));
  const values = Object.fromEntries(changed.map((field) => [field, find[field]]));
  return editFind.decide(rows, { id: find.id, values: { ...values, state } });
}

/**
 * The decision in the shop, whole: the find with what was seen of it, the ways to use it, and what was decided. *Buy* pays
 * for it and fills its slot, *think* keeps it with the day on which it is thought over, *pass* keeps why.
 */
export const decideFind = projectAct({
  kind: 'decideFind',
  title: 'Decided',
  titleFor: ({ verdict, find, payment }) =>
    `${verdict === 'buy' && payment?.how === 'promise' ? 'Ordered' : verdictWords[verdict]}: ${find.name}`,
  payload,
  decide: (rows, { verdict, find, ways, choice, payment }) =>
    inTurn(rows, [
      (present) => noteSeen(present, find, verdict === 'pass' ? 'passed' : 'seen'),
      ...ways.map(
        ({ option, recipe, colorCard }) =>
          (present: ProjectRows) =>
            addOption.decide(present, { option, recipe, colorCard, find: null, offer: null }),
      ),
      ...(choice ? [(present: ProjectRows) => choose.decide(present, choice)] : []),
      ...(verdict === 'buy' && payment
        ? [(present: ProjectRows) => buyFind.decide(present, { findId: find.id, ...payment })]
        : []),
    ]),
});
