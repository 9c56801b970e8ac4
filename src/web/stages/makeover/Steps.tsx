import type { Finding } from '@core/kernel/finding';
import { sourceTag } from '@core/kernel/source';
import { acknowledgmentTrigger } from '@core/plan/acknowledgment';
import { formatMinutes, sentenceFor } from '@core/plan/sentences';
import { safetyRules } from '@core/safety/cautions';
import type { Step } from '@core/state/step';
import { Button } from 'antd';
import { useState } from 'react';
import { deviceName } from '../../app/api';
import { useProject } from '../../app/projectStore';
import { useRim } from '../../app/useRim';
import { SourceTag } from '../../ui/basics';
import { NumberField } from '../../ui/fields';
import styles from './makeover.module.css';
import type { RecipeAccess } from './useRecipe';

/** One caution card; a stop has to be acknowledged, and lapses when what raised it changes. */
export function Caution(props: { finding: Finding; recipeId: string; recipe?: RecipeAccess }) {
  const { rows, run } = useProject();
  const rim = useRim();
  const { finding, recipe } = props;
  const trigger = acknowledgmentTrigger(finding);
  const done = rows.acknowledgments.find((entry) => entry.recipeId === props.recipeId && entry.trigger === trigger);
  const rule = finding.code.startsWith('caution.')
    ? safetyRules.find(finding.code.slice('caution.'.length))
    : undefined;
  const { fix } = finding;
  return (
    <div className={styles.caution} data-severity={finding.severity}>
      {finding.severity === 'refuse' && <b>Refused. </b>}
      {finding.severity === 'stop' && <b>Stop. </b>}
      {sentenceFor(finding, rim)} {rule && <SourceTag>{sourceTag(rule.source)}</SourceTag>}
      {finding.severity === 'stop' &&
        (done ? (
          <div className="muted">
            Acknowledged{' '}
            {new Intl.DateTimeFormat('en-US', {
              dateStyle: 'medium',
              timeStyle: 'short',
              timeZone: rim.timeZone,
            }).format(done.atMs)}
          </div>
        ) : (
          <div>
            <Button
              size="small"
              onClick={() =>
                run('acknowledge', {
                  acknowledgment: {
                    id: crypto.randomUUID(),
                    version: 1,
                    recipeId: props.recipeId,
                    trigger,
                    by: deviceName,
                    atMs: Date.now(),
                  },
                })
              }
            >
              I have read this
            </Button>
          </div>
        ))}
      {fix?.kind === 'restoreProposal' && recipe && (
        <div>
          <Button
            size="small"
            onClick={() =>
              recipe.setBody({ dropped: recipe.row.body.dropped.filter((entry) => entry !== fix.proposal) })
            }
          >
            Put it back
          </Button>
        </div>
      )}
      {fix?.kind === 'setLeadTest' && (
        <div style={{ display: 'flex', flexWrap: 'wrap', gap: 6, marginTop: 4 }}>
          <Button size="small" onClick={() => run('editFind', { id: fix.findId, values: { leadTest: 'negative' } })}>
            Tested: negative
          </Button>
          <Button size="small" onClick={() => run('editFind', { id: fix.findId, values: { leadTest: 'positive' } })}>
            Tested: positive
          </Button>
          <Button size="small" onClick={() => run('editFind', { id: fix.findId, values: { era: 'recent' } })}>
            It is newer
          </Button>
        </div>
      )}
    </div>
  );
}

const waitWords = (step: Step): string => {
  const words = step.after.flatMap((link) =>
    link.allowed.map((interval) => {
      const from =
        interval.fromHours >= 48
          ? `${Math.round(interval.fromHours / 24)} days`
          : interval.fromHours < 1
            ? `${Math.round(interval.fromHours * 60)} min`
            : `${interval.fromHours} h`;
      const scuff = interval.extraSteps.includes('scuff') ? ', scuffed' : '';
      if (interval.toHours === null) return interval.fromHours > 0 ? `after ${from}${scuff}` : '';
      return `${from} to ${interval.toHours >= 48 ? `${Math.round(interval.toHours / 24)} days` : `${interval.toHours} h`}${scuff}`;
    }),
  );
  return words.filter((part) => part !== '').join(', or ');
};

