import { hexFromLab, type Lab } from '@core/color/lab';
import { quantitiesOf, quantityWords } from '@core/plan/quantities';
import type { RecipePlan } from '@core/recipe/computeRecipe';
import type { RecipePiece } from '@core/recipe/recipeBody';
import type { ZonePlan } from '@core/recipe/zonePlans';
import { completeMeasures } from '@core/surface/furnitureTemplate';
import { furnitureTemplates } from '@core/surface/templates';
import { Button } from 'antd';
import { Link } from 'react-router';
import { useLocale, useRows } from '../../app/projectStore';
import { areaWords } from '../../app/words';
import { LengthField, NumberField } from '../../ui/fields';
import { later } from '../../ui/later';
import { SideBySide } from '../../ui/layout';
import { PieceDrawing } from '../../ui/PieceDrawing';
import { LeavePiece } from './MorePieces';
import styles from './makeover.module.css';
import { SurfaceTests } from './SurfaceTests';
import type { RecipeAccess } from './useRecipe';
import { ZoneEditor } from './ZoneEditor';
import { zoneMark } from './zoneMark';

const BuildEditor = later(async () => (await import('./BuildEditor')).BuildEditor);

/** The color of a zone after its last layer, or as it is now. */
export function finalColor(plan: RecipePlan | undefined, key: string): Lab | null {
  const entries = plan?.stacks.get(key);
  return entries?.at(-1)?.leaves.color ?? plan?.zones.find((zone) => zone.key === key)?.present.color ?? null;
}

/** A piece of a recipe: its measures, its drawing with the zones, and what is said of the chosen zone. */
export function PieceColumn(props: {
  piece: RecipePiece;
  recipe: RecipeAccess;
  zone: ZonePlan | undefined;
  onZone: (key: string) => void;
}) {
  const rows = useRows();
  const locale = useLocale();
  const { piece, recipe, zone } = props;
  const find = rows.finds.find((candidate) => candidate.id === piece.findId);
  const template = furnitureTemplates.find(piece.templateId);
  const zones = recipe.plan.zones.filter((entry) => entry.pieceId === piece.id);
  const made = recipe.made.pieces.find((entry) => entry.id === piece.id)?.count ?? piece.count;
  const disagreement = find ? quantityWords(quantitiesOf(rows, find, recipe.row.id, made)) : '';
  const measures = template ? completeMeasures(template, piece.measures) : {};
  const addZone = () => {
    const id = crypto.randomUUID();
    recipe.setPiece(piece.id, {
      ownZones: [...piece.ownZones, { id, name: 'Another zone', shape: { kind: 'rectangle', values: {} } }],
      zoneEdits: { ...piece.zoneEdits, [id]: { shape: { kind: 'rectangle', values: {} } } },
    });
    props.onZone(`${piece.id}/${id}`);
  };
  return (
    <>
      <span className="muted">
        {find
          ? [find.name === recipe.row.name ? '' : find.name, zones[0]?.substrate.name.toLowerCase() ?? '']
              .filter((text) => text !== '')
              .join(' · ')
          : piece.findId === null
            ? 'made from scratch'
            : 'the piece is missing'}
        {find && (
          <>
            {' · '}
            <Link to={`../hunt?find=${find.id}`}>the find</Link>
          </>
        )}
      </span>
      {template && (
        <>
          <div className={styles.drawing}>
            <PieceDrawing
              templateId={piece.templateId}
              measures={piece.measures}
              colorOf={(zoneId) => finalColor(recipe.plan, `${piece.id}/${zoneId}`)}
              label={`${recipe.row.name} in its new color`}
              size={250}
              units={locale.units}
              letters
              marked={zone?.pieceId === piece.id ? zone.zone.id : null}
            />
          </div>
          <SideBySide across={2}>
            {(piece.build ? [] : template.measures).map((measure) => {
              const value = measures[measure.id] ?? 0;
              const commit = (next: number) =>
                recipe.setPiece(piece.id, { measures: { ...piece.measures, [measure.id]: next } });
              return measure.kind === 'length' ? (
                <LengthField
                  key={measure.id}
                  label={measure.label}
                  value={value}
                  units={locale.units}
                  onCommit={commit}
                />
              ) : (
                <NumberField
                  key={measure.id}
                  label={measure.label}
                  value={value}
                  least={measure.minimum}
                  most={measure.maximum}
                  whole
                  onCommit={commit}
                />
              );
            })}
            {made === piece.count ? (
              <NumberField
                label="How many are made like this"
                value={piece.count}
                least={1}
                most={200}
                whole
                onCommit={(count) => recipe.setPiece(piece.id, { count })}
              />
            ) : (
              <p className="small">
                <b>{made} like pieces</b>, as many as are chosen on the board
              </p>
            )}
          </SideBySide>
          {piece.build && <BuildEditor piece={piece} recipe={recipe} />}
          {disagreement !== '' && <p className="small">How many: {disagreement}</p>}
        </>
      )}
      {zones.map((entry) => {
        const color = finalColor(recipe.plan, entry.key);
        return (
          <button
            key={entry.key}
            type="button"
            className={styles.zone}
            aria-pressed={entry.key === zone?.key}
            onClick={() => props.onZone(entry.key)}
          >
            <b>{zoneMark(recipe.row.body, entry)}</b>
            <span>
              {color && <i className={styles.dot} style={{ background: hexFromLab(color) }} />}
              {entry.zone.included ? entry.zone.name : <s>{entry.zone.name}</s>}
            </span>
            <span>{areaWords(entry.projectedAreaM2, locale.units)}</span>
          </button>
        );
      })}
      <Button size="small" type="text" onClick={addZone}>
        Add a zone
      </Button>
      {zone && zone.pieceId === piece.id && <ZoneEditor key={zone.key} zone={zone} recipe={recipe} />}
      {piece.findId !== null && <SurfaceTests piece={piece} recipe={recipe} />}
      <LeavePiece pieceId={piece.id} recipe={recipe} />
    </>
  );
}
