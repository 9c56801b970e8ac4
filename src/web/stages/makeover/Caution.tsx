import type { Fix } from '@core/kernel/finding';
import { sourceTag } from '@core/kernel/source';
import { acknowledgmentTrigger } from '@core/plan/acknowledgment';
import type { RecipeFinding } from '@core/recipe/recipeSentences';
import { isRepairable } from '@core/recipe/repairs';
import { safetyRules } from '@core/safety/cautions';
import { sentenceFor } from '@core/words/sentences';
import { Button } from 'antd';
import { deviceName } from '../../app/api';
import { newColorCard } from '../../app/newOption';
import { useCommands, useLocale, useRows } from '../../app/projectStore';
import { SourceTag } from '../../ui/basics';
import styles from './makeover.module.css';
import { Repairs } from './Repairs';
import type { RecipeAccess } from './useRecipe';

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

/** What one press mends, as the finding offers it. */
function FixButtons(props: { fix: Fix; recipe: RecipeAccess | undefined }) {
  const rows = useRows();
  const { run } = useCommands();
  const { fix, recipe } = props;
  switch (fix.kind) {
    case 'setLeadTest':
      return (
        <div className={styles.fixes}>
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
      );
    case 'restoreProposal':
      return recipe ? (
        <Button
          size="small"
          onClick={() => recipe.setBody({ dropped: recipe.row.body.dropped.filter((entry) => entry !== fix.proposal) })}
        >
          Put it back
        </Button>
      ) : null;
    case 'setTechnique':
      return recipe ? (
        <Button size="small" onClick={() => recipe.setLayer(fix.layerId, { techniqueId: fix.techniqueId, values: {} })}>
          Put it on so
        </Button>
      ) : null;
    case 'noteConsent':
      // Consent is noted on the board, beside the way that asks for it.
      return null;
    case 'replaceCoating':
      // The repairs beneath the card offer this and more.
      return null;
    case 'tintPrimer': {
      const name = fix.tint === 'gray' ? 'Primer gray' : 'Primer tint';
      const tint = () => {
        const known = rows.colorCards.find(
          (card) =>
            card.name === name &&
            Math.hypot(card.lab.L - fix.lab.L, card.lab.a - fix.lab.a, card.lab.b - fix.lab.b) < 0.5,
        );
        const card = known ?? newColorCard(name, fix.lab);
        if (!known) run('addColorCard', { row: card });
        recipe?.setBody({ primerTints: { ...recipe.row.body.primerTints, [fix.layerId]: card.id } });
      };
      return recipe ? (
        <Button size="small" onClick={tint}>
          {fix.tint === 'gray' ? 'Prime in gray' : 'Tint the primer'}
        </Button>
      ) : null;
    }
    default:
      return fix satisfies never;
  }
}
