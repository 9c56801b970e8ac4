import { basicShapes } from '@core/artwork/basicShapes';
import type { Coating } from '@core/catalog/coating';
import type { RowOf } from '@core/model/rows';
import type { ChosenLayer } from '@core/recipe/recipeBody';
import { Button } from 'antd';
import { useState } from 'react';
import { useRows } from '../../../app/projectStore';
import { Choice, OneOf } from '../../../ui/Choice';
import { later } from '../../../ui/later';
import { ManyOf } from '../../../ui/ManyOf';
import type { RecipeAccess } from '../useRecipe';

type ArtworkRow = RowOf<'artworks'>;

const ArtworkEditor = later(async () => (await import('./ArtworkEditor')).ArtworkEditor);

/** What a color of an artwork is called: the shape that it is, or as its file has it. */
const layerWords = (name: string): string =>
  basicShapes.find(({ id }) => id === name)?.name.toLowerCase() ?? (name === '' ? 'no color said' : name.toLowerCase());

/** The shapes or lettering that a layer of film cuts: some that are there, or new ones. */
export function ArtworkPicker(props: { layer: ChosenLayer; coating: Coating; recipe: RecipeAccess }) {
  const rows = useRows();
  const { layer, recipe } = props;
  const ids = layer.artworkIds ?? [];
  const [editing, setEditing] = useState<'new' | ArtworkRow | null>(null);
  const chosen = rows.artworks.filter(({ id }) => ids.includes(id));
  const most = chosen.reduce<ArtworkRow | null>(
    (found, one) => (one.layers.length > (found?.layers.length ?? 0) ? one : found),
    null,
  );
  const colors = most?.layers ?? [];
  const layers = recipe.row.body.layers;
  const cut = new Set(
    layers
      .filter(({ artworkIds }) => artworkIds?.some((id) => ids.includes(id)))
      .map(({ values }) => values.artworkColor ?? 0),
  );
  const next = colors.map((_, n) => n + 1).find((color) => !cut.has(color));
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
  /** Layers that cut the other colors of the same shapes follow. */
  const setIds = (artworkIds: string[]) =>
    recipe.setBody({
      layers: layers.map((entry) => {
        const own = entry.artworkIds ?? [];
        const isSibling = ids.length > 0 && own.length === ids.length && own.every((id) => ids.includes(id));
        return entry.id === layer.id || isSibling ? { ...entry, artworkIds } : entry;
      }),
    });
  return (
    <div>
      <ManyOf
        label="Shapes or lettering"
        values={chosen.map(({ id }) => id)}
        onChange={setIds}
        placeholder="a plain box, by its size"
        options={rows.artworks.map(({ id, name }) => ({ value: id, label: name }))}
        most={MOST_SHAPES}
      />
      {chosen.length > 1 && (
        <p className="muted small">
          {chosen.length > pieces(recipe)
            ? `${chosen.length} shapes on ${pieces(recipe)} pieces: some get more than one.`
            : `${chosen.length} shapes, each on its share of the ${pieces(recipe)} pieces.`}
        </p>
      )}
      {colors.length > 1 && (
        <Choice
          label="What of it this film is"
          value={String(layer.values.artworkColor ?? 0)}
          options={[
            { value: '0', label: 'all of it, in one color' },
            ...colors.map(({ name }, n) => ({
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
        {chosen.length <= FEW ? (
          chosen.map((artwork) => (
            <Button key={artwork.id} size="small" onClick={() => setEditing(artwork)}>
              Set “{artwork.name}” anew
            </Button>
          ))
        ) : (
          <OneOf
            label="Set one of them anew"
            placeholder="Set one of them anew"
            value={null}
            onChange={(id) => setEditing(chosen.find((artwork) => artwork.id === id) ?? null)}
            options={chosen.map(({ id, name }) => ({ value: id, label: name }))}
          />
        )}
        {colors.length > 1 && (cut.has(0) || next !== undefined) && (
          <Button size="small" onClick={layNext}>
            Cut {chosen.length > 1 ? 'their' : 'its'} {colors.length} colors apart
          </Button>
        )}
      </div>
      {editing !== null && (
        <ArtworkEditor
          artwork={editing === 'new' ? null : editing}
          color={rows.colorCards.find(({ id }) => id === layer.colorCardId)?.lab ?? null}
          film={props.coating}
          onClose={() => setEditing(null)}
          onSaved={(kept) => {
            setIds([...new Set([...ids, ...kept])].slice(-MOST_SHAPES));
            setEditing(null);
          }}
        />
      )}
    </div>
  );
}

/** So many shapes have a button each. */
const FEW = 2;

/** More shapes than one layer holds would be refused. */
const MOST_SHAPES = 50;

/** How many like pieces a recipe is for. */
const pieces = (recipe: RecipeAccess): number =>
  recipe.row.body.pieces.reduce((sum, { count }) => Math.max(sum, count), 1);
