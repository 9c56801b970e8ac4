import { builds } from '@core/build';
import { completeBuild } from '@core/build/build';
import { consumables } from '@core/catalog/consumables';
import { formatLength } from '@core/kernel/formatLength';
import { cardsByUse } from '@core/proposals/cardsByUse';
import type { RecipePiece } from '@core/recipe/recipeBody';
import { Link } from 'react-router';
import { newColorCard } from '../../app/newOption';
import { useCommands, useLocale, useRows } from '../../app/projectStore';
import { Choice } from '../../ui/Choice';
import { ColorCardPicker } from '../../ui/ColorCardPicker';
import { LengthField, NumberField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import type { RecipeAccess } from './useRecipe';

/** What is made: its sizes, its materials, and the parts that follow. */
export function BuildEditor(props: { piece: RecipePiece; recipe: RecipeAccess }) {
  const rows = useRows();
  const locale = useLocale();
  const { run } = useCommands();
  const { piece, recipe } = props;
  const build = builds.find(piece.build?.id ?? '');
  if (!piece.build || !build) return null;
  const set = piece.build;
  const values = completeBuild(build, set.values);
  const setValue = (id: string, value: number) => {
    const next = completeBuild(build, { ...set.values, [id]: value });
    recipe.setPiece(piece.id, { build: { ...set, values: { ...next } }, measures: { ...build.measures(next) } });
  };
  const setMaterial = (id: string, kindId: string, colorCardId: string | null) =>
    recipe.setPiece(piece.id, { build: { ...set, materials: { ...set.materials, [id]: { kindId, colorCardId } } } });
  const planned = recipe.plan.built.find((entry) => entry.piece.id === piece.id);
  return (
    <>
      <p className="muted small">
        {build.remark.charAt(0).toUpperCase()}
        {build.remark.slice(1)}.
      </p>
      {build.family === 'prints' && (
        <p className="small">
          <Link to="../makeover/recolor">Recolor or crop the picture</Link>
        </p>
      )}
      <SideBySide across={2}>
        {build.parameters.map((parameter) => {
          const value = values[parameter.id] ?? parameter.standard;
          const { id, label, minimum, maximum } = parameter;
          if (parameter.kind === 'length')
            return (
              <LengthField
                key={id}
                label={label}
                value={value}
                units={locale.units}
                zero={minimum === 0}
                onCommit={(mm) => setValue(id, mm)}
              />
            );
          if (parameter.kind === 'choice')
            return (
              <Choice
                key={id}
                label={label}
                value={String(value)}
                options={(parameter.choices ?? []).map((entry) => ({ value: String(entry.value), label: entry.label }))}
                onChange={(next) => setValue(id, Number(next))}
              />
            );
          return (
            <NumberField
              key={id}
              label={label}
              value={value}
              least={minimum}
              most={maximum}
              whole={parameter.kind === 'count'}
              digits={parameter.kind === 'count' ? 0 : 1}
              onCommit={(next) => setValue(id, next)}
            />
          );
        })}
      </SideBySide>
      {build.materials.map(({ id, label, kindIds }) => {
        const chosen = set.materials[id];
        // Where nobody chose, the plan takes what its parts go on.
        const kindId = planned?.materials.get(id)?.kind.id ?? kindIds[0] ?? '';
        const cardId = chosen?.colorCardId ?? null;
        return (
          <div key={id}>
            <Choice
              label={label}
              value={kindId}
              options={kindIds.map((entry) => ({ value: entry, label: consumables.find(entry)?.name ?? entry }))}
              onChange={(next) => setMaterial(id, next, cardId)}
            />
            {consumables.find(kindId)?.colored && (
              <ColorCardPicker
                label={`${label}: color or design`}
                cards={cardsByUse(rows)}
                value={cardId}
                onPick={(next) => setMaterial(id, kindId, next)}
                onMake={(name, lab) => {
                  const card = newColorCard(name, lab);
                  run('addColorCard', { row: card });
                  setMaterial(id, kindId, card.id);
                }}
                closed
              />
            )}
          </div>
        );
      })}
      {planned && planned.plan.parts.length > 0 && (
        <>
          <h3>{piece.count === 1 ? 'Parts of it' : `Parts of all ${piece.count}`}</h3>
          <table className="small" style={{ width: '100%' }}>
            <tbody>
              {planned.plan.parts.map((part) => (
                <tr key={`${part.material} ${part.name}`}>
                  <td>
                    {Math.ceil(part.count * piece.count - 1e-6)} × {part.name.toLowerCase()}
                  </td>
                  <td style={{ textAlign: 'right' }}>
                    {formatLength(part.widthMm, locale.units)} × {formatLength(part.lengthMm, locale.units)}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
    </>
  );
}
