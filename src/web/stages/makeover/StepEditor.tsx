import { coatings } from '@core/catalog/coatings';
import { explainStep } from '@core/plan/why/explainStep';
import { coatingOfLayer } from '@core/recipe/recipeBody';
import { mendings } from '@core/recipe/setbacks.data';
import { isSetback, wrongsAt } from '@core/recipe/wentWrong';
import type { Step } from '@core/state/step';
import { Button } from 'antd';
import { usePlan } from '../../app/projectStore';
import { WhyTree } from '../../app/WhyTree';
import { NumberField, TextField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import styles from './makeover.module.css';
import type { RecipeAccess } from './useRecipe';

/** What of a step can be overruled, and why it takes as long as it does. */
export function StepEditor(props: { step: Step; recipe: RecipeAccess }) {
  const plan = usePlan();
  const { step, recipe } = props;
  const { body } = recipe.row;
  const own = body.ownSteps.find((entry) => entry.id === step.id);
  const setOwn = (change: Partial<NonNullable<typeof own>>) =>
    recipe.setBody({
      ownSteps: body.ownSteps.map((entry) => (entry.id === step.id ? { ...entry, ...change } : entry)),
    });
  const addOwn = () =>
    recipe.setBody({
      ownSteps: [
        ...body.ownSteps,
        { id: crypto.randomUUID(), title: 'A step of my own', minutes: 10, waitHours: 0, afterStepId: step.id },
      ],
    });
  if (own)
    return (
      <div className={styles.stepEditor}>
        <TextField
          label="What is done"
          value={own.title}
          least={1}
          most={120}
          onCommit={(title) => setOwn({ title })}
        />
        <SideBySide across={2}>
          <NumberField
            label="Work, minutes"
            value={own.minutes}
            digits={1}
            least={0}
            most={6000}
            onCommit={(minutes) => setOwn({ minutes })}
          />
          <NumberField
            label="Then wait, hours"
            value={own.waitHours}
            digits={2}
            least={0}
            most={2000}
            onCommit={(waitHours) => setOwn({ waitHours })}
          />
        </SideBySide>
        <Button
          size="small"
          onClick={() => recipe.setBody({ ownSteps: body.ownSteps.filter((entry) => entry.id !== own.id) })}
        >
          Remove this step
        </Button>
      </div>
    );
  return (
    <div className={styles.stepEditor}>
      {!step.skipped && step.kind !== 'leadTest' && (
        <SideBySide across={2}>
          <NumberField
            label="Work, minutes"
            value={step.runMinutes}
            digits={1}
            least={0}
            most={6000}
            onCommit={(runMinutes) => recipe.setStep(step.id, { runMinutes })}
            hint={`plus set-up ${step.setUpMinutes}, clean-up ${step.cleanUpMinutes}, overhead`}
          />
          {step.after.length > 0 && (
            <NumberField
              label="Wait before, hours"
              value={step.after[0]?.allowed[0]?.fromHours ?? 0}
              digits={2}
              least={0}
              most={2000}
              onCommit={(waitHours) => recipe.setStep(step.id, { waitHours })}
            />
          )}
        </SideBySide>
      )}
      <WhyTree tree={explainStep(plan, recipe.plan, step)} />
      <div className={styles.fixes}>
        {step.overruled.length > 0 && (
          <Button size="small" onClick={() => recipe.setStep(step.id, null)}>
            Back to computed
          </Button>
        )}
        <Button
          size="small"
          onClick={() => (step.skipped ? recipe.setStep(step.id, null) : recipe.setStep(step.id, { skipped: true }))}
        >
          {step.skipped ? 'Put it back in' : 'Leave this step out'}
        </Button>
        <Button size="small" onClick={addOwn}>
          Add a step after it
        </Button>
      </div>
      {step.kind === 'coat' && step.layerId !== null && step.coat !== null && (
        <WentWrong layerId={step.layerId} coat={step.coat} recipe={recipe} />
      )}
    </div>
  );
}

/** A coat that went wrong is mended in the plan from there on, and the lesson is kept. */
function WentWrong(props: { layerId: string; coat: number; recipe: RecipeAccess }) {
  const { layerId, coat, recipe } = props;
  const { setbacks } = recipe.row.body;
  const here = setbacks.find((setback) => setback.layerId === layerId && setback.coat === coat);
  if (here)
    return (
      <p className="small">
        <b>{mendings[here.problem].name}:</b> {mendings[here.problem].lesson}.{' '}
        <Button
          size="small"
          type="text"
          onClick={() => recipe.setBody({ setbacks: setbacks.filter((setback) => setback.id !== here.id) })}
        >
          It did not
        </Button>
      </p>
    );
  // Paper and film are not laid again like paint: what goes wrong with them is said at the bench.
  const coatingId = coatingOfLayer(recipe.row.body, layerId);
  const problems = wrongsAt('coat', coatings.find(coatingId ?? '')?.group ?? null).filter(isSetback);
  if (problems.length === 0) return null;
  return (
    <fieldset className={styles.wrong}>
      <legend>Went wrong?</legend>
      {problems.map((problem) => (
        <Button
          key={problem}
          size="small"
          onClick={() =>
            recipe.setBody({ setbacks: [...setbacks, { id: crypto.randomUUID(), layerId, coat, problem, note: '' }] })
          }
        >
          {mendings[problem].name}
        </Button>
      ))}
    </fieldset>
  );
}
