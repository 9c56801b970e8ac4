import type { RecipeRow } from '@core/model/rows';
import { madeBody } from '@core/plan/madeBody';
import type { RecipePlan } from '@core/recipe/computeRecipe';
import type { ChosenLayer, RecipeBody, RecipePiece, StepEdit, ZoneEdit } from '@core/recipe/recipeBody';
import type { RecipeContext } from '@core/recipe/recipeContext';
import { useCommands, usePlan, useRows } from '../../app/projectStore';

/** One recipe with its plan, and edits that save the whole body. */
export interface RecipeAccess {
  row: RecipeRow;
  plan: RecipePlan;
  /** The body as it will be made: as many like pieces as were chosen. */
  made: RecipeBody;
  /** What it is computed against, for trying changes out. */
  context(): RecipeContext;
  setBody(change: Partial<RecipeBody>): void;
  setPiece(pieceId: string, change: Partial<RecipePiece>): void;
  setZone(pieceId: string, zoneId: string, edit: ZoneEdit): void;
  setLayer(layerId: string, change: Partial<ChosenLayer>): void;
  setStep(stepId: string, edit: StepEdit | null): void;
}

/** The recipe of an id, or null when it is not (any more) in the project. */
export function useRecipe(recipeId: string): RecipeAccess | null {
  const rows = useRows();
  const plan = usePlan();
  const { run } = useCommands();
  const row = rows.recipes.find((candidate) => candidate.id === recipeId);
  const computed = plan.model.recipe(recipeId);
  if (!row || !computed) return null;
  const setBody = (change: Partial<RecipeBody>) =>
    run('editRecipe', { id: row.id, values: { body: { ...row.body, ...change } } });
  const setPiece = (pieceId: string, change: Partial<RecipePiece>) =>
    setBody({ pieces: row.body.pieces.map((piece) => (piece.id === pieceId ? { ...piece, ...change } : piece)) });
  return {
    row,
    plan: computed,
    made: madeBody(rows, row),
    context: () => plan.model.recipeContext(),
    setBody,
    setPiece,
    setZone: (pieceId, zoneId, edit) => {
      const piece = row.body.pieces.find((candidate) => candidate.id === pieceId);
      if (piece)
        setPiece(pieceId, { zoneEdits: { ...piece.zoneEdits, [zoneId]: { ...piece.zoneEdits[zoneId], ...edit } } });
    },
    setLayer: (layerId, change) =>
      setBody({ layers: row.body.layers.map((layer) => (layer.id === layerId ? { ...layer, ...change } : layer)) }),
    setStep: (stepId, edit) => {
      const { [stepId]: present, ...rest } = row.body.stepEdits;
      setBody({ stepEdits: edit === null ? rest : { ...rest, [stepId]: { ...present, ...edit } } });
    },
  };
}
