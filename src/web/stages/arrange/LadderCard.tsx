import { fixingLoad, leastFixing } from '@core/arrange/hanging/fixingLoad';
import { hungWhere } from '@core/arrange/hanging/hungThings';
import type { LadderSheet, LadderThing } from '@core/arrange/hanging/ladderSheet';
import { localDate } from '@core/calendar/zonedTime';
import { fixings } from '@core/catalog/fixings';
import { formatWeight } from '@core/kernel/formatWeight';
import type { HangerKind, StoredHanger } from '@core/model/entities/lookPiece';
import type { LookPieceRow, SpotRow } from '@core/model/rows';
import { useCommands, useLocale, usePlan, useRows } from '../../app/projectStore';
import { StitchedNumber } from '../../ui/basics';
import { Choice } from '../../ui/Choice';
import { LengthField, QuantityField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import styles from './hang.module.css';
import { edgeWords, studWords, tapeWords } from './nailWords';
import layout from './side.module.css';

const hangerNames: Readonly<Record<HangerKind, string>> = {
  wire: 'a wire',
  twoRings: 'two rings',
  keyholes: 'keyholes',
  middle: 'one tooth or ring in the middle',
  hook: 'a hook',
};

/** One thing for the ladder: its nails in figures that are read at arm's length, how it hangs, what holds it. */
export function LadderCard(props: { entry: LadderThing; sheet: LadderSheet; spot: SpotRow }) {
  const { entry, sheet, spot } = props;
  const { thing, hanger, points, number } = entry;
  const rows = useRows();
  const plan = usePlan();
  const { units, timeZone } = useLocale();
  const { run } = useCommands();
  const edit = (values: Partial<LookPieceRow>) => run('editLookPieces', { edits: [{ id: thing.id, values }] });
  const setHanger = (change: Partial<StoredHanger>) => edit({ hanger: { ...hanger, ...change } });
  const { household } = rows.project;
  const where = hungWhere(spot, entry, household, localDate(plan.asOfMs, timeZone));
  const held = thing.placement.heldBy;
  const proposed =
    thing.weightG === null ? null : leastFixing(thing.weightG, points.length, where, !household.noDrilling);
  const fixing = fixings.find(held?.fixingId ?? '') ?? proposed;
  const load = fixing ? fixingLoad(fixing, held?.ratedG ?? null, points.length, where) : null;
  const isHeld = load !== null && thing.weightG !== null && load.holdsG >= thing.weightG;
  const asksApart = hanger.kind === 'wire' || hanger.kind === 'twoRings' || hanger.kind === 'keyholes';
  return (
    <li className={styles.card}>
      <div className={styles.cardHead}>
        <StitchedNumber>{number}</StitchedNumber>
        <h3>{thing.name}</h3>
        <small className="muted">
          {tapeWords(thing.size.widthMm, units)} × {tapeWords(thing.size.heightMm, units)}
        </small>
      </div>
      <ul className={styles.points}>
        {points.map((point) => (
          <li key={point.xMm}>
            <b>{tapeWords(point.heightMm, units)} up</b>
            <span>{edgeWords(point, sheet, units)}</span>
            {point.stud && <small>{studWords(point, units)}</small>}
            {point.danger && (
              <small className={styles.danger}>
                straight above or below {point.danger}: cables or pipes may run here, look before you drill
              </small>
            )}
          </li>
        ))}
      </ul>
      <p className={styles.holds}>
        {hangerNames[hanger.kind]}
        {entry.isUsualHanger ? ', as is usual: look at its back' : ''}
        {fixing ? `; ${points.length > 1 ? `${points.length} × ` : ''}${fixing.name}` : ''}
        {load ? `, holds ${formatWeight(load.holdsG, units)}` : ''}
        {thing.weightG === null ? '; not weighed yet' : ` of ${formatWeight(thing.weightG, units)}`}
        {thing.weightG !== null && !isHeld ? ': not enough' : ''}
      </p>
      <details className={layout.noPrint}>
        <summary>What it hangs by</summary>
        <SideBySide across={3}>
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
      </details>
    </li>
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
