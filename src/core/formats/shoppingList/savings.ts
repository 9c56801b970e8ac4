import type { BasketSaving } from '../../balance/basketSavings';
import type { CheaperPlaces, PlaceChange } from '../../balance/cheapestPlaces';
import { formatMinutes } from '../../kernel/formatMinutes';
import { formatMoney } from '../../kernel/formatMoney';
import { listed } from '../../kernel/listed';
import type { StandIn } from '../../proposals/standIns';
import { percentOffWords } from '../../sourcing/patternWords';

interface MoneyLocale {
  currency: string;
}

/** What a basket saves, as it is said beside its place: "3 for 2 over …: $4.00 less at the till". */
export function savingWords({ kind, promotion, things, savedMinor }: BasketSaving, { currency }: MoneyLocale): string {
  const off = formatMoney(savedMinor, currency);
  switch (kind) {
    case 'freeDelivery':
      return `Enough for it to be sent free: ${off} less than planned`;
    case 'oneOrder':
      return `${listed(things)} sent as one order, if they do that: one delivery, ${off} less than planned`;
    case 'promotion':
      return `${promotionWords(promotion, currency)} over ${listed(things)} together: ${off} less than planned`;
    default:
      return kind satisfies never;
  }
}

function promotionWords(promotion: BasketSaving['promotion'], currency: string): string {
  switch (promotion?.kind) {
    case 'buyGet':
      return `${promotion.buy + promotion.free} for ${promotion.buy}`;
    case 'secondLess':
      return `Of two the cheaper ${percentOffWords(promotion.percentThousandths)},`;
    case 'couponMoney':
      return `The coupon of ${formatMoney(promotion.amount, currency)}`;
    case 'couponPercent':
      return `The coupon of ${promotion.percentThousandths / 1000} %`;
    case undefined:
      return 'The promotion';
    default:
      return promotion satisfies never;
  }
}

/** What buying elsewhere saves: "saves $4.20 and 35 min on the way", "saves 40 min for $1.10 more". */
export function cheaperWords(
  { savedCashMinor, savedMinutes }: Pick<CheaperPlaces, 'savedCashMinor' | 'savedMinutes'>,
  { currency }: MoneyLocale,
): string {
  const minutes = Math.abs(savedMinutes) < 0.5 ? null : formatMinutes(Math.abs(savedMinutes));
  const money = savedCashMinor === 0 ? null : formatMoney(Math.abs(savedCashMinor), currency);
  const saved = [savedCashMinor > 0 ? money : null, savedMinutes > 0 ? minutes : null].filter(
    (words) => words !== null,
  );
  const paid = [savedCashMinor < 0 ? money : null, savedMinutes < 0 ? minutes : null].filter((words) => words !== null);
  return `saves ${saved.join(' and ')}${paid.length > 0 ? ` for ${paid.join(' and ')} more` : ''}`;
}

/** Where a supply would be bought: "Chalk-type paint, teal: at Mill Row, not at The Paint Corner". */
export function placeChangeWords({ name, from, to }: PlaceChange): string {
  const at = (places: readonly string[]) =>
    listed(places.map((place) => (place === '' ? 'wherever it is sold' : place)));
  return `${name}: at ${at(to)}, not at ${at(from)}`;
}

/** What another product comes to: "$3.00 more, 20 min less, 2 days later, in the house". */
export function standInWords(
  { moreCashMinor, moreMinutes, laterDays, isSameSheen, sheen, isThere }: StandIn,
  { currency }: MoneyLocale,
): string {
  const more = (value: number, words: string) => `${words} ${value > 0 ? 'more' : 'less'}`;
  const days = Math.abs(laterDays);
  const said = [
    moreCashMinor === 0 ? 'costs the same' : more(moreCashMinor, formatMoney(Math.abs(moreCashMinor), currency)),
    Math.abs(moreMinutes) < 0.5 ? '' : more(moreMinutes, formatMinutes(Math.abs(moreMinutes))),
    laterDays === 0 ? '' : `${days} ${days === 1 ? 'day' : 'days'} ${laterDays > 0 ? 'later' : 'sooner'}`,
    isSameSheen ? '' : `${sheen}, not the same sheen`,
    isThere ? 'there is enough in the house' : '',
  ];
  return said.filter((words) => words !== '').join(', ');
}
