import type { Fix } from '@core/kernel/finding';
import { Button } from 'antd';
import { newColorCard } from '../../app/newOption';
import { useCommands, useRows } from '../../app/projectStore';
import styles from './makeover.module.css';
import type { RecipeAccess } from './useRecipe';

/** What one press mends, as the finding offers it. */
export function FixButtons(props: { fix: Fix; recipe: RecipeAccess | undefined }) {
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
