import { studioRecipeOf, withStudioRecipe } from '@core/recipe/studioRecipe';
import { Button } from 'antd';
import { useCommands, useRows } from '../../app/projectStore';
import { OneOf } from '../../ui/Choice';
import styles from './makeover.module.css';
import type { RecipeAccess } from './useRecipe';

/** Keeps a recipe for the studio, and puts a kept one on this piece: amounts follow from its own zones. */
export function StudioRecipes(props: { recipe: RecipeAccess }) {
  const rows = useRows();
  const { run } = useCommands();
  const { recipe } = props;
  const { body } = recipe.row;
  const keep = () =>
    run('keepRecipe', {
      row: {
        id: crypto.randomUUID(),
        version: 1,
        name: recipe.row.name,
        templateId: body.pieces[0]?.templateId ?? 'freeBox',
        body: studioRecipeOf(body),
      },
    });
  const apply = (id: string) => {
    const kept = rows.studioRecipes.find((row) => row.id === id);
    if (kept) recipe.setBody(withStudioRecipe(body, kept.body, recipe.plan.zones, () => crypto.randomUUID()));
  };
  return (
    <div className={styles.fixes}>
      {rows.studioRecipes.length > 0 && (
        <OneOf
          label="Take a studio recipe"
          placeholder="Take a studio recipe"
          value={null}
          onChange={apply}
          options={rows.studioRecipes.map((row) => ({ value: row.id, label: row.name }))}
        />
      )}
      {body.layers.length > 0 && (
        <Button type="text" onClick={keep}>
          Keep as a studio recipe
        </Button>
      )}
    </div>
  );
}

/** The recipes that the studio keeps; one that is not wanted any more goes. */
export function KeptRecipes() {
  const rows = useRows();
  const { run } = useCommands();
  if (rows.studioRecipes.length === 0) return null;
  return (
    <section aria-label="Studio recipes">
      <h2>Studio recipes</h2>
      <ul className={styles.kept}>
        {rows.studioRecipes.map((row) => (
          <li key={row.id}>
            {row.name}{' '}
            <Button
              size="small"
              type="text"
              onClick={() => run('forgetRecipe', { id: row.id })}
              aria-label={`Remove the studio recipe ${row.name}`}
            >
              Remove
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
