import type { InspectionCheck } from '@core/catalog/inspection';
import { inspectionsFor } from '@core/catalog/inspections';
import type { FindRow } from '@core/model/rows';
import type { CheckVerdict, Looked } from '@core/state/pieceState';
import { furnitureTemplates } from '@core/surface/templates';
import styles from './hunt.module.css';

/** What the checklists look at, of a find. */
export const inspectedOf = (find: FindRow) => ({
  materialId: find.materialId,
  finishId: find.finishId,
  templateId: find.templateId,
  kind: find.kind,
  traits: furnitureTemplates.find(find.templateId)?.traits ?? [],
  name: find.name,
  era: find.era,
});

const without = (inspected: readonly Looked[], check: string) => inspected.filter((entry) => entry.check !== check);

/** What was looked at after a tap: the same verdict again takes it away. */
export function afterTap(inspected: readonly Looked[], check: string, verdict: CheckVerdict): Looked[] {
  const isSame = inspected.some((entry) => entry.check === check && entry.verdict === verdict);
  return isSame ? without(inspected, check) : [...without(inspected, check), { check, verdict }];
}

/** One check: what is looked at and how, and a tap for what was found. */
export function CheckRow(props: {
  check: InspectionCheck;
  verdict: CheckVerdict | null;
  onTap: (verdict: CheckVerdict) => void;
}) {
  const { check, verdict } = props;
  const taps: [CheckVerdict, string][] = [
    ['fine', 'fine'],
    ...(check.flaw ? [['flaw', check.flaw.detail === null ? 'flaw' : check.flaw.says] as [CheckVerdict, string]] : []),
    ...(check.breaker === null ? [] : [['breaker', 'leave it'] as [CheckVerdict, string]]),
  ];
  const found =
    verdict === 'flaw' && check.flaw
      ? `${check.flaw.says}${check.flaw.use === null ? '' : `: ${check.flaw.use}`}${check.flaw.minutes > 0 ? `, +${check.flaw.minutes} min` : ''}`
      : verdict === 'breaker'
        ? check.breaker
        : null;
  return (
    <li className={styles.check}>
      <span>
        <b>{check.look}</b> <span className="muted">{check.how}</span>
        {found && <small className={styles.found}>{found}</small>}
      </span>
      <span className={styles.taps}>
        {taps.map(([value, word]) => (
          <button
            key={value}
            type="button"
            aria-label={`${check.look}: ${word}`}
            aria-pressed={verdict === value}
            onClick={() => props.onTap(value)}
          >
            {word}
          </button>
        ))}
      </span>
    </li>
  );
}

/** The checklists that are meant for a find, each check a tap. */
export function InspectionChecks(props: { find: FindRow; onChange: (inspected: Looked[]) => void }) {
  const { find } = props;
  const lists = inspectionsFor(inspectedOf(find));
  const verdictOf = (check: string) => find.inspected.find((entry) => entry.check === check)?.verdict ?? null;
  if (lists.length === 0) return <p className="muted">Say what it is made of, and its checklist stands here.</p>;
  return (
    <>
      {lists.map((list) => (
        <section key={list.id} aria-label={`Inspect: ${list.name}`}>
          <h4>{list.name}</h4>
          <ul className={styles.checks}>
            {list.checks.map((check) => (
              <CheckRow
                key={check.id}
                check={check}
                verdict={verdictOf(check.id)}
                onTap={(verdict) => props.onChange(afterTap(find.inspected, check.id, verdict))}
              />
            ))}
          </ul>
        </section>
      ))}
    </>
  );
}
