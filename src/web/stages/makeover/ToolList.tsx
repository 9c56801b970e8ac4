import { tools } from '@core/catalog/tools';
import { Button } from 'antd';
import { useCommands, useLocale, usePlan } from '../../app/projectStore';
import { amountWords } from '../../app/words';
import styles from './makeover.module.css';
import type { RecipeAccess } from './useRecipe';

/** Tools a recipe needs: what the studio has, what must be bought and is then owned. */
export function ToolList(props: { recipe: RecipeAccess }) {
  const plan = usePlan();
  const { run } = useCommands();
  const locale = useLocale();
  const needed = props.recipe.plan.toolIds;
  if (needed.length === 0) return null;
  const owned = needed.filter((id) => plan.model.tool(id).isOwned);
  const missing = needed.filter((id) => !plan.model.tool(id).isOwned);
  return (
    <>
      <h3>Tools</h3>
      {owned.length > 0 && (
        <p className="small">Owned: {owned.map((id) => tools.get(id).name.toLowerCase()).join(', ')}.</p>
      )}
      {missing.map((id) => (
        <div key={id} className={styles.supply}>
          <div className={styles.supplyHead}>
            <span>{tools.get(id).name}</span>
            <span className="muted">{amountWords(plan.model.tool(id).price, locale)}, to buy</span>
            <Button
              size="small"
              onClick={() =>
                run('setTool', { tool: { id: crypto.randomUUID(), version: 1, toolId: id, owned: true, wear: 'good' } })
              }
            >
              I have it
            </Button>
          </div>
        </div>
      ))}
    </>
  );
}
