import { sourceTag } from '@core/kernel/source';
import { acknowledgmentTrigger } from '@core/plan/acknowledgment';
import { isRepairable } from '@core/recipe/isRepairable';
import type { RecipeFinding } from '@core/recipe/recipeSentences';
import { safetyRules } from '@core/safety/cautions';
import { sentenceFor } from '@core/words/sentences';
import { Button } from 'antd';
import { deviceName } from '../../app/api';
import { useCommands, useLocale, useRows } from '../../app/projectStore';
import { SourceTag } from '../../ui/basics';
import { later } from '../../ui/later';
import styles from './makeover.module.css';
import type { RecipeAccess } from './useRecipe';

// The caution itself stands there at once; what can be done about it comes after it.
const FixButtons = later(async () => (await import('./FixButtons')).FixButtons);
const Repairs = later(async () => (await import('./Repairs')).Repairs);

/** One caution card; a stop has to be acknowledged, and lapses when what raised it changes. */
export function Caution(props: {
  finding: RecipeFinding;
  recipeId: string;
  recipe?: RecipeAccess;
  /** Whether it was said in full at an earlier step. */
  again?: boolean;
}) {
  const locale = useLocale();
  const { finding, recipe } = props;
  const rule = finding.code.startsWith('caution.')
    ? safetyRules.find(finding.code.slice('caution.'.length))
    : undefined;
  const sentence = sentenceFor(finding, locale);
  if (props.again)
    return (
      <div className={styles.caution} data-severity={finding.severity}>
        As before: {sentence.split(/[.;:]/)[0]}.
      </div>
    );
  return (
    <div className={styles.caution} data-severity={finding.severity}>
      {finding.severity === 'refuse' && <b>Refused. </b>}
      {finding.severity === 'stop' && <b>Stop. </b>}
      {sentence} {rule && finding.severity === 'stop' && 'Local codes and licensed practice come first. '}
      {rule && <SourceTag>{sourceTag(rule.source)}</SourceTag>}
      {finding.severity === 'stop' && (
        <Acknowledgment
          finding={finding}
          recipeId={props.recipeId}
          words={isRepairable(finding) ? 'I accept the risk' : 'I have read this'}
        />
      )}
      {finding.fix && <FixButtons fix={finding.fix} recipe={recipe} />}
      {recipe && isRepairable(finding) && <Repairs finding={finding} recipe={recipe} />}
    </div>
  );
}

function Acknowledgment(props: { finding: RecipeFinding; recipeId: string; words: string }) {
  const rows = useRows();
  const { run } = useCommands();
  const locale = useLocale();
  const trigger = acknowledgmentTrigger(props.finding);
  const done = rows.acknowledgments.find((entry) => entry.recipeId === props.recipeId && entry.trigger === trigger);
  if (done)
    return (
      <div className="muted">
        Acknowledged{' '}
        {new Intl.DateTimeFormat('en-US', {
          dateStyle: 'medium',
          timeStyle: 'short',
          timeZone: locale.timeZone,
        }).format(done.atMs)}
      </div>
    );
  const acknowledge = () =>
    run('acknowledge', {
      acknowledgment: {
        id: crypto.randomUUID(),
        version: 1,
        recipeId: props.recipeId,
        trigger,
        by: deviceName,
        atMs: Date.now(),
      },
    });
  return (
    <div>
      <Button size="small" onClick={acknowledge}>
        {props.words}
      </Button>
    </div>
  );
}
