import type { PlanFreezeRow } from '@core/model/rows';
import type { Plan } from '@core/plan/computePlan';

/**
 * The plan as it is when the first work of a project begins, to go along with the act that begins it; null where it was
 * frozen before. What makes it is brought when it is wanted; where it cannot be brought, work begins without it.
 */
export async function planAsWorkBegins(plan: Plan): Promise<PlanFreezeRow | null> {
  if (plan.rows.planFreezes.some(({ why }) => why === 'workBegan')) return null;
  try {
    const { freezeOf } = await import('@core/closing/freezePlan');
    return freezeOf(plan, { id: crypto.randomUUID(), why: 'workBegan', note: '' });
  } catch {
    return null;
  }
}
