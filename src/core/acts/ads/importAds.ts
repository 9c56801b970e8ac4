import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { projectAct } from '../act';
import { insert, type RowChange, update } from '../changes';

/**
 * A list of ads as it stands now. An ad that is known by its list and number keeps its prices and gets today's where that
 * is another; what is known of the list and is not in it any more is marked as gone.
 */
export const importAds = projectAct({
  kind: 'importAds',
  title: 'Ads read',
  payload: z.strictObject({
    feed: rowSchema('ads').shape.feed,
    ads: z.array(rowSchema('ads')).max(1000, 'at most 1000 ads'),
  }),
  decide: (rows, { feed, ads }) => {
    const known = new Map(rows.ads.filter((ad) => ad.feed === feed).map((ad) => [ad.number, ad]));
    const changes: RowChange[] = [];
    const listed = new Set<string>();
    for (const ad of ads) {
      if (ad.feed !== feed || listed.has(ad.number)) continue;
      listed.add(ad.number);
      const before = known.get(ad.number);
      if (!before) {
        changes.push(insert('ads', ad));
        continue;
      }
      const [now] = ad.prices;
      const last = before.prices.at(-1);
      const isNew = now !== undefined && last !== undefined && now.onDate >= last.onDate && now.price !== last.price;
      const { title, text, place, distanceM, widthMm, depthMm, heightMm } = ad;
      const values = {
        ...{ title, text, place, distanceM, widthMm, depthMm, heightMm, gone: false },
        ...(isNew ? { prices: [...before.prices, now].slice(-60) } : {}),
      };
      const isSame = !isNew && !before.gone && title === before.title && text === before.text;
      if (!isSame) changes.push(update('ads', before.id, values));
    }
    for (const ad of known.values())
      if (!listed.has(ad.number) && !ad.gone) changes.push(update('ads', ad.id, { gone: true }));
    return changes;
  },
});
