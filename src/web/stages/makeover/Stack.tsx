import { substrates } from '@core/catalog/substrates';
import { readableOn } from '@core/color/contrast';
import { hexFromLab, type Lab, labFromHex } from '@core/color/lab';
import { explainArea } from '@core/plan/why/explainArea';
import { explainCoats } from '@core/plan/why/explainCoats';
import { explainLayerAmount } from '@core/plan/why/explainLayerAmount';
import type { StackEntry } from '@core/recipe/stack';
import type { ZonePlan } from '@core/recipe/zonePlans';
import type { Joint } from '@core/state/joint';
import { isFilm } from '@core/technique/sheetWork';
import { supplyWords } from '@core/words/supplyWords';
import { useLocale, usePlan, useRows } from '../../app/projectStore';
import { areaWords } from '../../app/words';
import { OneOf } from '../../ui/Choice';
import { PieceDrawing } from '../../ui/PieceDrawing';
import styles from './makeover.module.css';
import type { RecipeAccess } from './useRecipe';
import { Why } from './Why';

const verdictWords: Record<Joint['verdict'], { words: string; tone: 'holds' | 'care' | 'fails' }> = {
  ok: { words: 'holds', tone: 'holds' },
  afterWait: { words: 'holds after a wait', tone: 'holds' },
  scuff: { words: 'holds after scuffing', tone: 'care' },
  barrierPrimer: { words: 'would peel', tone: 'fails' },
  never: { words: 'does not hold', tone: 'fails' },
  notKnown: { words: 'not known: test', tone: 'care' },
};

/** The layers of a zone from the bare material up, each joint with its verdict. */
export function Stack(props: { zone: ZonePlan; recipe: RecipeAccess }) {
  const rows = useRows();
  const whole = usePlan();
  const locale = useLocale();
  const { zone, recipe } = props;
  const { plan } = recipe;
  const entries = plan.stacks.get(zone.key) ?? [];
  const find = rows.finds.find((candidate) => candidate.id === zone.workpieceId);
  const material = substrates.find(find?.materialId ?? '');
  const isOld = zone.substrate.layer === 'oldFinish';
  const materialColor =
    isOld && material ? labFromHex(material.usualColor) : (zone.present.color ?? labFromHex(zone.substrate.usualColor));
  const band = (color: Lab) => ({ background: hexFromLab(color), color: readableOn(color) });
  return (
    <div className={styles.stack}>
      <div className={styles.layer} style={band(materialColor)}>
        <span>{material?.name ?? zone.substrate.name}</span>
        <span>
          <Why label={`area of ${zone.zone.name.toLowerCase()}`} explain={() => explainArea(zone)}>
            {areaWords(zone.projectedAreaM2, locale.units)}
          </Why>
        </span>
      </div>
      {isOld && (
        <>
          <div className={styles.joint}>
            <span>as it is now{zone.colorEstimated ? ', color estimated' : ''}</span>
            <b className={styles.holds}>sound</b>
          </div>
          <div className={styles.layer} style={band(zone.present.color ?? materialColor)}>
            <span>{zone.substrate.name}</span>
            <span />
            <small>{zone.substrate.remark}</small>
          </div>
        </>
      )}
      {entries.map((entry) => {
        const layer = plan.layers.find((candidate) => candidate.id === entry.layerId);
        if (!layer) return null;
        const verdict = verdictWords[entry.joint.verdict];
        const color = entry.leaves.color ?? labFromHex('#dfe7e6');
        const card = rows.colorCards.find((candidate) => candidate.id === layer.colorCardId);
        const shown = layer.coating.role === 'clear' ? labFromHex('#e6eeee') : color;
        return (
          <div key={entry.layerId}>
            <div className={styles.layer} style={band(shown)}>
              <span>
                {layer.coating.name}
                {card ? `, ${card.name}` : ''} ·{' '}
                {isFilm(layer.coating) ? (
                  layer.technique.name.toLowerCase()
                ) : (
                  <Why label={`coats of ${layer.coating.name}`} explain={() => explainCoats(whole, entry)}>
                    {entry.coats.coats} {entry.coats.coats === 1 ? 'coat' : 'coats'}
                  </Why>
                )}
              </span>
              <span>
                {isFilm(layer.coating) ? (
                  piecesWords(entry)
                ) : (
                  <Why
                    label={`amount of ${layer.coating.name}`}
                    explain={() => explainLayerAmount(whole, zone, layer, entry)}
                  >
                    {supplyWords(entry.amount, layer.coating.unit, locale.units)}
                  </Why>
                )}
                {layer.origin === 'proposed' && (
                  <button
                    type="button"
                    onClick={() => recipe.setBody({ dropped: [...recipe.row.body.dropped, layer.id] })}
                    aria-label={`Drop ${layer.coating.name}`}
                  >
                    drop
                  </button>
                )}
              </span>
              {layer.origin === 'proposed' && (
                <small>
                  {layer.coating.role === 'primer'
                    ? rows.project.brief.preparation === 'cleanSandPrime'
                      ? 'proposed: the school here is clean, sand, prime'
                      : 'proposed: the finish would not hold without it'
                    : 'proposed: the finish asks for a clear coat'}
                </small>
              )}
            </div>
            <div className={styles.joint}>
              <span>
                {entry.joint.reason}
                {entry.joint.waitHours > 0 ? `; ${entry.joint.waitHours} h` : ''}
              </span>
              <b className={styles[verdict.tone]}>{verdict.words}</b>
            </div>
          </div>
        );
      })}
    </div>
  );
}