/** The ordered steps with minutes, waits and the cautions where they matter; minutes and waits can be overruled. */
export function Steps(props: { recipe: RecipeAccess }) {
  const { plan } = useProject();
  const { recipe } = props;
  const [open, setOpen] = useState<string | null>(null);
  const overhead = 1 + plan.assumptions.number('labor.overheadPercent') / 100;
  const edit = (stepId: string, change: { runMinutes?: number; waitHours?: number }) =>
    recipe.setBody({
      stepEdits: { ...recipe.row.body.stepEdits, [stepId]: { ...recipe.row.body.stepEdits[stepId], ...change } },
    });
  const reset = (stepId: string) => {
    const { [stepId]: _gone, ...rest } = recipe.row.body.stepEdits;
    recipe.setBody({ stepEdits: rest });
  };
  const total =
    recipe.plan.steps.reduce((sum, step) => sum + step.setUpMinutes + step.runMinutes + step.cleanUpMinutes, 0) *
    overhead;
  return (
    <>
      <h2>Steps</h2>
      <span className="muted">
        about {formatMinutes(total)} hands-on in {recipe.plan.steps.length} steps
      </span>
      {recipe.plan.steps.map((step, index) => {
        const wait = waitWords(step);
        const minutes = (step.setUpMinutes + step.runMinutes + step.cleanUpMinutes) * overhead;
        const limits = step.limits;
        return (
          <div key={step.id}>
            {wait !== '' && <div className={styles.wait}>{wait}</div>}
            <div className={styles.step}>
              <b>{index + 1}</b>
              <span>{step.title}</span>
              <time>
                {step.kind === 'leadTest' ? (
                  'if wanted'
                ) : (
                  <button
                    type="button"
                    className={styles.minutes}
                    onClick={() => setOpen(open === step.id ? null : step.id)}
                    aria-expanded={open === step.id}
                    aria-label={`${step.title}: ${Math.round(minutes)} minutes, change`}
                  >
                    {Math.round(minutes)} min
                  </button>
                )}
              </time>
              {(step.overruled.length > 0 || (limits && step.place === 'outdoors')) && (
                <small>
                  {step.overruled.length > 0 && 'your own figures. '}
                  {limits &&
                    step.place === 'outdoors' &&
                    `Outdoors, ${limits.minimumC} to ${limits.maximumC} °C, under ${limits.maximumHumidity} % humidity.`}
                </small>
              )}
              {open === step.id && (
                <div style={{ gridColumn: '2 / -1' }}>
                  <div className={styles.two}>
                    <NumberField
                      label="Work, minutes"
                      value={step.runMinutes}
                      digits={1}
                      least={0}
                      most={6000}
                      onCommit={(runMinutes) => edit(step.id, { runMinutes })}
                      hint={`plus set-up ${step.setUpMinutes}, clean-up ${step.cleanUpMinutes}, overhead`}
                    />
                    {step.after.length > 0 && (
                      <NumberField
                        label="Wait before, hours"
                        value={step.after[0]?.allowed[0]?.fromHours ?? 0}
                        digits={2}
                        least={0}
                        most={2000}
                        onCommit={(waitHours) => edit(step.id, { waitHours })}
                      />
                    )}
                  </div>
                  {step.overruled.length > 0 && (
                    <Button size="small" onClick={() => reset(step.id)}>
                      Back to computed
                    </Button>
                  )}
                </div>
              )}
              {step.cautions.map((finding) => (
                <Caution key={finding.code} finding={finding} recipeId={recipe.row.id} recipe={recipe} />
              ))}
            </div>
          </div>
        );
      })}
      {recipe.plan.steps.length === 0 && <p className="muted">No step yet: choose a finish.</p>}
    </>
  );
}
