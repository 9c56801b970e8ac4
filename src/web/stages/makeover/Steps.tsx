import { coatings } from '@core/catalog/coatings';
import type { Finding } from '@core/kernel/finding';
import { formatMinutes } from '@core/kernel/formatMinutes';
import { explainStep } from '@core/plan/why/explainStep';
import { coatingOfLayer } from '@core/recipe/recipeBody';
import { cautionsAt } from '@core/recipe/recipeFindings';
import { mendings } from '@core/recipe/setbacks.data';
import { isSetback, wrongsAt } from '@core/recipe/wentWrong';
import type { Step } from '@core/state/step';
import { supplyWords } from '@core/words/supplyWords';
import { Button } from 'antd';
import { useState } from 'react';
import { useLocale, usePlan } from '../../app/projectStore';
import { WhyTree } from '../../app/WhyTree';
import { difficultyWords, temperatureWords } from '../../app/words';
import { NumberField, TextField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import { Caution } from './Caution';
import styles from './makeover.module.css';
import type { RecipeAccess } from './useRecipe';
import { Weather } from './Weather';

const hourWords = (hours: number): string => {
  const rounded = Math.round(hours * 10) / 10;
  if (hours >= 48) return `${Math.round(hours / 24)} days`;
  return hours < 1 ? `${Math.round(hours * 60)} min` : `${rounded} h`;
};

const waitWords = (step: Step): string => {
  const words = step.after.flatMap((link) =>
    link.allowed.map((interval) => {
      const from = hourWords(interval.fromHours);
      const scuff = interval.extraSteps.includes('scuff') ? ', scuffed' : '';
      if (interval.toHours === null) return interval.fromHours > 0 ? `after ${from}${scuff}` : '';
      return `${from} to ${hourWords(interval.toHours)}${scuff}`;
    }),
  );
  return [...new Set(words.filter((part) => part !== ''))].join(', or ');
};

/** The ordered steps with minutes, waits and the cautions where they matter; all of it can be overruled. */
export function Steps(props: { recipe: RecipeAccess }) {
  const plan = usePlan();
  const { recipe } = props;
  const [open, setOpen] = useState<string | null>(null);
  const overhead = 1 + plan.assumptions.number('labor.overheadPercent') / 100;
  const minutesOf = (step: Step) => (step.setUpMinutes + step.runMinutes + step.cleanUpMinutes) * overhead;
  const shown = (step: Step): string => {
    if (step.kind === 'leadTest') return 'if wanted';
    if (step.skipped) return 'left out';
    return minutesOf(step) < 0.5 ? 'a moment' : `${Math.round(minutesOf(step))} min`;
  };
  const isLastCoat = (step: Step, index: number): boolean =>
    step.kind === 'coat' &&
    !recipe.plan.steps.slice(index + 1).some((later) => later.kind === 'coat' && later.layerId === step.layerId);
  /** A warning that an earlier step says in full is said in its first words here; a stop is always said in full. */
  const saidBefore = (finding: Finding, index: number): boolean =>
    finding.severity !== 'stop' &&
    recipe.plan.steps
      .slice(0, index)
      .some((step) => cautionsAt(recipe.plan, step.id).some((earlier) => earlier.code === finding.code));
  const total = recipe.plan.steps.reduce((sum, step) => sum + minutesOf(step), 0);
  const { difficulty } = recipe.plan;
  const count = recipe.plan.steps.filter((step) => !step.skipped).length;
  return (
    <>
      <h2>Steps</h2>
      <span className="muted">
        about {formatMinutes(total)} hands-on in {count} steps · {difficultyWords[difficulty.level]}
        {difficulty.because.length > 0 && `: ${difficulty.because.join('; ')}`}
      </span>
      <Weather />
      {recipe.plan.steps.map((step, index) => {
        const wait = step.skipped ? '' : waitWords(step);
        return (
          <div key={step.id}>
            {wait !== '' && <div className={styles.wait}>{wait}</div>}
            <div className={styles.step} data-skipped={step.skipped}>
              <b>{index + 1}</b>
              <span>{step.title}</span>
              <time>
                <button
                  type="button"
                  data-inline
                  className={styles.minutes}
                  onClick={() => setOpen(open === step.id ? null : step.id)}
                  aria-expanded={open === step.id}
                  aria-label={`${step.title}: ${shown(step)}, change`}
                >
                  {shown(step)}
                </button>
              </time>
              <StepNotes step={step} isLastCoat={isLastCoat(step, index)} />
              {open === step.id && <StepEditor step={step} recipe={recipe} />}
              {cautionsAt(recipe.plan, step.id).map((finding) => (
                <Caution
                  key={finding.code}
                  finding={finding}
                  recipeId={recipe.row.id}
                  recipe={recipe}
                  again={saidBefore(finding, index)}
                />
              ))}
            </div>
          </div>
        );
      })}
      {recipe.plan.steps.length === 0 && <p className="muted">No step yet: choose a finish.</p>}
    </>
  );
}

/** What is to be known of a step in small print: how, the mix, the weather. */
function StepNotes(props: { step: Step; isLastCoat: boolean }) {
  const locale = useLocale();
  const { step } = props;
  const { limits, mix, drying } = step;
  const notes = [
    step.overruled.length > 0 ? 'your own figures' : '',
    mix
      ? `mix ${supplyWords(mix.paint, 'mL', locale.units)} paint and ${supplyWords(mix.waterMl, 'mL', locale.units)} water${mix.keepsHours === null ? '' : `; keeps ${hourWords(mix.keepsHours)}`}`
      : step.potLifeHours !== null
        ? `mixed, it keeps ${hourWords(step.potLifeHours)}`
        : '',
    step.hint,
    drying && props.isLastCoat
      ? `dry to touch after ${hourWords(drying.touchHours)}, handle after ${hourWords(drying.untilHours)}, full cure ${Math.round(drying.cureDays)} days`
      : '',
    limits?.dewSpreadC != null && step.place !== 'outdoors'
      ? `the surface at least ${locale.units === 'us' ? `${Math.round(limits.dewSpreadC * 18) / 10} °F` : `${limits.dewSpreadC} °C`} over the dew point`
      : '',
    limits && step.place === 'outdoors'
      ? `outdoors, ${temperatureWords(limits.minimumC, locale.units)} to ${temperatureWords(limits.maximumC, locale.units)}, under ${limits.maximumHumidity} % humidity`
      : '',
  ].filter((note) => note !== '');
  const sentences = notes.map((note) => `${note.charAt(0).toUpperCase()}${note.slice(1)}`);
  return sentences.length > 0 && !step.skipped ? <small>{sentences.join('. ')}.</small> : null;
}

function StepEditor(props: { step: Step; recipe: RecipeAccess }) {
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
