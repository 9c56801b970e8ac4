import { formatMinutes } from '../kernel/formatMinutes';
import { formatMoney } from '../kernel/formatMoney';
import { listed } from '../kernel/listed';
import { factorWords } from '../log/logSummary';
import type { EndWay } from '../model/entities/looseEnd';
import type { FrozenPlan } from '../model/values/frozenPlan';
import { upperFirst } from '../schedule/benchWords';
import { type OriginKind, originNames } from '../sourcing/origins';
import type { AgainstPlan, SideBySide } from './againstPlan';
import type { LooseEnd } from './looseEnds';
import { cashOf, isSettled, type Reckoning } from './reckon';
import type { OriginShare, Saved } from './saved';
import { nameOfWork, type TaughtFactor } from './workByKind';

/** Less than so many minutes is no difference. */
const SAME_MINUTES = 5;

const AS_PLANNED = 'as planned';

const money = (minor: number, currency: string) => formatMoney(minor, currency, { cents: 'auto' });

/** A difference in money as one says it: "$12 more than planned", "as planned". */
export function cashAgainst({ planned, actual }: SideBySide, currency: string): string {
  if (planned === null || actual === null) return '';
  const more = actual - planned;
  return more === 0 ? AS_PLANNED : `${money(Math.abs(more), currency)} ${more > 0 ? 'more' : 'less'} than planned`;
}

/** The same in hours: "2 h 10 more than planned". */
export function minutesAgainst({ planned, actual }: SideBySide): string {
  if (planned === null || actual === null) return '';
  const more = actual - planned;
  if (Math.abs(more) < SAME_MINUTES) return AS_PLANNED;
  return `${formatMinutes(Math.abs(more))} ${more > 0 ? 'more' : 'less'} than planned`;
}

/** What a project came to, in one sentence; what is still planned of it is said. */
export function cameToSentence({ all }: Reckoning, frozen: FrozenPlan | null, currency: string): string {
  const minutes = all.doneMinutes + all.toGoMinutes;
  const parts = [
    `${all.atLeast ? 'at least ' : ''}${money(cashOf(all), currency)}`,
    all.stash > 0 ? `${money(all.stash, currency)} off the shelf` : '',
    formatMinutes(minutes),
  ].filter((words) => words !== '');
  const planned = [
    all.cashToGo === 0 ? '' : money(all.cashToGo, currency),
    all.toGoMinutes < 1 ? '' : formatMinutes(all.toGoMinutes),
  ].filter((words) => words !== '');
  const open =
    planned.length === 0 ? '' : `; ${listed(planned)} of that ${planned.length === 1 ? 'is' : 'are'} still planned`;
  const head = `It ${planned.length === 0 ? 'came' : 'comes'} to ${listed(parts)}`;
  if (frozen === null) return `${head}${open}.`;
  const ofMoney = cashAgainst({ planned: frozen.cash.likely, actual: cashOf(all) }, currency);
  const ofHours = minutesAgainst({ planned: frozen.minutes.likely, actual: minutes });
  if (ofMoney === AS_PLANNED && ofHours === AS_PLANNED) return `${head}, ${AS_PLANNED}${open}.`;
  const against = [
    ofMoney === AS_PLANNED ? `the money ${AS_PLANNED}` : ofMoney,
    ofHours === AS_PLANNED ? `the hours ${AS_PLANNED}` : ofHours,
  ];
  return `${head}: ${against.join(', ')}${open}.`;
}

/** What was saved against new, in one sentence; what nothing is held against is named. */
export function savedSentence(saved: Saved, currency: string): string {
  const without = saved.without.map(({ slot }) => slot.name);
  const left = without.length === 0 ? '' : ` Nothing is held against ${listed(without)}.`;
  if (saved.slots.length === 0)
    return `There is nothing new to hold it against: put a “buy new” with its price on the board.${left}`;
  const about =
    saved.mayBeMore && saved.mayBeLess ? 'about ' : saved.mayBeMore ? 'at least ' : saved.mayBeLess ? 'at most ' : '';
  const amount = money(Math.abs(saved.saved), currency);
  const isOpen = saved.slots.some(({ of }) => !isSettled(of));
  const head = `Buying it all new would ${isOpen ? 'cost' : 'have cost'} ${saved.saved >= 0 ? `${about}${amount} more` : `${amount} less`}`;
  return `${head}, ${hourWords(saved, isOpen, currency)}.${left}`;
}

/** What an hour earned, or earns while something is still planned. */
function hourWords({ perHour }: Saved, isOpen: boolean, currency: string): string {
  if (perHour === null) return isOpen ? 'and take about as long' : 'and taken about as long';
  return perHour >= 0
    ? `so an hour of yours ${isOpen ? 'earns' : 'earned'} ${money(perHour, currency)}`
    : `so an hour of yours ${isOpen ? 'costs' : 'cost'} ${money(-perHour, currency)} on top`;
}

