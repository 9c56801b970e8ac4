import { madeRecipes, makersSheetDocument, makersTable } from '@core/sheets/makersSheet';
import { useMemo } from 'react';
import { usePlan } from '../../../app/projectStore';
import { Paper } from './Paper';

/** The maker's sheet: how each thing was made over, for whoever makes another. */
export function MakersPaper() {
  const plan = usePlan();
  const made = useMemo(() => madeRecipes(plan), [plan]);
  return (
    <Paper
      sheet={makersSheetDocument(plan.rows.project.name, made)}
      table={() => makersTable(made)}
      data={() => ({ project: plan.rows.project.name, makeovers: made })}
    />
  );
}
