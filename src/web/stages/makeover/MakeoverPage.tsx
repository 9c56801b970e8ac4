import { Link, useParams } from 'react-router';
import { usePlan, useRows } from '../../app/projectStore';
import shell from '../../app/shell.module.css';
import { Empty } from '../../ui/basics';
import { Cards } from '../../ui/layout';
import { PieceDrawing } from '../../ui/PieceDrawing';
import { ColorFamilies } from './ColorFamilies';
import styles from './makeover.module.css';
import { finalColor } from './PieceColumn';
import { RecipePage } from './RecipePage';
import { KeptRecipes } from './StudioRecipes';

/** All recipes, or one of them in full. */
export function MakeoverPage() {
  const { recipeId } = useParams();
  return recipeId ? <RecipePage key={recipeId} recipeId={recipeId} /> : <RecipeList />;
}

function RecipeList() {
  const rows = useRows();
  const plan = usePlan();
  return (
    <main className={shell.page}>
      <h1>Makeovers</h1>
      {rows.recipes.length === 0 ? (
        <Empty title="No makeover yet">
          <p>
            Enter a find and press “Make over” for its slot, or add a makeover on the <Link to="../compare">board</Link>
            .
          </p>
        </Empty>
      ) : (
        <>
          <Cards leastWidth={230} className={styles.list}>
            {rows.recipes.map((recipe) => {
              const piece = recipe.body.pieces[0];
              const computed = plan.model.recipe(recipe.id);
              return (
                <li key={recipe.id}>
                  <Link to={recipe.id}>
                    {piece && (
                      <PieceDrawing
                        templateId={piece.templateId}
                        measures={piece.measures}
                        colorOf={(zoneId) => finalColor(computed, `${piece.id}/${zoneId}`)}
                        label={`${recipe.name}, made over`}
                        size={64}
                      />
                    )}
                    <span>
                      <b>{recipe.name}</b>
                      <br />
                      <span className="muted small">
                        {computed?.layers.map((layer) => layer.coating.name.toLowerCase()).join(', ')}
                      </span>
                    </span>
                  </Link>
                </li>
              );
            })}
          </Cards>
          <p>
            <Link to="cut">Cut: sheets, rolls and boards with what is cut from each</Link>
            <br />
            <Link to="labels">Labels to print: lids, bags, parts</Link>
          </p>
          <ColorFamilies />
          <KeptRecipes />
        </>
      )}
    </main>
  );
}
