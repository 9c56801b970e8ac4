import { coatings } from '@core/catalog/coatings';
import type { StepRunRow } from '@core/model/rows';
import { mishaps } from '@core/recipe/mishaps.data';
import { coatingOfLayer, type RecipeBody } from '@core/recipe/recipeBody';
import { isSetback, wrongLesson, wrongName, wrongsAt } from '@core/recipe/wentWrong';
import { type BenchJob, workOf } from '@core/schedule/benchJobs';
import type { WrongProblem } from '@core/state/mishap';
import type { SetbackProblem } from '@core/state/setback';
import { Button } from 'antd';
import { useEffect, useRef } from 'react';
import { useCommands, useRows } from '../../app/projectStore';
import styles from './step.module.css';

/** What went wrong at a step: what mends it is planned in or said, and other pieces are warned of it. */
export function WentWrong(props: {
  job: BenchJob;
  stepRun: StepRunRow;
  /** Finishes a coat that has to be laid again. */
  finish: (problem: SetbackProblem) => void;
  onSaid: () => void;
}) {
  const rows = useRows();
  const { run } = useCommands();
  const { job, stepRun } = props;
  // The buttons that open it stand at the foot of the page, it may lie out of sight above them.
  const section = useRef<HTMLElement>(null);
  useEffect(() => {
    section.current?.scrollIntoView({ block: 'center' });
  }, []);
  const { step } = job;
  const said = stepRun.wrong;
  const recipe = rows.recipes.find(({ id }) => id === job.subject?.recipeId);
  const coatingId = recipe && step?.layerId ? coatingOfLayer(recipe.body, step.layerId) : null;
  const group = coatingId === null ? null : (coatings.find(coatingId)?.group ?? null);
  const isCoat = step?.kind === 'coat' && step.layerId !== null && step.coat !== null;
  const problems = wrongsAt(workOf(job), group).filter((problem) => isCoat || !isSetback(problem));
  const tell = (wrong: WrongProblem | null) => run('tellStep', { runId: stepRun.id, values: { wrong } });
  const planMending = (
    change: (setbacks: RecipeBody['setbacks'], at: { layerId: string; coat: number }) => RecipeBody['setbacks'],
  ) => {
    if (!recipe || !step?.layerId || step.coat === null) return;
    const setbacks = change(recipe.body.setbacks, { layerId: step.layerId, coat: step.coat });
    run('editRecipe', { id: recipe.id, values: { body: { ...recipe.body, setbacks } } });
  };
  const say = (problem: WrongProblem) => {
    if (!isSetback(problem)) {
      tell(problem);
      return;
    }
    if (stepRun.state === 'done') tell(problem);
    else props.finish(problem);
    planMending((setbacks, at) => [...setbacks, { id: crypto.randomUUID(), ...at, problem, note: '' }]);
    props.onSaid();
  };
  const takeBack = (problem: WrongProblem) => {
    tell(null);
    if (isSetback(problem))
      planMending((setbacks, { layerId, coat }) =>
        setbacks.filter((one) => one.layerId !== layerId || one.coat !== coat || one.problem !== problem),
      );
  };
  if (said !== null)
    return (
      <section ref={section} className={styles.tell} aria-label="What mends it" role="status">
        <h2>{wrongName(said)}</h2>
        {!isSetback(said) && <p className={styles.mend}>{mishaps[said].mend}</p>}
        <p className="muted">
          Next time: {wrongLesson(said)}. It stays in the log, and like surfaces are warned of it in every project.
        </p>
        <div className={styles.problems}>
          <Button size="large" onClick={props.onSaid}>
            Good
          </Button>
          <Button size="large" type="text" onClick={() => takeBack(said)}>
            That was not it
          </Button>
        </div>
      </section>
    );
  return (
    <section ref={section} className={styles.tell} aria-label="What went wrong">
      <h2>What went wrong?</h2>
      <div className={styles.problems}>
        {problems.map((problem) => (
          <Button key={problem} size="large" onClick={() => say(problem)}>
            {wrongName(problem)}
          </Button>
        ))}
        <Button size="large" type="text" onClick={props.onSaid}>
          Nothing, go on
        </Button>
      </div>
      <p className="muted small">
        {problems.length === 0 ? 'Nothing is known that goes wrong at this. ' : 'Something else? '}Write it in the note
        of its line when it is done.
      </p>
    </section>
  );
}
