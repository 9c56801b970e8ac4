import { currencyExponent } from '../kernel/currencies.data';
import type { UnitSystem } from '../kernel/units';
import type { AdRow, FindRow } from '../model/rows';
import type { Plan } from '../plan/computePlan';
import { furnitureTemplates } from '../surface/templates';
import type { ListedAd } from './listedAd';
import { newFind } from './newFind';
import { readQuickLine } from './quickLine';
import { type SlotFit, slotFits } from './slotFits';

const MM_PER_CM = 10;
const M_PER_KM = 1000;

/** An ad of a list as a row. */
export function adRow(id: string, ad: ListedAd, feed: string, onDate: string): AdRow {
  const unit = 10 ** currencyExponent(ad.currency);
  const mm = (cm: number | null) => (cm === null ? null : cm * MM_PER_CM);
  return {
    id,
    version: 1,
    feed,
    number: ad.number,
    title: ad.title,
    text: ad.text,
    place: ad.place,
    distanceM: ad.distanceKm === null ? null : ad.distanceKm * M_PER_KM,
    currency: ad.currency,
    prices: [{ onDate, price: ad.price === null ? null : Math.round(ad.price * unit) }],
    widthMm: mm(ad.widthCm),
    depthMm: mm(ad.depthCm),
    heightMm: mm(ad.heightCm),
    postedOn: ad.postedOn,
    followed: false,
    gone: false,
    sightingId: null,
  };
}

/** What an ad asks now, and how much that is less than what it asked at first; minor units of its currency. */
export function adPrice({ prices }: Pick<AdRow, 'prices'>): { now: number | null; fell: number } {
  const now = prices.at(-1)?.price ?? null;
  const known = prices.flatMap(({ price }) => (price === null ? [] : [price]));
  const first = known[0] ?? null;
  return { now, fell: now !== null && first !== null ? Math.max(0, first - now) : 0 };
}

/**
 * The find that an ad would be: what its title says, at its price, in its size.
 * @param sourceId the place that ads of its list come from
 */
export function findOfAd(
  ids: { findId: string; pieceId: string },
  ad: AdRow,
  sourceId: string | null,
  today: string,
  locale: { currency: string; units: UnitSystem },
): FindRow {
  const { now } = adPrice(ad);
  const line = readQuickLine(ad.title, locale.currency, locale.units);
  const find = newFind(ids.findId, ids.pieceId, line, locale.units);
  const template = furnitureTemplates.get(find.templateId);
  const { width, depth, height } = template.overall;
  const measures = { ...find.measures };
  if (ad.widthMm !== null && width !== null) measures[width] = ad.widthMm;
  if (ad.depthMm !== null && depth !== null) measures[depth] = ad.depthMm;
  if (ad.heightMm !== null) measures[height] = ad.heightMm;
  // Money of another currency is not added to the project's: it stands in the note until somebody says what it is worth.
  const isOwn = ad.currency === locale.currency;
  const tag =
    now === null || !isOwn
      ? ({ state: 'unknown' } as const)
      : now === 0
        ? ({ state: 'free' } as const)
        : ({ state: 'stated', low: now, high: now } as const);
  return {
    ...find,
    version: 1,
    sourceId,
    seenOn: today,
    measures,
    story: { ...find.story, tag },
    note: [
      ad.text,
      ad.place,
      isOwn || now === null ? '' : `${now / 10 ** currencyExponent(ad.currency)} ${ad.currency}`,
    ]
      .filter((word) => word !== '')
      .join(', ')
      .slice(0, 2000),
  };
}

/** An ad with the slot that it answers best, if any. */
export interface JudgedAd {
  ad: AdRow;
  price: { now: number | null; fell: number };
  fit: SlotFit | null;
}

/** Ads that are still there, those that answer an open slot first, the cheaper first among equals; what is gone and followed last. */
export function judgedAds(plan: Plan, today: string, locale: { currency: string; units: UnitSystem }): JudgedAd[] {
  const judged = plan.rows.ads
    .filter(({ gone, followed }) => !gone || followed)
    .map((ad): JudgedAd => {
      const find = findOfAd({ findId: ad.id, pieceId: ad.id }, ad, null, today, locale);
      const [fit = null] = slotFits(plan, find, today);
      return { ad, price: adPrice(ad), fit: fit?.answers && fit.goesIn && fit.open > 0 ? fit : null };
    });
  const rank = ({ ad, fit }: JudgedAd) => (ad.gone ? 2 : fit ? 0 : 1);
  return judged.sort(
    (a, b) =>
      rank(a) - rank(b) ||
      (a.price.now ?? Number.MAX_SAFE_INTEGER) - (b.price.now ?? Number.MAX_SAFE_INTEGER) ||
      (a.ad.title < b.ad.title ? -1 : 1),
  );
}
