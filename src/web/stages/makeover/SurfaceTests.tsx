import { substrates } from '@core/catalog/substrates';
import type { RecipePiece } from '@core/recipe/recipeBody';
import { readSurfaceTests, surfaceTests } from '@core/recipe/surfaceTests';
import { surfaceTestIds } from '@core/state/surfaceTest';
import { Button } from 'antd';
import { useState } from 'react';
import { useCommands, useRows } from '../../app/projectStore';
import styles from './makeover.module.css';
import type { RecipeAccess } from './useRecipe';

/** Simple tests of what is there; what they suggest can be taken over for the whole piece. */
export function SurfaceTests(props: { piece: RecipePiece; recipe: RecipeAccess }) {
  const rows = useRows();
  const { run } = useCommands();
  const { piece, recipe } = props;
  const [open, setOpen] = useState(false);
  const find = rows.finds.find((candidate) => candidate.id === piece.findId);
  const readings = readSurfaceTests(piece.tests);
  const answer = (id: (typeof surfaceTestIds)[number], value: boolean) => {
    const { [id]: present, ...rest } = piece.tests;
    recipe.setPiece(piece.id, { tests: present === value ? rest : { ...rest, [id]: value } });
  };
  const answered = Object.keys(piece.tests).length;
  return (
    <>
      <Button size="small" type="text" aria-expanded={open} onClick={() => setOpen(!open)}>
        {open
          ? 'Close the simple tests'
          : answered > 0
            ? `Simple tests, ${answered} answered`
            : 'Not sure what it is? Test it'}
      </Button>
      {open && (
        <div className={styles.editor}>
          {surfaceTestIds.map((id) => (
            <fieldset key={id} className={styles.test}>
              <legend>{surfaceTests[id].question}</legend>
              <span className="muted small">{surfaceTests[id].how}</span>
              <span className={styles.pill}>
                {([true, false] as const).map((value) => (
                  <button
                    key={String(value)}
                    type="button"
                    aria-pressed={piece.tests[id] === value}
                    onClick={() => answer(id, value)}
                  >
                    {value ? 'yes' : 'no'}
                  </button>
                ))}
              </span>
            </fieldset>
          ))}
          {readings.map((reading) => {
            const name =
              reading.finishId === null
                ? 'bare'
                : (substrates.find(reading.finishId ?? reading.materialId ?? '')?.name.toLowerCase() ?? '');
            const isTaken =
              reading.finishId !== undefined
                ? find?.finishId === reading.finishId
                : find?.materialId === reading.materialId;
            return (
              <p key={reading.because} className="small">
                {reading.because}: <b>{name}</b>.{' '}
                {find &&
                  (isTaken ? (
                    <span className="muted">noted so</span>
                  ) : (
                    <Button
                      size="small"
                      onClick={() =>
                        run('editFind', {
                          id: find.id,
                          values: {
                            ...(reading.finishId === undefined ? {} : { finishId: reading.finishId }),
                            ...(reading.materialId === undefined ? {} : { materialId: reading.materialId }),
                          },
                        })
                      }
                    >
                      Note it so
                    </Button>
                  ))}
              </p>
            );
          })}
          {readings.length === 0 && answered > 0 && (
            <p className="muted small">That alone tells nothing yet: try another one.</p>
          )}
        </div>
      )}
    </>
  );
}
