import { formatMinutes } from '@core/kernel/formatMinutes';
import { formatMoney } from '@core/kernel/formatMoney';
import type { WhyLeft } from '@core/proposals/proposeWays';
import { outWords } from '../../app/optionWords';
import type { ProjectLocale } from '../../app/words';

/** Why a way is not proposed, in words, and whether it may be put on the board all the same. */
export function leftWords(
  why: WhyLeft,
  { currency }: Pick<ProjectLocale, 'currency'>,
): { why: string; mayTake: boolean } {
  switch (why.kind) {
    case 'more':
      return { why: 'as sensible as the others', mayTake: true };
    case 'beaten': {
      const by = [
        why.cost > 0 ? `${formatMoney(why.cost, currency)} more` : '',
        Math.round(why.minutes) > 0 ? `${formatMinutes(why.minutes)} more` : '',
        why.days > 0 ? `${why.days} ${why.days === 1 ? 'day' : 'days'} later` : '',
      ].filter((word) => word !== '');
      return {
        why: `${by.length === 0 ? 'nothing better' : by.join(', ')} than ${why.by}, which looks no worse`,
        mayTake: true,
      };
    }
    case 'taken':
      return { why: `fills slot ${why.by.number}, ${why.by.name}`, mayTake: true };
    case 'onBoard':
      return { why: 'on the board already', mayTake: false };
    default:
      return { why: outWords[why.kind], mayTake: why.kind === 'late' || why.kind === 'unknownPrice' };
  }
}
