import { formatMinutes } from '../kernel/formatMinutes';
import { formatMoney } from '../kernel/formatMoney';
import { listed } from '../kernel/listed';
import { factorWords, workName } from '../log/logSummary';
import { originNames } from '../sourcing/origins';
import type { FactorAt, FavoriteWork, HistorySums, PastProject } from './studioHistory';

const share = (ratio: number) => {
  const percent = Math.round((ratio - 1) * 100);
  return percent === 0 ? 'as planned' : `${Math.abs(percent)} % ${percent > 0 ? 'more' : 'less'} than planned`;
};

/** What the finished projects came to, in sentences. */
export function historySentence(sums: HistorySums): string {
  const { currency, projects } = sums;
  const money = (minor: number) => formatMoney(minor, currency, { cents: 'auto' });
  const shelf = sums.stash === 0 ? '' : `, ${money(sums.stash)} off the shelf`;
  const head = `${projects === 1 ? 'One project' : `${projects} projects`} finished: ${money(sums.cash)}${shelf} and ${formatMinutes(sums.minutes)}.`;
  const missed = [
    sums.cashAgainstPlan === null ? '' : `money ${share(sums.cashAgainstPlan)}`,
    sums.minutesAgainstPlan === null ? '' : `hours ${share(sums.minutesAgainstPlan)}`,
  ].filter((words) => words !== '');
  const against =
    sums.withYardstick === 0
      ? ' Nothing was held against new.'
      : ` Buying new would have cost ${money(Math.abs(sums.saved))} ${sums.saved >= 0 ? 'more' : 'less'}${
          sums.perHour === null ? '' : `; an hour of yours earned ${money(sums.perHour)}`
        }.`;
  return `${head}${against}${missed.length === 0 ? '' : ` Against the plans when work began: ${listed(missed)}.`}`;
}

/** Against what an hour is held, and which projects have nothing to hold it against. */
export function earnedSentence(projects: readonly PastProject[]): string {
  const without = projects.filter(({ closing }) => closing.saved === null).map(({ name }) => name);
  if (without.length === projects.length)
    return 'Nothing is held against new yet: put a “buy new” beside what you make on the board.';
  const head = 'Against buying new, project by project';
  if (without.length === 0) return `${head}.`;
  return `${head}; ${listed(without)} ${without.length === 1 ? 'has' : 'have'} nothing to be held against.`;
}

/** What was worked most. */
export function worksSentence([most]: readonly FavoriteWork[]): string {
  if (!most) return 'Nothing is logged yet.';
  const where = most.projects === 1 ? 'one project' : `${most.projects} projects`;
  return `Most of all ${workName(most.work)}: ${formatMinutes(most.minutes)} in ${where}.`;
}

/** How the factors stand by now. */
export function factorsSentence(months: readonly FactorAt[]): string {
  const last = months.at(-1);
  if (!last) return 'From the third line of a kind of work on, the log teaches how long you take for it.';
  const told = Object.entries(last.factors).map(([work, factor]) => `${workName(work)} ${factorWords(factor)}`);
  return `By ${last.month}: ${listed(told)}.`;
}

/** How many pieces came from where. */
export function cameFromSentence({ byOrigin }: Pick<HistorySums, 'byOrigin'>): string {
  const all = byOrigin.reduce((sum, { count }) => sum + count, 0);
  const told = byOrigin.map(
    ({ origin, count }) =>
      `${originNames[origin].toLowerCase()} ${count} of ${all} (${Math.round((count / all) * 100)} %)`,
  );
  return told.length === 0 ? 'Nothing fills a slot.' : `${listed(told)}.`;
}
