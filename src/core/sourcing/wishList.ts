import { daysBetween } from '../calendar/localDates';
import { sayDay } from '../calendar/sayDay';
import { formatMoney } from '../kernel/formatMoney';
import type { SourceRow, WishRow } from '../model/rows';
import { sourceName } from '../model/sourceName';

/** What is looked out for, in the order in which it is: sales that are on or come next, then what has no day; what was got is apart. */
export function wishList(wishes: readonly WishRow[], today: string): { open: WishRow[]; got: WishRow[] } {
  // A sale that is over says nothing of when to go any more.
  const dayOf = ({ saleOn }: WishRow) => (saleOn === null || saleOn < today ? '9999' : saleOn);
  const open = wishes
    .filter(({ gotOn }) => gotOn === null)
    .sort((a, b) => dayOf(a).localeCompare(dayOf(b)) || a.what.localeCompare(b.what));
  const got = wishes
    .filter(({ gotOn }) => gotOn !== null)
    .sort((a, b) => (a.gotOn ?? '').localeCompare(b.gotOn ?? '') * -1);
  return { open, got };
}

/** What is said of a wish beside its name: at which price, where, when, what for. */
export function wishWords(wish: WishRow, sources: readonly SourceRow[], today: string): string {
  const { target, currency, saleOn, use } = wish;
  const place = sourceName(sources, wish.sourceId);
  const sale =
    saleOn === null
      ? ''
      : saleOn < today
        ? `the sale was ${sayDay(saleOn, today)}`
        : `on sale ${saleOn === today ? 'today' : `${sayDay(saleOn, today)}, in ${daysBetween(today, saleOn)} ${daysBetween(today, saleOn) === 1 ? 'day' : 'days'}`}`;
  return [
    target === null ? '' : `up to ${formatMoney(target, currency || 'USD', { cents: 'auto' })}`,
    place,
    sale,
    use === '' ? '' : `for ${use}`,
  ]
    .filter((words) => words !== '')
    .join(' · ');
}
