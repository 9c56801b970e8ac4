import { localDate } from '@core/calendar/zonedTime';
import { formatLength } from '@core/kernel/formatLength';
import { listed } from '@core/kernel/listed';
import type { FindRow } from '@core/model/rows';
import { overallSize } from '@core/plan/fitFindings';
import { type PassageId, passages } from '@core/sourcing/passages';
import { type SlotFit, slotFits } from '@core/sourcing/slotFits';
import { Link } from 'react-router';
import { useLocale, usePlan, useRows } from '../../app/projectStore';
import type { ProjectLocale } from '../../app/words';
import styles from './hunt.module.css';

/** Whether it goes into a slot, and by how much: "fits: 2 in to spare in height". */
export function fitWords(fit: SlotFit, locale: ProjectLocale): string {
  const { goesIn, spare, answers, open, isChosen, blockedBy } = fit;
  const over = spare.filter(({ byMm }) => byMm < -0.5);
  const said = (list: typeof spare) =>
    list
      .map(
        ({ direction, byMm }) =>
          `${formatLength(Math.abs(byMm), locale.units)} ${byMm < 0 ? 'over' : 'to spare'} in ${direction}`,
      )
      .join(', ');
  if (!goesIn)
    return `too large: ${said(over)}${blockedBy.length === 0 ? '' : `; in the way: ${blockedBy.join(', ')}`}`;
  const kind = answers ? 'fits' : 'goes in, though something else is asked for';
  const filled = isChosen ? '; it is chosen there' : open > 0 ? '' : '; something else is chosen there, which stays';
  return spare.length === 0 ? `${kind}; no size is asked for${filled}` : `${kind}: ${said(spare)}${filled}`;
}

const passageNames: Record<PassageId, [goesInto: string, large: string]> = {
  car: ['into the car', 'for the car'],
  door: ['through the door', 'for the door'],
  stairs: ['up the stairs', 'for the stairs'],
  landing: ['around their turn', 'for the turn of the stairs'],
};

/** Whether it goes into the car, through the door and up the stairs; where not, by how much it is too large. */
export function WayIn(props: { find: FindRow }) {
  const locale = useLocale();
  const { project } = useRows();
  const { assumptions } = usePlan();
  const ways = passages(overallSize(props.find.templateId, props.find.measures), assumptions);
  if (ways.length === 0) return null;
  const tight = ways.filter(({ goes }) => !goes);
  return (
    <small className={tight.length > 0 ? styles.tight : 'muted'} style={{ display: 'block' }}>
      {tight.length === 0 ? (
        `Goes ${listed(ways.map(({ id }) => passageNames[id][0]))}.`
      ) : (
        <>
          {tight
            .map(({ id, spareMm }) => `${formatLength(-spareMm, locale.units)} too large ${passageNames[id][1]}`)
            .join('; ')}
          : to be taken apart or delivered.{' '}
          <Link to={`/p/${project.id}/assumptions?find=${encodeURIComponent('the way in')}`}>Measure your way in</Link>
        </>
      )}
    </small>
  );
}

/** The slots that ask for such a thing, with what is to spare in each; where none does, those that it would go into. */
export function DoesItFit(props: { find: FindRow }) {
  const plan = usePlan();
  const locale = useLocale();
  const fits = slotFits(plan, props.find, localDate(plan.asOfMs, locale.timeZone));
  const asking = fits.filter(({ answers }) => answers).slice(0, SHOWN);
  const roomy = fits.filter(({ goesIn, open }) => goesIn && open > 0).slice(0, SHOWN);
  const nameOf = ({ slot }: SlotFit) => `${slot.number} · ${slot.name}`;
  return (
    <>
      {asking.length > 0 ? (
        <ul className={styles.fits} aria-label="Does it fit">
          {asking.map((fit) => (
            <li key={fit.slot.id}>
              <b>{nameOf(fit)}</b>: {fitWords(fit, locale)}
            </li>
          ))}
        </ul>
      ) : (
        <p className="muted">
          No slot asks for such a thing.{roomy.length > 0 && ` It would go into ${listed(roomy.map(nameOf))}.`}
        </p>
      )}
      <WayIn find={props.find} />
    </>
  );
}

/** So many slots are told. */
const SHOWN = 4;
