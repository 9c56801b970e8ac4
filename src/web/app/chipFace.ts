import { hexFromLab } from '@core/color/lab';
import { worstSeverity } from '@core/kernel/finding';
import { formatMinutes } from '@core/kernel/formatMinutes';
import { formatMoney } from '@core/kernel/formatMoney';
import type { OptionPlan } from '@core/plan/computePlan';
import { presentColor } from '@core/plan/finishedColor';
import { nameOfOption } from '@core/plan/nameOfOption';
import type { Measures } from '@core/surface/furnitureTemplate';
import { sentenceFor } from '@core/words/sentences';
import { comparisonWords, edgeColor, kindNames } from './optionWords';
import { amountWords, dayWordsFrom, type ProjectLocale } from './words';

/** What a chip shows, in words only: a chip whose words stay the same need not be drawn again. */
export interface ChipFace {
  optionId: string;
  kind: string;
  name: string;
  cash: string;
  stash: string;
  /** Hours and the day on which it is usable. */
  time: string;
  remark: string;
  tone: 'warn' | 'look' | 'earn' | null;
  /** The color that it will have. */
  edge: string;
  /** What it looks like: its kind and size, its photo if there is one, its color now where that is another. */
  templateId: string | null;
  measures: Measures | null;
  /** What the thing itself is called, for what its kind does not tell. */
  called: string;
  photoId: string | null;
  present: string | null;
  isChosen: boolean;
  isRefused: boolean;
}

/** The one thing a chip must not hide: a refusal, a stop, a misfit. */
function remark(option: OptionPlan, locale: ProjectLocale): { words: string; tone: 'warn' | 'look' } | null {
  if (option.refused) return { words: 'refused: see why', tone: 'warn' };
  const fit = option.findings.find((finding) => finding.code.startsWith('fit.'));
  const worst = worstSeverity(option.findings.filter((finding) => !finding.code.startsWith('fit.')));
  if (worst === 'stop' && option.findings.some((finding) => finding.code.startsWith('joint.')))
    return { words: 'would peel: see the layers', tone: 'warn' };
  if (fit) return { words: sentenceFor(fit, locale), tone: 'look' };
  if (option.findings.some((finding) => finding.code === 'caution.lamp.wiring'))
    return { words: 'have the cord checked', tone: 'look' };
  if (option.count < option.model.slot.quantity)
    return { words: `${option.count} of ${option.model.slot.quantity} asked`, tone: 'look' };
  return null;
}

/** What taking an option instead of what is chosen would change: money and hours with their signs. */
function differenceFrom(
  chosen: OptionPlan,
  option: OptionPlan,
  { currency }: Pick<ProjectLocale, 'currency'>,
): { cash: string; hours: string } {
  const signed = (value: number, words: string) => `${value > 0 ? '+' : ''}${words}`;
  const { likely, atLeast } = option.switching;
  const minutes = Math.round(option.hoursAdded.likely - chosen.hoursAdded.likely);
  return {
    cash: `${atLeast ? 'at least ' : ''}${signed(likely, formatMoney(likely, currency))}`,
    hours: signed(minutes, formatMinutes(minutes)),
  };
}

/** What an option's piece looks like: the first thing that it is made of. */
function looksOf({ model }: OptionPlan): Pick<ChipFace, 'templateId' | 'measures' | 'called' | 'photoId' | 'present'> {
  const { finds, offers, recipe } = model;
  const now = recipe ? presentColor(model) : null;
  const present = now ? hexFromLab(now) : null;
  const [find] = finds;
  const called = find?.name ?? offers[0]?.offer.name ?? '';
  if (find) return { templateId: find.templateId, measures: find.measures, called, photoId: find.photoId, present };
  const offer = offers[0]?.offer;
  const made = recipe?.built[0]?.piece;
  const { templateId = null, measures = null } = offer ?? made ?? {};
  return { templateId, measures, called, photoId: null, present: null };
}

/**
 * What an option's chip shows.
 * @param name what it is called among those beside it
 * @param chosen what its slot is filled with now, where money and hours are told as what taking this instead would change
 */
export function chipFace(
  option: OptionPlan,
  locale: ProjectLocale,
  today: number,
  name = nameOfOption(option.model),
  chosen: OptionPlan | null = null,
): ChipFace {
  const { cashAdded, stashUsed } = option;
  const note = remark(option, locale);
  const against = comparisonWords(option, locale);
  const range = cashAdded.atLeast ? 'at least ' : 'about ';
  const day = dayWordsFrom(today, option.usableMs, locale.timeZone);
  const difference = chosen === null || option.chosen ? null : differenceFrom(chosen, option, locale);
  return {
    optionId: option.option.id,
    kind: kindNames[option.option.kind],
    name,
    cash:
      difference?.cash ??
      (cashAdded.low === cashAdded.high
        ? amountWords(cashAdded, locale)
        : `${range}${formatMoney(cashAdded.likely, locale.currency, { cents: 'auto' })}`),
    stash: stashUsed > 0 && !difference ? `uses ${formatMoney(stashUsed, locale.currency)}` : '',
    time: `${difference?.hours ?? formatMinutes(option.hoursAdded.likely)} · ${day}`,
    remark: note?.words ?? against.words,
    tone: note?.tone ?? (against.good ? 'earn' : null),
    edge: edgeColor(option),
    ...looksOf(option),
    isChosen: option.chosen,
    isRefused: option.refused || option.count === 0,
  };
}

/** Cash as a chip shows it: what makes it no single sum in small, then the sum. */
export function cashInParts(cash: string): { about: string; sum: string } {
  const about = ['about ', 'at least '].find((word) => cash.startsWith(word)) ?? '';
  return { about, sum: cash.slice(about.length) };
}
