import type { OptionKind } from '../model/rows';
import { costOf, type OptionFigures } from './optionFigures';

/**
 * The yardstick of a slot among its options: the marked one, else the cheapest *buy new* with a known price, else the
 * cheapest *as found*; where nothing has a known price, a *buy new* that costs over so much; null when there is none.
 * What is refused, fills nothing or is only a dream is no yardstick. Of equals the one with the lower id.
 */
export function yardstickOf<F extends OptionFigures>(options: readonly F[]): F | null {
  const usable = options.filter(
    (option) => !option.refused && option.count > 0 && !option.model.offers.some(({ offer }) => offer.dream),
  );
  const marked = usable.find((option) => option.option.yardstick);
  if (marked) return marked;
  const cheapest = (kind: OptionKind, known: boolean) =>
    usable
      .filter((option) => option.option.kind === kind && (known ? !option.cashAdded.atLeast : costOf(option) > 0))
      .sort((a, b) => costOf(a) / a.count - costOf(b) / b.count || (a.option.id < b.option.id ? -1 : 1))[0] ?? null;
  return cheapest('buyNew', true) ?? cheapest('asFound', true) ?? cheapest('buyNew', false);
}
