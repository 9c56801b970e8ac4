import { coatings } from '@core/catalog/coatings';
import type { Lab } from '@core/color/lab';
import { completeMeasures } from '@core/surface/furnitureTemplate';
import { furnitureTemplates } from '@core/surface/templates';
import { type ZoneUse, zoneUses } from '@core/surface/zone';
import { Button, Checkbox } from 'antd';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { cardsByUse, newColorCard } from '../../app/newOption';
import { useProject } from '../../app/projectStore';
import shell from '../../app/shell.module.css';
import { useRim } from '../../app/useRim';
import { areaWords, dayWords } from '../../app/words';
import { Empty } from '../../ui/basics';
import { ColorCardPicker } from '../../ui/ColorCardPicker';
import { Choice, LengthField, NumberField } from '../../ui/fields';
import { PieceDrawing } from '../../ui/PieceDrawing';
import { DoneBox } from './DoneBox';
import styles from './makeover.module.css';
import { Coats, coatingNames, Stack } from './Stack';
import { Caution, Steps } from './Steps';
import { Supplies } from './Supplies';
import { type RecipeAccess, useRecipe } from './useRecipe';

/** All recipes, or one of them in full. */
export function MakeoverPage() {
  const { recipeId } = useParams();
  return recipeId ? <OneRecipe key={recipeId} recipeId={recipeId} /> : <RecipeList />;
}

function RecipeList() {
  const { rows, plan } = useProject();
  return (
    <main className={shell.page}>
      <h1>Makeovers</h1>
      {rows.recipes.length === 0 ? (
        <Empty title="No makeover yet">
          <p>
            Enter a find and press “Make over” for its slot, or add a makeover on the <Link to="../compare">board</Link>
            .
          </p>
        </Empty>
      ) : (
        <ul className={styles.list}>
          {rows.recipes.map((recipe) => {
            const piece = recipe.body.pieces[0];
            const computed = plan.recipes.get(recipe.id);
            return (
              <li key={recipe.id}>
                <Link to={recipe.id}>
                  {piece && (
                    <PieceDrawing
                      templateId={piece.templateId}
                      measures={piece.measures}
                      colorOf={(zoneId) => finalColor(computed, `${piece.id}/${zoneId}`)}
                      label={`${recipe.name}, made over`}
                      size={64}
                    />
                  )}
                  <span>
                    <b>{recipe.name}</b>
                    <br />
                    <span className="muted small">
                      {computed?.layers.map((layer) => layer.coating.name.toLowerCase()).join(', ')}
                    </span>
                  </span>
                </Link>
              </li>
            );
          })}
        </ul>
      )}
    </main>
  );
}

/** The color of a zone after its last layer, or as it is now. */
function finalColor(plan: RecipeAccess['plan'] | undefined, key: string): Lab | null {
  const entries = plan?.stacks.get(key);
  return entries?.at(-1)?.leaves.color ?? plan?.zones.find((zone) => zone.key === key)?.present.color ?? null;
}

const useWords: Record<ZoneUse, string> = {
  seen: 'seen',
  handled: 'handled',
  tableTop: 'table top',
  wet: 'wet',
  outdoors: 'outdoors',
  nearHeat: 'near heat',
  food: 'food or lips',
  childReach: 'within a child’s reach',
  flame: 'with a flame',
};

