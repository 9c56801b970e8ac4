import { inspectionsFor, openAsks } from '@core/catalog/inspections';
import type { FindRow } from '@core/model/rows';
import type { Looked } from '@core/state/pieceState';
import hunt from '../hunt.module.css';
import { afterTap, CheckRow, InspectionChecks, inspectedOf } from '../InspectionChecks';
import styles from './card.module.css';

/** So many flaws are a tap away at once; the rest stands in the checklist. */
const MOST_CHIPS = 6;

/** What is wrong with it, a tap each; what must be asked before it is bought; and the whole checklist. */
export function Flaws(props: { find: FindRow; onChange: (inspected: Looked[]) => void }) {
  const { find } = props;
  const piece = inspectedOf(find);
  const lists = inspectionsFor(piece);
  const asks = openAsks(piece, find.inspected);
  const isFlaw = (check: string) => find.inspected.some((entry) => entry.check === check && entry.verdict === 'flaw');
  const flaws = lists.flatMap(({ checks }) =>
    checks.flatMap((check) => (check.flaw ? [{ check, flaw: check.flaw }] : [])),
  );
  const shown = flaws.filter(({ check }, n) => n < MOST_CHIPS || isFlaw(check.id));
  const checks = lists.reduce((sum, list) => sum + list.checks.length, 0);
  const breakers = find.inspected.filter(({ verdict }) => verdict === 'breaker').length;
  if (lists.length === 0) return null;
  return (
    <section className={styles.part} aria-label="What is wrong with it">
      <span className={styles.question}>What is wrong with it</span>
      <div className={styles.chips}>
        {shown.map(({ check, flaw }) => (
          <button
            key={check.id}
            type="button"
            className={`${styles.chip} ${styles.flaw}`}
            aria-pressed={isFlaw(check.id)}
            onClick={() => props.onChange(afterTap(find.inspected, check.id, 'flaw'))}
          >
            {flaw.says}
            {flaw.minutes > 0 ? ` +${flaw.minutes} min` : ''}
          </button>
        ))}
      </div>
      {asks.length > 0 && (
        <details>
          <summary>Look or ask first: {asks.map(({ look }) => look.toLowerCase().replace('?', '')).join(', ')}</summary>
          <ul className={hunt.checks}>
            {asks.map((check) => (
              <CheckRow
                key={check.id}
                check={check}
                verdict={null}
                onTap={(verdict) => props.onChange(afterTap(find.inspected, check.id, verdict))}
              />
            ))}
          </ul>
        </details>
      )}
      <details>
        <summary>
          Whole checklist: {find.inspected.length} of {checks}
          {breakers > 0 ? `, ${breakers} to leave it for` : ''}
        </summary>
        <InspectionChecks find={find} onChange={props.onChange} />
      </details>
    </section>
  );
}
