import { isColored } from '@core/catalog/coating';
import { coatings } from '@core/catalog/coatings';
import { cardsByUse } from '@core/proposals/cardsByUse';
import { sheetsFor } from '@core/recipe/candidates';
import type { ChosenLayer } from '@core/recipe/recipeBody';
import { techniques } from '@core/technique';
import type { TechniqueParameter } from '@core/technique/technique';
import { Checkbox } from 'antd';
import { newColorCard } from '../../app/newOption';
import { useCommands, useLocale, useRows } from '../../app/projectStore';
import { Choice } from '../../ui/Choice';
import { ColorCardPicker } from '../../ui/ColorCardPicker';
import { LengthField, NumberField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import { ArtworkPicker } from './artwork/ArtworkPicker';
import { coatingsFor, techniqueGroups } from './choices';
import { isLaidInMedium } from './layerFacts';
import { MixByVolume } from './MixByVolume';
import styles from './makeover.module.css';
import type { RecipeAccess } from './useRecipe';
import { zoneMark } from './zoneMark';

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

/** All that can be set on a layer: its technique and what that asks, its color, the zones it goes on. */
export function LayerEditor(props: { layer: ChosenLayer; recipe: RecipeAccess }) {
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
        <Choice label="Technique" value={layer.techniqueId} onChange={setTechnique} options={techniqueGroups} />
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
