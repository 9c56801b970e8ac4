import type { Part } from '@core/cutting/part';
import { formatLength } from '@core/kernel/formatLength';
import { partKey, partsOfPartKey } from '@core/recipe/partsToCut';
import { Link } from 'react-router';
import { useLocale, usePlan, useRows } from '../../../app/projectStore';
import { PieceDrawing } from '../../../ui/PieceDrawing';
import { finalColor } from '../PieceColumn';
import styles from './cut.module.css';
import type { CutStockView } from './cutStocks';
import { FaceDrawing } from './FaceDrawing';

/** Each piece that is cut for, with the faces that its parts go on. */
export function WhereItGoes(props: {
  view: CutStockView;
  numbers: ReadonlyMap<string, { part: Part; number: number }>;
  selected: string | null;
  onSelect: (key: string) => void;
}) {
  const rows = useRows();
  const plan = usePlan();
  const locale = useLocale();
  const groups = new Map<string, { recipeId: string; layerId: string; zoneKey: string; keys: string[] }>();
  for (const { part } of props.view.total.parts) {
    const { recipeId, layerId, zoneKey } = partsOfPartKey(part.key);
    const name = `${recipeId}|${layerId}|${zoneKey}`;
    const group = groups.get(name) ?? { recipeId, layerId, zoneKey, keys: [] };
    group.keys.push(part.key);
    groups.set(name, group);
  }
  return (
    <ul className={styles.places}>
      {[...groups].map(([name, { recipeId, layerId, zoneKey, keys }]) => {
        const row = rows.recipes.find(({ id }) => id === recipeId);
        const computed = plan.model.recipe(recipeId);
        const zone = computed?.zones.find(({ key }) => key === zoneKey);
        const entry = computed?.stacks.get(zoneKey)?.find((candidate) => candidate.layerId === layerId);
        // What is made from scratch stands under its piece, and has no zone yet.
        const piece = row?.body.pieces.find(({ id }) => id === (zone?.pieceId ?? zoneKey));
        if (!row || !computed || !piece) return null;
        const isHere = keys.some((key) => key === props.selected);
        return (
          <li key={name} data-here={isHere || undefined}>
            <div className={styles.placeHead}>
              <PieceDrawing
                templateId={piece.templateId}
                measures={piece.measures}
                colorOf={(zoneId) => finalColor(computed, `${piece.id}/${zoneId}`)}
                label=""
                size={84}
                marked={isHere && zone ? zone.zone.id : null}
              />
              <span>
                <Link to={`../makeover/${recipeId}`}>
                  <b>{row.name}</b>
                </Link>
                <br />
                <span className="muted small">
                  {zone ? `${zone.zone.letter} · ${zone.zone.name}` : 'made from scratch'}
                </span>
              </span>
            </div>
            {entry?.sheet && zone && (
              <FaceDrawing
                zone={zone}
                demand={entry.sheet.demand}
                keyOf={(n) => partKey(recipeId, layerId, zoneKey, n)}
                numberOf={(key) => props.numbers.get(key)?.number ?? null}
                selected={props.selected}
                onSelect={props.onSelect}
              />
            )}
            <table>
              <tbody>
                {keys.map((key) => {
                  const known = props.numbers.get(key);
                  const count = props.view.total.parts.find(({ part }) => part.key === key)?.count ?? 0;
                  return known ? (
                    <tr key={key} data-here={key === props.selected || undefined}>
                      <td>
                        <button
                          type="button"
                          className={styles.loose}
                          aria-pressed={key === props.selected}
                          onClick={() => props.onSelect(key)}
                        >
                          {known.number}
                        </button>
                      </td>
                      <td>{known.part.name}</td>
                      <td>
                        {count} × {formatLength(known.part.widthMm, locale.units)} ×{' '}
                        {formatLength(known.part.lengthMm, locale.units)}
                      </td>
                    </tr>
                  ) : null;
                })}
              </tbody>
            </table>
          </li>
        );
      })}
    </ul>
  );
}
