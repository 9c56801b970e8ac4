import { type Coating, isColored } from '@core/catalog/coating';
import { coatings } from '@core/catalog/coatings';
import { sheetsFor } from '@core/recipe/candidates';
import { type ChosenLayer, chosenLayer } from '@core/recipe/recipeBody';
import { techniques } from '@core/technique';
import { isFilm } from '@core/technique/sheetWork';
import type { Technique, TechniqueParameter } from '@core/technique/technique';
import { Button, Checkbox, Select } from 'antd';
import { useState } from 'react';
import { cardsByUse, newColorCard } from '../../app/newOption';
import { useCommands, useLocale, useRows } from '../../app/projectStore';
import { Swatch } from '../../ui/basics';
import { ColorCardPicker } from '../../ui/ColorCardPicker';
import { Choice, LengthField, NumberField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import { ArtworkPicker } from './artwork/ArtworkPicker';
import { coatingsFor, techniqueGroups } from './choices';
import { MixByVolume } from './MixByVolume';
import styles from './makeover.module.css';
import type { RecipeAccess } from './useRecipe';
import { zoneMark } from './zoneMark';

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
      <Select
        aria-label="Add a layer"
        placeholder={layers.length === 0 ? 'Choose the first layer' : 'Add a layer on top'}
        value={null}
        onChange={(value: string | null) => value !== null && add(value)}
        options={techniqueGroups}
        style={{ minWidth: 230 }}
        popupMatchSelectWidth={false}
        virtual={false}
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

/** Whether a technique lays paper or cloth in a medium, so that a kind and a design are asked. */
const isLaidInMedium = (technique: Technique, coating: Coating | undefined): boolean =>
  technique.sheet !== null && coating !== undefined && !isFilm(coating);

/** One thing to set on a technique, as what it is: a length, a count, a number. */
function ParameterField(props: { parameter: TechniqueParameter; value: number; onCommit: (value: number) => void }) {
  const locale = useLocale();
  const { parameter, value, onCommit } = props;
  const { label, minimum, maximum } = parameter;
  if (parameter.kind === 'length')
    return (
      <LengthField
        label={label}
        value={value}
        units={locale.units}
        zero={minimum === 0}
        onCommit={(mm) => onCommit(Math.min(maximum, Math.max(minimum, mm)))}
      />
    );
  if (parameter.kind === 'choice')
    return (
      <Choice
        label={label}
        value={String(value)}
        options={(parameter.choices ?? []).map((choice) => ({ value: String(choice.value), label: choice.label }))}
        onChange={(next) => onCommit(Number(next))}
      />
    );
  const isCount = parameter.kind === 'count';
  return (
    <NumberField
      label={label}
      value={value}
      least={minimum}
      most={maximum}
      whole={isCount}
      digits={isCount ? 0 : 1}
      onCommit={onCommit}
    />
  );
}

/** What the first coat of a layer takes of its mix, mL. */
function coatMixMl(recipe: RecipeAccess, layerId: string): number {
  const mix = recipe.plan.steps.find((step) => step.layerId === layerId && step.coat === 1)?.mix;
  return mix ? mix.paint + mix.waterMl : 0;
}

function LayerEditor(props: { layer: ChosenLayer; recipe: RecipeAccess }) {
  const rows = useRows();
  const { run } = useCommands();
  const { layer, recipe } = props;
  const technique = techniques.find(layer.techniqueId);
  const coating = coatings.find(layer.coatingId ?? '');
  const zones = recipe.plan.zones.filter((zone) => zone.zone.included);
  const covered = layer.zoneKeys === 'all' ? zones.map((zone) => zone.key) : layer.zoneKeys;
  const setTechnique = (techniqueId: string) => {
    const next = techniques.get(techniqueId);
    const fits = coating && next.accepts(coating) ? coating.id : (coatingsFor(next)[0]?.value ?? null);
    recipe.setLayer(layer.id, { techniqueId, coatingId: next.lays ? fits : null, values: {} });
  };
  const isAsked = ({ only, onlyWith }: TechniqueParameter) =>
    (onlyWith === undefined || (layer.values[onlyWith] ?? 0) > 0) &&
    (only === undefined || only === ((layer.artworkIds ?? []).length === 0 ? 'noArtwork' : 'artwork'));
  const setCovered = (keys: string[]) =>
    recipe.setLayer(layer.id, { zoneKeys: keys.length === zones.length ? 'all' : keys });
  return (
    <div className={styles.editor}>
      <SideBySide across={2}>
        <div className={styles.choice}>
          <span>Technique</span>
          <Select
            aria-label="Technique"
            value={layer.techniqueId}
            onChange={setTechnique}
            options={techniqueGroups}
            popupMatchSelectWidth={false}
            virtual={false}
          />
        </div>
        {technique?.lays !== false && (
          <Choice
            label="Paint or coat"
            value={layer.coatingId ?? ''}
            options={technique ? coatingsFor(technique) : []}
            onChange={(coatingId) =>
              recipe.setLayer(layer.id, { coatingId, sheen: coatings.get(coatingId).sheens[0] ?? 'matt' })
            }
          />
        )}
        {coating && coating.sheens.length > 1 && (
          <Choice
            label="Sheen"
            value={layer.sheen}
            options={coating.sheens.map((sheen) => ({ value: sheen, label: sheen }))}
            onChange={(sheen) => recipe.setLayer(layer.id, { sheen })}
          />
        )}
        {technique?.lays !== false && (
          <NumberField
            label="Coats, overruled"
            value={layer.coats}
            nullable
            least={0}
            most={12}
            whole
            onCommit={(coats) => recipe.setLayer(layer.id, { coats })}
            hint="empty: computed"
          />
        )}
        {technique && isLaidInMedium(technique, coating) && (
          <Choice
            label="Paper or cloth"
            value={layer.sheetId ?? sheetsFor(technique)[0]?.id ?? ''}
            options={sheetsFor(technique).map(({ id, name }) => ({ value: id, label: name }))}
            onChange={(sheetId) => recipe.setLayer(layer.id, { sheetId })}
          />
        )}
        {technique?.parameters.filter(isAsked).map((parameter) => (
          <ParameterField
            key={parameter.id}
            parameter={parameter}
            value={layer.values[parameter.id] ?? parameter.standard}
            onCommit={(value) => recipe.setLayer(layer.id, { values: { ...layer.values, [parameter.id]: value } })}
          />
        ))}
        {technique && technique.mixedLifeHours !== null && technique.lays && (
          <MixByVolume technique={technique} values={layer.values} coatMl={coatMixMl(recipe, layer.id)} />
        )}
      </SideBySide>
      {technique?.sheet?.cutsShapes && coating && <ArtworkPicker layer={layer} coating={coating} recipe={recipe} />}
      {technique && <p className="muted small">{technique.remark}.</p>}
      {coating &&
        technique &&
        (isColored(coating) || coating.primer?.tintable || isLaidInMedium(technique, coating)) && (
          <ColorCardPicker
            label={
              coating.primer
                ? 'Tint, if any'
                : isLaidInMedium(technique, coating)
                  ? 'Design, by its main color'
                  : 'Color'
            }
            cards={cardsByUse(rows)}
            value={layer.colorCardId}
            onPick={(colorCardId) => recipe.setLayer(layer.id, { colorCardId })}
            onMake={(name, lab) => {
              const card = newColorCard(name, lab);
              run('addColorCard', { row: card });
              recipe.setLayer(layer.id, { colorCardId: card.id });
            }}
          />
        )}
      {zones.length > 1 && (
        <fieldset className={styles.onZones}>
          <legend>On</legend>
          {zones.map((zone) => (
            <Checkbox
              key={zone.key}
              checked={covered.includes(zone.key)}
              onChange={(event) =>
                setCovered(event.target.checked ? [...covered, zone.key] : covered.filter((key) => key !== zone.key))
              }
            >
              {zoneMark(recipe.row.body, zone)}
            </Checkbox>
          ))}
        </fieldset>
      )}
    </div>
  );
}
