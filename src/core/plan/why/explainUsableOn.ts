import { type Explained, explain } from '../../kernel/explained';
import { calculated, fromYou } from '../../kernel/source';
import type { OptionPlan, Plan } from '../computePlan';
import { explainAssumption } from './explainAssumption';

/** Why an option is usable on its day: lead time, then step by step, then what its films wait for. */
export function explainUsableOn(plan: Plan, option: OptionPlan): Explained {
  const { recipe } = option.model;
  const because: Explained[] = [
    explain('Counted from', plan.asOfMs, 'instant', {
      source: calculated,
      note: 'work laid into the ordinary week: weekdays 18:00 to 20:00, weekends 10:00 to 15:00',
    }),
  ];
  if (option.leadDays > 0) because.push(explain('Lead time', option.leadDays, 'days', { source: fromYou }));
  for (const laid of option.ready?.laid ?? []) {
    const step = recipe?.steps.find((candidate) => candidate.id === laid.stepId);
    because.push(explain(step?.title ?? laid.stepId, laid.endMs, 'instant', { source: step?.source ?? calculated }));
  }
  if (option.ready) {
    because.push(
      explain('Stands in place, with care', option.standsMs, 'instant', {
        source: calculated,
        note: 'past handling time',
      }),
    );
    for (const layer of recipe?.layers ?? [])
      because.push(
        explainAssumption(plan.assumptions, `coating.${layer.coating.id}.fullCureDays`, [`supply:${layer.supplyKey}`]),
      );
    because.push(explainAssumption(plan.assumptions, 'readiness.handledCurePercent'));
  }
  return explain('Usable on', option.usableMs, 'instant', { source: calculated, because });
}
