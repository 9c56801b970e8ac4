import { usedAgainstPlan } from '@core/log/usedAgainstPlan';
import type { RecipeRow } from '@core/model/rows';
import { finishedUses } from '@core/plan/finishedUses';
import type { RecipePlan } from '@core/recipe/computeRecipe';
import { finishedSurface, withFoundSurfaces } from '@core/recipe/finished';
import type { RecipeBody } from '@core/recipe/recipeBody';
import { workpieceId } from '@core/recipe/workpiece';
import { supplyWords } from '@core/words/supplyWords';
import { Button } from 'antd';
import { useId } from 'react';
import { useCommands, useLocale, usePlan, useRows } from '../../app/projectStore';
import { localToday } from '../../app/today';
import { dateWords } from '../../app/words';
import { planAsWorkBegins } from '../../app/workBegins';
import { isSamePress } from '../../ui/samePress';
import styles from './makeover.module.css';

/** A makeover that is done takes what it used off the shelf, and is remembered with each can. */
export function DoneBox(props: { recipe: RecipeRow; computed: RecipePlan; made: RecipeBody }) {
  const rows = useRows();
  const plan = usePlan();
  const { run, runWhenMade } = useCommands();
  const locale = useLocale();
  const box = useId();
  const { recipe } = props;
  if (recipe.doneOn !== null)
    return (
      <p className={styles.done}>
        <b>Done {dateWords(recipe.doneOn)}.</b>{' '}
        {recipe.uses.length > 0 ? 'What it used is off the shelf' : 'Nothing of it was on the shelf'}; nothing more is
        planned for it.{' '}
        <Button size="small" type="text" onClick={() => run('reopenRecipe', { recipeId: recipe.id })}>
          Not done after all
        </Button>
      </p>
    );
  // Where the bench noted what was poured, that counts, and not what was planned.
  const ratios = usedAgainstPlan(recipe.id, rows.stepRuns, rows.logEntries);
  const used = finishedUses(plan.model, props.computed, props.made, () => crypto.randomUUID()).flatMap((use) => {
    if (use.supply.row === null) return [];
    const ratio = use.cut === null ? (ratios.get(use.supply.row.kindId) ?? 1) : 1;
    return [{ ...use, row: use.supply.row, amount: Math.round(use.amount * ratio * 1000) / 1000 }];
  });
  const leftovers = used.reduce((sum, { cut }) => sum + (cut?.left.length ?? 0), 0);
  const today = localToday(locale.timeZone);
  const pieces = recipe.body.pieces.flatMap((piece) => {
    const find = rows.finds.find((row) => row.id === piece.findId);
    const pieceId = find?.inHouse ? find.pieceId : null;
    const surface = pieceId === null ? null : finishedSurface(props.computed, workpieceId(piece));
    return pieceId !== null && surface ? [{ id: pieceId, ...surface }] : [];
  });
  return (
    <p className={styles.done}>
      <Button
        onClick={(event) => {
          if (isSamePress(box, event.nativeEvent)) return;
          runWhenMade(planAsWorkBegins(plan), (freeze) =>
            run('finishRecipe', {
              recipeId: recipe.id,
              doneOn: today,
              body: withFoundSurfaces(recipe.body, props.computed),
              pieces,
              uses: used.map(({ row, amount, cut }) => ({
                id: crypto.randomUUID(),
                version: 1,
                supplyId: row.id,
                what: `${recipe.name}, ${rows.project.name}`.slice(0, 200),
                amount,
                onDate: today,
                cut,
              })),
              freeze,
            }),
          );
        }}
      >
        It is done
      </Button>{' '}
      <span className="muted small">
        {used.length === 0
          ? 'nothing of it is on the shelf to be taken off'
          : `takes ${used.map(({ supply, amount }) => `${supplyWords(amount, supply.unit, locale.units)} ${supply.name}`).join(', ')} off the shelf`}
        {leftovers > 0 ? `; ${leftovers} ${leftovers === 1 ? 'leftover goes' : 'leftovers go'} back to the stash` : ''}
        {pieces.length > 0 ? '; the piece in the house takes on its new finish' : ''}
      </span>
    </p>
  );
}