/** How many pieces a layer cuts for one zone; what it takes of its roll is the layout's to say. */
function piecesWords({ sheet }: StackEntry): string {
  const count = (sheet?.demand.pieces ?? []).reduce((sum, piece) => sum + Math.ceil(piece.count - 1e-6), 0);
  return `${count} ${count === 1 ? 'piece' : 'pieces'}`;
}

/** The piece's color now and after each coat, computed; and how many are enough. */
export function Coats(props: { zone: ZonePlan; recipe: RecipeAccess }) {
  const { zone, recipe } = props;
  const rows = useRows();
  const entries = recipe.plan.stacks.get(zone.key) ?? [];
  const entry = [...entries].reverse().find((candidate) => candidate.coats.hiding !== null);
  const school = recipe.row.body.school ?? rows.project.school;
  const schools: [typeof school, string][] = [
    ['untilHidden', 'until it hides'],
    ['alwaysTwo', 'always two'],
    ['asLabel', 'as the label says'],
  ];
  const hiding = entry?.coats.hiding;
  const under = entry?.below.color;
  const paint = recipe.plan.layers.find((layer) => layer.id === entry?.layerId);
  return (
    <>
      <h3>Coats until it hides</h3>
      {hiding && under && entry ? (
        <>
          <CoatPictures zone={zone} recipe={recipe} layerId={entry.layerId} coats={hiding.colors.length} />
          <div className={styles.coats} role="img" aria-label={`Color now and after ${hiding.colors.length} coats`}>
            <i style={{ background: hexFromLab(under), color: readableOn(under) }}>
              {entry.below.productId === null ? 'now' : 'primed'}
            </i>
            {hiding.colors.map((color, index) => (
              <i key={index} style={{ background: hexFromLab(color), color: readableOn(color) }}>
                {index + 1}
                {index + 1 === hiding.coats ? ' · enough' : ''}
              </i>
            ))}
          </div>
          <p className="small" style={{ margin: '6px 0 8px' }}>
            A step of {Math.round(hiding.difference)} from {entry.below.productId === null ? 'old' : 'primer'} to new;
            what is left shows{' '}
            {hiding.showing
              .map((value) => (value < 1 ? 'under 1' : String(Math.round(value * 10) / 10)))
              .join(', then ')}{' '}
            (2 is noticed side by side).
            {hiding.weakPigment ? ' Strong yellows and oranges hide less.' : ''}
          </p>
        </>
      ) : (
        <p className="muted small">Choose a paint and its color to see the coats.</p>
      )}
      <div className={styles.pill}>
        {schools.map(([value, words]) => (
          <button
            key={value}
            type="button"
            aria-pressed={school === value}
            onClick={() => recipe.setBody({ school: value === rows.project.school ? null : value })}
          >
            {words}
          </button>
        ))}
      </div>
      {school === 'asLabel' && (
        <span className="small" style={{ marginLeft: 10 }}>
          label:{' '}
          <OneOf
            size="small"
            label="Coats as the label says"
            value={recipe.row.body.labelCoats ?? paint?.coating.hiding.similar.typical ?? 2}
            options={[1, 2, 3, 4].map((n) => ({ value: n, label: String(n) }))}
            onChange={(labelCoats) => recipe.setBody({ labelCoats })}
          />{' '}
          coats
        </span>
      )}
    </>
  );
}

/** The whole piece as it is now and after each coat, every zone in its computed color. */
function CoatPictures(props: { zone: ZonePlan; recipe: RecipeAccess; layerId: string; coats: number }) {
  const { zone, recipe, layerId } = props;
  const piece = recipe.row.body.pieces.find((candidate) => candidate.id === zone.pieceId);
  if (!piece) return null;
  const colorAfter = (zoneId: string, coat: number): Lab | null => {
    const key = `${piece.id}/${zoneId}`;
    const laid = recipe.plan.stacks.get(key)?.find((candidate) => candidate.layerId === layerId);
    if (!laid) return recipe.plan.zones.find((candidate) => candidate.key === key)?.present.color ?? null;
    return coat === 0 ? laid.below.color : (laid.coats.hiding?.colors[coat - 1] ?? laid.leaves.color);
  };
  return (
    <div className={styles.coatPictures}>
      {Array.from({ length: props.coats + 1 }, (_, coat) => (
        <PieceDrawing
          key={coat}
          templateId={piece.templateId}
          measures={piece.measures}
          colorOf={(zoneId) => colorAfter(zoneId, coat)}
          label={coat === 0 ? `${recipe.row.name} before` : `${recipe.row.name} after coat ${coat}`}
          size={92}
        />
      ))}
    </div>
  );
}
