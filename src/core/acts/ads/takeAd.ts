import { z } from 'zod';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { update } from '../changes';
import { newFindChanges } from '../finds/addFind';
import { findSchema } from '../finds/findFields';

/** Makes a find of an ad, to be judged and bought like any other; the ad remembers which. */
export const takeAd = projectAct({
  kind: 'takeAd',
  title: 'Ad kept as a find',
  payload: z.strictObject({ adId: id, find: findSchema }),
  decide: (rows, { adId, find }) => {
    const ad = rows.ads.find((row) => row.id === adId);
    if (!ad) return refuse('adId', adId, 'an ad that is still there');
    if (rows.finds.some((row) => row.id === ad.sightingId))
      return refuse('adId', ad.title, 'an ad that is no find yet');
    return [...newFindChanges(rows, find), update('ads', ad.id, { sightingId: find.id, followed: true })];
  },
});
