import { localDay } from '@core/calendar/zonedTime';
import { formatLength } from '@core/kernel/formatLength';
import { Memo } from '@core/kernel/memo';
import { cardsByUse } from '@core/proposals/cardsByUse';
import { completeMeasures } from '@core/surface/furnitureTemplate';
import { furnitureTemplates } from '@core/surface/templates';
import { useDeferredValue, useMemo, useState } from 'react';
import { chipFace } from '../../app/chipFace';
import { useLocale, usePlan, useRows } from '../../app/projectStore';
import { SourceTag } from '../../ui/basics';
import styles from './compare.module.css';
import { type Proposal, proposalsFor, type Wanted } from './proposals';

/** Whole makeovers for what was answered so far, each with cash, hours and day; one press adds it to the board. */
export function ProposedWays(props: { wanted: Wanted; onTake: (proposal: Proposal) => void }) {
  const plan = usePlan();
  const rows = useRows();
  const locale = useLocale();
  const [memo] = useState(() => new Memo());
  // Typing stays quick; what is proposed follows.
  const wanted = useDeferredValue(props.wanted);
  const proposals = useMemo(() => proposalsFor(wanted, plan, cardsByUse(rows), memo), [wanted, plan, rows, memo]);
  const today = localDay(plan.asOfMs, locale.timeZone);
  if (proposals.length === 0)
    return (
      <p role="status" className="small">
        Nothing in that look holds on it as it is: say another finish, or what it is made of.
      </p>
    );
  return (
    <div>
      <h3>Ways to do it</h3>
      <ul className={styles.proposals} aria-label="Ways to do it">
        {proposals.map((proposal) => {
          const face = chipFace(proposal.option, locale, today);
          return (
            <li key={proposal.name}>
              <button
                type="button"
                style={{ '--edge': face.edge } as React.CSSProperties}
                onClick={() => props.onTake(proposal)}
              >
                <b>{proposal.name}</b>
                <span>{[face.cash, face.stash, face.time].filter((word) => word !== '').join(' · ')}</span>
                {face.tone !== null && <small>{face.remark}</small>}
              </button>
            </li>
          );
        })}
      </ul>
      <p className="small">
        {sizeWords(wanted, locale.units)} <SourceTag>estimated</SourceTag> Worth measuring first: area decides paint and
        hours.
      </p>
    </div>
  );
}

/** The overall size that is reckoned with. */
function sizeWords({ find }: Wanted, units: 'us' | 'metric'): string {
  const template = furnitureTemplates.get(find.templateId);
  const measures = completeMeasures(template, find.measures);
  const sizes = template.measures
    .filter((measure) => measure.kind === 'length')
    .slice(0, 3)
    .map((measure) => `${measure.label.toLowerCase()} ${formatLength(measures[measure.id] ?? 0, units)}`);
  return `Reckoned as ${template.name.toLowerCase()}: ${sizes.join(', ')}.`;
}
