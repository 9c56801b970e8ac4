import { localDate } from '../calendar/zonedTime';
import { learnFactors } from '../log/learnFactors';
import type { LogEntryRow } from '../model/rows';
import { type OriginKind, originKinds } from '../sourcing/origins';
import { earnedPerHour } from './earnedPerHour';
import type { ProjectClosing } from './projectClosing';

/** A project with what it came to. */
export interface PastProject {
  id: string;
  name: string;
  currency: string;
  closing: ProjectClosing;
}

/** What an hour of a project earned against buying new, minor units; null where it took no longer, or nothing is held against it. */
export const perHourOf = ({ saved, savedMinutes }: Pick<ProjectClosing, 'saved' | 'savedMinutes'>): number | null =>
  saved === null ? null : earnedPerHour(saved, savedMinutes);

/** What the finished projects in one currency came to together. Minor units and minutes. */
export interface HistorySums {
  currency: string;
  projects: number;
  cash: number;
  stash: number;
  minutes: number;
  /** Over the projects with a yardstick: the hour is saved ÷ hours of all of them, so that long ones weigh more. */
  saved: number;
  perHour: number | null;
  withYardstick: number;
  /** How many pieces came from where. */
  byOrigin: { origin: OriginKind; count: number }[];
  /** How planned and actual stand to each other, over projects whose plan was frozen: 1.2 for a fifth more. Null where there is none. */
  cashAgainstPlan: number | null;
  minutesAgainstPlan: number | null;
}

/** What is finished, summed up currency by currency: two are never added. The most projects first. */
export function historySums(projects: readonly PastProject[]): HistorySums[] {
  const finished = projects.filter(({ closing }) => closing.state === 'finished');
  return [...new Set(finished.map(({ currency }) => currency))]
    .map((currency): HistorySums => {
      const own = finished.filter((project) => project.currency === currency).map(({ closing }) => closing);
      const sum = (of: readonly ProjectClosing[], value: (closing: ProjectClosing) => number) =>
        of.reduce((all, closing) => all + value(closing), 0);
      const held = own.filter(({ saved }) => saved !== null);
      const frozen = own.filter(({ planned }) => planned !== null);
      const ratio = (actual: number, planned: number) => (planned > 0 ? actual / planned : null);
      const saved = sum(held, (closing) => closing.saved ?? 0);
      return {
        currency,
        projects: own.length,
        cash: sum(own, (closing) => closing.cash),
        stash: sum(own, (closing) => closing.stash),
        minutes: sum(own, (closing) => closing.minutes),
        saved,
        perHour:
          held.length === 0 ? null : perHourOf({ saved, savedMinutes: sum(held, (closing) => closing.savedMinutes) }),
        withYardstick: held.length,
        byOrigin: originKinds.flatMap((origin) => {
          const count = sum(own, ({ byOrigin }) => byOrigin.find((one) => one.origin === origin)?.count ?? 0);
          return count === 0 ? [] : [{ origin, count }];
        }),
        cashAgainstPlan: ratio(
          sum(frozen, ({ cash }) => cash),
          sum(frozen, ({ planned }) => planned?.cash ?? 0),
        ),
        minutesAgainstPlan: ratio(
          sum(frozen, ({ minutes }) => minutes),
          sum(frozen, ({ planned }) => planned?.minutes ?? 0),
        ),
      };
    })
    .sort((a, b) => b.projects - a.projects || (a.currency < b.currency ? -1 : 1));
}

/** A kind of work that was done often: how long in all, in how many projects, how often. */
export interface FavoriteWork {
  work: string;
  minutes: number;
  steps: number;
  projects: number;
}

/** What was worked most, over all projects; the longest first. */
export function favoriteWorks(projects: readonly PastProject[]): FavoriteWork[] {
  const works = new Map<string, FavoriteWork>();
  for (const { closing } of projects)
    for (const { work, minutes, steps } of closing.works) {
      const sum = works.get(work) ?? { work, minutes: 0, steps: 0, projects: 0 };
      works.set(work, {
        work,
        minutes: sum.minutes + minutes,
        steps: sum.steps + steps,
        projects: sum.projects + 1,
      });
    }
  return [...works.values()].sort((a, b) => b.minutes - a.minutes || (a.work < b.work ? -1 : 1));
}

/** What the factor of a kind of work was at the end of a month. */
export interface FactorAt {
  month: string;
  /** By kind of work; those of which too little was logged by then are left out. */
  factors: Readonly<Record<string, number>>;
}

/** More months than that nobody compares in one picture. */
const MOST_MONTHS = 36;

/**
 * How the factors of some kinds of work went, month by month from the first that taught one; months in which nothing was
 * logged are left out.
 */
export function factorsOverTime(
  entries: readonly LogEntryRow[],
  works: readonly string[],
  timeZone: string,
): FactorAt[] {
  const monthOf = ({ atMs }: LogEntryRow) => localDate(atMs, timeZone).slice(0, 7);
  const months = [...new Set(entries.map(monthOf))].sort().slice(-MOST_MONTHS);
  return months.flatMap((month): FactorAt[] => {
    const known = learnFactors(entries.filter((entry) => monthOf(entry) <= month));
    const factors = works.flatMap((work) => {
      const learned = known.minutesOf(work);
      return learned && !learned.isOfAll ? [[work, learned.factor] as const] : [];
    });
    return factors.length === 0 ? [] : [{ month, factors: Object.fromEntries(factors) }];
  });
}
