import { substrates } from '@core/catalog/substrates';
import { useDemands } from '@core/catalog/uses.data';
import { hexFromLab } from '@core/color/lab';
import { formatLength } from '@core/kernel/formatLength';
import type { EnteredShape, ZoneEdit } from '@core/recipe/recipeBody';
import { removeOwnZone, splitZone } from '@core/recipe/splitZone';
import type { ZonePlan } from '@core/recipe/zonePlans';
import { type Condition, conditions } from '@core/state/preparation';
import { sheens } from '@core/state/surfaceState';
import { shapeForms } from '@core/surface/shapeForms';
import { type DetailKind, detailKinds, zoneUses } from '@core/surface/zone';
import { Button, Checkbox } from 'antd';
import { useState } from 'react';
import { useLocale } from '../../app/projectStore';
import { FinishField, MaterialField } from '../../app/SurfaceFields';
import { Choice } from '../../ui/Choice';
import { LabField } from '../../ui/ColorCardPicker';
import { LengthField, NumberField, QuantityField, TextField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import { ManyOf } from '../../ui/ManyOf';
import styles from './makeover.module.css';
import type { RecipeAccess } from './useRecipe';

const conditionWords: Record<Condition, string> = {
  greasy: 'greasy',
  dented: 'dented or holed',
  flaking: 'flaking',
  stained: 'smoke, water or marker stains',
  polished: 'silicone polish or wax on it',
  musty: 'musty',
};
const detailWords: Record<DetailKind, string> = {
  flat: 'flat',
  profiles: 'profiles and edges',
  spindles: 'spindles, open work',
  weave: 'weave, wire',
};

/** What is there on a zone, how it is used, and its shape; every answer may differ from the piece's. */
export function ZoneEditor(props: { zone: ZonePlan; recipe: RecipeAccess }) {
  const { zone, recipe } = props;
  const [measuring, setMeasuring] = useState(false);
  const piece = recipe.row.body.pieces.find((candidate) => candidate.id === zone.pieceId);
  const edit = piece?.zoneEdits[zone.zone.id];
  const ownZone = piece?.ownZones.find((own) => own.id === zone.zone.id);
  const isOwn = ownZone !== undefined;
  const isSplit = ownZone?.splitFrom !== undefined;
  const set = (change: ZoneEdit) => recipe.setZone(zone.pieceId, zone.zone.id, change);
  const clear = (...keys: (keyof ZoneEdit)[]) => {
    if (!piece) return;
    const rest = Object.fromEntries(
      Object.entries(edit ?? {}).filter(([key]) => !keys.includes(key as keyof ZoneEdit)),
    );
    recipe.setPiece(piece.id, { zoneEdits: { ...piece.zoneEdits, [zone.zone.id]: rest } });
  };
  const differs = edit?.materialId !== undefined || edit?.finishId !== undefined || edit?.color !== undefined;
  const isOld = zone.substrate.layer === 'oldFinish';
  return (
    <>
      <h3>{zone.zone.letter}, what is there now</h3>
      <MaterialField value={zone.material.id} onChange={(materialId) => set({ materialId })} />
      <FinishField
        label="Finish on it"
        value={isOld ? zone.substrate.id : null}
        onChange={(finishId) => set({ finishId })}
      />
      {isOld && zone.substrate.sheen === null && (
        <Choice
          label="Its sheen"
          value={zone.found.sheen}
          options={sheens.filter((sheen) => sheen !== 'raw').map((sheen) => ({ value: sheen, label: sheen }))}
          onChange={(sheen) => set({ sheen })}
        />
      )}
      <LabField
        label="Color now"
        value={zone.colorEstimated ? null : zone.found.color}
        fallbackHex={zone.found.color ? hexFromLab(zone.found.color) : substrates.get(zone.substrate.id).usualColor}
        onChange={(color) => set({ color })}
      />
      <ManyOf
        label="Condition"
        placeholder="sound"
        values={zone.conditions}
        onChange={(value) => set({ conditions: value })}
        options={conditions.map((value) => ({ value, label: conditionWords[value] }))}
      />
      {differs && (
        <Button size="small" type="text" onClick={() => clear('materialId', 'finishId', 'sheen', 'color')}>
          As the rest of the piece
        </Button>
      )}
      <h3>{zone.zone.letter}, used as</h3>
      <Choice
        label="Used as"
        hideLabel
        value={zone.zone.use}
        options={zoneUses.map((use) => ({ value: use, label: useDemands[use].name }))}
        onChange={(use) => set({ use })}
      />
      <div>
        <Checkbox checked={zone.zone.included} onChange={(event) => set({ included: event.target.checked })}>
          coat this zone
        </Checkbox>
        <Checkbox checked={zone.zone.sides === 2} onChange={(event) => set({ sides: event.target.checked ? 2 : 1 })}>
          its back or other face too
        </Checkbox>
      </div>
      <Button size="small" type="text" aria-expanded={measuring} onClick={() => setMeasuring(!measuring)}>
        {measuring ? 'Close shape and count' : 'Shape and count'}
      </Button>
      {zone.zone.count > 1 && <SplitZone key={zone.key} recipe={recipe} zone={zone} />}
      {measuring && (
        <div className={styles.editor}>
          <TextField label="Name" value={zone.zone.name} least={1} most={80} onCommit={(name) => set({ name })} />
          <SideBySide across={2}>
            <NumberField
              label="How many"
              value={zone.zone.count}
              least={1}
              most={500}
              whole
              onCommit={(count) => set({ count })}
            />
            <NumberField
              label="Texture factor"
              value={edit?.textureFactor ?? null}
              nullable
              digits={2}
              least={0.5}
              most={5}
              hint={`empty: ${Math.round(zone.texture * 100) / 100}`}
              onCommit={(value) => (value === null ? clear('textureFactor') : set({ textureFactor: value }))}
            />
          </SideBySide>
          <Choice
            label="Detail"
            value={zone.zone.detail}
            options={detailKinds.map((value) => ({ value, label: detailWords[value] }))}
            onChange={(detail) => set({ detail })}
          />
          <ShapeFields
            shape={edit?.shape ?? null}
            onChange={(shape) => (shape === null ? clear('shape', 'areaM2') : set({ shape }))}
          />
          {isOwn && piece && (
            <Button size="small" danger onClick={() => recipe.setBody(removeOwnZone(recipe.row.body, zone))}>
              {isSplit ? 'Put it back with the others' : 'Remove this zone'}
            </Button>
          )}
        </div>
      )}
    </>
  );
}

/** Every other door in another color: some of like faces become a zone of their own. */
function SplitZone(props: { recipe: RecipeAccess; zone: ZonePlan }) {
  const { recipe, zone } = props;
  const { count } = zone.zone;
  const [apart, setApart] = useState<number | null>(null);
  if (apart === null)
    return (
      <Button size="small" type="text" onClick={() => setApart(Math.floor(count / 2))}>
        Some of the {count} differently: every other one …
      </Button>
    );
  return (
    <div className={styles.editor}>
      <NumberField
        label={`How many of the ${count} apart`}
        value={apart}
        least={1}
        most={count - 1}
        whole
        onCommit={setApart}
      />
      <Button
        size="small"
        onClick={() => {
          recipe.setBody(splitZone(recipe.row.body, zone, apart, crypto.randomUUID().slice(0, 8)));
          setApart(null);
        }}
      >
        A zone of their own
      </Button>{' '}
      <Button size="small" type="text" onClick={() => setApart(null)}>
        Leave it
      </Button>
      <p className="muted small">They stand below as one more zone: give it its own color there, or none.</p>
    </div>
  );
}

/** A shape of the library with its measures; none leaves the template's. */
export function ShapeFields(props: { shape: EnteredShape | null; onChange: (shape: EnteredShape | null) => void }) {
  const locale = useLocale();
  const { shape, onChange } = props;
  const form = shapeForms.find((candidate) => candidate.kind === shape?.kind);
  return (
    <>
      <Choice
        label="Shape"
        value={shape?.kind ?? 'template'}
        options={[
          { value: 'template', label: 'as the kind of piece has it' },
          ...shapeForms.map((entry) => ({ value: entry.kind as string, label: entry.name })),
        ]}
        onChange={(kind) => onChange(kind === 'template' ? null : { kind, values: {} })}
      />
      {shape && form && (
        <SideBySide across={2}>
          {form.fields.map((field) => {
            const value = shape.values[field.id] ?? field.standard;
            const commit = (next: number) => onChange({ ...shape, values: { ...shape.values, [field.id]: next } });
            return field.kind === 'length' ? (
              <LengthField
                key={field.id}
                label={field.label}
                value={value}
                units={locale.units}
                onCommit={commit}
                hint={shape.values[field.id] === undefined ? `usual ${formatLength(field.standard, locale.units)}` : ''}
              />
            ) : field.kind === 'area' ? (
              <QuantityField
                key={field.id}
                label={field.label}
                kind="m2"
                units={locale.units}
                value={value}
                least={0.0001}
                most={100}
                onCommit={commit}
              />
            ) : (
              <NumberField
                key={field.id}
                label={field.label}
                value={value}
                least={0}
                most={2000}
                whole
                digits={0}
                onCommit={commit}
              />
            );
          })}
        </SideBySide>
      )}
    </>
  );
}
