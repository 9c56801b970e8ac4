import { type FactorAt, type FavoriteWork, type PastProject, perHourOf } from '@core/closing/studioHistory';
import { formatMinutes } from '@core/kernel/formatMinutes';
import { decimalMoney, formatMoney } from '@core/kernel/formatMoney';
import { factorWords, workName } from '@core/log/logSummary';
import { Link } from 'react-router';
import { dayOf } from '../../app/words';
import table from '../../ui/table.module.css';
import styles from './history.module.css';

const stateNames = { planned: 'planned', atWork: 'at work', finished: 'finished' } as const;

/** Projects with what they came to, the latest first. */
export function ProjectsTable(props: { projects: readonly PastProject[] }) {
  const rows = [...props.projects].sort(
    (a, b) => (b.closing.lastOn ?? '').localeCompare(a.closing.lastOn ?? '') || (a.id < b.id ? -1 : 1),
  );
  return (
    <table className={`${table.table} ${styles.stacked}`}>
      <caption className="visually-hidden">Projects by what they came to</caption>
      <thead>
        <tr>
          <th scope="col">Project</th>
          <th scope="col">Last touched</th>
          <th scope="col">Money</th>
          <th scope="col">Off the shelf</th>
          <th scope="col">Hours</th>
          <th scope="col">Saved against new</th>
          <th scope="col">Your hour earned</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ id, name, currency, closing }) => {
          const money = (minor: number) => formatMoney(minor, currency, { cents: 'auto' });
          const perHour = perHourOf(closing);
          const { planned } = closing;
          return (
            <tr key={id}>
              <th scope="row">
                <Link to={`/p/${id}/wrap`}>{name}</Link>
                <small>
                  {stateNames[closing.state]}, {closing.slots.filled} of {closing.slots.all} slots filled
                </small>
              </th>
              <td data-name="Last touched">{closing.lastOn === null ? '' : dayOf(closing.lastOn)}</td>
              <td data-name="Money">
                {closing.atLeast && 'at least '}
                {money(closing.cash)}
                {planned && <small>planned {money(planned.cash)}</small>}
              </td>
              <td data-name="Off the shelf">{closing.stash === 0 ? '' : money(closing.stash)}</td>
              <td data-name="Hours">
                {formatMinutes(closing.minutes)}
                {planned && <small>planned {formatMinutes(planned.minutes)}</small>}
              </td>
              <td data-name="Saved against new">
                {closing.saved === null ? 'nothing to hold it against' : money(closing.saved)}
              </td>
              <td data-name="Your hour earned">{perHour === null ? '' : money(perHour)}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** The same for a spreadsheet: money as decimal numbers of each project's currency. */
export function projectsTable(projects: readonly PastProject[]): { fields: string[]; rows: string[][] } {
  return {
    fields: [
      ...['Project', 'State', 'Began', 'Last', 'Currency', 'Money', 'Off the shelf', 'Hours'],
      ...['Planned money', 'Planned hours', 'Saved against new', 'Your hour earned'],
    ],
    rows: projects.map(({ name, currency, closing }) => {
      const money = (minor: number | null) => decimalMoney(minor, currency);
      const hours = (minutes: number) => (minutes / 60).toFixed(2);
      const { planned } = closing;
      return [
        ...[name, stateNames[closing.state], closing.beganOn ?? '', closing.lastOn ?? '', currency],
        ...[money(closing.cash), money(closing.stash), hours(closing.minutes)],
        ...[money(planned?.cash ?? null), planned ? hours(planned.minutes) : ''],
        ...[money(closing.saved), money(perHourOf(closing))],
      ];
    }),
  };
}

/** Kinds of work by how long they took in all. */
export function WorksTable(props: { works: readonly FavoriteWork[] }) {
  return (
    <table className={table.table}>
      <caption className="visually-hidden">Work by kind</caption>
      <thead>
        <tr>
          <th scope="col">Work</th>
          <th scope="col">Hands-on</th>
          <th scope="col">Steps</th>
          <th scope="col">Projects</th>
        </tr>
      </thead>
      <tbody>
        {props.works.map(({ work, minutes, steps, projects }) => (
          <tr key={work}>
            <th scope="row">{workName(work)}</th>
            <td>{formatMinutes(minutes)}</td>
            <td>{steps}</td>
            <td>{projects}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What the log had taught by the end of each month. */
export function FactorsTable(props: { months: readonly FactorAt[]; works: readonly string[] }) {
  const works = props.works.filter((work) => props.months.some(({ factors }) => factors[work] !== undefined));
  return (
    <table className={table.table}>
      <caption className="visually-hidden">Factors by month</caption>
      <thead>
        <tr>
          <th scope="col">By the end of</th>
          {works.map((work) => (
            <th key={work} scope="col">
              {workName(work)}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {props.months.map(({ month, factors }) => (
          <tr key={month}>
            <th scope="row">{month}</th>
            {works.map((work) => (
              <td key={work}>{factors[work] === undefined ? '' : factorWords(factors[work])}</td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
