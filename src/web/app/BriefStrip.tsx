import { hexFromLab } from '@core/color/lab';
import { formatMoney } from '@core/kernel/formatMoney';
import type { ProjectRow } from '@core/model/rows';
import { type Pace, paceOf } from '@core/plan/untilDeadline';
import { Link, useLocation } from 'react-router';
import { demands } from './demands';
import { usePlanIfThere, useRows } from './projectStore';
import styles from './shell.module.css';
import { useWorksAt } from './useWorksAt';
import { dayOf } from './words';

const paceWords: Record<Pace, string> = {
  noDate: '',
  past: 'the reveal is past',
  nothingChosen: '',
  late: 'late for the reveal',
  lastMinute: 'last minute',
  inTime: 'in time',
  early: 'early',
};

/** What the household and the place demand, in words as short as they can be said. */
function constraintWords({ household, brief }: ProjectRow): string[] {
  const { youngestChildYears: child, pets } = household;
  return [
    ...demands.flatMap(([entry, words]) => (household[entry] === true ? [words] : [])),
    child === null ? '' : child === 0 ? 'a baby' : `a child of ${child}`,
    pets.length > 0 ? 'pets' : '',
    brief.leavingDate === null ? '' : `leaving ${dayOf(brief.leavingDate)}`,
  ].filter((words) => words !== '');
}

/** The brief in one line at the head of every stage: anchor, palette, what the place demands, how the time stands. */
export function BriefStrip() {
  const rows = useRows();
  const plan = usePlanIfThere();
  const worksAt = useWorksAt();
  const { pathname } = useLocation();
  const { project } = rows;
  const { anchor, palette, splurge } = project.brief;
  const cards = palette.flatMap(({ colorCardId, role }) => {
    const card = rows.colorCards.find(({ id }) => id === colorCardId);
    return card ? [{ card, role }] : [];
  });
  const constraints = constraintWords(project);
  const pace = plan ? paceWords[paceOf(plan.purse.days)] : '';
  const nothing = !anchor && cards.length === 0 && constraints.length === 0 && !splurge && pace === '';
  if (nothing || pathname.endsWith('/brief')) return null;
  return (
    <aside className={styles.brief} aria-label="The brief in short">
      {anchor && (
        <span>
          built around <b>{anchor.what}</b>
        </span>
      )}
      {cards.length > 0 && (
        <span
          className={styles.briefPalette}
          role="img"
          aria-label={`Palette: ${cards.map(({ card }) => card.name).join(', ')}`}
        >
          {cards.map(({ card, role }) => (
            <i key={card.id} style={{ background: hexFromLab(card.lab) }} title={`${card.name}, ${role}`} />
          ))}
        </span>
      )}
      {constraints.length > 0 && <span>{constraints.join(' · ')}</span>}
      {splurge && (
        <span>
          splurge: {splurge.what}, up to {formatMoney(splurge.amount, project.currency, { cents: 'auto' })}
        </span>
      )}
      {pace !== '' && <span>{pace}</span>}
      {worksAt('brief') && (
        <Link to={`/p/${project.id}/brief`} data-inline>
          Brief
        </Link>
      )}
    </aside>
  );
}
