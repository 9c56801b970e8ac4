import { rowSchema } from '../../model/entities';
import type { PlanFreezeRow, ProjectRows } from '../../model/rows';
import { insert, type RowChange } from '../changes';

/** The plan as it was when work began, along with the act that begins it; null where it was frozen before. */
export const planAsWorkBegan = rowSchema('planFreezes').nullable().default(null);

/** Freezes the plan when the first work of a project is begun; a second device that begins at the same time adds none. */
export function workBegan(rows: ProjectRows, freeze: PlanFreezeRow | null): RowChange[] {
  const isFrozen = rows.planFreezes.some(({ why }) => why === 'workBegan');
  return freeze === null || isFrozen ? [] : [insert('planFreezes', { ...freeze, why: 'workBegan' })];
}
