import { worstSeverity } from '@core/kernel/finding';
import { formatMinutes } from '@core/kernel/formatMinutes';
import { formatMoney } from '@core/kernel/formatMoney';
import type { OptionPlan } from '@core/plan/computePlan';
import { nameOfOption } from '@core/plan/nameOfOption';
import { sentenceFor } from '@core/words/sentences';
import { comparisonWords, edgeColor, kindNames } from '../../app/optionWords';
import { amountWords, dayWordsFrom, type ProjectLocale } from '../../app/words';

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
  edge: string;
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

/**
 * What an option's chip shows.
 * @param name what it is called among those beside it
 */
export function chipFace(
  option: OptionPlan,
  locale: ProjectLocale,
  today: number,
  name = nameOfOption(option.model),
): ChipFace {
  const { cashAdded, stashUsed } = option;
  const note = remark(option, locale);
  const against = comparisonWords(option, locale);
  const range = cashAdded.atLeast ? 'at least ' : 'about ';
  return {
    optionId: option.option.id,
    kind: kindNames[option.option.kind],
    name,
    cash:
      cashAdded.low === cashAdded.high
        ? amountWords(cashAdded, locale)
        : `${range}${formatMoney(cashAdded.likely, locale.currency, { cents: 'auto' })}`,
    stash: stashUsed > 0 ? `uses ${formatMoney(stashUsed, locale.currency)}` : '',
    time: `${formatMinutes(option.hoursAdded.likely)} · ${dayWordsFrom(today, option.usableMs, locale.timeZone)}`,
    remark: note?.words ?? against.words,
    tone: note?.tone ?? (against.good ? 'earn' : null),
    edge: edgeColor(option),
    isChosen: option.chosen,
    isRefused: option.refused || option.count === 0,
  };
}
