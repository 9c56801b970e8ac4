import { exactly } from '../kernel/amount';
import { stated } from '../kernel/price';
import type { PackRow } from '../model/rows';
import type { Plan } from '../plan/computePlan';
import { purchaseOf } from '../plan/model/poolCost';
import { newPack } from '../plan/newRows';
import { placeName } from '../plan/tripQuestion';
import { withTax } from '../pricing/offer';
import type { Tax } from '../pricing/priceStory';

/** The shelf price whose till price comes nearest to what was paid, minor units. */
export function shelfPriceOf(tillMinor: number, tax: Tax): number {
  if (tax.included || tax.percentThousandths === 0) return tillMinor;
  const guess = Math.round(tillMinor / (1 + tax.percentThousandths / 100_000));
  const off = (shelf: number) => Math.abs(withTax(exactly(shelf), tax).likely - tillMinor);
  return [guess - 1, guess, guess + 1].filter((shelf) => shelf >= 0).sort((a, b) => off(a) - off(b))[0] ?? guess;
}

/**
 * What the price book learns when a supply was bought: its pack at what was really paid for one, seen today at that place.
 * @param place where it was bought, as its packs name it; empty where none is known
 * @param paidMinor at the till, tax in it, for all that was bought there
 * @returns null where packs of several sizes were bought together, since nobody knows what each of them cost
 */
export function paidPack(
  plan: Plan,
  key: string,
  place: string,
  paidMinor: number,
  of: { packId: string; supplyId: string; today: string },
): PackRow | null {
  const line = plan.sums.lines.find(({ pool }) => pool.kind === 'supply' && pool.key === key);
  if (line?.pool.kind !== 'supply' || paidMinor <= 0) return null;
  const { pool, drawn } = line;
  const there = purchaseOf(pool, drawn).packs.flatMap(({ id, count }) => {
    const pack = pool.packs.find((known) => known.id === id);
    return pack && placeName(pack.source) === placeName(place) ? [{ pack, count }] : [];
  });
  const [only, ...more] = there;
  if (!only || more.length > 0) return null;
  const { rows } = plan;
  const source = rows.sources.find(({ name }) => placeName(name) === placeName(place));
  const price = stated(shelfPriceOf(Math.round(paidMinor / only.count), source?.tax ?? rows.project.tax));
  const seen = { price, seenOn: of.today };
  const known = rows.packs.find(({ id }) => id === only.pack.id);
  if (known) return { ...known, ...seen };
  const { name, size } = only.pack;
  return { ...newPack(of.packId, of.supplyId, name, size, price, rows.project.currency), ...seen, source: place };
}
