import { basicShapes } from '@core/artwork/basicShapes';
import type { Coating } from '@core/catalog/coating';
import type { ChosenLayer } from '@core/recipe/recipeBody';
import { Button } from 'antd';
import { lazy, Suspense, useState } from 'react';
import { useRows } from '../../../app/projectStore';
import { Choice } from '../../../ui/fields';
import type { RecipeAccess } from '../useRecipe';

const ArtworkEditor = lazy(() => import('./ArtworkEditor').then(({ ArtworkEditor: editor }) => ({ default: editor })));

/** What a color of an artwork is called: the shape that it is, or as its file has it. */
const layerWords = (name: string): string =>
  basicShapes.find(({ id }) => id === name)?.name.toLowerCase() ?? (name === '' ? 'no color said' : name.toLowerCase());

/** The shape or lettering that a layer of film cuts: one that is there, or a new one. */
export function ArtworkPicker(props: { layer: ChosenLayer; coating: Coating; recipe: RecipeAccess }) {
  const rows = useRows();
  const { layer, recipe } = props;
  const [editing, setEditing] = useState<'new' | 'this' | null>(null);
  const chosen = rows.artworks.find(({ id }) => id === layer.artworkId) ?? null;
  const colors = chosen?.layers.length ?? 0;
  const layers = recipe.row.body.layers;
  const cut = new Set(
    layers.filter(({ artworkId }) => artworkId === chosen?.id).map(({ values }) => values.artworkColor ?? 0),
  );
  const next = Array.from({ length: colors }, (_, n) => n + 1).find((color) => !cut.has(color));
  /** Another layer of film for the next color; this one keeps its own. */
  const layNext = () => {
    const own = layer.values.artworkColor ?? 0;
    const first = own === 0 ? 1 : own;
    const second = own === 0 ? 2 : next;
    if (second === undefined) return;
    recipe.setBody({
      layers: layers.flatMap((entry) =>
        entry.id === layer.id
          ? [
              { ...entry, values: { ...entry.values, artworkColor: first } },
              {
                ...entry,
                id: crypto.randomUUID(),
                colorCardId: null,
                values: { ...entry.values, artworkColor: second },
              },
            ]
          : [entry],
      ),
    });
  };
  return (
    <div>
      <Choice
        label="Shape or lettering"
        value={chosen?.id ?? ''}
        options={[
          { value: '', label: 'a plain box, by its size' },
          ...rows.artworks.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChange={(id) => recipe.setLayer(layer.id, { artworkId: id === '' ? null : id })}
      />
      {chosen && colors > 1 && (
        <Choice
          label="What of it this film is"
          value={String(layer.values.artworkColor ?? 0)}
          options={[
            { value: '0', label: 'all of it, in one color' },
            ...chosen.layers.map(({ name }, n) => ({
              value: String(n + 1),
              label: `color ${n + 1}: ${layerWords(name)}`,
            })),
          ]}
          onChange={(value) => recipe.setLayer(layer.id, { values: { ...layer.values, artworkColor: Number(value) } })}
        />
      )}
      <div style={{ display: 'flex', gap: 8, flexWrap: 'wrap', marginTop: 8 }}>
        <Button size="small" onClick={() => setEditing('new')}>
          New words or shape
        </Button>
        {chosen && (
          <Button size="small" onClick={() => setEditing('this')}>
            Set “{chosen.name}” anew
          </Button>
        )}
        {chosen && colors > 1 && (cut.has(0) || next !== undefined) && (
          <Button size="small" onClick={layNext}>
            Cut its {colors} colors apart
          </Button>
        )}
      </div>
      {editing !== null && (
        <Suspense fallback={null}>
          <ArtworkEditor
            artwork={editing === 'this' ? chosen : null}
            color={rows.colorCards.find(({ id }) => id === layer.colorCardId)?.lab ?? null}
            film={props.coating}
            onClose={() => setEditing(null)}
            onSaved={(id) => {
              recipe.setLayer(layer.id, { artworkId: id });
              setEditing(null);
            }}
          />
        </Suspense>
      )}
    </div>
  );
}
