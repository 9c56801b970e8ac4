import { coatings } from '@core/catalog/coatings';
import { formatMinutes } from '@core/kernel/formatMinutes';
import { formatMoney } from '@core/kernel/formatMoney';
import type { RecipeFinding } from '@core/recipe/recipeSentences';
import { costOfRepair, type Repair, repairsFor } from '@core/recipe/repairs';
import { Button } from 'antd';
import { useMemo, useState } from 'react';
import { useLocale, usePlan } from '../../app/projectStore';
import styles from './makeover.module.css';
import type { RecipeAccess } from './useRecipe';

function repairWords(repair: Repair): string {
  const name = repair.coating === null ? '' : (coatings.find(repair.coating)?.name ?? repair.coating);
  switch (repair.kind) {
    case 'putBack':
      return 'Put back what was left out';
    case 'wait':
      return 'Wait as long as it asks for';
    case 'between':
      return `${name} in between`;
    case 'dewax':
      return 'Wash the wax off twice first';
    case 'strip':
      return 'Strip it to the material';
    case 'insteadBelow':
      return `${name} beneath it instead`;
    case 'instead':
      return `${name} instead`;
    case 'washInstead':
      return `A wash of ${name.toLowerCase()} instead`;
    case 'leaveOut':
      return `Leave the ${name.toLowerCase()} out there`;
    case 'otherLook':
      return `Another look: ${name.toLowerCase()}, covering`;
    default:
      return repair.kind satisfies never;
  }
}

/** What would make it hold, what keeps the look first; one press puts it into the recipe. */
export function Repairs(props: { finding: RecipeFinding; recipe: RecipeAccess }) {
  const plan = usePlan();
  const hourValue = plan.rows.project.hourValue ?? 0;
  const locale = useLocale();
  const { finding, recipe } = props;
  const { row } = recipe;
  const [open, setOpen] = useState(false);
  // Worked out anew whenever the recipe, a fact of a piece or a price changes.
  const repairs = useMemo(() => {
    if (!open) return [];
    const { model } = plan;
    return repairsFor(row.id, row.body, model.recipeContext(), finding, (needs) => model.cashOf(needs), hourValue);
  }, [open, row, plan, finding, hourValue]);
  const cost = (repair: Repair) => {
    const signed = (text: string, value: number) => (value < 0 ? `−${text}` : `+${text}`);
    const cash = signed(formatMoney(Math.abs(repair.cash), locale.currency), repair.cash);
    const minutes = signed(formatMinutes(Math.abs(repair.minutes)), repair.minutes);
    return `${cash}, ${minutes}`;
  };
  if (!open)
    return (
      <div>
        <Button size="small" onClick={() => setOpen(true)}>
          How to mend it
        </Button>
      </div>
    );
  if (repairs.length === 0) return <p className="small">Nothing here makes it hold: choose another finish.</p>;
  const costs = repairs.map((repair) => costOfRepair(repair, hourValue));
  const cheapest = costs.indexOf(Math.min(...costs));
  return (
    <ul className={styles.repairs}>
      {repairs.map((repair, index) => (
        <li key={repair.id}>
          <Button size="small" onClick={() => recipe.setBody(repair.body)}>
            {repairWords(repair)}
          </Button>{' '}
          <span className="small">
            {cost(repair)}
            {index === cheapest && repairs.length > 1 ? ' · the cheapest' : ''}
          </span>
        </li>
      ))}
    </ul>
  );
}
