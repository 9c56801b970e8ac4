import { fixingLoad, leastFixing } from '@core/arrange/hanging/fixingLoad';
import { hungWhere } from '@core/arrange/hanging/hungThings';
import type { LadderSheet, LadderThing } from '@core/arrange/hanging/ladderSheet';
import { localDate } from '@core/calendar/zonedTime';
import { fixings } from '@core/catalog/fixings';
import { formatWeight } from '@core/kernel/formatWeight';
import type { SpotRow } from '@core/model/rows';
import { useLocale, usePlan, useRows } from '../../app/projectStore';
import { StitchedNumber } from '../../ui/basics';
import { later } from '../../ui/later';
import styles from './hang.module.css';
import { hangerNames } from './hangerNames';
import { edgeWords, studWords, tapeWords } from './nailWords';
import layout from './side.module.css';

// Fields come after the figures.
const HangerFields = later(async () => (await import('./HangerFields')).HangerFields);

/** One thing for the ladder: its nails in figures that are read at arm's length, how it hangs, what holds it. */
export function LadderCard(props: { entry: LadderThing; sheet: LadderSheet; spot: SpotRow }) {
  const { entry, sheet, spot } = props;
  const { thing, hanger, points, number } = entry;
  const rows = useRows();
  const plan = usePlan();
  const { units, timeZone } = useLocale();
  const { household } = rows.project;
  const where = hungWhere(spot, entry, household, localDate(plan.asOfMs, timeZone));
  const held = thing.placement.heldBy;
  const proposed =
    thing.weightG === null ? null : leastFixing(thing.weightG, points.length, where, !household.noDrilling);
  const fixing = fixings.find(held?.fixingId ?? '') ?? proposed;
  const load = fixing ? fixingLoad(fixing, held?.ratedG ?? null, points.length, where) : null;
  const isHeld = load !== null && thing.weightG !== null && load.holdsG >= thing.weightG;
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
        <HangerFields entry={entry} held={held} proposed={proposed} />
      </details>
    </li>
  );
}
