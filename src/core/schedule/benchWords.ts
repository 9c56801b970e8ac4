import type { AgainstCoating } from '../calendar/weather/coatingHours';
import { formatMinutes } from '../kernel/formatMinutes';
import type { BenchJob } from './benchJobs';
import type { Minute } from './benchProblem';
import type { ChainLink, DecidingChain } from './decidingChain';
import type { NoHourOutdoors } from './noHourOutdoors';
import type { NotThere } from './whyNotThere';

/** How a temperature, and a difference of two, are said in the project's units. */
export interface TemperatureWords {
  temperature(celsius: number): string;
  difference(celsius: number): string;
  wind(mPerS: number): string;
}

/** Why an hour in the open is none for coating, in a few words. */
export function againstWords(against: AgainstCoating, words: TemperatureWords): string {
  switch (against.kind) {
    case 'cold':
      return `too cold: ${words.temperature(against.airC)}, at least ${words.temperature(against.leastC)}`;
    case 'hot':
      return `too hot: ${words.temperature(against.airC)}, at most ${words.temperature(against.mostC)}`;
    case 'damp':
      return `damp: ${against.percent} %, at most ${against.most} %`;
    case 'dew':
      return `dew: the surface only ${words.difference(against.spreadC)} over the dew point, at least ${words.difference(against.leastC)}`;
    case 'wind':
      return `wind: ${words.wind(against.windMPerS)}, at most ${words.wind(against.most)}`;
    case 'rain':
      return against.inHours === 0 ? 'rain' : `rain within ${against.inHours} h`;
    case 'night':
      return `a cold night after it: ${words.temperature(against.lowC)}, at least ${words.temperature(against.leastC)}`;
    case 'dark':
      return 'dark, or dew on the ground';
    default:
      return against satisfies never;
  }
}

/** What mostly forbids the hours in the open, to be read after "mostly since". */
export const mostlyWords: Readonly<Record<NoHourOutdoors['mostly'], string>> = {
  cold: 'it is too cold',
  hot: 'it is too hot',
  damp: 'it is too damp',
  dew: 'dew falls on it',
  wind: 'it is too windy',
  rain: 'it rains',
  night: 'the nights after it are too cold',
};

/** Minutes as hours and days, the way a wait is said: "45 min", "4 h", "3 days". */
export function waitWords(minutes: number): string {
  if (minutes < 90) return `${Math.round(minutes)} min`;
  if (minutes < 48 * 60) return `${Math.round(minutes / 60)} h`;
  const days = Math.round(minutes / 1440);
  return `${days} ${days === 1 ? 'day' : 'days'}`;
}

/** Time of hands at one thing: "3 min", from an hour on "1 h 50". */
export const handsWords = (minutes: number): string =>
  minutes < 60 ? `${Math.round(minutes)} min` : formatMinutes(minutes);

/** A title within a sentence: only its first letter is small, names and numbers of sorts stay as they are. */
/** The first letter large, as at the beginning of a sentence. */
export const upperFirst = (text: string): string => `${text.charAt(0).toUpperCase()}${text.slice(1)}`;

export const lowerFirst = (title: string): string => `${title.charAt(0).toLowerCase()}${title.slice(1)}`;

/** What a task of the deciding chain waits for, to be read after its name. */
export function chainWords({ waitsFor }: ChainLink, jobs: ReadonlyMap<string, BenchJob>): string {
  const title = (taskId: string) => lowerFirst(jobs.get(taskId)?.title ?? 'what comes before');
  switch (waitsFor.kind) {
    case 'after':
      return waitsFor.waitMinutes > 0
        ? `waits ${waitWords(waitsFor.waitMinutes)} after ${title(waitsFor.taskId)}`
        : `comes after ${title(waitsFor.taskId)}`;
    case 'hands':
      return `hands are at ${title(waitsFor.taskId)} until then`;
    case 'window':
      return 'waits for the next hours of work';
    case 'cap':
      return 'the hours that the brief gives before are used up';
    case 'weather':
      return 'waits for weather that allows it';
    case 'arrival':
      return 'waits until it is here';
    case 'now':
      return 'can begin at once';
    default:
      return waitsFor satisfies never;
  }
}

/** What decides the end, in a sentence. */
export function decidesWords(chain: DecidingChain, jobs: ReadonlyMap<string, BenchJob>, rowName: string): string {
  const last = chain.links.at(-1);
  const title = last ? (jobs.get(last.taskId)?.title ?? '') : '';
  const cures = chain.curingMinutes > 0 ? `, then ${waitWords(chain.curingMinutes)} until it is cured enough` : '';
  return `${rowName} decides the end: ${lowerFirst(title)}${cures}.`;
}

/** Why something cannot be done on an evening, to be read after "It cannot be done then: ". */
export function notThereWords(
  why: NotThere,
  jobs: ReadonlyMap<string, BenchJob>,
  moment: (minute: Minute) => string,
): string {
  switch (why.kind) {
    case 'after':
      return `${lowerFirst(jobs.get(why.taskId)?.title ?? 'what comes before')} is ready for it only ${moment(why.free)}; move that first`;
    case 'weather':
      return 'no hour outdoors allows it then';
    case 'tooShort':
      return `it takes ${waitWords(why.minutes)}, and there is less time`;
    case 'taken':
      return 'hands, hours of the week or room to dry are taken by something else then';
    default:
      return why satisfies never;
  }
}