/** Where it came from, in one sentence: "Two thirds were owned already; thrifted 4, made 2, new 3." */
export function originSentence(shares: readonly OriginShare[]): string {
  const count = shares.reduce((sum, share) => sum + share.count, 0);
  if (count === 0) return 'Nothing is chosen yet.';
  const of = (origin: OriginKind) => shares.find((share) => share.origin === origin)?.count ?? 0;
  const percent = Math.round((of('owned') / count) * 100);
  const others = shares
    .filter(({ origin }) => origin !== 'owned')
    .map((share) => `${originNames[share.origin].toLowerCase()} ${share.count}`);
  const owned = of('owned') === 0 ? 'None of it was owned before' : `${percent} % of it was owned already`;
  return others.length === 0 ? `${owned}.` : `${owned}; ${listed(others)}.`;
}

/** What the estimates missed most. */
interface Miss {
  text: string;
  /** How far off it was beside the whole, for the order. */
  weight: number;
}

/** A miss below this part of the whole is none. */
const LEAST_MISS = 0.02;

/**
 * What the estimates missed, the farthest first: slots in money and hours, kinds of work with the factor that learned from
 * it.
 * @param most so many are told
 */
export function missSentences(
  against: AgainstPlan,
  taught: readonly TaughtFactor[],
  frozen: FrozenPlan,
  currency: string,
  most = 6,
): string[] {
  const misses: Miss[] = [];
  const allCash = Math.max(1, frozen.cash.likely);
  const allMinutes = Math.max(1, frozen.minutes.likely);
  const factors = new Map(taught.map((factor) => [factor.work, factor]));
  for (const { name, cash, minutes, isOther, plannedWith, filledWith } of against.slots) {
    const instead =
      isOther && plannedWith !== '' && filledWith !== '' ? ` (${filledWith} instead of ${plannedWith})` : '';
    const offCash = Math.abs((cash.actual ?? 0) - (cash.planned ?? 0)) / allCash;
    const offMinutes = Math.abs((minutes.actual ?? 0) - (minutes.planned ?? 0)) / allMinutes;
    if (cash.planned !== null && cash.actual !== null && offCash >= LEAST_MISS)
      misses.push({ text: `${name}${instead}: ${cashAgainst(cash, currency)}.`, weight: offCash });
    if (minutes.planned !== null && minutes.actual !== null && offMinutes >= LEAST_MISS)
      misses.push({ text: `${name}${instead}: ${minutesAgainst(minutes)}.`, weight: offMinutes });
  }
  for (const { work, planned, actual } of against.works) {
    const factor = factors.get(work);
    if (!factor || actual === null) continue;
    const off = Math.abs(actual - (planned ?? 0)) / allMinutes;
    misses.push({
      text: `${upperFirst(nameOfWork(work))}: it learned from this and reckons ${factorWords(factor.after)} from now on${Math.abs(factor.after - factor.before) < 0.005 ? '' : `, before it was ${factorWords(factor.before)}`}.`,
      weight: Math.max(off, Math.abs(Math.log(factor.after / factor.before))),
    });
  }
  return misses
    .sort((a, b) => b.weight - a.weight)
    .slice(0, most)
    .map(({ text }) => text);
}

/** What is to be done, as a calendar and a list call it. */
export function looseEndTitle({ about, name, way }: Pick<LooseEnd, 'about' | 'name' | 'way'>): string {
  switch (about.kind) {
    case 'return':
      return `Return ${name}`;
    case 'arrival':
      return `${name} comes`;
    case 'borrowed':
      return `Give back ${name}`;
    case 'rented':
      return `Take back ${name}`;
    case 'deposit':
      return `Get back: ${name}`;
    case 'misfit':
      return way === null ? `Decide what becomes of ${name}` : misfitTitles[way](name);
    case 'sale':
      return `Sell ${name}`;
    case 'leftover':
      return `Put away what is left: ${name}`;
    case 'hole':
      return `Fill: ${name}`;
    case 'own':
    case 'stored':
      return name;
    default:
      return about satisfies never;
  }
}

const misfitTitles: Readonly<Record<EndWay, (name: string) => string>> = {
  keep: (name) => `Put ${name} into the stash`,
  elsewhere: (name) => `Find another spot for ${name}`,
  give: (name) => `Give away ${name}`,
  sell: (name) => `Sell ${name}`,
  return: (name) => `Return ${name}`,
  away: (name) => `Throw away ${name}`,
};
