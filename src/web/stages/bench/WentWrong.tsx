import { mendings } from '@core/recipe/setbacks.data';
import { type BenchJob, taskIdOf } from '@core/schedule/benchJobs';
import { type SetbackProblem, setbackProblems } from '@core/state/setback';
import { Button } from 'antd';
import { useCommands, useRows } from '../../app/projectStore';
import styles from './step.module.css';

/** What went wrong with a coat: what mends it is planned in, and other pieces are warned. */
export function WentWrong(props: { job: BenchJob; finish: (problem: SetbackProblem) => void; onSaid: () => void }) {
  const rows = useRows();
  const { run } = useCommands();
  const { job } = props;
  const recipe = rows.recipes.find(({ id }) => id === job.subject?.recipeId);
  const { step } = job;
  const stepRun = rows.stepRuns.find((one) => taskIdOf(one) === job.task.id);
  const entry = rows.logEntries.find(({ id }) => id === stepRun?.logId);
  if (!recipe || step?.kind !== 'coat' || step.layerId === null || step.coat === null)
    return (
      <p className={styles.hint}>
        Press Done, then write what went wrong in the note of its line: it stays in the log.{' '}
        <Button size="small" onClick={props.onSaid}>
          Good
        </Button>
      </p>
    );
  const { layerId, coat } = step;
  return (
    <section className={styles.tell} aria-label="What went wrong">
      <h2>What went wrong?</h2>
      <div className={styles.problems}>
        {setbackProblems.map((problem) => (
          <Button
            key={problem}
            size="large"
            onClick={() => {
              if (entry) run('editLogEntry', { id: entry.id, values: { wrong: problem } });
              else props.finish(problem);
              const { setbacks } = recipe.body;
              run('editRecipe', {
                id: recipe.id,
                values: {
                  body: {
                    ...recipe.body,
                    setbacks: [...setbacks, { id: crypto.randomUUID(), layerId, coat, problem, note: '' }],
                  },
                },
              });
              props.onSaid();
            }}
          >
            {mendings[problem].name}
          </Button>
        ))}
        <Button size="large" type="text" onClick={props.onSaid}>
          Nothing, go on
        </Button>
      </div>
    </section>
  );
}
