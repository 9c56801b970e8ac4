import { withoutPiece } from '@core/recipe/withoutPiece';
import { Button } from 'antd';
import { coveredFind } from '../../app/newOption';
import { useCommands, useRows } from '../../app/projectStore';
import { OneOf } from '../../ui/Choice';
import styles from './makeover.module.css';
import type { RecipeAccess } from './useRecipe';

/** One recipe for several finds: strays that become a set. What one takes shares its sessions with the others. */
export function MorePieces(props: { recipe: RecipeAccess }) {
  const rows = useRows();
  const { run } = useCommands();
  const { recipe } = props;
  const covered = new Set(recipe.row.body.pieces.map((piece) => piece.findId));
  const others = rows.finds.filter((find) => !covered.has(find.id) && find.state !== 'passed' && !find.archived);
  if (others.length === 0) return null;
  const cover = (findId: string) => {
    const find = others.find((candidate) => candidate.id === findId);
    if (!find) return;
    const ways = rows.options.filter((option) => option.parts.some((part) => part.findId === findId));
    const slotId = ways[0]?.slotId ?? null;
    run('coverFind', coveredFind(recipe.row, find, slotId));
  };
  return (
    <div className={styles.fixes}>
      <OneOf
        label="Cover another find too"
        placeholder="Cover another find too"
        value={null}
        onChange={cover}
        options={others.map((find) => ({ value: find.id, label: find.name }))}
        width="100%"
      />
    </div>
  );
}

/** Takes one of several pieces out of the recipe; its zones and its makeovers on the board go with it. */
export function LeavePiece(props: { pieceId: string; recipe: RecipeAccess }) {
  const rows = useRows();
  const { run } = useCommands();
  const { id, body } = props.recipe.row;
  const piece = body.pieces.find((candidate) => candidate.id === props.pieceId);
  if (body.pieces.length < 2 || !piece) return null;
  const leave = () => {
    for (const option of rows.options)
      if (option.recipeId === id && option.parts.every((part) => part.findId === piece.findId))
        run('removeOption', { id: option.id });
    props.recipe.setBody(withoutPiece(body, piece.id));
  };
  return (
    <Button size="small" type="text" onClick={leave}>
      Take this piece out of the recipe
    </Button>
  );
}
