import { coatings } from '../../catalog/coatings';
import { type Explained, explain, explainSum } from '../../kernel/explained';
import { fromMicro } from '../../kernel/micro';
import { calculated, commonPractice, estimated, fromYou } from '../../kernel/source';
import { partsOfSupplyKey } from '../../recipe/supplyKey';
import { cleanUpKey } from '../../technique';
import type { Added } from '../added';
import type { OptionPlan, Plan } from '../computePlan';
import type { OptionModel } from '../model/optionModel';
import { isDrawn, type SessionPool } from '../model/pools';
import { explainAssumption } from './explainAssumption';
import { explainRate } from './explainRate';
import { ratesOfStep } from './ratesOfStep';

/** Why an option adds so many hours to the plan. */
export function explainHoursAdded(plan: Plan, option: OptionPlan): Explained {
  return explainHours(plan, option, option.added, 'Hours added', 'set-ups shared with the plan count once');
}

/** Why it would take so long if nothing else were made. */
export function explainHoursAlone(plan: Plan, option: OptionPlan): Explained {
  return explainHours(plan, option, option.alone, 'Hours alone', 'as if nothing else were made');
}

function explainHours(plan: Plan, option: OptionPlan, added: Added, label: string, note: string): Explained {
  const { model, count } = option;
  return explainSum(
    label,
    'minutes',
    [
      ...explainWork(plan, model, count),
      ...explainSessions(plan, added),
      ...explainTrips(added),
      ...explainOverhead(plan, model, count, added),
      ...explainStated(model, count),
    ],
    { low: added.minutes.low, high: added.minutes.high, source: calculated, note },
  );
}

/** The steps of the recipe, as far as they are done on the pieces of this option. */
function explainWork(plan: Plan, model: OptionModel, count: number): Explained[] {
  const micro = new Map<string, number>();
  for (const { term, pieces } of model.workTerms)
    micro.set(term.stepId, (micro.get(term.stepId) ?? 0) + term.micro.likely * pieces * count);
  const { recipe } = model;
  return (recipe?.steps ?? []).flatMap((step) => {
    const minutes = micro.get(step.id) ?? 0;
    if (!recipe || minutes <= 0) return [];
    const isOwn = step.overruled.includes('minutes') || step.kind === 'own';
    return [
      explain(step.title, fromMicro(minutes), 'minutes', {
        source: step.source,
        ...(isOwn ? { note: 'your own figure' } : {}),
        because: isOwn
          ? []
          : [
              ...ratesOfStep(recipe, step).map((rate) => explainRate(plan, rate)),
              explainAssumption(plan.assumptions, `skill.${plan.rows.project.skill}`),
            ],
      }),
    ];
  });
}

/** What setting up and cleaning up for a coating is called. */
export const sessionsLabel = (plan: Plan, pool: SessionPool, sessions: number): string =>
  `${plan.model.supply(pool.key).name}: set up and clean up, ${sessions} ${sessions === 1 ? 'session' : 'sessions'}`;

/** Set-ups and clean-ups that come on top of those which the rest of the plan has anyway. */
function explainSessions(plan: Plan, added: Added): Explained[] {
  return added.lines.flatMap(({ pool, before, after }) => {
    if (pool.kind !== 'session') return [];
    const more = after.amount - before.amount;
    const coating = coatings.find(partsOfSupplyKey(pool.key).kindId);
    return [
      explain(sessionsLabel(plan, pool, more), fromMicro(more * pool.micro), 'minutes', {
        source: commonPractice,
        ...(before.amount > 0 ? { note: `${before.amount} shared with other pieces of the plan` } : {}),
        because: coating
          ? ['session.setUpMinutes', cleanUpKey(coating)].map((key) => explainAssumption(plan.assumptions, key))
          : [],
      }),
    ];
  });
}

/** The trip that fetches it, where nothing else of the plan is fetched on it. */
function explainTrips(added: Added): Explained[] {
  return added.lines.flatMap(({ pool, before, handsMicro }) =>
    pool.kind === 'trip' && pool.sentBy === null && !isDrawn(before)
      ? [
          explain(`${pool.name}: on the way and in the shops`, fromMicro(handsMicro), 'minutes', {
            source: fromYou,
            note: 'once for all that the trip fetches',
          }),
        ]
      : [],
  );
}

/** What is added to all work: fetching, looking, thinking. */
function explainOverhead(plan: Plan, { hands }: OptionModel, count: number, added: Added): Explained[] {
  let micro = hands.overhead.likely * count;
  for (const { pool, before, after } of added.lines)
    if (pool.kind === 'session') micro += (after.amount - before.amount) * pool.overheadMicro;
  if (micro === 0) return [];
  const assumed = explainAssumption(plan.assumptions, 'labor.overheadPercent');
  return [{ ...assumed, label: `${assumed.label}, ${assumed.value} %`, ...inMinutes(fromMicro(micro)) }];
}

/** A line keeps what can be changed about it, and says what it comes to. */
const inMinutes = (value: number) => ({ value, unit: 'minutes' as const, low: value, high: value });

function explainStated({ option, hands }: OptionModel, count: number): Explained[] {
  const lines: Explained[] = [];
  if (hands.onceMicro > 0)
    lines.push(
      explain('Placing and small repairs', fromMicro(hands.onceMicro), 'minutes', {
        source: option.handsOnMinutes === null ? estimated : fromYou,
      }),
    );
  if (hands.eachMicro > 0)
    lines.push(explain('Assembling', fromMicro(hands.eachMicro * count), 'minutes', { source: fromYou }));
  return lines;
}
