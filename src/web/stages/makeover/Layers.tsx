import { isColored } from '@core/catalog/coating';
import { coatings } from '@core/catalog/coatings';
import { sheetsFor } from '@core/recipe/candidates';
import { type ChosenLayer, chosenLayer } from '@core/recipe/recipeBody';
import { techniques } from '@core/technique';
import { Button } from 'antd';
import { useState } from 'react';
import { useRows } from '../../app/projectStore';
import { OneOf } from '../../ui/Choice';
import { later } from '../../ui/later';
import { Swatch } from '../../ui/Swatch';
import { coatingsFor, techniqueGroups } from './choices';
import { isLaidInMedium } from './layerFacts';
import styles from './makeover.module.css';
import type { RecipeAccess } from './useRecipe';

const LayerEditor = later(async () => (await import('./LayerEditor')).LayerEditor);

/** A new layer in a technique: its first coating, the color of the layer below where it takes one. */
function layerIn(techniqueId: string, like: ChosenLayer | undefined): ChosenLayer {
  const technique = techniques.get(techniqueId);
  const coatingId = coatingsFor(technique)[0]?.value ?? null;
  const more = { techniqueId, colorCardId: like?.colorCardId ?? null };
  return coatingId === null
    ? { ...chosenLayer(crypto.randomUUID(), ''), ...more, coatingId: null, colorCardId: null }
    : chosenLayer(crypto.randomUUID(), coatingId, more);
}

/** Where a new layer goes: everywhere, but for what is placed by the piece, which goes on the largest zone. */
function zonesFor(recipe: RecipeAccess, techniqueId: string): ChosenLayer['zoneKeys'] {
  const { sheet, partial } = techniques.get(techniqueId);
  const zones = recipe.plan.zones.filter((zone) => zone.zone.included);
  const [largest] = [...zones].sort((a, b) => b.projectedAreaM2 - a.projectedAreaM2);
  return sheet !== null && partial && zones.length > 1 && largest ? [largest.key] : 'all';
}

/** The layers the stylist chose, from the bottom up; each opens to be changed. */
export function Layers(props: { recipe: RecipeAccess }) {
  const { recipe } = props;
  const { layers } = recipe.row.body;
  const [open, setOpen] = useState<string | null>(layers.length === 1 ? (layers[0]?.id ?? null) : null);
  const add = (techniqueId: string) => {
    const layer = { ...layerIn(techniqueId, layers.at(-1)), zoneKeys: zonesFor(recipe, techniqueId) };
    recipe.setBody({ layers: [...layers, layer] });
    setOpen(layer.id);
  };
  const move = (index: number, by: number) => {
    const next = [...layers];
    const [layer] = next.splice(index, 1);
    if (layer) next.splice(index + by, 0, layer);
    recipe.setBody({ layers: next });
  };
  return (
    <>
      <h3>What it shall become</h3>
      <ol className={styles.layers}>
        {layers.map((layer, index) => (
          <li key={layer.id}>
            <LayerHead
              layer={layer}
              open={open === layer.id}
              onToggle={() => setOpen(open === layer.id ? null : layer.id)}
            >
              <Button
                size="small"
                type="text"
                disabled={index === 0}
                onClick={() => move(index, -1)}
                aria-label={`Layer ${index + 1} down, nearer to the material`}
              >
                ↓
              </Button>
              <Button
                size="small"
                type="text"
                disabled={index === layers.length - 1}
                onClick={() => move(index, 1)}
                aria-label={`Layer ${index + 1} up`}
              >
                ↑
              </Button>
              <Button
                size="small"
                type="text"
                onClick={() => recipe.setBody({ layers: layers.filter((entry) => entry.id !== layer.id) })}
                aria-label={`Remove layer ${index + 1}`}
              >
                ✕
              </Button>
            </LayerHead>
            {open === layer.id && <LayerEditor layer={layer} recipe={recipe} />}
          </li>
        ))}
      </ol>
      <OneOf
        label="Add a layer"
        placeholder={layers.length === 0 ? 'Choose the first layer' : 'Add a layer on top'}
        value={null}
        onChange={add}
        options={techniqueGroups}
        width={230}
      />
    </>
  );
}

function LayerHead(props: { layer: ChosenLayer; open: boolean; onToggle: () => void; children: React.ReactNode }) {
  const rows = useRows();
  const { layer } = props;
  const technique = techniques.find(layer.techniqueId);
  const coating = coatings.find(layer.coatingId ?? '');
  const card = rows.colorCards.find((candidate) => candidate.id === layer.colorCardId);
  const paper = technique && isLaidInMedium(technique, coating);
  const sheet = paper
    ? (sheetsFor(technique).find(({ id }) => id === layer.sheetId) ?? sheetsFor(technique)[0])
    : undefined;
  const name = sheet?.name ?? coating?.name ?? layer.coatingId ?? technique?.name ?? layer.techniqueId;
  const shows = card && coating && (isColored(coating) || sheet);
  const shapes = rows.artworks.filter(({ id }) => layer.artworkIds?.includes(id)).map((shape) => shape.name);
  const onZones = layer.zoneKeys === 'all' ? 0 : layer.zoneKeys.length;
  const zones = layer.zoneKeys === 'all' ? '' : ` · ${onZones} ${onZones === 1 ? 'zone' : 'zones'}`;
  return (
    <div className={styles.layerHead}>
      <button type="button" aria-expanded={props.open} onClick={props.onToggle}>
        {shows && <Swatch color={card.lab} />}
        <b>{name}</b>
        <span className="muted small">
          {[shows ? card.name : '', shapesWords(shapes), coating ? (technique?.name.toLowerCase() ?? '') : '']
            .filter((word) => word !== '')
            .join(' · ')}
          {zones}
        </span>
      </button>
      {props.children}
    </div>
  );
}

/** Shapes that a layer cuts, by name as long as there is room for them. */
const shapesWords = (names: readonly string[]): string =>
  names.length > 3 ? `${names.slice(0, 2).join(', ')} and ${names.length - 2} more` : names.join(', ');
