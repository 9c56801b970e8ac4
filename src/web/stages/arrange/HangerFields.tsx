import type { LadderThing } from '@core/arrange/hanging/ladderSheet';
import { fixings } from '@core/catalog/fixings';
import type { HangerKind, StoredHanger } from '@core/model/entities/lookPiece';
import type { LookPieceRow } from '@core/model/rows';
import { useCommands, useLocale } from '../../app/projectStore';
import { Choice } from '../../ui/Choice';
import { LengthField, QuantityField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import { hangerNames } from './hangerNames';

/**
 * What a thing hangs by, what it weighs, and what holds it in the wall.
 * @param proposed the least fixing that is enough; null where nobody can say
 */
export function HangerFields(props: {
  entry: LadderThing;
  held: LadderThing['thing']['placement']['heldBy'];
  proposed: { name: string } | null;
}) {
  const { held, proposed } = props;
  const { thing, hanger } = props.entry;
  const { units } = useLocale();
  const { run } = useCommands();
  const edit = (values: Partial<LookPieceRow>) => run('editLookPieces', { edits: [{ id: thing.id, values }] });
  const setHanger = (change: Partial<StoredHanger>) => edit({ hanger: { ...hanger, ...change } });
  const asksApart = hanger.kind === 'wire' || hanger.kind === 'twoRings' || hanger.kind === 'keyholes';
  return (
    <SideBySide across={2}>
      <Choice
        label="It hangs by"
        value={hanger.kind}
        options={(Object.keys(hangerNames) as HangerKind[]).map((value) => ({ value, label: hangerNames[value] }))}
        onChange={(kind) => setHanger({ kind })}
      />
      <LengthField
        label={hanger.kind === 'wire' ? 'Top to the taut wire' : 'Top to where it hangs'}
        value={hanger.dropMm}
        units={units}
        zero
        onCommit={(dropMm) => setHanger({ dropMm })}
      />
      {asksApart ? (
        <LengthField
          label={hanger.kind === 'wire' ? 'Hook to hook, 0 for one' : 'In from each edge'}
          value={hanger.apartMm}
          units={units}
          zero
          onCommit={(apartMm) => setHanger({ apartMm })}
        />
      ) : (
        <span />
      )}
      <Weight label="It weighs" weightG={thing.weightG} onChange={(weightG) => edit({ weightG })} />
      <Choice
        label="Held by"
        value={held?.fixingId ?? ''}
        options={[
          { value: '', label: proposed ? `what is enough: ${proposed.name}` : 'not said' },
          ...fixings.all.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChange={(id) => edit({ heldBy: id === '' ? null : { fixingId: id, ratedG: held?.ratedG ?? null } })}
      />
      {held && (
        <Weight
          label="Its packet says"
          weightG={held.ratedG}
          onChange={(ratedG) => edit({ heldBy: { ...held, ratedG } })}
        />
      )}
    </SideBySide>
  );
}

/** A weight that may be unknown. */
function Weight(props: { label: string; weightG: number | null; onChange: (weightG: number | null) => void }) {
  const { units } = useLocale();
  return (
    <QuantityField
      label={props.label}
      kind="weightG"
      value={props.weightG}
      units={units}
      least={1}
      most={1_000_000}
      nullable
      onCommit={props.onChange}
    />
  );
}