function OneRecipe(props: { recipeId: string }) {
  const { rows, plan, run } = useProject();
  const rim = useRim();
  const recipe = useRecipe(props.recipeId);
  const [zoneKey, setZoneKey] = useState<string | null>(null);
  if (!recipe) {
    return (
      <main className={shell.page}>
        <Empty title="This recipe is not here any more">
          <Link to="../makeover">All makeovers</Link>
        </Empty>
      </main>
    );
  }
  const { row, plan: computed } = recipe;
  const piece = row.body.pieces[0];
  const find = rows.finds.find((candidate) => candidate.id === piece?.findId);
  const template = piece ? furnitureTemplates.find(piece.templateId) : undefined;
  const zone =
    computed.zones.find((candidate) => candidate.key === zoneKey) ??
    computed.zones.find((candidate) => candidate.zone.id === 'carcass') ??
    computed.zones[0];
  const layer = row.body.layers[0];
  const coating = coatings.find(layer?.coatingId ?? '');
  const atRecipe = computed.findings.filter((finding) => finding.where.kind !== 'step');
  const needs = new Map<string, number>();
  for (const recipePiece of row.body.pieces)
    for (const [key, amount] of computed.takes.get(recipePiece.findId)?.needs ?? [])
      needs.set(key, (needs.get(key) ?? 0) + amount * recipePiece.count);
  const using = plan.slots.flatMap((slot) => slot.options).find((option) => option.option.recipeId === row.id);
  return (
    <main className={styles.layout}>
      <section className={styles.column} aria-label="Piece and zones">
        <h2>{row.name}</h2>
        <span className="muted">
          {find
            ? [find.name === row.name ? '' : find.name, zone?.substrate.name.toLowerCase() ?? '']
                .filter((text) => text !== '')
                .join(' · ')
            : 'the piece is missing'}
          {find && (
            <>
              {' · '}
              <Link to={`../hunt?find=${find.id}`}>the find</Link>
            </>
          )}
        </span>
        {piece && template && (
          <>
            <div style={{ margin: '10px 0' }}>
              <PieceDrawing
                templateId={piece.templateId}
                measures={piece.measures}
                colorOf={(zoneId) => finalColor(computed, `${piece.id}/${zoneId}`)}
                label={`${row.name} in its new color`}
                size={250}
                units={rim.units}
                letters
                marked={zone?.zone.id ?? null}
              />
            </div>
            <div className={styles.two}>
              {template.measures.map((measure) =>
                measure.kind === 'length' ? (
                  <LengthField
                    key={measure.id}
                    label={measure.label}
                    value={completeMeasures(template, piece.measures)[measure.id] ?? 0}
                    units={rim.units}
                    onCommit={(value) =>
                      recipe.setPiece(piece.id, { measures: { ...piece.measures, [measure.id]: value } })
                    }
                  />
                ) : (
                  <NumberField
                    key={measure.id}
                    label={measure.label}
                    value={completeMeasures(template, piece.measures)[measure.id] ?? 0}
                    least={measure.minimum}
                    most={measure.maximum}
                    whole
                    onCommit={(value) =>
                      recipe.setPiece(piece.id, { measures: { ...piece.measures, [measure.id]: value } })
                    }
                  />
                ),
              )}
              <NumberField
                label="Like pieces"
                value={piece.count}
                least={1}
                most={200}
                whole
                onCommit={(count) => recipe.setPiece(piece.id, { count })}
              />
            </div>
          </>
        )}
        {computed.zones.map((entry) => (
          <button
            key={entry.key}
            type="button"
            className={styles.zone}
            aria-pressed={entry.key === zone?.key}
            onClick={() => setZoneKey(entry.key)}
          >
            <b>{entry.zone.letter}</b>
            <span>{entry.zone.included ? entry.zone.name : <s>{entry.zone.name}</s>}</span>
            <span>{areaWords(entry.projectedAreaM2, rim.units)}</span>
          </button>
        ))}
        {zone && (
          <>
            <h3>{zone.zone.letter}, used as</h3>
            <Choice
              label="Used as"
              hideLabel
              value={zone.zone.use}
              options={zoneUses.map((use) => ({ value: use, label: useWords[use] }))}
              onChange={(use) => recipe.setZone(zone.pieceId, zone.zone.id, { use })}
            />
            <Checkbox
              checked={zone.zone.included}
              onChange={(event) => recipe.setZone(zone.pieceId, zone.zone.id, { included: event.target.checked })}
            >
              coat this zone
            </Checkbox>
            <Checkbox
              checked={zone.zone.sides === 2}
              onChange={(event) => recipe.setZone(zone.pieceId, zone.zone.id, { sides: event.target.checked ? 2 : 1 })}
            >
              both sides
            </Checkbox>
          </>
        )}
      </section>
      <section className={styles.column} aria-label="Layers">
        <h2>{zone ? `${zone.zone.letter} · ${zone.zone.name}` : 'Layers'}</h2>
        <span className="muted">from the material up; every joint is checked</span>
        <h3>Finish</h3>
        {layer && (
          <div className={styles.two}>
            <Choice
              label="Paint or coat"
              value={layer.coatingId}
              options={coatingNames}
              onChange={(coatingId) =>
                recipe.setLayer(layer.id, { coatingId, sheen: coatings.get(coatingId).sheens[0] ?? 'matt' })
              }
            />
            {coating && coating.sheens.length > 1 ? (
              <Choice
                label="Sheen"
                value={layer.sheen}
                options={coating.sheens.map((sheen) => ({ value: sheen, label: sheen }))}
                onChange={(sheen) => recipe.setLayer(layer.id, { sheen })}
              />
            ) : (
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
          </div>
        )}
        {layer && coating?.role === 'paint' && (
          <ColorCardPicker
            label="Color"
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
        {atRecipe.map((finding) => (
          <Caution key={`${finding.code}-${finding.where.id}`} finding={finding} recipeId={row.id} recipe={recipe} />
        ))}
        {zone?.zone.included ? (
          <>
            <h3>Layers</h3>
            <Stack zone={zone} recipe={recipe} />
            <Coats zone={zone} recipe={recipe} />
          </>
        ) : (
          <p className="muted">This zone stays as it is.</p>
        )}
        {row.body.dropped.length > 0 && (
          <p className="small">
            Dropped:{' '}
            {row.body.dropped
              .map((entry) => coatings.find(entry.split(':')[1]?.split('@')[0] ?? '')?.name ?? entry)
              .join(', ')}{' '}
            <Button size="small" onClick={() => recipe.setBody({ dropped: [] })}>
              Propose again
            </Button>
          </p>
        )}
        <Supplies needs={needs} />
        {needs.size > 0 && <DoneBox recipe={row} needs={needs} />}
        {using && (
          <p>
            Stands in place {dayWords(using.standsMs, plan.asOfMs, rim.timeZone)}, usable{' '}
            {dayWords(using.usableMs, plan.asOfMs, rim.timeZone)}. <Link to="../compare">Back to the board</Link>
          </p>
        )}
      </section>
      <section className={styles.column} aria-label="Steps">
        <Steps recipe={recipe} />
      </section>
    </main>
  );
}
