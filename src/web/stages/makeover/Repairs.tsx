import { coatings } from '@core/catalog/coatings';
import { formatMinutes } from '@core/kernel/formatMinutes';
import { formatMoney } from '@core/kernel/formatMoney';
import type { RecipeFinding } from '@core/recipe/recipeSentences';
import { type Repair, repairsFor } from '@core/recipe/repairs';
import { Button } from 'antd';
import { useState } from 'react';
import { useLocale, usePlan, useRows } from '../../app/projectStore';
import styles from './makeover.module.css';
import type { RecipeAccess } from './useRecipe';

function repairWords(repair: Repair): string {
  const name = repair.coating === null ? '' : (coatings.find(repair.coating)?.name ?? repair.coating);
  switch (repair.kind) {
    case 'barrier':
      return `${name} in between`;
    case 'dewax':
      return `Wash the wax off twice, then ${name.toLowerCase()}`;
    case 'strip':
      return 'Strip it to the material';
    case 'changeCoating':
      return `${name} instead`;
    default:
      return repair.kind satisfies never;
  }
}

/** What would make it hold, cheapest first; one press puts it into the recipe. */
export function Repairs(props: { finding: RecipeFinding; recipe: RecipeAccess }) {
  const rows = useRows();
  const plan = usePlan();
  const locale = useLocale();
  const { finding, recipe } = props;
  const [repairs, setRepairs] = useState<Repair[] | null>(null);
  const look = () => {
    const cashOf = (needs: ReadonlyMap<string, number>) =>
      [...needs].reduce((sum, [key, amount]) => sum + plan.model.purchase(key, amount).cash.likely, 0);
    setRepairs(
      repairsFor(recipe.row.id, recipe.row.body, recipe.context(), finding, cashOf, rows.project.hourValue ?? 0),
    );
  };
  const cost = (repair: Repair) => {
    const signed = (text: string, value: number) => (value < 0 ? `−${text}` : `+${text}`);
    const cash = signed(formatMoney(Math.abs(repair.cash), locale.currency), repair.cash);
    const minutes = signed(formatMinutes(Math.abs(repair.minutes)), repair.minutes);
    return `${cash}, ${minutes}`;
  };
  if (repairs === null)
    return (
      <div>
        <Button size="small" onClick={look}>
          How to mend it
        </Button>
      </div>
    );
  if (repairs.length === 0) return <p className="small">Nothing here makes it hold: choose another finish.</p>;
  return (
    <ul className={styles.repairs}>
      {repairs.map((repair, index) => (
        <li key={repair.id}>
          <Button size="small" onClick={() => recipe.setBody(repair.body)}>
            {repairWords(repair)}
          </Button>{' '}
          <span className="small">
            {cost(repair)}
            {index === 0 && repairs.length > 1 ? ' · the cheapest' : ''}
          </span>
        </li>
      ))}
    </ul>
  );
}
