import type { Finding } from '@core/kernel/finding';
import { formatMinutes } from '@core/kernel/formatMinutes';
import { cautionsAt } from '@core/recipe/recipeFindings';
import type { Step } from '@core/state/step';
import { supplyWords } from '@core/words/supplyWords';
import { useState } from 'react';
import { useLocale, usePlan } from '../../app/projectStore';
import { difficultyWords, temperatureWords } from '../../app/words';
import { later } from '../../ui/later';
import { Caution } from './Caution';
import styles from './makeover.module.css';
import type { RecipeAccess } from './useRecipe';
import { Weather } from './Weather';

const StepEditor = later(async () => (await import('./StepEditor')).StepEditor);

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
